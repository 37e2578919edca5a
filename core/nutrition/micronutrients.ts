import type { Foods } from '../food/food'
import { MICRONUTRIENT_KEYS, MICRONUTRIENTS, type Micronutrient } from '../food/micronutrients'
import type { Contribution, Uncounted } from './contributions'

export interface MicronutrientFigure {
  perPiece: number
  perServing: number
  per100g: number
  /** Share of an adult's reference intake in a serving, in %. */
  servingPct: number
  /** Foods that weigh in and whose figure is not known; with any, the sum is "at least". */
  unknown: string[]
}

export type MicronutrientFigures = Record<Micronutrient, MicronutrientFigure>

/** Less than this in the whole batch cannot matter, known or not: a pinch of spice. */
const LEAST_GRAMS = 10

/**
 * Calcium, iron and vitamin B12 of a batch, with the foods that lack a figure.
 *
 * @param grams weight of all that is eaten, for 100 g
 * @param uncounted lines without food or weight: their figures are unknown as well
 */
export function micronutrientsOf(
  contributions: readonly Contribution[],
  uncounted: readonly Uncounted[],
  foods: Foods,
  batch: { grams: number; pieces: number; servings: number },
): MicronutrientFigures {
  const figures = {} as MicronutrientFigures
  for (const key of MICRONUTRIENT_KEYS) {
    let sum = 0
    const unknown = uncounted.map((one) => one.name)
    for (const one of contributions) {
      const per100g = foods.get(one.foodId)!.micronutrients[key]
      if (per100g !== null) sum += (per100g * one.foodGrams) / 100
      else if (one.foodGrams >= LEAST_GRAMS && !unknown.includes(one.name)) unknown.push(one.name)
    }
    const perServing = sum / batch.servings
    figures[key] = {
      perPiece: sum / batch.pieces,
      perServing,
      per100g: batch.grams > 0 ? (100 * sum) / batch.grams : 0,
      servingPct: (100 * perServing) / MICRONUTRIENTS[key].referenceIntake,
      unknown,
    }
  }
  return figures
}

export interface Loss {
  nutrient: Micronutrient
  text: string
  /** Foods whose figure is not known: their packets may make up for it. Empty when the loss is certain. */
  unknown: string[]
}

/** A loss below this share of a day's reference intake in a serving is not worth a word. Common practice. */
const LEAST_LOSS_PCT = 5

/**
 * What an adapted recipe gives less of, in words: "Vitamin B12 in a serving: 0.6 µg before, 0 now".
 *
 * Foods with an unknown figure make it "at least" and are listed apart: their packets tell.
 */
export function lossesBetween(before: MicronutrientFigures, after: MicronutrientFigures): Loss[] {
  return MICRONUTRIENT_KEYS.flatMap((key): Loss[] => {
    const was = before[key]
    const now = after[key]
    if (was.servingPct - now.servingPct < LEAST_LOSS_PCT) return []
    const { name, unit } = MICRONUTRIENTS[key]
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
