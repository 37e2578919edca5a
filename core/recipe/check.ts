import { waterIn } from '../food/amount'
import type { Foods } from '../food/food'
import type { FieldProblem } from './problem'
import type { Recipe } from './document'

/**
 * What keeps a well-formed recipe from being evaluated: an unknown food, no dough, a line that gives off more
 * water than it holds. Empty when it can be.
 *
 * @param recipe a document that has passed its schema
 */
export function checkRecipe(recipe: Recipe, foods: Foods): FieldProblem[] {
  const problems: FieldProblem[] = []
  let doughGrams = 0
  recipe.parts.forEach((part, p) => {
    part.lines.forEach((line, l) => {
      const field = () => `recipe.parts[${p}].lines[${l}]`
      const food = line.foodId === null ? null : foods.get(line.foodId)
      if (food === undefined) {
        problems.push({
          field: `${field()}.foodId`,
          message: `"${line.foodId}" is not a food in the larder. Use an id from /api/foods, or null for a line that is not matched`,
        })
      }
      if (food && line.grams !== null && line.waterChangeGrams < -waterIn(food, line.grams) - 0.01) {
        problems.push({
          field: `${field()}.waterChangeGrams`,
          message: `${food.name} holds ${Math.round(waterIn(food, line.grams))} g of water; it cannot lose more`,
        })
      }
      if (part.kind === 'shell' && food && line.grams) doughGrams += line.grams
    })
  })
  if (doughGrams === 0 && !problems.length) {
    problems.push({
      field: 'recipe.parts',
      message: 'There is no dough: add a part of kind "shell" with at least one weighed line',
    })
  }
  return problems
}
