import pg from 'pg'
import { describe, expect, it, vi } from 'vitest'
import { asDatabaseError, DatabaseDown, isDatabaseDown, isWorthAnotherTry, SchemaProblem } from './errors'
import { checksumOf, pendingOf } from './migrate'
import { Turns } from './turns'

const answered = (code: string, message = 'x') =>
  Object.assign(new pg.DatabaseError(message, 1, 'error'), { code })

describe('what an error of the database is', () => {
  it.each(['08006', '08P01', '53300', '53100', '57P01', '57P03', '57014', '55P03', '25P03', '58030'])(
    'away by its code %s',
    (code) => expect(isDatabaseDown(asDatabaseError(answered(code)))).toBe(true),
  )
  it.each(['23505', '22P02', '42601', '40001', '22021', 'P0001'])('an answer by its code %s', (code) => {
    const error = answered(code, 'Connection terminated, timeout, 57P01, ECONNREFUSED, 08006')
    expect(asDatabaseError(error)).toBe(error)
  })
  it('away when the driver had no answer, whatever it says', () => {
    for (const error of [
      new Error('Client has encountered a connection error and is not queryable'),
      new Error('Query read timeout'),
      Object.assign(new Error('connect'), { code: 'ECONNREFUSED' }),
      new AggregateError([], ''),
    ])
      expect(asDatabaseError(error)).toBeInstanceOf(DatabaseDown)
  })
  it('ours when a value cannot be sent', () => {
    const error = new TypeError('timeout')
    expect(asDatabaseError(error)).toBe(error)
    expect(isDatabaseDown(new Error('The database timeout 08006'))).toBe(false)
  })
  it('worth another try when another transaction was in the way', () => {
    expect(isWorthAnotherTry(answered('40001'))).toBe(true)
    expect(isWorthAnotherTry(answered('40P01'))).toBe(true)
    expect(isWorthAnotherTry(answered('23505'))).toBe(false)
    expect(isWorthAnotherTry(new Error('40001'))).toBe(false)
  })
})

describe('which migrations a database needs', () => {
  const shipped = ['001', '002', '003'].map((name) => ({ name, sql: `select ${name}` }))
  const applied = (...names: string[]) =>
    names.map((name) => ({ name, checksum: checksumOf(`select ${name}`) }))

  it('those that it has not, in their order', () => {
    expect(pendingOf(shipped, []).map(({ name }) => name)).toEqual(['001', '002', '003'])
    expect(pendingOf(shipped, applied('001', '003')).map(({ name }) => name)).toEqual(['002'])
    expect(pendingOf(shipped, applied('001', '002', '003'))).toEqual([])
  })
  it('none, with a word, when it was made by a newer program', () => {
    expect(() => pendingOf(shipped, applied('001', '004'))).toThrow(SchemaProblem)
    expect(() => pendingOf(shipped, applied('001', '004'))).toThrow(/newer program.*004/)
  })
  it('none, with a word, when one was changed after it was applied', () => {
    expect(() => pendingOf(shipped, [{ name: '002', checksum: checksumOf('select 2') }])).toThrow(/002/)
    expect(pendingOf(shipped, [{ name: '002', checksum: null }])).toHaveLength(2)
  })
  it('reads the same text with either line ending', () => {
    expect(checksumOf('a\r\nb')).toBe(checksumOf('a\nb'))
  })
})

describe('turns', () => {
  const refusal = () => new Error('refused')
  const later = () => {
    let done!: () => void
    const promise = new Promise<void>((resolve) => (done = resolve))
    return { promise, done }
  }
  it('lets so many work at a time, the others in the order they came', async () => {
    const turns = new Turns(2, 10, 1000, refusal)
    let most = 0
    let now = 0
    const order: number[] = []
    await Promise.all(
      Array.from({ length: 7 }, (_, at) =>
        turns.take(async () => {
          most = Math.max(most, ++now)
          order.push(at)
          await new Promise((resolve) => setTimeout(resolve, 2))
          now--
        }),
      ),
    )
    expect(most).toBe(2)
    expect(order).toEqual([0, 1, 2, 3, 4, 5, 6])
  })
  it('refuses at once who is too many, and after a while who waited too long', async () => {
    vi.useFakeTimers()
    try {
      const turns = new Turns(1, 1, 500, refusal)
      const first = later()
      const working = turns.take(() => first.promise)
      const waiting = turns.take(() => Promise.resolve('came'))
      const refused = expect(waiting).rejects.toThrow('refused')
      await expect(turns.take(() => Promise.resolve())).rejects.toThrow('refused')
      await vi.advanceTimersByTimeAsync(600)
      await refused
      first.done()
      await working
      expect(await turns.take(() => Promise.resolve('next'))).toBe('next')
    } finally {
      vi.useRealTimers()
    }
  })
  it('goes on after work that failed', async () => {
    const turns = new Turns(1, 5, 500, refusal)
    await expect(turns.take(() => Promise.reject(new Error('bad')))).rejects.toThrow('bad')
    expect(await turns.take(() => Promise.resolve(1))).toBe(1)
  })
})
