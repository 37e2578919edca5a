/**
 * What a food is measured for, with its column in `data/foods.csv`: amounts in 100 g of the edible part.
 * Carbohydrate is total, by difference: it includes fibre and polyols.
 */
export const COMPOSITION_COLUMNS = {
  waterG: 'water_g',
  proteinG: 'protein_g',
  fatG: 'fat_g',
  saturatedFatG: 'saturated_fat_g',
  carbohydrateG: 'carbohydrate_g',
  fibreG: 'fibre_g',
  sugarsG: 'sugars_g',
  polyolsG: 'polyols_g',
  alcoholG: 'alcohol_g',
  sodiumMg: 'sodium_mg',
} as const

export type Composition = Record<keyof typeof COMPOSITION_COLUMNS, number>

export const COMPOSITION_KEYS = Object.keys(COMPOSITION_COLUMNS) as readonly (keyof Composition)[]

/** A composition with every figure as given for its key. */
export const compositionOf = (figure: (key: keyof Composition) => number): Composition =>
  Object.fromEntries(COMPOSITION_KEYS.map((key) => [key, figure(key)])) as Composition

export const zeroComposition = (): Composition => compositionOf(() => 0)
