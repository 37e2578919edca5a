import { getVtimezoneComponent } from '@touch4it/ical-timezones'
import ICAL from 'ical.js'
import type { StoredDinner } from '~~/shared/api/dinners'

/** A task is called out so long before it begins. */
const CALL_MINUTES = 2
/** A calendar shows nothing of an event without length. */
const LEAST_MINUTES = 1

/** The rules of a zone, under the name by which the kitchen knows it. */
function zoneOf(rules: string, name: string): ICAL.Timezone {
  const component = new ICAL.Component(ICAL.parse(rules))
  component.updatePropertyWithValue('tzid', name)
  // Where the rules come from is named after another place, and nothing is fetched.
  component.removeProperty('tzurl')
  component.removeProperty('x-lic-location')
  return new ICAL.Timezone(component)
}

/**
 * A dinner's plan as an iCalendar document (RFC 5545): an event for everything that needs hands or a hot oven, with an
 * alarm, in the kitchen's own zone, and one for serving.
 *
 * @param origin of the server, for links to the steps
 */
export function calendarOf({ id, dinner, savedAt }: StoredDinner, origin: string): string {
  const calendar = new ICAL.Component('vcalendar')
  calendar.addPropertyWithValue('version', '2.0')
  calendar.addPropertyWithValue('prodid', '-//Swap Pocket//Clock//EN')
  calendar.addPropertyWithValue('calscale', 'GREGORIAN')
  calendar.addPropertyWithValue('method', 'PUBLISH')
  // What has no rules of its own is written in UTC.
  const rules = getVtimezoneComponent(dinner.timeZone)
  const utc = !rules || /^(?:Etc\/)?(?:UTC|GMT|UCT|Zulu)$/i.test(dinner.timeZone)
  const zone = utc ? ICAL.Timezone.utcTimezone : zoneOf(rules, dinner.timeZone)
  if (!utc) calendar.addSubcomponent(zone.component)
  const inZone = (instant: number) => ICAL.Time.fromJSDate(new Date(instant), true).convertToZone(zone)

  for (const task of dinner.plan ?? []) {
    if (!task.hands && task.kind !== 'preheat' && task.kind !== 'serve') continue
    const recipe = dinner.dishes[task.dish]?.recipe
    const who = task.person === null ? '' : (dinner.people[task.person]?.name ?? '')
    const step = task.step === null ? '' : (recipe?.method[task.step] ?? '')
    const lines = [
      who && `Who: ${who}`,
      recipe && task.kind !== 'serve' && `For: ${recipe.title}`,
      step,
      task.why,
    ]
    const component = new ICAL.Component('vevent')
    const event = new ICAL.Event(component)
    event.uid = `${task.id}@${id}`
    event.summary = task.name
    event.description = lines.filter(Boolean).join('\n')
    const start = Date.parse(task.startAt)
    event.startDate = inZone(start)
    event.endDate = inZone(Math.max(Date.parse(task.endAt), start + LEAST_MINUTES * 60_000))
    component.addPropertyWithValue('dtstamp', ICAL.Time.fromJSDate(new Date(savedAt), true))
    component.addPropertyWithValue('url', `${origin}/clock#${encodeURIComponent(task.id)}`)
    const alarm = new ICAL.Component('valarm')
    alarm.addPropertyWithValue('action', 'DISPLAY')
    alarm.addPropertyWithValue('description', task.name)
    alarm.addPropertyWithValue('trigger', ICAL.Duration.fromSeconds(-60 * CALL_MINUTES))
    component.addSubcomponent(alarm)
    calendar.addSubcomponent(component)
  }
  return `${calendar.toString()}\r\n`
}
