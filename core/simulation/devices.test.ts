import { describe, expect, it } from 'vitest'
import { seeded } from '../../test/seeded'
import { scaleStream, SimulatedProbe, SimulatedScale, USUAL_SCALE } from './devices'

describe('a scale that stands in for a real one', () => {
  it('settles on what lies on it, tares, and shows whole grams', () => {
    const scale = new SimulatedScale()
    scale.put(250.4, 0)
    expect(scale.read(100).state).toBe('settling')
    expect(scale.read(4000)).toEqual({ value: 250, state: 'ready' })
    scale.tare(4100)
    expect(scale.read(4200)).toEqual({ value: 0, state: 'ready' })
    scale.put(12, 5000)
    expect(scale.read(9000).value).toBe(12)
    scale.put(-500, 9100)
    expect(scale.read(13_000).value).toBe(-250)
  })
  it('creeps a little, overloads, loses its line and comes back', () => {
    const scale = new SimulatedScale({ ...USUAL_SCALE, driftGramsPerMinute: 2 })
    scale.put(100, 0)
    expect(scale.read(120_000).value).toBeGreaterThanOrEqual(103)
    scale.put(6000, 121_000)
    expect(scale.read(130_000)).toEqual({ value: null, state: 'overload' })
    scale.put(-6000, 131_000)
    scale.lose(true)
    expect(scale.read(140_000)).toEqual({ value: null, state: 'lost' })
    scale.lose(false)
    expect(scale.read(141_000).value).not.toBeNull()
  })
  it('is moved by no clock that jumps back', () => {
    const scale = new SimulatedScale()
    scale.put(80, 10_000)
    const before = scale.read(20_000).value
    expect(scale.read(5000).value).toBe(before)
  })
})

describe('a probe that stands in for a real one', () => {
  it('follows what is round it, late and with a little noise', () => {
    const probe = new SimulatedProbe(() => 74, seeded(3))
    probe.read(0)
    expect(probe.read(500).value!).toBeLessThan(40)
    const { value, state } = probe.read(30_000)
    expect(state).toBe('ready')
    expect(Math.abs(value! - 74)).toBeLessThan(0.5)
    probe.into(() => 400)
    probe.read(31_000)
    expect(probe.read(90_000)).toEqual({ value: null, state: 'overload' })
    probe.lose(true)
    expect(probe.read(91_000)).toEqual({ value: null, state: 'lost' })
  })
})

describe('a scale on a serial line', () => {
  /** A stream of our own, as it comes: cut anywhere, with stutter and noise between the lines. */
  const RECORDED =
    'US,+    3.0 g\r\nUS,+  118.5 g\r\nST,+  124.0 g\r\n??,\u0007\r\nST,+  124.0 g\r\nOL,+ 5000.0 g\r\nST,-   12.0 g\r\n'
  const all = [
    { value: 3, state: 'settling' },
    { value: 118.5, state: 'settling' },
    { value: 124, state: 'ready' },
    { value: 124, state: 'ready' },
    { value: null, state: 'overload' },
    { value: -12, state: 'ready' },
  ]
  it('is read line by line', () => expect(scaleStream()(RECORDED)).toEqual(all))
  it.each([1, 3, 7, 20])('cut into pieces of %i characters it reads the same', (size) => {
    const read = scaleStream()
    const found = []
    for (let at = 0; at < RECORDED.length; at += size) found.push(...read(RECORDED.slice(at, at + size)))
    expect(found).toEqual(all)
  })
})
