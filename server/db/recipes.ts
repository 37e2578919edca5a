import type { ListedRecipe, RecipePage, StoredRecipe } from '~~/shared/api/answers'
import type { Recipe } from '../../core/recipe/document'
import { allLines } from '../../core/recipe/lines'
import { upgradeRecipe } from '../../core/recipe/upgrade'
import type { Summary } from '../../core/evaluation/summary'
import { markUsed } from './foods'
import { database, type Queryable } from './pool'
import { inTransaction, query } from './query'

export interface Parent {
  id: string
  revision: number
}

const STORED = `
  r.id, v.revision, r.parent_id as "parentId", r.parent_revision as "parentRevision",
  v.document as recipe, v.saved_at as "savedAt", r.deleted_at as "deletedAt"`

export const MAX_PAGE = 1000

/** Where a page begins: behind the recipe that was saved then. */
export interface PageStart {
  savedAt: string
  id: string
}

/** Recipes that are not deleted, the latest saved first, a page at a time. */
export async function listRecipes(limit = MAX_PAGE, after: PageStart | null = null): Promise<RecipePage> {
  const { rows } = await query<ListedRecipe & { at: string }>(
    `select r.id, r.revision, r.parent_id as "parentId", r.parent_revision as "parentRevision",
           v.document ->> 'title' as title, v.document -> 'diets' as diets, v.summary, v.saved_at as "savedAt",
           to_char(v.saved_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"') as at
    from recipes r
    join revisions v on v.recipe_id = r.id and v.revision = r.revision
    where r.deleted_at is null
      and ($2::timestamptz is null or v.saved_at < $2 or (v.saved_at = $2 and r.id > $3))
    order by v.saved_at desc, r.id
    limit $1`,
    [limit + 1, after?.savedAt ?? null, after?.id ?? null],
  )
  const last = rows[limit - 1]
  return {
    recipes: rows.slice(0, limit).map(({ at: _, ...recipe }) => recipe),
    next: rows.length > limit && last ? `${last.at}~${last.id}` : null,
  }
}

/** One recipe at its newest revision, or at the one asked for; null when there is none. */
export async function getRecipe(id: string, revision: number | null = null): Promise<StoredRecipe | null> {
  const { rows } = await query<StoredRecipe>(
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
  const { rows } = await query<{ revision: number; title: string; savedAt: string }>(
    `select revision, document ->> 'title' as title, saved_at as "savedAt"
     from revisions where recipe_id = $1 order by revision desc`,
    [id],
  )
  return rows
}

async function addRevision(
  client: Queryable,
  id: string,
  revision: number,
  recipe: Recipe,
  summary: Summary | null,
) {
  await client.query(
    'insert into revisions (recipe_id, revision, document, summary) values ($1, $2, $3, $4)',
    [id, revision, JSON.stringify(recipe), summary === null ? null : JSON.stringify(summary)],
  )
}

/** The foods of a recipe come first in the next search. A save does not fail for it. */
async function rememberFoods(recipe: Recipe): Promise<void> {
  const ids = new Set(allLines(recipe).flatMap(({ line }) => line.foodId ?? []))
  await markUsed(database(), [...ids]).catch(() => undefined)
}

async function readBack(client: Queryable, id: string): Promise<StoredRecipe> {
  const { rows } = await client.query<StoredRecipe>(
    `select ${STORED} from recipes r
     join revisions v on v.recipe_id = r.id and v.revision = r.revision where r.id = $1`,
    [id],
  )
  return upgraded(rows[0]!)
}

/** A request that its client has given a key, so that it is done once however often it is sent. */
export interface KeptRequest {
  key: string
  /** Of what is asked. */
  digest: string
}

export type Created =
  | { state: 'made' | 'made before'; stored: StoredRecipe }
  /** The parent's revision does not exist. */
  | { state: 'no parent' }
  /** The key stands for another request. */
  | { state: 'key taken' }

/**
 * Stores a new recipe as revision 1.
 *
 * @param parent the revision it grew from, for a variant
 * @param kept the same request sent again gets what the first one made
 */
export async function createRecipe(
  recipe: Recipe,
  summary: Summary | null,
  parent: Parent | null,
  kept: KeptRequest | null = null,
): Promise<Created> {
  const created = await inTransaction(async (client): Promise<Created> => {
    if (kept) {
      await client.query('select pg_advisory_xact_lock(hashtextextended($1, 0))', [kept.key])
      const { rows } = await client.query<{ digest: string; id: string }>(
        'select digest, recipe_id as id from kept_requests where key = $1',
        [kept.key],
      )
      if (rows[0])
        return rows[0].digest === kept.digest
          ? { state: 'made before', stored: await readBack(client, rows[0].id) }
          : { state: 'key taken' }
    }
    if (parent) {
      const { rowCount } = await client.query(
        'select 1 from revisions where recipe_id = $1 and revision = $2',
        [parent.id, parent.revision],
      )
      if (!rowCount) return { state: 'no parent' }
    }
    const { id } = await insertRecipe(client, recipe, summary, parent)
    if (kept) {
      await client.query('insert into kept_requests (key, digest, recipe_id) values ($1, $2, $3)', [
        kept.key,
        kept.digest,
        id,
      ])
      await client.query("delete from kept_requests where asked_at < now() - interval '7 days'")
    }
    return { state: 'made', stored: await readBack(client, id) }
  })
  if (created.state === 'made') await rememberFoods(recipe)
  return created
}

/**
 * Adds a revision to a recipe.
 *
 * @param revision the revision the change was made from
 * @returns saved, also when this very document was saved from that revision before; stale with what is stored now, when another save came between; missing when there is no such
 *   recipe or it is deleted
 */
export async function saveRecipe(
  id: string,
  revision: number,
  recipe: Recipe,
  summary: Summary | null,
): Promise<{ state: 'saved' | 'stale'; stored: StoredRecipe } | { state: 'missing' }> {
  const result = await inTransaction(
    async (
      client,
    ): Promise<
      { state: 'saved' | 'stale' | 'saved before'; stored: StoredRecipe } | { state: 'missing' }
    > => {
      const { rows } = await client.query<{ revision: number }>(
        'select revision from recipes where id = $1 and deleted_at is null for update',
        [id],
      )
      const current = rows[0]?.revision
      if (current === undefined) return { state: 'missing' }
      if (current !== revision) {
        // Sent again because its answer was lost: what is stored is what is asked for.
        const same = await client.query(
          'select 1 from revisions where recipe_id = $1 and revision = $2 and document = $3::jsonb',
          [id, current, JSON.stringify(recipe)],
        )
        const again = current === revision + 1 && same.rowCount === 1
        return { state: again ? 'saved before' : 'stale', stored: await readBack(client, id) }
      }
      await client.query('update recipes set revision = $2 where id = $1', [id, revision + 1])
      await addRevision(client, id, revision + 1, recipe, summary)
      return { state: 'saved', stored: await readBack(client, id) }
    },
  )
  if (result.state === 'saved') await rememberFoods(recipe)
  if (result.state === 'missing') return result
  return { state: result.state === 'stale' ? 'stale' : 'saved', stored: result.stored }
}

/** Marks a recipe deleted, or takes the mark away. Returns false when there is nothing to change. */
export async function setDeleted(id: string, deleted: boolean): Promise<boolean> {
  const { rowCount } = await query(
    deleted
      ? 'update recipes set deleted_at = now() where id = $1 and deleted_at is null'
      : 'update recipes set deleted_at = null where id = $1 and deleted_at is not null',
    [id],
  )
  return rowCount === 1
}

/** Runs a piece of one-time work if it has not been done, and remembers it; both or neither. */
export async function once(name: string, work: (client: Queryable) => Promise<void>): Promise<void> {
  await inTransaction(async (client) => {
    const { rowCount } = await client.query(
      'insert into milestones (name) values ($1) on conflict do nothing',
      [name],
    )
    if (rowCount) await work(client)
  })
}

/** Stores a recipe inside a transaction of the caller's; used to load the demo recipes. */
export async function insertRecipe(
  client: Queryable,
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
  await query('select 1')
}
