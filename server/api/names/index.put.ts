import { normaliseName } from '../../../core/reading/match'
import { teachName } from '../../db/taughtNames'
import { readJson } from '../../http/body'
import { taughtNameRequest } from '~~/shared/api/requests'
import { invalid } from '../../http/problem'
import { knownFoods } from '../../services/knownFoods'

/** Remembers which food is meant by a name. */
export default defineEventHandler(async (event) => {
  const body = await readJson(event, taughtNameRequest)
  const name = normaliseName(body.name)
  if (!name) throw invalid([{ field: 'name', message: 'a word is expected, for example "cream"' }])
  if (!(await knownFoods([body.foodId])).has(body.foodId))
    throw invalid([{ field: 'foodId', message: 'use the id of a food from /api/foods' }])
  return teachName({ name, foodId: body.foodId })
})
