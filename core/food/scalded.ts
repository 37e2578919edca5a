import type { Food } from './food'

/** What is done to a flour before it is mixed, as it stands in a line's `prep`. */
export const SCALDED = 'scalded'

const known = new WeakMap<Food, Food>()

/**
 * A flour on which boiling water is poured: its starch swells, drinks more and holds together. A food that does not
 * scald stays as it is.
 *
 * @returns the same object for the same food
 */
export function scaldedOf(food: Food): Food {
  if (food.scaldedDemand === null || food.scalded) return food
  let own = known.get(food)
  if (!own) known.set(food, (own = { ...food, waterDemand: food.scaldedDemand, scalded: true }))
  return own
}

/** A food as it is in a dough: scalded where its line says so. */
export const inDough = (food: Food, prep: readonly string[]): Food =>
  prep.includes(SCALDED) ? scaldedOf(food) : food
