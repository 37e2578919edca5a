import { getPhoto } from '../../../../db/records'
import { noPhoto, photoId, recordId } from '../../../../http/params'

/** A picture of a record. */
export default defineEventHandler(async (event) => {
  const photo = photoId(event)
  const found = await getPhoto(photo, recordId(event))
  if (!found) throw noPhoto(photo)
  setHeader(event, 'content-type', found.type)
  setHeader(event, 'cache-control', 'private, max-age=86400')
  return found.bytes
})
