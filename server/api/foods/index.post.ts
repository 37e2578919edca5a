import { randomUUID } from 'node:crypto'
import { readJson } from '../../http/body'
import { ownFoodRequest } from '~~/shared/api/requests'
import { storeOwnFood } from '../../services/ownFood'

/** Stores a food typed from a packet. */
export default defineEventHandler(async (event) => {
  const body = await readJson(event, ownFoodRequest)
  const stored = await storeOwnFood(`own-${randomUUID()}`, body)
  setResponseStatus(event, 201)
  return stored
})
