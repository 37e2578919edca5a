import type { Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { isCooked } from './behindWork'
import { readHeading, usualHeading, type Heading } from './headings'
import { matchFood, normaliseName, plainWords } from './match'
import { enter } from './outlineSentence'
import type { OutlineState } from './outlineState'
import { readLine } from './readLine'
import { inlineList, isStep, looksLike, matchedIngredient, STARTS_WITH_AMOUNT, wordsOf } from './rows'
import { readYields } from './servings'
import { splitLine } from './splitLine'
import type { Row } from './tidy'

/** "Nigella and coriander for topping": foods, and what they are for. */
const isForTopping = (text: string, foods: Foods): boolean =>
  /\bfor (?:the )?(?:topping|garnish|sprinkling)\W*$/i.test(text) &&
  splitLine(text, foods).every((one) => matchFood(readLine(one.text).name, foods)?.how === 'exact')

/** A row that leads a part, the method or what is kept: by its words, its marks and what follows. */
export function leadsPart(
  state: OutlineState,
  rows: readonly Row[],
  index: number,
  text: string,
  first: boolean,
): boolean {
  const { foods, mode } = state
  const row = rows[index]!
  // "(That's it for the dough)" tells something, and leads nothing.
  if (/^\([^()]*\)$/.test(text) && (TELLS.test(text) || NOTES.test(text)) && !readYields(text)) {
    state.remark(row, text)
    return true
  }
  const next = looksLike(rows[index + 1], foods)
  // "Wrappers" in front of a list with bullets, and itself without one.
  // "Nutmeg" between two rows with bullets is one of them.
  const isBetween = !row.blankBefore && rows[index - 1]?.bullet === true && matchedIngredient(text, foods)
  const overBullets =
    !row.bullet &&
    !isBetween &&
    next === 'amount' &&
    rows[index + 1]!.bullet &&
    !STARTS_WITH_AMOUNT.test(text)
  const heading =
    first && !/:\s*-?$/.test(text)
      ? usualHeading(row, next, next === 'amount' && !rows[index + 1]!.blankBefore, foods)
      : readHeading(text, {
          ...row,
          marked: row.marked || overBullets,
          opens: mode === 'start',
          next,
          foods,
        })
  if (
    !heading &&
    mode === 'lines' &&
    next === 'amount' &&
    (row.blankBefore
      ? namesNext(text, rows, index + 1, foods)
      : (state.section?.items.length ?? 0) >= LEAST_ABOVE && repeatsBelow(text, rows[index + 1]!.text, foods))
  ) {
    enter(state, row, { kind: 'filling', name: text, rest: '', pieces: null })
    return true
  }
  // "Cheese" over "300 g mozzarella, 200 g feta, 1 egg", where the dough above stood so: each part is one row.
  if (!heading && isOverRow(state, rows, index, text)) {
    enter(state, row, { kind: 'filling', name: text, rest: '', pieces: null })
    return true
  }
  // "Oil for frying" over how much of which.
  if (
    mode === 'lines' &&
    row.blankBefore &&
    next === 'amount' &&
    FRYING_OIL.test(text) &&
    FAT.test(rows[index + 1]!.text)
  ) {
    enter(state, row, { kind: 'pan', name: text.replace(/[\s:…-]+$/u, ''), rest: '', pieces: null })
    return true
  }
  if (!heading) return false
  // "Maggie says: made these with 200 g lamb" among what is said behind the work leads no part.
  const isBehind = (mode === 'noise' || mode === 'remarks') && state.out.steps.length > 0
  if (
    isBehind &&
    (heading.rest || next !== 'amount') &&
    !['method', 'remarks', 'noise'].includes(heading.kind)
  )
    return false
  if (mode === 'method' && !['method', 'remarks', 'noise', 'ingredients'].includes(heading.kind)) {
    // Inside the method a part's name leads its steps, unless lines with amounts follow.
    if (!leadsLines(state, row, heading, next === 'amount' ? rows[index + 1]! : null)) {
      state.emptyHeading()
      state.under = heading.name
      if (heading.rest) state.step(row, text)
      else state.is(row, 'heading')
      return true
    }
  }
  // "Egg wash" with nothing below it is what to brush with, not a heading.
  const washes =
    heading.kind === 'finish' &&
    !heading.rest &&
    // Under "Topping" it is what tops, whatever is listed below.
    (next !== 'amount' || state.section?.heading?.kind === 'finish' || listsNoWash(rows, index)) &&
    (matchFood(text, foods)?.how === 'exact' ||
      /^(?:[a-zß-öø-ɏ]+ ){1,2}wash$/i.test(text) ||
      isForTopping(text, foods))
  // "Egg butter: 2 boiled eggs, 50 g butter" below the whole of the work stands beside the dish.
  const beside = heading.kind === 'unknown' && isCooked(state.out.steps)
  // "Ingredients (serves 4)" counts as well.
  if (heading.kind === 'ingredients') state.count(row, text)
  // "Egg wash" right below the work, and an egg is listed: it is brushed on.
  const worksOn =
    washes &&
    !row.blankBefore &&
    state.out.became.get(rows[index - 1]?.at ?? -1) === 'step' &&
    state.out.sections.some(({ items }) => items.some((one) => /\b(?:eggs?|yolk|milk)\b/i.test(one.text)))
  if (worksOn) state.step(row, text)
  else if (washes) state.item(row, text)
  else enter(state, row, beside ? { ...heading, kind: 'dip' } : heading)
  return true
}

const WASHES = /\b(?:eggs?|yolks?|whites?|milk|cream|water|butter|oil|syrup|aquafaba|drink)\b/i
/** "Egg wash" over "turbinado sugar": of what stands below nothing is brushed, so it is listed itself. */
function listsNoWash(rows: readonly Row[], index: number): boolean {
  if (!/^egg[- ]?wash$/i.test(rows[index]!.text.trim())) return false
  const below = rows.slice(index + 1)
  const ends = below.findIndex(({ blankBefore }) => blankBefore)
  return !below.slice(0, ends < 0 ? undefined : ends).some(({ text }) => WASHES.test(text))
}

/** "(Note: everything at room temperature)". */
const NOTES = /^\((?:notes?|tips?|n\.?b\.?|hint|important|reminder)\b/i
const TELLS =
  /^\(no [a-zß-öø-ɏ]+ in\b|\b(?:that['’]?s|it['’]?s|is|are|was|i|we|you|can|do not|don['’]?t|use)\b/i

/** Lines of a part that is listed before another begins without an empty line. Our own choice. */
const LEAST_ABOVE = 3
/** "Curry potato" right over "300 g potatoes", "PORK" over "600 g pork belly": the food is listed below its name. */
function repeatsBelow(text: string, below: string, foods: Foods): boolean {
  if (wordsOf(text) > MOST_REPEATED_WORDS || /[\d,.]/.test(text) || !STARTS_WITH_AMOUNT.test(below))
    return false
  const word = normaliseName(text).split(' ').at(-1) ?? ''
  const named = matchFood(text, foods)
  return (
    word.length > 2 &&
    named !== null &&
    // What seasons or wets may well be listed twice.
    (named.food.group === 'fruit' || FILLS.some((trait) => foodIs(named.food, trait))) &&
    normaliseName(readLine(below).name).split(' ').includes(word)
  )
}
const MOST_REPEATED_WORDS = 3
const FILLS = ['flesh', 'vegetable', 'plant-protein', 'cheese'] as const

/** So many words name what is listed below: "mushroom & blue cheese mix". */
const MOST_NAMING_WORDS = 5
/** Words and counts that a name of what is listed may have besides its foods. */
const BESIDE_FOODS = /\s*(?:\((?:for |makes |x ?)?\d{1,2}\)|\b(?:mix(?:ture)?|version|style|ones|bit)\b)\s*$/i

/** "Rhubarb" over "300 g rhubarb, cut up", "leek & cheddar" over both: it names what is listed. */
function namesNext(text: string, rows: readonly Row[], from: number, foods: Foods): boolean {
  const bare = text.replace(BESIDE_FOODS, '')
  if (!bare || wordsOf(bare) > MOST_NAMING_WORDS || /\d/.test(bare)) return false
  const next = rows[from]!
  const named = matchFood(bare, foods)
  const listed = matchFood(readLine(next.text).name, foods)
  if (named?.how === 'exact' && listed?.food.id === named.food.id && matchedIngredient(next.text, foods))
    return true
  const end = rows.findIndex((row, at) => at > from && row.blankBefore)
  const block = rows.slice(from, end < 0 ? rows.length : end)
  if (block.length < 2 || !block.slice(0, 2).every((row) => matchedIngredient(row.text, foods))) return false
  const words = new Set(block.flatMap((row) => [...plainWords(row.text)]))
  return bare
    .split(/\s*(?:&|\+|,|\band\b|\bwith\b)\s*/i)
    .every((name) => words.has(normaliseName(name).split(' ').at(-1)!))
}

/** A word or two between two rows of which each is the whole list of a part. */
function isOverRow(state: OutlineState, rows: readonly Row[], index: number, text: string): boolean {
  const [before, next] = [rows[index - 1], rows[index + 1]]
  if (state.mode !== 'lines' || !state.section?.heading || !before || !next) return false
  if (wordsOf(text) > 2 || !/^\p{L}[\p{L} ]+$/u.test(text)) return false
  const isRow = (row: Row) => inlineList(row.text, state.foods) && row.text.split(/[,;] /).length > 2
  return isRow(before) && isRow(next) && state.out.became.get(rows[index - 2]?.at ?? -1) === 'heading'
}

/** Whether a part's name inside the method leads lines. A numbered step is a step, whatever it lists. */
function leadsLines(
  { explicitMethod, foods }: OutlineState,
  row: Row,
  heading: Heading,
  amount: Row | null,
): boolean {
  if (explicitMethod && row.number !== null) return false
  // "Serve: sour cream 150 g, vinegar, butter": what stands beside the dish, and each is a food.
  const beside = heading.kind === 'dip' && heading.rest ? heading.rest.replace(/\.$/, '').split(/,\s+/) : []
  if (
    beside.length &&
    readLine(beside[0]!).measures.length &&
    beside.every((one) => matchFood(readLine(one).name, foods)?.how === 'exact')
  )
    return true
  if (heading.rest) return inlineList(heading.rest, foods)
  return amount !== null && !isStep(amount.text, foods)
}

const FRYING_OIL = /^(?:frying oil|oil (?:for|to) (?:(?:deep|shallow|pan)[- ]?)?fry(?:ing)?)\W*$/i
const FAT = /\b(?:oil|ghee|lard|dripping|fat)\b/i
