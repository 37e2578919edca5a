import { waitWishes, type Wish } from '../schedule/conflict'

import type { Away, Job, ScheduleProblem } from '../schedule/problem'
import type { Placed } from '../schedule/schedule'
import type { Dinner } from './dinner'
import type { Task } from './tasks'
import { SERVE } from './work'

/** Hands of those who do everything, and of those who only fill and close. */
const HANDS = 'hands'
const HELPERS = 'helpers'
/** Where anybody may close: those of the hands that can do the rest. */
const SKILLED = 'everything'

/** Ids of the closing that helpers do; null where it is anybody's, which no real crew falls short of. */
export type Helped = ReadonlySet<string> | null

/** Who is away when, and the wish that it follows from. */
function awayOf(dinner: Dinner, helped: Helped): { away: Away; wish: string }[] {
  const found: { away: Away; wish: string }[] = []
  const full = dinner.people.filter((one) => one.does === 'everything').length
  const gone = (resource: string, units: number, from: number, until: number, wish: string) => {
    found.push({ away: { resource, units, from, until }, wish })
    // Whoever can do everything is gone from there too.
    if (helped === null && resource === HANDS)
      found.push({ away: { resource: SKILLED, units, from, until }, wish })
  }
  dinner.people.forEach(({ from, does }, at) => {
    if (from === null) return
    const wish = `comes:${at}`
    if (does === 'everything') gone(HANDS, 1, Infinity, from, wish)
    else
      found.push({
        away: { resource: helped ? HELPERS : HANDS, units: 1, from: Infinity, until: from },
        wish,
      })
  })
  const { night } = dinner
  if (night) {
    gone(HANDS, full, Infinity, night.from, 'night')
    if (night.until > night.backAt) gone(HANDS, full, night.until, night.backAt, 'night')
  }
  return found
}

/** What hands a task takes. */
function handsFor(task: Task, helped: Helped): Record<string, number> {
  if (!task.hands) return {}
  if (helped === null) return task.kind === 'shape' ? { [HANDS]: 1 } : { [HANDS]: 1, [SKILLED]: 1 }
  return { [helped.has(task.id) ? HELPERS : HANDS]: 1 }
}

/** A dinner's work as a problem of jobs: what has begun stands, what was laid by hand lies there. */
export function problemOf(dinner: Dinner, work: readonly Task[], helped: Helped): ScheduleProblem {
  const { night, now, givenUp } = dinner
  const jobs = work.map((task): Job => {
    const begun = dinner.begun[task.id]
    const fixed = begun?.start ?? dinner.edits[task.id]?.start
    const minutes = begun
      ? Math.max(0, begun.start - (begun.end ?? begun.start - task.minutes))
      : task.minutes
    return {
      id: task.id,
      minutes,
      // What is over occupies nothing that is to come.
      uses: begun?.end != null ? {} : { ...task.uses, ...handsFor(task, helped) },
      after: begun
        ? []
        : task.after.map(({ id, minMinutes, maxMinutes }) => ({
            id,
            minMinutes,
            maxMinutes: givenUp.includes(`wait:${id}:${task.id}`) ? null : maxMinutes,
          })),
      notBefore: task.id === SERVE ? 0 : (fixed ?? now),
      doneBy: fixed !== undefined ? fixed - minutes : task.ahead && night ? night.until : null,
    }
  })
  const full = dinner.people.filter((one) => one.does === 'everything').length
  const helpers = dinner.people.length - full
  return {
    jobs,
    capacity: {
      ...dinner.equipment,
      ...(helped === null
        ? { [HANDS]: full + helpers, [SKILLED]: full }
        : { [HANDS]: full, [HELPERS]: helpers }),
    },
    away: awayOf(dinner, helped).map(({ away }) => away),
    availableMinutes: dinner.availableMinutes,
  }
}

/** What a cook asked for and could give up: waits, when it begins, who is there when, what was laid by hand. */
export function wishesOf(
  dinner: Dinner,
  work: readonly Task[],
  helped: Helped,
  problem: ScheduleProblem,
): Wish[] {
  const ofDish = (task: Task) =>
    dinner.dishes.length > 1 && task.kind !== 'serve' ? ` (${dinner.dishes[task.dish]!.recipe.title})` : ''
  const names = new Map(work.map((task) => [task.id, `"${task.name}"${ofDish(task)}`]))
  const wishes: Wish[] = waitWishes(problem, (id) => names.get(id) ?? id)
  if (problem.availableMinutes !== null)
    wishes.push({
      id: 'from',
      says: 'nothing begins before the time you gave',
      without: (whole) => ({ ...whole, availableMinutes: null }),
    })
  const away = awayOf(dinner, helped)
  const present = (wish: string) => (whole: ScheduleProblem) => ({
    ...whole,
    // In the order of the list: a problem keeps who is away as it was made.
    away: whole.away.filter((one) => !away.some((own) => own.wish === wish && sameAway(own.away, one))),
  })
  dinner.people.forEach(({ name, from }, at) => {
    if (from !== null)
      wishes.push({
        id: `comes:${at}`,
        says: `${name || `cook ${at + 1}`} comes only later`,
        without: present(`comes:${at}`),
      })
  })
  for (const [id, edit] of Object.entries(dinner.edits))
    if (edit.start !== undefined && names.has(id))
      wishes.push({
        id: `laid:${id}`,
        says: `${names.get(id)} where you laid it`,
        without: (whole) => ({
          ...whole,
          jobs: whole.jobs.map((job) =>
            job.id === id ? { ...job, notBefore: dinner.now, doneBy: null } : job,
          ),
        }),
      })
  if (dinner.night)
    wishes.push({
      id: 'night',
      says: 'what can be is done the evening before, and nobody works in the night',
      without: (whole) => ({
        ...present('night')(whole),
        jobs: whole.jobs.map((job) =>
          dinner.begun[job.id] || dinner.edits[job.id]?.start !== undefined ? job : { ...job, doneBy: null },
        ),
      }),
    })
  return wishes
}

const sameAway = (one: Away, other: Away) =>
  one.resource === other.resource &&
  one.units === other.units &&
  one.from === other.from &&
  one.until === other.until

/**
 * Which closing helpers do, as it falls out where it was anybody's: hands to a helper who is free, else to a cook.
 *
 * @param placed a schedule in which anybody closes
 */
export function helpedIn(dinner: Dinner, work: readonly Task[], placed: readonly Placed[]): Set<string> {
  const at = new Map(placed.map((one) => [one.id, one]))
  const free = dinner.people.filter((one) => one.does === 'shaping').map(({ from }) => from ?? Infinity)
  const helped = new Set<string>()
  const shaping = work
    .filter((task) => task.kind === 'shape' && !dinner.begun[task.id])
    .sort((a, b) => at.get(b.id)!.start - at.get(a.id)!.start)
  for (const task of shaping) {
    const { start, end } = at.get(task.id)!
    const helper = free.findIndex((until) => until >= start)
    if (helper < 0) continue
    free[helper] = end
    helped.add(task.id)
  }
  return helped
}
