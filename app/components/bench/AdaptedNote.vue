<script setup lang="ts">
import type { Evaluation } from '~~/core/evaluation/evaluate'
import { lossesBetween } from '~~/core/nutrition/micronutrients'

const { evaluation, before, diets, original, originalId } = defineProps<{
  evaluation: Evaluation
  before: Evaluation | null
  diets: string[]
  original: string
  originalId: string | null
}>()

const losses = computed(() => (before ? lossesBetween(before.micronutrients, evaluation.micronutrients) : []))
const verdicts = computed(() => evaluation.diets.filter((verdict) => diets.includes(verdict.diet)))
</script>

<template>
  <p class="note small">
    Grown from <NuxtLink v-if="originalId" :to="`/bench/${originalId}`">{{ original }}</NuxtLink><span
      v-else
      >{{ original }}</span
    >.
    <span v-for="verdict in verdicts" :key="verdict.diet">
      <span v-if="verdict.fits" class="sign fits">✓ {{ verdict.name.toLowerCase() }}</span>
      <template v-else>
        <span class="sign" :class="verdict.verdict === 'cannot tell' ? 'watch' : 'stop'"
          >{{ verdict.verdict === 'cannot tell' ? '?' : '✕ not' }} {{ verdict.name.toLowerCase() }}</span
        >
        {{ verdict.reasons.join('; ') }}.
      </template>
      <span v-for="check in verdict.toCheck" :key="check" class="watch"> {{ check }}.</span>
    </span>
    <span v-for="loss in losses" :key="loss.nutrient" class="loss"
      ><span class="sign watch">{{ loss.unknown.length ? 'may lose' : 'loses' }}</span> {{ loss.text
      }}<template v-if="loss.unknown.length">, unless the packets add some</template>.</span
    >
  </p>
</template>

<style scoped>
.loss {
  margin-right: 0.75rem;
}
.watch {
  margin-left: 0.3em;
  color: var(--watch);
}
</style>
