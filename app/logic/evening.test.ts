import { describe, expect, it } from 'vitest'
import type { PlannedTask } from '~~/core/planning/dinner'
import { food, foods, recipeOf } from '../../test/helpers'
import {
  earlierThan,
  dinnerToPlan,
  freshDinner,
  instantText,
  keptPlan,
  momentOfWall,
  nowAndNext,
  rulerOf,
  timeText,
} from './evening'
import { lanesOfEvening } from './eveningLanes'
import { listAsCsv, listAsText, showBought } from './shoppingText'
import { shoppingList } from '~~/core/shopping/list'

const task = (id: string, start: number, end: number, more: Partial<PlannedTask> = {}): PlannedTask => ({
  id,
  dish: 0,
  name: id,
  kind: 'shape',
  minutes: start - end,
  lowMinutes: 1,
  highMinutes: 9,
  hands: true,
  uses: {},
  after: [],
  step: null,
  why: 'so',
  source: 'x',
  partId: null,
  batch: null,
  ahead: false,
  start,
  end,
  person: 0,
  lane: {},
  state: 'to do',
  earliestStart: start,
  latestEnd: end,
  ...more,
})
const evening = [
  task('knead', 180, 170),
  task('rise', 170, 60, { hands: false, person: null }),
  task('chop', 100, 80, { latestEnd: 65 }),
  task('fold', 60, 40),
  task('hot', 55, 40, { hands: false, person: null, uses: { oven: 1 }, lane: { oven: 0 } }),
  task('bake', 40, 5, { hands: false, person: null, uses: { oven: 1 }, lane: { oven: 0 } }),
  task('serve', 0, 0, { kind: 'serve', hands: false, person: null }),
]

describe('the drawing of an evening', () => {
  it('gives every task with hands room for its words, and runs with the clock', () => {
    const { y, before, height } = rulerOf(evening, 28)
    for (const one of evening.filter(({ hands }) => hands)) {
      const next = evening.map(({ start }) => start).filter((start) => start < one.start)
      expect(y(Math.max(...next)) - y(one.start)).toBeGreaterThanOrEqual(28)
    }
    for (let minute = 1; minute <= 180; minute++) expect(y(minute - 1)).toBeGreaterThan(y(minute))
    for (const minute of [0, 7, 40, 99, 180]) expect(before(y(minute))).toBeCloseTo(minute, 6)
    expect(height).toBeGreaterThan(y(0))
  })

  it('has a lane for hands, for the oven, and for what lies by itself', () => {
    const lanes = lanesOfEvening(evening, [{ name: 'Me' }])
    expect(lanes.map(({ name }) => name)).toEqual(['Me', 'Oven', 'Rests'])
    expect(lanes.flatMap((lane) => lane.tasks.map(({ id }) => id)).sort()).toEqual(
      evening
        .map(({ id }) => id)
        .filter((id) => id !== 'serve')
        .sort(),
    )
  })
})

describe('now, next and what can wait', () => {
  it('before anything has begun', () => {
    const { running, late, next, waits } = nowAndNext(evening, 200)
    expect([running, late].flat()).toEqual([])
    expect(next.map(({ id }) => id)).toEqual(['knead', 'chop', 'fold'])
    expect(waits).toEqual([])
  })
  it('in the middle of it', () => {
    const marked = evening.map((one) => (one.id === 'knead' ? { ...one, state: 'done' as const } : one))
    const { running, next } = nowAndNext(marked, 90)
    expect(running.map(({ id }) => id)).toEqual(['rise', 'chop'])
    expect(next.map(({ id }) => id)).toEqual(['fold'])
  })
  it('what should be over and was not begun is late', () => {
    expect(nowAndNext(evening, 150).late.map(({ id }) => id)).toEqual(['knead'])
  })
})

it('knows what has to be done before a task, through what comes before it', () => {
  const after = (id: string) => [{ id, minMinutes: 0, maxMinutes: null, why: '' }]
  const chain = [
    task('weigh', 90, 85),
    task('knead', 85, 75, { after: after('weigh') }),
    task('fold', 40, 30, { after: after('knead') }),
    task('dip', 20, 15),
  ]
  expect([...earlierThan(chain, 'fold')].sort()).toEqual(['knead', 'weigh'])
  expect([...earlierThan(chain, 'dip')]).toEqual([])
})

describe('a dinner', () => {
  const noon = momentOfWall('2026-11-26T12:00', 'Etc/UTC')
  it('is today at half past seven, and tomorrow where that is too soon', () => {
    expect(freshDinner(noon, 'Etc/UTC').serveAt).toBe('2026-11-26T19:30')
    expect(freshDinner(noon + 6 * 60, 'Etc/UTC').serveAt).toBe('2026-11-27T19:30')
  })
  it('is planned in minutes before serving, and kept in instants', () => {
    const draft = {
      ...freshDinner(noon, 'Etc/UTC'),
      from: '2026-11-26T18:00',
      edits: { a: { startAt: '2026-11-26T19:00:00Z' } },
    }
    const plan = dinnerToPlan(draft, noon)
    expect(plan).toMatchObject({ availableMinutes: 90, now: 450, edits: { a: { start: 30 } } })
    const serve = momentOfWall(draft.serveAt, draft.timeZone)
    expect(keptPlan(evening, serve)[0]).toMatchObject({
      id: 'knead',
      startAt: '2026-11-26T16:30:00Z',
      endAt: '2026-11-26T16:40:00Z',
    })
    expect(instantText(serve)).toBe('2026-11-26T19:30:00Z')
    expect(timeText(serve - 90, 'Etc/UTC')).toBe('18:00')
  })
})

describe('the shopping list in words', () => {
  const list = shoppingList(
    [{ recipe: recipeOf({ shell: [['plain-flour', 1200]], filling: [['onion', 300]] }), times: 1 }],
    foods,
    {
      stock: [],
      prices: new Map(),
      today: null,
    },
  )
  it('in kilograms and grams, or in pounds and ounces', () => {
    expect(showBought(1200, false)).toBe('1.2 kg')
    expect(showBought(4.56, false)).toBe('4.6 g')
    expect(showBought(453.6, true)).toBe('1 lb')
    expect(showBought(28.35, true)).toBe('1 oz')
    expect(showBought(500, true)).toBe('1 lb 2 oz')
  })
  it('names sections, amounts and allergens, as text and as CSV', () => {
    const text = listAsText(list, false)
    expect(text).toContain('FLOUR AND BAKING')
    expect(text).toContain('- Plain wheat flour, 1.2 kg (contains CEREALS CONTAINING GLUTEN)')
    const rows = listAsCsv(list, 'EUR').split('\n')
    expect(rows[0]).toContain('cost_EUR')
    expect(rows.find((row) => row.includes(food('plain-flour').name))).toContain(',1200,')
  })
})
