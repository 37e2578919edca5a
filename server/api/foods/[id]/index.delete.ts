import { setWithdrawn } from '../../../db/foods'
import { foodId, noFood } from '../../../http/params'

/** Offers an own food no longer. Recipes that use it keep it. */
export default defineEventHandler(async (event) => {
  const id = foodId(event)
  if (!(await setWithdrawn(id, true))) throw noFood(id)
  return { id, restore: `/api/foods/${id}/restore` }
})
