import {
  limitChoices,
  limitConcentrates,
  limitDough,
  limitFigures,
  limitWeights,
  type Wish,
  type Written,
} from './limits'
import { percentMoved, WATER_FACTOR, writeLine, type LineModel } from './lineModel'
import { ProgramBuilder, type Program } from './program'
import { questionOf, type ModelInput, type Question } from './question'

export interface TargetModel {
  program: Program
  lines: LineModel[]
  /** Variable: water added to the dough where it had none; null when it has a line of its own. */
  addedWater: number | null
  /** Constraints by the wish they come from. */
  wishes: Wish[]
}

/**
 * Writes the search for the nearest recipe as a mixed-integer linear programme.
 *
 * For every line: grams that stay, and for each swap that may stand for it grams that are replaced and whether any
 * are. Exclusions take variables away; figures, softness, strength and weight are linear in grams, shares too,
 * because they are written as differences. The distance is weight moved, swaps made, roles lost, new things to
 * buy and price, each with the cook's weight.
 */
export function buildModel(input: ModelInput): TargetModel {
  const question = questionOf(input)
  const builder = new ProgramBuilder()
  const lines = question.lines.map((one) => writeLine(one, question, builder))
  const written: Written = { question, builder, lines, addedWater: waterFor(question, builder) }
  limitWeights(written)
  limitConcentrates(written)
  const wishes = [...limitDough(written), ...limitFigures(written), ...limitChoices(written)]
  const names = new Set<string>()
  return {
    program: builder,
    lines,
    addedWater: written.addedWater?.variable ?? null,
    wishes: wishes.filter((wish) => !names.has(wish.name) && names.add(wish.name)),
  }
}

/** Water that may come to a dough that is made and has no line of water. */
function waterFor(question: Question, builder: ProgramBuilder): Written['addedWater'] {
  const food = question.larder.foods.get('water')
  const shell = question.lines.filter((one) => one.part.kind === 'shell')
  const has = shell.some((one) => one.food.id === 'water')
  if (!food || has || !shell.length || question.base.dough.ready) return null
  return { food, variable: builder.variable('added water', { cost: percentMoved(question) * WATER_FACTOR }) }
}
