import { reference } from '../../data/reference'
import { pingDatabase } from '../db/recipes'

/** Says whether the server and its database answer. 503 when the database does not. */
export default defineEventHandler(async () => {
  await pingDatabase()
  return { status: 'ok' as const, database: 'ok' as const, foods: reference.foods.size }
})
