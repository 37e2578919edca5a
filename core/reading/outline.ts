import { recalled } from './matches'
import type { Foods } from '../food/food'
import { FOR_ALL } from './forAll'
import { kindOf } from './headingKinds'
import { readHeading } from './headings'
import { startsLikeStep } from './stepWords'
import { leadsPart } from './leadsPart'
import { matchFood } from './match'
import { readSentence } from './outlineSentence'
import { OutlineState, type Outline } from './outlineState'
import { boastIn, nameByTheRest, titleSentence } from './outlineTitle'
import { headCells, timeOfWhole } from './headRow'
import { boastOf, isQuestion, saysNothing, saysWhose } from './page'
import { readLine } from './readLine'
import {
  inlineList,
  isProse,
  isStep,
  amountBehind,
  BALLS_ALONE,
  matchedIngredient,
  STARTS_WITH_AMOUNT,
  titleEnd,
} from './rows'
import { readYields, titleYields, withoutYields } from './servings'
import { MAX_ROW_CHARACTERS, sentencesOf, type Row } from './tidy'

/** A text without a break that is longer is not told sentence by sentence. */
const MAX_TOLD_CHARACTERS = 20_000

/**
 * Sorts the rows of a text: title, counts, headings with their ingredient lines, steps, remarks, and what is
 * left out because it says nothing of the dish. Linear in the number of rows.
 */
export function outlineOf(rows: readonly Row[], foods: Foods): Outline {
  const state = new OutlineState(foods)
  rows.forEach((_, index) => readRow(state, rows, index))
  state.emptyHeading()
  nameByTheRest(state.out, rows, foods)
  return state.out
}

/** One row: each reader takes it or leaves it to the next. */
function readRow(state: OutlineState, rows: readonly Row[], index: number): void {
  const row = rows[index]!
  if (goesOnWithList(state, row)) return
  const text = behindTitle(state, row)
  if (text === null) return
  if (text.length > MAX_ROW_CHARACTERS) return readLong(state, row, text)
  if (saysOfWhole(state, rows, index, text)) return
  if (asksBehind(state, row, text)) return
  if (leadsSentences(state, row, text)) return
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

/** What a row says behind the title that it begins with; null where it is the title and nothing else. */
function behindTitle(state: OutlineState, row: Row): string | null {
  const { out } = state
  const { text } = row
  const boast = !out.title && state.isAtStart ? boastOf(text) : null
  if (boast) {
    out.title = boast
    state.is(row, 'title')
    return null
  }
  const lead = titleSentence(state, text)
  if (lead === null) return text
  out.title = lead.replace(/[\s.:!-]+$/, '')
  state.is(row, 'title')
  return text.slice(text.indexOf(lead) + lead.length).trim()
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
  if (sentences.every((sentence) => !inlineList(sentence, state.foods))) {
    state.step(row, text)
    for (const sentence of sentences) state.count(row, sentence)
    return
  }
  for (const sentence of sentences) readSentence(state, row, sentence)
}

/** "Sugar 40g" between "Cake flour 50g" and "Yeast 4g" goes into the bowl. */
function isAmongLines({ mode, out, foods }: OutlineState, rows: readonly Row[], index: number): boolean {
  const before = rows[index - 1]
  return (
    mode === 'lines' &&
    before !== undefined &&
    out.became.get(before.at) === 'ingredient' &&
    /\d/.test(before.text) &&
    matchFood(readLine(rows[index]!.text).name, foods)?.how === 'exact'
  )
}

/**
 * "Prep: 40 min | Cook: 25 min | Yield: 14". Above the lines one cell is enough; below them a row of several cells has
 * to say that it is none of the work: "chill 30 min, bake 20 min" is.
 */
function isHeadRow(state: OutlineState, row: Row, text: string): boolean {
  const cells = headCells(text)
  if (!cells) return false
  const isNamed = cells.some(
    (cell) => cell !== 'other' && 'time' in cell && !cell.time.isTold && cell.time.kind !== null,
  )
  const isFigures = state.isAtStart
    ? state.out.title !== '' && cells.some((cell) => cell === 'other' || 'time' in cell)
    : cells.length > 1 && isNamed
  if (!isFigures) return false
  for (const cell of cells)
    if (cell !== 'other' && 'time' in cell) {
      const { kind, minutes } = cell.time
      if (kind) state.out.times.push({ kind, minutes, text })
    }
  state.is(row, 'left-out')
  for (const cell of cells) if (cell !== 'other' && 'count' in cell) state.count(row, cell.count)
  return true
}

/** Rows that say something of the whole, or nothing of the dish: adverts, figures, times, a bare count. */
function saysOfWhole(state: OutlineState, rows: readonly Row[], index: number, text: string): boolean {
  const { mode, out, foods } = state
  const row = rows[index]!
  if (isHeadRow(state, row, text)) return true
  const { noise, nutrition } = saysNothing(text)
  const figures =
    nutrition === 'line' &&
    (mode === 'noise' ||
      mode === 'method' ||
      /calories|kcal/i.test(text) ||
      !STARTS_WITH_AMOUNT.test(text)) &&
    !matchedIngredient(text, foods) &&
    !isAmongLines(state, rows, index)
  // "Chicken dumplings - 38 kcal each" is what the dish is called.
  const isTitle =
    nutrition !== null &&
    !out.title &&
    mode === 'start' &&
    (boastIn(text)?.index ?? 0) > 8 &&
    !/^\W*(?:per|nutrition|macros?)\b/i.test(text)
  if (noise || (!isTitle && (figures || nutrition === 'start'))) {
    // "12 comments" below the work: what follows is what others say of it.
    if (noise && state.out.steps.length && kindOf(text) === 'noise') {
      state.mode = 'noise'
      state.section = null
    }
    // "Macros per 5": what one serving is.
    const per =
      /^\W*(?:macros?|nutrition|figures|values)\b[^:\d]{0,16}\b(?:per|for) ([2-9]|1\d)\b(?! ?(?:g|ml|%|servings?|portions?|people|persons?)\b)/i.exec(
        text,
      )
    if (per) out.counts.push({ pieces: null, servings: null, perServing: Number(per[1]), text })
    state.is(row, 'left-out')
    return true
  }
  if (out.title && state.isAtStart && saysWhose(text)) {
    state.remark(row, text)
    return true
  }
  const whole = timeOfWhole(text)
  if (whole?.isTold && state.hasLines) {
    state.step(row, text)
    return true
  }
  if (whole && (mode !== 'method' || /^\W*(?:prep\w*|total|cook(?:ing)?)(?: time)?\s*:/i.test(text))) {
    if (whole.kind) out.times.push({ kind: whole.kind, minutes: whole.minutes, text })
    state.is(row, 'left-out')
    return true
  }
  // "40 min" by itself above the work is how long all of it takes.
  const alone = /^\W*(\d{1,3})\s*min\w*\W*$/i.exec(text)
  if (alone && mode !== 'method' && !out.steps.length && !state.hasLines) {
    out.times.push({ kind: 'total', minutes: Number(alone[1]), text })
    state.is(row, 'left-out')
    return true
  }
  if (/^step \d{1,2}\W*$/i.test(text)) {
    state.mode = 'method'
    state.explicitMethod = true
    state.section = null
    state.is(row, 'heading')
    return true
  }
  return countsWhole(state, row, text)
}

/** "(makes 12)", a bare number below the title, "4 large", "for 6". */
function countsWhole(state: OutlineState, row: Row, text: string): boolean {
  const { mode, out } = state
  const inBrackets = /^[([].*[)\]]$/.test(text) && text.length < 60
  if (inBrackets && mode !== 'method' && readYields(text)) {
    state.count(row, text)
    return true
  }
  const bare = /^\W*(?:about |approx\.? |around |makes )?(\d{1,3})\W*$/i.exec(text)
  // "Cheese turnovers | 4 large": how many, behind the name.
  const sized =
    /^\W*(?:about )?(\d{1,3}) (?:(?:extra )?(?:large|small|medium|big|mini|little)|nos?\.?)(?: ones)?\W*$/i.exec(
      text,
    )
  const number = bare && mode === 'start' ? bare : sized && state.isAtStart ? sized : null
  if (number && out.title) {
    out.counts.push({ pieces: Number(number[1]), servings: null, perServing: null, text })
    state.is(row, 'count')
    return true
  }
  // "4 bakes" below "Steak bake": so many of what the title names.
  const own = /^\W*(?:about )?(\d{1,3}) (?:(?:big|large|small|mini|medium) )?(\p{L}{3,}?)e?s?\W*$/iu.exec(
    text,
  )
  if (
    own &&
    out.title &&
    state.isAtStart &&
    new RegExp(`\\b${own[2]!}`, 'iu').test(out.title) &&
    matchFood(own[2]!, state.foods)?.how !== 'exact'
  ) {
    out.counts.push({ pieces: Number(own[1]), servings: null, perServing: null, text })
    state.is(row, 'count')
    return true
  }
  if (COUNTS_AHEAD.test(text) && text.length < 60 && mode !== 'method') {
    const found = readYields(text)
    const says = found !== null && /\p{L}{2}/u.test(found.rest)
    if (found && (state.isAtStart || !says)) {
      state.count(row, text)
      // What it says besides is kept.
      if (says) state.remark(row, text)
      return true
    }
  }
  return false
}

/** "Yields 16 buns", "Servings: 4", "1 dozen": a row that counts. */
const COUNTS_AHEAD = recalled(
  /^\W*(?:(?:for|makes?|serves?|yields?|gives|feeds|servings?|portions?|quantity|batch of|number of (?:pieces|servings|portions|buns|dumplings|pies)|serving size)\s*[:=-]?\s*(?:about |approx\.? |around |~)?(?:\d|an? |one|two|three|four|five|six|seven|eight|nine|ten|twelve)|(?:1|one|two|2|three|3|a|half a) dozen\W*$)/i,
)

/** "Filling: … . Brush with …": sentences of which one leads a list are read one by one. */
function leadsSentences(state: OutlineState, row: Row, text: string): boolean {
  const { foods } = state
  const several = /method|remarks|noise/.test(state.mode) ? [text] : sentencesOf(text)
  const leads = (sentence: string) => readHeading(sentence, { foods, next: null })?.rest
  const lists =
    several.length > 1 &&
    (several.slice(1).some((sentence) => leads(sentence) || inlineList(sentence, foods)) ||
      leads(several[0]!))
  if (!lists) return false
  for (const sentence of several) readSentence(state, row, sentence)
  return true
}

/** What a first row says behind the name of the dish; null where it has been read to its end. */
function behindName(state: OutlineState, row: Row, whole: string): string | null {
  const { out } = state
  const boasts = boastIn(whole)
  const name = boasts && boasts.index > 3 ? whole.slice(0, boasts.index) : whole
  if (name !== whole) state.remark(row, whole.slice(boasts!.index).replace(/^\W+/, ''))
  // "Pizza pockets (4 pockets, 31 g protein each)": what is left of the bracket is closed.
  const isOpen = name !== whole && name.lastIndexOf('(') > name.lastIndexOf(')')
  const text = isOpen ? `${name})` : name
  const listAt = titleEnd(text)
  if (listAt === null) return text
  if (listAt < text.length) {
    out.title = text.slice(0, listAt).replace(/[\s,.:;–-]+$/, '')
    state.is(row, 'title')
    for (const sentence of sentencesOf(text.slice(listAt).replace(/^[\s,.:;–-]+/, '')))
      readSentence(state, row, sentence)
    return null
  }
  const yields = titleYields(text)
  if (yields) {
    const { pieces, servings, perServing } = yields
    out.counts.push({ pieces, servings, perServing, text })
  }
  out.title = (yields ? withoutYields(text) : text)
    .replace(/^(?:title|recipe)\s*:\s*/i, '')
    .replace(/\s*[:–-]+$/, '')
  out.became.set(row.at, 'title')
  return null
}

const OR_BOUGHT =
  /^\W*or (?:use |just use |just buy |buy )?(?:about |around |a |some |\d|ready)[^,;]*\b(?:bought|ready[- ]?made|ready[- ]rolled|shop|store)\b[^,;]*$/i

/** Any other row: an ingredient, a step, a count, a remark, or sentences of several of these. */
function readPlain(state: OutlineState, rows: readonly Row[], index: number, text: string): void {
  const { foods, out, mode } = state
  const row = rows[index]!
  const isCountAlone = (said: string) => {
    if (BALLS_ALONE.test(said)) return false
    const found = state.count(row, said)
    return Boolean(found?.whole) && !/\p{L}{2}/u.test(found!.rest)
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
  if (worksOn(state, rows, index, text)) return countedStep(state, row, text)
  const counted = /^\d{1,2}\s+(\p{Lu}.*)$/u.exec(text)?.[1]
  if (counted && startsLikeStep(counted) && counted.split(' ').length > 2) return state.step(row, counted)
  if (out.sections.length === 0 && !state.explicitMethod && isProse(text, foods)) {
    if (!isCountAlone(text)) state.remark(row, text)
    return
  }
  const sentences = forAllOf(sentencesOf(text))
  if (sentences.length === 1) return readSentence(state, row, text)
  const steps = sentences.map((sentence) => isStep(sentence, foods))
  const lists = sentences.some(
    (sentence) =>
      inlineList(sentence, foods) ||
      matchedIngredient(sentence, foods) ||
      readHeading(sentence, { foods, next: null }) !== null,
  )
  // "Makes 6. Rise 1h30. Bake 15 min. Butter on top.": below the lines, work in short words.
  if (out.sections.length && steps.some(Boolean) && !lists)
    return state.step(row, sentences.filter((sentence) => !isCountAlone(sentence)).join(' '))
  if (steps.every(Boolean) || (steps[0] && !sentences.some((sentence) => inlineList(sentence, foods)))) {
    return countedStep(state, row, text)
  }
  for (const sentence of sentences) readSentence(state, row, sentence)
}

/** A step, with what its sentences count: "… crimp. Makes 16." */
function countedStep(state: OutlineState, row: Row, text: string): void {
  for (const sentence of sentencesOf(text)) if (!BALLS_ALONE.test(sentence)) state.count(row, sentence)
  state.step(row, text)
}

/** Whether a row goes on with the work: right below a step, or numbered behind numbered steps. */
function worksOn(state: OutlineState, rows: readonly Row[], index: number, text: string): boolean {
  const { foods, out, numbering, section } = state
  const row = rows[index]!
  const before = rows[index - 1]
  // With no blank line between and no amount, the work goes on whatever the words are.
  const below =
    !row.blankBefore &&
    !STARTS_WITH_AMOUNT.test(text) &&
    !amountBehind(text, foods) &&
    section !== null &&
    !readYields(text)?.whole &&
    before !== undefined &&
    out.became.get(before.at) === 'step' &&
    !inlineList(text, foods)
  if (below) return true
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
