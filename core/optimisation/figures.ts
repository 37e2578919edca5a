import { foodIs, isFlour } from '../food/groups'
import type { Target } from '../diet/target'
import type { Evaluation } from '../evaluation/evaluate'
import type { Food } from '../food/food'
import { nutrientsPer100g } from '../food/nutrients'
import type { Recipe } from '../recipe/document'

/** A linear figure of the dough or the batch: what a gram of a food, plus water it took up, adds to it. */
export type PerGram = (food: Food, waterPerGram: number) => number

/** What a target asks of a gram of food: at least (or at most) a sum of these, per the whole batch. */
export function targetPerGram(target: Target, limit: number): { perGram: PerGram; ofFlour: boolean } {
  const at = (food: Food) => nutrientsPer100g(food)
  if (target.figure === 'wholeGrainPct') {
    return {
      ofFlour: true,
      perGram: (food) =>
        isFlour(food) || foodIs(food, 'bought-dough') ? (food.grain === 'whole' ? 100 : 0) - limit : 0,
    }
  }
  if (target.figure === 'proteinEnergyPct') {
    // Share of energy from protein, by 4 kcal a gram (Annex XIV): 400 × protein − limit × energy ≥ 0.
    return {
      ofFlour: false,
      perGram: (food) => (400 * at(food).proteinG - limit * at(food).energyKcal) / 100,
    }
  }
  const key = target.figure
  return { ofFlour: false, perGram: (food) => at(food)[key] / 100 }
}

/**
 * What the sum over the batch has to come to for a target to hold; 0 for shares, which are differences already.
 *
 * @param eatenGrams of the batch, which stays as it is because dough and filling keep their weight
 */
export function batchLimit(target: Target, limit: number, recipe: Recipe, eatenGrams: number): number {
  if (target.per === null) return 0
  if (target.per === 'piece') return limit * recipe.pieces
  return target.per === 'serving' ? limit * recipe.servings : (limit * eatenGrams) / 100
}

/** What a share that is written as a difference is a share of, times its limit. */
export function scaleOfShare(target: Target, limit: number, base: Evaluation): number {
  return target.figure === 'wholeGrainPct'
    ? limit * base.dough.flourGrams
    : limit * base.perPiece.energyKcal * base.pieces
}
