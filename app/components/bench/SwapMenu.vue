<script setup lang="ts">
import type { RankedSwap } from '~~/core/optimisation/rankSwaps'
import type { Food } from '~~/core/food/food'
import type { Line } from '~~/core/recipe/document'
import type { PartKind } from '~~/core/recipe/vocabulary'
import type { Swap } from '~~/core/substitution/catalogue'
import { showGrams } from '~/logic/format'
import { offersFor } from '~/logic/offers'

const { food, line, part } = defineProps<{ food: Food; line: Line; part: PartKind }>()
const emit = defineEmits<{ choose: [swap: Swap] }>()

const bench = useBenchStore()
const shelves = useLarderStore()
const { refused, refuse, offerAgain } = useRefused()
const popover = useTemplateRef<{
  toggle: (event: Event, anchor?: EventTarget | null) => void
  hide: () => void
}>('popover')

/** Made at the first click: a recipe has many lines and few are swapped by hand. */
const opened = ref(false)
const ranked = shallowRef<RankedSwap[]>([])
function rank() {
  if (bench.recipe)
    ranked.value = offersFor(bench.recipe, line.id, bench.lens, shelves.reference, shelves.prices)
}
async function show(event: Event) {
  const anchor = event.currentTarget
  rank()
  opened.value = true
  await nextTick()
  popover.value?.toggle(event, anchor)
}
const offered = computed(() => ranked.value.filter((one) => !refused.value.includes(one.swap.id)))
const hidden = computed(() => ranked.value.length - offered.value.length)

/** An own swap is forgotten, one of the table is not offered again. */
async function leave(id: string) {
  const own = shelves.swaps.find((one) => `own-${one.id}` === id)
  if (!own) {
    refuse(id)
    return
  }
  await shelves.removeSwap(own.id).catch(() => refuse(id))
  rank()
}
function choose(swap: Swap) {
  popover.value?.hide()
  emit('choose', swap)
}
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
      <SwapOffer
        v-for="one in offered"
        :key="one.swap.id"
        :offer="one"
        :marked="bench.lens.length > 0"
        @choose="choose(one.swap)"
        @refuse="leave(one.swap.id)"
      />
      <OwnSwapForm v-if="line.grams" :food="food" :grams="line.grams" :part="part" @added="rank" />
      <p v-if="!offered.length" class="small">Nothing else stands in for it here.</p>
      <p v-if="hidden" class="small soft">
        {{ hidden }} refused.
        <button type="button" class="opens" @click="offerAgain(ranked.map((one) => one.swap.id))">
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
.swap {
  padding: 0.05rem 0.5rem;
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  background: none;
  color: var(--ink-soft);
  font-size: 0.875rem;
  cursor: pointer;
}
.swap:hover {
  border-color: var(--beet);
  color: var(--ink);
}
</style>
