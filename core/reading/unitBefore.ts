import type { Foods } from '../food/food'
import { matchFood } from './match'
import { readLine } from './readLine'
import { weighLine } from './weigh'

const BY_THE_SPOON = /^(?:tsp|tbsp)$/

/**
 * "Two tablespoons soy and one sesame oil": a line of what nobody counts, with the spoon that the line before it was
 * counted in; null for any other.
 *
 * @param text a line with a bare number
 * @param before the line in front of it
 */
export function withUnitBefore(text: string, before: string | undefined, foods: Foods): string | null {
  if (before === undefined) return null
  const unit = readLine(before).measures[0]?.at(-1)?.unitId ?? ''
  if (!BY_THE_SPOON.test(unit)) return null
  const { measures, name } = readLine(text)
  const term = measures.length === 1 && measures[0]!.length === 1 ? measures[0]![0]! : null
  if (!term || term.unitId !== null || term.size !== null || term.low !== term.high) return null
  const food = matchFood(name, foods)
  if (food?.how !== 'exact' || weighLine(readLine(text), food.food).grams !== null) return null
  const spooned = `${term.low} ${unit} ${name}`
  return weighLine(readLine(spooned), food.food).grams === null ? null : spooned
}
