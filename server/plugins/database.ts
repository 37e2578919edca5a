import { loadDemo } from '../db/demo'
import { SchemaProblem } from '../db/errors'
import { reopenInterrupted } from '../db/imports'
import { loadFoods } from '../db/loadFoods'
import { migrated } from '../db/migrate'
import { readiness } from '../services/readiness'

/** What the starter understands as: do not start me again, more of the same will not help. */
const EXIT_SCHEMA = 3
const MIN_PAUSE = 250
const MAX_PAUSE = 5000
const SWEEP_MILLISECONDS = 5000

async function prepare(): Promise<void> {
  await migrated()
  if (process.env.SWAP_POCKET_DEMO !== '0') await loadDemo()
  await loadFoods()
  readiness.foodsLoaded = true
}

/**
 * When the server starts: migrates, loads the demo once, and puts the foods of the tables where they can be
 * searched. A database that is away is tried until it is back; one of a newer program ends this one with a word.
 */
export default defineNitroPlugin(() => {
  let pause = MIN_PAUSE
  let said = ''
  const attempt = () =>
    prepare().catch((error: Error) => {
      if (error instanceof SchemaProblem) {
        console.error(`\n${error.message}\n`)
        process.exit(EXIT_SCHEMA)
      }
      if (error.message !== said) console.error(`The database is not ready: ${(said = error.message)}`)
      setTimeout(attempt, pause).unref()
      pause = Math.min(2 * pause, MAX_PAUSE)
    })
  void attempt()
  // A merge whose server or database stopped is opened again, by whichever server is there.
  setInterval(() => {
    if (readiness.foodsLoaded) void reopenInterrupted().catch(() => undefined)
  }, SWEEP_MILLISECONDS).unref()
  // The starter holds the other end: when it is gone, however it went, this server has no owner.
  if (process.connected) process.once('disconnect', () => process.exit(0))
})
