import { adapt } from '../../core/adapt'
import { withIds } from '../../core/recipe/document'
import { larder } from '../../data/larder'

/** Adapts a recipe to diets and evaluates it before and after. */
export default defineEventHandler(async (event) => {
  const { recipe, diets } = await readJson(event, adaptRequest)
  return adapt(withIds(recipe), diets, larder)
})
