import { readRecipe } from '../../core/reading/readRecipe'
import { withFoods, withNames } from '../../core/larder'
import { larder } from '../../data/larder'
import { isDatabaseDown } from '../db/pool'
import { allTaughtNames } from '../db/taughtNames'

/** Built once for what is taught: looking names up in it is prepared with it. */
let taught = { key: '[]', larder }

/** The larder as the cook speaks of it; without the database, as the table does. */
async function larderOfCook() {
  try {
    const names = await allTaughtNames()
    const key = JSON.stringify(names)
    if (key !== taught.key) {
      const foods = await knownFoods(names.map((one) => one.foodId))
      taught = { key, larder: withNames(withFoods(larder, [...foods.values()]), names) }
    }
    return taught.larder
  } catch (error) {
    if (!isDatabaseDown(error)) throw error
    return larder
  }
}

/** Reads the text of a recipe into a document. */
export default defineEventHandler(async (event) => {
  const { text } = await readJson(event, intakeRequest)
  const { foods } = await larderOfCook()
  return readRecipe(text, foods)
})
