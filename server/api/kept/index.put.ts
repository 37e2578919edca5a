import { keepOfBrowser } from '../../db/kept'
import { readJson } from '../../http/body'
import { keptRequest } from '~~/shared/api/copies'

/** Keeps what a browser has for itself, so that it is in the copies. */
export default defineEventHandler(async (event) => {
  const kept = await readJson(event, keptRequest)
  await keepOfBrowser(kept)
  return kept
})
