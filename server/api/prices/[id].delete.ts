import { pricesOf, removePrice } from '../../db/prices'
import { foodId, noFood } from '../../http/params'

/** Takes the latest price of a food out of the book. */
export default defineEventHandler(async (event) => {
  const id = foodId(event)
  if (!(await removePrice(id))) throw noFood(id)
  return { foodId: id, price: (await pricesOf(id))[0] ?? null }
})
