import { isAside } from './asides'
import { remember } from './remember'
import { startsLikeStep } from './stepWords'

// How work is told: "then I go ahead and fry the onion" is "fry the onion".

/** What leads from one thing that is done to the next. */
const LEADS_ON =
  "(?:and|so|okay|ok|right|then|now|next|first(?: of all)?|firstly|second(?:ly)?|thirdly|finally|lastly|after (?:that|this)|once (?:that|this)(?:['’]s| is) done|meanwhile|in the meantime|at this point|from here|just|simply|please|also|again|carefully)"
/** Who does it, and that it is done: "I always", "you'll want to", "let's". */
const WHO =
  "(?:(?:i|you|we)(?:['’](?:ll|d))?|let(?:['’]s| us)|what (?:i|you|we) do is|(?:the )?next (?:step|thing) is to|it(?:['’]s| is) time to|time to|all (?:i|you|we) do is|(?:make|be) sure to|go ahead and|(?:don['’]?t|do not) forget to|remember to|start by|begin by)"
const HOW_OFTEN =
  '(?:can|will|would|should|must|always|usually|normally|generally|often|then|now|just|also|simply|only|first|(?:am|are) going to|have to|need to|want to|like to|love to|tend to|prefer to|go ahead and)'
const TOLD = new RegExp(
  String.raw`^\W*(?:${LEADS_ON}(?:[,:]\s*|\s+))*(?:${WHO}\s+(?:${HOW_OFTEN},?\s+)*)*`,
  'iu',
)
/** "I get about 16": what comes of it. */
const COUNTS = /^(?:get|have)\b/i

/**
 * A sentence of work without who tells it: "Then you want to fry the onion" is "fry the onion". What does not begin
 * with work behind that stays as it is, and so does what is only allowed ("you can also fry them").
 */
export const withoutNarrator: (text: string) => string = remember((text) => {
  const lead = TOLD.exec(text)?.[0] ?? ''
  const work = text.slice(lead.length)
  return /\p{L}/u.test(lead) && !COUNTS.test(work) && !isAside(text) && startsLikeStep(work) ? work : text
})
