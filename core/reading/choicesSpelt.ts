import type { Foods } from '../food/food'
import { matchFood } from './match'
import { readLine } from './readLine'

// What a cook allows instead, brought to one form before a line is taken apart: "butter (margarine works too)",
// "100 g butter, or use lard", "milk – for vegan: oat milk" all say "or".

const DIET = String.raw`(?:a |an |the )?(?:vegans?|vegetarians?|veggies?|plant[- ]based|dairy[- ]free|lactose[- ]free|egg[- ]free|gluten[- ]free|nut[- ]free|low[- ]carb|keto|halal|kosher|lighter|healthier)(?: (?:version|option|ones?|diet|people|eaters|folk|guests))?`
/** What is said before the other food, besides "or". */
const BEFORE = [
  'alternatively|otherwise|else|failing (?:that|this|which)|if not',
  String.raw`if (?:you|one|we) (?:can(?:['’]?t|not)|do(?:n['’]?t| not)) (?:get|find|have|eat|like) (?:it|any|some|that|them),?`,
  String.raw`(?:or )?(?:(?:you|one|we) )?(?:can|could|may|might) (?:also |just |simply |easily )*(?:use|be|take|do|swap (?:it )?for|replace (?:it )?(?:with|by))`,
  String.raw`(?:or )?(?:just |simply |else )?(?:use|try|take)`,
  String.raw`(?:or )?(?:sub(?:stitute)?|swap|replace|exchange)(?:d)?(?: (?:it|this|in))?(?: (?:with|for|by|in|out for))?`,
  String.raw`(?:for|if|when) ${DIET}:?(?: use)?`,
  String.raw`${DIET}:`,
].join('|')
/** What may follow: "or, even better, lard". */
const THEN = String.raw`(?:[ ,]+(?:even|else|if (?:you )?(?:prefer|like|want|wish|preferred),?|failing that,?|better|a little|some))*[ ,]+`
const LEADS = `(?:-?or-?|${BEFORE})${THEN}`
/** What is said behind it. */
const AFTER = [
  String.raw`(?:also |just as well )?(?:works?|will do|would do|does|is|are|can be used|could be used|may be used)(?: (?:fine|ok(?:ay)?|good|great|nice|possible|perfect|well|lovely|an (?:alternative|option)))?(?: (?:too|as well|also|instead|well|nicely))?`,
  String.raw`instead`,
  String.raw`(?:if|for|when|to make(?: (?:it|them))?|to keep (?:it|them)|to be) ${DIET}`,
  String.raw`if (?:you|that|it|there|using|cooking|feeding|for)(?:['’]| )[^(),;]*`,
  String.raw`(?:whichever|whatever|your choice|up to you)[^(),]*`,
].join('|')
const TRAILS = String.raw`(?:,? (?:${AFTER}))`
/** Another food, under a name of its own in the pattern. */
const other = (name: string) =>
  String.raw`(?<${name}>(?!(?:or|use|try|take|sub|substitute|swap|replace|even|else|if|for|when|just|simply|you|can|could|also|works?|will|would|is|are)\b)(?:(?:the same (?:amount|weight) (?:of )?)|(?:about )?\d[\d./]* ?[a-zß-öø-ɏ]* )?[a-zß-öø-ɏ][a-zß-öø-ɏ'’ -]{1,40}?)`
const END = String.raw`(?=\s*(?:[,;.)]|$))`

/** The other food in brackets, behind a mark, or behind a bare "or" that says more than "or". */
const WORDINGS: readonly RegExp[] = [
  new RegExp(
    String.raw`\s*\(\s*(?:${LEADS}${other('first')}${TRAILS}?|${other('second')}${TRAILS})\s*\)`,
    'i',
  ),
  new RegExp(
    String.raw`(?:\s*[,;]\s*|\s+[-–—]\s*)(?:${LEADS}${other('first')}${TRAILS}?|${other('second')}${TRAILS})${END}`,
    'i',
  ),
  new RegExp(
    String.raw`\s+(?:if (?:available|possible|you (?:have|can get) (?:it|some)),?\s+)?(?:(?:or )(?=(?:even|else|if|use|try|sub|swap|just|failing)\b)(?:(?:${BEFORE})${THEN}|(?:even|else|if (?:you )?(?:prefer|like)|failing that),? )${other('first')}${TRAILS}?|-or- ${other('second')}|(?:otherwise|or else|else|alternatively),? ${other('third')}|or ${other('fourth')}${TRAILS})${END}`,
    'i',
  ),
]
/** "Butter (vegan if needed)": the same food of the other kind. */
const OF_A_KIND = new RegExp(
  String.raw`^(?<line>.*?[a-zß-öø-ɏ])\s*[,(]\s*(?:or |use )?(?<kind>vegan|dairy-free|plant-based|gluten-free|lactose-free)(?: (?:one|kind|version|if [^(),]*|works[^(),]*|is (?:fine|ok)[^(),]*|for [^(),]*))+\)?$`,
  'i',
)
/** "(or lard, margarine)". */
const SEVERAL = /\s*\(or ([^()\d]+,[^()\d]+)\)/i
const MAY_HOLD =
  /\bor\b|-or-|altern|otherwise|\belse\b|failing|instead|\buse\b|\bsub|\bswap|replace|\bworks?\b|\bwill do|\bwould do|\b(?:is|are) (?:fine|ok|good|great|possible|an)|\bdoes\b|be used|vegan|-free|vegetarian|plant[- ]based|if you/i

const OWN_AMOUNT = /^(?:about )?(?:\d|[¼½¾⅓⅔]|an? |half |one )/i
const IF_AT_HAND = /\bif (?:you|one|we)(?:['’]ve| have)? (?:have|got|like|want)\b|\bif (?:liked|available)\b/i
/** So many choices are looked for in one line. */
const MAX_CHOICES = 4
const MAX_CHARACTERS = 200

/** "6 corn & wheat tortillas": one thing, of two grains; the last of them is what is known. */
const OF_TWO_GRAINS =
  /\b(?:corn|maize|wheat|rye|spelt|oat|rice|barley)\s*(?:&|and|\+|\/|-)\s*(?=(?:corn|maize|wheat|flour|rye|spelt|oat|rice|barley) (?:tortillas?|wraps?|flatbreads?|wrappers?)\b)/i

/**
 * A line whose other food stands behind a plain "or": "100 g butter (margarine works too)" becomes "100 g butter or
 * margarine". Only where the other food is one that the larder knows.
 *
 * @param raw an ingredient line
 */
export function withPlainChoices(raw: string, foods: Foods): string {
  const mixed = raw.replace(OF_TWO_GRAINS, '')
  if (mixed !== raw) return withPlainChoices(mixed, foods)
  if (raw.length > MAX_CHARACTERS || !MAY_HOLD.test(raw)) return raw
  const kind = OF_A_KIND.exec(raw)?.groups
  if (kind) {
    const { name } = readLine(kind.line!)
    if (name && isKnown(`${kind.kind!} ${name}`, foods)) return `${kind.line!} or ${kind.kind!} ${name}`
  }
  let text = raw.replace(SEVERAL, (whole, listed: string) => {
    const names = listed.split(/,\s+(?:or\s+)?|\s+or\s+/i)
    return names.every((name) => isKnown(name, foods)) ? ` or ${names.join(' or ')}` : whole
  })
  for (const wording of WORDINGS)
    for (let turn = 0; turn < MAX_CHOICES; turn++) {
      const found = wording.exec(text)
      const { first, second, third, fourth } = found?.groups ?? {}
      const choice = (first ?? second ?? third ?? fourth)?.replace(/^the same [a-zß-öø-ɏ]+ (?:of )?/i, '')
      if (!found || !choice || !isKnown(choice, foods)) break
      // "…, 1/2 tsp fenugreek if you have it" is a spice more, which may be left out.
      if (second && OWN_AMOUNT.test(second) && IF_AT_HAND.test(found[0])) break
      const front = text.slice(0, found.index)
      // What stands before has to be a food as well, or there is nothing to choose between.
      if (!isKnown(front, foods)) break
      text = `${front} or ${choice}${text.slice(found.index + found[0].length)}`
    }
  return text
}

const isKnown = (text: string, foods: Foods): boolean =>
  matchFood(readLine(text).name, foods)?.how === 'exact'
