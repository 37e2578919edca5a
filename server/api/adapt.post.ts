import { adapt } from '../../core/adapt'
import { withIds } from '../../core/recipe/document'

/** Adapts a recipe to diets and evaluates it before and after. */
export default defineEventHandler(async (event) => {
  const { recipe, diets } = await readJson(event, adaptRequest)
  const ready = withIds(recipe)
  return adapt(ready, diets, await larderFor(ready))
})
