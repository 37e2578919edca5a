import { noCopy } from '../../http/params'
import { asInvalid, previewCopy, previewUpload } from '../../services/copies'

/** Checks a file of a backup, or a copy of ours, and says what restoring it would do. Nothing is changed. */
export default defineEventHandler(async (event) => {
  const { copy } = getQuery(event)
  try {
    if (typeof copy !== 'string') return await previewUpload(event.node.req)
    const seen = await previewCopy(copy)
    if (!seen) throw noCopy(copy)
    return seen
  } catch (error) {
    throw asInvalid(error)
  }
})
