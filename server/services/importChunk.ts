import { csvParseRows } from 'd3-dsv'
import {
  readHeader,
  readRow,
  USED_NUTRIENTS,
  type TableFile,
  type TableRow,
} from '../../core/exchange/openTable'
import { addBadRows, addRows, lockFile, MAX_LISTED_BAD_ROWS, saveFile, type FileState } from '../db/imports'
import { patientDatabase, transaction } from '../db/pool'
import { invalid, problem } from '../http/problem'

const QUOTE = 0x22
const NEWLINE = 0x0a
/** A row longer than this is no row: a quote was opened and never closed. */
const MAX_ROW_BYTES = 1_000_000

/** Where the last whole row ends: behind the last line break outside quotes. */
export function endOfRows(bytes: Uint8Array): number {
  let quoted = false
  let end = 0
  for (let at = 0; at < bytes.length; at++) {
    const byte = bytes[at]
    if (byte === QUOTE) quoted = !quoted
    else if (byte === NEWLINE && !quoted) end = at + 1
  }
  return end
}

export interface ReadRows<F extends TableFile> {
  rows: TableRow[F][]
  bad: { rowNumber: number; reason: string }[]
}

/**
 * Reads the whole rows of a piece of a file and moves its state on. The first row of a file is its header and
 * has the number 1.
 *
 * @param final the piece is the file's last: what is left is a row too
 * @throws a problem document when the header lacks a column or a row never ends
 */
export function readRows<F extends TableFile>(
  file: F,
  state: FileState,
  bytes: Buffer,
  final: boolean,
): ReadRows<F> {
  const all = Buffer.concat([state.tail, bytes])
  const end = final ? all.length : endOfRows(all)
  state.tail = all.subarray(end)
  state.nextByte += bytes.length
  state.ended = final
  if (state.tail.length > MAX_ROW_BYTES) {
    throw invalid([
      {
        field: `${file}.csv`,
        message: `row ${state.rows + 2} does not end within ${MAX_ROW_BYTES / 1e6} MB: a quote is opened and never closed`,
      },
    ])
  }
  const made: ReadRows<F> = { rows: [], bad: [] }
  for (const piece of wholeRows(all.subarray(0, end))) readPiece(file, state, piece, made)
  if (state.header === null && final)
    throw invalid([
      { field: `${file}.csv`, message: 'the file is empty; a first row with its columns is expected' },
    ])
  return made
}

/** So much is read at a time: eight million line breaks are as many rows, and need not be all in mind at once. */
const PIECE_BYTES = 65_536

/** Bytes that end with a whole row, cut into pieces that do. */
function* wholeRows(bytes: Buffer): Generator<string> {
  let from = 0
  let quoted = false
  for (let at = 0; at < bytes.length; at++) {
    const byte = bytes[at]
    if (byte === QUOTE) quoted = !quoted
    else if (byte === NEWLINE && !quoted && at - from >= PIECE_BYTES) {
      yield bytes.toString('utf8', from, at + 1)
      from = at + 1
    }
  }
  if (from < bytes.length) yield bytes.toString('utf8', from)
}

function readPiece<F extends TableFile>(file: F, state: FileState, text: string, made: ReadRows<F>): void {
  const cells = csvParseRows(text)
  let from = 0
  if (state.header === null && cells.length) {
    const found = readHeader(file, cells[0]!)
    if ('problem' in found) throw invalid([{ field: `${file}.csv`, message: found.problem }])
    state.header = found.header
    from = 1
  }
  for (let at = from; at < cells.length; at++) {
    const row = cells[at]!
    if (row.length === 1 && row[0] === '') continue
    state.rows++
    const read = readRow(file, state.header!, row)
    if (!read) continue
    if ('row' in read) {
      if (file !== 'food_nutrient' || USED_NUTRIENTS.has((read.row as TableRow['food_nutrient']).nutrientId))
        made.rows.push(read.row)
      continue
    }
    if (state.badRows++ < MAX_LISTED_BAD_ROWS)
      made.bad.push({ rowNumber: state.rows + 1, reason: read.problem })
  }
}

/**
 * Takes in a piece of a file. The same piece twice is taken in once; one that leaves a gap is refused with the
 * byte to go on from.
 */
export async function takeChunk(
  importId: string,
  file: TableFile,
  offset: number,
  bytes: Buffer,
  final: boolean,
): Promise<Omit<FileState, 'tail' | 'header'> | null> {
  return transaction(async (client) => {
    const state = await lockFile(client, importId, file)
    if (!state) return null
    const { nextByte } = state
    if (offset > nextByte) {
      throw problem(
        409,
        'gap',
        'A piece of the file is missing',
        `Go on from byte ${nextByte}; this piece begins at ${offset}`,
        { errors: [{ field: 'offset', message: `${nextByte} is expected` }], nextByte },
      )
    }
    if (!state.ended && (offset + bytes.length > nextByte || final)) {
      const { rows, bad } = readRows(file, state, bytes.subarray(nextByte - offset), final)
      await addRows(client, importId, file, rows)
      await addBadRows(client, importId, file, bad)
      await saveFile(client, importId, file, state)
    }
    const { rows, badRows, ended } = state
    return { nextByte: state.nextByte, rows, badRows, ended }
  }, patientDatabase)
}
