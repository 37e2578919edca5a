import { waterIn, type FoodAmount } from '../food/amount'

/** The names cooks give to dough by feel, from driest to wettest. */
export const CONSISTENCIES = ['crumbly', 'firm', 'medium', 'soft', 'sticky', 'batter'] as const
/** A short crust is a class of its own: dry by this scale, held together by its fat, and rolled thin every day. */
export type Consistency = (typeof CONSISTENCIES)[number] | 'short'

/**
 * Upper ends of the classes on the softness scale. Common practice, no source: found by placing doughs where
 * cooks place them.
 */
export const CLASS_LIMITS: readonly [Consistency, number][] = [
  ['crumbly', 0.7],
  ['firm', 0.9],
  ['medium', 1.05],
  ['soft', 1.2],
  ['sticky', 1.4],
]

/** With this much fat in % of the flour what is firm or drier is short, not crumbly. Common practice, no source. */
const SHORT_FAT_PCT = 30
const SHORT_UP_TO = 0.8

/**
 * The class of a softness: below 0.70 crumbly, to 0.90 firm, 1.05 medium, 1.20 soft, 1.40 sticky, then batter; and
 * short where fat, not water, holds it together.
 *
 * @param fatPct fat in % of the flour
 */
export function consistencyOf(softness: number, fatPct = 0): Consistency {
  if (fatPct >= SHORT_FAT_PCT && softness < SHORT_UP_TO) return 'short'
  return CLASS_LIMITS.find(([, limit]) => softness < limit)?.[0] ?? 'batter'
}

/**
 * Softening by fat, as grams of water per gram of fat: it lubricates as water does, though less per gram.
 * Common practice, no source.
 */
export const FAT_SOFTENING = { oil: 0.45, solid: 0.25 } as const

/** What one ingredient does to the feel of a dough, in grams of water. */
export interface SoftnessTerms {
  freeWaterGrams: number
  fatShareGrams: number
  waterDemandGrams: number
}

/** The terms of one ingredient. A food without `softeningFat` adds water but no shortening. */
export function softnessTerms({ food, grams, waterChangeGrams }: FoodAmount): SoftnessTerms {
  const water = waterIn(food, grams)
  const isFlour = food.waterDemand !== null
  return {
    // The demand of a flour is measured on flour as it is, its own moisture included.
    freeWaterGrams: (isFlour && food.freeWater === 0 ? 0 : water * food.freeWater) + waterChangeGrams,
    fatShareGrams: food.softeningFat
      ? ((grams * food.per100g.fatG) / 100) * FAT_SOFTENING[food.softeningFat]
      : 0,
    waterDemandGrams: grams * (food.waterDemand ?? 0),
  }
}

/**
 * Softness = (free water + the fat's share) / what the flours drink.
 *
 * A model, not a measurement: it sorts doughs by feel and finds the water a swap needs. It knows nothing of
 * kneading, rest, temperature or the day's flour.
 *
 * @returns null when nothing in the dough drinks water
 */
export function softnessOf(terms: SoftnessTerms): number | null {
  if (terms.waterDemandGrams <= 0) return null
  return (terms.freeWaterGrams + terms.fatShareGrams) / terms.waterDemandGrams
}

export function sumSoftness(amounts: readonly FoodAmount[]): SoftnessTerms {
  const sum = { freeWaterGrams: 0, fatShareGrams: 0, waterDemandGrams: 0 }
  for (const amount of amounts) {
    const terms = softnessTerms(amount)
    sum.freeWaterGrams += terms.freeWaterGrams
    sum.fatShareGrams += terms.fatShareGrams
    sum.waterDemandGrams += terms.waterDemandGrams
  }
  return sum
}

/**
 * Grams of water to add (or, negative, to hold back) so that a dough has the softness asked for.
 *
 * @param target softness, usually that of the dough before a swap
 */
export function waterToReach(target: number, terms: SoftnessTerms): number {
  return target * terms.waterDemandGrams - terms.fatShareGrams - terms.freeWaterGrams
}
