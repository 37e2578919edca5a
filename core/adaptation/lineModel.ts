import { FLOUR_GROUPS } from '../dough/assess'
import type { Food } from '../food/food'
import type { Part } from '../recipe/document'
import { optionsFor, type Candidate } from './options'
import type { ProgramBuilder } from './program'
import { breaks, CRAFT, type AskedLine, type Question } from './question'

/** How far each kind of line may shrink and grow, as a share of what was written. Our own choice, no source. */
const RANGE: Readonly<Record<string, [number, number]>> = {
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
 * The same by craft: what a filling is made of stays recognisable, what seasons it keeps its share, a dip is dipped
 * in. Starch and sugar may go further: less of them is what is asked where less is asked. Common practice, no source.
 */
const CRAFT_RANGE: Readonly<Record<string, [number, number]>> = {
  main: [0.6, 1.6],
  seasoning: [0.7, 1.4],
  dip: [0.8, 1.2],
}
const SEASONING_FOODS = new Set(
  'onion red-onion shallot spring-onion garlic ginger ginger-garlic-paste green-chilli celery chives'.split(
    ' ',
  ),
)
/** Of these a filling may hold much less and still be what it was. */
const MAY_SHRINK = new Set(['starch', 'noodle', 'bread', 'sweetener', 'dried-fruit', 'flour', 'cream', 'nut'])

function craftRange(part: Part, food: Food): [number, number] | null {
  if (part.kind === 'dip') return CRAFT_RANGE.dip!
  if (part.kind !== 'filling' || food.softeningFat || MAY_SHRINK.has(food.group)) return null
  return SEASONING_FOODS.has(food.figuresOf ?? food.id) ? CRAFT_RANGE.seasoning! : CRAFT_RANGE.main!
}

/** What seasons or raises keeps its amount: halving the salt or the yeast is no way to a target. */
const FIXED_GROUPS = new Set([
  'salt',
  'leavening',
  'spice',
  'seasoning',
  'herb',
  'gum',
  'stock-cube',
  'gelatine',
])
/** Lines that carry the taste of the piece count for more. Our own choice, no source. */
const TASTE_GROUPS = new Set([
  'melting-cheese',
  'hard-cheese',
  'brined-cheese',
  'meat',
  'minced-meat',
  'poultry',
  'cured-meat',
  'fish',
  'shellfish',
  'mushroom',
  'herb',
  'spice',
  'sauce',
  'fruit',
])
const TASTE_FACTOR = 1.6
/**
 * A line counts as at least this share of the recipe's weight: a sixth of the sesame oil is felt, however little
 * it weighs. Our own choice.
 */
const LEAST_COUNTED_SHARE = 0.03
/** Water is moved at hardly any cost: it is there to make the dough right. */
export const WATER_FACTOR = 0.1

/** One unit of money for the batch beside one percent of weight moved. Our own choice. */
const PRICE_COST = 4

/** A swap below this share of its line is not worth a purchase. */
const LEAST_SHARE = 0.1
/** Replacing more of a line than this makes a different filling. */
const MOST_SHARE = 1.3
/** A swap that may stand for a line, as variables. */
export interface Option extends Pick<Candidate, 'swap' | 'parts'> {
  /** Variables: grams of the line's food that are replaced, and whether any is. */
  grams: number
  chosen: number
}

/** A line as variables. */
export interface LineModel extends AskedLine {
  /** Variable: grams that stay. */
  keep: number
  options: Option[]
  /** It breaks a diet and nothing stands in for it. */
  unmet: boolean
}

function rangeOf(part: Part, food: Food, lessSalt: boolean): [number, number] {
  if (lessSalt && food.group === 'salt') return RANGE.salt!
  if (part.kind === 'pan' || FIXED_GROUPS.has(food.group)) return RANGE.fixed!
  if (part.kind === 'shell') {
    if (food.id === 'water') return RANGE.water!
    if (FLOUR_GROUPS.has(food.group)) return RANGE.flour!
    return food.softeningFat ? RANGE.fat! : RANGE.rest!
  }
  if (part.kind === 'filling') return food.softeningFat ? RANGE.fat! : RANGE.filling!
  return RANGE.rest!
}

/** What a gram of weight that is moved in or out counts for. */
export const percentMoved = ({ wishes, totalGrams }: Question): number =>
  (wishes.weights.moved * 50) / totalGrams

/** How much more than its weight a line counts when it is swapped, and when there is less or more of it. */
function countsOf({ food, grams }: AskedLine, { wishes, totalGrams }: Question) {
  if (food.id === 'water') return { swapped: WATER_FACTOR, amount: WATER_FACTOR }
  const taste = TASTE_GROUPS.has(food.group) ? 1 + (TASTE_FACTOR - 1) * wishes.weights.taste : 1
  return { swapped: taste, amount: taste * Math.max(1, (LEAST_COUNTED_SHARE * totalGrams) / grams) }
}

/** Writes a line: grams that stay, and for each swap that may stand for it grams replaced and whether any are. */
export function writeLine(one: AskedLine, question: Question, builder: ProgramBuilder): LineModel {
  const { part, line, food, grams } = one
  const { wishes, locked, targets } = question
  const useful = optionsFor(one, question)
  const broken = breaks(food, question)
  const isLocked = locked.has(line.id)
  const unmet = broken && !useful.length && !isLocked
  const mustGo = broken && !unmet && !isLocked
  const stays = isLocked || unmet || (!broken && part.kind === 'pan')
  const lessSalt = targets.some(({ target }) => target.figure === 'saltG' || target.figure === 'sodiumMg')
  const byCraft = question.without.has(CRAFT) || FIXED_GROUPS.has(food.group) ? null : craftRange(part, food)
  const [low, high] = stays ? [1, 1] : (byCraft ?? rangeOf(part, food, lessSalt))
  const counts = countsOf(one, question)
  const percent = percentMoved(question)
  const priceOf = (id: string) => {
    const price = wishes.prices.get(id)
    return price ? (PRICE_COST * wishes.weights.price * price.price) / price.packGrams : 0
  }
  const keep = builder.variable(`keep ${line.id}`, {
    // A line that has to go and is locked leaves no way, which is then said.
    upper: broken && !unmet ? 0 : null,
    cost: priceOf(food.id),
  })
  const above = builder.variable(`above ${line.id}`, { cost: percent * counts.amount })
  const below = builder.variable(`below ${line.id}`, { cost: percent * counts.amount })
  const options = useful.map(({ swap, parts, fixedCost }): Option => {
    const price = parts.reduce((sum, own) => sum + own.perGram * priceOf(own.food.id), 0)
    const weight = parts.reduce((sum, own) => sum + own.perGram + own.waterPerGram, 0)
    // What is taken out and what comes in are each half of what is moved.
    const swapped = percent * (counts.swapped + weight)
    return {
      swap,
      parts,
      // A line that has to go is moved as a whole, however little comes in its place: there less is not nearer.
      grams: builder.variable(`swap ${line.id} ${swap.id}`, { cost: price + (mustGo ? 0 : swapped) }),
      chosen: builder.variable(`chosen ${line.id} ${swap.id}`, {
        binary: true,
        cost: fixedCost + (mustGo ? grams * swapped : 0),
      }),
    }
  })
  const all: [number, number][] = [[keep, 1], ...options.map((own): [number, number] => [own.grams, 1])]
  // Against the weight as written, what stands in for a line counted as the line.
  builder.constrain(`moved ${line.id}`, [...all, [above, -1], [below, 1]], { min: grams, max: grams })
  builder.constrain(`amount ${line.id}`, all, { min: low * grams, max: high * grams })
  for (const own of options) {
    const between = (share: number): [number, number][] => [
      [own.grams, 1],
      [own.chosen, -share * grams],
    ]
    builder.constrain(`chosen ${line.id} ${own.swap.id}`, between(Math.min(high, MOST_SHARE)), { max: 0 })
    builder.constrain(`enough ${line.id} ${own.swap.id}`, between(LEAST_SHARE), { min: 0 })
  }
  // A line that has to go needs one of them, which spares the search the halves of two.
  if (mustGo || options.length > 1)
    builder.constrain(
      `one swap ${line.id}`,
      options.map((own): [number, number] => [own.chosen, 1]),
      mustGo ? { min: 1, max: 1 } : { max: 1 },
    )
  return { ...one, keep, options, unmet }
}
