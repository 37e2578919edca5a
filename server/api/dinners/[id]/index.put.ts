import { putDinner } from '../../../db/dinners'
import { readJson } from '../../../http/body'
import { dinnerId } from '../../../http/params'
import { invalid } from '../../../http/problem'
import { unstorableText } from '../../../http/storableText'
import { dinnerRequest } from '~~/shared/api/dinners'

/** Stores a dinner under an id of the cook's own making. */
export default defineEventHandler(async (event) => {
  const id = dinnerId(event)
  const { dinner } = await readJson(event, dinnerRequest)
  const unstorable = unstorableText(dinner, 'dinner')
  if (unstorable.length) throw invalid(unstorable)
  return putDinner(id, dinner)
})
