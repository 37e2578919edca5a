import type { Food, Foods } from '../food/food'
import { matchFood } from './match'

/** Dry foods that are boiled soft in water which nobody lists. */
const TAKES_UP: ReadonlySet<string> = new Set(['pulse', 'starch', 'noodle', 'textured-protein'])

const solids = (food: Food) => 100 - food.per100g.waterG

/** Whether a food is sold dry and takes up water when it is boiled. */
export const isBoiledSoft = (food: Food): boolean => food.state === 'dry' && TAKES_UP.has(food.group)

/**
 * Grams that one gram of a dry food weighs once it is boiled: its solids against those of the boiled food of the
 * table. Null where the table has no boiled one, or it holds hardly more water.
 */
export function boiledPerGram(food: Food, foods: Foods): number | null {
  const boiled = matchFood(`cooked ${food.name.split(',')[0]!}`, foods)
  if (boiled?.how !== 'exact' || boiled.food.state !== 'cooked' || boiled.food.group !== food.group)
    return null
  const factor = solids(food) / solids(boiled.food)
  return factor > 1.2 ? factor : null
}
