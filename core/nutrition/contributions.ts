import type { Food, Foods } from '../food/food'
import { nutrientsPer100g, scaleNutrients, type Nutrients } from '../food/nutrients'
import { assessDough, type DoughFigures, type DoughLine } from '../dough/assess'
import type { Line, PartKind, Recipe } from '../recipe/document'
import { fatUptake } from './fatUptake'

/** What one line brings to the batch, as far as it is eaten. */
export interface Contribution {
  lineId: string
  partId: string
  part: PartKind
  name: string
  foodId: string
  source: string
  /** Grams that are eaten, water taken up or lost included. */
  grams: number
  /** Grams of the food itself that are eaten: what the nutrients are reckoned from. */
  foodGrams: number
  /** Why less is eaten than is listed; '' when all of it is. */
  eatenWhy: string
  nutrients: Nutrients
}

export interface Uncounted {
  lineId: string
  name: string
  reason: string
}

export interface Batch {
  contributions: Contribution[]
  uncounted: Uncounted[]
  dough: DoughFigures
  /** The weighed lines of each part kind, with their foods. */
  shell: DoughLine[]
  filling: DoughLine[]
}

interface Weighed {
  partId: string
  part: PartKind
  line: Line
  food: Food
  grams: number
}

function weighedLines(recipe: Recipe, foods: Foods) {
  const weighed: Weighed[] = []
  const uncounted: Uncounted[] = []
  for (const part of recipe.parts) {
    for (const line of part.lines) {
      const food = line.foodId === null ? undefined : foods.get(line.foodId)
      const name = food?.name ?? (line.name || line.raw)
      if (!food) uncounted.push({ lineId: line.id, name, reason: 'no food is chosen' })
      else if (line.grams === null) uncounted.push({ lineId: line.id, name, reason: 'no weight is known' })
      else weighed.push({ partId: part.id, part: part.kind, line, food, grams: line.grams })
    }
  }
  return { weighed, uncounted }
}

const asDoughLine = ({ line, food, grams }: Weighed): DoughLine => ({
  line,
  food,
  grams,
  waterChangeGrams: line.waterChangeGrams,
})

/**
 * Works out what every line brings to the batch. Pan lines count only as far as they are taken up.
 *
 * @param recipe a checked recipe
 * @param foods the larder; every `foodId` must be in it
 */
export function reckonBatch(recipe: Recipe, foods: Foods): Batch {
  const { weighed, uncounted } = weighedLines(recipe, foods)
  const shell = weighed.filter((one) => one.part === 'shell').map(asDoughLine)
  const filling = weighed.filter((one) => one.part === 'filling').map(asDoughLine)
  const dough = assessDough(shell, recipe.pieces)

  const rawGrams = [...shell, ...filling].reduce((sum, one) => sum + one.grams + one.waterChangeGrams, 0)
  // A line whose eaten part the cook has weighed is not estimated.
  const estimated = weighed.filter(
    (one) => one.part === 'pan' && one.food.softeningFat !== null && one.line.eatenGrams === null,
  )
  const panFat = estimated.reduce((sum, one) => sum + one.grams, 0)
  const uptake = fatUptake(recipe.cooking.way, panFat, rawGrams, dough.fatPct)

  const contributions = weighed.map((one): Contribution => {
    const { line, food, grams } = one
    let foodGrams = grams
    let water = line.waterChangeGrams
    let eatenWhy = ''
    if (one.part !== 'pan' && line.eatenGrams !== null && line.eatenGrams < grams) {
      foodGrams = line.eatenGrams
      water *= line.eatenGrams / grams
      eatenWhy = 'weighed by the cook'
    }
    if (one.part === 'pan') {
      water = 0
      if (line.eatenGrams !== null) {
        foodGrams = Math.min(line.eatenGrams, grams)
        eatenWhy = 'weighed by the cook'
      } else if (food.softeningFat !== null) {
        foodGrams = panFat > 0 ? (uptake.grams * grams) / panFat : 0
        eatenWhy = uptake.why
      } else {
        foodGrams = 0
        eatenWhy = 'stays in the pot'
      }
    }
    return {
      lineId: line.id,
      partId: one.partId,
      part: one.part,
      name: food.name,
      foodId: food.id,
      source: food.source,
      grams: foodGrams + water,
      foodGrams,
      eatenWhy,
      nutrients: scaleNutrients(nutrientsPer100g(food), foodGrams / 100),
    }
  })
  return { contributions, uncounted, dough, shell, filling }
}
