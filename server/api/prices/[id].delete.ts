import { removePrice } from '../../db/prices'

/** Takes a price out of the book. */
export default defineEventHandler(async (event) => {
  const id = foodId(event)
  if (!(await removePrice(id))) throw noFood(id)
  return { foodId: id }
})
