import { getRecord, MAX_PHOTOS, putPhoto } from '../../../../db/records'
import { readBytes } from '../../../../http/body'
import { noRecord, photoId, recordId } from '../../../../http/params'
import { invalid, problem } from '../../../../http/problem'

const MAX_PHOTO_BYTES = 600_000
/** How pictures begin, by their kind. */
const KINDS: readonly [string, (bytes: Buffer) => boolean][] = [
  ['image/jpeg', (bytes) => bytes[0] === 0xff && bytes[1] === 0xd8],
  ['image/png', (bytes) => bytes.subarray(1, 4).toString('latin1') === 'PNG'],
  ['image/webp', (bytes) => bytes.subarray(8, 12).toString('latin1') === 'WEBP'],
]

/** Stores a picture of a record. The browser has made it small. */
export default defineEventHandler(async (event) => {
  const id = recordId(event)
  const photo = photoId(event)
  const bytes = await readBytes(event, MAX_PHOTO_BYTES)
  const type = KINDS.find(([, begins]) => bytes.length > 12 && begins(bytes))?.[0]
  if (!type) throw invalid([{ field: 'body', message: 'a JPEG, PNG or WebP picture is expected' }])
  if (!(await putPhoto(photo, id, { type, bytes }))) {
    if (!(await getRecord(id))) throw noRecord(id)
    throw problem(
      409,
      'enough-photos',
      'There are enough pictures',
      `A record holds at most ${MAX_PHOTOS} pictures`,
    )
  }
  return { id: photo }
})
