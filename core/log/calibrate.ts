import { learn, type Learnt, type Observation } from './learn'
import type { CookRecord } from './record'

/** A quantity of this cook's own, as a factor on what the tables say. */
export interface Calibration {
  /** "flour:plain-flour", "oil:deep-fry", "closing:half-moon", "filling". */
  id: string
  name: string
  /** What the factor is of, with its unit: for showing. */
  of: string
  prior: { mean: number; sd: number; why: string }
  learnt: Learnt
  /** The bakes it was learnt from, the latest first, with the factor each gave. */
  bakes: { recordAt: number; title: string; factor: number; trust: number }[]
}

/** How far a cook's own may lie from the tables, and how sure one bake says so, as shares. Our own choice, from the ranges in the tables. */
const KINDS = {
  flour: {
    sd: 0.06,
    seen: 0.03,
    of: 'water that a gram of it drinks',
    why: 'flours of one kind differ by some 6 % in what they drink; a bake shows it to some 3 %',
  },
  oil: {
    sd: 0.35,
    seen: 0.15,
    of: 'fat that a piece takes up',
    why: 'uptake is predicted to some 35 %; oil weighed before and after shows it to 15 %',
  },
  filling: {
    sd: 0.1,
    seen: 0.04,
    of: 'what the filling weighs when it is done',
    why: 'losses in the pan are predicted to some 10 %; the scale shows them to 4 %',
  },
  closing: {
    sd: 0.4,
    seen: 0.2,
    of: 'minutes to fill and close a piece',
    why: 'hands differ by some 40 %; one evening shows it to 20 %',
  },
} as const
type Kind = keyof typeof KINDS
const kindOf = (id: string) => id.split(':')[0] as Kind

/** What one bake says of each quantity that it shows. */
export function factorsOf(record: CookRecord): { id: string; name: string; factor: number }[] {
  const { expected } = record
  const found: { id: string; name: string; factor: number }[] = []
  const add = (id: string, name: string, factor: number) => {
    if (Number.isFinite(factor) && factor > 0) found.push({ id, name, factor })
  }
  // As much more water as went in, the flour drank more, where the dough then felt as wanted.
  const felt = record.judgement.feel === null || record.judgement.feel === 3
  if (record.liquidGrams !== null && expected.liquidGrams !== null && expected.flourId && felt) {
    const free = expected.freeWaterGrams ?? expected.liquidGrams
    add(
      `flour:${expected.flourId}`,
      expected.flourName,
      (free + record.liquidGrams - expected.liquidGrams) / free,
    )
  }
  const made = record.made ?? expected.pieces
  if (record.oilBeforeGrams !== null && record.oilAfterGrams !== null && expected.oilGramsPerPiece)
    add(
      `oil:${expected.way}`,
      `Oil, ${expected.way}`,
      (record.oilBeforeGrams - record.oilAfterGrams) / made / expected.oilGramsPerPiece,
    )
  if (record.finishedFillingGrams !== null && expected.fillingGrams)
    add('filling', 'Fillings', record.finishedFillingGrams / expected.fillingGrams)
  if (record.closeMinutes !== null && expected.closeMinutesPerPiece)
    add(
      `closing:${expected.closing}`,
      `Closing, ${expected.closing}`,
      record.closeMinutes / made / expected.closeMinutesPerPiece,
    )
  return found
}

/**
 * What the records of a cook teach, quantity by quantity: the table's value as the belief before, each bake as an
 * observation, what is long past saying less.
 *
 * @param records in any order; those not finished are left out
 */
export function calibrate(records: readonly CookRecord[]): Calibration[] {
  const finished = records
    .filter(({ finishedAt }) => finishedAt !== null)
    .sort((a, b) => b.startedAt - a.startedAt)
  const seen = new Map<string, { name: string; bakes: { record: CookRecord; factor: number }[] }>()
  for (const record of finished)
    for (const { id, name, factor } of factorsOf(record)) {
      const known = seen.get(id)
      if (known) known.bakes.push({ record, factor })
      else seen.set(id, { name, bakes: [{ record, factor }] })
    }
  return [...seen].map(([id, { name, bakes }]) => {
    const kind = KINDS[kindOf(id)]
    const observations = bakes.map(({ factor }, bakesAgo): Observation => ({
      value: factor,
      sd: kind.seen,
      bakesAgo,
    }))
    const learnt = learn({ mean: 1, sd: kind.sd }, observations)
    return {
      id,
      name,
      of: kind.of,
      prior: { mean: 1, sd: kind.sd, why: `${kind.why}; our own choice` },
      learnt,
      bakes: bakes.map(({ record, factor }, at) => ({
        recordAt: record.startedAt,
        title: record.title,
        factor,
        trust: learnt.trust[at]!,
      })),
    }
  })
}

/** The factor of a quantity, and since how many bakes; 1 where nothing is learnt or it is switched off. */
export function factorOf(
  calibrations: readonly Calibration[],
  id: string,
  off: readonly string[] = [],
): { factor: number; bakes: number } {
  const found = off.includes(id) ? undefined : calibrations.find((one) => one.id === id)
  return found ? { factor: found.learnt.mean, bakes: found.learnt.n } : { factor: 1, bakes: 0 }
}
