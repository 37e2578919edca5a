import pg from 'pg'

let pool: pg.Pool | null = null

/** The connection pool, made at first use from `DATABASE_URL`. */
export function database(): pg.Pool {
  if (pool) return pool
  const connectionString = process.env.DATABASE_URL
  if (!connectionString) throw new DatabaseDown('DATABASE_URL is not set')
  pool = new pg.Pool({ connectionString, max: 8, connectionTimeoutMillis: 3000, idleTimeoutMillis: 30_000 })
  // An idle connection that breaks must not end the process; the next query reports it.
  pool.on('error', () => undefined)
  return pool
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
