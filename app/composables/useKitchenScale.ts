import { useIntervalFn } from '@vueuse/core'
import { SimulatedScale, type Reading } from '~~/core/simulation/devices'

const EVERY_MILLISECONDS = 150

/** The kitchen scale that stands on the page: the simulated one, until a real one is plugged into its place. */
export function useKitchenScale() {
  const scale = new SimulatedScale()
  const reading = shallowRef<Reading>({ value: 0, state: 'ready' })
  // The page's own clock: it never goes backwards when that of the computer is set.
  const now = () => performance.now()
  const look = () => (reading.value = scale.read(now()))
  useIntervalFn(look, EVERY_MILLISECONDS)
  const lost = ref(false)
  return {
    name: scale.name,
    reading,
    lost,
    put: (grams: number) => {
      scale.put(grams, now())
      look()
    },
    tare: () => {
      scale.tare(now())
      look()
    },
    lose: (value: boolean) => {
      lost.value = value
      scale.lose(value)
      look()
    },
  }
}
