import type { Food } from '../../core/food/food'
import type { TaughtName } from '../../core/tables/taughtNames'
import { withFoods, withNames, type ReferenceData } from '../../core/tables/referenceData'
import { readRecipe, type Intake } from '../../core/reading/readRecipe'
import { reference } from '../../data/reference'
import { isDatabaseDown } from '../db/errors'
import { allTaughtNames } from '../db/taughtNames'
import { knownFoods } from '../services/knownFoods'
import { readJson } from '../http/body'
import { intakeRequest } from '~~/shared/api/requests'
import { doInThread } from '../services/doInThread'

/** A longer text is read in a thread of its own. */
const MAX_CHARACTERS_HERE = 4000

interface Spoken {
  names: TaughtName[]
  foods: Food[]
  reference: ReferenceData
}

/** Built once for what is taught: looking names up in it is prepared with it. */
let taught: Spoken & { key: string } = { key: '[]', names: [], foods: [], reference }

/** The larder as the cook speaks of it; without the database, as the table does. */
async function larderOfCook(): Promise<Spoken> {
  try {
    const names = await allTaughtNames()
    const key = JSON.stringify(names)
    if (key !== taught.key) {
      const foods = [...(await knownFoods(names.map((one) => one.foodId))).values()]
      taught = { key, names, foods, reference: withNames(withFoods(reference, foods), names) }
    }
    return taught
  } catch (error) {
    if (!isDatabaseDown(error)) throw error
    return { names: [], foods: [], reference }
  }
}

/** Reads the text of a recipe into a document. */
export default defineEventHandler(async (event) => {
  const { text } = await readJson(event, intakeRequest)
  const { reference: own, names, foods } = await larderOfCook()
  if (text.length <= MAX_CHARACTERS_HERE) return readRecipe(text, own.foods)
  return doInThread<Intake>(event, { kind: 'read', text, foods, names })
})
