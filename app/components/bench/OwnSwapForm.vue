<script setup lang="ts">
import type { Food } from '~~/core/food/food'
import { searchFoods } from '~~/core/reading/match'
import type { PartKind } from '~~/core/recipe/document'
import { ApiProblem } from '~/logic/api'
import { typedWeight } from '~/logic/typedWeight'

const { food, grams, part } = defineProps<{
  food: Food
  /** What is written of it; a substitute's weight is remembered in proportion. */
  grams: number
  part: PartKind
}>()
const emit = defineEmits<{ added: [] }>()
const shelves = useLarderStore()

const chosen = ref<Food | string>('')
const weight = ref('')
const found = ref<Food[]>([])
const search = ({ query }: { query: string }) =>
  (found.value = searchFoods(query, shelves.larder.foods).filter((one) => one.id !== food.id))
const problem = ref('')
const id = useId()

async function add() {
  if (typeof chosen.value !== 'object') {
    problem.value = 'Choose a food of the larder that stands in for it'
    return
  }
  const read = typedWeight(weight.value || String(grams), chosen.value)
  if (!('grams' in read) || read.grams <= 0) {
    problem.value = 'problem' in read ? read.problem : 'Type a weight above 0 g'
    return
  }
  problem.value = ''
  try {
    await shelves.addSwap({
      fromFoodId: food.id,
      toFoodId: chosen.value.id,
      ratio: read.grams / grams,
      part,
      why: 'Your own choice',
    })
    chosen.value = ''
    weight.value = ''
    emit('added')
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    problem.value = error.problem.detail
  }
}
</script>

<template>
  <form class="own small" aria-label="A swap of your own" @submit.prevent="add">
    <label :for="id">Something of your own</label>
    <span class="fields">
      <AutoComplete
        v-model="chosen"
        :input-id="id"
        :suggestions="found"
        option-label="name"
        data-key="id"
        size="small"
        append-to="self"
        placeholder="Food"
        @complete="search"
      />
      <input v-model="weight" class="field" :placeholder="`${Math.round(grams)} g`" aria-label="Its weight" />
      <Button type="submit" label="Add" size="small" severity="secondary" outlined />
    </span>
    <span v-if="problem" role="alert"><span class="sign stop">✕</span> {{ problem }}</span>
  </form>
</template>

<style scoped>
.own {
  display: grid;
  gap: 0.2rem;
  padding-top: 0.3rem;
  border-top: 1px solid var(--rule);
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
}
.fields input.field {
  width: 5rem;
  text-align: right;
}
</style>
