<script setup lang="ts">
import { PART_NAMES } from '~~/core/recipe/vocabulary'
import { useToast } from 'primevue/usetoast'
import { adviceOn } from '~~/core/method/advice'
import { evaluate, type Evaluation } from '~~/core/evaluation/evaluate'
import { NUTRIENT_TABLE, rowName, type Nutrient } from '~~/core/food/nutrients'
import { pieceGrams } from '~~/core/evaluation/pieceGrams'
import { RecipeProblem } from '~~/core/recipe/problem'
import type { ListedRecipe, StoredRecipe, StoredWithParent } from '~~/shared/api/answers'
import { ApiProblem, call } from '~/logic/api'
import { differingAdvice, differingLines } from '~/logic/compare'
import { showChange, showFigure, showGrams } from '~/logic/format'

const MOST = 4
const route = useRoute()
const router = useRouter()
const toast = useToast()
const shelves = useLarderStore()

const shelf = shallowRef<ListedRecipe[]>([])
const stored = shallowRef<StoredWithParent[]>([])
const trouble = ref('')
const ids = computed(() =>
  String(route.query.ids ?? '')
    .split(',')
    .filter(Boolean)
    .slice(0, MOST),
)

async function load() {
  trouble.value = ''
  try {
    const [listed, ...recipes] = await Promise.all([
      call<{ recipes: ListedRecipe[] }>('GET', '/api/recipes'),
      ...ids.value.map((id) => call<StoredWithParent>('GET', `/api/recipes/${encodeURIComponent(id)}`)),
    ])
    shelf.value = listed.recipes
    for (const one of recipes) await shelves.knowFoodsOf(one.recipe)
    stored.value = recipes
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.problem.detail
  }
}
watch(ids, load, { immediate: true })

const choose = (chosen: string[]) => router.push({ path: '/compare', query: { ids: chosen.join(',') } })
const others = computed(() => shelf.value.filter((one) => !ids.value.includes(one.id)))

/** What is compared; a recipe without a dough has no figures. */
const columns = computed(() => {
  const made: { stored: StoredWithParent; evaluation: Evaluation | null; advice: string[] }[] = []
  for (const one of stored.value) {
    try {
      // A variant is held against the recipe it grew from, where that stands beside it.
      const original = made.find((other) => other.stored.id === one.parentId)?.evaluation ?? null
      const after = evaluate(one.recipe, shelves.reference, original)
      const figures = original && { before: original, after }
      const advice = adviceOn(one.recipe, shelves.reference, figures).map((note) => note.text)
      made.push({ stored: one, evaluation: after, advice })
    } catch (error) {
      if (!(error instanceof RecipeProblem)) throw error
      made.push({ stored: one, evaluation: null, advice: [] })
    }
  }
  return made
})
const first = computed(() => columns.value[0]?.evaluation ?? null)
const FIGURES: Nutrient[] = [
  'energyKcal',
  'proteinG',
  'fatG',
  'saturatedFatG',
  'netCarbohydrateG',
  'fibreG',
  'sugarsG',
  'saltG',
]
const recipes = computed(() => stored.value.map((one) => one.recipe))
const lines = computed(() => differingLines(recipes.value, shelves.reference.foods))
const method = computed(() => differingAdvice(columns.value.map((one) => one.advice)))

/** Puts a variant in the place of the recipe it grew from, as a new revision of that; the variant stays. */
async function merge(variant: StoredWithParent) {
  const { parentId } = variant
  if (!parentId) return
  try {
    const parent = await call<StoredRecipe>('GET', `/api/recipes/${parentId}`)
    const merged = await call<StoredRecipe>('PUT', `/api/recipes/${parentId}`, {
      recipe: { ...variant.recipe, title: parent.recipe.title },
      revision: parent.revision,
    })
    undoable.value = { parent, revision: merged.revision }
    toast.add({
      severity: 'success',
      summary: `“${parent.recipe.title}” is now as the variant`,
      detail: `Revision ${merged.revision}; the one before is kept`,
      life: 4000,
    })
    await load()
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.problem.detail
  }
}
const undoable = shallowRef<{ parent: StoredRecipe; revision: number } | null>(null)
async function undo() {
  if (!undoable.value) return
  const { parent, revision } = undoable.value
  try {
    await call<StoredRecipe>('PUT', `/api/recipes/${parent.id}`, { recipe: parent.recipe, revision })
    undoable.value = null
    await load()
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.problem.detail
  }
}
useHead({ title: 'Compare · Swap Pocket' })
</script>

<template>
  <main class="compare">
    <header>
      <h1>Side by side</h1>
      <label v-if="ids.length < MOST && others.length"
        >Add
        <select
          class="field"
          :value="''"
          @change="(event) => choose([...ids, (event.target as HTMLSelectElement).value])"
        >
          <option value="" disabled>a recipe from the shelf</option>
          <option v-for="one in others" :key="one.id" :value="one.id">{{ one.title }}</option>
        </select></label
      >
      <Button
        v-if="undoable"
        label="Undo the merge"
        size="small"
        severity="secondary"
        outlined
        @click="undo"
      />
    </header>
    <p v-if="trouble" role="alert"><span class="sign stop">✕</span> {{ trouble }}</p>
    <p v-if="!ids.length" class="soft">
      Choose two to four recipes, or press Compare at a family on the shelf.
    </p>
    <div v-else-if="columns.length" class="scroll" tabindex="0" role="region" aria-label="Comparison">
      <table>
        <thead>
          <tr>
            <td />
            <th v-for="{ stored: one, evaluation } in columns" :key="one.id" scope="col">
              <NuxtLink :to="`/bench/${one.id}`">{{ one.recipe.title }}</NuxtLink>
              <!-- The same width for all: the pieces stand to one scale. -->
              <span v-if="evaluation" class="piece">
                <CrossSection
                  :pieces="[
                    { caption: one.recipe.title, shape: one.recipe.shape, grams: pieceGrams(evaluation) },
                  ]"
                  :height="106"
                  bare
                />
              </span>
              <span class="acts small">
                <button
                  type="button"
                  class="opens"
                  :aria-label="`Take ${one.recipe.title} out of the comparison`"
                  @click="choose(ids.filter((id) => id !== one.id))"
                >
                  take out
                </button>
                <button
                  v-if="one.parentId && ids.includes(one.parentId)"
                  type="button"
                  class="opens"
                  :aria-label="`Make the original as ${one.recipe.title}`"
                  @click="merge(one)"
                >
                  make the original so
                </button>
              </span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr class="head">
            <th scope="row">A piece</th>
            <td v-for="{ stored: one, evaluation } in columns" :key="one.id">
              {{ evaluation ? `${showGrams(evaluation.asEaten.gramsPerPiece)} g eaten` : 'no dough yet' }}
            </td>
          </tr>
          <tr v-for="key in FIGURES" :key="key">
            <th scope="row">{{ rowName(key) }}</th>
            <td v-for="({ stored: one, evaluation }, at) in columns" :key="one.id">
              <template v-if="evaluation"
                ><strong>{{ showFigure(key, evaluation.perPiece[key]) }}</strong>
                {{ NUTRIENT_TABLE[key].unit }}
                <span v-if="at && first" class="soft small">{{
                  showChange(key, evaluation.perPiece[key] - first.perPiece[key])
                }}</span></template
              >
            </td>
          </tr>
          <tr>
            <th scope="row">Dough</th>
            <td v-for="{ stored: one, evaluation } in columns" :key="one.id">
              {{ evaluation?.dough.consistency ?? 'bought' }}
              <span v-if="evaluation?.dough.softness" class="soft small">{{
                evaluation.dough.softness.toFixed(2)
              }}</span>
            </td>
          </tr>
          <tr>
            <th scope="row">Fits</th>
            <td v-for="{ stored: one, evaluation } in columns" :key="one.id" class="fits-list">
              <span
                v-for="verdict in evaluation?.diets.filter((diet) => diet.fits) ?? []"
                :key="verdict.diet"
                class="sign fits"
                >✓ {{ verdict.name.toLowerCase() }}</span
              >
            </td>
          </tr>
          <tr v-if="lines.length" class="head">
            <th scope="row">Lines that differ</th>
            <td :colspan="columns.length" />
          </tr>
          <tr v-for="line in lines" :key="`${line.part} ${line.name}`">
            <th scope="row">
              {{ line.name }}
              <span class="soft small">{{
                PART_NAMES[line.part as keyof typeof PART_NAMES].toLowerCase()
              }}</span>
            </th>
            <td v-for="(grams, at) in line.grams" :key="at">
              {{ grams === null ? '–' : `${showGrams(grams)} g` }}
            </td>
          </tr>
          <tr v-if="method.some((own) => own.length)" class="head">
            <th scope="row">Method that differs</th>
            <td v-for="(own, at) in method" :key="at" class="small steps">
              <p v-for="text in own" :key="text">{{ text }}.</p>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </main>
</template>

<style scoped>
.compare {
  display: grid;
  align-content: start;
  gap: 0.75rem;
  padding: 0.9rem 1.25rem 2rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem 1.5rem;
}
header select {
  max-width: 16rem;
}
.scroll {
  overflow-x: auto;
}
table {
  width: 100%;
  table-layout: fixed;
  border-collapse: collapse;
}
th {
  font-weight: 400;
  text-align: left;
  vertical-align: top;
}
thead td,
thead th {
  width: 13rem;
  padding: 0 1rem 0.3rem 0;
  font-weight: 640;
}
.piece {
  display: block;
  width: 12rem;
}
.acts {
  display: flex;
  gap: 0.9rem;
  font-weight: 400;
}
td,
tbody th {
  padding: 0.15rem 1rem 0.15rem 0;
  vertical-align: top;
}
tbody tr {
  border-top: 1px solid var(--rule);
}
tbody tr.head {
  border-top: 2px solid var(--ink);
}
tbody tr.head th {
  font-weight: 640;
}
.fits-list .sign {
  margin: 0 0.3rem 0.2rem 0;
}
.steps p + p {
  margin-top: 0.3rem;
}
</style>
