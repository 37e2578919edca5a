import { ORIGINS, EU_ALLERGENS, type Allergen, type Food, type Foods, type Origin } from '../food/food'
import { parseTarget, type Target } from './target'

export interface Diet {
  id: string
  name: string
  excludesOrigins: Origin[]
  excludesAllergens: Allergen[]
  /** Foods that are left out by name: ids and kinds, or "group:…". */
  excludesFoods: string[]
  /** Foods that are not left out though their group is: milk whose lactose is split. */
  keepsFoods: string[]
  /** Foods of which only the packet can tell. */
  mayExcludeFoods: string[]
  /** What such a food is called in a reason: "pork". */
  excludedAs: string
  targets: Target[]
  /** What is said beside a verdict of "fits"; '' for nothing. */
  warning: string
  /** The code of the caution that the warning is, where it is for health and stands beside every such recipe; '' else. */
  caution: string
  source: string
}

const list = (text: string | undefined) => (text ?? '').split('|').filter(Boolean)

function knownOnes<T extends string>(items: string[], allowed: readonly string[], where: string): T[] {
  const odd = items.find((item) => !allowed.includes(item))
  if (odd !== undefined) throw new Error(`${where}: unknown "${odd}"`)
  return items as T[]
}

/**
 * Turns the rows of `data/diets.csv` into diets.
 *
 * @throws Error naming the row when an origin, allergen or target is not understood
 */
export function dietsFromRows(rows: readonly Readonly<Record<string, string>>[]): Diet[] {
  return rows.map((row) => {
    const where = `Diet row ${row.id}`
    if (!row.id || !row.source) throw new Error(`${where}: id or source is missing`)
    return {
      id: row.id,
      name: row.name ?? row.id,
      excludesOrigins: knownOnes<Origin>(list(row.excludes_origins), ORIGINS, where),
      excludesAllergens: knownOnes<Allergen>(list(row.excludes_allergens), Object.keys(EU_ALLERGENS), where),
      excludesFoods: list(row.excludes_foods).filter((one) => !/^[?!]/.test(one)),
      keepsFoods: list(row.excludes_foods)
        .filter((one) => one.startsWith('!'))
        .map((one) => one.slice(1)),
      mayExcludeFoods: list(row.excludes_foods)
        .filter((one) => one.startsWith('?'))
        .map((one) => one.slice(1)),
      excludedAs: row.excluded_as ?? '',
      targets: list((row.targets ?? '').replaceAll(';', '|')).map((text) => parseTarget(text, where)),
      warning: row.warning ?? '',
      caution: row.caution ?? '',
      source: row.source,
    }
  })
}

/** The id of the diet that a personal list of foods to avoid makes. */
export const AVOID = 'avoid'

/** A personal list of foods to avoid, as a diet. */
export function avoidDiet(foodIds: readonly string[]): Diet {
  return {
    id: AVOID,
    name: 'Your avoid list',
    excludesOrigins: [],
    excludesAllergens: [],
    excludesFoods: [...foodIds],
    keepsFoods: [],
    mayExcludeFoods: [],
    excludedAs: 'on your avoid list',
    targets: [],
    warning: '',
    caution: '',
    source: 'your own choice',
  }
}

/** Whether a diet leaves foods out, whatever the figures say. */
export const excludes = (diet: Diet): boolean =>
  diet.excludesOrigins.length + diet.excludesAllergens.length + diet.excludesFoods.length > 0

/** Whether something is asked of a serving, so that how much is on the plate counts. */
export const asksOfServing = ({ targets }: Diet): boolean => targets.some(({ per }) => per === 'serving')

/** What an eater of meat, fish and so on calls the origin, for reasons. */
export const ORIGIN_WORDS: Readonly<Record<Origin, string>> = {
  meat: 'meat or a part of an animal',
  fish: 'fish or seafood',
  egg: 'egg',
  dairy: 'milk',
  honey: 'honey',
  other: 'another animal product',
}

export interface AgainstDiet {
  breaks: readonly string[]
  may: readonly string[]
}

/** Found once for a food and a diet: both are read over and over while a recipe is worked on. */
const known = new WeakMap<Diet, WeakMap<Food, AgainstDiet>>()

/** The reasons why a food breaks a diet, and those why it may. Empty lists when it fits. */
export const foodAgainstDiet = (food: Food, diet: Diet): AgainstDiet => against(diet)(food)

/** As `foodAgainstDiet`, for many foods held against one diet. */
export function against(diet: Diet): (food: Food) => AgainstDiet {
  let ofDiet = known.get(diet)
  if (!ofDiet) known.set(diet, (ofDiet = new WeakMap()))
  const found = ofDiet
  return (food) => {
    let own = found.get(food)
    if (!own) found.set(food, (own = reasonsAgainst(food, diet)))
    return own
  }
}

function reasonsAgainst(food: Food, diet: Diet): AgainstDiet {
  const breaks = food.origins
    .filter((origin) => diet.excludesOrigins.includes(origin))
    .map((origin) => ORIGIN_WORDS[origin])
  const may = food.possibleOrigins
    .filter((origin) => diet.excludesOrigins.includes(origin))
    .map((origin) => ORIGIN_WORDS[origin])
  for (const allergen of diet.excludesAllergens) {
    if (food.allergens.includes(allergen) && !breaks.length) breaks.push(allergen)
    else if (food.possibleAllergens.includes(allergen) && !breaks.length && !may.length) may.push(allergen)
  }
  const named = (names: readonly string[]) =>
    !diet.keepsFoods.includes(food.id) &&
    (names.includes(food.id) || names.includes(food.kind) || names.includes(`group:${food.group}`))
  if (!breaks.length && named(diet.excludesFoods)) breaks.push(diet.excludedAs)
  else if (!breaks.length && !may.length && named(diet.mayExcludeFoods)) may.push(diet.excludedAs)
  return { breaks, may }
}

/** Found once for a table of foods and two diets. */
const implied = new WeakMap<Foods, Map<Diet, Map<Diet, boolean>>>()

/**
 * Whether whoever keeps the one diet keeps the other, by what the foods of a table are: each of them that breaks the
 * other breaks the one, and each that may break the other breaks the one or may. A diet that asks for figures is
 * implied where the same figures are asked for as strictly.
 */
export function implies(one: Diet, other: Diet, foods: Foods): boolean {
  if (one === other) return false
  let ofFoods = implied.get(foods)
  if (!ofFoods) implied.set(foods, (ofFoods = new Map()))
  let ofOne = ofFoods.get(one)
  if (!ofOne) ofFoods.set(one, (ofOne = new Map()))
  const had = ofOne.get(other)
  if (had !== undefined) return had
  const [ofTheOne, ofTheOther] = [against(one), against(other)]
  const holds =
    other.targets.every((target) => one.targets.some((own) => asStrict(own, target))) &&
    [...foods.values()].every((food) => {
      const strict = ofTheOne(food)
      const lax = ofTheOther(food)
      if (lax.breaks.length) return strict.breaks.length > 0
      return !lax.may.length || strict.breaks.length + strict.may.length > 0
    })
  ofOne.set(other, holds)
  return holds
}

/** Some diets in the fewest words: none that another of them implies. Of two that imply each other the first stays. */
export const withoutImplied = (diets: readonly Diet[], foods: Foods): Diet[] =>
  diets.filter(
    (one, at) =>
      !diets.some(
        (other, before) => implies(other, one, foods) && (before < at || !implies(one, other, foods)),
      ),
  )

const asStrict = (own: Target, target: Target): boolean =>
  own.figure === target.figure &&
  own.per === target.per &&
  own.comparison === target.comparison &&
  own.ofOriginal === target.ofOriginal &&
  (own.comparison === 'at-least' ? own.limit >= target.limit : own.limit <= target.limit)
