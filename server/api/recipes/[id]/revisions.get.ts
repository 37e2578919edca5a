import { listRevisions } from '../../../db/recipes'
import { recipeNotFound, recipeId } from '../../../http/params'

/** The revisions of a recipe, the newest first. */
export default defineEventHandler(async (event) => {
  const id = recipeId(event)
  const revisions = await listRevisions(id)
  if (!revisions.length) throw recipeNotFound(id)
  return { revisions }
})
