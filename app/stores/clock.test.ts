import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { planDinner } from '~~/core/planning/dinner'
import { makeDish } from '~~/core/planning/tasks'
import type { ClockQuestion, ClockReply } from '~/workers/clock.worker'
import { timeTable } from '~~/data/timeTable'
import { demoRecipe } from '../../test/demo'
import { reference } from '../../test/helpers'

// What Nuxt imports by itself in the application.
vi.stubGlobal('ref', ref)
vi.stubGlobal('computed', computed)
vi.stubGlobal('shallowRef', shallowRef)
vi.stubGlobal('watch', watch)
const { useLarderStore } = await import('./larder')
vi.stubGlobal('useLarderStore', useLarderStore)
const { useBenchStore } = await import('./bench')
vi.stubGlobal('useBenchStore', useBenchStore)
const { useClockStore } = await import('./clock')

/** Plans at once what a worker would plan; what cannot be sent to one throws here too. */
class PlanningWorker {
  onmessage: ((event: { data: ClockReply }) => void) | null = null
  terminate() {}
  postMessage(question: ClockQuestion) {
    const { number, dinner, dishes } = structuredClone(question)
    const made = dishes.map(({ recipe, stage, plan }) => makeDish(recipe, stage, plan, reference))
    const plan = planDinner({ ...dinner, dishes: made }, reference, timeTable)
    this.onmessage?.({ data: { number, kind: 'plan', plan, last: true } })
  }
}
vi.stubGlobal('Worker', PlanningWorker)

const NOON = Date.parse('2026-11-26T12:00:00Z')
const buns = demoRecipe('steamed')
const stored: { method: string; path: string }[] = []

beforeEach(() => {
  setActivePinia(createPinia())
  vi.useFakeTimers({ now: NOON, toFake: ['Date'] })
  stored.length = 0
  vi.stubGlobal('fetch', (path: string, { method, body }: { method: string; body: string }) => {
    stored.push({ method, path })
    const answer = { id: 'x', dinner: (JSON.parse(body) as { dinner: unknown }).dinner, savedAt: '' }
    return Promise.resolve(new Response(JSON.stringify(answer), { status: 200 }))
  })
})

/** A dinner of one dish at half past seven, planned. */
function planned() {
  const clock = useClockStore()
  clock.change({ serveAt: '2026-11-26T19:30', timeZone: 'Etc/UTC' })
  clock.addDish(buns, null)
  return clock
}
const taskOf = (clock: ReturnType<typeof planned>, part: string) =>
  clock.plan!.tasks!.find(({ id }) => id.includes(part))!

describe('the clock store', () => {
  it('plans what it is given, keeps the plan with the dinner, and takes it back', () => {
    const clock = planned()
    expect(clock.plan?.proven).toBe(true)
    expect(clock.dinner.plan!.at(-1)).toMatchObject({ id: 'serve', startAt: '2026-11-26T19:30:00Z' })
    clock.undo()
    expect(clock.plan).toBe(null)
    clock.redo()
    expect(clock.plan?.tasks).not.toBe(null)
  })

  it('takes the cook’s own minutes, and gives them back to the table', () => {
    const clock = planned()
    const rise = taskOf(clock, 'dough.rise')
    clock.edit(rise.id, { minutes: 45 })
    expect(taskOf(clock, 'dough.rise').minutes).toBe(45)
    clock.edit(rise.id, { minutes: undefined })
    expect(taskOf(clock, 'dough.rise').minutes).toBe(rise.minutes)
    expect(clock.dinner.edits).toEqual({})
  })

  it('takes what comes before a marked task as done', () => {
    const clock = planned()
    const shape = taskOf(clock, 'shape.1')
    vi.setSystemTime((clock.serve - shape.start) * 60_000)
    clock.mark(shape.id, 'begun')
    expect(taskOf(clock, 'shape.1').state).toBe('begun')
    expect(taskOf(clock, 'dough.knead').state).toBe('done')
    expect(taskOf(clock, 'cook.1').state).toBe('to do')
    clock.mark(shape.id, 'to do')
    expect(taskOf(clock, 'shape.1').state).toBe('to do')
  })

  it('gives up just the wish that is named', () => {
    const clock = planned()
    clock.change({
      from: '2026-11-26T18:30',
      people: [
        { name: 'A', from: null, does: 'everything' },
        { name: 'B', from: '2026-11-26T19:00', does: 'everything' },
      ],
    })
    expect(clock.plan!.conflict!.wishes.map(({ id }) => id)).toEqual(['from'])
    clock.giveUp('comes:1')
    expect(clock.dinner.people.map(({ from }) => from)).toEqual([null, null])
    expect(clock.dinner.from).not.toBe(null)
    clock.giveUp('from')
    expect(clock.plan!.conflict).toBe(null)
    clock.giveUp('wait:a:b')
    expect(clock.dinner.givenUp).toEqual(['wait:a:b'])
  })

  it('keeps a dinner on the server before another is begun, and opens it again', async () => {
    const clock = planned()
    const first = { id: clock.id, dinner: clock.dinner, savedAt: '' }
    await clock.startOver()
    expect(stored).toEqual([{ method: 'PUT', path: `/api/dinners/${first.id}` }])
    expect(clock.dinner.dishes).toEqual([])
    expect(clock.id).not.toBe(first.id)
    await clock.open(first)
    expect(clock.id).toBe(first.id)
    expect(clock.plan?.tasks).not.toBe(null)
  })
})
