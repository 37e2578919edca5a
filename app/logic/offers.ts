import { rankSwaps, type RankedSwap } from '~~/core/optimisation/rankSwaps'
import type { PriceBook } from '~~/core/cost/costOf'
import { avoidDiet, foodAgainstDiet } from '~~/core/diet/diets'
import { evaluate } from '~~/core/evaluation/evaluate'
import type { ReferenceData } from '~~/core/tables/referenceData'
import { RecipeProblem } from '~~/core/recipe/problem'
import type { Line, Recipe } from '~~/core/recipe/document'
import { allLines, foodOf } from '~~/core/recipe/lines'

const dietsOf = (recipe: Recipe, ids: readonly string[], reference: ReferenceData) => {
  const named = reference.diets.filter((diet) => ids.includes(diet.id))
  return recipe.avoid?.length ? [...named, avoidDiet(recipe.avoid)] : named
}

/** What may stand in for a line, the best first; nothing while the recipe cannot be evaluated. */
export function offersFor(
  recipe: Recipe,
  lineId: string,
  dietIds: readonly string[],
  reference: ReferenceData,
  prices: PriceBook,
): RankedSwap[] {
  try {
    const before = evaluate(recipe, reference)
    return rankSwaps(recipe, lineId, reference, dietsOf(recipe, dietIds, reference), before, { prices })
  } catch (error) {
    if (error instanceof RecipeProblem) return []
    throw error
  }
}

/** The lines that break a diet, in the order of the recipe. */
export function brokenLines(recipe: Recipe, dietIds: readonly string[], reference: ReferenceData): Line[] {
  const diets = dietsOf(recipe, dietIds, reference)
  return allLines(recipe).flatMap(({ line }) => {
    const food = foodOf(line, reference.foods)
    return food && diets.some((diet) => foodAgainstDiet(food, diet).breaks.length) ? [line] : []
  })
}
