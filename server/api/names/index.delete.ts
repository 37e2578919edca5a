import { normaliseName } from '../../../core/reading/match'
import { forgetName } from '../../db/taughtNames'
import { problem } from '../../http/problem'

/** Forgets what a name was taught to mean: `?name=`. */
export default defineEventHandler(async (event) => {
  const { name } = getQuery(event)
  const plain = typeof name === 'string' ? normaliseName(name.slice(0, 200)) : ''
  if (!plain || !(await forgetName(plain)))
    throw problem(404, 'no-such-name', 'That name was not taught', `Nothing was taught of "${plain}"`, {
      errors: [{ field: 'name', message: 'use a name from /api/names' }],
    })
  return { name: plain }
})
