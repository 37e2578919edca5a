import type { PrecookingWay } from '../recipe/precookingWays'
import { DRY } from './precookingVerb'
import { exactMinutes, timesIn } from './time'

/** "Marinate 30 min, then cook": that time is spent cold; "the last 30 min" are in the hours already. */
const STANDS =
  /\bafter (?:about |the first )?$|\b(?:marinate|(?<!the )rest|soak|stand|chill|cool)\b[^,.;]{0,24}$|\b(?:last|final|every)\s+$/i
const BOILS = /\b(?:par-?)?boil|\bblanch/i
const ALONE = /\b(?:boil|blanch|parboil|steam|roast|bake|microwave|pressure)/i

interface Stay {
  way: PrecookingWay
  number: number
  minutes: number
  /** It was cooked until its water was gone. */
  dry: boolean
}

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
  /** The minutes of each stay on the heat. */
  private readonly stays: Stay[] = []
  /** What is put on while nothing is hot, and was in no pot before, is in a pot of its own. */
  private number = 0
  /** The pot each line was put into. */
  private readonly numberOf = new Map<number, number>()
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
    if (minutes) this.stays.push({ way, number: this.number, minutes, dry: DRY.test(text) })
    return minutes
  }

  /**
   * How long a way was cooked, in the pot that holds most of what was cooked so: "boil the potatoes 20 minutes, simmer
   * the lentils 25" are two pots, and nothing is in both.
   *
   * @param weight what a line weighs in grams
   */
  minutesOf(way: PrecookingWay, weight: (line: number) => number): number {
    const every = this.stays.filter((stay) => stay.way === way)
    // Where one of them loses all its water, its time is the one that counts.
    const dry = every.filter((stay) => stay.dry)
    const of = dry.length ? every.filter(({ number }) => dry.some((one) => one.number === number)) : every
    // The leeks that were fried in it first are none of the cream's simmering.
    const gramsIn = (number: number) =>
      [...this.numberOf].reduce(
        (sum, [line, one]) => sum + (one === number && this.ways.get(line) === way ? weight(line) : 0),
        0,
      )
    const most = Math.max(...of.map(({ number }) => gramsIn(number)))
    return of.reduce((sum, { number, minutes }) => sum + (gramsIn(number) === most ? minutes : 0), 0)
  }

  /** The ways that took time. */
  get timed(): readonly PrecookingWay[] {
    return [...new Set(this.stays.map(({ way }) => way))]
  }

  private put(line: number, way: PrecookingWay): void {
    this.ways.set(line, way)
    if (!this.numberOf.has(line)) this.numberOf.set(line, this.number)
  }

  /** @param isAdded to what was cooked before: "boil the barley, add the milk and simmer" */
  cook(way: PrecookingWay, lines: readonly number[], text: string, isAdded = false): void {
    // "Roast the gram flour 1 minute" in a pan that is hot goes on frying.
    const own = this.hot === 'fry' && way === 'roast' && !/\boven\b/i.test(text) ? 'fry' : way
    // "Fry the onion, add the kraut, braise 40 min until dry": without a liquid what was put in goes on frying.
    const isDry = own === 'simmer' && this.hot === 'fry' && !lines.length && !this.wet
    // "Add the beef. Boil the potatoes separately": no water was poured into the frying pan.
    const areNew = lines.length > 0 && lines.every((at) => !this.ways.has(at))
    const isOtherPot = areNew && this.hot === 'fry' && own === 'simmer' && !this.wet && BOILS.test(text)
    const isNew = areNew && this.hot === null && !this.isDrained && !isAdded
    if (isOtherPot) this.added.clear()
    if (isOtherPot || isNew) this.number++
    for (const at of this.added) this.ways.set(at, isDry && DRY.test(text) ? 'fry' : own)
    this.added.clear()
    for (const at of lines) if (!this.ways.has(at) && !this.kept.has(at)) this.put(at, own)
    const goesOn = this.waiting !== null && lines.every((at) => this.waiting!.has(at))
    if (this.waiting && goesOn) {
      for (const at of this.waiting) {
        this.raw.delete(at)
        if (!this.kept.has(at)) this.put(at, own)
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
      this.put(at, this.hot)
      this.added.add(at)
    }
    this.time(this.hot, text)
  }

  /** Listed behind a verb whose pot is done with. */
  addTo(way: PrecookingWay, lines: readonly number[], text: string): void {
    for (const at of lines) if (!this.ways.has(at) && !this.raw.has(at)) this.put(at, way)
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
