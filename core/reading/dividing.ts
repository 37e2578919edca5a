import type { Shape } from '../recipe/vocabulary'
import type { Clause } from './method'
import { DIGIT_NUMBER, readNumber } from './readNumber'
import { PIECES } from './servings'

// "12 x 16 rectangle" is a size.
const N = String.raw`(?:about |approx\.? |around |roughly |~ ?)?(?!\d+\s*[x×]\s*\d+\s*(?:(?:cm|mm|inch|in\b|")\s*)?(?:rectangle|square|sheet|oblong|slab)\b)(${DIGIT_NUMBER}(?:\s*(?:-|–|to)\s*\d{1,3})?(?:\s+dozen)?)`
/** "Divide the dough 10 x 52 g": so many of that weight. */
const TIMES_GRAMS =
  /\b(?:divide|split|cut|portion|scale|shape|form|make|weigh)\b[^.;\d]{0,30}?(\d{1,3})\s*[x×]\s*(\d{1,3})\s*(?:g|gm|grams?)\b|(?:^|[.;,]\s*)(\d{1,3}) (?:pcs|pieces|balls|portions),? (?:of )?(?:about )?\d{1,3} ?g(?:rams)?\b/i
const SIZE = String.raw`(?:(?:equal|even|equal-sized|small|medium|large|little|thin|smooth|same-sized|dough|\p{L}+[- ]sized?)\s+)*`
const THING = String.raw`(?:${PIECES}|portions?|parts?|bits|equal|discs|lumps|sections|(?=[,.;]|$| and\b| of\b| then\b))`
/** "divide into 12", "cut each into 8", "make 10 balls", "fill 12 rounds", "roll and cut 14 rounds". */
const DIVIDE = new RegExp(
  String.raw`\b(divide|split|cut|portion|shape|form|make|roll|pinch off|break|separate|stamp(?: out)?|fill|get|assemble|yield)\b([^.;]{0,46}?)\b(?:in|into|to|out)?\s*${N}\s+${SIZE}${THING}`,
  'giu',
)
/** "Divide 16.", "split the dough 10 ways": the number stands bare. */
const BARE_DIVIDE =
  /\b(?:divide|portion|split|cut)\b(?: (?:it|(?:the )?(?:dough|pastry)))?:? (?:to |in |into )?(\d{1,3})(?=\s*(?:[.,;]|$)| ways\b)|\bcut (?:(?:it|them|the \w+) )?to (\d{1,3})(?=\s*(?:[.,;]|$))/i
/** "Pat into 8 thick discs". */
const INTO = new RegExp(
  String.raw`\b(divide|split|cut|portion|shape|form|roll|pat|press|separate|make|serve|slice|score|mark)\b([^.;]{0,46}?)\b(?:in|into)\s+${N}(?!\s*(?:g|kg|ml|cm|mm|inch|in\.|minutes?|mins?|°|%)(?:\b|\s))(?!\s*["”])`,
  'giu',
)
const CUT_OUT = new RegExp(
  String.raw`\b(?:cut|stamp|roll)\b[^.;\d]{0,30}?${N}(?!\s*-?\s*(?:cm|mm|inch|in\b|"|corners|sides|edges|points))\s+(?:x?\s*\d+(?:[./]\d+)?\s*-?\s*(?:cm|mm|inch|in\b|")[- ]*)?(?:[\p{L}-]+\s+){0,4}(?:circles|rounds|dis[ck]s|squares|ovals|lids|rectangles)\b`,
  'iu',
)
/** "Cut 6 using a tea plate": round what is in the kitchen. */
const CUT_ROUND =
  /\b(?:cut|stamp)(?: out)? (\d{1,2})(?: of them)? (?:using|with|round|around) (?:an? |the |your )?(?:\p{L}+ )?(?:plate|saucer|bowl|cutter|glass|mug|cup|lid|tin)\b/iu
/** "Cut 12 x 9 cm + 12 x 6 cm lids": as many of one size as of the other. */
const TWO_SIZES =
  /\bcut(?: out)? (\d{1,2}) ?[x×] ?\d+(?:[.,]\d)? ?cm (?:\p{L}+ )?(?:\+|and|&) \1 ?[x×] ?\d+/iu
/** "Take 6 lemon size balls", "slice 16 pieces": so many of them, of the dough. */
const TAKE = new RegExp(
  String.raw`\b(?:take|make|pull off|break off|slice|get)\s+${N}\s+${SIZE}(?:balls|pieces|portions|rounds|dis[ck]s|lumps)\b`,
  'iu',
)
/** "Cut 3 inch circles, about 50": the number stands behind. */
const SO_MANY = new RegExp(
  String.raw`\b(?:circles|rounds|dis[ck]s|squares|balls|wrappers)\s*(?:[,(:–-]\s*|\s)(?:about|around|roughly|approx\.?|~|makes|(?:you(?:'ll| will| should)? )?get)\s*(?:about )?(\d{1,3})(?!\d|\s*(?:cm|mm|g\b|inch|in\b|"|min))`,
  'iu',
)
/** "Squares 10 x 10 cm (40-45)": what comes of it, in brackets. */
const IN_BRACKETS =
  /\b(?:circles|rounds|dis[ck]s|squares|balls|wrappers)\b[^.;()]{0,24}\(\s*(?:about |approx\.? |~|makes |you(?:'ll| will)? (?:need|get|have) (?:about )?)?(\d{1,3})(?:\s*(?:[-–]|to)\s*\d{1,3})?(?:\s+of them)?\s*\)/i
/** "Pipe 24 teaspoons of filling", "dot 30 blobs over the sheet": each is a piece's. */
const MOUNDS =
  /\b(?:pipe|place|put|dot|drop|dollop|spoon)\b[^.;\d]{0,20}(\d{2,3}) (?:(?:heaped|small|little|level|even) )*(?:tea)?(?:spoons?|tsps?|spoonfuls?|dollops|mounds|blobs|heaps|dots)\b(?! (?:of )?(?:water|oil|salt))/i
/** "Repeat = 18", "so 18 in all": what comes of it, said after the work. */
const RESULT =
  /(?:\brepeat\b[^.;]{0,30}|\bso |\bgives? )(?:=|→|makes?)\s*(?:about )?(\d{1,3})(?=\W*(?:in all|in total|altogether)?\W*$)|\brepeat\b\s*[=:–-]\s*(\d{1,3})|\bper (?:sheet|strip|roll|round|circle)\s*(?:=|→|makes?|so)\s*(\d{1,3})/i
/** "Each sheet in 2 → 4 rectangles": what comes of it stands behind the arrow. */
const ARROW = new RegExp(
  String.raw`(?:→|->|=>|=)\s*(?:about )?(\d{1,3})(?:\s+(?:\p{L}+ )?(?:rectangles?|strips?|${PIECES})|(?:\s*[-–]\s*\d{1,3})?\W*$)`,
  'iu',
)
/** "Line 6 individual tins": each tin is a piece. */
const TINS =
  /\b(?:line|fill|into|between|for)\s+(?:the )?(\d{1,2})\s+(?:\d{1,4}\s*(?:ml|cm|mm|g|oz)\s+)?(?:\p{L}+[- ]?){0,3}?(?:basins?|tins?|moulds?|molds?|ramekins?|pie dishes|dishes|tartlet cases)\b/iu
const LINES_TRAY =
  /\bline (?:a|an|the|your) (?:\p{L}+ |\d+ ?x ?\d+ ?(?:cm )?)?(?:tray|tin|dish|pan)\b(?! with (?:baking |greaseproof |non-?stick )?(?:paper|parchment|foil|silicone))/iu
/** "Lay one sheet in an oiled pan": the other covers it. */
export const LAYS_IN_TRAY =
  /\b(?:lay|put|place) (?:one|1|half|a|the first)(?: (?:sheet|half|piece|layer))? [^.;]{0,6}\b(?:in|into|on) [^.;]{0,30}\b(?:tray|tin|dish|pan)\b/i
/** Two rounds make one piece. */
const PAIRS =
  /\b(?:top|cover|lid)\b[^.]{0,30}\bwith (?:the )?(?:bigger|larger)(?: (?:one|piece|sheet|rectangle|half))?(?=\W*(?:$|[.,]))|\b(?:top|cover|lid)\b[^.]{0,20}\bwith (?:the )?(?:other|second|remaining) (?:\d+|half|rounds|circles|dis[ck]s)|\bin pairs\b|\bbetween two\b/i
/** "Filling on 4, lids on": the other four cover them. */
const FILLS_SOME =
  /\b(?:filling|mixture|mix|spoon\w*|divide\w*|put|place)\b[^.;]{0,30}?\b(?:on|onto|over|between|among)\s+(?:the )?(half(?: of)?(?: (?:them|the))?|\d{1,2}|two|three|four|five|six)\b(?=[^.]*(?:,| and| then)[^.]*\b(?:lids?|cover|top (?:with|them|each)|remaining|other))/i
const BARE_BALLS = new RegExp(
  String.raw`(?:^\W*|,\s+)${N}\s+(?:x\s*\d+\s*(?:cm|mm|g)\s+)?${SIZE}(?:buns|saucers|balls|pieces|rounds|circles|dis[ck]s|squares|portions)\b`,
  'iu',
)
const HALVES =
  /\b(?:cut|halve|divide|slice|split)\b(?:(?!\b(?:cut|halve|slice|split)\b)[^.;]){0,30}\b(?:in|into) (?:half|halves|two|2)\b|\bhalve(?=\W*(?:$|[,.;]))|\bhalve (?:each|them|the (?:rounds|ovals|balls|dis[ck]s))\b|\bcut (?:(?:each|them) )?(?:in )?(?:half|two)\b(?=\W*(?:$|[-–,.;]))/i
const NOT_PIECES =
  /\b(?:onions?|carrots?|potato(?:es)?|cabbage|leeks?|tofu|cheese|apples?|celery|peppers?|squash|pumpkin|mushrooms?|steps?|minutes?|layers?|slits?|meat|chicken|vegetables?)\b/i

/** A number of pieces that the text gives. */
export interface Found {
  pieces: number
  /** How sure: a larger number wins. */
  weight: number
  says: string
}

const low = (text: string) => Math.floor(readNumber(text)?.low ?? 0)

/** Pieces by dividing: "divide into 7 balls, … cut each in half" makes 14. */
export function byDividing(clauses: readonly Clause[], shape: Shape | null): Found | null {
  let pieces: number | null = null
  let says = ''
  let rounds = 0
  for (const { text, about } of clauses) {
    if (!/\d|half|halve|two|quarter/i.test(text)) continue
    const mounds = MOUNDS.exec(text)
    if (mounds && pieces === null) {
      pieces = Number(mounds[1])
      says = text
      continue
    }
    if (
      about !== null &&
      about !== 'pieces' &&
      about.kind !== 'shell' &&
      !/\b(?:dough|pastry|both|balls|rounds|circles|dis[ck]s|wrappers|sheets?|rotis?|buns|saucers|squares|rectangles|ovals)\b/i.test(
        text,
      ) &&
      !/^\W*(?:divide|portion|split) (?:it |them |all )?(?:in|into) \d/i.test(text)
    )
      continue
    const seen: { at: number; count: number; each: boolean }[] = []
    // "8 balls, roll, halve each" says how many without a verb.
    const bare = BARE_BALLS.exec(text)
    if (bare) seen.push({ at: bare[0].length, count: low(bare[1]!), each: false })
    for (const pattern of [DIVIDE, INTO]) {
      for (const match of text.matchAll(pattern)) {
        const subject = match[2] ?? ''
        if (NOT_PIECES.test(subject)) continue
        // "Cut into 16 (50 g)": what each weighs is beside the point.
        const after = text
          .slice(match.index, match.index + match[0].length + 16)
          .replace(/\s*\([^)]*\)?.*$/, '')
          .replace(/(?<=\d)[,;.]\s.*$/, '')
        if (
          /\b(?:cm|mm|inch|inches|min|minutes|g|ml|sides?|hours?|°|times|goes|turns|batches|layers|thick)\b/i.test(
            after.slice(match[0].length - 1),
          ) &&
          !/\d \D*\b(?:circles|rounds|dis[ck]s|balls|patties|buns|cakes|breads|rolls|pies|squares|parcels|ovals)\b/i.test(
            match[0],
          ) &&
          !/^\s*(?:thick|thin|flat) (?:circles|rounds|dis[ck]s)\b/i.test(
            text.slice(match.index + match[0].length),
          )
        )
          continue
        const count = low(match[3]!)
        if (count < 2 || count > 400) continue
        if (
          /^(?:make|get|yield)$/i.test(match[1]!) &&
          !/\b(?:divide|split|cut|portion)\b/i.test(subject) &&
          !new RegExp(`${PIECES}|balls`, 'i').test(match[0]) &&
          !/\binto\b/.test(match[0])
        )
          continue
        const at = match.index + match[0].length
        if (seen.some((one) => Math.abs(one.at - at) < 14)) continue
        seen.push({
          at,
          count,
          // "Cut each in half so 12 triangles": twelve is what comes of it.
          each:
            (/\b(?:each|every)\b/i.test(subject) &&
              !/\b(?:half|two)\b.*\b(?:so|makes?|giving|for|gives?)\s*$/i.test(subject)) ||
            /\b(?:each|every) (?:half|piece|part|portion|sheet)\b/i.test(match[0]),
        })
      }
    }
    // "Cut out 6 side plate sized circles": what they are like stands between.
    const quarters = /\bquarter (the dough|the pastry|each|it|them)\b/i.exec(text)
    if (quarters)
      seen.push({
        at: quarters.index + quarters[0].length,
        count: 4,
        each: /each|them/i.test(quarters[1]!),
      })
    const arrow = ARROW.exec(text) ?? RESULT.exec(text)
    if (arrow && !seen.length)
      seen.push({
        at: arrow.index + arrow[0].length,
        count: low((arrow[1] ?? arrow[2] ?? arrow[3])!),
        each: false,
      })
    const behind = SO_MANY.exec(text) ?? IN_BRACKETS.exec(text) ?? TINS.exec(text)
    if (behind && !seen.length)
      seen.push({ at: behind.index + behind[0].length, count: low(behind[1]!), each: false })
    const weighed = TIMES_GRAMS.exec(text)
    if (weighed && !seen.length)
      seen.push({
        at: weighed.index + weighed[0].length,
        count: low((weighed[1] ?? weighed[3])!),
        each: false,
      })
    const bareCount = BARE_DIVIDE.exec(text)
    if (bareCount && !seen.length)
      seen.push({
        at: bareCount.index + bareCount[0].length,
        count: low((bareCount[1] ?? bareCount[2])!),
        each: false,
      })
    const sizes = TWO_SIZES.exec(text)
    if (sizes && !seen.length)
      seen.push({ at: sizes.index + sizes[0].length, count: low(sizes[1]!), each: false })
    const take = TAKE.exec(text)
    if (take && !seen.length)
      seen.push({ at: take.index + take[0].length, count: low(take[1]!), each: false })
    const out = CUT_OUT.exec(text) ?? CUT_ROUND.exec(text)
    if (out && !seen.length) seen.push({ at: out.index + out[0].length, count: low(out[1]!), each: false })
    const halves = HALVES.exec(text)
    if (
      halves &&
      !NOT_PIECES.test(halves[0]) &&
      // "Cut into 2 strips" has been read as a number.
      !seen.some((one) => one.at >= halves.index && one.at <= halves.index + halves[0].length + 10)
    )
      seen.push({ at: halves.index + halves[0].length, count: 2, each: true })
    seen.sort((a, b) => a.at - b.at)
    for (const { count, each } of seen) {
      if (each && pieces !== null) pieces *= count
      else if (pieces === null) pieces = count
      // "Divide in two; cut 12 rounds": the rounds are counted. "Divide into 12; fill 12" says the same twice.
      else if (count > pieces) pieces = count
      rounds++
      says ||= text
      if (rounds > 6) break
    }
  }
  if (pieces === null) return null
  const half = pieces / 2
  const isLidded = clauses.some(({ text }) => {
    const on = FILLS_SOME.exec(text)?.[1]
    return on !== undefined && (/^half/i.test(on) || low(on) === half)
  })
  if (pieces % 2 === 0 && (isLidded || clauses.some(({ text }) => PAIRS.test(text)))) pieces = half
  if (shape === 'lidded-pie' && pieces <= 3) return null
  // "Divide in two … line a tray": the bottom and the lid of one.
  if (pieces === 2 && clauses.some(({ text }) => LINES_TRAY.test(text) || LAYS_IN_TRAY.test(text)))
    return null
  return pieces < 2 ? null : { pieces, weight: 60, says }
}
