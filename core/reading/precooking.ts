import { foodIs } from '../food/groups'
import type { PrecookingWay } from '../recipe/precookingWays'
import { MAX_MINUTES, type LinePrecooking } from '../recipe/vocabulary'
import { isFat, type Draft } from './drafts'
import { followPot } from './followPot'
import type { Pot } from './pot'
import type { Clause } from './method'
import type { ReadIngredient } from './readIngredient'

/** How a part is cooked before it goes in, and which of its lines otherwise. */
export interface PrecookingRead {
  cookedBy: PrecookingWay | null
  minutes: number | null
  untilDry: boolean
  byLine: Map<ReadIngredient, LinePrecooking>
}

/** A filling of which this much of its weight is in the pot is cooked as a whole. */
const WHOLE_SHARE = 0.6

/** "1 tbsp cornflour mixed with 2 tbsp water": the water goes where its starch does. */
function stirIntoStarch({ lines }: Draft, { ways, raw }: Pot): void {
  lines.forEach(({ food }, at) => {
    const way = ways.get(at - 1)
    if (
      food?.id === 'water' &&
      lines[at - 1]?.food?.group === 'starch' &&
      way &&
      !raw.has(at) &&
      !ways.has(at)
    )
      ways.set(at, way)
  })
}

/**
 * How a part is cooked before it goes in: the sentences that speak of it while its pot is hot, which of its lines
 * are in it, and for how long. A line that is stirred in when the pot has cooled stays raw; boiling water for the
 * pieces cooks no filling.
 *
 * @param draft the part, with its lines
 * @param clauses the method's clauses
 */
export function readPrecooking(draft: Draft, clauses: readonly Clause[]): PrecookingRead {
  const { pot, untilDry } = followPot(draft, clauses)
  const byLine = new Map<ReadIngredient, LinePrecooking>()
  if (!pot.ways.size) return { cookedBy: null, minutes: null, untilDry: false, byLine }
  stirIntoStarch(draft, pot)
  const weight = (at: number) => Math.max(draft.lines[at]!.line.grams ?? 5, 1)
  const sum = (lines: Iterable<number>) => [...lines].reduce((total, at) => total + weight(at), 0)
  const gramsBy = new Map<PrecookingWay, number>()
  for (const [at, way] of pot.ways) gramsBy.set(way, (gramsBy.get(way) ?? 0) + weight(at))
  const [main] = [...gramsBy].sort((a, b) => b[1] - a[1])[0]!
  const stirredIn = [...pot.raw].filter((at) => !pot.ways.has(at))
  const cooked = sum(pot.ways.keys())
  const whole = cooked / (cooked + sum(stirredIn)) >= WHOLE_SHARE
  const minutesOf = (way: PrecookingWay) => pot.minutesOf(way, weight)
  const all = pot.timed.reduce((total, way) => total + minutesOf(way), 0)
  // … but the minutes of lentils that were boiled apart are not those of what is fried.
  const ways = new Set(pot.ways.values())
  const ofNobody = pot.timed.reduce((total, way) => total + (ways.has(way) ? 0 : minutesOf(way)), 0)
  const spent = minutesOf(main) || ofNobody || (main === 'fry' ? pot.braisedDryMinutes : 0)
  const minutes = whole ? spent : all
  draft.lines.forEach((item, at) => {
    const way = pot.ways.get(at)
    // Cheese that nobody puts into the pot is stirred in afterwards, and what every piece gets is laid on its filling.
    const isLaid = item.line.notes.some(({ code }) => code === 'per-piece')
    const isLeft = pot.raw.has(at) || isLaid || foodIs(item.food, 'cheese')
    if (whole && !way && isLeft && !isFat(item.food)) byLine.set(item, 'raw')
    else if (way && (!whole || way !== main)) byLine.set(item, way)
  })
  return {
    cookedBy: whole ? main : null,
    minutes: Math.min(Math.round(minutes), MAX_MINUTES) || null,
    untilDry,
    byLine,
  }
}
