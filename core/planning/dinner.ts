import { conflictOf, waitWishes, type Conflict, type Wish } from '../schedule/conflict'
import { shareOutLanes } from '../schedule/lanes'
import type { Away, Job, ScheduleProblem } from '../schedule/problem'
import { schedule, type Schedule } from '../schedule/schedule'
import type { ReferenceData } from '../tables/referenceData'
import { foodSafetyOf, type WarmFood } from './foodSafety'
import { orderDishes, ordersApart } from './keepApart'
import { USUAL_OVEN_C } from './shapingTasks'
import { tasksOf, type DishTasks } from './tasksOf'
import { EQUIPMENT, type Dish, type Equipment, type Task } from './tasks'
import type { UsualTimes } from './times'

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
  /** The evening before, in minutes before serving: what can be done then is done then. */
  night: { from: number; until: number } | null
  /** Nobody works between the end of that evening and this. */
  backAt: number | null
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

const SERVE = 'serve'
const HANDS = 'hands'
/** Hands of those who only fill and close. */
const HELPERS = 'helpers'

/** Which of the pieces of shaping helpers take. */
type Share = (shaping: readonly Task[]) => ReadonlySet<string>

const SHARES: readonly Share[] = [
  (shaping) => new Set(shaping.filter((_, at) => at % 2 === 1).map(({ id }) => id)),
  (shaping) => new Set(shaping.map(({ id }) => id)),
  (shaping) => new Set(shaping.slice(Math.ceil(shaping.length / 2)).map(({ id }) => id)),
  () => new Set(),
]

/** The work of a dinner: every dish's tasks, what keeps dishes apart, and serving. */
export interface Work {
  tasks: Task[]
  warnings: string[]
}

/** An oven that is hot already is at another heat so near in a few minutes. Common practice, no source. */
const NEAR_C = 25
const RESET_MINUTES = 4
const RESET_WAITS = 30

/** What bakes at nearly the same heat goes in one after another, into the oven that is hot. */
function shareOven(dishes: readonly Dish[], tasks: readonly Task[]): void {
  let before: { at: number; celsius: number } | null = null
  dishes.forEach(({ recipe }, at) => {
    const hot = tasks.find((task) => task.id === `${at + 1}.cook.hot` && task.uses.oven)
    const celsius = recipe.cooking.temperatureC ?? USUAL_OVEN_C
    if (!hot) return
    if (before && Math.abs(celsius - before.celsius) <= NEAR_C) {
      const last = tasks.filter((task) => task.dish === before!.at && task.kind === 'cook').at(-1)!
      hot.name = `Set the oven to ${Math.round(celsius)} °C`
      hot.minutes = hot.lowMinutes = hot.highMinutes = RESET_MINUTES
      hot.why = 'it is hot already from what was baked before'
      hot.after.push({ id: last.id, minMinutes: 0, maxMinutes: RESET_WAITS, why: 'it is still hot' })
    }
    before = { at, celsius }
  })
}

/** @param order indices of the dishes as they are worked when they are kept apart; null where they are not */
export function workOf(
  dinner: Dinner,
  reference: ReferenceData,
  times: UsualTimes,
  order: readonly number[] | null = null,
): Work {
  const around = { roomC: dinner.roomC, burnerW: dinner.burnerW }
  const dishes = dinner.dishes.map((dish, at): DishTasks => tasksOf(dish, at, around, reference, times))
  const tasks = dishes.flatMap((dish) => dish.tasks)
  const warnings = dishes.flatMap((dish) => dish.warnings)
  shareOven(dinner.dishes, tasks)
  if (order) warnings.push(...orderDishes(dinner.dishes, order, tasks, reference, times))
  const rest = times.get('rest-eating')!
  const stood = new Map(dishes.flatMap((dish) => dish.holdings).map((one) => [one.id, one]))
  const followed = new Set(tasks.flatMap((task) => task.after.map(({ id }) => id)))
  tasks.push({
    id: SERVE,
    dish: 0,
    name: 'On the table',
    kind: 'serve',
    minutes: 0,
    lowMinutes: 0,
    highMinutes: 0,
    hands: false,
    uses: {},
    after: tasks.flatMap((task) => {
      const holding = stood.get(task.id)
      if (!holding && followed.has(task.id)) return []
      const hot = task.kind === 'cook'
      const most = holding && holding.mostMinutes < 10_000 ? holding.mostMinutes : null
      return [
        {
          id: task.id,
          minMinutes: hot ? rest.minutes : 0,
          maxMinutes: most === null ? null : Math.max(most, rest.minutes),
          why: holding?.why ?? '',
        },
      ]
    }),
    step: null,
    why: rest.why,
    source: rest.source,
    partId: null,
    batch: null,
    ahead: false,
  })
  const edited = tasks.map((task): Task => {
    const minutes = dinner.edits[task.id]?.minutes
    return minutes === undefined ? task : { ...task, minutes, why: 'your own minutes', source: 'yours' }
  })
  return { tasks: edited, warnings }
}

/** The problem of a dinner's work, with a share of the shaping given to helpers. */
function problemOf(dinner: Dinner, work: readonly Task[], helped: ReadonlySet<string>): ScheduleProblem {
  const full = dinner.people.filter((one) => one.does === 'everything')
  const helpers = dinner.people.filter((one) => one.does === 'shaping')
  const away: Away[] = []
  const stays = (people: readonly Person[], resource: string) => {
    for (const { from } of people)
      if (from !== null) away.push({ resource, units: 1, from: Infinity, until: from })
  }
  stays(full, HANDS)
  stays(helpers, HELPERS)
  const { night, backAt } = dinner
  if (night) away.push({ resource: HANDS, units: full.length, from: Infinity, until: night.from })
  if (night && backAt !== null && night.until > backAt)
    away.push({ resource: HANDS, units: full.length, from: night.until, until: backAt })
  const aheadBy = night?.until ?? 0
  const jobs = work.map((task): Job => {
    const begun = dinner.begun[task.id]
    const pinned = dinner.edits[task.id]?.start
    const minutes = begun
      ? Math.max(0, begun.start - (begun.end ?? begun.start - task.minutes))
      : task.minutes
    const fixed = begun?.start ?? pinned
    const hands = task.hands ? { [task.kind === 'shape' && helped.has(task.id) ? HELPERS : HANDS]: 1 } : {}
    return {
      id: task.id,
      minutes,
      // What is over occupies nothing that is to come.
      uses: begun?.end != null ? {} : { ...task.uses, ...hands },
      after: task.after.map(({ id, minMinutes, maxMinutes }) => ({
        id,
        minMinutes,
        // What is past cannot be made to wait less.
        maxMinutes: begun || dinner.givenUp.includes(`wait:${id}:${task.id}`) ? null : maxMinutes,
      })),
      // Serving is what everything is counted from.
      notBefore: task.id === SERVE ? 0 : (fixed ?? dinner.now),
      doneBy: fixed !== undefined ? fixed - minutes : task.ahead && night ? aheadBy : null,
    }
  })
  // What has begun stands where it is, whatever should have come before it.
  const settled = jobs.map((job) =>
    dinner.begun[job.id]
      ? {
          ...job,
          after: job.after
            .filter(({ id }) => dinner.begun[id])
            .map((wait) => ({ ...wait, minMinutes: -1440 })),
        }
      : job,
  )
  return {
    jobs: settled,
    capacity: {
      ...dinner.equipment,
      [HANDS]: full.length,
      [HELPERS]: helpers.length,
    },
    away,
    availableMinutes: dinner.availableMinutes,
  }
}

/** What a cook asked for and could give up, beside the waits: when it begins, who is there when. */
function wishesOf(dinner: Dinner, work: readonly Task[], problem: ScheduleProblem): Wish[] {
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
  problem.away.forEach((one, at) =>
    wishes.push({
      id: `away:${at}`,
      says:
        dinner.night?.from === one.until || one.from !== Infinity
          ? 'nobody works in the night, nor before that evening'
          : 'somebody comes only later',
      without: (whole) => ({
        ...whole,
        away: whole.away.filter((other) => JSON.stringify(other) !== JSON.stringify(one)),
      }),
    }),
  )
  for (const [id, edit] of Object.entries(dinner.edits))
    if (edit.start !== undefined && names.has(id))
      wishes.push({
        id: `laid:${id}`,
        says: `${names.get(id)} where you laid it`,
        without: (whole) => ({
          ...whole,
          jobs: whole.jobs.map((job) => (job.id === id ? { ...job, notBefore: null, doneBy: null } : job)),
        }),
      })
  if (dinner.night)
    wishes.push({
      id: 'night',
      says: 'the evening before is long enough for what can be done then',
      without: (whole) => ({
        ...whole,
        jobs: whole.jobs.map((job) =>
          dinner.begun[job.id] || dinner.edits[job.id]?.start ? job : { ...job, doneBy: null },
        ),
      }),
    })
  return wishes
}

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
  const answer = (problem: ScheduleProblem, found: Schedule, helped: ReadonlySet<string>): PlannedDinner => {
    const tasks = found.placed && placeTasks(dinner, work, problem, found, helped)
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
  const shaping = work.filter((task) => task.kind === 'shape' && !dinner.begun[task.id])
  const shares = dinner.people.some((one) => one.does === 'shaping') ? SHARES : [SHARES.at(-1)!]
  const tried = shares.map((share) => {
    const helped = share(shaping)
    const problem = problemOf(dinner, work, helped)
    let told = Infinity
    const found = schedule(problem, {
      expired,
      better: (one) => {
        if (one.makespanMinutes! >= told) return
        told = one.makespanMinutes!
        options.better?.(answer(problem, one, helped))
      },
    })
    return { helped, problem, found }
  })
  const bound = Math.min(...tried.map(({ found }) => found.boundMinutes))
  const spans = tried.map(({ found }) => found.makespanMinutes ?? Infinity)
  const span = Math.min(...spans)
  const { helped, problem, found } = tried[spans.indexOf(span)]!
  const plan = answer(problem, found, helped)
  if (plan.tasks) return { ...plan, boundMinutes: Math.min(bound, span), proven: bound >= span }
  return { ...plan, conflict: conflictOf(problem, wishesOf(dinner, work, problem), expired) }
}

/** Whose hands and which of each equipment every task has, and how far it could move alone. */
function placeTasks(
  dinner: Dinner,
  work: readonly Task[],
  problem: ScheduleProblem,
  { placed }: Schedule,
  helped: ReadonlySet<string>,
): PlannedTask[] {
  const at = new Map(placed!.map((one) => [one.id, one]))
  const timed = work.map((task) => ({ task, ...at.get(task.id)! }))
  const people = dinner.people.map((person, index) => ({ person, index }))
  const laneOf = (group: typeof people, tasks: typeof timed) => {
    const lanes = shareOutLanes(
      tasks.map(({ task, start, end }) => ({ id: task.id, start, end })),
      group.map(({ person }) => person.from ?? Infinity),
    )
    return new Map([...lanes].map(([id, lane]) => [id, group[lane]!.index]))
  }
  const byHand = timed.filter(({ task }) => task.hands)
  const helpers = people.filter(({ person }) => person.does === 'shaping')
  const full = people.filter(({ person }) => person.does === 'everything')
  const hands = new Map([
    ...laneOf(
      full,
      byHand.filter(({ task }) => !helped.has(task.id)),
    ),
    ...laneOf(
      helpers,
      byHand.filter(({ task }) => helped.has(task.id)),
    ),
  ])
  const lanes = new Map<Equipment, Map<string, number>>()
  for (const one of EQUIPMENT)
    lanes.set(
      one,
      shareOutLanes(
        timed
          .filter(({ task }) => task.uses[one])
          .map(({ task, start, end }) => ({ id: task.id, start, end })),
        Array.from({ length: dinner.equipment[one] }, () => Infinity),
      ),
    )
  const room = roomToMove(problem, timed)
  return timed.map(({ task, start, end }) => ({
    ...task,
    start,
    end,
    person: hands.get(task.id) ?? null,
    lane: Object.fromEntries(
      EQUIPMENT.filter((one) => task.uses[one]).map((one) => [one, lanes.get(one)!.get(task.id) ?? 0]),
    ),
    state: dinner.begun[task.id] ? (dinner.begun[task.id]!.end === null ? 'begun' : 'done') : 'to do',
    earliestStart: room.get(task.id)!.earliest,
    latestEnd: room.get(task.id)!.latest,
  }))
}

/** By task the earliest start and the latest end that its own waits allow, everything else staying where it is. */
function roomToMove(problem: ScheduleProblem, timed: readonly { task: Task; start: number; end: number }[]) {
  const at = new Map(timed.map((one) => [one.task.id, one]))
  const most = Math.max(...timed.map(({ start }) => start))
  const room = new Map(
    problem.jobs.map((job) => [
      job.id,
      {
        earliest: Math.min(job.notBefore ?? Infinity, problem.availableMinutes ?? most),
        latest: job.doneBy ?? 0,
      },
    ]),
  )
  for (const job of problem.jobs) {
    const own = at.get(job.id)!
    for (const wait of job.after) {
      const before = at.get(wait.id)!
      const mine = room.get(job.id)!
      const theirs = room.get(wait.id)!
      mine.earliest = Math.min(mine.earliest, before.end - wait.minMinutes)
      theirs.latest = Math.max(theirs.latest, own.start + wait.minMinutes)
      if (wait.maxMinutes === null) continue
      mine.latest = Math.max(mine.latest, before.end - wait.maxMinutes - (own.start - own.end))
      theirs.earliest = Math.min(theirs.earliest, own.start + wait.maxMinutes + (before.start - before.end))
    }
  }
  return room
}
