import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { COOKING_WAYS } from '../recipe/document'
import { fatUptake } from './fatUptake'

describe('fat taken up from the pan (from memory of practice)', () => {
  it.each([
    ['deep-fry', 1000, 8],
    ['shallow-fry', 1000, 6],
    ['griddle', 1000, 4],
    ['brown-and-steam', 1000, 3],
    ['boil', 1000, 0],
  ] as const)('%s: %d g of oil in the pan, %d g for 100 g of pieces', (way, oil, grams) => {
    expect(fatUptake(way, oil, 100, 0).grams).toBeCloseTo(grams, 9)
  })

  it('is the whole of what greases a tray', () => {
    expect(fatUptake('bake', 12, 800, null)).toMatchObject({ grams: 12 })
    expect(fatUptake('steam', 5, 800, null)).toMatchObject({ grams: 5 })
  })

  it('is a quarter less when a deep-fried dough holds 15 % fat, and says why', () => {
    expect(fatUptake('deep-fry', 1000, 100, 15).grams).toBeCloseTo(6, 9)
    expect(fatUptake('deep-fry', 1000, 100, 14.9).grams).toBeCloseTo(8, 9)
    expect(fatUptake('deep-fry', 1000, 100, 15).why).toMatch(/fat of its own/)
    expect(fatUptake('griddle', 1000, 100, 40).grams).toBeCloseTo(4, 9)
  })

  it('never takes more than there is, and says so', () => {
    expect(fatUptake('deep-fry', 3, 100, 0)).toMatchObject({ grams: 3 })
    expect(fatUptake('deep-fry', 3, 100, 0).why).toMatch(/no more than the pan holds/)
  })

  it('lies between nothing and all, and grows with the pieces, for every way', () => {
    const grams = fc.double({ min: 0, max: 5000, noNaN: true })
    fc.assert(
      fc.property(fc.constantFrom(...COOKING_WAYS), grams, grams, grams, (way, oil, pieces, fatPct) => {
        const taken = fatUptake(way, oil, pieces, fatPct).grams
        expect(taken).toBeGreaterThanOrEqual(0)
        expect(taken).toBeLessThanOrEqual(oil)
        expect(fatUptake(way, oil, pieces + 10, fatPct).grams).toBeGreaterThanOrEqual(taken)
      }),
    )
  })
})
