import type { Bounds } from './bounds'

/** A resource, and the jobs that use some of it. */
export interface Resource {
  name: string
  capacity: number
  jobs: number[]
  /** By job of the whole problem; 0 for what does not use it. */
  units: Int32Array
  /** Every job takes all of it, so that they stand one after another. */
  single: boolean
}

/**
 * Narrows starts by what must be running anyway (time-table filtering): a job cannot run where the parts of others
 * that are fixed already leave too little. False when the fixed parts alone are too many.
 */
export function filterByTimetable(resource: Resource, bounds: Bounds): boolean {
  const { jobs, units, capacity } = resource
  const { earliest, latest, minutes } = bounds
  const fixed = jobs.filter((job) => latest[job]! < earliest[job]! + minutes[job]!)
  if (!fixed.length) return true
  const times = new Set<number>()
  for (const job of fixed) times.add(latest[job]!).add(earliest[job]! + minutes[job]!)
  const marks = [...times].sort((a, b) => a - b)
  const level = new Int32Array(marks.length)
  for (const job of fixed) {
    const from = latest[job]!
    const until = earliest[job]! + minutes[job]!
    for (let at = 0; at < marks.length; at++) {
      if (marks[at]! < from) continue
      if (marks[at]! >= until) break
      level[at]! += units[job]!
      if (level[at]! > capacity) return false
    }
  }
  const last = marks.length - 1
  for (const job of jobs) {
    const needs = units[job]!
    const length = minutes[job]!
    if (length === 0) continue
    const ownFrom = latest[job]!
    const ownUntil = earliest[job]! + length
    const full = (at: number) => {
      const own = marks[at]! >= ownFrom && marks[at]! < ownUntil ? needs : 0
      return level[at]! - own + needs > capacity
    }
    let start = earliest[job]!
    for (let at = 0; at < last; at++) {
      if (marks[at + 1]! <= start) continue
      if (marks[at]! >= start + length) break
      if (full(at)) start = marks[at + 1]!
    }
    if (!bounds.raise(job, start)) return false
    let end = latest[job]! + length
    for (let at = last - 1; at >= 0; at--) {
      if (marks[at]! >= end) continue
      if (marks[at + 1]! <= end - length) break
      if (full(at)) end = marks[at]!
    }
    if (!bounds.lower(job, end - length)) return false
  }
  return true
}

/** False when some stretch of time has less of the resource than the jobs need that must lie wholly within it. */
export function hasRoom(resource: Resource, bounds: Bounds): boolean {
  const { jobs, units, capacity } = resource
  const { earliest, latest, minutes } = bounds
  const byStart = jobs.filter((job) => minutes[job]! > 0).sort((a, b) => earliest[b]! - earliest[a]!)
  const ends = [...new Set(byStart.map((job) => latest[job]! + minutes[job]!))]
  for (const end of ends) {
    let energy = 0
    for (const job of byStart) {
      if (latest[job]! + minutes[job]! > end) continue
      energy += minutes[job]! * units[job]!
      if (energy > capacity * (end - earliest[job]!)) return false
    }
  }
  return true
}

/**
 * Edge finding for jobs that stand one after another: a job that cannot come before or among a set of others comes
 * after all of them. The quadratic form of J. Carlier and E. Pinson as W. Nuijten wrote it (1994), from memory.
 */
function findEdges(jobs: readonly number[], starts: Int32Array, ends: Int32Array, minutes: Int32Array) {
  const sorted = [...jobs].sort((a, b) => starts[a]! - starts[b]!)
  const fresh = new Map<number, number>()
  const below = new Map<number, number>()
  for (const last of jobs) {
    const end = ends[last]!
    let sum = 0
    let reach = -Infinity
    for (let at = sorted.length - 1; at >= 0; at--) {
      const job = sorted[at]!
      if (ends[job]! <= end) {
        sum += minutes[job]!
        reach = Math.max(reach, starts[job]! + sum)
        if (reach > end) return null
      }
      below.set(job, reach)
    }
    let head = -Infinity
    for (const job of sorted) {
      if (ends[job]! <= end) {
        head = Math.max(head, starts[job]! + sum)
        sum -= minutes[job]!
        continue
      }
      let start = fresh.get(job) ?? -Infinity
      if (starts[job]! + sum + minutes[job]! > end) start = Math.max(start, below.get(job)!)
      if (head + minutes[job]! > end) start = Math.max(start, reach)
      if (start > starts[job]!) fresh.set(job, start)
    }
  }
  return fresh
}

/** Narrows the starts of jobs that stand one after another, from both sides; false when they cannot all be. */
export function filterSingle(resource: Resource, bounds: Bounds): boolean {
  const { earliest, latest, minutes } = bounds
  const jobs = resource.jobs.filter((job) => minutes[job]! > 0)
  const ends = new Int32Array(minutes.length)
  for (const job of jobs) ends[job] = latest[job]! + minutes[job]!
  const later = findEdges(jobs, earliest, ends, minutes)
  if (!later) return false
  for (const [job, start] of later) if (!bounds.raise(job, start)) return false
  // The same seen from the end.
  const starts = new Int32Array(minutes.length)
  for (const job of jobs) {
    starts[job] = -(latest[job]! + minutes[job]!)
    ends[job] = -earliest[job]!
  }
  const sooner = findEdges(jobs, starts, ends, minutes)
  if (!sooner) return false
  for (const [job, start] of sooner) if (!bounds.lower(job, -start - minutes[job]!)) return false
  // Of two, one order that cannot be makes the other certain.
  for (let a = 0; a < jobs.length; a++)
    for (let b = a + 1; b < jobs.length; b++) {
      const one = jobs[a]!
      const other = jobs[b]!
      const oneFirst = earliest[one]! + minutes[one]! <= latest[other]!
      const otherFirst = earliest[other]! + minutes[other]! <= latest[one]!
      if (oneFirst && otherFirst) continue
      if (!oneFirst && !otherFirst) return false
      const [first, second] = oneFirst ? [one, other] : [other, one]
      if (!bounds.raise(second, earliest[first]! + minutes[first]!)) return false
      if (!bounds.lower(first, latest[second]! - minutes[first]!)) return false
    }
  return true
}
