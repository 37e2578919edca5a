import { ImportProblem, importRecipes } from '../../../core/exchange/importRecipe'
import { reference } from '../../../data/reference'
import { pageImportRequest, MAX_PAGE_CHARACTERS } from '~~/shared/api/requests'
import { readJson } from '../../http/body'
import { invalid } from '../../http/problem'

/** A character may take four bytes, and be written with six. */
const MAX_BODY = 2 * MAX_PAGE_CHARACTERS

/** Reads the recipes of a page, a JSON-LD document or a text into documents. Stores nothing, fetches nothing. */
export default defineEventHandler(async (event) => {
  const given = await readJson(event, pageImportRequest, MAX_BODY)
  try {
    return importRecipes(given, reference.foods)
  } catch (error) {
    if (!(error instanceof ImportProblem)) throw error
    throw invalid([{ field: error.field, message: error.message }])
  }
})
