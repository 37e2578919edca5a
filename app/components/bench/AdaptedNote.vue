<script setup lang="ts">
import type { Evaluation } from '~~/core/evaluate'

const { evaluation, diets, original, originalId } = defineProps<{
  evaluation: Evaluation
  diets: string[]
  original: string
  originalId: string | null
}>()

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
  </p>
</template>

<style scoped>
.watch {
  color: var(--watch);
}
</style>
