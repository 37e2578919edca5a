<script setup lang="ts">
import { isFlour } from '~~/core/food/groups'
import { evaluate } from '~~/core/evaluation/evaluate'
import { RecipeProblem } from '~~/core/recipe/problem'
import type { Food } from '~~/core/food/food'
import type { Line, Part } from '~~/core/recipe/document'
import { moveFlour } from '~/logic/moveFlour'
import { showGrams } from '~/logic/format'
import { foodOf } from '~~/core/recipe/lines'

const { part } = defineProps<{ part: Part }>()
const bench = useBenchStore()
const shelves = useLarderStore()

/** The two heaviest flours of the dough: between them the blend is moved. */
const pair = computed(() => {
  const flours = part.lines.flatMap((line): { line: Line; food: Food; grams: number }[] => {
    const food = foodOf(line, shelves.reference.foods)
    return food && isFlour(food) && line.grams ? [{ line, food, grams: line.grams }] : []
  })
  flours.sort((a, b) => b.grams - a.grams)
  return flours.length > 1 ? ([flours[0]!, flours[1]!] as const) : null
})
const total = computed(() => (pair.value ? pair.value[0].grams + pair.value[1].grams : 0))
/** While the slider is held, what it would give; nothing is changed until it is let go. */
const held = ref<number | null>(null)
const share = computed(() => held.value ?? (total.value ? (100 * pair.value![0].grams) / total.value : 0))
const moved = computed(() => {
  if (held.value === null || !pair.value || !bench.recipe) return null
  return moveFlour(
    bench.recipe,
    pair.value[0].line.id,
    pair.value[1].line.id,
    held.value / 100,
    shelves.reference.foods,
  )
})
const feel = computed(() => {
  if (!moved.value) return ''
  try {
    const { dough, abilities } = evaluate(moved.value, shelves.reference)
    const lack = abilities.lacks[0]?.text
    return `${dough.consistency ?? ''}${dough.softness === null ? '' : ` ${dough.softness.toFixed(2)}`}${abilities.strength === null ? '' : `, strength ${abilities.strength.toFixed(2)}`}${lack ? `. ${lack}` : ''}`
  } catch (error) {
    if (!(error instanceof RecipeProblem)) throw error
    return ''
  }
})
function letGo() {
  if (moved.value) bench.change(moved.value)
  held.value = null
}
const grams = (at: 0 | 1) => (total.value * (at === 0 ? share.value : 100 - share.value)) / 100
</script>

<template>
  <div v-if="pair" class="blend small no-print">
    <label
      ><span>{{ showGrams(grams(0)) }} g {{ pair[0].food.name.toLowerCase() }}</span>
      <input
        type="range"
        min="0"
        max="100"
        step="5"
        :value="100 - share"
        aria-label="Flour blend"
        @input="(event) => (held = 100 - Number((event.target as HTMLInputElement).value))"
        @change="letGo"
      />
      <span>{{ showGrams(grams(1)) }} g {{ pair[1].food.name.toLowerCase() }}</span></label
    >
    <p v-if="feel" role="status">{{ feel }}, with the water put right</p>
  </div>
</template>

<style scoped>
.blend {
  color: var(--ink-soft);
}
label {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.5rem;
}
input {
  flex: 1 1 8rem;
  accent-color: var(--beet);
}
</style>
