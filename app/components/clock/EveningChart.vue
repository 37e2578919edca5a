<script setup lang="ts">
import type { PlannedTask } from '~~/core/planning/dinner'
import { rulerOf, timeText } from '~/logic/evening'
import { lanesOfEvening } from '~/logic/eveningLanes'

const { tasks, people, serve, zone, now, selected, severalDishes } = defineProps<{
  tasks: readonly PlannedTask[]
  people: readonly { name: string }[]
  /** Moment of serving, in minutes since 1970. */
  serve: number
  zone: string
  /** Minutes before serving. */
  now: number
  selected: string | null
  severalDishes: boolean
}>()
const emit = defineEmits<{ select: [id: string]; move: [id: string, start: number] }>()

const WORD_PX = 28
const HEAD_PX = 44
const SMALL_LINE_PX = 16
const ruler = computed(() => rulerOf(tasks, WORD_PX))
const time = (before: number) => timeText(serve - before, zone)

const lanes = computed(() => lanesOfEvening(tasks, people))
const columns = computed(
  () =>
    `4.2rem ${lanes.value.map((lane) => (lane.hands ? `minmax(${people.length > 1 ? 11 : 13}rem, 4fr)` : 'minmax(3.7rem, 1fr)')).join(' ')}`,
)
/** Whole and half hours that lie within the evening, as far apart as they can be read. */
const marks = computed(() => {
  const first = Math.max(...tasks.map(({ start }) => start), 0)
  const found: { before: number; y: number }[] = []
  for (let before = 0; before <= first; before++) {
    if ((serve - before) % 15 !== 0 && before !== 0) continue
    const y = ruler.value.y(before)
    if (found.every((mark) => Math.abs(mark.y - y) >= 30)) found.push({ before, y })
  }
  return found
})

const box = (task: PlannedTask) => {
  const from = ruler.value.y(task.start)
  const until = ruler.value.y(task.end)
  return {
    top: `${from + HEAD_PX}px`,
    height: `${Math.max(task.hands ? WORD_PX - 2 : 8, until - from - 1)}px`,
  }
}
/** Lines of words that fit into the box of what lies by itself. */
const linesIn = (task: PlannedTask) =>
  Math.max(1, Math.floor((ruler.value.y(task.end) - ruler.value.y(task.start)) / SMALL_LINE_PX))
const says = (task: PlannedTask) =>
  `${time(task.start)} to ${time(task.end)}, ${task.name}${severalDishes && task.kind !== 'serve' ? `, dish ${task.dish + 1}` : ''}${task.state === 'to do' ? '' : `, ${task.state}`}`

/** A task that is dragged: how far, and where it would begin. */
const drag = ref<{ id: string; fromY: number; shift: number; moved: boolean } | null>(null)
const shiftOf = (task: PlannedTask) =>
  drag.value?.id === task.id && drag.value.moved ? { transform: `translateY(${drag.value.shift}px)` } : {}
const wouldBegin = (task: PlannedTask) =>
  ruler.value.before(ruler.value.y(task.start) + (drag.value?.shift ?? 0))
function begin(task: PlannedTask, event: PointerEvent) {
  if (event.button !== 0 || task.kind === 'serve' || task.state !== 'to do') return
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  drag.value = { id: task.id, fromY: event.clientY, shift: 0, moved: false }
}
function moving(event: PointerEvent) {
  if (!drag.value) return
  const shift = event.clientY - drag.value.fromY
  drag.value = { ...drag.value, shift, moved: drag.value.moved || Math.abs(shift) > 5 }
}
function drop(task: PlannedTask) {
  const was = drag.value
  const start = wouldBegin(task)
  drag.value = null
  if (!was?.moved) emit('select', task.id)
  else emit('move', task.id, Math.round(start))
}
const STEP_MINUTES = 5
function nudge(task: PlannedTask, event: KeyboardEvent) {
  if (!event.altKey || task.kind === 'serve' || task.state !== 'to do') return
  const by = event.key === 'ArrowUp' ? STEP_MINUTES : event.key === 'ArrowDown' ? -STEP_MINUTES : 0
  if (!by) return
  event.preventDefault()
  emit('move', task.id, task.start + by)
}
</script>

<template>
  <div class="scroll" tabindex="0" role="group" aria-label="The evening, lane by lane against the clock">
    <div class="chart" :style="{ gridTemplateColumns: columns, height: `${ruler.height + HEAD_PX}px` }">
      <div class="ruler" aria-hidden="true">
        <span v-for="mark in marks" :key="mark.before" :style="{ top: `${mark.y + HEAD_PX}px` }">{{
          time(mark.before)
        }}</span>
      </div>
      <section
        v-for="lane in lanes"
        :key="lane.key"
        class="lane"
        :class="{ hands: lane.hands }"
        :aria-label="lane.name"
      >
        <h3 :class="{ 'visually-hidden': lane.key.startsWith('rest-') && lane.key !== 'rest-0' }">
          {{ lane.name }}
        </h3>
        <button
          v-for="task in lane.tasks"
          :key="task.id"
          type="button"
          class="task"
          :class="[
            `dish-${task.dish % 4}`,
            task.state.replace(' ', '-'),
            { on: task.id === selected, self: !lane.hands },
          ]"
          :style="{ ...box(task), ...shiftOf(task) }"
          :aria-label="says(task)"
          :aria-pressed="task.id === selected"
          aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown"
          @pointerdown="begin(task, $event)"
          @pointermove="moving"
          @pointerup="drop(task)"
          @pointercancel="drag = null"
          @click="$event.detail === 0 && emit('select', task.id)"
          @keydown="nudge(task, $event)"
        >
          <template v-if="lane.hands">
            <b>{{ time(drag?.id === task.id && drag.moved ? wouldBegin(task) : task.start) }}</b>
            <i v-if="severalDishes" class="number">{{ task.dish + 1 }}</i>
            <span class="name">{{ task.name }}</span>
            <span v-if="people.length === 1 && lanes.length < 6" class="minutes">{{ task.minutes }} min</span>
          </template>
          <span v-else class="name" :style="{ '-webkit-line-clamp': linesIn(task) }"
            ><i v-if="severalDishes" class="number">{{ task.dish + 1 }}</i> {{ task.name }}</span
          >
        </button>
      </section>
      <p class="serve" :style="{ top: `${ruler.y(0) + HEAD_PX}px` }">
        <b>{{ time(0) }}</b> On the table
      </p>
      <p
        v-if="now >= 0 && now <= Math.max(...tasks.map(({ start }) => start))"
        class="now"
        :style="{ top: `${ruler.y(now) + HEAD_PX}px` }"
      >
        <span>now {{ time(now) }}</span>
      </p>
    </div>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
.chart {
  position: relative;
  display: grid;
  min-width: max-content;
}
.ruler,
.lane {
  position: relative;
  min-width: 0;
}
.ruler span {
  position: absolute;
  transform: translateY(-0.1em);
  color: var(--ink-soft);
  font-size: 0.875rem;
}
.ruler {
  position: sticky;
  left: 0;
  z-index: 3;
  background: var(--sheet);
}
.lane {
  border-left: 1px solid var(--rule);
}
h3 {
  position: sticky;
  top: 0;
  z-index: 1;
  padding: 0.4rem 0.4rem;
  overflow: hidden;
  background: var(--sheet);
  font-size: 0.9rem;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.lane.hands h3 {
  font-size: 1.05rem;
}
.task {
  position: absolute;
  left: 3px;
  right: 3px;
  display: flex;
  align-items: flex-start;
  gap: 0.45rem;
  padding: 1px 0.4rem;
  overflow: hidden;
  border: 0;
  border-left: 4px solid var(--dish);
  border-radius: 2px;
  background: color-mix(in srgb, var(--dish) 13%, var(--sheet));
  color: var(--ink);
  line-height: 1.4;
  text-align: left;
  cursor: grab;
  touch-action: pan-x;
}
.task.self {
  padding: 1px 0.3rem;
  border: 1px solid color-mix(in srgb, var(--dish) 45%, var(--rule));
  background: repeating-linear-gradient(
    135deg,
    transparent 0 7px,
    color-mix(in srgb, var(--dish) 9%, transparent) 7px 9px
  );
  font-size: 0.78rem;
  line-height: 16px;
}
.task:hover,
.task.on {
  outline: 2px solid var(--beet);
  outline-offset: -1px;
  z-index: 2;
}
.task b {
  font-size: 1.02rem;
}
.name {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}
.self .name {
  display: -webkit-box;
  -webkit-box-orient: vertical;
}
.hands .name {
  white-space: nowrap;
}
.number {
  flex: none;
  min-width: 1.3em;
  border-radius: 50%;
  background: var(--dish);
  color: var(--sheet);
  font-size: 0.8em;
  font-style: normal;
  font-weight: 640;
  line-height: 1.6;
  text-align: center;
}
.self .number {
  display: inline-block;
}
.minutes {
  color: var(--ink-soft);
  font-size: 0.875rem;
  white-space: nowrap;
}
.done {
  opacity: 0.55;
  text-decoration: line-through;
}
.begun {
  box-shadow: inset 0 0 0 2px var(--beet);
}
.serve,
.now {
  position: absolute;
  left: 0;
  right: 0;
  pointer-events: none;
}
.serve {
  padding-left: 4.6rem;
  border-top: 3px solid var(--ink);
  font-size: 1.05rem;
}
.now {
  border-top: 2px dashed var(--stop);
}
.now span {
  position: absolute;
  top: -0.75em;
  padding: 0 0.3em;
  background: var(--sheet);
  color: var(--stop);
  font-size: 0.875rem;
  font-weight: 640;
}
@media (prefers-reduced-motion: no-preference) {
  .task {
    transition: top 160ms ease-out;
  }
}
@media print {
  .scroll {
    overflow: visible;
  }
}
</style>
