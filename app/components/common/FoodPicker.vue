<script setup lang="ts">
import type { Food } from '~~/core/food/food'
import { searchFoods } from '~~/core/reading/searchFoods'
import type { ShelvedFood } from '~~/shared/api/foods'
import { SHELF_WORDS } from '~/logic/format'

const { inputId, start = '' } = defineProps<{
  inputId: string
  /** The food that is chosen already, or the words to begin with. */
  start?: Food | string
}>()
const emit = defineEmits<{ choose: [food: Food] }>()

const shelves = useLarderStore()
const chosen = ref<Food | string>(start)
const found = ref<Food[]>([])

/** The tables answer at once; other shelves when the server does. */
async function search({ query }: { query: string }) {
  found.value = searchFoods(query, shelves.reference.foods)
  if (query.trim().length < 2) return
  const there = await shelves.search(query).catch(() => [])
  const ids = new Set(found.value.map((one) => one.id))
  found.value = [...found.value, ...there.filter((one) => !ids.has(one.id))].slice(0, 30)
}
/** Two shelves may hold a food of the same name. */
function labelOf(one: Food) {
  const shelf = 'shelf' in one ? SHELF_WORDS[(one as ShelvedFood).shelf] : ''
  return shelf ? `${one.name} (${shelf})` : one.name
}
function choose(one: Food) {
  shelves.keep([one])
  emit('choose', one)
}
</script>

<template>
  <AutoComplete
    v-model="chosen"
    :input-id="inputId"
    :suggestions="found"
    :option-label="labelOf"
    data-key="id"
    size="small"
    complete-on-focus
    placeholder="Name or fragment"
    @complete="search"
    @option-select="(event) => choose(event.value)"
  >
    <template #option="{ option }">
      <span class="candidate">
        <span>{{ labelOf(option) }}</span>
        <FoodFactsLine :food="option" />
      </span>
    </template>
  </AutoComplete>
</template>

<style scoped>
.candidate {
  display: grid;
  gap: 0.1rem;
}
</style>
