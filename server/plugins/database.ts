import { loadDemo } from '../db/demo'
import { reopenInterrupted } from '../db/imports'
import { loadFoods } from '../db/loadFoods'
import { migrated } from '../db/migrate'

/**
 * When the server starts: migrates, loads the demo once, and puts the foods of the tables where they can be
 * searched. A database that is away is tried again later.
 */
export default defineNitroPlugin(() => {
  migrated()
    .then(() => (process.env.SWAP_POCKET_DEMO === '0' ? undefined : loadDemo()))
    .then(loadFoods)
    .then(reopenInterrupted)
    .catch((error: Error) => console.error(`The database is not ready: ${error.message}`))
})
