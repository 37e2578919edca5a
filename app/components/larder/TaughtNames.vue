<script setup lang="ts">
import type { TaughtName } from '~~/core/tables/taughtNames'

const shelves = useLarderStore()
const tell = useTold()
/** The last that was forgotten, to be taken back. */
const forgotten = shallowRef<TaughtName | null>(null)
const nameOf = (foodId: string) => shelves.reference.foods.get(foodId)?.name ?? foodId

const forget = (one: TaughtName) =>
  tell(async () => {
    await shelves.forget(one.name)
    forgotten.value = one
  })
const takeBack = (one: TaughtName) =>
  tell(async () => {
    await shelves.teach(one.name, one.foodId)
    forgotten.value = null
  })
</script>

<template>
  <section aria-labelledby="names-title">
    <h2 id="names-title">Words you have taught</h2>
    <p class="small soft">
      What you mean by a word comes before what the table does. Choose another food on a line of the Bench,
      and it offers to remember it. Recipes that are read already stay as they are.
    </p>
    <p v-if="forgotten" class="small" role="status">
      “{{ forgotten.name }}” is forgotten.
      <button type="button" class="opens" @click="takeBack(forgotten)">Undo</button>
    </p>
    <p v-if="!shelves.names.length" class="soft">Nothing is taught yet.</p>
    <table v-else class="ruled">
      <thead>
        <tr>
          <th scope="col">When you write</th>
          <th scope="col">you mean</th>
          <th scope="col"><span class="visually-hidden">Forget</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in shelves.names" :key="one.name">
          <th scope="row">{{ one.name }}</th>
          <td>
            <NuxtLink :to="`/larder/${one.foodId}`">{{ nameOf(one.foodId) }}</NuxtLink>
          </td>
          <td>
            <button type="button" class="opens small" :aria-label="`Forget ${one.name}`" @click="forget(one)">
              forget
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 0.6rem;
}
table {
  width: 100%;
}
td {
  text-align: left;
}
</style>
