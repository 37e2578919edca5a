import { useIntervalFn } from '@vueuse/core'
import { SimulatedScale, type Reading } from '~~/core/simulation/devices'
import { readSerialScale, type ScalePort } from '~/logic/serialScale'

const EVERY_MILLISECONDS = 150

/** The kitchen scale that stands on the page: the simulated one, until a real one is plugged into its place. */
export function useKitchenScale() {
  const scale = new SimulatedScale()
  const reading = shallowRef<Reading>({ value: 0, state: 'ready' })
  /** A real scale goes before the simulated one for as long as it answers. */
  const plugged = ref(false)
  const canPlug = import.meta.client && 'serial' in navigator
  async function plugIn() {
    const { serial } = navigator as unknown as { serial: { requestPort: () => Promise<ScalePort> } }
    const port = await serial.requestPort().catch(() => null)
    if (!port) return
    plugged.value = true
    void readSerialScale(port, (one) => (reading.value = one)).catch(() => undefined)
  }
  // The page's own clock: it never goes backwards when that of the computer is set.
  const now = () => performance.now()
  const look = () => {
    if (!plugged.value) reading.value = scale.read(now())
  }
  useIntervalFn(look, EVERY_MILLISECONDS)
  const lost = ref(false)
  return {
    name: scale.name,
    plugged,
    canPlug,
    plugIn,
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
