import { setDeleted } from '../../../db/recipes'
import { recipeNotFound, recipeId } from '../../../http/params'

/** Takes a recipe off the shelf. */
export default defineEventHandler(async (event) => {
  const id = recipeId(event)
  if (!(await setDeleted(id, true))) throw recipeNotFound(id)
  return { id, restore: `/api/recipes/${id}/restore` }
})
