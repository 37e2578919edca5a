import { dietsFromRows, type Diet } from './diet/diets'
import { foodsFromRows, type FoodRow, type Foods } from './food/food'
import { swapsFromRows, type Swap } from './swap/catalogue'

/** The reference tables the computation works with. */
export interface Larder {
  foods: Foods
  diets: Diet[]
  swaps: Swap[]
}

/**
 * Builds the larder from the rows of `data/foods.csv`, `data/diets.csv` and `data/swaps.csv`.
 *
 * @throws Error naming the table row that is not understood
 */
export function larderFromRows(rows: {
  foods: readonly FoodRow[]
  diets: readonly FoodRow[]
  swaps: readonly FoodRow[]
}): Larder {
  const foods = foodsFromRows(rows.foods)
  return { foods, diets: dietsFromRows(rows.diets), swaps: swapsFromRows(rows.swaps, foods) }
}
