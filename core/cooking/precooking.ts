import { waterOfAmount } from '../food/amount'
import { foodIs } from '../food/groups'
import type { FoodAmount } from '../food/amount'
import { looseWaterOf } from '../filling/moisture'
import type { Part } from '../recipe/document'
import type { LinePrecooking } from '../recipe/vocabulary'
import { yieldOf, type CookingTables } from './cookingTables'

export interface CookedOff {
  /** Water cooked out of the whole filling; below zero when it took some up. */
  grams: number
  byLine: Map<string, number>
  why: string
}

/** No food gives off more of its water than this before it burns. Common practice, no source. */
const MAX_WATER_LOST = 0.9

/**
 * What of a liquid is gone after simmering uncovered: one part in a hundred a minute of what is there, so a tenth
 * in ten minutes and six tenths in an hour and a half. Common practice, no source.
 */
const SIMMERED_OFF_PER_MINUTE = 0.0105

/**
 * Water cooked out of a filling before it goes in: what the finished filling lost in the pan when the cook has
 * weighed it, or else by the yields of its foods. What is lost is taken as water; fat that runs out of meat is
 * taken to stay in the filling.
 *
 * @param amounts the filling's weighed lines, raw
 */
export function cookedOffOf(
  part: Part,
  amounts: readonly (FoodAmount & { line: { id: string; cookedBy: LinePrecooking | null } })[],
  tables: CookingTables,
): CookedOff {
  const byLine = new Map<string, number>()
  const { cookedBy, finishedGrams, cookedMinutes, untilDry } = part
  const rawOf = (one: FoodAmount) => one.grams + one.waterChangeGrams
  if (finishedGrams !== null) {
    const water = (one: FoodAmount) => Math.max(0, waterOfAmount(one))
    const raw = amounts.reduce((sum, one) => sum + rawOf(one), 0)
    const all = amounts.reduce((sum, one) => sum + water(one), 0)
    // A weight below what is dry in it cannot be right; the filling is then taken as dry as can be.
    const grams = Math.min(raw - finishedGrams, all)
    if (raw <= 0) return { grams: 0, byLine, why: '' }
    for (const one of amounts)
      byLine.set(one.line.id, grams * (all > 0 ? water(one) / all : rawOf(one) / raw))
    return { grams, byLine, why: 'the finished filling was weighed' }
  }
  const ways = new Set<string>()
  let grams = 0
  for (const one of amounts) {
    const way = one.line.cookedBy ?? cookedBy
    if (way === null || way === 'raw') continue
    const found = yieldOf(one.food, way, tables)
    if (!found) continue
    const most = MAX_WATER_LOST * Math.max(0, waterOfAmount(one))
    const simmered = way === 'simmer' && cookedMinutes !== null && foodIs(one.food, 'splash')
    const share = simmered ? 1 - Math.exp(-SIMMERED_OFF_PER_MINUTE * cookedMinutes) : 1 - found.factor
    const off = Math.min(Math.max(rawOf(one) * share, untilDry ? looseWaterOf(one) : 0), most)
    byLine.set(one.line.id, off)
    ways.add(simmered ? `${way} ${cookedMinutes} min` : way)
    grams += off
  }
  if (!byLine.size) return { grams: 0, byLine, why: '' }
  const how = [...ways].join(', ')
  return {
    grams,
    byLine,
    why: `by the yields of its foods (${how}${untilDry ? ', until no water is left' : ''}); weigh the finished filling to know`,
  }
}
