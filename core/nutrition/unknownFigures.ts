import type { Food, Foods } from '../food/food'
import { NUTRIENT_TABLE, NUTRIENTS, type Nutrient } from '../food/nutrients'
import type { Contribution } from './contributions'

/** By figure, the foods that do not give it. Figures that all foods give are absent. */
export type UnknownFigures = Partial<Record<Nutrient, string[]>>

/** The figures that a food leaves at "at least". */
export const unknownOf = (food: Food): Nutrient[] =>
  NUTRIENTS.filter((key) => NUTRIENT_TABLE[key].needs.some((field) => food.unknown.includes(field)))

/** The figures of a batch that miss a value of one of its foods. Unknown is unknown, never zero. */
export function unknownFigures(contributions: readonly Contribution[], foods: Foods): UnknownFigures {
  const unknown: UnknownFigures = {}
  for (const { foodId, name, foodGrams } of contributions) {
    if (foodGrams <= 0) continue
    const food = foods.get(foodId)!
    if (!food.unknown.length) continue
    for (const key of unknownOf(food)) {
      const names = (unknown[key] ??= [])
      if (!names.includes(name)) names.push(name)
    }
  }
  return unknown
}
