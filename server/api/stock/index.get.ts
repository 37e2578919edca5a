import { allStock } from '../../db/stock'

/** What is in the larder, as far as it is counted. */
export default defineEventHandler(async () => ({ stock: await allStock() }))
