<script setup lang="ts">
import { PART_NAMES } from '~~/core/recipe/vocabulary'
import type { Evaluation } from '~~/core/evaluation/evaluate'
import { MICRONUTRIENTS, type Micronutrient } from '~~/core/food/micronutrients'
import { showGrams, showMicro } from '~/logic/format'

const { of, evaluation } = defineProps<{ of: Micronutrient; evaluation: Evaluation }>()
const shelves = useLarderStore()

const micronutrient = computed(() => ({
  ...MICRONUTRIENTS[of],
  figure: evaluation.micronutrients[of],
  lines: evaluation.working.lines
    .map((line) => ({
      ...line,
      per100g: shelves.reference.foods.get(line.foodId)?.micronutrients[of] ?? null,
    }))
    .sort((a, b) => (b.per100g ?? Infinity) * b.foodGrams - (a.per100g ?? Infinity) * a.foodGrams),
}))
</script>

<template>
  <div class="working">
    <p>
      grams eaten × {{ micronutrient.unit }} per 100 g ÷ 100, summed over the lines. Unknown is not zero: it
      makes the sum “at least”.
    </p>
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Line</th>
          <th scope="col">grams eaten</th>
          <th scope="col">{{ micronutrient.unit }} in 100 g</th>
          <th scope="col">{{ micronutrient.unit }} in the batch</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in micronutrient.lines" :key="line.lineId">
          <th scope="row">
            {{ line.name }} <span class="soft small">{{ PART_NAMES[line.part] }}</span>
          </th>
          <td>{{ showGrams(line.foodGrams) }}</td>
          <td>{{ line.per100g === null ? 'unknown' : showMicro(line.per100g) }}</td>
          <td>{{ line.per100g === null ? '' : showMicro((line.per100g * line.foodGrams) / 100) }}</td>
        </tr>
      </tbody>
    </table>
    <p>
      <strong>{{ showMicro(micronutrient.figure.perPiece) }} {{ micronutrient.unit }} a piece</strong>,
      {{ showMicro(micronutrient.figure.perServing) }} a serving<template
        v-if="micronutrient.figure.servingPct !== null"
        >: {{ Math.round(micronutrient.figure.servingPct) }} % of {{ micronutrient.referenceIntake }}
        {{ micronutrient.unit }} a day
        <span class="soft">(Regulation (EU) No 1169/2011, Annex XIII)</span></template
      >
    </p>
  </div>
</template>
