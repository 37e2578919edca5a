import type { FoodRow } from '../food/food'

/** How long something takes, and how long it may wait after it. Minutes, or minutes for each gram, piece or line. */
export interface UsualTime {
  id: string
  minutes: number
  low: number
  high: number
  /** Longest wait after it; null where it may wait for ever. */
  mostWait: number | null
  why: string
  source: string
}

export type UsualTimes = ReadonlyMap<string, UsualTime>

/**
 * Turns the rows of `data/times.csv` into times.
 *
 * @throws Error naming the row whose minutes are not a range with the usual in it, or that says no why or source
 */
export function timesFromRows(rows: readonly FoodRow[]): UsualTimes {
  return new Map(
    rows.map((row): [string, UsualTime] => {
      const [minutes, low, high] = [Number(row.minutes), Number(row.low), Number(row.high)]
      const mostWait = row.most_wait ? Number(row.most_wait) : null
      const fits = low >= 0 && low <= minutes && minutes <= high && (mostWait === null || mostWait >= 0)
      if (!row.id || !fits || !row.why || !row.source) throw new Error(`Time "${row.id}" is not understood`)
      return [row.id, { id: row.id, minutes, low, high, mostWait, why: row.why, source: row.source }]
    }),
  )
}

/**
 * The time of a name.
 *
 * @throws Error for a name the table does not hold
 */
export function timeOf(times: UsualTimes, id: string): UsualTime {
  const found = times.get(id)
  if (!found) throw new Error(`data/times.csv has no row "${id}"`)
  return found
}
