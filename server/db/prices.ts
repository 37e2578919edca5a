import type { Price } from '../../core/cost/costOf'
import type { StoredPrices } from '~~/shared/api/foods'
import { query } from './query'

/** What the book starts with until the cook chooses. */
const FIRST_CURRENCY = 'EUR'

const PRICE = `food_id as "foodId", price::double precision as price, pack_grams as "packGrams", note,
  to_char(noted_on, 'YYYY-MM-DD') as date`

/** The price book: of every food the price that was noted last. */
export async function allPrices(): Promise<StoredPrices> {
  const [settings, prices] = await Promise.all([
    query<{ value: string }>(`select value from settings where name = 'currency'`),
    query<Price>(
      `select distinct on (food_id) ${PRICE} from prices order by food_id, noted_on desc, id desc`,
    ),
  ])
  return { currency: settings.rows[0]?.value ?? FIRST_CURRENCY, prices: prices.rows }
}

/** Every price that was noted for a food, the latest first. */
export async function pricesOf(foodId: string): Promise<Price[]> {
  const { rows } = await query<Price>(
    `select ${PRICE} from prices where food_id = $1 order by noted_on desc, id desc limit 100`,
    [foodId],
  )
  return rows
}

/** Notes a price, and keeps those before. The same price noted again on the same day is one note. */
export async function putPrice(price: Price): Promise<Price> {
  const { rows } = await query<Price>(
    `insert into prices (food_id, price, pack_grams, note, noted_on) values ($1, $2, $3, $4, $5)
     on conflict (food_id, price, pack_grams, note, noted_on) do update set id = default
     returning ${PRICE}`,
    [price.foodId, price.price, price.packGrams, price.note, price.date],
  )
  return rows[0]!
}

/** Takes the latest price of a food out, so that the one before counts again. Returns false when there was none. */
export async function removePrice(foodId: string): Promise<boolean> {
  const { rowCount } = await query(
    `delete from prices where id =
       (select id from prices where food_id = $1 order by noted_on desc, id desc limit 1)`,
    [foodId],
  )
  return rowCount === 1
}

/** Sets the currency of the book. Prices keep their numbers: nothing is converted. */
export async function setCurrency(currency: string): Promise<void> {
  await query(
    `insert into settings (name, value) values ('currency', $1)
     on conflict (name) do update set value = excluded.value`,
    [JSON.stringify(currency)],
  )
}
