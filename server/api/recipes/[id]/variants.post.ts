import { recipeId } from '../../../http/params'
import { readJson } from '../../../http/body'
import { variantRequest } from '~~/shared/api/requests'
import { storeNew } from '../../../services/store'

/** Stores a variant of a revision. */
export default defineEventHandler(async (event) => {
  const id = recipeId(event)
  const body = await readJson(event, variantRequest)
  return storeNew(event, body.recipe, { id, revision: body.revision })
})
