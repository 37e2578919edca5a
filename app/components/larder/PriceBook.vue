<script setup lang="ts">
import { ApiProblem } from '~/logic/api'
import { showGrams, showMoney } from '~/logic/format'

const shelves = useLarderStore()
const rows = computed(() =>
  [...shelves.prices.values()]
    .map((price) => ({ ...price, name: shelves.reference.foods.get(price.foodId)?.name ?? price.foodId }))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
// Prices of foods that no table ships have to be named too.
watch(
  () => rows.value.filter((row) => row.name === row.foodId).map((row) => row.foodId),
  (ids) => ids.length && shelves.know(ids),
  { immediate: true },
)
const CURRENCIES = Intl.supportedValuesOf('currency')
const problem = ref('')
async function choose(event: Event) {
  problem.value = ''
  try {
    await shelves.setCurrency((event.target as HTMLSelectElement).value)
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    problem.value = error.problem.detail
  }
}
</script>

<template>
  <section aria-labelledby="prices-title">
    <h2 id="prices-title">Price book</h2>
    <p>
      <label
        >All prices are in
        <select class="field" :value="shelves.currency" @change="choose">
          <option v-for="code in CURRENCIES" :key="code">{{ code }}</option>
        </select></label
      >
      <span class="small soft"> Another currency relabels the book; nothing is converted.</span>
    </p>
    <p v-if="problem" role="alert" class="small"><span class="sign stop">✕</span> {{ problem }}</p>
    <p v-if="!rows.length" class="soft">
      No price is noted yet. Choose a food and note what a pack of it costs; the bench then says what a piece
      costs.
    </p>
    <table v-else class="ruled">
      <thead>
        <tr>
          <th scope="col">Food</th>
          <th scope="col">pack</th>
          <th scope="col">price</th>
          <th scope="col">a kilo</th>
          <th scope="col">shop, day</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.foodId">
          <th scope="row">
            <NuxtLink :to="`/larder/${row.foodId}`">{{ row.name }}</NuxtLink>
          </th>
          <td>{{ showGrams(row.packGrams) }} g</td>
          <td>{{ showMoney(row.price, shelves.currency) }}</td>
          <td>{{ showMoney((row.price / row.packGrams) * 1000, shelves.currency) }}</td>
          <td class="small soft">{{ [row.note, row.date].filter(Boolean).join(', ') }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
section {
  display: grid;
  align-content: start;
  gap: 0.6rem;
}
</style>
