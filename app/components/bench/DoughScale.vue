<script setup lang="ts">
import { CLASS_LIMITS, CONSISTENCIES } from '~~/core/dough/softness'
import type { DoughAbilities } from '~~/core/dough/abilities'
import { feelOf, type DoughFigures } from '~~/core/dough/assess'
import type { Topic } from './WorkingDialog.vue'

const { dough, abilities, before } = defineProps<{
  dough: DoughFigures
  abilities: DoughAbilities
  before: DoughFigures | null
}>()
const emit = defineEmits<{ open: [topic: Topic] }>()

const FROM = 0.4
const TO = 1.6
const at = (softness: number) => `${(100 * (Math.min(TO, Math.max(FROM, softness)) - FROM)) / (TO - FROM)}%`

const bands = computed(() => {
  const limits = [FROM, ...CLASS_LIMITS.map(([, limit]) => limit), TO]
  return CONSISTENCIES.map((name, n) => ({
    name,
    left: at(limits[n]!),
    width: `${(100 * (limits[n + 1]! - limits[n]!)) / (TO - FROM)}%`,
  }))
})
const pct = (value: number | null) => (value === null ? '–' : `${Math.round(value)} %`)
const moved = computed(
  () =>
    before !== null &&
    before.softness !== null &&
    dough.softness !== null &&
    Math.abs(before.softness - dough.softness) >= 0.005,
)
</script>

<template>
  <section aria-labelledby="dough-title">
    <h2 id="dough-title">
      Dough
      <button
        v-if="dough.consistency && dough.softness !== null"
        type="button"
        class="opens"
        @click="emit('open', { kind: 'dough' })"
      >
        {{ dough.consistency }}, {{ dough.softness.toFixed(2) }}
      </button>
      <span v-else class="soft">{{ dough.ready ? 'bought' : 'feel not known' }}</span>
    </h2>
    <template v-if="dough.softness !== null">
      <div class="scale" aria-hidden="true">
        <span
          v-for="band in bands"
          :key="band.name"
          class="band"
          :class="{ on: band.name === dough.consistency }"
          :style="{ left: band.left, width: band.width }"
          >{{ band.name }}</span
        >
        <i v-if="moved" class="pin was" :style="{ left: at(before!.softness!) }" />
        <i class="pin" :style="{ left: at(dough.softness) }" />
      </div>
      <p class="small soft">
        {{ feelOf(dough.consistency!)
        }}<template v-if="before?.softness != null"
          >; {{ moved ? `was ${before.softness.toFixed(2)}` : 'as soft as before' }}</template
        >
      </p>
    </template>
    <dl>
      <div>
        <dt>Water</dt>
        <dd>{{ pct(dough.hydrationPct) }}</dd>
      </div>
      <div>
        <dt>Fat</dt>
        <dd>{{ pct(dough.fatPct) }}</dd>
      </div>
      <div>
        <dt>Salt</dt>
        <dd>{{ dough.saltPct === null ? '–' : `${dough.saltPct.toFixed(1)} %` }}</dd>
      </div>
      <div>
        <dt>Whole grain</dt>
        <dd>{{ pct(dough.wholeGrainPct) }}</dd>
      </div>
    </dl>
    <p class="soft small">of flour, which is 100 %</p>
    <ul v-if="abilities.abilities.length" class="can small" aria-label="What this dough can do">
      <li v-for="one in abilities.abilities" :key="one.name" :title="one.why" :class="{ cannot: !one.can }">
        <span aria-hidden="true">{{ one.can ? '✓' : '✕' }}</span><span class="visually-hidden">{{
          one.can ? 'can' : 'cannot'
        }}</span>
        {{ one.name }}
      </li>
    </ul>
    <p v-for="lack in abilities.lacks" :key="lack.text" class="small">
      <span class="sign watch">dough</span> {{ lack.text }} <span class="soft">({{ lack.source }})</span>
    </p>
    <p v-for="remark in dough.remarks" :key="remark" class="small">
      <span class="sign watch">look</span> {{ remark }}
    </p>
  </section>
</template>

<style scoped>
h2 .opens {
  margin-left: 0.4rem;
  font-weight: 640;
}
.scale {
  position: relative;
  height: 1.7rem;
  margin: 0.45rem 0 0.2rem;
}
.band {
  position: absolute;
  height: 1.5rem;
  padding: 0.1rem 0.25rem;
  overflow: hidden;
  border-left: 1px solid var(--sheet);
  background: var(--rule);
  color: var(--ink-soft);
  font-size: 0.8125rem;
  text-align: center;
}
.band.on {
  background: var(--dough);
  color: #1b242b;
  font-weight: 640;
}
.pin {
  position: absolute;
  top: -0.2rem;
  width: 3px;
  height: 1.9rem;
  margin-left: -1px;
  background: var(--beet);
}
.pin.was {
  background: none;
  border-left: 2px dashed var(--ink-soft);
}
.can {
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.9rem;
  margin-top: 0.3rem;
}
.cannot {
  color: var(--ink-soft);
  text-decoration: line-through;
  text-decoration-color: var(--rule-strong);
}
dl {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 1.1rem;
}
dl div {
  display: flex;
  gap: 0.35rem;
}
dt {
  color: var(--ink-soft);
}
dd {
  font-weight: 640;
}
</style>
