import { evaluate } from './evaluate'
import { RecipeProblem } from '../recipe/problem'
import type { Recipe } from '../recipe/document'
import type { Shape } from '../recipe/vocabulary'
import { pieceGrams } from './pieceGrams'
import type { PieceGrams } from '../piece/crossSection'
import type { ReferenceData } from '../tables/referenceData'

/** What the shelf shows of a recipe without opening it. */
export interface Summary {
  shape: Shape
  pieces: number
  servings: number
  piece: PieceGrams
  energyKcal: number
  proteinG: number
  consistency: string | null
  fits: string[]
  complete: boolean
}

/**
 * Sums up a recipe for the shelf; null when it cannot be evaluated yet, which is no reason not to keep it.
 *
 * @param original the recipe it grew from, for diets that ask for less than that has
 */
export function summaryOf(
  recipe: Recipe,
  reference: ReferenceData,
  original: Recipe | null = null,
): Summary | null {
  try {
    const evaluation = evaluate(recipe, reference, original && evaluate(original, reference))
    return {
      shape: recipe.shape,
      pieces: recipe.pieces,
      servings: recipe.servings,
      piece: pieceGrams(evaluation),
      energyKcal: evaluation.perPiece.energyKcal,
      proteinG: evaluation.perPiece.proteinG,
      consistency: evaluation.dough.consistency,
      fits: evaluation.diets.filter((verdict) => verdict.fits).map((verdict) => verdict.diet),
      complete: evaluation.complete,
    }
  } catch (error) {
    if (error instanceof RecipeProblem) return null
    throw error
  }
}
