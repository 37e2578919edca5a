import { evaluate } from '../../core/evaluate'
import { withIds } from '../../core/recipe/document'

/** Evaluates a recipe. */
export default defineEventHandler(async (event) => {
  const { recipe } = await readJson(event, evaluateRequest)
  const ready = withIds(recipe)
  return evaluate(ready, await larderFor(ready))
})
