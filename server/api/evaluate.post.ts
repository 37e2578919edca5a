import { evaluate, type Evaluation } from '../../core/evaluation/evaluate'
import { withIds } from '../../core/recipe/document'
import { allLines } from '../../core/recipe/lines'
import { reference as table } from '../../data/reference'
import { readJson } from '../http/body'
import { evaluateRequest } from '../../shared/api/requests'
import { referenceFor, othersIn } from '../services/referenceFor'
import { doInThread } from '../services/doInThread'

/** A recipe of more lines is evaluated in a thread of its own. */
const MOST_LINES_HERE = 150

/** Evaluates a recipe. */
export default defineEventHandler(async (event) => {
  const { recipe } = await readJson(event, evaluateRequest)
  const ready = withIds(recipe)
  const reference = await referenceFor(ready)
  if (allLines(ready).length <= MOST_LINES_HERE) return evaluate(ready, reference)
  return doInThread<Evaluation>(event, {
    kind: 'evaluate',
    recipe: ready,
    foods: othersIn(reference.foods, table),
  })
})
