import { reference } from '../../../data/reference'
import { foodsById } from '../../db/foods'
import { putPrice } from '../../db/prices'
import { foodId, noFood } from '../../http/params'
import { readJson } from '../../http/body'
import { priceRequest } from '~~/shared/api/requests'

/** Notes what a food costs. */
export default defineEventHandler(async (event) => {
  const id = foodId(event)
  const body = await readJson(event, priceRequest)
  if (!reference.foods.has(id) && !(await foodsById([id])).length) throw noFood(id)
  return putPrice({ foodId: id, ...body })
})
