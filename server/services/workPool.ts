import { Worker } from 'node:worker_threads'

/** Thrown when more wait than the kitchen takes orders. */
export class TooBusy extends Error {}
/** Thrown when a job took longer than it may. */
export class TookTooLong extends Error {}
/** Thrown when nobody waits for a job any more. */
export class GaveUp extends Error {}

interface Order<Job, Answer> {
  job: Job
  milliseconds: number
  resolve: (answer: Answer) => void
  reject: (error: Error) => void
  signal: AbortSignal | undefined
}

/** A thread, and what it is at. */
interface Hand<Job, Answer> {
  worker: Worker
  order: Order<Job, Answer> | null
  timer: ReturnType<typeof setTimeout> | undefined
}

/**
 * Threads that do jobs one at a time each. A job that takes too long ends with its thread, and so does one that nobody
 * waits for any more; the next thread is started at once. More orders than `mostWaiting` are refused.
 */
export class WorkPool<Job, Answer> {
  private readonly hands = new Set<Hand<Job, Answer>>()
  private readonly queue: Order<Job, Answer>[] = []

  constructor(
    private readonly file: string | URL,
    private readonly mostHands: number,
    private readonly mostWaiting: number,
  ) {}

  /**
   * @param milliseconds how long the job may take once it is begun
   * @throws TooBusy, TookTooLong, GaveUp
   */
  run(job: Job, milliseconds: number, signal?: AbortSignal): Promise<Answer> {
    if (signal?.aborted) return Promise.reject(new GaveUp())
    if (this.queue.length >= this.mostWaiting) return Promise.reject(new TooBusy())
    return new Promise((resolve, reject) => {
      const order: Order<Job, Answer> = { job, milliseconds, resolve, reject, signal }
      signal?.addEventListener('abort', () => this.giveUp(order), { once: true })
      this.queue.push(order)
      this.next()
    })
  }

  private giveUp(order: Order<Job, Answer>): void {
    const at = this.queue.indexOf(order)
    if (at >= 0) this.queue.splice(at, 1)
    for (const hand of this.hands) if (hand.order === order) this.dismiss(hand)
    order.reject(new GaveUp())
    this.next()
  }

  private next(): void {
    while (this.queue.length) {
      const free = [...this.hands].find((hand) => hand.order === null) ?? this.hire()
      if (!free) return
      const order = this.queue.shift()!
      free.order = order
      free.worker.ref()
      free.timer = setTimeout(() => {
        this.dismiss(free)
        order.reject(new TookTooLong())
        this.next()
      }, order.milliseconds)
      free.worker.postMessage(order.job)
    }
  }

  private hire(): Hand<Job, Answer> | null {
    if (this.hands.size >= this.mostHands) return null
    const hand: Hand<Job, Answer> = { worker: new Worker(this.file), order: null, timer: undefined }
    hand.worker.unref()
    hand.worker.on('message', (answer: Answer) => {
      const { order } = hand
      this.rest(hand)
      order?.resolve(answer)
      this.next()
    })
    const lost = (error: Error) => {
      const { order } = hand
      if (!this.hands.delete(hand)) return
      clearTimeout(hand.timer)
      order?.reject(error)
      this.next()
    }
    hand.worker.on('error', lost)
    hand.worker.on('exit', (code) => lost(new Error(`A thread ended with ${code}`)))
    this.hands.add(hand)
    return hand
  }

  private rest(hand: Hand<Job, Answer>): void {
    clearTimeout(hand.timer)
    hand.order = null
    // A thread that waits keeps no server from ending.
    hand.worker.unref()
  }

  private dismiss(hand: Hand<Job, Answer>): void {
    this.hands.delete(hand)
    clearTimeout(hand.timer)
    void hand.worker.terminate()
  }
}
