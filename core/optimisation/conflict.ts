import { limitOf, measured, sayTarget, unitOf, type Target } from '../diet/target'
import type { Wish } from './limits'
import { buildModel } from './model'
import { DRIVEN, STRENGTH, targetsOf } from './question'
import { inputOf, candidateFrom, type Context, type Candidate } from './searchOnce'
import { solveProgram } from './solve'

/** A question beside the main one may take this long. */
const QUESTION_MILLISECONDS = 100

/** What stands in the way when no wish does. */
const WEIGHTS: Wish = {
  key: 'weights',
  name: 'weights',
  kind: 'dough',
  text: 'the weight of dough and filling, with what can be swapped here',
}

/**
 * The smallest set of wishes that cannot be met together: each is left out in turn, and stays out when the rest
 * still contradict one another.
 */
export function conflictOf(context: Context): Wish[] {
  const { wishes } = buildModel(inputOf(context))
  const cannot = (without: ReadonlySet<string>) =>
    solveProgram(
      buildModel(inputOf(context, { without: new Set([...context.without, ...without]) })).program,
      {
        ...context.options,
        timeoutMilliseconds: QUESTION_MILLISECONDS,
        tolerance: 1,
      },
    ).status === 'infeasible'
  const out = new Set<string>()
  if (!cannot(out)) {
    // The programme can be met, and the recipe that comes of it cannot: what is lost in cooking decides.
    return wishes.filter((wish) => wish.kind === 'target')
  }
  for (const wish of wishes) {
    out.add(wish.key)
    if (!cannot(out)) out.delete(wish.key)
  }
  const left = wishes.filter((wish) => !out.has(wish.key))
  return left.length ? left : [WEIGHTS]
}

/** As near as a recipe comes to a figure that is out of reach. */
export interface Closest {
  candidate: Candidate
  /** "Keto: …; as near as it gets is 14.2". */
  text: string
  /** The figure that it comes to, and which way is nearer. */
  value: number
  comparison: Target['comparison']
}

/** The one that comes nearer to the figure; the first where they are alike. */
export const nearerOf = (one: Closest | null, other: Closest | null): Closest | null =>
  !one || !other
    ? (one ?? other)
    : (one.comparison === 'at-least' ? other.value > one.value + 1e-3 : other.value < one.value - 1e-3)
      ? other
      : one

/** How often the best share is asked for again with the share that was reached; it settles in two or three. */
const MAX_TURNS = 4
/** Beside the figure itself, how far the recipe moves hardly counts. */
const DISTANCE_COUNTS = 1e-3

/** A figure with as many decimals as it takes to tell it from its limit: 19.97 misses 20, and 20.0 does not. */
function apart(value: number, limit: number): string {
  const digits = [1, 2, 3].find((count) => value.toFixed(count) !== limit.toFixed(count))
  return value.toFixed(digits ?? 1)
}

/**
 * The recipe that comes nearest to a figure that nothing reaches, all other wishes kept.
 *
 * A sum is driven as far as it goes. A share of energy or flour is not linear: as a difference it is, for any
 * given share, and asked again with the share that was reached it settles on the best one (Dinkelbach's method
 * for fractional programmes, 1967).
 *
 * @param conflict the wishes that contradict one another
 * @returns null when no figure is among them, or the others cannot be met either
 */
export function closestOf(context: Context, conflict: readonly Wish[]): Closest | null {
  for (const { key, target, name } of targetsOf(context.wishes)) {
    if (!conflict.some((wish) => wish.key === key)) continue
    const rest: Context = { ...context, without: new Set([...context.without, key]) }
    const strong = drivenTo(rest, target)
    const best = strong ?? drivenTo(weaker(rest), target)
    const limit = limitOf(target, context.before.measures)
    if (!best || limit === null) continue
    const value = measured(target, best.evaluation.measures)
    if (value === null) continue
    const text = `${name}: ${sayTarget(target, context.before.measures)} is out of reach here${conflict.length > 1 ? ', the rest kept' : ''}; as near as it gets is ${apart(value, limit)} ${unitOf(target)}`
    // A dough that had to be let go weaker for it is said as well.
    const lacks = strong ? [] : best.evaluation.abilities.lacks.map((lack) => lack.text)
    return { candidate: best, text: [text, ...lacks].join('; '), value, comparison: target.comparison }
  }
  return null
}

const weaker = (context: Context): Context => ({
  ...context,
  without: new Set([...context.without, STRENGTH]),
})

function drivenTo(context: Context, target: Target): Candidate | null {
  const start = measured(target, context.base.measures)
  if (start === null) return null
  let limit = start
  let best: Candidate | null = null
  let bestValue = target.comparison === 'at-least' ? -Infinity : Infinity
  const better = (value: number) =>
    target.comparison === 'at-least' ? value > bestValue + 1e-4 : value < bestValue - 1e-4
  for (let turn = 0; turn < MAX_TURNS; turn++) {
    // Asked for at what is reached; its terms become the objective, and it holds nothing back itself.
    const model = buildModel(inputOf(context, { driven: { ...target, limit, ofOriginal: false } }))
    const { program } = model
    const at = program.constraints.findIndex((own) => own.wish === DRIVEN)
    const figure = program.constraints[at]
    // Nothing that may change moves it.
    if (!figure) return best
    const driven = {
      variables: program.variables.map((own) => ({ ...own, cost: own.cost * DISTANCE_COUNTS })),
      constraints: program.constraints.filter((_, n) => n !== at),
    }
    const size = Math.max(...figure.terms.map(([, value]) => Math.abs(value)), 1e-9)
    const sign = target.comparison === 'at-least' ? -1 : 1
    for (const [variable, value] of figure.terms) driven.variables[variable]!.cost += (sign * value) / size
    const solution = solveProgram(driven, {
      ...context.options,
      timeoutMilliseconds: QUESTION_MILLISECONDS,
    })
    if (solution.status === 'infeasible') return best
    // What it costs is the distance, not what it was driven by.
    const distance = program.variables.reduce((sum, { cost }, n) => sum + cost * solution.values[n]!, 0)
    const found = candidateFrom(context, model, { ...solution, distance })
    const value = measured(target, found.evaluation.measures)
    if (value === null || !better(value)) return best
    best = found
    bestValue = value
    limit = value
    // A sum is driven to its end at once.
    if (target.per !== null) return best
  }
  return best
}
