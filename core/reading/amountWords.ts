import { DIGIT_NUMBER } from './readNumber'
import { UNITS } from './units'

// What patterns for amounts are made of.

/** Names of the units of weight and volume, for patterns. */
export const UNIT_NAMES = UNITS.filter(({ kind }) => kind !== 'count')
  .flatMap(({ names }) => names)
  .sort((a, b) => b.length - a.length)
  .map((name) => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
  .join('|')
/** A unit of weight or volume, as a whole word. */
export const UNIT = String.raw`(?:${UNIT_NAMES})(?![a-zß-öø-ɏ])`
export const NUMBER = DIGIT_NUMBER
/** In front of a weight that stands behind its food: "feta, like 80 grams". */
export const ABOUT_SO_MUCH = '(?:about|around|roughly|like|maybe|perhaps|probably|say)'
const START = String.raw`(?<![a-zß-öø-ɏ\d./-])`

/** A wording of amounts: what it looks like, and how it is said in the one form. */
export interface AmountWording {
  like: string
  becomes: string
  pattern: RegExp
  to: (...found: string[]) => string
}
/** A pattern that begins where a number or a word may begin. */
export const rule = (source: string) => new RegExp(`${START}(?:${source})`, 'gi')
