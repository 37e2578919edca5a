import type { Food, Foods } from '../food/food'
import { remember } from './remember'

export interface FoodMatch {
  food: Food
  /** exact: the name is a name of the food; part: words were left over; spelling: a word was corrected */
  how: 'exact' | 'part' | 'spelling'
  /** The name that was found ("gruyere" when the figures of Cheddar stand in for it). */
  found: string
  standIn: boolean
  /** Words that played no part in the match and are not mere description. */
  leftOver: string[]
}

/** Words that describe a food without changing which it is. */
const PLAIN = new Set(
  `a an the of and in with for fresh freshly good quality best organic ripe raw cold warm hot luke lukewarm tepid iced
   chilled soft softened hard melted room temperature at small medium large big extra thick thin fine finely
   coarse coarsely roughly thinly very well lightly chopped sliced diced minced crushed grated shredded mashed
   peeled trimmed drained rinsed squeezed pressed soaked thawed frozen defrosted sifted beaten whisked toasted fried
   roasted crumbled cubed quartered halved torn picked blanched wilted packed unpeeled pitted stoned cored
   julienned strained tinned canned jarred ready made ready-made shop bought bought homemade home-made your favourite favorite any
   plain natural pure whole lean boneless skinless free range unwaxed unsweetened sweetened smooth crunchy
   washed cleaned dry dried ground powdered cooked uncooked young baby tender leftover more extra about
   ready-rolled rolled fast action round square firmly loosely heaped level day-old stale clear runny light thick-cut
   white red green yellow brown black orange purple golden new piece pieces chunk chunks strip strips cube cubes
   sheet sheets block roll pack leaves leaf seeds seed clove cloves stalk stalks stick sticks sprig sprigs bunch florets flesh kernels`
    .split(/\s+/)
    .filter(Boolean),
)

/** Words that turn an animal food into its stand-in; a match without them would be wrong. */
const PLANT_MARK =
  /\b(?:vegan|plant based|plant|dairy free|non dairy|egg free|eggless|meat free|meatless|mock|faux|vegetarian|veggie)\b/

/** Lower case, no accents, hyphens as blanks, singular nouns: how names are compared. */
export const normaliseName: (text: string) => string = remember(normalise, 5000)

/** Names that a larder has matched are remembered, up to so many. */
const MOST_REMEMBERED = 5000

function normalise(text: string): string {
  return text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/['’`]s\b/g, 's')
    .replace(/[^\p{L}\d%]+/gu, ' ')
    .trim()
    .split(' ')
    .map(singular)
    .join(' ')
}

function singular(word: string): string {
  if (word.length < 4 || /(?:ss|us|is|ous|molasses|hummus|swiss|asparagus|couscous)$/.test(word)) return word
  if (/^(?:leaves|loaves|halves|calves|knives)$/.test(word)) return word.replace(/ves$/, 'f')
  if (/ies$/.test(word)) return word.replace(/ies$/, 'y')
  if (/(?:oes|ches|shes|xes|sses)$/.test(word)) return word.replace(/es$/, '')
  return word.replace(/s$/, '')
}

interface Entry {
  food: Food
  standIn: boolean
}
interface NameIndex {
  names: Map<string, Entry>
  words: Map<number, string[]>
  longest: number
  /** Names that were matched before. */
  matched: Map<string, FoodMatch | null>
}

const indexes = new WeakMap<Foods, NameIndex>()

function indexOf(foods: Foods): NameIndex {
  const known = indexes.get(foods)
  if (known) return known
  const names = new Map<string, Entry>()
  const add = (name: string, food: Food, standIn: boolean) => {
    const key = normaliseName(name)
    if (key && !names.has(key)) names.set(key, { food, standIn })
  }
  for (const food of foods.values()) for (const name of food.synonyms) add(name, food, false)
  for (const food of foods.values()) {
    add(food.name, food, false)
    add(food.id, food, false)
  }
  // A row of its own comes before any that stands in for it.
  for (const food of foods.values()) for (const name of food.standInFor) add(name, food, true)
  const words = new Map<number, string[]>()
  let longest = 1
  const seen = new Set<string>()
  for (const name of names.keys()) {
    const parts = name.split(' ')
    longest = Math.max(longest, parts.length)
    for (const word of parts) {
      if (seen.has(word) || word.length < 4) continue
      seen.add(word)
      words.set(word.length, [...(words.get(word.length) ?? []), word])
    }
  }
  const made = { names, words, longest, matched: new Map() }
  indexes.set(foods, made)
  return made
}

/** Edits between two words, a swap of neighbours counting one; gives up above `limit`. */
export function editDistance(a: string, b: string, limit: number): number {
  if (Math.abs(a.length - b.length) > limit) return limit + 1
  let before: number[] = []
  let previous = Array.from({ length: b.length + 1 }, (_, j) => j)
  for (let i = 1; i <= a.length; i++) {
    const current = [i]
    for (let j = 1; j <= b.length; j++) {
      const cost = a[i - 1] === b[j - 1] ? 0 : 1
      let best = Math.min(previous[j]! + 1, current[j - 1]! + 1, previous[j - 1]! + cost)
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        best = Math.min(best, before[j - 2]! + 1)
      current.push(best)
    }
    before = previous
    previous = current
  }
  return previous[b.length]!
}

function correctSpelling(index: NameIndex, word: string): string | null {
  if (word.length < 5 || PLAIN.has(word)) return null
  const limit = word.length >= 8 ? 2 : 1
  let best: string | null = null
  let bestDistance = limit + 1
  for (let length = word.length - limit; length <= word.length + limit; length++) {
    for (const candidate of index.words.get(length) ?? []) {
      if (candidate === word) return null
      if (candidate[0] !== word[0]) continue
      const distance = editDistance(word, candidate, limit)
      if (distance < bestDistance) {
        best = candidate
        bestDistance = distance
      }
    }
  }
  return best
}

const isAnimal = (food: Food) => food.origins.length > 0

function lookUp(index: NameIndex, words: string[], how: FoodMatch['how']): FoodMatch | null {
  const whole = index.names.get(words.join(' '))
  if (whole) return { food: whole.food, standIn: whole.standIn, found: words.join(' '), how, leftOver: [] }
  for (let length = Math.min(words.length - 1, index.longest); length >= 1; length--) {
    // From the right: the noun that says what a food is stands last in English.
    for (let start = words.length - length; start >= 0; start--) {
      const found = words.slice(start, start + length).join(' ')
      const entry = index.names.get(found)
      if (!entry) continue
      const before = words.slice(0, start)
      const after = words.slice(start + length)
      const leftOver = [...before, ...after].filter((word) => !PLAIN.has(word) && !/^\d/.test(word))
      // "peanut sauce" is no peanut: a noun that follows and is not plain description decides.
      if (after.some((word) => !PLAIN.has(word))) continue
      // "cod liver oil", "chicken noodle": an animal word in front must not vanish into a plant food.
      const animalBefore = before.some((_, at) => {
        const entryBefore = index.names.get(before[at]!) ?? index.names.get(before.slice(at).join(' '))
        return entryBefore && isAnimal(entryBefore.food)
      })
      if (animalBefore && !isAnimal(entry.food)) continue
      if (PLANT_MARK.test(before.join(' ')) && isAnimal(entry.food)) continue
      return {
        food: entry.food,
        standIn: entry.standIn,
        found,
        how: leftOver.length ? 'part' : how,
        leftOver,
      }
    }
  }
  return null
}

/**
 * Finds the food that a written name means: the whole name, else the longest part of it that is a name, else
 * the same with misspelt words corrected.
 *
 * A plant mark ("vegan", "dairy-free") never matches an animal food, and an animal word in front of a plant
 * food never disappears: both give null rather than a wrong diet.
 *
 * @param name the ingredient without its amount
 * @returns the match with how sure it is, or null when nothing fits
 */
export function matchFood(name: string, foods: Foods): FoodMatch | null {
  const index = indexOf(foods)
  const known = index.matched.get(name)
  if (known !== undefined) return known
  if (index.matched.size >= MOST_REMEMBERED) index.matched.clear()
  const found = findFood(name, index)
  index.matched.set(name, found)
  return found
}

function findFood(name: string, index: NameIndex): FoodMatch | null {
  const words = normaliseName(name).split(' ').filter(Boolean)
  if (!words.length) return null
  const direct = lookUp(index, words, 'exact')
  if (direct && direct.how === 'exact') return direct
  let changed = false
  const corrected = words.map((word) => {
    const better = correctSpelling(index, word)
    if (better) changed = true
    return better ?? word
  })
  if (changed) {
    const spelled = lookUp(index, corrected, 'spelling')
    if (spelled && !spelled.leftOver.length) return { ...spelled, how: 'spelling' }
  }
  return direct
}

/**
 * Foods whose names contain or begin with what was typed, the likeliest first.
 *
 * @param query any fragment, case and accents ignored
 * @param limit at most so many
 */
export function searchFoods(query: string, foods: Foods, limit = 12): Food[] {
  const wanted = normaliseName(query)
  if (!wanted) return [...foods.values()].slice(0, limit)
  const exact = matchFood(query, foods)
  const scored: { food: Food; score: number }[] = []
  for (const food of foods.values()) {
    let score = food.id === exact?.food.id ? (exact.how === 'exact' ? 0 : 2) : 9
    for (const name of [food.name, ...food.synonyms, ...food.standInFor]) {
      const key = normaliseName(name)
      if (key === wanted) score = Math.min(score, 0)
      else if (key.startsWith(wanted)) score = Math.min(score, 1)
      else if (key.includes(` ${wanted}`)) score = Math.min(score, 3)
      else if (key.includes(wanted)) score = Math.min(score, 4)
    }
    if (score < 9) scored.push({ food, score })
  }
  return scored
    .sort((a, b) => a.score - b.score || a.food.name.length - b.food.name.length)
    .slice(0, limit)
    .map(({ food }) => food)
}
