import { beThere } from '~/logic/drafts'

/** Other tabs see that this one is there before it takes up any work. */
export default defineNuxtPlugin(async () => {
  await beThere()
})
