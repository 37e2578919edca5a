import type { Diet } from '../diet/diets'
import type { Target } from '../diet/target'
import type { PriceBook } from '../cost/costOf'

/** What is not to be touched. */
export interface Locks {
  /** Lines that stay as they are. */
  lineIds: readonly string[]
  maxSwaps: number | null
  /** Foods at hand: nothing else may come in. Null: whatever is needed can be bought. */
  have: readonly string[] | null
  /** Swaps the cook has refused, by id. */
  refused: readonly string[]
}

/** How much each kind of change counts in the distance; 1 is usual, 0 does not count. */
export interface Weights {
  moved: number
  swaps: number
  roles: number
  taste: number
  newThings: number
  price: number
  /** Diets the recipe keeps now, and allergens it does not hold. */
  kept: number
  /** Carbohydrate, protein and fat that nobody asked to change. */
  figures: number
  /** Another way of cooking. */
  cooking: number
}

export interface Wishes {
  diets: readonly Diet[]
  /** Figures asked for beside those of the diets. */
  targets: readonly Target[]
  locks: Locks
  weights: Weights
  prices: PriceBook
}

export const NO_LOCKS: Locks = { lineIds: [], maxSwaps: null, have: null, refused: [] }
export const USUAL_WEIGHTS: Weights = {
  moved: 1,
  swaps: 1,
  roles: 1,
  taste: 1,
  newThings: 1,
  price: 0,
  kept: 1,
  figures: 1,
  cooking: 1,
}

/** Wishes for diets alone, everything else as usual. */
export const wishesFor = (diets: readonly Diet[], more: Partial<Wishes> = {}): Wishes => ({
  diets,
  targets: [],
  locks: NO_LOCKS,
  weights: USUAL_WEIGHTS,
  prices: new Map(),
  ...more,
})
