<script setup lang="ts">
import type { PlannedPieces } from '~~/core/tray/pieces'
import type { Recipe } from '~~/core/recipe/document'
import { showGrams } from '~/logic/format'

const {
  planned,
  recipe,
  fixed = false,
} = defineProps<{
  planned: PlannedPieces
  recipe: Recipe
  /** What is not on the bench is not changed from here. */
  fixed?: boolean
}>()
const emit = defineEmits<{ count: [pieces: number] }>()
const edits = useBenchEdits()

const FITS = {
  mean: { word: 'scant', sign: 'watch' },
  good: { word: 'well filled', sign: 'fits' },
  overfull: { word: 'too full', sign: 'stop' },
} as const
const fit = computed(() => FITS[planned.fit])
const nameOf = (id: string) => {
  const part = recipe.parts.find((one) => one.id === id)
  return part ? part.name || part.kind : 'dough'
}
const isEven = computed(() => planned.runsOutFirst === null)
const short = computed(() =>
  planned.runsOutFirst === 'dough' ? 'dough' : nameOf(planned.runsOutFirst ?? ''),
)
/** What the last scaling rounded. */
const did = ref<string[]>([])
const percent = (factor: number) => `${Math.round((factor - 1) * 100)} %`
</script>

<template>
  <section aria-labelledby="comes-title">
    <h2 id="comes-title">What comes out</h2>
    <p class="sum">
      <strong class="large">{{ planned.pieces }}</strong> pieces:
      <strong>{{ showGrams(planned.doughGramsPerPiece) }} g</strong> of dough,
      {{ Math.round(planned.diameterMm) }} mm across, {{ planned.thicknessMm }} mm thick<template
        v-if="planned.fillings.length"
        >, with <strong>{{ showGrams(planned.fillingGramsPerPiece) }} g</strong> of filling</template
      >
    </p>
    <p v-if="planned.fillings.length">
      <span class="sign" :class="fit.sign">{{ fit.word }}</span> As a {{ planned.closing }} it closes well
      with up to {{ showGrams(planned.fillingCapacityGrams) }} g, about
      {{ planned.fillingCapacityTablespoons }} level tablespoons
    </p>
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">What</span></th>
          <th scope="col">there is</th>
          <th scope="col">makes</th>
          <th scope="col">left over</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row">Dough</th>
          <td>{{ showGrams(planned.dough.grams) }} g</td>
          <td>{{ planned.dough.pieces }} pieces</td>
          <td>
            {{ showGrams(planned.dough.leftGrams) }} g<template v-if="planned.dough.wasteGrams > 0.5"
              >, {{ showGrams(planned.dough.wasteGrams) }} g lost</template
            >
          </td>
        </tr>
        <tr v-for="filling in planned.fillings" :key="filling.partId">
          <th scope="row">
            {{ filling.name || 'Filling' }}
            <PieceMark v-if="filling.mark" :mark="filling.mark" />
            <span v-if="filling.mark" class="soft small"
              >{{ filling.planned }} pieces, {{ filling.mark }},
              {{ filling.turn === 1 ? 'made first' : `turn ${filling.turn}` }}</span
            >
          </th>
          <td>{{ showGrams(filling.grams) }} g</td>
          <td>{{ filling.pieces }} pieces</td>
          <td>{{ showGrams(filling.leftGrams) }} g</td>
        </tr>
      </tbody>
    </table>
    <p v-if="isEven"><span class="sign fits">even</span> Dough and filling come out together</p>
    <p v-else><span class="sign watch">runs out first</span> the {{ short.toLowerCase() }}</p>
    <p v-if="!fixed" class="acts no-print">
      <button
        v-for="more in planned.makeMore"
        :key="more.partId"
        type="button"
        class="act"
        @click="did = edits.scalePart(more.partId, more.factor)"
      >
        Make {{ percent(more.factor) }} more {{ nameOf(more.partId).toLowerCase() }}
      </button>
      <button
        v-if="planned.pieces !== recipe.pieces"
        type="button"
        class="act"
        @click="emit('count', planned.pieces)"
      >
        Make the recipe {{ planned.pieces }} pieces, not {{ recipe.pieces }}
      </button>
    </p>
    <p v-for="one in did" :key="one" class="small" role="status">
      <span class="sign fits">rounded</span> {{ one }}
    </p>
    <p v-for="warning in planned.warnings" :key="warning" class="small">
      <span class="sign watch">note</span> {{ warning }}
    </p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 0.5rem;
}
.large {
  font-size: 2.2rem;
  line-height: 1;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
}
.act {
  min-height: 2.4rem;
  padding: 0.3rem 0.8rem;
  border: 1px solid var(--beet);
  border-radius: 4px;
  background: none;
  color: var(--beet);
  font: inherit;
  cursor: pointer;
}
.act:hover {
  background: var(--beet-tint);
}
</style>
