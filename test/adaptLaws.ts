import { adapt } from '../core/adaptation/adapt'
import type { Recipe } from '../core/recipe/document'
import { allLines } from '../core/recipe/lines'
import { RecipeProblem } from '../core/recipe/problem'
import { reference } from './helpers'

/**
 * What holds of any adaptation whatever, for a recipe nobody wrote. Returns what does not, in words; an exception is
 * one as well, but for a recipe that the core refuses in words.
 */
export function brokenLaws(recipe: Recipe, diets: string[]): string[] {
  let made
  try {
    made = adapt(recipe, diets, reference)
  } catch (error) {
    return error instanceof RecipeProblem ? [] : [`exception: ${(error as Error).stack?.slice(0, 300)}`]
  }
  const wrong: string[] = []
  const one = made.evaluation
  for (const figures of [one.perPiece, one.perServing, one.per100g])
    for (const [key, value] of Object.entries(figures))
      if (!Number.isFinite(value) || value < -1e-6) wrong.push(`${key} is ${value}`)
  for (const { line } of allLines(made.recipe))
    if (line.grams !== null && !(line.grams >= 0 && Number.isFinite(line.grams)))
      wrong.push(`${line.raw} weighs ${line.grams}`)
  const ids = new Set<string>()
  for (const { line } of allLines(made.recipe)) {
    if (ids.has(line.id)) wrong.push(`two lines have the id ${line.id}`)
    ids.add(line.id)
  }
  if (!made.conflict.length && !made.unmet.length && made.distance !== null)
    for (const verdict of one.diets)
      if (diets.includes(verdict.diet) && verdict.verdict === 'does not fit')
        wrong.push(`claims ${verdict.diet}: ${verdict.reasons.join('; ')}`)
  if (made.distance !== null && !(made.distance >= -1e-6 && Number.isFinite(made.distance)))
    wrong.push(`distance ${made.distance}`)
  if (made.distance !== null && made.recipe.pieces !== recipe.pieces) wrong.push('other pieces')
  // Mass: what is eaten and what is lost is what went in.
  const { balance } = one.asEaten
  if (!(balance.eatenGrams >= 0)) wrong.push(`eaten ${balance.eatenGrams}`)
  return wrong
}
