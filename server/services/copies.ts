import { createReadStream, createWriteStream } from 'node:fs'
import { mkdir, readdir, readFile, rm, stat, writeFile } from 'node:fs/promises'
import { randomUUID } from 'node:crypto'
import { join, resolve } from 'node:path'
import type { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { version } from '../../package.json'
import {
  countKept,
  readKept,
  restoreKept,
  type ClashRule,
  type Staging,
  type TableChange,
} from '../db/backup'
import { invalid } from '../http/problem'
import { BackupProblem, readBackup, writeBackup, type BackupHeader } from './backupFile'

/** Where copies lie: beside the program, unless it is told otherwise. */
export const copiesFolder = (): string => resolve(process.env.SWAP_POCKET_COPIES || '.backups')

/** So many copies of the night are kept, and so many that were asked for. */
const KEPT_NIGHTS = 14
const KEPT_ASKED = 5
/** A file to restore from is at most so large. */
export const MAX_UPLOAD_BYTES = 2_000_000_000
/** A file that was looked at and not restored is thrown away after so long. */
const UPLOAD_MILLISECONDS = 3_600_000

const NAME = /^(night|asked)-(\d{4}-\d{2}-\d{2}T\d{2}-\d{2}-\d{2}-\d{3}Z)\.swappocket$/

/** A copy in the folder. */
export interface Copy {
  name: string
  kind: 'night' | 'asked'
  madeAt: string
  bytes: number
  rows: number | null
  /** When its rows were last read back and held against its checksum; null when that failed or was not done. */
  checkedAt: string | null
  /** What the check found wrong; '' for nothing. */
  wrong: string
}

/** Whether a name is one of ours: nothing else is ever opened or removed. */
export const isCopyName = (name: string): boolean => NAME.test(name)

const noteOf = (path: string) => `${path}.check.json`

/** Copies that lie in the folder, the latest first. */
export async function allCopies(): Promise<Copy[]> {
  const folder = copiesFolder()
  const names = await readdir(folder).catch(() => [])
  const copies = await Promise.all(
    names.filter(isCopyName).map(async (name): Promise<Copy | null> => {
      const path = join(folder, name)
      const [size, note] = await Promise.all([
        stat(path).then(
          (one) => one.size,
          () => null,
        ),
        readFile(noteOf(path), 'utf8').then(JSON.parse, () => ({})) as Promise<Record<string, unknown>>,
      ])
      if (size === null) return null
      const [, kind, at] = NAME.exec(name)!
      return {
        name,
        kind: kind as Copy['kind'],
        madeAt: at!.replace(/T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z/, 'T$1:$2:$3.$4Z'),
        bytes: size,
        rows: typeof note.rows === 'number' ? note.rows : null,
        checkedAt: typeof note.checkedAt === 'string' ? note.checkedAt : null,
        wrong: typeof note.wrong === 'string' ? note.wrong : '',
      }
    }),
  )
  return copies.filter((one) => one !== null).sort((a, b) => b.madeAt.localeCompare(a.madeAt))
}

/** How far the copy is that is being made; null when none is. */
let making: { done: number; total: number } | null = null
export const copyInTheMaking = () => making

/** How far the file is that is read or put back; null when none is. Its total is 0 while nobody knows it. */
let restoring: { done: number; total: number } | null = null
export const restoreUnderWay = () => restoring

/** Reads a copy back and notes what was found. */
async function checkCopy(path: string): Promise<void> {
  const note = await readBackup(path).then(
    ({ rows }) => ({
      checkedAt: new Date().toISOString(),
      rows: Object.values(rows).reduce((sum, count) => sum + count, 0),
    }),
    (error: Error) => ({
      wrong: error instanceof BackupProblem ? error.message : 'It could not be read back',
    }),
  )
  await writeFile(noteOf(path), JSON.stringify(note))
}

async function removeOld(): Promise<void> {
  const copies = await allCopies()
  for (const [kind, kept] of [
    ['night', KEPT_NIGHTS],
    ['asked', KEPT_ASKED],
  ] as const)
    for (const { name } of copies.filter((one) => one.kind === kind).slice(kept)) await removeCopy(name)
}

/** What is restored from: a file that was sent, or a copy of ours. */
interface Source {
  path: string
  isUpload: boolean
  timer: NodeJS.Timeout | null
  /** How many rows it holds, once it was looked at. */
  rows: number
}
const sources = new Map<string, Source>()

/** Removes what a killed server left: copies half made, and files that were sent and that nobody waits for. */
async function sweep(folder: string): Promise<void> {
  const waitedFor = new Set([...sources.values()].map(({ path }) => path))
  for (const name of await readdir(folder)) {
    const path = join(folder, name)
    const isHalf = name.endsWith('.part') && isCopyName(name.slice(0, -5))
    const isLeft =
      name.startsWith('incoming-') &&
      !waitedFor.has(path) &&
      Date.now() - ((await stat(path).catch(() => null))?.mtimeMs ?? 0) > UPLOAD_MILLISECONDS
    if (isHalf || isLeft) await rm(path, { force: true })
  }
}

/**
 * Makes a copy of everything, reads it back, and lets the oldest go.
 *
 * @returns null when one is being made already
 */
export async function makeCopy(kind: Copy['kind']): Promise<Copy | null> {
  if (making) return null
  making = { done: 0, total: 0 }
  try {
    const folder = copiesFolder()
    await mkdir(folder, { recursive: true, mode: 0o700 })
    await sweep(folder)
    const progress = { done: 0, total: await countKept() }
    making = progress
    const madeAt = new Date().toISOString()
    const name = `${kind}-${madeAt.replace(/[:.]/g, '-')}.swappocket`
    const path = join(folder, name)
    await readKept((tables, rows) =>
      writeBackup(path, { program: version, madeAt, tables }, rows, (count) => (progress.done = count)),
    )
    await checkCopy(path)
    await removeOld()
    return (await allCopies()).find((one) => one.name === name) ?? null
  } finally {
    making = null
  }
}

/** Removes a copy. Returns false when there was none of that name. */
export async function removeCopy(name: string): Promise<boolean> {
  if (!isCopyName(name)) return false
  const path = join(copiesFolder(), name)
  const there = await stat(path).catch(() => null)
  await Promise.all([rm(path, { force: true }), rm(noteOf(path), { force: true })])
  return there !== null
}

/** A copy as a stream with its size; null when there is none of that name. */
export async function openCopy(name: string): Promise<{ stream: Readable; bytes: number } | null> {
  if (!isCopyName(name)) return null
  const path = join(copiesFolder(), name)
  const found = await stat(path).catch(() => null)
  return found && { stream: createReadStream(path), bytes: found.size }
}

/** From this hour on, local time, a copy of the night is due. */
const NIGHT_HOUR = 3

/** The moment since which a copy of the night is due. */
export function lastNight(now: Date): Date {
  const night = new Date(now)
  night.setHours(NIGHT_HOUR, 0, 0, 0)
  if (night > now) night.setDate(night.getDate() - 1)
  return night
}

/** Makes the copy of the night where it is due: also one that was missed while the kitchen was closed. */
export async function nightlyCopy(now = new Date()): Promise<void> {
  const latest = (await allCopies()).find(({ kind }) => kind === 'night')
  if (!latest || new Date(latest.madeAt) < lastNight(now)) await makeCopy('night')
}

/** Reads a file into the staging and tells how far it is. Of two at once the later is told. */
const fromFile =
  (path: string, total = 0) =>
  async ({ begin, row }: Staging) => {
    const own = { done: 0, total }
    restoring = own
    return readBackup(
      path,
      ({ tables }) => begin(tables),
      async (one) => {
        own.done++
        await row(one)
      },
    )
  }

const refuse = (text: string) => new BackupProblem(text)

/** A file that cannot be restored becomes an answer that says why; everything else stays what it is. */
export const asInvalid = (error: unknown): unknown =>
  error instanceof BackupProblem ? invalid([{ field: 'file', message: error.message }]) : error

/** What a restore would do. */
export interface Preview {
  id: string
  madeAt: string
  program: string
  changes: TableChange[]
  /** Recipes of the demo that the file brings too, and that would not be kept twice. */
  twins: number
}

async function preview(source: Source): Promise<Preview> {
  const id = randomUUID()
  let head: BackupHeader | null = null
  const { changes, twins } = await restoreKept(
    async (staging) => ({ head } = await fromFile(source.path)(staging)),
    null,
    refuse,
  ).finally(() => (restoring = null))
  source.rows = changes.reduce((sum, { added, same, different }) => sum + added + same + different, 0)
  source.timer = setTimeout(() => void forgetSource(id), UPLOAD_MILLISECONDS).unref()
  sources.set(id, source)
  return { id, madeAt: head!.madeAt, program: head!.program, changes, twins }
}

/**
 * Takes in a file, checks it whole, and says what restoring it would do. Nothing is changed.
 *
 * @throws BackupProblem when it cannot be restored
 */
export async function previewUpload(body: Readable): Promise<Preview> {
  const folder = copiesFolder()
  await mkdir(folder, { recursive: true, mode: 0o700 })
  const path = join(folder, `incoming-${randomUUID()}`)
  let bytes = 0
  try {
    await pipeline(
      body,
      async function* (chunks: AsyncIterable<Buffer>) {
        for await (const chunk of chunks) {
          bytes += chunk.length
          if (bytes > MAX_UPLOAD_BYTES)
            throw new BackupProblem(`The file is larger than ${MAX_UPLOAD_BYTES / 1_000_000_000} GB`)
          yield chunk
        }
      },
      createWriteStream(path, { mode: 0o600 }),
    )
    return await preview({ path, isUpload: true, timer: null, rows: 0 })
  } catch (error) {
    await rm(path, { force: true })
    throw error
  }
}

/** As `previewUpload`, of a copy in the folder; null when there is none of that name. */
export async function previewCopy(name: string): Promise<Preview | null> {
  if (!isCopyName(name)) return null
  const path = join(copiesFolder(), name)
  if (!(await stat(path).catch(() => null))) return null
  return preview({ path, isUpload: false, timer: null, rows: 0 })
}

/** Restores what was looked at; null when that is not known, or no longer. */
export async function restoreSource(
  id: string,
  rule: ClashRule,
): Promise<{ changes: TableChange[]; twins: number } | null> {
  const source = sources.get(id)
  if (!source) return null
  const { changes, twins } = await restoreKept(fromFile(source.path, source.rows), rule, refuse).finally(
    () => (restoring = null),
  )
  await forgetSource(id)
  return { changes, twins }
}

/** Throws away what was looked at and is not to be restored. */
export async function forgetSource(id: string): Promise<boolean> {
  const source = sources.get(id)
  if (!source) return false
  sources.delete(id)
  if (source.timer) clearTimeout(source.timer)
  if (source.isUpload) await rm(source.path, { force: true })
  return true
}
