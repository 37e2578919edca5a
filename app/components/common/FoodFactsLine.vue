<script setup lang="ts">
import type { Food } from '~~/core/food/food'
import { foodFacts } from '~/logic/foodFacts'

const { food } = defineProps<{ food: Food }>()
const facts = computed(() => foodFacts(food))
</script>

<template>
  <span class="facts small soft">
    <span v-if="facts.state">{{ facts.state }}</span>
    <span v-if="facts.fat">{{ facts.fat }}</span>
    <strong v-if="facts.holds">{{ facts.holds }}</strong>
    <span v-if="facts.mayHold">packet: {{ facts.mayHold }}</span>
  </span>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
}
.facts > :not(:first-child)::before {
  content: '·';
  margin: 0 0.35rem;
  font-weight: 400;
}
</style>
