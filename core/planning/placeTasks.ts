import { shareOutLanes } from '../schedule/lanes'
import type { ScheduleProblem } from '../schedule/problem'
import type { Placed } from '../schedule/schedule'
import type { Dinner, PlannedTask } from './dinner'
import { EQUIPMENT, type Task } from './tasks'

/** Whose hands and which of each equipment every task has, and how far it could move alone. */
export function placeTasks(
  dinner: Dinner,
  work: readonly Task[],
  problem: ScheduleProblem,
  placed: readonly Placed[],
  helped: ReadonlySet<string>,
): PlannedTask[] {
  const at = new Map(placed.map((one) => [one.id, one]))
  const timed = work.map((task) => ({ task, ...at.get(task.id)! }))
  const people = dinner.people.map((person, index) => ({ person, index }))
  const shared = (tasks: typeof timed, lanes: readonly number[]) =>
    shareOutLanes(
      tasks.map(({ task, start, end }) => ({ id: task.id, start, end })),
      lanes,
    )
  const laneOf = (group: typeof people, tasks: typeof timed) => {
    const lanes = shared(
      tasks,
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
  const lanes = new Map(
    EQUIPMENT.map((one) => {
      const users = timed.filter(({ task }) => task.uses[one])
      return [one, shared(users, new Array<number>(dinner.equipment[one]).fill(Infinity))]
    }),
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
