import { getRecipe, setDeleted } from '../../../db/recipes'

/** Puts a deleted recipe back. Restoring one that is not deleted changes nothing. */
export default defineEventHandler(async (event) => {
  const id = recipeId(event)
  await setDeleted(id, false)
  const stored = await getRecipe(id)
  if (!stored) throw notFound(id)
  return stored
})
