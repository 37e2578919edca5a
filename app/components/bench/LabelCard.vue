<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import type { Evaluation } from '~~/core/evaluation/evaluate'
import { CONVENTIONS, labelOf, type Convention } from '~~/core/label/label'
import { pieceGrams } from '~~/core/evaluation/pieceGrams'
import type { Recipe } from '~~/core/recipe/document'
import { marksOf } from '~~/core/tray/apart'
import { showGrams } from '~/logic/format'

const shelves = useLarderStore()

const { recipe, evaluation } = defineProps<{ recipe: Recipe; evaluation: Evaluation }>()
const visible = defineModel<boolean>('visible', { required: true })

type Shown = Convention | 'both'
const WAYS: { value: Shown; label: string }[] = [
  { value: 'eu', label: 'EU way' },
  { value: 'us', label: 'US way' },
  { value: 'both', label: 'Side by side' },
]
const convention = useLocalStorage<Shown>('swap-pocket:label', 'eu')
const labels = computed(() => {
  const shown = CONVENTIONS.filter((one) => convention.value === 'both' || convention.value === one)
  return (shown.length ? shown : (['eu'] as const)).map((one) =>
    labelOf(recipe, evaluation, shelves.reference.foods, one),
  )
})
const label = computed(() => labels.value[0]!)
const fits = computed(() =>
  evaluation.diets.filter((verdict) => verdict.fits && recipe.diets.includes(verdict.diet)),
)
/** Several fillings of one dough are marked as on the tray. */
const marks = computed(() => marksOf(evaluation.fillings.map(({ partId, name }) => ({ partId, name }))))
const pieces = computed(() => [{ caption: recipe.title, shape: recipe.shape, grams: pieceGrams(evaluation) }])

function print() {
  document.body.classList.add('print-card')
  window.print()
  document.body.classList.remove('print-card')
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    header="Card for the piece"
    dismissable-mask
    :class="{ wide: labels.length > 1 }"
  >
    <div class="ways no-print">
      <SelectButton
        v-model="convention"
        :options="WAYS"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        size="small"
        aria-label="Convention"
      />
      <Button label="Print" size="small" @click="print" />
    </div>
    <article class="card">
      <header>
        <div>
          <h3>{{ recipe.title }}</h3>
          <p class="small">
            {{ recipe.pieces }} pieces of about {{ showGrams(evaluation.asEaten.gramsPerPiece) }} g, serves
            {{ recipe.servings }}
            <span v-for="verdict in fits" :key="verdict.diet" class="sign fits"
              >✓ {{ verdict.name.toLowerCase() }}</span
            >
          </p>
        </div>
        <div class="drawing"><CrossSection :pieces="pieces" :height="70" bare /></div>
      </header>
      <div class="tables">
        <table v-for="shown in labels" :key="shown.convention" class="ruled">
          <thead>
            <tr>
              <th scope="col">
                {{ labels.length > 1 ? (shown.convention === 'eu' ? 'EU' : 'US') : ''
                }}<span class="visually-hidden">Nutrient</span>
              </th>
              <th scope="col">a piece</th>
              <th scope="col">a serving</th>
              <th scope="col">of a day</th>
              <th scope="col">100 g</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in shown.rows" :key="row.key" :class="{ sub: row.sub }">
              <th scope="row">{{ row.name }}</th>
              <td>
                <strong>{{ row.perPiece.text }}</strong>
              </td>
              <td>{{ row.perServing.text }}</td>
              <td class="soft">{{ row.servingPct === null ? '' : `${row.servingPct} %` }}</td>
              <td>{{ row.per100g.text }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="ingredients">
        <span class="soft">Made of </span>
        <span v-for="(one, at) in label.ingredients" :key="one.name"
          >{{ at ? '; ' : '' }}{{ one.name.toLowerCase()
          }}<strong v-if="one.allergens.length"> ({{ one.allergens.join(', ').toUpperCase() }})</strong
          ><template v-if="one.of.length">
            (<template v-for="(own, n) in one.of" :key="own.name"
              >{{ n ? ', ' : '' }}{{ own.name.toLowerCase()
              }}<strong v-if="own.allergens.length">
                ({{ own.allergens.join(', ').toUpperCase() }})</strong
              ></template
            >)</template
          ></span
        >
      </p>
      <p v-if="marks.length" class="small">
        Told apart by
        <template v-for="{ name, mark } in marks" :key="mark">
          <PieceMark :mark="mark" /> {{ name.toLowerCase() }}, {{ mark }}.
        </template>
      </p>
      <p v-if="label.mayContain.length" class="small">
        Read the packets for {{ label.mayContain.join(', ').toLowerCase() }}.
      </p>
      <footer class="small">
        {{ label.basis }}. Traces travel in a home kitchen.
        <span class="soft">{{ labels.map((one) => one.source).join('; ') }}.</span>
      </footer>
    </article>
  </Dialog>
</template>

<style scoped>
.ways {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 1rem;
  margin-bottom: 0.75rem;
}
.card {
  display: grid;
  gap: 0.6rem;
  padding: 0.9rem 1rem;
  border: 2px solid var(--ink);
  border-radius: 3px;
  background: var(--sheet);
}
header {
  display: flex;
  align-items: end;
  justify-content: space-between;
  gap: 1rem;
  border-bottom: 2px solid var(--ink);
}
.drawing {
  flex: 0 0 9rem;
}
.drawing :deep(.board) {
  stroke: none;
}
.tables {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 2rem;
}
.tables table {
  flex: 1 1 26rem;
}
table {
  width: 100%;
}
td,
thead th {
  white-space: nowrap;
}
footer {
  padding-top: 0.4rem;
  border-top: 1px solid var(--rule);
}
@media (max-width: 640px) {
  .drawing {
    display: none;
  }
  td,
  thead th:not(:first-child) {
    padding-left: 0.4rem;
    font-size: 0.875rem;
  }
}
</style>
