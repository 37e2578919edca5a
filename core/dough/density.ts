import { waterIn } from '../food/amount'
import { isFlour } from '../food/groups'
import type { FoodAmount } from '../food/amount'

/**
 * Densities of what a dough is made of, in g/ml: flour particles 1.5, fat 0.92, sugar 1.59, water 1.0; from memory of
 * food engineering handbooks (Choi and Okos 1986 for carbohydrate 1.6, protein 1.33, fat 0.925, at 20 °C).
 */
const PARTICLE_G_PER_ML = { water: 1.0, fat: 0.925, carbohydrate: 1.6, protein: 1.33, rest: 2.4 } as const

/** Air that kneading works in, as a share of the volume. From memory of cereal science: some 8 % after mixing. */
const AIR_SHARE = 0.08

/**
 * Density of a dough as it is rolled, before it rises, in g/ml, from its formula.
 *
 * @returns null for a dough without anything weighed
 */
export function doughDensity(lines: readonly FoodAmount[]): number | null {
  let grams = 0
  let ml = 0
  let flour = 0
  for (const { food, grams: amount, waterChangeGrams } of lines) {
    const { waterG, fatG, carbohydrateG, proteinG } = food.per100g
    const water = waterIn(food, amount) + waterChangeGrams
    const rest = Math.max(0, 100 - waterG - fatG - carbohydrateG - proteinG)
    grams += amount + waterChangeGrams
    ml +=
      water / PARTICLE_G_PER_ML.water +
      ((amount / 100) * fatG) / PARTICLE_G_PER_ML.fat +
      ((amount / 100) * carbohydrateG) / PARTICLE_G_PER_ML.carbohydrate +
      ((amount / 100) * proteinG) / PARTICLE_G_PER_ML.protein +
      ((amount / 100) * rest) / PARTICLE_G_PER_ML.rest
    if (isFlour(food)) flour += amount
  }
  if (!(grams > 0) || !(ml > 0)) return null
  // Bought sheets and doughs without flour are pressed, not kneaded: their air is out.
  return (grams / ml) * (flour > 0 ? 1 - AIR_SHARE : 1)
}
