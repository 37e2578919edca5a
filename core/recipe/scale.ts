import type { Choice, Line, Recipe } from './document'
import { MAX_LINE_GRAMS, MAX_PIECES } from './vocabulary'

const timesGrams = (grams: number | null, factor: number) =>
  grams === null ? null : Math.min(grams * factor, MAX_LINE_GRAMS)

/** A line, or an alternative of one, with its weights multiplied; none above what a line may weigh. */
export const timesWeights = <T extends Choice | Line>(one: T, factor: number): T => ({
  ...one,
  grams: timesGrams(one.grams, factor),
  gramsLow: timesGrams(one.gramsLow, factor),
  gramsHigh: timesGrams(one.gramsHigh, factor),
  waterChangeGrams: one.waterChangeGrams * factor,
})

/** A line made so many times as much, with its alternatives and what is left to feel. */
const timesLine = (line: Line, factor: number): Line => ({
  ...timesWeights(line, factor),
  eatenGrams: timesGrams(line.eatenGrams, factor),
  choices: line.choices.map((choice) => timesWeights(choice, factor)),
  toFeel: line.toFeel && {
    ...line.toFeel,
    startGrams: line.toFeel.startGrams * factor,
    lowGrams: line.toFeel.lowGrams * factor,
    highGrams: line.toFeel.highGrams * factor,
  },
})

/** What a kitchen can weigh: whole grams from 20 on, tenths below; an egg stays whole where it was. */
const weighable = (line: Line, eggGrams: number | undefined): Line => {
  if (line.grams === null) return line
  const per = line.grams >= 20 ? 1 : 10
  const grams = eggGrams
    ? Math.max(1, Math.round(line.grams / eggGrams)) * eggGrams
    : Math.round(line.grams * per) / per
  return { ...line, grams, gramsLow: grams, gramsHigh: grams }
}

/**
 * The recipe with one part, and what is made for it, in another amount; the pieces stay. Weights come out as a
 * kitchen can weigh them.
 *
 * @param factor above 0
 * @param eggGrams what one egg of a line weighs, for lines of whole eggs
 */
export function scalePart(
  recipe: Recipe,
  partId: string,
  factor: number,
  eggGrams: (line: Line) => number | undefined = () => undefined,
): Recipe {
  if (!(factor > 0) || !Number.isFinite(factor)) throw new RangeError('factor must be a number above 0')
  return {
    ...recipe,
    parts: recipe.parts.map((part) =>
      part.id !== partId && part.into !== partId
        ? part
        : {
            ...part,
            finishedGrams: timesGrams(part.finishedGrams, factor),
            lines: part.lines.map((line) => weighable(timesLine(line, factor), eggGrams(line))),
          },
    ),
  }
}

/** Rounding below this share of a line is not worth a word. Our own choice. */
const WORTH_SAYING = 0.01
const short = (grams: number) => String(Math.round(grams * 10) / 10)

/**
 * What scaling a part rounded, line by line: "Egg: 100 g instead of 112 g, so that eggs stay whole".
 *
 * @param before the recipe that was scaled, `after` what came of it by `scalePart`
 */
export function roundedBy(
  before: Recipe,
  after: Recipe,
  partId: string,
  factor: number,
  eggGrams: (line: Line) => number | undefined = () => undefined,
): string[] {
  const made = new Map(after.parts.flatMap((part) => part.lines).map((line) => [line.id, line.grams]))
  return before.parts
    .filter((part) => part.id === partId || part.into === partId)
    .flatMap((part) => part.lines)
    .flatMap((line) => {
      const grams = made.get(line.id)
      if (line.grams === null || grams === null || grams === undefined) return []
      const exact = line.grams * factor
      if (Math.abs(grams - exact) <= WORTH_SAYING * exact) return []
      const why = eggGrams(line) ? 'so that eggs stay whole' : 'as a kitchen weighs'
      return [`${line.name || line.raw}: ${short(grams)} g instead of ${short(exact)} g, ${why}`]
    })
}

/**
 * The same recipe for another number of pieces: every weight is multiplied, the piece stays as it is. How long the
 * pieces cook does not change; what simmers in a larger pot takes longer, which is for the cook to see.
 *
 * @param factor above 0; 2 doubles the batch
 */
export function scaleRecipe(recipe: Recipe, factor: number): Recipe {
  if (!(factor > 0) || !Number.isFinite(factor)) throw new RangeError('factor must be a number above 0')
  const times = (grams: number | null) => timesGrams(grams, factor)
  const line = (one: Line) => timesLine(one, factor)
  const count = (pieces: number) => Math.min(MAX_PIECES, Math.max(1, Math.round(pieces * factor)))
  return {
    ...recipe,
    pieces: count(recipe.pieces),
    servings: Math.min(MAX_PIECES, Math.max(0.25, recipe.servings * factor)),
    parts: recipe.parts.map((part) => ({
      ...part,
      pieces: part.pieces === null ? null : count(part.pieces),
      finishedGrams: times(part.finishedGrams),
      leftGrams: times(part.leftGrams),
      usedGrams: times(part.usedGrams),
      lines: part.lines.map(line),
      setAside: part.setAside.map(line),
    })),
  }
}

/**
 * The factor by which a recipe is to be scaled, as cooks say it: "24 instead of 16", "as many as 400 g of it allow",
 * "half of it".
 *
 * @throws RangeError when it cannot be told: nothing of the food is in the recipe, or the number is not above 0
 */
export function factorFor(
  recipe: Recipe,
  wish:
    | { pieces: number }
    | { lineId: string; grams: number }
    | { partGrams: number; grams: number }
    | { factor: number },
): number {
  const made =
    'factor' in wish
      ? wish.factor
      : 'pieces' in wish
        ? wish.pieces / recipe.pieces
        : 'lineId' in wish
          ? wish.grams /
            (recipe.parts.flatMap((part) => part.lines).find((line) => line.id === wish.lineId)?.grams ?? 0)
          : wish.grams / wish.partGrams
  if (!(made > 0) || !Number.isFinite(made))
    throw new RangeError('Say a number above 0, of something the recipe holds')
  return made
}
