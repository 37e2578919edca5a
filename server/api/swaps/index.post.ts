import { addOwnSwap } from '../../db/ownSwaps'
import { readJson } from '../../http/body'
import { ownSwapRequest } from '~~/shared/api/requests'
import { knownFoods } from '../../services/knownFoods'
import { invalid } from '../../http/problem'

/** Adds a swap of the cook's own. */
export default defineEventHandler(async (event) => {
  const body = await readJson(event, ownSwapRequest)
  const named = [
    ['fromFoodId', body.fromFoodId],
    ['toFoodId', body.toFoodId],
    ...body.more.map(({ foodId }, at): [string, string] => [`more[${at}].foodId`, foodId]),
  ] as const
  const known = await knownFoods(named.map(([, id]) => id))
  const strange = named.filter(([, id]) => !known.has(id))
  if (strange.length)
    throw invalid(strange.map(([field]) => ({ field, message: 'use the id of a food from /api/foods' })))
  setResponseStatus(event, 201)
  return addOwnSwap(body)
})
