import { allOwnSwaps } from '../../db/ownSwaps'

/** The cook's own swaps. */
export default defineEventHandler(async () => ({ swaps: await allOwnSwaps() }))
