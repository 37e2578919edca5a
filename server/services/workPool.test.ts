import { describe, expect, it } from 'vitest'
import { GaveUp, TooBusy, TookTooLong, WorkPool } from './workPool'

/** A thread that doubles numbers, is slow when told so, and can end in the middle. */
const thread = new URL(
  `data:text/javascript,${encodeURIComponent(`
    import { parentPort } from 'node:worker_threads'
    parentPort.on('message', (job) => {
      if (job === 'die') process.exit(7)
      if (job === 'hang') for (;;) {}
      setTimeout(() => parentPort.postMessage(job * 2), job === 5 ? 60 : 1)
    })`)}`,
)
const pool = (hands = 1, waiting = 10) =>
  new WorkPool<number | 'die' | 'hang', number>(thread, hands, waiting)
const SECOND = 1000

describe('threads that do jobs', () => {
  it('answer each what was asked', async () => {
    const own = pool(2)
    expect(await Promise.all([1, 2, 3, 4, 5, 6].map((n) => own.run(n, 5 * SECOND)))).toEqual([
      2, 4, 6, 8, 10, 12,
    ])
  })
  it('end what takes too long, and go on with the next', async () => {
    const own = pool()
    const hung = own.run('hang', 150)
    const next = own.run(4, 5 * SECOND)
    await expect(hung).rejects.toBeInstanceOf(TookTooLong)
    expect(await next).toBe(8)
  })
  it('refuse more than may wait', async () => {
    const own = pool(1, 1)
    const first = own.run(5, 5 * SECOND)
    const second = own.run(1, 5 * SECOND)
    await expect(own.run(2, 5 * SECOND)).rejects.toBeInstanceOf(TooBusy)
    expect(await Promise.all([first, second])).toEqual([10, 2])
  })
  it('give up what nobody waits for, begun or not', async () => {
    const own = pool()
    const leaving = new AbortController()
    const begun = own.run('hang', 20 * SECOND, leaving.signal)
    const queued = own.run(1, 20 * SECOND, leaving.signal)
    const other = own.run(3, 20 * SECOND)
    setTimeout(() => leaving.abort(), 50)
    await expect(begun).rejects.toBeInstanceOf(GaveUp)
    await expect(queued).rejects.toBeInstanceOf(GaveUp)
    expect(await other).toBe(6)
  })
  it('tell the one who asked when a thread ends, and go on with another', async () => {
    const own = pool()
    const dead = own.run('die', 5 * SECOND)
    const next = own.run(2, 5 * SECOND)
    await expect(dead).rejects.toThrow(/ended with 7/)
    expect(await next).toBe(4)
  })
})
