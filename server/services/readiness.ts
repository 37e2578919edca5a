import { randomUUID } from 'node:crypto'
import { database } from '../db/pool'
import { migrated } from '../db/migrate'

/** What this server has done since it started. */
export const readiness = {
  /** By this a starter knows its own server from another on the same port. */
  instance: process.env.SWAP_POCKET_INSTANCE ?? randomUUID(),
  startedAt: new Date().toISOString(),
  foodsLoaded: false,
}

export interface Ready {
  ready: boolean
  database: boolean
  schema: string | null
  foods: boolean
  writable: boolean
}

/** Whether the database answers, has the program's schema, holds the foods, and can be written to. */
export async function readyNow(): Promise<Ready> {
  const not: Ready = { ready: false, database: false, schema: null, foods: false, writable: false }
  try {
    await migrated()
    const { rows } = await database().query<{ schema: string; readonly: string }>(
      `select (select max(name) from migrations) as schema,
         current_setting('transaction_read_only') as readonly`,
    )
    // A full disk lets nothing be written though everything can be read: so something is.
    const writable =
      rows[0]!.readonly === 'off' &&
      (await database()
        .query(
          `insert into milestones (name) values ('last asked whether it can be written')
           on conflict (name) do update set reached_at = now()`,
        )
        .then(
          () => true,
          () => false,
        ))
    const foods = readiness.foodsLoaded
    return { ready: foods && writable, database: true, schema: rows[0]!.schema, foods, writable }
  } catch {
    return not
  }
}
