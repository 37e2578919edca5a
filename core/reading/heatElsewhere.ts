import { isAside } from './asides'
import { COOLEST_OVEN_C, eventsIn, type HeatEvent } from './heatEvents'
import { recalled } from './matches'
import type { Clause } from './method'
import { temperatureIn } from './temperature'
import { middleMinutes, timesIn } from './time'

// Heat that no clause about the closed pieces tells: a time by itself, an oven with no verb, what is said in passing.

/** "Oven + stone at 250 for 45 min": nothing is in it yet. */
export const WARMS_STONE = recalled(
  /^\W*oven\b[^.;]{0,20}\b(?:stone|steel)\b(?![^.;]*(?:\bbake\b|\b(?:[1-9]|[12]\d)(?:-\d{1,2})? ?m(?:in\w*)?\b))/i,
)

/** "2 minutes more": goes on with what went before. */
export const TIME_ALONE = recalled(
  /^\W*(?:(?:on |at )?(?:an? )?(?:low|medium|high)(?: heat| flame)?,? )?(?:(?:it )?(?:will )?takes? |for |about |(?:cooking |baking |oven )?time\W+)*(?:another |a further )?\d[^.]{0,12}min\w*(?:,? (?:more|longer|or so|each|each side|a side|per side|on each side|in all|(?:(?:per|each) (?!hour\b|day\b)[a-zß-öø-ɏ]+|a (?:batch|lot)|for (?:each|every)(?: [a-zß-öø-ɏ]+)?)|approx\.?|about|total|max))*(?:,? (?:or )?(?:until|till|depending) .*)?\W*$|^\W*(?:for )?\d{1,2} more\W*$|\d ?min\w* (?:in all|altogether|in total|later)\b|\b(?:they|it|these|mine|ours|this|which|that)(?:['’]ll| will| should| usually| only)* (?:take|need|want|took)s? (?:about |around |roughly |a good |me )*\d[^.]{0,12}min/i,
)
/**
 * How the pieces are cooked where nothing that speaks of them says it; nothing where no clause does.
 *
 * @param preheatC the oven's heat that was told ahead, in °C
 */
export function eventsElsewhere(
  clauses: readonly Clause[],
  preheatC: number | null,
  preheatFan: boolean,
): HeatEvent[] {
  const events: HeatEvent[] = []
  if (!events.length) {
    // Nothing speaks of closed pieces: the last clause that cooks anything does.
    const last = clauses
      .filter(({ text }) => !WARMS_STONE.test(text))
      .filter(
        (clause) =>
          clause.about === null ||
          clause.about === 'pieces' ||
          clause === clauses.at(-1) ||
          /\bbake|oven|steamer\b/i.test(clause.text),
      )
      .flatMap((clause) => eventsIn(clause))
    const event = last.at(-1)
    if (event) {
      // "Oven at 220. … Pinch shut. 12 to 15 min.": the time stands by itself at the end.
      const alone = clauses.findLast(({ text }) => TIME_ALONE.test(text))
      const [time] = alone ? timesIn(alone.text) : []
      if (event.minutes === null && time) event.minutes = middleMinutes(time)
      events.push(event)
    }
  }
  // "Oven: 180 °C. Time: 35 min.", "200 °C. 15 min.": an oven and a time, and no verb.
  const timeAlone = events.length
    ? undefined
    : clauses.findLast(({ text, closed }) => closed && TIME_ALONE.test(text))
  const heated = timeAlone ? (preheatC ?? toldByItself(clauses)) : null
  if (heated !== null && timeAlone)
    events.push({
      ...bareEvent('bake', heated, timeAlone.text),
      fan: preheatFan,
      minutes: timesIn(timeAlone.text).map(middleMinutes)[0] ?? null,
    })
  // "From frozen: 200 °C 25 min; fresh 20 min" is all that is said of the heat.
  if (!events.length) {
    const aside = clauses
      .filter(({ sentence }) => isAside(sentence))
      .flatMap((clause) => eventsIn(clause, true))
    const told = aside.find(({ temperatureC, way }) => temperatureC !== null || way !== 'cook')
    // "Bake from frozen 30 minutes; if fresh, 22".
    const fresh = clauses.map(({ text }) => IF_FRESH.exec(text)?.[1]).find(Boolean)
    if (told) events.push(fresh ? { ...told, minutes: Number(fresh) } : told)
  }
  return events
}

const IF_FRESH = recalled(
  /\b(?:fresh|chilled|unfrozen|not frozen|thawed|from the fridge)\b[^.;\d]{0,16}(\d{1,2})(?!\d| ?(?:°|deg|[cf]\b)|(?: ?min\w*)? from frozen)/i,
)

/** A way of cooking of which nothing but its heat is known. */
export const bareEvent = (way: HeatEvent['way'], temperatureC: number | null, text: string): HeatEvent => ({
  way,
  temperatureC,
  text,
  fan: false,
  minutes: null,
  perSide: false,
  heat: null,
  airFryer: false,
  goesOn: false,
  more: false,
})

/** "Bake 20 min, brush, 5 min more. 190.": the heat stands somewhere by itself. In °C. */
export function toldByItself(clauses: readonly Clause[]): number | null {
  const told = clauses.findLast(
    ({ text, about, sentence }) =>
      (about === null || about === 'pieces') &&
      !isAside(sentence) &&
      !NO_OVEN.test(text) &&
      (temperatureIn(text)?.celsius ?? 0) >= COOLEST_OVEN_C,
  )
  return told ? temperatureIn(told.text)!.celsius : null
}
const NO_OVEN = recalled(/\b(?:oil|fat|fryer|syrup|inside|core|probe|internal|wash|soak|milk|water)\b/i)
