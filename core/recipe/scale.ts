import type { Recipe } from './document'

/**
 * The same recipe for another number of pieces: every weight is multiplied, the piece stays as it is.
 *
 * @param factor above 0; 2 doubles the batch
 */
export function scaleRecipe(recipe: Recipe, factor: number): Recipe {
  if (!(factor > 0) || !Number.isFinite(factor)) throw new RangeError('factor must be a number above 0')
  const times = (grams: number | null) => (grams === null ? null : grams * factor)
  return {
    ...recipe,
    pieces: Math.max(1, Math.round(recipe.pieces * factor)),
    servings: recipe.servings * factor,
    parts: recipe.parts.map((part) => ({
      ...part,
      pieces: part.pieces === null ? null : Math.max(1, Math.round(part.pieces * factor)),
      finishedGrams: times(part.finishedGrams ?? null),
      leftGrams: times(part.leftGrams ?? null),
      lines: part.lines.map((line) => ({
        ...line,
        grams: times(line.grams),
        gramsLow: times(line.gramsLow),
        gramsHigh: times(line.gramsHigh),
        eatenGrams: times(line.eatenGrams),
        waterChangeGrams: line.waterChangeGrams * factor,
      })),
    })),
  }
}
