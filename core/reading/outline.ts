import type { Foods } from '../food/food'
import { isBehindWork, namesNoFood, saysBehindWork } from './behindWork'
import { mayClose } from './closing'
import { FOR_ALL } from './forAll'
import type { HeadingKind } from './headingKinds'
import { readHeading } from './headings'
import { listBehindLead } from './leadsList'
import { leadsPart } from './leadsPart'
import { COOKS_FIRST, countedStep, isForTable, readSentence } from './outlineSentence'
import { OutlineState, type Outline, type Section } from './outlineState'
import { behindName, behindTitle, nameByTheRest, namesDish } from './outlineTitle'
import { matchFood } from './match'
import { isQuestion } from './page'
import { readLine } from './readLine'
import {
  amountBehind,
  BALLS_ALONE,
  inlineList,
  isProse,
  isStep,
  matchedIngredient,
  STARTS_WITH_AMOUNT,
  wordsOf,
} from './rows'
import { readYields, saysMore } from './servings'
import { startsLikeStep } from './stepWords'
import { sentencesOf } from './sentenceEnds'
import { MAX_ROW_CHARACTERS, type Row } from './tidy'
import { betterTold, isTold } from './told'
import { saysOfWhole } from './wholeRows'

/** A text without a break that is longer is not told sentence by sentence. */
const MAX_TOLD_CHARACTERS = 20_000

/**
 * Sorts the rows of a text: title, counts, headings with their ingredient lines, steps, remarks, and what is
 * left out because it says nothing of the dish. Linear in the number of rows.
 */
export function outlineOf(rows: readonly Row[], foods: Foods): Outline {
  const state = new OutlineState(foods)
  rows.forEach((_, index) => readRow(state, rows, index))
  const { out } = isTold(rows, foods) ? betterTold(state, rows, foods) : state
  state.emptyHeading()
  nameByTheRest(out, rows, foods)
  return out
}

/** One row: each reader takes it or leaves it to the next. */
function readRow(state: OutlineState, rows: readonly Row[], index: number): void {
  const row = rows[index]!
  if (row.chapter) return state.is(row, 'left-out')
  if (goesOnWithList(state, row)) return
  // "Note: …" between two steps: the next number says that the work goes on.
  if (
    /^(?:remarks|noise)$/.test(state.mode) &&
    row.number !== null &&
    row.number === state.numbering.last + 1
  )
    state.mode = 'method'
  const text = behindTitle(state, row)
  if (text === null) return
  if (text.length > MAX_ROW_CHARACTERS) return readLong(state, row, text)
  if (saysOfWhole(state, rows, index, text)) return
  if (asksBehind(state, row, text)) return
  if (saysBehindWork(state, rows, index, text)) return
  if (leadsSentences(state, rows, row, text)) return
  const first = !state.out.title && state.isAtStart
  if (leadsPart(state, rows, index, text, first)) return
  const left = first ? behindName(state, row, text) : text
  if (left !== null) readPlain(state, rows, index, left)
}

/** "plus 6 boiled eggs cut in halves" goes on with the list. */
function goesOnWithList(state: OutlineState, row: Row): boolean {
  const more =
    state.mode === 'lines'
      ? /^(?:plus|and|also|and also|along with|as well as)\s+(.*)$/i.exec(row.text)?.[1]
      : undefined
  if (!more || !matchedIngredient(more, state.foods)) return false
  state.item(row, more)
  return true
}

/** "Can I freeze them?" below the work: what is asked and answered there is no part of the dish. */
function asksBehind(state: OutlineState, row: Row, text: string): boolean {
  if (!state.out.steps.length || state.mode === 'noise' || !isQuestion(text)) return false
  state.mode = 'remarks'
  state.section = null
  state.remark(row, text)
  return true
}
/** A row too long to be one line: a method, or a recipe in one breath. */
function readLong(state: OutlineState, row: Row, text: string): void {
  if (state.mode === 'method') return state.step(row, text)
  if (state.mode === 'remarks') return state.remark(row, text)
  const sentences = text.length > MAX_TOLD_CHARACTERS ? [text] : sentencesOf(text)
  if (sentences.some((sentence) => sentence.length > MAX_ROW_CHARACTERS)) return state.step(row, text)
  const lists = (sentence: string): boolean =>
    inlineList(sentence, state.foods) || listBehindLead(sentence, state.foods) !== null
  if (!sentences.some(lists)) {
    state.step(row, text)
    for (const sentence of sentences) state.count(row, sentence)
    return
  }
  for (const sentence of sentences) readSentence(state, row, sentence)
}

/** "Flatten. 1 T beans + 1 T cheese. Fold, seal.": below the lines, what stands between two sentences of work is put in. */
const isBetweenWork = (steps: readonly boolean[], listing: readonly boolean[]): boolean =>
  steps[0] === true &&
  listing.some(Boolean) &&
  listing.every((is, at) => !is || (at > 0 && steps[at - 1] === true && steps[at + 1] === true))
/** "Cut 12 circles. 6 bottoms, 6 tops. Milk, sugar. Bake": work from its first sentence to its last, in which nothing is measured. */
const isWorkThroughout = (sentences: readonly string[], steps: readonly boolean[]): boolean =>
  sentences.length >= LEAST_SENTENCES_OF_WORK &&
  steps[0] === true &&
  steps.at(-1) === true &&
  2 * steps.filter(Boolean).length >= steps.length &&
  sentences.every((sentence, at) => steps[at] === true || !MEASURED.test(sentence))
const LEAST_SENTENCES_OF_WORK = 4
const MEASURED = /\d\s*(?:g|kg|ml|l|oz|lbs?|tbsp|tsp|cups?|dl)\b|[½¼¾]|:/i
const isListed = (sentence: string, foods: Foods): boolean =>
  inlineList(sentence, foods) ||
  matchedIngredient(sentence, foods) ||
  readHeading(sentence, { foods, next: null }) !== null

/** "Filling: … . Brush with …": sentences of which one leads a list are read one by one. */
function leadsSentences(state: OutlineState, rows: readonly Row[], row: Row, text: string): boolean {
  const { foods } = state
  const several = /method|remarks|noise/.test(state.mode) ? [text] : sentencesOf(text)
  // "Ciasto: 3 c. flour; 1 c. sour cream; 1 egg": what stands between the semicolons is one list.
  const isOneList =
    several.length > 1 &&
    several.slice(0, -1).every((sentence) => sentence.endsWith(';')) &&
    !several.some((sentence) => startsLikeStep(sentence)) &&
    readHeading(text, { foods, next: null })?.kind === 'unknown'
  if (isOneList) return false
  const leads = (sentence: string) => readHeading(sentence, { foods, next: null })?.rest
  // "Scallion oil to brush. Soy sauce to dip.": each says what it is for.
  if (state.mode === 'lines' && several.length > 1 && areForSomething(several, foods)) {
    for (const sentence of several) state.item(row, sentence)
    return true
  }
  const lists =
    several.some((sentence) => listBehindLead(sentence, foods) !== null) ||
    (several.length > 1 &&
      (several.slice(1).some((sentence) => leads(sentence) || inlineList(sentence, foods)) ||
        leads(several[0]!)))
  if (!lists) return false
  const steps = several.map((sentence) => isStep(sentence, foods))
  const isWork =
    state.out.sections.length > 0 &&
    (isBetweenWork(
      steps,
      several.map((sentence) => isListed(sentence, foods)),
    ) ||
      isWorkThroughout(several, steps))
  if (isWork) return false
  const above = state.section
  /** The section whose list the sentences before have been about. */
  let listed: Section | null = null
  for (const [at, sentence] of several.entries()) {
    const section = state.section === above ? null : state.section
    const part = section?.heading
    // "Dough: 2 cups flour, 150 ml water. Rest 30 min": it is the dough that rests.
    const waits = part?.kind === 'shell' && DOUGH_WAITS.test(sentence)
    // "Filling: 500 g mince, 1 onion. Fry 10 min. Cool.": it is the filling that is fried.
    const isOwn = part != null && section === listed && isWorkOf(part.kind, sentence)
    const closesBehind = () =>
      several.slice(at + 1).some(mayClose) || rows.some((one) => one.at > row.at && mayClose(one.text))
    if (part && (waits || (isOwn && (part.kind === 'dip' || closesBehind()))))
      state.step(row, `${part.name}: ${sentence}`)
    else {
      readSentence(state, row, sentence)
      listed = state.section !== section || state.out.steps.at(-1)?.at !== row.at ? state.section : null
    }
  }
  return true
}

const BLENDS = /^\W*(?:blend|blitz|grind|whizz|whisk|mix|stir|pound|mash|liquidise)\b/i
/** Whether a sentence behind the list of a part says what is done with it. */
const isWorkOf = (kind: HeadingKind, sentence: string): boolean =>
  !mayClose(sentence) &&
  ((kind === 'filling' && COOKS_FIRST.test(sentence)) ||
    (kind === 'dip' && (COOKS_FIRST.test(sentence) || BLENDS.test(sentence))))

/** Sentences that each say what a food is for, and of nothing that is done: one of the foods at least is known. */
function areForSomething(sentences: readonly string[], foods: Foods): boolean {
  if (!sentences.every((sentence) => sentence.length < 80 && /\b(?:for|to|on top)\b/i.test(sentence)))
    return false
  const reads = sentences.map((sentence) => readLine(sentence.replace(/\.\s*$/, '')))
  return (
    reads.every(({ purpose, name }) => purpose !== null && wordsOf(name) <= 3) &&
    !sentences.some((sentence) => startsLikeStep(sentence)) &&
    reads.some(({ name }) => matchFood(name, foods)?.how === 'exact')
  )
}
const DOUGH_WAITS = /^\W*(?:knead|rest|chill|prove|proof|let it (?:rest|rise))\b[^,;]*\d/i
const OR_BOUGHT =
  /^\W*or (?:use |just use |just buy |buy )?(?:about |around |a |some |\d|ready)[^,;]*\b(?:bought|ready[- ]?made|ready[- ]rolled|shop|store)\b[^,;]*$/i

/** Any other row: an ingredient, a step, a count, a remark, or sentences of several of these. */
function readPlain(state: OutlineState, rows: readonly Row[], index: number, text: string): void {
  const { foods, out, mode } = state
  const row = rows[index]!
  const isCountAlone = (said: string) => {
    if (BALLS_ALONE.test(said)) return false
    const found = state.count(row, said)
    return Boolean(found?.whole) && !saysMore(found!.rest)
  }
  if (namesDish(state, rows, index)) {
    behindName(state, row, text)
    return
  }
  if (mode === 'method') {
    // "Makes 8 parathas" below the steps is a count and no work; "… crimp. Makes 16." counts as well.
    if (sentencesOf(text).length > 1) return countedStep(state, row, text)
    if (!isCountAlone(text) || row.number !== null) state.step(row, text)
    return
  }
  if (mode === 'noise') return state.is(row, 'left-out')
  // "(or 50 bought skins)" allows another dough, and lists none.
  if (mode === 'lines' && OR_BOUGHT.test(text)) return state.remark(row, text)
  if (mode === 'remarks') return state.remark(row, text)
  if (isForTable(state, row, text)) return
  if (worksOn(state, rows, index, text)) return countedStep(state, row, text)
  const counted = /^\d{1,2}\s+(\p{Lu}.*)$/u.exec(text)?.[1]
  if (counted && startsLikeStep(counted) && counted.split(' ').length > 2) return state.step(row, counted)
  const bought = buysIn(text, foods)
  if (bought !== null) return readSentence(state, row, bought)
  if (out.sections.length === 0 && !state.explicitMethod && isProse(text, foods)) {
    if (!isCountAlone(text)) state.remark(row, text)
    return
  }
  if (mode === 'lines' && isBehindWork(state, rows, index) && !readYields(text) && namesNoFood(text, foods))
    return isStep(text, foods) ? countedStep(state, row, text) : state.remark(row, text)
  const sentences = forAllOf(sentencesOf(text))
  if (sentences.length === 1) return readSentence(state, row, text)
  const steps = sentences.map((sentence) => isStep(sentence, foods))
  const listing = sentences.map((sentence) => isListed(sentence, foods))
  const lists = listing.some(Boolean)
  if (out.sections.length && (isBetweenWork(steps, listing) || isWorkThroughout(sentences, steps)))
    return countedStep(state, row, text)
  // "Makes 6. Rise 1h30. Bake 15 min. Butter on top.": below the lines, work in short words.
  if (out.sections.length && steps.some(Boolean) && !lists)
    return state.step(row, sentences.filter((sentence) => !isCountAlone(sentence)).join(' '))
  if (steps.every(Boolean) || (steps[0] && !sentences.some((sentence) => inlineList(sentence, foods)))) {
    return countedStep(state, row, text)
  }
  for (const sentence of sentences) readSentence(state, row, sentence)
}

/** "I use shop shortcrust, 2 x 320 g sheets": the line that somebody tells of, where it has an amount and is all that is said. */
function buysIn(text: string, foods: Foods): string | null {
  const line = BUYS.exec(text)?.[1]?.replace(/\.$/, '')
  if (!line || sentencesOf(text).length > 1 || isStep(line, foods)) return null
  const read = readLine(line)
  return read.measures.length && matchFood(read.name, foods)?.how === 'exact' ? line : null
}
const BUYS =
  /^(?:i|we)(?: (?:just|only|always|usually|normally|often|mostly|tend to))* (?:use|buy|take|get|cheat with|go for) (.+)$/i

/** "1 T sauce, 6 slices, 2 T cheese each. Fold, fork": what goes into every one. */
const WHAT_EACH_GETS =
  /^[^.;]*\d[^.;]*\b(?:each|apiece|per (?:piece|one|circle|round|pocket))\b[.;,]\s*[a-zß-öø-ɏ]+/i

/** Whether a row goes on with the work: right below a step, or numbered behind numbered steps. */
function worksOn(state: OutlineState, rows: readonly Row[], index: number, text: string): boolean {
  const { foods, out, numbering, section } = state
  const row = rows[index]!
  const before = rows[index - 1]
  // With no blank line between and no amount, the work goes on whatever the words are.
  const belowStep = !row.blankBefore && before !== undefined && out.became.get(before.at) === 'step'
  const below =
    belowStep &&
    !STARTS_WITH_AMOUNT.test(text) &&
    !amountBehind(text, foods) &&
    section !== null &&
    !readYields(text)?.whole &&
    !inlineList(text, foods)
  // "1 T sauce, 5 pepperonis, 2 T cheese. Fold, pinch, fork.": put in, and the work goes on behind it.
  const [first, second] = belowStep ? sentencesOf(text) : []
  if (first && second && startsLikeStep(second) && inlineList(first, foods)) return true
  if (below || (belowStep && WHAT_EACH_GETS.test(text))) return true
  // "4. Eat warm" after three numbered steps is the fourth, whatever it says.
  const goesOn = numbering.run > 1 && row.number === numbering.last + 1
  return row.number !== null && (goesOn || (!STARTS_WITH_AMOUNT.test(text) && isStep(text, foods)))
}

/** "1 yolk + 1 tbsp milk; nigella seeds to finish": what a row says last that it is for holds for all of it. */
function forAllOf(sentences: readonly string[]): readonly string[] {
  const purpose = sentences.length > 1 ? FOR_ALL.exec(sentences.at(-1)!.replace(/[.;]$/, ''))?.[1] : undefined
  if (
    !purpose ||
    !sentences.slice(0, -1).every((one) => one.endsWith(';') && !FOR_ALL.test(one.slice(0, -1)))
  )
    return sentences
  return sentences.map((one, at) =>
    at < sentences.length - 1 ? `${one.replace(/;$/, '')}, ${purpose}` : one,
  )
}
