import { addNutrients, scaleNutrients, zeroNutrients, type Nutrients } from '../food/nutrients'

/** Nutrients of an amount together with its weight. */
export interface Figures extends Nutrients {
  grams: number
}

export function zeroFigures(): Figures {
  return { grams: 0, ...zeroNutrients() }
}

/** Adds an amount to `sum` in place. */
export function addFigures(sum: Figures, amount: { grams: number; nutrients: Nutrients } | Figures): void {
  sum.grams += amount.grams
  addNutrients(sum, 'nutrients' in amount ? amount.nutrients : amount)
}

/** Figures multiplied by a factor. */
export function scaleFigures(figures: Figures, factor: number): Figures {
  return { grams: figures.grams * factor, ...scaleNutrients(figures, factor) }
}
