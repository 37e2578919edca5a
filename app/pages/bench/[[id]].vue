<script setup lang="ts">
import { madeAs } from '~~/core/substitution/catalogue'
import { useToast } from 'primevue/usetoast'
import { PART_NAMES, PART_KINDS } from '~~/core/recipe/vocabulary'
import { brings } from '~~/core/adaptation/brings'
import { table } from '~~/data/table'
import type { Basis } from '~/components/bench/FiguresTable.vue'
import type { ProblemDocument } from '~~/shared/api/answers'
import { ApiProblem } from '~/logic/api'
import { dietNames } from '~/logic/dietGroups'
import { answerQuestion, questionsAbout } from '~~/core/reading/questions'

const bench = useBenchStore()
const shelves = useLarderStore()
const edits = useBenchEdits()
const route = useRoute()
const router = useRouter()
const toast = useToast()
const id = computed(() => (typeof route.params.id === 'string' ? route.params.id : ''))

const loading = ref(true)
const failure = ref<ProblemDocument | null>(null)
const basis = ref<Basis>('perPiece')
const card = ref(false)
/** Diets, targets and combinations are being chosen. */
const adapting = ref(false)
/** The batch is being made larger or smaller. */
const scaling = ref(false)
/** Older revisions are being looked at. */
const revising = ref(false)
/** On a narrow screen one side is shown at a time. */
const side = ref<'recipe' | 'piece'>('recipe')

const { evaluation: before } = useEvaluation(() => bench.baseline)
const { evaluation, problems } = useEvaluation(
  () => bench.recipe,
  () => before.value,
)

/** Lines say themselves that they need a food or a weight; what concerns the whole is asked at the top. */
const questions = computed(() =>
  bench.recipe
    ? questionsAbout(bench.recipe, shelves.reference.foods).filter(
        ({ code }) => !['unknown-food', 'no-amount', 'to-feel'].includes(code),
      )
    : [],
)
const doubts = computed(() => {
  const asked = new Set(questions.value.map((question) => question.code))
  return bench.recipe?.notes.filter((one) => one.level === 'check' && !asked.has(one.code)) ?? []
})

async function load() {
  loading.value = true
  failure.value = null
  try {
    if (id.value) await bench.open(id.value)
    else if (!bench.recipe) await bench.resume()
    if (!id.value && bench.slot.id) await router.replace(`/bench/${bench.slot.id}`)
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    failure.value = error.problem
  } finally {
    loading.value = false
  }
}
// Asked for at once, not when everything is mounted: the page is drawn while the answer comes.
const first = load()
onMounted(async () => {
  await first
  // After the first look: what is needed for that comes first.
  setTimeout(() => void shelves.loadSwaps())
  setTimeout(() => void loadAdapt().catch(() => undefined), 3000)
  // The shelf's "Make it vegan" comes here with the wish in the address.
  const wish = route.query.make
  if (typeof wish !== 'string' || !bench.recipe) return
  await router.replace({ path: route.path })
  if (!bench.recipe.diets.includes(wish) && table.diets.some((diet) => diet.id === wish)) await adaptTo(wish)
})
watch(id, load)
useHead({ title: () => (bench.recipe ? `${bench.recipe.title} · Swap Pocket` : 'Bench · Swap Pocket') })

async function adaptTo(dietId: string) {
  const changes = await bench.adaptTo([dietId])
  if (bench.refusal) return
  const swapped = changes.filter(({ kind }) => kind === 'swap' || kind === 'formula').length
  const none = changes.filter((change) => change.kind === 'none').length
  await nextTick()
  const came =
    before.value && evaluation.value
      ? brings(before.value, evaluation.value, table.diets, [dietId]).allergens.join(', ').toLowerCase()
      : ''
  toast.add({
    severity: none ? 'warn' : 'info',
    summary: swapped ? `${swapped} ${swapped === 1 ? 'line' : 'lines'} swapped` : 'Nothing had to be swapped',
    detail: [
      none ? `For ${none} there is no substitute; they are marked` : 'Undo takes it back',
      came && `It brings ${came}`,
    ]
      .filter(Boolean)
      .join('. '),
    life: came ? 8000 : 4000,
  })
}

async function save() {
  if (!(await bench.save())) return
  toast.add({ severity: 'success', summary: 'Saved', detail: `Revision ${bench.slot.revision}`, life: 2500 })
  if (bench.slot.id !== id.value) await router.replace(`/bench/${bench.slot.id}`)
}

async function takeBack() {
  bench.takeBack()
  const address = bench.slot.id ?? bench.original.id
  await router.replace(address ? `/bench/${address}` : '/bench')
}

async function takeStored() {
  await bench.reload()
}

usePlaceKeys([
  { key: 'v', says: 'Make it vegan', act: () => adaptTo('vegan') },
  {
    key: 'a',
    says: 'Adapt: diets, targets and combinations',
    act: () => (adapting.value = bench.recipe !== null),
  },
  { key: 'mod+s', says: 'Save', always: true, act: save },
  { key: 'mod+z', says: 'Undo', act: bench.undo },
  { key: 'mod+shift+z', says: 'Redo', act: bench.redo },
  { key: '1', says: 'Figures per piece', act: () => (basis.value = 'perPiece') },
  { key: '2', says: 'Figures per serving', act: () => (basis.value = 'perServing') },
  { key: '3', says: 'Figures per 100 g', act: () => (basis.value = 'per100g') },
  { key: 'c', says: 'Card for the piece, to print', act: () => (card.value = evaluation.value !== null) },
  { key: 'p', says: 'Paste another recipe', act: () => router.push('/paste') },
])
</script>

<template>
  <main v-if="loading" class="waiting" aria-busy="true">
    <Skeleton height="2.2rem" width="60%" />
    <Skeleton height="18rem" />
  </main>
  <main v-else-if="failure" class="empty">
    <h1>{{ failure.status === 404 ? 'This recipe is not on the shelf' : failure.title }}</h1>
    <p>
      {{
        failure.status === 404 ? 'It may have been taken off, or the address is mistyped.' : failure.detail
      }}
    </p>
    <p>
      <Button v-if="failure.status !== 404" label="Try again" @click="load" />
      <NuxtLink to="/">To the shelf</NuxtLink>
    </p>
  </main>
  <main v-else-if="!bench.recipe" class="empty">
    <h1>Nothing on the bench yet</h1>
    <p>Paste a recipe as you have it, or take one from the shelf.</p>
    <p><NuxtLink to="/paste">Paste a recipe</NuxtLink> <NuxtLink to="/">To the shelf</NuxtLink></p>
  </main>
  <main v-else class="bench" :data-side="side">
    <div class="top">
      <BenchHead :recipe="bench.recipe" @scale="scaling = true" />
      <BenchActions
        :can-undo="bench.canUndo"
        :can-redo="bench.canRedo"
        :dirty="bench.dirty"
        :saving="bench.saving"
        :diets="bench.recipe.diets"
        :revision="bench.slot.revision"
        @undo="bench.undo"
        @redo="bench.redo"
        @save="save"
        @adapt="adaptTo"
        @more="adapting = true"
        @revisions="revising = true"
      />
      <SaveTrouble
        :problem="bench.trouble"
        :refusal="bench.refusal"
        :waiting="bench.waiting"
        @again="save"
        @over="bench.saveOver"
        @stored="takeStored"
      />
      <p v-if="bench.elsewhere" class="small" role="status">
        <span class="sign watch">△ open twice</span> This recipe has unsaved changes in another tab. Whichever
        is saved second is asked what to do.
      </p>
      <p v-if="bench.aside" class="small" role="status">
        Unsaved work on “{{ bench.aside }}” was put aside.
        <button type="button" class="opens" @click="takeBack">Take it back</button>
      </p>
      <AdaptedNote
        v-if="bench.baseline && evaluation"
        :evaluation="evaluation"
        :before="before"
        :diets="bench.recipe.diets"
        :original="bench.baseline.title"
        :original-id="bench.variant.id ? bench.original.id : null"
      />
    </div>
    <LazyAdaptDialog
      v-if="adapting"
      v-model:visible="adapting"
      :recipe="bench.recipe"
      @take="(made, diets) => bench.takeVariant(made, dietNames(diets))"
      @avoid="(avoid) => bench.change({ ...bench.recipe!, avoid })"
    />
    <LazyScaleDialog
      v-if="scaling"
      v-model:visible="scaling"
      :recipe="bench.recipe"
      :evaluation="evaluation"
    />
    <LazyRevisionsDialog
      v-if="revising && bench.slot.id && bench.slot.revision !== null"
      :id="bench.slot.id"
      v-model:visible="revising"
      :current="bench.slot.revision"
    />
    <div class="switch no-print" role="tablist" aria-label="Side">
      <button type="button" role="tab" :aria-selected="side === 'recipe'" @click="side = 'recipe'">
        Recipe
      </button>
      <button type="button" role="tab" :aria-selected="side === 'piece'" @click="side = 'piece'">
        Piece<template v-if="evaluation">, {{ Math.round(evaluation.perPiece.energyKcal) }} kcal</template>
      </button>
    </div>
    <div class="recipe">
      <QuestionList
        :questions="questions"
        :recipe="bench.recipe"
        @answer="
          (question, answer) =>
            bench.change(answerQuestion(bench.recipe!, question, answer, shelves.reference.foods))
        "
        @grams="(question, grams) => question.about && edits.grams(question.about, grams)"
      />
      <p v-for="note in doubts" :key="note.text" class="small">
        <span class="sign watch">check</span> {{ note.text }}
      </p>
      <RecipePart
        v-for="part in bench.recipe.parts"
        :key="part.id"
        :part="part"
        :evaluation="evaluation"
        :hosts="bench.recipe.parts"
        :made="madeAs(bench.recipe)"
        :pieces="bench.recipe.pieces"
      />
      <p class="parts no-print" role="group" aria-label="Add a part">
        <span class="soft">Add a part</span>
        <button
          v-for="kind in PART_KINDS"
          :key="kind"
          type="button"
          class="opens"
          @click="edits.addPart(kind, PART_NAMES[kind])"
        >
          {{ PART_NAMES[kind].toLowerCase() }}
        </button>
      </p>
      <MethodSteps :recipe="bench.recipe" :before="before" :evaluation="evaluation" />
    </div>
    <aside class="piece" aria-label="The piece">
      <PiecePanel
        v-if="evaluation"
        v-model:basis="basis"
        v-model:card="card"
        :recipe="bench.recipe"
        :evaluation="evaluation"
        :baseline="bench.baseline"
        :before="before"
      />
      <div v-else class="empty">
        <h2>No figures yet</h2>
        <p v-for="problem in problems" :key="problem.field">{{ problem.message }}.</p>
      </div>
    </aside>
  </main>
</template>

<style scoped>
.waiting,
.empty {
  display: grid;
  align-content: start;
  gap: 0.75rem;
  width: min(44rem, 100%);
  margin: 2rem auto;
  padding: 0 1.25rem;
}
.bench {
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1.12fr) minmax(0, 1fr);
  flex: 1;
  min-height: 0;
}
.top {
  display: grid;
  grid-area: 1 / 1 / 2 / 3;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: end;
  gap: 0.3rem 1.5rem;
  padding: 0.5rem 1.25rem 0.6rem;
  border-bottom: 1px solid var(--rule-strong);
  background: var(--sheet);
}
.top > :nth-child(n + 3) {
  grid-column: 1 / -1;
}
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.9rem;
}
.switch {
  display: none;
}
.recipe {
  display: grid;
  align-content: start;
  gap: 1rem;
  padding: 0.8rem 1.25rem 2rem;
}
.piece {
  padding: 0.8rem 1.25rem 2rem;
  border-left: 1px solid var(--rule-strong);
  background: var(--sheet);
}
@media (min-width: 961px) {
  .bench {
    height: calc(100vh - 3rem);
  }
  .recipe,
  .piece {
    overflow-y: auto;
  }
}
@media (max-width: 960px) {
  .bench {
    display: block;
  }
  .top {
    display: block;
    padding: 0.5rem 0.75rem;
  }
  .top > * + * {
    margin-top: 0.5rem;
  }
  .switch {
    position: sticky;
    top: 0;
    z-index: 2;
    display: grid;
    grid-template-columns: 1fr 1fr;
    background: var(--sheet);
  }
  .switch button {
    padding: 0.6rem;
    border: 0;
    border-bottom: 3px solid var(--rule);
    background: none;
    color: var(--ink-soft);
  }
  .switch [aria-selected='true'] {
    border-color: var(--beet);
    color: var(--ink);
    font-weight: 640;
  }
  .recipe,
  .piece {
    padding: 0.75rem;
    border: 0;
  }
  [data-side='recipe'] .piece,
  [data-side='piece'] .recipe {
    display: none;
  }
}
@media print {
  .bench {
    display: block;
    height: auto;
  }
  .recipe,
  .piece {
    display: block !important;
    overflow: visible;
  }
}
</style>
