import { limitOf, measured, sayTarget, unitOf, type Target } from '../diet/target'
import { evaluate, type Evaluation } from '../evaluate'
import type { Larder } from '../larder'
import type { Recipe } from '../recipe/document'
import type { Change } from '../swap/applySwap'
import { buildRecipe } from './build'
import { cookOtherwise } from './cookOtherwise'
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
  /** Of `recipe`. */
  base: Evaluation
  /** Of the recipe as it was written. */
  before: Evaluation
  wishes: Wishes
  options: SolveOptions
}

const inputOf = (context: Context, more: Partial<ModelInput> = {}): ModelInput => ({
  recipe: context.recipe,
  base: context.base,
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
): Found | null {
  const timeout = context.options.timeoutMilliseconds ?? SEARCH_MILLISECONDS
  let margins: number[] = []
  let last: Found | null = null
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
    if (missed.every((share) => share === 0)) return tidied(context, last) ?? last
    margins = missed.map(
      (share, index) => (margins[index] ?? 0) + (share > 0 ? share * 1.05 + 0.0005 * 2 ** turn : 0),
    )
  }
  return last
}

interface Found {
  reached: Reached
  model: TargetModel
  solution: Solution
}

/** A line changed by less than this share of its weight is left as it was, where that does no harm. */
const FIDDLY_CHANGE = 0.05
/** A rest of a line below this share of what stands in for it is not worth keeping. */
const FIDDLY_REST = 0.1
/** What a recipe with fewer changes may be farther away. */
const TIDY_COSTS = 1

/**
 * The same choices with fewer fiddly amounts: 2 g more of this and a rest of 6 g of that are not what a cook
 * weighs. Null where nothing is fiddly, or where it does not come out without.
 */
function tidied(context: Context, found: Found): Found | null {
  const { program, lines } = found.model
  const { values } = found.solution
  const constraints = [...program.constraints]
  const fix = (variable: number, value: number) =>
    constraints.push({ name: 'tidy', terms: [[variable, 1]], min: value, max: value })
  let fiddly = false
  for (const one of lines) {
    const kept = values[one.keep]!
    const chosen = one.options.filter((own) => values[own.chosen]! > 0.5)
    for (const own of one.options) fix(own.chosen, chosen.includes(own) ? 1 : 0)
    const comes = chosen.reduce((sum, own) => sum + values[own.grams]!, 0)
    const change = Math.abs(kept - one.grams)
    if (chosen.length) {
      if (kept < 0.05 || kept > FIDDLY_REST * comes) continue
      fix(one.keep, 0)
      fiddly = true
    } else if (one.food.id !== 'water' && change > 0.05 && change < FIDDLY_CHANGE * one.grams) {
      fix(one.keep, one.grams)
      fiddly = true
    }
  }
  if (!fiddly) return null
  const relaxed: Program = {
    variables: program.variables.map((own) => ({ ...own, binary: false })),
    constraints,
  }
  const solution = solveProgram(relaxed, { ...context.options, timeoutMilliseconds: AGAIN_MILLISECONDS })
  if (solution.status === 'infeasible' || solution.distance > found.solution.distance + TIDY_COSTS)
    return null
  const { recipe, changes } = buildRecipe(context.recipe, found.model, solution, context.larder.foods)
  const evaluation = evaluate(recipe, context.larder, context.before)
  if (misses(evaluation, context).some((share) => share > 0)) return null
  return {
    model: found.model,
    solution,
    reached: { ...found.reached, recipe, changes, evaluation, distance: solution.distance },
  }
}

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
  const context: Context = { recipe, larder, base: before, before, wishes, options, without: new Set() }
  const progress = options.progress ?? (() => undefined)
  progress(0, 'looking for the nearest recipe')
  const asWritten = nearest(context)
  progress(0.25, 'looking at another way of cooking')
  const otherwiseCooked = cookedNearest(context, asWritten)
  const [best, second] =
    asWritten && otherwiseCooked && otherwiseCooked.found.reached.distance < asWritten.found.reached.distance
      ? [otherwiseCooked, asWritten]
      : [asWritten ?? otherwiseCooked, asWritten ? otherwiseCooked : null]
  if (!best) {
    progress(0.5, 'looking for what contradicts')
    const conflict = conflictOf(context)
    return {
      best: null,
      compromise: '',
      alternatives: [],
      binding: [],
      conflict,
      unmet: unmetOf(context),
    }
  }
  const others: Nearest[] = second ? [second] : []
  const wanted = options.alternatives ?? 2
  const cuts: { names: ReadonlyMap<string, number>; max: number }[] = []
  let latest = best.found
  while (others.length < wanted) {
    progress(0.3 + (0.4 * others.length) / wanted, 'looking for another way')
    const { terms, max } = otherwise(latest.model.program, latest.solution)
    if (!terms.length) break
    cuts.push({
      names: new Map(terms.map(([at, sign]) => [latest.model.program.variables[at]!.name, sign])),
      max,
    })
    const next = reached(
      { ...best.context, options: { ...options, timeoutMilliseconds: OTHER_MILLISECONDS } },
      cuts,
    )
    if (!next) break
    others.push({ ...best, found: withCooking(next, best) })
    latest = next
  }
  progress(0.75, 'looking at what stands in the way')
  // In the time given, another way may have turned out nearer than the first.
  const [nearestOne, ...alternatives] = [best, ...others].sort(
    (one, other) => one.found.reached.distance - other.found.reached.distance,
  )
  const { found, context: own, compromise } = nearestOne!
  const binding = bindingOf(own, found)
  progress(1, 'done')
  return {
    best: found.reached,
    compromise,
    alternatives: alternatives.slice(0, wanted).map((one) => one.found.reached),
    binding,
    conflict: [],
    unmet: unmetOf(own, found.model),
  }
}

interface Nearest {
  found: Found
  context: Context
  compromise: string
  /** Where it is cooked otherwise: the change, and what that counts for. */
  cooking?: { change: Change; cost: number }
}

/** What was found, with the change of cooking that it rests on. */
function withCooking(found: Found, { cooking }: Pick<Nearest, 'cooking'>): Found {
  if (!cooking) return found
  const { reached: own } = found
  return {
    ...found,
    reached: { ...own, changes: [cooking.change, ...own.changes], distance: own.distance + cooking.cost },
  }
}

/** The nearest recipe that reaches what is asked, with a weaker dough where there is no other. */
function nearest(context: Context): Nearest | null {
  const found = reached(context)
  if (found) return { found, context, compromise: '' }
  // Better a dough that has to be handled with care, said plainly, than none.
  const weaker = { ...context, without: new Set([STRENGTH]) }
  const weak = reached(weaker)
  if (!weak) return null
  const lacks = weak.reached.evaluation.abilities.lacks.map((lack) => lack.text)
  const compromise = lacks.join('; ') || 'The dough is weaker than the one you wrote'
  return { found: weak, context: weaker, compromise }
}

/** Another way of cooking beside one percent of the weight moved. Our own choice. */
const COOKING_COST = 12
/** Figures in which the pan's fat counts. */
const LEANER: ReadonlySet<Target['figure']> = new Set(['energyKcal', 'fatG', 'saturatedFatG'])

/** The nearest recipe when it is not fried, where less energy or fat is asked and the pan brings some. */
function cookedNearest(context: Context, asWritten: Nearest | null): Nearest | null {
  const { recipe, larder, wishes } = context
  const leaner = targetsOf(wishes).some(
    ({ target }) => target.comparison === 'at-most' && LEANER.has(target.figure),
  )
  if (!leaner || asWritten?.found.reached.distance === 0) return null
  const made = cookOtherwise(recipe, context.base, larder.foods)
  if (!made || wishes.locks.lineIds.includes(made.change.lineId)) return null
  const base = evaluate(made.recipe, larder, context.before)
  const cooked = nearest({ ...context, recipe: made.recipe, base })
  if (!cooked) return null
  const cooking = { change: made.change, cost: COOKING_COST * wishes.weights.cooking }
  return { ...cooked, cooking, found: withCooking(cooked.found, { cooking }) }
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
      base: before,
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
