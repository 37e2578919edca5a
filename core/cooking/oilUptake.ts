import { bodyOfPiece, surfaceCm2 } from '../piece/geometry'
import type { CookingWay, Shape } from '../recipe/vocabulary'

/**
 * Fat that stays on a piece, in grams per cm² of its surface, by way of cooking. Starting values from memory of
 * kitchen practice, no published source; they put some 8 % of its weight on a deep-fried half-moon of 60 g.
 * Weighing the oil before and after beats them.
 */
const FILM_G_PER_CM2: Readonly<Record<Exclude<CookingWay, 'bake' | 'steam' | 'boil'>, number>> = {
  'deep-fry': 0.045,
  'shallow-fry': 0.034,
  griddle: 0.023,
  'brown-and-steam': 0.017,
}

/** Half of it either way: the band that is shown, and that the spread reckons with. Common practice, no source. */
export const UPTAKE_OFF = 0.5

/** A dough with at least this much fat of its own, in % of flour, takes up a quarter less. */
const RICH_DOUGH_PCT = 15
const RICH_FACTOR = 0.75

/** Dough thinner than this is crisp right through and holds more; thicker than that, less. Common practice. */
const THIN_MM = 2.5
const THICK_MM = 6
const THIN_FACTOR = 1.15
const THICK_FACTOR = 0.9

export interface Uptake {
  /** Grams of fat taken up by the whole batch, never more than is in the pan. */
  grams: number
  why: string
}

export interface FriedPieces {
  way: CookingWay
  shape: Shape
  pieces: number
  panFatGrams: number
  /** Raw, of the whole batch. */
  doughGrams: number
  fillingGrams: number
  /** Fat in the dough in % of its flour; null for bought dough. */
  doughFatPct: number | null
}

/**
 * Fat taken up from the pan by a batch: by way of cooking, surface, thickness of the dough, and the dough's own
 * fat. Baking and steaming: what greases the tray is eaten whole; boiling: none.
 */
export function oilUptake(batch: FriedPieces): Uptake {
  const { way, shape, pieces, panFatGrams, doughGrams, fillingGrams } = batch
  if (way === 'bake' || way === 'steam') return { grams: panFatGrams, why: 'greasing fat is eaten whole' }
  if (way === 'boil') return { grams: 0, why: 'boiling water is poured away' }
  const body = bodyOfPiece(shape, doughGrams / pieces, fillingGrams / pieces)
  const surface = surfaceCm2(body)
  const rich = (batch.doughFatPct ?? 0) >= RICH_DOUGH_PCT && way === 'deep-fry'
  const thin = fillingGrams > 0 && body.wallMm < THIN_MM
  const thick = body.wallMm > THICK_MM
  const film =
    FILM_G_PER_CM2[way] * (rich ? RICH_FACTOR : 1) * (thin ? THIN_FACTOR : thick ? THICK_FACTOR : 1)
  const wanted = film * surface
  const taken = Math.min(panFatGrams, wanted * pieces)
  const short = taken < wanted * pieces
  const because = [
    rich && 'less because the dough holds fat of its own',
    thin && 'more because the dough is thin',
    thick && 'less because the dough is thick',
    short && 'and no more than the pan holds',
  ].filter(Boolean)
  return {
    grams: taken,
    why: `about ${show(wanted)} g a piece, likely ${show(wanted * (1 - UPTAKE_OFF))} to ${show(wanted * (1 + UPTAKE_OFF))}: ${show(film * 1000)} mg on each of ${Math.round(surface)} cm²${because.length ? `, ${because.join(', ')}` : ''}; from memory of practice, weigh the oil to know`,
  }
}

const show = (value: number) => String(Math.round(value * 10) / 10)
