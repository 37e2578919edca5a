import { TABLE_FILE_KEYS, type TableFile } from '../../../../core/exchange/openTable'
import { importId, noImport } from '../../../http/params'
import { invalid } from '../../../http/problem'
import { readBytes } from '../../../http/body'
import { takeChunk } from '../../../services/importChunk'

/** A piece of a file may hold at most this much. */
const MAX_CHUNK_BYTES = 8_000_000

/** Takes in a piece of one of the table's files: CSV as bytes, with the file and the byte it begins at. */
export default defineEventHandler(async (event) => {
  const id = importId(event)
  const { file, offset, last } = getQuery(event)
  const known = TABLE_FILE_KEYS.find((key) => key === file)
  const from = Number(offset)
  const errors = [
    ...(known ? [] : [{ field: 'file', message: `use one of ${TABLE_FILE_KEYS.join(', ')}` }]),
    ...(Number.isInteger(from) && from >= 0 && offset !== ''
      ? []
      : [{ field: 'offset', message: 'the byte of the file at which this piece begins is expected' }]),
  ]
  if (errors.length) throw invalid(errors)
  const bytes = await readBytes(event, MAX_CHUNK_BYTES)
  const state = await takeChunk(id, known as TableFile, from, bytes, last === 'true')
  if (!state) throw noImport(id)
  return state
})
