import type { KeptBrowser } from '~~/shared/api/copies'

/** What this browser keeps for itself and a copy of the kitchen should hold, under `swap-pocket:`. */
const NAMES =
  'guests table cookware tray refused weights not-learnt label who dinner dinner-id ticked times ounces share-of appearance'.split(
    ' ',
  )
const OWN_ID = 'swap-pocket:this-browser'
/** A screen narrower than this is a phone's. */
const PHONE_PIXELS = 600
/** So much of one name is kept at most, in characters. */
const MAX_CHARACTERS = 500_000

/** What stands under the names of ours, with the id by which this browser is told from others. */
export function keptHere(
  storage: Pick<Storage, 'getItem' | 'setItem'>,
  now: Date,
  widthPixels: number,
): KeptBrowser {
  const id = storage.getItem(OWN_ID) ?? crypto.randomUUID()
  storage.setItem(OWN_ID, id)
  const kept: Record<string, string> = {}
  for (const name of NAMES) {
    const key = `swap-pocket:${name}`
    const value = storage.getItem(key)
    if (value !== null && value.length <= MAX_CHARACTERS) kept[key] = value
  }
  return { id, kind: widthPixels < PHONE_PIXELS ? 'phone' : 'computer', savedAt: now.toISOString(), kept }
}

/** Puts back what a browser kept; names that are not ours are left alone. */
export function takeOver({ kept }: Pick<KeptBrowser, 'kept'>, storage: Pick<Storage, 'setItem'>): string[] {
  const ours = NAMES.map((name) => `swap-pocket:${name}`).filter((key) => kept[key] !== undefined)
  for (const key of ours) storage.setItem(key, kept[key]!)
  return ours
}
