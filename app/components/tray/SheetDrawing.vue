<script setup lang="ts">
import type { PlannedPieces } from '~~/core/tray/pieces'

const { planned, square } = defineProps<{ planned: PlannedPieces; square: boolean }>()

/** All passes at one scale, beside one another. */
const gap = 24
const wide = computed(() => planned.cuts.reduce((sum, cut) => sum + cut.widthMm + gap, -gap))
const high = computed(() => Math.max(...planned.cuts.map((cut) => cut.lengthMm)))
const drawn = computed(() => {
  let x = 0
  return planned.cuts.map((cut) => {
    const left = x
    x += cut.widthMm + gap
    return { ...cut, left, top: high.value - cut.lengthMm }
  })
})
const said = computed(() =>
  planned.cuts
    .map((cut) => `${cut.pass === 1 ? 'The sheet' : `Trimmings ${cut.pass - 1}`}: ${cut.pieces} cut`)
    .join('; '),
)
</script>

<template>
  <figure>
    <svg
      :viewBox="`-2 -2 ${wide + 4} ${high + 4}`"
      role="img"
      :aria-label="`The cut sheet, to scale. ${said}`"
    >
      <g v-for="cut in drawn" :key="cut.pass" :transform="`translate(${cut.left} ${cut.top})`">
        <rect class="sheet" :width="cut.widthMm" :height="cut.lengthMm" rx="6" />
        <template v-for="(place, at) in cut.layout" :key="at">
          <rect
            v-if="square"
            class="blank"
            :x="place.xMm - planned.diameterMm / 2"
            :y="place.yMm - planned.diameterMm / 2"
            :width="planned.diameterMm"
            :height="planned.diameterMm"
          />
          <circle v-else class="blank" :cx="place.xMm" :cy="place.yMm" :r="planned.diameterMm / 2" />
        </template>
      </g>
    </svg>
    <figcaption class="small">
      <span v-for="cut in planned.cuts" :key="cut.pass"
        ><strong>{{ cut.pieces }}</strong> {{ cut.pass === 1 ? 'from the sheet' : 'from trimmings' }},
        {{ Math.round(cut.widthMm) }} × {{ Math.round(cut.lengthMm) }} mm</span
      >
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  gap: 0.4rem;
  margin: 0;
}
svg {
  width: 100%;
  max-height: 15rem;
}
.sheet {
  fill: var(--dough);
  stroke: var(--dough-line);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}
.blank {
  fill: var(--sheet);
  fill-opacity: 0.55;
  stroke: var(--dough-line);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1.2rem;
}
</style>
