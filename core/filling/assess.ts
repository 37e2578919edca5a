import type { DoughAmount } from '../dough/softness'

export interface FillingFigures {
  grams: number
  gramsPerPiece: number
  /** The filling's share of dough and filling together. */
  sharePct: number
  /** Water in the filling as it is mixed, before any is cooked off. */
  waterPct: number
}

/**
 * Weight and moisture of the filling as mixed.
 *
 * @param amounts weighed lines of all fillings; empty for none
 * @param pieces among which it is shared
 * @param doughGrams weight of the dough of the whole batch
 */
export function assessFilling(
  amounts: readonly DoughAmount[],
  pieces: number,
  doughGrams: number,
): FillingFigures {
  let grams = 0
  let water = 0
  for (const { food, grams: own, waterChangeGrams } of amounts) {
    grams += own + waterChangeGrams
    water += (own * food.per100g.waterG) / 100 + waterChangeGrams
  }
  const both = grams + doughGrams
  return {
    grams,
    gramsPerPiece: grams / pieces,
    sharePct: both > 0 ? (100 * grams) / both : 0,
    waterPct: grams > 0 ? (100 * water) / grams : 0,
  }
}
