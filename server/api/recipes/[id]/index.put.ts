import { getRecipe, saveRecipe } from '../../../db/recipes'
import { recipeNotFound, recipeId } from '../../../http/params'
import { readJson } from '../../../http/body'
import { saveRequest } from '~~/shared/api/requests'
import { storable, summaryFor } from '../../../services/store'
import { problem } from '../../../http/problem'

/** Saves a new revision. A stale one is answered with 409 and both documents. */
export default defineEventHandler(async (event) => {
  const id = recipeId(event)
  const body = await readJson(event, saveRequest)
  const recipe = await storable(body.recipe)
  const now = await getRecipe(id)
  const parent =
    now?.parentId && now.parentRevision ? { id: now.parentId, revision: now.parentRevision } : null
  const result = await saveRecipe(id, body.revision, recipe, await summaryFor(recipe, parent))
  if (result.state === 'missing') throw recipeNotFound(id)
  if (result.state === 'stale') {
    throw problem(
      409,
      'stale-revision',
      'This recipe was saved elsewhere since',
      `You changed revision ${body.revision}; revision ${result.stored.revision} is stored now. Both are in this answer`,
      {
        errors: [{ field: 'revision', message: `${result.stored.revision} is the newest` }],
        yours: recipe,
        stored: result.stored,
      },
    )
  }
  return result.stored
})
