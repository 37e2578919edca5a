import type { Food } from './food'

/** An amount of a food, with the water that it took up or lost before it is used. */
export interface FoodAmount {
  food: Food
  grams: number
  waterChangeGrams: number
}

/** Grams of water in so many grams of a food. */
export const waterIn = (food: Pick<Food, 'per100g'>, grams: number): number =>
  (grams * food.per100g.waterG) / 100

/** Grams of water that an amount brings, with what it took up or lost; below 0 where more was lost than there is. */
export const waterOfAmount = ({ food, grams, waterChangeGrams }: FoodAmount): number =>
  waterIn(food, grams) + waterChangeGrams
