import { conflictOf, type Conflict } from '../schedule/conflict'
import { schedule, type Schedule } from '../schedule/schedule'
import type { ReferenceData } from '../tables/referenceData'
import { helpedIn, problemOf, wishesOf, type Helped } from './asProblem'
import { foodSafetyOf, type WarmFood } from './foodSafety'
import { ordersApart } from './keepApart'
import { placeTasks } from './placeTasks'
import type { Dish, Equipment, Task } from './tasks'
import type { UsualTimes } from './times'
import { workOf, type Work } from './work'

/** What somebody does: everything, or only filling and closing. */
export const WORK_OF = ['everything', 'shaping'] as const

/** Somebody who cooks. Times of day are minutes before serving. */
export interface Person {
  name: string
  /** There from so many minutes before serving; null from the beginning. */
  from: number | null
  does: (typeof WORK_OF)[number]
}

/** What the cook has changed about a task: how long it takes, and where it is to lie. */
export interface TaskEdit {
  minutes?: number
  /** Minutes before serving at which it begins, where the cook has laid it. */
  start?: number
}

/** What has begun: when, and when it was over; null while it goes on. Minutes before serving. */
export interface Begun {
  start: number
  end: number | null
}

export interface Dinner {
  dishes: readonly Dish[]
  people: readonly Person[]
  equipment: Readonly<Record<Equipment, number>>
  roomC: number
  burnerW: number
  /** Nothing begins earlier than this; null for any time. */
  availableMinutes: number | null
  /** The evening before, in minutes before serving: what can be is done then, and nobody works from its end until `backAt`. */
  night: { from: number; until: number; backAt: number } | null
  /** Dishes that hold least are worked and cooked first, and things are cleaned between. */
  keepApart: boolean
  edits: Readonly<Record<string, TaskEdit>>
  begun: Readonly<Record<string, Begun>>
  /** The clock, in minutes before serving; null while the plan is only made. */
  now: number | null
  /** Ids of wishes that are given up. */
  givenUp: readonly string[]
}

export interface PlannedTask extends Task {
  /** Minutes before serving. */
  start: number
  end: number
  /** Index of whose hands; null for what needs none. */
  person: number | null
  /** Which one, where there are several of what it uses. */
  lane: Partial<Record<Equipment, number>>
  /** It was begun, or is over. */
  state: 'to do' | 'begun' | 'done'
  /** Where it could lie without anything else moving. */
  earliestStart: number
  latestEnd: number
}

export interface PlannedDinner {
  /** Null where there is no plan; then `conflict` says why. */
  tasks: PlannedTask[] | null
  /** What was to be planned, whether there is a plan or not. */
  work: Task[]
  makespanMinutes: number | null
  boundMinutes: number
  proven: boolean
  warnings: string[]
  foodSafety: WarmFood[]
  conflict: Conflict | null
}

export interface PlanOptions {
  expired?: () => boolean
  /** Told of every better plan. */
  better?: (plan: PlannedDinner) => void
}

/** How long it is looked for what anybody's closing would give: it is only a bound and a beginning. */
const LOOKS_AT_ANYBODY = 400

/**
 * Plans a dinner backwards from serving. Dishes that are kept apart are worked in the order that cleans least, and in
 * another one only where that cannot be.
 *
 * @throws RecipeProblem for work that no schedule could be made of
 */
export function planDinner(
  dinner: Dinner,
  reference: ReferenceData,
  times: UsualTimes,
  options: PlanOptions = {},
): PlannedDinner {
  const orders = dinner.keepApart ? ordersApart(dinner.dishes, reference) : [null]
  let first: PlannedDinner | null = null
  for (const order of orders) {
    const plan = planInOrder(dinner, workOf(dinner, reference, times, order), reference, options)
    if (plan.tasks) return plan
    first ??= plan
    if (options.expired?.()) break
  }
  return first!
}

function planInOrder(
  dinner: Dinner,
  { tasks: work, warnings }: Work,
  reference: ReferenceData,
  options: PlanOptions,
): PlannedDinner {
  const expired = options.expired ?? (() => false)
  const answer = (helped: Helped, found: Schedule): PlannedDinner => {
    const problem = problemOf(dinner, work, helped)
    const tasks = found.placed && placeTasks(dinner, work, problem, found.placed, helped ?? new Set())
    return {
      tasks,
      work,
      makespanMinutes: found.makespanMinutes,
      boundMinutes: found.boundMinutes,
      proven: found.proven,
      warnings,
      foodSafety: tasks
        ? foodSafetyOf(
            dinner.dishes,
            tasks.map((task) => ({ task, start: task.start, end: task.end })),
            reference,
          )
        : [],
      conflict: null,
    }
  }
  const refused = (helped: Helped, found: Schedule): PlannedDinner => {
    const problem = problemOf(dinner, work, helped)
    return {
      ...answer(helped, found),
      conflict: conflictOf(problem, wishesOf(dinner, work, helped, problem), expired),
    }
  }
  let shortest = Infinity
  const planWith = (helped: ReadonlySet<string>) =>
    schedule(problemOf(dinner, work, helped), {
      expired,
      better: (one) => {
        if (one.makespanMinutes! >= shortest) return
        shortest = one.makespanMinutes!
        options.better?.(answer(helped, one))
      },
    })
  if (dinner.people.every((one) => one.does === 'everything')) {
    const nobody = new Set<string>()
    const found = planWith(nobody)
    return found.placed ? answer(nobody, found) : refused(nobody, found)
  }
  // No sharing out can be shorter than where anybody may close; how it falls out there is tried first.
  let looks = 0
  const anybody = schedule(problemOf(dinner, work, null), {
    expired: () => ++looks > LOOKS_AT_ANYBODY || expired(),
  })
  if (!anybody.placed && anybody.proven) return refused(null, anybody)
  const shaping = work.filter((task) => task.kind === 'shape' && !dinner.begun[task.id])
  const shares = [
    ...(anybody.placed ? [helpedIn(dinner, work, anybody.placed)] : []),
    new Set(shaping.filter((_, at) => at % 2 === 1).map(({ id }) => id)),
    new Set(shaping.map(({ id }) => id)),
    new Set<string>(),
  ]
  let best: { helped: ReadonlySet<string>; found: Schedule } | null = null
  for (const helped of shares) {
    const found = planWith(helped)
    if (!best || (found.makespanMinutes ?? Infinity) < (best.found.makespanMinutes ?? Infinity))
      best = { helped, found }
    if (expired() || (best.found.makespanMinutes ?? Infinity) <= anybody.boundMinutes) break
  }
  const { helped, found } = best!
  if (!found.placed) return refused(helped, found)
  const bound = Math.min(anybody.boundMinutes, found.makespanMinutes!)
  return { ...answer(helped, found), boundMinutes: bound, proven: bound >= found.makespanMinutes! }
}
