import { dropImport } from '../../../db/imports'
import { importId, noImport } from '../../../http/params'

/** Throws an import away that was not merged. */
export default defineEventHandler(async (event) => {
  const id = importId(event)
  if (!(await dropImport(id))) throw noImport(id)
  return { id }
})
