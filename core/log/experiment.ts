/** What a blind tasting of two batches says, in words and in a number. */
export interface TastingResult {
  /** That more of all eaters would choose the first, 0 to 1. */
  firstIsBetter: number
  says: string
}

const STEPS = 2000

/**
 * Two batches, tasted blind, each eater choosing one. The share that would choose the first is believed to be
 * anything before (a uniform prior); choices are Bernoulli trials, so it is Beta(1 + k, 1 + n − k) after.
 *
 * @param first eaters who chose the first, 0 or more
 */
export function tastingResult(first: number, second: number, names: [string, string]): TastingResult {
  // P(p > ½) of a Beta distribution, by Simpson-like sums: enough for a percentage.
  let [above, all] = [0, 0]
  for (let n = 0; n < STEPS; n++) {
    const p = (n + 0.5) / STEPS
    const weight = p ** first * (1 - p) ** second
    all += weight
    if (p > 0.5) above += weight
  }
  const firstIsBetter = above / all
  const n = first + second
  const sure = Math.max(firstIsBetter, 1 - firstIsBetter)
  const better = firstIsBetter >= 0.5 ? names[0] : names[1]
  const tasters = `${first} of ${n} chose ${names[0]}, ${second} chose ${names[1]}`
  const words =
    n === 0
      ? 'Nobody has tasted yet'
      : sure >= 0.95
        ? `${tasters}: it is as good as sure that more people would choose ${better}`
        : sure >= 0.8
          ? `${tasters}: it leans to ${better}, and a few more tasters could turn it`
          : `${tasters}: this says nothing either way`
  return { firstIsBetter, says: n === 0 ? words : `${words} (${Math.round(100 * sure)} in 100)` }
}
