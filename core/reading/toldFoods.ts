import type { Food, Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { ABOUT_SO_MUCH } from './amountWords'
import { holdBack, IN_BRACKETS } from './held'
import { isAromatic } from './lineParts'
import { matchFood } from './match'
import { readLine } from './readLine'
import { NUMBER_PATTERN, withDigits } from './readNumber'
import { remember } from './remember'
import { amountBehind, STARTS_WITH_AMOUNT } from './rows'
import { PIECES } from './servings'
import { isHeatOrTime } from './time'
import { unmarkedRow } from './unmarkedRow'
import { withUnitBefore } from './unitBefore'
import { UNIT_PATTERN } from './units'

// What a told sentence names with an amount: "so basically I take 500 g flour, 7 g yeast and a pinch of salt and knead
// that 10 minutes". It is cut where a list is cut; from every piece goes what leads up to its food and what is done with
// it, and what is left is a line or nothing.

/** A food that a sentence names, as a line would name it. */
export interface ToldFood {
  text: string
  food: Food
  /** The verb in front of it, or of the piece before it: "brush with 1 egg and 2 tbsp milk". */
  verb: string
}

const PART =
  'dough|pastry|crust|wrappers?|skins?|filling|stuffing|inside|inner|middle|glaze|topping|top|sauce|dip|chutney|egg ?wash'
/** "Stuffing" between two commas is no food. */
const NAMES_PART = new RegExp(`^(?:the )?(?:${PART})$`, 'i')
const VERBS =
  "takes?|uses?|needs?|wants?|mix(?:es)?|combine|puts?|adds?|knead|rub|stir|whisk|beat|blend|get|gets|start(?: off)?|have|has|throw|tip|pour|crumble|crack|grate|chop|slice|dice|fry|brown|cook|soften|saut[eé]|sweat|boil|steam|roast|melt|heat|season|makes?|brush|glaze|sprinkle|scatter|dust|top|drain|mash|fold|work|weigh|dissolve|warm|toast|simmer|bind|moisten|finish|toss|measure|sift|cream|squeeze|wilt|blanch|thaw|defrost|peel|wash|poach|bake|grill|rinse|soak|crush|trim|core|halve|quarter|purée|puree|blitz|process|pulse|spread|layer|arrange|dollop|marinate|coat|dot|is|are|it'?s|its|its|goes|go|serve"
/** Words that lead up to a food, each by itself. */
const LEADS: readonly RegExp[] = [
  /^(?:so|and|plus|basically|ok|okay|right|well|then|first|firstly|next|now|meanwhile|also|just|simply|um|finally|lastly|again|usually|always|normally|only|please|afterwards|after that|while (?:that|it|this|the dough) (?:is )?[a-zß-öø-ɏ]+(?: up)?)\b[,:]?\s*/i,
  /^for (?:the|these|this|my|your|some) (?:[a-zß-öø-ɏ-]+ ){1,4}?(?=(?:i|you|we)(?:['’]ll)? )/i,
  /^for the (?:meat|mince|veg(?:etables)?|middle|rest|outside)(?:[,:]\s*|\s+)(?:(?:it['’]?s|there['’]?s|use|take) )?(?=\S)/i,
  /^(?:what (?:i|you|we) do is)\b\s*/i,
  /^(?:i|you|we|one|they)(?:['’](?:ll|ve|d|m|re))?(?=\s)\s*/i,
  /^(?:will|would|can|should|do|did|like to|want to|have to|need to|going to|gonna)(?=\s)\s*/i,
  new RegExp(
    String.raw`^(?:(?:for|to make|as|in|into|on) )?(?:the |a |an |my |our |your )?(?:[a-zß-öø-ɏ]+ )?(?:${PART})(?: ingredients)?(?:\s*[,:–-]+|(?= (?:i|you|we|with|of|from|${VERBS}|\d)\b)|(?=\s+(?:\d|an?\s|half|[a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}\s\()))\s*`,
    'i',
  ),
  /^(?:with|of|from|using|together with|out of|the inside|inside)\s+/i,
  new RegExp(
    String.raw`^(?:${VERBS})(?:\s+(?:together|in|up|out|off|down|into|with|through|it|them|that|this|everything|all|all of it|the mixture|well))*(?=\s|:|$)[:,]?\s*`,
    'i',
  ),
  /^(?:in|into|to|on) (?:a|an|the|my|your|some) (?:[a-zß-öø-ɏ]+ ){0,2}(?:bowl|pan|pot|skillet|mixer|processor|saucepan|wok|kadai|jug|board|mix|mixture)\b[:,]?\s*/i,
  /^(?:the|a) (?=(?:flour|water|milk)\s*\()/i,
]
const VERB_LED = new RegExp(String.raw`^(?:${VERBS})\b`, 'i')
/** What is done with a food stands behind it. */
const TAIL =
  /\s+(?:together|(?:stirred|folded|mixed|beaten) (?:in|into|through)\b|in(?:to)? (?:a|an|the|my|some|oil|butter|it|with)\b|to (?:a|an|the|make|form|get|give|it)\b|for (?:about |around |roughly )?(?:\d|half|an?|ten|five|fifteen|twenty)|about \d|around \d|roughly \d|until|till|so that|on (?:a|an|the|top|medium|low|high)\b|over (?:a|an|the|medium|low|high)\b|at \d|by hand|well\b|then\b|which\b|that\b|when\b|if\b|is\b|are\b|goes\b|\d{1,3} ?min).*$/i
const BETWEEN =
  /,\s*(?:(?:and|&|plus|with)\s+)?|;\s*|:\s+|\s+(?:and|&|plus|with|\+)\s+|\s+in\s+(?=(?:\d+|some|a little|a bit|half|plenty)\b[^,.;]*\b(?:oil|butter|ghee|lard|stock|milk|water)\b)|\.\s*$/i
/** "A drained can of tuna": how it is taken stands in front of what it comes in. */
const TAKEN_SO = /^(\S+) (?:drained|small|large|whole|big) (?=(?:can|tin|jar|pack|packet)s?\b)/i
interface NamedFood {
  text: string
  food: Food
}
/** "Teaspoon of yeast": one. */
const SPOON_OF =
  /^(?=(?:(?:heaped|level|good|big|small) )?(?:(?:tsp|tbsp|teaspoon|tablespoon|cup|splash|dash|glug|squeeze) of|(?:pinch|handful|knob)(?: of)?) [a-zß-öø-ɏ])/i
const JUICE_OF = /^(?:the )?(?:juice|zest)(?: and (?:juice|zest))? of (?:an?|half|one|two|1|2|½|1\/2)\b/i
/** "About 30 g". */
const AMOUNT_ALONE = new RegExp(
  String.raw`^((?:about |around |roughly |say )?(?:${NUMBER_PATTERN}) ?(?:an? )?(?:g|grams?|kg|kilos?|ml|lit(?:re|er)s?|oz|lbs?|pounds?|tbsp|tsp|cups?|tablespoons?|teaspoons?))(?: of (?:it|that|them)| in all| or so)?(?:\. .*)?$`,
  'i',
)
/** "Ginger garlic 1 tbsp": so much of what is named in front. */
const NAME_AND_AMOUNT = new RegExp(
  String.raw`^[a-zß-öø-ɏ][a-zß-öø-ɏ -]{2,30} (?:${NUMBER_PATTERN})\s?(?:${UNIT_PATTERN})\.?$`,
  'i',
)
const WHICH_IS = /^(?:so |and )?(?:that(?:['’]s| is)|which is|it(?:['’]s| is)) /i
const SHEETS_ALONE = /^\S+ (?:sheets?|pieces?|rounds?|dis[ck]s?)$/i
const WEIGHED = /\d ?(?:g|kg|ml|l|oz|lbs?|grams?|kilos?)\b|\(/i
/** What stands for something that has been named. */
const NAMED_BEFORE = /^(?:the|it|them|this|that|these|those|all|everything|rest|remaining|both|each|every)\b/i
/** "Eight of the stuffing", "30 g of the filling": of what has been made. */
export const OF_THE_PIECES =
  /^\S+\s*(?:heaped |level |good )?(?:g|grams?|tbsp|tsp|tablespoons?|teaspoons?|spoons?|spoonfuls?|cups?)?\s*(?:of )?(?:the |this |that )?(?:filling|stuffing|mixture|mix|dough|pastry)\b/i

/** In more words without a mark or a joint somebody speaks. Our own choice. */
const MOST_WORDS_BETWEEN_MARKS = 14
/** Whether a stretch has no pieces that could be told apart: speech without marks. */
export const isSpoken = (stretch: string): boolean =>
  stretch
    .split(/[,;:]|\s(?:and|with|plus)\s/)
    .some((piece) => piece.split(/\s+/).length > MOST_WORDS_BETWEEN_MARKS)

/** "2 and a half" is one number; in words it is one already. */
const AND_A_PART = /\b\d{1,2} and (?:a|an|\d) (?:half|third|quarters?)\b/gi
/** "Boil in salted water with a bay leaf": what flavours the pot is poured away with it. */
const IN_THE_POT =
  /\b(?:boil|cook|simmer|poach|drop)\b(?:(?!\b(?:dough|flour)\b)[^.,;])*?\b(?:in|into) (?:[a-zß-öø-ɏ]+ ){0,3}water with [^.,;]+/gi
/** A sentence without what goes into the water that is poured away. */
export const withoutPot = (sentence: string): string =>
  sentence.replace(IN_THE_POT, (pot) => pot.replace(/ with .*/i, ''))
/** "Some cooked chicken maybe 250 g": how much stands behind. */
const ABOUT_BEHIND = new RegExp(
  String.raw`(?<=\b(?:some|leftover|left over) (?:[a-zß-öø-ɏ]+ ){0,2}[a-zß-öø-ɏ]+) ${ABOUT_SO_MUCH} (\d+(?:\.\d+)? ?(?:g|kg|ml|oz|lbs?|cups?|tbsp|tsp)\b)`,
  'gi',
)
/** The pieces of a sentence; a bracket is cut nowhere. */
const piecesOf: (sentence: string) => readonly string[] = remember((sentence) => {
  // "(Half pork half beef)" stays as it is said.
  const counted = sentence
    .split(/(\([^()]*\))/)
    .map((stretch) => (stretch.startsWith('(') ? stretch : withDigits(stretch)))
    .join('')
    .replace(ABOUT_BEHIND, ', $1')
  const { open, restore } = holdBack(counted, [IN_BRACKETS, AND_A_PART])
  return open
    .split(BETWEEN)
    .map((piece) => restore(piece).trim())
    .filter(Boolean)
})

function withoutLeads(piece: string): { text: string; verb: string } {
  let text = piece
  let verb = ''
  for (let left = 12; left > 0; left--) {
    const lead = LEADS.find((pattern) => pattern.test(text))
    if (!lead) break
    const own = VERB_LED.exec(text)?.[0]
    if (own) verb = own.toLowerCase()
    const next = text.replace(lead, '')
    if (next === text) break
    text = next
  }
  return { text: text.trim(), verb }
}

/** What a piece is called, by itself. */
export const MADE = new RegExp(`^${PIECES}$`, 'i')
/** A food with its amount, from a piece; what is behind its name is left off word by word. */
function lineIn(text: string, foods: Foods): { text: string; food: Food } | null {
  const words = text.split(/\s+/)
  for (let length = Math.min(words.length, 9); length >= 2; length--) {
    const own = words
      .slice(0, length)
      .join(' ')
      .replace(/[.,;:]+$/, '')
      // A bracket that was cut in two says nothing.
      .replace(/\s*\([^)]*$/, '')
    const read = readLine(own)
    // "A vegan mushroom pie like this": what is made, and no mushroom.
    if (/^an?$/i.test(words[0]!) && MADE.test(words[length] ?? '')) return null
    const food = read.measures.length || read.unmeasured ? matchFood(read.name, foods) : null
    if (food?.how === 'exact') return { text: own, food: food.food }
  }
  return null
}

/**
 * The foods that a sentence names with an amount, or that season what it lists, in order.
 *
 * @param sentence as told, of any length
 */
export function foodsTold(sentence: string, foods: Foods): ToldFood[] {
  const found: ToldFood[] = []
  let verb = ''
  /** A food that the piece before named without an amount. */
  let named: NamedFood | null = null
  /** A food that the piece before counted and did not weigh. */
  let counted: ToldFood | null = null
  const bareNamed: ToldFood[] = []
  for (const piece of piecesOf(withoutPot(sentence))) {
    // "Soy sauce 1 tsp" names no part, whatever it ends in.
    const isWhole = NAME_AND_AMOUNT.test(piece) && wholeLine(piece, foods) !== null
    const led = isWhole ? { text: piece, verb: '' } : withoutLeads(piece)
    if (led.verb) verb = led.verb
    const bare = led.text.replace(TAIL, '').replace(TAKEN_SO, '$1 ').replace(SPOON_OF, 'a ').trim()
    // "Melted butter, about 30 g": how much stands behind a mark.
    const before: NamedFood | null = named
    named = null
    const amount = before ? AMOUNT_ALONE.exec(bare)?.[1] : undefined
    if (before && amount && !found.some((one) => one.food.id === before.food.id)) {
      found.push({ text: `${amount} ${before.text}`, food: before.food, verb })
      continue
    }
    // "One pack of pastry, that's five sheets, 500 g": how much the one before is.
    const more = bare.replace(WHICH_IS, '')
    const weight = AMOUNT_ALONE.exec(more)?.[1]
    const last: ToldFood | null = counted
    counted = SHEETS_ALONE.test(more) ? last : null
    if (last && weight) {
      last.text = `${last.text} (${weight})`
      continue
    }
    if (!bare || NAMED_BEFORE.test(bare) || isHeatOrTime(bare) || OF_THE_PIECES.test(bare)) continue
    // "Cabbage 1 cup carrot half a cup onion 1": a row of several, their amounts behind.
    const row = /\d[^]*\d/.test(bare) ? unmarkedRow(bare, foods) : null
    if (row) {
      for (const { text } of row) {
        const line = wholeLine(text, foods)
        if (line) found.push({ ...line, verb })
      }
      continue
    }
    // "Juice of half a lime".
    if (JUICE_OF.test(bare)) {
      const line = wholeLine(bare, foods)
      if (line) found.push({ ...line, verb })
      continue
    }
    const behind =
      /^[a-zß-öø-ɏ][^()]*\([^()]*(?:\d|[¼½¾]|pinch|taste)[^()]*\)$/i.test(bare) ||
      amountBehind(bare, foods) ||
      NAME_AND_AMOUNT.test(bare)
    if (STARTS_WITH_AMOUNT.test(bare) || behind) {
      const line = (behind ? wholeLine(bare, foods) : null) ?? lineIn(bare, foods)
      if (!line && GLOSSED.test(bare)) found.push(...glossed(bare, foods).map((one) => ({ ...one, verb })))
      // "Make a pastry" buys none.
      if (line && !(/^an?\s/i.test(bare) && /^(?:pastry|wrapper|bread)$/.test(line.food.group))) {
        found.push({ ...line, text: withUnitBefore(line.text, found.at(-1)?.text, foods) ?? line.text, verb })
        counted = WEIGHED.test(line.text) ? null : found.at(-1)!
      }
      continue
    }
    const own = bare.replace(
      /^(?:some|(?:loads|lots|plenty|lashings|a (?:good )?(?:grind|twist|pinch|bit)) of) (?=[a-zß-öø-ɏ])/i,
      '',
    )
    const food = own.split(/\s+/).length <= 4 ? matchFood(own, foods) : null
    if (food?.how === 'exact') named = { text: own, food: food.food }
    const isSeasoning = food?.how === 'exact' && (foodIs(food.food, 'seasons') || isAromatic(food.food))
    if (isSeasoning && !found.some((one) => one.food.id === food.food.id))
      found.push({ text: `${own} to taste`, food: food.food, verb })
    else if (
      food?.how === 'exact' &&
      !food.leftOver.length &&
      !led.verb &&
      own === bare &&
      !NAMES_PART.test(own)
    )
      bareNamed.push({ text: own, food: food.food, verb })
  }
  // "150 g feta, 100 g cooked chicken, spring onion": in a list what has no amount is listed as well.
  const isList = found.filter(({ text }) => /\d/.test(text)).length >= LEAST_LISTED
  const others = isList ? bareNamed.filter(({ food }) => !found.some((one) => one.food.id === food.id)) : []
  return [...found, ...others]
}
/** So many amounts in a sentence make it a list. Our own choice. */
const LEAST_LISTED = 2

/** "1 lb browned taco meat (ground beef with 1 packet seasoning)": what it is stands in the brackets. */
const GLOSSED = new RegExp(
  String.raw`^(?<amount>(?:${NUMBER_PATTERN})\s*(?:(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ\d]))?)[^()]*\((?<inside>(?!half )[a-zß-öø-ɏ][^()]+)\)$`,
  'i',
)
function glossed(text: string, foods: Foods): { text: string; food: Food }[] {
  const { amount, inside } = GLOSSED.exec(text)!.groups!
  const [first, ...rest] = inside!.split(/\s+(?:and|&|\+|with|w\/)\s*|,\s+/)
  return [`${amount!} ${first!}`, ...rest].flatMap((one) => {
    const text = one.trim()
    const line = STARTS_WITH_AMOUNT.test(text) ? lineIn(text, foods) : null
    // "(Ground beef and onion)": what has no amount goes in all the same.
    const bare = line ? null : matchFood(text, foods)
    return line ? [line] : bare?.how === 'exact' ? [{ text, food: bare.food }] : []
  })
}

function wholeLine(text: string, foods: Foods): { text: string; food: Food } | null {
  const food = matchFood(readLine(text).name, foods)
  return food?.how === 'exact' ? { text, food: food.food } : null
}
