import { allDinners } from '../../db/dinners'

/** The dinners that are planned, the latest saved first. */
export default defineEventHandler(async () => ({ dinners: await allDinners() }))
