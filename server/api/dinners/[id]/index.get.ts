import { getDinner } from '../../../db/dinners'
import { dinnerId, noDinner } from '../../../http/params'

/** A dinner. */
export default defineEventHandler(async (event) => {
  const id = dinnerId(event)
  const stored = await getDinner(id)
  if (!stored) throw noDinner(id)
  return stored
})
