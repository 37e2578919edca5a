import type { Foods } from '../food/food'
import { kindOf } from './headingKinds'
import { matchFood } from './match'
import type { OutlineState } from './outlineState'
import { readLine } from './readLine'
import { inlineList, STARTS_WITH_AMOUNT, wordsOf } from './rows'
import { splitLine } from './splitLine'
import type { Row } from './tidy'

// What is said behind the work, once the pieces are cooked: how they keep, what else can be done, what somebody did.
// It is kept as a remark, for read as work it would bake them twice or put another food in.

/** A wording, with a row that says it so. */
export interface SaidBehind {
  like: string
  pattern: RegExp
}
const said = (like: string, source: string): SaidBehind => ({ like, pattern: new RegExp(source, 'i') })

const THEM = String.raw`(?:they|these|those|it|this|(?:the |any )?(?:leftovers?|left-?overs|unbaked|uncooked|cooked|baked|raw|finished|dough|pastry|filling|[a-zß-öø-ɏ]+s)(?: [a-zß-öø-ɏ]+s)?)`
const DAYS = String.raw`(?:an?|one|two|three|a few|several|\d{1,3})(?:\s*(?:-|–|to)\s*\d{1,3})?\s*(?:hours?|days?|weeks?|months?)`

/** Every wording of what is no work. */
export const SAID_BEHIND: readonly SaidBehind[] = [
  said(
    'Leftovers keep 3 days in the fridge.',
    String.raw`^(?:${THEM} (?:will |should |can )?(?:keeps?|lasts?|stays?)|keeps|lasts) (?:[a-zß-öø-ɏ]+ ){0,3}(?:for )?(?:up to |about )?(?:${DAYS}|well|overnight)`,
  ),
  said(
    'Freezes well for up to 3 months.',
    String.raw`^(?:${THEM} (?:will |should |can )?)?(?:be )?(?:freezes?|frozen) (?:really |very |quite |beautifully|well|fine|brilliantly|for up to|up to|unbaked|uncooked|raw|before|after|cooked|baked)`,
  ),
  said(
    'Can be frozen, raw or baked.',
    String.raw`^(?:${THEM} )?(?:can|may|could) (?:also )?be (?:frozen|stored|kept|made|prepared|assembled|reheated|refrigerated)\b`,
  ),
  said(
    'Freeze unbaked on a tray, then bag.',
    String.raw`^(?:open[- ]?)?(?:freeze|bag|store|refrigerate|keep)\b[^.;]{0,60}\b(?:(?:un|par)?(?:baked|cooked)|raw|bag|airtight|container|up to|${DAYS})`,
  ),
  said(
    'Cool completely before freezing (3 months).',
    String.raw`^(?:cool|let|leave)\b[^.;]{0,40}\bbefore (?:freezing|storing|bagging|refrigerating)`,
  ),
  said(
    'Reheat in the oven at 160°C for 10 minutes.',
    String.raw`^(?:to )?(?:re-?heat|warm (?:up|through|again)|crisp up)\b`,
  ),
  said(
    'To make ahead, fill and chill overnight.',
    String.raw`^(?:(?:to|you can|can be) )?(?:make|made|prepare|prep|get)[- ]ahead\b|^(?:to|for) (?:freez|stor|reheat|keep)`,
  ),
  said(
    'The dough can be made 2 days ahead.',
    String.raw`\b(?:can|could|may|will)\b[^.;]{0,40}\b(?:ahead|in advance|the (?:day|night) before|${DAYS} before)`,
  ),
  said(
    'They can also be deep-fried at 180°C for 5 minutes.',
    String.raw`^(?:${THEM}|you|we|i) (?:can|could|may|might) (?:also|just as well|equally|alternatively)\b`,
  ),
  said(
    'You could steam them for 15 minutes as well.',
    String.raw`^(?:${THEM}|you|we|i) (?:can|could|may|might)\b[^.;]*\b(?:as well|too|instead|if (?:you (?:like|prefer|want)|preferred))\W*$`,
  ),
  said(
    'Air fryer: 190°C for 12 minutes.',
    String.raw`^(?:in (?:an|the|your) )?(?:air[- ]?fryer|microwave|slow cooker|toaster oven|instant pot)(?: (?:method|version|option|instructions?))?\s*[:,–-]`,
  ),
  said(
    'Update: I tried 210°C for 22 minutes and liked it better.',
    String.raw`^(?:update|edit|edited|p\.? ?s\.?|psa|fyi|disclaimer)\b\s*[:,–-]`,
  ),
  said(
    'Use a 12 cm cutter for party size.',
    String.raw`\bfor (?:a )?(?:party|mini|smaller|larger|bigger|cocktail|canap[eé]|bite|snack|lunchbox)[- ]?(?:sized?|ones|versions?|pieces|portions?)?\W*$`,
  ),
  said(
    'My husband adds 100 g mushrooms to the filling.',
    String.raw`^(?:my|our) (?:husband|wife|kids?|children|mum|mom|mother|dad|father|gran\w*|aunt\w*|sister|brother|family|son|daughter|friends?|partner|neighbou?r)\b`,
  ),
  said(
    'I sometimes make them smaller and get 20.',
    String.raw`^(?:i|we) (?:sometimes|often|usually|always|also|have|had|once|tried|made|used|like|love|found|find|prefer|did|do(?:n['’]?t)?)\b`,
  ),
  said(
    'Made these with 250 g turkey mince, delicious.',
    String.raw`^(?:made|tried|used|did|loved|cooked|baked) (?:these|this|them|it|mine|the)\b`,
  ),
  said(
    'For a vegan version use oil and leave out the cheese.',
    String.raw`^(?:for|to make) (?:an? |it |them |this )?(?:[a-zß-öø-ɏ]+[- ]){0,2}(?:vegan|vegetarian|gluten[- ]?free|dairy[- ]?free|egg[- ]?free|nut[- ]?free|lighter|healthier|richer|spicier|meat|meatless|keto|low[- ]carb)\b`,
  ),
  said(
    'Allergens: gluten, milk, egg.',
    String.raw`^(?:allergens?|allergy|contains|may contain|posted in|filed under|equipment|tools)\b`,
  ),
  said(
    'Recipe adapted from an old cookbook.',
    String.raw`^(?:this )?recipe (?:is |was )?(?:adapted|from|by|inspired|based)\b`,
  ),
  said(
    'Instead of butter you can take 120 ml oil.',
    String.raw`^(?:instead of|in place of|no time\?|short of time\?|in a hurry\?|if you (?:have no|don['’]?t have|can['’]?t (?:find|get)|are (?:out of|short)|want|prefer|like))\b`,
  ),
  said(
    'Swap half of the flour for wholemeal if you like.',
    String.raw`^(?:swap|substitute|replace|leave out|omit|double|halve|triple)\b`,
  ),
  said(
    'Do not overfill or they burst.',
    String.raw`^(?:do not|don['’]?t|never|make sure|be careful|careful|cooking times?|remember)\b`,
  ),
]

/** How pieces are cooked, by its verb or by "Oven 200 C"; an oven that is only heated cooks nothing yet. */
const COOKS_THEM =
  /\b(?:bake|fry|steam|boil|cook)|(?<!\bheat (?:the |your )?)\boven\b(?! to\b)[^.]{0,16}\d|\b(?:tawa|tava|griddle|dry pan|air[- ]?fr)\b[^.]*\d ?min/i

/** The pieces have been closed in one step and cooked in it or in a later one: what comes then stands beside them. */
export function isCooked(steps: readonly { text: string }[]): boolean {
  const closed = steps.findIndex(({ text }) =>
    /\b(?:crimp|seal|pinch|stuff(?!ing)|fold|fill(?!ing)|close|wrap)/i.test(text),
  )
  return closed >= 0 && steps.slice(closed).some(({ text }) => COOKS_THEM.test(text))
}

const ADVERT = /^\W*(?:advert(?:isement|ising)?s?|ad|sponsored|promoted)\b/i
/**
 * Whether a row of the page stands between the work and the work goes on below it: an advert, or what is said to its end
 * on its own row ("Related: ten ways with leftovers"). Below cooked pieces it leads what others say.
 *
 * @param rest what stands behind its colon, or ''
 */
export const standsBetweenWork = (steps: readonly { text: string }[], name: string, rest: string): boolean =>
  ADVERT.test(name) || (rest !== '' && steps.length > 0 && !isCooked(steps))

/** What no step of the work begins with, a blank line above it or not. */
const STAYS_GOOD = /^\W*(?:(?:they|these) (?:will )?keep|keeps|lasts|freezes)\b/i

/** Whether a row stands by itself below cooked pieces. */
export function isBehindWork({ out, mode }: OutlineState, rows: readonly Row[], index: number): boolean {
  const row = rows[index]!
  const before = rows[index - 1]
  return (
    mode !== 'remarks' &&
    mode !== 'noise' &&
    mode !== 'start' &&
    row.number === null &&
    out.sections.length > 0 &&
    (row.blankBefore ||
      STAYS_GOOD.test(row.text) ||
      (before !== undefined && out.became.get(before.at) === 'remark')) &&
    isCooked(out.steps)
  )
}

/** "Posted in baking, snacks": a row that measures nothing and names no food. */
export const namesNoFood = (text: string, foods: Foods): boolean =>
  !STARTS_WITH_AMOUNT.test(text) &&
  splitLine(text, foods).every((one) => matchFood(readLine(one.text).name, foods)?.how !== 'exact')

/** Keeps as a remark what a row says behind the work; false where it says none of this. */
export function saysBehindWork(
  state: OutlineState,
  rows: readonly Row[],
  index: number,
  text: string,
): boolean {
  // "You might also like" leads what is no part of the recipe.
  if (kindOf(text) === 'noise') return false
  // "To freeze" by itself is a heading.
  if (text.split(/\s+/).length <= 3 && !/[.!:,\d]/.test(text)) return false
  // "For the vegan filling" over its list is a heading as well.
  const next = rows[index + 1]
  if (next && !next.blankBefore && STARTS_WITH_AMOUNT.test(next.text)) return false
  // Few rows stand there, and the wordings are many.
  if (!isBehindWork(state, rows, index) || !SAID_BEHIND.some(({ pattern }) => pattern.test(text)))
    return false
  state.remark(rows[index]!, text)
  return true
}

const POINTS_ELSEWHERE =
  /^\W*(?:see|refer to|check)(?: (?:the|my|our))? (?:notes?|tips?|below|above|instructions|post|video)\b/i
const TELLS_OF_IT = /\b(?:is|are|was|were|can be|should be|will be|contains?)\b/i
const LEAST_TOLD_WORDS = 4
/**
 * Whether a row without an amount says something and lists nothing: "*see notes", "All weights are approximate.", or,
 * by itself below the work, any words that name no food ("Love from all of us").
 */
export function saysSomething({ out, foods, mode, section }: OutlineState, row: Row, text: string): boolean {
  if (/\d/.test(text) || mode === 'start' || matchFood(readLine(text).name, foods) !== null) return false
  if (POINTS_ELSEWHERE.test(text)) return true
  if (TELLS_OF_IT.test(text) && wordsOf(text) >= LEAST_TOLD_WORDS && !inlineList(text, foods)) return true
  if (!out.steps.length || !(row.blankBefore || isCooked(out.steps))) return false
  // What a heading below the work has opened is its list.
  const isOpen = section?.heading != null && !((section.items.at(-1)?.at ?? Infinity) < out.steps.at(-1)!.at)
  return !isOpen && namesNoFood(text, foods)
}
