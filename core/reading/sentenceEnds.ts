import { remember } from './remember'
import { startsLikeStep } from './stepWords'

// Where a sentence of a row ends: a dot may as well cut a word short.

const ABBREVIATED =
  /(?:^|[\s(])(?:approx|p|tbsp|tsp|tbs|oz|lb|lbs|no|ca|c|pkt|fl|deg|temp|st|vs|e\.g|i\.e|gm|gms|kg|g|ml|etc)$/i

/** A measure cut short behind its number: "1 T. Shaoxing wine", "2 1/2 c. flour". */
const SHORT_UNIT =
  /[\d¼½¾⅓⅔⅛]\s?(?:(?:heaped|heaping|level|scant|rounded|big|good) )?(?:[Tt]bsp|[Tt]bs|[Tt]b|[Tt]sp|TBSP|TSP|[Oo]z|[Ll]bs?|c|T|t|g|kg|ml|pkt|pkg|pt|qt|sm|med|lg|lge|doz|env|sl|can|qts?|gal)$/
const METRIC = /[\d¼½¾]\s?(?:g|kg|ml)$/
const WORK_BEHIND =
  /^\s+(?:\d{1,2} (?:balls|pieces|pcs|rounds|circles|portions)\b|rest|knead|chill|prove|proof|leave|divide|let it|make (?:a|\d)|roll out)\b/i
/** "Roll 1/8 in. thick": an inch cut short goes on in small letters. */
const SHORT_INCH = /[\d¼½¾⅓⅔⅛][\s-]?(?:in|IN)$/

/** "1 T. oil, 1/3 c. water" without the dots that end nothing. */
export const withoutUnitDots = (text: string) =>
  text.replace(
    /([\d¼½¾⅓⅔⅛]\s?(?:[Tt]bsp|[Tt]bs|[Tt]b|[Tt]sp|TBSP|TSP|[Oo]z|[Ll]bs?|c|T|t|pkt|pkg|pt|qt|sm|med|lg|lge|doz))\.(?=\s+\p{L})/gu,
    '$1',
  )

/** The sentences of a row. An abbreviation ("2 tbsp. oil", "approx. 20") does not end one. */
export const sentencesOf: (text: string) => readonly string[] = remember(cutSentences)

/** So far on at most a bracket closes that is one remark. */
const MAX_BRACKET = 80
const inBracket = (text: string, start: number, at: number): boolean => {
  const opened = text.lastIndexOf('(', at)
  if (opened < start || text.lastIndexOf(')', at) > opened) return false
  const closes = text.indexOf(')', at)
  return closes > 0 && closes - opened < MAX_BRACKET && !text.slice(opened + 1, closes).includes('(')
}

/** "Salt 1 tsp", and no "add 1 tsp": an amount behind its name. */
const NAME_AND_AMOUNT =
  /(?:^|[,;:]\s*)(?!(?:add|use|take|mix|stir|put|heat|pour|whisk|beat|melt|with|and|plus|about|approx|in|of|to|another|then|fry|cook)\b)[a-zß-öø-ɏ][a-zß-öø-ɏ '()-]{1,40} [\d¼½¾⅓⅔⅛][\d./ ¼½¾⅓⅔⅛-]*\s?[a-zß-öø-ɏ]{1,5}$/i
/** "Salt 1 tsp. Refried beans 3/4 c": the next in the list, or the next heading, begins behind the dot. */
const LISTED_BEHIND = /^\s+(?:\p{Lu}\p{Ll}|\p{L}[\p{L} '-]{2,30} [\d¼½¾⅓⅔⅛])/u
const endsItem = (text: string, start: number, at: number): boolean =>
  LISTED_BEHIND.test(text.slice(at + 1, at + 40)) &&
  NAME_AND_AMOUNT.test(text.slice(Math.max(start, at - 60), at))

/** Small letters that begin with no work, or with a word that only joins. */
export const goesOnBehind = (rest: string): boolean =>
  /^\s+[\p{Ll}(@]/u.test(rest) &&
  // "… 3 min. butter on top while hot": another thing is done.
  !/^\s+(?:(?:melted|some|a bit of|more|beaten) )*(?:butter|ghee|oil|egg|yolk|milk|honey|syrup|seeds|sesame|sugar|cheese) (?:on top|all over|over)\b/i.test(
    rest,
  ) &&
  !/^\s+or\b(?! (?:until|so|more|till)\b)/i.test(rest) &&
  // "… rest 1 hr. filling: 3 onions": the next part.
  !/^\s+(?:for )?(?:the )?(?:dough|pastry|filling|stuffing|sauce|dip|topping|glaze)\s*[:–-]/i.test(rest) &&
  // "… rest 30 mins. cabbage 1 cup": the next is listed.
  !(LISTED_SMALL.test(rest) && !JOINS.test(rest)) &&
  (JOINS.test(rest) || !startsLikeStep(rest.trimStart()))
const LISTED_SMALL =
  /^\s+(?!(?:[a-zß-öø-ɏ]+ )*(?:heat|flame|fan|oven|gas|mark|side|sides|min|lid|rack|shelf|about|around|least|then|another)\b)[a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+){0,2} [\d¼½¾⅓⅔⅛][\d./]* ?(?:g|kg|ml|cups?|tbsp|tsp|oz|lbs?)\b/i
const JOINS =
  /^\s+(?:in|on|with|at|into|over|until|till|each|per|for|a side|or|and|more|longer|total|after|from|before|covered|uncovered|without|while|turning|flipping)\b/i

function cutSentences(text: string): string[] {
  const found: string[] = []
  let start = 0
  for (let at = 0; at < text.length; at++) {
    const mark = text[at]!
    // Dots that trail off end nothing.
    if (mark === '.' && (text[at - 1] === '.' || text[at + 1] === '.')) continue
    if (mark !== '.' && mark !== '!' && mark !== '?' && mark !== ';') continue
    // "Beef (not minced! finely cut) 500 g": what is called out in brackets ends nothing.
    if (inBracket(text, start, at)) continue
    // "Whey isolate?? (worked but tough), 1 egg": a doubt, and no end.
    if (mark === '?' && /^\?*\s*(?:\(|optional\b)/i.test(text.slice(at + 1, at + 12))) continue
    const next = text[at + 1]
    if (
      next !== undefined &&
      next !== ' ' &&
      !(mark === '.' && /[A-Z]/.test(next) && /[a-z)]/.test(text[at - 1] ?? ''))
    )
      continue
    if (
      mark === '.' &&
      /^\s+\p{L}/u.test(text.slice(at + 1, at + 4)) &&
      // "Warm water 150 ml. rest 30 min": grams are not cut short, and work begins.
      !(
        METRIC.test(text.slice(Math.max(start, at - 8), at)) && WORK_BEHIND.test(text.slice(at + 1, at + 20))
      ) &&
      !endsItem(text, start, at) &&
      ((SHORT_UNIT.test(text.slice(Math.max(start, at - 16), at)) &&
        // Grams are not cut short: "flour 550 g. Knead" ends.
        !(
          METRIC.test(text.slice(Math.max(start, at - 8), at)) &&
          /^\s+\p{Lu}\p{Ll}/u.test(text.slice(at + 1, at + 5))
        )) ||
        (SHORT_INCH.test(text.slice(Math.max(start, at - 8), at)) &&
          // In a text in capitals what follows says nothing of where a sentence begins.
          /^\s+(?:\p{Ll}|\p{Lu}{3})/u.test(text.slice(at + 1, at + 6))))
    )
      continue
    if (
      mark === '.' &&
      ABBREVIATED.test(text.slice(Math.max(start, at - 8), at)) &&
      !WORK_BEHIND.test(text.slice(at + 1, at + 20)) &&
      !/^\s+[A-Z][a-z]/.test(text.slice(at + 1, at + 6)) &&
      !endsItem(text, start, at)
    )
      continue
    // "2 min. per side", "10 min. on high heat": what is shortened ends no sentence, unless work follows.
    if (
      mark === '.' &&
      /\d ?(?:mins?|hrs?|secs?)$/i.test(text.slice(Math.max(0, at - 8), at)) &&
      goesOnBehind(text.slice(at + 1, at + 40))
    )
      continue
    const sentence = text.slice(start, at + 1).trim()
    if (sentence.length > 1) found.push(sentence)
    start = at + 1
  }
  const last = text.slice(start).trim()
  if (last) found.push(last)
  return found
}
