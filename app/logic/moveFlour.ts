import type { Foods } from '~~/core/food/food'
import { setGrams } from '~~/core/recipe/edit'
import type { Recipe } from '~~/core/recipe/document'
import { rebalanceDough } from '~~/core/substitution/rebalance'

/**
 * The recipe with its two flours in another proportion, their sum as it was, and the dough's water put right so
 * that it stays as soft.
 *
 * @param share of the first, from 0 to 1
 */
export function moveFlour(
  recipe: Recipe,
  firstId: string,
  secondId: string,
  share: number,
  foods: Foods,
): Recipe {
  const grams = (id: string) =>
    recipe.parts.flatMap((part) => part.lines).find((line) => line.id === id)?.grams ?? 0
  const total = grams(firstId) + grams(secondId)
  const moved = setGrams(setGrams(recipe, firstId, total * share), secondId, total * (1 - share))
  return rebalanceDough(recipe, moved, foods).recipe
}
