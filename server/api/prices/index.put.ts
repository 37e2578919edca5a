import { allPrices, setCurrency } from '../../db/prices'
import { readJson } from '../../http/body'
import { currencyRequest } from '~~/shared/api/requests'

/** Sets the currency of the book; no price is converted. */
export default defineEventHandler(async (event) => {
  const { currency } = await readJson(event, currencyRequest)
  await setCurrency(currency)
  return allPrices()
})
