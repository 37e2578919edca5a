import { MIN_SHELL, THINNEST_SHELL } from './craft'
import { formulaIdOf, type Purpose } from '../substitution/formulas'
import {
  keepFigures,
  limitChoices,
  limitConcentrates,
  limitDough,
  limitFigures,
  limitWeights,
  type Wish,
  type Written,
} from './limits'
import { percentMoved, WATER_FACTOR, writeLine, type LineModel, type Shared } from './lineModel'
import { BROUGHT_COST, LOST_COST } from './options'
import { ProgramBuilder, type Program } from './program'
import { CRAFT, questionOf, type ModelInput, type Question } from './question'

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
  const shell = shellFor(question, builder)
  const lost = new Map<string, number>()
  const lose: Shared['lose'] = (kind, id, chosen) => {
    if (question.wishes.weights.kept <= 0) return
    const key = `${kind} ${id}`
    let variable = lost.get(key)
    if (variable === undefined) {
      const cost = question.wishes.weights.kept * (kind === 'diet' ? LOST_COST : BROUGHT_COST)
      const term = kind === 'diet' ? `no longer ${id}` : `brings ${id}`
      lost.set(key, (variable = builder.variable(`lost ${key}`, { cost, upper: 1, term })))
    }
    builder.constrain(
      `lost ${key}`,
      [
        [chosen, 1],
        [variable, -1],
      ],
      { max: 0 },
    )
  }
  const lines = question.lines.map((one) => writeLine(one, question, builder, { shell, lose }))
  const written: Written = { question, builder, lines, addedWater: waterFor(question, builder), shell }
  limitWeights(written)
  limitConcentrates(written)
  keepFigures(written)
  const wishes = [...limitDough(written), ...limitFigures(written), ...limitChoices(written)]
  return {
    program: builder,
    lines,
    addedWater: written.addedWater?.variable ?? null,
    wishes,
  }
}

/** Purposes for which a cook makes the shell thinner. */
const THINNER: readonly Purpose[] = ['lighter', 'keto', 'high-protein']
/** The share of its weight that the shell keeps, where it may be thinner than it was. */
function shellFor(question: Question, builder: ProgramBuilder): number | null {
  const { purposes, base, locked, without } = question
  const may =
    THINNER.some((purpose) => purposes.has(purpose)) &&
    !base.dough.ready &&
    question.lines.some((one) => one.part.kind === 'filling') &&
    !question.lines.some((one) => one.part.kind === 'shell' && locked.has(one.line.id))
  if (!may) return null
  const shell = builder.variable('shell', { upper: 1 })
  builder.constrain('shell', [[shell, 1]], { min: without.has(CRAFT) ? THINNEST_SHELL : MIN_SHELL })
  return shell
}

/** Water that may come to a dough that is made and has no line of water. */
function waterFor(question: Question, builder: ProgramBuilder): Written['addedWater'] {
  const food = question.reference.foods.get('water')
  const shell = question.lines.filter((one) => one.part.kind === 'shell')
  // A formula has its water, or needs none.
  const has = shell.some((one) => one.food.id === 'water' || formulaIdOf(one.line.cameFrom?.swapId) !== null)
  if (!food || has || !shell.length || question.base.dough.ready) return null
  return { food, variable: builder.variable('added water', { cost: percentMoved(question) * WATER_FACTOR }) }
}
