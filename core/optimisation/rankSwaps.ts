import { foodAgainstDiet, type Diet } from '../diet/diets'
import { costOf, type PriceBook } from '../cost/costOf'
import { lacksAnew } from '../dough/abilities'
import { evaluate, type Evaluation } from '../evaluation/evaluate'
import type { ReferenceData } from '../tables/referenceData'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import type { Change } from '../substitution/applySwap'
import { candidatesFor, madeAs, standingsOf, type Swap } from '../substitution/catalogue'
import { swapLine } from '../substitution/swapLine'

/** A candidate for one line, with what it would do to the piece. */
export interface RankedSwap {
  swap: Swap
  recipe: Recipe
  changes: Change[]
  /** Without verdicts on diets. */
  evaluation: Evaluation
  /** It keeps the diets, as far as the substitutes go. */
  fits: boolean
  /** Change per piece. */
  energyKcal: number
  proteinG: number
  netCarbohydrateG: number
  saltG: number
  softness: number | null
  /** Grams of loose water more in the filling. */
  looseWaterGrams: number
  /** Change of the price of a piece; null where a price is not known. */
  price: number | null
  allergensAdded: string[]
  /** What the dough lacks afterwards that it did not lack before. */
  newLacks: string[]
}

/** What a drawback counts for in the order. Our own choice, no source. */
const COUNTS = {
  unfit: 100,
  lack: 20,
  roleLost: 6,
  allergen: 5,
  special: 4,
  energy: 0.02,
  wet: 0.05,
} as const

const score = (one: RankedSwap): number =>
  (one.fits ? 0 : COUNTS.unfit) +
  COUNTS.lack * one.newLacks.length +
  COUNTS.roleLost * one.swap.rolesLost.length +
  COUNTS.allergen * one.allergensAdded.length +
  (one.swap.usual ? 0 : COUNTS.special) +
  COUNTS.energy * Math.abs(one.energyKcal) +
  COUNTS.wet * Math.max(0, one.looseWaterGrams)

/**
 * All swaps that hold for a line, the best first: those that keep the diets, that leave the dough able to do its
 * work, that lose the fewest roles, bring the fewest allergens, and change the piece least.
 *
 * @param refused ids of swaps the cook does not want
 */
export function rankSwaps(
  recipe: Recipe,
  lineId: string,
  reference: ReferenceData,
  diets: readonly Diet[],
  before: Evaluation,
  more: { prices?: PriceBook; refused?: readonly string[] } = {},
): RankedSwap[] {
  const found = allLines(recipe).find(({ line }) => line.id === lineId)
  const food = found?.line.foodId ? reference.foods.get(found.line.foodId) : undefined
  if (!found || !food) return []
  // Diets are judged by the substitutes alone: the rest of the recipe is the same for all.
  const undieted = { ...reference, diets: [] }
  const priced = more.prices?.size ? more.prices : null
  const priceOf = (of: Recipe, evaluation: Evaluation) =>
    priced ? costOf(of, evaluation.working.lines, reference.foods, priced) : null
  const was = priceOf(recipe, before)
  return candidatesFor(
    food,
    found.part.kind,
    madeAs(recipe),
    reference.swaps,
    standingsOf(found.part, found.line, reference.foods),
  )
    .filter((swap) => !more.refused?.includes(swap.id))
    .flatMap((swap): RankedSwap[] => {
      const swapped = swapLine(recipe, lineId, swap, reference.foods)
      if (!swapped) return []
      const evaluation = evaluate(swapped.recipe, undieted)
      const now = priceOf(swapped.recipe, evaluation)
      const per = (key: 'energyKcal' | 'proteinG' | 'netCarbohydrateG' | 'saltG') =>
        evaluation.perPiece[key] - before.perPiece[key]
      return [
        {
          swap,
          ...swapped,
          evaluation,
          fits: swap.to.every(({ foodId }) =>
            diets.every((diet) => !foodAgainstDiet(reference.foods.get(foodId)!, diet).breaks.length),
          ),
          energyKcal: per('energyKcal'),
          proteinG: per('proteinG'),
          netCarbohydrateG: per('netCarbohydrateG'),
          saltG: per('saltG'),
          softness: evaluation.dough.softness,
          looseWaterGrams: evaluation.filling.moisture.looseGrams - before.filling.moisture.looseGrams,
          price: now && was && now.unknown.length <= was.unknown.length ? now.perPiece - was.perPiece : null,
          allergensAdded: swapped.changes[0]!.allergensAdded,
          newLacks: lacksAnew(before, evaluation).map((lack) => lack.text),
        },
      ]
    })
    .sort((a, b) => score(a) - score(b) || a.swap.rank - b.swap.rank)
}
