import type { Food } from '../food/food'
import type { Line } from './document'

/** Grams as they are written in a recipe: whole from 100 g, one decimal below. */
export function printGrams(grams: number): string {
  const rounded = grams >= 100 ? Math.round(grams) : Math.round(grams * 10) / 10
  return `${rounded}`
}

/**
 * A line as text that reads back to the same food and weight: "115 g Plant-based baking block".
 *
 * @param food the line's food, or undefined when it is not matched; then the line's own name is used
 */
export function printLine(line: Pick<Line, 'grams' | 'name' | 'prep'>, food: Food | undefined): string {
  const name = food ? (food.synonyms[0] ?? food.name) : line.name
  return `${line.grams === null ? '' : `${printGrams(line.grams)} g `}${name}`
}
