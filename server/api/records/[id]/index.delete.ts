import { removeRecord } from '../../../db/records'
import { noRecord, recordId } from '../../../http/params'

/** Forgets a record; storing a later state brings it back. */
export default defineEventHandler(async (event) => {
  const id = recordId(event)
  if (!(await removeRecord(id))) throw noRecord(id)
  return { id }
})
