import { allRecords } from '../../db/records'
import { invalid } from '../../http/problem'
import { isUuid } from '../../http/params'

/** What happened when recipes were cooked, the latest first; `?recipe=` of one. */
export default defineEventHandler(async (event) => {
  const { recipe } = getQuery(event)
  if (recipe !== undefined && !isUuid(recipe))
    throw invalid([{ field: 'recipe', message: 'the id of a recipe is expected' }])
  return { records: await allRecords(recipe === undefined ? null : String(recipe)) }
})
