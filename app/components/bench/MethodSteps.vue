<script setup lang="ts">
import { adviceOn } from '~~/core/adaptation/advice'
import type { Evaluation } from '~~/core/evaluate'
import type { Recipe } from '~~/core/recipe/document'

const { recipe, before, evaluation } = defineProps<{
  recipe: Recipe
  /** The figures of the recipe it grew from; null for one as written. */
  before: Evaluation | null
  evaluation: Evaluation | null
}>()
const shelves = useLarderStore()

const advice = computed(() =>
  adviceOn(recipe, shelves.larder, before && evaluation ? { before, after: evaluation } : null),
)
const remarks = computed(() => [
  ...recipe.notes.filter((note) => note.code === 'cooking'),
  ...advice.value.filter((note) => note.code === 'handling'),
])
const kept = computed(() =>
  recipe.notes.filter(
    (note) => note.level === 'note' && !['handling', 'method', 'cooking'].includes(note.code),
  ),
)
/** Remarks on a step ("Step 3 says egg") stand under it. */
const remarksOn = (step: number) =>
  advice.value.filter((note) => note.code === 'method' && note.text.startsWith(`Step ${step} `))
</script>

<template>
  <section
    v-if="recipe.method.length || remarks.length || kept.length"
    aria-labelledby="method-title"
    class="method"
  >
    <h2 v-if="recipe.method.length" id="method-title">Method</h2>
    <ol v-if="recipe.method.length">
      <li v-for="(step, at) in recipe.method" :key="at">
        {{ step }}
        <span v-for="remark in remarksOn(at + 1)" :key="remark.text" class="remark small">{{
          remark.text.replace(/^Step \d+ says/, 'Here')
        }}</span>
      </li>
    </ol>
    <template v-if="remarks.length">
      <h2>What to do differently</h2>
      <ul class="small">
        <li v-for="remark in remarks" :key="remark.text">{{ remark.text }}</li>
      </ul>
    </template>
    <p v-for="note in kept" :key="note.text" class="soft small">{{ note.text }}</p>
  </section>
</template>

<style scoped>
.method {
  display: grid;
  gap: 0.4rem;
  padding-top: 0.5rem;
  border-top: 1px solid var(--rule-strong);
}
ol,
ul {
  display: grid;
  gap: 0.3rem;
  padding-left: 1.4rem;
  list-style: decimal;
}
ul {
  list-style: disc;
}
.remark {
  display: block;
  color: var(--beet);
}
</style>
