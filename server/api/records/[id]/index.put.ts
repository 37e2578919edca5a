import { putRecord } from '../../../db/records'
import { readJson } from '../../../http/body'
import { isUuid, recordId } from '../../../http/params'
import { invalid } from '../../../http/problem'
import { unstorableText } from '../../../http/storableText'
import { recordRequest } from '~~/shared/api/log'

/** Stores a state of a record under an id of the device's own making. */
export default defineEventHandler(async (event) => {
  const id = recordId(event)
  const { record, sequence } = await readJson(event, recordRequest)
  const unstorable = unstorableText(record, 'record')
  if (unstorable.length) throw invalid(unstorable)
  if (record.recipeId !== null && !isUuid(record.recipeId))
    throw invalid([{ field: 'record.recipeId', message: 'the id of a recipe is expected, or null' }])
  return putRecord(id, record, sequence)
})
