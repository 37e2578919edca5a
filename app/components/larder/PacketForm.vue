<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { ORIGIN_WORDS } from '~~/core/diet/diets'
import { EU_ALLERGENS, ORIGINS, type Allergen, type Food } from '~~/core/food/food'
import { searchFoods } from '~~/core/reading/searchFoods'
import { checkLabel, type PacketLabel } from '~~/core/food/packet'
import type { OwnFood, ShelvedFood } from '~~/shared/api/foods'
import { ApiProblem } from '~/logic/api'

const { entry } = defineProps<{
  /** A food that was typed before, to be typed anew. */
  entry: OwnFood | null
}>()
const emit = defineEmits<{ stored: [food: ShelvedFood]; cancel: [] }>()

const shelves = useLarderStore()
const DRAFT = 'swap-pocket:packet'

const empty = (): PacketLabel => ({
  name: '',
  perGrams: 100,
  energy: null,
  energyUnit: 'kcal',
  fatG: null,
  saturatedFatG: null,
  carbohydrateG: null,
  carbohydrateIncludesFibre: false,
  sugarsG: null,
  polyolsG: null,
  fibreG: null,
  proteinG: null,
  salt: null,
  saltUnit: 'salt g',
  micronutrients: {},
  gramsPerMl: null,
  origins: [],
  allergens: [],
})
// What is typed survives a reload until it is stored.
const draft = useLocalStorage<PacketLabel>(DRAFT, empty(), { mergeDefaults: true })
const label = ref<PacketLabel>(
  entry?.entries[0] ? structuredClone(toRaw(entry.entries[0].label)) : draft.value,
)
const who = useLocalStorage('swap-pocket:who', '')
const like = ref<Food | string>('')
const found = ref<Food[]>([])

const AMOUNTS = [
  ['fatG', 'Fat', false],
  ['saturatedFatG', 'of which saturates', true],
  ['carbohydrateG', 'Carbohydrate', false],
  ['sugarsG', 'of which sugars', true],
  ['polyolsG', 'of which polyols', true],
  ['fibreG', 'Fibre', false],
  ['proteinG', 'Protein', false],
] as const
type Amount = (typeof AMOUNTS)[number][0] | 'energy' | 'salt' | 'perGrams' | 'gramsPerMl'

/** What was typed and is no number stays where it was typed, with a word beside it. */
const unread = reactive<Partial<Record<Amount, string>>>({})
function type(field: Amount, event: Event) {
  const text = (event.target as HTMLInputElement).value.trim()
  const value = Number(text.replace(',', '.').replace(/^<\s*/, ''))
  const fine = text === '' || (Number.isFinite(value) && value >= 0)
  if (!fine) unread[field] = text
  else {
    Reflect.deleteProperty(unread, field)
    if (field === 'perGrams') label.value.perGrams = text === '' ? 0 : value
    else label.value[field] = text === '' ? null : value
  }
}
/** Minerals that were typed and are no number. */
const unreadMinerals = ref(0)
const shown = (field: Amount) => unread[field] ?? label.value[field] ?? ''
const touched = computed(
  () => label.value.name.trim() !== '' || AMOUNTS.some(([field]) => label.value[field] !== null),
)
const doubts = computed(() => [
  ...Object.keys(unread).map((field) => ({
    level: 'error' as const,
    field,
    message: `“${unread[field as Amount]}” is no number; type one such as 12.5, or nothing`,
  })),
  ...(touched.value ? checkLabel(label.value) : []),
])
const doubtsOf = (field: string) => doubts.value.filter((doubt) => doubt.field === field)
const errors = computed(
  () => doubts.value.filter((doubt) => doubt.level === 'error').length + unreadMinerals.value,
)

const search = ({ query }: { query: string }) => {
  found.value = searchFoods(query, shelves.reference.foods).filter((food) => !food.id.startsWith('own-'))
}
/** A food that it behaves like brings its origin along; the packet has the last word. */
function takeLike(food: Food) {
  if (!label.value.origins.length) label.value.origins = [...food.origins]
  if (!label.value.allergens.length) label.value.allergens = [...food.allergens]
}

const storing = ref(false)
const trouble = ref('')
async function store() {
  if (errors.value || !who.value.trim() || storing.value) return
  storing.value = true
  trouble.value = ''
  try {
    const likeId = typeof like.value === 'object' ? like.value.id : null
    const food = await shelves.putOwn(entry?.food.id ?? null, {
      label: toRaw(label.value),
      who: who.value.trim(),
      likeId,
    })
    if (!entry) draft.value = empty()
    emit('stored', food)
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.problem.detail
  } finally {
    storing.value = false
  }
}
const allergenKeys = Object.keys(EU_ALLERGENS) as Allergen[]
const id = useId()
</script>

<template>
  <form class="packet" :aria-labelledby="`${id}-title`" novalidate @submit.prevent="store">
    <h2 :id="`${id}-title`">{{ entry ? `${entry.food.name}, typed anew` : 'A food from its packet' }}</h2>
    <p class="small soft">
      Type what the packet says and leave empty what it does not: empty is unknown, not zero.
    </p>
    <div class="grid">
      <label :for="`${id}-name`">Name</label>
      <span><input :id="`${id}-name`" v-model="label.name" class="field wide" maxlength="200" /></span>

      <label :for="`${id}-per`">Figures for</label>
      <span>
        <input
          :id="`${id}-per`"
          class="field"
          inputmode="decimal"
          :value="shown('perGrams')"
          :aria-invalid="doubtsOf('perGrams').length > 0"
          @input="(event) => type('perGrams', event)"
        />
        g <span class="small soft">100, or the portion</span>
      </span>
      <FieldDoubts :doubts="[...doubtsOf('name'), ...doubtsOf('perGrams')]" />

      <label :for="`${id}-energy`">Energy</label>
      <span>
        <input
          :id="`${id}-energy`"
          class="field"
          inputmode="decimal"
          :value="shown('energy')"
          :aria-invalid="doubtsOf('energy').length > 0"
          @input="(event) => type('energy', event)"
        />
        <select v-model="label.energyUnit" class="field" aria-label="Unit of energy">
          <option>kcal</option>
          <option>kJ</option>
        </select>
      </span>
      <FieldDoubts :doubts="doubtsOf('energy')" />

      <template v-for="[field, name, sub] in AMOUNTS" :key="field">
        <label :for="`${id}-${field}`" :class="{ sub }">{{ name }}</label>
        <span>
          <input
            :id="`${id}-${field}`"
            class="field"
            inputmode="decimal"
            :value="shown(field)"
            :aria-invalid="doubtsOf(field).length > 0"
            @input="(event) => type(field, event)"
          />
          g
          <label v-if="field === 'carbohydrateG'" class="small"
            ><input v-model="label.carbohydrateIncludesFibre" type="checkbox" /> fibre counted in
            (American)</label
          >
        </span>
        <FieldDoubts :doubts="doubtsOf(field)" />
      </template>

      <label :for="`${id}-salt`">{{ label.saltUnit === 'salt g' ? 'Salt' : 'Sodium' }}</label>
      <span>
        <input
          :id="`${id}-salt`"
          class="field"
          inputmode="decimal"
          :value="shown('salt')"
          :aria-invalid="doubtsOf('salt').length > 0"
          @input="(event) => type('salt', event)"
        />
        <select v-model="label.saltUnit" class="field" aria-label="Salt or sodium">
          <option value="salt g">g salt</option>
          <option value="sodium mg">mg sodium</option>
        </select>
      </span>
      <FieldDoubts :doubts="doubtsOf('salt')" />

      <PacketMinerals v-model="label.micronutrients" v-model:unread="unreadMinerals" :doubts="doubts" />

      <label :for="`${id}-like`">Behaves like</label>
      <span>
        <AutoComplete
          v-model="like"
          :input-id="`${id}-like`"
          :suggestions="found"
          option-label="name"
          data-key="id"
          size="small"
          placeholder="Plain wheat flour, butter, cheddar"
          @complete="search"
          @option-select="(event) => takeLike(event.value)"
        />
        <span class="small soft">for dough, spoons and cups</span>
      </span>
    </div>
    <fieldset>
      <legend>Comes from</legend>
      <label v-for="origin in ORIGINS" :key="origin"
        ><input v-model="label.origins" type="checkbox" :value="origin" /> {{ ORIGIN_WORDS[origin] }}</label
      >
      <span class="small soft">{{ label.origins.length ? '' : 'nothing ticked: plants only' }}</span>
    </fieldset>
    <fieldset>
      <legend>Allergens it holds</legend>
      <label v-for="key in allergenKeys" :key="key"
        ><input v-model="label.allergens" type="checkbox" :value="key" />
        {{ EU_ALLERGENS[key].toLowerCase() }}</label
      >
    </fieldset>
    <p class="end">
      <label>Typed by <input v-model="who" class="field" maxlength="80" autocomplete="nickname" /></label>
      <Button
        type="submit"
        size="small"
        :label="storing ? 'Storing' : 'Store it'"
        :disabled="errors > 0 || !touched || !who.trim() || storing"
      />
      <Button label="Leave it" size="small" severity="secondary" outlined @click="emit('cancel')" />
    </p>
    <p v-if="touched && !who.trim()" class="small soft">Say who typed it, so that it can be asked about.</p>
    <p v-if="trouble" role="alert" class="small"><span class="sign stop">✕</span> {{ trouble }}</p>
  </form>
</template>

<style scoped>
.packet {
  display: grid;
  align-content: start;
  gap: 0.6rem;
}
.grid {
  display: grid;
  grid-template-columns: 9.5rem 1fr;
  align-items: baseline;
  gap: 0.25rem 0.75rem;
}
.grid input.field {
  width: 6rem;
  text-align: right;
}
.grid input.wide {
  width: 100%;
  text-align: left;
}
.grid > span {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0.4rem;
}
.sub {
  padding-left: 0.9rem;
  color: var(--ink-soft);
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 0.15rem 0.9rem;
  margin: 0;
  padding: 0.3rem 0 0;
  border: 0;
  border-top: 1px solid var(--rule);
}
legend {
  float: left;
  width: 9.5rem;
  padding: 0;
}
.end {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
}
</style>
