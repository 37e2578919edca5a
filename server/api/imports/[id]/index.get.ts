import { getImport } from '../../../db/imports'
import { importId, noImport } from '../../../http/params'
import { mergedSoFar } from '../../../services/mergeImports'

/** How far an import has come, with the rows that cannot be used. */
export default defineEventHandler(async (event) => {
  const id = importId(event)
  const found = await getImport(id)
  if (!found) throw noImport(id)
  return { ...found, foods: mergedSoFar(id) ?? found.foods }
})
