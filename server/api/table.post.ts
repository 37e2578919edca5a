import { withIds } from '../../core/recipe/document'
import { reference as table } from '../../data/reference'
import { tableRequest } from '~~/shared/api/requests'
import type { TableAnswer } from '~~/shared/api/table'
import { readJson } from '../http/body'
import { othersIn, referenceFor } from '../services/referenceFor'
import { doInThread, SEARCH_MILLISECONDS } from '../services/doInThread'

/** The fewest and nearest kinds of one recipe, so that every guest has something to eat. */
export default defineEventHandler(async (event) => {
  const { recipe, guests, options } = await readJson(event, tableRequest)
  const ready = withIds(recipe)
  const { foods } = await referenceFor(ready)
  return doInThread<TableAnswer>(event, {
    kind: 'table',
    recipe: ready,
    guests,
    kinds: options.kinds,
    foods: othersIn(foods, table),
    searchMilliseconds: SEARCH_MILLISECONDS,
  })
})
