import { numericQuantity } from 'numeric-quantity'

/** A number as a cook writes it: a single value has `low === high`. */
export interface NumberRange {
  low: number
  high: number
  /** How many characters of the text were used. */
  length: number
}

/** Numbers that are one word. */
export const ONES: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
}
export const TENS: Readonly<Record<string, number>> = {
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
}
const PARTS: Readonly<Record<string, number>> = {
  half: 1 / 2,
  halves: 1 / 2,
  third: 1 / 3,
  thirds: 1 / 3,
  fourth: 1 / 4,
  fourths: 1 / 4,
  quarter: 1 / 4,
  quarters: 1 / 4,
  fifth: 1 / 5,
  eighth: 1 / 8,
  eighths: 1 / 8,
}
/** Words that stand for a number by themselves. */
const WHOLE: Readonly<Record<string, number>> = {
  'half a dozen': 6,
  'a dozen': 12,
  dozen: 12,
  'a couple of': 2,
  'a couple': 2,
  'couple of': 2,
  'a few': 3,
  few: 3,
  'half an': 0.5,
  'half of a': 0.5,
  'half a': 0.5,
  'a half': 0.5,
  half: 0.5,
  'a quarter of a': 0.25,
  'quarter of a': 0.25,
  a: 1,
  an: 1,
}

const VULGAR = '¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞'
const oneOf = (words: Readonly<Record<string, number>>) =>
  Object.keys(words)
    .sort((a, b) => b.length - a.length)
    .join('|')
const small = `(?:(?:${oneOf(TENS)})(?:[ -](?:${oneOf(ONES)}))?|${oneOf(ONES)})`
const part = `(?:${oneOf(PARTS)})`
const wordNumber = [
  // two hundred and fifty, a hundred, twelve hundred
  `(?:(?:${small}|a) )?hundred(?: (?:and )?${small})?`,
  // one and a half, two and three quarters
  `${small} and (?:a|one|two|three|an) ${part}`,
  // three fourth, one third, two thirds, three quarters of a
  `(?:one|two|three|a|seven|five)[ -]${part}(?: of an?)?`,
  oneOf(WHOLE),
  small,
  'quarter',
]

const DIGITS = [
  String.raw`\d{1,9}\s+\d{1,3}\s*[/⁄]\s*\d{1,3}`,
  String.raw`\d{1,9}\s+(?:and|&)\s+\d{1,3}\s*[/⁄]\s*\d{1,3}`,
  String.raw`\d{1,9}\s+(?:and|&)\s+a\s+(?:half|quarter|third)(?![a-zß-öø-ɏ])`,
  String.raw`\d{1,9}-\d{1,3}[/⁄]\d{1,3}`,
  String.raw`\d{1,9}\s*(?:(?:and|&)\s*)?[${VULGAR}]`,
  `[${VULGAR}]`,
  String.raw`\d{1,9}\s*[/⁄]\s*\d{1,3}(?:th|rd|nd)?(?![\d])`,
  String.raw`[1-9]\d{0,2}(?:,\d{3})+(?:\.\d{1,6})?`,
  String.raw`\d{1,9}[.,]\d{1,6}`,
  String.raw`\.\d{1,6}`,
  String.raw`\d{1,9}`,
]
const WORD_END = String.raw`(?![a-zß-öø-ɏ\d'’-])`

/** Words that a number may begin with. */
const NUMBER_WORDS = new Set([
  ...Object.keys(ONES),
  ...Object.keys(TENS),
  'hundred',
  'half',
  'quarter',
  'a',
  'an',
  'dozen',
  'few',
  'couple',
])
const anyWord = `(?:${[...new Set([...NUMBER_WORDS, ...Object.keys(PARTS)])].sort((a, b) => b.length - a.length).join('|')})`

/**
 * Source of a regular expression for one number: 1 1/2, 1½, ½, 3/4th, 1.5, 1,5, 1,000, "half a", "two", for use inside
 * others. Of words it takes any run ("two a half"); what they mean, and whether they mean a number, `readNumber`
 * tells. Each pattern that spelt the runs out took five times as long to compile, which the first text had to wait for.
 */
export const NUMBER_PATTERN = [
  ...DIGITS,
  String.raw`${anyWord}(?:[ -](?:(?:and|of) )?${anyWord})*${WORD_END}`,
].join('|')
const SPELT = new Set([...Object.keys(ONES), ...Object.keys(TENS), 'hundred'])

/**
 * A number in digits or as a fraction, for patterns that search a whole text: number words are written in digits
 * first, with `withDigits`.
 */
export const DIGIT_NUMBER = String.raw`(?:\d{1,6}\s+\d\s*[/⁄]\s*\d|\d{1,6}\s*[${VULGAR}]|[${VULGAR}]|\d{1,6}\s*[/⁄]\s*\d{1,2}|\d{1,6}[.,]\d{1,4}|\d{1,6}|half an?|half|a couple(?: of)?|a few|a dozen)`

const single = new RegExp(`^(?:${[...DIGITS, `(?:${wordNumber.join('|')})${WORD_END}`].join('|')})`, 'i')
const rangeJoin = /^\s*(?:-|–|—|to|or|bis)\s*/i

function wordValue(token: string): number | null {
  const words = token.replace(/ of an?$/, '')
  const known = WHOLE[token] ?? ONES[words] ?? TENS[words] ?? PARTS[words]
  if (known !== undefined) return known
  const hundred = /^(.*?) ?hundred(?: (?:and )?(.*))?$/.exec(words)
  if (hundred)
    return (
      100 * (hundred[1] && hundred[1] !== 'a' ? wordValue(hundred[1])! : 1) +
      (hundred[2] ? wordValue(hundred[2])! : 0)
    )
  const mixed = /^(.*) and (\S+) (\S+)$/.exec(words)
  if (mixed && PARTS[mixed[3]!] !== undefined)
    return (wordValue(mixed[1]!) ?? Number(mixed[1])) + (ONES[mixed[2]!] ?? 1) * PARTS[mixed[3]!]!
  const pair = /^(\S+)[ -](\S+)$/.exec(words)
  if (!pair) return null
  if (PARTS[pair[2]!] !== undefined) return (ONES[pair[1]!] ?? 1) * PARTS[pair[2]!]!
  const tens = TENS[pair[1]!]
  return tens === undefined ? null : tens + (ONES[pair[2]!] ?? 0)
}

function valueOf(token: string): number {
  const word = wordValue(token.toLowerCase().replace(/\s+/g, ' ').replace('&', 'and'))
  if (word !== null) return word
  const plain = token
    .replace(/(?:and|&)/gi, ' ')
    .replace(/⁄/g, '/')
    .replace(/\s*\/\s*/g, '/')
    .replace(/(?:th|rd|nd)$/i, '')
    .replace(/^(\d+)-(\d+\/\d+)$/, '$1 $2')
    .replace(/^([1-9]\d{0,2})((?:,\d{3})+)/, (all) => all.replace(/,/g, ''))
    .replace(/^(\d+),(\d+)$/, '$1.$2')
    .replace(/\s+/g, ' ')
    .trim()
  return numericQuantity(plain, { round: false })
}

/**
 * Reads the number, or the range of numbers, that a text begins with.
 *
 * Decimals may use a point or a comma; a comma followed by exactly three digits separates thousands, except
 * after a bare zero. "2 to 3", "50-60", "2 or 3" are ranges; a range that runs downwards is turned round.
 *
 * @param text what follows in the line, without leading blanks
 * @returns the value and its length, or null when the text does not begin with a number or has a nought below
 *   a fraction bar
 * @example readNumber('1 1/2 cups') // { low: 1.5, high: 1.5, length: 5 }
 * @example readNumber('two hundred and fifty grams') // { low: 250, high: 250, length: 21 }
 */
export function readNumber(text: string): NumberRange | null {
  // Most texts begin with a word that is no number: that is seen without the pattern.
  if (
    !/^[\d.]/.test(text) &&
    !VULGAR.includes(text[0] ?? '') &&
    !NUMBER_WORDS.has(/^[a-z]+/i.exec(text)?.[0].toLowerCase() ?? '')
  )
    return null
  const first = single.exec(text)
  if (!first) return null
  const low = valueOf(first[0])
  if (!Number.isFinite(low)) return null

  const dozen = /^\s*doz(?:en)?(?![a-zß-öø-ɏ])/i.exec(text.slice(first[0].length))
  if (dozen) return { low: low * 12, high: low * 12, length: first[0].length + dozen[0].length }

  const isWord = /^\p{L}/u.test(first[0])
  const join = rangeJoin.exec(text.slice(first[0].length))
  if (join && !(isWord && /^an?$/i.test(first[0]))) {
    const start = first[0].length + join[0].length
    const second = single.exec(text.slice(start))
    const high = second ? valueOf(second[0]) : NaN
    const secondIsArticle = second ? /^(an?|half)$/i.test(second[0]) : true
    if (second && Number.isFinite(high) && !secondIsArticle) {
      return { low: Math.min(low, high), high: Math.max(low, high), length: start + second[0].length }
    }
  }
  return { low, high: low, length: first[0].length }
}

const SPOKEN = new RegExp(
  String.raw`(?<![a-zß-öø-ɏ\d-])(?<!\b(?:each|every|this|that) (?=one\b))(?:(?:(?:${small}|a) )?hundred(?: (?:and )?${small})?|${small} and a ${part}|${small})(?![a-zß-öø-ɏ\d-])`,
  'gi',
)

/** "Bake at three fifty", "oven at four twenty five": how an oven's heat is said aloud. */
const SPOKEN_HEAT = new RegExp(
  String.raw`\b(at|to|on|oven)\s+(one|two|three|four|five)\s+(${oneOf(TENS)})(?:[ -](five))?(?=\s+(?:for|till|until|degrees?|oven|about)\b|[,.;]|$)`,
  'gi',
)

const heatInDigits = (text: string) =>
  text.replace(SPOKEN_HEAT, (_, before: string, hundreds: string, tens: string, five?: string) => {
    const value = 100 * ONES[hundreds.toLowerCase()]! + TENS[tens.toLowerCase()]! + (five ? 5 : 0)
    return `${before} ${value}`
  })

/** A text with numbers in words written in digits: "bake at two hundred degrees for twenty minutes". */
export function withDigits(said: string): string {
  const text = said.replace(
    PARTS_OF_UNIT,
    (_, many: string, part: string) =>
      `${ONES[many.toLowerCase()]!}/${Math.round(1 / PARTS[part.toLowerCase()]!)} `,
  )
  for (const [word] of text.matchAll(/[a-z]{3,}/gi)) {
    if (SPELT.has(word.toLowerCase()))
      return heatInDigits(text).replace(SPOKEN, (number) => String(valueOf(number)))
  }
  return text
}

/** "Three quarters cup". */
const PARTS_OF_UNIT =
  /\b(one|two|three) (thirds?|quarters?|fourths?) (?:of )?(?:an? )?(?=(?:cups?|teaspoons?|tablespoons?|tsp|tbsp|pounds?|kilos?|lit(?:re|er)s?|pints?)\b)/gi

/** Whether a text holds anything that may be an amount; says no at once for most sentences. */
export function mayHoldNumber(text: string): boolean {
  if (/[\d¼½¾⅐-⅞]/.test(text)) return true
  for (const [word] of text.matchAll(/[a-z]+/gi)) if (NUMBER_WORDS.has(word.toLowerCase())) return true
  return false
}
