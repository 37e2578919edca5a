<script setup lang="ts">
import type { CookRecord } from '~~/core/log/record'
import type { FieldProblem } from '~~/core/recipe/problem'

const { record, perBatch, oil, problems } = defineProps<{
  record: CookRecord
  /** As the Tray has it; null without. */
  perBatch: number | null
  /** What a batch does to the oil; null where nothing is fried. */
  oil: { dropC: number; backSeconds: number } | null
  problems: readonly FieldProblem[]
}>()
const emit = defineEmits<{ write: [fields: Partial<CookRecord>] }>()

const made = computed(() => record.batches.reduce((sum, { pieces }) => sum + pieces, 0))
const pieces = ref<number | null>(null)
const minutes = ref('')
function batch() {
  const number =
    pieces.value ?? Math.min(perBatch ?? record.expected.pieces, record.expected.pieces - made.value)
  const took = minutes.value === '' ? null : Number(minutes.value.replace(',', '.'))
  emit('write', {
    batches: [...record.batches, { pieces: number, minutes: took, at: Date.now() }],
    made: made.value + number,
  })
  pieces.value = null
  minutes.value = ''
}
const numberOf = (event: Event) => {
  const { value } = event.target as HTMLInputElement
  return value.trim() === '' ? null : Number(value.replace(',', '.'))
}
const LEFT = [
  ['doughGrams', 'Dough left'],
  ['trimmingsGrams', 'Trimmings'],
  ['fillingGrams', 'Filling left'],
  ['washGrams', 'Wash left'],
] as const
const SINGLE = [
  ['finishedFillingGrams', 'Finished filling, before it went in', 'g'],
  ['oilBeforeGrams', 'Oil before', 'g'],
  ['oilAfterGrams', 'Oil after', 'g'],
  ['closeMinutes', 'Filling and closing took', 'min'],
  ['rolls', 'Rolled so often', 'times'],
] as const
const problemOf = (field: string) => problems.find((one) => one.field.startsWith(field))?.message
</script>

<template>
  <section class="count by-hand" aria-label="Count the pieces">
    <p>
      <b class="big">{{ made }}</b> of {{ record.expected.pieces }} are done<template
        v-if="record.batches.length"
        >, in {{ record.batches.length }} {{ record.batches.length === 1 ? 'batch' : 'batches' }}</template
      >.
    </p>
    <p v-if="oil" class="small">
      A batch cools the oil by about {{ Math.round(oil.dropC) }} °C; it is back after about
      {{ Math.round(oil.backSeconds / 10) * 10 }} s. Measure it under Heat before the next goes in.
    </p>
    <p class="row">
      <label
        >A batch of
        <input
          v-model.number="pieces"
          class="field"
          inputmode="numeric"
          :placeholder="String(Math.max(0, Math.min(perBatch ?? 99, record.expected.pieces - made)))"
          aria-label="Pieces in the batch"
      /></label>
      <label
        >in
        <input v-model="minutes" class="field" inputmode="decimal" aria-label="Minutes of the batch" />
        min</label
      >
      <button type="button" class="main" @click="batch">is out</button>
    </p>
    <p v-if="problemOf('batches')" class="problem" role="alert">{{ problemOf('batches') }}</p>
    <table class="ruled">
      <tbody>
        <tr v-for="[key, name] in LEFT" :key="key">
          <th scope="row">
            <label :for="`left-${key}`">{{ name }}</label>
          </th>
          <td>
            <input
              :id="`left-${key}`"
              class="field"
              inputmode="decimal"
              :value="record.left[key]"
              @change="emit('write', { left: { ...record.left, [key]: numberOf($event) } })"
            />
            g
          </td>
        </tr>
        <tr v-for="[key, name, unit] in SINGLE" :key="key">
          <th scope="row">
            <label :for="`one-${key}`">{{ name }}</label>
          </th>
          <td>
            <input
              :id="`one-${key}`"
              class="field"
              inputmode="decimal"
              :value="record[key]"
              @change="emit('write', { [key]: numberOf($event) })"
            />
            {{ unit }}
          </td>
        </tr>
      </tbody>
    </table>
    <p
      v-for="one in problems.filter(({ field }) => !field.startsWith('batches'))"
      :key="one.field"
      class="problem"
      role="alert"
    >
      {{ one.message }}
    </p>
    <details>
      <summary>Done when</summary>
      <ul class="small">
        <li>boiled: it floats, and 2 to 3 min more</li>
        <li>
          baked or griddled: browned on both sides, light for its size, hollow when tapped if it is risen
        </li>
        <li>steamed: the skin is dull and dry, a dent comes back</li>
        <li>fried: the bubbles grow small and quiet</li>
        <li>where meat, poultry or fish is in it: the middle has its limit, by a probe</li>
      </ul>
      <p class="small soft">Common practice, no source; the limits have theirs under Watch the heat.</p>
    </details>
  </section>
</template>

<style scoped>
.count {
  display: grid;
  gap: 0.6rem;
}
.big {
  font-size: 1.8rem;
}
td {
  padding-block: 0.15rem;
  white-space: nowrap;
}
</style>
