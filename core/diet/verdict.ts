import type { Food } from '../food/food'
import type { Line, Part } from '../recipe/document'
import { against, excludes, type Diet } from './diets'
import { limitOf, measured, sayTarget, unitOf, type Measures } from './target'

export interface Verdict {
  diet: string
  name: string
  fits: boolean
  verdict: 'fits' | 'does not fit' | 'cannot tell'
  /** Each names the line, the figure and the limit. */
  reasons: string[]
  /** Lines whose packet has to be read before one can be sure. */
  toCheck: string[]
  /** Ids of the lines that break it. */
  lineIds: string[]
  source: string
}

/** What is said of a food of which only the packet can tell. */
export const READ_PACKET = 'read the packet'

/** A figure this near its limit is at it: rounding of what is shown, not slack. */
const HELD_TO = 1e-6

/** A line as a diet looks at it: where it stands and what it is, undefined when that is not known. */
export interface JudgedLine {
  part: Part
  line: Line
  food: Food | undefined
}

/**
 * Judges a recipe against one diet.
 *
 * Every line counts wherever it stands, the pan and the dip too, however little of it is eaten. A line whose
 * food is not known leaves the verdict at "cannot tell".
 *
 * @param original figures of the recipe it grew from, for targets that are a share of them; null without one
 * @param incomplete names of lines that are not counted in the figures; a target cannot be told with them
 * @param servingsStated false while the number of servings is a guess: what is asked of a serving cannot be told
 */
export function judge(
  lines: readonly JudgedLine[],
  diet: Diet,
  measures: Measures,
  original: Measures | null,
  incomplete: readonly string[],
  servingsStated = true,
): Verdict {
  const reasons: string[] = []
  const toCheck: string[] = []
  const lineIds: string[] = []
  const unknown: string[] = []
  if (excludes(diet)) {
    const heldAgainst = against(diet)
    for (const { part, line, food } of lines) {
      if (!food?.originKnown) {
        unknown.push(food?.name ?? (line.name || line.raw))
        continue
      }
      const { breaks, may } = heldAgainst(food)
      if (breaks.length) {
        reasons.push(`${food.name} (${part.name || part.kind}) is ${breaks.join(' and ')}`)
        lineIds.push(line.id)
      } else if (may.length) toCheck.push(`${food.name}: ${READ_PACKET}, it may hold ${may.join(' or ')}`)
    }
    if (unknown.length && !reasons.length)
      reasons.push(`It is not known what ${unknown.map((name) => `"${name}"`).join(', ')} is`)
  }
  let missed = false
  for (const target of diet.targets) {
    const value = measured(target, measures)
    const limit = limitOf(target, original)
    if (value === null || limit === null) {
      reasons.push(
        value === null
          ? `${unitOf(target)}: cannot be reckoned here`
          : `${value.toFixed(1)} ${unitOf(target)}; ${sayTarget(target, null)} is asked, and there is no original to hold it against`,
      )
      unknown.push(unitOf(target))
      continue
    }
    if (target.per === 'serving' && !servingsStated) {
      reasons.push(
        `${value.toFixed(1)} ${unitOf(target)}, but the number of servings is a guess; say how many it serves`,
      )
      unknown.push(unitOf(target))
      continue
    }
    const off = target.comparison === 'at-least' ? limit - value : value - limit
    if (off > HELD_TO) missed = true
    reasons.push(
      `${value.toFixed(1)} ${unitOf(target)}, ${target.comparison.replace('-', ' ')} ${limit.toFixed(1)} is asked`,
    )
  }
  if (diet.targets.length && incomplete.length) toCheck.push(`Not counted: ${incomplete.join(', ')}`)
  const broken = lineIds.length > 0 || missed
  const verdict = broken ? 'does not fit' : unknown.length ? 'cannot tell' : 'fits'
  if (verdict === 'fits' && diet.warning) toCheck.push(diet.warning)
  return {
    diet: diet.id,
    name: diet.name,
    fits: verdict === 'fits',
    verdict,
    reasons,
    toCheck,
    lineIds,
    source: diet.source,
  }
}
