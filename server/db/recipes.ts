import type pg from 'pg'
import { allLines, type Recipe } from '../../core/recipe/document'
import { upgradeRecipe } from '../../core/recipe/upgrade'
import type { Summary } from '../../core/summary'
import { markUsed } from './foods'
import { migrated } from './migrate'
import { database, transaction } from './pool'

export interface StoredRecipe {
  id: string
  revision: number
  parentId: string | null
  parentRevision: number | null
  recipe: Recipe
  savedAt: string
  deletedAt: string | null
}

export interface ListedRecipe {
  id: string
  revision: number
  parentId: string | null
  parentRevision: number | null
  title: string
  diets: string[]
  summary: Summary | null
  savedAt: string
}

export interface Parent {
  id: string
  revision: number
}

const STORED = `
  r.id, v.revision, r.parent_id as "parentId", r.parent_revision as "parentRevision",
  v.document as recipe, v.saved_at as "savedAt", r.deleted_at as "deletedAt"`

/** Recipes that are not deleted, the latest saved first. */
export async function listRecipes(): Promise<ListedRecipe[]> {
  await migrated()
  const { rows } = await database().query<ListedRecipe>(`
    select r.id, r.revision, r.parent_id as "parentId", r.parent_revision as "parentRevision",
           v.document ->> 'title' as title, v.document -> 'diets' as diets, v.summary, v.saved_at as "savedAt"
    from recipes r
    join revisions v on v.recipe_id = r.id and v.revision = r.revision
    where r.deleted_at is null
    order by v.saved_at desc, r.id
    limit 1000`)
  return rows
}

/** One recipe at its newest revision, or at the one asked for; null when there is none. */
export async function getRecipe(id: string, revision: number | null = null): Promise<StoredRecipe | null> {
  await migrated()
  const { rows } = await database().query<StoredRecipe>(
    `select ${STORED} from recipes r
     join revisions v on v.recipe_id = r.id and v.revision = coalesce($2, r.revision)
     where r.id = $1`,
    [id, revision],
  )
  return rows[0] ? upgraded(rows[0]) : null
}

/** Documents enter here: one that an older program wrote gets the fields that came later. */
const upgraded = (stored: StoredRecipe): StoredRecipe => ({ ...stored, recipe: upgradeRecipe(stored.recipe) })

export async function listRevisions(
  id: string,
): Promise<{ revision: number; title: string; savedAt: string }[]> {
  await migrated()
  const { rows } = await database().query(
    `select revision, document ->> 'title' as title, saved_at as "savedAt"
     from revisions where recipe_id = $1 order by revision desc`,
    [id],
  )
  return rows
}

async function addRevision(
  client: pg.PoolClient,
  id: string,
  revision: number,
  recipe: Recipe,
  summary: Summary | null,
) {
  await client.query(
    'insert into revisions (recipe_id, revision, document, summary) values ($1, $2, $3, $4)',
    [id, revision, JSON.stringify(recipe), summary === null ? null : JSON.stringify(summary)],
  )
  const foodIds = allLines(recipe).flatMap(({ line }) => line.foodId ?? [])
  await markUsed(client, [...new Set(foodIds)])
}

async function readBack(client: pg.PoolClient, id: string): Promise<StoredRecipe> {
  const { rows } = await client.query<StoredRecipe>(
    `select ${STORED} from recipes r
     join revisions v on v.recipe_id = r.id and v.revision = r.revision where r.id = $1`,
    [id],
  )
  return upgraded(rows[0]!)
}

/**
 * Stores a new recipe as revision 1.
 *
 * @param parent the revision it grew from, for a variant
 * @returns null when the parent's revision does not exist
 */
export async function createRecipe(
  recipe: Recipe,
  summary: Summary | null,
  parent: Parent | null,
): Promise<StoredRecipe | null> {
  await migrated()
  return transaction(async (client) => {
    if (parent) {
      const { rowCount } = await client.query(
        'select 1 from revisions where recipe_id = $1 and revision = $2',
        [parent.id, parent.revision],
      )
      if (!rowCount) return null
    }
    const { id } = await insertRecipe(client, recipe, summary, parent)
    return readBack(client, id)
  })
}

/**
 * Adds a revision to a recipe.
 *
 * @param revision the revision the change was made from
 * @returns saved; stale with what is stored now, when another save came between; missing when there is no such
 *   recipe or it is deleted
 */
export async function saveRecipe(
  id: string,
  revision: number,
  recipe: Recipe,
  summary: Summary | null,
): Promise<{ state: 'saved' | 'stale'; stored: StoredRecipe } | { state: 'missing' }> {
  await migrated()
  return transaction(async (client) => {
    const { rows } = await client.query<{ revision: number }>(
      'select revision from recipes where id = $1 and deleted_at is null for update',
      [id],
    )
    const current = rows[0]?.revision
    if (current === undefined) return { state: 'missing' }
    if (current !== revision) return { state: 'stale', stored: await readBack(client, id) }
    await client.query('update recipes set revision = $2 where id = $1', [id, revision + 1])
    await addRevision(client, id, revision + 1, recipe, summary)
    return { state: 'saved', stored: await readBack(client, id) }
  })
}

/** Marks a recipe deleted, or takes the mark away. Returns false when there is nothing to change. */
export async function setDeleted(id: string, deleted: boolean): Promise<boolean> {
  await migrated()
  const { rowCount } = await database().query(
    deleted
      ? 'update recipes set deleted_at = now() where id = $1 and deleted_at is null'
      : 'update recipes set deleted_at = null where id = $1 and deleted_at is not null',
    [id],
  )
  return rowCount === 1
}

/** Runs a piece of one-time work if it has not been done, and remembers it; both or neither. */
export async function once(name: string, work: (client: pg.PoolClient) => Promise<void>): Promise<void> {
  await migrated()
  await transaction(async (client) => {
    const { rowCount } = await client.query(
      'insert into milestones (name) values ($1) on conflict do nothing',
      [name],
    )
    if (rowCount) await work(client)
  })
}

/** Stores a recipe inside a transaction of the caller's; used to load the demo recipes. */
export async function insertRecipe(
  client: pg.PoolClient,
  recipe: Recipe,
  summary: Summary | null,
  parent: Parent | null,
): Promise<Parent> {
  const { rows } = await client.query<{ id: string }>(
    'insert into recipes (parent_id, parent_revision, revision) values ($1, $2, 1) returning id',
    [parent?.id ?? null, parent?.revision ?? null],
  )
  await addRevision(client, rows[0]!.id, 1, recipe, summary)
  return { id: rows[0]!.id, revision: 1 }
}

/** Throws when the database does not answer. */
export async function pingDatabase(): Promise<void> {
  await migrated()
  await database().query('select 1')
}
