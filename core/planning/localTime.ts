// Times of day as people write them. Inside, everything is minutes before serving; this is the way in and out.

/** A moment as minutes since 1970-01-01T00:00Z, or since that midnight by the kitchen's clock where no zone is known. */
export type EpochMinutes = number

/** How a moment was written, so that others are written alike. */
export interface Written {
  at: EpochMinutes
  write: (at: EpochMinutes) => string | number
}

const ISO = /^(\d{4})-(\d{2})-(\d{2})[T ](\d{2}):(\d{2})(?::\d{2}(?:\.\d+)?)?(Z|[+-]\d{2}:?\d{2})?$/i
const TIME_OF_DAY = /^(\d{1,2}):(\d{2})$/
const MS_PER_MINUTE = 60_000

const two = (value: number) => String(value).padStart(2, '0')

/** "2026-11-26T19:30" of a wall clock that shows so many minutes since 1970. */
export function wallText(wall: number): string {
  const date = new Date(wall * MS_PER_MINUTE)
  return `${date.getUTCFullYear()}-${two(date.getUTCMonth() + 1)}-${two(date.getUTCDate())}T${two(date.getUTCHours())}:${two(date.getUTCMinutes())}`
}

/** Whether a time zone is one that is known here. */
export function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}

const formats = new Map<string, Intl.DateTimeFormat>()
function formatOf(zone: string): Intl.DateTimeFormat {
  let format = formats.get(zone)
  if (!format) {
    format = new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
    })
    formats.set(zone, format)
  }
  return format
}

/** What a wall clock in a zone shows at a moment, in minutes since 1970 as if it were UTC. */
export function wallAt(at: EpochMinutes, zone: string): number {
  const part = Object.fromEntries(
    formatOf(zone)
      .formatToParts(new Date(at * MS_PER_MINUTE))
      .map(({ type, value }) => [type, Number(value)]),
  )
  return Date.UTC(part.year!, part.month! - 1, part.day!, part.hour!, part.minute!) / MS_PER_MINUTE
}

/** Minutes that a zone's clock is ahead of UTC at a moment. */
export const offsetAt = (at: EpochMinutes, zone: string): number => wallAt(at, zone) - at

/**
 * The moment at which a zone's wall clock shows a time. Of an hour that comes twice the first is meant; one that is
 * skipped is read as an hour later.
 */
export function momentOf(wall: number, zone: string): EpochMinutes {
  const guesses = [wall - offsetAt(wall - 1440, zone), wall - offsetAt(wall + 1440, zone)]
  const exact = guesses.filter((at) => wallAt(at, zone) === wall)
  return exact.length ? Math.min(...exact) : Math.max(...guesses)
}

/**
 * Reads a time: minutes as a number, "19:30", "2026-11-26T19:30", with an offset or without, then by the zone given.
 *
 * @returns null for what is no time, such as the 31st of June
 */
export function readMoment(given: string | number, zone: string | null = null): Written | null {
  if (typeof given === 'number') return Number.isFinite(given) ? { at: given, write: (at) => at } : null
  const text = given.trim()
  const short = TIME_OF_DAY.exec(text)
  if (short) {
    const [hours, minutes] = [Number(short[1]), Number(short[2])]
    if (hours > 23 || minutes > 59) return null
    return {
      at: hours * 60 + minutes,
      write: (at) => {
        const inDay = ((Math.round(at) % 1440) + 1440) % 1440
        return `${two(Math.floor(inDay / 60))}:${two(inDay % 60)}`
      },
    }
  }
  const match = ISO.exec(text)
  if (!match) return null
  const [year, month, day, hours, minutes] = match.slice(1, 6).map(Number) as [
    number,
    number,
    number,
    number,
    number,
  ]
  if (hours > 23 || minutes > 59) return null
  const wall = Date.UTC(year, month - 1, day, hours, minutes) / MS_PER_MINUTE
  if (!wallText(wall).startsWith(`${match[1]}-${match[2]}-${match[3]}`)) return null
  const offset = match[6]
  if (offset) {
    const ahead = /^z$/i.test(offset)
      ? 0
      : (offset[0] === '-' ? -1 : 1) * (Number(offset.slice(1, 3)) * 60 + Number(offset.slice(-2)))
    const sign = /^z$/i.test(offset) ? 'Z' : offset
    return { at: wall - ahead, write: (at) => `${wallText(Math.round(at) + ahead)}:00${sign}` }
  }
  if (zone) return { at: momentOf(wall, zone), write: (at) => wallText(wallAt(Math.round(at), zone)) }
  return { at: wall, write: (at) => wallText(Math.round(at)) }
}
