import { entriesOf, foodsById } from '../../../db/foods'
import { foodId, noFood } from '../../../http/params'

/** A food, with every time it was typed in when it is the cook's own. */
export default defineEventHandler(async (event) => {
  const id = foodId(event)
  const [food] = await foodsById([id])
  if (!food) throw noFood(id)
  return { food, entries: await entriesOf(id) }
})
