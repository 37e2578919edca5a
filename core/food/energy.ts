import type { Composition } from './composition'

/**
 * Energy conversion factors, kcal per gram: Regulation (EU) No 1169/2011, Annex XIV.
 */
export const EU_FACTORS_KCAL_PER_G = {
  carbohydrate: 4,
  polyols: 2.4,
  erythritol: 0,
  protein: 4,
  fat: 9,
  alcohol: 7,
  fibre: 2,
} as const

/**
 * Sweeteners whose carbohydrate gives less than polyols do, kcal per gram, by food id. Erythritol: Annex XIV;
 * allulose: US FDA guidance of 2019 (0.4), the EU has no rule; pure stevia glycosides pass unused, from memory.
 */
export const SWEETENER_KCAL_PER_G: Readonly<Record<string, number>> = {
  erythritol: EU_FACTORS_KCAL_PER_G.erythritol,
  allulose: 0.4,
  'stevia-powder': 0,
}

/** Kilojoules in a kilocalorie: thermochemical calorie, ISO 80000-5 note. */
export const KJ_PER_KCAL = 4.184

/**
 * Energy of 100 g by the EU factors. One convention for every food, so that a swap is compared like with like.
 *
 * Carbohydrate in a `Composition` is total, by difference; the EU factor of 4 applies to what is left after
 * fibre and polyols.
 *
 * @param per100g amounts in grams
 * @param polyolKcalPerG what its polyols give; some sweeteners have a factor of their own
 * @returns kcal in 100 g, never negative
 */
export function euEnergyKcal(
  per100g: Composition,
  polyolKcalPerG: number = EU_FACTORS_KCAL_PER_G.polyols,
): number {
  const f = EU_FACTORS_KCAL_PER_G
  const available = Math.max(0, per100g.carbohydrateG - per100g.fibreG - per100g.polyolsG)
  return (
    available * f.carbohydrate +
    per100g.fibreG * f.fibre +
    per100g.polyolsG * polyolKcalPerG +
    per100g.proteinG * f.protein +
    per100g.fatG * f.fat +
    per100g.alcoholG * f.alcohol
  )
}
