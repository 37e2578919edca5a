import { addNutrients, addSquares, NUTRIENTS, zeroNutrients, type Nutrient } from '../food/nutrients'
import type { Line } from '../recipe/document'
import type { MeasuredBy } from '../recipe/vocabulary'
import type { Batch, Contribution } from './contributions'
import { UPTAKE_OFF } from '../cooking/oilUptake'

/** The likely band of a figure, for one piece. */
export interface Band {
  low: number
  high: number
}

export interface Uncertainty {
  /** Nine times in ten the true figure lies within, as far as the model knows. */
  perPiece: Record<Nutrient, Band>
  /** The one measurement that would narrow the energy most; null when nothing stands out. */
  narrow: { lineId: string; name: string; sharePct: number; advice: string } | null
}

/**
 * How far an amount may be off, as a share of it, by how it was stated. Common practice, no source: a kitchen
 * scale is good to 2 %, spoons and cups to 10 %, counts ("1 medium onion") to 20 %, "about" to 10 %.
 */
const AMOUNT_OFF: Readonly<Record<MeasuredBy, number>> = { scale: 0.02, about: 0.1, volume: 0.1, count: 0.2 }

/**
 * Standard deviation of a food's composition around its table value, as a share of it. From memory of label
 * tolerances (20 % for most nutrients, Commission guidance of December 2012), taken as two and a half deviations.
 */
const COMPOSITION_DEVIATION = 0.08

/** Deviations on either side of the middle that hold nine cases in ten of a normal distribution. */
const NINETY_PERCENT = 1.645

/** Standard deviation of a line's weight as a share of it: evenly likely between its ends. */
function weightDeviation(line: Line, contribution: Contribution): number {
  const grams = line.grams ?? 0
  if (grams <= 0) return 0
  const even = 1 / Math.sqrt(3)
  // In the pan what counts is the uptake, however well the oil in it was measured.
  if (contribution.part === 'pan') return (line.eatenGrams === null ? UPTAKE_OFF : AMOUNT_OFF.scale) * even
  const off = AMOUNT_OFF[line.measuredBy]
  const low = Math.min(line.gramsLow ?? grams, grams * (1 - off))
  const high = Math.max(line.gramsHigh ?? grams, grams * (1 + off))
  return ((high - low) / (2 * grams)) * even
}

/**
 * The likely band of every figure, from how well each line is known and how much foods vary.
 *
 * Lines are taken as independent of one another, and weight as independent of composition, so that variances
 * add up; checked against a Monte Carlo run in the tests.
 *
 * @param lines the recipe's lines by id
 * @param pieces the batch is shared among
 */
export function uncertaintyOf(batch: Batch, lines: ReadonlyMap<string, Line>, pieces: number): Uncertainty {
  const variance = zeroNutrients()
  const middle = zeroNutrients()
  let widest = { contribution: null as Contribution | null, variance: 0, byWeight: false }
  for (const contribution of batch.contributions) {
    const line = lines.get(contribution.lineId)
    if (!line) continue
    const byWeight = weightDeviation(line, contribution) ** 2
    const relative = byWeight + COMPOSITION_DEVIATION ** 2
    addNutrients(middle, contribution.nutrients)
    addSquares(variance, contribution.nutrients, relative)
    const own = contribution.nutrients.energyKcal ** 2 * relative
    if (own > widest.variance)
      widest = { contribution, variance: own, byWeight: byWeight > COMPOSITION_DEVIATION ** 2 }
  }
  const perPiece = {} as Record<Nutrient, Band>
  for (const key of NUTRIENTS) {
    const half = NINETY_PERCENT * Math.sqrt(variance[key])
    perPiece[key] = { low: Math.max(0, middle[key] - half) / pieces, high: (middle[key] + half) / pieces }
  }
  return { perPiece, narrow: narrowing(widest, variance.energyKcal) }
}

function narrowing(
  widest: { contribution: Contribution | null; variance: number; byWeight: boolean },
  total: number,
): Uncertainty['narrow'] {
  const { contribution } = widest
  // Below a third no single measurement is worth the trouble, and no scale tells what a food is made of.
  if (!contribution || !widest.byWeight || total <= 0 || widest.variance / total < 1 / 3) return null
  const { name, lineId } = contribution
  const advice =
    contribution.part === 'pan' ? 'weigh the oil before and after' : `weigh the ${name.toLowerCase()}`
  return { lineId, name, sharePct: (100 * widest.variance) / total, advice }
}
