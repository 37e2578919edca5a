import { TABLE_FILE_KEYS, type TableFile } from '~~/core/exchange/openTable'
import type { StoredImport } from '~~/shared/api/foods'
import { ApiProblem, call, sendBytes } from '~/logic/api'

const CHUNK_BYTES = 2_000_000
const POLL_MS = 400
/** A broken line is tried again this often, waiting longer each time. */
const MAX_TRIES = 5

/** The table's file that a file on disk is: "food_nutrient (2).csv" is food_nutrient. */
export function tableFileOf(name: string): TableFile | null {
  const plain = name.toLowerCase().replace(/[^a-z_].*$/, '')
  return TABLE_FILE_KEYS.find((key) => key === plain) ?? null
}

/** Sends the files of an open table piece by piece, goes on where it broke off, and follows the merge. */
export function useTableImport() {
  const state = shallowRef<StoredImport | null>(null)
  const sentBytes = ref(0)
  const allBytes = ref(0)
  const busy = ref(false)
  const trouble = ref('')
  let stopped = false

  const nextByte = (file: TableFile) => state.value?.files.find((one) => one.file === file)?.nextByte ?? 0
  const refresh = async () => {
    if (state.value) state.value = await call<StoredImport>('GET', `/api/imports/${state.value.id}`)
  }

  async function sendFile(file: TableFile, blob: File) {
    let from = nextByte(file)
    let tries = 0
    if (state.value!.files.find((one) => one.file === file)?.ended) return
    for (;;) {
      if (stopped) return
      const piece = blob.slice(from, from + CHUNK_BYTES)
      const last = from + piece.size >= blob.size
      try {
        const answer = await sendBytes<{ nextByte: number }>(
          `/api/imports/${state.value!.id}/rows?file=${file}&offset=${from}&last=${last}`,
          piece,
        )
        sentBytes.value += answer.nextByte - from
        from = answer.nextByte
        tries = 0
        if (last) return
      } catch (error) {
        if (!(error instanceof ApiProblem) || !error.away || ++tries > MAX_TRIES) throw error
        await new Promise((done) => setTimeout(done, 500 * 2 ** tries))
      }
    }
  }

  /** Runs a step, and keeps what went wrong in words. Returns whether it went well. */
  async function step(work: () => Promise<void>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    trouble.value = ''
    try {
      await work()
      return true
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      trouble.value = error.problem.detail
      await refresh().catch(() => undefined)
      return false
    } finally {
      busy.value = false
    }
  }

  /** Sends the files; with an import that broke off, what is missing of them. */
  function send(source: string, who: string, files: ReadonlyMap<TableFile, File>) {
    return step(async () => {
      stopped = false
      if (state.value?.state !== 'open')
        state.value = await call<StoredImport>('POST', '/api/imports', { source, who })
      allBytes.value = [...files.values()].reduce((sum, file) => sum + file.size, 0)
      sentBytes.value = [...files.keys()].reduce((sum, file) => sum + nextByte(file), 0)
      for (const file of TABLE_FILE_KEYS) {
        const blob = files.get(file)
        if (blob) await sendFile(file, blob)
        await refresh()
      }
    })
  }

  /** Makes foods of what was sent, and waits until they are there. */
  function finish(withoutBadRows: boolean) {
    return step(async () => {
      const path = `/api/imports/${state.value!.id}`
      state.value = {
        ...state.value!,
        ...(await call<StoredImport>('POST', `${path}/finish`, { withoutBadRows })),
      }
      while (state.value?.state === 'merging' && !stopped) {
        await new Promise((done) => setTimeout(done, POLL_MS))
        await refresh()
      }
      if (state.value?.message) trouble.value = state.value.message
    })
  }

  /** Throws away what was sent. */
  function drop() {
    stopped = true
    return step(async () => {
      if (state.value) await call('DELETE', `/api/imports/${state.value.id}`)
      state.value = null
      sentBytes.value = 0
    })
  }

  /** Takes up an import that was begun earlier, perhaps in another window. */
  const resume = (id: string) =>
    step(async () => {
      state.value = await call<StoredImport>('GET', `/api/imports/${id}`)
    })

  onUnmounted(() => (stopped = true))
  return { state, sentBytes, allBytes, busy, trouble, send, finish, drop, resume }
}
