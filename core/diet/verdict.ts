import type { Food } from '../food/food'
import type { Line, Part } from '../recipe/document'
import { foodAgainstDiet, type Diet, type DietMetric } from './diets'

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

/** The measured value of each target, or null when it cannot be told. */
export type DietMeasures = Record<DietMetric, number | null>

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
 * @param incomplete names of lines that are not counted in the figures; a target cannot be told with them
 */
export function judge(
  lines: readonly JudgedLine[],
  diet: Diet,
  measures: DietMeasures,
  incomplete: readonly string[],
): Verdict {
  const reasons: string[] = []
  const toCheck: string[] = []
  const lineIds: string[] = []
  const unknown: string[] = []
  const excludes = diet.excludesOrigins.length > 0 || diet.excludesAllergens.length > 0
  if (excludes) {
    for (const { part, line, food } of lines) {
      if (!food?.originKnown) {
        unknown.push(food?.name ?? (line.name || line.raw))
        continue
      }
      const { breaks, may } = foodAgainstDiet(food, diet)
      if (breaks.length) {
        reasons.push(`${food.name} (${part.name || part.kind}) is ${breaks.join(' and ')}`)
        lineIds.push(line.id)
      } else if (may.length) toCheck.push(`${food.name}: read the packet, it may hold ${may.join(' or ')}`)
    }
    if (unknown.length && !reasons.length)
      reasons.push(`It is not known what ${unknown.map((name) => `"${name}"`).join(', ')} is`)
  }
  let missed = false
  if (diet.target) {
    const { metric, comparison, limit, unit } = diet.target
    const value = measures[metric]
    const holds = value !== null && (comparison === 'at-least' ? value >= limit : value <= limit)
    missed = value !== null && !holds
    reasons.push(
      value === null
        ? `${unit} cannot be reckoned here`
        : `${value.toFixed(1)} ${unit}, ${comparison.replace('-', ' ')} ${limit} is asked`,
    )
    if (incomplete.length) toCheck.push(`Not counted: ${incomplete.join(', ')}`)
    if (value === null) unknown.push(unit)
  }
  const broken = lineIds.length > 0 || missed
  const verdict = broken ? 'does not fit' : unknown.length ? 'cannot tell' : 'fits'
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
