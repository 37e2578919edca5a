import { createRequire } from 'node:module'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { RecipeProblem } from '../recipe/problem'
import { conflictOf, delayFor, later, waitWishes, type Wish } from './conflict'
import { shareOutLanes } from './lanes'
import type { Job, ScheduleProblem } from './problem'
import { schedule, type Placed } from './schedule'

const problem = (
  jobs: Job[],
  capacity: Record<string, number>,
  more: Partial<ScheduleProblem> = {},
): ScheduleProblem => ({
  jobs,
  capacity,
  away: [],
  availableMinutes: null,
  ...more,
})
const job = (
  id: string,
  minutes: number,
  uses: Record<string, number> = {},
  after: Job['after'] = [],
): Job => ({
  id,
  minutes,
  uses,
  after,
})
const wait = (id: string, minMinutes = 0, maxMinutes: number | null = null) => ({
  id,
  minMinutes,
  maxMinutes,
})

/** What is broken of a problem's rules by jobs in their places; empty where all hold. */
function brokenRules(
  { jobs, capacity, away, availableMinutes }: ScheduleProblem,
  placed: readonly Placed[],
): string[] {
  const at = new Map(placed.map((one) => [one.id, one]))
  const broken: string[] = []
  for (const one of jobs) {
    const { start, end } = at.get(one.id)!
    if (start - end !== one.minutes) broken.push(`${one.id} lasts ${start - end}`)
    if (end < (one.doneBy ?? 0)) broken.push(`${one.id} ends too late`)
    if (start > (one.notBefore ?? Infinity) || start > (availableMinutes ?? Infinity))
      broken.push(`${one.id} is too early`)
    for (const { id, minMinutes, maxMinutes } of one.after) {
      const gap = at.get(id)!.end - start
      if (gap < minMinutes || gap > (maxMinutes ?? Infinity)) broken.push(`${one.id} is ${gap} after ${id}`)
    }
  }
  for (const [resource, most] of Object.entries(capacity))
    for (const moment of [...placed.map(({ start }) => start), ...away.map(({ from }) => from)]) {
      const used = jobs
        .filter(({ id }) => at.get(id)!.start >= moment && at.get(id)!.end < moment)
        .reduce((sum, one) => sum + (one.uses[resource] ?? 0), 0)
      const gone = away
        .filter((one) => one.resource === resource && one.from >= moment && one.until < moment)
        .reduce((sum, one) => sum + one.units, 0)
      if (used > 0 && used + gone > most) broken.push(`${used} of ${resource} at ${moment}, ${gone} away`)
    }
  return broken
}

/** The shortest of all placings, tried one by one; null where none holds. */
function byTryingAll(asked: ScheduleProblem, horizon: number): number | null {
  let best: number | null = null
  const ends: number[] = []
  const walk = (n: number) => {
    if (n === asked.jobs.length) {
      const placed = asked.jobs.map(({ id, minutes }, at) => ({
        id,
        end: ends[at]!,
        start: ends[at]! + minutes,
      }))
      const span = Math.max(0, ...placed.map(({ start }) => start))
      if ((best === null || span < best) && !brokenRules(asked, placed).length) best = span
      return
    }
    for (let end = 0; end + asked.jobs[n]!.minutes <= Math.min(horizon, (best ?? horizon + 1) - 1); end++) {
      ends[n] = end
      walk(n + 1)
    }
  }
  walk(0)
  return best
}

/** Kitchens of a few jobs, pairs of hands and burners, with waits that may be short. */
const kitchen = (mostJobs: number, mostMinutes: number) =>
  fc
    .record({
      jobs: fc.array(
        fc.record({
          minutes: fc.integer({ min: 1, max: mostMinutes }),
          hands: fc.boolean(),
          burner: fc.integer({ min: 0, max: 2 }),
          before: fc.nat(),
          waits: fc.boolean(),
          min: fc.integer({ min: 0, max: 2 }),
          slack: fc.option(fc.integer({ min: 0, max: 3 })),
        }),
        { minLength: 2, maxLength: mostJobs },
      ),
      hands: fc.integer({ min: 1, max: 2 }),
      comes: fc.option(fc.integer({ min: 4, max: 12 })),
    })
    .map(({ jobs, hands, comes }) =>
      problem(
        jobs.map((one, at) =>
          job(
            `t${at}`,
            one.minutes,
            { ...(one.hands ? { hands: 1 } : {}), ...(one.burner ? { burner: one.burner } : {}) },
            at > 0 && one.waits
              ? [wait(`t${one.before % at}`, one.min, one.slack === null ? null : one.min + one.slack)]
              : [],
          ),
        ),
        { hands, burner: 2 },
        { away: comes === null ? [] : [{ resource: 'hands', units: 1, from: Infinity, until: comes }] },
      ),
    )

describe('the schedule', () => {
  it('is the shortest that trying everything finds', () => {
    fc.assert(
      fc.property(kitchen(4, 3), (asked) => {
        const found = schedule(asked)
        expect(found.proven).toBe(true)
        expect(found.makespanMinutes).toBe(byTryingAll(asked, 24))
      }),
      { numRuns: 50, seed: 7 },
    )
  })

  it('breaks no rule in larger kitchens, and its bound is not above it', () => {
    let planned = 0
    fc.assert(
      fc.property(kitchen(24, 20), (asked) => {
        let looks = 0
        const found = schedule(asked, { expired: () => ++looks > 3000 })
        if (!found.placed) return
        planned++
        expect(brokenRules(asked, found.placed)).toEqual([])
        expect(found.boundMinutes).toBeLessThanOrEqual(found.makespanMinutes!)
        if (found.proven) expect(found.boundMinutes).toBe(found.makespanMinutes)
      }),
      { numRuns: 60, seed: 11 },
    )
    expect(planned).toBeGreaterThan(20)
  })

  // The independent check: HiGHS, a mixed-integer solver of its own (npm "highs", MIT), on a time-indexed programme.
  it('comes to the same optimum as HiGHS', async () => {
    interface Highs {
      solve: (text: string) => { Status: string; ObjectiveValue: number }
    }
    const highs = await (createRequire(import.meta.url)('highs') as () => Promise<Highs>)()
    const HORIZON = 30
    const asProgram = ({ jobs, capacity, away }: ScheduleProblem) => {
      const x = (at: number, end: number) => `x${at}_${end}`
      const ends = (at: number) => Array.from({ length: HORIZON - jobs[at]!.minutes + 1 }, (_, end) => end)
      const rows: string[] = []
      const endOf = (at: number, sign: string) =>
        ends(at)
          .map((end) => `${sign} ${end} ${x(at, end)}`)
          .join(' ')
      jobs.forEach((one, at) => {
        rows.push(
          `${ends(at)
            .map((end) => x(at, end))
            .join(' + ')} = 1`,
        )
        rows.push(`span ${endOf(at, '-')} >= ${one.minutes}`)
        for (const { id, minMinutes, maxMinutes } of one.after) {
          const before = jobs.findIndex((other) => other.id === id)
          // end(before) − end(after) is the gap and the later one's minutes.
          rows.push(`${endOf(before, '+')} ${endOf(at, '-')} >= ${one.minutes + minMinutes}`)
          if (maxMinutes !== null)
            rows.push(`${endOf(before, '+')} ${endOf(at, '-')} <= ${one.minutes + maxMinutes}`)
        }
      })
      for (const [resource, most] of Object.entries(capacity))
        for (let moment = 1; moment <= HORIZON; moment++) {
          const gone = away.filter((one) => one.resource === resource && one.until < moment).length
          const terms = jobs.flatMap((one, at) =>
            ends(at)
              .filter((end) => (one.uses[resource] ?? 0) > 0 && end < moment && end + one.minutes >= moment)
              .map((end) => `${one.uses[resource]} ${x(at, end)}`),
          )
          if (terms.length) rows.push(`${terms.join(' + ')} <= ${most - gone}`)
        }
      const all = jobs.flatMap((_, at) => ends(at).map((end) => x(at, end)))
      return `Minimize\n obj: span\nSubject To\n${rows.map((row, at) => ` r${at}: ${row}`).join('\n')}\nBinary\n ${all.join('\n ')}\nEnd`
    }
    const asked = fc.sample(kitchen(8, 4), { numRuns: 14, seed: 3 })
    for (const one of asked) {
      const { Status, ObjectiveValue } = highs.solve(asProgram(one))
      const found = schedule({ ...one, availableMinutes: HORIZON })
      expect(found.proven).toBe(true)
      if (Status === 'Optimal') expect(found.makespanMinutes).toBe(Math.round(ObjectiveValue))
      else expect(found.makespanMinutes).toBe(null)
    }
  })

  // H. Fisher and G. L. Thompson (1963), in Muth and Thompson, "Industrial Scheduling": six jobs of six steps on six
  // machines, optimum 55. S. Lawrence (1984): LA01, optimum 666, and LA05, 593. Written down from memory: that the
  // known optima come out is the check of the figures too.
  const shop = (text: string) => {
    const capacity: Record<string, number> = {}
    const jobs = text.split('\n').flatMap((row, line) => {
      const numbers = row.trim().split(/\s+/).map(Number)
      return Array.from({ length: numbers.length / 2 }, (_, step) => {
        const machine = `machine ${numbers[2 * step]}`
        capacity[machine] = 1
        return job(
          `${line}.${step}`,
          numbers[2 * step + 1]!,
          { [machine]: 1 },
          step ? [wait(`${line}.${step - 1}`)] : [],
        )
      })
    })
    return problem(jobs, capacity)
  }
  it.each([
    [
      'FT06',
      55,
      `2 1 0 3 1 6 3 7 5 3 4 6
       1 8 2 5 4 10 5 10 0 10 3 4
       2 5 3 4 5 8 0 9 1 1 4 7
       1 5 0 5 2 5 3 3 4 8 5 9
       2 9 1 3 4 5 5 4 0 3 3 1
       1 3 3 3 5 9 0 10 4 4 2 1`,
    ],
    [
      'LA01',
      666,
      `1 21 0 53 4 95 3 55 2 34
       0 21 3 52 4 16 2 26 1 71
       3 39 4 98 1 42 2 31 0 12
       1 77 0 55 4 79 2 66 3 77
       0 83 3 34 2 64 1 19 4 37
       1 54 2 43 4 79 0 92 3 62
       3 69 4 77 1 87 2 87 0 93
       2 38 0 60 1 41 3 24 4 83
       3 17 1 49 4 25 0 44 2 98
       4 77 3 79 2 43 1 75 0 96`,
    ],
    [
      'LA05',
      593,
      `1 72 0 87 4 95 2 66 3 60
       4 5 3 35 0 48 2 39 1 54
       1 46 3 20 2 21 0 97 4 55
       0 59 3 19 4 46 1 34 2 37
       4 23 2 73 3 25 1 24 0 28
       3 28 0 45 4 5 1 78 2 83
       0 53 3 71 1 37 4 29 2 12
       4 12 2 87 3 33 1 55 0 38
       2 49 3 83 1 40 0 48 4 7
       2 65 3 17 0 90 4 27 1 23`,
    ],
  ])('reaches the known optimum of %s', (_, optimum, text) => {
    const asked = shop(text)
    const found = schedule(asked)
    expect(found).toMatchObject({ makespanMinutes: optimum, boundMinutes: optimum, proven: true })
    expect(brokenRules(asked, found.placed!)).toEqual([])
  })

  it('begins everything as late as it can', () => {
    const { placed } = schedule(
      problem([job('rest', 30), job('fold', 10, { hands: 1 }, [wait('rest')])], { hands: 1 }),
    )
    expect(placed).toEqual([
      { id: 'rest', start: 40, end: 10 },
      { id: 'fold', start: 10, end: 0 },
    ])
  })

  it('works round hands that come later', () => {
    const asked = problem(
      [job('a', 20, { hands: 1 }), job('b', 20, { hands: 1 })],
      { hands: 2 },
      {
        away: [{ resource: 'hands', units: 1, from: Infinity, until: 15 }],
      },
    )
    const found = schedule(asked)
    expect(found.makespanMinutes).toBe(40)
    expect(brokenRules(asked, found.placed!)).toEqual([])
  })
})

describe('a problem that cannot be', () => {
  const fieldsOf = (asked: ScheduleProblem) => {
    try {
      schedule(asked)
    } catch (error) {
      if (error instanceof RecipeProblem)
        return error.problems.map(({ field, message }) => `${field}: ${message}`)
      throw error
    }
    return []
  }

  it('names a circle, an oven that is not there, an unknown task and a rest longer than the day', () => {
    expect(
      fieldsOf(
        problem(
          [job('a', 5, {}, [wait('c')]), job('b', 5, {}, [wait('a')]), job('c', 5, {}, [wait('b')])],
          {},
        ),
      ),
    ).toEqual([expect.stringContaining('a → b → c → a')])
    expect(fieldsOf(problem([job('bake', 20, { oven: 1 })], { hands: 1 }))).toEqual([
      expect.stringContaining('tasks[0].uses.oven: this kitchen has no oven'),
    ])
    expect(fieldsOf(problem([job('a', 5, {}, [wait('dough')])], {}))).toEqual([
      'tasks[0].after[0].id: there is no task "dough"',
    ])
    expect(fieldsOf(problem([job('rest', 2000)], {}))).toEqual([expect.stringContaining('tasks[0].minutes')])
  })

  it('says which wishes are in each other’s way, each of them needed, and how much later it would do', () => {
    const asked = problem(
      [
        job('knead', 10, { hands: 1 }),
        job('filling', 20, { hands: 1 }),
        job('fold', 15, { hands: 1 }, [wait('knead', 0, 10), wait('filling')]),
        job('dip', 5, { hands: 1 }),
      ],
      { hands: 1 },
      { availableMinutes: 40 },
    )
    expect(schedule(asked)).toMatchObject({ placed: null, proven: true })
    const wishes: Wish[] = [
      ...waitWishes(asked),
      { id: 'from', says: 'from 40', without: (whole) => ({ ...whole, availableMinutes: null }) },
    ]
    const conflict = conflictOf(asked, wishes, () => false)
    expect(conflict.wishes.map(({ id }) => id)).toEqual(['from'])
    expect(conflict.laterMinutes).toBe(10)
    expect(schedule(later(asked, 10)).placed).not.toBe(null)
    expect(schedule(later(asked, 9)).placed).toBe(null)
  })

  it('says so where no delay helps', () => {
    const never = problem(
      [
        job('a', 5, { hands: 1 }),
        job('b', 5, { hands: 1 }, [wait('a', 0, 0)]),
        job('c', 5, { hands: 1 }, [wait('a', 0, 0)]),
      ],
      { hands: 1 },
    )
    expect(delayFor(never, () => false)).toBe(null)
    expect(conflictOf(never, waitWishes(never), () => false).wishes).toHaveLength(2)
  })
})

it('lanes: what overlaps never shares one', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.nat(60), fc.integer({ min: 1, max: 30 })), { maxLength: 20 }),
      (rows) => {
        const jobs = rows.map(([end, minutes], at) => ({ id: `${at}`, start: end + minutes, end }))
        const most = Math.max(
          1,
          ...jobs.map((one) => jobs.filter((b) => b.start >= one.start && b.end < one.start).length),
        )
        const lanes = shareOutLanes(
          jobs,
          Array.from({ length: most }, () => Infinity),
        )
        for (const one of jobs)
          for (const other of jobs)
            if (one !== other && one.start > other.end && other.start > one.end)
              expect(lanes.get(one.id)).not.toBe(lanes.get(other.id))
      },
    ),
  )
})
