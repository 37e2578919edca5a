import ICAL from 'ical.js'
import { describe, expect, it } from 'vitest'
import { recipeOf } from '../../test/helpers'
import type { StoredDinner } from '~~/shared/api/dinners'
import { dinnerSchema } from '~~/shared/api/dinners'
import { calendarOf } from './calendar'

const task = (id: string, startAt: string, endAt: string, more: Record<string, unknown> = {}) => ({
  id,
  name: `Do ${id}`,
  startAt,
  endAt,
  hands: true,
  person: 0,
  kind: 'shape',
  why: 'so',
  dish: 0,
  step: null,
  ...more,
})
const stored = (timeZone: string, plan: object[]): StoredDinner => ({
  id: '3f0c9f0e-7a32-4f0e-9c39-1a2b3c4d5e6f',
  savedAt: '2026-10-20T10:00:00.000Z',
  dinner: dinnerSchema.parse({
    serveAt: '2026-10-25T03:30',
    timeZone,
    people: [{ name: 'Me', from: null, does: 'everything' }],
    equipment: { board: 1, burner: 4, oven: 1, steamer: 1, fridge: 9, freezer: 9 },
    roomC: 22,
    burnerW: 2000,
    dishes: [
      { recipeId: null, recipe: recipeOf({ shell: [['plain-flour', 100]] }), stage: 'fresh', plan: null },
    ],
    plan,
  }),
})
const eventsOf = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((one) => new ICAL.Event(one))

describe('the calendar', () => {
  // The night on which clocks go back at 01:00 UTC: 02:30 comes twice.
  const night = [
    task('fold', '2026-10-25T00:30:00Z', '2026-10-25T00:50:00Z'),
    task('fry', '2026-10-25T01:30:00Z', '2026-10-25T01:40:00Z'),
    task('rest', '2026-10-24T22:00:00Z', '2026-10-24T23:00:00Z', { hands: false, kind: 'rest' }),
    task('serve', '2026-10-25T02:30:00Z', '2026-10-25T02:30:00Z', {
      hands: false,
      kind: 'serve',
      person: null,
    }),
  ]

  it('holds what needs hands and the serving, each with an alarm, in the kitchen’s own zone', () => {
    const text = calendarOf(stored('CET', night), 'http://127.0.0.1:3000')
    const events = eventsOf(text)
    expect(events.map(({ summary }) => summary)).toEqual(['Do fold', 'Do fry', 'Do serve'])
    for (const event of events) {
      expect(event.startDate.zone.tzid).toBe('CET')
      expect(
        event.component.getFirstSubcomponent('valarm')!.getFirstPropertyValue('trigger')!.toString(),
      ).toBe('-PT2M')
      expect(event.endDate.compare(event.startDate)).toBe(1)
    }
    expect(events[0]!.startDate.toString()).toBe('2026-10-25T02:30:00')
    expect(events[2]!.startDate.toString()).toBe('2026-10-25T03:30:00')
    expect(events[2]!.startDate.toUnixTime() * 1000).toBe(Date.parse('2026-10-25T02:30:00Z'))
    const rules = new ICAL.Component(ICAL.parse(text)).getFirstSubcomponent('vtimezone')!
    expect(rules.getFirstPropertyValue('tzid')).toBe('CET')
    expect(rules.getAllSubcomponents('daylight').length).toBeGreaterThan(0)
  })

  it('is written in UTC where the kitchen has no zone of its own', () => {
    const text = calendarOf(stored('Etc/UTC', night), 'http://127.0.0.1:3000')
    expect(eventsOf(text)[0]!.startDate.toJSDate().toISOString()).toBe('2026-10-25T00:30:00.000Z')
    expect(text).toContain('DTSTART:20261025T003000Z')
  })

  it('keeps to the letter of RFC 5545: line ends, folding, a stamp in UTC, commas escaped', () => {
    const text = calendarOf(
      stored('CET', [
        task('a', '2026-10-25T00:30:00Z', '2026-10-25T00:50:00Z', {
          name: `Fold, ${'crimp '.repeat(20)}; ü`,
        }),
      ]),
      'http://127.0.0.1:3000',
    )
    const lines = text.split('\r\n')
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/)
    for (const line of lines) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(76)
    expect(text).toMatch(/^DTSTAMP:\d{8}T\d{6}Z$/m)
    expect(text).toContain('Fold\\, ')
    expect(eventsOf(text)[0]!.summary).toContain('; ü')
  })
})
