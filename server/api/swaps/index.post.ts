import { addOwnSwap } from '../../db/ownSwaps'

/** Adds a swap of the cook's own. */
export default defineEventHandler(async (event) => {
  const body = await readJson(event, ownSwapRequest)
  const known = await knownFoods([body.fromFoodId, body.toFoodId])
  const strange = (['fromFoodId', 'toFoodId'] as const).filter((field) => !known.has(body[field]))
  if (strange.length)
    throw invalid(strange.map((field) => ({ field, message: 'use the id of a food from /api/foods' })))
  setResponseStatus(event, 201)
  return addOwnSwap(body)
})
