/** Keeps the screen on while a place is open, where the browser can; says whether it does. */
export function useAwake() {
  const awake = ref(false)
  let lock: WakeLockSentinel | null = null
  async function ask() {
    if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
    try {
      lock = await navigator.wakeLock.request('screen')
      awake.value = true
      lock.addEventListener('release', () => (awake.value = false))
    } catch {
      // A nearly empty battery refuses it: the screen then goes dark as usual, and that is said.
      awake.value = false
    }
  }
  onMounted(() => {
    void ask()
    document.addEventListener('visibilitychange', ask)
  })
  onUnmounted(() => {
    document.removeEventListener('visibilitychange', ask)
    void lock?.release()
  })
  return { awake }
}
