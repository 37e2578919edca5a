/** What a device says of itself beside its reading. */
export type DeviceState = 'ready' | 'settling' | 'overload' | 'lost'

export interface Reading {
  /** Null where there is none: lost, or overloaded. */
  value: number | null
  state: DeviceState
}

/**
 * A device that is read: a kitchen scale in g, a probe in °C. A real one over a serial line or a radio is one more of
 * these; see docs/devices.md.
 */
export interface Device {
  readonly name: string
  readonly unit: 'g' | '°C'
  /** @param atMs by the page's own clock, never going backwards */
  read: (atMs: number) => Reading
}

export interface ScaleTraits {
  /** Smallest step it shows, in g. */
  resolutionGrams: number
  mostGrams: number
  /** Time constant with which it settles. */
  settlesMs: number
  /** It creeps while something lies on it. */
  driftGramsPerMinute: number
}

/** A usual kitchen scale. Our own choice, from what such scales promise. */
export const USUAL_SCALE: ScaleTraits = {
  resolutionGrams: 1,
  mostGrams: 5000,
  settlesMs: 400,
  driftGramsPerMinute: 0.05,
}
/** Within this of where it is going it has settled. */
const SETTLED_STEPS = 0.6

/** A kitchen scale that stands in for a real one: it settles, creeps, rounds, overloads and can lose its line. */
export class SimulatedScale implements Device {
  readonly name = 'Simulated scale'
  readonly unit = 'g' as const
  private loadGrams = 0
  private tareGrams = 0
  private shown = 0
  private at = 0
  private driftGrams = 0
  private lost = false

  constructor(readonly traits: ScaleTraits = USUAL_SCALE) {}

  /** Puts more on it, or takes some off: what lies on it is never less than nothing. */
  put(grams: number, atMs: number): void {
    this.settle(atMs)
    this.loadGrams = Math.max(0, this.loadGrams + grams)
  }
  tare(atMs: number): void {
    this.settle(atMs)
    this.driftGrams = 0
    this.tareGrams = this.loadGrams
    this.shown = this.loadGrams
  }
  /** The line breaks, or comes back. */
  lose(lost: boolean): void {
    this.lost = lost
  }

  read(atMs: number): Reading {
    this.settle(atMs)
    if (this.lost) return { value: null, state: 'lost' }
    if (this.loadGrams > this.traits.mostGrams) return { value: null, state: 'overload' }
    const { resolutionGrams } = this.traits
    const grams = this.shown + this.driftGrams - this.tareGrams
    const value = Math.round(grams / resolutionGrams) * resolutionGrams
    const settled = Math.abs(this.loadGrams - this.shown) < SETTLED_STEPS * resolutionGrams
    return { value: value === 0 ? 0 : value, state: settled ? 'ready' : 'settling' }
  }

  private settle(atMs: number): void {
    // A clock that jumps back moves nothing.
    const passed = Math.max(0, atMs - this.at)
    this.at = Math.max(this.at, atMs)
    this.shown += (this.loadGrams - this.shown) * (1 - Math.exp(-passed / this.traits.settlesMs))
    if (this.loadGrams > this.tareGrams)
      this.driftGrams += (this.traits.driftGramsPerMinute * passed) / 60_000
  }
}

export interface ProbeTraits {
  /** Time constant with which its tip follows. */
  lagMs: number
  noiseC: number
  resolutionC: number
}
/** A usual insertion probe. Our own choice. */
export const USUAL_PROBE: ProbeTraits = { lagMs: 3000, noiseC: 0.3, resolutionC: 0.1 }
/** A probe shows no less and no more. */
const PROBE_LEAST_C = -40
const PROBE_MOST_C = 300

/** A probe that stands in for a real one: its tip follows what is round it, late and with noise. */
export class SimulatedProbe implements Device {
  readonly name = 'Simulated probe'
  readonly unit = '°C' as const
  private tipC: number
  private at: number | null = null
  private lost = false

  /**
   * @param truth what is round the tip at a moment
   * @param random from 0 to below 1, for the noise
   */
  constructor(
    private truth: (atMs: number) => number,
    private readonly random: () => number,
    readonly traits: ProbeTraits = USUAL_PROBE,
    startC = 20,
  ) {
    this.tipC = startC
  }
  /** Put into something else. */
  into(truth: (atMs: number) => number): void {
    this.truth = truth
  }
  lose(lost: boolean): void {
    this.lost = lost
  }
  read(atMs: number): Reading {
    const passed = Math.max(0, atMs - (this.at ?? atMs))
    this.at = Math.max(this.at ?? atMs, atMs)
    const round = this.truth(atMs)
    this.tipC += (round - this.tipC) * (1 - Math.exp(-passed / this.traits.lagMs))
    if (this.lost) return { value: null, state: 'lost' }
    if (this.tipC > PROBE_MOST_C || this.tipC < PROBE_LEAST_C) return { value: null, state: 'overload' }
    const { noiseC, resolutionC } = this.traits
    const value = this.tipC + noiseC * (2 * this.random() - 1)
    return {
      value: Math.round(value / resolutionC) * resolutionC,
      state: Math.abs(round - this.tipC) < 1 ? 'ready' : 'settling',
    }
  }
}

/** "ST,+  123.4 g": a line of our own form, as scales with a serial line send it. */
const STREAM_LINE = /^(ST|US|OL),([+-])\s*(\d{1,5}(?:\.\d{1,2})?)\s*g$/

/**
 * Reads what comes over a serial line piece by piece into readings: ST stable, US settling, OL overload. Half a line
 * waits for its rest; what is no line is skipped, so that a device which stutters spoils nothing.
 */
export function scaleStream(): (chunk: string) => Reading[] {
  let rest = ''
  return (chunk) => {
    const lines = (rest + chunk).split(/\r?\n/)
    rest = lines.pop()!.slice(-80)
    return lines.flatMap((line): Reading[] => {
      const parts = STREAM_LINE.exec(line.trim())
      if (!parts) return []
      if (parts[1] === 'OL') return [{ value: null, state: 'overload' }]
      const value = Number(parts[3]) * (parts[2] === '-' ? -1 : 1)
      return [{ value, state: parts[1] === 'ST' ? ('ready' as const) : ('settling' as const) }]
    })
  }
}
