<script setup lang="ts">
import type { CookedBatch } from '~~/core/tray/batches'

const { batch } = defineProps<{ batch: CookedBatch }>()

const WORDS = {
  tray: 'Tray',
  steamer: 'Steamer',
  pot: 'Pot',
  pan: 'Pan',
  fryer: 'Frying pot',
  griddle: 'Griddle',
} as const
const isRound = computed(() => batch.diameterMm !== null)
const wide = computed(() => batch.diameterMm ?? batch.widthMm ?? 100)
const high = computed(() => batch.diameterMm ?? batch.lengthMm ?? 100)
/** What floats is laid out as if it lay: so many at once. */
const shown = computed(() => batch.layout.slice(0, Math.ceil(batch.perBatch / batch.count)))
const minutes = (value: number) => `${Math.round(value)} min`
</script>

<template>
  <figure>
    <svg
      :viewBox="`-4 -4 ${wide + 8} ${high + 8}`"
      role="img"
      :aria-label="`${WORDS[batch.kind]} from above, to scale: ${shown.length} pieces${batch.count > 1 ? ' on each' : ''}`"
    >
      <circle v-if="isRound" class="ware" :cx="wide / 2" :cy="high / 2" :r="wide / 2" />
      <rect v-else class="ware" :width="wide" :height="high" rx="10" />
      <g :transform="isRound ? `translate(${wide / 2} ${high / 2})` : undefined">
        <template v-for="(place, at) in shown" :key="at">
          <circle
            v-if="batch.round"
            class="one"
            :cx="place.xMm"
            :cy="place.yMm"
            :r="batch.pieceWidthMm / 2"
          />
          <rect
            v-else
            class="one"
            :x="place.xMm - batch.pieceWidthMm / 2"
            :y="place.yMm - batch.pieceLengthMm / 2"
            :width="batch.pieceWidthMm"
            :height="batch.pieceLengthMm"
            :rx="Math.min(batch.pieceWidthMm, batch.pieceLengthMm) / 2.4"
          />
        </template>
      </g>
    </svg>
    <figcaption>
      <p>
        <strong class="large">{{ batch.batches }}</strong> {{ batch.batches === 1 ? 'batch' : 'batches' }} of
        <strong>{{ batch.perBatch }}</strong> in the {{ WORDS[batch.kind].toLowerCase()
        }}<template v-if="batch.count > 1">
          ({{ batch.count }} {{ batch.kind === 'steamer' ? 'tiers' : 'trays' }})</template
        ><template v-if="batch.batches > 1">, {{ minutes(batch.minutesEach) }} each</template>,
        {{ minutes(batch.totalMinutes) }} in all
      </p>
      <p v-if="batch.oilDropC !== undefined" class="small">
        Oil {{ Math.round(batch.oilDepthMm!) }} mm deep, rises by {{ batch.oilRiseMm }} mm, cools by about
        {{ Math.round(batch.oilDropC) }} °C and is hot again after {{ batch.oilRecoverySeconds }} s
      </p>
      <p v-for="warning in batch.warnings" :key="warning" class="small soft">{{ warning }}.</p>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  grid-template-columns: minmax(8rem, 13rem) 1fr;
  align-items: start;
  gap: 1rem;
  margin: 0;
}
svg {
  width: 100%;
  max-height: 13rem;
}
figcaption {
  display: grid;
  gap: 0.25rem;
}
.ware {
  fill: var(--ground);
  stroke: var(--rule-strong);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
.one {
  fill: var(--dough);
  stroke: var(--dough-line);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
.large {
  font-size: 1.4rem;
}
@media (max-width: 640px) {
  figure {
    grid-template-columns: 1fr;
  }
}
</style>
