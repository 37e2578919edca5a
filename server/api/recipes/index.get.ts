import { listRecipes } from '../../db/recipes'

/** The shelf. */
export default defineEventHandler(async () => ({ recipes: await listRecipes() }))
