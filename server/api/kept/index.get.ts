import { keptOfBrowser } from '../../db/kept'

/** What a browser kept last: guests, cookware, refusals. */
export default defineEventHandler(async () => ({ kept: await keptOfBrowser() }))
