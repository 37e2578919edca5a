import { readRecipe, type Intake } from '../core/reading/readRecipe'
import { foods } from './helpers'
import { corpus, type Expected } from './readingCorpus'

export interface Read extends Expected {
  intake: Intake
}

let read: readonly Read[] | undefined
/**
 * Every recipe of the corpus as it is read. The tests of one worker share what was read: nobody may change it, and
 * reading is most of what they would wait for.
 */
export const readCorpus = (): readonly Read[] =>
  (read ??= corpus().map((one) => ({ ...one, intake: readRecipe(one.text, foods) })))
