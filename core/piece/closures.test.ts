import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CLOSINGS, fitOf, FULL, seamMm, volumeInside, type Closing } from './closures'

const blank = (acrossMm: number, thicknessMm: number, doughGrams = 50, alongMm = 400) => ({
  acrossMm,
  thicknessMm,
  doughGrams,
  alongMm,
})

describe('what a closed piece holds', () => {
  // Common practice, no source: what cooks put into a piece of that size is "good", in g at 1 g/ml.
  it.each([
    ['a half-moon of 12 cm', 'half-moon', blank(120, 2.5), 35, 45],
    ['a pleated one of 9 cm', 'pleated pouch', blank(90, 2), 10.5, 14],
    ['a bun of 50 g dough, 10 cm', 'purse bun', blank(100, 5.5, 50), 25, 33],
    ['a cone of half an oval of 18 × 13', 'cone', blank(Math.sqrt(180 * 130), 2), 30, 40],
    ['a roll of a sheet of 21 cm', 'roll', blank(215, 1), 40, 50],
    ['a flat bread of 60 g dough', 'stuffed flat bread', blank(120, 5, 60), 45, 58],
  ] as [string, Closing, ReturnType<typeof blank>, number, number][])('%s', (_, closing, own, low, high) => {
    const inside = volumeInside(closing, own)
    expect(fitOf(low, inside), `${low} of ${inside.toFixed(1)}`).toBe('good')
    expect(fitOf(high, inside), `${high} of ${inside.toFixed(1)}`).toBe('good')
    expect(fitOf(high * 1.6, inside)).toBe('overfull')
    expect(fitOf(low * 0.5, inside)).toBe('mean')
  })

  it('is the volume of the closed form where there is one', () => {
    // Half a disc rolled up without lap or flap would be π/3·(R/2)²·R·√3/2.
    const wide = 2e6
    expect(
      volumeInside('cone', blank(wide, 0.001)) /
        (((Math.PI / 3) * (wide / 4) ** 2 * (wide / 2) * Math.sqrt(0.75)) / 1000),
    ).toBeCloseTo(1, 3)
    // A dish is a cylinder less its dough.
    expect(volumeInside('lid', { ...blank(200, 0), alongMm: 50 })).toBeCloseTo(
      (0.95 * Math.PI * 100 ** 2 * 50) / 1000,
      6,
    )
    // Two discs: a balloon of 1.2185 cubes of its flat radius.
    const inner = 120 - 2 * seamMm(120)
    expect(volumeInside('double disc', blank(120, 2))).toBeCloseTo((1.2185 * (inner / 2) ** 3) / 1000, 6)
    // A tube of strip: π r² long.
    expect(volumeInside('coil', { ...blank(110, 0), alongMm: 300 })).toBeCloseTo(
      (Math.PI * (100 / (2 * Math.PI)) ** 2 * 300) / 1000,
      6,
    )
  })

  it('grows with the blank, shrinks with the wall, and is never below nothing', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CLOSINGS),
        fc.double({ min: 15, max: 400, noNaN: true }),
        fc.double({ min: 0.5, max: 12, noNaN: true }),
        (closing, across, thick) => {
          const own = volumeInside(closing, blank(across, thick))
          expect(own).toBeGreaterThanOrEqual(0)
          expect(volumeInside(closing, blank(across * 1.1, thick))).toBeGreaterThanOrEqual(own)
          expect(volumeInside(closing, blank(across, thick * 1.5))).toBeLessThanOrEqual(own + 1e-9)
        },
      ),
    )
  })

  it('is full from 60 % of what it holds to 85 %', () => {
    expect(fitOf(59.9, 100)).toBe('mean')
    expect(fitOf(100 * FULL.good, 100)).toBe('good')
    expect(fitOf(100 * FULL.most, 100)).toBe('good')
    expect(fitOf(85.1, 100)).toBe('overfull')
    expect(fitOf(1, 0)).toBe('overfull')
  })
})
