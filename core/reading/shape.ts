import { SHAPE_ROWS } from '../piece/shapes'
import type { Shape } from '../recipe/vocabulary'

const lastIndex = (text: string, pattern: RegExp) =>
  [...text.matchAll(new RegExp(pattern.source, 'giu'))].reduce(
    (_, match) => match.index + match[0].length,
    -1,
  )

/** The shape that the title, else the method, speaks of; null when neither does. */
export function readShape(title: string, method: string): Shape | null {
  // "Apple strudel parcels" are parcels: the last word of what it is called, before what it comes with.
  const own = title.split(/\s+(?:with|in|from)\s+|\s*[(,:]|\s+-\s+/i)[0]!
  const named =
    SHAPE_ROWS.map(({ shape, called }) => ({ shape, at: lastIndex(own, called) }))
      .filter(({ at }) => at >= 0)
      .sort((a, b) => b.at - a.at)[0] ?? SHAPE_ROWS.find(({ called }) => called.test(title))
  const made = (
    SHAPE_ROWS.find(({ closedBy }) => closedBy.test(method)) ??
    SHAPE_ROWS.find(({ hinted }) => hinted?.test(method))
  )?.shape
  // A flat bread that is filled and folded over is a half-moon.
  if (named?.shape === 'disc' && made === 'half-moon' && /\bfold\b/i.test(method)) return 'half-moon'
  if (named) return named.shape
  if (made) return made
  // One pie has a lid; pies are closed in the hand.
  if (/\bpie\b/i.test(title)) return 'lidded-pie'
  return /\bpies\b/i.test(title) ? 'half-moon' : null
}
