import { allPrices } from '../../db/prices'

/** The price book. */
export default defineEventHandler(() => allPrices())
