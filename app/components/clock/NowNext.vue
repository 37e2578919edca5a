<script setup lang="ts">
import type { PlannedTask } from '~~/core/planning/dinner'
import { nowAndNext, timeText } from '~/logic/evening'

const { tasks, serve, zone, now, severalDishes } = defineProps<{
  tasks: readonly PlannedTask[]
  serve: number
  zone: string
  /** Minutes before serving. */
  now: number
  severalDishes: boolean
}>()
const emit = defineEmits<{ select: [id: string]; mark: [id: string, what: 'begun' | 'done'] }>()
const groups = computed(() => nowAndNext(tasks, now))
/** "2 · Weigh out the dough" where there are several. */
const nameOf = (task: PlannedTask) => (severalDishes ? `${task.dish + 1} · ${task.name}` : task.name)
const time = (before: number) => timeText(serve - before, zone)
interface Group {
  name: string
  tasks: PlannedTask[]
  /** What stands before the name, and behind it. */
  time?: (task: PlannedTask) => string
  more?: (task: PlannedTask) => string
  marks: ('begun' | 'done')[]
}
const shown = computed<Group[]>(() => {
  const all: Group[] = [
    { name: 'Late', tasks: groups.value.late, time: (task) => time(task.start), marks: ['begun', 'done'] },
    { name: 'Now', tasks: groups.value.running, time: (task) => `until ${time(task.end)}`, marks: ['done'] },
    {
      name: 'Next',
      tasks: groups.value.next,
      time: (task) => time(task.start),
      more: (task) => `${task.minutes} min`,
      marks: [],
    },
    {
      name: 'Can wait',
      tasks: groups.value.waits,
      more: (task) => `until ${time(task.latestEnd + task.minutes)}`,
      marks: [],
    },
  ]
  return all.filter(({ tasks: own }) => own.length)
})
const inMinutes = (minutes: number) =>
  minutes < 1
    ? 'now'
    : minutes < 90
      ? `in ${Math.round(minutes)} min`
      : `in ${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)} min`
const first = computed(() => Math.max(...tasks.map(({ start }) => start), 0))
</script>

<template>
  <section class="now-next" aria-label="Now, next, can wait">
    <p v-if="first < now" class="lead">
      Begin at <b>{{ time(first) }}</b>, {{ inMinutes(now - first) }}.
    </p>
    <div v-for="group in shown" :key="group.name">
      <h2 :class="{ late: group.name === 'Late' }">{{ group.name }}</h2>
      <ul>
        <li v-for="task in group.tasks" :key="task.id">
          <button type="button" class="task" :class="{ self: !task.hands }" @click="emit('select', task.id)">
            <b v-if="group.time">{{ group.time(task) }}</b> {{ nameOf(task) }}
            <span v-if="group.more" class="soft">{{ group.more(task) }}</span>
          </button>
          <button
            v-for="mark in group.marks"
            :key="mark"
            type="button"
            class="opens small"
            @click="emit('mark', task.id, mark)"
          >
            {{ mark === 'done' ? 'Done' : 'Begun' }}<span class="visually-hidden">: {{ task.name }}</span>
          </button>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.now-next {
  display: grid;
  gap: 0.8rem;
}
.lead {
  font-size: 1.15rem;
}
h2 {
  color: var(--ink-soft);
  font-size: 0.9rem;
}
li {
  display: flex;
  align-items: baseline;
  gap: 0.6rem;
}
h2.late {
  color: var(--stop);
}
.task {
  flex: 1;
  padding: 0.15rem 0;
  border: 0;
  background: none;
  color: var(--ink);
  font-size: 1.1rem;
  text-align: left;
  cursor: pointer;
}
.task.self {
  color: var(--ink-soft);
}
.task:hover {
  text-decoration: underline;
}
@media (max-width: 640px) {
  .task {
    font-size: 1.25rem;
  }
}
</style>
