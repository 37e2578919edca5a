import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { BackupRow } from '../db/backup'
import { BackupProblem, readBackup, writeBackup } from './backupFile'

let folder = ''
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'swap-pocket-file-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

const HEAD = {
  program: '0.1.0',
  madeAt: '2026-11-26T20:00:00.000Z',
  tables: { recipes: ['id', 'title'], records: ['id'] },
}
async function* from(rows: readonly BackupRow[]) {
  yield* rows
}
const row = (table: string, value: unknown): BackupRow => ({ table, json: JSON.stringify(value) })
const ROWS = [
  row('recipes', { id: 'a', title: 'Leek pies' }),
  row('recipes', { id: 'b', title: 'Zeile\nzwei "r": }' }),
  row('records', { id: 'c' }),
]

async function written(rows: readonly BackupRow[] = ROWS) {
  const path = join(folder, 'one.swappocket')
  await writeBackup(path, HEAD, from(rows))
  return path
}
const text = (path: string) => gunzipSync(readFileSync(path)).toString('utf8')
/** The file with its text changed and packed again. */
function altered(path: string, change: (text: string) => string) {
  const other = join(folder, 'other.swappocket')
  writeFileSync(other, gzipSync(change(text(path))))
  return other
}

describe('a backup', () => {
  it('gives back every row as it was, in its order', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(
          fc.record({ id: fc.string(), title: fc.string({ unit: 'grapheme' }), deep: fc.jsonValue() }),
          {
            maxLength: 300,
          },
        ),
        async (values) => {
          const path = await written(values.map((value) => row('recipes', value)))
          const back: unknown[] = []
          const { head, rows } = await readBackup(
            path,
            () => undefined,
            ({ table, json }) => {
              expect(table).toBe('recipes')
              back.push(JSON.parse(json))
            },
          )
          expect(back).toEqual(values.map((value) => JSON.parse(JSON.stringify(value))))
          expect(head.tables).toEqual(HEAD.tables)
          expect(rows.recipes ?? 0).toBe(values.length)
        },
      ),
      { numRuns: 30 },
    )
  })

  it('leaves nothing under its name when its rows break off', async () => {
    async function* broken(): AsyncGenerator<BackupRow> {
      yield ROWS[0]!
      throw new Error('the database went away')
    }
    await expect(writeBackup(join(folder, 'half.swappocket'), HEAD, broken())).rejects.toThrow('went away')
    expect(readdirSync(folder)).toEqual([])
  })

  it.each<[string, (path: string) => string, RegExp]>([
    [
      'cut off in the packing',
      (path) => {
        const whole = readFileSync(path)
        writeFileSync(path, whole.subarray(0, whole.length - 20))
        return path
      },
      /cut off/,
    ],
    [
      'cut off between two rows',
      (path) => altered(path, (all) => all.split('\n').slice(0, 3).join('\n') + '\n'),
      /its end is missing/,
    ],
    ['altered in a word', (path) => altered(path, (all) => all.replace('Leek', 'Beef')), /checksum/],
    ['robbed of a row', (path) => altered(path, (all) => all.replace(/\{"t":"records".*\n/, '')), /checksum/],
    [
      'longer than its end',
      (path) => altered(path, (all) => `${all}{"t":"records","r":{}}\n`),
      /behind the end/,
    ],
    [
      'of a newer program',
      (path) => altered(path, (all) => all.replace('"version":1', '"version":2')),
      /newer program/,
    ],
    ['of another kind', (path) => altered(path, () => '{"hello":1}\n'), /not what a backup/],
    ['of no lines', (path) => altered(path, () => ''), /empty/],
    ['taken away', (path) => `${path}.gone`, /there no more/],
    ['no packed file', (path) => (writeFileSync(path, 'not packed'), path), /no backup/],
    ['one endless line', (path) => altered(path, () => 'x'.repeat(9_000_000)), /longer than any row/],
    [
      'holding a table it does not announce',
      (path) => altered(path, (all) => all.replace('"t":"records"', '"t":"secrets"')),
      /does not announce/,
    ],
  ])('that is %s is refused with a word', async (_, spoil, words) => {
    const path = spoil(await written())
    const seen = readBackup(path)
    await expect(seen).rejects.toThrow(words)
    await expect(seen).rejects.toBeInstanceOf(BackupProblem)
  })

  it('that unpacks without end is left before it fills the memory', async () => {
    // 40 MB of lines in 40 kB: each is read and let go, and the first that is no row ends it.
    const path = join(folder, 'bomb.swappocket')
    writeFileSync(path, gzipSync(Buffer.alloc(40_000_000, '\n')))
    await expect(readBackup(path)).rejects.toThrow(/cannot be read/)
  })
})
