import { foodAgainstDiet } from '../diet/diets'
import type { Target } from '../diet/target'
import { evaluate } from '../evaluation/evaluate'
import type { Change } from '../substitution/applySwap'
import { cookOtherwise } from '../method/cookOtherwise'
import { lacksAnew } from '../dough/abilities'
import type { Recipe } from '../recipe/document'
import { furtherThanCooks } from './further'
import { otherDoughs } from './otherDough'
import { CRAFT, STRENGTH, targetsOf } from './question'
import { searchOnce, type Context, type Found, type Candidate, type Term } from './searchOnce'

/** Other doughs that are offered beside the nearest, and how much farther one may be to be worth it. */
const MAX_OTHER_WAYS = 1
const WORTH_OFFERING = 18

/** A change of the whole that a search starts from: another way of cooking, another dough. */
export interface First {
  change: Change
  cost: number
  terms: Term[]
}

export interface Nearest {
  found: Found
  context: Context
  compromise: string
  /** What had to be let go for it: 0 nothing, then craft, then strength. */
  tier: number
  first: readonly First[]
}

/** What was found, with the changes of the whole that it rests on. */
export const withBefore = (found: Found, first: readonly First[]): Found =>
  first.length ? { ...found, candidate: candidateAfter(found.candidate, first) } : found

export const candidateAfter = (own: Candidate, first: readonly First[]): Candidate => ({
  ...own,
  changes: [...first.map((one) => one.change), ...own.changes],
  distance: own.distance + first.reduce((sum, one) => sum + one.cost, 0),
  terms: [...first.flatMap((one) => one.terms), ...own.terms].sort((a, b) => b.distance - a.distance),
})

/**
 * The nearest with each dough that cooks would make for what is asked. A dough that is farther away by itself than
 * the best found so far is not looked at.
 */
export function withOtherDoughs(context: Context, known: readonly (Nearest | null)[]): Nearest[] {
  const found: Nearest[] = []
  // Baked instead of fried has doughs of its own, and may be within reach only with one of them.
  for (const start of startsOf(context)) {
    for (const dough of otherDoughs(start.context)) {
      const before = start.first.reduce((sum, one) => sum + one.cost, 0)
      const nearestYet = Math.min(
        Infinity,
        ...[...known, ...found].filter((one) => one?.tier === 0).map((one) => one!.found.candidate.distance),
      )
      // One or two that are not much farther are ways of their own.
      const beyond = before + dough.cost - nearestYet
      const enough = found.filter((one) => one.tier === 0).length > MAX_OTHER_WAYS
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
export const FURTHER = 'Further than most cooks would go, in its amounts'

/** Better what a cook would not do of herself, or a dough to be handled with care, said plainly, than none. */
const TIERS: readonly (readonly string[])[] = [[], [CRAFT], [STRENGTH], [STRENGTH, CRAFT]]

/** Where a recipe goes further than most cooks would, in words; '' where it does not. */
export const furtherOf = (context: Context, recipe: Recipe): string =>
  furtherThanCooks(context.recipe, recipe, context.reference, (food) =>
    context.wishes.diets.some((diet) => foodAgainstDiet(food, diet).breaks.length > 0),
  )

/** The nearest recipe that reaches what is asked, with a weaker dough where there is no other. */
export function nearest(context: Context, tiers = TIERS.length): Nearest | null {
  for (const [tier, names] of TIERS.slice(0, tiers).entries()) {
    const looser = { ...context, without: new Set(names) }
    const other = searchOnce(looser)
    if (!other) continue
    const { evaluation, recipe } = other.candidate
    // A weak dough can be handled with care; rubber is no dough.
    if (lacksAnew(context.before, evaluation).some(({ code }) => code === 'rubber')) continue
    const weaker =
      names.includes(STRENGTH) &&
      (evaluation.abilities.strength ?? 0) < (context.before.abilities.strength ?? 0)
        ? 'The dough is weaker than the one you wrote'
        : ''
    const given = tier
      ? [
          lacksAnew(context.before, evaluation)
            .map(({ text }) => text)
            .join('; ') || weaker,
          furtherOf(context, recipe),
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
export interface Start {
  context: Context
  first: readonly First[]
}

/** The recipe when it is not fried, where less energy or fat is asked and the pan brings some. */
function cookedStart(context: Context): Start | null {
  const { recipe, reference, wishes } = context
  const leaner = targetsOf(wishes).some(
    ({ target }) => target.comparison === 'at-most' && LEANER.has(target.figure),
  )
  const made = leaner ? cookOtherwise(recipe, context.base, reference.foods) : null
  if (!made || wishes.locks.lineIds.includes(made.change.lineId)) return null
  const base = evaluate(made.recipe, reference, context.before)
  const cost = COOKING_COST * wishes.weights.cooking
  return {
    context: { ...context, recipe: made.recipe, base },
    first: [{ change: made.change, cost, terms: [{ text: 'another way of cooking', distance: cost }] }],
  }
}

/** What a search starts from before any other dough: the recipe as written, and cooked otherwise where that helps. */
export function startsOf(context: Context): Start[] {
  const cooked = cookedStart(context)
  return [{ context, first: [] }, ...(cooked ? [cooked] : [])]
}

/** The nearest recipe when it is not fried. */
export function cookedNearest(context: Context, asWritten: Nearest | null): Nearest | null {
  const start = asWritten?.found.candidate.distance === 0 ? null : cookedStart(context)
  const cooked = start && nearest(start.context)
  return cooked && { ...cooked, first: start.first, found: withBefore(cooked.found, start.first) }
}
