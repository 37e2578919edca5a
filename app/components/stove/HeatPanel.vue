<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import type { Recipe } from '~~/core/recipe/document'
import { MEASURED, MEASURED_KEYS, type CookRecord, type Measured } from '~~/core/log/record'
import { SimulatedProbe, type Reading } from '~~/core/simulation/devices'
import type { HeatAnswer } from '~~/shared/api/log'
import { ApiProblem, call } from '~/logic/api'

const { recipe, plan, readings } = defineProps<{
  recipe: Recipe
  plan: unknown
  readings: CookRecord['readings']
}>()
const emit = defineEmits<{ read: [what: Measured, celsius: number] }>()

const STARTS = [
  { value: 20, label: 'from the board' },
  { value: 5, label: 'from the fridge' },
  { value: -18, label: 'frozen' },
]
const startC = ref(20)
const thickness = ref(1)
const warmerC = ref(0)
const heat = shallowRef<HeatAnswer | null>(null)
const trouble = ref('')
let asked = 0
watch(
  [() => recipe, () => plan, startC, thickness, warmerC],
  async () => {
    const own = ++asked
    try {
      const answer = await call<HeatAnswer>('POST', '/api/heat', {
        recipe,
        plan: plan ?? undefined,
        startC: startC.value,
        thickness: thickness.value,
        warmerC: warmerC.value,
      })
      if (own === asked) {
        heat.value = answer
        trouble.value = ''
      }
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      if (own === asked) trouble.value = error.problem.detail
    }
  },
  { immediate: true },
)

/** The pieces went in: from then on the simulated probe in one of them follows the curve. */
const inSince = ref<number | null>(null)
const into = ref<Measured>('middle')
const roomC = 22
const OIL_FALLS_C = 15
const OIL_BACK_SECONDS = 90
const now = () => performance.now()
const mediumC = computed(() => heat.value?.piece?.stages[0]?.mediumC ?? 180)
function truth(atMs: number): number {
  const minutes = inSince.value === null ? 0 : (atMs - inSince.value) / 60_000
  if (into.value === 'oil')
    return (
      mediumC.value -
      (inSince.value === null ? 0 : OIL_FALLS_C * Math.exp((-60 * minutes) / OIL_BACK_SECONDS))
    )
  if (into.value === 'oven') return mediumC.value
  if (into.value === 'room') return roomC
  if (into.value === 'liquid') return 38
  if (into.value === 'filling') return roomC
  const curve = heat.value?.centreC ?? []
  const after = curve.findIndex(([at]) => at >= minutes)
  if (inSince.value === null || !curve.length) return startC.value
  if (after <= 0) return after === 0 ? curve[0]![1] : curve.at(-1)![1]
  const [[a, from], [b, to]] = [curve[after - 1]!, curve[after]!]
  return from + ((to - from) * (minutes - a)) / (b - a || 1)
}
const probe = new SimulatedProbe(truth, Math.random)
const reading = shallowRef<Reading>(probe.read(now()))
useIntervalFn(() => (reading.value = probe.read(now())), 500)
const shown = computed(() => {
  const { value, state } = reading.value
  if (state === 'lost') return 'The probe does not answer'
  if (state === 'overload') return 'Out of the range of the probe'
  return `${value!.toFixed(1)} °C`
})
const typed = ref('')
const problem = ref('')
function note(celsius: number) {
  const { least, most, name } = MEASURED[into.value]
  problem.value =
    celsius >= least && celsius <= most
      ? ''
      : `${name}: between ${least} and ${most} °C is expected; ${celsius} °C was not noted`
  if (problem.value) return
  emit('read', into.value, Math.round(celsius * 10) / 10)
  typed.value = ''
}
const latest = computed(() =>
  MEASURED_KEYS.flatMap((what) => {
    const all = readings.filter((one) => one.what === what)
    return all.length
      ? [{ what, name: MEASURED[what].name, celsius: all.at(-1)!.celsius, times: all.length }]
      : []
  }),
)

const minutesText = (minutes: number | null) =>
  minutes === null ? 'never' : minutes < 10 ? minutes.toFixed(1) : String(Math.round(minutes))

// The curve: 280 × 110 units.
const WIDTH = 280
const HEIGHT = 110
const span = computed(() => {
  const curve = heat.value?.centreC ?? []
  const temperatures = curve.map(([, celsius]) => celsius)
  return {
    minutes: Math.max(curve.at(-1)?.[0] ?? 1, 0.1),
    low: Math.min(0, ...temperatures),
    high: Math.max(100, heat.value?.piece?.targetC ?? 0),
  }
})
const x = (minutes: number) => (minutes / span.value.minutes) * WIDTH
const y = (celsius: number) =>
  HEIGHT - ((celsius - span.value.low) / (span.value.high - span.value.low)) * HEIGHT
const line = computed(() =>
  (heat.value?.centreC ?? [])
    .map(([at, celsius], n) => `${n ? 'L' : 'M'}${x(at).toFixed(1)},${y(celsius).toFixed(1)}`)
    .join(''),
)
/** From the middle to the surface, coloured by how hot it is. */
const depth = computed(() => {
  const profile = heat.value?.profileC ?? []
  const end = heat.value?.piece?.halfThicknessMm ?? 1
  return profile.map(([mm, celsius], n) => ({
    from: (100 * (n ? (profile[n - 1]![0] + mm) / 2 : 0)) / end,
    width:
      (100 *
        ((profile[n + 1] ? (profile[n + 1]![0] + mm) / 2 : end) - (n ? (profile[n - 1]![0] + mm) / 2 : 0))) /
      end,
    // Cool slate to beetroot: how far it is on its way to 180 °C.
    share: Math.min(Math.max(celsius / 180, 0), 1),
    celsius,
  }))
})
const fillingPct = computed(() => {
  const layers = heat.value?.piece?.layers ?? []
  const all = layers.reduce((sum, one) => sum + one.thicknessMm, 0)
  return layers.length > 1 && all > 0 ? (100 * layers[0]!.thicknessMm) / all : 0
})
</script>

<template>
  <section class="heat by-hand" aria-label="Watch the heat">
    <p class="row">
      <label>
        The probe is in
        <select v-model="into" class="field">
          <option v-for="what in MEASURED_KEYS" :key="what" :value="what">{{ MEASURED[what].name }}</option>
        </select>
      </label>
      <b class="big">{{ shown }}</b>
    </p>
    <p class="row">
      <button type="button" class="main" :disabled="reading.value === null" @click="note(reading.value!)">
        Note it
      </button>
      <label
        >or typed
        <input
          v-model="typed"
          class="field"
          inputmode="decimal"
          aria-label="Temperature in °C"
          @keydown.enter="note(Number(typed.replace(',', '.')))"
        />
        °C</label
      >
      <button type="button" :disabled="!typed" @click="note(Number(typed.replace(',', '.')))">Take it</button>
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="latest.length" class="small">
      Noted:
      <template v-for="(one, n) in latest" :key="one.what"
        >{{ n ? ', ' : '' }}{{ one.name }} <b>{{ one.celsius }} °C</b
        ><template v-if="one.times > 1"> ({{ one.times }} times)</template></template
      >
    </p>
    <p v-if="trouble" class="problem">{{ trouble }}</p>
    <template v-if="heat?.piece">
      <p class="row">
        <label
          >Pieces
          <select v-model.number="startC" class="field">
            <option v-for="one in STARTS" :key="one.value" :value="one.value">{{ one.label }}</option>
          </select></label
        >
        <label
          >as thick
          <select v-model.number="thickness" class="field">
            <option :value="0.8">four fifths</option>
            <option :value="1">as planned</option>
            <option :value="1.2">a fifth more</option>
          </select></label
        >
        <label
          >heat
          <select v-model.number="warmerC" class="field">
            <option :value="-20">20 °C less</option>
            <option :value="0">as it says</option>
            <option :value="20">20 °C more</option>
          </select></label
        >
      </p>
      <p>
        The middle passes <b>{{ heat.piece.targetC }} °C</b> after about
        <b class="big">{{ minutesText(heat.minutesToTarget) }}</b> min<template v-if="heat.band"
          >, between {{ minutesText(heat.band.low) }} and {{ minutesText(heat.band.high) }}</template
        >.
      </p>
      <figure>
        <svg
          :viewBox="`-4 -6 ${WIDTH + 44} ${HEIGHT + 26}`"
          role="img"
          :aria-label="`The middle: from ${heat.piece.startC} °C to ${heat.piece.targetC} °C in about ${minutesText(heat.minutesToTarget)} minutes`"
        >
          <line :x1="0" :x2="WIDTH" :y1="y(heat.piece.targetC)" :y2="y(heat.piece.targetC)" class="limit" />
          <text :x="WIDTH + 4" :y="y(heat.piece.targetC) + 4">{{ heat.piece.targetC }} °C</text>
          <path :d="line" class="curve" />
          <line x1="0" :x2="WIDTH" :y1="HEIGHT" :y2="HEIGHT" class="axis" />
          <text x="0" :y="HEIGHT + 14">0</text>
          <text :x="WIDTH" :y="HEIGHT + 14" text-anchor="end">{{ minutesText(span.minutes) }} min</text>
        </svg>
        <div class="depth" aria-hidden="true">
          <span
            v-for="(cell, n) in depth"
            :key="n"
            :style="{ left: `${cell.from}%`, width: `${cell.width + 0.3}%`, '--share': cell.share }"
          />
          <i v-if="fillingPct" :style="{ left: `${fillingPct}%` }" />
        </div>
        <figcaption class="small soft">
          From the middle to the surface when it is reached: {{ depth[0]?.celsius.toFixed(0) }} °C to
          {{ depth.at(-1)?.celsius.toFixed(0) }} °C.
        </figcaption>
      </figure>
      <p class="caution">
        A sum for planning, never instead of a thermometer.
        <template v-if="heat.piece.limit"
          >{{ heat.piece.limit.text }} ({{ heat.piece.limit.source }}); local rules come first.</template
        >
      </p>
      <p class="row">
        <button v-if="inSince === null" type="button" @click="inSince = now()">The pieces are in</button>
        <button v-else type="button" @click="inSince = null">They are out</button>
      </p>
      <details>
        <summary>How it is reckoned</summary>
        <ul class="small">
          <li v-for="text in heat.piece.working" :key="text">{{ text }}</li>
        </ul>
      </details>
    </template>
  </section>
</template>

<style scoped>
.heat {
  display: grid;
  gap: 0.6rem;
}
.big {
  font-size: 1.5rem;
}
figure {
  display: grid;
  gap: 0.3rem;
}
svg {
  width: 100%;
  max-width: 24rem;
}
text {
  fill: var(--ink-soft);
  font-size: 11px;
}
.curve {
  fill: none;
  stroke: var(--beet);
  stroke-width: 2.5;
}
.limit {
  stroke: var(--stop);
  stroke-dasharray: 4 3;
}
.axis {
  stroke: var(--rule-strong);
}
.depth {
  position: relative;
  height: 1.1rem;
  max-width: 24rem;
  border: 1px solid var(--rule-strong);
}
.depth span {
  position: absolute;
  top: 0;
  bottom: 0;
  background: color-mix(in oklab, var(--beet) calc(var(--share) * 100%), var(--ground));
}
.depth i {
  position: absolute;
  top: -3px;
  bottom: -3px;
  border-left: 2px solid var(--ink);
}
.caution {
  padding-left: 0.6rem;
  border-left: 4px solid var(--watch);
}
</style>
