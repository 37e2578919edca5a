/** Amounts in 100 g of the edible part. Carbohydrate is total, by difference: it includes fibre and polyols. */
export interface Composition {
  waterG: number
  proteinG: number
  fatG: number
  saturatedFatG: number
  carbohydrateG: number
  fibreG: number
  sugarsG: number
  polyolsG: number
  alcoholG: number
  sodiumMg: number
}

export const zeroComposition = (): Composition => ({
  waterG: 0,
  proteinG: 0,
  fatG: 0,
  saturatedFatG: 0,
  carbohydrateG: 0,
  fibreG: 0,
  sugarsG: 0,
  polyolsG: 0,
  alcoholG: 0,
  sodiumMg: 0,
})

export const COMPOSITION_KEYS = Object.keys(zeroComposition()) as readonly (keyof Composition)[]
