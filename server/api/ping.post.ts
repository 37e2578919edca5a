import { z } from 'zod'
import { invalid } from '../http/problem'
import { readJson } from '../http/body'

const anything = z.looseObject({})

/** More than any answer it is compared with. */
const MAX_BYTES = 200_000

/** Rows of about the kind that an evaluation answers with. */
const ROW = { lineId: 'p1l1', name: 'Something', grams: 12.345678901234, why: 'a floor to compare with' }
const ROW_BYTES = JSON.stringify(ROW).length + 1

/**
 * Reads a JSON body and throws it away: the floor for routes that take one. With `?bytes=` it answers about so
 * many, for a route is compared with one that reads and answers as much.
 */
export default defineEventHandler(async (event) => {
  const bytes = Number(getQuery(event).bytes ?? 0)
  if (!Number.isInteger(bytes) || bytes < 0 || bytes > MAX_BYTES)
    throw invalid([{ field: 'bytes', message: `a whole number from 0 to ${MAX_BYTES} is expected` }])
  await readJson(event, anything)
  return bytes > 0 ? { ok: true, rows: Array(Math.round(bytes / ROW_BYTES)).fill(ROW) } : { ok: true }
})
