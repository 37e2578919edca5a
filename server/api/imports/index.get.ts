import { listImports } from '../../db/imports'

/** The latest imports of open tables. */
export default defineEventHandler(async () => ({ imports: await listImports() }))
