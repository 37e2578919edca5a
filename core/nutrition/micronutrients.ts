import type { Food, Foods } from '../food/food'
import { MICRONUTRIENT_KEYS, MICRONUTRIENTS, type Micronutrient } from '../food/micronutrients'
import type { CookingWay } from '../recipe/vocabulary'
import { retained, type CookingTables } from '../cooking/cookingTables'
import type { Contribution, Uncounted } from './contributions'

export interface MicronutrientFigure {
  perPiece: number
  perServing: number
  per100g: number
  /** Share of an adult's reference intake in a serving, in %; null where there is none. */
  servingPct: number | null
  /** Foods that weigh in and whose figure is not known; with any, the sum is "at least". */
  unknown: string[]
}

export type MicronutrientFigures = Record<Micronutrient, MicronutrientFigure>

/** Less than this in the whole batch cannot matter, known or not: a pinch of spice. */
const MIN_GRAMS = 10

const amounts = new WeakMap<Food, Float64Array>()

/** What 100 g of a food hold, in the order of the keys; not a number where it is not known. */
function amountsOf(food: Food): Float64Array {
  let found = amounts.get(food)
  if (!found) {
    found = Float64Array.from(MICRONUTRIENT_KEYS, (key) => food.micronutrients[key] ?? NaN)
    amounts.set(food, found)
  }
  return found
}

/**
 * Minerals, vitamins, cholesterol and trans fat of a batch as it is eaten, with the foods that lack a figure.
 * What heat takes of vitamins is taken off: once in the pan for a filling that is cooked before it goes in, once
 * with the piece. A dip and what is brushed on are taken as they are.
 *
 * @param grams weight of all that is eaten, for 100 g
 * @param uncounted lines without food or weight: their figures are unknown as well
 */
export function micronutrientsOf(
  contributions: readonly Contribution[],
  uncounted: readonly Uncounted[],
  foods: Foods,
  tables: CookingTables,
  batch: { grams: number; pieces: number; servings: number; way: CookingWay; andThen: CookingWay | null },
): MicronutrientFigures {
  const count = MICRONUTRIENT_KEYS.length
  const sums = new Float64Array(count)
  const unknown = MICRONUTRIENT_KEYS.map(() => uncounted.map((one) => one.name))
  const kept = MICRONUTRIENT_KEYS.map(
    (key) =>
      retained(key, batch.way, tables) *
      (batch.andThen && batch.andThen !== batch.way ? retained(key, batch.andThen, tables) : 1),
  )
  for (const one of contributions) {
    const own = amountsOf(foods.get(one.foodId)!)
    const cooked = one.part === 'shell' || one.part === 'filling'
    for (let at = 0; at < count; at++) {
      const per100g = own[at]!
      if (Number.isNaN(per100g)) {
        if (one.foodGrams >= MIN_GRAMS && !unknown[at]!.includes(one.name)) unknown[at]!.push(one.name)
      } else if (per100g > 0) {
        let left = cooked ? kept[at]! : 1
        if (cooked && one.cookedBy && left < 1)
          left *= retained(MICRONUTRIENT_KEYS[at]!, one.cookedBy, tables)
        sums[at]! += (per100g * one.foodGrams * left) / 100
      }
    }
  }
  const figures = {} as MicronutrientFigures
  MICRONUTRIENT_KEYS.forEach((key, at) => {
    const sum = sums[at]!
    const perServing = sum / batch.servings
    const reference = MICRONUTRIENTS[key].referenceIntake
    figures[key] = {
      perPiece: sum / batch.pieces,
      perServing,
      per100g: batch.grams > 0 ? (100 * sum) / batch.grams : 0,
      servingPct: reference === null ? null : (100 * perServing) / reference,
      unknown: unknown[at]!,
    }
  })
  return figures
}

export interface Loss {
  nutrient: Micronutrient
  text: string
  /** Foods whose figure is not known: their packets may make up for it. Empty when the loss is certain. */
  unknown: string[]
}

/** A loss below this share of a day's reference intake in a serving is not worth a word. Common practice. */
const MIN_LOSS_PCT = 5

/**
 * What an adapted recipe gives less of, in words: "Vitamin B12 in a serving: 0.6 µg before, 0 now".
 *
 * Foods with an unknown figure make it "at least" and are listed apart: their packets tell.
 */
export function lossesBetween(before: MicronutrientFigures, after: MicronutrientFigures): Loss[] {
  return MICRONUTRIENT_KEYS.flatMap((key): Loss[] => {
    const was = before[key]
    const now = after[key]
    const { name, unit, tellsLoss } = MICRONUTRIENTS[key]
    if (!tellsLoss || (was.servingPct ?? 0) - (now.servingPct ?? 0) < MIN_LOSS_PCT) return []
    const least = now.unknown.length > 0
    return [
      {
        nutrient: key,
        unknown: now.unknown,
        text: `${name} in a serving: ${show(was.perServing)} ${unit} before, ${least ? 'at least ' : ''}${show(now.perServing)} now`,
      },
    ]
  })
}

const show = (value: number) => String(value >= 10 ? Math.round(value) : Math.round(value * 100) / 100)
