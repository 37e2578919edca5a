<script setup lang="ts">
import type { Food } from '~~/core/food/food'
import { searchFoods } from '~~/core/reading/searchFoods'
import type { PartKind } from '~~/core/recipe/vocabulary'
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
  (found.value = searchFoods(query, shelves.reference.foods).filter((one) => one.id !== food.id))
const problem = ref('')
const id = useId()

/** Foods that stand in together, the one being typed not yet among them. */
const taken = ref<{ food: Food; grams: number }[]>([])

/** The food and weight being typed; null, and a word, where one is missing. */
function typed(): { food: Food; grams: number } | null {
  if (typeof chosen.value !== 'object') {
    problem.value = 'Choose a food of the larder that stands in for it'
    return null
  }
  const read = typedWeight(weight.value || String(grams), chosen.value)
  if (!('grams' in read) || read.grams <= 0) {
    problem.value = 'problem' in read ? read.problem : 'Type a weight above 0 g'
    return null
  }
  problem.value = ''
  return { food: chosen.value, grams: read.grams }
}

function clear() {
  chosen.value = ''
  weight.value = ''
}

function andMore() {
  const one = typed()
  if (!one) return
  taken.value = [...taken.value, one]
  clear()
}

async function add() {
  // What was typed last belongs to it; an empty field after "and …" is no food forgotten.
  const last = chosen.value || !taken.value.length ? typed() : null
  if (!last && (chosen.value || !taken.value.length)) return
  const [first, ...more] = [...taken.value, ...(last ? [last] : [])]
  try {
    await shelves.addSwap({
      fromFoodId: food.id,
      toFoodId: first!.food.id,
      ratio: first!.grams / grams,
      more: more.map((one) => ({ foodId: one.food.id, ratio: one.grams / grams })),
      part,
      why: 'Your own choice',
    })
    taken.value = []
    clear()
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
    <span v-for="(one, at) in taken" :key="at">
      {{ Math.round(one.grams) }} g {{ one.food.name }}
      <button
        type="button"
        class="opens"
        :aria-label="`Leave ${one.food.name} out`"
        @click="taken = taken.filter((_, n) => n !== at)"
      >
        leave out
      </button>
    </span>
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
      <Button type="button" label="and …" size="small" severity="secondary" text @click="andMore" />
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
