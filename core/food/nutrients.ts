import type { Food } from './food'

/** Every figure the product reports, in the order in which it is shown. */
export const NUTRIENTS = [
  'energyKcal',
  'proteinG',
  'fatG',
  'saturatedFatG',
  'carbohydrateG',
  'fibreG',
  'sugarsG',
  'polyolsG',
  'netCarbohydrateG',
  'sodiumMg',
  'saltG',
] as const
export type Nutrient = (typeof NUTRIENTS)[number]
export type Nutrients = Record<Nutrient, number>

/** Grams of salt in a gram of sodium: Regulation (EU) No 1169/2011, Annex I, point 11. */
export const SALT_PER_SODIUM = 2.5

const vectors = new WeakMap<Food, Nutrients>()

/**
 * The nutrients of 100 g of a food. Net carbohydrate is total less fibre less polyols (common practice, no
 * standard); salt is sodium × 2.5.
 */
export function nutrientsPer100g(food: Food): Nutrients {
  const known = vectors.get(food)
  if (known) return known
  const c = food.per100g
  const made: Nutrients = {
    energyKcal: food.energyKcal,
    proteinG: c.proteinG,
    fatG: c.fatG,
    saturatedFatG: c.saturatedFatG,
    carbohydrateG: c.carbohydrateG,
    fibreG: c.fibreG,
    sugarsG: c.sugarsG,
    polyolsG: c.polyolsG,
    netCarbohydrateG: Math.max(0, c.carbohydrateG - c.fibreG - c.polyolsG),
    sodiumMg: c.sodiumMg,
    saltG: (c.sodiumMg * SALT_PER_SODIUM) / 1000,
  }
  vectors.set(food, made)
  return made
}

export function zeroNutrients(): Nutrients {
  return {
    energyKcal: 0,
    proteinG: 0,
    fatG: 0,
    saturatedFatG: 0,
    carbohydrateG: 0,
    fibreG: 0,
    sugarsG: 0,
    polyolsG: 0,
    netCarbohydrateG: 0,
    sodiumMg: 0,
    saltG: 0,
  }
}

/** The nutrients of an amount, each multiplied by `factor`. */
export function scaleNutrients(nutrients: Nutrients, factor: number): Nutrients {
  // Written out: an object literal of known shape is several times faster than a loop over keys.
  return {
    energyKcal: nutrients.energyKcal * factor,
    proteinG: nutrients.proteinG * factor,
    fatG: nutrients.fatG * factor,
    saturatedFatG: nutrients.saturatedFatG * factor,
    carbohydrateG: nutrients.carbohydrateG * factor,
    fibreG: nutrients.fibreG * factor,
    sugarsG: nutrients.sugarsG * factor,
    polyolsG: nutrients.polyolsG * factor,
    netCarbohydrateG: nutrients.netCarbohydrateG * factor,
    sodiumMg: nutrients.sodiumMg * factor,
    saltG: nutrients.saltG * factor,
  }
}

/** Adds an amount to `sum` in place. */
export function addNutrients(sum: Nutrients, amount: Nutrients): void {
  sum.energyKcal += amount.energyKcal
  sum.proteinG += amount.proteinG
  sum.fatG += amount.fatG
  sum.saturatedFatG += amount.saturatedFatG
  sum.carbohydrateG += amount.carbohydrateG
  sum.fibreG += amount.fibreG
  sum.sugarsG += amount.sugarsG
  sum.polyolsG += amount.polyolsG
  sum.netCarbohydrateG += amount.netCarbohydrateG
  sum.sodiumMg += amount.sodiumMg
  sum.saltG += amount.saltG
}
