<script setup lang="ts">
import { difference, type Evaluation } from '~~/core/evaluation/evaluate'
import { MICRONUTRIENT_KEYS, MICRONUTRIENTS, type Micronutrient } from '~~/core/food/micronutrients'
import { NUTRIENT_TABLE, rowName, NUTRIENTS, type Nutrient } from '~~/core/food/nutrients'
import { euEnergyKj } from '~~/core/label/label'
import { showChange, showFigure, showGrams, showMicro, showMicroChange } from '~/logic/format'
import type { Topic } from './WorkingDialog.vue'

export type Basis = 'perPiece' | 'perServing' | 'per100g'

const { after, before } = defineProps<{ after: Evaluation; before: Evaluation | null }>()
const basis = defineModel<Basis>('basis', { required: true })
const emit = defineEmits<{ open: [topic: Topic]; card: [] }>()

const BASES: { value: Basis; label: string }[] = [
  { value: 'perPiece', label: 'per piece' },
  { value: 'perServing', label: 'per serving' },
  { value: 'per100g', label: 'per 100 g' },
]
const now = computed(() => after[basis.value])
const was = computed(() => before?.[basis.value] ?? null)
const change = computed(() => (was.value ? difference(now.value, was.value) : null))
const rows = computed(() =>
  NUTRIENTS.filter((key) => {
    const { shown } = NUTRIENT_TABLE[key]
    return shown === 'always' || (shown === 'some' && now.value[key] > 0.05)
  }),
)
/** The likely band of the energy, on the basis that is shown. */
const likely = computed(() => {
  const scale = after.perPiece.energyKcal > 0 ? now.value.energyKcal / after.perPiece.energyKcal : 0
  const { low, high } = after.spread.perPiece.energyKcal
  return `${showFigure('energyKcal', low * scale)}–${showFigure('energyKcal', high * scale)}`
})
const cooked = computed(
  () => after.asEaten.gramsPerPiece * (basis.value === 'perServing' ? after.pieces / after.servings : 1),
)
/** Those that leaving animal foods out costs first; the rest on demand. */
const FIRST: Micronutrient[] = ['calciumMg', 'ironMg', 'vitaminB12Ug']
const all = ref(false)
const micros = computed(() =>
  (all.value ? MICRONUTRIENT_KEYS : FIRST).map((key) => ({
    key,
    ...MICRONUTRIENTS[key],
    now: after.micronutrients[key][basis.value],
    was: before?.micronutrients[key][basis.value] ?? null,
    least: after.micronutrients[key].unknown.length > 0,
  })),
)
const least = (key: Nutrient) => !after.complete || (after.unknown[key]?.length ?? 0) > 0
const atLeast = (key: Nutrient) => (least(key) ? 'at least ' : '')
const unknown = computed(() => [...new Set(Object.values(after.unknown).flat())])
const protein = computed(() => after.protein)
</script>

<template>
  <section aria-labelledby="figures-title">
    <div class="head">
      <h2 id="figures-title" class="visually-hidden">Figures</h2>
      <SelectButton
        v-model="basis"
        :options="BASES"
        option-label="label"
        option-value="value"
        :allow-empty="false"
        size="small"
        aria-label="Figures for"
      />
      <button type="button" class="opens small" @click="emit('card')">card</button>
      <button type="button" class="opens soft small" @click="emit('open', { kind: 'eaten' })">
        <template v-if="basis === 'per100g'">as eaten</template
        ><template v-else>raw {{ showGrams(now.grams) }} g, eaten about {{ showGrams(cooked) }} g</template>
      </button>
    </div>
    <p v-if="!after.complete" class="missing">
      <span class="sign watch">at least</span> Not counted: {{ after.missing.join(', ') }}
    </p>
    <div class="body">
      <div class="energy">
        <button
          type="button"
          class="opens big"
          @click="emit('open', { kind: 'nutrient', key: 'energyKcal' })"
        >
          <span class="visually-hidden">Energy {{ atLeast('energyKcal') }}</span>
          {{ least('energyKcal') ? '≥ ' : '' }}{{ showFigure('energyKcal', now.energyKcal)
          }}<small>kcal</small>
        </button>
        <p class="small">
          likely
          <button type="button" class="opens" @click="emit('open', { kind: 'nutrient', key: 'energyKcal' })">
            {{ likely }}
          </button>
        </p>
        <p v-if="was && change" class="soft small">
          was {{ showFigure('energyKcal', was.energyKcal) }}<br />
          <strong>{{ showChange('energyKcal', change.energyKcal) }}</strong>
        </p>
        <p class="soft small">{{ Math.round(euEnergyKj(now)) }} kJ</p>
        <p v-if="after.spread.narrow" class="small narrow">
          narrower if you {{ after.spread.narrow.advice }}
        </p>
      </div>
      <table>
        <thead class="visually-hidden">
          <tr>
            <th scope="col">Nutrient</th>
            <th scope="col">Now</th>
            <th v-if="was" scope="col">Before</th>
            <th v-if="was" scope="col">Change</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="key in rows" :key="key" :class="{ sub: NUTRIENT_TABLE[key].within !== null }">
            <th scope="row">{{ rowName(key) }}</th>
            <td class="now">
              <button
                type="button"
                class="opens"
                :aria-label="`${rowName(key)} ${atLeast(key)}${showFigure(key, now[key])} ${NUTRIENT_TABLE[key].unit}, show how`"
                @click="emit('open', { kind: 'nutrient', key })"
              >
                {{ least(key) ? '≥ ' : '' }}{{ showFigure(key, now[key])
                }}<small>{{ NUTRIENT_TABLE[key].unit }}</small>
              </button>
            </td>
            <td v-if="was" class="was">{{ showFigure(key, was[key]) }}</td>
            <td v-if="change" class="change">{{ showChange(key, change[key]) }}</td>
          </tr>
          <tr v-for="micro in micros" :key="micro.key">
            <th scope="row">{{ micro.name }}</th>
            <td class="now">
              <button
                type="button"
                class="opens"
                :aria-label="`${micro.name} ${micro.least ? 'at least ' : ''}${showMicro(micro.now)} ${micro.unit}, show how`"
                @click="emit('open', { kind: 'micronutrient', key: micro.key })"
              >
                {{ micro.least ? '≥ ' : '' }}{{ showMicro(micro.now) }}<small>{{ micro.unit }}</small>
              </button>
            </td>
            <td v-if="micro.was !== null" class="was">{{ showMicro(micro.was) }}</td>
            <td v-if="micro.was !== null" class="change">{{ showMicroChange(micro.now - micro.was) }}</td>
          </tr>
          <tr v-if="protein.scorePct !== null && protein.limiting">
            <th scope="row">Amino-acid score</th>
            <td class="now">
              <button type="button" class="opens" @click="emit('open', { kind: 'protein' })">
                {{ Math.round(protein.scorePct) }}<small>%</small>
              </button>
            </td>
            <td v-if="was" class="was">
              {{ before?.protein.scorePct == null ? '' : Math.round(before.protein.scorePct) }}
            </td>
            <td v-if="was" class="change" />
          </tr>
          <tr>
            <th scope="row" colspan="2">
              <button type="button" class="opens soft small" :aria-expanded="all" @click="all = !all">
                {{ all ? 'fewer minerals and vitamins' : 'more minerals and vitamins' }}
              </button>
            </th>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="unknown.length" class="small">
      <span class="sign watch">at least</span> The packet does not give every figure of
      {{ unknown.join(', ') }}
    </p>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.75rem;
  margin-bottom: 0.4rem;
}
.head :deep(.p-togglebutton-label) {
  white-space: nowrap;
}
.missing {
  margin-bottom: 0.4rem;
  font-size: 0.875rem;
}
.body {
  display: grid;
  grid-template-columns: 8.5rem 1fr;
  gap: 1rem;
}
.big {
  font-size: 3rem;
  font-weight: 700;
  line-height: 1.05;
  text-decoration-thickness: 2px;
}
.energy {
  display: grid;
  align-content: start;
  gap: 0.15rem;
}
.narrow {
  color: var(--beet);
}
small {
  margin-left: 0.2em;
  color: var(--ink-soft);
  font-size: 0.875rem;
  font-weight: 400;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-weight: 400;
  text-align: left;
}
tr {
  border-bottom: 1px solid var(--rule);
}
tr:last-child {
  border: 0;
}
th,
td {
  padding: 0.1rem 0;
}
.sub th {
  padding-left: 0.9rem;
  color: var(--ink-soft);
}
td {
  text-align: right;
}
.now {
  font-weight: 640;
}
.was {
  width: 3.6rem;
  color: var(--ink-soft);
}
.change {
  width: 4rem;
}
@media (max-width: 640px) {
  .body {
    grid-template-columns: 1fr;
    gap: 0.25rem;
  }
  .energy {
    display: flex;
    align-items: baseline;
    gap: 1rem;
  }
  .energy br {
    display: none;
  }
}
</style>
