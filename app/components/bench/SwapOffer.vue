<script setup lang="ts">
import type { RankedSwap } from '~~/core/optimisation/rankSwaps'
import { showChange, showGrams, showMoney } from '~/logic/format'

const { offer, marked } = defineProps<{
  offer: RankedSwap
  /** Say whether it keeps the diets. */
  marked: boolean
}>()
const emit = defineEmits<{ choose: []; refuse: [] }>()
const shelves = useLarderStore()

/** "280 g Plant-based baking block": what comes in, with its weight. */
const amounts = computed(() => {
  const { to, gramsAfter } = offer.changes[0]!
  return gramsAfter === null ? to : `${showGrams(gramsAfter)} g ${to}`
})
const homemade = computed(() =>
  offer.swap.to.flatMap(({ foodId }) => {
    const food = shelves.reference.foods.get(foodId)
    return food?.homemade ? food.homemade.madeOf.slice(0, 3).map((one) => one.name.toLowerCase()) : []
  }),
)
/** Changes smaller than this are not worth a word. */
const NOTICED = { proteinG: 0.3, netCarbohydrateG: 0.3, saltG: 0.05 } as const
/** What it does to a piece, as far as it can be seen. */
const effects = computed(() => {
  const said: string[] = []
  const kcal = showChange('energyKcal', offer.energyKcal)
  if (kcal !== 'same') said.push(`${kcal} kcal`)
  for (const [key, word] of [
    ['proteinG', 'protein'],
    ['netCarbohydrateG', 'net carb'],
    ['saltG', 'salt'],
  ] as const)
    if (Math.abs(offer[key]) >= NOTICED[key]) said.push(`${showChange(key, offer[key])} g ${word}`)
  const water = offer.changes.find((change) => change.kind === 'water')
  if (water) {
    const more = (water.gramsAfter ?? 0) - (water.gramsBefore ?? 0)
    said.push(`${showGrams(Math.abs(more))} g ${more > 0 ? 'more' : 'less'} water in the dough`)
  }
  if (offer.looseWaterGrams > 5) said.push(`filling ${showGrams(offer.looseWaterGrams)} g wetter`)
  if (offer.price !== null && Math.abs(offer.price) >= 0.005)
    said.push(`${offer.price > 0 ? '+' : '−'}${showMoney(Math.abs(offer.price), shelves.currency)} a piece`)
  return said
})
</script>

<template>
  <div class="offer">
    <button type="button" class="choice" @click="emit('choose')">
      <strong>{{ amounts }}</strong>
      <span v-if="marked" class="sign" :class="offer.fits ? 'fits' : 'stop'">{{
        offer.fits ? '✓ fits' : '✕ no'
      }}</span>
      <span class="small"
        ><template v-if="homemade.length">Made at home: {{ homemade.join(', ') }}. </template
        >{{ offer.swap.why }}.</span
      >
      <span v-if="effects.length" class="small">A piece: {{ effects.join(', ') }}</span>
      <span class="small soft"
        ><template v-if="offer.swap.roles.length">Keeps {{ offer.swap.roles.join(', ') }}</template
        ><template v-else>{{ offer.swap.source }}</template
        ><template v-if="offer.swap.rolesLost.length">; loses {{ offer.swap.rolesLost.join(', ') }}</template
        ><template v-if="offer.allergensAdded.length"
          >; brings {{ offer.allergensAdded.join(', ').toLowerCase() }}</template
        ></span
      >
      <span v-for="lack in offer.newLacks" :key="lack" class="small"
        ><span class="sign watch">dough</span> {{ lack }}</span
      >
    </button>
    <button
      type="button"
      class="opens small soft"
      :aria-label="`Do not offer ${amounts} again`"
      @click="emit('refuse')"
    >
      refuse
    </button>
  </div>
</template>

<style scoped>
.offer {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: start;
  gap: 0.4rem;
}
.choice {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 0.5rem;
  padding: 0.5rem;
  border: 1px solid var(--rule);
  border-radius: 3px;
  background: none;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
.choice:hover {
  border-color: var(--beet);
  background: var(--beet-tint);
}
.choice .small {
  grid-column: 1 / -1;
}
.choice .sign {
  align-self: start;
}
</style>
