import { removeDinner } from '../../../db/dinners'
import { dinnerId, noDinner } from '../../../http/params'

/** Forgets a dinner; storing it again brings it back. */
export default defineEventHandler(async (event) => {
  const id = dinnerId(event)
  if (!(await removeDinner(id))) throw noDinner(id)
  return { id }
})
