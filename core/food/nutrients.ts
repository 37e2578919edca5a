import type { Composition } from './composition'
import type { Food } from './food'

/** What is known of a figure: everything that shows, asks for or explains it reads it here. */
interface NutrientRow {
  name: string
  /** The figure that it is part of. */
  within: string | null
  unit: 'kcal' | 'g' | 'mg'
  /** Behind a number, where it is asked for: "10 g net carbohydrate". */
  asked: string
  formula: string
  source: string
  /** What of a food's composition it hangs on: unknown there, it is "at least" here. */
  needs: readonly (keyof Composition)[]
  /** In the table of a piece's figures: as its first, among the others, only where there is some, or not. */
  shown: 'first' | 'always' | 'some' | 'never'
}

const sumOf = (what: string) => `grams eaten × ${what} per 100 g ÷ 100, summed over the lines`
const TABLE = 'food table'

/** Every figure the product reports, in the order in which it is shown. */
export const NUTRIENT_TABLE = {
  energyKcal: {
    name: 'Energy',
    within: null,
    unit: 'kcal',
    asked: 'kcal',
    formula:
      '4 × available carbohydrate + 2 × fibre + 2.4 × polyols (erythritol 0) + 4 × protein + 9 × fat + 7 × alcohol',
    source: 'Regulation (EU) No 1169/2011 Annex XIV',
    needs: ['proteinG', 'fatG', 'carbohydrateG'],
    shown: 'first',
  },
  proteinG: {
    name: 'Protein',
    within: null,
    unit: 'g',
    asked: 'g protein',
    formula: sumOf('protein'),
    source: TABLE,
    needs: ['proteinG'],
    shown: 'always',
  },
  fatG: {
    name: 'Fat',
    within: null,
    unit: 'g',
    asked: 'g fat',
    formula: sumOf('fat'),
    source: TABLE,
    needs: ['fatG'],
    shown: 'always',
  },
  saturatedFatG: {
    name: 'Saturates',
    within: 'fatG',
    unit: 'g',
    asked: 'g saturates',
    formula: sumOf('saturates'),
    source: TABLE,
    needs: ['saturatedFatG'],
    shown: 'always',
  },
  carbohydrateG: {
    name: 'Carbohydrate, total',
    within: null,
    unit: 'g',
    asked: 'g carbohydrate',
    formula: 'total carbohydrate, by difference: fibre and polyols included',
    source: TABLE,
    needs: ['carbohydrateG'],
    shown: 'always',
  },
  fibreG: {
    name: 'Fibre',
    within: 'carbohydrateG',
    unit: 'g',
    asked: 'g fibre',
    formula: sumOf('fibre'),
    source: TABLE,
    needs: ['fibreG'],
    shown: 'always',
  },
  sugarsG: {
    name: 'Sugars',
    within: 'carbohydrateG',
    unit: 'g',
    asked: 'g sugars',
    formula: sumOf('sugars'),
    source: TABLE,
    needs: ['sugarsG'],
    shown: 'always',
  },
  polyolsG: {
    name: 'Polyols',
    within: 'carbohydrateG',
    unit: 'g',
    asked: 'g polyols',
    formula: sumOf('polyols'),
    source: TABLE,
    needs: ['polyolsG'],
    shown: 'some',
  },
  netCarbohydrateG: {
    name: 'Net carbohydrate',
    within: null,
    unit: 'g',
    asked: 'g net carbohydrate',
    formula: 'total carbohydrate − fibre − polyols',
    source: 'common practice, no standard',
    needs: ['carbohydrateG'],
    shown: 'always',
  },
  sodiumMg: {
    name: 'Sodium',
    within: null,
    unit: 'mg',
    asked: 'mg sodium',
    formula: sumOf('sodium'),
    source: TABLE,
    needs: ['sodiumMg'],
    shown: 'never',
  },
  saltG: {
    name: 'Salt',
    within: null,
    unit: 'g',
    asked: 'g salt',
    formula: 'sodium × 2.5',
    source: 'Regulation (EU) No 1169/2011 Annex I',
    needs: ['sodiumMg'],
    shown: 'always',
  },
} as const satisfies Record<string, NutrientRow>

export type Nutrient = keyof typeof NUTRIENT_TABLE
export type Nutrients = Record<Nutrient, number>

/** A figure's name in a table, under the one it is part of: "of which saturates". */
export const rowName = (key: Nutrient): string => {
  const { name, within } = NUTRIENT_TABLE[key]
  return within === null ? name : `of which ${name.toLowerCase()}`
}

export const NUTRIENTS = Object.keys(NUTRIENT_TABLE) as readonly Nutrient[]

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

/** Adds the squares of an amount, each times `factor`, to `sum` in place. */
export function addSquares(sum: Nutrients, amount: Nutrients, factor: number): void {
  sum.energyKcal += amount.energyKcal * amount.energyKcal * factor
  sum.proteinG += amount.proteinG * amount.proteinG * factor
  sum.fatG += amount.fatG * amount.fatG * factor
  sum.saturatedFatG += amount.saturatedFatG * amount.saturatedFatG * factor
  sum.carbohydrateG += amount.carbohydrateG * amount.carbohydrateG * factor
  sum.fibreG += amount.fibreG * amount.fibreG * factor
  sum.sugarsG += amount.sugarsG * amount.sugarsG * factor
  sum.polyolsG += amount.polyolsG * amount.polyolsG * factor
  sum.netCarbohydrateG += amount.netCarbohydrateG * amount.netCarbohydrateG * factor
  sum.sodiumMg += amount.sodiumMg * amount.sodiumMg * factor
  sum.saltG += amount.saltG * amount.saltG * factor
}
