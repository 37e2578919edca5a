import type { Food, Foods } from '../food/food'
import { foodIs } from '../food/groups'
import { FOR_ALL, isOnAPiece } from './forAll'
import { PREP_WORDS } from './lineName'
import { both, isAromatic, pieces, shareOut, type LinePart, type Split } from './lineParts'
import { matchFood, normaliseName } from './match'
import { isMass } from './measures'
import { asGround } from './oneAmount'
import { readLine } from './readLine'
import { readNumber } from './readNumber'

// "Salt, pepper and chilli powder", "100 g ham and cheese": foods that are listed behind one amount or none.

/** So many foods are listed on one line. */
const MAX_LISTED = 24
export const PREPARATION = new RegExp(
  String.raw`^(?:(?:not too|more or less)\s+)*(?:${PREP_WORDS}|(?:patted|squeezed|salted|fried|browned|seasoned|marinated)(?= (?:out|dry|off|well|then|and|&|until|till|for|in)\b|\W*$)|hot|boiled|cooked|raw|fresh|frozen|dry|large|small|medium|ripe|each |separated|whole|plain|leaves|tops|white|green|for |to |at |or |if |plus |about |as |in |cut |from |not |without |optional|ready|half )`,
  'i',
)

export const ALL_SEASONING = /^(?:usual |all |plenty of |good )*seasoning(?: to taste)?()$/i
const OF_CITRUS = /^(?:zest|rind|juice) of (.+)$/i

export const FOR_TOP = /\b(?:to|for) (?:brush|glaz|finish|the top|wash)/i

/** A food that the larder knows by its name, or several of them in a row: "salt pepper". */
export const isKnown = (piece: string, foods: Foods, split: Split): boolean =>
  matchFood(readLine(piece).name, foods)?.how === 'exact' ||
  (piece.length < 60 && split(piece, foods).length > 1)

/**
 * A list of foods behind one amount or none: "salt, pepper and chilli powder", "100 g ham and cheese",
 * "mixed herbs and chilli flakes". Only where every piece is a food and the whole is none.
 */
export function splitFoods(raw: string, foods: Foods, split: Split): LinePart[] | null {
  const read = readLine(raw)
  const prepares = (piece: string) =>
    // "½ tsp salt, for the cabbage": what it is for is nothing to buy.
    /^(?:well |lightly )?(?:squeezed|wrung|drained|rid) (?:out )?(?:of|free of) (?:(?:its|all|the|excess|extra|any) )*(?:water|liquid|juices?|moisture)\b|^(?:(?:the|any|all|excess) )*(?:water|liquid|moisture|juices?) (?:squeezed|pressed|drained|wrung|poured|strained)/i.test(
      piece,
    ) ||
    /^(?:for (?:the |your )|no (?:added |extra )?|without |all[- ]butter$|(?:some |a little )?(?:more|extra) (?:for|to)\b)/i.test(
      piece,
    ) ||
    (PREPARATION.test(piece) &&
      matchFood(readLine(piece).name, foods)?.how !== 'exact' &&
      matchFood(piece.replace(/^(?:shredded|grated|crumbled|sliced|chopped|diced)\s+/i, ''), foods)?.how !==
        'exact')
  const listed: string[] = []
  for (const { text, joint } of pieces(raw)) {
    // "…, to serve" is what all of it is for, and no piece.
    // "…, oil 1 tbsp + for frying": the last goes on.
    if (
      listed.length &&
      /\+|plus/i.test(joint) &&
      /^(?:for|to) /i.test(text) &&
      readLine(text).purpose &&
      !readLine(text).name
    ) {
      listed[listed.length - 1] += ` + ${text}`
      continue
    }
    const isPurpose = FOR_ALL.exec(`, ${text}`)?.[1] === text && text.split(' ').length <= 3
    if (listed.length && (isPurpose || (FOR_ALL.test(`, ${text}`) && !/\p{L}/u.test(readLine(text).name))))
      listed[listed.length - 1] += `, ${text}`
    else {
      // "Zest & juice of 1 lemon" in a list is of one lemon.
      const of = /^(?:zest|rind|juice)$/i.test(listed.at(-1) ?? '') ? OF_CITRUS.exec(text)?.[1] : undefined
      if (of) listed[listed.length - 1] += ` of ${of}`
      listed.push(...(ALL_SEASONING.test(text) ? ['salt', 'pepper'] : [text]))
    }
  }
  // "100 g bacon or fried onions, soured cream": the choice is one piece's, not the line's.
  const choiceAt = listed.findIndex((piece) => /\sor\s|[a-zß-öø-ɏ]{3}\s*\/\s*[a-zß-öø-ɏ]{3}/i.test(piece))
  // "1 egg yolk, sesame or nigella seeds": what is strewn is chosen among what is strewn.
  const isStrewn = (piece: string) => {
    const food = matchFood(readLine(piece.split(/\sor\s/).at(-1)!).name, foods)?.food
    return food !== undefined && /^(?:seed|herb|spice)$/.test(food.group)
  }
  const ownChoice =
    choiceAt < listed.length - 1 ||
    (choiceAt > 0 && isStrewn(listed[choiceAt]!) && !listed.slice(0, choiceAt).some(isStrewn))
  const apart =
    choiceAt >= 0 && ownChoice && listed.every((piece, at) => at === choiceAt || isKnown(piece, foods, split))
  if (apart) return listed.flatMap((piece, at) => (at === choiceAt ? both([piece]) : split(piece, foods)))
  if (read.alternative) return null
  if (
    listed.length < 2 ||
    listed.length > MAX_LISTED ||
    listed
      .slice(1)
      .some((piece) =>
        /^\d+(?:[.,]\d+)?\s*(?:cm|mm|inch|%|percent|\/\s*\d\d$)|^[\d./¼½¾]+\s*(?:["”]|in\b|cm|mm|inch)|^(?:about )?[\d.]+ ?(?:g|oz|lbs?|kg) each\b/i.test(
          piece,
        ),
      ) ||
    listed.some(
      (piece) => !/\p{L}{2}/u.test(readLine(piece).name) || readNumber(piece)?.length === piece.length,
    )
  )
    return null
  const whole = matchFood(read.name, foods)
  if (whole?.how === 'exact' && !/[,;]|\s(?:and|&|\+)\s/.test(read.name) && listed.slice(1).every(prepares))
    return null
  // "Sage and onion" is the name of one; "2 onions & salt" is no onion salt.
  const endsInOther = /^(?:salt|oil|solid-fat)$/.test(
    matchFood(readLine(listed.at(-1)!).name, foods)?.food.group ?? '',
  )
  if (
    /\s(?:and|&)\s/.test(read.name) &&
    whole?.how === 'exact' &&
    !(endsInOther && read.measures.length && !isCalledSo(whole.food, read.name))
  )
    return null
  // What prepares a piece belongs to the piece before it.
  const own: string[] = []
  for (const piece of listed) {
    if (own.length && prepares(piece))
      own[own.length - 1] += `${/^(?:some |a little )?(?:more|extra)\b/i.test(piece) ? ' +' : ','} ${piece}`
    else own.push(piece)
  }
  if (own.length < 2) return null
  // "500 g minced beef and pork": both are.
  const isMeat = foodIs(matchFood(readLine(own[0]!).name, foods)?.food, 'flesh')
  if (isMeat && /\s(?:and|&|\+)\s/.test(raw)) own.splice(0, own.length, ...own.map(asGround(foods)))
  const last = own.at(-1)!
  // "ginger and garlic paste": the last noun is every piece's.
  const shared =
    /^.+\s+(paste|powder|powders|seeds?|flakes|leaves|oil|flour|cheese|mince|juice)(?:[\s,(].*)?$/i.exec(last)
  const names: string[] = []
  // "1 tsp cumin and coriander": what is counted in teaspoons beside a spice is one as well; behind a mere comma, as in
  // "1/4 tsp chilli powder, coriander, salt", it is the leaf.
  const ofSpice =
    /\s(?:and|&|\+)\s/.test(raw) &&
    readLine(own[0]!).measures[0]?.[0]?.unitId === 'tsp' &&
    matchFood(readLine(own[0]!).name, foods)?.food.group === 'spice'
  const matches = own.map((piece, at) => {
    const name = readLine(piece).name
    // … but what follows the salt has left the spices: "1/2 tsp garam masala, salt, coriander".
    const amongSpices = own
      .slice(1, at)
      .every((one) => matchFood(readLine(one).name, foods)?.food.group !== 'salt')
    const ground = ofSpice && amongSpices && at > 0 ? matchFood(`ground ${name}`, foods) : null
    if (ground?.how === 'exact' && ground.food.group === 'spice' && !readLine(piece).measures.length) {
      names.push(`ground ${piece}`)
      return ground
    }
    const exact = matchFood(name, foods)
    if (exact?.how === 'exact') {
      names.push(piece)
      if (shared && at < own.length - 1 && !/(?:paste|powder)/i.test(piece)) {
        const better = matchFood(`${name} ${shared[1]}`, foods)
        if (better?.how === 'exact' && better.food.id === exact.food.id) return exact
      }
      return exact
    }
    const longer = shared && at < own.length - 1 ? matchFood(`${name} ${shared[1]}`, foods) : null
    names.push(longer?.how === 'exact' ? `${piece} ${shared![1]}` : piece)
    return longer?.how === 'exact' ? longer : exact
  })
  const amounts = own.map((piece) => readLine(piece).measures.length > 0)
  // "a handful of greens, chilli oil": a short name that is half known is an ingredient, not a preparation.
  const known = matches.filter(
    (match, at) =>
      match?.how === 'exact' || (match?.how === 'part' && at > 0 && own[at]!.split(' ').length <= 3),
  ).length
  const anyAmountLater = amounts.slice(1).some(Boolean)
  const strange = own.find(
    (_, at) => !matches[at] || (matches[at].how !== 'exact' && (matches[at].how !== 'part' || at === 0)),
  )
  // In a list without any amount one strange name may stand among known ones.
  const plainList = !amounts.some(Boolean) && own.length >= 3 && (strange?.split(' ').length ?? 0) <= 3
  // "3 shallots, mushroom seasoning, pepper": so may one behind a first that has its amount.
  const oneStrange =
    own.length >= 3 &&
    amounts[0] &&
    !anyAmountLater &&
    matches[0]?.how === 'exact' &&
    matches.at(-1)?.how === 'exact' &&
    (strange?.split(' ').length ?? 0) <= 2
  // "1 tbsp pom molasses, raisins": the second is another food, however strange the first is.
  const strangeFirst =
    own.length === 2 &&
    amounts[0] &&
    !anyAmountLater &&
    matches[0]?.how === 'part' &&
    matches[1]?.how === 'exact' &&
    !matches[1].leftOver.length &&
    matches[0].food.group !== matches[1].food.group
  // "Maida 3 cup, xyz half spoon, oil 1 tbsp": where most have their amount each is a line, known or not.
  const isTable =
    amounts.filter(Boolean).length >= LEAST_IN_TABLE &&
    known >= 2 &&
    own.every((piece, at) => matches[at]?.how === 'exact' || piece.split(' ').length <= 4)
  if (
    known < own.length &&
    !isTable &&
    !strangeFirst &&
    !((plainList || oneStrange) && known === own.length - 1) &&
    (!anyAmountLater || known < own.length - 1 || /^\S*\s*\S*\s*(?:more|extra)\b/i.test(strange ?? ''))
  )
    return null
  const distinct = new Set(matches.flatMap((match) => match?.food.id ?? [])).size
  // "2 tbsp oil, oil for deep frying" is the same food twice.
  const isAgain = amounts[0] && own.slice(1).every((piece) => readLine(piece).purpose !== null)
  if (distinct < 2 && !isAgain) return null
  // "150 g cheese, cheddar": the second names the first more closely.
  if (
    amounts[0] &&
    !anyAmountLater &&
    own.length === 2 &&
    !isAgain &&
    matches[0]?.food.group === matches[1]?.food.group &&
    NAMES_A_KIND.test(readLine(own[0]!).name) &&
    !/\s(?:and|&|\+|plus)\s/.test(raw)
  )
    return null
  // "5 oz butter and cold water", "1 egg and sesame": only what is alike shares an amount.
  const byWeight = read.measures.some(isMass)
  const alike =
    new Set(matches.flatMap((match) => (match ? [familyOf(match.food, byWeight)] : []))).size === 1
  // "1 egg to brush + sesame seeds": nor are seeds counted as eggs are.
  const strewn =
    matches.slice(1).some((match) => match?.food.group === 'seed') && matches[0]?.food.group !== 'seed'
  // "1 egg + seeds for the top": both go there.
  if (strewn && matches[0]?.food.group.startsWith('egg') && FOR_TOP.test(names.at(-1)!))
    return names.map((text) => ({ text: FOR_TOP.test(text) ? text : `${text}, to finish`, told: '' }))
  if (strewn && FOR_TOP.test(names[0] ?? '') && !/\b(?:extra|more)\b/i.test(names[0]!))
    return names.map((text, at) => ({ text: at === 0 ? text : `${text}, to finish`, told: '' }))
  const isSpices = ofSpice && matches.every((match) => match?.food.group === 'spice')
  if (alike && amounts[0] && !anyAmountLater && /\s(?:and|&|\+)\s/.test(isSpices ? raw : read.name))
    return shareOut(raw, names)
  // "Green chilli + ginger + garlic crushed 2 tbsp": the amount behind the last is for all.
  const behindAll = !amounts.slice(0, -1).some(Boolean) && amounts.at(-1) && read.measures.length > 0
  if (alike && behindAll && own.length >= 2 && /\s(?:\+|and|&)\s/.test(raw) && !/[,;]/.test(raw))
    return shareOut(raw, names)
  // "Passata with oregano 100 g": so much of what the herb is in.
  const behind = behindAll && /\s(?:with|w\/)\s/i.test(raw) ? AMOUNT_AT_END.exec(names.at(-1)!) : null
  if (behind && names.length === 2 && /^(?:herb|spice)$/.test(matches[1]?.food.group ?? ''))
    return both([`${behind[2]!} ${names[0]!}`, behind[1]!])
  const tail = read.unmeasured === 'to taste' ? ' to taste' : ''
  // "egg yolk + splash of milk for brushing": what the line says it is for holds for all of it.
  const purpose = FOR_ALL.exec(names.at(-1)!)
  if (purpose) return both(names)
  // "Egg + yoghurt to glaze, nigella": what is joined to it before, and what is strewn on it behind.
  const at = names.findIndex((name) => ON_TOP.test(name))
  if (at > 0) {
    const of = ON_TOP.exec(names[at]!)![1]!
    return both(names.map((text, n) => (n > at && isOnAPiece(matches[n]) ? `${text}, ${of}` : text)))
  }
  // "Egg wash & black sesame" is on top altogether.
  if (/^(?:[a-zß-öø-ɏ]+ )?(?:wash|glaze)$/i.test(names[0]!))
    return names.map((text, at) => ({ text: at === 0 ? text : `${text}, to finish`, told: '' }))
  // "Egg to glaze, caster sugar" finishes with both.
  const first = /((?:for|to) (?:brush(?:ing)?|glaz(?:e|ing)|sprinkl(?:e|ing)|finish))$/i.exec(names[0]!)
  if (first) return names.map((text, at) => ({ text: at === 0 ? text : `${text}, ${first[1]}`, told: '' }))
  if (names.some((text) => AND_FOR.test(text)))
    return names.flatMap((text) => (AND_FOR.test(text) ? [...split(text, foods)] : both([text])))
  return names.map((text) => ({
    text: tail && !/taste/.test(text) && !readLine(text).measures.length ? `${text}${tail}` : text,
    told: '',
  }))
}

/** So many amounts on one line are of so many foods. Our own choice. */
const LEAST_IN_TABLE = 3
const AMOUNT_AT_END = /^([a-zß-öø-ɏ][a-zß-öø-ɏ -]*?),?\s+((?:about )?[\d¼½¾⅓⅔][\d./]*\s?[a-zß-öø-ɏ]+)\.?$/i
const AND_FOR = / \+ (?:for|to) /i
/** Whether a food has a name with an "and" in it that is this one. */
const isCalledSo = (food: Food, name: string): boolean =>
  [food.name, ...food.synonyms].some(
    (own) => /\b(?:and|n)\b|&/.test(own) && normaliseName(own) === normaliseName(name.replace(/&/g, 'and')),
  )

type Family = (food: Food) => boolean
/** Vegetables, cheese and meat are weighed together for a filling, and never counted so. Common practice, no source. */
const IN_FILLINGS: readonly Family[] = [
  (food) => foodIs(food, 'vegetable') || food.group === 'pulse',
  (food) => foodIs(food, 'cheese') || food.group === 'plant-cheese',
  (food) => foodIs(food, 'flesh') || food.group === 'cured-fish',
]
/** What else cooks measure together: fats, flours, nuts with raisins. Common practice, no source. */
const FAMILIES: readonly Family[] = [
  ...IN_FILLINGS,
  ({ group }) => /^(?:nut|dried-fruit|fruit|seed)$/.test(group),
  ({ group }) => /^(?:solid-fat|oil)$/.test(group),
  (food) => foodIs(food, 'flour'),
]
/** The family that a food shares an amount with; its group where it has none. */
const familyOf = (food: Food, byWeight: boolean): string => {
  // Nobody counts garlic with the onions.
  if (isAromatic(food)) return 'aromatics'
  if (byWeight && IN_FILLINGS.some((holds) => holds(food))) return 'filling'
  const family = FAMILIES.findIndex((holds) => holds(food))
  return family < 0 ? food.group : String(family)
}

/** "Cheese", "white fish", "mince": of which a second word may say what it is of. */
const NAMES_A_KIND =
  /\b(?:cheese|oil|fat|flour|fish|meat|mince|nuts|seeds|beans|milk|sugar|yeast|pastry|chocolate|stock|mushrooms?|yogh?urt|cream|bread|noodles|vinegar|sausages?|protein|greens|pulses|lentils)$/i
const ON_TOP = /,?\s*((?:for|to) (?:brush(?:ing)?|glaz(?:e|ing)))$/i
