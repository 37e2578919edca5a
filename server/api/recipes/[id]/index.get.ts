import { getRecipe } from '../../../db/recipes'
import { recipeNotFound, recipeId, wantedRevision } from '../../../http/params'

/** A recipe with the revision it grew from. */
export default defineEventHandler(async (event) => {
  const id = recipeId(event)
  const stored = await getRecipe(id, wantedRevision(event))
  if (!stored || stored.deletedAt) throw recipeNotFound(id)
  const parent = stored.parentId ? await getRecipe(stored.parentId, stored.parentRevision) : null
  return { ...stored, parent }
})
