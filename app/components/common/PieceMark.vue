<script setup lang="ts">
import type { Mark } from '~~/core/tray/apart'

/** How a piece is told from others of the same dough, drawn: a half-moon with its mark. */
const { mark } = defineProps<{ mark: Mark }>()
</script>

<template>
  <svg viewBox="0 0 40 26" role="img" :aria-label="mark" class="mark">
    <path class="piece" d="M2 22A18 18 0 0 1 38 22Z" />
    <path
      v-if="mark === 'crimped rim'"
      class="line"
      d="M4 19q2-4 2-6 3 0 3-5 4 1 5-3 4 3 6-1 2 4 6 1 1 4 5 3 0 5 3 5 0 2 2 6"
    />
    <path
      v-else-if="mark === 'fork pressed'"
      class="line"
      d="M5 20l4-2M7 14l4 1M12 9l3 3M20 6v4M28 9l-3 3M33 14l-4 1M35 20l-4-2"
    />
    <g v-else-if="mark === 'seeds on top'" class="dots">
      <circle
        v-for="[x, y] in [
          [13, 15],
          [20, 11],
          [27, 15],
          [17, 18],
          [24, 18],
          [20, 15],
        ]"
        :key="`${x} ${y}`"
        :cx="x"
        :cy="y"
        r="1.6"
      />
    </g>
    <path v-else class="line" d="M14 17L26 12" />
  </svg>
</template>

<style scoped>
.mark {
  width: 2.1rem;
  height: 1.35rem;
  vertical-align: -0.3em;
}
.piece {
  fill: var(--dough);
  stroke: var(--dough-line);
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.7;
  stroke-linecap: round;
}
.dots {
  fill: var(--ink);
}
</style>
