import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { recipeOf } from '../../test/helpers'

// What Nuxt imports by itself in the application.
vi.stubGlobal('ref', ref)
vi.stubGlobal('computed', computed)
vi.stubGlobal('shallowRef', shallowRef)
const { useLarderStore } = await import('./larder')
vi.stubGlobal('useLarderStore', useLarderStore)
const { useBenchStore } = await import('./bench')
const { allDrafts, drop } = await import('~/logic/drafts')

const pies = recipeOf({
  shell: [
    ['plain-flour', 300],
    ['butter', 150],
    ['water', 60],
  ],
  filling: [['leek', 300]],
})
const ID = '7f1c9f0e-8d53-4c1e-9a55-0f8f6f0b9c11'
const OTHER = '2a0f1f7e-3b0c-4f5e-8a10-6f1d1a2b3c4d'

/** A storage that forgets with the test. */
function memoryStorage(): Storage {
  const kept = new Map<string, string>()
  return {
    get length() {
      return kept.size
    },
    clear: () => kept.clear(),
    getItem: (key) => kept.get(key) ?? null,
    key: (at) => [...kept.keys()][at] ?? null,
    removeItem: (key) => void kept.delete(key),
    setItem: (key, value) => void kept.set(key, value),
  }
}

const calls: { method: string; path: string; body: Record<string, unknown>; key: string | null }[] = []

/** Answers calls in turn: a status and a body each. */
function answerWith(...answers: [status: number, body: unknown][]) {
  vi.stubGlobal(
    'fetch',
    (
      path: string,
      { method, body, headers }: { method: string; body?: string; headers?: Record<string, string> },
    ) => {
      calls.push({
        method,
        path,
        body: body ? (JSON.parse(body) as Record<string, unknown>) : {},
        key: headers?.['idempotency-key'] ?? null,
      })
      const [status, value] = answers.shift() ?? [500, {}]
      return Promise.resolve(new Response(JSON.stringify(value), { status }))
    },
  )
}

/** What a tab sees that was just opened, or loaded again. */
const newTab = () => setActivePinia(createPinia())

beforeEach(async () => {
  newTab()
  vi.stubGlobal('localStorage', memoryStorage())
  vi.stubGlobal('sessionStorage', memoryStorage())
  for (const draft of await allDrafts()) await drop(draft)
  calls.length = 0
})

describe('the bench store', () => {
  it('takes changes back and does them again, one step at a time', () => {
    const bench = useBenchStore()
    bench.start(pies)
    expect(bench.canUndo).toBe(false)
    bench.change({ ...pies, title: 'Second' })
    bench.change({ ...pies, title: 'Third' })
    bench.undo()
    expect(bench.recipe?.title).toBe('Second')
    bench.undo()
    expect(bench.recipe?.title).toBe(pies.title)
    bench.undo()
    expect(bench.recipe?.title).toBe(pies.title)
    bench.redo()
    bench.redo()
    expect(bench.recipe?.title).toBe('Third')
    bench.undo()
    bench.change({ ...pies, title: 'Another way' })
    expect(bench.canRedo).toBe(false)
  })

  it('grows a variant beside the original, and undo takes it back whole', async () => {
    const bench = useBenchStore()
    bench.start(pies)
    const changes = await bench.adaptTo(['vegan'])
    expect(changes.some((change) => change.kind === 'swap')).toBe(true)
    expect(bench.recipe?.title).toBe(`${pies.title}, vegan`)
    expect(bench.baseline).toEqual(pies)
    bench.undo()
    expect(bench.recipe).toEqual(pies)
    expect(bench.baseline).toBeNull()
  })

  it('says why it cannot adapt, and changes nothing', async () => {
    const bench = useBenchStore()
    bench.start(recipeOf({ filling: [['leek', 100]] }))
    expect(await bench.adaptTo(['vegan'])).toEqual([])
    expect(bench.refusal).toMatch(/no dough/)
    expect(bench.canUndo).toBe(false)
  })

  it('saves a new recipe, then its next revision', async () => {
    const bench = useBenchStore()
    bench.start(pies)
    expect(bench.dirty).toBe(true)
    answerWith([201, { id: ID, revision: 1 }], [200, { id: ID, revision: 2 }])
    expect(await bench.save()).toBe(true)
    expect(bench.dirty).toBe(false)
    bench.change({ ...pies, title: 'Changed' })
    expect(bench.dirty).toBe(true)
    expect(await bench.save()).toBe(true)
    expect(calls.map(({ method, path }) => `${method} ${path}`)).toEqual([
      'POST /api/recipes',
      `PUT /api/recipes/${ID}`,
    ])
    expect(calls[1]?.body.revision).toBe(1)
    expect(bench.slot).toEqual({ id: ID, revision: 2 })
  })

  it('saves the original before its variant', async () => {
    const bench = useBenchStore()
    bench.start(pies)
    await bench.adaptTo(['vegan'])
    answerWith([201, { id: ID, revision: 1 }], [201, { id: OTHER, revision: 1 }])
    expect(await bench.save()).toBe(true)
    expect(calls.map(({ method, path }) => `${method} ${path}`)).toEqual([
      'POST /api/recipes',
      `POST /api/recipes/${ID}/variants`,
    ])
    expect(bench.slot).toEqual({ id: OTHER, revision: 1 })
    expect(bench.original).toEqual({ id: ID, revision: 1 })
  })

  it('does not store the original twice when only the variant failed', async () => {
    const bench = useBenchStore()
    bench.start(pies)
    await bench.adaptTo(['vegan'])
    answerWith(
      [201, { id: ID, revision: 1 }],
      [503, { title: 'away', status: 503, detail: 'x', type: 't' }],
      [201, { id: OTHER, revision: 1 }],
    )
    expect(await bench.save()).toBe(false)
    expect(await bench.save()).toBe(true)
    expect(calls.filter(({ path }) => path === '/api/recipes')).toHaveLength(1)
  })

  it('keeps what was typed when the server is away, and can go on from the copy', async () => {
    const bench = useBenchStore()
    bench.start(pies)
    bench.change({ ...pies, title: 'Precious' })
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')))
    expect(await bench.save()).toBe(false)
    expect(bench.trouble?.title).toMatch(/cannot be reached/)
    expect(bench.recipe?.title).toBe('Precious')

    setActivePinia(createPinia())
    const later = useBenchStore()
    expect(await later.resume()).toBe(true)
    expect(later.recipe?.title).toBe('Precious')
    expect(later.dirty).toBe(true)
  })

  it('saves over a newer revision only when told to', async () => {
    const bench = useBenchStore()
    bench.start(pies)
    answerWith(
      [201, { id: ID, revision: 1 }],
      [
        409,
        {
          title: 'stale',
          status: 409,
          detail: 'x',
          type: 't',
          stored: { id: ID, revision: 5, recipe: pies },
        },
      ],
      [200, { id: ID, revision: 6 }],
    )
    await bench.save()
    bench.change({ ...pies, title: 'Mine' })
    expect(await bench.save()).toBe(false)
    expect(bench.trouble?.status).toBe(409)
    expect(await bench.saveOver()).toBe(true)
    expect(calls.at(-1)?.body).toMatchObject({ revision: 5, recipe: { title: 'Mine' } })
  })

  it('opens a stored recipe with its parent, and its own unsaved changes first', async () => {
    const bench = useBenchStore()
    answerWith([
      200,
      {
        id: OTHER,
        revision: 3,
        recipe: { ...pies, title: 'Variant' },
        parent: { id: ID, revision: 1, recipe: pies },
      },
    ])
    await bench.open(OTHER)
    expect(bench.baseline).toEqual(pies)
    expect(bench.dirty).toBe(false)
    bench.change({ ...pies, title: 'Half typed' })

    setActivePinia(createPinia())
    const later = useBenchStore()
    answerWith()
    await later.open(OTHER)
    expect(later.recipe?.title).toBe('Half typed')
  })

  it('keeps an unsaved variant under the address of its original', async () => {
    const bench = useBenchStore()
    answerWith([200, { id: ID, revision: 1, recipe: pies, parent: null }])
    await bench.open(ID)
    await bench.adaptTo(['vegan'])

    setActivePinia(createPinia())
    const reloaded = useBenchStore()
    answerWith()
    await reloaded.open(ID)
    expect(reloaded.recipe?.title).toBe(`${pies.title}, vegan`)
    expect(reloaded.baseline).toEqual(pies)
    await reloaded.open(ID)
    expect(reloaded.aside).toBe('')
  })

  it('puts unsaved work aside when something else is laid on the bench, and takes it back', async () => {
    const bench = useBenchStore()
    bench.start(pies)
    await bench.adaptTo(['vegan'])
    answerWith([200, { id: ID, revision: 1, recipe: { ...pies, title: 'Something else' }, parent: null }])
    await bench.open(ID)
    expect(bench.recipe?.title).toBe('Something else')
    expect(bench.aside).toBe(`${pies.title}, vegan`)
    bench.takeBack()
    expect(bench.recipe?.title).toBe(`${pies.title}, vegan`)
    expect(bench.baseline).toEqual(pies)
    expect(bench.dirty).toBe(true)
    expect(bench.aside).toBe('')
  })

  it.each(['{"now":', '{"now":{"recipe":5}}', 'null', ''])(
    'starts afresh when the copy is broken: %s',
    async (text) => {
      localStorage.setItem('swap-pocket:bench', text)
      localStorage.setItem('swap-pocket:journal:x~y', text)
      expect(await useBenchStore().resume()).toBe(false)
      expect(localStorage.getItem('swap-pocket:journal:x~y')).toBeNull()
    },
  )

  it('takes over what an older program kept', async () => {
    const slots = { original: { id: ID, revision: 1 }, variant: { id: null, revision: null } }
    const now = { recipe: { ...pies, title: 'Of old' }, baseline: null }
    localStorage.setItem('swap-pocket:bench', JSON.stringify({ ...slots, now, savedAs: '' }))
    expect(await useBenchStore().resume()).toBe(true)
    expect(useBenchStore().recipe?.title).toBe('Of old')
    expect(localStorage.getItem('swap-pocket:bench')).toBeNull()
  })

  it('keeps unsaved work on each recipe by itself', async () => {
    const bench = useBenchStore()
    const stored = (id: string, title: string) => ({
      id,
      revision: 1,
      recipe: { ...pies, title },
      parent: null,
    })
    answerWith([200, stored(ID, 'One')], [200, stored(OTHER, 'Two')])
    await bench.open(ID)
    bench.change({ ...pies, title: 'One, half typed' })
    await bench.open(OTHER)
    bench.change({ ...pies, title: 'Two, half typed' })
    bench.start({ ...pies, title: 'Three' })

    newTab()
    const later = useBenchStore()
    answerWith()
    await later.open(ID)
    expect(later.recipe?.title).toBe('One, half typed')
    await later.open(OTHER)
    expect(later.recipe?.title).toBe('Two, half typed')
    expect((await allDrafts()).map((draft) => draft.now.recipe.title).sort()).toEqual([
      'One, half typed',
      'Three',
      'Two, half typed',
    ])
  })

  it('keeps what was typed where the browser has no store, and what another tab is writing is left to it', async () => {
    const bench = useBenchStore()
    bench.start({ ...pies, title: 'In the journal' })
    const [kept] = await allDrafts()
    const name = `swap-pocket:journal:${kept!.about}~${kept!.tab}`
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    try {
      bench.change({ ...pies, title: 'Typed when it was full' })
      newTab()
      const later = useBenchStore()
      expect(await later.resume()).toBe(true)
      expect(later.recipe?.title).toBe('Typed when it was full')
      expect(localStorage.getItem(name)).not.toBeNull()
    } finally {
      put.mockRestore()
    }
  })

  it('keeps no copy of what is saved', async () => {
    const bench = useBenchStore()
    bench.start(pies)
    answerWith([201, { id: ID, revision: 1 }])
    await bench.save()
    await vi.waitFor(async () => expect(await allDrafts()).toEqual([]))
  })

  it('sends a creation again under its key when the answer was lost, and then what was typed since', async () => {
    const bench = useBenchStore()
    bench.start(pies)
    answerWith([503, { title: 'away', status: 503, detail: 'x', type: 't' }])
    expect(await bench.save()).toBe(false)
    expect(bench.waiting).toBe(true)
    bench.change({ ...pies, title: 'Typed since' })

    newTab()
    const later = useBenchStore()
    answerWith([201, { id: ID, revision: 1 }], [200, { id: ID, revision: 2 }])
    expect(await later.resume()).toBe(true)
    expect(await later.save()).toBe(true)
    const [lost, again, change] = calls
    expect(again).toMatchObject({ method: 'POST', key: lost!.key, body: lost!.body })
    expect(lost!.key).toMatch(/^[\w-]{8,}$/)
    expect(change).toMatchObject({ method: 'PUT', body: { revision: 1, recipe: { title: 'Typed since' } } })
    expect(later.slot).toEqual({ id: ID, revision: 2 })
  })

  it('saves by itself when the server is back', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
    try {
      const bench = useBenchStore()
      bench.start(pies)
      answerWith([503, { title: 'away', status: 503, detail: 'x', type: 't' }])
      expect(await bench.save()).toBe(false)
      answerWith(
        [503, { title: 'not ready', status: 503, detail: 'x', type: 't' }],
        [200, { ready: true }],
        [201, { id: ID, revision: 1 }],
      )
      await vi.advanceTimersByTimeAsync(2100)
      expect(bench.waiting).toBe(true)
      await vi.advanceTimersByTimeAsync(2100)
      await vi.waitFor(() => expect(bench.dirty).toBe(false))
      expect(bench.waiting).toBe(false)
      expect(bench.trouble).toBeNull()
    } finally {
      vi.useRealTimers()
    }
  })
})
