import pg from 'pg'
import { asDatabaseError, DatabaseDown, isDatabaseDown, isWorthAnotherTry } from './errors'
import { Turns } from './turns'

/** What a query needs: a connection of its own or any. */
export interface Queryable {
  query<Row extends pg.QueryResultRow = pg.QueryResultRow>(
    query: string | pg.QueryConfig,
    values?: unknown[],
  ): Promise<pg.QueryResult<Row>>
}

/** An answer takes milliseconds; what takes this long is a database that is frozen or locked. */
const QUERY_MILLISECONDS = 2000
const CONNECT_MILLISECONDS = 1500
/** A cook waits this long for a turn before it is said that the kitchen is too busy. */
const TURN_MILLISECONDS = 4500
/** More than this many waiting are turned away at once. */
const MAX_WAITING = 2000
/** Merging a table and loading foods read and write a hundred thousand rows. */
const PATIENT_MILLISECONDS = 600_000

interface PoolOptions {
  max: number
  queryMilliseconds: number
  settings: Record<string, string | number>
}

/** A pool of connections whose errors are told apart, and whose callers wait their turn outside it. */
class Pool implements Queryable {
  private readonly pool: pg.Pool
  private readonly turns: Turns

  constructor({ max, queryMilliseconds, settings }: PoolOptions) {
    const connectionString = process.env.DATABASE_URL
    if (!connectionString) throw new DatabaseDown('DATABASE_URL is not set')
    const all = {
      statement_timeout: queryMilliseconds,
      lock_timeout: Math.min(queryMilliseconds, QUERY_MILLISECONDS),
      idle_in_transaction_session_timeout: queryMilliseconds + QUERY_MILLISECONDS,
      ...settings,
    }
    this.pool = new pg.Pool({
      connectionString,
      max,
      connectionTimeoutMillis: CONNECT_MILLISECONDS,
      idleTimeoutMillis: 30_000,
      // A server that was stopped in the middle answers nothing at all: then this side gives up.
      query_timeout: queryMilliseconds + 500,
      options: Object.entries(all)
        .map(([name, value]) => `-c ${name}=${value}`)
        .join(' '),
    })
    // An idle connection that breaks must not end the process; the next query reports it.
    this.pool.on('error', () => undefined)
    this.turns = new Turns(
      max,
      MAX_WAITING,
      TURN_MILLISECONDS,
      () => new DatabaseDown('Too many wait for it'),
    )
  }

  /** Runs work on a connection of its own; one that broke is thrown away. */
  connected<T>(work: (client: Queryable) => Promise<T>): Promise<T> {
    return this.turns.take(async () => {
      const client = await this.pool.connect().catch((error: unknown) => {
        throw asDatabaseError(error)
      })
      let broken = false
      try {
        return await work({
          query: (query, values) =>
            client.query(query as string, values).catch((error: unknown) => {
              throw asDatabaseError(error)
            }),
        })
      } catch (error) {
        broken = isDatabaseDown(error)
        throw error
      } finally {
        client.release(broken)
      }
    })
  }

  query<Row extends pg.QueryResultRow>(query: string | pg.QueryConfig, values?: unknown[]) {
    return this.connected((client) => client.query<Row>(query, values))
  }
}

const pools = new Map<string, Pool>()
function poolOf(name: string, options: PoolOptions): Pool {
  let found = pools.get(name)
  if (!found) pools.set(name, (found = new Pool(options)))
  return found
}

/** The connection pool, made at first use from `DATABASE_URL`. */
export const database = (): Pool =>
  poolOf('usual', { max: 12, queryMilliseconds: QUERY_MILLISECONDS, settings: {} })

/**
 * Connections for searches: planned once and always by the indexes. Left to itself the planner reads the whole
 * table for a few hundred of many alike, which takes ten times as long.
 */
export const searchDatabase = (): Pool =>
  poolOf('search', {
    max: 4,
    queryMilliseconds: QUERY_MILLISECONDS,
    settings: { enable_seqscan: 'off', jit: 'off', plan_cache_mode: 'force_generic_plan' },
  })

/** Connections for work that may take minutes: migrating, loading foods, merging an import. */
export const patientDatabase = (): Pool =>
  poolOf('patient', { max: 3, queryMilliseconds: PATIENT_MILLISECONDS, settings: {} })

/** Tries of a transaction that another was in the way of; between them a little longer each time. */
const MAX_TRIES = 6
const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds))

/**
 * Runs work in one transaction: committed when it returns, rolled back when it throws, tried again when it failed only
 * for another one's sake.
 *
 * @param work may run several times: nothing outside the database may depend on it
 */
export async function transaction<T>(
  work: (client: Queryable) => Promise<T>,
  pool: () => Pool = database,
): Promise<T> {
  for (let turn = 1; ; turn++) {
    try {
      return await pool().connected(async (client) => {
        try {
          await client.query('begin')
          const result = await work(client)
          await client.query('commit')
          return result
        } catch (error) {
          // A connection that does not answer is thrown away, and its transaction with it.
          if (!isDatabaseDown(error)) await client.query('rollback')
          throw error
        }
      })
    } catch (error) {
      if (turn >= MAX_TRIES || !isWorthAnotherTry(error)) throw error
      await pause(5 * 2 ** turn * (0.5 + Math.random()))
    }
  }
}
