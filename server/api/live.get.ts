import { readiness } from '../services/readiness'

/** Says that this server runs, whatever its database does. */
export default defineEventHandler(() => ({
  status: 'ok' as const,
  product: 'swap-pocket' as const,
  instance: readiness.instance,
  pid: process.pid,
  startedAt: readiness.startedAt,
}))
