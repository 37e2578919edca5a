<script setup lang="ts">
import type { WarmFood } from '~~/core/planning/foodSafety'

const { foods, severalDishes } = defineProps<{ foods: readonly WarmFood[]; severalDishes: boolean }>()
const cautions = computed(() => foods.filter(({ caution }) => caution))
</script>

<template>
  <section aria-labelledby="warm-title">
    <h2 id="warm-title">Between 5 and 57 °C</h2>
    <details v-for="food in foods" :key="`${food.dish} ${food.partId}`">
      <summary>
        {{ severalDishes ? `${food.dish + 1} · ` : '' }}{{ food.food }}:
        <strong>{{ food.minutesWarm }} min</strong> of
        {{ food.limitMinutes }}
        <span v-if="food.caution" class="sign stop">too long</span>
      </summary>
      <p v-for="term in food.terms" :key="term.says" class="small">{{ term.says }}: {{ term.minutes }} min</p>
    </details>
    <p v-for="food in cautions" :key="`${food.dish} ${food.partId}`" role="alert" class="small">
      {{ food.food }}: {{ food.caution }}.
    </p>
    <p class="soft small">
      4 h at most: US FDA Food Code 3-501.19. Cooling: 57 to 21 °C within 2 h, to 5 °C within 6 h in all
      (3-501.14). Minutes are reckoned, not measured; your own rules come first.
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 0.4rem;
}
summary {
  cursor: pointer;
}
@media print {
  p {
    font-size: 9pt;
  }
}
</style>
