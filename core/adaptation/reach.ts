import { foodAgainstDiet } from '../diet/diets'
import type { Target } from '../diet/target'
import { evaluate } from '../evaluate'
import type { Larder } from '../larder'
import type { Recipe } from '../recipe/document'
import type { Change } from '../swap/applySwap'
import { bindingOf, type Binding } from './binding'
import { closestOf, conflictOf, nearerOf, type Closest } from './conflict'
import { cookOtherwise } from './cookOtherwise'
import { buildModel } from './model'
import { CRAFT, STRENGTH, targetsOf } from './question'
import type { Program, Solution } from './program'
import { furtherThanCooks, lacksAnew } from './further'
import { otherDoughs } from './otherDough'
import { inputOf, reached, type Context, type Cut, type Found, type Reached, type Term } from './reachOnce'
import type { SolveOptions } from './solve'
import type { Wishes } from './wishes'

export interface Search {
  best: Reached | null
  /** When nothing reaches a figure that is asked for: what comes nearest to it. */
  closest: Closest | null
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

/** Another way may take this long. */
const OTHER_MILLISECONDS = 80

/** Other doughs that are offered beside the nearest, and how much farther one may be to be worth it. */
const MOST_OTHER_WAYS = 1
const WORTH_OFFERING = 18

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
  progress(0.35, 'looking at other doughs')
  const doughs = withOtherDoughs(context, [asWritten, otherwiseCooked])
  const [best, ...runnersUp] = [asWritten, otherwiseCooked, ...doughs]
    .filter((one) => one !== null)
    .sort((a, b) => a.tier - b.tier || a.found.reached.distance - b.found.reached.distance)
  if (!best) {
    progress(0.5, 'looking for what contradicts')
    // What cooks would do is no wish of anybody's: it stands in nobody's way.
    const free: Context = { ...context, without: new Set([...context.without, CRAFT]) }
    const conflict = conflictOf(free)
    progress(0.8, 'looking how near it gets')
    let closest = closestOf(free, conflict)
    const cooked = closest && cookedStart(free)
    const starts = [{ context: free, first: [] as readonly First[] }, ...(cooked ? [cooked] : [])]
    if (closest)
      for (const start of starts) {
        const doughs = otherDoughs(start.context).map((dough) => ({
          context: { ...start.context, recipe: dough.recipe, base: dough.base },
          first: [...start.first, dough],
        }))
        for (const { context: own, first } of start === starts[0] ? doughs : [start, ...doughs]) {
          const other = closestOf(own, conflict)
          closest = nearerOf(closest, other && { ...other, reached: reachedBefore(other.reached, first) })
        }
      }
    return {
      best: null,
      closest,
      compromise: '',
      alternatives: [],
      binding: [],
      conflict,
      unmet: unmetOf(context),
    }
  }
  const wanted = options.alternatives ?? 2
  const others: Nearest[] = runnersUp.filter((one) => one.tier === best.tier).slice(0, wanted)
  const cuts: Cut[] = []
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
    others.push({ ...best, found: withBefore(next, best.first) })
    latest = next
  }
  progress(0.75, 'looking at what stands in the way')
  // In the time given, another way may have turned out nearer than the first.
  const [nearestOne, ...alternatives] = [best, ...others].sort(
    (one, other) => one.tier - other.tier || one.found.reached.distance - other.found.reached.distance,
  )
  const { found, context: own, compromise } = nearestOne!
  const binding = bindingOf(own, found)
  progress(1, 'done')
  return {
    best: found.reached,
    closest: null,
    compromise,
    alternatives: alternatives.slice(0, wanted).map((one) => one.found.reached),
    binding,
    conflict: [],
    unmet: unmetOf(own, found.model),
  }
}

/** A change of the whole that a search starts from: another way of cooking, another dough. */
interface First {
  change: Change
  cost: number
  terms: Term[]
}

interface Nearest {
  found: Found
  context: Context
  compromise: string
  /** What had to be let go for it: 0 nothing, then craft, then strength. */
  tier: number
  first: readonly First[]
}

/** What was found, with the changes of the whole that it rests on. */
const withBefore = (found: Found, first: readonly First[]): Found =>
  first.length ? { ...found, reached: reachedBefore(found.reached, first) } : found

const reachedBefore = (own: Reached, first: readonly First[]): Reached => ({
  ...own,
  changes: [...first.map((one) => one.change), ...own.changes],
  distance: own.distance + first.reduce((sum, one) => sum + one.cost, 0),
  terms: [...first.flatMap((one) => one.terms), ...own.terms].sort((a, b) => b.distance - a.distance),
})

/**
 * The nearest with each dough that cooks would make for what is asked. A dough that is farther away by itself than
 * the best found so far is not looked at.
 */
function withOtherDoughs(context: Context, known: readonly (Nearest | null)[]): Nearest[] {
  const found: Nearest[] = []
  const cooked = known[1]
  const starts = [{ context, first: [] as readonly First[] }]
  // Baked instead of fried has a dough of its own.
  if (cooked && cooked.first.length)
    starts.push({ context: { ...cooked.context, without: context.without }, first: cooked.first })
  for (const start of starts) {
    for (const dough of otherDoughs(start.context)) {
      const before = start.first.reduce((sum, one) => sum + one.cost, 0)
      const nearestYet = Math.min(
        Infinity,
        ...[...known, ...found].filter((one) => one?.tier === 0).map((one) => one!.found.reached.distance),
      )
      // One or two that are not much farther are ways of their own.
      const beyond = before + dough.cost - nearestYet
      const enough = found.filter((one) => one.tier === 0).length > MOST_OTHER_WAYS
      if (beyond >= 0 && (enough || beyond > WORTH_OFFERING)) break
      // Another dough is a swap as well.
      const { locks } = start.context.wishes
      if (locks.maxSwaps === 0) break
      const wishes =
        locks.maxSwaps === null
          ? start.context.wishes
          : { ...start.context.wishes, locks: { ...locks, maxSwaps: locks.maxSwaps - 1 } }
      const own: Context = { ...start.context, wishes, recipe: dough.recipe, base: dough.base }
      const tiers = [...known, ...found].map((one) => one?.tier ?? TIERS.length)
      const made = nearest(own, Math.min(TIERS.length, Math.min(...tiers) + 1))
      if (!made) continue
      const first = [...start.first, dough]
      found.push({ ...made, first, found: withBefore(made.found, first) })
    }
  }
  return found
}

/** Said where an answer went beyond what cooks would do in many small things. */
const FURTHER = 'Further than most cooks would go, in its amounts'

/** Better what a cook would not do of herself, or a dough to be handled with care, said plainly, than none. */
const TIERS: readonly (readonly string[])[] = [[], [CRAFT], [STRENGTH], [STRENGTH, CRAFT]]

/** The nearest recipe that reaches what is asked, with a weaker dough where there is no other. */
function nearest(context: Context, tiers = TIERS.length): Nearest | null {
  for (const [tier, names] of TIERS.slice(0, tiers).entries()) {
    const looser = { ...context, without: new Set(names) }
    const other = reached(looser)
    if (!other) continue
    const { evaluation, recipe } = other.reached
    const weaker =
      names.includes(STRENGTH) &&
      (evaluation.abilities.strength ?? 0) < (context.before.abilities.strength ?? 0)
        ? 'The dough is weaker than the one you wrote'
        : ''
    const given = tier
      ? [
          lacksAnew(context.before, evaluation) || weaker,
          furtherThanCooks(context.recipe, recipe, context.larder, (food) =>
            context.wishes.diets.some((diet) => foodAgainstDiet(food, diet).breaks.length > 0),
          ),
        ]
      : []
    return {
      found: other,
      context: looser,
      compromise: given.filter(Boolean).join('; ') || (tier ? FURTHER : ''),
      tier,
      first: [],
    }
  }
  return null
}

/** Another way of cooking beside one percent of the weight moved. Our own choice. */
const COOKING_COST = 12
/** Figures in which the pan's fat counts. */
const LEANER: ReadonlySet<Target['figure']> = new Set(['energyKcal', 'fatG', 'saturatedFatG'])

/** A recipe that a search starts from, and the changes of the whole that made it. */
interface Start {
  context: Context
  first: readonly First[]
}

/** The recipe when it is not fried, where less energy or fat is asked and the pan brings some. */
function cookedStart(context: Context): Start | null {
  const { recipe, larder, wishes } = context
  const leaner = targetsOf(wishes).some(
    ({ target }) => target.comparison === 'at-most' && LEANER.has(target.figure),
  )
  const made = leaner ? cookOtherwise(recipe, context.base, larder.foods) : null
  if (!made || wishes.locks.lineIds.includes(made.change.lineId)) return null
  const base = evaluate(made.recipe, larder, context.before)
  const cost = COOKING_COST * wishes.weights.cooking
  return {
    context: { ...context, recipe: made.recipe, base },
    first: [{ change: made.change, cost, terms: [{ text: 'another way of cooking', distance: cost }] }],
  }
}

/** The nearest recipe when it is not fried. */
function cookedNearest(context: Context, asWritten: Nearest | null): Nearest | null {
  const start = asWritten?.found.reached.distance === 0 ? null : cookedStart(context)
  const cooked = start && nearest(start.context)
  return cooked && { ...cooked, first: start.first, found: withBefore(cooked.found, start.first) }
}

function unmetOf(context: Context, model = buildModel(inputOf(context))): Search['unmet'] {
  return model.lines
    .filter((one) => one.unmet)
    .map((one) => ({
      lineId: one.line.id,
      reason: `Nothing in the catalogue stands in for ${one.food.name}. Leave it out, or choose another`,
    }))
}
