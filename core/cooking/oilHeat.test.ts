import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { oilThrough, type FryingBatch } from './oilHeat'

const batch = (more: Partial<FryingBatch> = {}): FryingBatch => ({
  oilMl: 2000,
  diameterMm: 220,
  pieces: 4,
  pieceGrams: 60,
  pieceMl: 55,
  waterShare: 0.5,
  startC: 20,
  ...more,
})

describe('a batch in hot oil', () => {
  it('rises by the volume of the pieces over the section of the pot (Archimedes)', () => {
    const { depthMm, riseMm } = oilThrough(batch())
    const section = Math.PI * 110 ** 2
    expect(depthMm).toBeCloseTo(2_000_000 / section, 9)
    expect(riseMm).toBeCloseTo((4 * 55 * 1000) / section, 9)
  })

  it('takes the heat of a worked example: 240 g, half water, from 20 to 90 °C, a tenth of it steamed off', () => {
    const { warmingKJ, steamKJ, thawingKJ } = oilThrough(batch())
    // 0.24 kg × 70 K × (0.837 + 3.349 × 0.5) kJ/(kg K); 0.024 kg × 2257 kJ/kg.
    expect(warmingKJ).toBeCloseTo(0.24 * 70 * 2.5115, 6)
    expect(steamKJ).toBeCloseTo(0.024 * 2257, 6)
    expect(thawingKJ).toBe(0)
  })

  it('cools by all that heat where no burner runs', () => {
    const { dropC, warmingKJ, steamKJ } = oilThrough(batch({ burnerW: 0 }))
    expect(dropC).toBeCloseTo((warmingKJ + steamKJ) / (2 * 0.87 * 2.3), 1)
  })

  it('falls by 6 to 20 °C for 110 g a litre on a home burner, where cooks say 10 to 20, and is back in a minute or three', () => {
    const { dropC, recoverySeconds } = oilThrough(batch({ oilMl: 2200 }))
    expect(dropC).toBeGreaterThan(6)
    expect(dropC).toBeLessThan(20)
    expect(recoverySeconds).toBeGreaterThan(40)
    expect(recoverySeconds).toBeLessThan(200)
  })

  it('falls further with more pieces, colder ones and less oil, and frozen ones have to thaw', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 800, max: 6000 }), (pieces, oilMl) => {
        const own = oilThrough(batch({ pieces, oilMl }))
        expect(oilThrough(batch({ pieces: pieces + 1, oilMl })).dropC).toBeGreaterThanOrEqual(own.dropC)
        expect(oilThrough(batch({ pieces, oilMl, startC: 5 })).dropC).toBeGreaterThanOrEqual(own.dropC)
        expect(oilThrough(batch({ pieces, oilMl: oilMl * 1.2 })).dropC).toBeLessThanOrEqual(own.dropC + 1e-9)
        expect(oilThrough(batch({ pieces, oilMl, startC: -18 })).thawingKJ).toBeGreaterThan(0)
      }),
    )
  })
})
