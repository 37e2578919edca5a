import { doughDensity } from '../dough/density'
import type { Evaluation } from '../evaluation/evaluate'
import { DENSITY_G_PER_ML } from '../piece/geometry'
import type { Recipe } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'
import type { FactKind } from '../recipe/vocabulary'
import type { ReferenceData } from '../tables/referenceData'

/** A number that the text of the recipe gave, in mm or g. */
export function factOf(recipe: Recipe | null, kind: FactKind, times: number): number | undefined {
  const found = recipe?.facts.find((fact) => fact.kind === kind)
  return found ? ((found.low + found.high) / 2) * times : undefined
}

/** What is to be divided: the dough, and each filling as it goes in. */
export interface Stock {
  doughGrams: number
  density: number
  fillings: { partId: string; name: string; grams: number; share: number }[]
}

export function stockOf(
  recipe: Recipe | null,
  evaluation: Evaluation | null,
  reference: ReferenceData,
): Stock | null {
  if (!recipe || !evaluation) return null
  const shell = allLines(recipe).flatMap(({ part, line }) => {
    const food = foodOf(line, reference.foods)
    return part.kind === 'shell' && food && line.grams !== null
      ? [{ line, food, grams: line.grams, waterChangeGrams: line.waterChangeGrams }]
      : []
  })
  const parts = evaluation.parts.filter(
    (part) => part.kind === 'filling' && part.into === null && part.grams > 0,
  )
  const all = parts.reduce((sum, part) => sum + part.pieces, 0)
  return {
    doughGrams: evaluation.dough.grams,
    density: doughDensity(shell) ?? DENSITY_G_PER_ML.dough,
    fillings: parts.map((part) => ({
      partId: part.partId,
      name: part.name,
      // What is made for it goes in with it.
      grams: evaluation.parts
        .filter((own) => own.partId === part.partId || own.into === part.partId)
        .reduce((sum, own) => sum + own.grams, 0),
      share: part.pieces / all,
    })),
  }
}

/** Whole pieces for each filling, by its share, that add up to all of them. */
export function shareOut(pieces: number, fillings: Stock['fillings']): number[] {
  const exact = fillings.map(({ share }) => share * pieces)
  const whole = exact.map(Math.floor)
  const open = pieces - whole.reduce((sum, one) => sum + one, 0)
  const byRest = exact.map((one, at) => ({ at, rest: one - Math.floor(one) })).sort((a, b) => b.rest - a.rest)
  for (const { at } of byRest.slice(0, open)) whole[at]!++
  return whole
}
