<script setup lang="ts">
import { costOf } from '~~/core/cost/costOf'
import type { Evaluation } from '~~/core/evaluation/evaluate'
import type { Recipe } from '~~/core/recipe/document'
import { showGrams, showMoney } from '~/logic/format'

const { recipe, evaluation, baseline, before } = defineProps<{
  recipe: Recipe
  evaluation: Evaluation
  baseline: Recipe | null
  before: Evaluation | null
}>()

const bench = useBenchStore()
const shelves = useLarderStore()
const { currency } = storeToRefs(shelves)
const open = ref(false)

const of = (document: Recipe, figures: Evaluation) =>
  costOf(document, figures.working.lines, shelves.reference.foods, shelves.prices)
const cost = computed(() => of(recipe, evaluation))
const was = computed(() => (baseline && before ? of(baseline, before) : null))
const known = computed(() => cost.value.lines.some((line) => line.cost !== null))
const money = (value: number) => showMoney(value, currency.value)
const atLeast = computed(() => (cost.value.unknown.length ? 'at least ' : ''))
const bought = computed(() => recipe.boughtPricePerPiece ?? null)
const change = computed(() => {
  if (!was.value) return ''
  const more = cost.value.perPiece - was.value.perPiece
  const word = more >= 0 ? 'more' : 'less'
  const sure = !cost.value.unknown.length && !was.value.unknown.length
  return `${money(Math.abs(more))} ${word} than the original${sure ? '' : ', as far as prices are known'}`
})
const saved = computed(() => {
  if (bought.value === null || !known.value) return ''
  const less = bought.value - cost.value.perPiece
  // "At least" cuts one way only: a piece that costs more than is known saves less.
  return less >= 0
    ? `${atLeast.value ? 'at most ' : ''}${money(less)} less than a bought one`
    : `${atLeast.value}${money(-less)} more than a bought one`
})

const problem = ref('')
function typeBought(event: Event) {
  const text = (event.target as HTMLInputElement).value.trim()
  const value = Number(text.replace(',', '.'))
  const fine = !text || (value >= 0 && value <= 100_000)
  problem.value = fine ? '' : 'Type what one bought piece costs, such as 1.80'
  if (fine) bench.change({ ...recipe, boughtPricePerPiece: text ? value : null })
}
</script>

<template>
  <section aria-labelledby="cost-title">
    <h2 id="cost-title">Cost</h2>
    <p v-if="!known" class="small">
      No price of these foods is noted yet. <NuxtLink to="/larder?prices">Price book</NuxtLink>
    </p>
    <p v-else>
      <button type="button" class="opens" :aria-expanded="open" @click="open = !open">
        <strong>{{ atLeast }}{{ money(cost.perPiece) }}</strong> a piece, {{ money(cost.perServing) }} a
        serving</button
      ><template v-if="change">; {{ change }}</template>
    </p>
    <p v-if="known && cost.unknown.length" class="small">
      <span class="sign watch">no price</span>
      {{ cost.unknown.join(', ').toLowerCase() }}.
      <NuxtLink to="/larder?prices">Price book</NuxtLink>
    </p>
    <table v-if="known && open" class="small ruled">
      <thead>
        <tr>
          <th scope="col">Line</th>
          <th scope="col">grams</th>
          <th scope="col">pack</th>
          <th scope="col">cost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in cost.lines" :key="line.lineId">
          <th scope="row">{{ line.name }}</th>
          <td>{{ showGrams(line.grams) }}</td>
          <td>
            {{ line.price ? `${money(line.price.price)} for ${showGrams(line.price.packGrams)} g` : '' }}
          </td>
          <td>{{ line.cost === null ? 'unknown' : money(line.cost) }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <th scope="row" colspan="3">The batch; fat in the pan as far as it is taken up</th>
          <td>{{ money(cost.batch) }}</td>
        </tr>
      </tfoot>
    </table>
    <p class="small">
      <label
        >A bought one costs
        <input
          class="field"
          inputmode="decimal"
          :value="bought ?? ''"
          placeholder="price"
          @change="typeBought"
        />
        {{ currency }}</label
      ><template v-if="saved">: {{ saved }}</template>
    </p>
    <p v-if="problem" class="small" role="alert"><span class="sign stop">✕</span> {{ problem }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 0.3rem;
}
input {
  width: 4.5rem;
  text-align: right;
}
</style>
