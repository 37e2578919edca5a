import type { importRecipes } from '../../../core/exchange/importRecipe'
import { pageImportRequest, MAX_PAGE_CHARACTERS } from '~~/shared/api/requests'
import { readJson } from '../../http/body'
import { doInThread } from '../../services/doInThread'
import { larderOfCook } from '../../services/larderOfCook'

/** A character may take four bytes, and be written with six. */
const MAX_BODY = 2 * MAX_PAGE_CHARACTERS

/** Reads the recipes of a page, a JSON-LD document or a text into documents. Stores nothing, fetches nothing. */
export default defineEventHandler(async (event) => {
  const given = await readJson(event, pageImportRequest, MAX_BODY)
  const { names, foods } = await larderOfCook()
  return doInThread<ReturnType<typeof importRecipes>>(event, { kind: 'import', given, foods, names })
})
