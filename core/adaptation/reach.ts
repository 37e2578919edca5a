import { limitOf, measured, sayTarget, unitOf, type Target } from '../diet/target'
import { evaluate, type Evaluation } from '../evaluate'
import type { Larder } from '../larder'
import type { Recipe } from '../recipe/document'
import type { Change } from '../swap/applySwap'
import { buildRecipe } from './build'
import { buildModel, STRENGTH, targetsOf, type ModelInput, type TargetModel } from './model'
import type { Program, Solution } from './program'
import { solveProgram, type SolveOptions } from './solve'
import type { Wishes } from './wishes'

/** A recipe that reaches what was asked, and how far it is from the one that was written. */
export interface Reached {
  recipe: Recipe
  changes: Change[]
  evaluation: Evaluation
  distance: number
  /** Exactly the nearest, or the best that was found in the time given. */
  proven: boolean
}

/** A limit that stands in the way of a nearer recipe, and what loosening it would buy. */
export interface Binding {
  name: string
  text: string
  /** Distance that a tenth more room would save. */
  saves: number
}

export interface Search {
  best: Reached | null
  /** What had to be given up for it, in words; '' for nothing. */
  compromise: string
  alternatives: Reached[]
  binding: Binding[]
  /** When nothing reaches it: the smallest set of wishes that contradict one another, in words. */
  conflict: string[]
  /** Lines that break a diet and have no stand-in. */
  unmet: { lineId: string; reason: string }[]
}

export interface SearchOptions extends SolveOptions {
  alternatives?: number
  /** Called with what is being done, from 0 to 1. */
  progress?: (share: number, doing: string) => void
}

/** Losses and rounding move figures a little; a target missed is aimed at again this often. */
const MOST_CORRECTIONS = 5
/** The nearest recipe may take this long to be proven so; after that the best found is taken. */
const SEARCH_MILLISECONDS = 250
/** Aiming again, another way, and a question beside the main one may take this long. */
const AGAIN_MILLISECONDS = 100
const OTHER_MILLISECONDS = 80
const QUICK_MILLISECONDS = 40
/** Room that is tried to see what a limit costs. */
const LOOSER = 0.1

interface Context {
  recipe: Recipe
  without: ReadonlySet<string>
  larder: Larder
  before: Evaluation
  wishes: Wishes
  options: SolveOptions
}

const inputOf = (context: Context, more: Partial<ModelInput> = {}): ModelInput => ({
  recipe: context.recipe,
  before: context.before,
  larder: context.larder,
  wishes: context.wishes,
  margins: [],
  without: context.without,
  ...more,
})

/** By how much of its limit a recipe misses each target; 0 where it holds or cannot be told. */
function misses(evaluation: Evaluation, { before, wishes }: Context): number[] {
  return targetsOf(wishes).map(({ target }) => {
    const value = measured(target, evaluation.measures)
    const limit = limitOf(target, before.measures)
    if (value === null || limit === null) return 0
    const off = target.comparison === 'at-least' ? limit - value : value - limit
    return off > 1e-6 ? off / Math.max(Math.abs(limit), 1e-6) : 0
  })
}

/** Clearly different: half of the choices are otherwise, where a choice changed counts as two. */
const differencesOf = (made: number) => Math.max(2, Math.min(made, 6))

/** The yes-or-no choices of a solution, as a constraint that enough of them be otherwise. */
function otherwise(program: Program, solution: Solution) {
  const terms: [number, number][] = []
  let made = 0
  program.variables.forEach(({ binary }, at) => {
    if (!binary) return
    const on = solution.values[at]! > 0.5
    if (on) made++
    terms.push([at, on ? 1 : -1])
  })
  return { terms, max: made - differencesOf(made) }
}

/** Solves, builds and evaluates, aiming again where losses or rounding left a target missed. */
function reachOnce(
  context: Context,
  cuts: readonly { names: ReadonlyMap<string, number>; max: number }[] = [],
): { reached: Reached; model: TargetModel; solution: Solution } | null {
  const timeout = context.options.timeoutMilliseconds ?? SEARCH_MILLISECONDS
  let margins: number[] = []
  let last: { reached: Reached; model: TargetModel; solution: Solution } | null = null
  for (let turn = 0; turn <= MOST_CORRECTIONS; turn++) {
    const model = buildModel(inputOf(context, { margins }))
    const at = new Map(model.program.variables.map(({ name }, index) => [name, index]))
    for (const cut of cuts) {
      const terms = [...cut.names].map(([name, sign]): [number, number] => [at.get(name)!, sign])
      model.program.constraints.push({ name: 'otherwise', terms, min: null, max: cut.max })
    }
    const solution = solveProgram(model.program, {
      ...context.options,
      // Aiming again is a small move: what was found is near.
      timeoutMilliseconds: Math.min(timeout, turn ? AGAIN_MILLISECONDS : Infinity),
    })
    if (solution.status === 'infeasible') return last
    const { recipe, changes } = buildRecipe(context.recipe, model, solution, context.larder.foods)
    const evaluation = evaluate(recipe, context.larder, context.before)
    const reached: Reached = {
      recipe,
      changes,
      evaluation,
      distance: solution.distance,
      proven: solution.status === 'optimal',
    }
    const missed = misses(evaluation, context)
    last = { reached, model, solution }
    if (missed.every((share) => share === 0)) return last
    margins = missed.map((share, index) => (margins[index] ?? 0) + (share > 0 ? share * 1.05 + 0.0005 : 0))
  }
  return last
}

type Found = NonNullable<ReturnType<typeof reachOnce>>

/** As `reachOnce`, null when a target is missed all the same. */
function reached(context: Context, cuts?: Parameters<typeof reachOnce>[1]): Found | null {
  const found = reachOnce(context, cuts)
  return found && misses(found.reached.evaluation, context).every((share) => share === 0) ? found : null
}

/**
 * Searches for the nearest recipe that keeps the diets and reaches the targets, with dough and pieces as they
 * are; for clearly different ones beside it; for the limits that stand in the way; and, when there is none, for
 * the wishes that contradict one another.
 *
 * @param recipe checked, ids given
 * @throws RecipeProblem as `evaluate`
 */
export function search(recipe: Recipe, wishes: Wishes, larder: Larder, options: SearchOptions = {}): Search {
  const before = evaluate(recipe, larder)
  let context: Context = { recipe, larder, before, wishes, options, without: new Set() }
  const progress = options.progress ?? (() => undefined)
  progress(0, 'looking for the nearest recipe')
  let first = reached(context)
  let compromise = ''
  if (!first) {
    // Better a dough that has to be handled with care, said plainly, than none.
    const weaker = { ...context, without: new Set([STRENGTH]) }
    first = reached(weaker)
    if (first) {
      context = weaker
      const lacks = first.reached.evaluation.abilities.lacks.map((lack) => lack.text)
      compromise = lacks.join('; ') || 'The dough is weaker than the one you wrote'
    }
  }
  if (!first) {
    progress(0.5, 'looking for what contradicts')
    return {
      best: null,
      compromise,
      alternatives: [],
      binding: [],
      conflict: conflictOf(context),
      unmet: unmetOf(context),
    }
  }
  const alternatives: Reached[] = []
  const wanted = options.alternatives ?? 2
  const cuts: { names: ReadonlyMap<string, number>; max: number }[] = []
  let latest = first
  for (let n = 0; n < wanted; n++) {
    progress(0.3 + (0.4 * n) / wanted, 'looking for another way')
    const { terms, max } = otherwise(latest.model.program, latest.solution)
    if (!terms.length) break
    cuts.push({
      names: new Map(terms.map(([at, sign]) => [latest.model.program.variables[at]!.name, sign])),
      max,
    })
    const next = reached(
      { ...context, options: { ...options, timeoutMilliseconds: OTHER_MILLISECONDS } },
      cuts,
    )
    if (!next) break
    alternatives.push(next.reached)
    latest = next
  }
  progress(0.75, 'looking at what stands in the way')
  const binding = bindingOf(context, first)
  progress(1, 'done')
  return {
    best: first.reached,
    compromise,
    alternatives,
    binding,
    conflict: [],
    unmet: unmetOf(context, first.model),
  }
}

function unmetOf(context: Context, model = buildModel(inputOf(context))): Search['unmet'] {
  return model.lines
    .filter((one) => one.unmet)
    .map((one) => ({
      lineId: one.line.id,
      reason: `Nothing in the catalogue stands in for ${one.food.name}. Leave it out, or choose another`,
    }))
}

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
    const keep = program.variables[at]!.name.startsWith('keep')
    return keep ? Math.max(largest, Math.abs(value)) : largest
  }, 0) * 10

function bindingOf(context: Context, first: { model: TargetModel; solution: Solution }): Binding[] {
  const { program } = first.model
  const { values, distance } = first.solution
  const found: Binding[] = []
  program.constraints.forEach((own, at) => {
    const isTarget = own.name.startsWith('target ')
    if (!isTarget && !['not softer', 'not firmer', 'strong enough', 'how many swaps'].includes(own.name))
      return
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
    found.push({ name: own.name.replace(/^target /, ''), text: sayBinding(own.name, context, saves), saves })
  })
  return found.sort((a, b) => b.saves - a.saves)
}

const DOUGH_WORDS: Readonly<Record<string, string>> = {
  'not softer': 'A softer dough',
  'not firmer': 'A firmer dough',
  'strong enough': 'A shape that asks less of the dough',
  'how many swaps': 'One swap more',
}

function sayBinding(name: string, { before, wishes }: Context, saves: number): string {
  const near = `would bring it ${saves.toFixed(1)} nearer to the recipe as written`
  const words = DOUGH_WORDS[name]
  if (words) return `${words} ${near}`
  const own = targetsOf(wishes).find((one) => name === `target ${one.name}`)
  const limit = own ? limitOf(own.target, before.measures) : null
  if (!own || limit === null) return `${name} ${near}`
  const room = Math.abs(limit) * LOOSER
  return `${room.toFixed(1)} ${unitOf(own.target)} ${own.target.comparison === 'at-least' ? 'less' : 'more'} (${sayTarget(own.target, before.measures)} is asked) ${near}`
}

/**
 * The smallest set of wishes that cannot be met together: each is left out in turn, and stays out when the rest
 * still contradict one another.
 */
function conflictOf(context: Context): string[] {
  const { wishes } = buildModel(inputOf(context))
  const cannot = (without: ReadonlySet<string>) =>
    solveProgram(buildModel(inputOf(context, { without })).program, {
      ...context.options,
      timeoutMilliseconds: AGAIN_MILLISECONDS,
      tolerance: 1,
    }).status === 'infeasible'
  const out = new Set<string>()
  if (!cannot(out)) {
    // The programme can be met, and the recipe that comes of it cannot: what is lost in cooking decides.
    return wishes.filter((wish) => wish.kind === 'target').map((wish) => wish.text)
  }
  for (const wish of wishes) {
    out.add(wish.name)
    if (!cannot(out)) out.delete(wish.name)
  }
  const left = wishes.filter((wish) => !out.has(wish.name)).map((wish) => wish.text)
  return left.length ? left : ['the weight of dough and filling, with what can be swapped here']
}

export interface CurvePoint {
  limit: number
  distance: number
  value: number
  swaps: number
  reached: Reached
}

/**
 * How far from the original a recipe has to go for a figure: from what it has now to the furthest that can be
 * reached, the other wishes kept.
 *
 * @param figure the target's figure and what it is per; its limit is not used
 * @param points at least 2
 */
export function tradeOff(
  recipe: Recipe,
  wishes: Wishes,
  figure: Target,
  larder: Larder,
  points = 25,
  options: SearchOptions = {},
): CurvePoint[] {
  const before = evaluate(recipe, larder)
  const from = measured(figure, before.measures)
  if (from === null) return []
  const at = (limit: number): Target => ({ ...figure, limit, ofOriginal: false })
  const reach = (limit: number) =>
    reached({
      recipe,
      larder,
      before,
      options,
      without: new Set([STRENGTH]),
      wishes: { ...wishes, targets: [...wishes.targets, at(limit)] },
    })
  // The furthest end by halving: where nothing reaches it any more.
  const far = figure.comparison === 'at-most' ? 0 : Math.max(from * 4, 40)
  let can = from
  let cannot = far
  for (let n = 0; n < 6; n++) {
    options.progress?.((0.3 * n) / 6, 'looking for the end')
    const middle = (can + cannot) / 2
    if (reach(middle)) can = middle
    else cannot = middle
  }
  const found: CurvePoint[] = []
  for (let n = 0; n < points; n++) {
    options.progress?.(0.3 + (0.7 * n) / points, 'point by point')
    const limit = from + ((can - from) * n) / (points - 1)
    const made = reach(limit)
    if (!made) continue
    found.push({
      limit,
      distance: made.reached.distance,
      value: measured(figure, made.reached.evaluation.measures) ?? limit,
      swaps: made.reached.changes.filter((change) => change.kind === 'swap').length,
      reached: made.reached,
    })
  }
  return found
}
