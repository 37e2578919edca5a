/** A start is at least so long after another one: start[to] ≥ start[from] + minutes. */
export interface Arc {
  from: number
  to: number
  minutes: number
}

/**
 * Earliest and latest starts under arcs between jobs, taken back in the order in which they were narrowed.
 *
 * Starts are whole minutes from 0.
 */
export class Bounds {
  readonly earliest: Int32Array
  readonly latest: Int32Array
  private readonly out: Arc[][]
  private readonly into: Arc[][]
  private readonly queue: number[] = []
  private readonly queued: Uint8Array

  constructor(
    readonly minutes: Int32Array,
    arcs: readonly Arc[],
  ) {
    const count = minutes.length
    this.earliest = new Int32Array(count)
    this.latest = new Int32Array(count)
    this.out = Array.from({ length: count }, () => [])
    this.into = Array.from({ length: count }, () => [])
    this.queued = new Uint8Array(count)
    for (const arc of arcs) this.add(arc)
  }

  add(arc: Arc): void {
    this.out[arc.from]!.push(arc)
    this.into[arc.to]!.push(arc)
  }

  /** Takes the arc back that was added last. */
  remove(arc: Arc): void {
    this.out[arc.from]!.pop()
    this.into[arc.to]!.pop()
  }

  save(): [Int32Array, Int32Array] {
    return [this.earliest.slice(), this.latest.slice()]
  }

  restore([earliest, latest]: [Int32Array, Int32Array]): void {
    this.earliest.set(earliest)
    this.latest.set(latest)
  }

  /** Narrows a start from below; false when nothing is left of it. */
  raise(job: number, to: number): boolean {
    if (to <= this.earliest[job]!) return true
    this.earliest[job] = to
    this.wake(job)
    return to <= this.latest[job]!
  }

  /** Narrows a start from above; false when nothing is left of it. */
  lower(job: number, to: number): boolean {
    if (to >= this.latest[job]!) return true
    this.latest[job] = to
    this.wake(job)
    return to >= this.earliest[job]!
  }

  wake(job: number): void {
    if (this.queued[job]) return
    this.queued[job] = 1
    this.queue.push(job)
  }

  wakeAll(): void {
    for (let job = 0; job < this.minutes.length; job++) this.wake(job)
  }

  /** Forgets what was still to be carried on, after a dead end. */
  forget(): void {
    for (const job of this.queue) this.queued[job] = 0
    this.queue.length = 0
  }

  /** Carries what was narrowed along the arcs; false when some job has no start left. */
  settle(): boolean {
    const { earliest, latest, queue, queued } = this
    let at = 0
    let fits = true
    for (; fits && at < queue.length; at++) {
      const job = queue[at]!
      queued[job] = 0
      fits = earliest[job]! <= latest[job]!
      for (const arc of fits ? this.out[job]! : []) fits &&= this.raise(arc.to, earliest[job]! + arc.minutes)
      for (const arc of fits ? this.into[job]! : []) fits &&= this.lower(arc.from, latest[job]! - arc.minutes)
    }
    queue.splice(0, at)
    return fits
  }
}
