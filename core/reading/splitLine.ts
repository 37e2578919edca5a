import type { Foods } from '../food/food'
import { FOR_ALL, withPurposes } from './forAll'
import { withPlainAmounts } from './amountsSpelt'
import { aromaticsInRow, besideEachOther, both, pieces, withCommas, type LinePart } from './lineParts'
import { ALL_SEASONING, FOR_TOP, isKnown, PREPARATION, splitFoods } from './listedFoods'
import { PREP_WORDS } from './lineName'
import { WITH_INSIDE, BOILED_AND_DRAINED, SOAKED_IN_WATER, DONE_WITH_THE } from './wetOnLine'
import { inBareGrams } from './bareGrams'
import { matchFood } from './match'
import { mixedInBrackets, namesAndAmounts, saltedWith } from './mixedRows'
import { oneAmountForSeveral } from './oneAmount'
import { withChilliPaste, withPlainPastes } from './pastesSpelt'
import { mayHoldNumber, NUMBER_PATTERN, readNumber } from './readNumber'
import { PER_BATCH, readLine } from './readLine'
import { andSomeFor, FILLED_UP, listWeighedBehind, sharedOut } from './sharedOut'
import { isDoneAlone, withWhatWasNamed } from './namedBefore'
import { withEachInBrackets } from './plainLine'
import { rememberWith } from './remember'
import { MAX_ROW_CHARACTERS } from './tidy'
import { UNIT_PATTERN } from './units'
import { NAME_THEN_MEASURED } from './unitBehind'
import { unmarkedRow } from './unmarkedRow'
import { FRIED } from './verbs'

/** What is done to a food in its fat, and what is stirred together. */
const STIRRED =
  'beaten|mixed|whisked|blended|blitzed|pulsed|pounded|thinned|mashed|melted|coloured|colored|infused|stirred|loosened|slaked|dissolved|dispersed|diluted|soaked|made up|crumbled|combined|creamed|seasoned|flavoured|flavored|sweetened|marinated|dressed|moistened|sprinkled|warmed'
const HOW = String.raw`(?:(?:[a-zß-öø-ɏ]+ly|slow|stir|pan|deep|shallow|well|slowly|and|then)[ -])*`
const HOW_LONG = String.raw`(?: together| [a-zß-öø-ɏ]+ly| soft| golden| brown| (?:until|till) (?:just |very |they are |it is )?[a-zß-öø-ɏ]+(?: (?:and )?(?!in\b|with\b)[a-zß-öø-ɏ]+){0,2}?| to an? (?:[a-zß-öø-ɏ]+ )?(?:paste|slurry|cream)| (?:for )?(?:about )?\d{1,3}(?:-\d{1,3})? ?min\w*)*`
/** "Crushed to a paste" names nothing that it is joined to. */
const NOT_TO = String.raw`(?! (?:about|around|roughly|approx|~)| an? (?:[a-zß-öø-ɏ]+ )?(?:paste|pulp|pur[ée]e|powder|cream|crumbs?|mash|rubble)\b| (?:an? |one |two |half |\d[ -])?(?:soft |hard )?(?:threads?|strings?|ball)\b)`
/** "Fried until golden in", "softened for 5 minutes in", "mixed to a paste with". */
const DONE_IN = String.raw`${HOW}(?<done>${FRIED}|${STIRRED})(?<long>${HOW_LONG}) (?:in|into|with|w\/|to${NOT_TO}|\+|and|&)`
const JOIN = new RegExp(
  String.raw`(?:(?:,?\s+|\s+[-–]\s+)(?:${DONE_IN}|(?:\+|plus|and|with|to${NOT_TO}|&|as well as|along with|together with|followed by|(?:and )?then|(?<=\b(?:cubes?|pots?|powder|granules) )in))|,\s+(?:then|also|plus))\s+(?!(?:an? )?(?:little|bit of|splash of|drop of) (?:[a-zß-öø-ɏ]+ )?water to an? (?:[a-zß-öø-ɏ]+ )?(?:paste|slurry))(?=(?:about |around |roughly |approx\.? |~ ?)?(?:${NUMBER_PATTERN})(?:\s|[a-z]))`,
  'i',
)
/** "1 onion, 2 carrots", "300 g flour / 5 g yeast": a mark with an amount behind it. */
const COMMA = new RegExp(
  String.raw`(?:(?:,|;|\s[/|·•])\s+|(?<=[a-zß-öø-ɏ)]),(?=\d))(?=(?:about |approx\.? |~)?(?:${NUMBER_PATTERN})\s*(?!(?:finely |roughly )?(?:chopped|sliced|minced|peeled)\b|(?:cm|inch(?:es)?)\b(?!\s+(?:piece\s+(?=[a-zß-öø-ɏ])|knob|of\b|fresh|ginger|galangal|turmeric|cinnamon|root|adrak))|mm\b|or\b|to\b|hours?\b|hrs?\b|min|days?\b|days\b|(?:extra )?(?:large|medium|small|big)\b\W*(?:,|$|\)|peeled|chopped|diced|sliced|grated|ones)|%)[a-zß-öø-ɏ])`,
  'i',
)
const OTHER = String.raw`(?<other>(?:${NUMBER_PATTERN})[^()]*?)(?: (?:for )?(?:about )?\d{1,3}(?:-\d{1,3})? ?min[^()]*| (?:until|till) [^()]*)?`
/** "1 onion (fried until golden in 2 tbsp oil)", "4 eggs, scrambled (in 10 g butter)": what is done, and in what. */
const DONE_IN_BRACKETS: readonly RegExp[] = [
  new RegExp(
    String.raw`^(?<food>.*?\S)\s*\((?<before>[^()]*?)(?:^|(?<=[(\s]))${DONE_IN} ${OTHER}\)(?<behind>.*)$`,
    'i',
  ),
  new RegExp(
    String.raw`^(?<food>.*?[^\s,])(?<before>),?\s+(?<done>${FRIED}|${STIRRED})\s*\((?:in|with) ${OTHER}\)(?<behind>.*)$`,
    'i',
  ),
]
const CUT_INTO_ROUNDS =
  /,\s*(\d{1,2}) ?[x×] ?(\d{1,2}(?:\.\d)?[ -]?(?:cm|inch|in|")\.? (?:circles|rounds|squares|dis[ck]s))(?=\W*$)/i
const IN_EACH =
  /^((?:about )?(?:\d|[¼½¾⅓⅔]|an? |half |one |two )[^.;()]*?)(?: goes?)? (?:in|on|into|onto) (?:each|every)(?: (?:one|round|piece|half|circle|square|pocket|wrapper))?\W*$/i
/** "1 tsp each of cumin and coriander": the amount holds for all. */
const EACH =
  /^((?:[^,]*\d|[¼½¾⅓⅔⅛]|an? |one |two |half ).*?)\s+each(?!\s+(?:sheet|one|piece|round|dis[ck]|half|block|pack)\b)(?:\s+of)?\s*:?\s+(.+)$/i
/** "cumin, coriander and turmeric, 1/2 tsp each". */
const EACH_BEHIND = /^([a-zß-öø-ɏ].*?)\s*[,:–-]?\s+((?:\d|[¼½¾⅓⅔⅛]|an? |half ).{0,24}?)\s+(?:of\s+)?each\.?$/i
const SEASONING =
  /^(.*?\bsalt)\s*(?:and|&|\+|\/)\s*((?:(?:plenty (?:of )?|lots of |loads of |some |a little )?(?:freshly )?(?:ground )?(?:black |white )?)pepper)\b(.*)$/i
/** What a tail says of the seasoning itself: "to taste", "as needed", "freshly ground", "very generous". */
const SAID_OF_SEASONING =
  /\b(?:taste|season(?:ing)?|needed|required|liked?|you|each|optional|fresh(?:ly)?|ground|cracked|well|generous(?:ly)?|lots|plenty|pinch|bit|little|good|very|quite|not|no|more|less|enough|for|to|in|of)\b/i
const EVERY_COMMA = new RegExp(COMMA, 'gi')
const EVERY_JOIN = new RegExp(JOIN, 'gi')
/** So many places of one line are tried at which it may go on to another food. */
const MAX_JOINS = 12
const SHORT_SEASONING = /^s\s*(?:&|\+|n|and)\s*p\b(.*)$/i
const ZEST_AND_JUICE =
  /^(?:(?:(?:the )?(?:(?:finely )?grated )?|the )zest of (?<many>an?|one|\d) (?<fruit>lemon|lime|orange)s?(?:,? and| \+| &|,)? (?:the )?juice of (?:half|½|1\/2)(?: (?:of (?:it|one)|an? \w+|it|lemon|lime|orange))?|(?<of>an?|one|1) (?<whole>lemon|lime|orange)[,:]? (?:finely grated )?zest(?: of (?:it|all))?(?:,? and| \+| &|,) (?:the )?(?:half (?:of )?(?:the |its )?juice|juice of half))\W*$/i
const SEASONED_AND = /^(s\s*(?:&|\+|n|and)\s*p)(?:\s*[,;]\s*|\s+(?:&|\+|and|plus)\s+)(.+)$/i
/** "S&P generous". */
const MUCH = /\s+(?:generous(?:ly)?|plenty|lots)$/i
/** "2 parts soy drink to 1 part syrup". */
const RATIO = /^(.*?\bparts?\s+.+?)\s+to\s+((?:\d|one|two|half).*?\bparts?\s+.+)$/i

/** "150 g butter 1 egg 2 tbsp water": amounts follow one another without a mark. */
const RUN_ON =
  /\s+(?=(?:\d[\d./]*|[¼½¾⅓⅔])\s*(?:g|gm|gms|kg|ml|l|oz|lb|lbs|cups?|tbsp|tsp|c|T|t)\b\.?\s*[a-zß-öø-ɏ]{3}|\d{1,2}\s+[a-zß-öø-ɏ]{3}|(?:half|quarter|an?|one|two|three|four|five|six)\s+(?:an?\s+)?(?:cups?|tsp|teaspoons?|tbsp|tablespoons?|pinch|handful)\s+(?:of\s+)?[a-zß-öø-ɏ]{3}|(?<!\b(?:an?|one|good|big|small|large|half)\s)(?:pinch|handful|dash|splash|knob)\s+(?:of\s+)?[a-zß-öø-ɏ]{3})/gi

/**
 * Separates a line that names several ingredients: "1 egg beaten with 1 tbsp milk", "2 eggs plus 1 yolk",
 * "salt, pepper and chilli powder". A compound amount ("1 cup plus 2 tbsp flour") stays one line.
 *
 * @param raw the line as written
 * @param foods the larder: lists of foods without amounts of their own are taken apart by it
 * @returns one part for each ingredient; together they hold every word of the original
 */
export const splitLine: (raw: string, foods: Foods) => readonly LinePart[] = rememberWith((line, foods) => {
  // "2 tbsp sauce, 1/4 cup cheese and 5 slices of ham in each": so much of all of them.
  const each = IN_EACH.exec(line)?.[1]
  if (each) return splitLine(each, foods).map((part) => ({ ...part, text: `${part.text} per piece` }))
  // "1 egg + 1 tbsp water (egg wash)": the bracket says what both are for.
  const plain = withPlainAmounts(
    line
      .replace(/\s*[,;]\s*$/, '')
      // "2 sheets shortcrust, 8 x 14 cm circles": what they are cut into.
      .replace(CUT_INTO_ROUNDS, ', cut into $1 x $2'),
  )
  const raw = withPlainPastes(
    withEachInBrackets(plain).replace(
      /\s*\((?:(?:for|to) (?:the )?)?((?:egg )?wash|eggwash|glaze|brushing|seal(?:ing)?)\)\s*$/i,
      ', for $1',
    ),
  )
    // "3 potatoes, boiled, rough mash": a noun that says what was done with them.
    .replace(/(potato(?:es)?\b[^;]*), ?(rough|coarse|smooth) mash\b(?!ed)/i, '$1, $2ly mashed')
    // "2 tbsp maida + 4 tbsp water slurry": what the two become is no name of the water.
    .replace(
      /(\b(?:flour|maida|[a-zß-öø-ɏ]*starch|cornflour|besan)\b[^()]*\bwater) (slurry|paste)\W*$/i,
      '$1 ($2)',
    )
    // "1 roll puff pastry spread with 30 g soft butter".
    .replace(/\s+(?:spread|smeared|brushed) (?:all over )?with (?=\d|½|an? |half )/i, ' + ')
    // "Melted butter... or just use 1 cup oil".
    .replace(/\s*(?:\.{2,}|…|,)?\s+or (?:just |simply |else )?(?:use|take|try) /i, ' or ')
    .replace(/\s*(?:\.{2,}|…)\s*(?=or\b)/i, ' ')
    // "Cinnamon and paprika = 1/2 tsp each".
    .replace(/^(\p{L}[^=\d]*?) = (?=[\d½¼¾])/u, '$1: ')
  const parts = besideEachOther(raw, foods) ?? split(raw, foods)
  // A line that is of one food keeps the words it was written in.
  if (parts.length === 1 && parts[0]!.text === plain) return [{ ...parts[0]!, text: line }]
  // "2 tbsp oil and 1/2 cup water per batch": of both.
  const batch = parts.length === 2 ? PER_BATCH.exec(parts[1]!.text)?.[0] : undefined
  if (batch && AND_BETWEEN.test(raw) && !PER_BATCH.test(parts[0]!.text))
    return [{ ...parts[0]!, text: `${parts[0]!.text}${batch}` }, parts[1]!]
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
  // "1 egg + 1 egg for glazing": the same food again is for something else.
  if (new Set(list.map(({ match }) => match?.food.id)).size === 1) return parts
  return both(withPurposes(list))
})

const IS_FRIED = new RegExp(`^(?:${FRIED})$`, 'i')
/** What a food is called by what was done to it, and how long: stirring leaves it what it was. */
const doneBy = (verb: string, long = ''): string => {
  if (/^(?:beaten|whisked)$/i.test(verb)) return 'beaten'
  return IS_FRIED.test(verb) ? `${/^cooked$/i.test(verb) ? 'fried' : verb}${long}` : ''
}

/** How long something is fried, behind what it is fried in. */
const UNTIL_DONE =
  /\s+(?:(?:until|till)\s[^,;()\d]*|(?:for )?(?:about )?\d[\d-]* ?min\w*)(?:,?\s*(?:and |then )*(?:cooled|chilled|drained|chopped|mashed|squeezed))*$/i
const AND_BETWEEN = /[a-zß-öø-ɏ]\s+(?:and|&|\+|plus)\s+[\d¼½¾⅓⅔a]/i
/** What joins ingredients, or says what is done with one. */
const MARKED = /[,;+&]|(?<!\d)\/|\/(?!\d)|\b(?:and|plus|or|with|in)\b/i
/** "Salt and pepper", "peeled and diced": joined, and no mark between two foods. */
const JOINED_IN_ONE = new RegExp(
  String.raw`\bsalt (?:and|&) (?:black )?pepper\b|\b${PREP_WORDS} (?:and|&) ${PREP_WORDS}\b`,
  'gi',
)
/** The same without what its end says of all of it. */
const split: (raw: string, foods: Foods) => readonly LinePart[] = rememberWith((raw, foods) => {
  const unmarked = MARKED.test(raw.replace(JOINED_IN_ONE, '')) ? null : unmarkedRow(raw, foods)
  if (unmarked) return unmarked
  const apart = takeApart(withCommas(raw), foods)
  const strange = ({ text, told }: LinePart) =>
    !told && matchFood(readLine(text).name, foods)?.how !== 'exact'
  // "1 leek and 2 carrots salt bit of oil": joined here and there.
  const joined = apart.some(strange) ? unmarkedRow(raw, foods) : null
  if (joined) return joined
  if (apart.length < 2) return apart
  const parts = withWhatWasNamed(apart, raw, foods)
  // What stands between two commas may run on as well.
  return parts.flatMap(
    (part) => (part.told || part.text.length > 300 ? null : runOn(part.text, foods)) ?? [part],
  )
})

const UNIT_STOP = new RegExp(
  String.raw`^(\p{L}[^.;]{2,60}\d[^.;]{0,8}?(?:${UNIT_PATTERN}))\.\s+(\p{Lu}\p{L}+.*)$`,
  'u',
)

const ALL_THAT_IS_MADE =
  /^([^()]*\d[^()]*?),\s+(?:\+\s*)?(all (?:of )?the (?!rest|remaining|ingredients|dry|wet|other|spices|powders?|masalas?|vegetables)[a-zß-öø-ɏ]+)(?:,\s+(.+))?$/i
const PINCHED =
  /^(.+\S),\s+((?:an? )?(?:(?:good|big|small) )?(?:pinch|splash|squeeze|dash|knob|handful)(?: of)? [a-zß-öø-ɏ]+)\.?$/i
const TASTED =
  /^(.+?),\s*(?!or\b|and\b|more\b|extra\b|adjust)([a-zß-öø-ɏ][a-zß-öø-ɏ-]+(?: [a-zß-öø-ɏ-]+){0,2} to taste)\.?$/i

function takeApart(given: string, foods: Foods): readonly LinePart[] {
  const raw = withChilliPaste(given)
  const inside = raw.length < 200 ? WITH_INSIDE.exec(raw) : null
  if (inside && readLine(`${inside[2]!} x`).measures.length)
    return both([
      `${inside[1]!} (${inside[2]!})`,
      FOR_TOP.test(inside[1]!) ? `${inside[3]!}, to finish` : inside[3]!,
    ])
  const salted = raw.length < 200 ? saltedWith(raw) : null
  if (salted) return [...split(salted.line, foods), ...both([salted.salt])]
  const listed = inBareGrams(raw, foods) ?? (raw.length < 200 ? mixedInBrackets(raw, foods, split) : null)
  if (listed) return listed
  // "flour 3 cup / yogurt 1 cup / oil half cup": amounts behind, and a stroke between.
  const strokes = raw.length <= MAX_ROW_CHARACTERS ? raw.split(/\s+\/\s+/) : []
  if (strokes.length > 2 && strokes.filter((piece) => readLine(piece).measures.length).length > 1)
    return strokes.flatMap((piece) => split(piece, foods))
  // "Soy/rice vinegar/chilli oil": three and more behind strokes are a list, two are a choice.
  const slashed = raw.length < 120 && !/\d/.test(raw) ? raw.trim().split(/\s*\/\s*/) : []
  const strangers = slashed.filter((one) => matchFood(readLine(one).name, foods)?.how !== 'exact').length
  if (slashed.length > 2 && strangers <= 1) return both(slashed)
  if (raw.length < 120 && NAME_THEN_MEASURED.test(raw.trim())) return both([raw])
  if (raw.length < 200 && FILLED_UP.test(raw.trim()) && !COMMA.test(raw)) return [{ text: raw, told: '' }]
  // "1 onion (sliced, softened in 1 tbsp oil)": the oil is a line of its own.
  const shut = raw.length < 200 && raw.includes('(') ? DONE_IN_BRACKETS : []
  const apart = shut.map((pattern) => pattern.exec(raw.trim())?.groups).find(Boolean)
  if (apart && readLine(apart.other!).measures.length && matchFood(readLine(apart.other!).name, foods)) {
    const done = doneBy(apart.done!, apart.long)
    const prep = [apart.before!.replace(/[\s,]+$/, ''), done].filter(Boolean).join(', ')
    return [
      ...split(`${apart.food!}${prep ? `, ${prep}` : ''}${apart.behind!}`, foods),
      ...split(apart.other!, foods),
    ]
  }
  const again = andSomeFor(raw)
  if (again && readLine(again.line).measures.length) {
    const { name } = readLine(again.line)
    if (matchFood(name, foods)?.how === 'exact')
      return both([again.line, `${again.again} ${name} ${again.purpose}`])
  }
  const outShared = sharedOut(raw)
  if (outShared?.every((one) => matchFood(readLine(one).name, foods)?.how === 'exact')) return both(outShared)
  const several = oneAmountForSeveral(raw, foods)
  if (several) return several
  // What it was boiled or soaked in is no line of its own: it is poured away, or taken up.
  const wet =
    raw.length <= MAX_ROW_CHARACTERS
      ? (BOILED_AND_DRAINED.exec(raw.trim()) ?? SOAKED_IN_WATER.exec(raw.trim()))
      : null
  if (wet && readLine(wet[1]!).measures.length) {
    // "… drained, 1 large onion": the list goes on.
    const more = wet[2] && isKnown(wet[2].split(/,\s/)[0]!, foods, split) ? wet[2] : null
    return more
      ? [...both([raw.trim().slice(0, -more.length).replace(/,\s*$/, '')]), ...split(more, foods)]
      : both([raw])
  }
  // "1 onion, chopped & boiled with the potatoes": what is listed elsewhere is in the same pot.
  if (raw.length < 120 && DONE_WITH_THE.test(raw.trim()) && readLine(raw).measures.length) return both([raw])
  const citrus =
    /^((?:finely )?(?:grated )?)(?:zest (?:and|&|\+) juice|juice (?:and|&|\+) zest|rind (?:and|&|\+) juice) of (.+)$/i.exec(
      raw.trim(),
    )
  if (citrus) return both([`${citrus[1]}zest of ${citrus[2]}`, `juice of ${citrus[2]}`])
  const bare = raw.trim().replace(MUCH, '')
  // "S+p, bit of thyme": what stands behind them is another food.
  const [, seasonedWith, alsoWith] = SEASONED_AND.exec(bare) ?? []
  if (alsoWith && matchFood(readLine(alsoWith).name, foods)?.how === 'exact')
    return [...split(seasonedWith!, foods), ...split(alsoWith, foods)]
  const short = SHORT_SEASONING.exec(bare) ?? ALL_SEASONING.exec(raw.trim())
  if (short) return both([`salt${short[1]}`, `pepper${short[1]}`])
  // "Half a stick of butter, S & P": the seasoning behind the last comma.
  const seasoned = /^(.+?),\s*(s\s*(?:&|\+|n|and)\s*p|salt)\.?(?:\s*\([^()\d]*\))?$/i.exec(bare)
  if (seasoned && (!/^salt/i.test(seasoned[2]!) || readLine(seasoned[1]!).measures.length))
    return [
      ...split(seasoned[1]!, foods),
      ...both(/^salt/i.test(seasoned[2]!) ? ['salt'] : ['salt', 'pepper']),
    ]
  // "1 egg, all of the tangzhong, 40 g butter": what is made above is a line of its own.
  const made = ALL_THAT_IS_MADE.exec(raw.trim())
  if (made) return [...split(made[1]!, foods), ...both([made[2]!]), ...(made[3] ? split(made[3], foods) : [])]
  // "1 egg yolk, sweetener to taste", "1 cup + 2 tbsp water, pinch salt": no preparation.
  const tasted = TASTED.exec(raw.trim()) ?? PINCHED.exec(raw.trim())
  if (tasted && readLine(tasted[1]!).measures.length)
    return [...split(tasted[1]!, foods), ...split(tasted[2]!, foods)]
  // "Oil 4-5 tbsp. Salt": the full stop belongs to the spoon and to the sentence.
  const stopped = UNIT_STOP.exec(raw.trim())
  if (stopped && readLine(stopped[1]!).measures.length)
    return [...split(stopped[1]!, foods), ...split(stopped[2]!, foods)]
  // "Equal parts soy and vinegar": as much of one as of the other, and nobody says how much.
  const alike =
    /^(?:just |simply )?equal (?:parts|amounts|quantit\w+)(?: of)?:? ([a-zß-öø-ɏ][a-zß-öø-ɏ ]{1,24}?) (?:and|&|\+) ([a-zß-öø-ɏ][a-zß-öø-ɏ ]{1,24})$/i.exec(
      raw.trim(),
    )
  if (alike) return both([alike[1]!, alike[2]!])
  // "Equal parts flour and yogurt (200 g each)".
  const equal =
    /^(?:just |simply )?equal (?:parts|amounts|weights?|quantit\w+)(?: of)?:? (.+?) (?:and|&|\+) (.+?)\s*[(,–-]\s*(\d[\d.]*\s*[a-zß-öø-ɏ]+) (?:of )?each\)?(?:\s*(?:\+|,|and|plus)\s*(.+))?$/i.exec(
      raw.trim(),
    )
  if (equal)
    return [
      ...both([`${equal[3]!} ${equal[1]!}`, `${equal[3]!} ${equal[2]!}`]),
      ...(equal[4] ? split(equal[4], foods) : []),
    ]
  // "Zest of 1 lemon and juice of half", "1 lemon, zest and half the juice".
  const zest = ZEST_AND_JUICE.exec(raw.trim())?.groups
  if (zest) {
    const fruit = (zest.fruit ?? zest.whole)!
    return both([`zest of ${zest.many ?? zest.of} ${fruit}`, `juice of 1/2 ${fruit}`])
  }
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
      (matchFood(readLine(behindSeasoning).name, foods)?.how === 'exact' ||
        // … known or not: "salt & white pepper, gravy browning".
        (/^\S+ \S+$/.test(behindSeasoning) && !SAID_OF_SEASONING.test(behindSeasoning)))
    const tail =
      another || /^(?:lots|plenty|generous(?:ly)?|well)$/i.test(behindSeasoning) ? '' : behindSeasoning
    // "½ tsp each salt and pepper" gives both; "1 tsp salt and pepper" leaves the pepper open.
    const each = /^(.*?)\s+each(?:\s+of)?\s+salt$/i.exec(seasoning[1]!.trim())
    const before = each ? each[1]! : ''
    const head = each ? `${before} salt` : seasoning[1]!.trim()
    const behind = each ? `${before} ${seasoning[2]!}` : seasoning[2]!
    // "1 onion, diced, 1 tbsp oil, salt & pepper": what stands before the last comma is a list of its own.
    const list = each ? null : /^(.*[a-zß-öø-ɏ].*)[,;]\s+([^,;]*\bsalt)$/i.exec(head)
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
    // "A handful each parsley and dill, chopped": both are.
    const done = rest.map(({ text }) => text).join(', ')
    if (names.length > 1 && isDoneAlone(done))
      return both(names.map(({ text }) => `${each[1]} ${text}, ${done}`))
    if (names.length > 1)
      return [
        ...both(names.map(({ text }) => (readNumber(text) ? text : `${each[1]} ${text}`))),
        ...(rest.length ? split(rest.map(({ text }) => text).join(', '), foods) : []),
      ]
  }
  // "Cumin, coriander 1 tsp each, garam masala 1/2 tsp": the list goes on behind its "each".
  const eachGoesOn = /^([a-zß-öø-ɏ][^\d]*\d[^,]*\beach),\s+([a-zß-öø-ɏ].*)$/i.exec(raw.trim())
  const shared = eachGoesOn && EACH_BEHIND.exec(eachGoesOn[1]!)
  // "Capsicum & onion, 1/4 cup each, chopped": all of them are.
  if (
    shared &&
    PREPARATION.test(eachGoesOn[2]!) &&
    matchFood(readLine(eachGoesOn[2]!).name, foods)?.how !== 'exact'
  )
    return split(eachGoesOn[1]!, foods).map((part) => ({ ...part, text: `${part.text}, ${eachGoesOn[2]!}` }))
  if (shared && pieces(shared[1]!).length > 1 && readLine(`${shared[2]} salt`).measures.length)
    return [...split(eachGoesOn[1]!, foods), ...split(eachGoesOn[2]!, foods)]
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
      const done = doneBy(join.groups?.done ?? '', join.groups?.long)
      // "Fried in 2 tbsp oil until brown": how long is said of the leeks.
      const until = done ? (UNTIL_DONE.exec(right)?.[0] ?? '') : ''
      const own = done ? `${left.replace(/[,+&]\s*$/, '').trim()}, ${done}${until}` : left
      // "Butter for brushing 50 g + 1 dl hot milk": what the first is for goes for what is stirred into it.
      const brushes = /[+&]|\bwith\b|\bw\//i.test(join[0]) && leftRead.purpose === 'finish'
      const other = right.slice(0, right.length - until.length)
      const goesWith = brushes && !readLine(other).purpose ? `${other}, to finish` : other
      return [...split(own, foods), ...split(goesWith, foods)]
    }
  }
  const weighed = listWeighedBehind(raw)
  if (weighed) return weighed.flatMap((one) => split(one, foods))
  if (raw.length <= MAX_ROW_CHARACTERS)
    return runOn(raw, foods) ?? splitFoods(raw, foods, split) ?? [{ text: raw, told: '' }]
  return [{ text: raw, told: '' }]
}

/** The first place where a line that names a food with its amount goes on to the next. */
function runOn(raw: string, foods: Foods): LinePart[] | null {
  if (/[,;([]/.test(raw)) return null
  const pairs = namesAndAmounts(raw, foods, split)
  if (pairs) return pairs
  const unmarked = unmarkedRow(raw, foods)
  if (unmarked) return unmarked
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
        /^(?!(?:plus|and|or|to|more|extra|of)\b)[a-zß-öø-ɏ]{3}.*(?<!\b(?:or|and|plus|to))$/i.test(name),
    )
    if (!known?.leftOver.every((word) => PREPARATION.test(word)) || !matchFood(behind.name, foods)) {
      if (!told) continue
    }
    return [{ text: left, told: '' }, ...split(right, foods)]
  }
  // "Ginger garlic green chilli crushed 2 tbsp": one amount for all.
  return aromaticsInRow(raw, foods)
}
