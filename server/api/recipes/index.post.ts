import { readJson } from '../../http/body'
import { createRequest } from '~~/shared/api/requests'
import { storeNew } from '../../services/store'

/** Stores a new recipe, or a variant when a parent is named. */
export default defineEventHandler(async (event) => {
  const body = await readJson(event, createRequest)
  const parent =
    body.parentId && body.parentRevision ? { id: body.parentId, revision: body.parentRevision } : null
  return storeNew(event, body.recipe, parent)
})
