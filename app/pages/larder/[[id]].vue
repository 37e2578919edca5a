<script setup lang="ts">
import type { Food } from '~~/core/food/food'
import { nutrientsPer100g } from '~~/core/food/nutrients'
import type { OwnFood } from '~~/shared/api/foods'
import { SHELF_WORDS, showFigure } from '~/logic/format'
import { foodFacts } from '~/logic/foodFacts'
import { COLUMNS, sortFoods, type Sorting } from '~/logic/larderTable'

const route = useRoute()
const router = useRouter()
const tell = useTold()
const shelves = useLarderStore()

const query = ref('')
const sorting = ref<Sorting | null>(null)
const { found, away } = useFoodSearch(query)
const byName: Sorting = { by: 'name', down: false }
const foods = computed(() =>
  query.value.trim()
    ? sortFoods(found.value, sorting.value)
    : sortFoods([...shelves.reference.foods.values()], sorting.value ?? byName),
)
const total = computed(() => Object.values(shelves.counts).reduce((sum, count) => sum + count, 0))
const shelfOf = (food: Food) =>
  'shelf' in food ? (SHELF_WORDS[food.shelf as keyof typeof SHELF_WORDS] ?? '') : ''

/** What a food holds, for the eye that runs down the list. */
function holdsOf(food: Food) {
  const { holds, mayHold } = foodFacts(food)
  return [holds, mayHold && `packet: ${mayHold}`].filter(Boolean).join('; ')
}

const idOf = (value: unknown) => (typeof value === 'string' && value ? value : null)
const foodOf = (id: unknown) => shelves.reference.foods.get(idOf(id) ?? '') ?? null
const chosen = computed(() => foodOf(route.params.id))
const other = computed(() => foodOf(route.query.with))
const looked = ref(false)
const missing = computed(() => looked.value && idOf(route.params.id) !== null && !chosen.value)
/** What the right side shows when it is no food. */
const side = computed(() =>
  'packet' in route.query
    ? 'packet'
    : 'table' in route.query
      ? 'table'
      : 'prices' in route.query
        ? 'prices'
        : 'words' in route.query
          ? 'words'
          : null,
)

// A food of another shelf may be named in the address.
watch(
  () => [route.params.id, route.query.with],
  async (ids) => {
    const unknown = ids.flatMap((id) => (idOf(id) && !foodOf(id) ? [idOf(id)!] : []))
    if (unknown.length) await shelves.know(unknown)
    looked.value = true
  },
  { immediate: true },
)

const entry = shallowRef<OwnFood | null>(null)
const typeAnew = (food: Food) =>
  tell(async () => {
    entry.value = await shelves.entriesOf(food.id)
    await router.push({ path: route.path, query: { packet: null } })
  })
function openSide(kind: 'packet' | 'table' | 'prices' | 'words') {
  entry.value = null
  return router.push({ path: '/larder', query: { [kind]: null } })
}
const stored = (food: Food) => router.push(`/larder/${food.id}`)

function sortBy(by: Sorting['by']) {
  const first = by !== 'name'
  if (sorting.value?.by !== by) sorting.value = { by, down: first }
  else sorting.value = sorting.value.down === first ? { by, down: !first } : null
}
const sortedAs = (by: Sorting['by']) =>
  sorting.value?.by !== by ? 'none' : sorting.value.down ? 'descending' : 'ascending'

function choose(food: Food) {
  shelves.keep([food])
  return router.push({
    path: `/larder/${food.id}`,
    query: route.query.with ? { with: route.query.with } : {},
  })
}
function compare(food: Food | null) {
  if (food) shelves.keep([food])
  return router.push({ path: route.path, query: food ? { with: food.id } : {} })
}

useHead({ title: () => `${chosen.value?.name ?? 'Larder'} · Swap Pocket` })
const search = useTemplateRef<HTMLInputElement>('search')
usePlaceKeys([
  { key: '/', says: 'Search the larder', act: () => search.value?.focus() },
  { key: 'n', says: 'Type in a packet', act: () => openSide('packet') },
])
</script>

<template>
  <main class="larder" :data-open="chosen !== null || side !== null">
    <section class="list" aria-labelledby="larder-title">
      <header>
        <h1 id="larder-title">Larder</h1>
        <input
          ref="search"
          v-model="query"
          class="field"
          type="search"
          placeholder="Name, misspelling or fragment"
          aria-label="Search the larder"
        />
        <span class="tools small">
          <button type="button" class="opens" @click="openSide('packet')">Type in a packet</button>
          <button type="button" class="opens" @click="openSide('prices')">Price book</button>
          <button type="button" class="opens" @click="openSide('table')">Take in a table</button>
          <button type="button" class="opens" @click="openSide('words')">Words you taught</button>
        </span>
        <p class="soft small" role="status">
          {{ foods.length }} of {{ total.toLocaleString() }} foods, per 100 g<template v-if="!query.trim()"
            >; search also looks in {{ shelves.counts.measured }} measured ones<template
              v-if="shelves.counts.import"
            >
              and {{ shelves.counts.import.toLocaleString() }} taken in</template
            ></template
          ><template v-if="away">; the server is away, only our table is searched</template>
        </p>
      </header>
      <p v-if="!foods.length" class="empty">
        No food fits “{{ query }}”. A line with an unknown food is kept; choose the nearest one for it, or
        <button type="button" class="opens" @click="openSide('packet')">type in its packet</button>.
      </p>
      <div v-else class="scroll" tabindex="0" role="region" aria-label="Foods">
        <table>
          <thead>
            <tr>
              <th scope="col" :aria-sort="sortedAs('name')">
                <button type="button" @click="sortBy('name')">Food</button>
              </th>
              <th v-for="column in COLUMNS" :key="column.key" scope="col" :aria-sort="sortedAs(column.key)">
                <button type="button" @click="sortBy(column.key)">{{ column.name }}</button>
              </th>
              <th scope="col"><span class="visually-hidden">Compare</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="food in foods" :key="food.id" :class="{ on: food.id === chosen?.id }">
              <th scope="row">
                <button type="button" class="name" @click="choose(food)">{{ food.name }}</button>
                <span v-if="shelfOf(food)" class="soft small">&nbsp;{{ shelfOf(food) }}</span>
                <span v-if="holdsOf(food)" class="soft small holds">{{ holdsOf(food) }}</span>
              </th>
              <td v-for="column in COLUMNS" :key="column.key">
                {{ showFigure(column.key, nutrientsPer100g(food)[column.key]) }}
              </td>
              <td>
                <button
                  v-if="chosen && food.id !== chosen.id"
                  type="button"
                  class="opens small"
                  :aria-label="
                    food.id === other?.id ? 'Stop comparing' : `Compare ${chosen.name} with ${food.name}`
                  "
                  @click="compare(food.id === other?.id ? null : food)"
                >
                  {{ food.id === other?.id ? 'stop' : 'compare' }}
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
    <aside class="side" aria-label="One food">
      <LazyPacketForm
        v-if="side === 'packet'"
        :key="entry?.food.id ?? 'new'"
        :entry="entry"
        @stored="stored"
        @cancel="router.back()"
      />
      <LazyTableImport v-else-if="side === 'table'" @done="shelves.load" />
      <LazyPriceBook v-else-if="side === 'prices'" />
      <LazyTaughtNames v-else-if="side === 'words'" />
      <FoodDetail
        v-else-if="chosen"
        :food="chosen"
        :other="other && other.id !== chosen.id ? other : null"
        @anew="typeAnew(chosen)"
      />
      <p v-else-if="missing" class="soft">
        There is no food “{{ route.params.id }}” here. Choose one from the list.
      </p>
      <p v-else class="soft">
        Choose a food to see where its numbers come from, what a spoon of it weighs, what it costs, and how it
        differs from another.
      </p>
    </aside>
  </main>
</template>

<style scoped>
.larder {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  flex: 1;
}
.list {
  display: flex;
  flex-direction: column;
  min-height: 0;
  padding: 0.9rem 1rem 0 1.25rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
  margin-bottom: 0.6rem;
}
header .tools {
  display: flex;
  flex-wrap: wrap;
  gap: 0.9rem;
}
header p {
  flex-basis: 100%;
}
header .field {
  flex: 1 1 14rem;
  padding: 0.35rem 0.5rem;
}
.side {
  padding: 0.9rem 1.25rem 2rem;
  border-left: 1px solid var(--rule-strong);
  background: var(--sheet);
}
table {
  width: 100%;
  border-collapse: collapse;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--ground);
  border-bottom: 2px solid var(--ink);
}
th,
td {
  padding: 0.12rem 0.4rem 0.12rem 0;
  font-weight: 400;
  text-align: left;
}
td,
thead th:not(:first-child) {
  text-align: right;
}
.holds::before {
  content: '·';
  margin: 0 0.35rem;
}
thead button {
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink-soft);
  font-size: 0.875rem;
  cursor: pointer;
}
[aria-sort='ascending'] button::after {
  content: ' ↑';
}
[aria-sort='descending'] button::after {
  content: ' ↓';
}
tbody tr {
  border-top: 1px solid var(--rule);
}
tbody tr.on {
  background: var(--beet-tint);
}
.name {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
.name:hover {
  text-decoration: underline;
}
.on .name {
  font-weight: 640;
}
.empty {
  padding: 2rem 1rem 0 0;
}
@media (min-width: 961px) {
  .larder {
    height: calc(100vh - 3rem);
  }
  .scroll,
  .side {
    overflow-y: auto;
  }
}
@media (max-width: 960px) {
  .larder {
    display: flex;
    flex-direction: column-reverse;
    justify-content: flex-end;
  }
  .list {
    padding: 0.75rem;
  }
  .side {
    padding: 0.75rem;
    border: 0;
    border-bottom: 1px solid var(--rule-strong);
  }
  td:nth-child(n + 5):not(:last-child),
  thead th:nth-child(n + 5):not(:last-child) {
    display: none;
  }
}
</style>
