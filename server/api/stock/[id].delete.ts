import { removeStock } from '../../db/stock'
import { foodId, noFood } from '../../http/params'

/** Keeps no count of a food any more. */
export default defineEventHandler(async (event) => {
  const id = foodId(event)
  if (!(await removeStock(id))) throw noFood(id)
  return { foodId: id }
})
