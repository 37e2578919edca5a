import type { Food } from './food'

/** What goes into some grams of a home-made food; empty for what is bought. */
export function ingredientsFor(food: Food, grams: number): { foodId: string; name: string; grams: number }[] {
  const { homemade } = food
  if (!homemade) return []
  return homemade.madeOf.map((one) => ({ ...one, grams: (one.grams * grams) / homemade.makesGrams }))
}

const show = (grams: number) =>
  grams >= 10 ? String(Math.round(grams)) : String(Math.round(grams * 10) / 10)

/**
 * How some grams of a home-made food are made, in words: "153 g vital wheat gluten, 20 g chickpea flour: knead …".
 *
 * @returns '' for what is bought
 */
export function howToMake(food: Food, grams: number): string {
  if (!food.homemade) return ''
  const amounts = ingredientsFor(food, grams).map((one) => `${show(one.grams)} g ${one.name.toLowerCase()}`)
  return `${amounts.join(', ')}. ${food.homemade.method}`
}
