import { numericQuantity } from 'numeric-quantity'

/** A number as a cook writes it: a single value has `low === high`. */
export interface NumberRange {
  low: number
  high: number
  /** How many characters of the text were used. */
  length: number
}

const WORDS: Readonly<Record<string, number>> = {
  'one and a half': 1.5,
  'two and a half': 2.5,
  'half a dozen': 6,
  'a dozen': 12,
  'half an': 0.5,
  'half a': 0.5,
  'a half': 0.5,
  half: 0.5,
  'a quarter': 0.25,
  quarter: 0.25,
  'three quarters': 0.75,
  'a third': 1 / 3,
  'two thirds': 2 / 3,
  'a couple of': 2,
  'a couple': 2,
  'a few': 3,
  a: 1,
  an: 1,
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
  dozen: 12,
  fifteen: 15,
  sixteen: 16,
  twenty: 20,
  'twenty four': 24,
  thirty: 30,
}

const VULGAR = '¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞'
const wordPattern = Object.keys(WORDS)
  .sort((a, b) => b.length - a.length)
  .join('|')

/** Source of a regular expression for one number: 1 1/2, 1½, ½, 3/4, 1.5, 1,5, 1,000, "half a", "two". */
export const NUMBER_PATTERN = [
  String.raw`\d+\s+\d+\s*[/⁄]\s*\d+`,
  String.raw`\d+\s+(?:and|&)\s+\d+\s*[/⁄]\s*\d+`,
  String.raw`\d+-\d+[/⁄]\d+`,
  String.raw`\d+\s*(?:(?:and|&)\s*)?[${VULGAR}]`,
  `[${VULGAR}]`,
  String.raw`\d+\s*[/⁄]\s*\d+`,
  String.raw`[1-9]\d{0,2}(?:,\d{3})+(?:\.\d+)?`,
  String.raw`\d+[.,]\d+`,
  String.raw`\.\d+`,
  String.raw`\d+`,
  String.raw`(?:${wordPattern})(?![\p{L}\d'’-])`,
].join('|')

const single = new RegExp(`^(?:${NUMBER_PATTERN})`, 'iu')
const rangeJoin = /^\s*(?:-|–|—|to|or|bis)\s*/i

function valueOf(token: string): number {
  const word = WORDS[token.toLowerCase().replace(/\s+/g, ' ')]
  if (word !== undefined) return word
  const plain = token
    .replace(/(?:and|&)/gi, ' ')
    .replace(/⁄/g, '/')
    .replace(/\s*\/\s*/g, '/')
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
 */
export function readNumber(text: string): NumberRange | null {
  const first = single.exec(text)
  if (!first) return null
  const low = valueOf(first[0])
  if (!Number.isFinite(low)) return null

  const dozen = /^\s*dozen(?![\p{L}])/iu.exec(text.slice(first[0].length))
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
