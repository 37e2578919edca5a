import { recalled } from './matches'
import type { Foods } from '../food/food'
import { startsLikeStep, VERB } from './stepWords'
import { matchFood } from './match'
import { readLine } from './readLine'
import { NUMBER_PATTERN } from './readNumber'
import { rememberWith } from './remember'
import {
  BALLS_OF,
  WAS_COOKED,
  WORK_LABEL,
  EACH_ONE,
  FAT_FOR_PAN,
  SPOONS_OF_FILLING,
  DIPS,
  PINCHES,
  HALF_GOES,
  SHARE_OF_DOUGH,
  BOTH_HALVES,
  SPOON_EACH,
  WRAPS_EACH,
  DASHED_WORK,
  ROLLED_IN,
} from './rowWords'
import { MAX_ROW_CHARACTERS, type Row } from './tidy'
import { isHeatOrTime } from './time'
import { UNIT_PATTERN } from './units'
import { ONE_LARGE } from './oneDish'
import { readYields, titleYields } from './servings'
import { unmarkedRow } from './unmarkedRow'
import { FRIED, GOES_ON, verbOfDone } from './verbs'
import { turnedRound } from './turnedRound'

// What a row of a text looks like, by its words and by whether the larder knows its food.

/** Begins with an amount: "500 g", "about two". */
export const STARTS_WITH_AMOUNT = recalled(
  new RegExp(
    String.raw`^(?:about |approx\.? |around |roughly |~|≈)?(?:${NUMBER_PATTERN})(?=[\s\d(x×–-]|${UNIT_PATTERN}|[a-zß-öø-ɏ])`,
    'i',
  ),
)
const DOING =
  /\b(?:add|mix|cook|fry|bake|knead|steam|boil|stir|fold|seal|roll|cut|fill|brush|heat|cool|rest|serve|divide|simmer|squeeze|drain|freezes?|keep|wrap|take|leave|place|put|make|use|prepare|toast|let|chill|shape|sprinkle|flatten|close|pat out|press|pleat|crimp|stuff)\b/i

/** "12 squares of 12 cm, fill, fold": how many, of what size, and what is done with them. */
const COUNT_AND_DO =
  /^\W*(?:about )?\d+(?:\s?[-–]\s?\d+)?\s+(?:x\s*\d+\s*(?:cm|mm|g)\s+)?(?:[a-zß-öø-ɏ]+\s+)?(?:balls|pieces|rounds|circles|dis[ck]s|portions|squares|saucers|buns|lumps|bits|blobs|logs|strips)\b[^,.]{0,24}(?:,|->|$)/i

/** How many words a text has. */
export const wordsOf = (text: string) => text.split(/\s+/).length

/** Whether a text is an instruction; ingredient lines that begin with a verb's word ("flour", "oil") are none. */
export const isStep: (text: string, foods: Foods) => boolean = rememberWith(tellsToDo)

/** "700 g beef cut small, 1 onion, 2 carrots": a list, however long. */
const listsMany = (text: string): boolean =>
  text.split(/,\s+/).filter((piece) => STARTS_WITH_AMOUNT.test(piece) && !isHeatOrTime(piece)).length >= 3

/** "8 balls.", "make 4 ropes of dough": a stage of the work, and not what the recipe makes. */
export const BALLS_ALONE = recalled(
  /^\W*(?:about )?\d{1,3} (?:equal |even )?(?:balls|rounds|dis[ck]s|circles)\W*$|^\W*make (?:about |around )?(?:\d{1,3}|two|three|four|six|eight|ten|twelve) (?:(?:equal|even|small|medium|large|smooth|sized|big|dough) )*(?:balls|logs|ropes|portions|parts|rounds|circles|dis[ck]s|sausages|pedas?|snakes)\b(?!.*\b(?:in all|in total|altogether|makes|serves)\b)/i,
)

/** "3 mm thick, 10 cm rounds", "4 at a time", "1 heaped tsp in the middle of each". */
const HANDLES =
  /\bat a time\b|\bwater\b[^.;]{0,16}\b(?:lid|cover)|\bin the (?:middle|cent(?:re|er)) of (?:each|every)\b|\bbetween each\b|^\W*\d[\d./-]* ?(?:mm|cm|inch|")\s+(?:thick|thin|rounds|circles|dis[ck]s|squares)\b|^\W*\d[\d./-]* ?(?:mm|cm|inch|"),?\s+\d[\d./]* ?(?:mm|cm|inch|")\s+(?:rounds|circles|dis[ck]s|squares)\b|\b(?:filling|stuffing|mix(?:ture)?) (?:in |on |for |per )?each\b|(?<!\b(?:fried|browned|softened|saut[eé]ed|cooked|roasted) )\bin (?:\d|a |the |some |[¼½¾])[^,;]{0,20}\b(?:oil|butter|ghee)\b[^,;]{0,12}\b(?:till|until)\b|\bper (?:round|circle|dis[ck]|wrapper|ball)\b/i
const TAKES_MINUTES = /\b\d{1,3}(?:\s*[-–]\s*\d{1,3})?\s*(?:min(?:ute)?s?|hrs?|hours?)\b/i
/** "Chickpeas, soaked 2 hours and boiled": how a food was made ready takes time too. */
const MADE_READY =
  /\b(?:soak|rest|chill|drain|boiled|cooked|steamed|roasted|fried|marinat|overnight|thaw|defrost|left|stood|before|ahead|old|instant|easy[- ]cook|quick|eggs?\b)/i
const VESSEL =
  /\bin (?:an? |the )?(?:[a-zß-öø-ɏ]+ )?(?:skillet|frying pan|pan|wok|kadai|oven|steamer|air[- ]?fryer|pot)\b/i

/** "2 tbsp oil in a skillet, flat side down 2 min": begins with an amount, and tells what is done with it. */
const worksWithAmount = (text: string, foods: Foods): boolean => {
  const bare = text.replace(/\([^)]*\)/g, ' ')
  // "2 leeks sweated in 30 g butter 15 min, 100 g gruyere, 2 tbsp cream": a list, and how one of it was cooked.
  const [first, ...rest] = bare.split(',')
  const isListed =
    WAS_DONE.test(first!) && rest.filter((one) => matchedIngredient(one.trim(), foods)).length >= LEAST_BESIDE
  if (isListed) return false
  return (
    HANDLES.test(bare) ||
    (TAKES_MINUTES.test(bare) &&
      (VESSEL.test(bare) || !MADE_READY.test(bare)) &&
      // "85 g soya chunks, boil 10 min" is listed, and made ready.
      !matchedIngredient(bare.split(',')[0]!.trim(), foods))
  )
}

const WAS_DONE = new RegExp(String.raw`\b(?:${FRIED}|boiled|simmered)\b`, 'i')
/** So many amounts beside it make a row a list. Our own choice. */
const LEAST_BESIDE = 2

const SEASONED_WITH_REMARK =
  /^((?:[a-zß-öø-ɏ]+ )?(?:salt|pepper|sugar|chilli|garlic|coriander))\s+[-–—]\s+(?:add|use|put|mix|stir|go easy|only)\b/i
const WHAT_FOR = new RegExp(String.raw`,?\s+(?:to|for) (?:${ROLLED_IN})\w*\b[^,;.]{0,24}$`, 'i')

/** So many words hold two foods with their amounts. */
const LEAST_UNMARKED_WORDS = 6

function tellsToDo(text: string, foods: Foods): boolean {
  if (FAT_FOR_PAN.test(text)) return false
  if (WRAPS_EACH.test(text)) return true
  // "The rest of the spring onions" is listed.
  if (
    /^(?:the )?(?:rest of|remaining|remainder of)\b/i.test(text) &&
    matchFood(readLine(text).name, foods)?.how === 'exact'
  )
    return false
  // "Salt - add just before stuffing": what is said of a food.
  const said = SEASONED_WITH_REMARK.exec(text)?.[1]
  if (said && matchFood(said, foods)?.how === 'exact') return false
  if (startsLikeStep(text) && wordsOf(text) < 12 && amountBehind(text, foods)) return false
  // "Cream 100 ml", "roast chicken 300 g": a food whose name is a verb as well, and what it weighs.
  if (
    VERB_AND_FOOD.test(text) &&
    matchFood(readLine(turnedRound(text, foods) ?? text).name, foods)?.how === 'exact'
  )
    return false
  if (
    DIPS.test(text) ||
    PINCHES.test(text) ||
    HALF_GOES.test(text) ||
    SHARE_OF_DOUGH.test(text) ||
    BOTH_HALVES.test(text) ||
    SPOON_EACH.test(text)
  )
    return true
  if (SPOONS_OF_FILLING.test(text) || BALLS_ALONE.test(text)) return true
  if (
    /^\W*(?:\d|[¼½¾⅓⅔]|an? |couple |few |some |bit |spoonful |heaped ).{0,60},\s*(?:fold|pleat|seal|crimp|join|tuck|gather|close (?:it|them|up|well|tight)|pinch (?:it|them|shut|closed|the|together|to)|roll up)\b/i.test(
      text,
    )
  )
    return true
  if (/^(?:\d(?:st|nd|rd|th)|second|first|final) (?:proof|prove|proving|rise|rising|rest)\b/i.test(text))
    return true
  if (STARTS_WITH_AMOUNT.test(text) && worksWithAmount(text, foods)) return true
  if (FIRST_OF_TWO.test(text) || WAS_COOKED.test(text) || WORK_LABEL.test(text)) return true
  if (EACH_ONE.test(text) || BALLS_OF.test(text)) return true
  if (
    isHeatOrTime(text) ||
    /^\W*(?:an? |one |two |three |\d[\d./ ]{0,6})(?:\s*-?\s*ish)?\s*(?:(?:big|heaped|level|heaping) )?(?:g|cups?|tbsp|tsp|tablespoons?|teaspoons?|spoons?|spoonfuls?) (?:of )?(?:the )?(?:(?:dough|filling)\b(?! sauce)|stuffing\b(?=\s+(?:in|on|each|per|for|to)\b))/i.test(
      text,
    )
  )
    return true
  if (text.length <= MAX_ROW_CHARACTERS) {
    const parts = text.split(/,|;|\s[/+]\s/)
    const behind = amountsBehind(parts, foods)
    // "Atta 2 cups, water to make a soft dough, pinch salt, 1 tsp ghee": a list, whatever its water is for.
    const inFront = parts.filter((part) => matchedIngredient(part.trim(), foods)).length
    if (behind >= 2 || (behind === 1 && inFront > 0 && !startsLikeStep(text))) return false
  }
  const words = wordsOf(text)
  // "Cumin half a teaspoon chilli powder one teaspoon": spoken without a mark, and a list.
  if (
    words >= LEAST_UNMARKED_WORDS &&
    !startsLikeStep(text) &&
    (unmarkedRow(text, foods) ?? doneBehind(text, foods))
  )
    return false
  if (
    STARTS_WITH_AMOUNT.test(text) &&
    !/^(?:one|two|a|half) (?:hour|minute|day|at a time|by one)|^(?:quarter|half) (?:of )?(?:the|each|it|them)\b/i.test(
      text,
    )
  )
    return (
      (words > 24 && /[.!]/.test(text) && DOING.test(text) && !listsMany(text)) ||
      // "8 balls, roll, halve each, fill": a count of pieces and what is done with them.
      (COUNT_AND_DO.test(text) &&
        (DOING.test(text.slice(text.indexOf(',') + 1)) ||
          /->|crimp|pinch|pleat|press|sandwich|min/i.test(text)))
    )
  const labelled = (/^[^:]{3,30}:\s*(.+)$/.exec(text) ?? DASHED_WORK.exec(text))?.[1]
  if (labelled && startsLikeStep(labelled)) return true
  if (startsLikeStep(text)) {
    // "Flour 500 g", "Oil, 2 tbsp" begin with words that are verbs as well.
    if (
      words > 8 ||
      /^[a-zß-öø-ɏ]+ (?:the|it|them|well|over|out|with)\b/i.test(text) ||
      !/^(?:flour|oil|dip|brown|warm|cool|press|pan|set|line|grease|dust|trim|pinch|squeeze|drizzle|dash|splash|sprinkle|slice)\b/i.test(
        text,
      )
    )
      return true
    // "Brown meat and onion, drain": what is done goes on.
    const then = text.split(/,\s+/).slice(1)
    const { name, measures } = readLine(text)
    const food = matchFood(name, foods)
    // "Flour wholemeal 300 g": its kind stands behind the name, and an amount behind both.
    return (
      then.some(startsLikeStep) || !(food?.how === 'exact' || (food && measures.length > 0 && words <= 5))
    )
  }
  // "Apples in a pan with butter 8 min": ingredients do not take minutes, unless they soak.
  if (
    words >= 3 &&
    /\b\d{1,3}\s*(?:-\s*\d{1,3}\s*)?min(?:ute)?s?\b/i.test(text.replace(/\([^)]*\)/g, ' ')) &&
    !/\b(?:soak|rest|chill|drain|boiled|cooked)/i.test(text)
  )
    return true
  // "Cinnamon sugar (4 tbsp sugar + 1 tsp cinnamon) to roll in" is listed, with what it is for.
  const own = text
    .replace(/\([^()]*\)/g, ' ')
    .replace(WHAT_FOR, '')
    .trim()
  const mixture = own && own !== text ? matchFood(own, foods) : null
  if (mixture?.how === 'exact' && !mixture.leftOver.length) return false
  if (ENDS_IN_WEIGHT.test(text) && wordsOf(text.replace(/\([^()]*\)/g, '')) <= MOST_NAME_WORDS) return false
  if (words >= 14) return DOING.test(text) || !/,/.test(text)
  if (words >= 6 && DOING.test(text) && !/^(?:oil|water|milk|butter|ghee|flour|salt|egg)\b/i.test(text)) {
    const read = readLine(text)
    return !read.purpose && !read.unmeasured && matchFood(read.name, foods)?.how !== 'exact'
  }
  if (words < 3 || !/[.!]$/.test(text) || !DOING.test(text)) return false
  // "Mango chutney, to serve." is listed.
  const listed = readLine(text.replace(/[.!]+$/, ''))
  return !listed.unmeasured && !(listed.purpose && matchFood(listed.name, foods)?.how === 'exact')
}

/** "One packet on the tray, spread the filling": what was bought is laid. */
const FIRST_OF_TWO =
  /^\W*(?:one|1|the first|half) (?:packet|pack|sheet|piece|block|roll|round|half)\b[^,.;\d]{0,20}\b(?:on|in|into|onto) (?:(?:the|a|an|your|lined|greased|baking) )*(?:tray|tin|dish|pan|paper|board|sheet)\b/i
/** "Leftover curry mix, about 500 g (mince, peas)": what ends in its weight is listed, be its name known or not. */
const ENDS_IN_WEIGHT =
  /^[a-zß-öø-ɏ][^.;:]*?\b\d[\d.]* ?(?:g|gr|grams?|kg|ml|oz|lbs?)\b\W*(?:\([^()]*\))?\W*$/i
/** More words before an amount are a sentence. Our own choice. */
const MOST_NAME_WORDS = 7

/** What a following row looks like, as far as a heading asks. */
export function looksLike(row: Row | undefined, foods: Foods): 'amount' | 'step' | 'other' | null {
  return row ? looks(row.text.slice(0, MAX_ROW_CHARACTERS), foods) : null
}
const looks: (text: string, foods: Foods) => 'amount' | 'step' | 'other' = rememberWith((text, foods) => {
  if (isHeatOrTime(text) || /^step \d{1,2}\W*$/i.test(text)) return 'step'
  if (isStep(text, foods)) return 'step'
  if (STARTS_WITH_AMOUNT.test(text)) return 'amount'
  const read = readLine(text)
  return read.measures.length || read.unmeasured || matchFood(read.name, foods)?.how === 'exact'
    ? 'amount'
    : 'other'
})

/** Whether a row is an amount of a food and nothing else. */
export const matchedIngredient = (text: string, foods: Foods) =>
  STARTS_WITH_AMOUNT.test(text) &&
  !SPOON_EACH.test(text) &&
  matchFood(readLine(text).name, foods)?.how === 'exact'

/** Whether a text lists ingredients with amounts: "250 g mushrooms, 2 tbsp soy sauce". */
export const inlineList: (text: string, foods: Foods) => boolean = rememberWith(listsAmounts)

/** "Atta 2 cups, salt half tsp, oil 1 tsp": the amounts stand behind the names. */
function amountsBehind(parts: readonly string[], foods: Foods): number {
  return parts.filter((part) => {
    const own = part.trim()
    if (!/^\p{L}/u.test(own) || wordsOf(own) > 8 || startsLikeStep(own) || isHeatOrTime(own)) return false
    const read = readLine(own)
    return read.measures.length > 0 && matchFood(read.name, foods)?.how === 'exact'
  }).length
}

/** "Onion - 3 nos chopped", "curry leaves: 2 sprigs": a name, a mark and an amount. */
export const amountBehind = (text: string, foods: Foods): boolean => {
  const name = NAME_MARK_AMOUNT.exec(text)?.[1]
  return (
    name !== undefined &&
    // "Oil – 2 tbsp for dough": a food, though its name is a verb as well.
    (!startsLikeStep(text) || matchFood(name, foods)?.how === 'exact') &&
    readLine(text).measures.length > 0 &&
    matchFood(name, foods) !== null
  )
}
const VERB_AND_FOOD = recalled(
  new RegExp(
    String.raw`^(?:discard|cream|squash|mash|roast|toast|mince|stock|coat|drizzle|dust|sprinkle)(?: [a-zß-öø-ɏ-]+){0,3} (?:${NUMBER_PATTERN})\s*(?:g|gr|grams?|kg|ml|oz|lbs?|cups?|tbsp|tsp|dl|l)(?:\s*\([^()]*\))?\W*$`,
    'i',
  ),
)
const NAME_MARK_AMOUNT = recalled(
  new RegExp(
    String.raw`^([a-zß-öø-ɏ][a-zß-öø-ɏ' ,()-]{2,40}?)\s*[-–—:=(]\s*(?:about |approx\.? |~)?(?:${NUMBER_PATTERN})(?=[\s\d]|${UNIT_PATTERN})`,
    'i',
  ),
)

function listsAmounts(text: string, foods: Foods): boolean {
  if (text.length > MAX_ROW_CHARACTERS) return false
  const bare = text.replace(/^[^:]{2,40}:\s*/, '')
  if (startsLikeStep(bare) || SPOON_EACH.test(bare)) return false
  const parts = bare.split(/,|;|\s\/\s|\s\+\s/)
  const amounts = parts.filter((part) => STARTS_WITH_AMOUNT.test(part.trim()) && !isHeatOrTime(part.trim()))
  return (
    amounts.length >= 2 ||
    (parts.length >= 2 && amountsBehind(parts, foods) >= 2) ||
    (amounts.length === 1 &&
      STARTS_WITH_AMOUNT.test(bare) &&
      matchFood(readLine(parts[0]!).name, foods) !== null)
  )
}

/** "I make these for every school fair": who tells of the dish tells no work yet. */
const TELLS_OF_DISH =
  /^(?:i|we|you|my [a-zß-öø-ɏ]+)(?:['’][a-zß-öø-ɏ]+)? (?:[a-zß-öø-ɏ]+ ){0,2}?(?:make|made|love[ds]?|like|grew|had|have|bring|take|serve|eat|ate|learn[a-zß-öø-ɏ]*|got|get|use to|used to|cook|bake)\b[^.]*\b(?:these|this|them|those|it)\b/i

/** A few words of introduction above the ingredients. */
export function isProse(text: string, foods: Foods): boolean {
  if (STARTS_WITH_AMOUNT.test(text)) return false
  if (inlineList(text, foods)) return false
  const words = wordsOf(text)
  const read = readLine(text)
  if (read.measures.some((measure) => measure.some((term) => term.unitId)) || read.unmeasured) return false
  if (matchFood(read.name, foods)?.how === 'exact') return false
  if (words >= 5 && TELLS_OF_DISH.test(text) && !/\d ?(?:°|min\b|minutes)/i.test(text)) return true
  return words >= 5 && !VERB.test(text) && (words >= 9 || /[.!,]/.test(text) || !matchFood(read.name, foods))
}

/**
 * Where a title ends: at the end of the line, or before the first ingredient of a recipe written on one line.
 * Null when the line is no title at all.
 */
export function titleEnd(text: string): number | null {
  if (/^(?:title|recipe)\s*:/i.test(text)) return text.length
  const cut = /[.,;:]\s+(?=(?:about )?(?:\d|[¼½¾⅓⅔⅛])[\d./ ]*\s*(?:\p{L}|%|"))/u.exec(text)
  const read = readLine(text)
  // "Half moons" are a shape.
  const leading =
    STARTS_WITH_AMOUNT.test(text) && read.measures.length > 0 && !/^half[- ]?moons?\b/i.test(text)
  const inBracket =
    cut !== null && text.slice(0, cut.index).split('(').length > text.slice(0, cut.index).split(')').length
  if (
    cut &&
    !inBracket &&
    !ONE_LARGE.test(text) &&
    cut.index > 3 &&
    !leading &&
    // "I had about 300 g roast chicken, shredded it and mixed it with 100 g cheese" is told.
    !/\b\d+ ?(?:g|kg|ml|oz|lbs?|cups?|tbsp|tsp)\b(?!\))/i.test(text.slice(0, cut.index)) &&
    cut.index < 90 &&
    readYields(text.slice(cut.index + 1, cut.index + 40))?.whole !== true &&
    !titleYields(text)
  )
    return cut.index
  if (text.length > 120) return null
  const amount =
    !readYields(text) &&
    !titleYields(text) &&
    // "(9-inch)" says how large the dish is.
    read.measures.some((measure) => measure.some(({ unitId }) => unitId && !/^(?:inch|cm)$/.test(unitId)))
  if (amount) return null
  if (leading && wordsOf(text) <= 4 && !/^(?:two|three|four|five)\b/i.test(text)) return null
  return text.length
}

const DONE_WITH_IT = recalled(
  /\s?:\s(?=(?:fry|cook|simmer|boil|saut[eé]|soften|roast)\b[^,]*\d{1,3}\s?min)|,?\s(?=(?:(?:knead|mix),?\s(?:rest|rise|prove|chill)?|(?:approx\.? )?(?:rest|chill))\s?(?:for )?(?:\d{1,3}\s?(?:m|min\w*|h(?:ou)?rs?|h)|\d0)\W*$)|,\s(?=(?:all )?(?:fried|cooked|saut[eé]ed|softened|simmered|boiled|roasted|browned)(?: (?:together|off|gently|slowly))? (?:for )?(?:about )?\d{1,2}(?:-\d{1,2})? ?min)|,?\s(?=(?:knead|mix|rub)(?:,? (?:and |then )?(?:well|together|smooth|soft))?,? (?:and |then )?(?:rest|chill|prove|rise|knead)\b[^,]*\b\d{1,3}\s*(?:min|h(?:ou)?rs?\b|h\b))|,\s(?=(?:knead|mix|rest|rub|stir|fry|blend|chill|blitz)\b[^,]*\b(?:\d{1,3}\s*min\w*|till|until|well|together|under|over)\b)|\s(?:[-–—]{1,2}|[-=]>|→)\s(?=(?:make|knead|mix|rest|rub|stir|cook|fry|blend|combine|chill|blitz|bring|roll|simmer|boil|heat|melt|whisk|warm|reduce|toast|soak)\b)|\s(?:and |then )?(?:rub|mix|knead|blend|whisk|mash|stir|fry)(?:bed|ed)? (?:together|it|them|well|all|everything|like|till|until)\b/i,
)
/** "300 g flour and 150 ml hot water". */
const listsTwo = (list: string, foods: Foods): boolean => {
  const two = list.split(/\s(?:and|&|\+|plus|with)\s(?=\d|[½¼¾⅓⅔])/i)
  return two.length === 2 && two.every((one) => /^\W*[\d½¼¾⅓⅔]/.test(one) && matchedIngredient(one, foods))
}
/** In speech without a mark what is listed is worked on next: "a cup of water bring it together". */
const WORKS_ON_IT = new RegExp(
  String.raw`\s(?:and |then |and then |so )?(?=(?:${GOES_ON}|bring|combine|work|bind) (?:it|them|that|this|everything|the lot|into|to) )`,
  'gi',
)

/**
 * "Half a teaspoon of salt rub together till it is like crumbs", "a pinch of salt, rest it 30 min": where a list goes
 * on to what is done without a stop. Null when it does not.
 */
export function doneBehind(sentence: string, foods: Foods): { list: string; done: string } | null {
  const at = DONE_WITH_IT.exec(sentence)?.index ?? -1
  const list = sentence.slice(0, at)
  // "Pumpkin (cubed, roasted 25 min)": what a bracket says of a food is no work.
  if (list.lastIndexOf('(') > list.lastIndexOf(')')) return null
  if (at > 0 && (inlineList(list, foods) || listsTwo(list, foods)))
    return { list, done: asWork(sentence.slice(at).replace(/^[\s,:–—>→=-]+/, '')) }
  if (sentence.includes(',')) return null
  // "Dough 1 cup maida 3 tbsp oil 1/2 cup water approx rest 20 min": rows without a mark wait as well.
  const waits = WAITS_BEHIND.exec(sentence)
  const row = waits ? sentence.slice(0, waits.index) : ''
  if (waits && unmarkedRow(row.replace(PART_AHEAD, ''), foods)) return { list: row, done: waits[1]! }
  for (const { index } of sentence.matchAll(WORKS_ON_IT)) {
    const listed = sentence.slice(0, index)
    if (unmarkedRow(listed, foods)) return { list: listed, done: sentence.slice(index).trim() }
  }
  return null
}

/** "Fried together 6 min" behind a list is "fry together 6 min". */
const asWork = (done: string): string =>
  done.replace(/^(?:all )?([a-zß-öø-ɏ]+ed)\b/i, (_, word: string) => verbOfDone(word))
/** "… approx rest 20 min", at the end of a row without a mark. */
const WAITS_BEHIND =
  /(?: approx\.?)?\s+((?:knead|rest|chill)\b[^,;.]*\d{1,3} ?(?:m|min\w*|h|hrs?|hours?)\.?)$/i
/** What a row without a mark calls itself. */
const PART_AHEAD = /^(?:for )?(?:the |my )?(?:dough|pastry|filling|stuffing|crust|inside)\s*[:=–-]?\s+/i
const SPOKEN_PART = recalled(
  /^(?:and |now |then |so )*(?:for (?:the )?|the |my |our )?((?:[a-zß-öø-ɏ]+ )?(?:dough|pastry|filling|stuffing|crust|inside|dip|sauce)),?\s+(?:(?:it[’']?s|that[’']?s|is|are|has|takes?|needs?|(?:i|we|you)(?:'ll| will| would|'d)? (?:need|use|take|make|put|want|have)|use|take)\s+)?(.+)$/i,
)

/** "For the masala 3 onions, 1 tbsp gram flour": with "for the" before it any word names a part. */
const FOR_THE_PART = recalled(
  /^(?:and |now |then |so )*for (?:the |my |our )?([a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?),?\s+((?:\d|[¼½¾⅓⅔]).+)$/i,
)

/** "Filling four potatoes, half a cup of peas": speech has no colon. The same with one, or null. */
export function spokenPart(sentence: string, foods: Foods): string | null {
  const part = SPOKEN_PART.exec(sentence) ?? FOR_THE_PART.exec(sentence)
  // "Oyster sauce 1 tbsp, sesame oil 1 tbsp" lists what it names.
  const named = part && / /.test(part[1]!) ? matchFood(part[1]!, foods) : null
  if (
    named?.how === 'exact' &&
    !/^(?:the|my|our) |:/i.test(sentence) &&
    readLine(part![2]!.split(/[,;]/)[0]!).name === ''
  )
    return null
  // "For the dough flour 300 g, water 160 ml": with "for" in front the amounts may stand behind.
  // "For the inside boil 2 lbs potatoes, mash them with …" is work.
  const leads =
    part &&
    (STARTS_WITH_AMOUNT.test(part[2]!) ||
      (/^(?:and |now |then |so )*for\b/i.test(sentence) && !startsLikeStep(part[2]!)))
  return leads && inlineList(part[2]!, foods) ? `${part[1]!}: ${part[2]!}` : null
}
