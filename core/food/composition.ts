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
