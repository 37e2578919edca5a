import { Bounds, type Arc } from './bounds'
import { checkProblem, type ScheduleProblem } from './problem'
import type { Resource } from './resources'
import { propagate, searchWithin, type Found, type SearchLimits } from './search'

/** A job in its place: minutes before the end of everything, `start` the larger. */
export interface Placed {
  id: string
  start: number
  end: number
}

export interface Schedule {
  /** Null when there is none, or none was found. */
  placed: Placed[] | null
  /** From the first start to the end; null without a schedule. */
  makespanMinutes: number | null
  /** No schedule can be shorter. */
  boundMinutes: number
  /** The schedule is as short as can be, or it is certain that there is none. */
  proven: boolean
}

export interface ScheduleOptions {
  /** Says that the time is up: the best found until then is answered. */
  expired?: () => boolean
  /** Told whenever a shorter schedule is found. */
  better?: (schedule: Schedule) => void
  /** The first schedule will do: only whether there is one is asked. */
  anyWillDo?: boolean
}

const DEAD_ENDS_FIRST = 60
const DEAD_ENDS_MOST = 400_000
const DEAD_ENDS_NEAR = 12
/** Looks about in the neighbourhood of the best schedule, of which none found a shorter one, before it is left. */
const NEAR_ROUNDS = 24
/** Jobs further apart than this keep their order by what lies between them. */
const KEPT_MINUTES = 60
const MAX_QUEUES = 12

/** Numbers that look random and are the same every time (linear congruence, the constants of Numerical Recipes). */
function lottery(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state * 1664525 + 1013904223) >>> 0
    return state / 4294967296
  }
}

/** The problem as the search sees it: time runs backwards from the end, so that the earliest start is the latest end. */
class Model {
  readonly minutes: Int32Array
  readonly arcs: Arc[] = []
  readonly resources: Resource[]
  /** What is away, as jobs of its own. */
  private readonly firstAway: number

  constructor(readonly problem: ScheduleProblem) {
    const { jobs, away, capacity } = problem
    const at = new Map(jobs.map(({ id }, index) => [id, index]))
    this.firstAway = jobs.length
    this.minutes = Int32Array.from([...jobs.map(({ minutes }) => minutes), ...away.map(() => 0)])
    jobs.forEach((job, later) => {
      for (const wait of job.after) {
        const earlier = at.get(wait.id)!
        this.arcs.push({ from: later, to: earlier, minutes: job.minutes + wait.minMinutes })
        if (wait.maxMinutes !== null)
          this.arcs.push({ from: earlier, to: later, minutes: -(job.minutes + wait.maxMinutes) })
      }
    })
    this.resources = Object.entries(capacity)
      .map(([name, most]): Resource => {
        const units = new Int32Array(this.minutes.length)
        jobs.forEach((job, index) => (units[index] = job.uses[name] ?? 0))
        away.forEach((one, index) => {
          if (one.resource === name) units[this.firstAway + index] = Math.min(most, one.units)
        })
        const users = [...units.keys()].filter((index) => units[index]! > 0)
        return {
          name,
          capacity: most,
          jobs: users,
          units,
          single: users.every((job) => units[job]! * 2 > most),
        }
      })
      .filter(({ jobs: users, units, capacity: most }) => {
        let sum = 0
        for (const job of users) sum += units[job]!
        return sum > most
      })
    this.resources.push(...this.queues())
  }

  /** Sets of jobs of which no two can run at once, whatever resource keeps them apart: they are as one resource. */
  private queues(): Resource[] {
    const count = this.minutes.length
    const apart = Array.from({ length: count }, () => new Uint8Array(count))
    for (const { jobs, units, capacity } of this.resources)
      for (const one of jobs)
        for (const other of jobs)
          if (one !== other && units[one]! + units[other]! > capacity) apart[one]![other] = 1
    for (const { from, to, minutes } of this.arcs)
      if (minutes >= this.minutes[from]! && minutes > 0) apart[from]![to] = apart[to]![from] = 1
    const found: Resource[] = []
    const covered = new Set(
      this.resources.filter(({ single }) => single).map(({ jobs }) => [...jobs].sort((a, b) => a - b).join()),
    )
    const crowd = (job: number) => apart[job]!.reduce((sum, one) => sum + one, 0)
    const order = [...this.minutes.keys()].filter((job) => crowd(job) > 1).sort((a, b) => crowd(b) - crowd(a))
    for (const seed of order) {
      const set = [seed]
      for (const job of order) if (set.every((one) => apart[one]![job])) set.push(job)
      const name = [...set].sort((a, b) => a - b).join()
      if (set.length < 3 || covered.has(name) || found.length >= MAX_QUEUES) continue
      covered.add(name)
      const units = new Int32Array(count)
      for (const job of set) units[job] = 1
      found.push({ name, capacity: 1, jobs: set, units, single: true })
    }
    return found
  }

  /**
   * The same bounds, with the order of a schedule kept among jobs that stand close together, but for those that are
   * let free; null when that cannot be. For looking about in the neighbourhood of a schedule.
   */
  near(horizon: number, { starts }: { starts: Int32Array }, free: ReadonlySet<number>): Bounds | null {
    const bounds = this.within(horizon)
    if (!bounds) return null
    for (const { jobs, units, capacity } of this.resources)
      for (const one of jobs) {
        if (free.has(one)) continue
        const end = starts[one]! + this.minutes[one]!
        for (const other of jobs)
          if (
            other !== one &&
            !free.has(other) &&
            starts[other]! >= end &&
            starts[other]! < end + KEPT_MINUTES &&
            units[one]! + units[other]! > capacity / 2
          )
            bounds.add({ from: one, to: other, minutes: this.minutes[one]! })
      }
    bounds.wakeAll()
    return propagate(bounds, this.resources) ? bounds : null
  }

  /** Bounds within which everything takes at most so many minutes; null when that cannot be at all. */
  within(horizon: number): Bounds | null {
    const { jobs, away } = this.problem
    const minutes = this.minutes.slice()
    away.forEach((one, n) => {
      minutes[this.firstAway + n] = Math.max(0, Math.min(one.from, horizon) - one.until)
    })
    const bounds = new Bounds(minutes, this.arcs)
    jobs.forEach((job, at) => {
      bounds.earliest[at] = Math.max(0, job.doneBy ?? 0)
      bounds.latest[at] = Math.min(horizon, job.notBefore ?? horizon) - job.minutes
    })
    away.forEach((one, n) => {
      bounds.earliest[this.firstAway + n] = one.until
      bounds.latest[this.firstAway + n] = one.until
    })
    bounds.wakeAll()
    return propagate(bounds, this.resources) ? bounds : null
  }

  place({ starts }: { starts: Int32Array }): Placed[] {
    return this.problem.jobs.map(({ id, minutes }, at) => ({
      id,
      start: starts[at]! + minutes,
      end: starts[at]!,
    }))
  }
}

const spanOf = (placed: readonly Placed[]) => placed.reduce((most, { start }) => Math.max(most, start), 0)

/**
 * Places jobs so that everything takes as short as can be and each begins as late as it can, by constraint search:
 * bounds on the whole come from narrowing alone, schedules from branching, and the two close in on each other.
 *
 * @throws RecipeProblem for a problem that no schedule could be made of
 */
export function schedule(problem: ScheduleProblem, options: ScheduleOptions = {}): Schedule {
  checkProblem(problem)
  const expired = options.expired ?? (() => false)
  const model = new Model(problem)
  const all = problem.jobs.reduce(
    (sum, job) => sum + job.minutes + Math.max(0, ...job.after.map(({ minMinutes }) => minMinutes)),
    0,
  )
  // Behind what ends, or before what never began, there is room.
  const idle = problem.away.reduce(
    (sum, one) => Math.max(sum, Number.isFinite(one.from) ? one.from : one.until),
    0,
  )
  const latest = Math.max(0, ...problem.jobs.map((job) => job.doneBy ?? 0))
  const roomy = all + idle + latest
  const most = Math.min(roomy, problem.availableMinutes ?? roomy)

  // The shortest that narrowing alone does not rule out.
  if (!model.within(most)) return { placed: null, makespanMinutes: null, boundMinutes: most, proven: true }
  let low = 0
  for (let high = most; low < high;) {
    const middle = (low + high) >> 1
    if (model.within(middle)) high = middle
    else low = middle + 1
  }

  let best: Int32Array | null = null
  let bound = low
  let span = most + 1
  const answer = (): Schedule => ({
    placed: best && model.place({ starts: best }),
    makespanMinutes: best && span,
    boundMinutes: Math.min(bound, span, most),
    proven: bound >= span,
  })
  const look = (
    bounds: Bounds | null,
    deadEnds: number,
    first: SearchLimits['first'] = 'roomiest',
  ): Found['state'] => {
    if (!bounds) return 'none'
    const found = searchWithin(bounds, model.resources, { deadEnds, first, expired })
    if (found.state !== 'found') return found.state
    best = found.starts
    span = spanOf(model.place(found))
    options.better?.(answer())
    return 'found'
  }
  const draw = lottery(problem.jobs.length)
  /** Lets some jobs of the best schedule free, those around a moment or any, and looks for a shorter one. */
  const lookAbout = () => {
    for (let round = 0; best && bound < span && round < NEAR_ROUNDS && !expired(); round++) {
      const starts: Int32Array = best
      const middle = draw() * span
      const share = 0.25 + 0.35 * draw()
      const byTime = draw() < 0.6
      const free = new Set<number>()
      for (let job = 0; job < problem.jobs.length; job++)
        if (byTime ? Math.abs(starts[job]! - middle) < (share * span) / 2 : draw() < share) free.add(job)
      if (look(model.near(span - 1, { starts }, free), DEAD_ENDS_NEAR) === 'found') round = -1
    }
  }

  // Whether there is any at all is asked with all the time there is.
  const lookAtAll = (deadEnds: number) => {
    const state = look(model.within(most), deadEnds, 'earliest')
    if ((state === 'unknown' ? look(model.within(most), deadEnds) : state) === 'none') bound = most + 1
  }
  lookAtAll(DEAD_ENDS_FIRST)
  let deadEnds = DEAD_ENDS_FIRST
  while (bound < span && !expired() && !(options.anyWillDo && best)) {
    // The bound itself is often reached, or refuted; where neither comes quickly, from above.
    const atBound = look(model.within(bound), deadEnds)
    if (atBound === 'none') bound++
    if (atBound !== 'unknown') continue
    if (!best) lookAtAll(deadEnds)
    lookAbout()
    if (best && bound < span) {
      const state = look(model.within(span - 1), deadEnds)
      if (state === 'none') bound = span
    }
    deadEnds = Math.min(DEAD_ENDS_MOST, deadEnds * 2)
  }
  return answer()
}
