const BEEP_HZ = 880
const BEEP_SECONDS = 0.35

let context: AudioContext | null = null
const allowed = ref(false)

/** A sound for timers. A page may make one only after somebody has pressed something: that is asked in its place. */
export function useBell() {
  async function allow() {
    context ??= new AudioContext()
    await context.resume()
    allowed.value = context.state === 'running'
    if (allowed.value) ring()
  }
  function ring() {
    if (!context || !allowed.value) return
    const from = context.currentTime
    for (const beat of [0, 0.5, 1]) {
      const tone = context.createOscillator()
      const loud = context.createGain()
      tone.frequency.value = BEEP_HZ
      loud.gain.setValueAtTime(0.25, from + beat)
      loud.gain.exponentialRampToValueAtTime(0.001, from + beat + BEEP_SECONDS)
      tone.connect(loud).connect(context.destination)
      tone.start(from + beat)
      tone.stop(from + beat + BEEP_SECONDS)
    }
  }
  return { allowed, allow, ring }
}
