import type { TableFile } from '../../core/exchange/openTable'
import { randomUUID } from 'node:crypto'
import { keepMergeAlive, mergeImport, reopenImport } from '../db/imports'
import type { StoredImport } from '~~/shared/api/foods'
import { invalid, problem } from '../http/problem'

/** How many foods of an import are merged so far, while it runs in this server. */
const running = new Map<string, number>()

/** This server among those that share a database. */
export const INSTANCE = randomUUID()
const ALIVE_MILLISECONDS = 3000

export const mergedSoFar = (id: string): number | undefined => running.get(id)

/** Merges an import while the caller is answered. A failure opens it again with the reason. */
export function mergeInBackground(id: string, source: string): void {
  running.set(id, 0)
  const heartbeat = setInterval(
    () => void keepMergeAlive(id, INSTANCE).catch(() => undefined),
    ALIVE_MILLISECONDS,
  )
  mergeImport(id, source, INSTANCE, (foods) => running.set(id, foods))
    .catch(async (error: Error) => {
      console.error(error)
      await reopenImport(id, 'It could not be stored; nothing of it was kept. Try again').catch(
        () => undefined,
      )
    })
    .finally(() => {
      clearInterval(heartbeat)
      running.delete(id)
    })
}

const NEEDED: readonly TableFile[] = ['nutrient', 'food', 'food_nutrient']

/** Answers 422 when a file is missing, 409 when rows cannot be used and nobody has said to go on without them. */
export function refuseUnready(found: StoredImport, withoutBadRows: boolean): void {
  const ended = new Set(found.files.filter((file) => file.ended).map((file) => file.file))
  const missing = NEEDED.filter((file) => !ended.has(file))
  if (missing.length)
    throw invalid(
      missing.map((file) => ({ field: `${file}.csv`, message: 'this file has not come to its end' })),
    )
  const bad = found.files.reduce((sum, file) => sum + file.badRows, 0)
  if (!bad || withoutBadRows) return
  throw problem(
    409,
    'bad-rows',
    `${bad} ${bad === 1 ? 'row' : 'rows'} cannot be used`,
    'Nothing was imported. Mend the rows and send the files again, or go on without them',
    {
      errors: found.badRows.slice(0, 50).map((row) => ({
        field: `${row.file}.csv row ${row.rowNumber}`,
        message: row.reason,
      })),
    },
  )
}
