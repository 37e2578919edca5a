import { foodsById } from '../../../db/foods'
import { foodId, noFood } from '../../../http/params'
import { storeOwnFood } from '../../../services/ownFood'
import { readJson } from '../../../http/body'
import { ownFoodRequest } from '~~/shared/api/requests'

/** Stores a packet typed anew. Earlier entries are kept. */
export default defineEventHandler(async (event) => {
  const id = foodId(event)
  const [food] = await foodsById([id])
  if (food?.shelf !== 'own') throw noFood(id)
  return storeOwnFood(id, await readJson(event, ownFoodRequest))
})
