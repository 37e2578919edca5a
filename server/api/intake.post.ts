import { readRecipe } from '../../core/reading/readRecipe'
import { larder } from '../../data/larder'

/** Reads the text of a recipe into a document. */
export default defineEventHandler(async (event) => {
  const { text } = await readJson(event, intakeRequest)
  return readRecipe(text, larder.foods)
})
