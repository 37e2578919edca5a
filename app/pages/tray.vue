<script setup lang="ts">
import { ApiProblem } from '~/logic/api'
import type { Piece } from '~/components/bench/CrossSection.vue'

const bench = useBenchStore()
const clock = useClockStore()
const route = useRoute()
/** A dish of the dinner, by its number; else what is on the bench. */
const dish = computed(() => clock.dinner.dishes[Number(route.query.dish) - 1] ?? null)
const recipe = computed(() => dish.value?.recipe ?? bench.recipe)
const edits = useBenchEdits()
const loading = ref(true)
const trouble = ref('')

onMounted(async () => {
  try {
    if (!bench.recipe) await bench.resume()
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.problem.detail
  } finally {
    loading.value = false
  }
})

const { evaluation, problems: unready } = useEvaluation(() => recipe.value)
const { typed, cookware, usual, planned, problems } = useTrayPlan(
  () => recipe.value,
  () => evaluation.value,
  () => (dish.value ? dish.value.recipeId : bench.slot.id) ?? recipe.value?.title ?? '',
)
/** So many pieces of different fillings stand side by side. */
const MOST_DRAWN = 3
const piece = computed<Piece[]>(() => {
  if (!planned.value || !recipe.value) return []
  const { shape } = recipe.value
  const { doughGramsPerPiece: doughGrams, fillingGramsPerPiece: fillingGrams, fillings } = planned.value
  const grams = { doughGrams, fillingGrams, coatGrams: 0, oilGrams: 0 }
  if (fillings.length < 2) return [{ caption: 'One piece', shape, grams }]
  return fillings
    .slice(0, MOST_DRAWN)
    .map(({ name, mark }) => ({ caption: name || 'Filling', shape, grams, mark: mark ?? undefined }))
})
const working = ref(false)
useHead({ title: () => (recipe.value ? `Tray: ${recipe.value.title} · Swap Pocket` : 'Tray · Swap Pocket') })

usePlaceKeys([
  { key: 'mod+z', says: 'Undo', act: bench.undo },
  { key: 'mod+shift+z', says: 'Redo', act: bench.redo },
])
</script>

<template>
  <main v-if="loading" class="empty" aria-busy="true"><Skeleton height="12rem" /></main>
  <main v-else-if="!recipe" class="empty">
    <h1>Nothing to divide yet</h1>
    <p v-if="trouble">{{ trouble }}</p>
    <p>Put a recipe on the bench: the tray works out its pieces and batches.</p>
    <p><NuxtLink to="/paste">Paste a recipe</NuxtLink> <NuxtLink to="/">To the shelf</NuxtLink></p>
  </main>
  <main v-else class="tray">
    <header>
      <h1>{{ recipe.title }}</h1>
      <p class="soft">
        {{ recipe.pieces }} pieces by the recipe.
        <template v-if="dish">A dish of the dinner. <NuxtLink to="/clock">To the clock</NuxtLink></template>
        <template v-else>
          <button v-if="bench.canUndo" type="button" class="opens" @click="bench.undo">Undo</button>
          <NuxtLink :to="bench.slot.id ? `/bench/${bench.slot.id}` : '/bench'">To the bench</NuxtLink>
        </template>
      </p>
    </header>
    <section class="left" aria-label="Plan of the pieces">
      <PlanForm v-model="typed" :planned="planned" :problems="problems" />
      <h2>Cooked in</h2>
      <CookwareList v-model="cookware" :wanted="usual" :problems="problems" />
    </section>
    <div v-if="planned" class="right" :class="{ stale: problems.length }">
      <p v-if="problems.length" class="small" role="status">
        <span class="sign watch">as before</span> The drawing shows what was last possible.
      </p>
      <div class="pair">
        <CrossSection :pieces="piece" :height="190" />
        <ComesOut
          :planned="planned"
          :recipe="recipe"
          :fixed="dish !== null"
          @count="(pieces) => edits.count('pieces', pieces)"
        />
      </div>
      <section v-if="planned.cuts.length" aria-labelledby="sheet-title">
        <h2 id="sheet-title">The sheet</h2>
        <SheetDrawing :planned="planned" :square="typed.method === 'squares'" />
      </section>
      <section v-if="planned.batches.length" aria-labelledby="batches-title">
        <h2 id="batches-title">Batches</h2>
        <BatchDrawing v-for="(batch, at) in planned.batches" :key="at" :batch="batch" />
      </section>
      <section>
        <button type="button" class="opens small soft" :aria-expanded="working" @click="working = !working">
          how this came about
        </button>
        <ul v-if="working" class="small">
          <li v-for="line in planned.working" :key="line">{{ line }}.</li>
        </ul>
      </section>
    </div>
    <div v-else class="right">
      <p v-for="problem in [...unready, ...problems]" :key="problem.field">{{ problem.message }}.</p>
    </div>
  </main>
</template>

<style scoped>
.empty {
  display: grid;
  align-content: start;
  gap: 0.75rem;
  width: min(44rem, 100%);
  margin: 2rem auto;
  padding: 0 1.25rem;
}
.tray {
  display: grid;
  grid-template: auto 1fr / minmax(18rem, 22rem) minmax(0, 1fr);
  flex: 1;
}
header {
  grid-column: 1 / -1;
  padding: 0.5rem 1.25rem 0.6rem;
  border-bottom: 1px solid var(--rule-strong);
  background: var(--sheet);
}
header p {
  display: flex;
  gap: 1rem;
}
.left,
.right {
  display: grid;
  align-content: start;
  gap: 0.9rem;
  padding: 0.8rem 1.25rem 2rem;
}
.right {
  border-left: 1px solid var(--rule-strong);
  background: var(--sheet);
}
.right > section {
  display: grid;
  gap: 0.6rem;
  padding-top: 0.7rem;
  border-top: 1px solid var(--rule);
}
.pair {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.1fr);
  align-items: start;
  gap: 1.25rem;
}
.stale .pair,
.stale > section {
  opacity: 0.55;
}
ul {
  padding-left: 1.1rem;
}
@media (max-width: 960px) {
  .tray {
    display: block;
  }
  .right {
    border: 0;
  }
  .pair {
    grid-template-columns: 1fr;
  }
}
</style>
