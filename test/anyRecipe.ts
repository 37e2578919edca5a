import type { Recipe } from '../core/recipe/document'
import { COOKING_WAYS, SHAPES } from '../core/recipe/vocabulary'
import { foods, reference, recipeOf } from './helpers'
import { seeded } from './seeded'

/** How many such recipes a test looks at; more of them by RANDOM_RECIPES=100000, from seed RANDOM_FROM. */
export const RANDOM_RECIPES = Number(process.env.RANDOM_RECIPES ?? 400)
export const RANDOM_FROM = Number(process.env.RANDOM_FROM ?? 1)

const all = [...foods.values()]
const flours = all.filter((food) => food.group === 'flour' && food.waterDemand !== null)
const ready = all.filter((food) => food.group === 'wrapper' || food.group === 'pastry')
const liquids = ['water', 'milk', 'yogurt', 'egg', 'soy-drink']
const fats = all.filter((food) => food.softeningFat !== null && food.per100g.fatG > 50)
const ids = reference.diets.map((diet) => diet.id)

/** A recipe that nobody wrote, and diets that somebody may ask of it. The same seed gives the same. */
export function anyRecipe(seed: number): { recipe: Recipe; diets: string[] } {
  const random = seeded(seed)
  const of = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const grams = (most: number) => Math.round(1 + random() * most)
  const flour = 100 + grams(500)
  const shell: [string, number][] =
    random() < 0.12
      ? [[of(ready).id, flour]]
      : [
          [of(flours).id, flour],
          ...(random() < 0.4 ? [[of(flours).id, grams(200)] as [string, number]] : []),
          [of(liquids), Math.round(flour * (0.2 + random() * 0.6))],
          ...(random() < 0.6 ? [[of(fats).id, Math.round(flour * random() * 0.6)] as [string, number]] : []),
          ...(random() < 0.3 ? [['instant-yeast', 6] as [string, number]] : []),
          ['salt', 5],
        ]
  const filling = Array.from({ length: 1 + Math.floor(random() * 7) }, (): [string, number] => [
    of(all).id,
    grams(400),
  ])
  const some = (chance: number, most: number): [string, number][] =>
    random() < chance ? [[of(all).id, grams(most)]] : []
  const recipe: Recipe = {
    ...recipeOf(
      {
        shell: shell.filter(([, weight]) => weight > 0),
        filling,
        finish: some(0.4, 60),
        pan: random() < 0.4 ? [[of(fats).id, grams(900)]] : [],
        dip: some(0.25, 150),
      },
      {
        pieces: 1 + Math.floor(random() * 40),
        servings: 1 + Math.floor(random() * 8),
        way: of(COOKING_WAYS),
      },
    ),
    shape: of(SHAPES),
  }
  const diets = [...new Set(Array.from({ length: 1 + Math.floor(random() * 2.4) }, () => of(ids)))]
  return { recipe, diets }
}
