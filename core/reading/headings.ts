import type { Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { kindOf, type HeadingKind } from './headingKinds'
import { matchFood } from './match'
import { forAllMatches } from './matches'
import { readLine } from './readLine'
import { NUMBER_PATTERN } from './readNumber'
import { rememberWith } from './remember'
import { UNIT_PATTERN } from './units'
import { PIECES, readYields } from './servings'

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
const OF_PIECES = new RegExp(String.raw`^(?:for )?(?:the )?${PIECES}$`, 'iu')
const MAKES_TAIL = new RegExp(
  String.raw`\s*[-–—,]?\s*(?:\(|\[)?\s*(?:(?:enough )?(?:for|to fill)|makes?|x|×|fills?)\s*(?:about |approx\.? |~)?\d{1,3}(?:\s+(?:of them|of these|large|small|medium|\p{L}+ )?${PIECES})?\s*(?:\)|\])?\s*$`,
  'iu',
)

const AMOUNT = new RegExp(`(?:^|[\\s(])(?:\\d[\\d.,/]*|[¼½¾⅓⅔⅛])\\s*(?:${UNIT_PATTERN})(?![\\p{L}\\d])`, 'iu')
/** "Chicken mince 300 g", "onion 1 big". */
const AMOUNT_BEHIND = new RegExp(
  String.raw`^\p{L}[\p{L} '-]{2,30}\s(?:\d[\d./]*|[¼½¾⅓⅔])\s*(?:${UNIT_PATTERN}|big|small|large|medium)?\.?$`,
  'iu',
)
const NAME_AND_AMOUNT = new RegExp(
  String.raw`^(\p{L}[\p{L} ,'-]{2,50}?)\s*\(\s*(?:about |approx\.? |~)?(?:\d[\d.,/]*|[¼½¾⅓⅔⅛])\s*(?:${UNIT_PATTERN})(?![\p{L}\d])[^()]*\)\s*$`,
  'iu',
)
const ALSO_NAMED = new RegExp(
  String.raw`[,;]\s+\p{L}[\p{L} ()'-]{2,40}?\s*[-–—:=]\s*(?:(?:about |approx\.? |~)?(?:${NUMBER_PATTERN})|to taste|as )`,
  'iu',
)
const STARTS_WITH_NUMBER = new RegExp(`^(?:about |approx\\.? |~)?(?:${NUMBER_PATTERN})`, 'iu')
/** "Dough:", "Dough:-", "Dough –": marks that say that something follows. */
const COLON_END = /\s*(?:[:：]\s*-?|\s[-–—]{1,2})\s*$/
const INLINE =
  /^((?:(?!\.\s)[^:：()\d]|(?<=[Ff]illing |[Dd]ough )\d){2,48}(?:\([^)]*\)\s*)?)(?:[:：]\s*[-–—]?\s*|\s[-–—]\s|\s(?:is )?made (?:with|from|of)\s(?=\d)|\s(?:is|has|takes|needs)\s(?=\d|(?:just |simply )?equal ))(\S.*)$/

/** Words with which an instruction begins; "Dough: mix the flour" is a step. */
export const VERB =
  /^(?:then |now |first(?:ly)?,? |next,? |finally,? |to |gently |carefully |quickly |lightly )?(?:mix|knead|roll|bake|fry|deep|shallow|pan|air|steam|boil|cook|divide|cut|fold|seal|crimp|heat|preheat|pre-heat|combine|stir|whisk|rub|add|make|place|put|oven (?:at|to|on)|let|leave|rest|cover|brush|fill|serve|shape|form|microwave|unroll|bring|melt|cream(?! cheese| of)|pulse|process|blend|blitz|mash|soak|drain|squeeze|peel|chop|grate|slice|take|turn|set|chill|press|dust|prick|flatten|spoon|season|wash|char(?! ?siu)|toast|whizz|whip|strain|infuse|sprinkle|pour|simmer|saut[eé]|soften|sweat|brown|roast|toast|grill|poach|blanch|scramble|beat|sift|measure|warm|cool|wrap|stuff|pinch|pleat|gather|twist|line|grease|oil|flour|dip|drop|lower|lift|flip|keep|prove|proof|rise|punch|knock|assemble|repeat|remove|transfer|arrange|store(?![- ]bought)|freeze|enjoy|eat (?:warm|hot|cold|them|it|with|at)|devour|working|using|when|once|while|meanwhile|after|before|if|in a|on a|into a|(?:on|onto|in|into|to) (?:each|every) |with a|with the|with your|start|begin|lay|spread|scrape|weigh|use|try|do not|don't|dissolve|activate|scald|grind|crush|crumble|break|separate|reserve|set aside|allow|check|test|glaze|trim|score|snip|slit|stew|braise|pile|tuck|layer|dollop|smear|push|pat (?:the|it|them|dry|out|flat|down)|stretch|pull|drape|ladle|pop|chuck|throw|give|get|hold|tear|loosen|bash|scatter (?:the|over|it)|tip (?:the|in|out|it|onto)|bubble|toss|wilt|thicken|sear|baste|deglaze|reduce|marinate|dredge|crack|scoop|nestle|rinse|smash|pound|garnish with|enclose|join|moisten|dampen|wet (?:the|your)|paint|spritz|spray (?:the|with|them|it|a|both|tops?|pan|tray)|slide|ease|invert|shake|rotate|increase|continue|proceed|finish (?:with|by|off)|top (?:with|each|it|them|the)|coat (?:the|with|each|them|it|in)|fork the|shred (?:the|it|them)|flake (?:the|it|them)|insert|position|run (?:a|your|the)|discard|adjust|refrigerate|stack|portion (?:the|it|into|out)|pipe|poke|pierce|re-?roll|sandwich (?:the|them|two)|swirl|tilt|unwrap|uncover|unfold|bubble|braid|plait|stand (?:them|it|upright)|quarter (?:the|each|it)|halve (?:the|each|it)|you|i |we )\b/i

/** "sprinkle of mixed herbs", "squeeze of lemon": an amount, not an instruction. */
const NOUN_AMOUNT =
  /^(?:a |good |big |small |little |generous )*(?:(?:sprinkle|sprinkling|squeeze|splash|drizzle|dash|pinch|grating|grind|twist|knob|dusting|scattering|oil|flour|dip|dips|brown|warm|cool)\s+(?:of\b|sugar\b|onions?\b|rice\b|flour\b|water\b|milk\b|for\b|to (?:taste|serve|fry)\b|as\b|,|(?:about )?[\d¼½¾⅓⅔])|(?:mix|blend|cover|press|set|roll|rolls|slice|slices|line|pan)\s+of\b|pan (?:for|,))/i

/** "Rubbed in, chilled an hour", "browned the beef": work that is told of afterwards. */
const WAS_DONE =
  /^(?:then |i |we )?(?:rubbed|browned|rolled|fried|chilled|cooked|simmered|boiled|baked|rested|mixed|kneaded|stirred|cut|folded|sealed|filled|crimped|glazed|steamed|cooled|chopped|added|softened|brushed|proved|shaped|divided)\s+(?:it|them|in(?=\W*(?:$|,)| (?:the|a) )|out|for (?=\d|an?\b|half)|the|up|with|until|till|together|everything|all|into|over)(?!\p{L})/iu

/** Whether a text begins like an instruction rather than like an ingredient. */
export const startsLikeStep = (text: string): boolean =>
  (VERB.test(text) && !NOUN_AMOUNT.test(text)) || WAS_DONE.test(text)

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

function findHeading(line: string, round: Surroundings): Heading | null {
  const text = line.trim()
  if (!text || text.length > 400) return null
  // "Plain flour (300 g)", "boiling water (180 ml)": a food and its amount.
  const weighed = NAME_AND_AMOUNT.exec(text)?.[1]
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
    .replace(/^(?:filling|dough|stuffing|part)\s*(?:no\.?\s*)?\d+/i, 'filling')
  const words = plain.trim().split(/\s+/).length
  const capitals = /\p{Lu}{3}/u.test(plain) && !/\p{Ll}{2}/u.test(plain)
  const told = colon || round.marked === true || capitals
  if (words > (told ? 9 : 6)) return null
  if (STARTS_WITH_NUMBER.test(plain) && !round.marked) return null
  if (AMOUNT.test(plain) && !round.marked) return null
  if (!told && /[.!?,;]$|,/.test(name)) return null
  // "Filling should be wet like porridge" tells something.
  if (!colon && words > 2 && /\b(?:should|must|will|looks?|gets?|needs? to|has to|is|are)\b/i.test(name))
    return null
  if (/\bto taste\b|\bas (?:required|needed)\b/i.test(name)) return null
  // "Water to make a soft dough" is poured, and says how much.
  if (
    /^(?:\p{L}+ ){0,2}(?:water|milk|curd|yogh?urt|buttermilk|oil|ghee)\s+(?:to|for|as|enough)\b/iu.test(name)
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
  if (startsLikeStep(name) && (/\d/.test(name) || (words > 3 && !told))) return null
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
  if (told) return made(kind)
  // "Nigella seeds for the top" is an ingredient that says what it is for.
  const read = readLine(name)
  if (
    (read.purpose || read.measures.length) &&
    round.foods &&
    matchFood(read.name, round.foods)?.how === 'exact'
  )
    return null
  // "the gravy" inside a list stands for what is made elsewhere.
  if (kind === 'component' && !/^for /i.test(name) && !(round.blankBefore && round.next === 'amount'))
    return null
  // "Butter" buys; "Oil dough" and "Butter filling" are parts.
  if (/\b(?:flour|oil|ghee|butter|salt|milk)\b/i.test(name) && !/\b(?:dough|pastry|filling)$/i.test(name))
    // "Sage butter" over its butter and sage is made.
    return (kind === 'finish' || kind === 'dip') && round.blankBefore && round.next === 'amount'
      ? made(kind)
      : null
  if (/^(?:for|to) /i.test(name) && words <= 5) return made(kind)
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
  return USUAL.test(name) ? made(kind) : null
}

const ALONE =
  /^(?:the )?(?:dough|pastry|short ?crust|hot water crust|rough puff|(?:fresh |egg )?pasta|wrappers?|skins?|crust|shells?|filling|stuffing|inside|egg ?wash|glaze|brush|wash|topping|sauce|dip|chutney|gravy|masala|broth|soup|base|lid)$/i
/** A phrase of a few words whose last word names a part. */
const USUAL =
  /^(?:\p{L}[\p{L}'-]* ){0,4}(?:doughs?|pastry|fillings?|stuffings?|wrappers?|skins?|crusts?|shells?|casings?|covering|cover|outer(?: (?:layer|shell|covering|skin|dough))?|layer|outside|inside|base|lid|bottom|glaze|wash|toppings?|top|brush|marinade|brine|dips?|sauce|gravy|masala|chutney|relish|soup|broth|finish|frying|seitan|starter|sponge|tangzhong|poolish|levain|mix|paste|bath)(?: \d+| [a-c]| (?:one|two|three))?(?:\s*[-–—(].*)?$|^(?:filling|dough|stuffing|pastry)\b/iu

/** "DOUGH 500 g flour, 250 ml water": the word and its list without a mark between them. */
const WORD_AND_LIST = new RegExp(
  String.raw`^((?:for (?:the )?)?(?:dough|pastry|short ?crust(?: pastry)?|puff|base|filling|fill|stuffing|inside|topping|glaze|egg ?wash|dip|sauce|shell|crust|meat|veg(?:etables)?))\s+(?=(?:(?:\d|[¼½¾⅓⅔⅛])[\d./ ]*|(?:one|two|three|half|an?)\s)\s*\p{L})(\S.*)$`,
  'iu',
)

/** "Stuffing – makes 30: 250 g pork, …": the count stands before the colon. */
const COUNTED_INLINE =
  /^([\p{L} '-]{3,40}?)\s*[-–—(,]*\s*(?:enough )?(?:for|makes|x)\s*(?:about )?(\d{1,3})\b[^:]{0,20}:\s*(\S.*)$/iu

/** "Cook the filling the day before: 700 g beef, 1 onion": the list of what is told to be made. */
const MADE_BEFORE =
  /^(?:cook|make|prepare|mix|start with|begin with)\s+(?:the |your )?(filling|stuffing|dough|pastry|sauce|dip)\b[^:\d]{0,30}:\s*((?:\d|[¼½¾⅓⅔]|an? |one |two )\S*.*)$/iu

/** "Bought, 1 packet (30)". */
const BOUGHT_AHEAD =
  /^(?:(?:shop|store)[- ]?)?(?:bought|ready[- ]?made)(?: ones)?(?:[,;]\s*|\s+(?=\d)|$)(.*)$/iu

function inlineHeading(text: string, round: Surroundings): Heading | null {
  const made = MADE_BEFORE.exec(text)
  if (made && made[2]!.split(',').length > 2)
    return {
      kind: kindOf(made[1]!)!,
      name: made[1]!.charAt(0).toUpperCase() + made[1]!.slice(1),
      rest: made[2]!,
      pieces: null,
    }
  const run = WORD_AND_LIST.exec(text)
  // "Shortcrust pastry 500 g" is bought: a list names what it is of.
  const isPlain = run !== null && /^(?:meat|veg)/i.test(run[1]!)
  // "Meat 500 g" buys; with more behind it it is what goes in.
  // "Fill 1 tsp" is done.
  const isDone =
    run !== null &&
    /^fill$/i.test(run[1]!) &&
    /^(?:with |about )?[\d¼½¾/. ]+\s*(?:heaped |heaping |level )?(?:tsp|tbsp|teaspoons?|tablespoons?|T|t)\b/.test(
      run[2]!,
    )
  // "Dip 2 sheets at a time in water" as well.
  const dips =
    run !== null &&
    /^dip$/i.test(run[1]!) &&
    /^(?:\d|two|each|one)\D{0,12}\b(?:sheets?|wrappers?|papers?|rounds?)\b/i.test(run[2]!)
  const enough = !isPlain || (run![2]!.match(forAllMatches(AMOUNT))?.length ?? 0) >= 2
  if (
    run &&
    enough &&
    !isDone &&
    !dips &&
    AMOUNT.test(run[2]!) &&
    !/^[\d./\s¼½¾⅓⅔⅛]+\p{L}{0,3}\.?$/u.test(run[2]!)
  )
    return {
      kind: isPlain ? 'filling' : (kindOf(run[1]!) ?? 'unknown'),
      name: run[1]!,
      rest: run[2]!,
      pieces: null,
    }
  const counted = COUNTED_INLINE.exec(text)
  if (counted && kindOf(counted[1]!) && !startsLikeStep(counted[3]!) && STARTS_WITH_NUMBER.test(counted[3]!))
    return {
      kind: kindOf(counted[1]!)!,
      name: counted[1]!.trim(),
      rest: counted[3]!,
      pieces: Number(counted[2]),
    }
  const inline = INLINE.exec(text)
  if (!inline) return null
  const name = inline[1]!.trim()
  const rest = inline[2]!.trim()
  if (name.split(/\s+/).length > 7 || startsLikeStep(rest)) return null
  // "Roll pastry: one of 28 cm and one of 32" is done.
  if (/^(?:roll|cut|shape|divide|stamp|knead|bake|fry|steam|boil)\s+\p{L}/iu.test(name)) return null
  // "On each wrapper: half a slice of cheese" is done with every one of them.
  if (/^(?:on|onto|in|into|to|over) (?:each|every|one)\b/i.test(name)) return null
  const dash = !/[:：]/.test(text.slice(0, inline[1]!.length + 1))
  const kind = kindOf(name)
  if (kind === 'remarks' || kind === 'noise') return dash ? null : { kind, name, rest, pieces: null }
  if (!/\p{L}{2}/u.test(rest.replace(AMOUNT, ' '))) return null
  // "Bread flour: 300 g, sifted" is a line; "Dough: 300 g flour, 3 g salt" is a heading with its lines.
  const amounts = rest.split(/,|;|\s[/+]\s/).filter(
    (piece, at) =>
      (STARTS_WITH_NUMBER.test(piece.trim()) || AMOUNT_BEHIND.test(piece.trim())) &&
      // "Water - 1/2 cup + 1 tbsp": an amount without a name is more of the same.
      (at === 0 || readLine(piece).name !== ''),
  ).length
  if (
    round.foods &&
    !ALONE.test(name) &&
    !(
      amounts >= 2 &&
      (kind !== null || STARTS_WITH_NUMBER.test(rest) || AMOUNT_BEHIND.test(rest.split(/[,;]/)[0]!))
    ) &&
    matchFood(name, round.foods)?.how === 'exact' &&
    !/^for /i.test(name)
  )
    return null
  // "Flour - 500 g, egg - 1 pc": every piece has its name in front, and the first is none of the others' heading.
  if (
    ALSO_NAMED.test(rest) &&
    STARTS_WITH_NUMBER.test(rest) &&
    round.foods &&
    !ALONE.test(name) &&
    matchFood(name, round.foods)?.how === 'exact'
  )
    return null
  const list =
    STARTS_WITH_NUMBER.test(rest) ||
    /^(?:pinch|handful|knob|dash|some|salt|water|oil|egg|(?:just |simply )?equal (?:parts|amounts|weights?))\b/i.test(
      rest,
    ) ||
    /[,;]/.test(rest)
  if (kind === null) {
    // "Note: ...", "Serves: ..." say something; only a list makes an unknown word a part.
    if (/^(?:also|plus|and|extra|then)$/i.test(name)) return { kind: 'same', name, rest, pieces: null }
    const own = amounts >= 2 && round.foods ? foodsOwn(name, rest, round.foods) : null
    if (own) return { kind: 'filling', name, rest: own, pieces: countIn(name) }
    // "Keema: chicken mince 300 g, onion 1 big": what goes in, by what it is.
    const food = amounts >= 2 && round.foods ? matchFood(name, round.foods) : null
    if (food?.how === 'exact' && (foodIs(food.food, 'flesh') || foodIs(food.food, 'plant-protein')))
      return { kind: 'filling', name, rest, pieces: countIn(name) }
    return amounts >= 2 && (!dash || (name.split(/\s+/).length <= 3 && !STARTS_WITH_NUMBER.test(name)))
      ? { kind: 'unknown', name, rest, pieces: countIn(name) }
      : null
  }
  if (kind === 'method' || kind === 'ingredients') return dash ? null : { kind, name, rest, pieces: null }
  // "Wrappers – bought, 1 packet (30)": what is bought is what the heading names.
  const boughtSo = kind === 'shell' ? BOUGHT_AHEAD.exec(rest)?.[1] : undefined
  if (boughtSo !== undefined)
    return {
      kind,
      name,
      rest: STARTS_WITH_NUMBER.test(boughtSo)
        ? `${boughtSo} ${name}`
        : `bought ${name}${boughtSo && `, ${boughtSo}`}`,
      pieces: null,
    }
  if (dash && !list) return null
  // "Filling 2: curd" over its lines names the filling.
  if (!list && kind === 'filling' && round.next === 'amount' && rest.split(/\s+/).length <= 4)
    return { kind, name: text, rest: '', pieces: countIn(text) }
  // "Filling 1: ... (20 of them)" counts its own pieces.
  const own =
    kind === 'filling'
      ? /\s*\((?:for |makes |x ?)?(\d{1,3})(?: of (?:them|these)| pieces| pcs)?\)\.?$/i.exec(rest)
      : null
  return {
    kind,
    name: name.replace(MAKES_TAIL, '').trim(),
    rest: own ? rest.slice(0, own.index) : rest,
    pieces: own ? Number(own[1]) : countIn(name),
  }
}

/** "Cherries – 500 g pitted, 4 tbsp sugar": the food that leads the list is named once. Its list, or null. */
function foodsOwn(name: string, rest: string, foods: Foods): string | null {
  const named = matchFood(name, foods)
  if (named?.how !== 'exact' || !STARTS_WITH_NUMBER.test(rest)) return null
  const first = rest.split(/,\s+/)[0]!
  const read = readLine(first)
  if (!read.measures.length || matchFood(read.name, foods)) return null
  return `${first} ${name.toLowerCase()}${rest.slice(first.length)}`
}

function countIn(text: string): number | null {
  const yields =
    readYields(text)?.pieces ?? Number(/(?:^\s*|\p{L}\s*)\((\d{1,3})\)\s*:?\s*$/u.exec(text)?.[1] ?? 0)
  if (yields) return yields
  const bare =
    /(?:for|makes?|fills?|x|×)\s*(?:about |approx\.? |~)?(\d{1,3})\b(?!\s*(?:g|kg|ml|oz|lb|cups?|people|persons?|servings?|min|hours?|%))/i.exec(
      text,
    )
  return bare ? Number(bare[1]) : null
}
