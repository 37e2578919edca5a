import type { Food, Foods } from '../../core/food/food'
import { withFoods, type ReferenceData } from '../../core/tables/referenceData'
import type { Recipe } from '../../core/recipe/document'
import { allLines } from '../../core/recipe/lines'
import { reference } from '../../data/reference'
import { foodsById } from '../db/foods'

/** The foods that a table has not. */
export const othersIn = (foods: Foods, table: ReferenceData): Food[] =>
  [...foods.values()].filter((food) => !table.foods.has(food.id))

/**
 * The larder a recipe needs: that of the tables, and what else its lines name from the database. A recipe that
 * names nothing else needs no database.
 */
export async function referenceFor(recipe: Recipe): Promise<ReferenceData> {
  const others = new Set<string>()
  for (const { line } of allLines(recipe))
    if (line.foodId !== null && !reference.foods.has(line.foodId)) others.add(line.foodId)
  return others.size ? withFoods(reference, await foodsById([...others])) : reference
}
