import { evaluate, type Evaluation } from '../evaluation/evaluate'
import type { ReferenceData } from '../tables/referenceData'
import type { Recipe } from '../recipe/document'
import type { Diet } from '../diet/diets'
import { bindingOf, type Binding } from './binding'
import { closestOf, conflictOf, nearerOf, type Closest } from './conflict'
import type { Wish } from './limits'
import { buildModel } from './model'
import {
  cookedNearest,
  FURTHER,
  furtherOf,
  nearest,
  candidateAfter,
  startsOf,
  withBefore,
  withOtherDoughs,
  type Nearest,
} from './nearest'
import { CRAFT, keptDiets } from './question'
import type { Program, Solution } from './program'
import { otherDoughs } from './otherDough'
import { inputOf, misses, searchOnce, type Context, type Cut, type Candidate } from './searchOnce'
import { OutOfTime, type SolveOptions } from './solve'
import type { Wishes } from './wishes'

export interface Search {
  best: Candidate | null
  /** When nothing reaches a figure that is asked for: what comes nearest to it. */
  closest: Closest | null
  /** What had to be given up for it, in words; '' for nothing. */
  compromise: string
  alternatives: Candidate[]
  binding: Binding[]
  /** When nothing reaches it: the smallest set of wishes that contradict one another, in words. */
  conflict: string[]
  /** Lines that break a diet and have no stand-in. */
  unmet: { lineId: string; reason: string }[]
}

export interface SearchOptions extends SolveOptions {
  alternatives?: number
  /** The evaluation of the recipe, where it is known already. */
  before?: Evaluation
  /** Called with what is being done, from 0 to 1. */
  progress?: (share: number, doing: string) => void
}

/** Another way may take this long. */
const OTHER_MILLISECONDS = 80

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

/** Whether a dough stays that breaks what is asked, because nothing in the catalogue stands in for it. */
const leavesDough = ({ found }: Nearest): boolean =>
  found.model.lines.some(({ unmet, part }) => unmet && part.kind === 'shell')

/** Whether a diet is lost that the recipe keeps and nobody asked to give up. */
const losesOf =
  (kept: readonly Diet[]) =>
  ({ found }: Nearest): boolean =>
    kept.some(({ id }) => found.candidate.evaluation.diets.some(({ diet, fits }) => diet === id && !fits))

const byNearness = (kept: readonly Diet[]) => {
  const loses = losesOf(kept)
  return (a: Nearest, b: Nearest): number =>
    Number(leavesDough(a)) - Number(leavesDough(b)) ||
    // What keeps every diet comes first, though a cook would go less far without.
    Number(loses(a)) - Number(loses(b)) ||
    a.tier - b.tier ||
    a.found.candidate.distance - b.found.candidate.distance
}

/**
 * Searches for the nearest recipe that keeps the diets and reaches the targets, with dough and pieces as they
 * are; for clearly different ones beside it; for the limits that stand in the way; and, when there is none, for
 * the wishes that contradict one another.
 *
 * @param recipe checked, ids given
 * @throws RecipeProblem as `evaluate`
 * @throws OutOfTime when the time is up before anything was found
 */
export function search(
  recipe: Recipe,
  wishes: Wishes,
  reference: ReferenceData,
  options: SearchOptions = {},
): Search {
  const before = options.before ?? evaluate(recipe, reference)
  const context: Context = { recipe, reference, base: before, before, wishes, options, without: new Set() }
  const nearer = byNearness(keptDiets(context))
  const progress = options.progress ?? (() => undefined)
  progress(0, 'looking for the nearest recipe')
  const asWritten = nearest(context)
  progress(0.25, 'looking at another way of cooking')
  const otherwiseCooked = inTime(() => cookedNearest(context, asWritten), null)
  progress(0.35, 'looking at other doughs')
  // A dough that nothing stands in for is no answer that another would have to beat.
  const answers = [asWritten, otherwiseCooked].map((one) => (one && leavesDough(one) ? null : one))
  const doughs = inTime(() => withOtherDoughs(context, answers), [])
  const [best, ...runnersUp] = [asWritten, otherwiseCooked, ...doughs]
    .filter((one) => one !== null)
    .sort(nearer)
  if (!best) {
    progress(0.5, 'looking for what contradicts')
    // What cooks would do is no wish of anybody's: it stands in nobody's way.
    const free: Context = { ...context, without: new Set([...context.without, CRAFT]) }
    const conflict = inTime(() => conflictOf(free), [NO_TIME])
    progress(0.8, 'looking how near it gets')
    const closest = closestOfAll(free, conflict)
    // What was driven as far as it goes may after all be far enough: the search had no time to find it.
    if (closest && misses(closest.candidate.evaluation, context).every((share) => share === 0))
      return {
        best: { ...closest.candidate, proven: false },
        closest: null,
        compromise: furtherOf(context, closest.candidate.recipe) || FURTHER,
        alternatives: [],
        binding: [],
        conflict: [],
        unmet: unmetOf(context),
      }
    return {
      best: null,
      closest,
      compromise: '',
      alternatives: [],
      binding: [],
      conflict: conflict.map((wish) => wish.text),
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
    const next = inTime(
      () =>
        searchOnce(
          { ...best.context, options: { ...options, timeoutMilliseconds: OTHER_MILLISECONDS } },
          cuts,
        ),
      null,
    )
    if (!next) break
    others.push({ ...best, found: withBefore(next, best.first) })
    latest = next
  }
  progress(0.75, 'looking at what stands in the way')
  // In the time given, another way may have turned out nearer than the first.
  const [nearestOne, ...alternatives] = [best, ...others].sort(nearer)
  const { found, context: own, compromise } = nearestOne!
  const binding = inTime(() => bindingOf(own, found), [])
  progress(1, 'done')
  return {
    best: found.candidate,
    closest: null,
    compromise,
    alternatives: alternatives.slice(0, wanted).map((one) => one.found.candidate),
    binding,
    conflict: [],
    unmet: unmetOf(own, found.model),
  }
}

/** What is said when there was no time to find out what contradicts what. */
const NO_TIME: Wish = {
  key: 'time',
  name: 'time',
  kind: 'lock',
  text: 'Nothing was found in the time given; ask for less at once',
}

/** What a part of the search finds, or what there is without it when its time is up. */
function inTime<T>(look: () => T, without: T): T {
  try {
    return look()
  } catch (error) {
    if (error instanceof OutOfTime) return without
    throw error
  }
}

/** What comes nearest to a figure that nothing reaches, whatever the search starts from. */
function closestOfAll(free: Context, conflict: readonly Wish[]): Closest | null {
  let closest = inTime(() => closestOf(free, conflict), null)
  for (const start of closest ? startsOf(free) : []) {
    const doughs = otherDoughs(start.context).map((dough) => ({
      context: { ...start.context, recipe: dough.recipe, base: dough.base },
      first: [...start.first, dough],
    }))
    // As it was written it has been looked at already.
    for (const { context: own, first } of start.first.length ? [start, ...doughs] : doughs) {
      const other = inTime(() => closestOf(own, conflict), null)
      closest = nearerOf(closest, other && { ...other, candidate: candidateAfter(other.candidate, first) })
    }
  }
  return closest
}

function unmetOf(context: Context, model = buildModel(inputOf(context))): Search['unmet'] {
  return model.lines
    .filter((one) => one.unmet)
    .map((one) => ({
      lineId: one.line.id,
      reason: `Nothing in the catalogue stands in for ${one.food.name}. Leave it out, or choose another`,
    }))
}
