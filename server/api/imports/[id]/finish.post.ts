import { getImport, startMerge } from '../../../db/imports'
import { importId, noImport } from '../../../http/params'
import { readJson } from '../../../http/body'
import { finishRequest } from '~~/shared/api/requests'
import { INSTANCE, mergeInBackground, refuseUnready } from '../../../services/mergeImports'

/** Makes foods of what was taken in. Answers at once; the import tells how far it has come. */
export default defineEventHandler(async (event) => {
  const id = importId(event)
  const { withoutBadRows } = await readJson(event, finishRequest)
  const found = await getImport(id)
  if (!found) throw noImport(id)
  if (found.state === 'open') {
    refuseUnready(found, withoutBadRows)
    if (await startMerge(id, INSTANCE)) mergeInBackground(id, found.source)
  }
  setResponseStatus(event, 202)
  return getImport(id)
})
