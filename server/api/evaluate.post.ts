import { evaluate, type Evaluation } from '../../core/evaluation/evaluate'
import { withIds } from '../../core/recipe/document'
import { allLines } from '../../core/recipe/lines'
import { reference as table } from '../../data/reference'
import { readJson } from '../http/body'
import { evaluateRequest } from '~~/shared/api/requests'
import { referenceFor, othersIn } from '../services/referenceFor'
import { asksForWorking } from '../http/params'
import { lean } from '../services/lean'
import { doInThread } from '../services/doInThread'

/** A recipe of more lines is evaluated in a thread of its own. */
const MAX_LINES_HERE = 150

/** Evaluates a recipe; with `?include=working` it says how every figure came about. */
export default defineEventHandler(async (event) => {
  const withWorking = asksForWorking(event)
  const { recipe } = await readJson(event, evaluateRequest)
  const ready = withIds(recipe)
  const reference = await referenceFor(ready)
  const made =
    allLines(ready).length <= MAX_LINES_HERE
      ? evaluate(ready, reference)
      : await doInThread<Evaluation>(event, {
          kind: 'evaluate',
          recipe: ready,
          foods: othersIn(reference.foods, table),
        })
  return withWorking ? made : lean(made)
})
