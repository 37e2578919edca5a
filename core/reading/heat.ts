import type { Stage } from '../recipe/document'
import type { CookingWay, Heat } from '../recipe/vocabulary'
import { bareEvent, eventsElsewhere, TIME_ALONE, toldByItself, WARMS_STONE } from './heatElsewhere'
import { SCALDS, type Clause } from './method'
import {
  AFTER_SO_LONG,
  ANOTHER_WAY,
  BOILS_LIQUID,
  COOKS_ON,
  COOKS_PIECES,
  DONE_AFTER,
  GIVES_MORE,
  HALF_COOKED,
  HEATS_OIL,
  LOWERS,
  OIL_AT,
  ONCE_IN,
  OR_BEHIND,
  OTHER_OVEN,
  PREHEATS,
  TOTAL,
  TURNED,
  TIME_AT_HEAT,
  TURNS_FIRST,
  WAITING,
  WAY_LABEL,
} from './heatWords'
import { eventsIn, IF_LIKED, MORE_TIME, OTHER_SHELF, type HeatEvent } from './heatEvents'
import { lidOverWater, startedHotter, steamedInThePan, type HeatStage } from './heatStages'
import { wayByWords, wayOf, type HeatContext } from './heatWays'
import { heatIn, temperatureIn } from './temperature'
import { isHeatLine, middleMinutes, timesIn } from './time'

/** How the pieces are cooked, as far as the text says. */
export interface CookingRead {
  way: CookingWay | null
  temperatureC: number | null
  minutes: number | null
  heat: Heat | null
  fan: boolean
  andThen: Stage | null
  airFryer: boolean
  /** Another way that the text allows; '' when it does not. */
  otherWay: string
  /** "Fry" and nothing to tell in how much fat. */
  fryUnclear: boolean
}

/** "Heat 2 tbsp oil in a pan over medium-low": how hot what the pieces go into was made. */
const heatOfPan = (clauses: readonly Clause[]): Heat | null =>
  clauses.flatMap(({ text, closed }) => (closed && HEATS_OIL.test(text) ? (heatIn(text) ?? []) : [])).at(0) ??
  null

/**
 * How the pieces are cooked: the ways that the method names once they are closed, in order, with temperature and
 * time. Two in a row are two: boiled, then fried; hot, then cooler. What cooks a filling does not count.
 */
export function readCooking(context: HeatContext): CookingRead {
  const clauses = lidOverWater(context.clauses)
  const events: HeatEvent[] = []
  let preheatC: number | null = null
  let preheatFan = false
  let oilC: number | null = null
  const anyClosed = clauses.some((clause) => clause.closed)
  /** The sentence that last spoke of heat for the pieces. */
  let lastHeated: string | null = null
  let lastStep = -1
  let otherOven: string | null = null
  let labelled: { way: string; step: number; isOther: boolean } | null = null
  for (const [at, stated] of clauses.entries()) {
    let clause = stated
    const before = clauses[at - 1]?.text ?? ''
    // "Oven 200 °C 20 min. (Air fryer: 325, 12 mins)": another way to do the same.
    if (
      OTHER_OVEN.test(clause.text) &&
      events.some(({ way, minutes }) => way === 'bake' && minutes !== null)
    ) {
      otherOven ??= clause.text.replace(/^\W+|\W+$/g, '')
      continue
    }
    // "To steam: … To pan fry: …": what is told under the second label is another way.
    const label = WAY_LABEL.exec(clause.text)?.[1]!.toLowerCase()
    if (label) {
      const isOther: boolean = labelled !== null && labelled.way !== label && labelled.way !== 'boil'
      labelled = { way: label, step: clause.step, isOther }
      if (isOther) otherOven ??= clause.text.replace(/^\W+|\W+$/g, '')
    }
    if (labelled?.isOther && labelled.step === clause.step) continue
    const oil = OIL_AT.test(clause.text) ? temperatureIn(clause.text) : null
    if (oil) oilC ??= oil.celsius
    if (
      (PREHEATS.test(clause.text) || WARMS_STONE.test(clause.text)) &&
      !(clause.about === 'pieces' && /\bbake\b/i.test(clause.text))
    ) {
      const temperature = temperatureIn(clause.text)
      if (
        temperature &&
        (/oven|air fryer|grill/i.test(clause.text) || !/\b(?:oil|fryer|fat|pan|steamer)\b/i.test(clause.text))
      ) {
        preheatC ??= temperature.celsius
        preheatFan ||= temperature.fan
      } else if (temperature) oilC ??= temperature.celsius
      if (!/\b(?:bake|fry|steam|cook|drop|lower)\b/i.test(clause.text.replace(PREHEATS, ''))) {
        if (
          /\boil\b/i.test(clause.text) &&
          clause.about === 'pieces' &&
          /\b(?:deep|for frying|wok|kadai|enough oil|cm of oil)\b/i.test(clause.text)
        )
          events.push(bareEvent('fry', temperature?.celsius ?? null, clause.text))
        continue
      }
    }
    if (
      (TIME_ALONE.test(clause.text) || COOKS_ON.test(clause.text)) &&
      events.length &&
      events.at(-1)!.minutes === null &&
      (clause.about === 'pieces' || (clause.about === null && !anyClosed))
    ) {
      const [time] = timesIn(clause.text)
      if (time) events.at(-1)!.minutes = middleMinutes(time)
      continue
    }
    const soFar = events.at(-1)
    // "… till they float, then 2 more minutes, about 5 in total": the whole is told.
    const total = clause.about === 'pieces' ? TOTAL.exec(clause.text)?.[1] : undefined
    if (soFar && total && !eventsIn(clause).length) {
      soFar.minutes = timesIn(`${total} min`).map(middleMinutes)[0] ?? soFar.minutes
      continue
    }
    // "Then brush with ghee and give another minute each side".
    const isOfPieces = clause.about === 'pieces' || (clause.about === null && clause.sentence === lastHeated)
    const more =
      isOfPieces && GIVES_MORE.test(clause.text) && !WAITING.test(clause.text)
        ? timesIn(clause.text).at(-1)
        : undefined
    // "Simmer until they float; give them another 2 minutes": of the floating no time is told.
    const isTimed = soFar && (soFar.minutes || soFar.way === 'boil')
    if (more && isTimed && temperatureIn(clause.text) === null && !eventsIn(clause).length) {
      soFar.minutes = (soFar.minutes ?? 0) + middleMinutes(more)
      continue
    }
    // "8 minutes on the bottom rack, then 4 on the top rack at 230 °C": the same bake goes on.
    const [onShelf] = isOfPieces && OTHER_SHELF.test(clause.text) ? timesIn(clause.text) : []
    if (onShelf && soFar?.way === 'bake' && soFar.minutes && !eventsIn(clause).length) {
      soFar.minutes += middleMinutes(onShelf)
      soFar.temperatureC ??= temperatureIn(clause.text)?.celsius ?? null
      continue
    }
    // "Cook, flip and cook the other side. 2 minutes a side": what is said of each side is the whole.
    const eachSide =
      TIME_ALONE.test(clause.text) && clause.about === 'pieces' && events.at(-1)?.minutes
        ? timesIn(clause.text).find(({ perSide }) => perSide)
        : undefined
    if (eachSide) {
      events.at(-1)!.minutes = Math.max(events.at(-1)!.minutes!, middleMinutes(eachSide))
      continue
    }
    if (
      TIME_ALONE.test(clause.text) &&
      clause.about === 'pieces' &&
      events.at(-1)?.minutes &&
      temperatureIn(clause.text) === null &&
      (MORE_TIME.test(clause.text) || clause.sentence === lastHeated || TURNED.test(before))
    ) {
      const [time] = timesIn(clause.text)
      if (time) events.at(-1)!.minutes! += middleMinutes(time)
      continue
    }
    // "… bring back to the boil. They're done after about 7 minutes."
    const doneAfter =
      soFar?.minutes === null && DONE_AFTER.test(clause.text) ? timesIn(clause.text)[0] : undefined
    if (soFar && doneAfter && !eventsIn(clause).length) {
      soFar.minutes = middleMinutes(doneAfter)
      continue
    }
    const soLong = AFTER_SO_LONG.exec(clause.text)
    const lastEvent = events.at(-1)
    if (soLong && lastEvent) {
      const [time] = timesIn(soLong[1]!)
      if (time) lastEvent.minutes ??= middleMinutes(time)
      clause = { ...clause, text: clause.text.slice(soLong[0].length) }
    }
    if (ONCE_IN.test(clause.text) && /\b(?:turn|reduce|lower|drop|set)\b/i.test(clause.text)) {
      const temperature = temperatureIn(
        clause.text.slice(clause.text.search(/\b(?:turn|reduce|lower|drop)\b/i)),
      )
      if (temperature) preheatC = temperature.celsius
      if (temperature && lastEvent?.way === 'bake' && lastEvent.minutes === null)
        lastEvent.temperatureC = temperature.celsius
      continue
    }
    // The skins of samosas see the griddle for some seconds before they are filled.
    if (anyClosed && !clause.closed && HALF_COOKED.test(clause.text)) continue
    const { about } = clause
    const kind = about === null || about === 'pieces' ? about : about.kind
    // "Griddle 5 min a side, then oven 180 °C 10 min": the sentence goes on with what it began with.
    const goesOn =
      kind === null &&
      ((clause.sentence === lastHeated &&
        isHeatLine(clause.text.replace(/^\W*(?:in (?:the )?)?oven\W*/i, ''))) ||
        // "Cook in a skillet, 5 minutes a side. Then bake at 180 °C for 15 min."
        ((clause.sentence === lastHeated || clause.step === lastStep) &&
          /^\W*(?:bake|finish|grill|steam|(?:in|into|to) (?:the |an? )?(?:hot )?oven)\b[^.]*\d/i.test(
            clause.text,
          )))
    // "Steam 6 min over water (…) or / boil 4 min": either will do.
    if (
      OR_BEHIND.test(before) &&
      clause.sentence === clauses[at - 1]!.sentence &&
      events.length > 0 &&
      eventsIn(clause).length > 0
    ) {
      otherOven ??= clause.text.replace(/^\W+|\W+$/g, '')
      continue
    }
    const had = events.length
    if (kind === 'pieces' || goesOn || (!anyClosed && (kind === null || kind === 'pan' || kind === 'finish')))
      events.push(...eventsIn(clause))
    // A method in one breath: "knead, rest 1h ... boil till they float".
    else if (!anyClosed && kind === 'shell' && !SCALDS.test(clause.text)) events.push(...eventsIn(clause))
    // "Bring the broth to a boil. Cook the pelmeni 5 minutes."
    const [inBroth] =
      events.length === had &&
      BOILS_LIQUID.test(before) &&
      COOKS_PIECES.test(clause.text) &&
      (kind === 'pieces' || (kind === null && !anyClosed))
        ? timesIn(clause.text)
        : []
    if (inBroth) events.push({ ...bareEvent('boil', null, clause.text), minutes: middleMinutes(inBroth) })
    if (events.length > had && TURNS_FIRST.test(clause.text) && events[had]!.way === soFar?.way)
      events[had]!.more = true
    if (events.length > had) {
      lastHeated = clause.sentence
      lastStep = clause.step
    }
  }
  startedHotter(events)
  if (!events.length) events.push(...eventsElsewhere(clauses, preheatC, preheatFan))
  if (!events.length) events.push(...inBarePan(clauses))
  // "Medium low heat, 4 min a side lid on": the title says how, and only the time stands in the method.
  // "Dry fry, then a bit of oil, 3 minutes each side": the time stands with the oil.
  const inPanUntimed = events.every(
    ({ way, minutes }) => /^(?:griddle|(?:shallow-|deep-)?fry|cook)$/.test(way) && minutes === null,
  )
  const bySide = inPanUntimed
    ? clauses.findLast(
        ({ text, closed }) => (closed || !events.length) && timesIn(text).some((time) => time.perSide),
      )
    : undefined
  // "Cook until browned. Add water, cover": before the water it is a frying.
  for (const [at, event] of events.entries())
    if (
      event.way === 'cook' &&
      /\b(?:brown|toast|crisp)/i.test(event.text) &&
      /\bwater\b/i.test(events[at + 1]?.text ?? '')
    )
      event.way = 'fry'
  // "Cook on a hot tawa, 2 minutes a side": a plain "cook" says nothing beside a way that is named.
  const named = events.filter((event) => event.way !== 'cook')
  const lead = named.length ? named : events
  // "Heat a finger of oil. … Cook 1 min, flip, 2 more": the way is named first, and its minutes behind.
  const timed = events.find((event) => event.way === 'cook' && event.minutes !== null)
  const ahead = timed && named.findLast((event) => events.indexOf(event) < events.indexOf(timed))
  const isBehind = ahead && timed && events.indexOf(timed) === events.indexOf(ahead) + 1
  if (ahead && ahead.minutes === null && (isBehind || named.every(({ minutes }) => minutes === null)))
    ahead.minutes = timed.minutes

  const stages: HeatStage[] = []
  for (const event of lead) {
    const before = stages.at(-1)
    // "Heat an inch of oil to 350. Fry in batches, 2 minutes a side": it is the oil that has just been heated.
    const isHotter = before?.way === 'deep-fry' && TIME_AT_HEAT.test(event.text)
    const sameOil =
      event.way === 'fry' &&
      /^(?:shallow|deep)-fry$/.test(before?.way ?? '') &&
      event.temperatureC === null &&
      (before!.event.minutes === null || event.minutes === null) &&
      !/\b(?:again|second|twice)\b/i.test(event.text)
    const { way, unclear } =
      (event.goesOn || sameOil || isHotter) && before
        ? { way: before.way, unclear: false }
        : // "Oil at 175 °C. Fry 3 minutes": the heat of the oil was told ahead.
          wayOf(
            event.way === 'fry' ? { ...event, temperatureC: event.temperatureC ?? oilC } : event,
            context,
            before?.way ?? null,
          )
    // "Oven at 200. Bake 20 min, then reduce to 170 for 25": the first is as hot as the oven was made.
    if (
      before?.way === 'bake' &&
      (event.goesOn || LOWERS.test(event.text)) &&
      before.event.temperatureC === null &&
      before.event.minutes
    )
      before.event.temperatureC = preheatC
    const cooler =
      before &&
      before.way === way &&
      (way === 'bake' || way === 'deep-fry') &&
      event.temperatureC !== null &&
      before.event.temperatureC !== null &&
      event.temperatureC !== before.event.temperatureC
    // "Heat 1 tbsp oil in a large skillet. Fry each 2-3 minutes": the skillet is what they are fried in.
    const isItsPan =
      before?.way === 'griddle' &&
      way === 'shallow-fry' &&
      before.event.minutes === null &&
      HEATS_OIL.test(before.event.text)
    if (isItsPan) before.way = way
    if (before && before.way === way && !cooler) {
      before.event.temperatureC ??= event.temperatureC
      before.event.fan ||= event.fan
      if (before.event.minutes && event.minutes && event.more) before.event.minutes += event.minutes
      before.event.minutes ??= event.minutes
      before.event.heat ??= event.heat
      before.event.airFryer ||= event.airFryer
      before.unclear &&= unclear
      continue
    }
    stages.push({ way, unclear, event: { ...event } })
  }
  steamedInThePan(stages)
  // "Pan-fry version: fry the bottoms, add water, cover", "heat oil in a skillet. Cook until browned, add water":
  // the label and the skillet name what is told behind them.
  if (
    stages[1]?.way === 'brown-and-steam' &&
    stages[0]!.event.minutes === null &&
    /^(?:shallow-fry|griddle)$/.test(stages[0]!.way)
  )
    stages.shift()
  const [first, second] = stages
  const fromWords = first ? null : wayByWords(context)
  // "Cook 3 minutes", of ravioli.
  const cooked =
    fromWords === 'boil'
      ? clauses.findLast(({ text, closed }) => closed && COOKS_PIECES.test(text) && timesIn(text).length > 0)
      : undefined
  // "Medium-low with 2 tbsp oil, lid on, 4 min each side" names the pan by what is in it.
  const inPan = bySide
    ? /\b(?:oil|butter|ghee|lard)\b/i.test(bySide.text)
      ? 'shallow-fry'
      : 'griddle'
    : null
  const way = first?.way ?? fromWords ?? inPan
  const hot = way === 'bake' ? preheatC : oilC
  const other = clauses.map(({ sentence }) => ANOTHER_WAY.exec(sentence)).find(Boolean)
  return {
    way,
    temperatureC: first?.event.temperatureC ?? hot ?? (way === 'bake' ? toldByItself(clauses) : null),
    minutes:
      whole(first?.event.minutes) ??
      (bySide ? middleMinutes(timesIn(bySide.text).find((time) => time.perSide)!) : null) ??
      (cooked ? middleMinutes(timesIn(cooked.text)[0]!) : null) ??
      (way === 'bake' || !first ? context.cookMinutes : null),
    heat:
      first?.event.heat ??
      (bySide ? heatIn(bySide.text) : null) ??
      (way === 'bake' ? null : heatOfPan(clauses)),
    fan: first?.event.temperatureC != null ? first.event.fan : preheatFan,
    andThen:
      second && second.way !== 'brown-and-steam'
        ? { way: second.way, temperatureC: second.event.temperatureC, minutes: whole(second.event.minutes) }
        : null,
    airFryer: stages.some((stage) => stage.event.airFryer) || /\bair[- ]?fr/i.test(context.title),
    otherWay:
      other?.[0].replace(/^\W+/, '') ??
      otherOven ??
      clauses.map(({ text }) => IF_LIKED.exec(text)?.slice(1).find(Boolean)?.trim()).find(Boolean) ??
      '',
    fryUnclear: first?.unclear ?? false,
  }
}

const BARE_PAN =
  /^\W*(?:(?:hot|dry|frying|non-?stick|cast[- ]iron|heavy) )*(?:pan|skillet)\b(?! (?:with|of)\b)[^.;]*\d ?min/i
/** "Pan med-high, lid on, 2-3 min, flip 2 min": no word of what is done, and the pan says it. */
function inBarePan(clauses: readonly Clause[]): HeatEvent[] {
  const told = clauses.findLast(({ text, closed }) => closed && BARE_PAN.test(text))
  if (!told) return []
  const minutes = timesIn(told.text).reduce((sum, time) => sum + (middleMinutes(time) ?? 0), 0)
  const way = /\b(?:oil|butter|ghee|lard)\b/i.test(told.text) ? 'shallow-fry' : 'griddle'
  return [{ ...bareEvent(way, null, told.text), minutes: minutes || null }]
}

/** Sums of ranges are rounded once. */
const whole = (minutes: number | null | undefined): number | null =>
  minutes == null ? null : Math.round(minutes) || null
