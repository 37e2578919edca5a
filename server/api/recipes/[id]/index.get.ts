import { getRecipe } from '../../../db/recipes'
import { notFound, recipeId, wantedRevision } from '../../../http/params'

/** A recipe with the revision it grew from. */
export default defineEventHandler(async (event) => {
  const id = recipeId(event)
  const stored = await getRecipe(id, wantedRevision(event))
  if (!stored || stored.deletedAt) throw notFound(id)
  const parent = stored.parentId ? await getRecipe(stored.parentId, stored.parentRevision) : null
  return { ...stored, parent }
})
