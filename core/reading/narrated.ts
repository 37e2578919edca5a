import { isAside } from './asides'
import { remember } from './remember'
import { startsLikeStep, TOLD } from './stepWords'

// How work is told: "then I go ahead and fry the onion" is "fry the onion".

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
