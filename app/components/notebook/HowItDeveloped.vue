<script setup lang="ts">
import { SCALES, type CookRecord } from '~~/core/log/record'

/** Sessions of one recipe, the latest first. */
const { records } = defineProps<{ records: readonly { id: string; record: CookRecord }[] }>()
const emit = defineEmits<{ select: [id: string] }>()

const sessions = computed(() => [...records].reverse())
const WIDTH = 300
const HEIGHT = 96
const x = (n: number) => (sessions.value.length < 2 ? WIDTH / 2 : (n / (sessions.value.length - 1)) * WIDTH)
const y = (taste: number) => HEIGHT - ((taste - 1) / 4) * HEIGHT
const points = computed(() =>
  sessions.value.flatMap(({ id, record }, n) => {
    const { taste } = record.judgement
    return taste === null ? [] : [{ id, n, taste, word: SCALES.taste[taste - 1]!, revision: record.revision }]
  }),
)
const line = computed(() =>
  points.value.map(({ n, taste }, at) => `${at ? 'L' : 'M'}${x(n)},${y(taste)}`).join(''),
)
const day = (moment: number) => new Date(moment).toLocaleDateString()
</script>

<template>
  <section class="developed" aria-label="How it developed">
    <h2>How it developed</h2>
    <svg
      v-if="points.length > 1"
      :viewBox="`-8 -14 ${WIDTH + 60} ${HEIGHT + 40}`"
      role="img"
      :aria-label="`Taste from ${points[0]!.word} to ${points.at(-1)!.word} over ${sessions.length} sessions`"
    >
      <line
        v-for="level in [1, 3, 5]"
        :key="level"
        x1="0"
        :x2="WIDTH"
        :y1="y(level)"
        :y2="y(level)"
        class="grid"
      />
      <path :d="line" />
      <g v-for="(point, at) in points" :key="point.id">
        <circle :cx="x(point.n)" :cy="y(point.taste)" r="4.5" />
        <text :x="x(point.n)" :y="HEIGHT + 18" text-anchor="middle">
          {{ point.revision ? `rev. ${point.revision}` : `${at + 1}.` }}
        </text>
      </g>
      <text :x="WIDTH + 8" :y="y(points.at(-1)!.taste) + 4">{{ points.at(-1)!.word }}</text>
    </svg>
    <table class="ruled">
      <thead>
        <tr>
          <th scope="col">Session</th>
          <th scope="col">Revision</th>
          <th scope="col">Pieces</th>
          <th scope="col">Taste</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in records" :key="one.id">
          <th scope="row">
            <button type="button" class="opens" @click="emit('select', one.id)">
              {{ day(one.record.startedAt) }}
            </button>
          </th>
          <td>{{ one.record.revision ?? '–' }}</td>
          <td>{{ one.record.made ?? '–' }}</td>
          <td>{{ one.record.judgement.taste ? SCALES.taste[one.record.judgement.taste - 1] : '–' }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.developed {
  display: grid;
  gap: 0.5rem;
}
svg {
  max-width: 24rem;
}
path {
  fill: none;
  stroke: var(--beet);
  stroke-width: 2.5;
}
circle {
  fill: var(--beet);
}
.grid {
  stroke: var(--rule);
}
text {
  fill: var(--ink-soft);
  font-size: 11px;
}
.ruled {
  width: 100%;
}
</style>
