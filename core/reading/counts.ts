import { recalled } from './matches'
import type { RecipeNote } from '../recipe/document'
import { MAX_PIECES, type CookingWay, type Shape } from '../recipe/vocabulary'
import { assumedDough, LARGE } from './assumedPieces'
import type { FoundFact } from './facts'
import type { Draft } from './drafts'
import type { Clause } from './method'
import type { Outline } from './outlineState'
import { guessServings } from './guessServings'
import { leaveInPacket } from './leftInPacket'
import {
  ballOf,
  BY_WHAT_IS_BOUGHT,
  dividedBy,
  isCutUp,
  isInOneDish,
  isSlicedWhole,
  wholePieces,
  witnessesOf,
  WRAPPED_WHOLE,
  type Counting,
  type Witnessed,
} from './pieceWitnesses'
import { isInTray, PLAITED_OVER } from './shape'
import { readYields, type Yields } from './servings'
import { withStops } from './sentences'
import { sentencesOf } from './sentenceEnds'

// How many pieces and servings there are, from everything the text says of them.

export interface Counted {
  pieces: number
  servings: number
  piecesStated: boolean
  servingsStated: boolean
}

/** "Roll between two sheets into a circle, fold over": one piece, and nothing is divided. */
const ONE_SHEET = recalled(
  /\b(?:roll|press|pat|stretch)\b[^.;]*\b(?:into an? (?:(?:large|big|thin|rough) )*(?:circle|round|dis[ck]|rectangle|oval)\b|(?:in)?to an? (?:about )?\d+(?:-\d+)?[ -]?(?:cm|inch|in|["”])[ -]*(?:circle|round|dis[ck]|oval)\b|(?:in)?to (?:an? )?\d+ ?(?:cm|inch|in|["”])? ?(?:x|×|by) ?\d+ ?(?:cm|inch|in|["”])?[ -]*(?:rectangle|square)\b|to (?:an? )?rectangle\b|(?:in)?to (?:about )?(?:(?:2[4-9]|[3-9]\d) ?cm|(?:9|1\d) ?(?:inch(?:es)?|in|["”]))(?! ?(?:x|×|by)\b))/i,
)
const isOneSheet = (clauses: readonly Clause[]): boolean =>
  clauses.some(({ text }) => ONE_SHEET.test(text) && !/\b(?:each|every|them|balls?|pieces?)\b/i.test(text)) &&
  !clauses.some(({ text }) =>
    /\b(?:divide|balls|portions|each|rounds|circles|squares|triangles|rectangles|cutter|repeat)\b/i.test(
      text,
    ),
  )

/** "Meat pie", "line a 9 inch pie dish": there is one. */
const ONE_PIE = recalled(/\bpie\b|\ben cro[uû]te\b|\bpithivier\b|\bcoulibiac\b/i)
const CUT_INTO = recalled(
  /\b(?:score|mark|cut|slice)\b[^.;]{0,30}?\b(?:in(?:to)?|to) (\d{1,2}) (?:pieces|squares|portions|slices|diamonds|wedges|servings)\b|\b(?:cut|slice|slicing|cutting|score) (?:it )?in(?:to)? (\d{1,2})(?=\W*$|,\s)/i,
)
/** Into so many sheets at most a dough is divided to be rolled out and cut. Our own choice. */
const MOST_SHEETS = 4
/** No cook's balls are weighed closer. Our own choice. */
const NEAR_SHARE = 0.12
/** From here on a number is one that a reader of the text would take for the number of pieces. */
const LEAST_TOLD_WEIGHT = 40

const LAST_WORDS = 200
const MAKES_AT_END = /\bmakes (?:about |around |roughly )?\d{1,3}(?: [a-zß-öø-ɏ]+)?\W*$/i
/** "… chicken momos I make about thirty you take two cups …": in speech it is said between other things. */
function saidInSpeech(step: string): Yields | null {
  const stopped = withStops(step)
  if (stopped === step) return null
  const said = sentencesOf(stopped).map(readYields)
  return said.find((one) => one?.pieces) ?? null
}
/** What the rows of a text, and behind them its steps, say of pieces and servings. */
function saidOf(outline: Outline): Outline['counts'] {
  const said = [...outline.counts]
  for (const { text } of outline.steps) {
    // What is told in one breath says at its end how many there are.
    const step = text.length < 500 ? text : text.slice(-LAST_WORDS)
    // "Serve with fried onions. ~ 35 pcs": how many stands by itself behind the work.
    const last = sentencesOf(step).at(-1) ?? step
    const alone = last !== step && last.split(' ').length <= 4 ? readYields(last) : null
    // "… make 6 balls cut in half … fry 10 mins makes 12": the last words promise.
    const promise = MAKES_AT_END.exec(step)?.[0]
    const yields =
      (promise ? readYields(promise) : null) ??
      readYields(step) ??
      (alone?.pieces && alone.whole ? alone : step === text ? null : readYields(text)) ??
      saidInSpeech(text)
    if (yields) said.push({ ...yields, text: step })
  }
  return said
}

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
  const shell = drafts.filter((draft) => draft.kind === 'shell').flatMap((draft) => draft.lines)
  const said = saidOf(outline)
  const first = (of: (count: Outline['counts'][number]) => number | null) =>
    said.map(of).find((value) => value !== null) ?? null
  const counting: Counting = {
    outline,
    clauses,
    drafts,
    shape,
    shell,
    doughGrams: shell.reduce((sum, { line }) => sum + (line.grams ?? 0), 0),
    said,
    servings: first(
      ({ servings, pieces, text }) => servings ?? (isCutUp(text, shape, outline.title) ? pieces : null),
    ),
    perServing: first(({ perServing }) => perServing),
    divided: dividedBy(clauses, shape, shell),
  }
  const found = witnessesOf(counting)
  const eaten = eatenInTitle(counting, found)
  const best = eaten?.best ?? found[0]
  const servings = eaten?.servings ?? counting.servings
  const { pieces, stated } = best
    ? { pieces: believe(best, found, counting, notes), stated: !BY_WHAT_IS_BOUGHT.has(best.by) }
    : assumePieces(counting, way, facts, notes)
  if (stated) leaveInPacket(drafts, found, pieces)
  const eaters = eatersOf({ ...counting, servings }, pieces) ?? guessEaters(counting, pieces, notes)
  return {
    pieces,
    servings: Math.min(MAX_PIECES, Math.max(1, eaters.servings)),
    piecesStated: stated,
    servingsStated: eaters.stated,
  }
}

/** "Parcels (6) … 12 triangles, 2 each": the title counts who eats. */
function eatenInTitle(
  { perServing, servings }: Counting,
  found: readonly Witnessed[],
): { best: Witnessed; servings: number } | null {
  const [first] = found
  if (!first || !perServing || perServing <= 1 || servings !== null) return null
  // "8 pockets, 2 each" counts the pockets.
  if (/\b(?:makes?|yields?|gives|each|per)\b/i.test(first.says)) return null
  const best = found.find(({ pieces }) => pieces === first.pieces * perServing)
  return best ? { best, servings: first.pieces } : null
}

/** The number of the surest witness; what others say is noted. */
function believe(
  best: Witnessed,
  found: readonly Witnessed[],
  counting: Counting,
  notes: RecipeNote[],
): number {
  const pieces = wholePieces(best.pieces)
  const others = found.filter((one) => {
    if (wholePieces(one.pieces) === pieces || one.weight < LEAST_TOLD_WEIGHT) return false
    // "Divide the dough in two. Roll each half to a sheet": how it is worked, where more come of it.
    if (one.by === 'dividing' && one.pieces <= MOST_SHEETS && pieces > 2 * one.pieces) return false
    // "Cut each sheet into 6", of which there are two.
    if (
      one.by === 'dividing' &&
      /\beach (?:sheet|pack|block|roll|strip)\b/i.test(one.says) &&
      pieces % one.pieces === 0
    )
      return false
    // "Cut each sheet into 6", half of them for lids, or each of them cut again.
    if (one.by === 'bySheet' && (one.pieces % pieces === 0 || pieces % one.pieces === 0)) return false
    // "Make 7 balls, cut in half": how it is worked.
    if (
      pieces === 2 * wholePieces(one.pieces) &&
      /\b(?:half|halve|halves|in(?:to)? (?:two|2))\b/i.test(one.says)
    )
      return false
    // What balls of a weight come to is near enough.
    return !(one.by === 'byBall' && Math.abs(one.pieces - pieces) <= NEAR_SHARE * pieces)
  })
  if (others.length) {
    const isDoubtful =
      Math.max(...others.map((one) => one.weight)) >= 50 &&
      !others.some((one) => one.pieces % pieces === 0 || pieces % one.pieces === 0)
    // Each number once, by the first that gives it.
    const numbers = others.map((one) => wholePieces(one.pieces))
    const told = others
      .filter((_, at) => numbers.indexOf(numbers[at]!) === at)
      .map((one) => `${wholePieces(one.pieces)} ("${one.says.trim().slice(0, 120)}")`)
    notes.push({
      code: 'pieces-differ',
      level: isDoubtful ? 'check' : 'note',
      text: `${pieces === 1 ? '1 piece is' : `${pieces} pieces are`} taken; the text also gives ${told.join(', ')}`,
    })
  }
  if (BY_WHAT_IS_BOUGHT.has(best.by))
    notes.push({
      code: 'pieces-assumed',
      level: 'check',
      text: `The number of pieces is not stated: one for each ${best.by === 'byOneSheet' ? 'sheet' : 'wrapper'}, ${pieces}`,
    })
  else if (best.by === 'byBall')
    notes.push({
      code: 'pieces-by-ball',
      level: 'note',
      text: `${pieces} pieces: ${Math.round(counting.doughGrams)} g of dough in balls of ${Math.round(ballOf(counting)!.grams)} g`,
    })
  return pieces
}

/** No calzone has more dough. Common practice, no source. */
const MOST_MEAL_GRAMS = 300

/** Nobody counts: one pie, or as many as the dough gives. */
function assumePieces(
  { outline, clauses, shape, doughGrams, servings }: Counting,
  way: CookingWay,
  facts: readonly FoundFact[],
  notes: RecipeNote[],
): { pieces: number; stated: boolean } {
  const isOne =
    isOneSheet(clauses) ||
    clauses.some(({ text }) => PLAITED_OVER.test(text)) ||
    shape === 'lidded-pie' ||
    WRAPPED_WHOLE.test(outline.title) ||
    // "Roll up and coil into a 28 cm tin": there is one.
    (shape === 'coil' && isInOneDish(clauses))
  if (isOne) {
    const stated =
      ONE_PIE.test(outline.title) ||
      isInOneDish(clauses) ||
      isInTray(clauses.map(({ text }) => text).join('. '))
    if (!stated)
      notes.push({ code: 'pieces-assumed', level: 'note', text: 'One pie: its number is not stated' })
    return { pieces: 1, stated }
  }
  const assumed = assumedDough(shape, way, facts, outline.title)
  const byDough = wholePieces(doughGrams / assumed.grams)
  // "Calzone for 1": what is a meal is as many as eat, where the dough is near that.
  const isMeal = LARGE.test(outline.title) && servings !== null && doughGrams / servings <= MOST_MEAL_GRAMS
  const pieces = isMeal ? Math.min(byDough, servings) : byDough
  notes.push({
    code: 'pieces-assumed',
    level: 'check',
    text: `The number of pieces is not stated: ${pieces}, from ${Math.round(doughGrams)} g of dough at ${assumed.says}`,
  })
  return { pieces, stated: false }
}

/** How many eat of it, where the text says so. */
function eatersOf(counting: Counting, pieces: number): { servings: number; stated: true } | null {
  const { clauses, servings, perServing } = counting
  if (servings !== null) return { servings, stated: true }
  // "Score into 8 pieces": what one pie is cut into.
  const scored =
    pieces === 1 || isSlicedWhole(counting)
      ? clauses.map(({ text }) => CUT_INTO.exec(text)).find(Boolean)
      : null
  if (scored) return { servings: Number(scored[1] ?? scored[2]), stated: true }
  return perServing ? { servings: Math.max(1, pieces / perServing), stated: true } : null
}

/** How many eat of it, guessed. */
function guessEaters(
  { outline, said, drafts, shape }: Counting,
  pieces: number,
  notes: RecipeNote[],
): { servings: number; stated: false } {
  // "Stout pies (4 individual)": one for each.
  const isIndividual =
    [outline.title, ...said.map(({ text }) => text)].some((text) => /\bindividual\b/i.test(text)) ||
    // "Into 4 individual pie dishes"; individual leaves or sheets serve nobody.
    outline.steps.some(({ text }) =>
      /\bindividual (?:[a-zß-öø-ɏ]+ )?(?:pies|dishes|tins|ramekins|basins|moulds|molds)\b/i.test(text),
    )
  const guess = isIndividual
    ? { servings: pieces, says: 'one piece, for they are called individual' }
    : guessServings(shape, pieces, drafts)
  notes.push({
    code: 'servings-assumed',
    level: 'check',
    text: `Servings are not stated: ${guess.says}, so ${guess.servings}`,
  })
  return { servings: guess.servings, stated: false }
}
