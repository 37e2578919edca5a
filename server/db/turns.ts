/** Somebody who waits for a turn. */
interface Waiting {
  go: () => void
  timer: ReturnType<typeof setTimeout>
}

/**
 * A queue in front of something of which there are few: so many work at a time, the others wait in the order they came,
 * for a bounded time and in a bounded number.
 */
export class Turns {
  private working = 0
  private readonly waiting: Waiting[] = []

  /**
   * @param most how many work at a time
   * @param mostWaiting how many may wait; one more is refused at once
   * @param milliseconds how long one may wait
   * @param refusal what those are told who are refused or waited too long
   */
  constructor(
    private readonly most: number,
    private readonly mostWaiting: number,
    private readonly milliseconds: number,
    private readonly refusal: () => Error,
  ) {}

  async take<T>(work: () => Promise<T>): Promise<T> {
    await this.turn()
    try {
      return await work()
    } finally {
      this.working--
      this.next()
    }
  }

  private turn(): Promise<void> {
    if (this.working < this.most) {
      this.working++
      return Promise.resolve()
    }
    if (this.waiting.length >= this.mostWaiting) return Promise.reject(this.refusal())
    return new Promise((resolve, reject) => {
      const own: Waiting = {
        go: () => {
          clearTimeout(own.timer)
          this.working++
          resolve()
        },
        timer: setTimeout(() => {
          this.waiting.splice(this.waiting.indexOf(own), 1)
          reject(this.refusal())
        }, this.milliseconds),
      }
      this.waiting.push(own)
    })
  }

  private next(): void {
    if (this.working < this.most) this.waiting.shift()?.go()
  }
}
