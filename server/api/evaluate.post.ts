import { evaluate } from '../../core/evaluate'
import { withIds } from '../../core/recipe/document'
import { larder } from '../../data/larder'

/** Evaluates a recipe. */
export default defineEventHandler(async (event) => {
  const { recipe } = await readJson(event, evaluateRequest)
  return evaluate(withIds(recipe), larder)
})
