import { removeOwnSwap } from '../../db/ownSwaps'

/** Offers an own swap no longer. */
export default defineEventHandler(async (event) => {
  const id = swapId(event)
  if (!(await removeOwnSwap(id))) throw noSwap(id)
  return { id }
})
