import { describe, expect, it } from 'vitest'
import { RecipeProblem } from '../../core/recipe/problem'
import { scheduleRequest } from '~~/shared/api/requests'
import { demoRecipe } from '../../test/demo'
import { reference } from '../../test/helpers'
import { scheduleFor } from './scheduleFor'

const answer = (asked: object) => scheduleFor(scheduleRequest.parse(asked), reference, () => false)
const TASKS = [
  { id: 'rest', minutes: 60 },
  { id: 'fold', minutes: 30, uses: { hands: 1 }, after: [{ id: 'rest' }] },
]

describe('times of a request', () => {
  it.each([
    ['2026-11-26T19:30', '2026-11-26T18:00', '2026-11-26T19:30'],
    ['2026-11-26T19:30:00+01:00', '2026-11-26T18:00:00+01:00', '2026-11-26T19:30:00+01:00'],
    ['19:30', '18:00', '19:30'],
    [1170, 1080, 1170],
  ])('%s is answered as it was written', (serveAt, start, end) => {
    const { tasks } = answer({ serveAt, tasks: TASKS })
    expect(tasks.map((task) => [task.id, task.start, task.end])).toEqual([
      ['rest', start, expect.anything()],
      ['fold', expect.anything(), end],
    ])
  })

  it('on the night that is an hour longer the wall clock shows one less', () => {
    const { tasks } = answer({
      serveAt: '2026-10-25T04:00',
      timeZone: 'CET',
      tasks: [{ id: 'rise', minutes: 180 }],
    })
    expect(tasks[0]).toMatchObject({ start: '2026-10-25T02:00', end: '2026-10-25T04:00' })
  })

  it('an evening before in bare times was a day earlier', () => {
    const { tasks, conflict } = answer({
      serveAt: '19:30',
      night: { from: '20:00', until: '22:30', backAt: '16:00' },
      recipes: [{ recipe: demoRecipe('caraway'), stage: 'night-before' }],
    })
    expect(conflict).toBe(null)
    const knead = tasks.find(({ id }) => id.endsWith('dough.knead'))!
    expect(knead.start >= '20:00' && knead.end <= '22:30').toBe(true)
  })

  it('nobody can begin after the dinner', () => {
    expect(() => answer({ serveAt: '19:30', from: '20:00', tasks: TASKS })).toThrow(RecipeProblem)
  })
})

it('somebody who comes only after the dinner is no help, and that is said', () => {
  const { tasks, conflict } = answer({
    serveAt: '19:30',
    people: [{ name: 'Late', from: '20:00' }],
    recipes: [{ recipe: demoRecipe('steamed') }],
  })
  expect(tasks).toEqual([])
  expect(conflict!.wishes.map(({ says }) => says)).toContain('Late comes only later')
})
