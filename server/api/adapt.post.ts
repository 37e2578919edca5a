import { withIds } from '../../core/recipe/document'
import { larder as table } from '../../data/larder'
import { allOwnSwaps } from '../db/ownSwaps'
import { isDatabaseDown } from '../db/pool'
import { allPrices } from '../db/prices'

/** The cook's own swaps; none while the database is away, for adapting needs no database. */
const ownSwapsIfThere = () =>
  allOwnSwaps().catch((error: unknown) => {
    if (isDatabaseDown(error)) return []
    throw error
  })

/** Adapts a recipe to diets and targets, and evaluates it before and after. */
export default defineEventHandler(async (event) => {
  const { recipe, diets, locks, weights, targets } = await readJson(event, adaptRequest)
  const ready = withIds(recipe)
  const { foods } = await larderFor(ready)
  // Prices count only when asked for.
  const prices = weights?.price ? (await allPrices()).prices : []
  return adaptInWorker({
    recipe: ready,
    diets,
    foods: [...foods.values()].filter((food) => !table.foods.has(food.id)),
    swaps: await ownSwapsIfThere(),
    options: { locks, weights, targets, prices: prices.map((price) => [price.foodId, price]) },
  })
})
