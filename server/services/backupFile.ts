import { createHash } from 'node:crypto'
import { createReadStream, createWriteStream } from 'node:fs'
import { rename, rm, stat } from 'node:fs/promises'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { z } from 'zod'
import type { BackupRow } from '../db/backup'

// A backup is lines of JSON, packed: what it holds, one line a row, and at the end how many there were with the
// checksum of everything before it. It is written and read in pieces; no more than a line is ever held.

/** The version of the file that this program writes. What an older one lacks is filled in as it is read. */
export const BACKUP_VERSION = 1

/** A row is a document or a picture: no line is longer, in bytes. */
const MAX_LINE_BYTES = 8_000_000
/** So much is unpacked at most: a file that goes on for ever ends here. */
const MAX_UNPACKED_BYTES = 8_000_000_000

/** What a file cannot be restored for, in words for the cook. */
export class BackupProblem extends Error {}

const header = z.object({
  file: z.literal('swap-pocket-backup'),
  version: z.number().int().min(1),
  program: z.string().max(40),
  madeAt: z.iso.datetime({ offset: true }),
  /** The columns of each table, in the order in which tables are restored. */
  tables: z.record(z.string().max(60), z.array(z.string().max(60)).max(60)),
})
const footer = z.object({
  end: z.literal(true),
  rows: z.record(z.string(), z.number().int().min(0)),
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
})
const line = z.strictObject({ t: z.string(), r: z.record(z.string(), z.unknown()) })

export type BackupHeader = z.infer<typeof header>

/**
 * Writes a backup beside its place and puts it there when it is whole: one that was killed leaves nothing under its
 * name.
 *
 * @param rows of the tables of `head`, in its order
 * @param wrote called with the number of rows so far
 * @returns bytes of the file and its rows by table
 */
export async function writeBackup(
  path: string,
  head: Omit<BackupHeader, 'file' | 'version'>,
  rows: AsyncIterable<BackupRow>,
  wrote: (count: number) => void = () => undefined,
): Promise<{ bytes: number; rows: Record<string, number> }> {
  const counts: Record<string, number> = Object.fromEntries(Object.keys(head.tables).map((name) => [name, 0]))
  async function* lines() {
    const sum = createHash('sha256')
    const summed = (text: string) => {
      sum.update(text)
      return text
    }
    yield summed(`${JSON.stringify({ file: 'swap-pocket-backup', version: BACKUP_VERSION, ...head })}\n`)
    let count = 0
    for await (const { table, json } of rows) {
      counts[table] = (counts[table] ?? 0) + 1
      if (++count % 100 === 0) wrote(count)
      yield summed(`{"t":${JSON.stringify(table)},"r":${json}}\n`)
    }
    wrote(count)
    yield `${JSON.stringify({ end: true, rows: counts, sha256: sum.digest('hex') })}\n`
  }
  const part = `${path}.part`
  try {
    await pipeline(
      Readable.from(lines(), { objectMode: true, highWaterMark: 16 }),
      createGzip({ level: 6 }),
      createWriteStream(part, { mode: 0o600 }),
    )
    const { size } = await stat(part)
    await rename(part, path)
    return { bytes: size, rows: counts }
  } catch (error) {
    await rm(part, { force: true })
    throw error
  }
}

/** The lines of a packed file, each as bytes with its line break. */
async function* linesOf(path: string): AsyncGenerator<Buffer> {
  const unpacked = createGunzip()
  // A file that is taken away while it is read is an error of this reading, and not of the process.
  createReadStream(path)
    .on('error', (error) => unpacked.destroy(error))
    .pipe(unpacked)
  let rest: Buffer[] = []
  let length = 0
  let total = 0
  try {
    for await (const chunk of unpacked as AsyncIterable<Buffer>) {
      total += chunk.length
      if (total > MAX_UNPACKED_BYTES)
        throw new BackupProblem('The file unpacks to more than a kitchen can hold')
      let from = 0
      for (let at = chunk.indexOf(10); at >= 0; at = chunk.indexOf(10, from)) {
        yield Buffer.concat([...rest, chunk.subarray(from, at + 1)])
        rest = []
        length = 0
        from = at + 1
      }
      rest.push(chunk.subarray(from))
      length += chunk.length - from
      if (length > MAX_LINE_BYTES)
        throw new BackupProblem('The file has a line longer than any row: it is no backup of this program')
    }
    if (length) yield Buffer.concat(rest)
  } catch (error) {
    if (error instanceof BackupProblem) throw error
    const code = (error as NodeJS.ErrnoException).code
    if (code === 'ENOENT') throw new BackupProblem('The file is there no more')
    if (code === 'Z_BUF_ERROR') throw new BackupProblem('The file is cut off')
    if (code === 'Z_DATA_ERROR')
      throw new BackupProblem('The file is no backup of this program, or it was altered')
    throw error
  } finally {
    unpacked.destroy()
  }
}

function parsed<T>(schema: z.ZodType<T>, bytes: Buffer, what: string): T {
  let value: unknown
  try {
    value = JSON.parse(bytes.toString('utf8'))
  } catch {
    throw new BackupProblem(`${what} cannot be read: the file was altered or cut off`)
  }
  const read = schema.safeParse(value)
  if (!read.success) throw new BackupProblem(`${what} is not what a backup of this program holds`)
  return read.data
}

/**
 * Reads a backup row by row and holds it against its own checksum.
 *
 * @param begin called with the header before any row; it may refuse the file by throwing
 * @param row called for each row, in the order of the file
 * @returns the header and the rows by table
 * @throws BackupProblem when the file is of a newer program, cut off, altered, or no backup
 */
export async function readBackup(
  path: string,
  begin: (head: BackupHeader) => void | Promise<void> = () => undefined,
  row: (row: BackupRow) => void | Promise<void> = () => undefined,
): Promise<{ head: BackupHeader; rows: Record<string, number> }> {
  const sum = createHash('sha256')
  const counts: Record<string, number> = {}
  let head: BackupHeader | null = null
  let last: z.infer<typeof footer> | null = null
  let number = 0
  for await (const bytes of linesOf(path)) {
    number++
    if (last) throw new BackupProblem('Something stands behind the end of the file: it was altered')
    if (!head) {
      head = parsed(header, bytes, 'The beginning of the file')
      if (head.version > BACKUP_VERSION)
        throw new BackupProblem(
          `The file was made by a newer program (${head.program}, version ${head.version} of the file; this one reads up to ${BACKUP_VERSION}). Restore it with that one`,
        )
      await begin(head)
      sum.update(bytes)
      continue
    }
    if (bytes.subarray(0, 7).toString('latin1') === '{"end":') {
      last = parsed(footer, bytes, 'The end of the file')
      continue
    }
    const { t } = parsed(line, bytes, `Line ${number}`)
    if (!head.tables[t])
      throw new BackupProblem(`Line ${number} is of "${t}", which the file does not announce`)
    counts[t] = (counts[t] ?? 0) + 1
    sum.update(bytes)
    const text = bytes.toString('utf8').trimEnd()
    await row({ table: t, json: text.slice(text.indexOf(',"r":') + 5, -1) })
  }
  if (!head) throw new BackupProblem('The file is empty')
  if (!last) throw new BackupProblem('The file is cut off: its end is missing')
  if (last.sha256 !== sum.digest('hex'))
    throw new BackupProblem('The file was altered: its checksum does not agree')
  for (const name of new Set([...Object.keys(last.rows), ...Object.keys(counts)]))
    if ((last.rows[name] ?? 0) !== (counts[name] ?? 0))
      throw new BackupProblem(
        `The file announces ${last.rows[name] ?? 0} rows of ${name} and holds ${counts[name] ?? 0}`,
      )
  return { head, rows: counts }
}
