import { measured, type Target } from '../diet/target'
import { evaluate } from '../evaluation/evaluate'
import type { ReferenceData } from '../tables/referenceData'
import type { Recipe } from '../recipe/document'
import { CRAFT, STRENGTH } from './question'
import type { SearchOptions } from './search'
import { searchOnce, type Candidate } from './searchOnce'
import type { Wishes } from './wishes'

export interface CurvePoint {
  limit: number
  distance: number
  value: number
  swaps: number
  candidate: Candidate
}

/** Nothing is looked for beyond four times what there is, or 40 of its unit. Our own choice. */
const FURTHEST = { times: 4, atLeast: 40 } as const
/** The end is found to a sixty-fourth of the way. Our own choice. */
const HALVINGS = 6

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
  reference: ReferenceData,
  points = 25,
  options: SearchOptions = {},
): CurvePoint[] {
  const before = evaluate(recipe, reference)
  const from = measured(figure, before.measures)
  if (from === null) return []
  const at = (limit: number): Target => ({ ...figure, limit, ofOriginal: false })
  const searchWithout = (limit: number, without: readonly string[]) =>
    searchOnce({
      recipe,
      reference,
      base: before,
      before,
      options,
      without: new Set(without),
      wishes: { ...wishes, targets: [...wishes.targets, at(limit)] },
    })
  // As the search does: by craft where there is a way, and further where there is none.
  const reach = (limit: number) => searchWithout(limit, [STRENGTH]) ?? searchWithout(limit, [STRENGTH, CRAFT])
  // The furthest end by halving: where nothing reaches it any more.
  const far = figure.comparison === 'at-most' ? 0 : Math.max(from * FURTHEST.times, FURTHEST.atLeast)
  let can = from
  let cannot = far
  for (let n = 0; n < HALVINGS; n++) {
    options.progress?.((0.3 * n) / HALVINGS, 'looking for the end')
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
      distance: made.candidate.distance,
      value: measured(figure, made.candidate.evaluation.measures) ?? limit,
      swaps: made.candidate.changes.filter((change) => change.kind === 'swap').length,
      candidate: made.candidate,
    })
  }
  return found
}
