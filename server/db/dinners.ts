import type { DinnerDocument, ListedDinner, StoredDinner } from '~~/shared/api/dinners'
import { query } from './query'

const STORED = `id, document as dinner, saved_at as "savedAt"`

/** Dinners that are not deleted, the latest saved first. */
export async function allDinners(): Promise<ListedDinner[]> {
  const { rows } = await query<ListedDinner>(
    `select id, document ->> 'serveAt' as "serveAt", saved_at as "savedAt",
            coalesce((select jsonb_agg(dish -> 'recipe' ->> 'title')
                      from jsonb_array_elements(document -> 'dishes') dish), '[]') as titles
     from dinners where deleted_at is null order by saved_at desc limit 200`,
  )
  return rows
}

/** A dinner; null when there is none. */
export async function getDinner(id: string): Promise<StoredDinner | null> {
  const { rows } = await query<StoredDinner>(
    `select ${STORED} from dinners where id = $1 and deleted_at is null`,
    [id],
  )
  return rows[0] ?? null
}

/** Stores a dinner under an id of the cook's own making; the same sent again changes nothing. */
export async function putDinner(id: string, dinner: DinnerDocument): Promise<StoredDinner> {
  const { rows } = await query<StoredDinner>(
    `insert into dinners (id, document) values ($1, $2)
     on conflict (id) do update set document = excluded.document, saved_at = now(), deleted_at = null
     returning ${STORED}`,
    [id, JSON.stringify(dinner)],
  )
  return rows[0]!
}

/** Marks a dinner deleted. Returns false when there is none. */
export async function removeDinner(id: string): Promise<boolean> {
  const { rowCount } = await query(
    'update dinners set deleted_at = now() where id = $1 and deleted_at is null',
    [id],
  )
  return rowCount === 1
}
