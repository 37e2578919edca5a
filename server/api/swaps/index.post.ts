import { larder } from '../../../data/larder'
import { foodsById } from '../../db/foods'
import { addOwnSwap } from '../../db/ownSwaps'

/** Adds a swap of the cook's own. */
export default defineEventHandler(async (event) => {
  const body = await readJson(event, ownSwapRequest)
  const others = await foodsById([body.fromFoodId, body.toFoodId])
  const known = (id: string) => larder.foods.has(id) || others.some((food) => food.id === id)
  const strange = (['fromFoodId', 'toFoodId'] as const).filter((field) => !known(body[field]))
  if (strange.length)
    throw invalid(strange.map((field) => ({ field, message: 'use the id of a food from /api/foods' })))
  setResponseStatus(event, 201)
  return addOwnSwap(body)
})
