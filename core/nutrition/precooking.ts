import type { DoughAmount } from '../dough/softness'
import type { Part } from '../recipe/document'
import { yieldOf, type CookingTables } from './cookingTables'

export interface CookedOff {
  /** Water cooked out of the whole filling; below zero when it took some up. */
  grams: number
  byLine: Map<string, number>
  why: string
}

/** No food gives off more of its water than this before it burns. Common practice, no source. */
const MOST_WATER_LOST = 0.9

/**
 * Water cooked out of a filling before it goes in: what the finished filling lost in the pan when the cook has
 * weighed it, or else by the yields of its foods. What is lost is taken as water; fat that runs out of meat is
 * taken to stay in the filling.
 *
 * @param amounts the filling's weighed lines, raw
 */
export function cookedOffOf(
  part: Part,
  amounts: readonly (DoughAmount & { line: { id: string } })[],
  tables: CookingTables,
): CookedOff {
  const byLine = new Map<string, number>()
  // Documents kept by older browsers lack the fields.
  const way = part.cookedBy ?? null
  const finishedGrams = part.finishedGrams ?? null
  const rawOf = (one: DoughAmount) => one.grams + one.waterChangeGrams
  if (finishedGrams !== null) {
    const water = (one: DoughAmount) =>
      Math.max(0, (one.grams * one.food.per100g.waterG) / 100 + one.waterChangeGrams)
    const raw = amounts.reduce((sum, one) => sum + rawOf(one), 0)
    const all = amounts.reduce((sum, one) => sum + water(one), 0)
    // A weight below what is dry in it cannot be right; the filling is then taken as dry as can be.
    const grams = Math.min(raw - finishedGrams, all)
    if (raw <= 0) return { grams: 0, byLine, why: '' }
    for (const one of amounts)
      byLine.set(one.line.id, grams * (all > 0 ? water(one) / all : rawOf(one) / raw))
    return { grams, byLine, why: 'the finished filling was weighed' }
  }
  if (way === null) return { grams: 0, byLine, why: '' }
  let grams = 0
  for (const one of amounts) {
    const found = yieldOf(one.food, way, tables)
    if (!found) continue
    const most =
      MOST_WATER_LOST * Math.max(0, (one.grams * one.food.per100g.waterG) / 100 + one.waterChangeGrams)
    const off = Math.min(rawOf(one) * (1 - found.factor), most)
    byLine.set(one.line.id, off)
    grams += off
  }
  return { grams, byLine, why: `by the yields of its foods (${way}); weigh the finished filling to know` }
}
