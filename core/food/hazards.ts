import { byWord } from './byWord'
import type { Allergen, Food, Origin } from './food'

/** What a word says must be, or must not be, in a food. */
export interface Hazards {
  origins: readonly Origin[]
  allergens: readonly Allergen[]
}

const of = (origins: readonly Origin[], allergens: readonly Allergen[]): Hazards => ({ origins, allergens })

/** Words for an animal food or an allergen that are the name of no one food, in the singular. */
const WORDS: Readonly<Record<string, Hazards>> = byWord({
  soy: of([], ['soy']),
  soya: of([], ['soy']),
  soybean: of([], ['soy']),
  nut: of([], ['nuts']),
  nutty: of([], ['nuts']),
  groundnut: of([], ['peanut']),
  brazil: of([], ['nuts']),
  frangipane: of(['egg'], ['nuts', 'egg']),
  praline: of([], ['nuts']),
  wheat: of([], ['gluten']),
  rye: of([], ['gluten']),
  barley: of([], ['gluten']),
  malt: of([], ['gluten']),
  malted: of([], ['gluten']),
  gluten: of([], ['gluten']),
  milk: of(['dairy'], ['milk']),
  dairy: of(['dairy'], ['milk']),
  cheese: of(['dairy'], ['milk']),
  cheesy: of(['dairy'], ['milk']),
  buttery: of(['dairy'], ['milk']),
  creamy: of(['dairy'], ['milk']),
  whey: of(['dairy'], ['milk']),
  egg: of(['egg'], ['egg']),
  eggy: of(['egg'], ['egg']),
  honey: of(['honey'], []),
  meat: of(['meat'], []),
  meaty: of(['meat'], []),
  bone: of(['meat'], []),
  game: of(['meat'], []),
  poultry: of(['meat'], []),
  seafood: of(['fish'], []),
  fish: of(['fish'], ['fish']),
  fishy: of(['fish'], ['fish']),
  shellfish: of(['fish'], []),
  lupin: of([], ['lupin']),
  celery: of([], ['celery']),
  mustard: of([], ['mustard']),
  sesame: of([], ['sesame']),
})

/**
 * What a word brings into a food when it stands in front of its name: "hazelnut oil" is no plain oil.
 *
 * @param word one word, lower case, in the singular
 * @param named the food of that name, where there is one
 * @returns null for a word that says nothing of origin or allergens
 */
export function hazardsOfWord(word: string, named: Food | undefined): Hazards | null {
  const own = WORDS[word]
  if (own) return own
  // Words for dishes and doughs say what a thing is for: "bread machine yeast", "pizza cheese".
  if (!named || /^(?:bread|pastry|wrapper|noodle)$/.test(named.group)) return null
  return named.origins.length + named.allergens.length > 0 ? named : null
}

/** Whether a food carries all of these, certainly or perhaps. */
export const carries = (food: Food, hazards: Hazards): boolean =>
  hazards.origins.every((one) => food.origins.includes(one) || food.possibleOrigins.includes(one)) &&
  hazards.allergens.every((one) => food.allergens.includes(one) || food.possibleAllergens.includes(one))

/** Whether a food certainly carries one of these. */
export const carriesAny = (food: Food, hazards: Hazards): boolean =>
  hazards.origins.some((one) => food.origins.includes(one)) ||
  hazards.allergens.some((one) => food.allergens.includes(one))

const ANIMAL = of(['meat', 'fish', 'egg', 'dairy', 'honey', 'other'], [])
const MEATLESS = of(['meat', 'fish'], [])

/** What a claim leaves out, by the word before "free" or by itself. */
const CLAIMS: Readonly<Record<string, Hazards>> = byWord({
  gluten: of([], ['gluten']),
  wheat: of([], ['gluten']),
  gf: of([], ['gluten']),
  dairy: of(['dairy'], ['milk']),
  milk: of(['dairy'], ['milk']),
  df: of(['dairy'], ['milk']),
  egg: of(['egg'], ['egg']),
  eggless: of(['egg'], ['egg']),
  nut: of([], ['nuts', 'peanut']),
  peanut: of([], ['peanut']),
  soy: of([], ['soy']),
  soya: of([], ['soy']),
  sesame: of([], ['sesame']),
  fish: of(['fish'], ['fish']),
  meat: MEATLESS,
  meatless: MEATLESS,
  vegetarian: MEATLESS,
  veggie: MEATLESS,
  vegan: ANIMAL,
  plant: ANIMAL,
  mock: ANIMAL,
  faux: ANIMAL,
})

/** Whether the word at `at` and the "free" behind it are one claim. */
export const isClaim = (words: readonly string[], at: number): boolean =>
  words[at + 1] === 'free' && CLAIMS[words[at] ?? ''] !== undefined

/**
 * What a name claims to be without, the words that claim it, and the words that are left: "gluten-free", "dairy-free", "vegan",
 * "plant-based", "non-dairy", "eggless".
 *
 * @param words of a name, normalised
 */
export function claimsIn(words: readonly string[]): { without: Hazards[]; claims: string[]; rest: string[] } {
  const without: Hazards[] = []
  const claims: string[] = []
  const rest: string[] = []
  for (let at = 0; at < words.length; at++) {
    const [word, next] = [words[at]!, words[at + 1]]
    const free = next === 'free' && CLAIMS[word]
    const non = (word === 'non' || word === 'no') && next !== undefined && CLAIMS[next]
    const alone = /^(?:gf|df|eggless|meatless|vegetarian|veggie|vegan|mock|faux)$/.test(word) && CLAIMS[word]
    if (free || non) {
      without.push(free || (non as Hazards))
      claims.push(word, next!)
      at++
    } else if (alone) {
      without.push(alone)
      claims.push(word)
    } else if (word === 'plant') {
      without.push(ANIMAL)
      claims.push(...(next === 'based' ? [word, next] : [word]))
      if (next === 'based') at++
    } else rest.push(word)
  }
  return { without, claims, rest }
}
