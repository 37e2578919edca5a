import { adapt } from '../../core/adapt'
import { withIds } from '../../core/recipe/document'
import { allPrices } from '../db/prices'

/** Adapts a recipe to diets and targets, and evaluates it before and after. */
export default defineEventHandler(async (event) => {
  const { recipe, diets, locks, weights, targets } = await readJson(event, adaptRequest)
  const ready = withIds(recipe)
  // Prices count only when asked for; without them no database is needed.
  const prices = weights?.price ? (await allPrices()).prices : []
  return adapt(ready, diets, await larderFor(ready), {
    locks,
    weights,
    targets,
    prices: new Map(prices.map((price) => [price.foodId, price])),
  })
})
