import { foodIs } from '../food/groups'
import type { RecipeNote } from '../recipe/document'
import { MAX_PIECES, PART_NAMES, type Shape } from '../recipe/vocabulary'
import { timesWeights } from '../recipe/scale'
import { isDoughBase, READY_WORDS, type Draft } from './drafts'
import type { Clause } from './method'
import type { Outline } from './outlineState'
import type { ReadLine } from './readLine'
import { DIGIT_NUMBER, readNumber } from './readNumber'
import { PIECES, readYields } from './servings'

export interface Counted {
  pieces: number
  servings: number
  piecesStated: boolean
  servingsStated: boolean
}

/** Dough in one piece when nothing is said about the number: 45 g. Common practice, no source. */
const ASSUMED_BALL_GRAMS = 45
/** Balls that are named after things. Common practice, no source: a walnut of dough is 15 to 18 g. */
const BALL_WORDS: readonly [RegExp, number][] = [
  [/\bwalnut[- ]siz/i, 17],
  [/\bcherry[- ]siz|marble[- ]siz/i, 10],
  [/\b(?:lemon|lime|ping[- ]?pong(?: ball)?)[- ]siz/i, 40],
  [/\bgolf[- ]ball[- ]siz|golf ball\b/i, 45],
  [/\begg[- ]siz/i, 55],
  [/\b(?:tangerine|tennis[- ]ball|orange)[- ]siz/i, 90],
]

// "12 x 16 rectangle" is a size.
const N = String.raw`(?:about |approx\.? |around |roughly |~ ?)?(?!\d+\s*[x×]\s*\d+\s*(?:(?:cm|mm|inch|in\b|")\s*)?(?:rectangle|square|sheet|oblong|slab)\b)(${DIGIT_NUMBER}(?:\s*(?:-|–|to)\s*\d{1,3})?(?:\s+dozen)?)`
/** "Divide the dough 10 x 52 g": so many of that weight. */
const TIMES_GRAMS =
  /\b(?:divide|split|cut|portion|scale|shape|form|make|weigh)\b[^.;\d]{0,30}?(\d{1,3})\s*[x×]\s*(\d{1,3})\s*(?:g|gm|grams?)\b/i
const SIZE = String.raw`(?:(?:equal|even|equal-sized|small|medium|large|little|thin|smooth|same-sized|dough|\p{L}+[- ]sized?)\s+)*`
const THING = String.raw`(?:${PIECES}|portions?|parts?|bits|equal|discs|lumps|sections|(?=[,.;]|$| and\b| of\b| then\b))`
/** "divide into 12", "cut each into 8", "make 10 balls", "fill 12 rounds", "roll and cut 14 rounds". */
const DIVIDE = new RegExp(
  String.raw`\b(divide|split|cut|portion|shape|form|make|roll|pinch off|break|separate|stamp(?: out)?|fill|get|assemble|yield)\b([^.;]{0,46}?)\b(?:in|into|to|out)?\s*${N}\s+${SIZE}${THING}`,
  'giu',
)
/** "Divide 16.": the number stands bare. */
const BARE_DIVIDE =
  /\b(?:divide|portion|split)\b(?: (?:the )?dough)?:? (?:to |in |into )?(\d{1,3})(?=\s*(?:[.,;]|$))/i
/** "Pat into 8 thick discs". */
const INTO = new RegExp(
  String.raw`\b(divide|split|cut|portion|shape|form|roll|pat|press|separate|make|serve|slice|score|mark)\b([^.;]{0,46}?)\b(?:in|into)\s+${N}(?!\s*(?:g|kg|ml|cm|mm|inch|in\.|minutes?|mins?|°|%)(?:\b|\s))(?!\s*["”])`,
  'giu',
)
const CUT_OUT = new RegExp(
  String.raw`\b(?:cut|stamp|roll)\b[^.;\d]{0,30}?${N}(?!\s*-?\s*(?:cm|mm|inch|in\b|"|corners|sides|edges|points))\s+(?:x?\s*\d+(?:[./]\d+)?\s*(?:cm|mm|inch|in\b|")[- ]*)?(?:[\p{L}-]+\s+){0,4}(?:circles|rounds|dis[ck]s|squares|ovals|lids|rectangles)\b`,
  'iu',
)
/** "Take 6 lemon size balls", "slice 16 pieces": so many of them, of the dough. */
const TAKE = new RegExp(
  String.raw`\b(?:take|make|pull off|break off|slice|get)\s+${N}\s+${SIZE}(?:balls|pieces|portions|rounds|dis[ck]s|lumps)\b`,
  'iu',
)
/** "Cut 3 inch circles, about 50": the number stands behind. */
const SO_MANY = new RegExp(
  String.raw`\b(?:circles|rounds|dis[ck]s|squares|balls|wrappers)\s*(?:[,(:–-]\s*|\s)(?:about|around|roughly|approx\.?|~|makes|you(?:'ll| will| should)? get)\s*(?:about )?(\d{1,3})(?!\d|\s*(?:cm|mm|g\b|inch|in\b|"|min))`,
  'iu',
)
/** "Squares 10 x 10 cm (40-45)": what comes of it, in brackets. */
const IN_BRACKETS =
  /\b(?:circles|rounds|dis[ck]s|squares|balls|wrappers)\b[^.;()]{0,24}\(\s*(?:about |approx\.? |~|makes )?(\d{1,3})(?:\s*(?:[-–]|to)\s*\d{1,3})?(?:\s+of them)?\s*\)/i
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
/** "Meat pie", "line a 9 inch pie dish": there is one. */
const ONE_PIE = /\bpie\b|\ben cro[uû]te\b|\bpithivier\b|\bcoulibiac\b/i
/** A joint or a side of fish that is baked whole in its dough. */
const WRAPPED_WHOLE =
  /\ben cro[uû]te\b|\bpithivier\b|\bcoulibiac\b|\b(?:plait|braid|strudel|wreath|stromboli|wellington)\b(?! rolls| parcels)/iu
const LINES_TRAY =
  /\bline (?:a|an|the|your) (?:\p{L}+ |\d+ ?x ?\d+ ?(?:cm )?)?(?:tray|tin|dish|pan)\b(?! with (?:baking |greaseproof |non-?stick )?(?:paper|parchment|foil|silicone))/iu
const ONE_DISH = /\b(?:line|in|into|over)\s+(?:a|an|the) [^.;]{0,24}?(?:dish|tin|plate|pan)\b/i
/** Two rounds make one piece. */
const PAIRS =
  /\b(?:top|cover|lid)\b[^.]{0,30}\bwith (?:the )?(?:bigger|larger)(?: (?:one|piece|sheet|rectangle|half))?(?=\W*(?:$|[.,]))|\b(?:top|cover|lid)\b[^.]{0,20}\bwith (?:the )?(?:other|second|remaining) (?:\d+|half|rounds|circles|dis[ck]s)|\bin pairs\b|\bbetween two\b/i
const BARE_BALLS = new RegExp(
  String.raw`(?:^\W*|,\s+)${N}\s+(?:x\s*\d+\s*(?:cm|mm|g)\s+)?${SIZE}(?:buns|saucers|balls|pieces|rounds|circles|dis[ck]s|squares|portions)\b`,
  'iu',
)
const HALVES =
  /\b(?:cut|halve|divide|slice|split)\b[^.;]{0,30}\b(?:in|into) (?:half|halves|two|2)\b|\bhalve (?:each|them|the (?:rounds|ovals|balls|dis[ck]s))\b|\bcut (?:(?:each|them) )?(?:in )?(?:half|two)\b(?=\W*(?:$|[-–,.;]))/i
const BALL_GRAMS =
  /(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?\s*(?:g|gm|gms|grams?)\b(?! (?:of )?(?:protein|fat|carb|fib|sugar))[^.;,]{0,12}\b(?:balls?|pieces|portions|each|dough each|of dough|lumps|bits)\b|\b(?:balls?|pieces|portions)\b[^.;]{0,24}?\b(?:of|weighing|at|about|~)\s*(?:about |around |~)?(\d{1,3})\s*(?:g|grams?)\b/i

/** "Net carbs about 5 g each" is a figure of the piece, not its weight. */
const FIGURE_BEFORE = /\b(?:carb\w*|protein|fat|fib(?:re|er)|sugars?|salt|sodium)\b[^.;,\d]{0,12}$/i

const NOT_PIECES =
  /\b(?:onions?|carrots?|potato(?:es)?|cabbage|leeks?|tofu|cheese|apples?|celery|peppers?|squash|pumpkin|mushrooms?|steps?|minutes?|layers?|slits?|meat|chicken|vegetables?)\b/i

interface Found {
  pieces: number
  /** How sure: a larger number wins. */
  weight: number
  says: string
}

/** How many a line counts, without a unit: "10 wrappers", "1 packet of discs (10)". */
const countOf = (read: ReadLine): number | null =>
  read.measures.find((measure) => measure[0]?.unitId === null)?.[0]?.low ?? null

const clamp = (value: number) => Math.min(MAX_PIECES, Math.max(1, Math.round(value)))
const low = (text: string) => Math.floor(readNumber(text)?.low ?? 0)

/** Pieces by dividing: "divide into 7 balls, … cut each in half" makes 14. */
function byDividing(clauses: readonly Clause[], shape: Shape | null): Found | null {
  let pieces: number | null = null
  let says = ''
  let rounds = 0
  for (const { text, about } of clauses) {
    if (!/\d|half|halve|two|quarter/i.test(text)) continue
    if (
      about !== null &&
      about !== 'pieces' &&
      about.kind !== 'shell' &&
      !/\b(?:dough|pastry|both|balls|rounds|circles|dis[ck]s|wrappers|sheets?|rotis?|buns|squares|rectangles|ovals)\b/i.test(
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
        if (
          /\b(?:cm|mm|inch|inches|min|minutes|g|ml|sides?|hours?|°|times|layers|thick)\b/i.test(
            after.slice(match[0].length - 1),
          ) &&
          !/\b(?:circles|rounds|dis[ck]s|balls)\b/i.test(match[0]) &&
          !/^\s*(?:thick|thin|flat) (?:circles|rounds|dis[ck]s)\b/i.test(
            text.slice(match.index + match[0].length),
          )
        )
          continue
        const count = low(match[3]!)
        if (count < 2 || count > 400) continue
        if (
          /^(?:make|get|yield)$/i.test(match[1]!) &&
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
            (/\beach\b/i.test(subject) &&
              !/\b(?:half|two)\b.*\b(?:so|makes?|giving|for|gives?)\s*$/i.test(subject)) ||
            /\beach (?:half|piece|part|portion|sheet)\b/i.test(match[0]),
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
      seen.push({ at: weighed.index + weighed[0].length, count: low(weighed[1]!), each: false })
    const bareCount = BARE_DIVIDE.exec(text)
    if (bareCount && !seen.length)
      seen.push({ at: bareCount.index + bareCount[0].length, count: low(bareCount[1]!), each: false })
    const take = TAKE.exec(text)
    if (take && !seen.length)
      seen.push({ at: take.index + take[0].length, count: low(take[1]!), each: false })
    const out = CUT_OUT.exec(text)
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
  if (pieces % 2 === 0 && clauses.some(({ text }) => PAIRS.test(text))) pieces /= 2
  if (shape === 'lidded-pie' && pieces <= 3) return null
  // "Divide in two … line a tray": the bottom and the lid of one.
  if (pieces === 2 && clauses.some(({ text }) => LINES_TRAY.test(text))) return null
  return pieces < 2 ? null : { pieces, weight: 60, says }
}

/**
 * What a serving of filled dough as a main dish weighs before it is cooked, where nobody says: ten small dumplings, two
 * or three buns, one pasty. Common practice, no source. (The reference amount for a mixed dish that is not measured
 * with a cup, 140 g in 21 CFR 101.12(b), from memory, is a label's serving and less than a cook's.)
 */
const SERVING_GRAMS = 200
const SLICES_OF_A_PIE = 6

/** How many a batch serves, guessed by its weight in whole pieces, and in words what was taken for a serving. */
function guessServings(shape: Shape | null, pieces: number, drafts: readonly Draft[]) {
  if (shape === 'lidded-pie' && pieces === 1)
    return { servings: SLICES_OF_A_PIE, says: 'six slices of the pie' }
  const eaten = drafts
    .filter(({ kind }) => kind === 'shell' || kind === 'filling')
    .flatMap(({ lines }) => lines)
    .reduce((sum, { line }) => sum + (line.grams ?? 0), 0)
  if (!(eaten > 0)) return { servings: Math.max(1, Math.round(pieces / 2)), says: 'two pieces each' }
  const pieceGrams = eaten / pieces
  // What is held in the hand is nobody's to share, a large pasty neither.
  const cut = shape === 'coil' || shape === 'roll' || shape === 'lidded-pie' || pieceGrams > 4 * SERVING_GRAMS
  if (pieceGrams > 2 * SERVING_GRAMS && cut) {
    const slices = Math.round(pieceGrams / SERVING_GRAMS)
    return {
      servings: pieces * slices,
      says: `a piece of about ${Math.round(pieceGrams)} g is cut for ${slices}`,
    }
  }
  const each = Math.max(1, Math.round(SERVING_GRAMS / pieceGrams))
  const many = each === 1 ? 'one piece' : `${each} pieces`
  return {
    servings: Math.max(1, Math.round(pieces / each)),
    says: `${many} of about ${Math.round(pieceGrams)} g each`,
  }
}

const LAST_WORDS = 200
const GET =
  /\b(?:(?:i|we) (?:usually |always |normally )?(?:get|got)|you(?:'ll| will| should)? get|(?:it|this|that) makes|makes)\s+(?:about |around |roughly )?(\d{1,3})\b(?!\s*(?:g|kg|ml|cups?|minutes?|mins?|cm|inch)\b)/i

/** How many pieces and servings, from everything the text says of them; the most specific wins. */
export function countPieces(
  outline: Outline,
  clauses: readonly Clause[],
  drafts: readonly Draft[],
  shape: Shape | null,
  notes: RecipeNote[],
): Counted {
  const found: Found[] = []
  let servings: number | null = null
  let perServing: number | null = null
  const said = [...outline.counts]
  for (const { text } of outline.steps) {
    // What is told in one breath says at its end how many there are.
    const step = text.length < 500 ? text : text.slice(-LAST_WORDS)
    const yields = readYields(step)
    if (yields) said.push({ ...yields, text: step })
  }
  // In one breath it is said anywhere: "… cut five inch rounds i get about 16 put two tablespoons in each".
  for (const { text } of clauses) {
    const own = text.length > LAST_WORDS / 2 ? GET.exec(text) : null
    if (own && !said.some(({ pieces }) => pieces))
      said.push({ pieces: Number(own[1]), servings: null, perServing: null, text: own[0] })
  }
  said.forEach((count, at) => {
    // "Make 6 balls" among the steps is work; "Makes 24" is a promise wherever it stands.
    const stated =
      at < outline.counts.length &&
      (!outline.steps.some((step) => step.text.includes(count.text)) ||
        /\b(?:makes|yields?|gives|serves)\b/i.test(count.text))
    if (count.pieces)
      found.push({ pieces: count.pieces, weight: stated ? 100 - at : 50 - at, says: count.text })
    servings ??= count.servings
    perServing ??= count.perServing
  })
  if (perServing && servings)
    found.push({
      pieces: clamp(perServing * servings),
      weight: 80,
      says: `${perServing} each for ${servings}`,
    })
  const fillings = drafts.filter((draft) => draft.kind === 'filling' && !draft.into)
  const stated = fillings.map((draft) => draft.pieces)
  if (fillings.length && stated.every((pieces) => pieces !== null)) {
    const sum = stated.reduce((total, pieces) => total! + pieces!, 0)!
    found.push({
      pieces: sum,
      weight: fillings.length > 1 ? 70 : 55,
      says: fillings.map((draft) => draft.name).join(', '),
    })
  }
  const divided = byDividing(clauses, shape)
  if (divided) found.push(divided)

  const shell = drafts.filter((draft) => draft.kind === 'shell').flatMap((draft) => draft.lines)
  const doughGrams = shell.reduce((sum, { line }) => sum + (line.grams ?? 0), 0)
  const text = [...outline.steps.map((step) => step.text), ...said.map((count) => count.text)].filter(
    (one) => one.length < 500,
  )
  let ball: { grams: number; says: string } | null = null
  for (const one of text) {
    const weighed = BALL_GRAMS.exec(one)
    const match =
      weighed &&
      (/\b(?:filling|stuffing|mixture)\b|\b(?:in(?:to)?|on) (?:each|every)\b/i.test(weighed[0]) ||
        FIGURE_BEFORE.test(one.slice(0, weighed.index)))
        ? null
        : weighed
    const word = /\b(?:of|with) (?:the )?(?:filling|stuffing|mixture)\b/i.test(one)
      ? undefined
      : BALL_WORDS.find(([pattern]) => pattern.test(one))
    const grams = match
      ? match[3]
        ? Number(match[3])
        : (Number(match[1]) + Number(match[2] ?? match[1])) / 2
      : (word?.[1] ?? null)
    if (
      grams !== null &&
      grams >= 3 &&
      !ball &&
      !/\bfilling\b[^.]{0,20}$/i.test(one.slice(0, match?.index ?? 0))
    )
      ball = { grams, says: one }
  }
  if (ball && doughGrams > ball.grams && shell.some(({ food }) => isDoughBase(food)))
    found.push({ pieces: clamp(doughGrams / ball.grams), weight: 40, says: ball.says })
  const wrapper = shell.find(({ food }) => foodIs(food, 'bought-dough') && food!.unitGrams.piece)
  const wrapperGrams = wrapper?.food?.unitGrams.piece
  const unknownWrapper = shell.find(
    ({ food, read, line }) => !food && READY_WORDS.test(line.raw) && countOf(read) !== null,
  )
  if (unknownWrapper)
    found.push({
      pieces: clamp(countOf(unknownWrapper.read)!),
      weight: 65,
      says: unknownWrapper.line.raw,
    })
  if (
    wrapper &&
    wrapperGrams &&
    (wrapper.food!.group === 'wrapper' || wrapper.food!.unitGrams.disc) &&
    wrapper.line.grams
  )
    found.push({
      pieces: clamp(countOf(wrapper.read) ?? wrapper.line.grams / wrapperGrams),
      weight: 30,
      says: wrapper.line.raw,
    })

  found.sort((a, b) => b.weight - a.weight)
  const best = found[0]
  let onePie = false
  let pieces: number
  if (best) {
    pieces = clamp(best.pieces)
    const others = found.filter((one) => clamp(one.pieces) !== pieces && one.weight >= 40)
    if (others.length)
      notes.push({
        code: 'pieces-differ',
        level:
          Math.max(...others.map((one) => one.weight)) >= 50 &&
          !others.some((one) => one.pieces % pieces === 0 || pieces % one.pieces === 0)
            ? 'check'
            : 'note',
        text: `${pieces} pieces are taken; the text also gives ${[...new Set(others.map((one) => `${clamp(one.pieces)} ("${one.says.trim().slice(0, 120)}")`))].join(', ')}`,
      })
    if (best.weight === 30)
      notes.push({
        code: 'pieces-assumed',
        level: 'check',
        text: `The number of pieces is not stated: one for each wrapper, ${pieces}`,
      })
    else if (best.weight === 40)
      notes.push({
        code: 'pieces-by-ball',
        level: 'note',
        text: `${pieces} pieces: ${Math.round(doughGrams)} g of dough in balls of ${Math.round(ball!.grams)} g`,
      })
  } else if (shape === 'lidded-pie' || WRAPPED_WHOLE.test(outline.title)) {
    pieces = 1
    onePie = ONE_PIE.test(outline.title) || clauses.some(({ text: one }) => ONE_DISH.test(one))
    if (!onePie)
      notes.push({ code: 'pieces-assumed', level: 'note', text: 'One pie: its number is not stated' })
  } else {
    pieces = clamp(doughGrams / ASSUMED_BALL_GRAMS)
    notes.push({
      code: 'pieces-assumed',
      level: 'check',
      text: `The number of pieces is not stated: ${pieces}, from ${Math.round(doughGrams)} g of dough at ${ASSUMED_BALL_GRAMS} g each`,
    })
  }
  const piecesStated = onePie || (best !== undefined && best.weight !== 30)
  let servingsStated = true
  let eaters: number | null = servings
  if (eaters === null && perServing) eaters = Math.max(1, pieces / perServing)
  if (eaters === null) {
    servingsStated = false
    const guess = guessServings(shape, pieces, drafts)
    eaters = guess.servings
    notes.push({
      code: 'servings-assumed',
      level: 'check',
      text: `Servings are not stated: ${guess.says}, so ${eaters}`,
    })
  }
  return { pieces, servings: Math.min(MAX_PIECES, Math.max(1, eaters)), piecesStated, servingsStated }
}

/** "Filling per bun: 30 g cheese" is for one piece: the batch takes as many times that. */
export function timesPieces(drafts: readonly Draft[], pieces: number, notes: RecipeNote[]): void {
  for (const draft of drafts) {
    if (draft.kind !== 'shell' && pieces > 1)
      for (const { line } of draft.lines) {
        if (line.grams === null || !LINE_PER_PIECE.test(line.raw)) continue
        Object.assign(line, timesWeights(line, pieces))
        // It is for all now, and no word of it says otherwise.
        line.prep = line.prep.filter((word) => !LINE_PER_PIECE.test(word))
        line.notes.push({
          code: 'per-piece',
          level: 'check',
          text: `The amount was taken for one piece, and ${pieces} times that for all`,
        })
      }
    if (draft.kind === 'shell' || draft.kind === 'pan' || !PER_PIECE.test(draft.name) || pieces < 2) continue
    for (const { line } of draft.lines)
      if (!IN_ALL.test(line.raw)) Object.assign(line, timesWeights(line, pieces))
    notes.push({
      code: 'per-piece',
      level: 'check',
      text: `${draft.name}: the amounts were taken for one piece, and ${pieces} times that for all`,
    })
    // They are for all now, and the name says so.
    draft.name = draft.name.replace(PER_PIECE, '').trim() || PART_NAMES[draft.kind]
  }
}
/** "1 tsp ghee per paratha", "a small knob of butter each"; not "2 onions, 100 g each", nor "½ tsp each salt and pepper". */
const IN_ALL = /\b(?:in all|in total|altogether|for all)\b/i
const LINE_PER_PIECE = new RegExp(
  String.raw`\b(?:per|for each|on each|in each|for every)\s+(?:one|piece|${PIECES})\b|^\W*(?:an? |\d[\d/. ]* |[¼½¾⅓⅔] )?(?:(?:small|big|little|good|level|heaped) )*(?:knobs?|pinch|slices?|sprigs?|dots?|cubes?|tsp|teaspoons?|tbsp|tablespoons?|spoons?|spoonfuls?)\s+(?:of )?\p{L}[\p{L} ]{2,30}\s+(?:in )?each\W*$`,
  'iu',
)
const PER_PIECE = new RegExp(
  String.raw`\b(?:per|for each|for one|in each) (?:one|piece|${PIECES})\b|\beach\W*$`,
  'iu',
)
