import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isTimeZone, momentOf, readMoment, wallAt, wallText } from './localTime'

const wallOf = (text: string) => readMoment(text)!.at

describe('times as people write them', () => {
  it.each([
    ['2026-11-26T19:30', '2026-11-26T18:00', 90],
    ['2026-11-26T19:30:00Z', '2026-11-26T18:00:00Z', 90],
    ['2026-11-26T19:30:00+01:00', '2026-11-26T18:00:00+01:00', 90],
    ['19:30', '18:00', 90],
  ])('%s is written back as it was given', (text, earlier, minutes) => {
    const read = readMoment(text)!
    expect(read.write(read.at - minutes)).toBe(earlier)
  })
  it('the same moment whatever its offset', () => {
    expect(readMoment('2026-11-26T19:30:00+01:00')!.at).toBe(readMoment('2026-11-26T18:30:00Z')!.at)
  })
  it('passes midnight', () => {
    expect(readMoment('00:30')!.write(30 - 60)).toBe('23:30')
    expect(readMoment('2026-12-01T00:30')!.write(wallOf('2026-12-01T00:30') - 60)).toBe('2026-11-30T23:30')
  })
  it.each(['', 'soon', '25:00', '2026-02-30T10:00', '2026-11-26', '2026-11-26T24:30', '19.30'])(
    '%s is no time',
    (text) => expect(readMoment(text)).toBe(null),
  )
})

describe('a time zone', () => {
  // The rule of Directive 2000/84/EC: clocks change at 01:00 UTC on the last Sundays of March and October.
  const zone = 'CET'
  it('knows the night that is an hour longer, and the one that is shorter', () => {
    const dinner = readMoment('2026-10-25T12:00', zone)!
    expect(dinner.write(dinner.at - 12 * 60)).toBe('2026-10-25T01:00')
    const lunch = readMoment('2026-03-29T12:00', zone)!
    expect(lunch.write(lunch.at - 12 * 60)).toBe('2026-03-28T23:00')
  })
  it('takes the first of an hour that comes twice, and goes on from one that is skipped', () => {
    const twice = momentOf(wallOf('2026-10-25T02:30'), zone)
    expect(wallText(twice)).toBe('2026-10-25T00:30')
    const skipped = momentOf(wallOf('2026-03-29T02:30'), zone)
    expect(wallText(wallAt(skipped, zone))).toBe('2026-03-29T03:30')
  })
  it('reads back what it shows, any minute of two years', () => {
    const from = wallOf('2026-01-01T00:00')
    fc.assert(
      fc.property(fc.integer({ min: from, max: from + 2 * 525_600 }), (at) => {
        const wall = wallAt(at, zone)
        const back = momentOf(wall, zone)
        // In the hour that comes twice the first is meant.
        expect(back === at || back === at - 60).toBe(true)
        expect(wallAt(back, zone)).toBe(wall)
      }),
    )
  })
  it('is known by its name or not', () => {
    expect(isTimeZone('Etc/UTC')).toBe(true)
    expect(isTimeZone('Nowhere/Else')).toBe(false)
  })
})
