import type { Food, Foods } from '~~/core/food/food'
import { searchFoods } from '~~/core/food/match'
import { nutrientsPer100g, type Nutrient } from '~~/core/food/nutrients'

/** The figures shown for every food in the larder's table. */
export const COLUMNS: { key: Nutrient; name: string }[] = [
  { key: 'energyKcal', name: 'kcal' },
  { key: 'proteinG', name: 'protein' },
  { key: 'fatG', name: 'fat' },
  { key: 'netCarbohydrateG', name: 'net carb' },
  { key: 'fibreG', name: 'fibre' },
  { key: 'saltG', name: 'salt' },
]

export interface Sorting {
  by: Nutrient | 'name'
  down: boolean
}

/**
 * The foods that fit a query, in the order asked for. Without an order a query puts the likeliest first, and no
 * query the alphabet.
 */
export function listFoods(foods: Foods, query: string, sorting: Sorting | null): Food[] {
  const found = query.trim() ? searchFoods(query, foods, foods.size) : [...foods.values()]
  if (!sorting && query.trim()) return found
  const { by, down } = sorting ?? { by: 'name', down: false }
  const sign = down ? -1 : 1
  const value = (food: Food) => (by === 'name' ? 0 : nutrientsPer100g(food)[by])
  return found.sort(
    (a, b) => sign * (value(a) - value(b)) || (by === 'name' ? sign : 1) * a.name.localeCompare(b.name),
  )
}
