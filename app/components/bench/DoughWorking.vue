<script setup lang="ts">
import type { Evaluation } from '~~/core/evaluation/evaluate'
import { showGrams } from '~/logic/format'

const { evaluation } = defineProps<{ evaluation: Evaluation }>()
</script>

<template>
  <div class="working">
    <p>
      {{ evaluation.working.dough.formula }}
      <span class="soft">({{ evaluation.working.dough.source }})</span>
    </p>
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Line</th>
          <th scope="col">grams</th>
          <th scope="col">% of flour</th>
          <th scope="col">free water</th>
          <th scope="col">fat as water</th>
          <th scope="col">drinks</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="share in evaluation.dough.shares" :key="share.lineId">
          <th scope="row">{{ share.name }}</th>
          <td>{{ showGrams(share.grams) }}</td>
          <td>{{ share.bakersPct === null ? '–' : share.bakersPct.toFixed(1) }}</td>
          <td>{{ showGrams(share.freeWaterGrams) }}</td>
          <td>{{ showGrams(share.fatShareGrams) }}</td>
          <td>{{ showGrams(share.waterDemandGrams) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="evaluation.working.dough.softness !== null">
      ({{ showGrams(evaluation.working.dough.freeWaterGrams) }} +
      {{ showGrams(evaluation.working.dough.fatShareGrams) }}) ÷
      {{ showGrams(evaluation.working.dough.waterDemandGrams) }} =
      <strong>{{ evaluation.working.dough.softness.toFixed(2) }}</strong>
    </p>
    <p class="soft small">
      {{ evaluation.working.dough.classes }}. A model of feel, to be set right by your own bakes: it knows
      nothing of kneading, rest or the day's flour.
    </p>
  </div>
</template>
