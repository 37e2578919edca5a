import { withIds } from '../../core/recipe/document'
import { reference as table } from '../../data/reference'
import { tableRequest } from '~~/shared/api/requests'
import type { TableAnswer } from '~~/shared/api/table'
import { isDatabaseDown } from '../db/errors'
import { allPrices } from '../db/prices'
import { readJson } from '../http/body'
import { othersIn, referenceFor } from '../services/referenceFor'
import { doInThread, SEARCH_MILLISECONDS } from '../services/doInThread'

/** What things cost; nothing while the database is away, for a table needs no database. */
const pricesIfThere = () =>
  allPrices().catch((error: unknown) => {
    if (isDatabaseDown(error)) return { prices: [] }
    throw error
  })

/** The fewest and nearest kinds of one recipe, so that every guest has something to eat. */
export default defineEventHandler(async (event) => {
  const { recipe, guests, options } = await readJson(event, tableRequest)
  const ready = withIds(recipe)
  const { foods } = await referenceFor(ready)
  return doInThread<TableAnswer>(event, {
    kind: 'table',
    recipe: ready,
    guests,
    options,
    prices: (await pricesIfThere()).prices.map((price) => [price.foodId, price]),
    foods: othersIn(foods, table),
    searchMilliseconds: SEARCH_MILLISECONDS,
  })
})
