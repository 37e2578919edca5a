import { DIGIT_NUMBER, ONES } from './readNumber'
import { remember } from './remember'

// How many it makes, however that is said, brought to one form: "does 5 big ones", "you can get 14 from this", "total:
// 12" all promise.

const MARKS = '(?=\\W*$|[,;.!)]|\\s+[-–—]\\s)'
const NUMBER = String.raw`(?:${DIGIT_NUMBER}|${Object.keys(ONES).slice(1).join('|')})(?:\s*(?:-|–|to|or)\s*\d{1,3})?`
/** A number that counts: behind it the promise ends, or the pieces are named. */
const COUNTED = String.raw`((?:exactly |approximately |about |around |roughly |maybe |some |approx\.? |~ ?)?${NUMBER}(?![\d.,/]*\d|\s*(?:g|kg|ml|cm|mm|min\w*|hours?|hrs?|°|deg\w*|at a time|at once|more|times|in a|per|each)\b)(?:-?ish)?)`
/** "5 big ones", "14 pasties", "12 of them for me": what may stand behind the number. */
const PIECES_BEHIND = String.raw`(?:\s+(?:(?:nice|good|big|large|small|medium|mini|little|decent|generous|hand|sized|size|good[- ]sized)\s+)*(?:ones?|pieces?|pcs?|of (?:them|these)|[a-zß-öø-ɏ]+(?:s|ies))|\s+(?:big|large|small|medium|mini|total|in all|in total|altogether))?`
const LEAD = String.raw`(?:(?:this|that|it|these|those|which|they|the (?:recipe|dough|mix(?:ture)?|quantit(?:y|ies)|amounts?|lot|above)|one batch|a batch|a single batch|mine|ours|i|we|you)\s+)?(?:(?:will|should|can|could|would|usually|always|normally|generally|just|easily)\s+)*`

/** A wording of the promise, with a line that says it so. */
export interface PromiseWording {
  like: string
  pattern: RegExp
}
const wording = (like: string, source: string): PromiseWording => ({
  like,
  pattern: new RegExp(source, 'i'),
})

/** Every wording that is brought to "makes N". */
export const PROMISES: readonly PromiseWording[] = [
  wording(
    'Does 5 big ones',
    String.raw`(?:^\W*|[.,;]\s+)${LEAD}(?:does|do)\s+${COUNTED}(${PIECES_BEHIND})${MARKS}`,
  ),
  wording(
    'Should give you 14 pasties',
    String.raw`\b${LEAD}(?:gives?|makes?|leaves?|gets?) (?:you|me|us)(?: with)?\s+${COUNTED}(${PIECES_BEHIND})`,
  ),
  wording(
    'Turns out 14',
    String.raw`\b${LEAD}(?:produces?|turns? out|turned out|works? out (?:at|as|to)|worked out (?:at|as)|ends? up (?:as|with|at)|ended up (?:as|with)|makes exactly)\s+${COUNTED}(${PIECES_BEHIND})`,
  ),
  wording(
    'Mine made 14',
    String.raw`(?:^\W*|[.,;]\s+)(?:(?:mine|ours|this|it|i|we) )?(?:made|got)\s+${COUNTED}(${PIECES_BEHIND})(?: (?:for (?:me|us)|out of (?:it|this|that)|from (?:it|this|that)))?${MARKS}`,
  ),
  wording(
    'You can get 14 from this',
    String.raw`\b(?:you|i|we)(?: (?:can|should|could|usually|normally))* (?:get|make|have)\s+${COUNTED}(${PIECES_BEHIND}) (?:out of|from|with) (?:this|that|it|these|the (?:dough|recipe|mix\w*|quantit\w+|amounts?))`,
  ),
  wording(
    'So 14 bakes altogether',
    String.raw`\b(?:so|that is|that['’]?s) ${COUNTED}(\s+[a-zß-öø-ɏ]+s)? (?:altogether|in all|in total)${MARKS}`,
  ),
  wording(
    '14 from this',
    String.raw`(?:^\W*|[.,;]\s+|\s[-–—]\s)${COUNTED}(${PIECES_BEHIND}) (?:from|out of|with) (?:this|these (?:amounts|quantities)|the (?:above|recipe))${MARKS}`,
  ),
  wording(
    'From this amount come about 14 pasties',
    String.raw`(?:from|out of) (?:(?:this|that|these|the above)(?: (?:amounts?|quantit(?:y|ies)|dough|recipe|mix(?:ture)?|batch|lot|much))?|it|all this)(?: (?:of )?(?:dough|flour))?,? (?:(?:you|we|i|one) (?:will |should |can |usually )?(?:get|have|make)|comes? out|comes?|(?:there )?(?:are|is|will be))\s+${COUNTED}(${PIECES_BEHIND})`,
  ),
  wording(
    'Should be 14 or so',
    String.raw`(?:^\W*|[.,;]\s+|\s[-–—]\s|\()(?:there |that |it |this |you |they )?(?:should|will|ought to|might|'ll) (?:be|come to|number)\s+${COUNTED}(${PIECES_BEHIND})(?: or (?:so|thereabouts))?(?: in all)?${MARKS}`,
  ),
  wording(
    'Fold and seal (14)',
    String.raw`(?<=\b(?:seal|fold|pinch|crimp|pleat|shape|cut|roll|close|press))\s*\((?:about |around |approx\.? |~ ?)?(\d{1,3})(\s+of them|)\)(?=\W*$)`,
  ),
  wording('Fills 14', String.raw`^\W*fills\s+${COUNTED}(${PIECES_BEHIND})${MARKS}`),
  wording(
    'How many: 14',
    String.raw`^\W*(?:total(?: number)?|how many|number|count|(?:one|a|1) batch|turnovers|pasties|pies|dumplings|buns|pieces|parcels|pockets|rolls|breads|momos|samosas|empanadas|parathas)\s*[:=–-]\s*${COUNTED}(${PIECES_BEHIND})\W*$`,
  ),
  wording(
    'Around 14 of them',
    String.raw`^\W*${COUNTED}(\s+(?:of them|in total|total|in all|altogether))\W*$`,
  ),
  wording(
    'Dough for 14 pasties',
    String.raw`^\W*(?:dough|pastry|quantities|recipe)(?: for| to make)\s+${COUNTED}(${PIECES_BEHIND})\W*$`,
  ),
]
const MAY_PROMISE =
  /\b(?:do(?:es)?|be|come to|gives?|makes?|made|leaves?|gets?|got|have|produces?|turn\w*|works? out|worked out|end\w* up|fills|total|how many|number|count|batch|of them|in all|from|out of|altogether|dough|pastry|quantities|recipe|[a-zß-öø-ɏ]+s\s*[:=])|\(\D{0,8}\d{1,3}\)\W*$/i
const CIRCA = /\b(?:per )?(?:circa|ca\.?)\s+(?=\d{1,3}\s+[a-zß-öø-ɏ])/gi
/** "One-person pie", "serves just me". */
const FOR_ONE =
  /\bone[- ]person\b|\b(?:serves|for) (?:just|only) (?:me|one|myself)\b(?=\W*(?:$|[).,;]))|\b(?:just|only) for (?:me|one|myself)\b(?=\W*(?:$|[).,;]))/gi
/** "(About 2 dozen small)": of what size they are counts nothing else. */
const SO_MANY_OF_SIZE =
  /(?<=^\W*|\(\s*)((?:makes |about |approx\.? |roughly |~ ?)*(?:\d{1,3}|an?|one|two|three|four|six|eight|ten|twelve)(?: dozen)? (?:very )?(?:small|medium|large|big|mini|little))(?=\s*(?:\)|$))/i

/**
 * A line with its promise in one form: "Does 5 big ones" becomes "makes 5 big ones". A line that promises nothing stays
 * as it is.
 *
 * @param line a row of a page or a sentence
 */
export const withPlainPromise: (line: string) => string = remember((stated) => {
  const line = stated
    .replace(CIRCA, 'about ')
    .replace(SO_MANY_OF_SIZE, '$1 ones')
    .replace(FOR_ONE, 'serves 1')
    // "Slice to serve 4-6".
    .replace(/\b((?:slice|cut|divide)(?: (?:it|up|them))*),? to serve (?=\d)/gi, '$1, serves ')
    .replace(
      /\bfor (?:about |around )?(\d{2,3}) or so\b(?! (?:people|guests|minutes|mins|hours|g\b|ml\b))/i,
      'makes about $1',
    )
    // "12 single-serve pot pies".
    .replace(/(?<=\d )(?:single|individual)[- ]?(?:serve|serving|portion)? (?=[a-zß-öø-ɏ])/i, '')
  if (!MAY_PROMISE.test(line) || line.length > 400) return line
  const found = PROMISES.find(({ pattern }) => pattern.test(line))
  return found
    ? line.replace(found.pattern, (whole, many: string, what: string) => {
        const mark = /^\s?([.,;(–—-])/.exec(whole)?.[1]
        return `${mark ? `${mark} ` : ''}makes ${many.replace(/^exactly /i, '')}${what}`
      })
    : line
})

/** "18 portions, flatten, fill", "10 portions. Roll thin": of dough, and nobody eats them yet. */
export const PORTIONS_OF_DOUGH =
  /(?<=^\W*|[.;]\s+)(\d{1,3})(?: equal)? portions(?=\s*[,.;]\s*(?:flatten|roll|stuff|fill|shape|round|press|pat|stretch|ball|rest)\b)/gi
const INTO_PORTIONS =
  /\b((?:divide|split|portion|roll|shape)\b[^.;]{0,40}\binto )(\d{1,3}|[a-zß-öø-ɏ]+)(?: equal)? portions\b/gi
/** "Make 12 portions of dough and filling": nobody eats them. */
const PORTIONS_OF =
  /\b(\d{1,3})(?: equal)? portions(?= (?:of|from|out of) (?:(?:the |each |your )*(?:dough|pastry|filling|stuffing|mixture)|each|both)\b)/gi

/** "Divide the dough and the filling into 10 pieces each": each of the two. */
const DOUGH_AND_FILLING =
  /\b((?:divide|split|portion|make)\b[^.;]*\b(?:dough|pastry|filling|stuffing)\b[^.;]*\d{1,3} (?:[a-zß-öø-ɏ]+ )?(?:pieces|portions|parts|balls)) each\b/gi

/** "Flatten one portion" is of dough. */
const WORKED_PORTION =
  /\b(flatten|take|roll(?: out)?|press|place|put|pat|use|keep|work(?:ing)? with|fill|with|on|in|of) (?:one|1|an?) portion\b/gi

/**
 * A line in which portions of dough are pieces: "divide the dough into 6 portions" counts pieces and no eaters, "flatten
 * one portion" counts nothing.
 *
 * @param line a row of a page or a sentence
 */
export const withoutPortions = (line: string): string =>
  line
    .replace(PORTIONS_OF_DOUGH, '$1 pieces')
    .replace(INTO_PORTIONS, '$1$2 pieces')
    .replace(PORTIONS_OF, '$1 pieces')
    .replace(DOUGH_AND_FILLING, '$1')
    // "6 balls each": of dough and of filling.
    .replace(/(\b\d{1,3} balls) each\b(?= of|\W*$)/i, '$1')
    .replace(WORKED_PORTION, '$1 a piece')
