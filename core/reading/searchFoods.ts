import type { Food, Foods } from '../food/food'
import { matchFood, normaliseName } from './match'

/** So many ranks behind the others stands what bears the figures of another food. */
const RECKONED_BEHIND = 2.5

/**
 * Foods whose names contain or begin with what was typed, the likeliest first.
 *
 * @param query any fragment, case and accents ignored
 * @param limit at most so many
 */
export function searchFoods(query: string, foods: Foods, limit = 12): Food[] {
  const wanted = normaliseName(query)
  if (!wanted) return [...foods.values()].slice(0, limit)
  const exact = matchFood(query, foods)
  const scored: { food: Food; score: number }[] = []
  for (const food of foods.values()) {
    let score = food.id === exact?.food.id ? (exact.how === 'exact' ? 0 : 2) : 9
    for (const name of [food.name, ...food.synonyms, ...(food.taughtNames ?? [])]) {
      const key = normaliseName(name)
      if (key === wanted) score = Math.min(score, 0)
      else if (key.startsWith(wanted)) score = Math.min(score, 1)
      else if (key.includes(` ${wanted}`)) score = Math.min(score, 3)
      else if (key.includes(wanted)) score = Math.min(score, 4)
    }
    // What is reckoned from another comes behind what has figures of its own.
    const behind = food.figuresOf !== null && score > 0 ? RECKONED_BEHIND : 0
    if (score < 9) scored.push({ food, score: score + behind })
  }
  return scored
    .sort((a, b) => a.score - b.score || a.food.name.length - b.food.name.length)
    .slice(0, limit)
    .map(({ food }) => food)
}
