import type { Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { kindOf, STARTS_DOUGH, type HeadingKind } from './headingKinds'
import { ALONE, AMOUNT, countIn, inlineHeading, MAKES_TAIL, STARTS_WITH_NUMBER } from './inlineHeading'
import { matchFood } from './match'
import { readLine } from './readLine'
import { rememberWith } from './remember'
import { UNIT_PATTERN } from './units'
import { PIECES, readYields } from './servings'
import { handlesDough, startsLikeStep } from './stepWords'
import type { Row } from './tidy'

export interface Heading {
  kind: HeadingKind
  /** As written, without marks and counts: "For the cabbage filling". */
  name: string
  /** What follows on the same line ("Dough: 500 g flour, 200 g water"), or ''. */
  rest: string
  /** "Pumpkin filling (for 8)": how many pieces it is for; null when it does not say. */
  pieces: number | null
}

/** What stands round a line, as far as it decides whether the line is a heading. */
export interface Surroundings {
  marked?: boolean
  blankBefore?: boolean
  /** Below the title and its remarks: nothing is open yet. */
  opens?: boolean
  /** What the next line looks like. */
  next?: 'amount' | 'step' | 'other' | null
  foods?: Foods
}

/** "Dumplings" over a list says what is made of it; the lines say which part they are. */
const OF_PIECES = new RegExp(String.raw`^(?:for )?(?:the )?${PIECES}$`, 'i')
const NAME_AND_AMOUNT = new RegExp(
  String.raw`^([a-zß-öø-ɏ][a-zß-öø-ɏ ,'-]{2,50}?)\s*\(\s*(?:about |approx\.? |~)?(?:\d[\d.,/]*|[¼½¾⅓⅔⅛])\s*(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ\d])[^()]*\)\s*$`,
  'i',
)
/** "Pork mince 350": how a food is jotted down with its grams. */
const NAME_AND_NUMBER = /^([a-zß-öø-ɏ][a-zß-öø-ɏ '-]{2,50}?)\s+\d{2,4}$/i
const MAKES_DISH =
  /^(?:curry|curried|spiced|spicy|masala|creamy|braised|pulled|shredded|stewed|scrambled|garlicky|cheesy|sauteed|glazed|marinated|teriyaki|bbq|barbecue|chilli|sweet|savoury)$/i
const MADE_OF_SO_MANY =
  /^(?:\d{1,2}|one|two|three|four|five|ten|fifteen|twenty)[- ](?:ingredients?|minutes?|min|hours?)[- ](?=(?:[a-zß-öø-ɏ]+ )?(?:dough|pastry|crust|filling|sauce|dip)\b)/i
/** "Dough:", "Dough:-", "Dough –", "Dough…": marks that say that something follows. */
const COLON_END = /\s*(?:[:：]\s*-?|\s[-–—]{1,2}|…|\.{2,4})\s*$/
/**
 * Says whether a line is a heading, and of which part.
 *
 * A heading has no amount of its own, is short, and either is one of the usual words, ends in a colon or a dash,
 * is marked, or stands in capitals. One that no word explains is `unknown`: it is for the cook to say.
 *
 * @param line without its bullet
 * @param round what stands round it; without it the words alone decide
 */
export function readHeading(line: string, round: Surroundings = {}): Heading | null {
  const { marked = false, blankBefore = false, opens = false, next = null, foods } = round
  if (!foods) return findHeading(line, round)
  const key = 12 * +marked + 6 * +blankBefore + 3 * +opens + (next === 'amount' ? 1 : next === 'step' ? 2 : 0)
  finders[key] ??= rememberWith((one, larder) =>
    findHeading(one, { marked, blankBefore, opens, next, foods: larder }),
  )
  return finders[key](line, foods)
}

/** For each of the surroundings what has been found in them. What follows counts as an amount, a step, or neither. */
const finders: ((line: string, foods: Foods) => Heading | null)[] = []

const NUMBERED =
  /^((?:filling|stuffing|option|version|variation)(?: (?:option|version))?)\s*(?:(?:#|no\.?|number|nr\.?)\s*(\d)(?!\d)|\(([1-3])\))/i
const NTH = /^(?:the )?(1st|2nd|3rd|4th) (filling|stuffing|option|version)\b/i
/** "Filling #2", "stuffing (2)", "2nd filling" as "Filling 2". */
const withPlainNumber = (text: string): string =>
  text
    .replace(NTH, (_, nth: string, what: string) => `${what[0]!.toUpperCase()}${what.slice(1)} ${nth[0]!}`)
    .replace(NUMBERED, (_, what: string, marked?: string, shut?: string) => `${what} ${marked ?? shut!}`)

function findHeading(line: string, round: Surroundings): Heading | null {
  const text = withPlainNumber(line.trim())
  if (!text || text.length > 400 || handlesDough(text)) return null
  // "For twenty pockets" promises a number.
  if (/^\W*(?:makes?|yields?|serves|for)\s/i.test(text) && !KINDS_NAMED.test(text) && readYields(text)?.whole)
    return null
  // "Plain flour (300 g)", "boiling water (180 ml)", "pork mince 350": a food and its amount.
  const weighed = (NAME_AND_AMOUNT.exec(text) ?? NAME_AND_NUMBER.exec(text))?.[1]
  if (
    weighed &&
    !round.marked &&
    round.foods &&
    !ALONE.test(weighed) &&
    matchFood(readLine(weighed).name, round.foods)?.how === 'exact'
  )
    return null
  const inline = inlineHeading(text, round)
  if (inline) return inline
  if (text.length > 90) return null

  const colon = COLON_END.test(text)
  const bare = text.replace(COLON_END, '').trim()
  // "Pork filling (24)": a bare number in brackets counts where a filling is named.
  const makes =
    MAKES_TAIL.exec(bare) ??
    (/filling|stuffing|\b(?:crepes|pancakes|wrappers|skins|buns|rounds|dis[ck]s)\b/i.test(bare)
      ? /\s*\((\d{1,3})(?: (?:big|large|small|mini))?(?: (?:ones|uns))?\)\s*$/.exec(bare)
      : null)
  const yields = makes ? countIn(makes[0]) : null
  const name = (yields !== null ? bare.slice(0, makes!.index) : bare).replace(/[\s:–—-]+$/, '').trim()
  if (!name || !/\p{L}{2}/u.test(name)) return null
  const plain = name
    .replace(/\([^)]*\)|\[[^\]]*\]/g, '')
    .replace(/^(?:filling|dough|stuffing|part)\s*\d+/i, 'filling')
  const words = plain.trim().split(/\s+/).length
  const capitals = /\p{Lu}{3}/u.test(plain) && !/\p{Ll}{2}/u.test(plain)
  const told = colon || round.marked === true || capitals
  if (words > (told ? 9 : 6)) return null
  // "Two ingredient dough:" says what it is made of, and "10 minute pastry" how fast.
  const kindOfDough = told ? plain.replace(MADE_OF_SO_MANY, '') : plain
  if (STARTS_WITH_NUMBER.test(kindOfDough) && !round.marked) return null
  if (AMOUNT.test(kindOfDough) && !round.marked) return null
  if (!told && /[.!?,;]$|,/.test(name)) return null
  // "Filling should be wet like porridge" tells something.
  if (!colon && words > 2 && /\b(?:should|must|will|looks?|gets?|needs? to|has to|is|are)\b/i.test(name))
    return null
  if (/\bto taste\b|\bas (?:required|needed)\b/i.test(name)) return null
  // "Water to make a soft dough" is poured, and says how much.
  if (
    /^(?:[a-zß-öø-ɏ]+ ){0,2}(?:water|milk|curd|yogh?urt|buttermilk|oil|ghee)\s+(?:to|for|as|enough)\b/i.test(
      name,
    )
  )
    return null

  const made = (kind: HeadingKind): Heading => ({ kind, name, rest: '', pieces: yields })
  // "Curtido (to serve)": the bracket says what the word does not.
  const bracket = /\(([^)]{3,30})\)/.exec(name)?.[1]
  const kind = kindOf(name) ?? (bracket ? kindOf(bracket) : null)
  if (kind === 'method' || kind === 'ingredients' || kind === 'remarks' || kind === 'noise') {
    // "Making the dough" over lines with amounts leads a part; that is said below.
    if (
      kind === 'method' &&
      round.next === 'amount' &&
      /^(?:making|preparing) (?:the )?(?:dough|pastry|filling|stuffing)/i.test(name)
    )
      return made(/filling|stuffing/i.test(name) ? 'filling' : 'shell')
    // "To assemble" over sheets and butter lists them; over steps it leads these.
    if (kind === 'method' && round.next === 'amount' && /\b(?:assembl|shap)/i.test(name))
      return made('ingredients')
    return told || words <= 5 ? made(kind) : null
  }
  // "Make the dough", "To cook": a step when it leads steps, a part when it leads lines.
  const leadsLines =
    round.next === 'amount' &&
    (MAKES_PART.test(name) ||
      (round.blankBefore === true && /^to [a-zß-öø-ɏ]+ (?:on|with|the|it|them)\b/i.test(name)))
  if (startsLikeStep(name) && (/\d/.test(name) || (words > 3 && !told && !leadsLines))) return null
  if (startsLikeStep(name) && round.next === 'step' && !/^for\b/i.test(name))
    return words <= 6 && (told || round.blankBefore) ? made('method') : null
  // "MEAT" over amounts, where other parts have their headings: what goes in.
  if (
    told &&
    round.next === 'amount' &&
    /^(?:the )?(?:meat|cheese|fruit|greens)(?: mix(?:ture)?)?$/i.test(name)
  )
    return made('filling')
  if (kind === null && OF_PIECES.test(name) && round.next === 'amount' && (told || round.blankBefore))
    return made('ingredients')
  if (kind === null) {
    // "Curtido" after a blank line and over amounts leads a part, whatever it is.
    const leads =
      words <= 3 &&
      round.blankBefore === true &&
      round.next === 'amount' &&
      !startsLikeStep(name) &&
      round.foods !== undefined &&
      matchFood(name, round.foods) === null
    if (leads) return made('unknown')
    // "Keema" over amounts names what goes in.
    const food =
      words <= 3 && round.blankBefore && round.next === 'amount' && !startsLikeStep(name) && round.foods
        ? matchFood(name, round.foods)
        : null
    // "Curry potato" over its potatoes: what is made of them.
    if (
      food?.how === 'part' &&
      words >= 2 &&
      !/\d|,|\b(?:and|or|for|to|of)\b/i.test(name) &&
      food.leftOver.some((word) => MAKES_DISH.test(word))
    )
      return made('filling')
    if (
      food?.how === 'exact' &&
      (['flesh', 'plant-protein', 'cheese'] as const).some((trait) => foodIs(food.food, trait))
    )
      return made('filling')
    if (!told && !(/^for (?:the )?/i.test(name) && words <= 5)) return null
    // "Salt:" with nothing behind it, or a line in capitals inside a list, is an ingredient.
    if (!colon && !round.marked && !/^for /i.test(name) && (round.next !== 'amount' || !round.blankBefore))
      return null
    if (
      capitals &&
      !colon &&
      round.foods &&
      matchFood(name, round.foods)?.how === 'exact' &&
      !round.blankBefore
    )
      return null
    return made('unknown')
  }
  // "SPRING ROLL SHEETS 12": all in capitals, and so many of a known food.
  const counted = capitals && !colon && !round.marked && round.foods ? readLine(name) : null
  if (counted?.measures.length && matchFood(counted.name, round.foods!)?.how === 'exact') return null
  if (told) return made(kind)
  // "Nigella seeds for the top" is an ingredient that says what it is for.
  const read = readLine(name)
  if (
    (read.purpose || read.measures.length) &&
    round.foods &&
    // "Milk and caster sugar to finish" names two.
    read.name.split(/\s*(?:,|&|\+|\band\b)\s*/).every((one) => matchFood(one, round.foods!)?.how === 'exact')
  )
    return null
  // "Sponge" over its flour and yeast, before the rest of the dough; "starter" alone may be bought.
  const [, begun, forDough] = DOUGH_STARTED.exec(plain.trim()) ?? []
  const isLine = begun && !forDough && MAY_BE_BOUGHT.test(begun) && !round.opens && !round.blankBefore
  if (begun && !isLine && round.next === 'amount') return made('component')
  // "the gravy" inside a list stands for what is made elsewhere.
  if (kind === 'component' && !/^for /i.test(name) && !(round.blankBefore && round.next === 'amount'))
    return null
  // "Butter" buys; "Oil dough" and "Butter filling" are parts.
  if (/\b(?:flour|oil|ghee|butter|salt|milk)\b/i.test(name) && !/\b(?:dough|pastry|filling)$/i.test(name))
    // "Sage butter" over its butter and sage is made.
    return (kind === 'finish' || kind === 'dip') && round.blankBefore && round.next === 'amount'
      ? made(kind)
      : null
  if (/^(?:for|to) /i.test(name) && words <= (kind === 'finish' ? 6 : 5)) return made(kind)
  if (kind === 'same')
    return round.blankBefore || round.next === 'amount'
      ? /\b(?:dry|wet)\b/i.test(name)
        ? made(kind)
        : null
      : null
  const known = round.foods
    ? matchFood(name, round.foods)?.how === 'exact'
    : /^(?:dumpling|gyoza|wonton|spring roll|rice paper|puff|filo|phyllo) /i.test(name)
  // "Shortcrust" or "Rough puff" over its flour and fat names the dough.
  const apart = round.blankBefore || round.opens
  if (known && words <= 3 && round.next === 'amount' && apart && ALONE.test(name)) return made(kind)
  // "Shortcrust pastry" may be bought; a blank line above and amounts below make it a heading.
  if (known && !ALONE.test(name)) return round.blankBefore && round.next === 'amount' ? made(kind) : null
  // "Pasta" over its flour and eggs is the dough of what is filled.
  if (/^(?:fresh |egg )?pasta$/i.test(name)) return round.next === 'amount' ? made(kind) : null
  // "Ciasto / dough": the same in two languages.
  if (/[/|]/.test(name) && name.split(/\s*[/|]\s*/).some((one) => ALONE.test(one) || USUAL.test(one)))
    return made(kind)
  // "Masa" over its lines: one word that names a part, and amounts below it.
  if (words === 1 && !known && round.next === 'amount') return made(kind)
  // "On the side", "Before baking": words that name a part, apart from what is above and over amounts.
  if (round.blankBefore && round.next === 'amount' && words <= 5 && !known) return made(kind)
  return USUAL.test(name) ? made(kind) : null
}

const KINDS_NAMED = /\b(?:dough|pastry|filling|stuffing|frying|serving|sauce|dip)\b/i
/** "To make the dough" over its lines. */
const MAKES_PART =
  /^(?:to )?(?:make|prepare) (?:the )?(?:[a-zß-öø-ɏ]+ )?(?:dough|pastry|crust|filling|stuffing|wrappers|skins)$/i

const DOUGH_STARTED = new RegExp(String.raw`^(?:the )?(${STARTS_DOUGH})( for (?:the )?doughs?)?$`, 'i')
/** These alone may be bought, and then they are a line. */
const MAY_BE_BOUGHT = /^(?:starter|levain)$/i

/** A phrase of a few words whose last word names a part. */
const USUAL =
  /^(?:[a-zß-öø-ɏ][a-zß-öø-ɏ'-]* ){0,4}(?:doughs?|pastry|fillings?|stuffings?|wrappers?|skins?|crusts?|shells?|casings?|covering|cover|outer(?: (?:layer|shell|covering|skin|dough))?|layer|outside|inside|base|lid|bottom|glaze|wash|toppings?|top|brush|marinade|brine|dips?|sauce|gravy|masala|chutney|relish|soup|broth|finish|frying|seitan|starter|sponge|tangzhong|poolish|levain|mix|mixture|paste|bath|jelly|wrapping)(?: (?:part|bit|section))?(?: \d+| [a-c]| (?:one|two|three))?(?:\s*[-–—(].*)?$|^(?:filling|dough|stuffing|pastry)\b/i

const LISTS_SOMETHING = /[\d¼½¾⅓⅔]|\b(?:half|pinch|some|an?|one|two|three|bought|equal|packet|handful)\b/i
/** A first line such as "Dough" or "Ingredients" is a heading although no title has been seen. */
export function usualHeading(
  row: Row,
  next: 'amount' | 'step' | 'other' | null,
  isOver: boolean,
  foods: Foods,
): Heading | null {
  const heading = readHeading(row.text, { ...row, next, foods })
  if (!heading) return null
  // "Chickpea buns – steamed, fluffy" says what they are like, and lists nothing.
  if (heading.rest && heading.kind !== 'unknown' && LISTS_SOMETHING.test(heading.rest)) return heading
  return /^(?:for |the )*(?:dough|pastry|filling|ingredients|stuffing|wrappers?|outer|crust|base|method|you(?:'ll| will)? need)\b/i.test(
    heading.name,
  ) && heading.name.split(' ').length <= 3
    ? heading
    : isOver && /^(?:shell|filling)$/.test(heading.kind) && NAMES_PART.test(heading.name)
      ? heading
      : null
}
/** "Bun dough" right over its flour, where nothing stands above it. */
const NAMES_PART = /^(?:[a-zß-öø-ɏ-]+ ){1,2}(?:dough|filling|stuffing|wrappers|skins)$/i
