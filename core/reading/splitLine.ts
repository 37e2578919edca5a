import type { Foods } from '../food/food'
import { FOR_ALL, isOnAPiece, withPurposes } from './forAll'
import {
  aromaticsInRow,
  both,
  pieces,
  seasoningsInRow,
  shareOut,
  withCommas,
  type LinePart,
} from './lineParts'
import { matchFood } from './match'
import { mayHoldNumber, NUMBER_PATTERN, readNumber } from './readNumber'
import { PREP_WORDS, readLine } from './readLine'
import { andSomeFor, FILLED_UP, sharedOut } from './sharedOut'
import { NAME_THEN_MEASURED, withEachInBrackets } from './plainLine'
import { rememberWith } from './remember'
import { MAX_ROW_CHARACTERS } from './tidy'
import { UNIT_PATTERN } from './units'

const JOIN = new RegExp(
  String.raw`,?\s+(?:(?:(?:beaten|mixed|whisked|blended|thinned|scrambled|mashed|melted|coloured|colored|infused)\s+)?(?:\+|plus|and|with|to|&)|(?:melted|coloured|colored|infused|beaten|mixed) w\/|(?:(?:fried|cooked|browned|softened|saut[eé]ed|soaked|dissolved|wilted|made up|crumbled)(?: (?:for )?(?:about )?\d{1,3}(?:-\d{1,3})? ?min\w*)? (?:in|into|with)|(?<=\b(?:cubes?|pots?|powder|granules) )in))\s+(?=(?:${NUMBER_PATTERN})(?:\s|[a-z]))`,
  'iu',
)
/** "1 onion, 2 carrots", "300 g flour / 5 g yeast": a mark with an amount behind it. */
const COMMA = new RegExp(
  String.raw`(?:,|;|\s\/)\s+(?=(?:about |approx\.? |~)?(?:${NUMBER_PATTERN})\s*(?!(?:finely |roughly )?(?:chopped|sliced|minced|peeled)\b|cm\b|inch(?:es)?\b(?!\s+(?:piece|knob|of\b|fresh|ginger|galangal|turmeric|cinnamon|root|adrak))|mm\b|or\b|to\b|hours?\b|hrs?\b|min|days?\b|days\b|(?:extra )?(?:large|medium|small|big)\b\W*(?:,|$|\)|peeled|chopped|diced|sliced|grated|ones)|%)\p{L})`,
  'iu',
)
const FRIED_IN = /\b(fried|browned|softened|saut[eé]ed|wilted)\b.*\bin\b/i
const SOFTENED_IN =
  /^(.*?\S)\s*(?:\(([^()]*\b(?:fried|browned|softened|saut[eé]ed|sweated|cooked))\s+in\s+|,\s*(scrambled|fried|softened|browned|saut[eé]ed)\s*\((?:in|with)\s+)((?:\d|an? |[¼½¾])[^(),]*\b(?:oil|butter|ghee|lard))\b[^()]*\)$/i
/** "1 tsp each of cumin and coriander": the amount holds for all. */
const EACH = /^((?:[^,]*\d|[¼½¾⅓⅔⅛]|an? |one |two |half ).*?)\s+each(?:\s+of)?\s*:?\s+(.+)$/i
/** "cumin, coriander and turmeric, 1/2 tsp each". */
const EACH_BEHIND = /^(\p{L}.*?)\s*[,:–-]?\s+((?:\d|[¼½¾⅓⅔⅛]|an? |half ).{0,24}?)\s+(?:of\s+)?each\.?$/iu
const SEASONING =
  /^(.*?\bsalt)\s*(?:and|&|\+|\/)\s*((?:(?:plenty of |some |a little )?(?:freshly )?(?:ground )?(?:black |white )?)pepper)\b(.*)$/i
const EVERY_COMMA = new RegExp(COMMA, 'giu')
const EVERY_JOIN = new RegExp(JOIN, 'giu')
/** So many foods are listed on one line. */
const MAX_LISTED = 24
/** So many places of one line are tried at which it may go on to another food. */
const MAX_JOINS = 12
const SHORT_SEASONING = /^s\s*(?:&|\+|n|and)\s*p\b(.*)$/i
/** "2 parts soy drink to 1 part syrup". */
const RATIO = /^(.*?\bparts?\s+.+?)\s+to\s+((?:\d|one|two|half).*?\bparts?\s+.+)$/i

/** "150 g butter 1 egg 2 tbsp water": amounts follow one another without a mark. */
const RUN_ON =
  /\s+(?=(?:\d[\d./]*|[¼½¾⅓⅔])\s*(?:g|gm|gms|kg|ml|l|oz|lb|lbs|cups?|tbsp|tsp|c|T|t)\b\.?\s*\p{L}{3}|\d{1,2}\s+\p{L}{3}|(?:half|quarter|an?|one|two|three|four|five|six)\s+(?:an?\s+)?(?:cups?|tsp|teaspoons?|tbsp|tablespoons?|pinch|handful)\s+(?:of\s+)?\p{L}{3})/giu

const PREPARATION = new RegExp(
  String.raw`^(?:(?:not too|more or less)\s+)*(?:${PREP_WORDS}|hot|boiled|cooked|raw|fresh|frozen|dry|large|small|medium|ripe|each |separated|whole|plain|leaves|tops|white|green|for |to |at |or |if |plus |about |as |in |cut |from |not |without |optional|ready|half )`,
  'i',
)

const ALL_SEASONING = /^(?:usual |all |plenty of |good )*seasoning(?: to taste)?()$/i
const OF_CITRUS = /^(?:zest|rind|juice) of (.+)$/i

/** A food that the larder knows by its name, or several of them in a row: "salt pepper". */
const isKnown = (piece: string, foods: Foods): boolean =>
  matchFood(readLine(piece).name, foods)?.how === 'exact' ||
  (piece.length < 60 && split(piece, foods).length > 1)

/**
 * A list of foods behind one amount or none: "salt, pepper and chilli powder", "100 g ham and cheese",
 * "mixed herbs and chilli flakes". Only where every piece is a food and the whole is none.
 */
function splitFoods(raw: string, foods: Foods): LinePart[] | null {
  const read = readLine(raw)
  const prepares = (piece: string) =>
    // "½ tsp salt, for the cabbage": what it is for is nothing to buy.
    /^(?:for (?:the |your )|no (?:added |extra )?|without |all[- ]butter$|(?:some |a little )?(?:more|extra) (?:for|to)\b)/i.test(
      piece,
    ) ||
    (PREPARATION.test(piece) &&
      matchFood(readLine(piece).name, foods)?.how !== 'exact' &&
      matchFood(piece.replace(/^(?:shredded|grated|crumbled|sliced|chopped|diced)\s+/i, ''), foods)?.how !==
        'exact')
  const listed: string[] = []
  for (const { text } of pieces(raw)) {
    // "…, to serve" is what all of it is for, and no piece.
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
  const choiceAt = listed.findIndex((piece) => /\s(?:or)\s/i.test(piece))
  const apart =
    choiceAt >= 0 &&
    choiceAt < listed.length - 1 &&
    listed.every((piece, at) => at === choiceAt || isKnown(piece, foods))
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
  if (/\s(?:and|&)\s/.test(read.name) && whole?.how === 'exact') return null
  // What prepares a piece belongs to the piece before it.
  const own: string[] = []
  for (const piece of listed) {
    if (own.length && prepares(piece)) own[own.length - 1] += `, ${piece}`
    else own.push(piece)
  }
  if (own.length < 2) return null
  const last = own.at(-1)!
  // "ginger and garlic paste": the last noun is every piece's.
  const shared =
    /^.+\s+(paste|powder|powders|seeds?|flakes|leaves|oil|flour|cheese|mince|juice)(?:[\s,(].*)?$/i.exec(last)
  const names: string[] = []
  // "1 tsp cumin and coriander": what is counted in teaspoons beside a spice is one as well.
  const ofSpice =
    readLine(own[0]!).measures[0]?.[0]?.unitId === 'tsp' &&
    matchFood(readLine(own[0]!).name, foods)?.food.group === 'spice'
  const matches = own.map((piece, at) => {
    const name = readLine(piece).name
    const ground = ofSpice && at > 0 ? matchFood(`ground ${name}`, foods) : null
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
  if (
    known < own.length &&
    !((plainList || oneStrange) && known === own.length - 1) &&
    (!anyAmountLater || known < own.length - 1 || /^\S*\s*\S*\s*(?:more|extra)\b/i.test(strange ?? ''))
  )
    return null
  const distinct = new Set(matches.map((match) => match?.food.id)).size
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
    !/^(?:sauce|spice|herb|seasoning)$/.test(matches[0]?.food.group ?? '') &&
    !/\s(?:and|&|\+|plus)\s/.test(raw)
  )
    return null
  // "5 oz butter and cold water": nobody shares an amount with water, salt or a spice.
  const alike =
    matches.every(
      (match) => !match || !/^(?:liquid|salt|spice|herb|leavening|seasoning)$/.test(match.food.group),
    ) || new Set(matches.map((match) => match?.food.group)).size === 1
  // "1 egg to brush + sesame seeds": nor are seeds counted as eggs are.
  const strewn =
    matches.slice(1).some((match) => match?.food.group === 'seed') && matches[0]?.food.group !== 'seed'
  if (strewn && FOR_TOP.test(names[0] ?? '') && !/\b(?:extra|more)\b/i.test(names[0]!))
    return names.map((text, at) => ({ text: at === 0 ? text : `${text}, to finish`, told: '' }))
  const isSpices = ofSpice && matches.every((match) => match?.food.group === 'spice')
  if (alike && amounts[0] && !anyAmountLater && /\s(?:and|&|\+)\s/.test(isSpices ? raw : read.name))
    return shareOut(raw, names)
  // "Green chilli + ginger + garlic crushed 2 tbsp": the amount behind the last is for all.
  const behindAll = !amounts.slice(0, -1).some(Boolean) && amounts.at(-1) && read.measures.length > 0
  if (alike && behindAll && own.length >= 2 && /\s(?:\+|and|&)\s/.test(raw) && !/[,;]/.test(raw))
    return shareOut(raw, names)
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
  if (/^(?:\p{L}+ )?(?:wash|glaze)$/iu.test(names[0]!))
    return names.map((text, at) => ({ text: at === 0 ? text : `${text}, to finish`, told: '' }))
  // "Egg to glaze, caster sugar" finishes with both.
  const first = /((?:for|to) (?:brush(?:ing)?|glaz(?:e|ing)|sprinkl(?:e|ing)|finish))$/i.exec(names[0]!)
  if (first) return names.map((text, at) => ({ text: at === 0 ? text : `${text}, ${first[1]}`, told: '' }))
  return names.map((text) => ({
    text: tail && !/taste/.test(text) && !readLine(text).measures.length ? `${text}${tail}` : text,
    told: '',
  }))
}

const ON_TOP = /,?\s*((?:for|to) (?:brush(?:ing)?|glaz(?:e|ing)))$/i

/**
 * Separates a line that names several ingredients: "1 egg beaten with 1 tbsp milk", "2 eggs plus 1 yolk",
 * "salt, pepper and chilli powder". A compound amount ("1 cup plus 2 tbsp flour") stays one line.
 *
 * @param raw the line as written
 * @param foods the larder: lists of foods without amounts of their own are taken apart by it
 * @returns one part for each ingredient; together they hold every word of the original
 */
export const splitLine: (raw: string, foods: Foods) => readonly LinePart[] = rememberWith((line, foods) => {
  // "1 egg + 1 tbsp water (egg wash)": the bracket says what both are for.
  const raw = withEachInBrackets(line)
    .replace(/\s*\((?:for (?:the )?)?(egg ?wash|glaze|brushing)\)\s*$/i, ', for $1')
    // "1 tbsp flour + water paste": of the water nothing is left.
    .replace(
      /^(.*\d.*(?:flour|maida|cornflour|cornstarch)) (?:\+|and|&|mixed with|mixed in) (?:a little |some |a bit of )?water(?:,? (?:to|into|as|for) (?:an? )?(?:make (?:an? )?)?)? ?(?:thick )?(?:paste|slurry|glue)\b.*$/i,
      '$1, for paste',
    )
    // "Melted butter... or just use 1 cup oil".
    .replace(/\s*(?:\.{2,}|…|,)?\s+or (?:just |simply |else )?(?:use|take|try) /i, ' or ')
    .replace(/\s*(?:\.{2,}|…)\s*(?=or\b)/i, ' ')
  const parts = split(raw, foods)
  if (parts.length < 2 || parts.some(({ told }) => told) || !parts.some(({ text }) => FOR_ALL.test(text)))
    return parts
  // What the line says of one ("milk to glaze") may hold for what stands before.
  let from = 0
  const list = parts.map(({ text }) => {
    const at = raw.indexOf(text, from)
    const joint = at < 0 ? null : raw.slice(from, at)
    if (at >= 0) from = at + text.length
    return { text, joint, match: matchFood(readLine(text).name, foods) }
  })
  return both(withPurposes(list))
})

const KIND_OF_FLOUR =
  /^(?:strong |fine |plain |light |(?:white|light|wholegrain|wholemeal|whole) (?=spelt|rye))?(?:white|brown|wholemeal|wholegrain|whole ?wheat|rye|spelt|plain|strong|self[- ]raising|bread|buckwheat|almond|rice)$/i
/** The same without what its end says of all of it. */
const split: (raw: string, foods: Foods) => readonly LinePart[] = rememberWith((raw, foods) => {
  const apart = takeApart(withCommas(raw), foods)
  if (apart.length < 2) return apart
  // "250 g wholemeal flour + 50 g white": the flour is named once.
  const parts = apart.map((part, at) =>
    at > 0 && KIND_OF_FLOUR.test(readLine(part.text).name) && /\bflour\b/i.test(apart[at - 1]!.text)
      ? { ...part, text: `${part.text} flour` }
      : part,
  )
  // What stands between two commas may run on as well.
  return parts.flatMap(
    (part) => (part.told || part.text.length > 300 ? null : runOn(part.text, foods)) ?? [part],
  )
})

/** "Butter, to brush (2 tbsp melted with a clove of garlic)": what is in it is used as it is. */
const WITH_INSIDE =
  /^(.*\S)\s*\((\d[^()]*?)\s+(?:melted|softened|mixed|beaten|whisked|warmed|infused) with (an? [^()\d]+)\)\s*$/i

/** "1 cup lentils, cooked in 3 cups broth until soft, drained": what they were boiled in is poured away. */
const BOILED_AND_DRAINED =
  /^(.+?),?\s+(?:boiled|cooked|simmered) (?:\p{L}+ )?in (?:plenty of |lots of |salted |\d[^,]*?|[¼½¾][^,]*?)?(?:water|stock|broth)\b(?:[^,]*),?\s*(?:and |then )?(?:drained|strained)\b[^,]*(?:,\s+(\S.*))?$/iu

/** "50 g bulgur, soaked in hot water": as much as it takes up. */
const SOAKED_IN_WATER =
  /^(.+?),?\s+(?:soaked|rehydrated) in (?:some |a little |enough )?(?:(?:hot|boiling|warm|cold|tepid) )?water\b(?! *\d).*$/i

const UNIT_STOP = new RegExp(
  String.raw`^(\p{L}[^.;]{2,60}\d[^.;]{0,8}?(?:${UNIT_PATTERN}))\.\s+(\p{Lu}\p{L}+.*)$`,
  'u',
)

function takeApart(raw: string, foods: Foods): readonly LinePart[] {
  const inside = raw.length < 200 ? WITH_INSIDE.exec(raw) : null
  if (inside && readLine(`${inside[2]!} x`).measures.length)
    return both([
      `${inside[1]!} (${inside[2]!})`,
      FOR_TOP.test(inside[1]!) ? `${inside[3]!}, to finish` : inside[3]!,
    ])
  // "flour 3 cup / yogurt 1 cup / oil half cup": amounts behind, and a stroke between.
  const strokes = raw.length <= MAX_ROW_CHARACTERS ? raw.split(/\s+\/\s+/) : []
  if (strokes.length > 2 && strokes.filter((piece) => readLine(piece).measures.length).length > 1)
    return strokes.flatMap((piece) => split(piece, foods))
  // "Soy/rice vinegar/chilli oil": three and more behind strokes are a list, two are a choice.
  const slashed = raw.length < 120 && !/\d/.test(raw) ? raw.trim().split(/\s*\/\s*/) : []
  const strangers = slashed.filter((one) => matchFood(readLine(one).name, foods)?.how !== 'exact').length
  if (slashed.length > 2 && strangers <= 1) return both(slashed)
  // "Between 180 and 200 ml water" is one amount.
  if (/^between \d[\d.]* (?:and|&) \d[\d.]* ?\p{L}/iu.test(raw.trim())) return both([raw])
  if (raw.length < 120 && NAME_THEN_MEASURED.test(raw.trim())) return both([raw])
  if (raw.length < 200 && FILLED_UP.test(raw.trim()) && !COMMA.test(raw)) return [{ text: raw, told: '' }]
  // "1 onion (sliced, softened in 1 tbsp oil)": the oil is a line of its own.
  const inFat = raw.length < 200 ? SOFTENED_IN.exec(raw.trim()) : null
  if (inFat) return both([`${inFat[1]!} (${inFat[2] ?? inFat[3]!})`, inFat[4]!.trim()])
  const again = andSomeFor(raw)
  if (again && readLine(again.line).measures.length) {
    const { name } = readLine(again.line)
    if (matchFood(name, foods)?.how === 'exact')
      return both([again.line, `${again.again} ${name} ${again.purpose}`])
  }
  const outShared = sharedOut(raw)
  if (outShared?.every((one) => matchFood(readLine(one).name, foods)?.how === 'exact')) return both(outShared)
  // What it was boiled or soaked in is no line of its own: it is poured away, or taken up.
  const wet =
    raw.length <= MAX_ROW_CHARACTERS
      ? (BOILED_AND_DRAINED.exec(raw.trim()) ?? SOAKED_IN_WATER.exec(raw.trim()))
      : null
  if (wet && readLine(wet[1]!).measures.length) {
    // "… drained, 1 large onion": the list goes on.
    const more = wet[2] && isKnown(wet[2].split(/,\s/)[0]!, foods) ? wet[2] : null
    return more
      ? [...both([raw.trim().slice(0, -more.length).replace(/,\s*$/, '')]), ...split(more, foods)]
      : both([raw])
  }
  const seasonings = seasoningsInRow(raw, foods)
  if (seasonings) return seasonings
  const citrus =
    /^((?:finely )?(?:grated )?)(?:zest (?:and|&|\+) juice|juice (?:and|&|\+) zest|rind (?:and|&|\+) juice) of (.+)$/i.exec(
      raw.trim(),
    )
  if (citrus) return both([`${citrus[1]}zest of ${citrus[2]}`, `juice of ${citrus[2]}`])
  const short = SHORT_SEASONING.exec(raw.trim()) ?? ALL_SEASONING.exec(raw.trim())
  if (short) return both([`salt${short[1]}`, `pepper${short[1]}`])
  // "Half a stick of butter, S & P": the seasoning behind the last comma.
  const seasoned = /^(.+?),\s*(s\s*(?:&|\+|n|and)\s*p|salt)\.?$/i.exec(raw.trim())
  if (seasoned && (!/^salt/i.test(seasoned[2]!) || readLine(seasoned[1]!).measures.length))
    return [
      ...split(seasoned[1]!, foods),
      ...both(/^salt/i.test(seasoned[2]!) ? ['salt'] : ['salt', 'pepper']),
    ]
  // "Oil 4-5 tbsp. Salt": the full stop belongs to the spoon and to the sentence.
  const stopped = UNIT_STOP.exec(raw.trim())
  if (stopped && readLine(stopped[1]!).measures.length)
    return [...split(stopped[1]!, foods), ...split(stopped[2]!, foods)]
  // "Half a cup of pine nuts salt": told in a row, and seasoned at the end.
  const salted = /^(.+\p{L})\s+(salt(?:\s*(?:and|&|\+)?\s*(?:black )?pepper)?)$/iu.exec(raw.trim())
  if (
    salted &&
    raw.length < 200 &&
    readLine(salted[1]!).measures.length &&
    matchFood(readLine(salted[1]!).name, foods)?.how === 'exact' &&
    matchFood(readLine(raw).name, foods)?.how !== 'exact'
  )
    return both([salted[1]!, ...(/pepper/i.test(salted[2]!) ? ['salt', 'black pepper'] : ['salt'])])
  // "Equal parts soy and vinegar": as much of one as of the other, and nobody says how much.
  const alike =
    /^(?:just |simply )?equal (?:parts|amounts|quantit\w+)(?: of)?:? (\p{L}[\p{L} ]{1,24}?) (?:and|&|\+) (\p{L}[\p{L} ]{1,24})$/iu.exec(
      raw.trim(),
    )
  if (alike) return both([alike[1]!, alike[2]!])
  // "Equal parts flour and yogurt (200 g each)".
  const equal =
    /^(?:just |simply )?equal (?:parts|amounts|weights?|quantit\w+)(?: of)?:? (.+?) (?:and|&|\+) (.+?)\s*[(,–-]\s*(\d[\d.]*\s*\p{L}+) (?:of )?each\)?(?:\s*(?:\+|,|and|plus)\s*(.+))?$/iu.exec(
      raw.trim(),
    )
  if (equal)
    return [
      ...both([`${equal[3]!} ${equal[1]!}`, `${equal[3]!} ${equal[2]!}`]),
      ...(equal[4] ? split(equal[4], foods) : []),
    ]
  const ratio = RATIO.exec(raw)
  if (ratio) return both([ratio[1]!, ratio[2]!])
  if (/^salt (?:and |& )?(?:black )?pepper$/i.test(raw.trim())) return both(['salt', 'black pepper'])
  const seasoning = SEASONING.exec(raw)
  const behindSeasoning = seasoning?.[3]!.replace(/^\s*,\s*/, '').trim() ?? ''
  if (seasoning && !/[,;]|\band\b|&/.test(behindSeasoning)) {
    // "… salt & pepper, milk to brush": what follows behind a comma is another food.
    const another =
      /^\s*[,;]/.test(seasoning[3]!) &&
      behindSeasoning !== '' &&
      matchFood(readLine(behindSeasoning).name, foods)?.how === 'exact'
    const tail = another ? '' : behindSeasoning
    // "½ tsp each salt and pepper" gives both; "1 tsp salt and pepper" leaves the pepper open.
    const each = /^(.*?)\s+each(?:\s+of)?\s+salt$/i.exec(seasoning[1]!.trim())
    const before = each ? each[1]! : ''
    const head = each ? `${before} salt` : seasoning[1]!.trim()
    const behind = each ? `${before} ${seasoning[2]!}` : seasoning[2]!
    // "1 onion, diced, 1 tbsp oil, salt & pepper": what stands before the last comma is a list of its own.
    const list = each ? null : /^(.*\p{L}.*)[,;]\s+([^,;]*\bsalt)$/iu.exec(head)
    const heads = list ? split(list[1]!, foods).map((part) => part.text) : []
    const own = list && heads.length ? list[2]! : head
    return both([
      ...heads,
      `${own}${tail ? ` ${tail}` : ''}`,
      `${behind}${tail ? ` ${tail}` : ''}`,
      ...(another ? [behindSeasoning] : []),
    ])
  }
  // "Handful each parsley and mint".
  const each = EACH.exec(raw.replace(/^(?=(?:handful|pinch|bunch|sprig|knob|splash|dash) each\b)/i, 'a '))
  const inBracket = each && (each[1]!.match(/[([]/g)?.length ?? 0) > (each[1]!.match(/[)\]]/g)?.length ?? 0)
  if (each && !inBracket && !COMMA.test(each[1]!) && readLine(each[1]!).measures.length) {
    // "1 tsp each cumin and paprika, juice of 1 lime": the list ends behind its "and".
    const listed = pieces(each[2]!)
    const last = listed.findIndex((piece) => /and|&|\+/.test(piece.joint))
    const names = last < 0 ? listed : listed.slice(0, last + 1)
    const rest = last < 0 ? [] : listed.slice(last + 1)
    if (names.length > 1)
      return [
        ...both(names.map(({ text }) => (readNumber(text) ? text : `${each[1]} ${text}`))),
        ...(rest.length ? split(rest.map(({ text }) => text).join(', '), foods) : []),
      ]
  }
  // "Cumin, coriander 1 tsp each, garam masala 1/2 tsp": the list goes on behind its "each".
  const eachGoesOn = /^(\p{L}[^\d]*\d[^,]*\beach),\s+(\p{L}.*)$/iu.exec(raw.trim())
  const shared = eachGoesOn && EACH_BEHIND.exec(eachGoesOn[1]!)
  if (shared && pieces(shared[1]!).length > 1 && readLine(`${shared[2]} salt`).measures.length)
    return [...split(eachGoesOn[1]!, foods), ...split(eachGoesOn[2]!, foods)]
  const behind = /\beach\b/i.test(raw) ? EACH_BEHIND.exec(raw) : null
  if (behind && readLine(`${behind[2]} salt`).measures.length) {
    const names = pieces(behind[1]!)
    if (names.length > 1) return both(names.map(({ text }) => `${behind[2]} ${text}`))
  }
  const joins = (mayHoldNumber(raw) && raw.length <= MAX_ROW_CHARACTERS ? [EVERY_COMMA, EVERY_JOIN] : [])
    .flatMap((pattern) => [...raw.matchAll(pattern)])
    .sort((a, b) => a.index - b.index)
    .slice(0, MAX_JOINS)
  for (const join of joins) {
    const left = raw.slice(0, join.index)
    const right = raw.slice(join.index + join[0].length)
    const number = readNumber(raw)
    const open = (left.match(/[([]/g)?.length ?? 0) > (left.match(/[)\]]/g)?.length ?? 0)
    const leftRead = readLine(left)
    // "1 egg, beaten with a splash of milk": the egg is beaten, whatever with.
    const beaten = /^,?\s+(?:beaten|whisked)\b/i.test(join[0])
    const fine =
      !open &&
      // "one and a half teaspoons" is one amount.
      !(number && number.length > join.index) &&
      !/^\s*\d+\s*$/.test(left) &&
      (leftRead.measures.length || leftRead.unmeasured || matchFood(leftRead.name, foods)?.how === 'exact') &&
      /\p{L}{2}/u.test(leftRead.name) &&
      /\p{L}{2}/u.test(readLine(right).name) &&
      !/^(?:more|extra|other|hours?|minutes?)\b/i.test(readLine(right).name)
    if (fine) {
      // "2 leeks fried in 10 g butter": they are fried, and the butter is a line of its own.
      const done = beaten ? 'beaten' : FRIED_IN.exec(join[0])?.[1]
      const own = done ? `${left.replace(/[,+&]\s*$/, '').trim()}, ${done}` : left
      // "Butter for brushing 50 g + 1 dl hot milk": what the first is for goes for what is stirred into it.
      const brushes = /[+&]|\bwith\b|\bw\//i.test(join[0]) && leftRead.purpose === 'finish'
      const goesWith = brushes && !readLine(right).purpose ? `${right}, to finish` : right
      return [...split(own, foods), ...split(goesWith, foods)]
    }
  }
  if (raw.length <= MAX_ROW_CHARACTERS)
    return runOn(raw, foods) ?? splitFoods(raw, foods) ?? [{ text: raw, told: '' }]
  return [{ text: raw, told: '' }]
}

/** The first place where a line that names a food with its amount goes on to the next. */
function runOn(raw: string, foods: Foods): LinePart[] | null {
  if (/[,;([]/.test(raw)) return null
  for (const match of raw.matchAll(RUN_ON)) {
    const [left, right] = [raw.slice(0, match.index), raw.slice(match.index).trim()]
    // Only up to the next amount: what comes after that is another ingredient.
    const [before, behind] = [readLine(left), readLine(right.split(RUN_ON)[0]!)]
    if (!before.measures.length || !behind.measures.length) continue
    const known = matchFood(before.name, foods)
    // "Four potatoes boiled half a cup of peas": how it is prepared may stand between.
    // Two amounts with units and short names between are two, whatever the larder knows.
    const told = [before, behind].every(
      ({ measures, name }) =>
        measures[0]![0]!.unitId &&
        name.split(' ').length <= 3 &&
        /^(?!(?:plus|and|or|to|more|extra|of)\b)\p{L}{3}.*(?<!\b(?:or|and|plus|to))$/iu.test(name),
    )
    if (!known?.leftOver.every((word) => PREPARATION.test(word)) || !matchFood(behind.name, foods)) {
      if (!told) continue
    }
    return [{ text: left, told: '' }, ...split(right, foods)]
  }
  const seasonings = seasoningsInRow(raw, foods)
  if (seasonings) return seasonings
  // "1 tbsp oil salt water to make a medium dough": what nobody measures follows bare.
  const row = aromaticsInRow(raw, foods)
  if (row) return row
  const bare = BARE_TAIL.exec(raw)
  if (!bare || !readLine(bare[1]!).measures.length || matchFood(readLine(raw).name, foods)?.how === 'exact')
    return null
  const names = bare[2]!.split(/\s+/)
  return both([bare[1]!, ...names.slice(0, -1), `${names.at(-1)!}${bare[3] ?? ' as required'}`])
}

/** "… to brush + sesame seeds". */
const FOR_TOP = /\b(?:to|for) (?:brush|glaz|finish|the top|wash)/i

const BARE_TAIL =
  /^(.*\b(?:oil|butter|ghee|flour|atta|maida|yeast|sugar))\s+((?:salt|pepper|water)(?:\s+(?:salt|pepper|water))*)(\s+(?:to|as|for|enough)\b.*)?$/i
