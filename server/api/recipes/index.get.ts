import { listRecipes, MAX_PAGE } from '../../db/recipes'
import { pageLimit, pageStart } from '../../http/params'

/** The shelf, a page at a time: `?limit=`, and `?after=` with the `next` of the page before. */
export default defineEventHandler((event) => {
  const { limit, after } = getQuery(event)
  return listRecipes(pageLimit(limit, MAX_PAGE), pageStart(after))
})
