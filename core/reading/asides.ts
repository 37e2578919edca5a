import { remember } from './remember'
import { GOES_ON } from './verbs'

// What a method says besides the work: of keeping, of serving, of letting steam out.

/** Sentences about keeping, reheating or serving say nothing of how the dish is made. */
export const isAside: (text: string) => boolean = remember((text) =>
  /\b(?:freez(?!er\b)\w*(?! (?:for )?(?:about )?\d+\s*min)(?! (?:the )?(?:filling|balls))|freezer\b(?=[^.;]*\b(?:months?|weeks?|keeps?|ahead|later)\b)|frozen (?:ones|pieces|pies|dumplings)|from frozen|reheat\w*|leftovers?|next day|keeps? (?:for|well|in)|store\w*|alternatively|instead of|(?:you|we|one) (?:can|could|may) also|if you (?:prefer|don't|do not|have)|or (?:deep|shallow|air)?[- ]?(?:fry|bake|steam|boil) (?:them|if))\b|^\W*or,? (?:you can |instead )?(?:deep|shallow|pan|air)?[- ]?(?:fry|bake|steam|boil|griddle|grill)\b|^\W*(?:then )?(?:[a-zß-öø-ɏ-]+\s){1,6}if you (?:like|want|wish)\W*$/i.test(
    text,
  ),
)

/** What lets steam out is not steamed. */
const NO_STEAM =
  /\bsteam(?:s)?\b[^.,\d]{0,20}\b(?:escape|out|vents?|holes?|slits?|off)\b|\b(?:let|so|for)\b[^.]{0,20}\bsteam\b(?!\w)[^.]{0,14}(?:out|escape|$|\.)|\bsteam (?:holes?|vents?|slits?)\b|\b(?:vents?|slits?|holes?) for (?:the )?steam\b/i

/** A text without what it says of letting steam out. */
export const withoutVents: (text: string) => string = remember((text) => text.replace(NO_STEAM, ' '))

const LISTED = String.raw`(?:the )?(?!(?:then|${GOES_ON})\b)[a-zß-öø-ɏ'-]+(?: (?!and\b|or\b|in\b|until\b|for\b|on\b)[a-zß-öø-ɏ'-]+){0,3}`
/** "Everything except the pastry, egg and seeds": the whole list is left out, and the next verb is not. */
const EXCEPTED = new RegExp(
  String.raw`\b(?:except(?:ing)?(?: for)?|apart from|but not|(?<=\b(?:everything|all|the rest) )(?:but|minus|without)|other than|(?<=\b(?:everything|all|the lot) )bar) ${LISTED}(?:(?:, ${LISTED})*,? (?:and|or|&|\+) ${LISTED})?`,
  'gi',
)
/** A text without what it leaves out of what it speaks of. */
export const withoutExcepted: (text: string) => string = remember((text) => text.replace(EXCEPTED, ' '))
