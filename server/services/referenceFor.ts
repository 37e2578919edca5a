import type { Food, Foods } from '../../core/food/food'
import { withFoods, type Larder } from '../../core/tables/referenceData'
import type { Recipe } from '../../core/recipe/document'
import { allLines } from '../../core/recipe/lines'
import { larder } from '../../data/reference'
import { foodsById } from '../db/foods'

/** The foods that a table has not. */
export const othersIn = (foods: Foods, table: Larder): Food[] =>
  [...foods.values()].filter((food) => !table.foods.has(food.id))

/**
 * The larder a recipe needs: that of the tables, and what else its lines name from the database. A recipe that
 * names nothing else needs no database.
 */
export async function larderFor(recipe: Recipe): Promise<Larder> {
  const others = new Set<string>()
  for (const { line } of allLines(recipe))
    if (line.foodId !== null && !larder.foods.has(line.foodId)) others.add(line.foodId)
  return others.size ? withFoods(larder, await foodsById([...others])) : larder
}
