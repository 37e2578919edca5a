<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { NO_LOCKS, USUAL_WEIGHTS, type Weights } from '~~/core/optimisation/wishes'
import type { Target } from '~~/core/diet/target'
import { searchFoods } from '~~/core/reading/searchFoods'
import type { Food } from '~~/core/food/food'
import type { Recipe } from '~~/core/recipe/document'
import { allLines } from '~~/core/recipe/lines'
import { LEAVING_OUT, REACHING } from '~/logic/dietGroups'
import { showGrams } from '~/logic/format'

const { recipe } = defineProps<{ recipe: Recipe }>()
const visible = defineModel<boolean>('visible', { required: true })
const emit = defineEmits<{ take: [recipe: Recipe, diets: string[]]; avoid: [foodIds: string[]] }>()

const shelves = useLarderStore()
const chosen = ref<string[]>([...recipe.diets])
const locked = ref<string[]>([])
const maxSwaps = ref('')
const onlyHave = ref(false)
const { refused } = useRefused()
const weights = useLocalStorage<Weights>('swap-pocket:weights', { ...USUAL_WEIGHTS }, { mergeDefaults: true })
const WEIGHT_WORDS: Record<keyof Weights, string> = {
  moved: 'Weight moved',
  swaps: 'Swaps made',
  roles: 'What an ingredient did',
  taste: 'Lines that carry the taste',
  newThings: 'New things to buy',
  price: 'Price',
  kept: 'A diet it keeps, an allergen it does not hold',
  figures: 'Figures nobody asked to change',
  cooking: 'Another way of cooking',
}
const lines = computed(() => allLines(recipe).filter(({ line }) => line.foodId && line.grams))

const OWN_FIGURES = [
  { label: 'kcal a piece, at most', figure: 'energyKcal', per: 'piece', comparison: 'at-most' },
  { label: 'g protein a piece, at least', figure: 'proteinG', per: 'piece', comparison: 'at-least' },
  {
    label: 'g net carbohydrate a serving, at most',
    figure: 'netCarbohydrateG',
    per: 'serving',
    comparison: 'at-most',
  },
  { label: 'g fibre a piece, at least', figure: 'fibreG', per: 'piece', comparison: 'at-least' },
  { label: 'g saturates in 100 g, at most', figure: 'saturatedFatG', per: '100g', comparison: 'at-most' },
  { label: 'g salt in 100 g, at most', figure: 'saltG', per: '100g', comparison: 'at-most' },
] as const
const limits = reactive<Record<string, string>>({})
const number = (text: string) => Number(text.trim().replace(',', '.'))
const targets = computed<Target[]>(() =>
  OWN_FIGURES.flatMap(({ label: _, ...own }) => {
    const text = limits[own.figure] ?? ''
    return text.trim() && number(text) >= 0 ? [{ ...own, limit: number(text), ofOriginal: false }] : []
  }),
)
const problem = computed(() => {
  const bad = OWN_FIGURES.find((own) => limits[own.figure]?.trim() && !(number(limits[own.figure]!) >= 0))
  if (bad) return `${bad.label}: type a number of 0 or more, or nothing`
  if (maxSwaps.value.trim() && !(Number.isInteger(number(maxSwaps.value)) && number(maxSwaps.value) >= 0))
    return 'Swaps: type a whole number, or nothing'
  return ''
})

const avoided = computed(() => recipe.avoid ?? [])
const toAvoid = ref<Food | string>('')
const found = ref<Food[]>([])
const search = ({ query }: { query: string }) => (found.value = searchFoods(query, shelves.reference.foods))
function avoid(food: Food) {
  emit('avoid', [...new Set([...avoided.value, food.id])])
  toAvoid.value = ''
}
const nameOf = (id: string) => shelves.reference.foods.get(id)?.name ?? id

const { progress, answer, curve, trouble, ask, cancel } = useTargetSearch()
const asked = computed(() => chosen.value.length + targets.value.length + avoided.value.length > 0)
function question(kind: 'adapt' | 'curve', figure: Target | null) {
  if (problem.value) return
  const have = onlyHave.value
    ? [...shelves.prices.keys(), ...lines.value.map(({ line }) => line.foodId!)]
    : null
  ask({
    kind,
    recipe,
    diets: chosen.value,
    targets: targets.value,
    locks: {
      ...NO_LOCKS,
      lineIds: locked.value,
      maxSwaps: maxSwaps.value.trim() ? number(maxSwaps.value) : null,
      have,
      refused: refused.value,
    },
    weights: weights.value,
    prices: [...shelves.prices.values()],
    foods: shelves.others,
    swaps: shelves.swaps,
    figure,
  })
}
const show = ref<'nearest' | 'one' | 'trade-off'>('nearest')
const VIEWS = [
  { value: 'nearest', label: 'Nearest recipe' },
  { value: 'one', label: 'One by one' },
  { value: 'trade-off', label: 'How far for what' },
] as const

const run = () => {
  show.value = 'nearest'
  question('adapt', null)
}

// On a narrow screen the answer stands below what was asked.
const result = useTemplateRef<HTMLElement>('result')
watch(answer, async (found) => {
  if (!found) return
  await nextTick()
  result.value?.scrollIntoView({ block: 'nearest' })
})

function take(made: Recipe) {
  emit('take', made, chosen.value)
  visible.value = false
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Adapt this recipe" class="wide" dismissable-mask>
    <div class="adapt">
      <form class="wishes" @submit.prevent="run">
        <fieldset>
          <legend>Leave out</legend>
          <label v-for="diet in LEAVING_OUT" :key="diet.id" :title="diet.source"
            ><input v-model="chosen" type="checkbox" :value="diet.id" /> {{ diet.name }}</label
          >
        </fieldset>
        <fieldset>
          <legend>Reach</legend>
          <label v-for="diet in REACHING" :key="diet.id" :title="diet.source"
            ><input v-model="chosen" type="checkbox" :value="diet.id" /> {{ diet.name }}</label
          >
        </fieldset>
        <details>
          <summary>Figures of your own</summary>
          <label v-for="own in OWN_FIGURES" :key="own.figure" class="own"
            ><input v-model="limits[own.figure]" class="field" inputmode="decimal" /> {{ own.label }}</label
          >
        </details>
        <details :open="avoided.length > 0">
          <summary>Avoid{{ avoided.length ? `: ${avoided.length}` : '' }}</summary>
          <p v-for="id in avoided" :key="id" class="small">
            {{ nameOf(id) }}
            <button
              type="button"
              class="opens"
              @click="
                emit(
                  'avoid',
                  avoided.filter((one) => one !== id),
                )
              "
            >
              allow it
            </button>
          </p>
          <AutoComplete
            v-model="toAvoid"
            :suggestions="found"
            option-label="name"
            data-key="id"
            size="small"
            placeholder="A food you leave out"
            aria-label="A food you leave out"
            @complete="search"
            @option-select="(event) => avoid(event.value)"
          />
        </details>
        <details>
          <summary>Keep, and how much may change</summary>
          <label class="own"
            ><input v-model="maxSwaps" class="field" inputmode="numeric" placeholder="any" /> swaps at
            most</label
          >
          <label><input v-model="onlyHave" type="checkbox" /> only what is in it or in the price book</label>
          <p class="small soft">Lines to keep as they are:</p>
          <label v-for="{ line } in lines" :key="line.id" class="small"
            ><input v-model="locked" type="checkbox" :value="line.id" />
            {{ line.grams === null ? '' : `${showGrams(line.grams)} g ` }}{{ line.name }}</label
          >
        </details>
        <details>
          <summary>What counts as far</summary>
          <label v-for="(word, key) in WEIGHT_WORDS" :key="key" class="slide"
            ><span>{{ word }}</span>
            <input v-model.number="weights[key]" type="range" min="0" max="4" step="0.5" />
            <span class="small soft">{{ weights[key] === 0 ? 'no' : `× ${weights[key]}` }}</span></label
          >
          <p v-if="refused.length" class="small">
            {{ refused.length }} swaps are refused.
            <button type="button" class="opens" @click="refused = []">Offer them again</button>
          </p>
        </details>
        <p v-if="problem" role="alert" class="small"><span class="sign stop">✕</span> {{ problem }}</p>
        <Button
          type="submit"
          label="Find the nearest"
          :disabled="!asked || progress !== null || problem !== ''"
        />
      </form>
      <section ref="result" class="result" aria-live="polite" aria-label="What was found">
        <SelectButton
          v-model="show"
          :options="[...VIEWS]"
          option-label="label"
          option-value="value"
          :allow-empty="false"
          size="small"
          aria-label="What to look at"
        />
        <p v-if="progress" role="status">
          <progress :value="progress.share" max="1" aria-label="Search" /> {{ progress.doing }}
          <button type="button" class="opens" @click="cancel">give up</button>
        </p>
        <p v-if="trouble" role="alert"><span class="sign stop">✕</span> {{ trouble }}</p>
        <template v-if="show === 'nearest'">
          <AdaptAnswer v-if="answer" :answer="answer" :diets="chosen" @take="take" />
          <p v-else-if="!progress" class="soft">
            Choose what to leave out and what to reach, together if you like. The nearest recipe to the one
            you wrote is searched: swaps and amounts, with dough, pieces and weight as they are.
          </p>
        </template>
        <OneByOne
          v-else-if="show === 'one'"
          :key="chosen.join()"
          :recipe="recipe"
          :diets="chosen"
          @take="take"
        />
        <LazyTradeOff
          v-else
          :curve="curve"
          :busy="progress !== null"
          @ask="(figure) => question('curve', figure)"
          @take="take"
        />
      </section>
    </div>
  </Dialog>
</template>

<style scoped>
.adapt {
  display: grid;
  grid-template-columns: 19rem minmax(0, 1fr);
  gap: 1.5rem;
  min-height: 26rem;
}
.wishes,
.result {
  display: grid;
  align-content: start;
  gap: 0.6rem;
}
fieldset {
  display: grid;
  grid-template-columns: 1fr 1fr;
  align-items: start;
  gap: 0.25rem 0.5rem;
  margin: 0;
  padding: 0;
  border: 0;
}
fieldset label {
  display: flex;
  align-items: baseline;
  gap: 0.4rem;
  line-height: 1.25;
}
legend {
  padding: 0;
  font-weight: 640;
}
details {
  padding-top: 0.3rem;
  border-top: 1px solid var(--rule);
}
summary {
  cursor: pointer;
}
details label {
  display: block;
}
.own input {
  width: 4.5rem;
  text-align: right;
}
.slide {
  display: grid !important;
  grid-template-columns: 10.5rem 1fr 2.4rem;
  align-items: center;
  gap: 0.4rem;
}
.slide input {
  accent-color: var(--beet);
}
progress {
  accent-color: var(--beet);
}
@media (max-width: 800px) {
  .adapt {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
