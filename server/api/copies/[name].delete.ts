import { noCopy } from '../../http/params'
import { removeCopy } from '../../services/copies'

/** Removes a copy. */
export default defineEventHandler(async (event) => {
  const name = getRouterParam(event, 'name') ?? ''
  if (!(await removeCopy(name))) throw noCopy(name)
  return { name }
})
