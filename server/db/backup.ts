import { isContradiction } from './errors'
import { migrated } from './migrate'
import { patientDatabase, transaction, type Queryable } from './pool'

/** A row of a table, as JSON text. */
export interface BackupRow {
  table: string
  json: string
}
/** The columns of each table. */
export type BackupTables = Record<string, string[]>

/** What of a table goes into a backup, and how its rows are told apart. */
interface Kept {
  name: string
  key: readonly string[]
  /** Which rows are the cook's; all where nothing is said. */
  where?: string
  /** The column that the database numbers by itself; it is not in the file. */
  numbered?: string
  /** What tells which of two rows is the newer, over the aliases `here` and `come`; null where nothing does. */
  newer: string | null
}

/**
 * All that a cook has put in, in the order in which it is put back: a row comes after what it refers to. Names of the
 * tables and columns are ours; no value of a file is ever put into a statement.
 */
export const KEPT: readonly Kept[] = [
  // That the demo was loaded; which foods of the program were is this database's own.
  { name: 'milestones', key: ['name'], where: `name = 'demo'`, newer: null },
  { name: 'recipes', key: ['id'], newer: null },
  { name: 'revisions', key: ['recipe_id', 'revision'], newer: null },
  { name: 'foods', key: ['id'], where: `shelf in ('own', 'import')`, newer: null },
  {
    name: 'food_documents',
    key: ['food_id'],
    where: `food_id in (select id from foods where shelf in ('own', 'import'))`,
    newer: null,
  },
  { name: 'food_entries', key: ['food_id', 'entry'], newer: 'come.typed_at > here.typed_at' },
  { name: 'taught_names', key: ['name'], newer: 'come.taught_at > here.taught_at' },
  { name: 'own_swaps', key: ['id'], newer: 'here.removed_at is null and come.removed_at is not null' },
  // Its number is the database's own: a price is told by what it says.
  {
    name: 'prices',
    key: ['food_id', 'price', 'pack_grams', 'note', 'noted_on'],
    numbered: 'id',
    newer: null,
  },
  { name: 'stock', key: ['food_id'], newer: 'come.counted_at > here.counted_at' },
  // What a browser keeps it has itself: here lies only what it told, and the file's is what is wanted back.
  { name: 'settings', key: ['name'], newer: `starts_with(here.name, 'browser')` },
  { name: 'dinners', key: ['id'], newer: 'come.saved_at > here.saved_at' },
  { name: 'records', key: ['id'], newer: 'come.sequence > here.sequence' },
  { name: 'record_photos', key: ['id'], newer: null },
]

/** What is done with a row that is here and in the file, and differs. */
export type ClashRule = 'keep' | 'newer' | 'file'

/** What a restore would do, or did, to one table. */
export interface TableChange {
  table: string
  /** In the file and not here. */
  added: number
  /** Here already, and the same. */
  same: number
  /** Here and in the file, and different. */
  different: number
  /** Of the different ones, those that the file has newer; null where that cannot be told. */
  newerInFile: number | null
}

const PAGE = 200

const listed = (columns: readonly string[], alias = '') => columns.map((one) => `${alias}"${one}"`).join(', ')

async function columnsOf(client: Queryable): Promise<Record<string, string[]>> {
  const { rows } = await client.query<{ name: string; columns: string[] }>(
    `select c.table_name as name, array_agg(c.column_name::text order by c.ordinal_position) as columns
     from information_schema.columns c
     where c.table_schema = current_schema() and c.table_name = any ($1)
     group by c.table_name`,
    [KEPT.map(({ name }) => name)],
  )
  const found = new Map(rows.map((row) => [row.name, row.columns]))
  return Object.fromEntries(
    KEPT.map(({ name, numbered }) => [name, (found.get(name) ?? []).filter((one) => one !== numbered)]),
  )
}

/** How many rows a backup would hold. */
export async function countKept(): Promise<number> {
  await migrated()
  let count = 0
  for (const { name, where } of KEPT) {
    const { rows } = await patientDatabase().query<{ count: number }>(
      `select count(*)::integer as count from ${name} ${where ? `where ${where}` : ''}`,
    )
    count += rows[0]!.count
  }
  return count
}

/**
 * All rows of a backup as they were at one moment, some hundred at a time.
 *
 * @param work is given the columns and the rows; the rows may be read once
 */
export async function readKept<T>(
  work: (tables: BackupTables, rows: AsyncIterable<BackupRow>) => Promise<T>,
): Promise<T> {
  await migrated()
  return patientDatabase().connected(async (client) => {
    await client.query('begin isolation level repeatable read read only')
    try {
      await client.query(`set local timezone = 'UTC'`)
      const tables = await columnsOf(client)
      async function* rows() {
        for (const { name, key, where } of KEPT) {
          await client.query(
            `declare kept_rows no scroll cursor for
             select row_to_json(t)::text as json
             from (select ${listed(tables[name]!)} from ${name} ${where ? `where ${where}` : ''}) t
             order by ${listed(key)}`,
          )
          for (;;) {
            const { rows: page } = await client.query<{ json: string }>(`fetch ${PAGE} from kept_rows`)
            for (const { json } of page) yield { table: name, json }
            if (page.length < PAGE) break
          }
          await client.query('close kept_rows')
        }
      }
      return await work(tables, rows())
    } finally {
      await client.query('rollback')
    }
  })
}

/** Rows of a file on their way into the database. */
export interface Staging {
  begin: (tables: BackupTables) => Promise<void>
  row: (row: BackupRow) => Promise<void>
}

/** The columns of a file's table, held against ours: what an older file lacks takes its default. */
function sharedColumns(
  theirs: BackupTables,
  ours: Record<string, string[]>,
  refuse: (text: string) => Error,
) {
  for (const [name, columns] of Object.entries(theirs)) {
    const own = ours[name]
    const strange = own ? columns.filter((column) => !own.includes(column)) : null
    if (strange === null)
      throw refuse(`The file holds "${name}", which this program does not know: it was made by a newer one`)
    if (strange.length)
      throw refuse(
        `The file holds ${strange.map((one) => `"${one}"`).join(', ')} of ${name}, which this program does not know: it was made by a newer one`,
      )
  }
  return theirs
}

/** The rows of a table as they came, with their columns. */
const come = (name: string) =>
  `select (json_populate_record(null::${name}, s.row)).*, s.row from restoring s where s.of_table = '${name}'`
const matches = (key: readonly string[]) => key.map((one) => `here."${one}" = come."${one}"`).join(' and ')
/** Whether what is here says the same in all that the file says. */
const SAYS_THE_SAME = `(select jsonb_object_agg(k, to_jsonb(here) -> k) from jsonb_object_keys(come.row::jsonb) k) = come.row::jsonb`

async function compared(client: Queryable, tables: BackupTables): Promise<TableChange[]> {
  const changes: TableChange[] = []
  for (const { name, key, newer } of KEPT) {
    if (!tables[name]) continue
    const { rows } = await client.query<Omit<TableChange, 'table'>>(
      `select count(*) filter (where not found)::integer as added,
              count(*) filter (where found and alike)::integer as same,
              count(*) filter (where found and not alike)::integer as different,
              ${newer ? `count(*) filter (where found and not alike and newer)::integer` : 'null::integer'} as "newerInFile"
       from (
         select here."${key[0]}" is not null as found, ${SAYS_THE_SAME} as alike, ${newer ?? 'false'} as newer
         from (${come(name)}) come left join ${name} here on ${matches(key)}
       ) pairs`,
    )
    changes.push({ table: name, ...rows[0]! })
  }
  return changes
}

/**
 * The demo of a new kitchen that nobody has touched, where the file brings the same: it is not kept twice. A recipe
 * counts that has one revision with the same words as a first revision of the file, and that nothing refers to.
 */
const UNTOUCHED_TWINS = `
  select r.id from recipes r
  join revisions v on v.recipe_id = r.id
  where r.revision = 1 and r.deleted_at is null
    and not exists (select 1 from restoring s where s.of_table = 'recipes' and s.row ->> 'id' = r.id::text)
    and not exists (select 1 from records where recipe_id = r.id)
    and exists (
      select 1 from restoring s where s.of_table = 'revisions' and (s.row ->> 'revision')::integer = 1
        and (s.row -> 'document')::jsonb = v.document
    )`

async function removeTwins(client: Queryable): Promise<number> {
  await client.query(`create temporary table twins on commit drop as ${UNTOUCHED_TWINS}`)
  // A variant that somebody made of one keeps its parent.
  await client.query(
    `delete from twins where id in (select parent_id from recipes where parent_id is not null and id not in (select id from twins))`,
  )
  await client.query('delete from kept_requests where recipe_id in (select id from twins)')
  await client.query('delete from revisions where recipe_id in (select id from twins)')
  const { rowCount } = await client.query('delete from recipes where id in (select id from twins)')
  return rowCount ?? 0
}

async function putRows(client: Queryable, table: Kept, columns: readonly string[], rule: ClashRule) {
  const { name, key, newer } = table
  const set = columns.filter((one) => !key.includes(one))
  const instead =
    rule === 'keep' || !set.length || (rule === 'newer' && newer === null)
      ? 'do nothing'
      : `do update set ${set.map((one) => `"${one}" = excluded."${one}"`).join(', ')}
         ${rule === 'newer' ? `where ${newer!.replaceAll('come.', 'excluded.')}` : ''}`
  await client.query(
    `insert into ${name} as here (${listed(columns)})
     select ${listed(columns, 'come.')} from (${come(name)}) come
     ${name === 'foods' ? `where not exists (select 1 from foods f where f.id = come.id and f.shelf not in ('own', 'import'))` : ''}
     ${name === 'food_documents' ? `where exists (select 1 from foods f where f.id = come.food_id and f.shelf in ('own', 'import'))` : ''}
     on conflict (${listed(key)}) ${instead}`,
  )
}

/**
 * Revisions are never overwritten. Of a recipe that went two ways, what the file has last is put on top as one more
 * revision: always by the rule `file`, where it is the later by `newer`, and not at all by `keep`.
 */
async function putRevisions(client: Queryable, columns: readonly string[], rule: ClashRule) {
  await client.query(
    `create temporary table parted on commit drop as
     select distinct here.recipe_id from (${come('revisions')}) come
     join revisions here on here.recipe_id = come.recipe_id and here.revision = come.revision
     where here.document <> come.document`,
  )
  await client.query(
    `insert into revisions (${listed(columns)})
     select ${listed(columns, 'come.')} from (${come('revisions')}) come
     where come.recipe_id not in (select recipe_id from parted)
     on conflict (recipe_id, revision) do nothing`,
  )
  if (rule !== 'keep')
    await client.query(
      `insert into revisions (recipe_id, revision, document, summary, saved_at)
       select last.recipe_id, (select max(revision) + 1 from revisions r where r.recipe_id = last.recipe_id),
              last.document, last.summary, last.saved_at
       from (
         select distinct on (come.recipe_id) come.* from (${come('revisions')}) come
         where come.recipe_id in (select recipe_id from parted)
         order by come.recipe_id, come.revision desc
       ) last
       where not exists (select 1 from revisions r where r.recipe_id = last.recipe_id and r.document = last.document)
       ${rule === 'newer' ? 'and last.saved_at > (select max(saved_at) from revisions r where r.recipe_id = last.recipe_id)' : ''}`,
    )
  await client.query(
    `update recipes set revision = top.revision
     from (select recipe_id, max(revision) as revision from revisions group by recipe_id) top
     where top.recipe_id = recipes.id and top.revision <> recipes.revision`,
  )
}

/** Thrown to leave a transaction that was only looked into. */
class OnlyLooked extends Error {}

/**
 * Puts the rows of a file into the database, all of them or none.
 *
 * @param read gives the rows of the file to the staging, and throws what is wrong with it
 * @param rule what is done with rows that differ; null only looks what would be done
 * @param refuse makes the error for a file that this program cannot restore
 */
export async function restoreKept(
  read: (staging: Staging) => Promise<unknown>,
  rule: ClashRule | null,
  refuse: (text: string) => Error,
): Promise<{ changes: TableChange[]; twins: number; left: TableChange[] }> {
  await migrated()
  let made: { changes: TableChange[]; twins: number; left: TableChange[] } | null = null
  try {
    await transaction(async (client) => {
      made = null
      await client.query(`set local timezone = 'UTC'`)
      await client.query('create temporary table restoring (of_table text, row json) on commit drop')
      let tables: BackupTables = {}
      let waiting: BackupRow[] = []
      let bytes = 0
      const flush = async () => {
        if (waiting.length)
          await client.query('insert into restoring select * from unnest($1::text[], $2::json[])', [
            waiting.map(({ table }) => table),
            waiting.map(({ json }) => json),
          ])
        waiting = []
        bytes = 0
      }
      await read({
        begin: async (head) => {
          tables = sharedColumns(head, await columnsOf(client), refuse)
        },
        row: async (row) => {
          waiting.push(row)
          bytes += row.json.length
          if (waiting.length >= PAGE || bytes > 2_000_000) await flush()
        },
      })
      await flush()
      await client.query('create index on restoring (of_table)')
      await client.query('analyze restoring')
      const twins = await removeTwins(client)
      const changes = await compared(client, tables)
      if (rule === null) {
        made = { changes, twins, left: [] }
        throw new OnlyLooked()
      }
      for (const table of KEPT) {
        const columns = tables[table.name]
        if (!columns?.length) continue
        if (table.name === 'revisions') await putRevisions(client, columns, rule)
        else await putRows(client, table, columns, rule)
      }
      // Every row of the file is held against what is there now.
      made = { changes, twins, left: await compared(client, tables) }
      const lost = made.left.filter(({ table, added }) => added > 0 && !PARTED_OR_OURS.has(table))
      if (lost.length)
        throw refuse(
          `${lost.map(({ table, added }) => `${added} rows of ${table}`).join(', ')} could not be put back`,
        )
    }, patientDatabase)
  } catch (error) {
    // A value that is none, a row that refers to nothing: the file is at fault, and all of it was taken back.
    if (isContradiction(error))
      throw refuse('A row of the file is not what the table takes, or contradicts another: it was altered')
    if (!(error instanceof OnlyLooked)) throw error
  }
  return made!
}

/** Rows of these may stay out by right: revisions of a recipe that went two ways, and foods that are of the program now. */
const PARTED_OR_OURS = new Set(['revisions', 'foods', 'food_documents'])

/** Removes all that a cook has put in; what the program ships stays. */
export async function removeKept(): Promise<void> {
  await migrated()
  await transaction(async (client) => {
    await client.query('delete from kept_requests')
    await client.query('delete from imports')
    for (const { name, where } of [...KEPT].reverse())
      if (name !== 'milestones') await client.query(`delete from ${name} ${where ? `where ${where}` : ''}`)
    await client.query(`update foods set uses = 0, used_at = null where uses > 0`)
  }, patientDatabase)
}
