import { pricesOf } from '../../db/prices'
import { foodId } from '../../http/params'

/** Every price that was noted for a food, the latest first. */
export default defineEventHandler(async (event) => ({ prices: await pricesOf(foodId(event)) }))
