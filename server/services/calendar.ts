import { getVtimezoneComponent } from '@touch4it/ical-timezones'
import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator'
import type { StoredDinner } from '../../shared/api/dinners'

/** Seconds before a task at which it is called out. */
const CALL_SECONDS = 120

/**
 * A dinner's plan as an iCalendar document (RFC 5545): an event for everything that needs hands or a hot oven, with an
 * alarm, in the kitchen's own zone, and one for serving.
 *
 * @param origin of the server, for links to the steps
 */
export function calendarOf({ id, dinner }: StoredDinner, origin: string): string {
  const { timeZone } = dinner
  const calendar = ical({
    name: 'Dinner',
    method: ICalCalendarMethod.PUBLISH,
    prodId: '//swap-pocket//clock//EN',
  })
  calendar.timezone({ name: timeZone, generator: (zone) => getVtimezoneComponent(zone) ?? null })
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
    calendar
      .createEvent({
        id: `${task.id}@${id}`,
        start: new Date(task.startAt),
        // A calendar shows nothing of an event without length.
        end: new Date(Math.max(Date.parse(task.endAt), Date.parse(task.startAt) + 60_000)),
        timezone: timeZone,
        summary: task.name,
        description: lines.filter(Boolean).join('\n'),
        url: `${origin}/clock#${encodeURIComponent(task.id)}`,
        stamp: new Date(dinner.plan![0]!.startAt),
      })
      .createAlarm({ type: ICalAlarmType.display, trigger: CALL_SECONDS, description: task.name })
  }
  return calendar.toString()
}
