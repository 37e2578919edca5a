<script setup lang="ts">
import { MEASURED, type CookRecord } from '~~/core/log/record'
import { showGrams } from '~/logic/format'

const { record } = defineProps<{ record: CookRecord }>()
const rows = computed(() => {
  const { expected } = record
  const grams = (value: number | null) => (value === null ? '' : `${showGrams(value)} g`)
  const cooked = record.batches.filter(({ minutes }) => minutes !== null)
  const mean = cooked.length ? cooked.reduce((sum, { minutes }) => sum + minutes!, 0) / cooked.length : null
  const made = record.made ?? null
  const used =
    record.oilBeforeGrams !== null && record.oilAfterGrams !== null
      ? (record.oilBeforeGrams - record.oilAfterGrams) / (made ?? expected.pieces)
      : null
  return [
    ...record.weights.map((one) => ({
      name: one.name,
      planned: grams(one.plannedGrams),
      done: grams(one.grams),
    })),
    { name: 'Pieces', planned: String(expected.pieces), done: made === null ? '' : String(made) },
    {
      name: 'Minutes of cooking',
      planned: expected.cookMinutes === null ? '' : String(expected.cookMinutes),
      done: mean === null ? '' : mean.toFixed(1),
    },
    {
      name: 'Finished filling',
      planned: grams(expected.fillingGrams),
      done: grams(record.finishedFillingGrams),
    },
    { name: 'Fat taken up, a piece', planned: grams(expected.oilGramsPerPiece), done: grams(used) },
    {
      name: 'Filling and closing, a piece',
      planned: expected.closeMinutesPerPiece === null ? '' : `${expected.closeMinutesPerPiece} min`,
      done:
        record.closeMinutes === null
          ? ''
          : `${(record.closeMinutes / (made ?? expected.pieces)).toFixed(1)} min`,
    },
    ...record.readings.map(({ what, celsius }) => ({
      name: MEASURED[what].name,
      planned:
        what === 'oven' || what === 'oil' ? (expected.mediumC === null ? '' : `${expected.mediumC} °C`) : '',
      done: `${celsius} °C`,
    })),
    { name: 'Filling left', planned: '', done: grams(record.left.fillingGrams) },
    { name: 'Dough left', planned: '', done: grams(record.left.doughGrams) },
  ].filter(({ done, planned }) => done || planned)
})
</script>

<template>
  <table class="ruled">
    <caption class="soft small">
      Planned and done
    </caption>
    <thead>
      <tr>
        <th scope="col">What</th>
        <th scope="col">Planned</th>
        <th scope="col">Done</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="(row, n) in rows" :key="n">
        <th scope="row">{{ row.name }}</th>
        <td>{{ row.planned }}</td>
        <td>{{ row.done || '–' }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  width: 100%;
}
caption {
  text-align: left;
}
</style>
