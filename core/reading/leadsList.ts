import type { Foods } from '../food/food'
import { matchFood } from './match'
import { readLine } from './readLine'
import { rememberWith } from './remember'
import { STARTS_WITH_AMOUNT } from './rows'
import { startsLikeStep } from './stepWords'
import { MAX_ROW_CHARACTERS } from './tidy'

// A sentence that says that a list follows, and the list: "You need 200 g flour, 100 ml water, 300 g mince."

const LEAD =
  /^(?:(?:so|now|first|ok|okay|well|right|basically|and),? )*(?:(?:you|we|i)(?:['’]ll| will| just| usually| always)* (?:need|want|use|take|require|get|have|buy)|take|get|gather|buy|use|(?:have|get) ready|you will be needing|needs?)(?: to (?:have|get|buy))?\s*:?\s+(?=\S)/i
/** With fewer it may be the first thing that is done: "Take 2 eggs, beat them". Our own choice. */
const LEAST_LISTED = 4

/** The list behind words that lead one; null where a sentence is no list or does more than list. */
export const listBehindLead: (sentence: string, foods: Foods) => string | null = rememberWith(
  (sentence, foods) => {
    const lead = LEAD.exec(sentence)?.[0]
    if (!lead) return null
    const list = sentence.slice(lead.length)
    if (list.length > MAX_ROW_CHARACTERS) return null
    const parts = list
      .replace(/\.$/, '')
      .split(/,\s+|;\s*|\s+(?:and|plus|&)\s+(?=an? |some |\d|[¼½¾]|half\b)/i)
      .map((part) => part.trim())
      .filter(Boolean)
    const listed = parts.filter(
      (part) => STARTS_WITH_AMOUNT.test(part) || matchFood(readLine(part).name, foods)?.how === 'exact',
    )
    const works = parts.some((part) => !STARTS_WITH_AMOUNT.test(part) && startsLikeStep(part))
    return !works && listed.length >= LEAST_LISTED && 3 * listed.length >= 2 * parts.length ? list : null
  },
)
