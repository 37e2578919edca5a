import type { Foods } from '../food/food'
import { matchFood } from './match'
import { readLine } from './readLine'
import { rememberWith } from './remember'
import { STARTS_WITH_AMOUNT } from './rows'
import { startsLikeStep } from './stepWords'
import { MAX_ROW_CHARACTERS } from './tidy'
import { unmarkedRow } from './unmarkedRow'

// A sentence that says that a list follows, and the list: "You need 200 g flour, 100 ml water, 300 g mince."

const LEAD =
  /^(?:(?:so|now|first|ok|okay|well|right|basically|and),? )*(?:(?:you|we|i)(?:['’]ll| will| just| usually| always)* (?:need|want|use|take|require|get|have|buy)|take|get|gather|buy|use|(?:have|get) ready|you will be needing|needs?|(?:what|all)(?: that)? (?:you|we|i)(?:['’]ll| will)? (?:need|want|use|take)s? (?:is|are))(?: to (?:have|get|buy))?\s*:?\s+(?=\S)/i
/** "So for these chicken parcels what you need is a roll of pastry two chicken breasts …": spoken without a mark. */
const FOR_DISH =
  /^(?:(?:so|now|first|ok|okay|well|right|basically|and),? )*for (?:the|these|this|my|our|some) (?!(?:[a-zß-öø-ɏ-]+ ){0,4}(?:dough|pastry|crust|filling|stuffing|sauce|dip)\b)(?:[a-zß-öø-ɏ-]+ ){1,6}?(?=(?:you|we|i|what|all)\b)/i
/** With fewer it may be the first thing that is done: "Take 2 eggs, beat them". Our own choice. */
const LEAST_LISTED = 4

/** The list behind words that lead one; null where a sentence is no list or does more than list. */
export const listBehindLead: (sentence: string, foods: Foods) => string | null = rememberWith(
  (sentence, foods) => {
    const forDish = FOR_DISH.exec(sentence)?.[0] ?? ''
    const said = sentence.slice(forDish.length)
    const lead = LEAD.exec(said)?.[0]
    if (!lead) return null
    const list = said.slice(lead.length)
    if (list.length > MAX_ROW_CHARACTERS) return null
    const bare = list.replace(/\.$/, '')
    if ((unmarkedRow(bare, foods)?.length ?? 0) >= LEAST_LISTED) return bare
    if (forDish) return null
    const parts = bare
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
