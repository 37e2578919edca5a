import type { CookingWay } from '../recipe/vocabulary'
import type { HeatEvent } from './heatEvents'
import { recalled } from './matches'
import type { Clause } from './method'

// Ways of cooking that are told in another order than they are done, or in several words for one.

export interface HeatStage {
  way: CookingWay
  /** Fried, and nothing tells in how much fat. */
  unclear: boolean
  event: HeatEvent
}

/** "50 min at 180, start at 200 for the first 10": the hotter stage is told behind the whole. */
export function startedHotter(events: HeatEvent[]): void {
  for (const [at, event] of events.entries()) {
    const before = events[at - 1]
    if (before?.way !== 'bake' || event.way !== 'bake' || !STARTS_AT.test(event.text)) continue
    if (!before.minutes || !event.minutes || before.minutes <= event.minutes || event.temperatureC === null)
      continue
    before.minutes -= event.minutes
    events.splice(at - 1, 2, { ...event, fan: event.fan || before.fan }, before)
    return
  }
}
const STARTS_AT = recalled(/\bstart\w*\b[^.;]*\d{3}[^.;]*\bfirst \d/i)
const ADDS_WATER = recalled(
  /^\W*(?:then |now |carefully |quickly )*(?:add|pour(?: in| over)?|splash(?: in)?|tip in|throw in)\b(?![^.;]*\b(?:lid|cover|dough|flour|salted)\b)[^.;]{0,40}\bwater\b[^.;\d]{0,30}[.;]?\W*$/i,
)
const PUTS_LID_ON = recalled(
  /^\W*(?:then |and |immediately |quickly )*(?:cover|lid on|put (?:the |a )?lid on|clamp)\b[^.;]*\d[^.;]*min/i,
)
/** "Add 80 ml water. Cover and cook for 5 min": told in two sentences, it is one thing that is done. */
export function lidOverWater(clauses: readonly Clause[]): readonly Clause[] {
  if (!clauses.some(({ text }, at) => ADDS_WATER.test(text) && PUTS_LID_ON.test(clauses[at + 1]?.text ?? '')))
    return clauses
  return clauses.flatMap((clause, at) => {
    const before = clauses[at - 1]
    const next = clauses[at + 1]
    if (before && ADDS_WATER.test(before.text) && PUTS_LID_ON.test(clause.text)) return []
    if (!next || !ADDS_WATER.test(clause.text) || !PUTS_LID_ON.test(next.text)) return [clause]
    const text = `${clause.text.replace(/[\s.;]+$/, '')}, ${next.text}`
    return [{ ...next, text, about: clause.about ?? next.about }]
  })
}

/** Browned, then water and a lid: one way of its own. */
export function steamedInThePan(stages: HeatStage[]): void {
  const at = stages.findIndex(
    (stage, n) =>
      (stage.way === 'shallow-fry' || stage.way === 'griddle') &&
      stages[n + 1]?.way === 'steam' &&
      /\b(?:water|lid|cover)\b/i.test(stages[n + 1]!.event.text + stage.event.text),
  )
  if (at < 0) return
  const minutes = (stages[at]!.event.minutes ?? 0) + (stages[at + 1]!.event.minutes ?? 0)
  // "… Fry 1 minute more to crisp": the bottoms dry out.
  const crisp = stages[at + 2]
  const isCrisped =
    crisp !== undefined &&
    crisp.event.more &&
    crisp.event.temperatureC === null &&
    (crisp.way === 'shallow-fry' || crisp.way === 'griddle')
  stages.splice(at, isCrisped ? 3 : 2, {
    way: 'brown-and-steam',
    unclear: false,
    event: { ...stages[at]!.event, minutes: minutes + (isCrisped ? (crisp.event.minutes ?? 0) : 0) || null },
  })
}
