import type { Food } from '~~/core/food/food'

/** What tells a food from others of its name: its state, its fat, what it holds. */
export interface FoodFacts {
  state: string
  fat: string
  holds: string
  mayHold: string
}

/**
 * What a cook has to see of a food before choosing it.
 *
 * @returns words, '' where there is nothing to say
 */
export function foodFacts(food: Food): FoodFacts {
  const fatG = food.per100g.fatG
  const animal = food.origins.filter((one) => one === 'meat' || one === 'honey')
  return {
    state: food.state ?? '',
    fat: food.unknown.includes('fatG')
      ? ''
      : `${fatG >= 10 ? Math.round(fatG) : Math.round(fatG * 10) / 10} % fat`,
    holds: food.originKnown ? [...animal, ...food.allergens].join(', ') : 'not known what it holds',
    mayHold: [...food.possibleOrigins.filter((one) => one === 'meat'), ...food.possibleAllergens].join(', '),
  }
}
