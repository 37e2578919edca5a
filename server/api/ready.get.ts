import { readyNow } from '../services/readiness'
import { problem } from '../http/problem'

/** Says whether a save would be kept now: database, schema, foods, and that it can be written. 503 when not. */
export default defineEventHandler(async (event) => {
  const now = await readyNow()
  if (now.ready) return now
  setResponseHeader(event, 'retry-after', 2)
  throw problem(
    503,
    'not-ready',
    'The kitchen is not ready',
    now.database ? 'The database is there but not usable yet' : 'The database cannot be reached',
    { ...now },
  )
})
