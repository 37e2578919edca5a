import type { Food } from '../../core/food/food'
import { reference } from '../../data/reference'
import { foodsById } from '../db/foods'

/** Foods by id, from our table or any other shelf; those that are nowhere are left out. */
export async function knownFoods(ids: readonly string[]): Promise<ReadonlyMap<string, Food>> {
  const found = new Map<string, Food>()
  const elsewhere: string[] = []
  for (const id of ids) {
    const own = reference.foods.get(id)
    if (own) found.set(id, own)
    else elsewhere.push(id)
  }
  if (elsewhere.length) for (const food of await foodsById(elsewhere)) found.set(food.id, food)
  return found
}
