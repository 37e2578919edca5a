import type { Arc, Bounds } from './bounds'
import { filterByTimetable, filterSingle, hasRoom, type Resource } from './resources'

/** What a search within a number of minutes came to: starts, the certainty that there are none, or no more time. */
export type Found = { state: 'found'; starts: Int32Array } | { state: 'none' | 'unknown' }

export interface SearchLimits {
  /** Dead ends after which it is given up. */
  deadEnds: number
  /**
   * Of two jobs that cannot run at once, which is put first: the one that leaves most room, which proves sooner, or the
   * one that could begin first, which keeps chains of short waits together.
   */
  first?: 'roomiest' | 'earliest'
  expired: () => boolean
}

/** Narrows until nothing changes any more; false at a dead end. */
export function propagate(bounds: Bounds, resources: readonly Resource[]): boolean {
  const before = new Int32Array(bounds.earliest.length * 2)
  const changed = () => {
    const { earliest, latest } = bounds
    const count = earliest.length
    let differs = false
    for (let job = 0; job < count; job++) {
      if (before[job] !== earliest[job] || before[count + job] !== latest[job]) differs = true
      before[job] = earliest[job]!
      before[count + job] = latest[job]!
    }
    return differs
  }
  const settled = () => bounds.settle() || (bounds.forget(), false)
  if (!settled()) return false
  changed()
  do {
    for (const resource of resources) {
      const fits =
        filterByTimetable(resource, bounds) &&
        (resource.single ? filterSingle(resource, bounds) : hasRoom(resource, bounds))
      if (!fits) {
        bounds.forget()
        return false
      }
      if (!settled()) return false
    }
  } while (changed())
  return true
}

/** Jobs that would run at once, each at its earliest, and are too many for a resource; null where all is well. */
function clash(bounds: Bounds, resources: readonly Resource[]): number[] | null {
  const { earliest, latest, minutes } = bounds
  let best: number[] | null = null
  let bestSlack = Infinity
  for (const { jobs, units, capacity } of resources) {
    const sorted = jobs.filter((job) => minutes[job]! > 0).sort((a, b) => earliest[a]! - earliest[b]!)
    let running: number[] = []
    for (const job of sorted) {
      const now = earliest[job]!
      running = running.filter((other) => earliest[other]! + minutes[other]! > now)
      running.push(job)
      let sum = 0
      for (const one of running) sum += units[one]!
      if (sum <= capacity) continue
      // As few as are too many, the tightest first.
      const tight = [...running].sort((a, b) => latest[a]! - earliest[a]! - (latest[b]! - earliest[b]!))
      const set: number[] = []
      let taken = 0
      for (const one of tight) {
        set.push(one)
        taken += units[one]!
        if (taken > capacity) break
      }
      for (const one of [...set])
        if (taken - units[one]! > capacity) {
          taken -= units[one]!
          set.splice(set.indexOf(one), 1)
        }
      // Few and tight ones first: they decide most. Of equals, the earlier.
      let slack = 0
      for (const one of set) slack += latest[one]! - earliest[one]!
      slack = (slack / set.length) * (set.length - 1) + now / 10_000
      if (slack < bestSlack) {
        best = set
        bestSlack = slack
      }
      break
    }
  }
  return best
}

/**
 * Looks for starts of all jobs within bounds, by putting one job behind another wherever too many would run at once
 * (branching on minimal forbidden sets), until the earliest starts are a schedule.
 *
 * Complete: 'none' is a proof.
 */
export function searchWithin(bounds: Bounds, resources: readonly Resource[], limits: SearchLimits): Found {
  let deadEnds = 0
  const dive = (): Found => {
    if (!propagate(bounds, resources)) {
      deadEnds++
      return { state: 'none' }
    }
    if (deadEnds > limits.deadEnds || limits.expired()) return { state: 'unknown' }
    const set = clash(bounds, resources)
    if (!set) return { state: 'found', starts: bounds.earliest.slice() }
    const { earliest, latest, minutes } = bounds
    const pairs: { arc: Arc; slack: number }[] = []
    for (const first of set)
      for (const second of set) {
        const slack = latest[second]! - earliest[first]! - minutes[first]!
        if (first !== second && slack >= 0)
          pairs.push({ arc: { from: first, to: second, minutes: minutes[first]! }, slack })
      }
    pairs.sort((a, b) =>
      limits.first === 'earliest'
        ? earliest[a.arc.from]! - earliest[b.arc.from]! || b.slack - a.slack
        : b.slack - a.slack,
    )
    const refused: Arc[] = []
    let answer: Found = { state: 'none' }
    for (const { arc } of pairs) {
      const saved = bounds.save()
      const added = [...refused, arc]
      for (const one of added) {
        bounds.add(one)
        bounds.wake(one.from)
        bounds.wake(one.to)
      }
      const found = dive()
      for (const one of [...added].reverse()) bounds.remove(one)
      bounds.restore(saved)
      if (found.state !== 'none') {
        answer = found
        break
      }
      // Not this one before that one: the second begins before the first is over.
      refused.push({ from: arc.to, to: arc.from, minutes: 1 - arc.minutes })
    }
    return answer
  }
  return dive()
}
