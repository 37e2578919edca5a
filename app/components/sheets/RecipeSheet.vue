<script setup lang="ts">
import { adviceOn } from '~~/core/method/advice'
import { pieceGrams } from '~~/core/evaluation/pieceGrams'
import type { Recipe } from '~~/core/recipe/document'
import { foodOf } from '~~/core/recipe/lines'
import { printLine } from '~~/core/recipe/printLine'
import { PART_NAMES } from '~~/core/recipe/vocabulary'
import { showFigure } from '~/logic/format'

const { recipe, original } = defineProps<{
  recipe: Recipe
  /** What it grew from; null for one of its own. */
  original: Recipe | null
}>()
const shelves = useLarderStore()
const { evaluation: before } = useEvaluation(() => original)
const { evaluation, problems } = useEvaluation(
  () => recipe,
  () => before.value,
)
const parts = computed(() => recipe.parts.filter(({ lines }) => lines.length))
const lineOf = (line: Recipe['parts'][number]['lines'][number]) =>
  [printLine(line, foodOf(line, shelves.reference.foods) ?? undefined), ...line.prep].join(', ')
// A swap is told where it is done: under the step that still speaks of the old food, and by itself.
const advice = computed(() =>
  adviceOn(
    recipe,
    shelves.reference,
    before.value && evaluation.value ? { before: before.value, after: evaluation.value } : null,
  ),
)
const remarksOn = (step: number) =>
  advice.value.filter(({ code, text }) => code === 'method' && text.startsWith(`Step ${step} `))
const differently = computed(() => [
  ...recipe.notes.filter(({ code }) => code === 'cooking'),
  ...advice.value.filter(({ code }) => code === 'handling'),
])
const FIGURES = [
  ['Energy', 'energyKcal', 'kcal'],
  ['Protein', 'proteinG', 'g'],
  ['Fat', 'fatG', 'g'],
  ['of which saturates', 'saturatedFatG', 'g'],
  ['Carbohydrate', 'carbohydrateG', 'g'],
  ['Fibre', 'fibreG', 'g'],
  ['Salt', 'saltG', 'g'],
] as const
</script>

<template>
  <article class="sheet">
    <header>
      <h2>{{ recipe.title }}</h2>
      <p>
        Makes {{ recipe.pieces }}, serves {{ recipe.servings
        }}<template v-if="!recipe.servingsStated"> (a guess by weight)</template>
      </p>
    </header>
    <CrossSection
      v-if="evaluation"
      class="drawing"
      :height="190"
      :pieces="[{ caption: '', shape: recipe.shape, grams: pieceGrams(evaluation) }]"
    />
    <div class="parts">
      <section v-for="part in parts" :key="part.id">
        <h3>{{ part.name || PART_NAMES[part.kind] }}</h3>
        <ul>
          <li v-for="line in part.lines" :key="line.id">{{ lineOf(line) }}</li>
        </ul>
      </section>
    </div>
    <section v-if="recipe.method.length" class="method">
      <h3>Method</h3>
      <ol>
        <li v-for="(step, at) in recipe.method" :key="at">
          {{ step }}
          <p v-for="one in remarksOn(at + 1)" :key="one.text" class="small remark">{{ one.text }}</p>
        </li>
      </ol>
    </section>
    <section v-if="differently.length">
      <h3>What to do differently</h3>
      <ul>
        <li v-for="one in differently" :key="one.text">{{ one.text }}</li>
      </ul>
    </section>
    <p v-if="problems.length" class="small">No figures: {{ problems[0]!.message }}.</p>
    <section v-if="evaluation" class="figures">
      <table class="ruled">
        <caption class="visually-hidden">
          Figures as eaten
        </caption>
        <thead>
          <tr>
            <th scope="col">As eaten</th>
            <th scope="col">a piece</th>
            <th scope="col">a serving</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="[name, key, unit] in FIGURES" :key="key">
            <th scope="row">{{ name }}</th>
            <td>{{ showFigure(key, evaluation.perPiece[key]) }} {{ unit }}</td>
            <td>{{ showFigure(key, evaluation.perServing[key]) }} {{ unit }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="!evaluation.complete" class="small">At least these: some lines are not counted.</p>
      <p>
        <template v-if="evaluation.allergens.length"
          >Contains <b>{{ evaluation.allergens.join(', ') }}</b>.</template
        >
        <template v-else>None of the 14 allergens is known in it.</template>
        <template v-if="evaluation.mayContain.length">
          May contain {{ evaluation.mayContain.join(', ').toLowerCase() }}.</template
        >
        Read every packet.
      </p>
      <ul v-if="evaluation.cautions.length" class="small">
        <li v-for="one in evaluation.cautions" :key="one.text">{{ one.text }}</li>
      </ul>
    </section>
  </article>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 0.9rem;
  max-width: 46rem;
  padding: 1.25rem 1.5rem;
  border: 1px solid var(--rule);
  background: var(--sheet);
}
h2,
h3,
p,
ul,
ol {
  margin: 0;
}
.parts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(16rem, 1fr));
  gap: 0.9rem 2rem;
}
.parts ul {
  padding: 0;
  list-style: none;
}
.method ol {
  padding-left: 1.4rem;
  list-style: decimal;
}
.method li {
  margin-bottom: 0.35rem;
}
.remark {
  padding-left: 0.6rem;
  border-left: 3px solid var(--beet);
}
.figures {
  display: grid;
  gap: 0.5rem;
}
.ruled {
  max-width: 26rem;
}
@media print {
  .sheet {
    display: block;
    max-width: none;
    padding: 0;
    border: 0;
    break-after: page;
  }
  .sheet > * + * {
    margin-top: 5mm;
  }
  /* A step, a line or a table is not torn in two; a heading stays with what it is over. */
  li,
  .parts section,
  .figures,
  .drawing {
    break-inside: avoid;
  }
  h2,
  h3 {
    break-after: avoid;
  }
}
</style>
