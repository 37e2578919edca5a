import { putStock } from '../../db/stock'
import { readJson } from '../../http/body'
import { foodId, noFood } from '../../http/params'
import { knownFoods } from '../../services/knownFoods'
import { stockRequest } from '~~/shared/api/dinners'

/** Counts a food of the larder anew. */
export default defineEventHandler(async (event) => {
  const id = foodId(event)
  const body = await readJson(event, stockRequest)
  if (!(await knownFoods([id])).has(id)) throw noFood(id)
  return putStock({ foodId: id, ...body })
})
