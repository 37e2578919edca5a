<script setup lang="ts">
import type { Food } from '~~/core/food/food'
import { nutrientsPer100g } from '~~/core/food/nutrients'
import { larder } from '~~/data/larder'
import { showFigure } from '~/logic/format'
import { COLUMNS, listFoods, type Sorting } from '~/logic/larderTable'

const route = useRoute()
const router = useRouter()

const query = ref('')
const sorting = ref<Sorting | null>(null)
const foods = computed(() => listFoods(larder.foods, query.value, sorting.value))
const foodOf = (id: unknown) => (typeof id === 'string' ? (larder.foods.get(id) ?? null) : null)
const chosen = computed(() => foodOf(route.params.id))
const other = computed(() => foodOf(route.query.with))
const missing = computed(() => typeof route.params.id === 'string' && route.params.id !== '' && !chosen.value)

function sortBy(by: Sorting['by']) {
  const first = by !== 'name'
  if (sorting.value?.by !== by) sorting.value = { by, down: first }
  else sorting.value = sorting.value.down === first ? { by, down: !first } : null
}
const sortedAs = (by: Sorting['by']) =>
  sorting.value?.by !== by ? 'none' : sorting.value.down ? 'descending' : 'ascending'

const choose = (food: Food) => router.push({ path: `/larder/${food.id}`, query: route.query })
const compare = (food: Food | null) => router.push({ path: route.path, query: food ? { with: food.id } : {} })

useHead({ title: () => `${chosen.value?.name ?? 'Larder'} · Swap Pocket` })
const search = useTemplateRef<HTMLInputElement>('search')
usePlaceKeys([{ key: '/', says: 'Search the larder', act: () => search.value?.focus() }])
</script>

<template>
  <main class="larder" :data-open="chosen !== null">
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
        <p class="soft small" role="status">{{ foods.length }} of {{ larder.foods.size }} foods, per 100 g</p>
      </header>
      <p v-if="!foods.length" class="empty">
        No food fits “{{ query }}”. A line with an unknown food is kept; choose the nearest one for it.
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
      <FoodDetail v-if="chosen" :food="chosen" :other="other && other.id !== chosen.id ? other : null" />
      <p v-else-if="missing" class="soft">
        There is no food “{{ route.params.id }}” here. Choose one from the list.
      </p>
      <p v-else class="soft">
        Choose a food to see where its numbers come from, what a spoon of it weighs, and how it differs from
        another.
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
  padding: 0.9rem 0 0 1.25rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
  margin-bottom: 0.6rem;
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
