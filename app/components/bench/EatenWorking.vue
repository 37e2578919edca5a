<script setup lang="ts">
import type { Evaluation } from '~~/core/evaluation/evaluate'
import { NUTRIENT_TABLE, type Nutrient } from '~~/core/food/nutrients'
import { showFigure, showGrams } from '~/logic/format'

const { evaluation } = defineProps<{
  evaluation: Evaluation
}>()
const bench = useBenchStore()
const edits = useBenchEdits()
/** What a cooked piece weighed, when the cook has weighed it. */
const cooked = computed(() => bench.recipe?.cooking.cookedGramsPerPiece ?? null)

const problem = ref('')
function typeCooked(event: Event) {
  const text = (event.target as HTMLInputElement).value.trim()
  const grams = Number(text.replace(',', '.').replace(/\s*g$/, ''))
  const fine = text === '' || (grams >= 1 && grams <= 50_000)
  problem.value = fine ? '' : 'Type the grams of one cooked piece, such as 85'
  if (fine) edits.cooking({ cookedGramsPerPiece: text === '' ? null : grams })
}
const balance = computed(() => {
  const { balance: b } = evaluation.asEaten
  const rows = (sign: string, list: typeof b.left) => list.map((row) => ({ ...row, sign }))
  return [...rows('+', b.gained), ...rows('−', b.left), ...rows('−', b.lost)]
})
const AS_EATEN: Nutrient[] = ['energyKcal', 'proteinG', 'fatG', 'netCarbohydrateG', 'saltG']
</script>

<template>
  <div class="working">
    <table class="ruled">
      <tbody>
        <tr>
          <th scope="row">Everything listed</th>
          <td>{{ showGrams(evaluation.asEaten.balance.madeGrams) }} g</td>
          <td class="source" />
        </tr>
        <tr v-for="row in balance" :key="row.what">
          <th scope="row">{{ row.what }}</th>
          <td>{{ row.sign }}{{ showGrams(row.grams) }} g</td>
          <td class="source small soft">{{ row.why }}</td>
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">Eaten</th>
          <td>{{ showGrams(evaluation.asEaten.balance.eatenGrams) }} g</td>
          <td class="source">
            {{ evaluation.pieces }} pieces of {{ showGrams(evaluation.asEaten.gramsPerPiece) }} g
          </td>
        </tr>
      </tfoot>
    </table>
    <p>
      <label>
        A cooked piece weighs
        <input
          class="field cooked"
          :value="cooked === null ? '' : cooked"
          placeholder="estimated"
          inputmode="decimal"
          @change="typeCooked"
        />
        g
      </label>
      <span v-if="problem" role="alert" class="small"><span class="sign stop">✕</span> {{ problem }}</span>
    </p>
    <p>
      In 100 g as eaten:
      <template v-for="(key, at) in AS_EATEN" :key="key"
        >{{ at ? ', ' : '' }}{{ NUTRIENT_TABLE[key].name.toLowerCase() }}
        <strong
          >{{ showFigure(key, evaluation.asEaten.per100g[key]) }} {{ NUTRIENT_TABLE[key].unit }}</strong
        ></template
      >.
    </p>
    <p class="soft small">
      The nutrients are those of the raw lines as far as they are eaten; what heat takes of vitamins is taken
      off theirs. Fat that runs out of meat is taken to stay in the filling.
    </p>
  </div>
</template>

<style scoped>
.cooked {
  width: 6rem;
  text-align: right;
}
</style>
