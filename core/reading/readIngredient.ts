import { waterIn } from '../food/amount'
import type { Food, Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { newLine, type Choice, type Line } from '../recipe/document'
import { MAX_LINE_GRAMS } from '../recipe/vocabulary'
import { boiledPerGram, isBoiledSoft } from './boiledWeight'
import {
  asOneMaking,
  asUsed,
  asWeighed,
  COOKED_HERE,
  matchWithPrep,
  namedBehind,
  spiceOf,
  vegetableOf,
  withoutTail,
} from './foodOfLine'
import { gramsByNumber } from './bareGrams'
import { otherLanguage } from './language'
import { withPlainChoices } from './choicesSpelt'
import { matchFood } from './match'
import { packetClaims } from './packetClaims'
import { readLine, type ReadLine } from './readLine'
import { mayHoldNumber } from './readNumber'
import { rememberWith } from './remember'
import { FILLED_UP } from './sharedOut'
import { splitLine } from './splitLine'
import { turnedRound } from './turnedRound'
import { withUnitBefore } from './unitBefore'
import type { Note, Weighed } from './unstated'
import { SOAKED_WEIGHT, weighLine } from './weigh'

/** Text no longer than a field holds. */
export const limit = (text: string, max: number) => (text.length > max ? text.slice(0, max) : text)

/** An ingredient as it was read: the line of the document, the words apart, the food. */
export interface ReadIngredient {
  line: Line
  read: ReadLine
  food: Food | null
}

/** A line longer than this is kept as text and not searched for amounts. */
const MAX_READ_CHARACTERS = 500

/**
 * Reads a line as written into one recipe line for each ingredient that it names.
 *
 * @param raw the line as written, at most 500 characters are searched
 */
export function readIngredients(raw: string, foods: Foods): ReadIngredient[] {
  return known(raw, foods).map(({ line, read, food }) => ({ line: copyOf(line), read, food }))
}

/** A line of its own for each reader: what is known of a text is not changed by what becomes of it. */
const copyOf = (line: Line): Line => ({
  ...line,
  prep: [...line.prep],
  notes: line.notes.map((note) => ({ ...note })),
  choices: line.choices.map((choice) => ({ ...choice, prep: [...choice.prep] })),
})

const known: (raw: string, foods: Foods) => readonly ReadIngredient[] = rememberWith(readAll)

function readAll(raw: string, foods: Foods): ReadIngredient[] {
  if (raw.length > MAX_READ_CHARACTERS) {
    const line = newLine({ raw: limit(raw, 500), name: limit(raw, 200) })
    line.notes.push({
      code: 'too-long',
      level: 'check',
      text: `A line of ${raw.length} characters is too long to be one ingredient. Write it as several lines`,
    })
    return [{ line, read: readLine(''), food: null }]
  }
  if (turnedRound(raw, foods)) return [readIngredient(raw, foods)]
  const plain = withPlainChoices(raw, foods)
  const parts = splitLine(plain, foods)
  // A line that is of one food keeps the words it was written in.
  if (plain !== raw && parts.length === 1 && !parts[0]!.told) {
    const one = readIngredient(parts[0]!.text, foods)
    return [{ ...one, line: { ...one.line, raw: limit(raw.trim(), 500) } }]
  }
  return parts.flatMap(({ text, told, code }, at) => {
    const filled = filledUp(text, foods)
    if (filled) return filled
    const spooned = withUnitBefore(text, parts[at - 1]?.text, foods)
    const made = readIngredient(spooned ?? text, foods)
    if (spooned) {
      made.line.raw = limit(text.trim(), 500)
      made.line.notes.unshift({
        code: 'shared-amount',
        level: 'check',
        text: 'No unit is written: taken as that of the one before it',
      })
    }
    if (told)
      made.line.notes.unshift({ code: code ?? 'shared-amount', level: 'check', text: limit(told, 600) })
    return made
  })
}

/** "1 egg + milk to make 160 g": the milk is what is missing. Null for any other line. */
function filledUp(text: string, foods: Foods): ReadIngredient[] | null {
  const [, first, liquid, whole] = FILLED_UP.exec(text.trim()) ?? []
  if (!first || !liquid || !whole) return null
  const there = readIngredients(first, foods)
  const grams = there.reduce((sum, { line }) => sum + (line.grams ?? 0), 0)
  const sum = readLine(`${whole} ${liquid}`).measures[0]?.[0]?.low ?? 0
  if (!there.every(({ food, line }) => food && line.grams) || sum <= grams) return null
  return [
    ...there,
    ...readIngredients(`${Math.round(sum - grams)} ${/ml/i.test(whole) ? 'ml' : 'g'} ${liquid}`, foods),
  ]
}

/**
 * Reads one ingredient line into a recipe line: food, grams, and a note for everything that was assumed.
 *
 * @param raw the line as written, of one ingredient
 * @returns a line; its `foodId` is null when no food fits, its `grams` null when no weight can be told
 */
export function readIngredient(raw: string, foods: Foods): ReadIngredient {
  const written = readLine(limit(turnedRound(raw, foods) ?? raw, MAX_READ_CHARACTERS))
  const read = withoutTail(asUsed(asOneMaking(asWeighed(written, foods), foods), foods), foods)
  const found =
    matchWithPrep(read, foods) ??
    namedBehind(read, foods) ??
    // A size word can belong to the name, and an alternative may be known where the first choice is not.
    (read.alternative ? matchFood(readLine(read.alternative).name, foods) : null)
  const foreign = !found || found.leftOver.length > 1 ? otherLanguage(raw) : null
  // "Huile d'olive" is no olive: of a line in another language no part is taken for a food.
  const match = foreign ? null : found
  const line = newLine({
    raw: limit(raw.trim(), 500),
    name: limit(read.name || raw.trim(), 200),
    prep: read.prep
      .filter((word) => word !== 'from a container')
      .map((word) => limit(word, 200))
      .slice(0, 20),
    optional: read.optional,
  })
  if (!match) {
    line.grams = statedMassGrams(read) ?? gramsByNumber(read)
    line.gramsLow = line.gramsHigh = line.grams
    line.notes.push({
      code: 'unknown-food',
      level: 'check',
      text: foreign
        ? `"${line.name}" ${foreign}; only English is read. Choose a food for it, or write the line in English`
        : `"${line.name}" is not in the larder. Choose a food for it`,
    })
    return { line, read, food: null }
  }
  const named = spiceOf(read, match.food, foods) ?? vegetableOf(read, match.food, foods) ?? match
  const { food, weighed } = weighedAs(read, named.food, foods)
  // Weighed dry from here on, and soaked: read once more it must weigh the same.
  if (food.unitGrams.soaked)
    line.prep = [
      ...new Set(line.prep.map((word) => (SOAKED_WEIGHT.test(word.toLowerCase()) ? 'soaked' : word))),
    ]
  line.foodId = food.id
  const notes: Note[] = []
  if (food.figuresOf !== null)
    notes.push({ code: 'stand-in', level: 'note', text: `${food.name}: ${food.source}` })
  if (match.lacking)
    notes.push({ code: 'state', level: 'check', text: `Read as ${food.name}: ${match.lacking}` })
  if (match.how === 'spelling') notes.push({ code: 'spelling', level: 'check', text: `Read as ${food.name}` })
  if (match.how === 'part') {
    notes.push({
      code: 'part-match',
      level: 'check',
      text: `Read as ${food.name}; "${match.leftOver.join(' ')}" was not understood`,
    })
  }
  notes.push(...packetClaims(read.prep, food))
  line.choices = choicesOf(read, food, foods)
  if (read.alternative)
    notes.push({ code: 'alternative', level: 'note', text: `The line also allows ${read.alternative}` })
  if (read.optional) notes.push({ code: 'optional', level: 'note', text: 'Optional, and counted' })
  notes.push(...weighed.notes)
  if (weighed.grams !== null && weighed.grams > MAX_LINE_GRAMS) {
    notes.push({
      code: 'too-heavy',
      level: 'check',
      text: `${Math.round(weighed.grams / 1000)} kg cannot be right for one line. Type the grams`,
    })
  } else {
    boilHere(read, food, weighed, foods)
    Object.assign(line, weightsOf(weighed, food))
  }
  line.notes = notes.map((note) => ({ ...note, text: limit(note.text, 600) })).slice(0, 30)
  return { line, read, food }
}

const STATES =
  /\b(?:(?:washed|rinsed|patted) and dried|minced|ground|left[- ]?over|cooked|dried|pickled|frozen|boiled)\b/gi
/**
 * "2 chicken thighs, minced", "1 bunch spinach, boiled": where nobody knows what so many of the made-ready food
 * weigh, it is the plain one that was counted.
 */
function weighedAs(read: ReadLine, food: Food, foods: Foods): { food: Food; weighed: Weighed } {
  const weighed = weighLine(read, food)
  if (!read.measures.length || weighed.grams !== null) return { food, weighed }
  const plain = matchFood(read.name.replace(STATES, ' ').trim(), foods)
  if (plain?.how !== 'exact' || plain.food.id === food.id) return { food, weighed }
  const counted = weighLine(read, plain.food)
  return counted.grams === null ? { food, weighed } : { food: plain.food, weighed: counted }
}

/** Weights of a line within what a line may hold; nulls when they are not known. */
function weightsOf(weighed: Weighed, food: Food) {
  if (weighed.grams === null || weighed.grams > MAX_LINE_GRAMS)
    return {
      grams: null,
      gramsLow: null,
      gramsHigh: null,
      waterChangeGrams: 0,
      measuredBy: weighed.measuredBy,
    }
  return {
    grams: weighed.grams,
    gramsLow: weighed.gramsLow,
    gramsHigh: Math.min(weighed.gramsHigh ?? weighed.grams, MAX_LINE_GRAMS),
    measuredBy: weighed.measuredBy,
    // No food can lose more water than it holds, nor a line take up more than a line may weigh.
    waterChangeGrams: Math.min(
      Math.max(weighed.waterChangeGrams, -waterIn(food, weighed.grams)),
      MAX_LINE_GRAMS,
    ),
  }
}

const ARTICLE = /^an? [a-zß-öø-ɏ]/i
/** The foods a line allows instead, weighed by their own amount or by the line's. */
function choicesOf(read: ReadLine, taken: Food, foods: Foods): Choice[] {
  if (!read.alternative) return []
  const choices: Choice[] = []
  for (const text of read.alternative.split(/\s+or\s+|,\s+(?:or\s+)?/i).slice(0, 4)) {
    const named = readLine(text)
    // "Butter or block margarine": no block is counted out.
    const isName =
      named.measures.length > 0 && !mayHoldNumber(text) && matchFood(text, foods)?.how === 'exact'
    const own = isName ? { ...named, name: text.trim(), measures: [] } : named
    // "Minced beef or lamb": either is minced.
    const minced = taken.group === 'minced-meat' ? matchFood(`minced ${own.name}`, foods) : null
    const match = minced?.how === 'exact' ? minced : matchFood(own.name, foods)
    if (!match || match.food.id === taken.id || match.how === 'part') continue
    const asTheLine = { ...read, name: own.name, alternative: null, prep: own.prep }
    // "250 g pecorino (or a mild young cheese)": the article counts none.
    const isArticle =
      ARTICLE.test(text.trim()) &&
      own.measures[0]?.every(({ unitId }) => unitId === null) === true &&
      read.measures[0]?.every(({ unitId }) => /^(?:g|kg|oz|lb)$/.test(unitId ?? '')) === true
    const counted = weighLine(own.measures.length && !isArticle ? own : asTheLine, match.food)
    // "1 egg or milk": no milk is counted out, and what is usual is taken.
    const isPoured = counted.grams === null && foodIs(match.food, 'pours')
    const weighed = isPoured
      ? weighLine({ ...own, measures: [], unmeasured: 'as required' }, match.food)
      : counted
    choices.push({
      raw: limit(text.trim(), 500),
      foodId: match.food.id,
      name: limit(own.name, 200),
      prep: own.prep.map((word) => limit(word, 200)).slice(0, 20),
      handling: '',
      ...weightsOf(weighed, match.food),
    })
  }
  return choices.slice(0, 8)
}

/** "1 cup dry lentils, cooked": they go in with the water that they have taken up, and are weighed without it. */
function boilHere(read: ReadLine, food: Food, weighed: Weighed, foods: Foods): void {
  if (!isBoiledSoft(food) || weighed.grams === null || weighed.waterChangeGrams !== 0) return
  const isGrain = food.group === 'starch'
  if (!read.prep.some((word) => COOKED_HERE.test(word) || (isGrain && /^soaked/i.test(word)))) return
  const factor = boiledPerGram(food, foods)
  if (factor === null) return
  weighed.waterChangeGrams = weighed.grams * (factor - 1)
  weighed.notes.push({
    code: 'soaked',
    level: 'note',
    text: `Weighed dry: boiled it takes up about ${Math.round(weighed.waterChangeGrams)} g of water`,
  })
}

function statedMassGrams(read: ReadLine): number | null {
  const factors: Record<string, number> = { mg: 0.001, g: 1, kg: 1000, oz: 28.349523, lb: 453.59237 }
  for (const measure of read.measures) {
    const grams = measure.reduce(
      (sum, term) => sum + ((term.low + term.high) / 2) * (factors[term.unitId ?? ''] ?? NaN),
      0,
    )
    if (Number.isFinite(grams) && grams <= MAX_LINE_GRAMS) return grams
  }
  return null
}
