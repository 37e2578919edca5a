import { removeKept } from '../db/backup'
import { readJson } from '../http/body'
import { allCopies, removeCopy } from '../services/copies'
import { deleteRequest } from '~~/shared/api/copies'

/** Deletes all that a cook has put in. What the program ships stays. */
export default defineEventHandler(async (event) => {
  const { copies } = await readJson(event, deleteRequest)
  await removeKept()
  if (copies) for (const { name } of await allCopies()) await removeCopy(name)
  return { deleted: true }
})
