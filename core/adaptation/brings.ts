import { excludes, type Diet } from '../diet/diets'
import type { Evaluation } from '../evaluation/evaluate'

/** What an adaptation costs those who eat it and were not asked about. */
export interface Brings {
  /** Allergens that the recipe did not hold and the adapted one does. */
  allergens: string[]
  /** Names of diets that leave foods out, that it kept and keeps no longer. */
  dietsLost: string[]
}

/**
 * What came into a recipe unasked: allergens, and diets it no longer keeps. Both are said before anybody takes it.
 *
 * @param asked ids of the diets it was adapted to: those say for themselves whether they fit
 */
export function brings(
  before: Evaluation,
  after: Evaluation,
  diets: readonly Diet[],
  asked: readonly string[],
): Brings {
  const fits = (evaluation: Evaluation, id: string) =>
    evaluation.diets.find((verdict) => verdict.diet === id)?.fits === true
  return {
    allergens: after.allergens.filter((one) => !before.allergens.includes(one)),
    dietsLost: diets
      .filter((diet) => excludes(diet) && !asked.includes(diet.id))
      .filter((diet) => fits(before, diet.id) && !fits(after, diet.id))
      .map((diet) => diet.name),
  }
}
