const PER_UNIT = 10_000

/**
 * Rounds every number of an answer to four decimals, in place.
 *
 * Nobody reads the fifth, and writing all seventeen digits of a double is the dearest part of answering.
 */
export function tidy<T>(answer: T): T {
  if (answer === null || typeof answer !== 'object') return answer
  const fields = answer as Record<string, unknown>
  for (const key in fields) {
    const value = fields[key]
    if (typeof value === 'number') fields[key] = Math.round(value * PER_UNIT) / PER_UNIT
    else if (typeof value === 'object') tidy(value)
  }
  return answer
}
