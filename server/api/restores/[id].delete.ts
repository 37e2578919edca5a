import { noRestore } from '../../http/params'
import { forgetSource } from '../../services/copies'

/** Throws away a file that was looked at and is not to be restored. */
export default defineEventHandler(async (event) => {
  const id = getRouterParam(event, 'id') ?? ''
  if (!(await forgetSource(id))) throw noRestore()
  return { id }
})
