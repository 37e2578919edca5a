<script setup lang="ts">
import type { FieldProblem } from '~~/core/recipe/problem'
import { CLOSINGS, type Closing } from '~~/core/piece/closures'
import type { MakingMethod } from '~~/core/tray/making'
import type { PlannedPieces } from '~~/core/tray/pieces'
import type { PlanField, TypedPlan } from '~/logic/trayPlan'

const { planned, problems } = defineProps<{
  planned: PlannedPieces | null
  problems: readonly FieldProblem[]
}>()
const typed = defineModel<TypedPlan>({ required: true })

const METHODS: { value: MakingMethod; label: string }[] = [
  { value: 'balls', label: 'Balls, by weight' },
  { value: 'cut-sheet', label: 'A sheet and a round cutter' },
  { value: 'squares', label: 'A sheet cut in squares' },
  { value: 'halved-rounds', label: 'Rounds, rolled and halved' },
  { value: 'stamped-pair', label: 'Two discs stamped together' },
  { value: 'rope', label: 'A strip, filled and coiled' },
  { value: 'lined-dish', label: 'A dish, lined and lidded' },
  { value: 'wrappers', label: 'Bought wrappers' },
]
const FROM = [
  { value: 20, label: 'from the board' },
  { value: 5, label: 'from the fridge' },
  { value: -18, label: 'frozen' },
  { value: 5, parCooked: true, label: 'par-cooked, from the fridge' },
] as const
const fromAt = computed(() =>
  Math.max(
    0,
    FROM.findIndex(
      (one) => one.value === typed.value.startC && 'parCooked' in one === Boolean(typed.value.parCooked),
    ),
  ),
)
function setFrom(event: Event) {
  const one = FROM[Number((event.target as HTMLSelectElement).value)]!
  typed.value = { ...typed.value, startC: one.value, parCooked: 'parCooked' in one }
}

interface Field {
  key: PlanField
  label: string
  unit: string
  /** What it comes to where nothing is typed. */
  shown: string
}

const isSheet = computed(() => ['cut-sheet', 'squares', 'stamped-pair'].includes(typed.value.method))
const acrossWord = computed(
  () =>
    ({ squares: 'Side of a square', rope: 'Width of the strip', 'lined-dish': 'Dish, across' })[
      typed.value.method as string
    ] ?? 'Disc, across',
)
const ballWord = computed(() =>
  typed.value.method === 'halved-rounds' ? 'Dough of one round' : 'Dough of one',
)
const mm = (value: number | undefined) => (value === undefined ? '' : String(value))

const size = computed<Field[]>(() => {
  const times = typed.value.method === 'halved-rounds' ? 2 : 1
  return [
    {
      key: 'ballGrams',
      label: ballWord.value,
      unit: 'g',
      shown: mm((planned && Math.round(planned.doughGramsPerPiece * times * 10) / 10) || undefined),
    },
    { key: 'thicknessMm', label: 'Rolled to', unit: 'mm', shown: mm(planned?.thicknessMm) },
    { key: 'diameterMm', label: acrossWord.value, unit: 'mm', shown: mm(planned?.diameterMm) },
    ...(typed.value.method === 'lined-dish'
      ? [
          {
            key: 'dishHeightMm',
            label: 'Dish, high',
            unit: 'mm',
            shown: mm(planned?.dishHeightMm ?? undefined),
          } as const,
        ]
      : []),
  ]
})
const sheet = computed<Field[]>(() => [
  {
    key: 'sheetWidthMm',
    label: 'Sheet, wide',
    unit: 'mm',
    shown: mm(planned?.cuts[0] && Math.round(planned.cuts[0].widthMm)),
  },
  {
    key: 'sheetLengthMm',
    label: 'Sheet, long',
    unit: 'mm',
    shown: mm(planned?.cuts[0] && Math.round(planned.cuts[0].lengthMm)),
  },
  { key: 'rerolls', label: 'Trimmings rolled again', unit: 'times', shown: '2' },
])
const number = computed<Field[]>(() => [
  { key: 'pieces', label: 'Pieces', unit: '', shown: mm(planned?.pieces) },
  {
    key: 'fillingGramsPerPiece',
    label: 'Filling in each',
    unit: 'g',
    shown: mm(planned?.fillingGramsPerPiece),
  },
])
/** "6 people, 3 each, one spare": what it comes to is typed into the pieces. */
const NOBODY = { people: '', each: '3', spare: '0' }
const people = reactive({ ...NOBODY })
const forPeople = computed(() => {
  const [count, each, spare] = [people.people, people.each, people.spare].map((text) => Number(text || 0))
  const pieces = count! * each! + spare!
  return Number.isInteger(pieces) && pieces >= 1 && pieces <= 1000 && count! > 0 ? pieces : null
})
watch(forPeople, (pieces) => {
  if (pieces !== null)
    typed.value = { ...typed.value, typed: { ...typed.value.typed, pieces: String(pieces) } }
})
const problemOf = (key: string) => problems.find(({ field }) => field === `plan.${key}`)?.message

function write(key: PlanField, event: Event) {
  const text = (event.target as HTMLInputElement).value
  typed.value = { ...typed.value, typed: { ...typed.value.typed, [key]: text } }
}
/** Of another way of making other numbers are known. */
function setMethod(event: Event) {
  const method = (event.target as HTMLSelectElement).value as MakingMethod
  const { pieces, fillingGramsPerPiece } = typed.value.typed
  typed.value = { ...typed.value, method, closing: undefined, typed: { pieces, fillingGramsPerPiece } }
}
function clear() {
  Object.assign(people, NOBODY)
  typed.value = { ...typed.value, closing: undefined, typed: {} }
}
const anything = computed(
  () => Boolean(typed.value.closing) || Object.values(typed.value.typed).some((text) => text?.trim()),
)
</script>

<template>
  <form class="plan" aria-label="Plan" @submit.prevent>
    <label class="wide"
      >Made as
      <select class="field" :value="typed.method" @change="setMethod">
        <option v-for="one in METHODS" :key="one.value" :value="one.value">{{ one.label }}</option>
      </select>
    </label>
    <fieldset v-for="(group, at) in [size, ...(isSheet ? [sheet] : []), number]" :key="at">
      <legend class="visually-hidden">{{ ['Size', isSheet ? 'Sheet' : 'Number', 'Number'][at] }}</legend>
      <label v-for="field in group" :key="field.key">
        <span>{{ field.label }}</span>
        <span class="entry">
          <input
            class="field"
            inputmode="decimal"
            :value="typed.typed[field.key] ?? ''"
            :placeholder="field.shown"
            :aria-invalid="Boolean(problemOf(field.key))"
            :aria-describedby="problemOf(field.key) ? `problem-${field.key}` : undefined"
            @input="write(field.key, $event)"
          />
          <small>{{ field.unit }}</small>
        </span>
        <span v-if="problemOf(field.key)" :id="`problem-${field.key}`" class="problem small" role="alert">
          {{ problemOf(field.key) }}
        </span>
      </label>
    </fieldset>
    <p class="people small">
      For
      <input v-model="people.people" class="field" inputmode="numeric" aria-label="People" placeholder="6" />
      people,
      <input v-model="people.each" class="field" inputmode="numeric" aria-label="Pieces for each" /> each,
      <input v-model="people.spare" class="field" inputmode="numeric" aria-label="Spare pieces" /> spare
    </p>
    <label class="wide"
      >Closed as
      <select
        class="field"
        :value="typed.closing ?? planned?.closing"
        @change="typed = { ...typed, closing: ($event.target as HTMLSelectElement).value as Closing }"
      >
        <option v-for="one in CLOSINGS" :key="one" :value="one">{{ one }}</option>
      </select>
    </label>
    <label class="wide"
      >Into the heat
      <select class="field" :value="fromAt" @change="setFrom">
        <option v-for="(one, at) in FROM" :key="one.label" :value="at">{{ one.label }}</option>
      </select>
    </label>
    <p class="soft small">
      Of weight, thickness and width two give the third: what is pale follows from what is typed.
      <button v-if="anything" type="button" class="opens" @click="clear">Start over</button>
    </p>
  </form>
</template>

<style scoped>
.plan {
  display: grid;
  gap: 0.7rem;
}
fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(8.2rem, 1fr));
  gap: 0.5rem 0.8rem;
  margin: 0;
  padding: 0.6rem 0 0;
  border: 0;
  border-top: 1px solid var(--rule);
}
label {
  display: grid;
  align-content: start;
  gap: 0.15rem;
  font-size: 0.9375rem;
}
.entry {
  display: flex;
  align-items: baseline;
  gap: 0.35rem;
}
.entry .field {
  width: 5.5rem;
}
small {
  color: var(--ink-soft);
  font-size: 0.875rem;
}

.people .field {
  width: 3rem;
}
.problem {
  color: var(--stop);
}
</style>
