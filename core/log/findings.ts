import type { Findings } from './diagnose'
import type { CookRecord, Measured } from './record'

/** The feel of a dough, dry to slack, as a factor on what was predicted. Our own choice. */
const FELT = [0.82, 0.92, 1, 1.08, 1.18] as const

const latest = (record: CookRecord, what: Measured): number | undefined =>
  record.readings.filter((one) => one.what === what).at(-1)?.celsius
const lowest = (record: CookRecord, what: Measured): number | undefined => {
  const all = record.readings.filter((one) => one.what === what).map(({ celsius }) => celsius)
  return all.length ? Math.min(...all) : undefined
}

/**
 * What a record knows of a bake: what was expected, put right by what was measured. The oil counts at its coolest,
 * the middle as it was last read.
 */
export function findingsOf(record: CookRecord): Findings {
  const { expected, judgement } = record
  const found: Record<string, number | string | undefined> = { ...expected.findings }
  found['oil-c'] = lowest(record, 'oil')
  found['filling-c'] = latest(record, 'filling')
  found['middle-c'] = latest(record, 'middle')
  found['room-c'] = latest(record, 'room')
  found['liquid-c'] = latest(record, 'liquid')
  const oven = latest(record, 'oven')
  if (oven !== undefined && expected.mediumC !== null && expected.way === 'bake')
    found['oven-off-c'] = oven - expected.mediumC
  if (record.rolls !== null) found.rolls = record.rolls
  if (judgement.feel !== null && typeof found.softness === 'number')
    found.softness *= FELT[judgement.feel - 1]!
  if (record.liquidGrams !== null && expected.liquidGrams)
    found['water-short-pct'] = (100 * (expected.liquidGrams - record.liquidGrams)) / expected.liquidGrams
  const cooked = record.batches.filter((batch) => batch.minutes !== null)
  if (cooked.length && expected.cookMinutes)
    found['minutes-over-pct'] =
      100 *
      (cooked.reduce((sum, { minutes }) => sum + minutes!, 0) / cooked.length / expected.cookMinutes - 1)
  const made = record.made ?? expected.pieces
  if (record.left.fillingGrams !== null && expected.fillingGrams && typeof found.overfull === 'number')
    found.overfull *=
      ((expected.fillingGrams - record.left.fillingGrams) / expected.fillingGrams) * (expected.pieces / made)
  return found
}
