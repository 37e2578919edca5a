import { createHash } from 'node:crypto'
import { SchemaProblem } from './errors'
import { patientDatabase, type Queryable } from './pool'

/** One number for the whole product: two servers that start together must not migrate together. */
const LOCK = 71_903_024

/** A migration as the program ships it. */
export interface Migration {
  name: string
  sql: string
}

interface Applied {
  name: string
  checksum: string | null
}

export const checksumOf = (sql: string): string =>
  createHash('sha256').update(sql.replace(/\r\n/g, '\n')).digest('hex')

/**
 * What of the shipped migrations a database still needs, in their order.
 *
 * @throws SchemaProblem when the database has one that the program does not know, or one that has been changed since
 */
export function pendingOf(shipped: readonly Migration[], applied: readonly Applied[]): Migration[] {
  const known = new Map(shipped.map((one) => [one.name, one]))
  const newer = applied.filter(({ name }) => !known.has(name)).map(({ name }) => name)
  if (newer.length)
    throw new SchemaProblem(
      `The database was made by a newer program: it has ${newer.join(', ')}. Start that one, or take back a dump from before`,
    )
  for (const { name, checksum } of applied)
    if (checksum !== null && checksum !== checksumOf(known.get(name)!.sql))
      throw new SchemaProblem(`The migration ${name} is not the one that was applied to this database`)
  const done = new Set(applied.map(({ name }) => name))
  return shipped.filter(({ name }) => !done.has(name))
}

async function shippedMigrations(): Promise<Migration[]> {
  const storage = useStorage('assets:migrations')
  const names = (await storage.getKeys()).filter((name) => name.endsWith('.sql')).sort()
  return Promise.all(names.map(async (name) => ({ name, sql: String(await storage.getItem(name)) })))
}

async function apply(client: Queryable, shipped: readonly Migration[]): Promise<void> {
  await client.query(
    'create table if not exists migrations (name text primary key, applied_at timestamptz not null default now())',
  )
  await client.query('alter table migrations add column if not exists checksum text')
  const { rows } = await client.query<Applied & { name: string }>('select name, checksum from migrations')
  const record = (one: Migration) =>
    client.query(
      `insert into migrations (name, checksum) values ($1, $2)
       on conflict (name) do update set checksum = excluded.checksum`,
      [one.name, checksumOf(one.sql)],
    )
  const pending = pendingOf(shipped, rows)
  for (const one of pending) {
    await client.query('begin')
    try {
      await client.query(one.sql)
      await record(one)
      await client.query('commit')
    } catch (error) {
      await client.query('rollback')
      throw error
    }
  }
  // Applied before sums were kept.
  const unsummed = new Set(rows.filter(({ checksum }) => checksum === null).map(({ name }) => name))
  for (const one of shipped) if (unsummed.has(one.name)) await record(one)
}

async function migrate(): Promise<void> {
  const shipped = await shippedMigrations()
  await patientDatabase().connected(async (client) => {
    await client.query('select pg_advisory_lock($1)', [LOCK])
    try {
      await apply(client, shipped)
    } finally {
      await client.query('select pg_advisory_unlock($1)', [LOCK])
    }
  })
}

let done: Promise<void> | null = null

/**
 * Brings the database up to date, once. A failed attempt is forgotten, so that the next call tries again when
 * the database is back.
 */
export function migrated(): Promise<void> {
  done ??= migrate().catch((error) => {
    done = null
    throw error
  })
  return done
}
