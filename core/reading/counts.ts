import { recalled } from './matches'
import { foodIs } from '../food/groups'
import type { RecipeNote } from '../recipe/document'
import { MAX_PIECES, type CookingWay, type Shape } from '../recipe/vocabulary'
import { assumedDough } from './assumedPieces'
import { byDividing, LAYS_IN_TRAY, type Found } from './dividing'
import { MOST_SHEET_GRAMS } from './eachPiece'
import type { FoundFact } from './facts'
import { isDoughBase, READY_WORDS, type Draft } from './drafts'
import type { Clause } from './method'
import type { Outline } from './outlineState'
import { guessServings } from './guessServings'
import type { ReadLine } from './readLine'
import { readYields } from './servings'
import { sentencesOf } from './tidy'

export interface Counted {
  pieces: number
  servings: number
  piecesStated: boolean
  servingsStated: boolean
}

/** Balls that are named after things. Common practice, no source: a walnut of dough is 15 to 18 g. */
const BALL_WORDS: readonly [RegExp, number][] = [
  [/\bwalnut[- ]siz/i, 17],
  [/\bcherry[- ]siz|marble[- ]siz/i, 10],
  [/\b(?:lemon|lime|ping[- ]?pong(?: ball)?)[- ]siz/i, 40],
  [/\bgolf[- ]ball[- ]siz|golf ball\b/i, 45],
  [/\begg[- ]siz/i, 55],
  [/\b(?:tangerine|tennis[- ]ball|orange)[- ]siz/i, 90],
]

/** "Roll between two sheets into a circle, fold over": one piece, and nothing is divided. */
const ONE_SHEET = recalled(
  /\b(?:roll|press|pat|stretch)\b[^.;]*\binto an? (?:(?:large|big|thin|rough) )*(?:circle|round|dis[ck]|rectangle|oval)\b/i,
)
const isOneSheet = (clauses: readonly Clause[]): boolean =>
  clauses.some(({ text }) => ONE_SHEET.test(text) && !/\b(?:each|every|them|balls?|pieces?)\b/i.test(text)) &&
  !clauses.some(({ text }) => /\b(?:divide|balls|portions|each|rounds|circles|repeat)\b/i.test(text))

/** "Meat pie", "line a 9 inch pie dish": there is one. */
const ONE_PIE = recalled(/\bpie\b|\ben cro[uû]te\b|\bpithivier\b|\bcoulibiac\b/i)
/** A joint or a side of fish that is baked whole in its dough. */
const WRAPPED_WHOLE = recalled(
  /\ben cro[uû]te\b|\bpithivier\b|\bcoulibiac\b|\b(?:plait|braid|\p{L}*strudel|wreath|galette|crostata|stromboli|wellington)\b(?! rolls| parcels)/iu,
)
const SLICES = recalled(/\b(?:slices|wedges)\b/i)
const ONE_DISH = recalled(/\b(?:line|in|into|over)\s+(?:a|an|the) [^.;]{0,24}?(?:dish|tin|plate|pan|tray)\b/i)
const BALL_GRAMS = recalled(
  /(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?\s*(?:g|gm|gms|grams?)\b(?! (?:of )?(?:protein|fat|carb|fib|sugar))[^.;,]{0,12}\b(?:balls?|pieces|portions|each|dough each|of dough|lumps|bits)\b|\b(?:balls?|pieces|portions)\b[^.;]{0,24}?\b(?:of|weighing|at|about|~)\s*(?:about |around |~)?(\d{1,3})\s*(?:g|grams?)\b/i,
)

/** "Net carbs about 5 g each" is a figure of the piece, not its weight. */
const FIGURE_BEFORE = recalled(
  /\b(?:carb\w*|nc|net|protein|fat|fib(?:re|er)|sugars?|salt|sodium)\b[^.;,\d]{0,12}$/i,
)

/** How many a line counts, without a unit: "10 wrappers", "1 packet of discs (10)". */
const countOf = (read: ReadLine): number | null =>
  read.measures.find(
    (measure) => measure[0]?.unitId === null || /^(?:sheet|slice)$/.test(measure[0]?.unitId ?? ''),
  )?.[0]?.low ?? null

/** A tube or packet is unrolled as a sheet. */
const sheetsOf = (read: Parameters<typeof countOf>[0]): number | null =>
  countOf(read) ??
  read.measures.find((measure) => /^(?:tube|can|packet|roll)$/.test(measure[0]?.unitId ?? ''))?.[0]?.low ??
  null

const REPEATED = recalled(
  /\brepeat\b|\b(?:for|per) each (?:parcel|roll|piece|pocket|packet|bundle|one)\b|\bper (?:parcel|roll|piece|pocket)\b/i,
)
const SHEETS_EACH = recalled(
  /\b(?:brush|layer|take|stack|use|lay(?: out)?) (2|3|two|three) (?:sheets|layers)\b/i,
)

const FROM_EACH_SHEET = recalled(
  /\b(?:cut|stamp|get) (?:out )?(\d{1,2})\b[^.;]{0,40}\b(?:from|out of) each (?:sheet|pack|block|roll)\b|\b(?:cut|divide) each (?:sheet|pack|block|roll) (?:in|into) (\d{1,2})\b/i,
)

const HALVES_BREAD = recalled(
  /\b(?:halve|cut) (?:the |each |all )?(?:\d+ )?(?:pitt?as?|breads?|naans?|rotis?|tortillas?|wraps?|flat ?breads?)(?: bread)?(?: in (?:half|two|2))?(?=\W*(?:$|[,.;]| and| to| so))/i,
)
const TIN = recalled(/\b(?:oil|grease|butter|line)\b[^.;]{0,24}\b(?:tin|dish|tray|pan)\b/i)
const HALF_OF_SHEETS = recalled(
  /\bhalf (?:of )?(?:the |your )?(?:filo|phyllo|fillo|yufka|sheets|pastry)\b|\b(?:cover|top) with (?:the )?(?:rest|remaining|other (?:half|\d+))\b[^.;]{0,20}\b(?:filo|phyllo|fillo|yufka|sheets|pastry)\b/i,
)
const CUT_INTO = recalled(
  /\b(?:score|mark|cut|slice)\b[^.;]{0,30}?\b(?:in)?to (\d{1,2}) (?:pieces|squares|portions|slices|diamonds|wedges|servings)\b|\b(?:cut|slice) (?:it )?in(?:to)? (\d{1,2})(?=\W*$)/i,
)

/** Into so many sheets at most a dough is divided to be rolled out and cut. Our own choice. */
const MOST_SHEETS = 4
const clamp = (value: number) => Math.min(MAX_PIECES, Math.max(1, Math.round(value)))

const LAST_WORDS = 200
const GET = recalled(
  /\b(?:(?:i|we) (?:usually |always |normally )?(?:get|got)|you(?:'ll| will| should)? get|(?:it|this|that) makes|makes)\s+(?:about |around |roughly )?(\d{1,3})\b(?!\s*(?:g|kg|ml|cups?|minutes?|mins?|cm|inch)\b)/i,
)

/** How many pieces and servings, from everything the text says of them; the most specific wins. */
export function countPieces(
  outline: Outline,
  clauses: readonly Clause[],
  drafts: readonly Draft[],
  shape: Shape | null,
  way: CookingWay,
  facts: readonly FoundFact[],
  notes: RecipeNote[],
): Counted {
  const found: Found[] = []
  let servings: number | null = null
  let perServing: number | null = null
  const said = [...outline.counts]
  for (const { text } of outline.steps) {
    // What is told in one breath says at its end how many there are.
    const step = text.length < 500 ? text : text.slice(-LAST_WORDS)
    // "Serve with fried onions. ~ 35 pcs": how many stands by itself behind the work.
    const last = sentencesOf(step).at(-1) ?? step
    const alone = last !== step && last.split(' ').length <= 4 ? readYields(last) : null
    const yields = readYields(step) ?? (alone?.pieces && alone.whole ? alone : null)
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
    // "For 8 slices": what one pie or strudel is cut into.
    const isCutUp = SLICES.test(count.text) && (shape === 'lidded-pie' || WRAPPED_WHOLE.test(outline.title))
    if (count.pieces && !isCutUp)
      found.push({ pieces: count.pieces, weight: stated ? 100 - at : 50 - at, says: count.text })
    servings ??= count.servings ?? (isCutUp ? count.pieces : null)
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
  const shell = drafts.filter((draft) => draft.kind === 'shell').flatMap((draft) => draft.lines)
  const boughtLine = shell.find(({ food }) => foodIs(food, 'bought-dough'))
  const divided = byDividing(clauses, shape, boughtLine ? countOf(boughtLine.read) : null)
  // "Apple strudel … cut into 6 slices" once it is baked: one was made.
  const isSliced = divided !== null && WRAPPED_WHOLE.test(outline.title) && /\bslices\b/i.test(divided.says)
  if (divided && !isSliced) found.push(divided)

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
        // "Stuff 40 g of keema each" weighs what goes in.
        /\b(?:fill|stuff|put|place|spoon)\b[^.;,\d]{0,20}$/i.test(one.slice(0, weighed.index)) ||
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
  // "Oil a tin, lay half of the filo, cover with the rest": all of the sheets are one pie.
  // Coils that lie in a tray side by side are as many as they are.
  const isOneCoil =
    shape === 'coil' &&
    clauses.some(({ text: one }) => ONE_DISH.test(one) && !/\btray\b/i.test(one)) &&
    !clauses.some(({ text: one }) => /\b(?:coils|snails|spirals|(?:coil|roll)\w* each)\b/i.test(one))
  const isInTin =
    WRAPPED_WHOLE.test(outline.title) ||
    isOneCoil ||
    (clauses.some(({ text: one }) => TIN.test(one)) &&
      clauses.some(({ text: one }) => HALF_OF_SHEETS.test(one)))
  // "Halve the pitas, open up and fill": each half is a pocket.
  const isHalved = clauses.some(({ text: one, closed }) => !closed && HALVES_BREAD.test(one))
  const breads = shell.length === 1 && shell[0]!.food?.group === 'bread' ? countOf(shell[0]!.read) : null
  const bread = breads && isHalved ? 2 * breads : breads
  if (bread) found.push({ pieces: clamp(bread), weight: 30, says: shell[0]!.line.raw })
  if (
    !isInTin &&
    wrapper &&
    wrapperGrams &&
    (wrapper.food!.group === 'wrapper' || wrapper.food!.unitGrams.disc || wrapperGrams <= MOST_SHEET_GRAMS) &&
    wrapper.line.grams
  )
    found.push({
      pieces: clamp(countOf(wrapper.read) ?? wrapper.line.grams / wrapperGrams),
      weight: 30,
      says: wrapper.line.raw,
    })

  // "Brush 2 sheets, … wrap. Repeat": so many sheets are one piece.
  const sheets = clauses.map(({ text: one }) => SHEETS_EACH.exec(one)).find(Boolean)
  const stacked = shell.find(({ food, read }) => food?.group === 'pastry' && countOf(read) !== null)
  if (sheets && stacked && clauses.some(({ text: one }) => REPEATED.test(one)))
    found.push({
      pieces: clamp(countOf(stacked.read)! / (/^(?:2|two)$/i.test(sheets[1]!) ? 2 : 3)),
      weight: 35,
      says: sheets[0],
    })

  // "2 sheets shortcrust … cut 3 circles from each sheet".
  const fromEach = clauses.map(({ text: one }) => FROM_EACH_SHEET.exec(one)).find(Boolean)
  const sheetLine = shell.find(
    ({ food, read }) => food?.group === 'pastry' && food.id !== 'filo' && (sheetsOf(read) ?? 0) > 1,
  )
  if (fromEach && sheetLine)
    found.push({
      pieces: clamp(Number(fromEach[1] ?? fromEach[2]) * sheetsOf(sheetLine.read)!),
      weight: 62,
      says: fromEach[0],
    })

  // "1 pack croissant dough - 6 triangles".
  for (const { food, line } of shell) {
    const cutAs = /[-–(,]\s*(\d{1,2}) (?:triangles|pieces|balls|rounds|dis[ck]s|squares|portions)\b/i.exec(
      line.raw,
    )
    if (cutAs && foodIs(food, 'bought-dough'))
      found.push({ pieces: clamp(Number(cutAs[1])), weight: 30, says: line.raw })
  }

  found.sort((a, b) => b.weight - a.weight)
  // "Parcels (6) … 12 triangles, 2 each": the title counts who eats.
  const each = perServing
  const eaten =
    each && each > 1 && servings === null && !/\b(?:makes?|yields?|gives)\b/i.test(found[0]?.says ?? '')
      ? found.find(({ pieces }) => pieces === found[0]!.pieces * each)
      : undefined
  if (eaten) {
    servings = found[0]!.pieces
    eaten.weight = found[0]!.weight + 1
    found.sort((a, b) => b.weight - a.weight)
  }
  const best = found[0]
  let onePie = false
  let pieces: number
  if (best) {
    pieces = clamp(best.pieces)
    // "Divide the dough in two. Roll each half to a sheet": how it is worked, where more come of it.
    const isShare = (one: Found) => one === divided && one.pieces <= MOST_SHEETS && pieces > 2 * one.pieces
    const others = found.filter((one) => clamp(one.pieces) !== pieces && one.weight >= 40 && !isShare(one))
    if (others.length)
      notes.push({
        code: 'pieces-differ',
        level:
          Math.max(...others.map((one) => one.weight)) >= 50 &&
          !others.some((one) => one.pieces % pieces === 0 || pieces % one.pieces === 0)
            ? 'check'
            : 'note',
        text: `${pieces === 1 ? '1 piece is' : `${pieces} pieces are`} taken; the text also gives ${[...new Set(others.map((one) => `${clamp(one.pieces)} ("${one.says.trim().slice(0, 120)}")`))].join(', ')}`,
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
  } else if (
    isOneSheet(clauses) ||
    shape === 'lidded-pie' ||
    WRAPPED_WHOLE.test(outline.title) ||
    // "Roll up and coil into a 28 cm tin": there is one.
    (shape === 'coil' && clauses.some(({ text: one }) => ONE_DISH.test(one) || LAYS_IN_TRAY.test(one)))
  ) {
    pieces = 1
    onePie =
      ONE_PIE.test(outline.title) ||
      clauses.some(({ text: one }) => ONE_DISH.test(one) || LAYS_IN_TRAY.test(one))
    if (!onePie)
      notes.push({ code: 'pieces-assumed', level: 'note', text: 'One pie: its number is not stated' })
  } else {
    const assumed = assumedDough(shape, way, facts, outline.title)
    pieces = clamp(doughGrams / assumed.grams)
    notes.push({
      code: 'pieces-assumed',
      level: 'check',
      text: `The number of pieces is not stated: ${pieces}, from ${Math.round(doughGrams)} g of dough at ${assumed.says}`,
    })
  }
  const piecesStated = onePie || (best !== undefined && best.weight !== 30)
  let servingsStated = true
  // "Score into 8 pieces": what one pie is cut into.
  const scored =
    pieces === 1 || isSliced ? clauses.map(({ text: one }) => CUT_INTO.exec(one)).find(Boolean) : null
  let eaters: number | null = servings ?? (scored ? Number(scored[1] ?? scored[2]) : null)
  if (eaters === null && perServing) eaters = Math.max(1, pieces / perServing)
  if (eaters === null) {
    servingsStated = false
    // "Stout pies (4 individual)": one for each.
    const alone =
      [outline.title, ...said.map(({ text: one }) => one)].some((one) => /\bindividual\b/i.test(one)) ||
      // "Into 4 individual pie dishes"; individual leaves or sheets serve nobody.
      text.some((one) =>
        /\bindividual (?:\p{L}+ )?(?:pies|dishes|tins|ramekins|basins|moulds|molds)\b/iu.test(one),
      )
    const guess = alone
      ? { servings: pieces, says: 'one piece, for they are called individual' }
      : guessServings(shape, pieces, drafts)
    eaters = guess.servings
    notes.push({
      code: 'servings-assumed',
      level: 'check',
      text: `Servings are not stated: ${guess.says}, so ${eaters}`,
    })
  }
  return { pieces, servings: Math.min(MAX_PIECES, Math.max(1, eaters)), piecesStated, servingsStated }
}
