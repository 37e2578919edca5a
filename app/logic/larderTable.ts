import type { Food } from '~~/core/food/food'
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

/** Foods in the order asked for; null leaves them as they are. */
export function sortFoods<F extends Food>(foods: readonly F[], sorting: Sorting | null): F[] {
  if (!sorting) return [...foods]
  const { by, down } = sorting
  const sign = down ? -1 : 1
  const value = (food: Food) => (by === 'name' ? 0 : nutrientsPer100g(food)[by])
  return [...foods].sort(
    (a, b) => sign * (value(a) - value(b)) || (by === 'name' ? sign : 1) * a.name.localeCompare(b.name),
  )
}
