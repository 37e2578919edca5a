import { foodIs, isFat } from '../food/groups'
import type { Food, Foods } from '../food/food'
import type { Part } from '../recipe/document'
import { foodOf } from '../recipe/lines'
import { isSweet, MAIN_SHARE, shareOf } from '../substitution/catalogue'
import type { AskedLine, Question } from './question'

// What cooks do to a line and what they would not: how far each may shrink and grow.

/** How far each kind of line may shrink and grow, as a share of what was written. Our own choice, no source. */
export const RANGE: Readonly<Record<string, [number, number]>> = {
  flour: [0.3, 1.7],
  fat: [0.15, 1.4],
  water: [0, 4],
  fixed: [1, 1],
  filling: [0.25, 2],
  rest: [0.2, 1.2],
  // Only where less salt is what is asked.
  salt: [0.3, 1],
}

/**
 * The same by craft: what a filling is made of stays recognisable, what seasons it keeps its share, a dip and a
 * sauce are what they are, a splash that is cooked off does not grow, and the fat between stretched sheets keeps them
 * apart. Common practice, no source.
 */
export const CRAFT_RANGE = {
  main: [0.6, 1.6],
  vegetable: [0.6, 2.2],
  seasoning: [0.75, 1.3],
  sauce: [0.8, 1.15],
  splash: [0.7, 1],
  fillingFat: [0.4, 1.2],
  // Garlic butter in a parcel is no fat to fry in: it is what the parcel is filled with.
  mainFat: [0.7, 1.2],
  sweet: [0.6, 1.2],
  thickener: [0.8, 1.2],
  doughFat: [0.5, 1.25],
  doughSweet: [0.4, 1.2],
  doughRest: [0.6, 1.2],
  // Melted cheese, nut flour and egg hold each other: with half of one it is no dough.
  cheeseDough: [0.75, 1.25],
  // Brushed on thinly with a soft brush, sheets still come apart.
  between: [0.75, 1.2],
  top: [0.35, 1.1],
  // Butter poured over what is served goes first where it is to be lighter, and not for any other wish.
  poured: [0.7, 1.1],
  grease: [0.4, 1],
  wash: [1, 1],
  binder: [1, 1],
  // Where less carbohydrate is asked, starch and sugar go out.
  starchOut: [0, 1.2],
  dip: [1, 1],
  // A bought wrapper is as large and thick as it is; a bought pastry can be rolled thinner.
  wrapper: [1, 1],
  pastry: [0.72, 1.1],
  // Thin sheets are stretched already: there can be a layer less, and no thinner ones.
  sheets: [0.7, 1.05],
} as const satisfies Record<string, readonly [number, number]>

/** What holds even where a cook would go further than most: a filling without its onion is another filling. */
const ALWAYS: ReadonlySet<readonly [number, number]> = new Set([
  CRAFT_RANGE.seasoning,
  CRAFT_RANGE.sauce,
  CRAFT_RANGE.splash,
  CRAFT_RANGE.between,
  CRAFT_RANGE.wash,
  CRAFT_RANGE.binder,
  CRAFT_RANGE.dip,
  CRAFT_RANGE.grease,
  CRAFT_RANGE.top,
  CRAFT_RANGE.poured,
  CRAFT_RANGE.wrapper,
  CRAFT_RANGE.sheets,
  CRAFT_RANGE.sweet,
  CRAFT_RANGE.fillingFat,
  CRAFT_RANGE.doughSweet,
  CRAFT_RANGE.cheeseDough,
])

/** A shell may be made this much lighter, and the filling heavier by as much. Common practice, no source. */
export const MIN_SHELL = 0.72
/** The same where a cook goes further than most. */
export const THINNEST_SHELL = 0.6
/** What a filling is made of where a cook goes further than most: with less it is another filling. Our own choice. */
const LEAST_MAIN = [0.45, 2] as const
/** A bought pastry where a cook goes further than most: below that nothing can be lined and covered with it. */
const THINNEST_PASTRY = [THINNEST_SHELL, 1.1] as const

const SEASONING_FOODS = new Set(
  'onion red-onion shallot spring-onion garlic ginger ginger-garlic-paste green-chilli celery chives lemon-juice lime-juice vinegar black-vinegar mustard tomato-puree tomato-paste'.split(
    ' ',
  ),
)
/** Sharp and salty bites: few of them season a filling. */
const SEASONING_BITES = /olive(?!-oil)|caper|gherkin|pickle|sauerkraut|kimchi|sun-dried|anchov/
/** Oils that season rather than fry. */
const SEASONING_OILS = /sesame-oil|chilli-oil|truffle|walnut-oil/
/** A starch thickens what is at least so many times its weight of liquid. Common practice, no source. */
const LIQUID_PER_STARCH = 4

/** What a starch can thicken. */
const isLiquid = (food: Food) => foodIs(food, 'pours') || food.group === 'cream'

/** Whether a starch or flour of a filling is there to thicken its liquid. */
function thickens(food: Food, grams: number, { lines }: Part, foods: Foods): boolean {
  if (!/^(?:starch|flour)$/.test(food.group)) return false
  const liquid = lines.reduce((sum, line) => {
    const own = foodOf(line, foods)
    return sum + (own && isLiquid(own) ? (line.grams ?? 0) : 0)
  }, 0)
  return liquid >= LIQUID_PER_STARCH * grams
}

/** Fat that is more of a filling is not what it is fried in. Our own choice. */
const MAIN_FAT_SHARE = 0.12

/** Sugar that is this much of what finishes a piece is a glaze. Our own choice. */
const GLAZE_SHARE = 0.3

/** Cheese of at least this much of the weight of its flours makes a dough one of cheese. Our own choice. */
const CHEESE_DOUGH_SHARE = 0.8

/** A dough that melted cheese holds together. */
function isCheeseDough({ lines }: Part, foods: Foods): boolean {
  let cheese = 0
  let flour = 0
  for (const line of lines) {
    const food = foodOf(line, foods)
    if (food?.group === 'melting-cheese') cheese += line.grams ?? 0
    else if (food && foodIs(food, 'flour')) flour += line.grams ?? 0
  }
  return cheese > 0 && cheese >= CHEESE_DOUGH_SHARE * flour
}

/** How far a line may shrink and grow by what it is in its part; null where craft says nothing. */
export function craftRange(
  { part, line, food, grams }: AskedLine,
  { purposes, family, reference }: Question,
): readonly [number, number] | null {
  const id = food.figuresOf ?? food.id
  const keto = purposes.has('keto')
  switch (part.kind) {
    case 'dip':
      // Butter melted over the pieces is no dip.
      if (!isFat(food)) return CRAFT_RANGE.dip
      return purposes.has('lighter') ? CRAFT_RANGE.top : CRAFT_RANGE.poured
    case 'pan':
      return CRAFT_RANGE.grease
    case 'finish':
      if (food.softeningFat) return family === 'stretched' ? CRAFT_RANGE.between : CRAFT_RANGE.top
      // A glaze without its sugar is a puddle of milk; what is strewn on goes.
      if (keto && foodIs(food, 'sugar'))
        return (shareOf(part, line) ?? 0) > GLAZE_SHARE ? CRAFT_RANGE.sweet : CRAFT_RANGE.starchOut
      return foodIs(food, 'wash') ? CRAFT_RANGE.wash : CRAFT_RANGE.top
    case 'marinade':
      return CRAFT_RANGE.sauce
    case 'shell':
      if (food.id !== 'water' && isCheeseDough(part, reference.foods)) return CRAFT_RANGE.cheeseDough
      if (food.id === 'water' || foodIs(food, 'flour')) return null
      if (foodIs(food, 'bought-dough'))
        return food.group === 'wrapper'
          ? CRAFT_RANGE.wrapper
          : family === 'stretched'
            ? CRAFT_RANGE.sheets
            : CRAFT_RANGE.pastry
      if (isFat(food)) return CRAFT_RANGE.doughFat
      if (foodIs(food, 'sugar')) return keto ? CRAFT_RANGE.starchOut : CRAFT_RANGE.doughSweet
      return foodIs(food, 'egg') ? CRAFT_RANGE.binder : CRAFT_RANGE.doughRest
    case 'filling':
      if (SEASONING_FOODS.has(id) || SEASONING_BITES.test(id) || SEASONING_OILS.test(id))
        return CRAFT_RANGE.seasoning
      if (isFat(food))
        return !purposes.has('lighter') && (shareOf(part, line) ?? 0) > MAIN_FAT_SHARE
          ? CRAFT_RANGE.mainFat
          : CRAFT_RANGE.fillingFat
      if (foodIs(food, 'egg') && (shareOf(part, line) ?? 0) < MAIN_SHARE) return CRAFT_RANGE.binder
      if (food.group === 'sauce') return CRAFT_RANGE.sauce
      if (foodIs(food, 'splash')) return CRAFT_RANGE.splash
      // What is sweet stays sweet, and what is thick stays thick, by what stands in for sugar and starch.
      if (keto && foodIs(food, 'sugar') && foodIs(food, 'sweetener') && isSweet(part, reference.foods))
        return CRAFT_RANGE.sweet
      if (thickens(food, grams, part, reference.foods)) return CRAFT_RANGE.thickener
      // More of a liquid alone would be soup.
      if (isLiquid(food)) return CRAFT_RANGE.sauce
      if (keto && (foodIs(food, 'starchy') || foodIs(food, 'sugar'))) return CRAFT_RANGE.starchOut
      if (foodIs(food, 'sugar')) return CRAFT_RANGE.sweet
      return foodIs(food, 'vegetable') ? CRAFT_RANGE.vegetable : CRAFT_RANGE.main
    default:
      return null
  }
}

/** What holds of a line's range by craft: all of it, or what holds even where a cook goes further than most. */
export function heldByCraft(
  craft: readonly [number, number] | null,
  further: boolean,
): readonly [number, number] | null {
  if (!craft || !further || ALWAYS.has(craft)) return craft
  return craft === CRAFT_RANGE.pastry ? THINNEST_PASTRY : craft === CRAFT_RANGE.main ? LEAST_MAIN : null
}

/** How far a line may shrink and grow where craft says nothing. */
export function rangeOf(part: Part, food: Food, lessSalt: boolean): [number, number] {
  if (lessSalt && food.group === 'salt') return RANGE.salt!
  if (part.kind === 'pan' || foodIs(food, 'fixed')) return RANGE.fixed!
  if (part.kind === 'shell') {
    if (food.id === 'water') return RANGE.water!
    if (foodIs(food, 'flour')) return RANGE.flour!
    return food.softeningFat ? RANGE.fat! : RANGE.rest!
  }
  if (part.kind === 'filling') return food.softeningFat ? RANGE.fat! : RANGE.filling!
  return RANGE.rest!
}
