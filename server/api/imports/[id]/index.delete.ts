import { dropImport } from '../../../db/imports'

/** Throws an import away that was not merged. */
export default defineEventHandler(async (event) => {
  const id = importId(event)
  if (!(await dropImport(id))) throw noImport(id)
  return { id }
})
