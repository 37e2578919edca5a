import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readNumber } from './readNumber'

describe('readNumber', () => {
  it.each([
    ['3 eggs', 3],
    ['1.5 kg', 1.5],
    ['1,5 dl', 1.5],
    ['0,125 l', 0.125],
    ['1,000 g', 1000],
    ['12,500 g', 12500],
    ['.5 tsp', 0.5],
    ['1/2 cup', 0.5],
    ['1 1/2 cups', 1.5],
    ['1 and 1/2 cups', 1.5],
    ['1-1/2 cups', 1.5],
    ['1⁄4 tsp', 0.25],
    ['½ tsp', 0.5],
    ['1½ cups', 1.5],
    ['2 ¾ cups', 2.75],
    ['⅓ cup', 1 / 3],
    ['half a lemon', 0.5],
    ['a pinch', 1],
    ['an egg', 1],
    ['two onions', 2],
    ['one and a half cups', 1.5],
    ['a dozen', 12],
    ['2 dozen', 24],
    ['a couple of leeks', 2],
  ])('reads %s', (text, value) => {
    const read = readNumber(text)
    expect(read?.low).toBeCloseTo(value, 6)
    expect(read?.high).toBeCloseTo(value, 6)
  })

  it.each([
    ['2 to 3 tsp', 2, 3],
    ['50-60 ml', 50, 60],
    ['50–60 ml', 50, 60],
    ['2 or 3 cloves', 2, 3],
    ['1 to 1½ cups', 1, 1.5],
    ['½-¾ cup', 0.5, 0.75],
    ['60-50 g', 50, 60],
  ])('reads the range %s', (text, low, high) => {
    expect(readNumber(text)).toMatchObject({ low, high })
  })

  it.each(['flour', 'salt to taste', '', '- 3', 'anchovies', 'tender leaves', 'half-moons'])(
    'finds no number in "%s"',
    (text) => {
      expect(readNumber(text)).toBeNull()
    },
  )

  it('refuses a fraction of nothing', () => {
    expect(readNumber('1/0 cup')).toBeNull()
  })

  it('never gives anything but finite numbers in order', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (text) => {
        const read = readNumber(text)
        if (!read) return true
        return (
          Number.isFinite(read.low) &&
          Number.isFinite(read.high) &&
          read.low <= read.high &&
          read.low >= 0 &&
          read.length > 0
        )
      }),
      { numRuns: 500 },
    )
  })

  it('gives back a decimal that was printed', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99999 }), (hundredths) => {
        const value = hundredths / 100
        expect(readNumber(`${value} g`)?.low).toBeCloseTo(value, 9)
      }),
    )
  })
})
