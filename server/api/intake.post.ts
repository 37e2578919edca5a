import { readRecipe, type Intake } from '../../core/reading/readRecipe'
import { larderOfCook } from '../services/larderOfCook'
import { readJson } from '../http/body'
import { intakeRequest } from '~~/shared/api/requests'
import { doInThread } from '../services/doInThread'

/** A longer text is read in a thread of its own. */
const MAX_CHARACTERS_HERE = 4000

/** Reads the text of a recipe into a document. */
export default defineEventHandler(async (event) => {
  const { text } = await readJson(event, intakeRequest)
  const { reference: own, names, foods } = await larderOfCook()
  if (text.length <= MAX_CHARACTERS_HERE) return readRecipe(text, own.foods)
  return doInThread<Intake>(event, { kind: 'read', text, foods, names })
})
