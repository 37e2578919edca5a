import { adapt } from '../../core/adapt'
import { withSwaps } from '../../core/larder'
import { withIds } from '../../core/recipe/document'
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
  const larder = withSwaps(await larderFor(ready), await ownSwapsIfThere())
  // Prices count only when asked for.
  const prices = weights?.price ? (await allPrices()).prices : []
  return adapt(ready, diets, larder, {
    locks,
    weights,
    targets,
    prices: new Map(prices.map((price) => [price.foodId, price])),
  })
})
