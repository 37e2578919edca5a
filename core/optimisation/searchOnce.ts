import { limitOf, measured } from '../diet/target'
import { lacksAnew } from '../dough/abilities'
import { evaluate, type Evaluation } from '../evaluation/evaluate'
import type { ReferenceData } from '../tables/referenceData'
import type { Recipe } from '../recipe/document'
import type { Change } from '../substitution/applySwap'
import { buildRecipe, eggGrams, KITCHEN, type Weigh } from './build'
import { buildModel, type TargetModel } from './model'
import { targetsOf, type ModelInput } from './question'
import type { Constraint, Program, Solution } from './program'
import { solveProgram, type SolveOptions } from './solve'
import type { Wishes } from './wishes'

/** A part of the distance, in words. */
export interface Term {
  text: string
  distance: number
}

/** A recipe that reaches what was asked, and how far it is from the one that was written. */
export interface Candidate {
  recipe: Recipe
  changes: Change[]
  evaluation: Evaluation
  distance: number
  /** What the distance is made of, the largest first. */
  terms: Term[]
  /** Exactly the nearest, or the best that was found in the time given. */
  proven: boolean
}

/** Losses and rounding move figures a little; a target missed is aimed at again this often. */
const MAX_CORRECTIONS = 5
/** The nearest recipe may take this long to be proven so; after that the best found is taken. */
const SEARCH_MILLISECONDS = 250
/** Aiming again may take this long. */
const AGAIN_MILLISECONDS = 100

/** What is searched, and in what. */
export interface Context {
  recipe: Recipe
  without: ReadonlySet<string>
  reference: ReferenceData
  /** Of `recipe`. */
  base: Evaluation
  /** Of the recipe as it was written. */
  before: Evaluation
  wishes: Wishes
  options: SolveOptions
}

/** The search as input of the model. */
export const inputOf = (context: Context, more: Partial<ModelInput> = {}): ModelInput => ({
  recipe: context.recipe,
  base: context.base,
  before: context.before,
  reference: context.reference,
  wishes: context.wishes,
  margins: [],
  without: context.without,
  ...more,
})

/** By how much of its limit a recipe misses each target; 0 where it holds or cannot be told. */
export function misses(evaluation: Evaluation, { before, wishes }: Context): number[] {
  return targetsOf(wishes).map(({ target }) => {
    const value = measured(target, evaluation.measures)
    const limit = limitOf(target, before.measures)
    if (value === null || limit === null) return 0
    const off = target.comparison === 'at-least' ? limit - value : value - limit
    return off > 1e-6 ? off / Math.max(Math.abs(limit), 1e-6) : 0
  })
}

/** Choices of an earlier answer, with how many of them may be made again. */
export interface Cut {
  names: ReadonlyMap<string, number>
  max: number
}

/** Parts of the distance below this are not worth a line. */
const MIN_TERM = 0.05

/** What the distance of a solution is made of: alike parts together, the largest first. */
function termsOf({ variables }: Program, { values }: Solution): Term[] {
  const sums = new Map<string, number>()
  variables.forEach(({ cost, term }, at) => {
    const distance = cost * values[at]!
    if (distance <= 0) return
    const text = term || 'the rest'
    sums.set(text, (sums.get(text) ?? 0) + distance)
  })
  return [...sums]
    .map(([text, distance]) => ({ text, distance }))
    .filter(({ distance }) => distance >= MIN_TERM)
    .sort((a, b) => b.distance - a.distance)
}

/** The recipe that a solution stands for. */
export function candidateFrom(
  context: Context,
  model: TargetModel,
  solution: Solution,
  weigh?: Weigh,
): Candidate {
  const { recipe, changes } = buildRecipe(context.recipe, model, solution, context.reference.foods, weigh)
  return {
    recipe,
    changes,
    evaluation: evaluate(recipe, context.reference, context.before),
    distance: solution.distance,
    terms: termsOf(model.program, solution),
    proven: solution.status === 'optimal',
  }
}

/** The programme, aimed a little stricter than asked, without choices that were made before. */
function modelWith(context: Context, margins: readonly number[], cuts: readonly Cut[]): TargetModel {
  const model = buildModel(inputOf(context, { margins }))
  const at = new Map(model.program.variables.map(({ name }, index) => [name, index]))
  for (const cut of cuts) {
    const terms = [...cut.names].map(([name, sign]): [number, number] => [at.get(name)!, sign])
    model.program.constraints.push({
      name: 'otherwise',
      kind: 'model',
      wish: null,
      terms,
      min: null,
      max: cut.max,
    })
  }
  return model
}

/** Solves, builds and evaluates, aiming again where losses or rounding left a target missed. */
function solveAndAim(context: Context, cuts: readonly Cut[] = []): Found | null {
  const timeout = context.options.timeoutMilliseconds ?? SEARCH_MILLISECONDS
  let margins: number[] = []
  let last: Found | null = null
  for (let turn = 0; turn <= MAX_CORRECTIONS; turn++) {
    const model = modelWith(context, margins, cuts)
    const solution = solveProgram(model.program, {
      ...context.options,
      // Aiming again is a small move: what was found is near.
      timeoutMilliseconds: Math.min(timeout, turn ? AGAIN_MILLISECONDS : Infinity),
    })
    if (solution.status === 'infeasible') return last
    const made = candidateFrom(context, model, solution)
    const missed = misses(made.evaluation, context)
    last = { candidate: made, model, solution }
    if (missed.every((share) => share === 0))
      return weighed(context, tidied(context, last) ?? last, margins, cuts)
    margins = missed.map(
      (share, index) => (margins[index] ?? 0) + (share > 0 ? share * 1.05 + 0.0005 * 2 ** turn : 0),
    )
  }
  return last
}

/** A dough that stays itself is at most this much softer or firmer than it was, rounding and all. */
const MAX_SOFTER = 0.03

/**
 * Aimed at with so much to spare, in shares of what is asked, a recipe can be weighed in whole grams; and how much
 * farther away it may be for that. Our own choice.
 */
const ROOMS_TO_WEIGH = [
  { room: 0.003, costs: 1.5 },
  { room: 0.006, costs: 3 },
  { room: 0.015, costs: 3 },
] as const

/** As found, in amounts that a kitchen weighs; where what is asked leaves no room for that, aimed a little beyond it. */
function weighed(context: Context, found: Found, margins: readonly number[], cuts: readonly Cut[]): Found {
  const rounded = weighable(context, found)
  if (rounded || !targetsOf(context.wishes).length) return rounded ?? found
  for (const { room, costs } of ROOMS_TO_WEIGH) {
    const beyond = targetsOf(context.wishes).map((_, at) => (margins[at] ?? 0) + room)
    const model = modelWith(context, beyond, cuts)
    const solution = solveProgram(model.program, {
      ...context.options,
      timeoutMilliseconds: AGAIN_MILLISECONDS,
    })
    if (solution.status === 'infeasible' || solution.distance > found.solution.distance + costs) break
    const made = { model, solution, candidate: candidateFrom(context, model, solution) }
    if (misses(made.candidate.evaluation, context).some((share) => share > 0)) continue
    made.candidate.proven = found.candidate.proven
    const rounder = weighable(context, tidied(context, made) ?? made)
    if (rounder) return rounder
  }
  return found
}

/**
 * The same with amounts as a kitchen weighs them, as coarse as what is asked and the dough's feel allow; null where
 * they allow none.
 */
function weighable(context: Context, found: Found): Found | null {
  const softness = found.candidate.evaluation.dough.softness
  for (const weigh of KITCHEN) {
    const made = candidateFrom(context, found.model, found.solution, weigh)
    const felt = made.evaluation.dough.softness
    const off = (value: number) => Math.abs(value - (context.base.dough.softness ?? value))
    if (softness !== null && felt !== null && off(felt) > Math.max(MAX_SOFTER, off(softness))) continue
    if (lacksAnew(found.candidate.evaluation, made.evaluation).length) continue
    if (misses(made.evaluation, context).some((share) => share > 0)) continue
    return { ...found, candidate: { ...made, terms: found.candidate.terms, proven: found.candidate.proven } }
  }
  return null
}

/** A recipe with the programme and the solution that it came of. */
export interface Found {
  candidate: Candidate
  model: TargetModel
  solution: Solution
}

/** A line changed by less than this share of its weight is left as it was, where that does no harm. */
const FIDDLY_CHANGE = 0.05
/** A rest of a line below this share of what stands in for it is not worth keeping. */
const FIDDLY_REST = 0.15
/** What a line is cut to less than this share of goes out. */
const FIDDLY_LEFT = 0.25
/** What a recipe with fewer changes may be farther away; one without a rest of a flour or filling that nobody weighs. */
const TIDY_COSTS = { any: 1, rest: 6 } as const

/**
 * The same choices with fewer fiddly amounts: 2 g more of this and a rest of 6 g of that are not what a cook
 * weighs.  Where not all can go, eggs are weighed after all, and then the rests go alone. Null where nothing is fiddly, or where it does not come out without.
 */
function tidied(context: Context, found: Found): Found | null {
  const fiddly = fiddlyOf(found)
  const ways = [fiddly, fiddly.filter(({ why }) => why !== 'egg'), fiddly.filter(({ why }) => why === 'rest')]
  for (const gone of ways.filter((one, at) => one.length !== ways[at - 1]?.length)) {
    const made = gone.length ? tidiedBy(context, found, gone) : null
    if (made) return made
  }
  return null
}

/** A variable that is put to a plain value: a rest that goes, a line that stays as it was written, a number of eggs. */
interface Fiddly {
  variable: number
  value: number
  why: 'rest' | 'little' | 'egg'
}

function fiddlyOf({ model, solution: { values } }: Found): Fiddly[] {
  return model.lines.flatMap((one): Fiddly[] => {
    const kept = values[one.keep]!
    const chosen = one.options.filter((own) => values[own.chosen]! > 0.5)
    if (chosen.length) {
      const comes = chosen.reduce((sum, own) => sum + values[own.grams]!, 0)
      const little = kept >= 0.05 && kept <= FIDDLY_REST * comes
      return little ? [{ variable: one.keep, value: 0, why: 'rest' }] : []
    }
    if (kept >= 0.05 && kept < FIDDLY_LEFT * one.grams) return [{ variable: one.keep, value: 0, why: 'rest' }]
    const change = Math.abs(kept - one.grams)
    const little = one.food.id !== 'water' && change > 0.05 && change < FIDDLY_CHANGE * one.grams
    if (little) return [{ variable: one.keep, value: one.grams, why: 'little' }]
    const egg = eggGrams(one.food)
    return egg && change > 0.05
      ? [{ variable: one.keep, value: Math.max(1, Math.round(kept / egg)) * egg, why: 'egg' }]
      : []
  })
}

function tidiedBy(context: Context, found: Found, gone: readonly Fiddly[]): Found | null {
  const { program } = found.model
  const { values } = found.solution
  const fixed = [
    ...gone,
    // What went out does not come back to make up the weight.
    ...found.model.lines
      .filter((one) => values[one.keep]! < 0.05)
      .map((one) => ({ variable: one.keep, value: 0 })),
    // The choices stay as they are.
    ...found.model.lines.flatMap((one) =>
      one.options.map((own) => ({ variable: own.chosen, value: values[own.chosen]! > 0.5 ? 1 : 0 })),
    ),
  ]
  const relaxed: Program = {
    variables: program.variables.map((own) => ({ ...own, binary: false })),
    constraints: [
      ...program.constraints,
      ...fixed.map(({ variable, value }): Constraint => ({
        name: 'tidy',
        kind: 'model',
        wish: null,
        terms: [[variable, 1]],
        min: value,
        max: value,
      })),
    ],
  }
  const solution = solveProgram(relaxed, { ...context.options, timeoutMilliseconds: AGAIN_MILLISECONDS })
  const costs = TIDY_COSTS[gone.every(({ why }) => why === 'rest') ? 'rest' : 'any']
  if (solution.status === 'infeasible' || solution.distance > found.solution.distance + costs) return null
  const made = candidateFrom(context, found.model, solution)
  if (misses(made.evaluation, context).some((share) => share > 0)) return null
  return { model: found.model, solution, candidate: { ...made, proven: found.candidate.proven } }
}

/** As `solveAndAim`, null when a target is missed all the same. */
export function searchOnce(context: Context, cuts?: readonly Cut[]): Found | null {
  const found = solveAndAim(context, cuts)
  return found && misses(found.candidate.evaluation, context).every((share) => share === 0) ? found : null
}
