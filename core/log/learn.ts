/** What is believed of a quantity before, in its own unit. */
export interface Belief {
  mean: number
  /** Standard deviation, above 0. */
  sd: number
}

/** What was seen once, with how sure the weighing was. */
export interface Observation {
  value: number
  /** Standard deviation of one such observation, above 0. */
  sd: number
  /** How many bakes ago; the latest is 0. What is long past says less. */
  bakesAgo?: number
}

export interface Learnt {
  mean: number
  sd: number
  /** Nine times in ten it lies between these. */
  low: number
  high: number
  /** Observations that were used. */
  n: number
  /** For each observation, how likely it is no slip of the scale or the pen, 0 to 1. */
  trust: number[]
}

/** One entry in thirty is a slip, and then it may be thirty times as far off. Our own choice. */
const SLIPS = 1 / 30
const SLIP_SPREAD = 30
/** A bake says half as much when some 23 others have followed it: hands, flours and ovens change. Our own choice. */
const KEPT_PER_BAKE = 0.97
/** The grid on which the belief is reckoned: so many points, so far to both sides in standard deviations. */
const POINTS = 801
const REACH = 8
/** It is laid anew round the belief until that is as wide as so many of its steps. */
const MIN_STEPS = 12
const MAX_GRIDS = 12
/** Nine tenths of a normal belief lie within so many deviations. */
const NINETY = 3.29

const density = (z: number) => Math.exp(-(z * z) / 2)

/** A slip may be anything: the wider it is off the less it says. Cauchy's curve, thirty times as wide. */
const slip = (distance: number, sd: number) => {
  const wide = SLIP_SPREAD * sd
  return Math.SQRT2 / Math.sqrt(Math.PI) / wide / (1 + (distance / wide) ** 2)
}

/** Likelihood of an observation, but for a factor: a normal one, or, seldom, a slip. */
const likelihood = (distance: number, sd: number) =>
  ((1 - SLIPS) * density(distance / sd)) / sd + SLIPS * slip(distance, sd)

/**
 * Brings a belief up to date with what was seen: Bayes' theorem for a normal prior and observations that are normal
 * with now and then a slip among them. Without slips it is the conjugate normal update; with them the posterior is
 * summed on a grid, because it has no closed form. Derivation: docs/reckoning.md, "Learning".
 *
 * @param prior mean and standard deviation, sd above 0
 * @param observations in any order; none gives the prior back
 * @example learn({ mean: 60, sd: 4 }, [{ value: 66, sd: 2 }]).mean // 64.8
 */
export function learn(prior: Belief, observations: readonly Observation[]): Learnt {
  const seen = observations.map(({ value, sd, bakesAgo = 0 }) => ({
    value,
    sd: sd / Math.sqrt(KEPT_PER_BAKE ** Math.max(bakesAgo, 0)),
  }))
  let [from, to] = [prior.mean - REACH * prior.sd, prior.mean + REACH * prior.sd]
  const weights = new Float64Array(POINTS)
  let mean = prior.mean
  let sd = prior.sd
  let step = 0
  for (let grid = 0; grid < MAX_GRIDS; grid++) {
    step = (to - from) / (POINTS - 1)
    let most = -Infinity
    for (let n = 0; n < POINTS; n++) {
      const at = from + n * step
      let log = -(((at - prior.mean) / prior.sd) ** 2) / 2
      for (const one of seen) log += Math.log(likelihood(one.value - at, one.sd) + Number.MIN_VALUE)
      weights[n] = log
      most = Math.max(most, log)
    }
    let sum = 0
    let first = 0
    for (let n = 0; n < POINTS; n++) {
      weights[n] = Math.exp(weights[n]! - most)
      sum += weights[n]!
      first += weights[n]! * (from + n * step)
    }
    mean = first / sum
    let second = 0
    for (let n = 0; n < POINTS; n++) {
      weights[n]! /= sum
      second += weights[n]! * (from + n * step - mean) ** 2
    }
    sd = Math.sqrt(second)
    // Slips leave long thin tails: how wide the belief is says its middle, not its deviation.
    const middle = (quantile(weights, from, step, 0.95) - quantile(weights, from, step, 0.05)) / NINETY
    if (middle >= MIN_STEPS * step) break
    const half = REACH * Math.max(middle, step)
    ;[from, to] = [Math.max(from, mean - half), Math.min(to, mean + half)]
  }
  return {
    mean,
    sd,
    low: quantile(weights, from, step, 0.05),
    high: quantile(weights, from, step, 0.95),
    n: seen.length,
    trust: seen.map((one) => {
      const spread = Math.hypot(one.sd, sd)
      const honest = ((1 - SLIPS) * density((one.value - mean) / spread)) / spread
      return honest / (honest + SLIPS * slip(one.value - mean, one.sd))
    }),
  }
}

function quantile(weights: Float64Array, from: number, step: number, share: number): number {
  let sum = 0
  for (let n = 0; n < weights.length; n++) {
    const next = sum + weights[n]!
    if (next >= share) return from + (n - 0.5 + (share - sum) / (weights[n]! || 1)) * step
    sum = next
  }
  return from + (weights.length - 1) * step
}
