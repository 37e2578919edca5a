<script setup lang="ts">
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'
import type { Target } from '~~/core/diet/target'
import type { Recipe } from '~~/core/recipe/document'
import type { Curve } from '~/composables/useTargetSearch'

use([LineChart, ScatterChart, GridComponent, TooltipComponent, SVGRenderer])

const { curve, busy } = defineProps<{ curve: Curve | null; busy: boolean }>()
const emit = defineEmits<{ ask: [figure: Target]; take: [recipe: Recipe] }>()

const FIGURES = [
  {
    label: 'less net carbohydrate',
    unit: 'g net carbohydrate a serving',
    figure: 'netCarbohydrateG',
    per: 'serving',
    comparison: 'at-most',
  },
  {
    label: 'more protein',
    unit: '% of energy from protein',
    figure: 'proteinEnergyPct',
    per: null,
    comparison: 'at-least',
  },
  { label: 'less energy', unit: 'kcal a piece', figure: 'energyKcal', per: 'piece', comparison: 'at-most' },
  {
    label: 'more whole grain',
    unit: '% of the dry flours',
    figure: 'wholeGrainPct',
    per: null,
    comparison: 'at-least',
  },
  { label: 'more fibre', unit: 'g fibre a piece', figure: 'fibreG', per: 'piece', comparison: 'at-least' },
  {
    label: 'less saturated fat',
    unit: 'g saturates a piece',
    figure: 'saturatedFatG',
    per: 'piece',
    comparison: 'at-most',
  },
] as const
const chosen = ref(0)
const drawn = ref(0)
function ask() {
  drawn.value = chosen.value
  const { figure, per, comparison } = FIGURES[chosen.value]!
  emit('ask', { figure, per, comparison, limit: 0, ofOriginal: false })
}
const picked = ref<number | null>(null)
watch(
  () => curve,
  () => (picked.value = null),
)
const points = computed(() => curve?.points ?? [])
const shown = (value: number) => (Math.abs(value) >= 100 ? value.toFixed(0) : value.toFixed(1))

/** Colours of the page, so that the chart follows light and dark. */
const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
const option = computed(() => {
  const ink = colour('--ink')
  const soft = colour('--ink-soft')
  const beet = colour('--beet')
  const rule = colour('--rule')
  const axis = {
    nameLocation: 'middle' as const,
    nameTextStyle: { color: ink, fontSize: 14 },
    axisLabel: { color: soft, fontSize: 13 },
    splitLine: { lineStyle: { color: rule } },
    axisLine: { lineStyle: { color: soft } },
  }
  return {
    animation: false,
    textStyle: { fontFamily: 'inherit' },
    grid: { left: 62, right: 20, top: 14, bottom: 48 },
    tooltip: {
      trigger: 'item' as const,
      formatter: ({ data }: { data: [number, number] }) =>
        `${shown(data[0])} ${FIGURES[drawn.value]!.unit}<br>distance ${data[1].toFixed(1)}`,
    },
    xAxis: {
      ...axis,
      type: 'value' as const,
      name: FIGURES[drawn.value]!.unit,
      nameGap: 28,
      scale: true,
      // The recipe as written stands on the left, whichever way the figure goes.
      inverse: FIGURES[drawn.value]!.comparison === 'at-most',
    },
    yAxis: {
      ...axis,
      axisLine: { onZero: false, lineStyle: { color: soft } },
      type: 'value' as const,
      name: 'distance from the original',
      nameGap: 38,
      min: 0,
    },
    series: [
      {
        type: 'line' as const,
        data: points.value.map(({ value, distance }) => [value, distance]),
        showSymbol: true,
        symbolSize: (_: unknown, { dataIndex }: { dataIndex: number }) =>
          dataIndex === picked.value ? 15 : 9,
        lineStyle: { color: beet, width: 2 },
        itemStyle: { color: beet },
      },
    ],
  }
})
const pick = ({ dataIndex }: { dataIndex?: number }) => (picked.value = dataIndex ?? null)
</script>

<template>
  <div class="trade">
    <p>
      <label
        >How far do I have to go for
        <select v-model="chosen" class="field">
          <option v-for="(one, n) in FIGURES" :key="one.label" :value="n">{{ one.label }}</option>
        </select></label
      >
      <Button label="Draw it" size="small" :disabled="busy" @click="ask" />
    </p>
    <div v-if="points.length" class="both">
      <div class="drawn">
        <div
          class="chart"
          role="img"
          :aria-label="`Distance against ${FIGURES[drawn]!.unit}; the table beside it has the same figures`"
        >
          <VChart :option="option" autoresize @click="pick" />
        </div>
        <p v-if="picked !== null && points[picked]" class="small">
          {{ shown(points[picked]!.value) }} {{ FIGURES[drawn]!.unit }}, {{ points[picked]!.swaps }}
          {{ points[picked]!.swaps === 1 ? 'swap' : 'swaps' }}, distance
          {{ points[picked]!.distance.toFixed(1) }}
          <Button label="Take this one" size="small" @click="emit('take', curve!.recipes[picked]!)" />
        </p>
        <p v-else class="small soft">Pick a point to take the recipe that stands there.</p>
      </div>
      <div class="scroll" tabindex="0" role="region" aria-label="The points as a table">
        <table class="small">
          <thead>
            <tr>
              <th scope="col">{{ FIGURES[drawn]!.unit }}</th>
              <th scope="col">distance</th>
              <th scope="col">swaps</th>
              <th scope="col"><span class="visually-hidden">Pick</span></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(point, n) in points" :key="n" :class="{ on: n === picked }">
              <td>{{ shown(point.value) }}</td>
              <td>{{ point.distance.toFixed(1) }}</td>
              <td>{{ point.swaps }}</td>
              <td>
                <button
                  type="button"
                  class="opens"
                  :aria-label="`Pick ${shown(point.value)} ${FIGURES[drawn]!.unit}`"
                  @click="picked = n"
                >
                  pick
                </button>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
    <p v-else-if="curve" class="soft">It cannot be moved at all, with what else was asked.</p>
  </div>
</template>

<style scoped>
.trade {
  display: grid;
  gap: 0.5rem;
}
.trade p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.6rem;
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 1rem;
}
.drawn {
  display: grid;
  align-content: start;
  gap: 0.5rem;
}
.chart {
  height: 20rem;
}
.scroll {
  max-height: 25rem;
  overflow-y: auto;
}
thead th {
  position: sticky;
  top: 0;
  background: var(--sheet);
}
td:last-child {
  padding-left: 0.75rem;
}
@media (max-width: 800px) {
  .both {
    grid-template-columns: 1fr;
  }
}
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  font-weight: 400;
  color: var(--ink-soft);
}
th,
td {
  text-align: right;
}
tbody tr {
  border-top: 1px solid var(--rule);
}
tr.on {
  background: var(--beet-tint);
}
</style>
