import { z } from 'zod'
import { readJson } from '../http/body'

const anything = z.looseObject({})

/** Reads a JSON body and throws it away: the floor for routes that take one. */
export default defineEventHandler(async (event) => {
  await readJson(event, anything)
  return { ok: true }
})
