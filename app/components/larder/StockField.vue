<script setup lang="ts">
import type { Food } from '~~/core/food/food'
import { ApiProblem } from '~/logic/api'
import { showGrams } from '~/logic/format'

const { food } = defineProps<{ food: Food }>()
const shelves = useLarderStore()
const own = computed(() => shelves.stock.find((one) => one.foodId === food.id) ?? null)
const grams = ref('')
const keepsUntil = ref('')
const problem = ref('')
watch(
  () => [food.id, own.value] as const,
  () => {
    grams.value = own.value ? showGrams(own.value.grams) : ''
    keepsUntil.value = own.value?.keepsUntil ?? ''
    problem.value = ''
  },
  { immediate: true },
)

async function attempt(counted: Parameters<typeof shelves.putStock>[1]) {
  problem.value = ''
  try {
    await shelves.putStock(food.id, counted)
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    problem.value = error.problem.detail
  }
}
async function store() {
  const counted = grams.value.trim() ? Number(grams.value.replace(',', '.').replace(/\s*g$/, '')) : NaN
  if (!(counted >= 0)) problem.value = 'In the larder: type the grams that are there, such as 750'
  else await attempt({ grams: counted, keepsUntil: keepsUntil.value || null, note: own.value?.note ?? '' })
}
</script>

<template>
  <section aria-label="In the larder">
    <h3>In the larder</h3>
    <form @submit.prevent="store">
      <label
        >There are
        <input v-model="grams" class="field" inputmode="decimal" size="6" :aria-invalid="problem !== ''" />
        g</label
      >
      <label>keeps until <input v-model="keepsUntil" class="field" type="date" /></label>
      <button type="submit" class="opens">Count it</button>
      <button v-if="own" type="button" class="opens small" @click="attempt(null)">Keep no count</button>
    </form>
    <p v-if="problem" role="alert" class="small">{{ problem }}.</p>
  </section>
</template>

<style scoped>
section,
form {
  display: grid;
  gap: 0.4rem;
}
form {
  grid-auto-flow: column;
  align-items: baseline;
  justify-content: start;
  gap: 0.9rem;
}
@media (max-width: 640px) {
  form {
    grid-auto-flow: row;
  }
}
</style>
