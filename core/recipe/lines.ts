import type { Food, Foods } from '../food/food'
import type { Line, Part, Recipe } from './document'

/** All lines of a recipe with the part each stands in. */
export function allLines(recipe: Recipe): { part: Part; line: Line }[] {
  return recipe.parts.flatMap((part) => part.lines.map((line) => ({ part, line })))
}

/** The part that a part goes into, or the part itself where it goes into none. */
export const hostOf = ({ parts }: Pick<Recipe, 'parts'>, part: Part): Part =>
  parts.find(({ id }) => id === part.into) ?? part

/** The food of a line; undefined where none was recognised, or the tables do not hold it. */
export const foodOf = (line: Pick<Line, 'foodId'>, foods: Foods): Food | undefined =>
  line.foodId === null ? undefined : foods.get(line.foodId)
