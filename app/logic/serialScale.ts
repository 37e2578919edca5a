import { scaleStream, type Reading } from '~~/core/simulation/devices'

/** What of a serial port is used: as `navigator.serial` gives it, or a stand-in with a recorded stream. */
export interface ScalePort {
  open: (options: { baudRate: number }) => Promise<void>
  readable: ReadableStream<Uint8Array> | null
}

/** Kitchen scales with a line speak at this speed, most of them; docs/devices.md says how to change it. */
const BAUD = 9600

/**
 * Reads a scale on a serial line until the line ends.
 *
 * @param told every reading; the last one says that the scale is lost
 */
export async function readSerialScale(port: ScalePort, told: (reading: Reading) => void): Promise<void> {
  await port.open({ baudRate: BAUD })
  const read = scaleStream()
  const text = new TextDecoder()
  const reader = port.readable?.getReader()
  try {
    for (let part = await reader?.read(); part && !part.done; part = await reader!.read())
      for (const reading of read(text.decode(part.value, { stream: true }))) told(reading)
  } catch {
    // A pulled plug ends the stream with an error: that is told as what it is.
  } finally {
    reader?.releaseLock()
    told({ value: null, state: 'lost' })
  }
}
