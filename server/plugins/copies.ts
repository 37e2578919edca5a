import { readiness } from '../services/readiness'
import { nightlyCopy } from '../services/copies'

const LOOK_MILLISECONDS = 300_000
const FIRST_MILLISECONDS = 60_000

/** A copy each night; one that was missed is made soon after the start. */
export default defineNitroPlugin(() => {
  if (process.env.SWAP_POCKET_NIGHTLY === '0') return
  const look = () => {
    if (readiness.foodsLoaded)
      void nightlyCopy().catch((error: Error) =>
        console.error(`The copy of the night failed: ${error.message}`),
      )
  }
  setTimeout(look, FIRST_MILLISECONDS).unref()
  setInterval(look, LOOK_MILLISECONDS).unref()
})
