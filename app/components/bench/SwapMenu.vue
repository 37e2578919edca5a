<script setup lang="ts">
import { foodAgainstDiet } from '~~/core/diet/diets'
import { EU_ALLERGENS, type Food } from '~~/core/food/food'
import type { Line } from '~~/core/recipe/document'
import { amountOf, type Swap } from '~~/core/swap/catalogue'
import { larder } from '~~/data/larder'
import { showGrams } from '~/logic/format'

const { food, swaps, line, lens } = defineProps<{ food: Food; swaps: Swap[]; line: Line; lens: string[] }>()
const emit = defineEmits<{ choose: [swap: Swap] }>()

const popover = useTemplateRef<{
  toggle: (event: Event, anchor?: EventTarget | null) => void
  hide: () => void
}>('popover')

/** Made at the first click: a recipe has many lines and few are swapped by hand. */
const opened = ref(false)
async function show(event: Event) {
  const anchor = event.currentTarget
  opened.value = true
  await nextTick()
  popover.value?.toggle(event, anchor)
}

const diets = computed(() => larder.diets.filter((diet) => lens.includes(diet.id)))
const choices = computed(() =>
  swaps.map((swap) => {
    const targets = swap.to.map((target) => ({ food: larder.foods.get(target.foodId)!, target }))
    const added = new Set(
      targets.flatMap((one) => one.food.allergens).filter((allergen) => !food.allergens.includes(allergen)),
    )
    return {
      swap,
      amounts: targets
        .map((one) => {
          const grams = amountOf(one.target, food, line.grams ?? 0, one.food)
          return `${grams === null ? '?' : showGrams(grams)} g ${one.food.name}`
        })
        .join(' + '),
      fits: targets.every((one) =>
        diets.value.every((diet) => !foodAgainstDiet(one.food, diet).breaks.length),
      ),
      allergens: [...added].map((allergen) => EU_ALLERGENS[allergen].toLowerCase()),
    }
  }),
)

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
        Instead of {{ line.grams === null ? '' : `${showGrams(line.grams)} g ` }}{{ food.name }}
      </p>
      <button
        v-for="{ swap, amounts, fits, allergens } in choices"
        :key="swap.id"
        type="button"
        class="choice"
        @click="choose(swap)"
      >
        <strong>{{ amounts }}</strong>
        <span v-if="lens.length" class="sign" :class="fits ? 'fits' : 'stop'">{{
          fits ? '✓ fits' : '✕ no'
        }}</span>
        <span class="small">{{ swap.why }}.</span>
        <span class="small soft"
          >Keeps {{ swap.roles.join(', ')
          }}<template v-if="allergens.length">; brings {{ allergens.join(', ') }}</template></span
        >
      </button>
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
.swap:hover {
  border-color: var(--beet);
  color: var(--ink);
}
</style>
