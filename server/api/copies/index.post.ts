import { problem } from '../../http/problem'
import { makeCopy } from '../../services/copies'

/** Makes a copy of everything now, and reads it back. */
export default defineEventHandler(async (event) => {
  const made = await makeCopy('asked')
  if (!made)
    throw problem(409, 'busy', 'A copy is being made', 'Wait until it is done; it holds everything up to now')
  setResponseStatus(event, 201)
  return made
})
