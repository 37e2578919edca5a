import { loadDemo } from '../db/demo'
import { reopenInterrupted } from '../db/imports'
import { loadFoods } from '../db/loadFoods'
import { migrated } from '../db/migrate'

/** Migrates, puts the foods of the tables where they can be searched, and loads the demo once, when the server starts. A database that is away is tried again later. */
export default defineNitroPlugin(() => {
  migrated()
    .then(loadFoods)
    .then(reopenInterrupted)
    .then(() => (process.env.SWAP_POCKET_DEMO === '0' ? undefined : loadDemo()))
    .catch((error: Error) => console.error(`The database is not ready: ${error.message}`))
})
