import { call } from '~/logic/api'
import { keptHere } from '~/logic/keptHere'

/** A page that is left tells the server what this browser keeps for itself, so that the copy of the night has it. */
export default defineNuxtPlugin(() => {
  let last = ''
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState !== 'hidden') return
    const kept = keptHere(localStorage, new Date(), screen.width)
    const now = JSON.stringify(kept.kept)
    if (now === last || !Object.keys(kept.kept).length) return
    last = now
    // Where the server is away it is told the next time.
    call('PUT', '/api/kept', kept).catch(() => (last = ''))
  })
})
