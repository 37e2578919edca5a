/** Longest side of a picture that is kept, in pixels, and how closely it is kept. */
const LONGEST = 1280
const QUALITY = 0.8
const MOST_BYTES = 600_000

/**
 * A picture made small in the browser. It is drawn anew, so that what the camera wrote into it (where, when, with
 * what) is not in the copy.
 *
 * @throws Error with words for the cook when it is no picture, or cannot be made small enough
 */
export async function smallPhoto(file: File): Promise<Blob> {
  const bitmap = await createImageBitmap(file).catch(() => null)
  if (!bitmap) throw new Error(`${file.name} is no picture that this browser can read`)
  for (const longest of [LONGEST, LONGEST / 2]) {
    const scale = Math.min(1, longest / Math.max(bitmap.width, bitmap.height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(bitmap.width * scale))
    canvas.height = Math.max(1, Math.round(bitmap.height * scale))
    canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY))
    if (blob && blob.size <= MOST_BYTES) return blob
  }
  throw new Error(`${file.name} cannot be made small enough`)
}
