<script setup lang="ts">
import type { Stage } from '~~/core/planning/tasks'
import type { DinnerDocument } from '~~/shared/api/dinners'
import type { RecipePage, StoredRecipe } from '~~/shared/api/answers'
import { ApiProblem, call } from '~/logic/api'

const { dishes } = defineProps<{ dishes: DinnerDocument['dishes'] }>()
const emit = defineEmits<{
  stage: [at: number, stage: Stage]
  drop: [at: number]
  add: [recipe: StoredRecipe]
}>()

const STAGES: { value: Stage; label: string }[] = [
  { value: 'fresh', label: 'from the beginning' },
  { value: 'night-before', label: 'the evening before, what can be' },
  { value: 'freeze', label: 'made and frozen' },
  { value: 'from-frozen', label: 'cooked from frozen' },
]
const shelf = shallowRef<RecipePage['recipes'] | null>(null)
const trouble = ref('')
async function open() {
  try {
    trouble.value = ''
    shelf.value = (await call<RecipePage>('GET', '/api/recipes?limit=200')).recipes
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = `${error.problem.title}: the shelf cannot be read`
  }
}
const free = computed(() =>
  (shelf.value ?? []).filter(({ id }) => !dishes.some((dish) => dish.recipeId === id)),
)
async function take(event: Event) {
  const select = event.target as HTMLSelectElement
  const id = select.value
  select.value = ''
  if (!id) return
  try {
    emit('add', await call<StoredRecipe>('GET', `/api/recipes/${id}`))
    shelf.value = null
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    trouble.value = error.problem.detail
  }
}
</script>

<template>
  <section aria-labelledby="dishes-title">
    <h2 id="dishes-title">Dishes</h2>
    <ul>
      <li v-for="(dish, at) in dishes" :key="at" :class="`dish-${at % 4}`">
        <strong>{{ dishes.length > 1 ? `${at + 1} · ` : '' }}{{ dish.recipe.title }}</strong>
        <span class="soft small">{{ dish.recipe.pieces }} pieces</span>
        <select
          class="field"
          :value="dish.stage"
          :aria-label="`How ${dish.recipe.title} is made`"
          @change="emit('stage', at, ($event.target as HTMLSelectElement).value as Stage)"
        >
          <option v-for="stage in STAGES" :key="stage.value" :value="stage.value">{{ stage.label }}</option>
        </select>
        <NuxtLink class="small" :to="`/tray?dish=${at + 1}`" :aria-label="`On the tray: ${dish.recipe.title}`"
          >on the tray</NuxtLink
        >
        <button type="button" class="opens small" @click="emit('drop', at)">
          Remove<span class="visually-hidden"> {{ dish.recipe.title }}</span>
        </button>
      </li>
    </ul>
    <button v-if="!shelf" type="button" class="opens" @click="open">Add a dish from the shelf</button>
    <label v-else
      >Add
      <select class="field" :disabled="!free.length" aria-label="Dish from the shelf" @change="take">
        <option value="">{{ free.length ? 'choose …' : 'nothing else on the shelf' }}</option>
        <option v-for="recipe in free" :key="recipe.id" :value="recipe.id">{{ recipe.title }}</option>
      </select></label
    >
    <p v-if="trouble" role="alert" class="small">{{ trouble }}.</p>
  </section>
</template>

<style scoped>
section,
ul {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.5rem;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0.1rem 0.6rem;
  padding-left: 0.6rem;
  border-left: 5px solid var(--dish);
}
li strong {
  flex-basis: 100%;
}
select {
  max-width: 100%;
  min-width: 0;
}
.opens {
  justify-self: start;
}
</style>
