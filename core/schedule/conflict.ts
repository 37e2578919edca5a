import { schedule } from './schedule'
import type { ScheduleProblem } from './problem'

/** Something that was asked for and could be given up. */
export interface Wish {
  id: string
  /** As a cook would say it. */
  says: string
  /** The problem without it. */
  without: (problem: ScheduleProblem) => ScheduleProblem
}

export interface Conflict {
  /** Wishes that cannot be had together, none of which could be left out of the list; empty where time ran out. */
  wishes: { id: string; says: string }[]
  /** How many minutes later the end would have to be for everything to fit; null where no delay helps. */
  laterMinutes: number | null
}

/** Longest delay that is looked at. */
const MAX_DELAY_MINUTES = 1440
const DELAY_STEP_MINUTES = 1

type Clock = () => boolean

/** True, false, or null where time ran out. */
function possible(problem: ScheduleProblem, expired: Clock): boolean | null {
  const { placed, proven } = schedule(problem, { expired, anyWillDo: true })
  return placed ? true : proven ? false : null
}

/** The waits that must not be longer than so much, each a wish of its own. */
export function waitWishes(problem: ScheduleProblem, nameOf: (id: string) => string = (id) => id): Wish[] {
  return problem.jobs.flatMap((job) =>
    job.after.flatMap((wait): Wish[] =>
      wait.maxMinutes === null
        ? []
        : [
            {
              id: `wait:${wait.id}:${job.id}`,
              says: `${nameOf(job.id)} at most ${wait.maxMinutes} min after ${nameOf(wait.id)}`,
              without: (whole) => ({
                ...whole,
                jobs: whole.jobs.map((one) =>
                  one.id === job.id
                    ? {
                        ...one,
                        after: one.after.map((own) =>
                          own.id === wait.id ? { ...own, maxMinutes: null } : own,
                        ),
                      }
                    : one,
                ),
              }),
            },
          ],
    ),
  )
}

/** The same jobs when the end is so much later: what stands at a time of day is then further before the end. */
export function later(problem: ScheduleProblem, minutes: number): ScheduleProblem {
  const shift = (value: number | null | undefined) =>
    value === null || value === undefined ? null : value + minutes
  return {
    ...problem,
    jobs: problem.jobs.map((job) => ({ ...job, notBefore: shift(job.notBefore), doneBy: shift(job.doneBy) })),
    away: problem.away.map((one) => ({ ...one, from: one.from + minutes, until: one.until + minutes })),
    availableMinutes: shift(problem.availableMinutes),
  }
}

/**
 * Why a problem has no schedule: wishes of which each is needed for the contradiction (found by leaving out one after
 * another), and how much later the end would have to be.
 *
 * @param wishes what could be given up, the least dear last
 */
export function conflictOf(problem: ScheduleProblem, wishes: readonly Wish[], expired: Clock): Conflict {
  let kept = [...wishes]
  const without = (left: readonly Wish[]) =>
    wishes.filter((one) => !left.includes(one)).reduce((whole, wish) => wish.without(whole), problem)
  // In halves first: most wishes have no part in it.
  for (
    let size = Math.ceil(kept.length / 2);
    size >= 1 && !expired();
    size = size === 1 ? 0 : Math.ceil(size / 2)
  )
    for (let at = 0; at < kept.length && !expired();) {
      const left = [...kept.slice(0, at), ...kept.slice(at + size)]
      if (possible(without(left), expired) === false) kept = left
      else at += size
    }
  return {
    wishes: expired() ? [] : kept.map(({ id, says }) => ({ id, says })),
    laterMinutes: delayFor(problem, expired),
  }
}

/** The smallest delay of the end, in whole minutes, with which there is a schedule; null where none helps. */
export function delayFor(problem: ScheduleProblem, expired: Clock): number | null {
  if (possible(later(problem, MAX_DELAY_MINUTES), expired) !== true) return null
  let low = 0
  let high = 15
  while (possible(later(problem, high), expired) !== true) {
    if (expired() || high >= MAX_DELAY_MINUTES) return null
    low = high
    high = Math.min(MAX_DELAY_MINUTES, high * 2)
  }
  while (high - low > DELAY_STEP_MINUTES && !expired()) {
    const middle = (low + high) >> 1
    if (possible(later(problem, middle), expired) === true) high = middle
    else low = middle
  }
  return high
}
