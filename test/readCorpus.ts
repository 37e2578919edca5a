import { readRecipe, type Intake } from '../core/reading/readRecipe'
import { foods } from './helpers'
import { corpus, type Expected } from './readingCorpus'

export interface Read extends Expected {
  /** Read when it is first asked for; nobody may change it, since the tests of one worker share it. */
  readonly intake: Intake
}

let read: readonly Read[] | undefined

/** Every recipe of the corpus, as it is read once it is asked for: reading is most of what tests would wait for. */
export const readCorpus = (): readonly Read[] =>
  (read ??= corpus().map((one) => {
    let intake: Intake | undefined
    return {
      ...one,
      get intake() {
        return (intake ??= readRecipe(one.text, foods))
      },
    }
  }))

/** What holds of any recipe is asked of every so many-th one; `EVERY_TEXT=1` asks all of them. */
export const everyFewOfCorpus = (): readonly Read[] => {
  const every = Number(process.env.EVERY_TEXT ?? 7)
  return readCorpus().filter((_, at) => at % every === 0)
}
