import { setWithdrawn } from '../../../db/foods'
import { foodId, noFood } from '../../../http/params'

/** Offers an own food again. */
export default defineEventHandler(async (event) => {
  const id = foodId(event)
  if (!(await setWithdrawn(id, false))) throw noFood(id)
  return { id }
})
