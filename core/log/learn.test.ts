import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seeded } from '../../test/seeded'
import { learn } from './learn'

/** A normal variate from two uniform ones. Source: Box and Muller 1958. */
const normal = (random: () => number) =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

describe('learning', () => {
  it('gives the belief back where nothing was seen', () => {
    const { mean, sd, low, high, n } = learn({ mean: 62, sd: 4 }, [])
    expect(mean).toBeCloseTo(62, 6)
    expect(sd).toBeCloseTo(4, 2)
    expect([low, high].map((one) => Math.round(one * 10) / 10)).toEqual([55.4, 68.6])
    expect(n).toBe(0)
  })

  // Conjugate normal update: precisions add up. Source: Gelman et al., "Bayesian Data Analysis", section 2.5.
  it('is the conjugate update where entries agree', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        fc.integer({ min: 1, max: 6 }),
        (off, ratio, count) => {
          const prior = { mean: 60, sd: 4 }
          const sd = prior.sd * ratio
          const seen = Array.from({ length: count }, () => ({ value: 60 + off * 0.4 * prior.sd, sd }))
          const precision = 1 / prior.sd ** 2 + count / sd ** 2
          const mean =
            (60 / prior.sd ** 2 + seen.reduce((sum, one) => sum + one.value / sd ** 2, 0)) / precision
          const learnt = learn(prior, seen)
          expect(Math.abs(learnt.mean - mean)).toBeLessThan(0.08 * prior.sd)
          expect(learnt.sd / Math.sqrt(1 / precision)).toBeGreaterThan(0.97)
          expect(learnt.sd / Math.sqrt(1 / precision)).toBeLessThan(1.12)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('covers the truth of 2,000 cooks 86 to 94 times in a hundred, and five bakes halve the error', () => {
    const random = seeded(20261126)
    const prior = { mean: 60, sd: 6 }
    let [inside, before, after] = [0, 0, 0]
    for (let cook = 0; cook < 2000; cook++) {
      const truth = prior.mean + prior.sd * normal(random)
      const bakes = Array.from({ length: 5 }, () => ({ value: truth + 3.5 * normal(random), sd: 3.5 }))
      const { mean, low, high } = learn(prior, bakes)
      if (truth >= low && truth <= high) inside++
      before += Math.abs(prior.mean - truth)
      after += Math.abs(mean - truth)
    }
    expect(inside / 20).toBeGreaterThanOrEqual(86)
    expect(inside / 20).toBeLessThanOrEqual(94)
    expect(after).toBeLessThan(before / 2)
  })

  it('covers as well where one entry in thirty is a slip', () => {
    const random = seeded(7)
    let inside = 0
    for (let cook = 0; cook < 2000; cook++) {
      const truth = 60 + 6 * normal(random)
      const bakes = Array.from({ length: 6 }, () => ({
        value: truth + (random() < 1 / 30 ? 100 : 3.5) * normal(random),
        sd: 3.5,
      }))
      const { low, high } = learn({ mean: 60, sd: 6 }, bakes)
      if (truth >= low && truth <= high) inside++
    }
    expect(inside / 20).toBeGreaterThanOrEqual(86)
    expect(inside / 20).toBeLessThanOrEqual(94)
  })

  it.each([10, 20, 50, 1000])(
    'lets one absurd entry, %f deviations off, move it less than a third of an honest one',
    (off) => {
      const prior = { mean: 60, sd: 4 }
      const four = [61, 63, 62, 64].map((value) => ({ value, sd: 3 }))
      const plain = learn(prior, four).mean
      const honest = learn(prior, [...four, { value: 62.5 + 3, sd: 3 }]).mean - plain
      const absurd = learn(prior, [...four, { value: 62.5 + off * 3, sd: 3 }]).mean - plain
      expect(Math.abs(absurd)).toBeLessThan(Math.abs(honest) / 3)
      expect(learn(prior, [...four, { value: 62.5 + off * 3, sd: 3 }]).trust[4]!).toBeLessThan(0.05)
    },
  )

  it('forgets slowly: what is long past says less', () => {
    const prior = { mean: 60, sd: 4 }
    const seen = (bakesAgo: number) => learn(prior, [{ value: 66, sd: 3, bakesAgo }]).mean
    expect(seen(0)).toBeGreaterThan(seen(23))
    expect(seen(23)).toBeGreaterThan(seen(100))
    expect(seen(23)).toBeGreaterThan(60.5)
  })

  it('does not mind the order, the unit or the sign', () => {
    const prior = { mean: 0.62, sd: 0.04 }
    const seen = [0.6, 0.66, 0.65].map((value) => ({ value, sd: 0.03 }))
    const one = learn(prior, seen)
    const turned = learn(prior, [...seen].reverse())
    const large = learn(
      { mean: 620, sd: 40 },
      seen.map(({ value, sd }) => ({ value: value * 1000, sd: sd * 1000 })),
    )
    expect(turned.mean).toBeCloseTo(one.mean, 9)
    expect(large.mean / 1000).toBeCloseTo(one.mean, 6)
    expect(large.high / 1000).toBeCloseTo(one.high, 6)
  })

  it('keeps its digits where the scale is far surer than the belief', () => {
    const { mean, low, high } = learn({ mean: 0, sd: 1000 }, [{ value: 123.4, sd: 0.01 }])
    expect(mean).toBeCloseTo(123.4, 1)
    expect(high - low).toBeLessThan(0.06)
  })
})
