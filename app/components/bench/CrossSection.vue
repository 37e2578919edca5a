<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { crossSection, type CrossSection, type PieceGrams, type Point } from '~~/core/piece/crossSection'
import type { Shape } from '~~/core/recipe/vocabulary'
import type { Mark } from '~~/core/tray/apart'
import { showGrams } from '~/logic/format'

export interface Piece {
  caption: string
  shape: Shape
  grams: PieceGrams
  /** By which it is told from others of the same dough. */
  mark?: Mark
}

const {
  pieces,
  height = 250,
  bare = false,
} = defineProps<{
  /** One piece, or the piece before and after. */
  pieces: Piece[]
  height?: number
  /** Without labels and scale, for the shelf. */
  bare?: boolean
}>()

defineExpose({ working: () => sections.value.map((section) => section.working).join('\n') })

const svg = useTemplateRef<HTMLElement>('svg')
const { width: shownWidth } = useElementSize(svg, { width: 560, height: 0 })
/** Drawn at the width it is shown in, so that the words keep their size. */
const width = computed(() => (bare ? 190 : Math.max(300, shownWidth.value || 560)))
/** Too little room for labels at the sides: they stand below the pieces. */
const narrow = computed(() => !bare && width.value < 480)

const sections = computed(() => pieces.map((piece) => crossSection(piece.shape, piece.grams)))
const margin = computed(() => (bare || narrow.value ? 6 : 98))
/** Room for the tallest piece and its labels; the picture is no higher than it needs to be. */
const floor = computed(() =>
  bare
    ? height - 6
    : Math.max(
        110,
        Math.min(height - 46, Math.max(...sections.value.map((one) => one.heightMm)) * scale.value + 22),
      ),
)
/** Height of what stands below the board. */
const foot = computed(() => (narrow.value ? 136 : 46))
const shownHeight = computed(() => (bare ? height : floor.value + foot.value))
const gapMm = 14

/** Pixels in a millimetre: the same for every piece in the picture. */
const scale = computed(() => {
  const across =
    sections.value.reduce((sum, section) => sum + section.widthMm, 0) + gapMm * (pieces.length - 1)
  const tall = Math.max(...sections.value.map((section) => section.heightMm))
  return Math.min(
    (width.value - 2 * margin.value) / across,
    (height - (bare ? 10 : 68)) / tall,
    bare ? 1.6 : 4.2,
  )
})

const drawn = computed(() => {
  const across =
    sections.value.reduce((sum, section) => sum + section.widthMm, 0) + gapMm * (pieces.length - 1)
  let left = (width.value - across * scale.value) / 2
  return sections.value.map((section, at) => {
    const centre = left + (section.widthMm * scale.value) / 2
    left += (section.widthMm + gapMm) * scale.value
    return { section, piece: pieces[at]!, centre, side: pieces.length > 1 && at === 0 ? -1 : 1 }
  })
})

/** Closed outlines, once for each time the cut meets the piece. */
function path(section: CrossSection, points: readonly Point[], centre: number): string {
  return points.length ? shifted(section, centre, (at) => `${openPath(points, at)}Z`) : ''
}
const shifted = (section: CrossSection, centre: number, draw: (centre: number) => string) =>
  section.shiftsMm.map((shift) => draw(centre + shift * scale.value)).join('')

const topOf = (section: CrossSection) => section.outer.slice(0, section.outer.length / 2)
/** Where a mark lies: seeds and a cut on top, crimp and fork towards both ends. */
function markedOf(section: CrossSection, mark: Mark): readonly Point[] {
  const top = topOf(section)
  const part = (from: number, until: number) =>
    top.slice(Math.round(top.length * from), Math.max(2, Math.round(top.length * until)))
  if (mark === 'one cut') return part(0.47, 0.53)
  return mark === 'seeds on top' ? part(0.25, 0.75) : part(0, 0.22)
}
function openPath(points: readonly Point[], centre: number): string {
  return `M${points.map(({ x, y }) => `${(centre + x * scale.value).toFixed(1)} ${(floor.value - y * scale.value).toFixed(1)}`).join('L')}`
}

/** Bits in the filling, laid out evenly; they stand for nothing but filling. */
function bits(section: CrossSection, centre: number) {
  if (!section.filling.length || bare) return []
  return section.shiftsMm.flatMap((shift) => bitsOf(section, centre + shift * scale.value))
}
function bitsOf(section: CrossSection, centre: number) {
  const w = (section.outlineMm - 2 * section.doughMm) * scale.value
  const h = (section.heightMm - 2 * section.doughMm) * scale.value
  const middle = floor.value - (section.doughMm * scale.value + h * 0.42)
  return Array.from({ length: section.shiftsMm.length > 1 ? 6 : 14 }, (_, i) => {
    const angle = i * 2.399
    const radius = Math.sqrt((i + 0.6) / 15)
    return {
      x: centre + Math.cos(angle) * radius * w * 0.36,
      y: middle + Math.sin(angle) * radius * h * 0.3,
      r: 1.6 + (i % 3),
    }
  })
}

interface Label {
  text: string
  y: number
  tipX: number
  tipY: number
  colour: string
}

/** Labels beside a piece, each with a line to what it names, kept apart from one another. */
function labels(at: number): Label[] {
  const { section, piece, centre, side } = drawn.value[at]!
  const s = scale.value
  const half = (section.widthMm / 2) * s
  const rows: Omit<Label, 'y'>[] = []
  if (piece.grams.coatGrams > 0.05) {
    rows.push({
      text: `Finish ${showGrams(piece.grams.coatGrams)} g`,
      tipX: centre + side * half * 0.5,
      tipY: floor.value - section.heightMm * s * 0.93,
      colour: 'var(--coat)',
    })
  }
  if (piece.grams.fillingGrams > 0.05) {
    rows.push({
      text: `Filling ${showGrams(piece.grams.fillingGrams)} g`,
      tipX: centre + side * (half - section.outlineMm * s * 0.4),
      tipY: floor.value - section.heightMm * s * 0.5,
      colour: 'var(--filling-mark)',
    })
  }
  rows.push({
    text: `Dough ${showGrams(piece.grams.doughGrams)} g`,
    tipX: centre + side * (half - (section.doughMm * s) / 2),
    tipY: floor.value - section.heightMm * s * 0.27,
    colour: 'var(--dough-line)',
  })
  if (piece.grams.oilGrams > 0.05) {
    rows.push({
      text: `Pan fat ${showGrams(piece.grams.oilGrams)} g`,
      tipX: centre + side * half * 0.8,
      tipY: floor.value - section.heightMm * s * 0.1,
      colour: 'var(--oil)',
    })
  }
  const lowest = floor.value - 6
  const first = Math.max(18, Math.min(floor.value - section.heightMm * s, lowest - (rows.length - 1) * 26))
  const pitch = rows.length > 1 ? Math.min(34, Math.max(24, (lowest - first) / (rows.length - 1))) : 0
  return rows.map((row, n) => ({ ...row, y: first + n * pitch }))
}

const sizeOf = (section: CrossSection) => {
  const size = `${Math.round(section.widthMm)} × ${Math.round(section.heightMm)} mm`
  return narrow.value ? size : `${size}, dough ${section.doughMm.toFixed(1)} mm`
}

const labelX = (side: number) => (side < 0 ? margin.value - 8 : width.value - margin.value + 8)

const told = computed(() =>
  drawn.value
    .map(
      ({ section, piece }) =>
        `${piece.caption}${piece.mark ? `, ${piece.mark}` : ''}: ${Math.round(section.widthMm)} by ${Math.round(section.heightMm)} mm, dough ${section.doughMm.toFixed(1)} mm thick, ${showGrams(piece.grams.doughGrams)} g dough, ${showGrams(piece.grams.fillingGrams)} g filling, ${showGrams(piece.grams.coatGrams)} g finish, ${showGrams(piece.grams.oilGrams)} g pan fat`,
    )
    .join('. '),
)
</script>

<template>
  <svg
    ref="svg"
    :viewBox="`0 0 ${width} ${shownHeight}`"
    role="img"
    :aria-label="`Cross-section to scale. ${told}`"
  >
    <line x1="0" :x2="width" :y1="floor + 1" :y2="floor + 1" class="board" />
    <g v-for="({ section, piece, centre, side }, at) in drawn" :key="at">
      <path v-if="at > 0" :d="path(drawn[0]!.section, drawn[0]!.section.outer, centre)" class="ghost" />
      <path :d="path(section, section.outer, centre)" class="dough" />
      <path
        v-if="section.oilMm > 0.02"
        :d="path(section, section.outer, centre)"
        class="oil"
        :stroke-width="Math.max(2, section.oilMm * 2 * scale)"
      />
      <path v-if="section.filling.length" :d="path(section, section.filling, centre)" class="filling" />
      <circle
        v-for="(bit, n) in bits(section, centre)"
        :key="n"
        :cx="bit.x"
        :cy="bit.y"
        :r="bit.r"
        class="bit"
      />
      <path
        v-if="section.coatMm > 0.01"
        :d="shifted(section, centre, (at) => openPath(topOf(section), at))"
        class="coat"
        :stroke-width="Math.max(1.6, section.coatMm * scale)"
      />
      <path
        v-if="piece.mark"
        :d="shifted(section, centre, (at) => openPath(markedOf(section, piece.mark!), at))"
        class="mark"
        :class="piece.mark.split(' ')[0]"
      />
      <path :d="path(section, section.outer, centre)" class="rim" />
      <template v-if="!bare">
        <g v-for="(label, n) in labels(at)" :key="label.text">
          <template v-if="narrow">
            <circle :cx="label.tipX" :cy="label.tipY" r="2.5" class="tip" :style="{ fill: label.colour }" />
            <circle
              :cx="centre - 52"
              :cy="floor + 51 + n * 18"
              r="4"
              class="tip"
              :style="{ fill: label.colour }"
            />
            <text :x="centre - 42" :y="floor + 56 + n * 18">{{ label.text }}</text>
          </template>
          <template v-else>
            <polyline :points="`${labelX(side)},${label.y - 4} ${label.tipX},${label.tipY}`" class="leader" />
            <circle :cx="label.tipX" :cy="label.tipY" r="2.5" class="tip" :style="{ fill: label.colour }" />
            <text :x="labelX(side) + side * 4" :y="label.y" :text-anchor="side < 0 ? 'end' : 'start'">
              {{ label.text }}
            </text>
          </template>
        </g>
        <text :x="centre" :y="floor + 20" text-anchor="middle" class="caption">{{ piece.caption }}</text>
        <text :x="centre" :y="floor + 38" text-anchor="middle" class="size">
          {{ sizeOf(section) }}
        </text>
      </template>
    </g>
    <g v-if="!bare" class="rule">
      <path :d="`M8 ${shownHeight - 12}v4h${10 * scale}v-4`" />
      <text :x="12 + 10 * scale" :y="shownHeight - 7">1 cm</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: auto;
  overflow: visible;
}
.board {
  stroke: var(--ink);
  stroke-width: 2;
}
.ghost {
  fill: none;
  stroke: var(--rule-strong);
  stroke-dasharray: 4 4;
}
.dough {
  fill: var(--dough);
}
.oil {
  fill: none;
  stroke: var(--oil);
  stroke-opacity: 0.55;
}
.filling {
  fill: var(--filling);
}
.bit {
  fill: var(--filling-mark);
  fill-opacity: 0.45;
}
.coat {
  fill: none;
  stroke: var(--coat);
  stroke-linecap: round;
}
.mark {
  fill: none;
  stroke: var(--ink);
  stroke-width: 4;
}
.mark.seeds {
  stroke-dasharray: 0.1 11;
  stroke-linecap: round;
  stroke-width: 5;
}
.mark.crimped {
  stroke-dasharray: 5 3;
}
.mark.fork {
  stroke-dasharray: 1.5 4;
  stroke-width: 8;
}
.mark.one {
  stroke-width: 6;
}
.rim {
  fill: none;
  stroke: var(--dough-line);
}
.leader {
  fill: none;
  stroke: var(--rule-strong);
}
.tip {
  stroke: var(--ink);
}
text {
  fill: var(--ink);
  font-size: 14px;
}
.caption {
  font-weight: 640;
}
.size,
.rule text {
  fill: var(--ink-soft);
  font-size: 12.5px;
}
.rule path {
  fill: none;
  stroke: var(--ink-soft);
}
</style>
