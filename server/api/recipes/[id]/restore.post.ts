import { getRecipe, setDeleted } from '../../../db/recipes'
import { recipeNotFound, recipeId } from '../../../http/params'

/** Puts a deleted recipe back. Restoring one that is not deleted changes nothing. */
export default defineEventHandler(async (event) => {
  const id = recipeId(event)
  await setDeleted(id, false)
  const stored = await getRecipe(id)
  if (!stored) throw recipeNotFound(id)
  return stored
})
