import { useIntervalFn } from '@vueuse/core'
import { ApiProblem, call } from '~/logic/api'
import { keptHere } from '~/logic/keptHere'
import type { CopiesAnswer, CopyAnswer } from '~~/shared/api/copies'

const LOOK_MILLISECONDS = 400

/** The copies of everything: what there is, and one in the making. */
export function useCopies() {
  const copies = ref<CopyAnswer[]>([])
  const folder = ref('')
  const making = ref<{ done: number; total: number } | null>(null)
  const trouble = ref('')
  const loaded = ref(false)

  async function load() {
    try {
      const answer = await call<CopiesAnswer>('GET', '/api/copies')
      copies.value = answer.copies
      folder.value = answer.folder
      making.value = answer.making
      trouble.value = ''
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      trouble.value = error.message
    }
    loaded.value = true
  }
  const look = useIntervalFn(() => void load(), LOOK_MILLISECONDS, { immediate: false })

  /** Makes a copy now. Returns it, or null when that failed; why is in `trouble`. */
  async function make(): Promise<CopyAnswer | null> {
    making.value = { done: 0, total: 0 }
    look.resume()
    try {
      await call('PUT', '/api/kept', keptHere(localStorage, new Date(), screen.width))
      return await call<CopyAnswer>('POST', '/api/copies')
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      trouble.value = error.message
      return null
    } finally {
      look.pause()
      const said = trouble.value
      await load()
      if (said) trouble.value = said
      making.value = null
    }
  }

  async function remove(name: string) {
    try {
      await call('DELETE', `/api/copies/${name}`)
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error
      trouble.value = error.message
      return
    }
    await load()
  }
  return { copies, folder, making, trouble, loaded, load, make, remove }
}
