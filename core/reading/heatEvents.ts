import type { CookingWay, Heat } from '../recipe/vocabulary'
import { isAside, withoutVents } from './asides'
import type { Clause } from './method'
import { remember } from './remember'
import { heatIn, temperatureIn } from './temperature'
import { withoutUnitDots } from './sentenceEnds'
import { isHeatLine, exactMinutes, timesIn } from './time'
import { OVEN_BY_HEAT } from './heatWords'

type Seen = CookingWay | 'fry' | 'cook'

/** "Pour boiling water on half the flour". */
const SCALDS =
  /\b(?:stir|mix|beat|work)(?:ing)? (?:in )?(?:the |some |half (?:of )?the )?(?:boiling|just[- ]boiled|very hot) water\b|\bboil (?:the )?(?:[a-zß-öø-ɏ]+ ){0,2}?(?:water|milk)\b(?=[^;]{0,80}\b(?:flours?|starch(?:es)?|atta|maida|masa)\b)|\b(?:boiling|boiled|just[- ]boiled)(?: hot)? (?:water|milk)\b(?=[^.]{0,50}\b(?:flour|dough|starch|atta|maida|masa)\b)|(?<=\b(?:flour|dough|starch|atta|maida|masa)\b[^.]{0,50})\b(?:boiling|boiled|just[- ]boiled)(?: hot)? (?:water|milk)\b/i
/** "Fry nothing", "do not bake yet". */
export const NOT_DONE =
  /\b(?:do not|don'?t|never|no need to) (?:pre-?)?(?:fry|bake|boil|steam|cook|brown)\b|\b(?:fry|cook|bake) nothing\b/i
/** Water that boils under a steamer boils no pieces. */
const UNDER_STEAMER =
  /\b(?:over|above) (?:an? )?(?:rolling|fast|gentle|steady|brisk) boil\b|\b(?:over|above|with) (?:[a-zß-öø-ɏ]+ ){0,2}(?:of )?(?:[a-zß-öø-ɏ]+ )?(?:boiling|simmering) (?:salted )?water\b/i
const SEEN: readonly [Seen, RegExp][] = [
  [
    'deep-fry',
    /\bin \d{3}[- ]?(?:°|deg\w*)[- ]?(?:[cf] )?(?:hot )?oil\b|^\W*(?:in )?\d{3} ?(?:°|deg\w*)? ?(?:[cf] )?(?:hot )?oil\b|\bdeep[- ]?fr(?:y|ied|ying)\b|\bdeep fryer\b|\bfr(?:y|ied|ying) in (?:deep|plenty of|lots of|hot deep)\b|(?<![\d/.])(?:[4-9]|1\d) ?cm (?:of )?(?:hot )?(?:[a-zß-öø-ɏ]+ )?oil\b|(?<![\d/.])[2-6] ?(?:inch(?:es)?\b|") (?:of )?(?:hot )?(?:[a-zß-öø-ɏ]+ )?oil\b/i,
  ],
  [
    'brown-and-steam',
    /\bpan[- ]steam|(?:\b(?:fry|brown|sear|colou?r|crisp up|flat side|bottoms? (?:gets?|is|are|turns?|until|till)|cook (?:for )?\d+ min\w*)\b|\d ?min\w* in (?:the |a little |hot )?(?:oil|butter)\b|\b(?:pan|skillet|wok)\b[^.;]{0,24}\boil\b[^.;]{0,40}\d ?min|\boil in (?:a |the )?(?:hot |heavy |non-?stick )*(?:pan|skillet|wok)\b[^.;]{0,40}\d ?min)[^.]{0,90}(?<!boiling |salted )\b(?:water|stock|broth|milk)\b[^.]{0,60}\b(?:lid|cover|steam)/i,
  ],
  ['bake', /\bair[- ]?fr(?:y|ied|ying|yer)\b/i],
  [
    'shallow-fry',
    /\b(?:shallow|pan)[- ]?fr(?:y|ied|ying)\b|\bfr(?:y|ied|ying)\b[^.]{0,30}\b(?:in|with) (?:a )?(?:little|some|a bit of|\d+ ?(?:tbsp|tablespoons|cm|mm))\b|\bin(?:to)? (?:about )?(?:\d|a (?:little|few|couple of)) ?(?:(?:tbsp|tablespoons?|tsp|spoons?|spoonfuls?) )?(?:of )?hot (?:[a-zß-öø-ɏ]+ )?(?:oil|ghee|butter)\b|\b(?:in|heat) (?:about |around )?(?:\d|half an?|an?)[^.]{0,8}(?:cm|mm|inch(?:es)?|in\b|")(?: deep)?(?: of)? (?:hot )?(?:[a-zß-öø-ɏ]+ )?(?:oil|lard|fat|shortening|ghee|dripping)\b/i,
  ],
  [
    'griddle',
    /(?<=^\W*|[,:]\s*)(?:(?:dry|hot|medium|oiled|greased|lightly) )*pan,? (?:for |about )*\d[\d–-]* ?min|\bdry[- ]?fr(?:y|ied|ying)\b|\b(?:griddled?|griddling|tawa|tava|comal|skillet|grill(?:ing)? ?pan|dry(?: hot)?(?: frying)?[- ]pan|frying pan|heavy(?:[- ]based)? pan|hot pan|non-?stick pan|cast[- ]iron pan|hotplate|bakestone|barbecue|bbq|(?:sandwich|panini) press|(?:sandwich|toastie|panini|waffle) (?:maker|iron)|contact grill)\b|\broast(?:ed|ing)?\b(?! (?:at|in the oven))[^.;]{0,40}\b(?:both sides|each side|(?:low|medium|high|slow) flame|with (?:[a-zß-öø-ɏ]+ )?(?:ghee|oil|butter))\b|\b(?:on|over) (?:the |hot )?(?:coals|charcoal|embers)\b/i,
  ],
  [
    'steam',
    /\bsteam(?:er|ed|ing)?\b|\b(?:add|pour(?: in)?|splash)\b[^.]{0,30}\b(?:water|stock|broth)\b(?:(?!\b(?:flour|dough|knead)\b)[^.]){0,40}\b(?:lid|cover)|^\W*(?:a (?:good )?(?:splash|glass|cup) of|\d[\d./]* ?(?:ml|cups?|c|tbsp|tablespoons?)) (?:of )?(?:hot |boiling )?water\b[^.]{0,20}\b(?:lid|cover)|^\W*(?:hot |boiling )?water,? (?:to (?:come|reach)|up to|in)\b[^.]{0,32}\b(?:lid|cover)|\bput in (?:the )?(?:dumplings|buns|pieces|noodles)\b[^.]{0,20}\blid on\b/i,
  ],
  [
    'boil',
    /\b(?:par-?)?boil(?:ing|ed)?\b|\bpoach\b|\buntil they (?:float|rise|bob|come to the)|\b(?:when|once|after|as soon as) they(?:'ve)? (?:float|rise(?! (?:in the oven|well|nicely))|come(?! (?:out|off|from|away|together))|surface|bob)\b|\b(?:till|until) (?:they )?float\b|\bsimmer(?:ing)? (?:salted )?water\b|\b(?:simmer|cook)(?:ed)? (?:them |the \w+ )?(?:(?:for )?(?:about )?\d[\d –-]* ?min\w* )?in (?:(?!the\b)[a-zß-öø-ɏ\d.]+ ){0,4}?(?:the )?(?:(?:hot|simmering|salted) )*(?:broth|stock|soup|water)\b|^\W*simmer (?:very )?(?:gently|slowly|them|all|everything|in (?:the |a )?(?:[a-zß-öø-ɏ]+ )?(?:broth|stock)|(?:for )?\d)\b|\bdrop (?:in |into (?:the )?(?:\w+ )?(?:broth|soup|water) )?(?:the )?(?:wontons|dumplings|pelmeni|pierogi|ravioli|tortellini|momos)\b/i,
  ],
  [
    'bake',
    /\bstart(?:ing)?(?: them| it)?(?: off)? (?:at|in|on) (?:an? )?(?:hot )?\d{3}|\b(?:bake(?! in (?:an? |the )?(?:dry |hot |heavy )*(?:skillet|frying pan|tawa))(?! (?:on|in) (?:an? |the )?(?:(?:dry|hot|heavy|ungreased) )*(?:(?:dry|hot|heavy|ungreased) pan|griddle|tawa|hotplate|skillet))|baked|baking(?! (?:powder|soda|paper|parchment|sheet|tray|dish|tin|stone|spread|block))|oven|grill(?:ed)?(?! ?pan\b| (?:them |it |these )?(?:in|on|over) (?:an? |the |hot )?(?:[a-zß-öø-ɏ]+ )?(?:pan|tawa|griddle|skillet|barbecue|bbq|coals|charcoal|embers))|broil(?:ed)?|roast(?:ed)? (?:them|the (?:pies|pockets)))\b/i,
  ],
  [
    'fry',
    /\bfr(?:y|ied|ying)\b(?! ?pan)|\bflat side down\b|\b\d ?min\w*[^.;]{0,20}\b(?:until|till) (?:the |their )?(?:bottoms?|bases?) (?:is |are |turns? |gets? |go )?(?:golden|brown|browned|crisp)|\b(?:tbsp|tsp|tablespoons?|splash of|little) (?:of )?(?:[a-zß-öø-ɏ]+ )?oil\b[^.;]*\d ?min\w*[^.;]*\b(?:brown|golden|crisp)|\b(?:brown|crisp)(?:ed)? (?:them )?(?:up )?in\b(?! (?:a few |some |the )?(?:spots|places|patches|parts|areas|middle|centre|center))|\bsaut[eé]|\bhot oil\b|\binto (?:the )?oil\b|^\W*(?:\d[^.;,]{0,12} )?oil\b[^.;]{0,16}\bin (?:the |a )?(?:[a-zß-öø-ɏ]+ )?(?:pan|skillet|wok)\b(?=[^.;]*\d ?min)|\bdrain on (?:kitchen |paper )?(?:paper|towels?)\b/i,
  ],
  ['cook', /\b(?:cook|toast|brown)\b[^.]{0,60}\b(?:sides?|turning|flip|golden|spots|lid|turn|browned)\b/i],
]

/** One way of cooking that a clause names. */
export interface HeatEvent {
  way: Seen
  temperatureC: number | null
  fan: boolean
  minutes: number | null
  perSide: boolean
  heat: Heat | null
  text: string
  airFryer: boolean
  /** "Then raise to 180": the way that went before, at another heat. */
  goesOn: boolean
  /** "15 minutes longer": on top of what went before. */
  more: boolean
}

/** "Another 15 minutes", "5 min more": on top of what went before. */
export const MORE_TIME =
  /\b(?:another|further|more|longer|again)\b|\b(?:back|return\w*) (?:[a-zß-öø-ɏ]+ )?(?:in(?:to)?|to) (?:the )?oven\b/i
/** "Bake 15 minutes, then broil for 2": under the grill the same goes on. */
const BROILS_THEN =
  /^\W*(?:and )?(?:then )?(?:broil|grill)(?: (?:it|them))?(?: for)? (?:about )?\d{1,2}\b(?![^.;]*\b(?:each|side|last|final)\b)/i
/** "Then 10 on the top": on another shelf the same goes on. */
export const OTHER_SHELF =
  /^\W*(?:and )?(?:then )?\d{1,2}\b[^.;]{0,12}\bon the (?:top|bottom|middle|upper|lower|other)\b/i
const IN_FAT = /\b(?:oil|fat|lard|ghee|syrup|probe|inside|core|internal|centre reaches)\b/i
/** Below it nothing is baked. Common practice, no source. */
export const COOLEST_OVEN_C = 110
const isOven = (temperature: { celsius: number } | null) =>
  temperature !== null && temperature.celsius >= COOLEST_OVEN_C
/** What says that a time comes on top of the one before it. */
const ON_TOP =
  /\b(?:other|second|first|last) side|\bthe (?:other|second)\b|\bsecond\b|\bturn(?! (?:off|down|on)\b)|flip|more|then|another|further|uncover|foil|\+|\band \d|\bbroil\b/i
const IN_ALL = /^[^.,;()]{0,20}\b(?:altogether|in all|in total|total|all told)\b/i
/** Times of one way that are told one after another. */
const MOST_TIMES = 4
/** How far behind a time what it is for may stand: "3 minutes second side". */
const SIDE_BEHIND = 28

const BOTH_SIDES = /\b(?:on )?both sides\b/i
/** "On both sides until spots appear, around 2 minutes": of the whole. */
const UNTIL_THEN_TIME =
  /\bboth sides\b[^.;]*\b(?:until|till)\b[^.;]{8,}?,? (?:for |about |around |roughly )*\d[^.;,]{0,8}min\w*\W*$/i
const WAITS =
  /\b(?:pre-?heat(?:ed)?|rest|prove|proof|rise|chill|knead|cool|stand|leave|soak|relax|keep aside|freeze)\b[^,]*$/i
const TURNS = /\b(?:turn(?:ed)?|reduce|lower|drop|increase|raise|bring)\b[^.]{0,40}\bto\b/i
const TAKES_OUT =
  /\b(?:remove|take(?:n)?|out) (?:them )?(?:from|out of) (?:the )?(?:oven|oil|steamer|pan)\b|\bto the boil\b(?=[^.]{0,30}(?:stock|sauce|milk|syrup))/i

/** "Flip at 15 min": when, and no time on top. */
const TURNED_AT =
  /\b(?:flip|turn|rotat|swap)\w*(?: (?:them|it|over|the [a-zß-öø-ɏ]+|once|halfway))* (?:at|after|around)\s*(?:about )?$/i
const PUT_IN =
  /^\W*(?:then )?(?:put|pop|slide|stick|place|bung|chuck)\b[^.;]*\b(?:in|into)\b[^.;]{0,20}\d{3}/i
const EITHER_VERB = /^[a-zß-öø-ɏ]+ or $/i
const CORE =
  /\(?\b(?:core|internal|inside|centre|center|middle)\b(?: temp\w*)?(?: (?:of|is|at|to|reads|reaches|hits|should|be|must|shows?|about))*[: ]+(?:about |at least )?\d{2,3} ?(?:°|deg\w*)? ?[cf]\b\)?|\(?(?:to |at )?(?:about |at least )?\d{2,3} ?(?:°|deg\w*)? ?[cf],? (?:inside|internal(?:ly)?|core|(?:in|at) the (?:core|centre|center|middle))\b\)?/gi

/** "…, then fry in butter if you like", "optional: crisp in a pan": a cooking that nobody has to do, in the first group or the second. */
export const IF_LIKED =
  /(?:[,;(]|\band\b|^)\s*(?:and )?(?:then )?(?:optional(?:ly)?[:,]? )?((?:pan[- ]?|deep[- ]?|shallow[- ]?)?(?:fry|brown|crisp|toast|grill|broil|bake|steam|boil|griddle)\b[^.;()]*?)\s*\(?\b(?:if (?:you(?:['’]d)? )?(?:like|liked|want|wanted|wish|wished|fancy|desired|prefer)\b|optional(?:ly)?\b)\)?[^.;]*\.?$|^\W*optional(?:ly)?[:,]? (?:then )?((?:fry|brown|crisp|toast|grill|broil|bake|steam|boil|griddle)\b.*)$/i

const OR_AN_OVEN = new RegExp(String.raw`(?<=\d ?min[^.;]{0,40}),?\s+or ${OVEN_BY_HEAT}\b.*$`, 'i')
/** What a clause says of heat: without what heats no piece, and with its minutes spelt out. */
const heatSaid = (said: string): string =>
  withoutUnitDots(withoutVents(said))
    .replace(UNDER_STEAMER, ' ')
    .replace(NOT_DONE, ' ')
    // "Roll in crumbs fried in butter": the crumbs are.
    .replace(
      /\b(?:(?:bread)?crumbs|onions?|bacon|nuts|walnuts|poppy ?seeds?|sage) (?:fried|browned|toasted|sizzled|crisped) in (?:the |some |a little )?(?:[a-zß-öø-ɏ]+ )?(?:butter|oil|fat|lard)\b/gi,
      ' ',
    )
    // Fried onions beside the dish are no second cooking of it.
    .replace(/\b(?:serve|served|serving)\b[^.]{0,30}\bwith\b.*$/i, ' ')
    .replace(/^\W*from frozen\W+/i, '')
    // "Into the freezer while the oven heats": nothing is in it yet.
    .replace(
      /\b(?:while|until|till|as) (?:the |your )?oven (?:(?:is |gets )?(?:pre-?heat(?:s|ing)?|heat(?:s|ing)?(?: up)?|hot|warms?(?: up)?|comes? (?:up )?to))\b.*$/i,
      ' ',
    )
    // "Steam 12 minutes after it boils": the water does.
    .replace(
      /\b(?:after|once|when|from)(?: (?:it|the water))? (?:starts? )?(?:boil(?:ing|s)|to boil|comes? to (?:the|a) boil)\b/gi,
      ' ',
    )
    // "…, then fry in butter if you like": nobody has to.
    .replace(IF_LIKED, ' ')
    // "Until cooked through (75 °C inside)" is a probe's.
    .replace(CORE, (said) => (isOven(temperatureIn(said)) ? said : ' '))
    // "Let the water boil off": it goes.
    .replace(
      /\b(?:water|liquid)(?: has| have|,)? (?:to )?(?:all )?(?:boils?|boiled|cooks?|cooked|steams?) (?:off|away|dry)\b|\b(?:boil|cook|steam) off (?:the |any |all the )?(?:[a-zß-öø-ɏ]+ )?(?:water|liquid)\b/gi,
      ' ',
    )
    // Water that scalds flour boils no piece.
    .replace(SCALDS, ' ')
    // "Steam 8 min / boil 4 min" allows either.
    .replace(/\s\/\s(?=(?:deep|shallow|pan|air)?[- ]?(?:fry|steam|boil|griddle)\b)/gi, ', or ')
    // "200 °C 15 min / air fryer 180 °C 10 min" allows either.
    .replace(/,?\s+but (?:you|one|i) (?:can|could|may) (?:also )?(?:do|bake|fry|steam|cook|make)\b.*$/i, '')
    .replace(/(?<=\d{3}[^.;]{0,30})\s(?:\/|or)\s(?:in (?:an? |the )?)?air[- ]?fryer\b.*$/i, '')
    // "Dry pan 3 min each side, or a 250 °C oven 6 min" allows either.
    .replace(OR_AN_OVEN, '')
    // "Air fryer 165 °C 12 min (oven 190 °C 18 min)": the bracket allows another way.
    .replace(
      /(?<=\d[^()]*)\((?:or )?(?:in (?:an? |the )?)?(?:conventional |fan )?(?:oven|air[- ]?fryer|bake)\b[^()]*\)/i,
      ' ',
    )
    // "Grill 3 min each side (or hot dry pan)".
    .replace(
      /\(or\b[^()]*\b(?:pan|griddle|tawa|oven|grill|bak(?:e|ed)|fry|fried|fryer|steam(?:ed)?|boil(?:ed)?)\b[^()]*\)/i,
      ' ',
    )
    // "Gas 7 – 15 min": the mark and the minutes, no range.
    .replace(
      /\b(gas(?: mark)?\s*\d{1,2})\s*[-–]\s*(?:a |for )?(?:further |another )?(\d{1,3})\s*(?=m(?:in|\b))/gi,
      '$1, $2 ',
    )
    .replace(/(\d{3})\s*\/\s*(?=\d{1,2}(?:\s*[-–]\s*\d{1,2})?\s*m)/i, '$1, ')
    .replace(/\bfor (?:a|an|the) (?:further|additional) (\d{1,2})(?=\W*(?:$|[,;]))/gi, 'for $1 min')
    .replace(/\bfor (?:a|an|the) (?:further|final|last|additional) (?=\d)|\bfor another (?=\d)/gi, 'for ')
    // "200C 18-20": the second pair is minutes.
    .replace(
      /(\d{3}\s*(?:°\s*)?[cf]?(?: fan)?),?\s+(?:for )?(\d{1,2}(?:\s*[-–]\s*\d{1,2})?)(?=\W*$)/i,
      '$1 $2 min',
    )
    // "Gas 4 for 25".
    .replace(
      /\b(gas(?: mark)?\s*\d{1,2}(?:\s*\(\d{3}[^()]{0,8}\))?) for (\d{1,2}(?:\s*[-–]\s*\d{1,2})?)(?!\d|\s*(?:[-–]|min|m\b|h))/gi,
      '$1 for $2 min',
    )

/**
 * The ways of cooking that a clause names, in their order, each with its own heat and time.
 *
 * @param aside whether a sentence about keeping or serving counts as well
 */
export function eventsIn({ text, sentence, closed }: Clause, aside = false): HeatEvent[] {
  if (!aside && isAside(sentence)) return []
  return (closed ? eventsOfClosed : eventsOfOpen)(text).map((event) => ({ ...event }))
}
const eventsOfClosed = remember((text) => findEvents(text, true))
const eventsOfOpen = remember((text) => findEvents(text, false))

function findEvents(said: string, closed: boolean): HeatEvent[] {
  const text = heatSaid(said)
  if (TAKES_OUT.test(text)) return []
  const found: { way: Seen; index: number; length: number }[] = []
  for (const [way, pattern] of SEEN) {
    // "Cook" beside a way that is named says nothing more.
    if (way === 'cook' && found.length) continue
    const match = pattern.exec(text)
    if (!match) continue
    // "Deep fry till they float": in oil they float as well.
    if (
      way === 'boil' &&
      /\b(?:float|rise|bob|surface|come)/i.test(match[0]) &&
      found.some((one) => /fry/.test(one.way))
    )
      continue
    // One stretch of text is one way: "deep-fry" is no plain "fry".
    if (
      found.some((one) => match.index < one.index + one.length && match.index + match[0].length > one.index)
    )
      continue
    found.push({ way, index: match.index, length: match[0].length })
  }
  // "Then turn down to 180 °C for 20 minutes" goes on baking.
  const goesOn = !found.length && TURNS.test(text) && temperatureIn(text) !== null
  if (goesOn) found.push({ way: 'bake', index: 0, length: 1 })
  // "180 / 25 mins" names no way: heat alone is an oven's.
  // "Proof 45 min, egg wash, 190 °C 12 min": of the times the one beside the heat is meant.
  const pieces = found.length ? [] : text.split(/,\s+/).filter((piece) => isHeatLine(piece))
  const hot = pieces.find((piece) => temperatureIn(piece)) ?? pieces[0]
  if (hot || (!found.length && isHeatLine(text)))
    found.push({ way: 'bake', index: hot ? text.indexOf(hot) : 0, length: 1 })
  // "Stick them in at 190 for about 20 minutes": closed pieces with heat and time and no other way are an oven's.
  if (!found.length && closed && !IN_FAT.test(text) && timesIn(text).length && isOven(temperatureIn(text)))
    found.push({ way: 'bake', index: 0, length: 1 })
  // "Put them in at 220": an oven whose time is told behind it.
  if (!found.length && closed && !IN_FAT.test(text) && PUT_IN.test(text) && isOven(temperatureIn(text)))
    found.push({ way: 'bake', index: 0, length: 1 })
  // "Brown in a dry pan 2 minutes a side": the pan says how.
  const browns = found.find(
    ({ way, index }) =>
      way === 'fry' &&
      /^(?:brown|crisp|(?:fry|cook)\b(?=[^,.;]{0,24}\b(?:dry|ungreased|unoiled)\b))/i.test(text.slice(index)),
  )
  const dryPan = browns && found.find(({ way, index }) => way === 'griddle' && index > browns.index)
  if (dryPan && !/\bthen\b|\d ?min/i.test(text.slice(browns.index, dryPan.index))) {
    found.splice(found.indexOf(browns), 1)
    dryPan.index = browns.index
  }
  // "Fry 2 minutes in 180-degree oil": what it is fried in stands behind.
  const deep = found.find(({ way }) => way === 'deep-fry')
  const plain = deep && found.find(({ way, index }) => way === 'fry' && index < deep.index)
  if (plain && !/\bthen\b/i.test(text.slice(plain.index, deep.index))) {
    found.splice(found.indexOf(plain), 1)
    deep.length += deep.index - plain.index
    deep.index = plain.index
  }
  // "Grill 3 min a side in a hot griddle pan": it is done in the pan.
  const grilled = found.find(({ way, index }) => way === 'bake' && /^grill/i.test(text.slice(index)))
  const ridged = grilled && found.find(({ way, index }) => way === 'griddle' && index > grilled.index)
  if (ridged && !/\bthen\b/i.test(text.slice(grilled.index, ridged.index))) {
    found.splice(found.indexOf(grilled), 1)
    ridged.index = grilled.index
  }
  // "Fry 2 min each side with a little ghee on the tawa": it is done on the tawa.
  const onTawa = found.find(
    (one) =>
      one.way === 'griddle' &&
      /^(?:tawa|tava|griddle|comal|bakestone)/i.test(text.slice(one.index)) &&
      /\b(?:in|on) (?:an? |the )?(?:[a-zß-öø-ɏ]+ )*$/i.test(text.slice(0, one.index)),
  )
  const friedOn =
    onTawa &&
    found.find(
      ({ way, index }) =>
        (way === 'fry' || way === 'shallow-fry') &&
        index < onTawa.index &&
        !/\bthen\b/i.test(text.slice(index, onTawa.index)),
    )
  if (friedOn) {
    found.splice(found.indexOf(friedOn), 1)
    onTawa.index = friedOn.index
  }
  // "Fry in a heavy skillet with a film of oil" is one way, and the pan is what it is done in.
  const inPan = found.find(
    (one) =>
      one.way === 'griddle' &&
      /\b(?:fr(?:y|ied|ying)|oil)\b(?:[^.,;\d]|\d[\d./]* ?(?:cm|mm|inch(?:es)?|in\b|")){0,40}\b(?:in|on) (?:an? |the )?(?:[a-zß-öø-ɏ]+ )*$/i.test(
        text.slice(0, one.index),
      ),
  )
  if (inPan && found.some(({ way }) => way === 'fry' || way === 'shallow-fry'))
    found.splice(found.indexOf(inPan), 1)
  // "Spray a non-stick pan with oil, fry the bottoms": the pan is where it is fried.
  const panFirst = found.find(
    (one) =>
      one.way === 'griddle' &&
      found.some(
        ({ way, index }) =>
          (way === 'fry' || way === 'shallow-fry') &&
          index > one.index &&
          !/\d ?min|\bthen\b/i.test(text.slice(one.index, index)),
      ),
  )
  if (panFirst) found.splice(found.indexOf(panFirst), 1)
  // Browned, watered and covered is one way; the pan it is done in is no other.
  const last = found.find((one) => one.way === 'brown-and-steam')
  const otherFirst = found.some(
    (one) => last && one.index < last.index && /\bor\b/i.test(text.slice(one.index, last.index)),
  )
  const browned = otherFirst ? undefined : last
  if (browned) found.splice(0, found.length, { ...browned, index: 0 })
  found.sort((a, b) => a.index - b.index)
  // "Steam 8 minutes, or pan-fry" allows another way; it is no second one.
  const either = found.findIndex(
    (one, at) =>
      at > 0 &&
      (/\bor (?:you can )?$/i.test(text.slice(0, one.index)) ||
        // "Steam 10 min, or drop in the broth till they float".
        /,\s*or (?!until|till|so\b|more|longer|a\b|an\b|two|\d)[a-zß-öø-ɏ]+/i.test(
          text.slice(found[at - 1]!.index, one.index),
        )),
  )
  // "Steam or boil 5-6 minutes": the minutes are of both.
  const ofBoth = either > 0 && EITHER_VERB.test(text.slice(found[either - 1]!.index, found[either]!.index))
  const until = either > 0 && !ofBoth ? found[either]!.index : text.length
  if (either > 0) found.splice(either)
  const times = timesIn(text.slice(0, until))
  return found.map((one, at) => {
    const end = found[at + 1]?.index ?? until
    const start = at === 0 ? 0 : one.index
    const stretch = text.slice(start, end)
    const behind = times.filter(
      (time) =>
        time.index >= one.index &&
        time.index < end &&
        !TURNED_AT.test(text.slice(0, time.index)) &&
        !/\bpre-?heat\w* (?:for )?(?:about )?$/i.test(text.slice(0, time.index)),
    )
    // "Prove 40 minutes and bake": a time in front belongs to what stands before it.
    const inFront = times.filter(
      (time) =>
        time.index >= start &&
        time.index < one.index &&
        !WAITS.test(text.slice(Math.max(0, time.index - 40), time.index)),
    )
    const told = behind.length ? behind : inFront
    // "Until they float plus 2 minutes, about 5 minutes altogether": the whole is said.
    const whole = told.find((time, n) => IN_ALL.test(text.slice(time.index, told[n + 1]?.index ?? end)))
    const own = whole ? [whole] : told
    const temperature = temperatureIn(stretch)
    const twoSides = BOTH_SIDES.test(stretch) && !UNTIL_THEN_TIME.test(stretch)
    const sum = own.length
      ? own
          .slice(0, MOST_TIMES)
          .reduce(
            (total, time, n) =>
              total +
              (n === 0 ||
              one.way === 'brown-and-steam' ||
              ON_TOP.test(text.slice(own[n - 1]!.index, time.index + SIDE_BEHIND))
                ? exactMinutes(time)
                : 0),
            0,
          )
      : null
    const minutes =
      sum !== null && twoSides && !whole && one.way !== 'brown-and-steam' && !own[0]!.perSide && sum <= 6
        ? sum * 2
        : sum
    return {
      way: one.way,
      temperatureC: temperature?.celsius ?? null,
      fan: temperature?.fan ?? false,
      minutes,
      perSide:
        own.some((time) => time.perSide) ||
        twoSides ||
        /\b(?:each|per|a|other) side|flip|turn over\b/i.test(stretch),
      heat: heatIn(stretch),
      text: stretch,
      airFryer: /air[- ]?fr/i.test(stretch),
      // "Fry at 170 for 6 minutes, then at 190 for one".
      goesOn: goesOn || /^\W*(?:(?:once )?(?:again|more) |a second time )?at \d/i.test(said),
      more: MORE_TIME.test(said) || OTHER_SHELF.test(said) || BROILS_THEN.test(said),
    }
  })
}
