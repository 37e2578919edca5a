<script setup lang="ts">
import type { Adaptation, Alternative } from '~~/core/adaptation/adapt'
import { brings } from '~~/core/adaptation/brings'
import type { Recipe } from '~~/core/recipe/document'
import type { Change } from '~~/core/substitution/applySwap'
import { table } from '~~/data/table'
import { dietNames } from '~/logic/dietGroups'
import { showChange, showFigure, showGrams, WAY_WORDS } from '~/logic/format'

const { answer, diets } = defineProps<{ answer: Adaptation; diets: string[] }>()
const emit = defineEmits<{ take: [recipe: Recipe] }>()

interface Way extends Alternative {
  name: string
  take: string
  /** False where nothing was weighed against anything. */
  hasDistance: boolean
}
/** What can be taken. Where nothing reaches it: what swaps alone do, and what comes nearest. */
const ways = computed((): Way[] => {
  const { conflict, alternatives, distance } = answer
  const own = { ...answer, distance: distance ?? 0 }
  const taken = `Take it: ${dietNames(diets).join(', ')}`
  if (!conflict.length)
    return [own, ...alternatives].map((one, n) => {
      const verdicts = verdictsOf(one)
      const fits = diets.length > 0 && verdicts.every(({ verdict }) => verdict !== 'does not fit')
      const name = n ? `Another way ${n}` : 'The nearest'
      return { ...one, name, take: fits ? taken : 'Take it', hasDistance: true }
    })
  return [
    ...alternatives.map((one) => ({
      ...one,
      name: 'As near as it gets',
      take: 'Take it as near as it gets',
      hasDistance: true,
    })),
    ...(answer.changes.length
      ? [{ ...own, name: 'Swaps alone', take: 'Take the swaps alone', hasDistance: false }]
      : []),
  ]
})
const verdictsOf = (one: Alternative) =>
  one.evaluation.diets.filter((verdict) => diets.includes(verdict.diet))
const at = ref(0)
watch(
  () => answer,
  () => (at.value = 0),
)
const way = computed(() => ways.value[at.value] ?? null)
const FIGURES = ['energyKcal', 'proteinG', 'fatG', 'netCarbohydrateG', 'fibreG'] as const
const isSwap = ({ kind }: Change) => kind === 'swap' || kind === 'formula'
const swapsOf = (one: Alternative) => one.changes.filter(isSwap).length
/** What a way does, in a few words: how it is cooked and what comes in. */
function withWhat({ changes, recipe }: Alternative): string {
  const cooked = changes.some((change) => change.kind === 'cooking')
    ? [WAY_WORDS[recipe.cooking.way].toLowerCase()]
    : []
  const foods = changes.filter(isSwap).map((change) => change.to.split(' + ')[0]!)
  const words = [...cooked, ...new Set(foods.map((name) => name.split(',')[0]!.toLowerCase()))]
  if (!words.length) return changes.length ? 'other amounts only' : ''
  return words.slice(0, 4).join(', ') + (words.length > 4 ? ' …' : '')
}
const verdicts = computed(() => (way.value ? verdictsOf(way.value) : []))
/** What it brings that nobody asked for: said before it is taken. */
const unasked = computed(() =>
  way.value
    ? brings(answer.before, way.value.evaluation, table.diets, diets)
    : { allergens: [], dietsLost: [] },
)
</script>

<template>
  <div class="answer">
    <template v-if="answer.conflict.length">
      <p>
        <span class="sign stop">✕ cannot be</span>
        {{
          answer.conflict.length > 1 ? "These stand in each other's way:" : 'Out of reach for this recipe:'
        }}
      </p>
      <ul class="conflict">
        <li v-for="wish in answer.conflict" :key="wish">{{ wish }}</li>
      </ul>
      <p class="soft">
        {{ answer.conflict.length > 1 ? 'Give one of them up, or loosen it.' : 'Loosen it.' }} Your recipe is
        as it was<template v-if="answer.changes.length"
          >; what can be left out by swaps alone is below</template
        >.
      </p>
    </template>
    <p v-if="answer.conflict.length && answer.compromise" class="small">
      <span class="sign watch">as near as it gets</span> {{ answer.compromise }}.
    </p>
    <table v-if="ways.length > 1" class="ways ruled">
      <caption class="visually-hidden">
        Ways to reach it
      </caption>
      <thead>
        <tr>
          <th scope="col">Way</th>
          <th scope="col">distance</th>
          <th scope="col">swaps</th>
          <th scope="col">kcal</th>
          <th scope="col">protein</th>
          <th scope="col">net carb</th>
          <th scope="col">dough</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, n) in ways" :key="n" :class="{ on: n === at }">
          <th scope="row">
            <button type="button" class="opens" :aria-pressed="n === at" @click="at = n">
              {{ one.name }}
            </button>
            <span class="small soft with">{{ withWhat(one) }}</span>
          </th>
          <td>{{ one.hasDistance ? one.distance.toFixed(1) : '' }}</td>
          <td>{{ swapsOf(one) }}</td>
          <td>{{ showFigure('energyKcal', one.evaluation.perPiece.energyKcal) }}</td>
          <td>{{ showFigure('proteinG', one.evaluation.perPiece.proteinG) }}</td>
          <td>{{ showFigure('netCarbohydrateG', one.evaluation.perPiece.netCarbohydrateG) }}</td>
          <td>{{ one.evaluation.dough.consistency ?? 'bought' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="answer.distance !== null && !answer.conflict.length" class="small soft">
      Distance 1 is one percent of the recipe’s weight moved, or what you set for it under “What counts as
      far”.
      <template v-if="!answer.proven">The best found in the time given; a nearer one may exist.</template>
    </p>
    <details v-if="way?.hasDistance && way.terms.length" class="small">
      <summary>What its {{ way.distance.toFixed(1) }} is made of</summary>
      <ul class="terms">
        <li v-for="term in way.terms" :key="term.text">
          <span class="number">{{ term.distance.toFixed(1) }}</span> {{ term.text }}
        </li>
      </ul>
    </details>
    <p v-if="answer.compromise && !answer.conflict.length" class="small">
      <span class="sign watch">given up</span> {{ answer.compromise }}
    </p>
    <p v-for="one in answer.unmet" :key="one.reason" class="small">
      <span class="sign stop">✕</span> {{ one.reason }}
    </p>
    <p v-if="way?.hasDistance">
      <span v-for="verdict in verdicts" :key="verdict.diet" class="verdict small">
        <span
          class="sign"
          :class="verdict.fits ? 'fits' : verdict.verdict === 'cannot tell' ? 'watch' : 'stop'"
          >{{ verdict.fits ? '✓' : verdict.verdict === 'cannot tell' ? '?' : '✕' }}
          {{ verdict.name.toLowerCase() }}</span
        >
        {{ verdict.reasons.join('; ') }}
      </span>
    </p>
    <p v-if="unasked.allergens.length" class="small">
      <span class="sign watch">! brings</span>{{ ' ' }}<strong>{{ unasked.allergens.join(', ') }}</strong
      >, which the recipe did not hold.
    </p>
    <p v-if="unasked.dietsLost.length" class="small">
      <span class="sign watch">! no longer</span> {{ unasked.dietsLost.join(', ').toLowerCase() }}, which it
      was.
    </p>
    <p v-if="way" class="small">
      A piece:
      <span v-for="key in FIGURES" :key="key" class="figure"
        ><strong>{{ showFigure(key, way.evaluation.perPiece[key]) }}</strong>
        {{
          key === 'energyKcal' ? 'kcal' : `g ${key.replace(/G$/, '').replace('netCarbohydrate', 'net carb')}`
        }}
        ({{ showChange(key, way.evaluation.perPiece[key] - answer.before.perPiece[key]) }})</span
      >
    </p>
    <ul v-if="way?.changes.length" class="changes small">
      <li v-for="(change, n) in way.changes" :key="n">
        <template v-if="change.kind === 'swap'"
          ><strong>{{ change.to }}</strong>
          {{ change.gramsAfter === null ? '' : `${showGrams(change.gramsAfter)} g` }} for
          {{ change.gramsBefore === null ? '' : `${showGrams(change.gramsBefore)} g` }}
          {{ change.from.toLowerCase() }}. <span class="soft">{{ change.why }}.</span></template
        >
        <template v-else-if="change.kind === 'formula'"
          ><strong>{{ change.to }}</strong
          >, {{ showGrams(change.gramsAfter ?? 0) }} g, for the dough as written: {{ change.why }}.
          <span class="soft">{{ change.handling }}. {{ change.cooking }}</span></template
        >
        <template v-else-if="change.kind === 'cooking'"
          ><strong class="way">{{ change.to }}</strong> instead of {{ change.from }}.
          <span class="soft">{{ change.why }}.</span></template
        >
        <template v-else-if="change.kind === 'none' || change.kind === 'check'">
          <span class="sign watch">{{ change.kind }}</span> {{ change.from }}: {{ change.why }}</template
        >
        <template v-else
          >{{ change.from }}: {{ showGrams(change.gramsBefore ?? 0) }} g →
          <strong>{{ showGrams(change.gramsAfter ?? 0) }} g</strong></template
        >
      </li>
    </ul>
    <p v-else-if="!answer.conflict.length">Nothing has to change: it is so already.</p>
    <template v-if="answer.binding.length && at === 0">
      <h3>What stands in the way of a nearer one</h3>
      <ul class="small">
        <li v-for="one in answer.binding" :key="one.name">{{ one.text }}.</li>
      </ul>
    </template>
    <p v-if="way?.changes.length">
      <Button :label="way.take" @click="emit('take', way.recipe)" />
      <span class="small soft"> Undo takes it back.</span>
    </p>
  </div>
</template>

<style scoped>
.terms {
  list-style: none;
  padding: 0.2rem 0 0;
}
.terms .number {
  display: inline-block;
  min-width: 2.6rem;
  margin-right: 0.4rem;
  text-align: right;
  font-weight: 640;
  font-variant-numeric: tabular-nums;
}
.answer {
  display: grid;
  align-content: start;
  gap: 0.6rem;
}
.with {
  display: block;
}
tr.on {
  background: var(--beet-tint);
}
@media (max-width: 640px) {
  .ways td:last-child,
  .ways thead th:last-child {
    display: none;
  }
  .ways td,
  .ways thead th:not(:first-child) {
    padding-left: 0.4rem;
  }
}
.verdict,
.figure {
  margin-right: 0.9rem;
}
.way {
  display: inline-block;
}
.way::first-letter {
  text-transform: uppercase;
}
.changes,
.conflict {
  display: grid;
  gap: 0.2rem;
  padding-left: 1rem;
  list-style: disc;
}
</style>
