import type { PrecookingWay } from '../recipe/precookingWays'
import { exactMinutes, timesIn } from './time'

/** "Marinate 30 min, then cook": that time is spent cold; "the last 30 min" are in the hours already. */
const STANDS =
  /\bafter (?:about |the first )?$|\b(?:marinate|(?<!the )rest|soak|stand|chill|cool)\b[^,.;]{0,24}$|\b(?:last|final|every)\s+$/i
const UNTIL_DRY = /\b(?:until|till) (?:quite |nearly |almost )?dry\b/i
const BOILS = /\b(?:par-?)?boil|\bblanch/i
const ALONE = /\b(?:boil|blanch|parboil|steam|roast|bake|microwave|pressure)/i

/** What is in the pot while the sentences go by: which lines, how each was cooked, for how long. */
export class Pot {
  /** @param wet whether a liquid to simmer in is among the lines */
  constructor(public wet: boolean) {}

  /** The way it is cooking now; null when it is off the heat. */
  hot: PrecookingWay | null = null
  /** The way it was cooked last, hot or not. */
  last: PrecookingWay | null = null
  readonly ways = new Map<number, PrecookingWay>()
  /** Lines that are named while nothing cooks. */
  readonly raw = new Set<number>()
  /** Liquid went in while it was hot. */
  poured = false
  /** Lines that are expressly left out of what is cooked. */
  private readonly kept = new Set<number>()
  readonly minutes = new Map<PrecookingWay, number>()
  /** Minutes of a simmering that had nothing to simmer in. */
  braisedDryMinutes = 0
  /** Stirred in without a verb of their own: the next verb is theirs. */
  private added = new Set<number>()

  /** What is named after the fat was drained off: the pan is hot again when it cooks on. */
  private waiting: Set<number> | null = null

  /** The fat was drained off, and nothing has cooked since. */
  get isDrained(): boolean {
    return this.waiting !== null
  }

  /** "Brown the beef, drain": of its fat. */
  drainFat(): void {
    this.setAside([])
    this.waiting = new Set()
  }

  /** Adds the minutes that a text states to a way, and gives them. */
  private time(way: PrecookingWay, text: string): number {
    const minutes = timesIn(text)
      .filter(({ index }) => !STANDS.test(text.slice(0, index)))
      .reduce((sum, time) => sum + exactMinutes(time), 0)
    if (minutes) this.minutes.set(way, (this.minutes.get(way) ?? 0) + minutes)
    return minutes
  }

  cook(way: PrecookingWay, lines: readonly number[], text: string): void {
    // "Roast the gram flour 1 minute" in a pan that is hot goes on frying.
    const own = this.hot === 'fry' && way === 'roast' && !/\boven\b/i.test(text) ? 'fry' : way
    // "Fry the onion, add the kraut, braise 40 min until dry": without a liquid what was put in goes on frying.
    const isDry = own === 'simmer' && this.hot === 'fry' && !lines.length && !this.wet
    // "Add the beef. Boil the potatoes separately": no water was poured into the frying pan.
    const isOtherPot =
      this.hot === 'fry' &&
      own === 'simmer' &&
      !this.wet &&
      BOILS.test(text) &&
      lines.length > 0 &&
      lines.every((at) => !this.ways.has(at))
    if (isOtherPot) this.added.clear()
    for (const at of this.added) this.ways.set(at, isDry && UNTIL_DRY.test(text) ? 'fry' : own)
    this.added.clear()
    for (const at of lines) if (!this.ways.has(at) && !this.kept.has(at)) this.ways.set(at, own)
    const goesOn = this.waiting !== null && lines.every((at) => this.waiting!.has(at))
    if (this.waiting && goesOn) {
      for (const at of this.waiting) {
        this.raw.delete(at)
        if (!this.kept.has(at)) this.ways.set(at, own)
      }
    }
    this.waiting = null
    // What was browned and then simmers in its liquid has simmered: that is what its water goes by.
    if (own === 'simmer' && (this.hot === 'fry' || !lines.length || goesOn) && this.wet)
      for (const at of this.ways.keys()) this.ways.set(at, own)
    const minutes = this.time(own, text)
    // "Braise 40 min until dry" in a pan without a liquid: the minutes are spent on what fries in it.
    if (isDry) this.braisedDryMinutes += minutes
    const alone = this.hot === null && ALONE.test(text) && !/\bpan\b/i.test(text)
    // What was boiled or roasted by itself is taken out of its pot.
    this.hot = alone ? null : own
    this.last = own
  }

  /** @param byName put in by name: what was salted or marinated before is in the pot now */
  add(lines: readonly number[], text: string, byName = false): void {
    if (this.hot === null) return
    for (const at of lines) {
      if (byName && !this.kept.has(at)) this.raw.delete(at)
      if (this.ways.has(at) || this.raw.has(at)) continue
      this.ways.set(at, this.hot)
      this.added.add(at)
    }
    this.time(this.hot, text)
  }

  /** Listed behind a verb whose pot is done with. */
  addTo(way: PrecookingWay, lines: readonly number[], text: string): void {
    for (const at of lines) if (!this.ways.has(at) && !this.raw.has(at)) this.ways.set(at, way)
    this.time(way, text)
  }

  /** Kept out of what follows. */
  leave(lines: readonly number[]): void {
    for (const at of lines) {
      if (this.ways.has(at)) continue
      this.raw.add(at)
      this.kept.add(at)
    }
  }

  setAside(lines: readonly number[]): void {
    this.hot = null
    this.added.clear()
    for (const at of lines)
      if (!this.ways.has(at)) {
        this.raw.add(at)
        this.waiting?.add(at)
      }
  }
}
