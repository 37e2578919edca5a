<script setup lang="ts">
import type { Recipe } from '~~/core/recipe/document'
import { allLines } from '~~/core/recipe/lines'
import { MAX_PIECES } from '~~/core/recipe/vocabulary'
import { factorFor, scaleRecipe } from '~~/core/recipe/scale'
import type { Evaluation } from '~~/core/evaluation/evaluate'
import { showGrams } from '~/logic/format'

const { recipe, evaluation } = defineProps<{ recipe: Recipe; evaluation: Evaluation | null }>()
const visible = defineModel<boolean>('visible', { required: true })
const shelves = useLarderStore()
const edits = useBenchEdits()

const pieces = ref(String(recipe.pieces))
const have = ref('')
/** A line of the recipe, or a whole filling as it goes in. */
const of = ref('')

const lines = computed(() =>
  allLines(recipe)
    .filter(({ line }) => line.grams && line.foodId)
    .map(({ line, part }) => ({
      value: line.id,
      label: `${shelves.reference.foods.get(line.foodId!)?.name ?? line.name} (${part.name || part.kind})`,
      grams: line.grams!,
    })),
)
const fillings = computed(() =>
  (evaluation?.parts ?? [])
    .filter(
      (part) => part.grams > 0 && part.into === null && (part.kind === 'filling' || part.kind === 'shell'),
    )
    .map((part) => ({ value: `part:${part.partId}`, label: `${part.name}, finished`, grams: part.grams })),
)
const things = computed(() => [...fillings.value, ...lines.value])
const number = (text: string) => Number(text.trim().replace(',', '.').replace(/\s*g$/, ''))

const wish = computed<{ factor: number } | { problem: string }>(() => {
  if (of.value) {
    const thing = things.value.find((one) => one.value === of.value)
    if (!thing || !(number(have.value) > 0)) return { problem: 'Type the grams you have of it' }
    return { factor: factorFor(recipe, { partGrams: thing.grams, grams: number(have.value) }) }
  }
  const count = number(pieces.value)
  if (!(count >= 1 && count <= MAX_PIECES) || !Number.isInteger(count))
    return { problem: `Type a whole number of pieces from 1 to ${MAX_PIECES}` }
  return { factor: factorFor(recipe, { pieces: count }) }
})
const factor = computed(() => ('factor' in wish.value ? wish.value.factor : null))
const made = computed(() => {
  if (factor.value === null) return null
  // By a weight the number follows: as many whole pieces as it allows.
  const whole = of.value
    ? Math.max(1, Math.floor(recipe.pieces * factor.value + 1e-9)) / recipe.pieces
    : factor.value
  return { factor: whole, recipe: scaleRecipe(recipe, whole) }
})
const heaviest = computed(() =>
  allLines(recipe)
    .filter(({ line }) => line.grams)
    .sort((a, b) => b.line.grams! - a.line.grams!)
    .slice(0, 5)
    .map(({ line }) => ({
      id: line.id,
      name: shelves.reference.foods.get(line.foodId ?? '')?.name ?? line.name,
      was: line.grams!,
    })),
)
const gramsOf = (id: string) =>
  made.value?.recipe.parts.flatMap((part) => part.lines).find((line) => line.id === id)?.grams ?? 0

function take() {
  if (!made.value) return
  edits.scale(made.value.factor)
  visible.value = false
}
const times = (by: number) => {
  of.value = ''
  pieces.value = String(Math.max(1, Math.round(recipe.pieces * by)))
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Scale the recipe" :style="{ width: 'min(34rem, 96vw)' }">
    <form class="scale" @submit.prevent="take">
      <p class="soft small">
        Every weight changes, each piece stays as it is. To cut the same dough into more pieces, change
        “Makes” instead.
      </p>
      <p class="row">
        <label for="scale-pieces">Make</label>
        <input id="scale-pieces" v-model="pieces" class="field" inputmode="numeric" :disabled="of !== ''" />
        <span>pieces instead of {{ recipe.pieces }}</span>
        <button type="button" class="opens" @click="times(0.5)">half</button>
        <button type="button" class="opens" @click="times(2)">twice</button>
      </p>
      <p class="row">
        <label for="scale-of">or as many as</label>
        <input v-model="have" class="field" inputmode="decimal" aria-label="Grams you have" :disabled="!of" />
        <span>g of</span>
        <select id="scale-of" v-model="of" class="field">
          <option value="">choose what you have</option>
          <option v-for="thing in things" :key="thing.value" :value="thing.value">
            {{ thing.label }}, {{ showGrams(thing.grams) }} g
          </option>
        </select>
      </p>
      <p v-if="'problem' in wish" class="small" role="alert">
        <span class="sign watch">?</span> {{ wish.problem }}
      </p>
      <template v-if="made">
        <p>
          <strong>{{ made.recipe.pieces }} pieces</strong>, serves
          {{ Math.round(made.recipe.servings * 10) / 10 }}, {{ Math.round(made.factor * 100) / 100 }} ×
          everything.
        </p>
        <ul class="small">
          <li v-for="line in heaviest" :key="line.id">
            {{ line.name }}: {{ showGrams(line.was) }} → {{ showGrams(gramsOf(line.id)) }} g
          </li>
        </ul>
      </template>
      <p class="row">
        <Button type="submit" label="Scale" :disabled="!made || made.factor === 1" />
        <Button label="Leave it" severity="secondary" text @click="visible = false" />
      </p>
    </form>
  </Dialog>
</template>

<style scoped>
.scale {
  display: grid;
  gap: 0.7rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.4rem 0.6rem;
}
input {
  width: 4.5rem;
  text-align: right;
}
select {
  max-width: 100%;
}
</style>
