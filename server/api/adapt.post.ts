import type { Adaptation } from '../../core/adaptation/adapt'
import { withIds } from '../../core/recipe/document'
import { reference as table } from '../../data/reference'
import { isDatabaseDown } from '../db/errors'
import { allOwnSwaps } from '../db/ownSwaps'
import { allPrices } from '../db/prices'
import { readJson } from '../http/body'
import { adaptRequest } from '~~/shared/api/requests'
import { asksForWorking } from '../http/params'
import { leanAdaptation } from '../services/lean'
import { referenceFor, othersIn } from '../services/referenceFor'
import { SEARCH_MILLISECONDS, doInThread } from '../services/doInThread'

/** The cook's own swaps; none while the database is away, for adapting needs no database. */
const ownSwapsIfThere = () =>
  allOwnSwaps().catch((error: unknown) => {
    if (isDatabaseDown(error)) return []
    throw error
  })

/** Adapts a recipe to diets and targets, and evaluates it before and after. */
export default defineEventHandler(async (event) => {
  const withWorking = asksForWorking(event)
  const { recipe, diets, locks, weights, targets } = await readJson(event, adaptRequest)
  const ready = withIds(recipe)
  const { foods } = await referenceFor(ready)
  // Prices count only when asked for.
  const prices = weights?.price ? (await allPrices()).prices : []
  const made = await doInThread<Adaptation>(event, {
    kind: 'adapt',
    recipe: ready,
    diets,
    foods: othersIn(foods, table),
    swaps: await ownSwapsIfThere(),
    options: { locks, weights, targets, prices: prices.map((price) => [price.foodId, price]) },
    searchMilliseconds: SEARCH_MILLISECONDS,
  })
  return withWorking ? made : leanAdaptation(made)
})
