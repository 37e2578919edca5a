import { rankSwaps, type RankedSwap } from '~~/core/optimisation/rankSwaps'
import type { PriceBook } from '~~/core/cost/costOf'
import { avoidDiet, foodAgainstDiet } from '~~/core/diet/diets'
import { evaluate } from '~~/core/evaluation/evaluate'
import type { Larder } from '~~/core/tables/referenceData'
import { RecipeProblem } from '~~/core/recipe/problem'
import type { Line, Recipe } from '~~/core/recipe/document'
import { allLines, foodOf } from '~~/core/recipe/lines'

const dietsOf = (recipe: Recipe, ids: readonly string[], larder: Larder) => {
  const named = larder.diets.filter((diet) => ids.includes(diet.id))
  return recipe.avoid?.length ? [...named, avoidDiet(recipe.avoid)] : named
}

/** What may stand in for a line, the best first; nothing while the recipe cannot be evaluated. */
export function offersFor(
  recipe: Recipe,
  lineId: string,
  dietIds: readonly string[],
  larder: Larder,
  prices: PriceBook,
): RankedSwap[] {
  try {
    const before = evaluate(recipe, larder)
    return rankSwaps(recipe, lineId, larder, dietsOf(recipe, dietIds, larder), before, { prices })
  } catch (error) {
    if (error instanceof RecipeProblem) return []
    throw error
  }
}

/** The lines that break a diet, in the order of the recipe. */
export function brokenLines(recipe: Recipe, dietIds: readonly string[], larder: Larder): Line[] {
  const diets = dietsOf(recipe, dietIds, larder)
  return allLines(recipe).flatMap(({ line }) => {
    const food = foodOf(line, larder.foods)
    return food && diets.some((diet) => foodAgainstDiet(food, diet).breaks.length) ? [line] : []
  })
}
