import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SHAPES } from '../recipe/vocabulary'
import { bodyOfPiece, DENSITY_G_PER_ML, surfaceCm2, unitBody } from './geometry'

describe('volume and surface of a body, against closed forms', () => {
  it('has those of a ball: π/6 and π', () => {
    const ball = unitBody({ height: 1, length: 1, power: 2, taper: 2, flat: false })
    expect(ball.volume).toBeCloseTo(Math.PI / 6, 3)
    expect(ball.surface).toBeCloseTo(Math.PI, 2)
  })

  it('has those of an egg-shaped body of revolution: 2πa²(1 + c/(a e) arcsin e)', () => {
    const long = unitBody({ height: 1, length: 2, power: 2, taper: 2, flat: false })
    const e = Math.sqrt(1 - 0.25)
    expect(long.volume).toBeCloseTo((Math.PI / 6) * 2, 3)
    expect(long.surface).toBeCloseTo(2 * Math.PI * 0.25 * (1 + (1 / (0.5 * e)) * Math.asin(e)), 2)
  })

  it('has those of a flat cake, nearly: π/4·h and π/2 + π·h', () => {
    const cake = unitBody({ height: 0.2, length: 1, power: 60, taper: 2, flat: true })
    expect(cake.volume / ((Math.PI / 4) * 0.2)).toBeCloseTo(1, 1)
    expect(cake.surface / (Math.PI / 2 + Math.PI * 0.2)).toBeCloseTo(1, 1)
  })
})

describe('one raw piece', () => {
  const pieces = fc.record({
    shape: fc.constantFrom(...SHAPES),
    dough: fc.double({ min: 1, max: 900, noNaN: true }),
    filling: fc.double({ min: 0, max: 900, noNaN: true }),
  })

  it('loses nothing: filling, wall and seam have the volume of what went in', () => {
    fc.assert(
      fc.property(pieces, ({ shape, dough, filling }) => {
        const body = bodyOfPiece(shape, dough, filling)
        const went = (1000 * dough) / DENSITY_G_PER_ML.dough + (1000 * filling) / DENSITY_G_PER_ML.filling
        expect(body.volumeMm3).toBeLessThanOrEqual(went * (1 + 1e-9))
        expect(body.volumeMm3).toBeGreaterThan(went * 0.69)
        if (filling === 0) expect(body.volumeMm3).toBeCloseTo(went, 6)
      }),
    )
  })

  it('never has less surface than a ball of the same volume', () => {
    fc.assert(
      fc.property(pieces, ({ shape, dough, filling }) => {
        const body = bodyOfPiece(shape, dough, filling)
        const ball = Math.cbrt(36 * Math.PI * body.volumeMm3 ** 2)
        // A tenth less than a coil's rope alone: where its windings touch there is no surface.
        expect(body.surfaceMm2).toBeGreaterThan(ball * 0.999)
      }),
    )
  })

  it('grows by the square of its size: eight times the weight, four times the surface', () => {
    for (const shape of SHAPES)
      expect(surfaceCm2(bodyOfPiece(shape, 320, 160)) / surfaceCm2(bodyOfPiece(shape, 40, 20))).toBeCloseTo(
        4,
        2,
      )
  })

  // Common practice, no source: the sheet is rolled so thin, and takes so much.
  it.each([
    ['half-moon', 33, 40, 2.5],
    ['pleated', 15, 12, 2.8],
    ['cone', 22, 35, 2.4],
    ['roll', 20, 30, 1.8],
  ] as const)(
    'has the dough of practice round it: %s of %i g with %i g in it, %f mm',
    (shape, dough, filling, mm) => {
      const { wallMm } = bodyOfPiece(shape, dough, filling)
      expect(wallMm).toBeGreaterThan(mm * 0.8)
      expect(wallMm).toBeLessThan(mm * 1.25)
    },
  )
})
