import type { Food, Foods } from '../food/food'

/** What a cook means by a name: "when I write cream I mean single cream". */
export interface TaughtName {
  /** As it is compared: lower case, singular, without accents. */
  name: string
  foodId: string
}

/**
 * Foods that answer to the names a cook has taught, before any name of the tables. A name whose food is not there
 * is left out: it comes back with its food.
 */
export function withTaughtNames(foods: Foods, taught: readonly TaughtName[]): Foods {
  const namesOf = new Map<string, string[]>()
  for (const { name, foodId } of taught)
    if (foods.has(foodId)) namesOf.set(foodId, [...(namesOf.get(foodId) ?? []), name])
  if (!namesOf.size) return foods
  const all = new Map<string, Food>(foods)
  for (const [id, taughtNames] of namesOf) all.set(id, { ...foods.get(id)!, taughtNames })
  return all
}
