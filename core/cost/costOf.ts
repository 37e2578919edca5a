import type { Food, Foods } from '../food/food'
import { ingredientsFor } from '../food/homemade'
import type { Contribution } from '../nutrition/contributions'
import type { Recipe } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'

/** What a food costs, as the cook noted it. Money is in the price book's one currency. */
export interface Price {
  foodId: string
  /** What the pack cost. */
  price: number
  packGrams: number
  /** Where it was bought, or anything else worth knowing; '' for nothing. */
  note: string
  /** The day it was noted, as "2026-11-24". */
  date: string
}

/** The cook's prices by food. */
export type PriceBook = ReadonlyMap<string, Price>

export interface LineCost {
  lineId: string
  name: string
  grams: number
  /** Null where the food has no price; of something home-made, what is known of what goes in. */
  cost: number | null
  price: Price | null
}

export interface Cost {
  batch: number
  perPiece: number
  perServing: number
  lines: LineCost[]
  /** Foods that weigh in and have no price: with any, every sum is "at least". */
  unknown: string[]
}

/** Water from the tap is not bought. Common practice, no source. */
const FREE = new Set(['water'])

/** A pinch of something without a price is not worth a word. Common practice, no source. */
const MIN_GRAMS = 5

/** What goes into something home-made, where it has no price of its own; null for what is bought. */
function homemadeCost(food: Food, grams: number, prices: PriceBook) {
  if (!food.homemade) return null
  let cost: number | null = null
  const unknown: { name: string; grams: number }[] = []
  for (const one of ingredientsFor(food, grams)) {
    if (FREE.has(one.foodId)) continue
    const price = prices.get(one.foodId)
    if (price) cost = (cost ?? 0) + (price.price * one.grams) / price.packGrams
    else unknown.push(one)
  }
  return { cost, unknown }
}

/**
 * What a batch costs. Something home-made costs what goes into it, unless it has a price of its own. Everything that is listed was bought and is paid for, eaten or not, but for fat in the
 * pan: what is not taken up can be strained and used again, so only what is taken up counts.
 *
 * @param contributions of the recipe's evaluation, for what is taken up from the pan
 */
export function costOf(
  recipe: Recipe,
  contributions: readonly Contribution[],
  foods: Foods,
  prices: PriceBook,
): Cost {
  const taken = new Map(contributions.map((one) => [one.lineId, one.foodGrams]))
  const lines: LineCost[] = []
  const unknown: string[] = []
  let batch = 0
  for (const { part, line } of allLines(recipe)) {
    const food = foodOf(line, foods)
    const name = food?.name ?? (line.name || line.raw)
    const grams = part.kind === 'pan' ? (taken.get(line.id) ?? null) : line.grams
    if (food && FREE.has(food.id)) continue
    const price = food ? (prices.get(food.id) ?? null) : null
    const own = grams === null ? null : food && !price ? homemadeCost(food, grams, prices) : null
    const cost = price && grams !== null ? (price.price * grams) / price.packGrams : (own?.cost ?? null)
    if (cost !== null) batch += cost
    const lacking = own ? own.unknown : cost === null ? [{ name, grams: grams ?? MIN_GRAMS }] : []
    for (const one of lacking)
      if (one.grams >= MIN_GRAMS && !unknown.includes(one.name)) unknown.push(one.name)
    lines.push({ lineId: line.id, name, grams: grams ?? 0, cost, price })
  }
  return { batch, perPiece: batch / recipe.pieces, perServing: batch / recipe.servings, lines, unknown }
}
