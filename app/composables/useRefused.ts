import { useLocalStorage } from '@vueuse/core'

/** Swaps the cook does not want to be offered again, by id; remembered by this browser. */
export const useRefused = () => {
  const refused = useLocalStorage<string[]>('swap-pocket:refused', [])
  const refuse = (id: string) => (refused.value = [...new Set([...refused.value, id])])
  const offerAgain = (ids: readonly string[]) =>
    (refused.value = refused.value.filter((id) => !ids.includes(id)))
  return { refused, refuse, offerAgain }
}
