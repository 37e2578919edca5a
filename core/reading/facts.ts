import type { Fact } from '../recipe/document'
import type { FactKind } from '../recipe/vocabulary'
import type { Draft } from './drafts'
import type { Clause } from './method'
import type { Outline } from './outlineState'
import { lastMatch } from './matches'
import { limit } from './readIngredient'
import { readNumber, DIGIT_NUMBER } from './readNumber'
import { remember } from './remember'
import { timesIn } from './time'

/** A fact before its part has an id. */
export type FoundFact = Omit<Fact, 'partId'> & { part: Draft | null }

const NUM = String.raw`(${DIGIT_NUMBER}(?:\s*(?:-|–|to)\s*${DIGIT_NUMBER})?)`
/** "A tablespoon" is one. */
const SPOON = String.raw`(an?(?=\s)|${DIGIT_NUMBER}(?:\s*(?:-|–|to)\s*${DIGIT_NUMBER})?)`
const LENGTH = String.raw`${NUM}\s*(?:-\s*)?(cm|mm|inch(?:es)?|in\b\.?|")`
const CUTTER = new RegExp(
  String.raw`${LENGTH}\s*(?:\p{L}+\s+)?(?:cutter|glass|cup|ring|saucer|bowl|lid)\b|\b(?:cutter|glass|cup|ring|saucer|plate|bowl)\s*\((?:about |~)?${LENGTH}`,
  'iu',
)
const DISC = new RegExp(
  String.raw`${LENGTH}[- ]*\)?[ ]*(?:in diameter |wide |across )?(?:\p{L}+\s+)?(?:rounds?|circles?|dis[ck]s?|ovals?|squares?|wrappers?|paratha(?:s)?|rotis?|breads?|flatbreads?|across|wide|diameter|in diameter)\b|\b(?:to|into|of|cut|about|into a|to a)\s+(?:a |an |about |~)?${LENGTH}\s*(?:rounds?|circles?|dis[ck]s?|squares?)|\b(?:rounds?|circles?|dis[ck]s?|squares?|ovals?|puris|wrappers|balls?)(?:,| of| about| around| to)*(?: | ?\(\s*(?:about |~ ?)?)${LENGTH}|\b(?:roll|press|pat|flatten)\b[^.()\d]{0,30}\((?:about |approx\.? )?${LENGTH}\)|\b(?:press|pat|flatten|stretch)(?: (?:it|them|each|every one|one|out|gently|down|lightly|slightly|evenly|a little|(?:with|between) (?:your|the) (?:palms?|hands?|fingers)))* (?:in)?to (?:about |an? )?${LENGTH}(?=\W*(?:$|[.,;]))(?! ?mm)`,
  'iu',
)
const THICK = new RegExp(
  String.raw`${LENGTH}\s*(?:thick|thickness|thin)\b(?!\s*(?:sausage|log|rope|roll|cylinder|snake|strip))|\b(?:roll(?:ed)?|flatten(?:ed)?|thickness)\b(?:[^.]{0,30}?|[^.,]{0,60}?)\b(?:to|out to|of|until|about)\s+(?:a thickness of )?(?:about |~)?${NUM}\s*(mm|cm|inch|")`,
  'iu',
)
/** No round is narrower; a dough may be rolled so thick. Common practice, no source. */
const LEAST_DISC_CM = 2
/** A clause without how thick it says: "roll to a 5-inch round (about 1/8 inch thick)" keeps its round. */
const withoutThickness = (text: string) =>
  text.replace(THICK, (said) =>
    said.replace(
      /[\d½¼¾⅛][\d./ –-]*\s*-?\s*(?:mm|cm|inch(?:es)?|in|")[- ]*(?:thick|thickness|thin)?$/iu,
      ' ',
    ),
  )
/** "Roll 1/8"", "roll the dough 3 mm": how thick; "roll 12 cm" is how wide. */
const ROLLED = new RegExp(
  String.raw`\broll(?:ed)?(?: (?:out|it|them|thin|(?:the )?(?:dough|pastry)|between (?:\p{L}+ )?(?:paper|parchment|plastic|film)))* ${LENGTH}(?!\s*(?:\p{L}+ )?(?:rounds?|circles?|dis[ck]s?|squares?|strips?|ropes?|logs?|[x×]))`,
  'iu',
)
const SPOONS = new RegExp(
  String.raw`${SPOON}\s*(?:heaped |heaping |level |rounded |scant |big |generous )?(tbsp|tablespoons?|tbs|tsp|teaspoons?|spoons?|spoonfuls?)\s*(?:of )?(?:the )?(?:filling|stuffing|mixture|meat|mince|keema|each(?=\W*(?:$|[.,;]))|in(?:to)? (?:each|the (?:centre|center|middle))|on (?:each|one)(?! side)|(?:per|for each|for every|to each) \p{L}+)`,
  'iu',
)
const EACH_SPOON = new RegExp(
  String.raw`\b(?:fill(?:ed|ing)?|put|place|spoon|stuff(?:ed|ing)?)\b[^.]{0,40}?${SPOON}\s*(?:heaped |heaping |level |rounded |scant |big |generous )?(tbsp|tablespoons?|tsp|teaspoons?)`,
  'iu',
)
/** "1/4 cup of filling on each". */
const CUP_OF_FILLING = new RegExp(
  String.raw`${SPOON}\s*(?:heaped |level |scant |generous )?cups?\s*(?:of )?(?:the )?(?:filling|stuffing|mixture|(?:\p{L}+ )?(?:mixture|mix))(?=[^.;]*\b(?:each|every|per|centre|center|middle|one|a (?:round|circle|disc|square|wrapper))\b)`,
  'iu',
)
/** "Fill with a heaping 1/2 cup". */
const FILLS_CUP = new RegExp(
  String.raw`\bfill(?:ed)? with (?:an? )?(?:heaped |heaping |level |scant )?${SPOON}\s*cups?(?=\W*(?:$|[,.;]))`,
  'iu',
)
const TBSP_PER_CUP = 16
const FILLING_GRAMS =
  /(\d{1,3})\s*(?:g|grams?)\s*(?:of )?(?:the )?(?:filling|stuffing)\b(?:[^.]{0,14}\b(?:each|in|per))?/i
const BALL =
  /(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?\s*(?:g|gm|grams?)\s*(?:dough )?(?:balls?|dough each|pieces of dough)\b/i
const DEPTH = new RegExp(
  String.raw`${NUM}\s*(cm|mm|inch(?:es)?)\s*(?:of|deep)\s*(?:hot )?(?:oil|layer)`,
  'iu',
)
const BATCH = new RegExp(
  String.raw`(?:${NUM}\s*(?:at a time|per batch|in (?:a|one|each) (?:batch|go))|batches of ${NUM})`,
  'iu',
)
/** "As thick as a pound coin". From memory of the coin: 2.8 mm. */
const COIN = /(?:\bpound|£\s?1|\bone pound)[- ]coin\b/i
const COIN_MM = 2.8
/** More spoons are dotted over a sheet, and each is another piece's. Our own choice. */
const MOST_SPOONS = 9
const FREEZES = /\bfree(?:ze|zes|zing)\b/i

const BY_WORD: readonly [FactKind, RegExp][] = [
  ['soak-minutes', /\bsoak/i],
  ['knead-minutes', /\bknead|\bstand mixer\b|\bdough hook\b/i],
  ['rise-minutes', /\b(?:rise|rises|raise|prove|proof|double|doubled|ferment)\b/i],
  ['chill-minutes', /\b(?:chill|fridge|refrigerat\w*|freezer)\b/i],
  [
    'rest-before-eating-minutes',
    /\b(?:before (?:serving|eating|slicing|cutting|biting)|let them stand|cool (?:slightly|a little|for))\b/i,
  ],
  ['cool-minutes', /\bcool\b(?! enough)/i],
  [
    'rest-minutes',
    /\b(?:(?<!\b(?:in|with|of|to)(?: the)? )rest|relax|stand(?! mixer)|(?:let (?:it |them |the \p{L}+ )?)sit|wrap(?! (?:around|round|each|up))|keep|leave|set aside|cover)\b/iu,
  ],
]

/** The work that a time belongs to: the word nearest before it, or else the next behind it. */
function nearestKind(text: string, at: number): FactKind | null {
  if (/\bbefore (?:serving|eating|slicing|cutting|biting)\b/i.test(text.slice(at, at + 40)))
    return 'rest-before-eating-minutes'
  // "1 hr rest", "40 min proof": the word right behind the time.
  const noun =
    /^(?:\d[^\s]*|an?|one|half an?)(?:\s*(?:-|–|to)\s*\d+)?\s*(?:m|mins?|minutes?|h|hrs?|hours?)\s+(rest(?:ing)?|rise|proof|prove|chill|soak)\b(?!\s+(?:for )?(?:about )?(?:\d|an? hour|half|overnight))/i.exec(
      text.slice(at, at + 40),
    )
  // "Knead, wrap, 1 hour in the fridge".
  if (
    /^[^,.;]{0,24}?\b(?:h|hrs?|hours?|m|mins?|minutes?)\s+in (?:the |a )?(?:fridge|freezer|refrigerator)\b/i.test(
      text.slice(at, at + 44),
    )
  )
    return 'chill-minutes'
  // "10 min in the mixer": it kneads.
  if (
    /^[^,.;]{0,24}?\b(?:in (?:the|a) (?:stand )?(?:mixer|machine)|on (?:the )?(?:dough|kneading) (?:setting|mode|programme|program))\b/i.test(
      text.slice(at, at + 44),
    )
  )
    return 'knead-minutes'
  if (noun) return BY_WORD.find(([, pattern]) => pattern.test(noun[1]!.replace(/ing$/, '')))?.[0] ?? null
  const before = text.slice(Math.max(0, at - 60), at)
  let best: FactKind | null = null
  let bestAt = -1
  for (const [kind, pattern] of BY_WORD) {
    const last = lastMatch(pattern, before)
    // "Add 80 ml water, cover 5 min" cooks under its lid.
    if (last && /^cover$/i.test(last[0]) && UNDER_LID.test(text) && !/\bknead/i.test(text)) continue
    if (last && last.index > bestAt) {
      best = kind
      bestAt = last.index
    }
  }
  // "Knead 2 minutes, steam 40": what is cooked stands nearer. "220 fan for 25 min rest 10": these are the oven's.
  const cooked = [...before.matchAll(COOKED)].at(-1)
  if (best !== null && cooked && cooked.index > bestAt) return null
  // A long clause has its verb far in front.
  if (best === null && [...text.slice(0, at).matchAll(COOKED)].length) return null
  if (best === null && /\b\d{3}\s*(?:°?\s*[cf]?\b|fan|deg\w*)[^.\d]{0,12}$/i.test(before)) return null
  return best ?? BY_WORD.find(([, pattern]) => pattern.test(text.slice(at, at + 40)))?.[0] ?? null
}

/** "Add the cabbage. Cover, 15 min. Uncover": a pot under its lid. */
const LID_ON = /^\W*(?:then )?(?:cover(?:ed)?|lid on)\W+(?:for )?(?:about )?\d/i
const UNDER_LID =
  /\bwater\b[^.;]{0,20}\bcover\b|\b(?:fry|brown|steam|simmer|low heat|medium heat|high heat|flame)\b[^.;]*\bcover\b/i
const COOKED =
  /\b(?:cook(?!ed)|microwave|brown|fry|fried|saut\S+|simmer|boil|bake|steam|roast|toast|soften|sweat|wilt|stew|braise|poach)\b/gi

const cm = (value: number, unit: string) =>
  /mm/i.test(unit) ? value / 10 : /cm/i.test(unit) ? value : value * 2.54
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
  /** A spoon counts only where it is known what the clause speaks of. */
  needsAbout: boolean
}

/** What a clause of a sentence says: sizes, spoonfuls, oil depth, batches, rests, kneading, rises. */
const factsSaid: (sentence: string) => (text: string) => readonly Said[] = remember((sentence) =>
  remember((text) => findFacts(text, sentence)),
)

function findFacts(text: string, sentence: string): Said[] {
  const said: Said[] = []
  const add = (kind: FactKind, low: number, high: number, own = text, more: Partial<Said> = {}) =>
    said.push({ kind, low, high, text: own, ofPart: false, underLid: false, needsAbout: false, ...more })
  const lengths = (kind: FactKind, match: RegExpExecArray | null, factor = 1) => {
    if (!match) return
    const groups = match.slice(1).filter((group) => group !== undefined)
    const number = readNumber(groups[0] ?? '')
    const unit = groups[1]
    // "Roll it thin (1-2 mm)" says how thick.
    if (kind === 'disc-cm' && number && unit && cm(number.high, unit) < LEAST_DISC_CM)
      return add('thickness-mm', cm(number.low, unit) * 10, cm(number.high, unit) * 10)
    if (number && unit && number.high > 0)
      add(kind, cm(number.low, unit) * factor, cm(number.high, unit) * factor)
  }
  if (!/\d|half|hour|freez|overnight|coin|spoon|tsp|tbsp/i.test(sentence)) return said
  lengths('cutter-cm', CUTTER.exec(text))
  const thick = THICK.exec(text)
  // "Roll out to 8 cm" is how wide it gets: no dough is that thick.
  const wide = thick !== null && cm(readNumber(thick[1] ?? thick[3]!)?.low ?? 0, (thick[2] ?? thick[4])!) > 3
  if (!wide || !CUTTER.test(text)) lengths(wide ? 'disc-cm' : 'thickness-mm', thick, wide ? 1 : 10)
  if (!CUTTER.test(text) && !/\b(?:strips?|(?<!between (?:\w+ )?)sheets?|rectangles?|logs?)\b/i.test(text))
    lengths('disc-cm', DISC.exec(withoutThickness(text)))
  if (COIN.test(text) && /\bthick/i.test(text)) add('thickness-mm', COIN_MM, COIN_MM)
  lengths('oil-depth-cm', DEPTH.exec(text))
  const cups = CUP_OF_FILLING.exec(text) ?? FILLS_CUP.exec(text)
  const cup = cups && readNumber(cups[1]!)
  if (cup && cup.high <= 1)
    add('filling-tbsp-per-piece', cup.low * TBSP_PER_CUP, cup.high * TBSP_PER_CUP, text, { needsAbout: true })
  const spoon = cup ? null : (SPOONS.exec(text) ?? EACH_SPOON.exec(text))
  const spoons = spoon && readNumber(spoon[1]!)
  if (
    spoons &&
    spoons.high <= MOST_SPOONS &&
    /\b(?:fill(?:ing)?|put|place|keep|spoon|each|per|stuff(?:ing)?|with)\b/i.test(sentence) &&
    !/\b(?:oil|water|butter)\b/i.test(text.slice(spoon.index, spoon.index + spoon[0].length + 12))
  ) {
    const factor = /^(?:tsp|tea)/i.test(spoon[2]!) ? 1 / 3 : 1
    // "1 heaped tbsp each" says itself what it is of.
    const needsAbout = !/\b(?:each|filling|stuffing)\W*$/i.test(spoon[0])
    add('filling-tbsp-per-piece', spoons.low * factor, spoons.high * factor, text, { needsAbout })
  }
  if (!thick || wide) lengths('disc-cm', ROLLED.exec(text))
  const fill =
    FILLING_GRAMS.exec(text) ?? /\b(?:fill|stuff)\b[^.]{0,20}?(\d{1,3})\s*g\b[^.]{0,20}\beach\b/i.exec(text)
  if (fill) add('filling-grams-per-piece', Number(fill[1]), Number(fill[1]))
  const ball = BALL.exec(text)
  if (ball) add('ball-grams', Number(ball[1]), Number(ball[2] ?? ball[1]))
  const portion =
    /\b(?:in|into) \d{1,3}(?: \p{L}+)? \((?:about |approx\.? |~ ?|c\.? ?)?(\d{1,3})\s*g(?:rams?)?\b/iu.exec(
      text,
    )
  if (portion && !ball) add('ball-grams', Number(portion[1]), Number(portion[1]))
  const weighed = /\bballs?\s*\((?:about )?(\d{1,3})\s*(?:g|grams?)\b/i.exec(text)
  if (weighed) add('ball-grams', Number(weighed[1]), Number(weighed[1]))
  const batch = BATCH.exec(text)
  const number = batch && readNumber((batch[1] ?? batch[2])!)
  if (number && number.high < 200) add('batch-pieces', number.low, number.high)
  if (
    FREEZES.test(sentence) &&
    /\b(?:well|raw|before|up to|month|week|the rest|can|on a tray)\b/i.test(sentence)
  )
    add('freezes', 1, 1, sentence)
  for (const time of timesIn(text)) {
    const kind = nearestKind(text, time.index)
    if (!kind) continue
    if (
      /\b(?:bake|fry|steam|boil|simmer|cook|roast)\b/i.test(
        text.slice(Math.max(0, time.index - 34), time.index),
      ) &&
      kind !== 'knead-minutes'
    )
      continue
    // "190 °C 12-14 min" is the oven's, whatever was said before.
    if (/\d{3}\s*(?:°\s*)?[cf]\b[^,.;]{0,8}$/i.test(text.slice(0, time.index))) continue
    const underLid = kind === 'rest-minutes' && LID_ON.test(text)
    add(kind, time.lowMinutes, time.highMinutes, text, { ofPart: true, underLid })
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
    if (facts.some((fact) => fact.kind === kind && fact.part === part && fact.low === round(low))) return
    facts.push({ kind, low: round(low), high: round(high), text: limit(text, 300), part })
  }
  for (const { text: clause, about, sentence } of clauses)
    for (const { kind, low, high, text, ofPart, underLid, needsAbout } of factsSaid(sentence)(clause)) {
      if (needsAbout && about === null) continue
      if (underLid && about !== null && about !== 'pieces' && about.kind === 'filling') continue
      const ofDough = kind === 'knead-minutes' || kind === 'rise-minutes'
      const part = !ofPart || about === 'pieces' ? null : (about ?? (ofDough ? shell : null))
      add(kind, low, high, text, part)
    }
  for (const { kind, minutes, text } of outline.times) {
    if (kind === 'prep') add('prep-minutes', minutes, minutes, text)
    if (kind === 'total') add('total-minutes', minutes, minutes, text)
  }
  return facts
}
