import type { Diet } from './diet/diets'
import { evaluate, type Evaluation } from './evaluate'
import type { Larder } from './larder'
import { lossesBetween, type Loss } from './nutrition/micronutrients'
import { RecipeProblem } from './recipe/problem'
import type { Recipe } from './recipe/document'
import { adaptRecipe } from './swap/adapt'
import type { Change } from './swap/applySwap'

export interface Adaptation {
  recipe: Recipe
  changes: Change[]
  unmet: { lineId: string; reason: string }[]
  /** Calcium, iron or vitamin B12 that the adapted recipe gives clearly less of. */
  losses: Loss[]
  evaluation: Evaluation
  before: Evaluation
}

/**
 * The diets named by ids.
 *
 * @throws RecipeProblem naming `diets` when one is not known
 */
export function dietsByIds(ids: readonly string[], larder: Larder): Diet[] {
  return ids.map((id, at) => {
    const diet = larder.diets.find((one) => one.id === id)
    if (!diet) {
      throw new RecipeProblem([
        {
          field: `diets[${at}]`,
          message: `"${id}" is not a diet here; use one of ${larder.diets.map((one) => one.id).join(', ')}`,
        },
      ])
    }
    return diet
  })
}

/**
 * Adapts a recipe to diets and evaluates it before and after.
 *
 * @throws RecipeProblem naming the field when a diet or food is unknown or there is no dough
 */
export function adapt(recipe: Recipe, dietIds: readonly string[], larder: Larder): Adaptation {
  const diets = dietsByIds(dietIds, larder)
  const before = evaluate(recipe, larder)
  const { recipe: next, changes, unmet } = adaptRecipe(recipe, diets, larder.swaps, larder.foods)
  const evaluation = evaluate(next, larder)
  const losses = lossesBetween(before.micronutrients, evaluation.micronutrients)
  return { recipe: next, changes, unmet, losses, evaluation, before }
}
