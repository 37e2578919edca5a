import type { Foods } from '../food/food'
import { ingredientsFor } from '../food/homemade'
import type { Recipe } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'

/** A food in the larder. */
export interface StockedFood {
  foodId: string
  grams: number
  /** The day until which it keeps, as "2026-11-26"; null where that is not known. */
  keepsUntil: string | null
  note: string
}

/** What comes out of a tap. Common practice, no source. */
const FREE = new Set(['water'])

/** Grams of a food that a recipe takes, bought: what is made at home is what goes into it. */
export interface Taken {
  foodId: string
  grams: number
}

/**
 * What the cooking of recipes takes off the larder, in grams of each food; lines without grams or food take nothing.
 *
 * @param wants recipes, each so many times
 */
export function takenBy(wants: readonly { recipe: Recipe; times: number }[], foods: Foods): Taken[] {
  const sums = new Map<string, number>()
  const add = (foodId: string, grams: number) => {
    if (!FREE.has(foodId)) sums.set(foodId, (sums.get(foodId) ?? 0) + grams)
  }
  for (const { recipe, times } of wants)
    for (const { line } of allLines(recipe)) {
      const food = foodOf(line, foods)
      if (!food || line.grams === null || line.componentId !== null) continue
      const grams = line.grams * times
      if (food.homemade) for (const one of ingredientsFor(food, grams)) add(one.foodId, one.grams)
      else add(food.id, grams)
    }
  return [...sums].map(([foodId, grams]) => ({ foodId, grams }))
}
