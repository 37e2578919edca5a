import type { Stage } from '../recipe/document'
import type { CookingWay, Heat } from '../recipe/vocabulary'
import { isAside, withoutVents, type Clause } from './method'
import { heatIn, temperatureIn } from './temperature'
import { isHeatLine, middleMinutes, timesIn } from './time'
import { withoutUnitDots } from './tidy'

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

type Seen = CookingWay | 'fry' | 'cook'

/** "Pour boiling water on half the flour". */
const SCALDS =
  /\b(?:boiling|boiled|just[- ]boiled)(?: hot)? (?:water|milk)\b(?=[^.]{0,50}\b(?:flour|dough|starch|atta|maida|masa)\b)|(?<=\b(?:flour|dough|starch|atta|maida|masa)\b[^.]{0,50})\b(?:boiling|boiled|just[- ]boiled)(?: hot)? (?:water|milk)\b/i
/** "Fry nothing", "do not bake yet". */
const NOT_DONE =
  /\b(?:do not|don'?t|never|no need to) (?:pre-?)?(?:fry|bake|boil|steam|cook|brown)\b|\b(?:fry|cook|bake) nothing\b/i
/** Water that boils under a steamer boils no pieces. */
const UNDER_STEAMER = /\b(?:over|above|with) (?:\p{L}+ ){0,2}(?:boiling|simmering) (?:salted )?water\b/iu
const SEEN: readonly [Seen, RegExp][] = [
  [
    'deep-fry',
    /\bdeep[- ]?fr(?:y|ied|ying)\b|\bdeep fryer\b|\bfr(?:y|ied|ying) in (?:deep|plenty of|lots of|hot deep)\b/i,
  ],
  [
    'brown-and-steam',
    /\b(?:fry|brown|flat side|cook (?:for )?\d+ min\w*)\b[^.]{0,90}(?<!boiling |salted )\bwater\b[^.]{0,60}\b(?:lid|cover|steam)/i,
  ],
  ['bake', /\bair[- ]?fr(?:y|ied|ying|yer)\b/i],
  [
    'shallow-fry',
    /\b(?:shallow|pan)[- ]?fr(?:y|ied|ying)\b|\bfr(?:y|ied|ying)\b[^.]{0,30}\b(?:in|with) (?:a )?(?:little|some|a bit of|\d+ ?(?:tbsp|tablespoons|cm|mm))\b|\bin (?:about |\d)[^.]{0,10}cm of (?:hot )?oil\b/i,
  ],
  [
    'griddle',
    /\bdry[- ]?fr(?:y|ied|ying)\b|\b(?:griddled?|griddling|tawa|tava|comal|skillet|dry(?: frying)?[- ]pan|heavy(?:[- ]based)? pan|hot pan|non-?stick pan|cast[- ]iron pan|hotplate|bakestone)\b/i,
  ],
  ['steam', /\bsteam(?:er|ed|ing)?\b/i],
  [
    'boil',
    /\bboil(?:ing|ed)?\b|\bpoach\b|\buntil they (?:float|rise)|\b(?:when|once) they(?:'ve)? (?:float|rise|come|surface)\b|\b(?:till|until) (?:they )?float\b|\bsimmer(?:ing)? (?:salted )?water\b|\b(?:simmer|cook)(?:ed)? (?:them |the \w+ )?in (?:the |hot |simmering |salted )*(?:broth|stock|soup|water)\b|^\W*simmer (?:very )?(?:gently|slowly|them)\b|\bdrop (?:in |into (?:the )?(?:\w+ )?(?:broth|soup|water) )?(?:the )?(?:wontons|dumplings|pelmeni|pierogi|ravioli|tortellini|momos)\b/i,
  ],
  [
    'bake',
    /\b(?:bake|baked|baking(?! (?:powder|soda|paper|parchment|sheet|tray|dish|tin|stone|spread|block))|oven|grill(?:ed)?|broil(?:ed)?|roast(?:ed)? (?:them|the (?:pies|pockets)))\b/i,
  ],
  [
    'fry',
    /\bfr(?:y|ied|ying)\b|\b(?:brown|crisp)(?:ed)? (?:them )?(?:up )?in\b|\bsaut[eé]|\bhot oil\b|\bdrain on (?:kitchen |paper )?(?:paper|towels?)\b/i,
  ],
  ['cook', /\b(?:cook|toast|brown)\b[^.]{0,60}\b(?:sides?|turning|flip|golden|spots|lid|turn)\b/i],
]

/** "2 minutes more": goes on with what went before. */
const TIME_ALONE =
  /^\W*(?:(?:it )?(?:will )?takes? |for |about )*(?:another |a further )?\d[^.]{0,12}min\w*(?: (?:more|longer|or so|until .*))?\W*$/i

interface Event {
  way: Seen
  temperatureC: number | null
  fan: boolean
  minutes: number | null
  perSide: boolean
  heat: Heat | null
  text: string
  airFryer: boolean
  /** "Then raise to 180": the way that went before, at another heat. */
  goesOn: boolean
}

const PREHEATS =
  /\b(?:pre-?heat|heat(?:ed)? (?:the |your |an? )?(?:oven|oil|steamer|air fryer)|(?:turn|switch) (?:on )?the oven)\b/i
const WAITS =
  /\b(?:pre-?heat(?:ed)?|rest|prove|proof|rise|chill|knead|cool|stand|leave|soak|relax|keep aside|freeze)\b[^,]*$/i
const TURNS = /\b(?:turn(?:ed)?|reduce|lower|drop|increase|raise|bring)\b[^.]{0,40}\bto\b/i
const TAKES_OUT =
  /\b(?:remove|take(?:n)?|out) (?:them )?(?:from|out of) (?:the )?(?:oven|oil|steamer|pan)\b|\bto the boil\b(?=[^.]{0,30}(?:stock|sauce|milk|syrup))/i

function eventsIn(clause: Clause, aside = false): Event[] {
  const text = withoutUnitDots(withoutVents(clause.text))
    .replace(UNDER_STEAMER, ' ')
    .replace(NOT_DONE, ' ')
    // Fried onions beside the dish are no second cooking of it.
    .replace(/\b(?:serve|served|serving)\b[^.]{0,30}\bwith\b.*$/i, ' ')
    .replace(/^\W*from frozen\W+/i, '')
    // Water that scalds flour boils no piece.
    .replace(SCALDS, ' ')
    // "200 °C 15 min / air fryer 180 °C 10 min" allows either.
    .replace(/,?\s+but (?:you|one|i) (?:can|could|may) (?:also )?(?:do|bake|fry|steam|cook|make)\b.*$/i, '')
    .replace(/(?<=\d{3}[^.;]{0,30})\s(?:\/|or)\s(?:in (?:an? |the )?)?air[- ]?fryer\b.*$/i, '')
    .replace(/(\d{3})\s*\/\s*(?=\d{1,2}\s*m)/i, '$1, ')
    .replace(/\bfor (?:a|an|the) (?:further|final|last|additional) (?=\d)|\bfor another (?=\d)/gi, 'for ')
    // "200C 18-20": the second pair is minutes.
    .replace(
      /(\d{3}\s*(?:°\s*)?[cf]?(?: fan)?)\s+(?:for )?(\d{1,2}(?:\s*[-–]\s*\d{1,2})?)(?=\W*$)/i,
      '$1 $2 min',
    )
    // "Gas 4 for 25".
    .replace(/\b(gas(?: mark)?\s*\d{1,2}) for (\d{1,2})(?!\d|\s*(?:-|min|m\b|h))/gi, '$1 for $2 min')
  if (TAKES_OUT.test(text) || (!aside && isAside(clause.sentence))) return []
  const found: { way: Seen; index: number; length: number }[] = []
  for (const [way, pattern] of SEEN) {
    // "Cook" beside a way that is named says nothing more.
    if (way === 'cook' && found.length) continue
    const match = pattern.exec(text)
    if (!match) continue
    // One stretch of text is one way: "deep-fry" is no plain "fry".
    if (
      found.some((one) => match.index < one.index + one.length && match.index + match[0].length > one.index)
    )
      continue
    found.push({ way, index: match.index, length: match[0].length })
  }
  // "Then turn down to 180 °C for 20 minutes" goes on baking.
  const goesOn = !found.length && TURNS.test(text) && temperatureIn(text) !== null
  if (goesOn) found.push({ way: 'bake', index: 0, length: 1 })
  // "180 / 25 mins" names no way: heat alone is an oven's.
  // "Proof 45 min, egg wash, 190 °C 12 min": of the times the one beside the heat is meant.
  const pieces = found.length ? [] : text.split(/,\s+/).filter((piece) => isHeatLine(piece))
  const hot = pieces.find((piece) => temperatureIn(piece)) ?? pieces[0]
  if (hot || (!found.length && isHeatLine(text)))
    found.push({ way: 'bake', index: hot ? text.indexOf(hot) : 0, length: 1 })
  // Browned, watered and covered is one way; the pan it is done in is no other.
  const last = found.find((one) => one.way === 'brown-and-steam')
  const otherFirst = found.some(
    (one) => last && one.index < last.index && /\bor\b/i.test(text.slice(one.index, last.index)),
  )
  const browned = otherFirst ? undefined : last
  if (browned) found.splice(0, found.length, { ...browned, index: 0 })
  found.sort((a, b) => a.index - b.index)
  // "Steam 8 minutes, or pan-fry" allows another way; it is no second one.
  const either = found.findIndex((one, at) => at > 0 && /\bor (?:you can )?$/i.test(text.slice(0, one.index)))
  const until = either > 0 ? found[either]!.index : text.length
  if (either > 0) found.splice(either)
  const times = timesIn(text.slice(0, until))
  return found.map((one, at) => {
    const end = found[at + 1]?.index ?? until
    const start = at === 0 ? 0 : one.index
    const stretch = text.slice(start, end)
    const behind = times.filter(
      (time) =>
        time.index >= one.index &&
        time.index < end &&
        !/\bpre-?heat\w* (?:for )?(?:about )?$/i.test(text.slice(0, time.index)),
    )
    // "Prove 40 minutes and bake": a time in front belongs to what stands before it.
    const inFront = times.filter(
      (time) =>
        time.index >= start &&
        time.index < one.index &&
        !WAITS.test(text.slice(Math.max(0, time.index - 40), time.index)),
    )
    const own = behind.length ? behind : inFront
    const temperature = temperatureIn(stretch)
    const twoSides = /\b(?:on )?both sides\b/i.test(stretch)
    const sum = own.length
      ? own
          .slice(0, one.way === 'brown-and-steam' ? 4 : 2)
          .reduce(
            (total, time, n) =>
              total +
              (n === 0 ||
              one.way === 'brown-and-steam' ||
              /\b(?:other|second) side|turn(?! (?:off|down|on)\b)|flip|more|then|\+|\band (?:another |a further )?\d/i.test(
                stretch.slice(own[0]!.index),
              )
                ? middleMinutes(time)
                : 0),
            0,
          )
      : null
    const minutes = sum !== null && twoSides && !own[0]!.perSide && sum <= 6 ? sum * 2 : sum
    return {
      way: one.way,
      temperatureC: temperature?.celsius ?? null,
      fan: temperature?.fan ?? false,
      minutes,
      perSide:
        own.some((time) => time.perSide) ||
        twoSides ||
        /\b(?:each|per|a|other) side|flip|turn over\b/i.test(stretch),
      heat: heatIn(stretch),
      text: stretch,
      airFryer: /air[- ]?fr/i.test(stretch),
      goesOn,
    }
  })
}

/** What is known besides the method. */
export interface HeatContext {
  title: string
  headings: readonly string[]
  /** Grams of fat in a part to fry in, and what its lines say. */
  panFatGrams: number
  panText: string
  clauses: readonly Clause[]
  /** Minutes stated at the head: "Cook 40 min". */
  cookMinutes: number | null
}

/** Oil of this weight and more is a pot to deep-fry in. Common practice, no source. */
const DEEP_POT_GRAMS = 400

/**
 * How the pieces are cooked: the ways that the method names once they are closed, in order, with temperature and
 * time. Two in a row are two: boiled, then fried; hot, then cooler. What cooks a filling does not count.
 */
export function readCooking(context: HeatContext): CookingRead {
  const { clauses } = context
  const events: Event[] = []
  let preheatC: number | null = null
  let preheatFan = false
  let oilC: number | null = null
  const anyClosed = clauses.some((clause) => clause.closed)
  for (const clause of clauses) {
    if (PREHEATS.test(clause.text) && !(clause.about === 'pieces' && /\bbake\b/i.test(clause.text))) {
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
          events.push({
            way: 'fry',
            temperatureC: temperature?.celsius ?? null,
            fan: false,
            minutes: null,
            perSide: false,
            heat: null,
            text: clause.text,
            airFryer: false,
            goesOn: false,
          })
        continue
      }
    }
    if (
      TIME_ALONE.test(clause.text) &&
      events.length &&
      events.at(-1)!.minutes === null &&
      (clause.about === 'pieces' || (clause.about === null && !anyClosed))
    ) {
      const [time] = timesIn(clause.text)
      if (time) events.at(-1)!.minutes = middleMinutes(time)
      continue
    }
    const { about } = clause
    const kind = about === null || about === 'pieces' ? about : about.kind
    if (kind === 'pieces' || (!anyClosed && (kind === null || kind === 'pan' || kind === 'finish')))
      events.push(...eventsIn(clause))
    // A method in one breath: "knead, rest 1h ... boil till they float".
    else if (!anyClosed && kind === 'shell') events.push(...eventsIn(clause))
  }
  if (!events.length) {
    // Nothing speaks of closed pieces: the last clause that cooks anything does.
    const last = clauses
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
  // "From frozen: 200 °C 25 min; fresh 20 min" is all that is said of the heat.
  if (!events.length) {
    const aside = clauses
      .filter(({ sentence }) => isAside(sentence))
      .flatMap((clause) => eventsIn(clause, true))
    const told = aside.find(({ temperatureC, way }) => temperatureC !== null || way !== 'cook')
    if (told) events.push(told)
  }
  // "Medium low heat, 4 min a side lid on": the title says how, and only the time stands in the method.
  const bySide = events.length
    ? undefined
    : clauses.findLast(({ text }) => timesIn(text).some((time) => time.perSide))
  // "Cook on a hot tawa, 2 minutes a side": a plain "cook" says nothing beside a way that is named.
  const named = events.filter((event) => event.way !== 'cook')
  const lead = named.length ? named : events

  const stages: { way: CookingWay; unclear: boolean; event: Event }[] = []
  for (const event of lead) {
    const before = stages.at(-1)
    const { way, unclear } =
      event.goesOn && before
        ? { way: before.way, unclear: false }
        : wayOf(event, context, before?.way ?? null)
    const cooler =
      before &&
      before.way === way &&
      (way === 'bake' || way === 'deep-fry') &&
      event.temperatureC !== null &&
      before.event.temperatureC !== null &&
      event.temperatureC !== before.event.temperatureC
    if (before && before.way === way && !cooler) {
      before.event.temperatureC ??= event.temperatureC
      before.event.fan ||= event.fan
      before.event.minutes ??= event.minutes
      before.event.heat ??= event.heat
      before.event.airFryer ||= event.airFryer
      before.unclear &&= unclear
      continue
    }
    stages.push({ way, unclear, event: { ...event } })
  }
  steamedInThePan(stages)
  const [first, second] = stages
  const fromWords = first ? null : wayByWords(context)
  // "Medium-low with 2 tbsp oil, lid on, 4 min each side" names the pan by what is in it.
  const inPan = bySide
    ? /\b(?:oil|butter|ghee|lard)\b/i.test(bySide.text)
      ? 'shallow-fry'
      : 'griddle'
    : null
  const way = first?.way ?? fromWords ?? inPan
  const hot = way === 'bake' ? preheatC : oilC
  const other =
    /\b(?:or|alternatively,?(?: you can)?) ((?:deep|shallow|air|pan)?[- ]?(?:fry|bake|steam|boil))\b[^.]{0,60}/i.exec(
      clauses.map((clause) => clause.sentence).join(' '),
    )
  return {
    way,
    temperatureC: first?.event.temperatureC ?? hot,
    minutes:
      first?.event.minutes ??
      (bySide ? middleMinutes(timesIn(bySide.text).find((time) => time.perSide)!) : null) ??
      (way === 'bake' || !first ? context.cookMinutes : null),
    heat: first?.event.heat ?? (bySide ? heatIn(bySide.text) : null),
    fan: first?.event.temperatureC != null ? first.event.fan : preheatFan,
    andThen:
      second && second.way !== 'brown-and-steam'
        ? { way: second.way, temperatureC: second.event.temperatureC, minutes: second.event.minutes }
        : null,
    airFryer: stages.some((stage) => stage.event.airFryer) || /\bair[- ]?fr/i.test(context.title),
    otherWay: other?.[0] ?? '',
    fryUnclear: first?.unclear ?? false,
  }
}

/** Browned, then water and a lid: one way of its own. */
function steamedInThePan(stages: { way: CookingWay; unclear: boolean; event: Event }[]): void {
  const at = stages.findIndex(
    (stage, n) =>
      (stage.way === 'shallow-fry' || stage.way === 'griddle') &&
      stages[n + 1]?.way === 'steam' &&
      /\b(?:water|lid|cover)\b/i.test(stages[n + 1]!.event.text + stage.event.text),
  )
  if (at < 0) return
  const minutes = (stages[at]!.event.minutes ?? 0) + (stages[at + 1]!.event.minutes ?? 0)
  stages.splice(at, 2, {
    way: 'brown-and-steam',
    unclear: false,
    event: { ...stages[at]!.event, minutes: minutes || null },
  })
}

function wayOf(
  event: Event,
  context: HeatContext,
  before: CookingWay | null,
): { way: CookingWay; unclear: boolean } {
  const { text } = event
  if (event.way !== 'fry' && event.way !== 'cook') {
    // A skillet with oil in it fries; a dry one griddles.
    if (
      event.way === 'griddle' &&
      /\bfr(?:y|ied)\b/i.test(text) &&
      /\boil\b/i.test(text) &&
      !/\b(?:tawa|tava|griddle|dry)\b/i.test(text)
    )
      return { way: 'shallow-fry', unclear: false }
    return { way: event.way, unclear: false }
  }
  if (event.way === 'cook') return { way: 'griddle', unclear: false }
  const deepWords = /\bdeep\b/i.test(`${context.panText} ${context.headings.join(' ')} ${context.title}`)
  const shallowWords = /\b(?:shallow|pan[- ]?fr)/i.test(`${context.panText} ${context.headings.join(' ')}`)
  if (before === 'boil' || before === 'steam') return { way: 'shallow-fry', unclear: false }
  if (deepWords) return { way: 'deep-fry', unclear: false }
  if (shallowWords) return { way: 'shallow-fry', unclear: false }
  if (context.panFatGrams >= DEEP_POT_GRAMS) return { way: 'deep-fry', unclear: false }
  // "1 tbsp oil for frying" is a film; without its amount "for frying" may be a pot.
  const film = /\bfor frying\b/i.test(context.panText) ? 100 : 250
  if (context.panFatGrams > 0 && context.panFatGrams < film) return { way: 'shallow-fry', unclear: false }
  const inPan = /\b(?:skillet|frying pan|little oil|butter)\b/i.test(text)
  if (!inPan && /\b(?:in (?:medium |very )?hot oil|turning often|float|drop|slide|kadai|wok)\b/i.test(text))
    return { way: 'deep-fry', unclear: false }
  if (event.perSide || inPan) return { way: 'shallow-fry', unclear: false }
  // Whoever takes the oil's temperature has a pot of it.
  if (event.temperatureC !== null) return { way: 'deep-fry', unclear: false }
  if (/\b(?:hot oil|drain|batches|lower)\b/i.test(text)) return { way: 'deep-fry', unclear: false }
  return {
    way: context.panFatGrams > 0 || /\bin oil\b/i.test(text) ? 'deep-fry' : 'shallow-fry',
    unclear: true,
  }
}

function wayByWords({ title, headings, panFatGrams, panText }: HeatContext): CookingWay | null {
  const text = `${title} ${headings.join(' ')} ${panText}`
  if (/\bdeep[- ]?fr/i.test(text)) return 'deep-fry'
  if (/\bair[- ]?fr/i.test(text)) return 'bake'
  if (/\bsteam(?:ed|er|ing)?\b/i.test(text)) return 'steam'
  if (/\bboil(?:ed|ing)?\b/i.test(text)) return 'boil'
  if (/\b(?:griddled?|tawa|skillet)\b/i.test(text)) return 'griddle'
  if (/\bfr(?:y|ied|ying)\b/i.test(text)) return panFatGrams >= DEEP_POT_GRAMS ? 'deep-fry' : 'shallow-fry'
  if (/\bbak(?:e|ed|ing)\b|\boven\b/i.test(text)) return 'bake'
  return null
}

const SPEAKS: Readonly<Record<CookingWay, RegExp>> = {
  'deep-fry': /\bdeep[- ]?fr(?:y|ied|ying)\b/i,
  'brown-and-steam': /\bpot ?stickers?\b|\b(?:fry|brown)\b[^.]*\bwater\b[^.]*\b(?:lid|cover)/i,
  steam: /\bsteam(?:er|ed|ing)?\b(?! (?:escape|out))/i,
  bake: /\b(?:bake|baked|baking (?:sheet|tray)|oven)\b/i,
  'shallow-fry':
    /\b(?:shallow[- ]?fr(?:y|ied|ying)|fry (?:the )?(?:pieces|turnovers|pies|pockets|them|in batches))\b/i,
  griddle: /\b(?:griddle|tawa|skillet|dry (?:frying )?pan|heavy pan|both sides)\b/i,
  boil: /\b(?:boil(?:ed)? (?:the )?(?:dumplings?|pieces|parcels|them)|until they float|they float|salted boiling water)\b/i,
}

/** Whether a sentence speaks of a way of cooking the pieces. */
export const speaksOf = (way: CookingWay, text: string): boolean => SPEAKS[way].test(text)
