import type pg from 'pg'
import { migrated } from './migrate'
import { database, searchDatabase, transaction, type Queryable } from './pool'

// What the queries of this folder go through: the schema is up to date before the first of them.

/** Asks the database. Values are always bound. */
export async function query<Row extends pg.QueryResultRow>(text: string, values?: unknown[]) {
  await migrated()
  return database().query<Row>(text, values)
}

/** Asks for what is searched, planned once under its name. */
export async function searchQuery<Row extends pg.QueryResultRow>(asked: pg.QueryConfig) {
  await migrated()
  return searchDatabase().query<Row>(asked)
}

/** As `transaction`. */
export async function inTransaction<T>(work: (client: Queryable) => Promise<T>): Promise<T> {
  await migrated()
  return transaction(work)
}
