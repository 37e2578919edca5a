import { readJson } from '../../http/body'
import { noRestore } from '../../http/params'
import { asInvalid, restoreSource } from '../../services/copies'
import { restoreRequest } from '~~/shared/api/copies'

/** Restores a file that was looked at: all of it, or nothing. */
export default defineEventHandler(async (event) => {
  const id = getRouterParam(event, 'id') ?? ''
  const { differing } = await readJson(event, restoreRequest)
  try {
    const made = await restoreSource(id, differing)
    if (!made) throw noRestore()
    return made
  } catch (error) {
    throw asInvalid(error)
  }
})
