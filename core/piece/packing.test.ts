import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { discsInCircle, discsOnRectangle, oblongsInCircle, oblongsOnRectangle } from './packing'

const size = fc.double({ min: 20, max: 600, noNaN: true })
const disc = fc.double({ min: 15, max: 160, noNaN: true })

/** Radius of a vessel of the least size that holds n discs of radius 1: from memory of the published table (Graham, Lubachevsky, Nurmela, Östergård 1998; up to 11 and 19 proven). */
const BEST_IN_CIRCLE = [
  1, 2, 2.1547, 2.4142, 2.7013, 3, 3, 3.3048, 3.6131, 3.813, 3.9238, 4.0296, 4.2361, 4.3284, 4.5214, 4.6154,
  4.792, 4.8637, 4.8637,
]

/** Radius of the largest n equal discs in a square of side 1: from memory of the published table (proven up to 30). */
const BEST_IN_SQUARE: [number, number][] = [
  [1, 0.5],
  [2, 0.292893],
  [3, 0.254333],
  [4, 0.25],
  [5, 0.207107],
  [6, 0.187681],
  [7, 0.174458],
  [8, 0.170541],
  [9, 0.166667],
  [10, 0.148204],
  [16, 0.125],
  [25, 0.1],
  [30, 0.091671],
]

describe('discs on a sheet', () => {
  it.each(BEST_IN_SQUARE)(
    'never holds more than the published optimum: %i discs of radius %f in a square of 1',
    (n, r) => {
      // A little larger than the optimum's discs, so that one more cannot be right.
      expect(discsOnRectangle(1000, 1000, 2000 * r * 1.0005).places.length).toBeLessThanOrEqual(n)
    },
  )

  it('finds the optimum where rows are it: squares up to five a side, and 2, 5 and 39 discs nearly', () => {
    for (const side of [1, 2, 3, 4, 5])
      expect(discsOnRectangle(side * 50, side * 50, 50).places).toHaveLength(side ** 2)
    // Hexagonal rows of 6, 5, 6, 5, 6, 5, 6.
    expect(discsOnRectangle(300, 50 * (1 + 6 * Math.sqrt(0.75)), 50)).toMatchObject({ pattern: 'hexagonal' })
    expect(discsOnRectangle(300, 50 * (1 + 6 * Math.sqrt(0.75)), 50).places).toHaveLength(39)
  })

  it('comes near the density of the hexagonal lattice on a large sheet: π/√12', () => {
    const { places, pattern } = discsOnRectangle(3000, 3000, 30)
    expect(pattern).not.toBe('square')
    expect((places.length * Math.PI * 15 ** 2) / 3000 ** 2).toBeGreaterThan(0.96 * (Math.PI / Math.sqrt(12)))
    expect((places.length * Math.PI * 15 ** 2) / 3000 ** 2).toBeLessThan(Math.PI / Math.sqrt(12))
  })

  it('mixes rows where that holds more than either kind', () => {
    // Room for 6 rows only when two of them are pushed together: 5.87 diameters high, 4 wide.
    const made = discsOnRectangle(200, 50 * 5.87, 50)
    expect(made.pattern).toBe('mixed')
    expect(made.places).toHaveLength(6 * 4 - 1)
  })

  it('lays every disc on the sheet and none over another, and turning the sheet changes nothing', () => {
    fc.assert(
      fc.property(size, size, disc, (width, length, d) => {
        const { places } = discsOnRectangle(width, length, d)
        for (const { xMm, yMm } of places) {
          expect(Math.min(xMm, width - xMm, yMm, length - yMm)).toBeGreaterThan(d / 2 - 1e-3)
        }
        for (let a = 0; a < places.length; a++)
          for (let b = 0; b < a; b++)
            if (Math.hypot(places[a]!.xMm - places[b]!.xMm, places[a]!.yMm - places[b]!.yMm) < d - 1e-3)
              throw new Error(`${a} lies over ${b}`)
        expect(discsOnRectangle(length, width, d).places).toHaveLength(places.length)
      }),
      { numRuns: 60 },
    )
  })
})

describe('discs in a round vessel', () => {
  it.each(BEST_IN_CIRCLE.map((ratio, n) => [n + 1, ratio] as const))(
    '%i of radius 1 in radius %f: the published optimum, or one less',
    (n, ratio) => {
      expect(discsInCircle(200 * ratio * 1.0005, 200).places.length).toBeGreaterThanOrEqual(
        n <= 7 || n === 19 ? n : n - 1,
      )
      expect(discsInCircle(200 * ratio * 0.9995, 200).places.length).toBeLessThanOrEqual(
        n === 7 || n === 19 ? n - 1 : n,
      )
    },
  )

  it('stays within the rim and lays none over another', () => {
    fc.assert(
      fc.property(size, disc, (diameter, d) => {
        const { places } = discsInCircle(diameter, d)
        for (const { xMm, yMm } of places)
          expect(Math.hypot(xMm, yMm) + d / 2).toBeLessThan(diameter / 2 + 1e-3)
        for (let a = 0; a < places.length; a++)
          for (let b = 0; b < a; b++)
            if (Math.hypot(places[a]!.xMm - places[b]!.xMm, places[a]!.yMm - places[b]!.yMm) < d - 1e-3)
              throw new Error(`${a} lies over ${b}`)
      }),
      { numRuns: 60 },
    )
  })
})

describe('oblong pieces', () => {
  it('lie the way that holds more', () => {
    expect(oblongsOnRectangle(230, 210, 70, 110)).toMatchObject({ turned: true })
    expect(oblongsOnRectangle(230, 210, 70, 110).places).toHaveLength(2 * 3)
    expect(oblongsOnRectangle(280, 220, 70, 110).places).toHaveLength(8)
  })

  it('keep their corners within a round pan', () => {
    fc.assert(
      fc.property(size, disc, disc, (diameter, w, l) => {
        for (const { xMm, yMm } of oblongsInCircle(diameter, w, l).places)
          expect(Math.hypot(Math.abs(xMm) + w / 2, Math.abs(yMm) + l / 2)).toBeLessThan(diameter / 2 + 1e-3)
      }),
    )
  })
})
