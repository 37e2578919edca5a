import type { Food, Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { MAX_LINE_GRAMS } from '../recipe/vocabulary'
import { PREP_WORDS } from './lineName'
import type { LinePart } from './lineParts'
import { matchFood } from './match'
import { readLine, type ReadLine } from './readLine'
import { MAX_ROW_CHARACTERS } from './tidy'

// "Flour 400, yeast 5, ginger 10": a row in which nobody writes a unit is weighed.

/** So many foods with a number each are a row of weights, if one of them is a weight beyond doubt. Our own choice. */
const LEAST_WEIGHED = 4
const LEAST_SURE_GRAMS = 100
/** A smaller number of what is counted is a count: "egg 1", "onion 2". */
const LEAST_COUNTED_GRAMS = 10

const BARE = /^(\p{L}[\p{L}' -]{1,30}?) (\d{1,4})(?: (\p{L}[\p{L} ]{1,20}))?$/u

/** So little flour is no flour in grams: "flour 2, water 150" counts cups. Our own choice. */
const LEAST_FLOUR_GRAMS = 20

/** The foods of a row without any unit, each in grams and said so; null for any other row. */
export function inBareGrams(raw: string, foods: Foods): LinePart[] | null {
  if (raw.length > MAX_ROW_CHARACTERS) return null
  const pieces = raw
    .trim()
    .replace(/\.$/, '')
    .split(/\s*[,;]\s+/)
  if (pieces.length < LEAST_WEIGHED) return null
  const read = pieces.map((piece) => {
    const bare = BARE.exec(piece)
    const food = bare ? matchFood(readLine(bare[1]!).name, foods) : null
    return bare && food ? { name: bare[1]!, number: Number(bare[2]), behind: bare[3] ?? '', ...food } : null
  })
  if (!read.every((one) => one !== null) || !read.some(({ number }) => number >= LEAST_SURE_GRAMS))
    return null
  // One of many may be called in more words than the larder knows.
  if (read.filter(({ how }) => how !== 'exact').length > 1) return null
  if (
    read.some(
      ({ food, number }) => foodIs(food, 'flour') && food.group === 'flour' && number < LEAST_FLOUR_GRAMS,
    )
  )
    return null
  return read.map(({ name, number, behind, food }): LinePart => {
    const isCounted = [food.unitGrams.piece, food.unitGrams.medium, food.unitGrams.clove].some(Boolean)
    const isWeight = food.group !== 'wrapper' && (!isCounted || number >= LEAST_COUNTED_GRAMS)
    const rest = behind ? `, ${behind}` : ''
    return isWeight
      ? {
          text: `${number} g ${name}${rest}`,
          told: `No unit is written in this row: ${number} is taken as grams`,
          code: 'bare-number',
        }
      : { text: `${number} ${name}${rest}`, told: '' }
  })
}

/** A bare number of this size is grams unless the food is counted. Common practice, no source. */
const MIN_BARE_GRAMS = 20
/** Of what nobody counts ("10 salt") a smaller number is grams too. */
const MIN_UNCOUNTED_GRAMS = 5
/** Nobody counts out more of anything than this; "600 cabbage" is grams. */
const MAX_COUNTED = 45

/** "500 flour, 250 water": a cook in a hurry writes no unit, and means grams. */
export function withGrams(read: ReadLine, food: Food): ReadLine {
  const term = read.measures.length === 1 && read.measures[0]!.length === 1 ? read.measures[0]![0]! : null
  const each = food.unitGrams.piece ?? food.unitGrams.medium ?? food.unitGrams.clove
  const least = each === undefined ? MIN_UNCOUNTED_GRAMS : MIN_BARE_GRAMS
  if (!term || term.unitId !== null || term.size !== null || term.low < least) return read
  const counted =
    each !== undefined && (term.high <= MAX_COUNTED || food.group === 'wrapper') && term.high * each <= 3000
  return counted ? read : { ...read, measures: [[{ ...term, unitId: 'g' }]] }
}

const COUNTED_OUT =
  /\b(?:wrappers?|skins?|sheets?|rounds?|dis[ck]s?|pieces?|pcs|nos|leaves|balls?|slices?)\b/i
const IS_WORK = new RegExp(`^${PREP_WORDS}$`, 'i')
/** "100 solid fat" of some make: what nobody knows is weighed too, where nobody counts out so many. Null where it may be counted. */
export function gramsByNumber({ measures, name, raw }: ReadLine): number | null {
  // "225 drained" weighs again what has been weighed.
  if (COUNTED_OUT.test(raw) || IS_WORK.test(name)) return null
  const term = measures.length === 1 && measures[0]!.length === 1 ? measures[0]![0]! : null
  const isWeight = term !== null && term.unitId === null && term.size === null
  return isWeight && term.low > MAX_COUNTED && term.low <= MAX_LINE_GRAMS ? term.low : null
}
