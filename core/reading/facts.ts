import type { Fact } from '../recipe/document'
import type { FactKind } from '../recipe/vocabulary'
import type { Draft } from './drafts'
import type { Clause } from './method'
import type { Outline } from './outlineState'
import { lastMatch } from './matches'
import { limit } from './readIngredient'
import { readNumber, DIGIT_NUMBER } from './readNumber'
import { remember } from './remember'
import { PIECES } from './servings'
import { sizesSaid } from './sizes'
import { isHeatLine, timesIn } from './time'

/** A fact before its part has an id. */
export type FoundFact = Omit<Fact, 'partId'> & { part: Draft | null }

const NUM = String.raw`(${DIGIT_NUMBER}(?:\s*(?:-|–|to|or)\s*${DIGIT_NUMBER})?)`
const BATCH = new RegExp(
  String.raw`(?:${NUM}\s*(?:${PIECES}\s+)?(?:at (?:a|one) (?:time|go)|per batch|in (?:a|one|each) (?:batch|go))|batches of ${NUM})`,
  'i',
)
/** What is done to no filling: in such a clause a ball is of dough. */
const WORKS_DOUGH =
  /\b(?:dough|flatten|press|fill|knock back|roll(?! (?:it |them )?(?:in)?to (?:about )?(?:\d{1,3} )?(?:(?:small|little|even|equal|neat) )*balls\b)(?! (?:the |your |this )?(?!dough|pastry)[a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+){0,2} (?:in)?to ))\b/i
const FREEZES = /\bfree(?:ze|zes|zing)\b|\b(?:can|may|could) be frozen\b/i
/** "Freeze for 20 minutes before baking": work. */
const FREEZES_SO_LONG = /\bfreeze\b[^.;]{0,20}\d[^.;]{0,8}min/i

const BY_WORD: readonly [FactKind, RegExp][] = [
  ['soak-minutes', /\bsoak/i],
  [
    'knead-minutes',
    /\bknead|\bwork (?:the dough|it)\b(?! in)|\bstand mixer\b|\bin (?:the|a) mixer(?= (?:for )?$)|\bdough hook\b/i,
  ],
  [
    'rise-minutes',
    /\b(?:rise|rises|risen|proved|proofed|raise(?! (?:the )?(?:heat|flame|temp\w*|oven))|prove|proof|double(?! ?-?boil)|doubled|ferment|bulk|folds? over)\b/i,
  ],
  [
    'chill-minutes',
    /\b(?:chill|fridge|refrigerat\w*|freezer|freeze(?=(?: (?:for|about|around|them|it|the \w+))*\W*$))\b/i,
  ],
  [
    'rest-before-eating-minutes',
    /\b(?:before (?:serving|eating|slicing|cutting|biting)|let them stand|cool (?:slightly|a little|for))\b/i,
  ],
  ['cool-minutes', /\bcool\b(?! enough)/i],
  [
    'rest-minutes',
    /\b(?:(?<!\b(?:in|with|of|add|adding)(?: the)? |\bto the )rest(?:s|ed|ing)?|relax|autolyse|autolyze|stand(?! mixer)|(?:let (?:it |them |the [a-zß-öø-ɏ]+ )?)(?:sit|lie)|wrap(?! (?:around|round|each|up))|keep|leave|wait|(?<!\b(?:leave|keep) (?:the )?)lid on(?=(?: for| about)* $)|(?:^|(?<=[,.;] ?))(?:then |and )?(?:take |bring |get )?(?:it |them |the [a-zß-öø-ɏ]+ )?out(?: of the fridge)?(?=(?: for| about)* $)|warm up|come (?:up |back )?to (?:room )?temp\w*|marinat(?:e|es|ed|ing)|salt (?:the|them|it)\b|(?<=^\W*|[,.;] ?|\band )salt (?!and\b|for\b|water\b)[a-zß-öø-ɏ]+(?= $)|(?:set|put|keep) (?:(?:it|this|the [a-zß-öø-ɏ]+) )?aside|cover)\b/i,
  ],
]

/** The work that a time belongs to: the word nearest before it, or else the next behind it. */
function nearestKind(text: string, at: number): FactKind | null {
  if (/\bbefore (?:serving|eating|slicing|cutting|biting)\b/i.test(text.slice(at, at + 40)))
    return 'rest-before-eating-minutes'
  // "1 hr rest", "40 min proof": the word right behind the time.
  const noun =
    /^(?:\d[^\s]*|an?|one|half an?)(?:\s*(?:-|–|to)\s*\d+)?\s*(?:m|mins?|minutes?|h|hrs?|hours?)\s+(?:to |of )?(rest(?:ing)?|rise|proof|prove|chill|soak)\b(?!\s+(?:for )?(?:about )?(?:\d|an? hour|half|overnight))/i.exec(
      text.slice(at, at + 40),
    )
  // "Knead, wrap, 1 hour in the fridge".
  if (
    /^[^,.;]{0,24}?\b(?:h|hrs?|hours?|m|mins?|minutes?)\s+(?:in (?:the |a )?)?(?:fridge|freezer|refrigerator)\b/i.test(
      text.slice(at, at + 44),
    )
  )
    return 'chill-minutes'
  // "10 min in the mixer", "8 min by hand": it kneads.
  if (
    /^[^,.;]{0,24}?\b(?:by hand\b|in (?:the|a) (?:stand )?(?:mixer|machine)|on (?:the )?(?:dough|kneading) (?:setting|mode|programme|program))\b/i.test(
      text.slice(at, at + 44),
    )
  )
    return 'knead-minutes'
  // "5 min more till glossy": so long it is worked.
  if (UNTIL_SMOOTH.test(text.slice(at, at + 60))) return 'knead-minutes'
  if (noun) return BY_WORD.find(([, pattern]) => pattern.test(noun[1]!.replace(/ing$/, '')))?.[0] ?? null
  const before = text.slice(Math.max(0, at - 60), at)
  let best: FactKind | null = null
  let bestAt = -1
  for (const [kind, pattern] of BY_WORD) {
    const last = lastMatch(pattern, before)
    // "Add 80 ml water, cover 5 min" cooks under its lid.
    if (last && /^cover$/i.test(last[0]) && UNDER_LID.test(text) && !/\b(?:knead|dough)/i.test(text)) continue
    if (last && /^lid on$/i.test(last[0]) && !/\b(?:knead|dough|flour|atta)/i.test(text)) continue
    if (last && last.index > bestAt) {
      best = kind
      bestAt = last.index
    }
  }
  // "Proof the yeast in the water 10 min": nothing rises yet.
  if (best === 'rise-minutes' && PROOFS_YEAST.test(before)) return 'rest-minutes'
  // "Leave for an hour until doubled": that is no rest.
  if (best === 'rest-minutes' && UNTIL_RISEN.test(text.slice(at, at + 48))) return 'rise-minutes'
  // "Knead 2 minutes, steam 40": what is cooked stands nearer. "220 fan for 25 min rest 10": these are the oven's.
  const cooked = [...before.matchAll(COOKED)].at(-1)
  if (best !== null && cooked && cooked.index > bestAt) return null
  // "Mix everything but the butter 8 mins, rest 1 min": the next word is of the next time.
  if (best === null && WORKED.test(before) && !SAYS_ITSELF.test(text.slice(at))) return 'knead-minutes'
  // A long clause has its verb far in front.
  if (best === null && [...text.slice(0, at).matchAll(COOKED)].length) return null
  if (best === null && /\b\d{3}\s*(?:°?\s*[cf]?\b|fan|deg\w*)[^.\d]{0,12}$/i.test(before)) return null
  // "Stir 3-4 min, add the jelly, chill 30 min": the word that leads to the next time is of that one.
  const rest = text.slice(at, at + 40)
  const next = NEXT_TIME.exec(rest)?.index
  const own = next === undefined ? rest : rest.slice(0, Math.max(rest.lastIndexOf(',', next), 0) || next)
  const behind = best ?? BY_WORD.find(([, pattern]) => pattern.test(own))?.[0] ?? null
  // "Then the potatoes, 4 minutes, cool": so long they were in the pan.
  return best === null && behind === 'cool-minutes' && COOLS_AFTER.test(own) ? null : behind
}

const PROOFS_YEAST = /\b(?:proof|prove) (?:the )?yeast\b[^.;,]*$/i
const COOLS_AFTER = /^[^,;]*[,;] *(?:then |and |let )?(?:it |them )?cool/i

const WORKED =
  /(?:^|[,.;]\s*)(?:then )?(?:mix|beat)\b(?![^,.;]*\b(?:filling|stuffing|meat|mince|eggs?|whites?|cream|sugar|cheese)\b)[^,.;]*$/i
const SAYS_ITSELF = /^[^,.;]*\b(?:rest|chill|fridge|freezer|oven|rise|prove|proof)/i
const UNTIL_SMOOTH =
  /^[^,.;]{0,16}?min\w*(?: more)?,? (?:until|till) (?:it (?:is|looks|feels) )?(?:glossy|smooth|silky|elastic|stretchy)\b/i
const NEXT_TIME = /(?<=\D.{5,})\b\d[\d–-]* ?(?:min|h(?:ou)?rs?\b)/i
const UNTIL_RISEN =
  /\bto (?:double|rise)\b|\b(?:until|till)\b[^.;]*\b(?:doubled?|risen|puffy|puffed|twice)\b/i
/** "Add the cabbage. Cover, 15 min. Uncover": a pot under its lid. */
const LID_ON = /^\W*(?:then )?(?:cover(?:ed)?|lid on)\W+(?:for )?(?:about )?\d/i
const UNDER_LID =
  /\b(?:milk|stock|cream|tomatoes|passata)\b[^.;]{0,20}\bcover\b|\bwater\b[^.;]{0,20}\bcover\b|\b(?:fry|brown|steam|simmer|low heat|medium heat|high heat|flame|tawa|tava|griddle|skillet)\b[^.;]*\bcover\b/i
const COOKED =
  /\b(?:cook(?!ed)|microwave|brown|fry|fried|saut\S+|simmer|boil|bake|steam|roast|toast|soften|sweat|wilt|stew|braise|poach)\b/gi

const round = (value: number) => Math.round(value * 100) / 100

/** A fact as a clause says it, before it is known of which part it is. */
interface Said {
  kind: FactKind
  low: number
  high: number
  text: string
  /** A time is of the part that its clause speaks of, a size of none. */
  ofPart: boolean
  /** A lid was put on: over a filling's pot nothing rests. */
  underLid: boolean
  /** It stands behind the pieces' own cooking in one clause: "steam 12 min, wait 3". */
  behindCooking: boolean
  /** A spoon counts only where it is known what the clause speaks of. */
  needsAbout: boolean
}

/** What a clause of a sentence says: sizes, spoonfuls, oil depth, batches, rests, kneading, rises. */
const factsSaid: (sentence: string) => (text: string) => readonly Said[] = remember((sentence) =>
  remember((text) => findFacts(text, sentence)),
)

/** The oven or the pot is off, or the lid is left on. */
const HEAT_OFF =
  /\b(?:(?:turn|switch)(?:ed)? (?:it |the (?:heat|steamer|oven|hob|gas|flame|fire) )?off|off (?:the )?(?:heat|flame|fire)|lid (?:on|ajar|off|slightly|a (?:little|bit))|(?:before|don['’]?t|do not|then) (?:opening|open|lifting|lift|removing the lid|uncovering))\b/i
const COOKS_PIECES = /\b(?:bake|steam|boil|deep[- ]?fry|fry)\b[^.;]*\d/i
const BAKES = /\bbake\b[^.;]*\d/i
const IN_TIN = /\bin (?:the |their )?(?:tins?|moulds?|molds?)\b|\bon the (?:tray|rack)\b/i
const COOKS_SO_LONG = /\b(?:bake|fry|steam|boil|simmer|cook|roast|grill|griddle|toast)\b/i
/** "Fry the mince, cool 1 hour". */
const COOLS = /[,;] *(?:then |and )?(?:let (?:it )?)?cool(?: (?:it|for|about))* *$/i
const KNEADS_DOUGH = /\bknead (?:the |your )?dough\b/i
const ONCE_MORE = /\b(?:another|again|once more|second|2nd|further|more)\b/i
const DIVIDES = /\b(?:divide|split|portion)\b|\bbench\b/i

/** That they can be frozen, and how. */
const KEPT_FROZEN =
  /\b(?:well|beautifully|brilliantly|perfectly|fine|raw|before|up to|month|week|the rest|can|on a tray)\b/i

/** "Keeps 3 days in the fridge": so long it stays good, and nothing waits for it. */
const STAYS_GOOD =
  /(?:^|[.;,]\s*)\W*(?:(?:they|these|those|it|leftovers|the [a-zß-öø-ɏ]+s|[a-zß-öø-ɏ]+s)(?: will| should| can)? (?:keeps?|lasts?|stays? (?:fresh|good))|will keep|keeps|lasts)\b[^.;]*\d|(?:^|[.;,]\s*)\W*(?:keep|store|refrigerate)\b[^.;]*\d ?(?:days|weeks)\b|\b(?:up to|within|for) (?:about )?\d{1,2} (?:weeks|months)\b/i

function findFacts(text: string, sentence: string): Said[] {
  const said: Said[] = []
  const add = (kind: FactKind, low: number, high: number, own = text, more: Partial<Said> = {}) =>
    said.push({
      kind,
      low,
      high,
      text: own,
      ofPart: false,
      underLid: false,
      behindCooking: false,
      needsAbout: false,
      ...more,
    })
  if (!/[\d½¼¾⅐-⅞]|half|hour|minute|freez|overnight|coin|spoon|tsp|tbsp/i.test(sentence)) return said
  for (const { kind, low, high, needsAbout } of sizesSaid(text, sentence))
    add(kind, low, high, text, { needsAbout })
  const batch = BATCH.exec(text)
  const number = batch && readNumber((batch[1] ?? batch[2])!)
  // "A few at a time" is no number, and "roll out one disk at a time" is no batch of pieces.
  if (
    number &&
    number.high < 200 &&
    !/^a (?:few|couple)/i.test((batch[1] ?? batch[2])!) &&
    !/\b(?:roll|knead|stretch|pat|flatten)\b[^,;]{0,30}\b1 (?:[a-zß-öø-ɏ]+ ){0,2}at a time/i.test(text)
  )
    add('batch-pieces', number.low, number.high)
  if (FREEZES.test(sentence) && KEPT_FROZEN.test(sentence) && !FREEZES_SO_LONG.test(sentence))
    add('freezes', 1, 1, sentence)
  if (STAYS_GOOD.test(text)) return said
  const times = timesIn(text)
  for (const [at, time] of times.entries()) {
    const kind = nearestKind(text, time.index)
    if (!kind) continue
    // "Steam 12 min, off the heat, leave 2": the first time is the cooking's, and the other its own.
    const before = times[at - 1]
    const from = Math.max(before?.index ?? 0, time.index - 34)
    const cooks = lastMatch(COOKS_SO_LONG, text.slice(from, time.index))
    if (cooks && kind !== 'knead-minutes' && !COOLS.test(text.slice(from + cooks.index, time.index))) continue
    // "190 °C 12-14 min" is the oven's, whatever was said before.
    if (/\d{3}\s*(?:°\s*[cf]?|[cf]\b)[^,.;]{0,8}$/i.test(text.slice(0, time.index))) continue
    // "Chill 1 hour or up to 2 days": the first is asked for, the other allowed.
    const allowed =
      /\b(?:up to|as long as|even|or)(?: (?:up to|leave|chill|rest|refrigerate|longer|even))?(?: (?:it|them))?(?: for)?(?: about)?\s*$/i.test(
        text.slice(0, time.index),
      )
    if (allowed && said.some((one) => one.ofPart)) continue
    // "Folding every 30 minutes": how often, and not how long.
    if (/\bevery\s*$/i.test(text.slice(0, time.index))) continue
    const underLid = kind === 'rest-minutes' && LID_ON.test(text)
    const ahead = text.slice(0, time.index)
    const behindCooking = COOKS_PIECES.test(ahead) || isHeatLine(ahead.replace(/,[^,]*$/, ''))
    add(kind, time.lowMinutes, time.highMinutes, text, { ofPart: true, underLid, behindCooking })
  }
  return said
}

/**
 * Facts of the method that later steps need: sizes, spoonfuls, oil depth, batches, rests, kneading, rises.
 *
 * @param clauses the method's clauses with what they speak of
 */
export function readFacts(outline: Outline, clauses: readonly Clause[], shell: Draft | null): FoundFact[] {
  const facts: FoundFact[] = []
  const add = (kind: FactKind, low: number, high: number, text: string, part: Draft | null = null) => {
    if (!(low >= 0) || !(high <= 100_000) || facts.length >= 60) return
    const same = facts.filter((fact) => fact.kind === kind && fact.part === part && fact.low === round(low))
    // "Rest 30 min, knead again and rest another 30": that is twice; what is said again is the same.
    if (same.length > 0 && (same.length > 1 || !ONCE_MORE.test(text))) return
    facts.push({ kind, low: round(low), high: round(high), text: limit(text, 300), part })
  }
  let cooked = false
  let baked = false
  for (const { text: clause, about, closed, sentence } of clauses) {
    for (const one of factsSaid(sentence)(clause)) {
      const { kind: said, low, high, text, ofPart, underLid, behindCooking, needsAbout } = one
      // "Turn off the heat, leave 3 minutes", "bake … stand 10 mins": what is done rests to be eaten.
      const isDone =
        said === 'rest-minutes' &&
        ((about === 'pieces' && (cooked || behindCooking || HEAT_OFF.test(text))) ||
          (about === null && behindCooking) ||
          // "Bake 20 minutes. Leave in the tin for 5", where nobody said how they are closed.
          (baked && IN_TIN.test(text)) ||
          // "Steam 12 min. Rest 3 mins, lid ajar".
          (closed && cooked && HEAT_OFF.test(text)))
      const kind = isDone ? 'rest-before-eating-minutes' : said
      if (needsAbout && about === null) continue
      // "Mix the lot 5 min" of a filling kneads nothing.
      const isFilling = about !== null && about !== 'pieces' && about.kind === 'filling'
      if (kind === 'knead-minutes' && isFilling && !/\bknead/i.test(text)) continue
      if (underLid && about !== null && about !== 'pieces' && about.kind === 'filling') continue
      const ofDough =
        kind === 'knead-minutes' ||
        kind === 'rise-minutes' ||
        // "Divide in 8, rest 10 min": what lies in balls is dough.
        (kind === 'rest-minutes' && DIVIDES.test(text))
      // "Bake 5 minutes, cool 10, egg wash": the pieces cool, and not what is brushed on.
      const isBeside = about !== null && about !== 'pieces' && /^(?:pan|finish)$/.test(about.kind)
      const ofAbout = !ofPart || about === 'pieces' || isBeside ? null : (about ?? (ofDough ? shell : null))
      // "Knead dough 12 min with the tangzhong": what is kneaded in is not what is kneaded.
      const part = ofAbout?.into && KNEADS_DOUGH.test(text) ? shell : ofAbout
      // "Divide the bean paste into 12 balls of 30 g": those are no balls of dough.
      const ofFilling =
        kind === 'ball-grams' &&
        about !== null &&
        about !== 'pieces' &&
        about.kind === 'filling' &&
        !WORKS_DOUGH.test(text)
      add(ofFilling ? 'filling-grams-per-piece' : kind, low, high, text, part)
    }
    baked ||= (about === 'pieces' || about === null) && BAKES.test(clause)
    cooked ||= closed && about === 'pieces' && (COOKS_PIECES.test(clause) || isHeatLine(clause))
  }
  // What is said of freezing behind the work is kept as well.
  for (const { text } of outline.remarks) {
    if (FREEZES.test(text) && KEPT_FROZEN.test(text)) add('freezes', 1, 1, text)
    // "24 pcs about 20 g", a row by itself.
    for (const { kind, low, high } of sizesSaid(text, text))
      if (kind === 'ball-grams') add(kind, low, high, text)
  }
  for (const { kind, minutes, text } of outline.times) {
    if (kind === 'prep') add('prep-minutes', minutes, minutes, text)
    if (kind === 'total') add('total-minutes', minutes, minutes, text)
  }
  return facts
}
