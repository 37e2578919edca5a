import type { Food } from '../food/food'
import type { UsualTimes } from '../planning/times'
import type { Calibration } from './calibrate'

/** What a cook's bakes have taught, as it is used: factors by quantity, with since how many bakes. */
export type Factors = Readonly<Record<string, { factor: number; bakes: number }>>

/** The factors that are used: those that the cook has not switched off. */
export const factorsInUse = (calibrations: readonly Calibration[], off: readonly string[]): Factors =>
  Object.fromEntries(
    calibrations
      .filter(({ id }) => !off.includes(id))
      .map(({ id, learnt }) => [id, { factor: learnt.mean, bakes: learnt.n }]),
  )

const since = (bakes: number) => `since your ${bakes} ${bakes === 1 ? 'bake' : 'bakes'}`

/** Flours as they drink in this kitchen: copies of those of the table, with their own demand. */
export function learntFlours(foods: ReadonlyMap<string, Food>, factors: Factors): Food[] {
  return Object.entries(factors).flatMap(([id, { factor, bakes }]) => {
    const food = id.startsWith('flour:') ? foods.get(id.slice('flour:'.length)) : undefined
    if (!food || food.waterDemand === null) return []
    return [
      {
        ...food,
        waterDemand: food.waterDemand * factor,
        source: `${food.source}; what it drinks: ${since(bakes)}`,
      },
    ]
  })
}

/** Times as these hands have them: rows of the table, longer or shorter. */
export function learntTimes(times: UsualTimes, factors: Factors): UsualTimes {
  const own = new Map(times)
  for (const [id, { factor, bakes }] of Object.entries(factors)) {
    const row = id.startsWith('closing:') ? `shape-${id.slice('closing:'.length)}` : ''
    const usual = times.get(row)
    if (usual)
      own.set(row, {
        ...usual,
        minutes: usual.minutes * factor,
        low: usual.low * factor,
        high: usual.high * factor,
        why: `${usual.why}; ${since(bakes)}`,
      })
  }
  return own
}
