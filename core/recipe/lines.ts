import type { Food, Foods } from '../food/food'
import type { Line, Part, Recipe } from './document'
import type { PartKind } from './vocabulary'

/** All lines of a recipe with the part each stands in. */
export function allLines(recipe: Recipe): { part: Part; line: Line }[] {
  return recipe.parts.flatMap((part) => part.lines.map((line) => ({ part, line })))
}

/** The food of a line; undefined where none was recognised, or the tables do not hold it. */
export const foodOf = (line: Pick<Line, 'foodId'>, foods: Foods): Food | undefined =>
  line.foodId === null ? undefined : foods.get(line.foodId)

/** The lines that are counted, with their food and weight: in all parts, or in those of a kind. */
export function weighedLines(recipe: Pick<Recipe, 'parts'>, foods: Foods, kind?: PartKind) {
  return recipe.parts
    .filter((part) => kind === undefined || part.kind === kind)
    .flatMap((part) =>
      part.lines.flatMap((line) => {
        const food = foodOf(line, foods)
        return food && line.grams !== null ? [{ part, line, food, grams: line.grams }] : []
      }),
    )
}
