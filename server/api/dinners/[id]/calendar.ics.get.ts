import { getDinner } from '../../../db/dinners'
import { dinnerId, noDinner } from '../../../http/params'
import { problem } from '../../../http/problem'
import { calendarOf } from '../../../services/calendar'

/** A dinner's plan as an iCalendar file, with alarms. */
export default defineEventHandler(async (event) => {
  const id = dinnerId(event)
  const stored = await getDinner(id)
  if (!stored) throw noDinner(id)
  if (!stored.dinner.plan)
    throw problem(
      409,
      'no-plan',
      'This dinner has no plan yet',
      'Make a plan on the Clock and save it; then there is something to put into a calendar',
    )
  setHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setHeader(event, 'content-disposition', 'attachment; filename="dinner.ics"')
  return calendarOf(stored, getRequestURL(event).origin)
})
