import { allTaughtNames } from '../../db/taughtNames'

/** The names the cook has taught. */
export default defineEventHandler(async () => ({ names: await allTaughtNames() }))
