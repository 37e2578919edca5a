import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SHAPES } from '../recipe/vocabulary'
import { crossSection, type Point } from './crossSection'
import { DENSITY_G_PER_ML } from './geometry'
import { pieceGrams } from '../evaluation/pieceGrams'

/** Area of a closed outline by the shoelace formula. */
const area = (points: readonly Point[]) =>
  Math.abs(
    points.reduce(
      (sum, point, n) =>
        sum + point.x * points[(n + 1) % points.length]!.y - points[(n + 1) % points.length]!.x * point.y,
      0,
    ),
  ) / 2

const piece = { doughGrams: 42, fillingGrams: 60, coatGrams: 4, oilGrams: 3 }

describe.each(SHAPES)('a %s cut open', (shape) => {
  it('has a size a hand could hold', () => {
    const { widthMm, heightMm, doughMm } = crossSection(shape, piece)
    expect(widthMm).toBeGreaterThan(20)
    expect(widthMm).toBeLessThan(140)
    expect(heightMm).toBeLessThan(widthMm)
    expect(doughMm).toBeGreaterThan(0.8)
    expect(doughMm).toBeLessThan(12)
  })

  it('grows by the cube root when everything is doubled', () => {
    const one = crossSection(shape, piece)
    const two = crossSection(shape, { doughGrams: 84, fillingGrams: 120, coatGrams: 8, oilGrams: 6 })
    expect(two.widthMm / one.widthMm).toBeCloseTo(Math.cbrt(2), 3)
    expect(two.doughMm / one.doughMm).toBeCloseTo(Math.cbrt(2), 1)
  })

  it('draws more filling larger and its dough thinner', () => {
    const lean = crossSection(shape, piece)
    const full = crossSection(shape, { ...piece, fillingGrams: 90 })
    expect(area(full.filling)).toBeGreaterThan(area(lean.filling))
    expect(full.doughMm).toBeLessThan(lean.doughMm)
  })

  it('keeps the filling inside the dough and the dough on the board, for any weights', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 900, noNaN: true }),
        fc.double({ min: 0, max: 900, noNaN: true }),
        (doughGrams, fillingGrams) => {
          const section = crossSection(shape, { doughGrams, fillingGrams, coatGrams: 1, oilGrams: 1 })
          expect(area(section.filling)).toBeLessThanOrEqual(area(section.outer) + 1e-6)
          for (const point of [...section.outer, ...section.filling]) {
            expect(Number.isFinite(point.x + point.y)).toBe(true)
            expect(point.y).toBeGreaterThanOrEqual(-1e-6)
          }
          expect(section.doughMl).toBeCloseTo(doughGrams / DENSITY_G_PER_ML.dough, 9)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('is all dough without a filling', () => {
    expect(crossSection(shape, { ...piece, fillingGrams: 0 }).filling).toEqual([])
  })
})

it('cuts a coil four times, its rope lying side by side, with the volume of the whole', () => {
  const coil = crossSection('coil', piece)
  expect(coil.shiftsMm).toHaveLength(4)
  for (let n = 1; n < 4; n++) expect(coil.shiftsMm[n]! - coil.shiftsMm[n - 1]!).toBeCloseTo(coil.outlineMm, 9)
  expect(coil.shiftsMm.reduce((sum, one) => sum + one, 0)).toBeCloseTo(0, 9)
  expect(coil.widthMm).toBeCloseTo(4 * coil.outlineMm, 9)
  // A rope π times four of its widths long, nearly full to its ends; an eighth of the dough is in its seam.
  const rope = area(coil.outer) * Math.PI * 4 * coil.outlineMm * 0.97
  expect(rope / 1000).toBeCloseTo(0.88 * coil.doughMl + coil.fillingMl, 0)
  expect(crossSection('roll', piece).shiftsMm).toEqual([0])
})

it('takes one piece to hold the average of several fillings by their counts, and leaves the dip beside it', () => {
  const part = (kind: 'shell' | 'filling' | 'dip', grams: number, pieces: number) => ({
    kind,
    pieces,
    perPiece: { grams },
  })
  // 300 g in 3 pieces and 180 g in 9: 480 g in 12.
  expect(
    pieceGrams({
      pieces: 12,
      parts: [part('shell', 40, 12), part('filling', 100, 3), part('filling', 20, 9), part('dip', 20, 12)],
    }),
  ).toEqual({
    doughGrams: 40,
    fillingGrams: 40,
    coatGrams: 0,
    oilGrams: 0,
  })
})
