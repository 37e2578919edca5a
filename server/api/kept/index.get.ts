import { keptOfBrowsers } from '../../db/kept'

/** What browsers kept for themselves: guests, cookware, refusals. */
export default defineEventHandler(async () => ({ browsers: await keptOfBrowsers() }))
