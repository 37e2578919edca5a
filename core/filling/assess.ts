import { waterIn } from '../food/amount'
import { fillingMoisture, type FillingAmount, type FillingMoisture } from './moisture'

export interface FillingFigures {
  grams: number
  gramsPerPiece: number
  /** The filling's share of dough and filling together. */
  sharePct: number
  /** Water in the filling as it goes in. */
  waterPct: number
  /** Water cooked out of it before it went in; below zero when it took some up. */
  cookedOffGrams: number
  moisture: FillingMoisture
}

/**
 * Weight and moisture of the filling as it goes in.
 *
 * @param amounts weighed lines of all fillings, raw; empty for none
 * @param cookedOffGrams water cooked out of them before they go in
 * @param pieces among which it is shared
 * @param doughGrams weight of the dough of the whole batch
 */
export function assessFilling(
  amounts: readonly FillingAmount[],
  cookedOffGrams: number,
  pieces: number,
  doughGrams: number,
): FillingFigures {
  let grams = -cookedOffGrams
  let water = -cookedOffGrams
  for (const { food, grams: own, waterChangeGrams } of amounts) {
    grams += own + waterChangeGrams
    water += waterIn(food, own) + waterChangeGrams
  }
  const both = grams + doughGrams
  return {
    cookedOffGrams,
    moisture: fillingMoisture(amounts, grams),
    grams,
    gramsPerPiece: grams / pieces,
    sharePct: both > 0 ? (100 * grams) / both : 0,
    waterPct: grams > 0 ? (100 * water) / grams : 0,
  }
}
