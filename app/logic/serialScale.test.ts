import { expect, it } from 'vitest'
import type { Reading } from '~~/core/simulation/devices'
import { readSerialScale } from './serialScale'

const bytes = (text: string) => new TextEncoder().encode(text)
const streamOf = (parts: string[], fails = false) =>
  new ReadableStream<Uint8Array>({
    start(controller) {
      for (const part of parts) controller.enqueue(bytes(part))
      if (fails) controller.error(new Error('unplugged'))
      else controller.close()
    },
  })

it.each([false, true])('reads what a scale sends, and says when it is gone (pulled: %s)', async (fails) => {
  const seen: Reading[] = []
  let speed = 0
  await readSerialScale(
    {
      open: async ({ baudRate }) => void (speed = baudRate),
      readable: streamOf(fails ? [] : ['US,+   11', '8.5 g\r\nST,+  124.0 g\r\n']),
    },
    (reading) => seen.push(reading),
  )
  expect(speed).toBe(9600)
  expect(seen).toEqual([
    ...(fails
      ? []
      : [
          { value: 118.5, state: 'settling' },
          { value: 124, state: 'ready' },
        ]),
    { value: null, state: 'lost' },
  ])
})
it('tells of a plug that is pulled while it reads', async () => {
  const seen: Reading[] = []
  await readSerialScale({ open: async () => undefined, readable: streamOf([], true) }, (one) =>
    seen.push(one),
  )
  expect(seen).toEqual([{ value: null, state: 'lost' }])
})
