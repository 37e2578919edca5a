<script setup lang="ts">
import type { PlannedTask } from '~~/core/planning/dinner'
import { timeText, wallOf } from '~/logic/evening'

const { tasks, people, serve, zone, severalDishes } = defineProps<{
  tasks: readonly PlannedTask[]
  people: readonly { name: string }[]
  serve: number
  zone: string
  severalDishes: boolean
}>()
const emit = defineEmits<{ select: [id: string] }>()
const rows = computed(() => [...tasks].sort((a, b) => b.start - a.start || b.end - a.end))
const dayOf = (task: PlannedTask) => wallOf(serve - task.start, zone).slice(0, 10)
const newDay = (at: number) => at === 0 || dayOf(rows.value[at]!) !== dayOf(rows.value[at - 1]!)
function more(task: PlannedTask): string {
  if (task.kind === 'serve') return ''
  const who = task.person !== null && people.length > 1 ? `, ${people[task.person]!.name}` : ''
  return `${task.minutes} min${who}`
}
</script>

<template>
  <section aria-labelledby="order-title">
    <h2 id="order-title">Everything in its order</h2>
    <ol>
      <li
        v-for="(task, at) in rows"
        :key="task.id"
        :class="{ self: !task.hands, done: task.state === 'done' }"
      >
        <strong v-if="newDay(at)" class="day">{{ dayOf(task) }}</strong>
        <b>{{ timeText(serve - task.start, zone) }}</b>
        <button type="button" @click="emit('select', task.id)">
          {{ severalDishes && task.kind !== 'serve' ? `${task.dish + 1} · ` : '' }}{{ task.name }}
        </button>
        <span class="soft small">{{ more(task) }}</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 3.4rem 1fr auto;
  gap: 0.5rem;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--rule);
}
.day {
  grid-column: 1 / -1;
}
.self {
  color: var(--ink-soft);
}
.done {
  text-decoration: line-through;
}
button {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
@media print {
  section {
    font-size: 10.5pt;
  }
  li {
    padding: 0.12rem 0;
    break-inside: avoid;
  }
}
</style>
