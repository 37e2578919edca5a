import { removePhoto } from '../../../../db/records'
import { noPhoto, photoId, recordId } from '../../../../http/params'

/** Takes a picture away. */
export default defineEventHandler(async (event) => {
  const photo = photoId(event)
  if (!(await removePhoto(photo, recordId(event)))) throw noPhoto(photo)
  return { id: photo }
})
