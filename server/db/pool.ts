import pg from 'pg'

let pool: pg.Pool | null = null
let searching: pg.Pool | null = null

function newPool(more: pg.PoolConfig): pg.Pool {
  const connectionString = process.env.DATABASE_URL
  if (!connectionString) throw new DatabaseDown('DATABASE_URL is not set')
  const made = new pg.Pool({
    connectionString,
    connectionTimeoutMillis: 3000,
    idleTimeoutMillis: 30_000,
    ...more,
  })
  // An idle connection that breaks must not end the process; the next query reports it.
  made.on('error', () => undefined)
  return made
}

/** The connection pool, made at first use from `DATABASE_URL`. */
export function database(): pg.Pool {
  pool ??= newPool({ max: 8 })
  return pool
}

/**
 * Connections for searches: planned once and always by the indexes. Left to itself the planner reads the whole
 * table for a few hundred of many alike, which takes ten times as long.
 */
export function searchDatabase(): pg.Pool {
  searching ??= newPool({
    max: 4,
    options: '-c enable_seqscan=off -c jit=off -c plan_cache_mode=force_generic_plan',
  })
  return searching
}

/** Thrown when the database cannot be reached. */
export class DatabaseDown extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'DatabaseDown'
  }
}

const UNREACHABLE =
  /ECONNREFUSED|ECONNRESET|ENOTFOUND|EPIPE|terminat|timeout|shutting down|starting up|57P0[123]|08\d{3}/i

/** Says whether an error means that the database is away rather than that a query was wrong. */
export function isDatabaseDown(error: unknown): boolean {
  if (error instanceof DatabaseDown) return true
  const {
    code = '',
    message = '',
    errors = [],
  } = (error ?? {}) as { code?: string; message?: string; errors?: unknown[] }
  return UNREACHABLE.test(code) || UNREACHABLE.test(message) || errors.some(isDatabaseDown)
}

/** Runs work in one transaction: committed when it returns, rolled back when it throws. */
export async function transaction<T>(work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  const client = await database().connect()
  try {
    await client.query('begin')
    const result = await work(client)
    await client.query('commit')
    client.release()
    return result
  } catch (error) {
    await client.query('rollback').catch(() => undefined)
    client.release(isDatabaseDown(error))
    throw error
  }
}
