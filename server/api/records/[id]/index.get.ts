import { getRecord } from '../../../db/records'
import { noRecord, recordId } from '../../../http/params'

/** A record. */
export default defineEventHandler(async (event) => {
  const id = recordId(event)
  const stored = await getRecord(id)
  if (!stored) throw noRecord(id)
  return stored
})
