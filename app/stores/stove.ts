import { defineStore } from 'pinia'
import { useEventListener, useLocalStorage } from '@vueuse/core'
import { factorsInUse } from '~~/core/log/apply'
import { calibrate, type Calibration } from '~~/core/log/calibrate'
import { recordSchema, type CookRecord, type Expected } from '~~/core/log/record'
import type { FieldProblem } from '~~/core/recipe/problem'
import type { StoredRecord } from '~~/shared/api/log'
import { ApiProblem, call } from '~/logic/api'

/** A session in this browser: what the server has of it is said by `sent`. */
interface Session {
  id: string
  sequence: number
  sent: number
  record: CookRecord
}

/** Changes of one breath are sent together; what could not be sent is tried again. */
const SEND_MILLISECONDS = 500
const AGAIN_MILLISECONDS = 15_000

/**
 * The session at the stove and the records of earlier ones. Every change is kept in this browser at once and sent to
 * the server after it, under an id and a rising number of its own: a crash, a reload or a dead network loses nothing,
 * and nothing is stored twice.
 */
export const useStoveStore = defineStore('stove', () => {
  const shelves = useLarderStore()
  const sessions = useLocalStorage<Record<string, Session>>('swap-pocket:sessions', {}, { shallow: true })
  const current = useLocalStorage<string | null>('swap-pocket:session', null)
  const records = shallowRef<StoredRecord[]>([])
  const away = ref(false)
  const loaded = ref(false)
  /** Quantities that the cook does not want to be learnt. */
  const off = useLocalStorage<string[]>('swap-pocket:not-learnt', [])

  const session = computed(() => (current.value ? (sessions.value[current.value] ?? null) : null))
  const record = computed(() => session.value?.record ?? null)

  let timer: ReturnType<typeof setTimeout> | null = null
  function later(milliseconds: number) {
    if (timer) clearTimeout(timer)
    timer = setTimeout(() => void send(), milliseconds)
  }
  function keep(one: Session) {
    sessions.value = { ...sessions.value, [one.id]: one }
  }
  const open = () => Object.values(sessions.value).filter(({ sent, sequence }) => sent < sequence)

  let sending = false
  /** Sends what the server does not have; what it refuses stays here and is said. */
  async function send() {
    if (sending) return
    sending = true
    try {
      for (const one of open()) {
        const { sequence } = one
        const stored = await call<StoredRecord>('PUT', `/api/records/${one.id}`, {
          record: one.record,
          sequence,
        })
        const now = sessions.value[one.id]
        if (now) keep({ ...now, sent: sequence })
        remember(stored)
      }
      away.value = false
      forgetFinished()
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      away.value = error.away
      later(AGAIN_MILLISECONDS)
    } finally {
      sending = false
    }
    if (open().length && !away.value) later(SEND_MILLISECONDS)
  }
  /** What is finished and safely stored needs no copy here. */
  function forgetFinished() {
    const kept = Object.values(sessions.value).filter(
      ({ id, record: one, sent, sequence }) =>
        one.finishedAt === null || sent < sequence || id === current.value,
    )
    if (kept.length !== Object.keys(sessions.value).length)
      sessions.value = Object.fromEntries(kept.map((one) => [one.id, one]))
  }
  const remember = (stored: StoredRecord) => {
    records.value = [stored, ...records.value.filter(({ id }) => id !== stored.id)].sort(
      (a, b) => b.record.startedAt - a.record.startedAt,
    )
  }

  /** Begins a session. */
  function begin(fields: {
    title: string
    recipeId: string | null
    revision: number | null
    expected: Expected
  }) {
    const id = crypto.randomUUID() as string
    keep({ id, sequence: 1, sent: 0, record: recordSchema.parse({ ...fields, startedAt: Date.now() }) })
    current.value = id
    later(0)
  }

  /**
   * Writes into a record: the session's, or one of the notebook's.
   *
   * @returns what would be wrong with it; then nothing is written
   */
  function write(fields: Partial<CookRecord>, id = current.value): FieldProblem[] {
    const known = id ? (sessions.value[id] ?? fromServer(id)) : null
    if (!known) return []
    const parsed = recordSchema.safeParse({ ...known.record, ...fields })
    if (!parsed.success)
      return parsed.error.issues.map(({ path, message }) => ({ field: path.join('.'), message }))
    keep({ ...known, record: parsed.data, sequence: known.sequence + 1 })
    later(SEND_MILLISECONDS)
    return []
  }
  function fromServer(id: string): Session | null {
    const stored = records.value.find((one) => one.id === id)
    return stored ? { id, sequence: stored.sequence, sent: stored.sequence, record: stored.record } : null
  }
  function finish() {
    write({ finishedAt: Date.now() })
    const id = current.value
    current.value = null
    return id
  }
  /** Goes on with a session that was left. */
  const resume = (id: string) => {
    const known = sessions.value[id] ?? fromServer(id)
    if (known) keep(known)
    current.value = id
  }

  async function load() {
    try {
      const { records: all } = await call<{ records: StoredRecord[] }>('GET', '/api/records')
      records.value = all
      away.value = false
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      away.value = error.away
    } finally {
      loaded.value = true
    }
    if (open().length) later(0)
  }
  async function remove(id: string) {
    const { [id]: own, ...others } = sessions.value
    sessions.value = others
    if (current.value === id) current.value = null
    records.value = records.value.filter((one) => one.id !== id)
    if (own && own.sent === 0) return
    await call('DELETE', `/api/records/${id}`)
  }
  /** Records as they stand here and on the server, the latest first. */
  const all = computed(() => {
    const own = Object.values(sessions.value)
    const stored = records.value.filter(({ id }) => !sessions.value[id])
    return [
      ...own.map(({ id, record: one }) => ({
        id,
        record: one,
        photos: records.value.find((known) => known.id === id)?.photos ?? [],
      })),
      ...stored.map(({ id, record: one, photos }) => ({ id, record: one, photos })),
    ].sort((a, b) => b.record.startedAt - a.record.startedAt)
  })
  const calibrations = computed<Calibration[]>(() => calibrate(all.value.map(({ record: one }) => one)))
  // Every place reckons with what was learnt, the one that has no records before it too.
  watch([calibrations, off], () => {
    if (loaded.value) shelves.factors = factorsInUse(calibrations.value, off.value)
  })
  const unsent = computed(() => open().length)

  if (import.meta.client) useEventListener(window, 'online', () => later(0))
  return {
    session,
    record,
    records,
    all,
    away,
    loaded,
    off,
    unsent,
    calibrations,
    begin,
    write,
    finish,
    resume,
    load,
    remove,
    send,
  }
})
