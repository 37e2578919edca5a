import { foodsById } from '../../../db/foods'

/** Stores a packet typed anew. Earlier entries are kept. */
export default defineEventHandler(async (event) => {
  const id = foodId(event)
  const [food] = await foodsById([id])
  if (food?.shelf !== 'own') throw noFood(id)
  return storeOwnFood(id, await readJson(event, ownFoodRequest))
})
