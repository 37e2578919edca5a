import type { Shape } from '../recipe/vocabulary'
import { discsOnRectangle, oblongsOnRectangle, type Place } from '../piece/packing'

/** Ways to make blanks of a dough. */
export const MAKING_METHODS = [
  'balls',
  'cut-sheet',
  'halved-rounds',
  'stamped-pair',
  'squares',
  'rope',
  'lined-dish',
  'wrappers',
] as const
export type MakingMethod = (typeof MAKING_METHODS)[number]

/** How a shape is usually made. Common practice, no source. */
export const METHOD_OF: Readonly<Record<Shape, MakingMethod>> = {
  'half-moon': 'cut-sheet',
  pleated: 'balls',
  bun: 'balls',
  disc: 'balls',
  parcel: 'squares',
  cone: 'halved-rounds',
  roll: 'squares',
  coil: 'rope',
  'lidded-pie': 'lined-dish',
}

/** A lid is cut so much wider than its dish. Common practice, no source. */
const LID_WIDER_MM = 25

/** Area of the dough of one piece, in mm², and of what it is rolled from. */
export function blankAreaMm2(method: MakingMethod, acrossMm: number, alongMm: number): number {
  const disc = (Math.PI / 4) * acrossMm ** 2
  switch (method) {
    case 'halved-rounds':
      return disc / 2
    case 'stamped-pair':
      return 2 * disc
    case 'squares':
      return acrossMm ** 2
    case 'rope':
      return acrossMm * alongMm
    case 'lined-dish':
      return (Math.PI / 4) * ((acrossMm + 2 * alongMm) ** 2 + (acrossMm + LID_WIDER_MM) ** 2)
    default:
      return disc
  }
}

/** The width across of a blank of an area; the inverse of `blankAreaMm2`. */
export function acrossOf(method: MakingMethod, areaMm2: number, alongMm: number): number {
  if (method === 'rope') return areaMm2 / alongMm
  if (method !== 'lined-dish') return Math.sqrt(areaMm2 / blankAreaMm2(method, 1, 0))
  // π/4 ((d + 2h)² + (d + l)²) = A, solved for d.
  const b = 2 * alongMm + LID_WIDER_MM
  const c = ((2 * alongMm) ** 2 + LID_WIDER_MM ** 2 - (4 * areaMm2) / Math.PI) / 2
  return Math.max(0, (-b + Math.sqrt(Math.max(0, b ** 2 - 4 * c))) / 2)
}

/** A pass over the sheet: what was cut of it, and what is left to be gathered. */
export interface Cut {
  /** 1 is the first sheet, 2 the first of trimmings. */
  pass: number
  /** Blanks; of a stamped pair two make a piece. */
  pieces: number
  grams: number
  widthMm: number
  lengthMm: number
  pattern: string
  layout: Place[]
}

export interface CutSheet {
  cuts: Cut[]
  /** What the last pass left. */
  wasteGrams: number
  /** Dough that was not rolled out, for no more blanks were wanted. */
  leftGrams: number
}

/** Lost to board, pin and dry edges each time trimmings are gathered. Common practice, no source. */
const REROLL_LOSS = 0.01

export interface SheetPlan {
  doughGrams: number
  /** Grams of dough in a mm² of sheet. */
  gramsPerMm2: number
  blankMm: number
  square: boolean
  widthMm: number
  lengthMm: number
  rerolls: number
  /** Blanks that are wanted; null for all that can be cut. */
  wanted: number | null
}

/** Cuts a sheet, gathers the trimmings, rolls and cuts again, as often as is asked and while a blank comes of it. */
export function cutSheet(plan: SheetPlan): CutSheet {
  const { gramsPerMm2, blankMm, square } = plan
  const each = gramsPerMm2 * (square ? blankMm ** 2 : (Math.PI / 4) * blankMm ** 2)
  const cuts: Cut[] = []
  let { widthMm, lengthMm } = plan
  let grams = Math.min(plan.doughGrams, widthMm * lengthMm * gramsPerMm2)
  const leftGrams = plan.doughGrams - grams
  let open = plan.wanted ?? Infinity
  let lost = 0
  for (let pass = 1; pass <= plan.rerolls + 1 && open > 0; pass++) {
    const packed = square
      ? oblongsOnRectangle(widthMm, lengthMm, blankMm, blankMm)
      : discsOnRectangle(widthMm, lengthMm, blankMm)
    const layout = packed.places.slice(0, open)
    if (!layout.length) break
    const own = { pass, pieces: layout.length, grams: layout.length * each }
    cuts.push({ ...own, widthMm, lengthMm, pattern: packed.pattern, layout })
    open -= layout.length
    grams = Math.max(0, grams - own.grams)
    if (pass > plan.rerolls || open <= 0) break
    lost += grams * REROLL_LOSS
    grams *= 1 - REROLL_LOSS
    // Trimmings are rolled as deep as the sheet was, and less wide; a small rest to a square.
    const area = grams / gramsPerMm2
    lengthMm = area / lengthMm >= blankMm ? lengthMm : Math.sqrt(area)
    widthMm = area / lengthMm
  }
  return { cuts, wasteGrams: grams + lost, leftGrams }
}
