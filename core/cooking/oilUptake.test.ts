import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { COOKING_WAYS, SHAPES } from '../recipe/vocabulary'
import { bodyOfPiece, surfaceCm2 } from '../piece/geometry'
import { oilUptake, type FriedPieces } from './oilUptake'

const batch = (more: Partial<FriedPieces> = {}): FriedPieces => ({
  way: 'deep-fry',
  shape: 'half-moon',
  pieces: 10,
  panFatGrams: 1000,
  doughGrams: 400,
  fillingGrams: 200,
  doughFatPct: 5,
  ...more,
})
const shareOf = (one: FriedPieces) => oilUptake(one).grams / (one.doughGrams + one.fillingGrams)

describe('fat taken up from the pan (from memory of practice)', () => {
  it('is some 8 % of the weight of a deep-fried half-moon of 60 g, and less by milder ways', () => {
    const share = (way: FriedPieces['way']) => shareOf(batch({ way }))
    expect(share('deep-fry')).toBeGreaterThan(0.06)
    expect(share('deep-fry')).toBeLessThan(0.1)
    expect(share('shallow-fry')).toBeLessThan(share('deep-fry'))
    expect(share('griddle')).toBeLessThan(share('shallow-fry'))
    expect(share('brown-and-steam')).toBeLessThan(share('griddle'))
    expect(share('boil')).toBe(0)
  })

  it('is 0.045 g on each cm² of the piece that is drawn', () => {
    const { grams } = oilUptake(batch({ shape: 'bun', doughGrams: 300, fillingGrams: 300 }))
    const drawn = bodyOfPiece('bun', 30, 30)
    expect(drawn.wallMm).toBeGreaterThan(2.5)
    expect(grams).toBeCloseTo(10 * 0.045 * surfaceCm2(drawn), 9)
  })

  it('is more of a small piece than of a large one, and of a flat one than of a ball', () => {
    const small = batch({ pieces: 40 })
    expect(shareOf(small)).toBeGreaterThan(shareOf(batch()))
    expect(shareOf(batch({ shape: 'disc' }))).toBeGreaterThan(shareOf(batch({ shape: 'bun' })))
  })

  it('is more of a thin dough and less of a thick one, and says so', () => {
    const thin = oilUptake(batch({ doughGrams: 150, fillingGrams: 450 }))
    const thick = oilUptake(batch({ shape: 'bun', pieces: 4, doughGrams: 590, fillingGrams: 10 }))
    expect(thin.why).toMatch(/the dough is thin/)
    expect(thick.why).toMatch(/the dough is thick/)
    expect(thin.grams).toBeCloseTo(10 * 1.15 * 0.045 * surfaceCm2(bodyOfPiece('half-moon', 15, 45)), 9)
  })

  it('is the whole of what greases a tray', () => {
    expect(oilUptake(batch({ way: 'bake', panFatGrams: 12 }))).toMatchObject({ grams: 12 })
    expect(oilUptake(batch({ way: 'steam', panFatGrams: 5 }))).toMatchObject({ grams: 5 })
  })

  it('is a quarter less when a deep-fried dough holds 15 % fat, and says why', () => {
    const lean = oilUptake(batch({ doughFatPct: 14.9 }))
    const rich = oilUptake(batch({ doughFatPct: 15 }))
    expect(rich.grams).toBeCloseTo(0.75 * lean.grams, 9)
    expect(rich.why).toMatch(/fat of its own/)
    const griddled = (doughFatPct: number) => oilUptake(batch({ way: 'griddle', doughFatPct })).grams
    expect(griddled(40)).toBe(griddled(0))
  })

  it('states its band', () => {
    const { grams, why } = oilUptake(batch())
    const [, low, high] = /likely ([\d.]+) to ([\d.]+)/.exec(why)!
    expect(Number(low)).toBeCloseTo(grams / 20, 1)
    expect(Number(high)).toBeCloseTo((3 * grams) / 20, 1)
  })

  it('never takes more than there is, and says so', () => {
    expect(oilUptake(batch({ panFatGrams: 3 }))).toMatchObject({ grams: 3 })
    expect(oilUptake(batch({ panFatGrams: 3 })).why).toMatch(/no more than the pan holds/)
  })

  it('lies between nothing and all, and grows with the oil, for every way and shape', () => {
    const grams = fc.double({ min: 0, max: 5000, noNaN: true })
    fc.assert(
      fc.property(
        fc.constantFrom(...COOKING_WAYS),
        fc.constantFrom(...SHAPES),
        grams,
        grams,
        grams,
        grams,
        (way, shape, panFatGrams, doughGrams, fillingGrams, doughFatPct) => {
          const one = batch({ way, shape, panFatGrams, doughGrams, fillingGrams, doughFatPct })
          const taken = oilUptake(one).grams
          expect(taken).toBeGreaterThanOrEqual(0)
          expect(taken).toBeLessThanOrEqual(panFatGrams)
          expect(oilUptake({ ...one, panFatGrams: panFatGrams + 10 }).grams).toBeGreaterThanOrEqual(taken)
        },
      ),
    )
  })
})
