import { recalled } from './matches'
import { DIGIT_NUMBER } from './readNumber'
import { remember } from './remember'
import { plainSpelling } from './spellings'
import { UNIT_PATTERN } from './units'

/** A line of a pasted text that says something. */
export interface PastedLine {
  /** Where it stands in the text, from 0. */
  at: number
  text: string
  /** It stands apart from what is above it: by an empty line or a rule. */
  apart: boolean
}

/** "[21/11/26, 18:04] Mum: 250 g flour": who sent it, and when. */
const SENT =
  /^\s*\[?\d{1,4}[/.-]\d{1,2}[/.-]\d{2,4},? (?:at )?\d{1,2}[:.]\d{2}(?::\d{2})?(?: ?[ap]\.?m\.?)?\]?\s*(?:[-–] )?(?:[^:\n]{1,30}:\s+)/i

/** A longer line is no line of a recipe, and its spelling is left as it is. */
const MAX_LINE_CHARACTERS = 4000

const RULE = recalled(/^(?:[\s\-=_*~·•.–—]{3,}|[–—-]{1,2}|[/\\]{1,3})$/)

/** From so many lines on it can be told that a page puts an empty line below each of its lines. */
const MIN_SPREAD_LINES = 8
const SPREAD_SHARE = 0.85
/** Paragraphs are longer than what a list holds. */
const LIST_CHARACTERS = 70
/** What stands below a lone "1" and is as long is told: a step. */
const TOLD_CHARACTERS = 36

/** So much of a text is in capitals before it is read as if it were in small letters. */
const CAPITALS_SHARE = 0.9
const MIN_LETTERS = 48
const ENOUGH_LETTERS = 3000
const MIN_AMOUNTS = 3

const AMOUNT_LINE = recalled(/^\W*(?:about |approx\.? )?(?:\d|[¼½¾⅓⅔⅛]|one |two |three |half )/i)

const AMOUNT_ALONE = recalled(new RegExp(String.raw`^\W*${DIGIT_NUMBER}\s*(?:${UNIT_PATTERN})?\W*$`, 'i'))

/**
 * The lines of a pasted text that say something, in the usual spelling: a text in capitals is in small letters, a
 * number that stands on a line of its own leads the next, and an empty line below every line says nothing.
 * Linear in the length of the text.
 *
 * @param text as pasted, any line endings
 */
export function pastedLines(text: string): PastedLine[] {
  const found: (PastedLine & { blanks: number; ruled: boolean })[] = []
  let blanks = 0
  let ruled = false
  text.split(/\r\n?|\n|\u2028|\u2029/).forEach((line, at) => {
    const own = line.length > MAX_LINE_CHARACTERS ? line : plainSpelling(line.replace(SENT, ''))
    if (!own.trim() || RULE.test(own.trim().slice(0, 400))) {
      if (own.trim()) ruled = true
      else blanks++
      return
    }
    found.push({ at, text: own, apart: blanks > 0 || ruled, blanks, ruled })
    blanks = 0
    ruled = false
  })
  if (isSpread(found)) for (const line of found) line.apart = line.ruled || line.blanks > 1
  inSmallLetters(found)
  withoutListMarks(found)
  return amountsJoined(numbersJoined(found))
}

/** Whether an empty line stands below nearly every line, most of which are short. */
function isSpread(lines: readonly { text: string; blanks: number }[]): boolean {
  const gaps = lines.slice(1)
  return (
    lines.length >= MIN_SPREAD_LINES &&
    gaps.filter(({ blanks }) => blanks > 0).length >= SPREAD_SHARE * gaps.length &&
    lines.filter(({ text }) => text.length <= LIST_CHARACTERS).length >= 0.6 * lines.length
  )
}

/** How many letters a line has, and how many of them are capitals. */
const lettersOf = remember((text: string) => ({
  all: text.match(/\p{L}/gu)?.length ?? 0,
  capitals: text.match(/\p{Lu}/gu)?.length ?? 0,
}))
const isInCapitals = (text: string): boolean => {
  const { all, capitals } = lettersOf(text)
  return all > 0 && capitals >= CAPITALS_SHARE * all
}
/** "100 G BUTTER. RUB IN" as a sentence is written; "2 T" stays a tablespoon. */
const asSentences = (text: string): string =>
  text
    .replace(/\p{Lu}+/gu, (word, at: number) =>
      word === 'T' && /[\d¼½¾⅓⅔]\s?$/.test(text.slice(Math.max(0, at - 3), at)) ? word : word.toLowerCase(),
    )
    .replace(
      /(^\W*|[.!?]\s+)(\p{Ll})/gu,
      (_, before: string, letter: string) => before + letter.toUpperCase(),
    )

function inSmallLetters(lines: PastedLine[]): void {
  let all = 0
  let capitals = 0
  for (const { text } of lines) {
    if (all > ENOUGH_LETTERS) break
    const own = lettersOf(text)
    all += own.all
    capitals += own.capitals
  }
  const amounts = lines.filter(({ text }) => AMOUNT_LINE.test(text) && lettersOf(text).all >= 3)
  const inCapitals = amounts.filter(({ text }) => isInCapitals(text))
  // Where the amounts are in capitals, what has none ("SALT TO TASTE") is no heading for being so.
  const whole =
    (all >= MIN_LETTERS && capitals >= CAPITALS_SHARE * all) ||
    (inCapitals.length >= MIN_AMOUNTS && inCapitals.length >= SPREAD_SHARE * amounts.length)
  for (const line of whole ? lines.filter(({ text }) => isInCapitals(text)) : inCapitals)
    line.text = asSentences(line.text)
}

/** Commas that end the lines of a list, and full stops where all of its amounts end with one. */
function withoutListMarks(lines: PastedLine[]): void {
  for (const line of lines)
    if (line.text.length <= LIST_CHARACTERS) line.text = line.text.replace(/(?<=[\p{L}\d)])\s*,\s*$/u, '')
  const isAmount = ({ text }: PastedLine) => AMOUNT_LINE.test(text) && text.length <= LIST_CHARACTERS
  const amounts = lines.filter(isAmount)
  const stopped = amounts.filter(({ text }) => ONE_STOP.test(text))
  if (stopped.length < MIN_AMOUNTS || stopped.length < SPREAD_SHARE * amounts.length) return
  const first = lines.findIndex(isAmount)
  const last = lines.findLastIndex(isAmount)
  // What follows the last amount without an empty line between ("Salt.") is of the list as well.
  const end = lines.findIndex((line, at) => at > last && (line.apart || line.text.length > SHORT_CHARACTERS))
  for (const line of lines.slice(first, end < 0 ? lines.length : end))
    if (line.text.length <= LIST_CHARACTERS && ONE_STOP.test(line.text))
      line.text = line.text.replace(/\.\s*$/, '')
}
/** A line that is one sentence, or part of one. */
const ONE_STOP = recalled(/^(?:[^.]|\.(?=\d)|(?<=\b\p{L}{1,4})\.(?= ))*[\p{L})]\.\s*$/u)
const SHORT_CHARACTERS = 30

/** "1." by itself above "Mix the flour …": the numbers of steps on lines of their own, counted up from one. */
function numbersJoined(lines: readonly PastedLine[]): PastedLine[] {
  const numbers = lines.flatMap(({ text }, at) => {
    const alone = /^\W*(\d{1,2})\s*[.):]?\s*$/.exec(text)
    const next = lines[at + 1]?.text ?? ''
    return alone && /^\W*\p{L}.{4}/u.test(next) ? [{ at, number: Number(alone[1]), next }] : []
  })
  const areCounted = numbers.every(({ number }, index) => number === index + 1)
  if (!areCounted || (numbers.length < 2 && (numbers[0]?.next.length ?? 0) < TOLD_CHARACTERS))
    return [...lines]
  const led = new Map(numbers.map(({ at, number }) => [at + 1, number]))
  return lines.flatMap((line, at) => {
    const number = led.get(at)
    if (number !== undefined)
      return [{ ...line, text: `${number}. ${line.text.trim()}`, apart: lines[at - 1]!.apart }]
    return led.has(at + 1) ? [] : [line]
  })
}

const HEAD = recalled(
  /^\W*(?:for (?:the )?)?(?:ingredients?|dough|pastry|filling|stuffing|crust|topping|to finish|wash|glaze|sauce|dip)\b|:\s*$/i,
)

/**
 * "250 g" by itself above "plain flour", or below it: amounts on lines of their own belong to the name that
 * follows where the list begins with an amount, else to the one before.
 */
function amountsJoined(lines: readonly PastedLine[]): PastedLine[] {
  const isName = (line: PastedLine | undefined) =>
    line !== undefined && /^\W*\p{L}/u.test(line.text) && line.text.length <= LIST_CHARACTERS
  const alone = lines.flatMap(({ text }, at) => (AMOUNT_ALONE.test(text) ? [at] : []))
  const measured = alone.filter((at) => /\p{L}/u.test(lines[at]!.text))
  if (measured.length < MIN_AMOUNTS) return [...lines]
  const leads = alone.filter(
    (at) => lines[at]!.apart || at < 2 || HEAD.test(lines[at - 1]!.text) || !isName(lines[at - 1]),
  ).length
  const follows = alone.filter((at) => {
    const next = lines[at + 1]
    return !next || next.apart || HEAD.test(next.text) || !isName(next)
  }).length
  const before = leads >= follows
  const amounts = new Set(alone)
  const taken = new Set<number>()
  return lines.flatMap((line, at) => {
    if (taken.has(at)) return []
    const pair = before ? amounts.has(at) && isName(lines[at + 1]) : isName(line) && amounts.has(at + 1)
    if (!pair) return [line]
    taken.add(at + 1)
    const [amount, name] = before ? [line, lines[at + 1]!] : [lines[at + 1]!, line]
    return [{ ...line, at: name.at, text: `${amount.text.trim()} ${name.text.trim()}` }]
  })
}
