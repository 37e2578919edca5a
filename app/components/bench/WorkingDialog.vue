<script setup lang="ts">
import type { Evaluation } from '~~/core/evaluate'
import { MICRONUTRIENTS, type Micronutrient } from '~~/core/food/micronutrients'
import type { Nutrient } from '~~/core/food/nutrients'
import { NUTRIENT_WORDS, PART_WORDS, showFigure, showGrams, showMicro } from '~/logic/format'

const shelves = useLarderStore()

export type Topic =
  | { kind: 'nutrient'; key: Nutrient }
  | { kind: 'micronutrient'; key: Micronutrient }
  | { kind: 'protein' }
  | { kind: 'dough' }
  | { kind: 'eaten' }
  | { kind: 'drawing'; text: string }

const { topic, evaluation, cooked } = defineProps<{
  topic: Topic | null
  evaluation: Evaluation | null
  /** What a cooked piece weighed, when the cook has weighed it. */
  cooked: number | null
}>()
const emit = defineEmits<{ close: []; cooked: [gramsPerPiece: number | null] }>()

const visible = computed({ get: () => topic !== null, set: () => emit('close') })
const title = computed(() => {
  if (topic?.kind === 'nutrient')
    return `How the ${NUTRIENT_WORDS[topic.key].name.replace(/^of which /, '').toLowerCase()} came about`
  if (topic?.kind === 'micronutrient')
    return `How the ${MICRONUTRIENTS[topic.key].name.toLowerCase()} came about`
  if (topic?.kind === 'eaten') return 'From raw to eaten'
  if (topic?.kind === 'protein') return 'What the protein is made of'
  return topic?.kind === 'dough' ? 'How the softness came about' : 'How the piece is drawn'
})
const cookedProblem = ref('')
function typeCooked(event: Event) {
  const text = (event.target as HTMLInputElement).value.trim()
  const grams = Number(text.replace(',', '.').replace(/\s*g$/, ''))
  const fine = text === '' || (grams >= 1 && grams <= 50_000)
  cookedProblem.value = fine ? '' : 'Type the grams of one cooked piece, such as 85'
  if (fine) emit('cooked', text === '' ? null : grams)
}
const balance = computed(() => {
  if (!evaluation) return []
  const { balance: b } = evaluation.asEaten
  const rows = (sign: string, list: typeof b.left) => list.map((row) => ({ ...row, sign }))
  return [...rows('+', b.gained), ...rows('−', b.left), ...rows('−', b.lost)]
})
const AS_EATEN: Nutrient[] = ['energyKcal', 'proteinG', 'fatG', 'netCarbohydrateG', 'saltG']
const micronutrient = computed(() => {
  if (topic?.kind !== 'micronutrient' || !evaluation) return null
  const { key } = topic
  const lines = evaluation.working.lines
    .map((line) => ({ ...line, per100g: shelves.larder.foods.get(line.foodId)?.micronutrients[key] ?? null }))
    .sort((a, b) => (b.per100g ?? Infinity) * b.foodGrams - (a.per100g ?? Infinity) * a.foodGrams)
  return { ...MICRONUTRIENTS[key], lines, figure: evaluation.micronutrients[key] }
})
const nutrient = computed(() => {
  if (topic?.kind !== 'nutrient' || !evaluation) return null
  const { key } = topic
  const figure = evaluation.working.figures[key]
  const lines = evaluation.working.lines
    .map((line) => ({
      ...line,
      amount: line.nutrients[key],
      per100g: line.foodGrams > 0 ? (line.nutrients[key] / line.foodGrams) * 100 : 0,
    }))
    .sort((a, b) => b.amount - a.amount)
  return { key, figure, lines, unit: NUTRIENT_WORDS[key].unit }
})
</script>

<template>
  <Dialog v-model:visible="visible" modal :header="title" dismissable-mask>
    <div v-if="nutrient && evaluation" class="working">
      <p>
        {{ nutrient.figure.formula }} <span class="soft">({{ nutrient.figure.source }})</span>
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">Line</th>
            <th scope="col">grams eaten</th>
            <th scope="col">{{ nutrient.unit }} in 100 g</th>
            <th scope="col">{{ nutrient.unit }} in the batch</th>
            <th scope="col" class="source">Source</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in nutrient.lines" :key="line.lineId">
            <th scope="row">
              {{ line.name }}
              <span class="soft small"
                >{{ PART_WORDS[line.part]
                }}<template v-if="line.eatenWhy">: {{ line.eatenWhy }}</template></span
              >
            </th>
            <td>{{ showGrams(line.foodGrams) }}</td>
            <td>{{ showFigure(nutrient.key, line.per100g) }}</td>
            <td>{{ showFigure(nutrient.key, line.amount) }}</td>
            <td class="source small soft">{{ line.source }}</td>
          </tr>
          <tr v-for="line in evaluation.working.uncounted" :key="line.lineId">
            <th scope="row">{{ line.name }}</th>
            <td colspan="4"><span class="sign watch">not counted</span> {{ line.reason }}</td>
          </tr>
        </tbody>
        <tfoot>
          <tr>
            <th scope="row" colspan="3">The batch</th>
            <td>{{ showFigure(nutrient.key, nutrient.figure.batch) }}</td>
            <td class="source" />
          </tr>
        </tfoot>
      </table>
      <p>
        {{ showFigure(nutrient.key, nutrient.figure.batch) }} ÷ {{ evaluation.pieces }} pieces =
        <strong
          >{{ showFigure(nutrient.key, evaluation.perPiece[nutrient.key]) }} {{ nutrient.unit }} a
          piece</strong
        >; ÷ {{ evaluation.servings }} servings =
        {{ showFigure(nutrient.key, evaluation.perServing[nutrient.key]) }}; in 100 g
        {{ showFigure(nutrient.key, evaluation.per100g[nutrient.key]) }}
      </p>
      <p>
        Nine times in ten between
        <strong>{{ showFigure(nutrient.key, evaluation.spread.perPiece[nutrient.key].low) }}</strong> and
        <strong
          >{{ showFigure(nutrient.key, evaluation.spread.perPiece[nutrient.key].high) }}
          {{ nutrient.unit }}</strong
        >
        a piece.
        <span class="soft"
          >A scale is taken as good to 2 %, spoons to 10, counts to 20, fat from the pan to half; foods vary
          by 8 %. Common practice, no source.</span
        >
      </p>
      <p class="soft small">{{ evaluation.working.basis }}.</p>
    </div>

    <div v-else-if="micronutrient && evaluation" class="working">
      <p>
        grams eaten × {{ micronutrient.unit }} per 100 g ÷ 100, summed over the lines. Unknown is not zero: it
        makes the sum “at least”.
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">Line</th>
            <th scope="col">grams eaten</th>
            <th scope="col">{{ micronutrient.unit }} in 100 g</th>
            <th scope="col">{{ micronutrient.unit }} in the batch</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in micronutrient.lines" :key="line.lineId">
            <th scope="row">
              {{ line.name }} <span class="soft small">{{ PART_WORDS[line.part] }}</span>
            </th>
            <td>{{ showGrams(line.foodGrams) }}</td>
            <td>{{ line.per100g === null ? 'unknown' : showMicro(line.per100g) }}</td>
            <td>{{ line.per100g === null ? '' : showMicro((line.per100g * line.foodGrams) / 100) }}</td>
          </tr>
        </tbody>
      </table>
      <p>
        <strong>{{ showMicro(micronutrient.figure.perPiece) }} {{ micronutrient.unit }} a piece</strong>,
        {{ showMicro(micronutrient.figure.perServing) }} a serving<template
          v-if="micronutrient.figure.servingPct !== null"
          >: {{ Math.round(micronutrient.figure.servingPct) }} % of {{ micronutrient.referenceIntake }}
          {{ micronutrient.unit }} a day
          <span class="soft">(Regulation (EU) No 1169/2011, Annex XIII)</span></template
        >
      </p>
    </div>

    <div v-else-if="topic?.kind === 'eaten' && evaluation" class="working">
      <table>
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
        <span v-if="cookedProblem" role="alert" class="small"
          ><span class="sign stop">✕</span> {{ cookedProblem }}</span
        >
      </p>
      <p>
        In 100 g as eaten:
        <template v-for="(key, at) in AS_EATEN" :key="key"
          >{{ at ? ', ' : '' }}{{ NUTRIENT_WORDS[key].name.toLowerCase() }}
          <strong
            >{{ showFigure(key, evaluation.asEaten.per100g[key]) }} {{ NUTRIENT_WORDS[key].unit }}</strong
          ></template
        >.
      </p>
      <p class="soft small">
        The nutrients are those of the raw lines as far as they are eaten; what heat takes of vitamins is
        taken off theirs. Fat that runs out of meat is taken to stay in the filling.
      </p>
    </div>

    <ProteinWorking v-else-if="topic?.kind === 'protein' && evaluation" :protein="evaluation.protein" />

    <div v-else-if="topic?.kind === 'dough' && evaluation" class="working">
      <p>
        {{ evaluation.working.dough.formula }}
        <span class="soft">({{ evaluation.working.dough.source }})</span>
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">Line</th>
            <th scope="col">grams</th>
            <th scope="col">% of flour</th>
            <th scope="col">free water</th>
            <th scope="col">fat as water</th>
            <th scope="col">drinks</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="share in evaluation.dough.shares" :key="share.lineId">
            <th scope="row">{{ share.name }}</th>
            <td>{{ showGrams(share.grams) }}</td>
            <td>{{ share.bakersPct === null ? '–' : share.bakersPct.toFixed(1) }}</td>
            <td>{{ showGrams(share.freeWaterGrams) }}</td>
            <td>{{ showGrams(share.fatShareGrams) }}</td>
            <td>{{ showGrams(share.waterDemandGrams) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="evaluation.working.dough.softness !== null">
        ({{ showGrams(evaluation.working.dough.freeWaterGrams) }} +
        {{ showGrams(evaluation.working.dough.fatShareGrams) }}) ÷
        {{ showGrams(evaluation.working.dough.waterDemandGrams) }} =
        <strong>{{ evaluation.working.dough.softness.toFixed(2) }}</strong>
      </p>
      <p class="soft small">
        {{ evaluation.working.dough.classes }}. A model of feel, to be set right by your own bakes: it knows
        nothing of kneading, rest or the day's flour.
      </p>
    </div>

    <div v-else-if="topic?.kind === 'drawing'" class="working">
      <p v-for="line in topic.text.split('\n')" :key="line">{{ line }}.</p>
      <p class="soft small">A raw piece as shaped: air, layers and the rise of yeast are left out.</p>
    </div>
  </Dialog>
</template>

<style scoped>
.working {
  display: grid;
  gap: 0.75rem;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-weight: 400;
  text-align: left;
}
thead th {
  border-bottom: 2px solid var(--ink);
  color: var(--ink-soft);
  font-size: 0.875rem;
}
td,
thead th:not(:first-child) {
  text-align: right;
}
th,
td {
  padding: 0.2rem 0.4rem 0.2rem 0;
  vertical-align: top;
}
tbody tr {
  border-bottom: 1px solid var(--rule);
}
tfoot th,
tfoot td {
  font-weight: 640;
}
.cooked {
  width: 6rem;
  text-align: right;
}
.source {
  padding-left: 0.75rem;
  text-align: left !important;
}
@media (max-width: 640px) {
  .source {
    display: none;
  }
}
</style>
