import {
  foodFromTable,
  type Header,
  type TableFile,
  type TableFood,
  type TableRow,
} from '../../core/exchange/openTable'
import type { StoredImport } from '~~/shared/api/foods'
import { putFoods } from './foods'
import { patientDatabase, transaction, type Queryable } from './pool'
import { query } from './query'

type ImportFile = StoredImport['files'][number]
type BadRow = StoredImport['badRows'][number]

/** Bad rows are counted to the last; this many of a file are listed. */
export const MAX_LISTED_BAD_ROWS = 200

/** How far a file had come, locked until the transaction ends. */
export interface FileState {
  nextByte: number
  tail: Buffer
  header: Header | null
  rows: number
  badRows: number
  ended: boolean
}

export async function createImport(source: string, who: string): Promise<string> {
  const { rows } = await query<{ id: string }>(
    'insert into imports (source, who) values ($1, $2) returning id',
    [source, who],
  )
  return rows[0]!.id
}

const IMPORT = `id, source, who, state, message, foods, started_at as "startedAt", ended_at as "endedAt"`

/** An import with how far each file has come and the first bad rows; null when there is none. */
export async function getImport(id: string): Promise<StoredImport | null> {
  const { rows } = await query<StoredImport>(`select ${IMPORT} from imports where id = $1`, [id])
  if (!rows[0]) return null
  const files = await query<ImportFile>(
    `select file, next_byte::double precision as "nextByte", rows::double precision as rows,
       bad_rows::double precision as "badRows", ended
     from import_files where import_id = $1 order by file`,
    [id],
  )
  const bad = await query<BadRow>(
    `select file, row_number::double precision as "rowNumber", reason
     from import_bad_rows where import_id = $1 order by file, row_number limit ${MAX_LISTED_BAD_ROWS}`,
    [id],
  )
  return { ...rows[0], files: files.rows, badRows: bad.rows }
}

/** The latest imports, without their rows. */
export async function listImports(): Promise<Omit<StoredImport, 'files' | 'badRows'>[]> {
  const { rows } = await query<Omit<StoredImport, 'files' | 'badRows'>>(
    `select ${IMPORT} from imports order by started_at desc limit 20`,
  )
  return rows
}

/** The state of one file of an open import, locked; null when the import is not open. */
export async function lockFile(
  client: Queryable,
  importId: string,
  file: TableFile,
): Promise<FileState | null> {
  const open = await client.query(`select 1 from imports where id = $1 and state = 'open' for share`, [
    importId,
  ])
  if (!open.rowCount) return null
  await client.query('insert into import_files (import_id, file) values ($1, $2) on conflict do nothing', [
    importId,
    file,
  ])
  const { rows } = await client.query<FileState>(
    `select next_byte::double precision as "nextByte", tail, header, rows::double precision as rows,
       bad_rows::double precision as "badRows", ended
     from import_files where import_id = $1 and file = $2 for update`,
    [importId, file],
  )
  return rows[0]!
}

export async function saveFile(
  client: Queryable,
  importId: string,
  file: TableFile,
  state: FileState,
): Promise<void> {
  await client.query(
    `update import_files set next_byte = $3, tail = $4, header = $5, rows = $6, bad_rows = $7, ended = $8
     where import_id = $1 and file = $2`,
    [
      importId,
      file,
      state.nextByte,
      state.tail,
      state.header === null ? null : JSON.stringify(state.header),
      state.rows,
      state.badRows,
      state.ended,
    ],
  )
}

/** Notes rows that cannot be used. */
export async function addBadRows(
  client: Queryable,
  importId: string,
  file: TableFile,
  bad: readonly { rowNumber: number; reason: string }[],
): Promise<void> {
  if (!bad.length) return
  await client.query(
    `insert into import_bad_rows (import_id, file, row_number, reason)
     select $1, $2, row_number, reason from unnest($3::bigint[], $4::text[]) as given (row_number, reason)
     on conflict do nothing`,
    [importId, file, bad.map((one) => one.rowNumber), bad.map((one) => one.reason)],
  )
}

const INSERTS: {
  [F in TableFile]: { sql: string; columns: (rows: readonly TableRow[F][]) => unknown[][] }
} = {
  nutrient: {
    sql: `insert into import_nutrients (import_id, nutrient_id, unit)
      select $1, * from unnest($2::integer[], $3::text[])`,
    columns: (rows) => [rows.map((row) => row.id), rows.map((row) => row.unit)],
  },
  food: {
    sql: `insert into import_foods (import_id, food_id, name)
      select $1, * from unnest($2::integer[], $3::text[])`,
    columns: (rows) => [rows.map((row) => row.id), rows.map((row) => row.name)],
  },
  food_nutrient: {
    sql: `insert into import_amounts (import_id, food_id, nutrient_id, amount)
      select $1, * from unnest($2::integer[], $3::integer[], $4::double precision[])`,
    columns: (rows) => [
      rows.map((row) => row.foodId),
      rows.map((row) => row.nutrientId),
      rows.map((row) => row.amount),
    ],
  },
  food_portion: {
    sql: `insert into import_portions (import_id, food_id, unit, grams)
      select $1, * from unnest($2::integer[], $3::text[], $4::double precision[])`,
    columns: (rows) => [
      rows.map((row) => row.foodId),
      rows.map((row) => row.unit),
      rows.map((row) => row.grams),
    ],
  },
}

/** Adds rows of a file to what an import has gathered. */
export async function addRows<F extends TableFile>(
  client: Queryable,
  importId: string,
  file: F,
  rows: readonly TableRow[F][],
): Promise<void> {
  if (!rows.length) return
  const { sql, columns } = INSERTS[file]
  await client.query(sql, [importId, ...columns(rows)])
}

/** A merge that has not said for so long that it goes on has stopped. */
const SILENT_SECONDS = 15

/** Marks an import as being merged by a server. Returns false when it was not open. */
export async function startMerge(id: string, by: string): Promise<boolean> {
  const { rowCount } = await query(
    `update imports set state = 'merging', message = '', merging_by = $2, alive_at = clock_timestamp()
     where id = $1 and state = 'open'`,
    [id, by],
  )
  return rowCount === 1
}

const FOODS_AT_A_TIME = 1000

/**
 * Makes foods of all that an import has gathered, in one transaction: all of them or none. A food that is there
 * already is replaced, so that the same import twice changes nothing more.
 *
 * @param progress called after every thousand foods
 */
export async function mergeImport(
  id: string,
  source: string,
  by: string,
  progress: (foods: number) => void,
): Promise<number> {
  const merged = await transaction(async (client) => {
    // Without knowing how many rows have come, the planner joins them row by row.
    await client.query('analyze import_foods, import_amounts, import_portions')
    const unitRows = await client.query<{ id: number; unit: string }>(
      'select nutrient_id as id, unit from import_nutrients where import_id = $1',
      [id],
    )
    const units = new Map(unitRows.rows.map((row) => [row.id, row.unit]))
    // The last of several rows for one food wins, as it would in the table itself.
    await client.query(
      `declare gathered no scroll cursor for
       with amounts as (
         select food_id, jsonb_object_agg(nutrient_id, amount) as amounts
         from import_amounts where import_id = $1 group by food_id
       ), portions as (
         select food_id, jsonb_agg(jsonb_build_object('unit', unit, 'grams', grams)) as portions
         from import_portions where import_id = $1 group by food_id
       )
       select f.food_id as id, max(f.name) as name, a.amounts, p.portions
       from import_foods f
       join amounts a using (food_id)
       left join portions p using (food_id)
       where f.import_id = $1
       group by f.food_id, a.amounts, p.portions`,
      [id],
    )
    let count = 0
    for (;;) {
      const { rows } = await client.query<{
        id: number
        name: string
        amounts: Record<string, number>
        portions: TableFood['portions'] | null
      }>(`fetch ${FOODS_AT_A_TIME} from gathered`)
      if (!rows.length) break
      const foods = rows.map((row) =>
        foodFromTable(
          {
            id: row.id,
            name: row.name,
            amounts: new Map(Object.entries(row.amounts).map(([key, amount]) => [Number(key), amount])),
            portions: row.portions ?? [],
          },
          units,
          source,
        ),
      )
      await putFoods(client, 'import', foods)
      count += rows.length
      progress(count)
    }
    const ended = await client.query(
      `update imports set state = 'done', foods = $2, ended_at = clock_timestamp()
       where id = $1 and state = 'merging' and merging_by = $3`,
      [id, count, by],
    )
    if (!ended.rowCount) throw new Error(`Import ${id} was opened again while it was merged`)
    return count
  }, patientDatabase)
  await forgetRows(id)
  // A search among thousands of new names is planned by what is known of them.
  await patientDatabase().query('analyze foods')
  return merged
}

/** Marks an import that could not be merged; what it gathered stays, to be tried again. */
export async function reopenImport(id: string, message: string): Promise<void> {
  await query(`update imports set state = 'open', message = $2 where id = $1`, [id, message])
}

/** Throws an open import away. Returns false when it is not open. */
export async function dropImport(id: string): Promise<boolean> {
  const { rowCount } = await query(
    `update imports set state = 'dropped', ended_at = now() where id = $1 and state = 'open'`,
    [id],
  )
  if (rowCount) await forgetRows(id)
  return rowCount === 1
}

async function forgetRows(id: string): Promise<void> {
  for (const table of ['import_nutrients', 'import_foods', 'import_amounts', 'import_portions'])
    await patientDatabase().query(`delete from ${table} where import_id = $1`, [id])
}

/** Says that a merge goes on. */
export async function keepMergeAlive(id: string, by: string): Promise<void> {
  await query('update imports set alive_at = clock_timestamp() where id = $1 and merging_by = $2', [id, by])
}

/**
 * Imports whose merge fell silent, because its server or its database stopped, are open again: nothing of them was
 * stored. Those that another server merges go on.
 */
export async function reopenInterrupted(): Promise<void> {
  await query(
    `update imports set state = 'open', message = 'It was broken off; nothing of it was kept. Try again'
     where state = 'merging'
       and (alive_at is null or alive_at < clock_timestamp() - make_interval(secs => $1))`,
    [SILENT_SECONDS],
  )
}
