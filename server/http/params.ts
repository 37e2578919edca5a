import type { H3Event } from 'h3'
import type { PageStart } from '../db/recipes'
import { invalid, problem } from './problem'

const UUID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i

export const recipeNotFound = (id: string) =>
  problem(404, 'no-such-recipe', 'There is no such recipe', `No recipe has the id "${id.slice(0, 80)}"`, {
    errors: [{ field: 'id', message: 'use an id from /api/recipes' }],
  })

export const noImport = (id: string) =>
  problem(404, 'no-such-import', 'There is no such import', `No import has the id "${id.slice(0, 80)}"`, {
    errors: [{ field: 'id', message: 'use an id from /api/imports' }],
  })

/** The import id in the path. Answers 404 for what cannot be one. */
export function importId(event: H3Event): string {
  const id = getRouterParam(event, 'id') ?? ''
  if (!UUID.test(id)) throw noImport(id)
  return id
}

export const isUuid = (value: unknown): boolean => typeof value === 'string' && UUID.test(value)

export const noRecord = (id: string) =>
  problem(404, 'no-such-record', 'There is no such record', `No record has the id "${id.slice(0, 80)}"`, {
    errors: [{ field: 'id', message: 'use an id from /api/records' }],
  })

/** The id of a record in the path. Answers 404 for what cannot be one. */
export function recordId(event: H3Event): string {
  const id = getRouterParam(event, 'id') ?? ''
  if (!UUID.test(id)) throw noRecord(id)
  return id
}

export const noPhoto = (id: string) =>
  problem(404, 'no-such-photo', 'There is no such picture', `No picture has the id "${id.slice(0, 80)}"`, {
    errors: [{ field: 'photo', message: 'use an id from the photos of a record' }],
  })

/** The id of a picture in the path. Answers 404 for what cannot be one. */
export function photoId(event: H3Event): string {
  const id = getRouterParam(event, 'photo') ?? ''
  if (!UUID.test(id)) throw noPhoto(id)
  return id
}

export const noDinner = (id: string) =>
  problem(404, 'no-such-dinner', 'There is no such dinner', `No dinner has the id "${id.slice(0, 80)}"`, {
    errors: [{ field: 'id', message: 'use an id from /api/dinners' }],
  })

/** The id of a dinner in the path. Answers 404 for what cannot be one. */
export function dinnerId(event: H3Event): string {
  const id = getRouterParam(event, 'id') ?? ''
  if (!UUID.test(id)) throw noDinner(id)
  return id
}

export const noSwap = (id: string) =>
  problem(404, 'no-such-swap', 'There is no such swap', `No own swap has the id "${id.slice(0, 80)}"`, {
    errors: [{ field: 'id', message: 'use an id from /api/swaps' }],
  })

/** The id of an own swap in the path. Answers 404 for what cannot be one. */
export function swapId(event: H3Event): string {
  const id = getRouterParam(event, 'id') ?? ''
  if (!UUID.test(id)) throw noSwap(id)
  return id
}

export const noCopy = (name: string) =>
  problem(404, 'no-such-copy', 'There is no such copy', `No copy is called "${name.slice(0, 80)}"`, {
    errors: [{ field: 'name', message: 'use a name from /api/copies' }],
  })

export const noRestore = () =>
  problem(
    404,
    'no-such-restore',
    'There is no such file here',
    'It was restored or thrown away; choose the file again',
    { errors: [{ field: 'id', message: 'use an id that /api/restores answered within the hour' }] },
  )

export const noFood = (id: string) =>
  problem(404, 'no-such-food', 'There is no such food', `No food has the id "${id.slice(0, 80)}"`, {
    errors: [{ field: 'id', message: 'use an id from /api/foods' }],
  })

/** The food id in the path. Answers 404 for what cannot be one. */
export function foodId(event: H3Event): string {
  const id = getRouterParam(event, 'id') ?? ''
  if (!/^[\w-]{1,80}$/.test(id)) throw noFood(id)
  return id
}

/** How many a page may hold, at most `most`, which is usual. */
export function pageLimit(value: unknown, most: number): number {
  if (value === undefined) return most
  const limit = typeof value === 'string' && value !== '' ? Number(value) : NaN
  if (!Number.isInteger(limit) || limit < 1 || limit > most)
    throw invalid([{ field: 'limit', message: `a whole number from 1 to ${most} is expected` }])
  return limit
}

const MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{6}Z$/

/** Where a page begins: the `next` of the page before; null for the first. */
export function pageStart(value: unknown): PageStart | null {
  if (value === undefined) return null
  const [savedAt = '', id = '', ...rest] = typeof value === 'string' ? value.split('~') : []
  if (rest.length || !MOMENT.test(savedAt) || Number.isNaN(Date.parse(savedAt)) || !UUID.test(id))
    throw invalid([{ field: 'after', message: 'the "next" of the page before is expected' }])
  return { savedAt, id }
}

/** Whether the working of figures is asked for: `?include=working`. Answers 422 for anything else in it. */
export function asksForWorking(event: H3Event): boolean {
  const { include } = getQuery(event)
  if (include === undefined) return false
  if (include !== 'working') throw invalid([{ field: 'include', message: 'working is what can be included' }])
  return true
}

/** The recipe id in the path. Answers 404 for what cannot be one. */
export function recipeId(event: H3Event): string {
  const id = getRouterParam(event, 'id') ?? ''
  if (!UUID.test(id)) throw recipeNotFound(id)
  return id
}

/** The revision asked for in the query, or null for the newest. */
export function wantedRevision(event: H3Event): number | null {
  const text = getQuery(event).revision
  if (text === undefined) return null
  const revision = Number(text)
  if (!Number.isInteger(revision) || revision < 1 || revision > 2_000_000_000) {
    throw invalid([{ field: 'revision', message: 'a whole number of 1 or more is expected' }])
  }
  return revision
}
