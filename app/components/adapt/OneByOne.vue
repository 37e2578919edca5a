<script setup lang="ts">
import type { RankedSwap } from '~~/core/optimisation/rankSwaps'
import type { Recipe } from '~~/core/recipe/document'
import { swapLine } from '~~/core/substitution/swapLine'
import { showGrams } from '~/logic/format'
import { brokenLines, offersFor } from '~/logic/offers'

const { recipe, diets } = defineProps<{ recipe: Recipe; diets: string[] }>()
const emit = defineEmits<{ take: [recipe: Recipe] }>()

const shelves = useLarderStore()
const { refused, refuse } = useRefused()
/** The recipe as it is becoming; the bench keeps its own until it is taken. */
const working = shallowRef(recipe)
const kept = ref<string[]>([])
const steps = shallowRef<Recipe[]>([])
const swapped = computed(() => steps.value.length)

const left = computed(() =>
  brokenLines(working.value, diets, shelves.reference).filter((line) => !kept.value.includes(line.id)),
)
const line = computed(() => left.value[0] ?? null)
const offers = computed<RankedSwap[]>(() =>
  line.value
    ? offersFor(working.value, line.value.id, diets, shelves.reference, shelves.prices).filter(
        (one) => one.fits && !refused.value.includes(one.swap.id),
      )
    : [],
)
const nameOf = (foodId: string | null) => (foodId ? (shelves.reference.foods.get(foodId)?.name ?? '') : '')

function choose(offer: RankedSwap) {
  if (!line.value) return
  const made = swapLine(working.value, line.value.id, offer.swap, shelves.reference.foods)
  if (!made) return
  steps.value = [...steps.value, working.value]
  working.value = made.recipe
}
function back() {
  const last = steps.value.at(-1)
  if (!last) return
  steps.value = steps.value.slice(0, -1)
  working.value = last
}
const take = () => emit('take', { ...working.value, diets: [...new Set([...recipe.diets, ...diets])] })
</script>

<template>
  <div class="one">
    <template v-if="line">
      <p>
        <strong
          >{{ line.grams === null ? '' : `${showGrams(line.grams)} g ` }}{{ nameOf(line.foodId) }}</strong
        >
        <span class="soft">, {{ left.length }} to go</span>
      </p>
      <SwapOffer
        v-for="offer in offers"
        :key="offer.swap.id"
        :offer="offer"
        :marked="false"
        @choose="choose(offer)"
        @refuse="refuse(offer.swap.id)"
      />
      <p v-if="!offers.length">Nothing in the catalogue stands in for it here. Keep it, or leave it out.</p>
    </template>
    <p v-else>Nothing is left that has to change.</p>
    <p class="acts">
      <Button
        v-if="line"
        label="Keep it as it is"
        size="small"
        severity="secondary"
        outlined
        @click="kept = [...kept, line.id]"
      />
      <Button v-if="swapped" label="One back" size="small" severity="secondary" outlined @click="back" />
      <Button
        v-if="swapped"
        :label="`Take ${swapped} ${swapped === 1 ? 'swap' : 'swaps'}`"
        size="small"
        @click="take"
      />
    </p>
  </div>
</template>

<style scoped>
.one {
  display: grid;
  align-content: start;
  gap: 0.5rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
</style>
