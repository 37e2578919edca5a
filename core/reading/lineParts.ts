import type { Food, Foods } from '../food/food'
import { matchFood, normaliseName } from './match'
import type { Measure } from './measures'
import { readLine } from './readLine'
import { UNIT_PATTERN, unitById } from './units'

// What a line that names several foods is made of, and foods that stand in a row without a mark between.

/** One ingredient of a line that names several. */
export interface LinePart {
  text: string
  /** How it came out of the line, when that has to be told; '' otherwise. */
  told: string
  /** What kind of thing is told; an amount that is shared where nothing is said. */
  code?: 'bare-number'
}

/** What takes a piece of a line apart in its turn. */
export type Split = (raw: string, foods: Foods) => readonly LinePart[]

/** Parts that came out of the line as they stand. */
export const both = (texts: readonly string[]): LinePart[] => texts.map((text) => ({ text, told: '' }))

/** The longest word that joins two foods, with the blanks round it. */
const MAX_JOINT = 16

/** Cuts at commas, slashes and "and", but never inside brackets. */
export function pieces(text: string): { text: string; joint: string }[] {
  const found: { text: string; joint: string }[] = []
  let depth = 0
  let start = 0
  let before = ''
  const joint =
    /^(?:\s*[,;]\s+(?:and\s+|&\s+)?|\s+(?:and|&|\+|plus|with|n|'n'?|as well as|along with|together with)\s+|\s*[,;](?=[a-zß-öø-ɏ])|\s+[/|·•]\s+)/i
  for (let at = 0; at < text.length; at++) {
    const mark = text[at]!
    if (mark === '(' || mark === '[') depth++
    else if (mark === ')' || mark === ']') depth = Math.max(0, depth - 1)
    if (depth || !/[\s,;]/.test(mark)) continue
    const found1 = joint.exec(text.slice(at, at + MAX_JOINT))
    if (!found1) continue
    found.push({ text: text.slice(start, at).trim(), joint: before })
    before = found1[0]
    at += found1[0].length - 1
    start = at + 1
  }
  found.push({ text: text.slice(start).trim(), joint: before })
  return found.filter((piece) => piece.text)
}

const print = (measure: Measure, share: number) =>
  measure
    .map((term) => {
      const number = (value: number) => String(Math.round(value * share * 1000) / 1000)
      const amount = term.low === term.high ? number(term.low) : `${number(term.low)}-${number(term.high)}`
      return [amount, term.heap, term.size, term.unitId && unitById(term.unitId).names[0]]
        .filter(Boolean)
        .join(' ')
    })
    .join(' + ')

/** One amount for several foods: each gets an equal share, and it is said. `amount` is a line that states it. */
export function shareOut(raw: string, names: readonly string[], amount = raw): LinePart[] {
  const read = readLine(amount)
  const measure = read.measures[0]!
  const told = `An equal share of "${raw.trim()}": the line does not say how much of each`
  return names.map((name) => {
    const plain = readLine(name)
    const words = plain.name.split(' ')
    const bare = [plain.name, ...plain.prep.filter((word) => !words.includes(word))].join(', ')
    return { text: `${print(measure, 1 / names.length)} ${bare}`, told }
  })
}

/** Two words are one name more often than two foods: "daikon radish". */
const MIN_ROW_WORDS = 3
/** Whether a food is cut small for its bite and counted by itself, not with the vegetables. */
export const isAromatic = ({ id }: Food): boolean => /^(?:garlic|ginger|green-chilli)$/.test(id)

/** "Ginger garlic green chilli crushed 2 tbsp": aromatics in a row share one amount. */
export function aromaticsInRow(raw: string, foods: Foods): LinePart[] | null {
  const read = readLine(raw)
  const words = read.name.split(' ')
  // "2 onions & garlic" has a mark between them.
  if (
    read.measures.length !== 1 ||
    words.length < MIN_ROW_WORDS ||
    words.length > 6 ||
    /[&+]/.test(read.name)
  )
    return null
  if (matchFood(read.name, foods)?.how === 'exact') return null
  const names: string[] = []
  for (let at = 0; at < words.length;) {
    const length = [3, 2, 1].find((many) => {
      const name = words.slice(at, at + many).join(' ')
      const match = at + many <= words.length ? matchFood(name, foods) : null
      return (
        match?.how === 'exact' &&
        match.found === normaliseName(name) &&
        /^(?:spice|herb|vegetable|seasoning)$/.test(match.food.group)
      )
    })
    if (!length) return null
    names.push(words.slice(at, at + length).join(' '))
    at += length
  }
  // "King Edward potatoes": a kind and what it is a kind of are one food.
  if (new Set(names.map((name) => matchFood(name, foods)?.food.id)).size === 1) return null
  return names.length > 1 ? shareOut(raw, names) : null
}

/** Words in front of "pinch" and "water" that belong to them. */
const NOT_APART =
  '(?<=[a-zß-öø-ɏ]{3})(?<!\\b(?:and|with|good|big|small|enough|some|plus|the|little|tiny|nice|generous|generously|hot|warm|luke|lukewarm|tepid|cold|cool|chilled|ice|iced|tap|boiling|filtered|just)) '
const PINCH = new RegExp(
  String.raw`${NOT_APART}(?=(?:an? )?(?:good |big |small )?pinch (?:of )?(?:salt|sugar|pepper)\b)`,
  'gi',
)
const WATER = new RegExp(
  // "2 tbsp water to bind" is one thing with its amount.
  String.raw`(?<!(?:\d|[¼½¾⅓⅔]|\b(?:an?|half|one|two|three|few))\s?(?:${UNIT_PATTERN}))${NOT_APART}(?=(?:(?:cold|warm|hot|iced?) )?water (?:to (?:mix|bind|knead)|as needed)\b)`,
  'gi',
)

const SALT_TO_TASTE =
  /(?<=[a-zß-öø-ɏ]{3})(?<!\b(?:tsps?|tbsps?|teaspoons?|tablespoons?|grams?|spoons?|pinch|of|and|plus|with|some|the|little|garlic|celery|sea|rock|black|pink|table|kosher|more|enough|add|flaky|fine|coarse|himalayan))\s+(?=salt (?:to|as per) taste\b)/gi

/** "2 oz lard pinch salt water to mix", "salt pepper": commas where a list runs on and nobody takes it for one thing. */
export const withCommas = (raw: string): string =>
  (/\b(?:pinch|water)\b/i.test(raw) ? raw.replace(PINCH, ', ').replace(WATER, ', ') : raw)
    .replace(SALT_TO_TASTE, ', ')
    .replace(/^salt pepper\b/i, 'salt, pepper')

/** "Curtido and tomato salsa to serve": both stand beside the dish, whether the larder has the first or not. */
const BOTH_TO_SERVE =
  /^([a-zß-öø-ɏ' -]{3,30}?) (?:and|&) ([a-zß-öø-ɏ' -]{3,30}?),? (to serve|for serving|for dipping|on the side)$/i
export function besideEachOther(raw: string, foods: Foods): LinePart[] | null {
  const [, first, second, purpose] = BOTH_TO_SERVE.exec(raw) ?? []
  if (!first || !second || matchFood(`${first} and ${second}`, foods)?.how === 'exact') return null
  if (matchFood(first, foods)?.how === 'exact' || matchFood(second, foods)?.how !== 'exact') return null
  return both([`${first}, ${purpose!}`, `${second}, ${purpose!}`])
}
