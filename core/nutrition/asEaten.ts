import { waterOfAmount } from '../food/amount'
import type { Recipe } from '../recipe/document'
import type { CookingWay } from '../recipe/vocabulary'
import type { Batch } from './contributions'
import { scaleFigures, type Figures } from './figures'

export interface BalanceRow {
  what: string
  grams: number
  why: string
}

/** Where everything that was listed went: made + gained = eaten + left + lost, to the gram. */
export interface Balance {
  madeGrams: number
  gained: BalanceRow[]
  eatenGrams: number
  left: BalanceRow[]
  lost: BalanceRow[]
}

export interface AsEaten {
  /** A cooked piece with its share of the dip. */
  gramsPerPiece: number
  /** Of the cooked piece: the nutrients of the raw one in less weight, or more. */
  per100g: Figures
  balance: Balance
}

/**
 * Share of its raw weight that a piece gives off as steam, or, below zero, takes up as water. From memory of
 * practice, no published source; bread loses 10 to 14 % in the oven.
 */
const WATER_LOSS_SHARE: Readonly<Record<CookingWay, number>> = {
  bake: 0.12,
  'deep-fry': 0.1,
  'shallow-fry': 0.08,
  griddle: 0.1,
  'brown-and-steam': 0.03,
  steam: -0.02,
  boil: -0.08,
}

/** Less than this is no row of the balance. */
const MIN_GRAMS = 0.005

/** A piece that gave off more of its water than this would be a rusk. */
const MAX_WATER_LOST = 0.9

/**
 * The piece as it is eaten, and where everything went.
 *
 * A cooked piece that the cook has weighed comes before the estimate.
 *
 * @param totals nutrients and raw weight of all that is eaten of the batch
 */
export function asEatenOf(recipe: Recipe, batch: Batch, totals: Figures): AsEaten {
  const left = new Map<string, BalanceRow>()
  let madeGrams = 0
  let pieceGrams = 0
  let waterGrams = 0
  for (const one of batch.contributions) {
    madeGrams += one.grams + one.leftGrams + one.cookedOffGrams
    if (one.leftGrams > MIN_GRAMS) {
      const what = one.leftWhere
      const known = left.get(what)
      left.set(what, { what, grams: (known?.grams ?? 0) + one.leftGrams, why: one.eatenWhy })
    }
    if (one.part === 'shell' || one.part === 'filling') pieceGrams += one.grams
  }
  for (const one of batch.shell) waterGrams += waterOfAmount(one)
  for (const one of batch.filling) waterGrams += waterOfAmount(one)
  waterGrams -= batch.cookedOffGrams
  const { lossGrams, why } = waterLoss(recipe, totals, pieceGrams, waterGrams)
  const eatenGrams = totals.grams - lossGrams
  const row = (what: string, grams: number, because = why): BalanceRow[] =>
    grams > MIN_GRAMS ? [{ what, grams, why: because }] : []
  const off = batch.cookedOffGrams
  const per100g = scaleFigures(totals, eatenGrams > 0 ? 100 / eatenGrams : 0)
  per100g.grams = eatenGrams > 0 ? 100 : 0
  return {
    gramsPerPiece: eatenGrams / recipe.pieces,
    per100g,
    balance: {
      madeGrams,
      gained: [
        ...row('water taken up by the filling', -off, batch.cookedOffWhy),
        ...row('water taken up in cooking', -lossGrams),
      ],
      eatenGrams,
      left: [...left.values()].sort((a, b) => b.grams - a.grams),
      lost: [
        ...row('water cooked out of the filling', off, batch.cookedOffWhy),
        ...row('water given off in cooking', lossGrams),
      ],
    },
  }
}

function waterLoss(recipe: Recipe, totals: Figures, pieceGrams: number, waterGrams: number) {
  const { way, andThen, cookedGramsPerPiece } = recipe.cooking
  if (cookedGramsPerPiece !== null) {
    return {
      lossGrams: totals.grams - cookedGramsPerPiece * recipe.pieces,
      why: 'a cooked piece was weighed',
    }
  }
  // Two temperatures of one oven are one baking; boiled, then fried gives back what it took up.
  const share = WATER_LOSS_SHARE[way] + (andThen && andThen.way !== way ? WATER_LOSS_SHARE[andThen.way] : 0)
  const lossGrams = Math.min(share * pieceGrams, Math.max(0, waterGrams) * MAX_WATER_LOST)
  const words = `${Math.abs(Math.round(share * 100))} % of the raw weight, from memory of practice; weigh a cooked piece to know`
  return { lossGrams, why: words }
}
