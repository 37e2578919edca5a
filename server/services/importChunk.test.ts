import fc from 'fast-check'
import { describe, expect, it, vi } from 'vitest'
import type { FileState } from '../db/imports'
import { endOfRows, readRows } from './importChunk'
import { invalid } from '../http/problem'

// What the server's framework imports by itself.
vi.stubGlobal('invalid', invalid)

const fresh = (): FileState => ({
  nextByte: 0,
  tail: Buffer.alloc(0),
  header: null,
  rows: 0,
  badRows: 0,
  ended: false,
})
const HEADER = 'fdc_id,data_type,description\n'

/** Reads a file in pieces that end at the given bytes. */
function inPieces(text: string, cuts: number[]) {
  const bytes = Buffer.from(text)
  const state = fresh()
  const ends = [...new Set([...cuts.map((cut) => cut % bytes.length), bytes.length])]
    .filter(Boolean)
    .sort((a, b) => a - b)
  const rows: unknown[] = []
  let from = 0
  for (const end of ends) {
    rows.push(...readRows('food', state, bytes.subarray(from, end), end === bytes.length).rows)
    from = end
  }
  return { rows, state }
}

describe('rows of a table that comes in pieces', () => {
  const names = fc.array(fc.stringMatching(/^[a-z ,"\nå🥟]{1,20}$/u), { minLength: 1, maxLength: 40 })
  it('are the same however it is cut', () => {
    fc.assert(
      fc.property(names, fc.array(fc.nat(4000), { maxLength: 6 }), (all, cuts) => {
        const text = HEADER + all.map((name, at) => `${at + 1},x,"a${name.replaceAll('"', '""')}"\n`).join('')
        const whole = inPieces(text, [])
        const cut = inPieces(text, cuts)
        expect(cut.rows).toEqual(whole.rows)
        expect(whole.rows).toHaveLength(all.length)
        expect(cut.state.rows).toBe(whole.state.rows)
      }),
      { numRuns: 200 },
    )
  })
  it('are counted over more than one reading, and empty ones are not', () => {
    const many = 9000
    const text = HEADER + Array.from({ length: many }, (_, at) => `${at + 1},x,Leek ${at}\n\n\n`).join('')
    const { rows, state } = inPieces(text, [])
    expect(rows).toHaveLength(many)
    expect(state.rows).toBe(many)
  })
  it('end where a line does, outside quotes', () => {
    expect(endOfRows(Buffer.from('a\n"b\nc"'))).toBe(2)
    expect(endOfRows(Buffer.from('a\n"b\nc"\nd'))).toBe(8)
  })
  it('are none in millions of line breaks, which say that the columns are missing', () => {
    expect(() => readRows('food', fresh(), Buffer.alloc(2_000_000, 10), true)).toThrow(/column|empty/)
  })
})
