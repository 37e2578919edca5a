import type { Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { kindOf } from './headingKinds'
import type { Heading, Surroundings } from './headings'
import { matchFood } from './match'
import { forAllMatches } from './matches'
import { readLine } from './readLine'
import { NUMBER_PATTERN } from './readNumber'
import { PIECES, readYields } from './servings'
import { startsLikeStep } from './stepWords'
import { UNIT_PATTERN } from './units'
import { capital } from './talk'

// "Dough: 300 g flour, 3 g salt": headings that have their list behind them on the same row.

export const MAKES_TAIL = new RegExp(
  String.raw`\s*[-–—,]?\s*(?:\(|\[)?\s*(?:(?:enough )?(?:for|to fill)|makes?|x|×|fills?)\s*(?:about |approx\.? |~)?\d{1,3}(?:\s+(?:of them|of these|large|small|medium|[a-zß-öø-ɏ]+ )?${PIECES})?\s*(?:\)|\])?\s*$`,
  'i',
)

export const AMOUNT = new RegExp(
  `(?:^|[\\s(])(?:\\d[\\d.,/]*|[¼½¾⅓⅔⅛])\\s*(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ\\d])`,
  'i',
)
/** "Chicken mince 300 g", "onion 1 big". */
const AMOUNT_BEHIND = new RegExp(
  String.raw`^[a-zß-öø-ɏ][a-zß-öø-ɏ '-]{2,30}\s(?:\d[\d./]*|[¼½¾⅓⅔])\s*(?:${UNIT_PATTERN}|big|small|large|medium)?\.?$`,
  'i',
)
const ALSO_NAMED = new RegExp(
  String.raw`[,;]\s+[a-zß-öø-ɏ][a-zß-öø-ɏ ()'-]{2,40}?\s*[-–—:=]\s*(?:(?:about |approx\.? |~)?(?:${NUMBER_PATTERN})|to taste|as )`,
  'i',
)
export const STARTS_WITH_NUMBER = new RegExp(`^(?:about |approx\\.? |~)?(?:${NUMBER_PATTERN})`, 'i')
const INLINE =
  /^((?:(?!\.\s)[^:：()\d]|(?<=[Ff]illing |[Dd]ough |[Ss]tuffing |[Ss]auce |[Dd]ip |[Tt]opping |[Oo]ption |[Vv]ersion )\d){2,48}(?:\([^)]*\)\s*)?)(?:[:：]\s*[-–—]?\s*|\s[-–—]\s|\s(?:is )?made (?:with|from|of)\s(?=\d)|\s(?:is|has|takes|needs)\s(?=\d|(?:just |simply )?equal ))(\S.*)$/

export const ALONE =
  /^(?:the )?(?:dough|pastry|short ?crust|hot water crust|rough puff|(?:fresh |egg )?pasta|wrappers?|skins?|crust|shells?|filling|stuffing|inside|egg ?wash|glaze|brush|wash|topping|sauce|dip|chutney|gravy|masala|broth|soup|base|lid)$/i
/** "DOUGH 500 g flour, 250 ml water": the word and its list without a mark between them. */
const WORD_AND_LIST = new RegExp(
  String.raw`^(?!(?:dip|fill|glaze) (?:an?|each|one|half (?:of|with|the))\b)(?:(?:so|now|ok(?:ay)?|then|first(?:ly)?),?\s+)*((?:for (?:the |my )?)?(?:dough|pastry|keema|kheema|short ?crust(?: pastry)?|puff|base|filling|fill|stuffing|inside|topping|glaze|egg ?wash|dip|sauce|shell|crust|meat|veg(?:etables)?))(?:,?\s+(?:(?:you(?:['’]ll| will)?|i|we)\s+(?:need|use|take|want|do|have|got|like|put in)|(?:i['’]?m|i am|we['’]?re|we are|i['’]ll be|we['’]ll be)\s+(?:taking|using|adding)|(?:i|we)(?:['’]ve| have) (?:taken|used)|take))?\s+(?=(?:(?:\d|[¼½¾⅓⅔⅛])[\d./ ]*|(?:one|two|three|half|an?)\s)\s*[a-zß-öø-ɏ])(\S.*)$`,
  'i',
)

/** "Stuffing of paneer 150 g with salt, pepper and coriander". */
const MADE_OF = /^(filling|stuffing|dough|topping) (?:made )?of ([a-zß-öø-ɏ][^:]{3,120})$/i

/** "Stuffing – makes 30: 250 g pork, …": the count stands before the colon. */
const COUNTED_INLINE =
  /^([a-zß-öø-ɏ '-]{3,40}?)\s*[-–—(,]*\s*(?:enough )?(?:for|makes|x)\s*(?:about )?(\d{1,3})\b[^:]{0,20}:\s*(\S.*)$/i

/** "Cook the filling the day before: 700 g beef, 1 onion": the list of what is told to be made. */
const MADE_BEFORE =
  /^(?:cook|make|prepare|mix|start with|begin with)\s+(?:the |your )?(filling|stuffing|dough|pastry|sauce|dip)\b[^:\d]{0,30}:\s*((?:\d|[¼½¾⅓⅔]|an? |one |two )\S*.*)$/i

/** "Dip is soy and rice vinegar half and half": as much of one as of the other. */
const HALF_AND_HALF =
  /^(?:(?:and|then|so) )?(?:the |a |my |our )?(dip|dipping sauce|sauce)(?:\s+is\s+(?:just )?|:\s*|\s+[-–]\s+)([a-zß-öø-ɏ][a-zß-öø-ɏ ]{1,24}?) (?:and|&|\+) ([a-zß-öø-ɏ][a-zß-öø-ɏ ]{1,24}?),? (?:half and half|half[ -]half|50\/50|fifty[ -]fifty|in equal (?:parts|amounts|measure))\W*$/i

/** "Bought, 1 packet (30)". */
const BOUGHT_AHEAD =
  /^(?:(?:shop|store)[- ]?)?(?:bought|ready[- ]?made)(?: ones)?(?:[,;]\s*|\s+(?=\d)|$)(.*)$/i
/** "40 store bought (1 pack)". */
const SO_MANY_BOUGHT = /^(\d{1,3}) (?:(?:shop|store)[- ]?)?(?:bought|ready[- ]?made)(?: ones)?(?=\W|$)(.*)$/i

/** "1 pack (about 50)", "2 x 270 g packets": how many packs, and not of what. */
const PACK_ALONE =
  /^((?:\d{1,2}|an?|one|two|half a)(?: ?[x×] ?\d{2,4} ?g)? (?:pack|packet|package|pkt|box|bag|roll|tube)s?)(?=\s*(?:$|[(,]))(.*)$/i

/** A dip that is told by its two halves: what it is called, and its list. */
export function halfAndHalf(text: string): { name: string; rest: string } | null {
  const found = HALF_AND_HALF.exec(text)
  return found && { name: capital(found[1]!), rest: `equal parts ${found[2]!} and ${found[3]!}` }
}

export function inlineHeading(text: string, round: Surroundings): Heading | null {
  const made = MADE_BEFORE.exec(text)
  if (made && made[2]!.split(',').length > 2)
    return {
      kind: kindOf(made[1]!)!,
      name: capital(made[1]!),
      rest: made[2]!,
      pieces: null,
    }
  const halves = halfAndHalf(text)
  if (halves) return { kind: 'dip', ...halves, pieces: null }
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
  // "Keema 200 g, 1 onion": so much of it, and others with it.
  const isOfItself =
    run !== null &&
    /^(?:meat|veg|k?heema|keema)/i.test(run[1]!) &&
    /^[\d./\s¼½¾⅓⅔⅛]+(?:g|gms?|grams?|kg|oz|lbs?|cups?)\s*(?:,|$)/i.test(run[2]!)
  if (isOfItself) return null
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
  // "Stuffing of paneer 150 g with salt and pepper".
  const madeOf = MADE_OF.exec(text)
  if (madeOf && AMOUNT.test(madeOf[2]!) && !startsLikeStep(text))
    return {
      kind: kindOf(madeOf[1]!)!,
      name: madeOf[1]!,
      rest: madeOf[2]!.replace(/ with (?=\p{L})/u, ', '),
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
  // "Tip: use good flour" says something, though it begins like work.
  const says = /[:：]/.test(text.slice(0, inline[1]!.length + 1)) ? kindOf(name) : null
  if (says === 'remarks' || says === 'noise') return { kind: says, name, rest, pieces: null }
  // "Dry pan, medium - 5 min one side" is done.
  if (HEAT_OR_MINUTES.test(rest)) return null
  // "Cook the inside till dry: onions first, then the meat" is done.
  if (
    /^(?!to\b|for\b)/i.test(name) &&
    name.split(/\s+/).length >= 3 &&
    startsLikeStep(name) &&
    !STARTS_WITH_NUMBER.test(rest) &&
    !/^(?:prepare|make)\b/i.test(name)
  )
    return null
  if (name.split(/\s+/).length > 7 || (startsLikeStep(rest) && !areFoods(rest, round.foods))) return null
  // "Roll pastry: one of 28 cm and one of 32" is done.
  if (/^(?:roll|cut|shape|divide|stamp|knead|bake|fry|steam|boil)\s+[a-zß-öø-ɏ]/i.test(name)) return null
  // "On each wrapper: half a slice of cheese" is done with every one of them.
  if (/^(?:on|onto|in|into|to|over) (?:each|every|one)\b/i.test(name)) return null
  const dash = !/[:：]/.test(text.slice(0, inline[1]!.length + 1))
  // "Mix dough - soft. 15 min" is done.
  if (
    dash &&
    /^(?:mix|make|rest|prepare) (?:the |your )?[a-zß-öø-ɏ]+$/i.test(name) &&
    !STARTS_WITH_NUMBER.test(rest)
  )
    return null
  // "Impasto (dough): 500 g flour, …": the bracket says what the word does not.
  const bracket = /\(([^)]{3,30})\)/.exec(name)?.[1]
  const kind = kindOf(name) ?? (bracket && !dash ? kindOf(bracket) : null)
  if (kind === 'remarks' || kind === 'noise') return null
  if (!/\p{L}{2}/u.test(rest.replace(AMOUNT, ' '))) return null
  // "Bread flour: 300 g, sifted" is a line; "Dough: 300 g flour, 3 g salt" is a heading with its lines.
  const open = rest.replace(/\([^()]*\)/g, '')
  const amounts = open.split(/,|;|\s[/+]\s|\s(?:and|&)\s(?=\d)/).filter(
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
  const soMany = kind === 'shell' ? SO_MANY_BOUGHT.exec(rest) : null
  if (soMany) return { kind, name, rest: `${soMany[1]} ${name.toLowerCase()}${soMany[2]!}`, pieces: null }
  // "Pastry discs: 20 (12 cm), defrosted".
  const soManyOf = kind === 'shell' ? /^(\d{1,3})(?=\s*(?:$|[(,]))(.*)$/.exec(rest) : null
  if (soManyOf && /\b(?:dis[ck]s|wrappers?|skins?|rounds|sheets|tapas)\b/i.test(name))
    return { kind, name, rest: `${soManyOf[1]} ${name}${soManyOf[2]!}`, pieces: null }
  // "Wrappers: 1 pack (about 50)".
  const pack = kind === 'shell' ? PACK_ALONE.exec(rest) : null
  if (pack) return { kind, name, rest: `${pack[1]!} ${name.toLowerCase()}${pack[2]!}`, pieces: null }
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
  // "To serve - fried onions & sour cream": foods, and nothing else.
  const isNamed = (kind === 'dip' || kind === 'finish') && round.foods && namesFoods(rest, round.foods)
  if (dash && !list && !isNamed) return null
  // "Filling 2: curd" over its lines names the filling.
  if (
    !list &&
    kind === 'filling' &&
    amounts === 0 &&
    round.next === 'amount' &&
    rest.split(/\s+/).length <= 4
  )
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

const HEAT_OR_MINUTES = /^(?:about |for )?\d[\d–-]* ?(?:min|mins|minutes|hrs?|hours?)\b/i

const namesFoods = (rest: string, foods: Foods): boolean =>
  rest
    .split(/,\s+|\s+(?:and|&|\+)\s+/)
    .every((piece) => piece.split(' ').length <= 3 && matchFood(readLine(piece).name, foods)?.how === 'exact')

/** "To cook: oil, water": the first may be a verb as well, and is a food among foods. */
const areFoods = (rest: string, foods: Foods | undefined): boolean => {
  return foods !== undefined && /,\s/.test(rest) && namesFoods(rest, foods)
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

export function countIn(text: string): number | null {
  const yields =
    readYields(text)?.pieces ?? Number(/(?:^\s*|\p{L}\s*)\((\d{1,3})\)\s*:?\s*$/u.exec(text)?.[1] ?? 0)
  if (yields) return yields
  const bare =
    /(?:for|makes?|fills?|x|×)\s*(?:about |approx\.? |~)?(\d{1,3})\b(?!\s*(?:g|kg|ml|oz|lb|cups?|people|persons?|servings?|min|hours?|%))/i.exec(
      text,
    )
  return bare ? Number(bare[1]) : null
}
