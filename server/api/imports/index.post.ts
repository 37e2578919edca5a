import { createImport, getImport } from '../../db/imports'
import { readJson } from '../../http/body'
import { importRequest } from '~~/shared/api/requests'

/** Begins an import of an open table. */
export default defineEventHandler(async (event) => {
  const { source, who } = await readJson(event, importRequest)
  const made = await getImport(await createImport(source, who))
  setResponseStatus(event, 201)
  return made
})
