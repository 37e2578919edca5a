import { loadDemo } from '../db/demo'
import { migrated } from '../db/migrate'

/** Migrates, and loads the demo once, when the server starts. A database that is away is tried again later. */
export default defineNitroPlugin(() => {
  migrated()
    .then(() => (process.env.SWAP_POCKET_DEMO === '0' ? undefined : loadDemo()))
    .catch((error: Error) => console.error(`The database is not ready: ${error.message}`))
})
