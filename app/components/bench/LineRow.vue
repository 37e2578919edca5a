<script setup lang="ts">
import { foodAgainstDiet } from '~~/core/diet/diets'
import type { Food } from '~~/core/food/food'
import type { Nutrients } from '~~/core/food/nutrients'
import type { Contribution } from '~~/core/nutrition/contributions'
import type { Line, Part } from '~~/core/recipe/document'
import type { PartKind } from '~~/core/recipe/vocabulary'
import { candidatesFor, standingsBy, type Made } from '~~/core/substitution/catalogue'
import { table } from '~~/data/table'
import { plainPart, showFigure, showGrams } from '~/logic/format'
import { typedWeight } from '~/logic/typedWeight'
import { foodOf } from '~~/core/recipe/lines'

const shelves = useLarderStore()

const {
  line,
  part,
  partId,
  hosts,
  made,
  contribution,
  partGrams,
  perBatch,
  pieces,
  continued = false,
  sweet,
} = defineProps<{
  line: Line
  part: PartKind
  partId: string
  hosts: readonly Part[]
  made: Made
  contribution: Contribution | null
  /** Grams of the whole part, for the line's share of it. */
  partGrams: number
  /** What the whole batch holds of each nutrient, for the line's share of that. */
  perBatch: Nutrients | null
  pieces: number
  /** The line above came from the same original line: what is said of both is said there. */
  continued?: boolean
  /** The diets against which lines are marked. */
  /** Its part is sweet. */
  sweet: boolean
}>()
const bench = useBenchStore()
const edits = useBenchEdits()
const { shareOf, figure } = useShareNutrient()

const open = ref(false)
const component = computed(() =>
  line.componentId ? hosts.find((one) => one.id === line.componentId) : undefined,
)
/** One place up or down, into the next part at the end; the focus goes along. */
async function nudge(by: -1 | 1) {
  edits.nudge(line.id, by)
  await nextTick()
  document.querySelector<HTMLElement>(`[data-line="${CSS.escape(line.id)}"] .written`)?.focus()
}
const food = computed<Food | undefined>(() => foodOf(line, shelves.reference.foods))
const diets = computed(() => table.diets.filter((diet) => bench.lens.includes(diet.id)))
const against = computed(() => {
  if (!food.value) return { breaks: [] as string[], may: [] as string[] }
  const found = diets.value.map((diet) => foodAgainstDiet(food.value!, diet))
  return {
    breaks: [...new Set(found.flatMap((one) => one.breaks))],
    may: [...new Set(found.flatMap((one) => one.may))],
  }
})
const swaps = computed(() =>
  food.value
    ? candidatesFor(
        food.value,
        part,
        made,
        shelves.reference.swaps,
        standingsBy(part, line.grams && partGrams > 0 ? line.grams / partGrams : null, sweet),
      )
    : [],
)
const checks = computed(() => line.notes.filter((note) => note.level === 'check' && note.code !== 'to-feel'))
const share = computed(() => {
  const [own, whole] =
    shareOf.value === 'grams'
      ? [line.grams, partGrams]
      : [contribution?.nutrients[shareOf.value] ?? null, perBatch?.[shareOf.value] ?? 0]
  return own !== null && whole > 0 ? `${Math.round((100 * own) / whole)}\u00a0%` : ''
})
const amount = computed(() =>
  contribution ? showFigure(figure.value, contribution.nutrients[figure.value] / pieces) : '',
)

const typed = ref('')
const editing = ref(false)
const problem = ref('')
const shown = computed(() => (editing.value ? typed.value : line.grams === null ? '' : showGrams(line.grams)))

function startTyping() {
  typed.value = line.grams === null ? '' : showGrams(line.grams)
  editing.value = true
}
function type(event: Event) {
  typed.value = (event.target as HTMLInputElement).value
  const read = typedWeight(typed.value, food.value)
  problem.value = 'problem' in read ? read.problem : ''
  if ('grams' in read) edits.grams(line.id, read.grams)
}
function stopTyping() {
  editing.value = false
  problem.value = ''
}
</script>

<template>
  <li class="line" :class="{ swapped: line.cameFrom, continued }">
    <div class="row">
      <span class="grip no-print" aria-hidden="true" title="Drag to move">⋮</span>
      <button
        type="button"
        class="written"
        :aria-expanded="open"
        aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown"
        @click="open = !open"
        @keydown.alt.up.prevent="nudge(-1)"
        @keydown.alt.down.prevent="nudge(1)"
      >
        <span class="raw">{{
          line.cameFrom && food ? `${continued ? '+ ' : ''}${food.name}` : line.raw || line.name
        }}</span>
        <span v-if="component" class="food soft small">made below: {{ plainPart(component) }}</span>
        <span v-else-if="food && !line.cameFrom" class="food soft small">{{ food.name }}</span>
      </button>
      <span v-if="component" />
      <span v-else class="weight">
        <input
          :value="shown"
          inputmode="text"
          autocomplete="off"
          :aria-invalid="problem !== '' || (line.grams === null && !editing)"
          :aria-label="`Grams of ${food?.name ?? line.name}`"
          @focus="startTyping"
          @input="type"
          @blur="stopTyping"
          @keydown.enter="($event.target as HTMLInputElement).blur()"
        /><span aria-hidden="true">g</span>
      </span>
      <span class="share soft">{{ share }}</span>
      <span class="energy">{{ amount }}</span>
      <span class="marks">
        <span v-if="against.breaks.length" class="sign stop" :title="`Is ${against.breaks.join(' and ')}`"
          >✕ {{ against.breaks[0]!.replace(/ or .*/, '') }}</span
        >
        <span
          v-else-if="against.may.length"
          class="sign watch"
          :title="`May hold ${against.may.join(' or ')}`"
          >packet</span
        >
        <SwapMenu
          v-if="food && (swaps.length || against.breaks.length)"
          :food="food"
          :line="line"
          :part="part"
          @choose="(swap) => edits.swap(line.id, swap)"
        />
      </span>
    </div>
    <p v-if="line.choices.length" class="note no-print">
      <button
        v-for="(choice, at) in line.choices"
        :key="at"
        type="button"
        class="opens"
        @click="edits.choose(line.id, at)"
      >
        or {{ shelves.reference.foods.get(choice.foodId ?? '')?.name.toLowerCase() ?? choice.name
        }}<template v-if="choice.grams">, {{ showGrams(choice.grams) }} g</template>
      </button>
    </p>
    <p v-if="line.optional" class="note soft no-print">
      Optional.
      <button type="button" class="opens" @click="edits.leaveOut(line.id)">Leave it out</button>
    </p>
    <p v-if="line.toFeel" class="note">
      <span class="sign watch">to feel</span> Start with {{ showGrams(line.toFeel.startGrams) }} g, then by
      the spoon; expect to stop between {{ showGrams(line.toFeel.lowGrams) }} and
      {{ showGrams(line.toFeel.highGrams) }} g. Type what really went in.
    </p>
    <p v-if="problem" class="note" role="alert"><span class="sign stop">✕</span> {{ problem }}</p>
    <p v-if="line.cameFrom && !continued" class="note soft">
      <template v-if="line.cameFrom.raw"
        >was <s>{{ line.cameFrom.raw }}</s>. </template
      >{{ line.cameFrom.why }}
    </p>
    <p v-for="check in checks" :key="check.text" class="note">
      <span class="sign watch">check</span> {{ check.text }}
    </p>
    <LazyLineDetail
      v-if="open"
      :line="line"
      :food="food"
      :contribution="contribution"
      :part="part"
      :part-id="partId"
      :hosts="hosts"
    />
  </li>
</template>

<style scoped>
.line {
  padding: 0.16rem 0;
  border-top: 1px solid var(--rule);
}
.line.continued {
  border-top: 0;
}
.row {
  display: grid;
  grid-template-columns: 0.7rem minmax(0, 1fr) 5.4rem 3rem 2.6rem 7.6rem;
  align-items: center;
  gap: 0.5rem;
}
.grip {
  color: var(--rule-strong);
  cursor: grab;
  text-align: center;
  user-select: none;
}
.note {
  margin-left: 1.2rem;
}
.written {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 0.6rem;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
.written:hover .raw {
  text-decoration: underline dotted;
}
.swapped .raw {
  font-weight: 640;
  color: var(--beet);
}
.weight {
  display: flex;
  align-items: center;
  gap: 0.25rem;
}
.weight input {
  width: 4.3rem;
  padding: 0.1rem 0.35rem;
  border: 1px solid transparent;
  border-bottom-color: var(--rule-strong);
  color: inherit;
  border-radius: 0;
  background: none;
  box-shadow: none;
  font-size: 1rem;
  font-weight: 640;
  text-align: right;
}
.weight input:hover,
.weight input:focus {
  border-color: var(--rule-strong);
  background: var(--sheet);
}
.weight input[aria-invalid='true'] {
  border-color: var(--stop);
}
.share,
.energy {
  text-align: right;
}
.marks {
  display: flex;
  justify-content: flex-end;
  align-items: center;
  gap: 0.35rem;
}
.note {
  padding: 0 0 0.1rem;
  font-size: 0.875rem;
}
@media (max-width: 640px) {
  .row {
    grid-template-columns: 1rem minmax(0, 1fr) 5.4rem 2.4rem;
  }
  .share {
    display: none;
  }
  .marks {
    grid-column: 1 / -1;
    justify-content: flex-start;
  }
}
</style>
