import { noCopy } from '../../http/params'
import { openCopy } from '../../services/copies'

/** A copy as a file. */
export default defineEventHandler(async (event) => {
  const name = getRouterParam(event, 'name') ?? ''
  const found = await openCopy(name)
  if (!found) throw noCopy(name)
  setHeader(event, 'content-type', 'application/octet-stream')
  setHeader(event, 'content-length', found.bytes)
  setHeader(event, 'content-disposition', `attachment; filename="${name}"`)
  return sendStream(event, found.stream)
})
