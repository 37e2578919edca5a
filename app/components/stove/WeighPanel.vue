<script setup lang="ts">
import { afterOvershoot, pouring, spoonsOf, SPOON_GRAMS, usedOf, type ToWeigh } from '~~/core/log/weighing'
import { showGrams } from '~/logic/format'

const grams = (value: number) => `${showGrams(value)} g`

const { lines, liquid } = defineProps<{
  lines: readonly ToWeigh[]
  /** The dough's liquid that is added by feel, with where it is expected to stop. */
  liquid: { lineId: string; name: string; from: number; to: number } | null
}>()
const emit = defineEmits<{
  weighed: [lineId: string, grams: number]
  /** What is still to come is planned anew, so that proportions stay. */
  rescale: [more: { lineId: string; moreGrams: number }[]]
}>()
const scale = useKitchenScale()
const at = ref(0)
const line = computed(() => lines[Math.min(at.value, lines.length - 1)] ?? null)
watch(
  () => lines.length,
  () =>
    (at.value = Math.max(
      0,
      lines.findIndex((one) => one.grams === null),
    )),
  { immediate: true },
)
const onScale = computed(() => scale.reading.value.value)
const state = computed(() =>
  line.value && onScale.value !== null ? pouring(line.value.plannedGrams, onScale.value) : null,
)
const words = computed(() => {
  const { state: device } = scale.reading.value
  if (device === 'lost') return 'The scale does not answer: type what it shows, or plug it in again'
  if (device === 'overload') return 'Too heavy for the scale: take something off'
  if (!state.value) return ''
  const missing = grams(Math.abs(state.value.missingGrams))
  return {
    pour: `${missing} to go`,
    nearly: `${missing} to go, slowly`,
    there: 'There',
    over: `${missing} too much`,
  }[state.value.state]
})
const typed = ref('')
const problem = ref('')
function take(weight: number) {
  if (!line.value) return
  if (!(weight >= 0 && weight <= 50_000)) {
    problem.value = 'A weight from 0 g to 50 kg is expected'
    return
  }
  problem.value = ''
  emit('weighed', line.value.lineId, weight)
  scale.tare()
  typed.value = ''
  if (weight <= line.value.plannedGrams * 1.01) next()
}
const next = () => {
  const open = lines.findIndex(
    (one, n) => n > at.value && one.grams === null && one.lineId !== line.value?.lineId,
  )
  if (open >= 0) at.value = open
}
const takeTyped = () => take(Number(typed.value.replace(',', '.')))
const over = computed(() => (line.value ? afterOvershoot(lines, line.value.lineId) : null))
/** Packet or bowl, before and after. */
const before = ref('')
const after = ref('')
function takeUsed() {
  const used = usedOf(Number(before.value.replace(',', '.')), Number(after.value.replace(',', '.')))
  if (used === null || !Number.isFinite(used)) problem.value = 'More is left than there was: weigh both again'
  else take(used)
  before.value = after.value = ''
}
const isLiquid = computed(() => liquid !== null && line.value?.lineId === liquid.lineId)
const spoons = computed(() =>
  liquid && line.value?.grams != null
    ? spoonsOf(line.value.grams - liquid.from, 0, liquid.to - liquid.from)
    : null,
)
</script>

<template>
  <section class="weigh by-hand" aria-label="Weigh as you go">
    <ol class="lines">
      <li v-for="(one, n) in lines" :key="one.lineId" :class="{ now: n === at, in: one.grams !== null }">
        <button type="button" :aria-current="n === at" @click="at = n">
          <span>{{ one.name }}</span>
          <span>{{ one.grams !== null ? `${grams(one.grams)} in` : grams(one.plannedGrams) }}</span>
        </button>
      </li>
    </ol>
    <div v-if="line" class="scale">
      <p class="what">
        {{ line.name }}: <b>{{ grams(line.plannedGrams) }}</b>
      </p>
      <p class="reading" :class="state?.state" role="status">
        <span class="grams">{{ onScale === null ? '–' : Math.round(onScale) }}</span> g
        <span class="words">{{ words }}</span>
      </p>
      <p class="row">
        <button type="button" @click="scale.tare">Tare</button>
        <button
          type="button"
          class="main"
          :disabled="onScale === null || scale.reading.value.state === 'settling'"
          @click="take(Math.max(0, onScale ?? 0))"
        >
          It is in
        </button>
        <label
          >or typed
          <input
            v-model="typed"
            class="field"
            inputmode="decimal"
            :aria-label="`${line.name} weighed, in g`"
            @keydown.enter="takeTyped"
          />
          g</label
        >
        <button type="button" :disabled="!typed" @click="takeTyped">Take it</button>
      </p>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <div v-if="over" class="over" role="alert">
        <p>
          {{ grams(line.grams! - line.plannedGrams) }} too much {{ line.name }}: add
          {{
            over.more
              .filter((one) => one.moreGrams >= 0.05)
              .map((one) => `${grams(one.moreGrams)} ${one.name}`)
              .join(', ')
          }}
        </p>
        <button type="button" @click="emit('rescale', over.more)">Plan the rest so</button>
      </div>
      <p v-if="isLiquid && liquid" class="spoons">
        Start with {{ grams(liquid.from) }}, then by the spoon; expect to stop between
        {{ grams(liquid.from) }} and {{ grams(liquid.to) }}.
        <template v-if="line.grams !== null">
          <button type="button" @click="emit('weighed', line.lineId, line.grams + SPOON_GRAMS)">
            A spoon more
          </button>
          <b v-if="spoons">{{ spoons.spoons }} of {{ spoons.expectedTo }} spoons</b>
        </template>
      </p>
      <details>
        <summary>Weigh what was left</summary>
        <p class="row">
          <label
            >before
            <input v-model="before" class="field" inputmode="decimal" aria-label="Before, in g" /> g</label
          >
          <label
            >left <input v-model="after" class="field" inputmode="decimal" aria-label="Left, in g" /> g</label
          >
          <button type="button" :disabled="!before || !after" @click="takeUsed">So much went in</button>
        </p>
      </details>
      <p v-if="scale.canPlug && !scale.plugged.value" class="small">
        <button type="button" class="opens" @click="scale.plugIn">Plug in a scale</button>
      </p>
      <fieldset v-if="!scale.plugged.value" class="stand-in">
        <legend>{{ scale.name }}</legend>
        <button
          v-for="step in [100, 10, 1]"
          :key="step"
          type="button"
          :aria-label="`Pour ${step} g`"
          @click="scale.put(step)"
        >
          +{{ step }}
        </button>
        <button type="button" aria-label="Take 10 g off" @click="scale.put(-10)">−10</button>
        <label
          ><input type="checkbox" :checked="scale.lost.value" @change="scale.lose(!scale.lost.value)" /> line
          broken</label
        >
      </fieldset>
    </div>
  </section>
</template>

<style scoped>
.weigh {
  display: grid;
  gap: 0.75rem;
}
.lines {
  max-height: 11.5rem;
  overflow-y: auto;
}
.lines button {
  display: flex;
  justify-content: space-between;
  width: 100%;
  min-height: 0;
  padding: 0.25rem 0.5rem;
  border: 0;
  border-left: 4px solid transparent;
  border-radius: 0;
  background: none;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
.lines .in button {
  color: var(--ink-soft);
}
.lines .now button {
  border-color: var(--beet);
  background: var(--beet-tint);
  color: var(--ink);
}
.scale {
  display: grid;
  gap: 0.5rem;
}
.reading {
  font-size: 1.1rem;
}
.grams {
  font-size: 3rem;
  font-weight: 700;
  line-height: 1;
}
.words {
  margin-left: 0.6rem;
  font-weight: 640;
}
.there .words {
  color: var(--fits);
}
.nearly .words {
  color: var(--watch);
}
.over .words {
  color: var(--stop);
}
div.over {
  padding: 0.5rem 0.7rem;
  border-left: 4px solid var(--watch);
  background: var(--watch-tint);
}
.stand-in {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.4rem;
  margin: 0;
  border: 1px dashed var(--rule-strong);
  color: var(--ink-soft);
  font-size: 0.875rem;
}
</style>
