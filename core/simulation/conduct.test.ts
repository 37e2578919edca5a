import { describe, expect, it } from 'vitest'
import { constantMaterial, foodMaterial, iceAt } from './material'
import { conduct, type HeatProblem } from './conduct'

// Potato-like: any numbers will do, the solutions are in ratios of them.
const CONSTANTS = { conductivityWmK: 0.5, densityKgM3: 1050, specificHeatJkgK: 3600 }
const DIFFUSIVITY = CONSTANTS.conductivityWmK / (CONSTANTS.densityKgM3 * CONSTANTS.specificHeatJkgK)

const bisect = (f: (x: number) => number, low: number, high: number) => {
  for (let n = 0; n < 60; n++) {
    const middle = (low + high) / 2
    if (f(low) * f(middle) <= 0) high = middle
    else low = middle
  }
  return (low + high) / 2
}
// Bessel functions of the first kind by their integral: J_n(x) = 1/π ∫ cos(nτ − x sin τ) dτ.
const bessel = (order: number, x: number) => {
  const steps = 120
  let sum = 0
  for (let n = 0; n < steps; n++) {
    const tau = ((n + 0.5) / steps) * Math.PI
    sum += Math.cos(order * tau - x * Math.sin(tau))
  }
  return sum / steps
}

interface Term {
  z: number
  weight: number
}

/**
 * The terms of the series for the middle's temperature, as the share of the first difference that is left.
 * Source: H. S. Carslaw and J. C. Jaeger, "Conduction of Heat in Solids", 1959, sections 3.11, 7.7 and 9.4.
 */
function termsOf(dimensions: number, biot: number): Term[] {
  if (dimensions === 2) {
    // Zeros of x J1(x) − Bi J0(x), one after the other.
    const f = (x: number) => x * bessel(1, x) - biot * bessel(0, x)
    const terms: Term[] = []
    for (let from = 1e-6, low = f(1e-6); terms.length < 12; from += 0.1) {
      const high = f(from + 0.1)
      if (low * high <= 0) {
        const z = bisect(f, from, from + 0.1)
        const [j0, j1] = [bessel(0, z), bessel(1, z)]
        terms.push({ z, weight: (2 / z) * (j1 / (j0 * j0 + j1 * j1)) })
      }
      low = high
    }
    return terms
  }
  return Array.from({ length: 60 }, (_, n) => {
    if (dimensions === 1) {
      const z = bisect((x) => x * Math.sin(x) - biot * Math.cos(x), n * Math.PI, n * Math.PI + Math.PI / 2)
      return { z, weight: (4 * Math.sin(z)) / (2 * z + Math.sin(2 * z)) }
    }
    const f = (x: number) => x * Math.cos(x) - (1 - biot) * Math.sin(x)
    const z = bisect(f, n * Math.PI + 1e-9, (n + 1) * Math.PI - 1e-9)
    return { z, weight: (4 * (Math.sin(z) - z * Math.cos(z))) / (2 * z - Math.sin(2 * z)) }
  })
}
const leftAfter = (terms: readonly Term[], fourier: number) =>
  terms.reduce((sum, { z, weight }) => sum + weight * Math.exp(-z * z * fourier), 0)

const problem = (
  dimensions: number,
  radiusMm: number,
  biot: number,
  more: Partial<HeatProblem> = {},
): HeatProblem => ({
  layers: [{ thicknessMm: radiusMm, material: constantMaterial(CONSTANTS) }],
  dimensions,
  startC: 5,
  exposures: [
    { mediumC: 100, surfaceWm2K: (biot * CONSTANTS.conductivityWmK) / (radiusMm / 1000), minutes: null },
  ],
  targetC: 74,
  mostMinutes: 3000,
  ...more,
})

describe('conduction against the series of textbooks', () => {
  it.each(
    [1, 2, 3].flatMap((dimensions) => [0.1, 0.5, 1, 5, 20, 100].map((biot) => [dimensions, biot] as const)),
  )('in %i dimension(s) at a Biot number of %f: the middle passes within 1 %%', (dimensions, biot) => {
    const { minutesToTarget } = conduct(problem(dimensions, 20, biot))
    const left = (100 - 74) / (100 - 5)
    const terms = termsOf(dimensions, biot)
    const fourier = bisect((x) => leftAfter(terms, x) - left, 1e-2, 60)
    const exact = (fourier * 0.02 ** 2) / DIFFUSIVITY / 60
    expect(Math.abs(minutesToTarget! / exact - 1)).toBeLessThan(0.01)
  })

  it.each([1, 2, 3])('with little resistance inside, it warms as one lump (%i)', (dimensions) => {
    const biot = 0.001
    const { minutesToTarget } = conduct(problem(dimensions, 10, biot, { mostMinutes: 1e5 }))
    // ρ c V / (h A) = ρ c R / (dimensions h); the lump's law of cooling, Newton 1701.
    const h = (biot * CONSTANTS.conductivityWmK) / 0.01
    const lump = (CONSTANTS.densityKgM3 * CONSTANTS.specificHeatJkgK * 0.01) / (dimensions * h)
    expect(minutesToTarget! / ((lump * Math.log(95 / 26)) / 60)).toBeCloseTo(1, 2)
  })

  it('is the same backwards: what cools takes as long as what warms', () => {
    const warms = conduct(problem(2, 15, 3))
    const cools = conduct({
      ...problem(2, 15, 3),
      startC: 100,
      targetC: 31,
      exposures: [{ mediumC: 5, surfaceWm2K: 100, minutes: null }],
    })
    const there = conduct({
      ...problem(2, 15, 3),
      exposures: [{ mediumC: 100, surfaceWm2K: 100, minutes: null }],
    })
    expect(cools.minutesToTarget).toBeCloseTo(there.minutesToTarget!, 3)
    expect(warms.minutesToTarget).toBeGreaterThan(0)
  })

  it('is quicker in more dimensions, slower when thicker, by the square where the surface is no hindrance', () => {
    const minutes = (dimensions: number, mm: number) => conduct(problem(dimensions, mm, 100)).minutesToTarget!
    expect(minutes(1, 20)).toBeGreaterThan(minutes(1.5, 20))
    expect(minutes(1.5, 20)).toBeGreaterThan(minutes(2, 20))
    expect(minutes(2, 20)).toBeGreaterThan(minutes(3, 20))
    expect(minutes(1, 40) / minutes(1, 20)).toBeCloseTo(4, 1)
  })
})

describe('nothing is lost', () => {
  const dough = { water: 0.38, protein: 0.07, fat: 0.09, carbohydrate: 0.43, fibre: 0.02, ash: 0.01 }
  it.each([
    ['a slab of constant properties', problem(1, 20, 5)],
    ['a sphere of constant properties', problem(3, 20, 50)],
    [
      'a frozen ball of dough in boiling water',
      { ...problem(3, 20, 5), layers: [{ thicknessMm: 20, material: foodMaterial(dough) }], startC: -18 },
    ],
    [
      'a dough that dries in hot oil',
      {
        ...problem(1, 8, 5),
        layers: [{ thicknessMm: 8, material: foodMaterial(dough, { dries: true }) }],
        exposures: [{ mediumC: 175, surfaceWm2K: 300, minutes: null }],
        targetC: 90,
      },
    ],
    [
      'an oven of 220 °C for 10 min and of 180 °C after',
      {
        ...problem(1, 18, 5),
        layers: [{ thicknessMm: 18, material: foodMaterial(dough, { dries: true }) }],
        exposures: [
          { mediumC: 220, surfaceWm2K: 25, minutes: 10 },
          { mediumC: 180, surfaceWm2K: 25, minutes: null },
        ],
        targetC: 90,
      },
    ],
  ])('%s: what came in through the surface is what is in it, to 0.1 %%', (_, one: HeatProblem) => {
    const { heatJ, heatInJ, minutesToTarget } = conduct(one)
    expect(minutesToTarget).toBeGreaterThan(0)
    expect(Math.abs(heatInJ / heatJ - 1)).toBeLessThan(0.001)
  })

  it('never overshoots: the middle rises and stays below what is round it', () => {
    const { centreC } = conduct({ ...problem(3, 20, 20), targetC: null, mostMinutes: 200 })
    centreC.reduce((before, [, celsius]) => {
      expect(celsius).toBeGreaterThanOrEqual(before - 1e-6)
      expect(celsius).toBeLessThanOrEqual(100 + 1e-9)
      return celsius
    }, 5)
  })
})

describe('freezing and thawing', () => {
  it('holds no ice above its freezing point, and nearly all of its free water as ice at −30 °C', () => {
    const filling = { water: 0.75, protein: 0.1, fat: 0.05, carbohydrate: 0.08, fibre: 0.01, ash: 0.01 }
    expect(iceAt(filling, 0)).toBe(0)
    expect(iceAt(filling, -30)).toBeGreaterThan(0.6)
    expect(iceAt(filling, -30)).toBeLessThan(0.75)
  })

  /**
   * The Stefan problem: water at its freezing point in a wide slab, its surface held below. The front stands at
   * 2 λ √(α t), with λ exp(λ²) erf(λ) = c (Tf − Ts) / (L √π). Source: Carslaw and Jaeger 1959, section 11.2.
   */
  it('moves the front of ice as Stefan has it', () => {
    const [k, rho, c, latent] = [2.2, 1000, 2000, 333_600]
    // Melts within half a kelvin, which stands for a point beside the twenty that drive it.
    const range = 0.5
    const slope = rho * c
    const water = {
      heatAt: (t: number) => slope * (t + 60) + rho * latent * Math.min(Math.max((t + range) / range, 0), 1),
      heatSlopeAt: (t: number) => slope + (t > -range && t < 0 ? (rho * latent) / range : 0),
      conductivityAt: () => k,
    }
    const erf = (x: number) => {
      let sum = 0
      for (let n = 0; n < 2000; n++) sum += Math.exp(-((((n + 0.5) * x) / 2000) ** 2))
      return (2 / Math.sqrt(Math.PI)) * sum * (x / 2000)
    }
    const lambda = bisect(
      (x) => x * Math.exp(x * x) * erf(x) - (c * 20) / (latent * Math.sqrt(Math.PI)),
      1e-4,
      2,
    )
    const halfMm = 30
    const seconds = (0.03 / (2 * lambda)) ** 2 / (k / slope)
    const { minutesToTarget } = conduct({
      layers: [{ thicknessMm: halfMm, material: water }],
      dimensions: 1,
      startC: 0,
      exposures: [{ mediumC: -20, surfaceWm2K: 1e7, minutes: null }],
      // The middle is frozen through when it leaves the freezing point.
      targetC: -0.7,
      mostMinutes: 1000,
    })
    expect(minutesToTarget! / (seconds / 60)).toBeGreaterThan(0.97)
    expect(minutesToTarget! / (seconds / 60)).toBeLessThan(1.03)
  })

  it('takes longer from frozen than from the fridge, by much more than the degrees alone', () => {
    const meat = { water: 0.62, protein: 0.17, fat: 0.19, carbohydrate: 0.01, fibre: 0, ash: 0.01 }
    const from = (startC: number) =>
      conduct({ ...problem(3, 20, 10), layers: [{ thicknessMm: 20, material: foodMaterial(meat) }], startC })
        .minutesToTarget!
    const [frozen, cold, room] = [from(-18), from(5), from(20)]
    expect(cold).toBeGreaterThan(room)
    expect(frozen - cold).toBeGreaterThan(2 * (cold - room))
  })
})
