<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import type { RankedSwap } from '~~/core/adaptation/rankSwaps'
import type { Food } from '~~/core/food/food'
import type { Line } from '~~/core/recipe/document'
import type { Swap } from '~~/core/swap/catalogue'
import { larder as table } from '~~/data/larder'
import { showChange, showGrams, showMoney } from '~/logic/format'

const { food, line, lens } = defineProps<{ food: Food; line: Line; lens: string[] }>()
const emit = defineEmits<{ choose: [swap: Swap] }>()

const bench = useBenchStore()
const shelves = useLarderStore()
const refused = useLocalStorage<string[]>('swap-pocket:refused', [])
const popover = useTemplateRef<{
  toggle: (event: Event, anchor?: EventTarget | null) => void
  hide: () => void
}>('popover')

/** Made at the first click: a recipe has many lines and few are swapped by hand. */
const opened = ref(false)
const ranked = shallowRef<RankedSwap[]>([])
async function show(event: Event) {
  const anchor = event.currentTarget
  if (bench.recipe) {
    const { rankSwaps } = await import('~~/core/adaptation/rankSwaps')
    const { evaluate } = await import('~~/core/evaluate')
    const diets = table.diets.filter((diet) => lens.includes(diet.id))
    ranked.value = rankSwaps(
      bench.recipe,
      line.id,
      shelves.larder,
      diets,
      evaluate(bench.recipe, shelves.larder),
      {
        prices: shelves.prices,
      },
    )
  }
  opened.value = true
  await nextTick()
  popover.value?.toggle(event, anchor)
}
const offered = computed(() => ranked.value.filter((one) => !refused.value.includes(one.swap.id)))
const hidden = computed(() => ranked.value.length - offered.value.length)

/** "280 g Plant-based baking block": what comes in, with its weight. */
const amounts = (one: RankedSwap) => {
  const { to, gramsAfter } = one.changes[0]!
  return gramsAfter === null ? to : `${showGrams(gramsAfter)} g ${to}`
}
/** What it does to a piece, as far as it can be seen. */
function effects(one: RankedSwap): string[] {
  const said: string[] = []
  const add = (text: string) => text !== 'same' && said.push(text)
  const kcal = showChange('energyKcal', one.energyKcal)
  if (kcal !== 'same') add(`${kcal} kcal`)
  for (const [key, word] of [
    ['proteinG', 'protein'],
    ['netCarbohydrateG', 'net carb'],
    ['saltG', 'salt'],
  ] as const) {
    const text = showChange(key, one[key])
    if (text !== 'same' && Math.abs(one[key]) >= (key === 'saltG' ? 0.05 : 0.3)) add(`${text} g ${word}`)
  }
  const water = one.changes.find((change) => change.kind === 'water')
  if (water) {
    const more = (water.gramsAfter ?? 0) - (water.gramsBefore ?? 0)
    add(`${showGrams(Math.abs(more))} g ${more > 0 ? 'more' : 'less'} water in the dough`)
  }
  if (one.looseWaterGrams > 5) add(`filling ${showGrams(one.looseWaterGrams)} g wetter`)
  if (one.price !== null && Math.abs(one.price) >= 0.005)
    add(`${one.price > 0 ? '+' : '−'}${showMoney(Math.abs(one.price), shelves.currency)} a piece`)
  return said
}

function choose(swap: Swap) {
  popover.value?.hide()
  emit('choose', swap)
}
const refuse = (id: string) => (refused.value = [...new Set([...refused.value, id])])
</script>

<template>
  <button type="button" class="swap" aria-haspopup="dialog" :aria-label="`Swap ${food.name}`" @click="show">
    Swap
  </button>
  <Popover v-if="opened" ref="popover">
    <div class="choices">
      <p class="soft small">
        Instead of {{ line.grams === null ? '' : `${showGrams(line.grams)} g ` }}{{ food.name }}, the best
        first
      </p>
      <div v-for="one in offered" :key="one.swap.id" class="offer">
        <button type="button" class="choice" @click="choose(one.swap)">
          <strong>{{ amounts(one) }}</strong>
          <span v-if="lens.length" class="sign" :class="one.fits ? 'fits' : 'stop'">{{
            one.fits ? '✓ fits' : '✕ no'
          }}</span>
          <span class="small">{{ one.swap.why }}.</span>
          <span v-if="effects(one).length" class="small">A piece: {{ effects(one).join(', ') }}</span>
          <span class="small soft"
            >Keeps {{ one.swap.roles.join(', ')
            }}<template v-if="one.swap.rolesLost.length">; loses {{ one.swap.rolesLost.join(', ') }}</template
            ><template v-if="one.allergensAdded.length"
              >; brings {{ one.allergensAdded.join(', ').toLowerCase() }}</template
            ></span
          >
          <span v-for="lack in one.newLacks" :key="lack" class="small"
            ><span class="sign watch">dough</span> {{ lack }}</span
          >
        </button>
        <button
          type="button"
          class="opens small soft"
          :aria-label="`Do not offer ${amounts(one)} again`"
          @click="refuse(one.swap.id)"
        >
          refuse
        </button>
      </div>
      <p v-if="!offered.length" class="small">Nothing else stands in for it here.</p>
      <p v-if="hidden" class="small soft">
        {{ hidden }} refused.
        <button
          type="button"
          class="opens"
          @click="refused = refused.filter((id) => !ranked.some((one) => one.swap.id === id))"
        >
          Offer them again
        </button>
      </p>
    </div>
  </Popover>
</template>

<style scoped>
.choices {
  display: grid;
  width: min(26rem, 86vw);
  gap: 0.25rem;
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
.swap {
  padding: 0.05rem 0.5rem;
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  background: none;
  color: var(--ink-soft);
  font-size: 0.875rem;
  cursor: pointer;
}
.offer {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: start;
  gap: 0.4rem;
}
.swap:hover {
  border-color: var(--beet);
  color: var(--ink);
}
</style>
