import type { Food, Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { isDoughBase } from './drafts'
import { headCells } from './headRow'
import { kindOf } from './headingKinds'
import { listBehindLead } from './leadsList'
import { countedStep } from './outlineSentence'
import { OutlineState, type OutlineStep } from './outlineState'
import { behindName, behindTitle } from './outlineTitle'
import { linesFromProse } from './prose'
import { readIngredient, readIngredients } from './readIngredient'
import { inlineList } from './rows'
import { readYields } from './servings'
import { sentencesOf } from './sentenceEnds'
import type { Row } from './tidy'
import { foodsTold, isSpoken } from './toldFoods'
import { saysOfWhole } from './wholeRows'

// Recipes told in sentences, without a list: what is in them is found in what is done with it.

/** A told recipe is read as work with its foods in it, where that finds more of them than its rows did. */
export function betterTold(state: OutlineState, rows: readonly Row[], foods: Foods): OutlineState {
  const told = new OutlineState(foods)
  tellRows(told, rows)
  const { sections, steps } = state.out
  const inRows = sections.flatMap(({ items }) => items).flatMap(({ text }) => readIngredients(text, foods))
  const known = inRows.filter(({ food }) => food !== null)
  const hasFilling = sections.some(({ heading, items }) => heading?.kind === 'filling' && items.length > 0)
  const inWork = toldIn(told.out.steps, foods)
  // Beside what is listed to go in, nothing is looked for in the work.
  const goesIn = known.some(
    ({ food }) => !isDoughBase(food) && !foodIs(food, 'bought-dough') && !foodIs(food, 'of-dough'),
  )
  const besides = hasFilling || goesIn ? [] : toldIn(steps, foods, 'filling')
  const gained = inWork.length - known.length - besides.length
  // Without its flour no list is whole, whatever else it has; with a line that nobody knows it may be none.
  const hasDough = (lines: readonly { food: Food | null }[]) =>
    lines.some(({ food }) => isDoughBase(food) || foodIs(food, 'bought-dough'))
  if (!hasDough(known) && hasDough(inWork)) return told
  const isTalk = inRows.some(
    ({ food, line }) => (food === null && TALK.test(line.raw)) || WORKS_ON_DOUGH.test(line.raw),
  )
  // Where what was said without a mark was all understood, it was no talk.
  const isSpeech = rows.some(({ text }) => hasSpeech(text))
  return gained >= (isTalk && (inRows.length > known.length || !isSpeech) ? -1 : 3) ? told : state
}
/** What is done with what is listed: "hot water, kneaded for 5 minutes". */
const WORKS_ON_DOUGH =
  /\bbring (?:it |this )?together\b|\b(?:knead|rest|let it|leave)\w*\b.*\b\d+ ?(?:min|h)/i
/** What is in no name of a food. */
const TALK = /\b(?:dough|pastry|filling|take|use|mix|knead|let|fry|add|i|you|we|so|it|that)\b/i
const toldIn = (steps: readonly OutlineStep[], foods: Foods, only: 'filling' | null = null) =>
  linesFromProse(steps, foods, only)
    .flatMap(({ items }) => items)
    .map(({ text }) => readIngredient(text, foods))

/** With fewer foods told in its sentences a text is not told: somebody wrote a list. Our own choice. */
const LEAST_TOLD_FOODS = 4

/**
 * Whether a recipe is told in sentences and has no list: every row below its name says what is done, and the foods with
 * their amounts stand in what it says.
 */
export function isTold(rows: readonly Row[], foods: Foods): boolean {
  if (rows.length > MOST_ROWS || rows.some(({ bullet, marked }) => bullet || marked)) return false
  const told = rows
    .filter(({ text }, at) => at > 0 || text.length > MAX_TITLE_CHARACTERS)
    .filter(({ text }) => !isCount(text) && !headCells(text))
  if (
    !told.length ||
    told.some(({ text }) => text.length < LEAST_TOLD_CHARACTERS || text.length > MOST_TOLD_CHARACTERS)
  )
    return false
  const listed = told.some(({ text }) => {
    const sentences = sentencesOf(text)
    return (
      !sentences.some((sentence) => TELLS_WORK.test(sentence)) ||
      // "You need 200 g flour, 300 g mince, 1 leek. Knead …": a list, though the work follows it.
      sentences.some(
        (sentence) =>
          listBehindLead(sentence, foods) !== null ||
          // "Filling: 250 g mince, 2 tbsp soy, ginger."
          (/^[^.,;\d]{3,20}:.*,\s+[a-zß-öø-ɏ]+\W*$/i.test(sentence) &&
            /^(?:shell|filling|dip|finish)$/.test(
              kindOf(sentence.slice(0, sentence.indexOf(':')).toLowerCase()) ?? '',
            ) &&
            inlineList(sentence.slice(sentence.indexOf(':') + 1), foods)),
      )
    )
  })
  // Speech without any mark is searched where it stands.
  if (listed || told.some(({ text }) => !MARKED.test(text) && hasSpeech(text))) return false
  const found = told.flatMap(({ text }) =>
    sentencesOf(text).flatMap((sentence) => foodsTold(sentence, foods)),
  )
  return found.length >= LEAST_TOLD_FOODS
}
/** A row that counts, and is no recipe in which something is counted as well. */
const isCount = (text: string): boolean =>
  text.length <= 2 * MAX_TITLE_CHARACTERS && Boolean(readYields(text)?.whole)
/** A sentence that runs on without a mark, among others that have theirs. */
const hasSpeech = (text: string) => sentencesOf(text).some(isSpoken)
const MARKED = /\p{L}[,.;:]\s/u
const MAX_TITLE_CHARACTERS = 70
/** Nobody tells a recipe in more rows, in a row so short, or in one so long without a break. Our own choice. */
const MOST_ROWS = 10
const LEAST_TOLD_CHARACTERS = 40
const MOST_TOLD_CHARACTERS = 20_000
const TELLS_WORK =
  /\b(?:mix|knead|fry|bake|steam|boil|fold|seal|roll|cut|fill|divide|cook|chill|rest|rise|brown|pinch)\b/i

/** A told recipe: its name, its counts, and all else is work. */
function tellRows(state: OutlineState, rows: readonly Row[]): void {
  for (const [index, row] of rows.entries()) {
    if (row.chapter) {
      state.is(row, 'left-out')
      continue
    }
    const isFirst = !state.out.title && state.isAtStart && !state.out.steps.length
    const text = behindTitle(state, row)
    if (text === null || saysOfWhole(state, rows, index, text)) continue
    if (
      isFirst &&
      text.length <= MAX_TITLE_CHARACTERS &&
      sentencesOf(text).length === 1 &&
      !TELLS_WORK.test(text)
    ) {
      behindName(state, row, text)
      continue
    }
    if (isCount(text)) state.count(row, text)
    // What is told in one breath is done one sentence after the other.
    else for (const sentence of sentencesOf(text)) countedStep(state, row, sentence)
  }
}
