import type { Nutrients } from '../food/nutrients'

/** Nutrients of an amount together with its weight. */
export interface Figures extends Nutrients {
  grams: number
}
