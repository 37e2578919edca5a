<script setup lang="ts">
import { ORIGIN_WORDS } from '~~/core/diet/diets'
import { EU_ALLERGENS, type Food } from '~~/core/food/food'
import { howToMake } from '~~/core/food/homemade'
import { MICRONUTRIENT_KEYS, MICRONUTRIENTS, type Micronutrient } from '~~/core/food/micronutrients'
import { NUTRIENT_TABLE, rowName, nutrientsPer100g, NUTRIENTS, type Nutrient } from '~~/core/food/nutrients'
import { AMINO_ACIDS } from '~~/core/food/aminoAcids'
import { unknownOf } from '~~/core/nutrition/unknownFigures'
import type { OwnFood, ShelvedFood } from '~~/shared/api/foods'
import { ApiProblem } from '~/logic/api'
import { showChange, showFigure, showGrams, showMicro, showWhen } from '~/logic/format'

const { food, other } = defineProps<{
  food: Food
  /** A second food to hold against it. */
  other: Food | null
}>()

const emit = defineEmits<{ anew: [] }>()
const shelves = useLarderStore()

const isOwn = computed(() => (food as Partial<ShelvedFood>).shelf === 'own')
const history = shallowRef<OwnFood['entries']>([])
const trouble = ref('')
watch(
  () => [food.id, isOwn.value] as const,
  async ([id, mine]) => {
    history.value = []
    trouble.value = ''
    withdrawn.value = false
    if (mine) history.value = (await shelves.entriesOf(id).catch(() => null))?.entries ?? []
  },
)
const withdrawn = ref(false)
onMounted(async () => {
  if (isOwn.value) history.value = (await shelves.entriesOf(food.id).catch(() => null))?.entries ?? []
})
async function toggle() {
  try {
    await (withdrawn.value ? shelves.restore(food.id) : shelves.withdraw(food.id))
    withdrawn.value = !withdrawn.value
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.problem.detail
  }
}
const unknown = computed(() => unknownOf(food))
const acids = computed(() => {
  const known = food.aminoAcids
  if (!known) return null
  return Object.entries(AMINO_ACIDS)
    .map(([key, { name, patternMgPerG }]) => ({
      name,
      pct: (100 * known.mgPerGProtein[key as keyof typeof AMINO_ACIDS]) / patternMgPerG,
    }))
    .reduce((least, one) => (one.pct < least.pct ? one : least))
})

const own = computed(() => nutrientsPer100g(food))
const theirs = computed(() => (other ? nutrientsPer100g(other) : null))
const change = (key: Nutrient) => showChange(key, own.value[key] - theirs.value![key])
const microOf = (of: Food, key: Micronutrient) => {
  const value = of.micronutrients[key]
  return value === null ? 'unknown' : `${showMicro(value)} ${MICRONUTRIENTS[key].unit}`
}
const RATIOS = new Set(['edible', 'drained', 'squeezed', 'soaked', 'packed'])
const units = computed(() =>
  Object.entries(food.unitGrams).map(([unit, value]) =>
    RATIOS.has(unit)
      ? `${unit}: × ${value}`
      : unit === 'across'
        ? `one is ${value} cm across`
        : `${unit}: ${showGrams(value)} g`,
  ),
)
const certain = computed(() => food.allergens.map((key) => EU_ALLERGENS[key]))
const possible = computed(() => food.possibleAllergens.map((key) => EU_ALLERGENS[key]))
</script>

<template>
  <section class="detail" aria-labelledby="food-name">
    <h2 id="food-name">{{ food.name }}</h2>
    <p class="small soft">
      {{ food.source }}. {{ food.group.replace('-', ' ')
      }}<template v-if="food.state">, {{ food.state }}</template
      >.
    </p>
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">In 100 g</th>
          <th scope="col">{{ other ? 'this' : '' }}</th>
          <th v-if="other" scope="col">{{ other.name }}</th>
          <th v-if="other" scope="col">more or less</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">Water</th>
          <td>{{ food.per100g.waterG.toFixed(1) }} g</td>
          <td v-if="other">{{ other.per100g.waterG.toFixed(1) }}</td>
          <td v-if="other" />
        </tr>
        <tr v-for="key in NUTRIENTS" :key="key" :class="{ sub: NUTRIENT_TABLE[key].within !== null }">
          <th scope="row">{{ rowName(key) }}</th>
          <td v-if="unknown.includes(key)">
            {{ own[key] > 0 ? `≥ ${showFigure(key, own[key])} ${NUTRIENT_TABLE[key].unit}` : 'unknown' }}
          </td>
          <td v-else>{{ showFigure(key, own[key]) }} {{ NUTRIENT_TABLE[key].unit }}</td>
          <td v-if="theirs">{{ showFigure(key, theirs[key]) }}</td>
          <td v-if="theirs">{{ change(key) }}</td>
        </tr>
        <tr v-for="key in MICRONUTRIENT_KEYS" :key="key">
          <th scope="row">{{ MICRONUTRIENTS[key].name }}</th>
          <td>{{ microOf(food, key) }}</td>
          <td v-if="other">{{ microOf(other, key) }}</td>
          <td v-if="other" />
        </tr>
      </tbody>
    </table>
    <p class="small soft">
      Energy is reckoned by the EU factors; the source states
      {{ Math.round(food.statedEnergyKcal) }} kcal.
    </p>
    <p v-if="food.homemade" class="small">
      <strong>Made at home.</strong> {{ food.homemade.makesGrams }} g come of
      {{ howToMake(food, food.homemade.makesGrams) }}.
    </p>
    <PriceField :food="food" />
    <StockField :food="food" />
    <dl>
      <template v-if="!food.originKnown">
        <dt>Comes from</dt>
        <dd>
          <span class="sign watch">? not known</span> The table does not say, nor which allergens it holds: no
          diet can be told of it. Type it in as your own food to say.
        </dd>
      </template>
      <template v-if="food.origins.length || food.possibleOrigins.length">
        <dt>Comes from</dt>
        <dd>
          {{ food.origins.map((origin) => ORIGIN_WORDS[origin]).join(', ') || 'plants'
          }}<template v-if="food.possibleOrigins.length"
            >; the packet may add
            {{ food.possibleOrigins.map((origin) => ORIGIN_WORDS[origin]).join(', ') }}</template
          >
        </dd>
      </template>
      <template v-if="certain.length || possible.length">
        <dt>Allergens</dt>
        <dd>
          <strong>{{ certain.join(', ') }}</strong><template v-if="possible.length"
            >{{ certain.length ? '; ' : '' }}packet: {{ possible.join(', ') }}</template
          >
        </dd>
      </template>
      <template v-if="food.waterDemand !== null">
        <dt>Drinks</dt>
        <dd>{{ food.waterDemand }} g of water a gram for a medium dough (common practice, no source)</dd>
      </template>
      <template v-if="acids && food.aminoAcids">
        <dt>Protein</dt>
        <dd>
          scarcest is {{ acids.name }}, {{ Math.round(acids.pct) }} % of the adult pattern
          <span class="soft small">({{ food.aminoAcids.source }}; FAO/WHO/UNU 2007)</span>
        </dd>
      </template>
      <dt>Weighs</dt>
      <dd>{{ [`1 ml: ${food.gramsPerMl} g`, ...units].join(', ') }}</dd>
      <dt v-if="food.synonyms.length">Read from</dt>
      <dd v-if="food.synonyms.length">
        {{ food.synonyms.join(', ') }}
      </dd>
    </dl>
    <template v-if="isOwn">
      <ul class="small">
        <li v-for="one in history" :key="one.entry">
          Typed by {{ one.who }}, {{ showWhen(one.typedAt)
          }}<template v-if="one.label.energy !== null"
            >: {{ one.label.energy }} {{ one.label.energyUnit }} in {{ one.label.perGrams }} g</template
          >
        </li>
      </ul>
      <p class="acts">
        <Button
          v-if="!food.homemade"
          label="Type it anew"
          size="small"
          severity="secondary"
          outlined
          @click="emit('anew')"
        />
        <Button
          :label="withdrawn ? 'Offer it again' : 'Offer it no longer'"
          size="small"
          severity="secondary"
          outlined
          @click="toggle"
        />
        <span v-if="withdrawn" class="small" role="status">Recipes that use it keep it.</span>
      </p>
      <p v-if="trouble" role="alert" class="small"><span class="sign stop">✕</span> {{ trouble }}</p>
    </template>
  </section>
</template>

<style scoped>
.detail {
  display: grid;
  align-content: start;
  gap: 0.5rem;
}
table {
  width: 100%;
}
td:nth-child(2) {
  font-weight: 640;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
}
dl {
  display: grid;
  grid-template-columns: 6rem 1fr;
  gap: 0.25rem 0.75rem;
}
dt {
  color: var(--ink-soft);
}
</style>
