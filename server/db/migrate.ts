import { database } from './pool'

/** One number for the whole product: two servers that start together must not migrate together. */
const LOCK = 71_903_024

let done: Promise<void> | null = null

async function migrate(): Promise<void> {
  const storage = useStorage('assets:migrations')
  const names = (await storage.getKeys()).filter((name) => name.endsWith('.sql')).sort()
  const client = await database().connect()
  try {
    await client.query('select pg_advisory_lock($1)', [LOCK])
    await client.query(
      'create table if not exists migrations (name text primary key, applied_at timestamptz not null default now())',
    )
    const { rows } = await client.query<{ name: string }>('select name from migrations')
    const applied = new Set(rows.map((row) => row.name))
    for (const name of names) {
      if (applied.has(name)) continue
      const sql = String(await storage.getItem(name))
      await client.query('begin')
      await client.query(sql)
      await client.query('insert into migrations (name) values ($1)', [name])
      await client.query('commit')
    }
  } catch (error) {
    await client.query('rollback').catch(() => undefined)
    throw error
  } finally {
    await client.query('select pg_advisory_unlock($1)', [LOCK]).catch(() => undefined)
    client.release()
  }
}

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
