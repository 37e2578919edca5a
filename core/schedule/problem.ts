import { RecipeProblem, type FieldProblem } from '../recipe/problem'

/** After the end of another job, at least and at most so long. */
export interface Wait {
  id: string
  minMinutes: number
  /** Null where it may wait for ever. */
  maxMinutes: number | null
}

/** Something to be done without a break. Whole minutes. */
export interface Job {
  id: string
  minutes: number
  /** What it occupies while it lasts, by resource. */
  uses: Readonly<Record<string, number>>
  after: readonly Wait[]
  /** Minutes before the end of everything at which it may begin at the earliest; null for any time. */
  notBefore?: number | null
  /** Minutes before the end of everything by which it has to be done; null for the end itself. */
  doneBy?: number | null
}

/** Some of a resource that is away: from and until are minutes before the end of everything, `from` the larger. */
export interface Away {
  resource: string
  units: number
  from: number
  until: number
}

/** Jobs, what there is of each resource, and how much time there is before the end. */
export interface ScheduleProblem {
  jobs: readonly Job[]
  capacity: Readonly<Record<string, number>>
  away: readonly Away[]
  /** Minutes between the earliest possible start and the end; null for as long as it takes. */
  availableMinutes: number | null
}

/** No job of a kitchen lasts longer than a day, and none waits longer than three. */
export const MAX_JOB_MINUTES = 1440
export const MAX_WAIT_MINUTES = 4320
export const MAX_JOBS = 400

/** The ids along a circle of waits, each after the one before it; null where there is none. */
export function circleIn(jobs: readonly Job[]): string[] | null {
  const byId = new Map(jobs.map((job) => [job.id, job]))
  const state = new Map<string, 'open' | 'done'>()
  const path: string[] = []
  const walk = (id: string): string[] | null => {
    if (state.get(id) === 'done') return null
    if (state.get(id) === 'open') return [...path.slice(path.indexOf(id)), id]
    state.set(id, 'open')
    path.push(id)
    for (const wait of byId.get(id)?.after ?? []) {
      const found = walk(wait.id)
      if (found) return found
    }
    path.pop()
    state.set(id, 'done')
    return null
  }
  for (const { id } of jobs) {
    const found = walk(id)
    // Walked against the time: the first comes last.
    if (found) return found.reverse()
  }
  return null
}

/**
 * Checks what no schedule could be made of.
 *
 * @param field name of the list of jobs in the request, for naming the field
 * @throws RecipeProblem naming every field that cannot be, and what would be right
 */
export function checkProblem({ jobs, capacity }: ScheduleProblem, field = 'tasks'): void {
  const problems: FieldProblem[] = []
  const say = (at: string, message: string) => problems.push({ field: at, message })
  const ids = new Set<string>()
  if (jobs.length > MAX_JOBS) say(field, `at most ${MAX_JOBS} tasks can be planned at once`)
  jobs.forEach((job, at) => {
    if (ids.has(job.id))
      say(`${field}[${at}].id`, `"${job.id}" stands twice; every task needs an id of its own`)
    ids.add(job.id)
  })
  jobs.forEach((job, at) => {
    if (job.minutes > MAX_JOB_MINUTES)
      say(
        `${field}[${at}].minutes`,
        `a task lasts at most a day (${MAX_JOB_MINUTES} min); ${job.minutes} were given`,
      )
    for (const [resource, units] of Object.entries(job.uses)) {
      const has = Object.hasOwn(capacity, resource) ? capacity[resource]! : 0
      if (units > has)
        say(
          `${field}[${at}].uses.${resource}`,
          has === 0
            ? `this kitchen has no ${resource}; add it to the capacity, or do without`
            : `it needs ${units} of ${resource} at once and there ${has === 1 ? 'is' : 'are'} ${has}`,
        )
    }
    job.after.forEach((wait, n) => {
      const where = `${field}[${at}].after[${n}]`
      if (!ids.has(wait.id)) say(`${where}.id`, `there is no task "${wait.id}"`)
      if (wait.minMinutes > MAX_WAIT_MINUTES)
        say(`${where}.minMinutes`, `a wait lasts at most three days (${MAX_WAIT_MINUTES} min)`)
      if (wait.maxMinutes !== null && wait.maxMinutes < wait.minMinutes)
        say(
          `${where}.maxMinutes`,
          `at most ${wait.maxMinutes} min is less than the ${wait.minMinutes} it has to be`,
        )
    })
  })
  const circle = problems.length ? null : circleIn(jobs)
  if (circle)
    say(
      `${field}[${jobs.findIndex(({ id }) => id === circle[1])}].after`,
      `each waits for the other: ${circle.join(' → ')}; take one of these waits out`,
    )
  if (problems.length) throw new RecipeProblem(problems)
}
