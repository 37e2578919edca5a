import { changeStock } from '../../db/stock'
import { readJson } from '../../http/body'
import { invalid } from '../../http/problem'
import { knownFoods } from '../../services/knownFoods'
import { stockChangeRequest } from '~~/shared/api/dinners'

/** Takes off what was cooked and puts on what was bought. */
export default defineEventHandler(async (event) => {
  const { changes } = await readJson(event, stockChangeRequest)
  const known = await knownFoods(changes.map(({ foodId }) => foodId))
  const strange = changes.flatMap(({ foodId }, at) =>
    known.has(foodId)
      ? []
      : [{ field: `changes[${at}].foodId`, message: 'use the id of a food from /api/foods' }],
  )
  if (strange.length) throw invalid(strange)
  return { stock: await changeStock(changes) }
})
