import type { StockedFood } from '../../core/shopping/stock'
import { inTransaction, query } from './query'

const STOCKED = `food_id as "foodId", grams, to_char(keeps_until, 'YYYY-MM-DD') as "keepsUntil", note`

/** What is in the larder. */
export async function allStock(): Promise<StockedFood[]> {
  const { rows } = await query<StockedFood>(`select ${STOCKED} from stock order by food_id`)
  return rows
}

/** Counts a food anew. */
export async function putStock({ foodId, grams, keepsUntil, note }: StockedFood): Promise<StockedFood> {
  const { rows } = await query<StockedFood>(
    `insert into stock (food_id, grams, keeps_until, note) values ($1, $2, $3, $4)
     on conflict (food_id) do update set grams = excluded.grams, keeps_until = excluded.keeps_until,
       note = excluded.note, counted_at = now()
     returning ${STOCKED}`,
    [foodId, grams, keepsUntil, note],
  )
  return rows[0]!
}

/** Keeps no count of a food any more. Returns false when there was none. */
export async function removeStock(foodId: string): Promise<boolean> {
  const { rowCount } = await query('delete from stock where food_id = $1', [foodId])
  return rowCount === 1
}

/**
 * Takes what was cooked off, and puts what was bought on; a food of which no count is kept stays without one unless it
 * was bought. Nothing falls below 0 g.
 */
export async function changeStock(
  changes: readonly { foodId: string; grams: number }[],
): Promise<StockedFood[]> {
  await inTransaction(async (client) => {
    for (const { foodId, grams } of changes)
      await client.query(
        grams < 0
          ? 'update stock set grams = greatest(0, grams + $2), counted_at = now() where food_id = $1'
          : `insert into stock (food_id, grams) values ($1, $2)
             on conflict (food_id) do update set grams = stock.grams + excluded.grams, counted_at = now()`,
        [foodId, grams],
      )
  })
  return allStock()
}
