import type { TaughtName } from '../../core/tables/taughtNames'
import { query } from './query'

const TAUGHT = 'name, food_id as "foodId"'

/** The names the cook has taught, in their order. */
export async function allTaughtNames(): Promise<TaughtName[]> {
  const { rows } = await query<TaughtName>(`select ${TAUGHT} from taught_names order by name limit 2000`)
  return rows
}

/** Remembers what is meant by a name; what was taught of it before is replaced. */
export async function teachName({ name, foodId }: TaughtName): Promise<TaughtName> {
  const { rows } = await query<TaughtName>(
    `insert into taught_names (name, food_id) values ($1, $2)
     on conflict (name) do update set food_id = excluded.food_id, taught_at = now()
     returning ${TAUGHT}`,
    [name, foodId],
  )
  return rows[0]!
}

/** Forgets a name. Returns false when it was not taught. */
export async function forgetName(name: string): Promise<boolean> {
  const { rowCount } = await query('delete from taught_names where name = $1', [name])
  return rowCount === 1
}
