import { momentOf, wallAt, wallText, readMoment } from '~~/core/planning/localTime'
import type { Dinner, PlannedTask } from '~~/core/planning/dinner'
import { USUAL_EQUIPMENT } from '~~/core/planning/tasks'
import type { DinnerDocument } from '~~/shared/api/dinners'

const SERVE_HOUR = 19.5
/** Less than this before serving there is nothing to plan for today. */
const LEAST_LEAD_MINUTES = 240

export const ownTimeZone = () => Intl.DateTimeFormat().resolvedOptions().timeZone || 'Etc/UTC'
export const nowMinutes = () => Math.floor(Date.now() / 60_000)

/** A dinner of which nothing is decided: today at half past seven, or tomorrow where that is too soon. */
export function freshDinner(now = nowMinutes(), timeZone = ownTimeZone()): DinnerDocument {
  const wall = wallAt(now, timeZone)
  const today = Math.floor(wall / 1440) * 1440 + SERVE_HOUR * 60
  const serve = today - wall >= LEAST_LEAD_MINUTES ? today : today + 1440
  return {
    version: 1,
    serveAt: wallText(serve),
    timeZone,
    from: null,
    night: null,
    people: [{ name: 'Me', from: null, does: 'everything' }],
    equipment: { ...USUAL_EQUIPMENT },
    roomC: 22,
    burnerW: 2000,
    keepApart: false,
    dishes: [],
    edits: {},
    begun: {},
    givenUp: [],
    plan: null,
  }
}

/** The moment of a time by the kitchen's clock, in minutes since 1970. */
export const momentOfWall = (text: string, zone: string): number => {
  const wall = readMoment(text)
  return wall ? momentOf(wall.at, zone) : NaN
}

/** "19:30" of a moment. */
export const timeText = (at: number, zone: string): string => wallText(wallAt(Math.round(at), zone)).slice(11)
/** "2026-11-26T19:30" of a moment. */
export const wallOf = (at: number, zone: string): string => wallText(wallAt(Math.round(at), zone))
/** "2026-11-26T18:30:00Z". */
export const instantText = (at: number): string => `${wallText(Math.round(at))}:00Z`
export const instantOf = (text: string): number => readMoment(text)?.at ?? NaN

/** A dinner as the planner takes it: every time as minutes before serving. */
export function dinnerToPlan(draft: DinnerDocument, now: number): Omit<Dinner, 'dishes'> {
  const serve = momentOfWall(draft.serveAt, draft.timeZone)
  const ahead = (text: string) => serve - momentOfWall(text, draft.timeZone)
  const beforeInstant = (text: string) => serve - instantOf(text)
  return {
    people: draft.people.map(({ name, from, does }) => ({
      name,
      does,
      from: from === null ? null : ahead(from),
    })),
    equipment: draft.equipment,
    roomC: draft.roomC,
    burnerW: draft.burnerW,
    availableMinutes: draft.from === null ? null : ahead(draft.from),
    night: draft.night && {
      from: ahead(draft.night.from),
      until: ahead(draft.night.until),
      backAt: ahead(draft.night.backAt),
    },
    keepApart: draft.keepApart,
    edits: Object.fromEntries(
      Object.entries(draft.edits).map(([id, { minutes, startAt }]) => [
        id,
        {
          ...(minutes === undefined ? {} : { minutes }),
          ...(startAt === undefined ? {} : { start: beforeInstant(startAt) }),
        },
      ]),
    ),
    begun: Object.fromEntries(
      Object.entries(draft.begun).map(([id, { startAt, endAt }]) => [
        id,
        { start: beforeInstant(startAt), end: endAt === null ? null : beforeInstant(endAt) },
      ]),
    ),
    now: serve - now,
    givenUp: draft.givenUp,
  }
}

/** The plan as it is kept with the dinner. */
export const keptPlan = (tasks: readonly PlannedTask[], serve: number): NonNullable<DinnerDocument['plan']> =>
  [...tasks]
    .sort((a, b) => b.start - a.start || b.end - a.end)
    .map(({ id, name, start, end, hands, person, kind, why, dish, step }) => ({
      id,
      name: name.slice(0, 200),
      startAt: instantText(serve - start),
      endAt: instantText(serve - end),
      hands,
      person,
      kind,
      why: why.slice(0, 600),
      dish,
      step,
    }))

/** Tasks by what they mean at a moment: under way, next for somebody's hands, and what has time yet. */
export function nowAndNext(tasks: readonly PlannedTask[], now: number) {
  const open = tasks.filter((task) => task.state !== 'done' && task.kind !== 'serve')
  const byStart = [...open].sort((a, b) => b.start - a.start)
  const running = byStart.filter((task) => task.state === 'begun' || (task.start >= now && task.end < now))
  const overdue = byStart.filter((task) => task.state === 'to do' && task.start > now && task.end >= now)
  const late = overdue.slice(0, 3)
  const ahead = byStart.filter((task) => !running.includes(task) && !overdue.includes(task))
  const next = ahead.filter((task) => task.hands).slice(0, 3)
  const waits = ahead
    .filter((task) => task.hands && !next.includes(task) && task.end - task.latestEnd >= 5)
    .slice(0, 4)
  return { running, late, next, waits }
}

/** What has to be done before a task, through all that comes before it. */
export function earlierThan(tasks: readonly Pick<PlannedTask, 'id' | 'after'>[], id: string): Set<string> {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const found = new Set<string>()
  const walk = (at: string) => {
    for (const wait of byId.get(at)?.after ?? [])
      if (!found.has(wait.id)) {
        found.add(wait.id)
        walk(wait.id)
      }
  }
  walk(id)
  return found
}

/** Where a minute lies on the drawing, in px: no stretch so short that its words do not fit, none longer than is useful. */
export interface Ruler {
  /** Of minutes before serving. */
  y: (before: number) => number
  /** The other way round. */
  before: (y: number) => number
  height: number
}

const PX_PER_MINUTE = 2.6
const MOST_PX = 64
const LEAST_PX = 6

/** @param wordPx what the words of a task with hands take up */
export function rulerOf(tasks: readonly PlannedTask[], wordPx: number, narrow = false): Ruler {
  const marks = [...new Set(tasks.flatMap((task) => [task.start, task.end]))].sort((a, b) => b - a)
  const begins = new Set(
    tasks.filter((task) => task.hands || task.kind === 'serve').map((task) => task.start),
  )
  const at: number[] = [0]
  for (let n = 1; n < marks.length; n++) {
    const minutes = marks[n - 1]! - marks[n]!
    const least = begins.has(marks[n - 1]!) ? wordPx : LEAST_PX
    at.push(at[n - 1]! + Math.max(least, Math.min(MOST_PX, minutes * (narrow ? 1.2 : PX_PER_MINUTE))))
  }
  const between = (value: number, from: readonly number[], to: readonly number[]) => {
    const rising = from[0]! <= from.at(-1)!
    const past = (mark: number) => (rising ? mark >= value : mark <= value)
    const n = from.findIndex(past)
    if (n === 0) return to[0]!
    if (n < 0) return to.at(-1)!
    const share = (value - from[n - 1]!) / (from[n]! - from[n - 1]!)
    return to[n - 1]! + share * (to[n]! - to[n - 1]!)
  }
  return {
    y: (before) => (marks.length ? between(before, marks, at) : 0),
    before: (y) => (marks.length ? between(y, at, marks) : 0),
    height: (at.at(-1) ?? 0) + wordPx,
  }
}
