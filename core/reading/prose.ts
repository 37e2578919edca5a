import { foodIs } from '../food/groups'
import type { Food, Foods } from '../food/food'
import { PART_NAMES, type PartKind } from '../recipe/vocabulary'
import { ABOUT_SO_MUCH } from './amountWords'
import { halfAndHalf } from './inlineHeading'
import { isAromatic } from './lineParts'
import { matchFood } from './match'
import type { Outline, OutlineStep, Section } from './outlineState'
import { NUMBER_PATTERN } from './readNumber'
import { isPassed } from './drafts'
import { TURNS_EACH } from './pan'
import { MAX_ROW_CHARACTERS } from './tidy'
import { foodsTold, withoutPot, MADE, OF_THE_PIECES, type ToldFood } from './toldFoods'
import { stretchesOf } from './stretches'
import { UNIT_PATTERN } from './units'
import { COUNTED_AND_SALT } from './unmarkedRow'

/** "500 g of plain flour", "two onions", "a pinch of salt" inside a sentence. */
const MENTION = new RegExp(
  String.raw`(?<![a-zß-öø-ɏ\d.,/])((?:about |around |say |roughly )?(?:${NUMBER_PATTERN})(?:\s*(?:-|–|to)\s*\d+(?:[./]\d+)?)?\s*(?:(?:heaped|level|good|big|small|large|medium)\s+)?(?:(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ\d]))?\s*(?:of\s+)?(?:the\s+)?)((?:[a-zß-öø-ɏ][a-zß-öø-ɏ'-]*\s?){0,5})`,
  'gi',
)
const STOP =
  /\b(?:and|with|into|in|to|until|till|for|then|if|on|at|from|or|plus|over|by|it|them|is|are|so|that|which|about|you|i|a|an|half|one|two|three|four|five|six|ten|twelve|mix|add|knead|fry|cook|stir|rest|let|leave|roll|make|minutes?|mins?|hours?|degrees|each|cut|chopped|pieces|balls|rounds|circles|dis[ck]s|times)\b.*$/i
/** Preparation in front of a name is no end of it. */
const LEADING =
  /^(?:(?:finely|roughly|thinly|freshly|well)\s+)?(?:chopped|sliced|diced|grated|shredded|cubed|peeled)\s+/i
/** "some nutmeg": no amount, and an ingredient all the same. */
const SOME = /\b(?:some|a little|a bit of|plenty of)\s+([a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+){0,2})/gi
/** "Pinch of salt" without its article. */
const BARE_MEASURE =
  /(?:^|[,;]\s*|\band\s+)((?:pinch|handful|splash|knob|dash|squeeze|thumb) of) ([a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?)/gi
/** "Half a teaspoon each of turmeric, garam masala and chilli": the amount holds for all. */
const EACH_OF = new RegExp(
  String.raw`((?:about )?(?:${NUMBER_PATTERN})\s*(?:an? )?(?:${UNIT_PATTERN}))\s+(?:each(?: of)?|of each(?: of)?)[:,]?\s+((?:[a-zß-öø-ɏ-]+(?: [a-zß-öø-ɏ-]+){0,2},\s+){0,6}[a-zß-öø-ɏ-]+(?: [a-zß-öø-ɏ-]+){0,2},?\s+(?:and|&|plus)\s+[a-zß-öø-ɏ-]+(?: [a-zß-öø-ɏ-]+){0,2})`,
  'gi',
)
// A long text without the word is not searched for it: "half a half a …" took seconds.
const eachInFull = (text: string) =>
  !/\beach\b/i.test(text)
    ? text
    : text.replace(EACH_OF, (_, amount: string, names: string) =>
        names
          .split(/,?\s+(?:and|&|plus)\s+|,\s+/)
          .map((name) => `${amount} ${name}`)
          .join(', '),
      )
/** "I get the round wrappers from the shop, about forty of them": how many stands behind. */
const WRAPPERS_AND_COUNT =
  /\b(?:the |some |a (?:pack|packet|bag|box)(?: of)? |my )?((?:(?!(?:i|we|you|the|my|some|these|those|buy|use|get|take|have|got|and|of|in|with|fill|put)\b)[a-zß-öø-ɏ]+ ){0,2}(?:wrappers|skins|sheets|wonton(?:s| wrappers)|tortillas))\b((?:,? (?!of\b)[a-zß-öø-ɏ]+){0,4}?),? (?:about |around |roughly |maybe )?((?:\d{1,3}|twenty|thirty|forty|fifty|sixty|a dozen|two dozen|three dozen)(?:[ -](?:four|five|six|two|eight))?)(?: (?:of them|in (?:it|a pack|the pack)|of those)\b|(?=\W*(?:$|[.;]| (?:you|i|we|then|and then)\b)))/gi
/** "The spring roll sheets, one packet of forty". */
const PACKET_OF =
  /\b(?:the |some |my )?((?:[a-zß-öø-ɏ]+ ){0,2}(?:wrappers|skins|sheets|tortillas)),? (?:in )?(?:an?|one|1) (?:pack|packet|bag|box|stack) of (?:about |around )?(\d{1,3}|twenty|thirty|forty|fifty|sixty|(?:a|two|three) dozen)\b(?! (?:the|them|[a-zß-öø-ɏ]+ (?:wrappers|skins|sheets))\b)/gi
/** "Bought puff pastry, 2 sheets, each cut in 9". */
const PASTRY_AND_COUNT =
  /\b((?:(?:bought|store|shop|ready|made|rolled|frozen|chilled|fresh|vegan|all|butter|light|puff|shortcrust|short|crust|flaky|filo|strudel|rough)[- ]){0,5}(?:pastry|filo|phyllo|dough)),? ((?:\d{1,2}|one|two|three|four|six|eight|ten|twelve) (?:sheets?|rolls?|packs?|packets?|blocks?|boxes|discs?|rounds?))(?=[,.;)]| (?:and|which|that|each)\b)/gi
const countedInFront = (text: string) =>
  text
    .replace(WRAPPERS_AND_COUNT, '$3 $1$2')
    .replace(PACKET_OF, 'one packet of $2 $1')
    .replace(PASTRY_AND_COUNT, '$2 of $1')
/** "(18 puffs)" counts what is made. */
const COUNTS_PUFFS = /^\W*\d{1,3} puffs?\W*$/i
const BARE = /\b(water|milk|salt|pepper)\b/gi

const CLOSES =
  /\b(?:fill (?:the|each|them|and|with)|stuff(?=[,.]| (?:the|each|them|and|with)\b)|fold (?:over|in half|into|each|them|and|like|up)|seal|crimp|pleat|close (?:it|them|like|up)|pinch (?:it|them|shut|closed|together|the|to))\b/i
const COOKS = /\b(?:fry|fried|brown|cook|tawa|tava|griddle|comal|pan|skillet)\b/i
/** "With half a teaspoon of ghee on each side", "on a hot tawa": nothing but a piece has sides, or lies there. */
const ON_SIDES =
  /\b(?:on|for|to) (?:each|either|both|every) sides?\b|\bon (?:an? |the )?(?:hot |heated )?(?:tawa|tava|griddle|comal)\b/i
/** "Tawa, 1 tsp oil each, 4 minutes". */
const ON_GRIDDLE =
  /^\W*(?:(?:on|in) )?(?:(?:a|the|hot|dry|heated) )*(?:tawa|tava|griddle|comal|skillet)\b[^.;]*\b(?:each|min)/i
/** "Heat a tablespoon of oil" once they are closed. */
const HEATS_FAT = /^\W*(?:(?:and|then|now|so) )*(?:heat|warm)\b/i
const OVER = /^(?:brush|glaze|sprinkle|scatter|dust|top|finish)/
const COOKED_THEN_BRUSHED =
  /\b(?:cook|fry|griddle)\b[^.;]*\d ?(?:min|each|a side)[^.;]*\b(?:brush|top|finish)/i
const A_SPOON = /^(?:an?|1|one) (?:heaped |small |big |good )?(?:spoon|spoonful|teaspoon|tablespoon)\b/i
/** "Fill each with 1 tbsp sauce, 28 g mozzarella": so much in every one. */
const EACH_GETS =
  /\beach\b[^.;]*\bin the (?:middle|cent(?:re|er)) (?:goes?|you put|put|place)\b|^\W*(?:then )?(?:fill|top|stuff|spread) (?:each|every)(?: one| round| piece| half)? with\b|^\W*(?:about )?(?:\d|[¼½¾]|an? |half )[^.;]*\b(?:in|on|into|onto) (?:each|every)(?: (?:one|round|piece|half|circle|square|pocket))?\W*$/i
const FLOUR = /\b(?:flour|maida|atta|masarepa|masa)\b/i
/** However it is said how much. */
const HAS_AMOUNT = /\d|[¼½¾⅓⅔]|\b(?:an?|half|one|two|three|some|pinch|handful|little|bit|taste|required)\b/i
/** Flour by the spoon thickens, and makes no dough. */
const THICKENS =
  /(?:\d[\d./ –-]*|[¼½¾]|an?|one|two|three|couple of) ?(?:tbsps?|tsps?|tablespoons?|teaspoons?|spoons?|spoonfuls?) (?:of )?(?:[a-zß-öø-ɏ-]+ )?flour\b/gi
/** "Line the tin with half of 500 g pastry": what there is, of which the rest goes elsewhere. */
const SHARE_OF =
  /\b(?:(?:about )?half|two[- ]thirds|one third|a third|three[- ]quarters|most|2\/3|1\/3|3\/4|[½⅓⅔¾]) (?:of )?(?:a |an |the )?(?=\d[\d.]* ?(?:g|kg|oz|lbs?)\b(?! (?:block|pack|packet|sheet|roll))[^.;,]*\b(?:pastry|dough|shortcrust|filo)\b)/gi
const VAGUE = /^(?:a little|some|a bit|a drop|a splash|plenty|a drizzle)\b|required$/i
/** "Half a teaspoon of ghee, flip, half on the other side": each piece gets its own, which is seen to with the pan. */
const SPOON = /\b(?:tsp|teaspoons?)\b/i
const DOUGH_IS_MADE = /\b(?:knead|rest|rise|rises|prove|proof|chill|fridge|relax)\b/i
const PAN_OF_PIECES =
  /\bheat\b[^.;]{0,50}\b(?:pan|skillet|wok)\b[^.;]{0,30}\b(?:put|place|lay|arrange) (?:them|the (?:dumplings|pieces|buns|gyoza|potstickers))\b|\bflat side down\b/i

const WATER_UNDER_LID = /\bwater\b[^.;]{0,30}\b(?:lid|cover)\b[^.;]{0,30}\b(?:steam|min)/i

const CONTEXT: readonly [PartKind, RegExp][] = [
  ['dip', /\b(?:dip|dipping sauce|for the sauce(?! (?:in ?)?between\b)|chutney|serve with|to serve)\b/i],
  ['finish', /\b(?:brush|glaze|egg ?wash|sprinkle|between (?:the )?(?:layers|sheets))\b/i],
  ['filling', /\b(?:filling|stuffing|inside)\b/i],
  ['shell', /\b(?:dough|pastry|knead|crust)\b/i],
]

/** "Stuff each with grated cheddar (180 g total) and jalapeno (2 of them)": so much for all of them. */
function isInAll(stretch: string, line: string): boolean {
  const amount = /\d[\d.]*/.exec(line)?.[0]
  return (
    amount !== undefined &&
    new RegExp(
      String.raw`(?<![\d.])${amount.replace('.', String.raw`\.`)}(?![\d.])[^,.;()]{0,20}\b(?:total|in all|altogether|of them)\b`,
      'i',
    ).test(stretch)
  )
}

/** Butter beside them goes between them. */
const THIN_SHEETS = /\b(?:filo|phyllo|fillo|yufka)\b/i
/** "A pack of filo about 400 grams", "6 sausages (400 g)": what it weighs stands behind it. */
const WEIGHS_ABOUT = new RegExp(
  String.raw`^ (?:${ABOUT_SO_MUCH} \d[\d.]* ?(?:kg|g|grams?|kilos?|oz|ounces?|lbs?|pounds?)\b(?! of\b)|\((?:about |around |~)?\d[\d.]* ?(?:kg|g|oz|lbs?)(?: each)?\))`,
  'i',
)
/** "Spinach wilted and squeezed out". */
const SQUEEZED = /^ (?:and |then |wilted and )(squeezed)(?: (?:out|dry|well))?\b/i
const SPOON_OR_WEIGHT =
  /\b(?:tsps?|tbsps?|teaspoons?|tablespoons?|cups?|grams?|kilos?|ml)\.?\s*$|\d ?(?:g|kg)\.?\s*$/i
const MOST_WORDS_IN_FRONT = 4
const ENDS_ABOUT = new RegExp(String.raw`\s+${ABOUT_SO_MUCH}$`, 'i')
/** "Ginger garlic paste one teaspoon half a teaspoon turmeric": what stands right in front of an amount with no name behind. */
function foodInFront(text: string, foods: Foods): { text: string; food: Food } | null {
  const bare = text.trim().replace(ENDS_ABOUT, '')
  const words = /[,.;:]$/.test(bare) ? [] : bare.split(/\s+/).slice(-MOST_WORDS_IN_FRONT)
  for (let from = 0; from < words.length; from++) {
    const own = words.slice(from).join(' ')
    const match = own.length > 2 ? matchFood(own, foods) : null
    if (match?.how !== 'exact' || match.leftOver.length) continue
    // "Fill the wrappers a teaspoon in each": that is so much of the filling.
    const isSaid = /^(?:the|these|those|your|my|each|every)$/i.test(words[from - 1] ?? '')
    return isSaid || foodIs(match.food, 'bought-dough') ? null : { text: own, food: match.food }
  }
  return null
}
/** The foods with amounts in a stretch of speech, wherever they stand. */
function mentionedIn(stretch: string, foods: Foods): ToldFood[] {
  const found: ToldFood[] = []
  /** Where the food that was named last ends. */
  let named = 0
  MENTION.lastIndex = 0
  for (let match = MENTION.exec(stretch); match; match = MENTION.exec(stretch)) {
    if (OF_THE_PIECES.test(match[0]) || COUNTS_PUFFS.test(match[0])) continue
    const name = match[2]!.replace(LEADING, '').replace(STOP, '').trim()
    const words = name.split(/\s+/)
    let used = 0
    for (let length = words.length; length >= 1 && name.length >= 3; length--) {
      const own = words.slice(0, length).join(' ')
      if (COUNTED_AND_SALT.test(`${match[1]!}${own}`)) continue
      const food = matchFood(own, foods)
      if (food?.how !== 'exact') continue
      // "A vegan mushroom pie like this" buys no mushroom.
      if (/^an?\s*$/i.test(match[1]!) && MADE.test(words[length] ?? '')) break
      // "Make a shortcrust" speaks of the dough, and buys none.
      if (/^an?\s*$/i.test(match[1]!) && /^(?:pastry|wrapper|bread)$/.test(food.food.group)) break
      used = match[2]!.indexOf(own) + own.length
      const behind = stretch.slice(match.index + match[1]!.length + used)
      const [weight] = WEIGHS_ABOUT.exec(behind) ?? []
      const [, done] = SQUEEZED.exec(behind) ?? []
      const text = [`${match[1]!.trim()} ${own}${weight ?? ''}`, done].filter(Boolean).join(', ')
      found.push({ text: text.replace(/\s+/g, ' '), food: food.food, verb: '' })
      used += weight?.length ?? 0
      // "1 green chilli coriander 1/2 tsp garam masala": a herb between two amounts.
      const next = weight || done ? undefined : words[length]
      const herb = next && next.length > 3 ? matchFood(next, foods) : null
      if (
        herb?.how === 'exact' &&
        herb.food.group === 'herb' &&
        !found.some(({ food: { id } }) => id === herb.food.id)
      )
        found.push({ text: next!, food: herb.food, verb: '' })
      break
    }
    if (!used && SPOON_OR_WEIGHT.test(match[1]!)) {
      const before = foodInFront(stretch.slice(named, match.index), foods)
      if (before && !found.some((one) => one.food.id === before.food.id))
        found.push({ text: `${match[1]!.trim()} ${before.text}`, food: before.food, verb: '' })
    }
    if (used) named = match.index + match[1]!.length + used
    // The next amount may stand among the words that were taken for the name.
    MENTION.lastIndex = match.index + match[1]!.length + used
  }
  return found
}

/** "Add salt and little oil": how it is said without its article. */
const BARE_LITTLE = /(?<=\b(?:add|and|with|plus|in|of|put|take) |,\s*)little (?=[a-zß-öø-ɏ]{3})/gi

const isToTaste = ({ text }: ToldFood) => / to taste$/.test(text)
/** The foods that a stretch names: with an amount, with "some", or with a measure and no article. */
function foodsOf(said: string, foods: Foods): ToldFood[] {
  const stretch = withoutPot(said).replace(SHARE_OF, '').replace(BARE_LITTLE, 'a little ')
  // A sentence is cut where a list is; speech without marks is searched wherever its amounts stand.
  const [cut, searched] = [foodsTold(stretch, foods), mentionedIn(stretch, foods)]
  // "Mince (half pork half beef)" names no half of a beef.
  const [seasons, measured] = [cut.filter(isToTaste), cut.filter((one) => !isToTaste(one))]
  const isMore =
    searched.length > cut.length ||
    // "… 8 oz cheese a fried onion salt and pepper": the onion is found where it stands, and what seasons is joined.
    (searched.length > measured.length &&
      measured.every(({ food }) => searched.some((one) => one.food.id === food.id)))
  const found =
    isMore && !/\(half /i.test(stretch)
      ? [...searched, ...seasons.filter(({ food }) => !searched.some((one) => one.food.id === food.id))]
      : cut
  for (const match of stretch.matchAll(SOME)) {
    const own = match[1]!.replace(LEADING, '').replace(STOP, '').trim()
    const food = own.length > 2 ? matchFood(own, foods) : null
    // Fat is named for the pan as well; what is fried in is seen to there.
    if (
      food?.how === 'exact' &&
      food.food.softeningFat === null &&
      !found.some((one) => one.food.id === food.food.id)
    )
      found.push({ text: `${own} as required`, food: food.food, verb: '' })
  }
  for (const match of stretch.matchAll(BARE_MEASURE)) {
    const own = match[2]!.replace(STOP, '').trim()
    const food = matchFood(own, foods)
    if (food?.how === 'exact' && !found.some((one) => one.food.id === food.food.id))
      found.push({ text: `${match[1]!} ${own}`, food: food.food, verb: '' })
  }
  return found
}

/**
 * Ingredients that a text names only in its sentences: "mix 500 g flour with 250 ml water". For recipes told in one
 * breath; where there are ingredient lines these are not asked.
 *
 * @param only with 'shell', the dough alone is looked for
 */
export function linesFromProse(
  steps: readonly OutlineStep[],
  foods: Foods,
  only: PartKind | null = null,
): Section[] {
  const sections = new Map<PartKind, Section>()
  const put = (kind: PartKind, text: string, at: number) => {
    if (only && kind !== only) return
    const known = sections.get(kind)
    const section: Section = known ?? {
      heading: {
        kind,
        name: PART_NAMES[kind],
        rest: '',
        pieces: null,
      },
      items: [],
    }
    if (!known) sections.set(kind, section)
    if (!section.items.some((item) => item.text === text))
      section.items.push({ text, at, blankBefore: false })
  }
  let kind: PartKind | null = null
  /** The dough has been kneaded and rests: what is listed next goes in. */
  let isMade = false
  let isClosed = false
  /** The dough is pastry or sheets from the shop. */
  let hasBought = false
  const measured = new Set<string>()
  for (const step of steps) {
    if (step.text.length > 8 * MAX_ROW_CHARACTERS) continue
    const stretches = stretchesOf(countedInFront(eachInFull(step.text)))
    for (const [at, stretch] of stretches.entries()) {
      // "Goes down the middle (cut the dough in 2)": a bracket does not say what is listed.
      const open = stretch.replace(/\([^()]*\)/g, ' ')
      const said = CONTEXT.find(([, pattern]) => pattern.test(open))?.[0]
      const flour = FLOUR.test(stretch.replace(THICKENS, ''))
      // "Mix 500 g flour …" opens the dough though nobody has called it so yet.
      if (said === 'filling' || said === 'dip' || said === 'finish') kind = said
      else if (said === 'shell' || (flour && kind === null)) kind = 'shell'
      const halves = halfAndHalf(stretch)
      if (halves) {
        put('dip', halves.rest, step.at)
        continue
      }
      const found = foodsOf(stretch, foods)
      // Where nobody says "filling", foods that no dough is made of begin it, and whatever follows a dough that rests.
      const filling = found.some(({ food }) => !foodIs(food, 'of-dough') && !isPassed(food))
      if (
        !said &&
        !flour &&
        (filling || (isMade && found.length > 1)) &&
        (sections.has('shell') || (only === 'filling' && EACH_GETS.test(stretch)))
      )
        kind = 'filling'
      // "Cheese melted in the microwave, then mix in the almond flour": it is melted for the dough.
      const isMelted =
        kind === null && /\bmelt/i.test(stretch) && FLOUR.test(stretches[at + 1] ?? '') && !sections.size
      if (isMelted) kind = 'shell'
      // Into pastry that was bought nothing is mixed.
      const isBeside: boolean = kind === 'shell' && hasBought && !flour && said !== 'shell'
      const here: PartKind = isBeside ? 'filling' : (kind ?? (flour ? 'shell' : 'filling'))
      // "Heat a tablespoon of oil in a pan, put them in, add 80 ml of water, lid on" cooks what is closed.
      const inPan = PAN_OF_PIECES.test(stretch)
      const isBought = found.some(({ food }) => foodIs(food, 'bought-dough') || food.group === 'bread')
      hasBought ||= here === 'shell' && found.some(({ food }) => foodIs(food, 'bought-dough'))
      if (CLOSES.test(stretch)) isClosed = true
      for (const { text, food, verb } of found) {
        // "Fry the onion and curry leaves": those that were measured before.
        const isAgain =
          / to taste$/.test(text) &&
          (/^(?:herb|spice)$/.test(food.group) || isAromatic(food)) &&
          measured.has(food.id)
        if (isAgain && food.id !== 'black-pepper') continue
        // What is named without an amount has been listed before, wherever it has.
        const isSpared = foodIs(food, 'seasons') || food.group === 'salt' || food.softeningFat !== null
        if (measured.has(food.id) && !isSpared && !HAS_AMOUNT.test(text)) continue
        // "Take two sheets of filo": of those that were bought.
        if (foodIs(food, 'bought-dough') && measured.has(food.id) && /\bsheets?\b/i.test(text)) continue
        // "Put a spoon of potato on each": of what has been made.
        if (A_SPOON.test(text) && measured.has(food.id) && /^(?:put|place)/.test(verb)) continue
        // "Cut the butter into the flour and salt" once the filling has been listed: that salt is the dough's.
        if (
          / to taste$/.test(text) &&
          food.group === 'salt' &&
          flour &&
          measured.has(food.id) &&
          here !== 'shell'
        )
          continue
        measured.add(food.id)
        // "Cook on a tawa with a little ghee": the pan's fat is seen to where the pieces are cooked.
        const isOfPan =
          (isClosed || ON_SIDES.test(stretch) || ON_GRIDDLE.test(stretch)) &&
          said !== 'filling' &&
          here !== 'dip' &&
          food.softeningFat !== null &&
          (COOKS.test(stretch) || HEATS_FAT.test(stretch)) &&
          // "Cook 3 minutes each side and brush with butter": it goes on what is done.
          !(OVER.test(verb) && COOKED_THEN_BRUSHED.test(stretch))
        const isOfSide = TURNS_EACH.test(stretch) || ON_SIDES.test(stretch)
        const isOfEach = isOfSide || / for each\b/i.test(stretch)
        if (isOfPan && (VAGUE.test(text) || (isOfEach && SPOON.test(text)))) continue
        if (
          food.id === 'water' &&
          (inPan || WATER_UNDER_LID.test(stretch) || (isClosed && here === 'filling'))
        )
          continue
        const over = OVER.test(verb)
        // "Take 8 tortillas, mix a can of tuna with …": what is bought holds what is named behind it.
        const inside = here === 'shell' && isBought && !foodIs(food, 'bought-dough')
        // "You want a pound of shortcrust, six rashers …": what is bought is the dough, whatever goes in is named beside it.
        const isTheDough = here === 'filling' && foodIs(food, 'bought-dough') && !sections.has('shell')
        const isEach = EACH_GETS.test(stretch) && here !== 'shell' && !isOfPan && !isInAll(stretch, text)
        // "400 g filo, 100 g butter": what goes between the sheets.
        const isBetween = food.softeningFat !== null && isBought && THIN_SHEETS.test(stretch)
        put(
          (inPan && food.softeningFat !== null) || isOfPan
            ? 'pan'
            : over || isBetween
              ? 'finish'
              : inside
                ? 'filling'
                : isTheDough
                  ? 'shell'
                  : here,
          isEach ? `${text} per piece` : text,
          step.at,
        )
      }
      if (kind === 'shell' && sections.has('shell') && DOUGH_IS_MADE.test(stretch)) isMade = true
      const any = found.length > 0
      if (!any && !flour) continue
      // Where the dough alone is looked for, "stir in the cheese and pepper" is not of it.
      if (only === 'shell' && said !== only && !flour) continue
      for (const bare of stretch.matchAll(BARE)) {
        const before = stretch.slice(Math.max(0, bare.index - 24), bare.index)
        if (
          /(?:\d\s*[a-zß-öø-ɏ]*\s*(?:of\s+)?|\b(?:pinch|teaspoons?|tablespoons?|spoons?|cups?|grams|mls?|litres?)\s+(?:of\s+)?)(?:the |warm |cold |hot )?$/i.test(
            before,
          )
        )
          continue
        if (here !== 'shell' && /water|milk/i.test(bare[1]!)) continue
        const isBare = ({ text }: { text: string }) => new RegExp(`\\b${bare[1]}\\b`, 'i').test(text)
        if (found.some(isBare)) continue
        // "Pulse the flour, salt and butter": that salt has been measured.
        if (
          sections
            .get(here)
            ?.items.some(
              (item) => isBare(item) && /^(?:\d|an?|one|two|three|half|about|roughly)\b/i.test(item.text),
            )
        )
          continue
        if (/\b(?:in|of) (?:salted |boiling )*$|\bno $/i.test(before)) continue
        put(
          here,
          `${bare[1]!.toLowerCase()}${here === 'shell' && /water|milk/i.test(bare[1]!) ? ' as required' : ' to taste'}`,
          step.at,
        )
      }
    }
  }
  return [...sections.values()]
}

/** One food in a sentence may be said in passing. */
const LEAST_TOLD_FILLING = 2
/** "For the filling boil 500 g potatoes, mash with …": what goes in as the method alone tells it, or null. */
export function toldFilling({ steps }: Pick<Outline, 'steps'>, foods: Foods): Section[] | null {
  const told = linesFromProse(steps, foods, 'filling')
  return told.some(({ items }) => items.length >= LEAST_TOLD_FILLING) ? told : null
}
