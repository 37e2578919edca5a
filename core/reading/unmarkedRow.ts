import type { Food, Foods } from '../food/food'
import { ABOUT_SO_MUCH } from './amountWords'
import { holdBack } from './held'
import { both, type LinePart } from './lineParts'
import { PREPARATION } from './listedFoods'
import { matchFood, normaliseName } from './match'
import { readLine } from './readLine'
import { NUMBER_PATTERN } from './readNumber'
import { rememberWith } from './remember'
import { UNIT_PATTERN } from './units'

// "3 onions 25 g butter 300 g cheddar grated pepper bit of mustard": a list that somebody spoke or jotted down, without
// a mark. It is cut where every piece names one food of the larder, in as few pieces as will do.

const WORDS = 'one|two|three|four|five|six|seven|eight|nine|ten|twelve'
/** A piece that begins with what is measured, be it by "a bit of". */
const AMOUNT_AHEAD = new RegExp(
  String.raw`^(?:(?:about |around |roughly |~)?(?:${NUMBER_PATTERN})(?![a-zß-öø-ɏ\d]*ish)|(?:an? )?(?:(?:good|big|small|little|tiny|nice|large|generous) )*(?:bit|pinch|splash|knob|handful|dash|squeeze|drizzle|glug|sprinkle|sprig|bunch|drop|touch|grating|dollop|lump|scrap)(?:e?s)?(?: of)? [a-zß-öø-ɏ]|(?:some|a little|a few|few|plenty of|lots of) [a-zß-öø-ɏ])`,
  'i',
)
/** "Half a teaspoon", "one cup": an amount as it is spoken. */
const SPOKEN = String.raw`(?:half an?|quarter|one|two|three|four|five|six|an?) (?:tsps?|tbsps?|teaspoons?|tablespoons?|spoons?|cups?|pinch|handful|cloves?|grams?)`
/** "Pork 300", "flour 2 cups", "turmeric half a teaspoon". */
const SO_MUCH = String.raw`(?:(?:\d[\d./]*|[¼½¾⅓⅔])\s?(?:(?:${UNIT_PATTERN})\.?|big|small|large|medium)?|${SPOKEN})`
const AMOUNT_BEHIND = new RegExp(String.raw`^[a-zß-öø-ɏ].*\s${SO_MUCH}$`, 'i')
const IS_UNIT = new RegExp(String.raw`^(?:${UNIT_PATTERN})\.?$`, 'i')
const AMOUNT_ALONE = new RegExp(String.raw`^${SO_MUCH}$`, 'i')
/** "1 egg + milk to make 160 g": what both weigh. */
const TOPPED_UP = /\bto make\b/i
const SPOKEN_AHEAD = new RegExp(String.raw`^${SPOKEN}\s`, 'i')
/** An amount with another one behind it, or nothing: it is of what stands in front. */
const ANY_BEHIND = new RegExp(
  String.raw`\s(?:${SPOKEN}|[\d½¼¾⅓⅔][\d./]* ?(?:${UNIT_PATTERN}))(?=\s+(?:half|an?|one|two|three|four|five|six|[\d½¼¾⅓⅔])(?![a-zß-öø-ɏ])|\s*$)`,
  'i',
)
/** What is named bare: nobody measures it. */
const isBare = (food: Food): boolean =>
  /^(?:salt|spice|seasoning|herb)$/.test(food.group) || food.id === 'water'
/** "2 cloves garlic salt", "1 green chilli salt": no salted spice is counted. */
export const COUNTED_AND_SALT =
  /^(?!.*\b(?:g|gm|oz|tsp|tbsp|teaspoons?|tablespoons?|pinch)\b).*\b(?:garlic|onions?|celery|chill?i(?:e?s)?) salt$/i
const SPOON_AT_END =
  /\s(?:half an?|an?|one|two|three|[\d½¼¾⅓⅔][\d./]*)\s(?:tsps?|tbsps?|teaspoons?|tablespoons?|pinch|cups?)$/i
/** "Two chicken breasts about 350 grams a leek", "a punnet of mushrooms 250 grams a leek", "the 320 gram one". */
const WEIGHS_SO_MUCH = new RegExp(
  String.raw`(?<=[a-zß-öø-ɏ]) (?:${ABOUT_SO_MUCH} (?:${NUMBER_PATTERN}) ?(?:g|grams?|kilos?|kg|ml|mls|mils?|oz|ounces|pounds|lbs?)|the (?:${NUMBER_PATTERN}) ?(?:g|grams?|ml|mils?) (?:ones?|packs?|packets?|kind|size))(?= (?:an?|some|half|\d|${WORDS})(?![a-zß-öø-ɏ])|$)|(?<=\b(?:an?|one|1) (?:punnet|pack|packet|tub|bag|tin|can|jar|head|bunch|roll|block) (?:of )?[a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?) (?:${NUMBER_PATTERN}) ?(?:g|grams?)(?= (?:an?|some|half|\d|${WORDS})(?![a-zß-öø-ɏ])|$)`,
  'gi',
)
const ALL_DONE =
  /,?\s+all ((?:(?:very|finely|roughly|thinly|coarsely) )*(?:chopped|sliced|diced|grated|shredded|minced|crushed|cubed|peeled))\W*$/i
const MAX_WORDS = 70
const MAX_PIECE_WORDS = 9
const MAX_BARE_WORDS = 3
const JOINT = /^(?:and|&|\+|plus)$/i
/** With these no name ends. */
const NO_END = /^(?:and|&|\+|plus|an?|the|of|some|[\d./¼½¾⅓⅔]+)$/i

/** "200 g flour salt to taste": what is left to taste is another food. */
const BEFORE_TO_TASTE = /^(.*\S)\s+(?:salt|pepper|sugar|chilli|seasoning) (?:to|as per) taste$/i

/** Whether some words are one food with its amount and its preparation, and nothing else. */
const isMeasured: (text: string, foods: Foods) => boolean = rememberWith((text, foods) => {
  const read = readLine(text)
  if (!read.measures.length && !read.unmeasured) return false
  const match = matchFood(read.name, foods)
  if (match?.how !== 'exact' || read.alternative || COUNTED_AND_SALT.test(text)) return false
  const before = BEFORE_TO_TASTE.exec(text)?.[1]
  if (before && isMeasured(before, foods)) return false
  return match.leftOver.every((word) => PREPARATION.test(word))
})

/** "Water to make a medium dough", "salt to taste". */
const WHAT_FOR = /\s+(?:to|as|for|enough)\s[^\d½¼¾⅓⅔]*$/i

/** How what is named bare may be: "cold water", "freshly ground black pepper". */
const AS_IT_IS =
  /^(?:(?:cold|iced?|warm|hot|tepid|lukewarm|boiling|fresh|freshly|dried|ground|cracked|more|extra|chopped|sea|fine) )+(?=[a-zß-öø-ɏ])/i

const isNamedBare: (text: string, foods: Foods) => boolean = rememberWith((text, foods) => {
  const name = text.replace(WHAT_FOR, '')
  const match = name.split(' ').length <= MAX_BARE_WORDS ? matchFood(name, foods) : null
  if (match?.how !== 'exact' || !isBare(match.food)) return false
  return [name, name.replace(AS_IT_IS, '')].some((own) => match.found === normaliseName(own))
})

/**
 * A row of foods without a mark between them, cut into its lines; null where it is one food, or where any stretch of it
 * names none. The row is what stands between marks: it has no comma and no bracket.
 */
export const unmarkedRow: (raw: string, foods: Foods) => LinePart[] | null = rememberWith((raw, foods) => {
  // "Cabbage 1 cup onion 1 all finely chopped": that is said of each.
  const all = ALL_DONE.exec(raw)
  if (all) {
    const parts = unmarkedRow(raw.slice(0, all.index), foods)
    return parts && parts.map((part) => ({ ...part, text: `${part.text}, ${all[1]!}` }))
  }
  if (/[,;:()[\]|]|(?<!\d)\/|\/(?!\d)/.test(raw)) return null
  // What the food in front of it weighs goes with its last word.
  const { open, restore } = holdBack(raw.trim(), [WEIGHS_SO_MUCH])
  const words = open.split(/\s+/)
  if (words.length < 2 || words.length > MAX_WORDS) return null
  const begins = words.map((_, at) => AMOUNT_AHEAD.test(words.slice(at, at + 5).join(' ')))
  // Most rows are one food: nothing behind their first word can begin another.
  const bare = bareWords(foods)
  if (!words.some((word, at) => at > 0 && (begins[at] || bare.has(normaliseName(word))))) return null
  const row = { words, begins, restore, foods }
  const isBehind = ANY_BEHIND.test(raw)
  return (
    cutRow(row, 'in front') ??
    (isBehind || /\d/.test(raw) ? cutRow(row, 'behind') : null) ??
    (isBehind && !TOPPED_UP.test(raw) ? cutRow(row, 'either') : null)
  )
})

const bareWordsOf = new WeakMap<Foods, ReadonlySet<string>>()
/** The words of all names of what is named bare. */
function bareWords(foods: Foods): ReadonlySet<string> {
  const known = bareWordsOf.get(foods)
  if (known) return known
  const names = [...foods.values()].filter(isBare).flatMap(({ name, synonyms }) => [name, ...synonyms])
  const made = new Set(names.flatMap((name) => normaliseName(name).split(' ')))
  bareWordsOf.set(foods, made)
  return made
}

interface UnmarkedRow {
  words: readonly string[]
  /** Which words an amount begins with. */
  begins: readonly boolean[]
  /** The words as they were written, with what was held back. */
  restore: (text: string) => string
  foods: Foods
}

/**
 * The row cut where its amounts stand in front of what they measure, or behind it: "pork 300 beef 300 onion 2 salt"; or
 * now here, now there, as is spoken: "one onion garlic paste one teaspoon half a teaspoon turmeric".
 */
function cutRow(
  { words, begins, restore, foods }: UnmarkedRow,
  amounts: 'in front' | 'behind' | 'either',
): LinePart[] | null {
  const text = (from: number, to: number) => restore(words.slice(from, to).join(' '))
  const isPiece = (from: number, to: number): boolean => {
    const own = text(from, to)
    if (amounts !== 'in front' && !begins[from] && AMOUNT_BEHIND.test(own)) {
      // "Cabbage 1 cup onion 1": the cup is of what stands before it.
      if (IS_UNIT.test(words[from]!)) return false
      // "Chilli powder one teaspoon garam masala half a teaspoon" are two.
      const first = begins.indexOf(true, from)
      return AMOUNT_ALONE.test(text(first, to)) && isMeasured(own, foods)
    }
    if (amounts === 'behind' && (/^[\d½¼¾]/.test(own) || SPOKEN_AHEAD.test(own))) return false
    if (NO_END.test(words[to - 1]!)) return false
    // "Two cloves garlic salt half a tsp cumin": the spoon is of what follows it.
    if (amounts !== 'behind' && begins[from] && SPOON_AT_END.test(own)) return false
    return (begins[from] ? isMeasured : isNamedBare)(own, foods)
  }
  // The fewest pieces from each word to the end, and where the first of them ends.
  const best: ({ pieces: number; to: number; measured: number; skip: boolean } | null)[] = words.map(
    () => null,
  )
  best.push({ pieces: 0, to: words.length, measured: 0, skip: false })
  for (let from = words.length - 1; from >= 0; from--) {
    const better = (to: number, measured: 0 | 1, skip = false) => {
      const rest = best[to]
      if (!rest) return
      const pieces = rest.pieces + (skip ? 0 : 1)
      const known = best[from]
      // "One capsicum chopped ginger garlic paste one teaspoon": what is done is done to what was named.
      const isWorked = amounts === 'either' && pieces === known?.pieces && PREPARATION.test(words[to - 1]!)
      if (!known || pieces < known.pieces || isWorked)
        best[from] = { pieces, to, measured: rest.measured + measured, skip }
    }
    if (JOINT.test(words[from]!) && from > 0) better(from + 1, 0, true)
    const longest = Math.min(words.length, from + MAX_PIECE_WORDS)
    for (let to = from + 1; to <= longest; to++) {
      if (!isPiece(from, to)) continue
      const isAmount = begins[from]! || AMOUNT_BEHIND.test(text(from, to))
      better(to, isAmount ? 1 : 0)
      // Behind a food the next amount is the next food's; "2 400 g tins" goes on.
      if (amounts !== 'behind' && begins[from] && begins[to]) break
    }
  }
  const whole = best[0]
  if (!whole || whole.pieces < 2) return null
  if (amounts === 'behind' && whole.measured < 2) return null
  // "Salt and pepper to taste" are joined, and what is said behind them is of both.
  if (!whole.measured && words.some((word) => JOINT.test(word))) return null
  const isHerb = (one: string) =>
    /^(?:spice|herb)$/.test(matchFood(readLine(one).name, foods)?.food.group ?? '')
  const found: string[] = []
  for (let at = 0; at < words.length; at = best[at]!.to) {
    // "2 tbsp coriander & mint": one amount for both.
    const [before, next] = [found.at(-1), best[at]!.to]
    if (best[at]!.skip && before && !begins[next] && [before, text(next, best[next]!.to)].every(isHerb))
      return null
    if (!best[at]!.skip) found.push(text(at, best[at]!.to))
  }
  return both(found)
}
