import { describe, expect, it } from 'vitest'
import { PROMISES, withPlainPromise } from './promises'
import { readYields } from './servings'

describe('how many it makes, however it is said', () => {
  it.each(PROMISES.map(({ like }) => like))('"%s"', (like) => {
    const many = Number(/\d+/.exec(like)![0])
    expect(readYields(like)).toMatchObject({ pieces: many, servings: null })
    // What is in the one form already stays.
    expect(withPlainPromise(withPlainPromise(like))).toBe(withPlainPromise(like))
  })

  it.each([
    ['Does 5 big ones.', 5],
    ['Gas 6 for 20 minutes. Should do 14 pasties', 14],
    ['this will give you about 20 dumplings', 20],
    ['I get 14 out of this', 14],
    ['Works out at 16 small ones', 16],
    ['Total: 12', 12],
    ['one batch = 24', 24],
    ['Roll thin, cut 6 cm squares — should be 40 or so.', 40],
  ])('"%s" promises %d', (line, many) => {
    expect(readYields(line)?.pieces).toBe(many)
  })

  it.each([
    'Do 4 at a time.',
    'Makes 5 minutes of work.',
    'Total: 45 min',
    'Give them 5 minutes.',
    'This gives you 200 g of filling.',
    'Enough for 4.',
    'Turn out 10 minutes later.',
  ])('"%s" promises no pieces', (line) => {
    expect(readYields(line)?.pieces ?? null).toBeNull()
  })
})
