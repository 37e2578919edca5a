import { limitOf, sayTarget, unitOf } from '../diet/target'
import { targetsOf } from './question'
import type { Constraint, ConstraintKind, Program } from './program'
import type { Context, Found } from './searchOnce'
import { solveProgram } from './solve'

/** A limit that stands in the way of a nearer recipe, and what loosening it would buy. */
export interface Binding {
  name: string
  text: string
  /** Distance that a tenth more room would save. */
  saves: number
}

/** A question beside the main one may take this long. */
const QUICK_MILLISECONDS = 40
/** Room that is tried to see what a limit costs. */
const LOOSER = 0.1

/** A constraint with a tenth more room. */
function loosened(program: Program, index: number): Program {
  const constraints = program.constraints.map((own, at) => {
    if (at !== index) return own
    const room = (bound: number) => LOOSER * (Math.abs(bound) || scaleOf(own.terms, program))
    return {
      ...own,
      min: own.min === null ? null : own.min - room(own.min),
      max: own.max === null ? null : own.max + room(own.max),
    }
  })
  return { variables: program.variables, constraints }
}

/** The size of a sum that is written as a difference, for a tenth of it. */
const scaleOf = (terms: readonly [number, number][], program: Program) =>
  terms.reduce((largest, [at, value]) => {
    return program.variables[at]!.keeps ? Math.max(largest, Math.abs(value)) : largest
  }, 0) * 10

/** The limits that a recipe is held by, and what a tenth more room would save. */
export function bindingOf(context: Context, first: Found): Binding[] {
  const { program } = first.model
  const { values, distance } = first.solution
  const found: Binding[] = []
  program.constraints.forEach((own, at) => {
    if (own.kind === 'model') return
    const sum = own.terms.reduce((total, [variable, value]) => total + value * values[variable]!, 0)
    const bound = own.max ?? own.min ?? 0
    const size = Math.max(Math.abs(bound), 1)
    if (Math.abs(sum - bound) > 0.002 * size) return
    const looser = solveProgram(loosened(program, at), {
      ...context.options,
      timeoutMilliseconds: QUICK_MILLISECONDS,
    })
    const saves = distance - looser.distance
    if (!(saves > 0.05)) return
    found.push(sayBinding(own, context, saves))
  })
  return found.sort((a, b) => b.saves - a.saves)
}

/** What loosening a limit that is no figure means, in words. */
const LOOSER_WORDS: Readonly<Record<Exclude<ConstraintKind, 'target' | 'model'>, string>> = {
  softer: 'A softer dough',
  firmer: 'A firmer dough',
  strength: 'A shape that asks less of the dough',
  swaps: 'One swap more',
}

function sayBinding(own: Constraint, { before, wishes }: Context, saves: number): Binding {
  const near = `would bring it ${saves.toFixed(1)} nearer to the recipe as written`
  if (own.kind !== 'target' && own.kind !== 'model')
    return { name: own.name, text: `${LOOSER_WORDS[own.kind]} ${near}`, saves }
  const asked = targetsOf(wishes).find(({ key }) => key === own.wish)
  const limit = asked ? limitOf(asked.target, before.measures) : null
  if (!asked || limit === null) return { name: own.name, text: `${own.name} ${near}`, saves }
  const { target, name } = asked
  const room = `${(Math.abs(limit) * LOOSER).toFixed(1)} ${unitOf(target)} ${target.comparison === 'at-least' ? 'less' : 'more'}`
  return { name, text: `${room} (${sayTarget(target, before.measures)} is asked) ${near}`, saves }
}
