import type { OwnSwap } from '../../core/substitution/catalogue'
import { query } from './query'

const OWN_SWAP = `id, from_food as "fromFoodId", to_food as "toFoodId", ratio, more, part, why`

/** The cook's own swaps, the latest first. */
export async function allOwnSwaps(): Promise<OwnSwap[]> {
  const { rows } = await query<OwnSwap>(
    `select ${OWN_SWAP} from own_swaps where removed_at is null order by added_at desc limit 500`,
  )
  return rows
}

export async function addOwnSwap(swap: Omit<OwnSwap, 'id'>): Promise<OwnSwap> {
  const { rows } = await query<OwnSwap>(
    `insert into own_swaps (from_food, to_food, ratio, more, part, why)
     values ($1, $2, $3, $4, $5, $6)
     returning ${OWN_SWAP}`,
    [swap.fromFoodId, swap.toFoodId, swap.ratio, JSON.stringify(swap.more), swap.part, swap.why],
  )
  return rows[0]!
}

/** Offers an own swap no longer. Returns false when there is none. */
export async function removeOwnSwap(id: string): Promise<boolean> {
  const { rowCount } = await query(
    'update own_swaps set removed_at = now() where id = $1 and removed_at is null',
    [id],
  )
  return rowCount === 1
}
