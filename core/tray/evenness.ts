import type { Recipe } from '../recipe/document'
import { round, type PlannedFilling, type PlannedPieces } from './pieces'

/** The lines of a part made so many times as much. */
const linesTimes = (recipe: Recipe, partId: string, factor: number) =>
  recipe.parts
    .filter((part) => part.id === partId || part.into === partId)
    .flatMap((part) => part.lines)
    .flatMap((line) => (line.grams === null ? [] : [{ lineId: line.id, grams: round(line.grams * factor) }]))

/** A rest for fewer pieces than this share of them, or for one, is even enough. Our own choice. */
const SURPLUS = 0.08
/** A rest smaller than this share of a piece is no rest. Our own choice. */
const EVEN = 0.15

export function shortOf(
  doughPieces: number,
  fillings: readonly PlannedFilling[],
  pieces: number,
  perPiece: number,
): string | null {
  const lacking = fillings
    .map((one) => ({ partId: one.partId, lacks: one.planned - one.grams / Math.max(perPiece, 1e-9) }))
    .filter(({ lacks }) => lacks > EVEN)
    .sort((a, b) => b.lacks - a.lacks)[0]
  if (doughPieces < pieces) return lacking && lacking.lacks > pieces - doughPieces ? lacking.partId : 'dough'
  if (lacking) return lacking.partId
  // As planned all comes out; what would be short if the rest were made too.
  const possible = fillings.reduce((sum, one) => sum + one.pieces, 0)
  if (!fillings.length || perPiece <= 0) return null
  if (Math.abs(possible - doughPieces) <= Math.max(1, SURPLUS * pieces)) return null
  if (possible > doughPieces) return 'dough'
  return possible < doughPieces
    ? fillings.reduce((one, other) => (other.pieces < one.pieces ? other : one)).partId
    : null
}

export function moreOf(
  recipe: Recipe,
  doughPieces: number,
  fillings: readonly PlannedFilling[],
  goal: number,
  perPiece: number,
): PlannedPieces['makeMore'] {
  const all = fillings.reduce((sum, one) => sum + one.planned, 0)
  const wanted = [
    ...recipe.parts
      .filter((part) => part.kind === 'shell' && part.into === null && doughPieces > 0)
      .map((part) => ({ partId: part.id, factor: goal / doughPieces })),
    ...fillings.map((one) => ({
      partId: one.partId,
      factor: one.grams > 0 && all > 0 ? (goal * (one.planned / all) * perPiece) / one.grams : 1,
    })),
  ]
  return wanted
    .filter(({ factor }) => factor > 1.005)
    .map(({ partId, factor }) => ({
      partId,
      factor: round(factor, 3),
      lines: linesTimes(recipe, partId, factor),
    }))
}
