<script setup lang="ts">
import type { Price } from '~~/core/cost/costOf'
import type { Food } from '~~/core/food/food'
import { ApiProblem } from '~/logic/api'
import { showGrams, showMoney } from '~/logic/format'

const { food } = defineProps<{ food: Food }>()
const shelves = useLarderStore()
const known = computed(() => shelves.prices.get(food.id) ?? null)
/** Every price that was noted, the latest first. */
const noted = shallowRef<Price[]>([])
const earlier = computed(() => noted.value.slice(1))
watch(
  () => food.id,
  async (id) => {
    noted.value = []
    // Without the server the form still stands; what was noted before is an extra.
    const found = await shelves.pricesOf(id).catch(() => [])
    if (id === food.id) noted.value = found
  },
  { immediate: true },
)
const aKilo = (price: Price) => showMoney((price.price / price.packGrams) * 1000, shelves.currency)

const price = ref('')
const pack = ref('')
const note = ref('')
watch(
  () => [food.id, known.value] as const,
  () => {
    price.value = known.value ? String(known.value.price) : ''
    pack.value = known.value ? showGrams(known.value.packGrams) : ''
    note.value = known.value?.note ?? ''
  },
  { immediate: true },
)
const number = (text: string) => (text.trim() ? Number(text.replace(',', '.').replace(/\s*g$/, '')) : NaN)
const problem = ref('')

async function attempt(work: () => Promise<Price[]>) {
  problem.value = ''
  try {
    noted.value = await work()
  } catch (error) {
    if (!(error instanceof ApiProblem)) throw error
    problem.value = error.problem.detail
  }
}
async function store() {
  const cost = number(price.value)
  const packGrams = number(pack.value)
  if (!(cost >= 0)) problem.value = 'Price: type what the pack costs, such as 1.99'
  else if (!(packGrams > 0)) problem.value = 'Pack: type the grams in the pack, such as 500'
  else
    await attempt(() =>
      shelves.putPrice({
        foodId: food.id,
        price: cost,
        packGrams,
        note: note.value.trim(),
        date: new Date().toLocaleDateString('sv-SE'),
      }),
    )
}
</script>

<template>
  <form class="price" aria-label="Price" @submit.prevent="store">
    <label>Costs <input v-model="price" class="field" inputmode="decimal" /> {{ shelves.currency }}</label>
    <label
      >for <input v-model="pack" class="field" inputmode="decimal" aria-label="Grams in the pack" /> g</label
    >
    <label class="note"
      >Shop <input v-model="note" class="field" maxlength="200" placeholder="where, what kind"
    /></label>
    <Button type="submit" label="Note the price" size="small" severity="secondary" outlined />
    <span v-if="known" class="small soft">
      {{ aKilo(known) }} a kilo, noted {{ known.date }}
      <button type="button" class="opens" @click="attempt(() => shelves.removePrice(food.id))">
        take it out
      </button>
    </span>
    <span v-if="earlier.length" class="small soft">
      before:
      {{
        earlier
          .map((one) => `${aKilo(one)} a kilo${one.note ? ` (${one.note})` : ''}, ${one.date}`)
          .join('; ')
      }}
    </span>
    <span v-if="problem" class="small" role="alert"><span class="sign stop">✕</span> {{ problem }}</span>
  </form>
</template>

<style scoped>
.price {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 0.75rem;
  padding-top: 0.4rem;
  border-top: 1px solid var(--rule);
}
input {
  width: 4.8rem;
  text-align: right;
}
.note input {
  width: 9rem;
  text-align: left;
}
</style>
