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
    <div v-if="groups.late.length">
      <h2><span class="sign stop">late</span></h2>
      <ul>
        <li v-for="task in groups.late" :key="task.id">
          <button type="button" class="task" @click="emit('select', task.id)">
            <b>{{ time(task.start) }}</b> {{ nameOf(task) }}
          </button>
          <button type="button" class="opens small" @click="emit('mark', task.id, 'begun')">
            Begun<span class="visually-hidden">: {{ task.name }}</span>
          </button>
          <button type="button" class="opens small" @click="emit('mark', task.id, 'done')">
            Done<span class="visually-hidden">: {{ task.name }}</span>
          </button>
        </li>
      </ul>
    </div>
    <div v-if="groups.running.length">
      <h2>Now</h2>
      <ul>
        <li v-for="task in groups.running" :key="task.id">
          <button type="button" class="task" :class="{ self: !task.hands }" @click="emit('select', task.id)">
            <b>until {{ time(task.end) }}</b> {{ nameOf(task) }}
          </button>
          <button type="button" class="opens small" @click="emit('mark', task.id, 'done')">
            Done<span class="visually-hidden">: {{ task.name }}</span>
          </button>
        </li>
      </ul>
    </div>
    <div v-if="groups.next.length">
      <h2>Next</h2>
      <ul>
        <li v-for="task in groups.next" :key="task.id">
          <button type="button" class="task" @click="emit('select', task.id)">
            <b>{{ time(task.start) }}</b> {{ nameOf(task) }} <span class="soft">{{ task.minutes }} min</span>
          </button>
        </li>
      </ul>
    </div>
    <div v-if="groups.waits.length">
      <h2>Can wait</h2>
      <ul>
        <li v-for="task in groups.waits" :key="task.id">
          <button type="button" class="task" @click="emit('select', task.id)">
            {{ nameOf(task) }} <span class="soft">until {{ time(task.latestEnd + task.minutes) }}</span>
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
