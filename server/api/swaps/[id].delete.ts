import { removeOwnSwap } from '../../db/ownSwaps'
import { noSwap, swapId } from '../../http/params'

/** Offers an own swap no longer. */
export default defineEventHandler(async (event) => {
  const id = swapId(event)
  if (!(await removeOwnSwap(id))) throw noSwap(id)
  return { id }
})
