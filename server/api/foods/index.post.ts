import { randomUUID } from 'node:crypto'

/** Stores a food typed from a packet. */
export default defineEventHandler(async (event) => {
  const body = await readJson(event, ownFoodRequest)
  const stored = await storeOwnFood(`own-${randomUUID()}`, body)
  setResponseStatus(event, 201)
  return stored
})
