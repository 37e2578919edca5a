import { allCopies, copiesFolder, copyInTheMaking, restoreUnderWay } from '../../services/copies'

/** The copies of everything, and how far one is that is being made. */
export default defineEventHandler(async () => ({
  folder: copiesFolder(),
  copies: await allCopies(),
  making: copyInTheMaking(),
  restoring: restoreUnderWay(),
}))
