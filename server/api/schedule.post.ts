import type { Food } from '../../core/food/food'
import { readMoment } from '../../core/planning/localTime'
import { withIds } from '../../core/recipe/document'
import { reference as table } from '../../data/reference'
import { scheduleRequest } from '~~/shared/api/requests'
import type { ScheduleAnswer } from '~~/shared/api/schedule'
import { readJson } from '../http/body'
import { SEARCH_MILLISECONDS, doInThread } from '../services/doInThread'
import { othersIn, referenceFor } from '../services/referenceFor'

/** A wall clock without a zone may be so far behind ours. */
const MOST_BEHIND_MINUTES = 14 * 60

/** When to do what, so that it is on the table in time. */
export default defineEventHandler(async (event) => {
  const asked = await readJson(event, scheduleRequest)
  const foods = new Map<string, Food>()
  for (const { recipe } of asked.recipes)
    for (const food of othersIn((await referenceFor(withIds(recipe))).foods, table)) foods.set(food.id, food)
  const answer = await doInThread<ScheduleAnswer>(event, {
    kind: 'schedule',
    asked,
    foods: [...foods.values()],
    searchMilliseconds: SEARCH_MILLISECONDS,
  })
  const dated = typeof asked.serveAt === 'string' && asked.serveAt.length > 5
  const serve = dated ? readMoment(asked.serveAt, asked.timeZone ?? null) : null
  if (serve && serve.at + MOST_BEHIND_MINUTES < Date.now() / 60_000)
    answer.warnings.push('That dinner is in the past')
  return answer
})
