import { evaluate } from '../../core/evaluation/evaluate'
import { withIds } from '../../core/recipe/document'
import { planPieces } from '../../core/tray/plan'
import { reference as table } from '../../data/reference'
import { piecesRequest } from '~~/shared/api/requests'
import { readJson } from '../http/body'
import { referenceFor } from '../services/referenceFor'

/** How many pieces, how large, how full, in how many batches. */
export default defineEventHandler(async (event) => {
  const { recipe, plan } = await readJson(event, piecesRequest)
  if (!recipe) return planPieces(null, null, plan, table)
  const ready = withIds(recipe)
  const reference = await referenceFor(ready)
  return planPieces(ready, evaluate(ready, reference), plan, reference)
})
