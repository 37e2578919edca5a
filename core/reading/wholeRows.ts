import type { Foods } from '../food/food'
import { standsBetweenWork } from './behindWork'
import { headCells, timeOfWhole } from './headRow'
import { kindOf } from './headingKinds'
import { readHeading } from './headings'
import { matchFood } from './match'
import { recalled } from './matches'
import type { OutlineState } from './outlineState'
import { boastIn } from './outlineTitle'
import { saysNothing, saysWhose } from './page'
import { readLine } from './readLine'
import { looksLike, matchedIngredient, STARTS_WITH_AMOUNT } from './rows'
import { readYields } from './servings'
import { servingSizeIn } from './servingSize'
import type { Row } from './tidy'

// Rows that say something of the whole: times, counts, adverts, figures of nutrition.

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
export function saysOfWhole(state: OutlineState, rows: readonly Row[], index: number, text: string): boolean {
  const { mode, out, foods } = state
  const row = rows[index]!
  // "Serving size: 3", "each serving (2 pockets) has 310 kcal".
  const size = text.length < LONGEST_COUNT ? servingSizeIn(text) : null
  if (size && (FIGURES.test(text) || !/\p{L}{3}/u.test(text.replace(size.says, ' ')))) {
    out.counts.push({ pieces: null, servings: null, perServing: size.pieces, text })
    state.is(row, 'left-out')
    return true
  }
  if (isHeadRow(state, row, text)) return true
  // "(no egg)" in a list: nothing to buy.
  if (mode === 'lines' && /^\W*(?:\(no [a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?\)|no [a-zß-öø-ɏ]+)\W*$/i.test(text)) {
    state.remark(row, text)
    return true
  }
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
    if (
      noise &&
      state.out.steps.length &&
      kindOf(text) === 'noise' &&
      !standsBetweenWork(state.out.steps, text, '')
    ) {
      state.mode = 'noise'
      state.section = null
    }
    const eaten = nutrition === null ? null : eatenOf(text)
    if (eaten) out.counts.push({ pieces: null, ...eaten, text })
    state.is(row, 'left-out')
    return true
  }
  if (state.isAtStart && saysWhose(text) && (out.title || namesDish(rows[index + 1], foods))) {
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
  return countsWhole(state, row, text, index === rows.length - 1)
}

const LONGEST_COUNT = 120
const FIGURES = /\d ?(?:k?cals?|calories|kj|g (?:of )?(?:protein|carbs?|fat))\b/i
/** Of how many pieces figures are, or for how many eaters: "Macros per 5", "per serving (2 pockets): 310 kcal". */
function eatenOf(text: string): { servings: number | null; perServing: number | null } | null {
  const pieces = servingSizeIn(text)?.pieces ?? Number(FIGURES_PER.exec(text)?.[1] ?? 0)
  if (pieces) return { servings: null, perServing: pieces }
  const servings = /\bserves\b/i.test(text) ? readYields(text)?.servings : null
  return servings ? { servings, perServing: null } : null
}
const FIGURES_PER =
  /^\W*(?:macros?|nutrition|figures|values|calories|k?cals?)\b[^:\d]{0,16}\b(?:per|for) ([2-9]|1\d)\b(?! ?(?:g|ml|%|servings?|portions?|people|persons?)\b)/i

/** "From my aunt, typed up by me" may stand above the name: what is below names the dish. */
const namesDish = (row: Row | undefined, foods: Foods): boolean =>
  row !== undefined && looksLike(row, foods) === 'other' && !readHeading(row.text, { foods })

/** "(makes 12)", a bare number below the title, "4 large", "for 6". */
function countsWhole(state: OutlineState, row: Row, text: string, isLast: boolean): boolean {
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
  const own =
    /^\W*(?:about )?(\d{1,3}) (?:(?:big|large|small|mini|medium) )?([a-zß-öø-ɏ]{3,}?)e?s?\W*$/i.exec(text)
  if (
    own &&
    out.title &&
    state.isAtStart &&
    new RegExp(`\\b${own[2]!}`, 'i').test(out.title) &&
    matchFood(own[2]!, state.foods)?.how !== 'exact'
  ) {
    out.counts.push({ pieces: Number(own[1]), servings: null, perServing: null, text })
    state.is(row, 'count')
    return true
  }
  // "48 cookies" ends the page below the work.
  const made = LAST_COUNT.exec(text)
  if (made && out.steps.length && isLast && Number(made[1]) >= LEAST_LAST_COUNT && !readYields(text)) {
    out.counts.push({ pieces: Number(made[1]), servings: null, perServing: null, text })
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

const LAST_COUNT =
  /^\W*(?:about |around |approx\.? |~ ?)?(\d{1,3}) (?:\p{L}+ )?(?!(?:mins|minutes|hours|hrs|secs|seconds|days|weeks|months|grams|calories|kcals|comments|reviews)\b)\p{L}{3,}s\W*$/u
/** Fewer may as well be a line that was forgotten: "2 eggs". Our own choice. */
const LEAST_LAST_COUNT = 6

/** "Yields 16 buns", "Servings: 4", "1 dozen": a row that counts. */
const COUNTS_AHEAD = recalled(
  /^\W*(?:(?:for|makes?|serves?|yields?|gives|feeds|servings?|portions?|quantity|batch of|number of (?:pieces|servings|portions|buns|dumplings|pies)|serving size)\s*[:=-]?\s*(?:about |approx\.? |around |~)?(?:\d|an? |one|two|three|four|five|six|seven|eight|nine|ten|twelve)|(?:1|one|two|2|three|3|a|half a) dozen\W*$)/i,
)
