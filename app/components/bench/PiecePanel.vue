<script setup lang="ts">
import type { Evaluation } from '~~/core/evaluation/evaluate'
import { pieceGrams } from '~~/core/evaluation/pieceGrams'
import type { Recipe } from '~~/core/recipe/document'
import { table } from '~~/data/table'
import { showFigure, showGrams } from '~/logic/format'
import type { Piece } from './CrossSection.vue'
import type { Basis } from './FiguresTable.vue'
import type { Topic } from './WorkingDialog.vue'

const { recipe, evaluation, baseline, before } = defineProps<{
  recipe: Recipe
  evaluation: Evaluation
  baseline: Recipe | null
  before: Evaluation | null
}>()
const basis = defineModel<Basis>('basis', { required: true })

/** The panel is long: what it holds, by the ids of its headings, in the order in which it stands. */
const SECTIONS = [
  { id: 'drawing-title', name: 'Piece' },
  { id: 'figures-title', name: 'Figures' },
  { id: 'dough-title', name: 'Dough' },
  { id: 'filling-title', name: 'Filling' },
  { id: 'cost-title', name: 'Cost' },
  { id: 'diets-title', name: 'Diets' },
  { id: 'care-title', name: 'Care' },
]

const drawing = useTemplateRef<{ working: () => string }>('drawing')
/** The printable card is shown. */
const card = defineModel<boolean>('card', { default: false })
const topic = ref<Topic | null>(null)
const dietWords = computed(() =>
  table.diets.filter((diet) => recipe.diets.includes(diet.id)).map((diet) => diet.name),
)
const moisture = computed(() => evaluation.filling.moisture)
const pieces = computed<Piece[]>(() => {
  const own: Piece = {
    caption: before ? dietWords.value.join(', ') || 'Changed' : 'One piece',
    shape: recipe.shape,
    grams: pieceGrams(evaluation),
  }
  return before && baseline
    ? [{ caption: 'As written', shape: baseline.shape, grams: pieceGrams(before) }, own]
    : [own]
})
</script>

<template>
  <div class="panel">
    <PieceIndex :sections="SECTIONS" />
    <figure id="drawing-title" tabindex="-1">
      <CrossSection ref="drawing" :pieces="pieces" />
      <button
        type="button"
        class="opens small soft how"
        @click="topic = { kind: 'drawing', text: drawing?.working() ?? '' }"
      >
        how drawn
      </button>
    </figure>
    <FiguresTable
      v-model:basis="basis"
      :after="evaluation"
      :before="before"
      @open="(wanted) => (topic = wanted)"
      @card="card = true"
    />
    <section v-if="evaluation.fillings.length" aria-label="Each filling">
      <p v-for="filling in evaluation.fillings" :key="filling.partId" class="small">
        <strong>{{ filling.name }}</strong>: {{ Math.round(filling.pieces * 10) / 10 }} pieces of
        {{ showGrams(filling.perPiece.grams) }} g,
        {{ showFigure('energyKcal', filling.perPiece.energyKcal) }} kcal,
        {{ showFigure('proteinG', filling.perPiece.proteinG) }} g protein each
      </p>
    </section>
    <DoughScale
      :dough="evaluation.dough"
      :abilities="evaluation.abilities"
      :before="before?.dough ?? null"
      @open="(wanted) => (topic = wanted)"
    />
    <section aria-labelledby="filling-title">
      <h2 id="filling-title">Filling</h2>
      <p>
        <strong>{{ showGrams(evaluation.filling.gramsPerPiece) }} g</strong> a piece,
        {{ Math.round(evaluation.filling.sharePct) }} % of the piece;
        {{ Math.round(evaluation.filling.waterPct) }} % water as it goes in<template v-if="before"
          >, was {{ Math.round(before.filling.waterPct) }} %</template
        ><template v-if="evaluation.filling.cookedOffGrams > 0.5"
          >; {{ showGrams(evaluation.filling.cookedOffGrams) }} g of water cooked out of it</template
        >
      </p>
      <p v-if="evaluation.filling.grams > 0" class="small">
        <span
          class="sign"
          :class="moisture.class === 'dry' ? 'fits' : moisture.class === 'moist' ? 'watch' : 'stop'"
          >{{ moisture.class }}</span
        >
        {{ showGrams(moisture.looseGrams) }} g of loose water, {{ moisture.loosePct.toFixed(0) }} %<template
          v-if="moisture.suggestions.length"
          >. {{ moisture.suggestions.join('. ') }}</template
        >
      </p>
    </section>
    <CostPanel :recipe="recipe" :evaluation="evaluation" :baseline="baseline" :before="before" />
    <VerdictList :evaluation="evaluation" :wanted="recipe.diets" />
    <LazyLabelCard v-if="card" v-model:visible="card" :recipe="recipe" :evaluation="evaluation" />
    <LazyWorkingDialog v-if="topic" :topic="topic" :evaluation="evaluation" @close="topic = null" />
  </div>
</template>

<style scoped>
figure {
  position: relative;
}
.how {
  position: absolute;
  right: 0;
  bottom: 0;
}
.panel {
  display: grid;
  align-content: start;
  gap: 0.9rem;
}
/* The index stays above what is gone to. */
.panel :deep([id$='-title']) {
  scroll-margin-top: 2.6rem;
}
section + section,
.panel > :deep(section) {
  padding-top: 0.7rem;
  border-top: 1px solid var(--rule);
}
</style>
