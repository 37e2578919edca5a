import type { Composition } from '../food/composition'
import type { Food, Foods } from '../food/food'
import type { Nutrient } from '../food/nutrients'
import type { Contribution } from './contributions'

/** By figure, the foods that do not give it. Figures that all foods give are absent. */
export type UnknownFigures = Partial<Record<Nutrient, string[]>>

/** Which figures a missing value of a food leaves at "at least". */
const FIGURES_OF: Readonly<Partial<Record<keyof Composition, readonly Nutrient[]>>> = {
  proteinG: ['proteinG', 'energyKcal'],
  fatG: ['fatG', 'energyKcal'],
  saturatedFatG: ['saturatedFatG'],
  carbohydrateG: ['carbohydrateG', 'netCarbohydrateG', 'energyKcal'],
  fibreG: ['fibreG'],
  sugarsG: ['sugarsG'],
  polyolsG: ['polyolsG'],
  sodiumMg: ['sodiumMg', 'saltG'],
}

/** The figures that a food leaves at "at least". */
export const unknownOf = (food: Food): Nutrient[] => food.unknown.flatMap((field) => FIGURES_OF[field] ?? [])

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
