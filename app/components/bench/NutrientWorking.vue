<script setup lang="ts">
import { PART_NAMES } from '~~/core/recipe/vocabulary'
import type { Evaluation } from '~~/core/evaluation/evaluate'
import { NUTRIENT_TABLE, type Nutrient } from '~~/core/food/nutrients'
import { showFigure, showGrams } from '~/logic/format'

const { of, evaluation } = defineProps<{ of: Nutrient; evaluation: Evaluation }>()

const nutrient = computed(() => ({
  key: of,
  unit: NUTRIENT_TABLE[of].unit,
  figure: evaluation.working.figures[of],
  lines: evaluation.working.lines
    .map((line) => ({
      ...line,
      amount: line.nutrients[of],
      per100g: line.foodGrams > 0 ? (line.nutrients[of] / line.foodGrams) * 100 : 0,
    }))
    .sort((a, b) => b.amount - a.amount),
}))
</script>

<template>
  <div class="working">
    <p>
      {{ nutrient.figure.formula }} <span class="soft">({{ nutrient.figure.source }})</span>
    </p>
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Line</th>
          <th scope="col">grams eaten</th>
          <th scope="col">{{ nutrient.unit }} in 100 g</th>
          <th scope="col">{{ nutrient.unit }} in the batch</th>
          <th scope="col" class="source">Source</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in nutrient.lines" :key="line.lineId">
          <th scope="row">
            {{ line.name }}
            <span class="soft small"
              >{{ PART_NAMES[line.part]
              }}<template v-if="line.eatenWhy">: {{ line.eatenWhy }}</template></span
            >
          </th>
          <td>{{ showGrams(line.foodGrams) }}</td>
          <td>{{ showFigure(nutrient.key, line.per100g) }}</td>
          <td>{{ showFigure(nutrient.key, line.amount) }}</td>
          <td class="source small soft">{{ line.source }}</td>
        </tr>
        <tr v-for="line in evaluation.working.uncounted" :key="line.lineId">
          <th scope="row">{{ line.name }}</th>
          <td colspan="4"><span class="sign watch">not counted</span> {{ line.reason }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <th scope="row" colspan="3">The batch</th>
          <td>{{ showFigure(nutrient.key, nutrient.figure.batch) }}</td>
          <td class="source" />
        </tr>
      </tfoot>
    </table>
    <p>
      {{ showFigure(nutrient.key, nutrient.figure.batch) }} ÷ {{ evaluation.pieces }} pieces =
      <strong
        >{{ showFigure(nutrient.key, evaluation.perPiece[nutrient.key]) }} {{ nutrient.unit }} a piece</strong
      >; ÷ {{ evaluation.servings }} servings =
      {{ showFigure(nutrient.key, evaluation.perServing[nutrient.key]) }}; in 100 g
      {{ showFigure(nutrient.key, evaluation.per100g[nutrient.key]) }}
    </p>
    <p>
      Nine times in ten between
      <strong>{{ showFigure(nutrient.key, evaluation.spread.perPiece[nutrient.key].low) }}</strong> and
      <strong
        >{{ showFigure(nutrient.key, evaluation.spread.perPiece[nutrient.key].high) }}
        {{ nutrient.unit }}</strong
      >
      a piece.
      <span class="soft"
        >A scale is taken as good to 2 %, spoons to 10, counts to 20, fat from the pan to half; foods vary by
        8 %. Common practice, no source.</span
      >
    </p>
    <p class="soft small">{{ evaluation.working.basis }}.</p>
  </div>
</template>
