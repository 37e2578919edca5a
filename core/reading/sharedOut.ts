import { readLine } from './readLine'
import { NUMBER_PATTERN, readNumber } from './readNumber'
import { UNIT_PATTERN, unitById, unitByName } from './units'

// "2 eggs (1 for the dough, 1 to glaze)", "300 g swede and potato, half and half": one amount that a line shares out,
// by what each share is for or between two foods.

const NUMBER = String.raw`(?:${NUMBER_PATTERN})`
const AMOUNT = String.raw`(?:about |approx\.? |~)?${NUMBER}\s*(?:(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ]))?`
/** Shares that nobody counts: "a knob for the pan". */
const SOME = String.raw`(?:an? )?(?:knob|little|splash|dash|bit|drizzle|spoonful|handful|pinch|few)(?: (?:more|extra|bit))?|(?:some |a little )?(?:more|extra)`
const PURPOSE = String.raw`(?:for|to|in) (?:the |your |a )?(?!taste\b)[a-zß-öø-ɏ][^,;()+&]{1,40}?`
const JOINT = String.raw`\s*(?:,\s*(?:and |plus )?|;\s*|\s\+\s*|\s&\s*|\sand\s+|\splus\s+)`

/** "1 egg for the filling and 1 for brushing". */
const TWICE = new RegExp(
  String.raw`^(${AMOUNT})\s*([a-zß-öø-ɏ][a-zß-öø-ɏ' -]{1,40}?),?\s+(${PURPOSE})${JOINT}(another|an extra|one more|${AMOUNT})(?:\s+(?:more|extra|of it|of them))?\s+(${PURPOSE})$`,
  'i',
)
/** "Oil - 1 tbsp for the filling, 3 tbsp to brush". */
const NAME_THEN_SHARES = new RegExp(
  String.raw`^([a-zß-öø-ɏ][a-zß-öø-ɏ ]{1,28}?)(?:,|\s*[-–:])?\s+(${NUMBER}\s*(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ])) (${PURPOSE})${JOINT}(${NUMBER}\s*(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ]))\s+(${PURPOSE})$`,
  'i',
)
/** "Oil for frying + 1 tbsp for the masala". */
const PURPOSE_FIRST = new RegExp(
  String.raw`^([a-zß-öø-ɏ][a-zß-öø-ɏ ]{1,24}?),? ((?:for|to) (?:the )?(?:(?:deep|shallow|pan)[- ]?)?[a-zß-öø-ɏ]+)${JOINT}(${NUMBER}\s*(?:${UNIT_PATTERN}))\s+(${PURPOSE})$`,
  'i',
)
/** "75 g butter + a knob for the pan", "150 ml milk plus 2 tbsp for brushing". */
const AND_SOME = new RegExp(
  String.raw`^(${AMOUNT}\s*[a-zß-öø-ɏ][^(),;]*?(?:, [^(),;\d]*?)?(?:\([^()]*\))?)${JOINT}((?:an? )?(?:extra |another )?${NUMBER}(?:\s*(?:${UNIT_PATTERN})|(?=\s+(?:for|to)\s))|${SOME})(?:\s+(?:of it|more|extra|melted|beaten|softened|cold|chilled))?,?\s+(${PURPOSE})$`,
  'i',
)
const BARE_FOR_FRYING =
  /(\+|&|\band|\bplus) (?=(?:for|to) (?:the )?(?:(?:deep|shallow|pan)?[- ]?fry(?:ing)?|brush(?:ing)?|roast(?:ing)?|griddl(?:e|ing)|cook(?:ing)? on)\b)/i
const NAME_AND_NUMBER =
  /^([a-zß-öø-ɏ][a-zß-öø-ɏ ]{1,28}?)(?::|\s*[-–]|,)\s*(\d{1,2}) (?=\((?:one|half|1|½)\b)/i
const NAME_IN_FRONT = new RegExp(
  String.raw`^([a-zß-öø-ɏ][a-zß-öø-ɏ ]{1,28}?)(?:,|\s*[-–:])?\s+(${NUMBER}\s*(?:${UNIT_PATTERN})(?![a-zß-öø-ɏ]))(?=${JOINT})`,
  'i',
)
/** "3 tbsp oil (2 for the filling, 1 for frying)": the sum first, and its shares behind. */
const SUM_AND_SHARES = new RegExp(
  String.raw`^(${NUMBER})\s*((?:${UNIT_PATTERN})(?![a-zß-öø-ɏ]))?\s*([a-zß-öø-ɏ][a-zß-öø-ɏ' -]{1,40}?)\s*(?:[:–-]\s+|,\s+|\()(.+?)\)?$`,
  'i',
)
const HALF_FOR = new RegExp(
  String.raw`^(${AMOUNT})\s*([a-zß-öø-ɏ][a-zß-öø-ɏ' -]{1,40}?)\s*\((?:[^()]*,\s*|half (?:in|for|into) (?:the )?[a-zß-öø-ɏ]+,?\s+(?:and\s+)?(?:the other\s+)?)?half (?:of (?:it|them) )?((?:for|to) (?:the )?(?:glaz|brush|wash|top)[a-zß-öø-ɏ]*)\)$`,
  'i',
)
/** "6 eggs (4 hard-boiled, 2 raw)": how each share goes in. */
const AS_IT_IS =
  '(?:hard[- ]?|soft[- ]?)?boiled(?: and [a-zß-öø-ɏ]+)?|raw|whole|beaten|separated|cooked|toasted|melted|left whole|inside|on the inside'
const SHARE = new RegExp(
  String.raw`^(?:use )?(half|the (?:other|rest|remaining)(?: (?:one|half|of it))?|another|rest|${NUMBER})\s*(${UNIT_PATTERN})?\s*(?:of (?:it|them|which) )?(?:is |are )?(${PURPOSE}|(?:on|over) (?:the )?tops?|${AS_IT_IS})$`,
  'i',
)

const HALVES_SAID = String.raw`(?:half (?:and|&|n) half|half\/half|50\s*[:/-]\s*50|half (?:of )?each|(?:in )?equal (?:parts|amounts|quantities))`
const TWO_FOODS = String.raw`([a-zß-öø-ɏ][a-zß-öø-ɏ' ]{1,28}?)\s*(?:\sand\s|\s&\s|\s\+\s|\/)\s*([a-zß-öø-ɏ][a-zß-öø-ɏ' ]{1,28}?)`
/** "500 g mince (half pork, half beef)", "400 g mince, pork/beef 50:50". */
const OF_TWO_KINDS: readonly RegExp[] = [
  new RegExp(
    String.raw`^(${AMOUNT})\s*(?:of )?([a-zß-öø-ɏ][a-zß-öø-ɏ' ]{1,28}?)(?:\s*[,(]|\s[-–])\s*(?:i (?:use|used|do|like) )?half ([a-zß-öø-ɏ]+(?: (?!half\b|and\b)[a-zß-öø-ɏ]+)?)(?:,| and| &|\/)? ?(?:and )?half ([a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?)\)?$`,
    'i',
  ),
  new RegExp(
    String.raw`^(${AMOUNT})\s*(?:of )?([a-zß-öø-ɏ][a-zß-öø-ɏ' ]{1,28}?)\s*[,(]\s*([a-zß-öø-ɏ]+)\s*(?:\/|and|&)\s*([a-zß-öø-ɏ]+),? ${HALVES_SAID}\)?$`,
    'i',
  ),
]

/** "300 g half wholemeal half plain flour", "half and half white and wholemeal flour". */
const HALF_AND_HALF: readonly RegExp[] = [
  new RegExp(
    String.raw`^(${AMOUNT})\s*(?:of )?half ([a-zß-öø-ɏ]+) ?(?:,|and |& |\/)? ?half ([a-zß-öø-ɏ]+)(?: ([a-zß-öø-ɏ]+))?$`,
    'i',
  ),
  new RegExp(
    String.raw`^(${AMOUNT})\s*(?:of )?(?:an? )?(?:half[- ]and[- ]half|50\/50)(?: mix(?:ture)?)?(?: of)? ([a-zß-öø-ɏ]+) (?:and|&|\/) ([a-zß-öø-ɏ]+) ([a-zß-öø-ɏ]+)$`,
    'i',
  ),
]
/** "350 g flour (half wholemeal)": the other half is what the line names. */
const HALF_OF_KIND = new RegExp(
  String.raw`^(${AMOUNT})\s*(?:of )?((?:[a-zß-öø-ɏ]+ )?flour)(?:\s*[,(]|\s[-–])\s*(?:half|½|1\/2)(?: of (?:it|which|that))?(?: is)? (whole ?meal|whole ?wheat|whole ?grain|spelt|rye|atta|buckwheat|oat|semolina|barley|einkorn)(?: flour)?\)?$`,
  'i',
)
/** "Wholemeal" of "strong flour" is strong wholemeal flour. */
const ofKind = (kind: string, food: string): string => {
  if (/^(?:atta|maida|besan|suji|rava|semolina)$/i.test(kind)) return kind
  if (!/\bflour$/i.test(food)) return `${kind} ${food}`
  const words = food.split(' ')
  return [...words.slice(0, -1), kind, words.at(-1)!].join(' ')
}

/** "Soy + vinegar 1:1 (about 4 tbsp in all)". */
const IN_RATIO = new RegExp(
  String.raw`^${TWO_FOODS}[\s,(]+(?:in (?:a )?)?(\d)\s?:\s?(\d)(?: ratio)?\)?[\s,(]*(?:about |approx\.? |~)?(${NUMBER})\s*(${UNIT_PATTERN})(?: (?:in )?(?:total|all|altogether))?\)?$`,
  'i',
)

/** "Butter + sage to serve (60 g, 10 leaves)": an amount for each, in their order. */
const EACH_ITS_OWN = new RegExp(
  String.raw`^([a-zß-öø-ɏ][a-zß-öø-ɏ' ]{1,24}?)\s*(?:and|&|\+)\s*([a-zß-öø-ɏ][a-zß-öø-ɏ' ]{1,24}?)(,? (?:to|for) [a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,24})?\s*\((${NUMBER}\s*(?:${UNIT_PATTERN})),\s*(${NUMBER}\s*[a-zß-öø-ɏ]+)\)$`,
  'i',
)
/** "2 parts flour to 1 part water (I use 300 g flour)": the first is weighed, and the other follows. */
const IN_PARTS =
  /^(\d) parts? ([a-zß-öø-ɏ][a-zß-öø-ɏ ]{1,28}?)\s*(?:,|:|\bto\b|\band\b|\+|&)\s*(\d) parts? ([a-zß-öø-ɏ][a-zß-öø-ɏ ]{1,28}?)\s*\((?:(?:i|we) (?:use|used|take|took|make it with)|e\.?g\.?|for example|say|so|about)?\s*(\d{2,4}) ?(g|ml)(?: (?:of )?[a-zß-öø-ɏ][a-zß-öø-ɏ ]*)?\)$/i
const AMOUNT_BEFORE_BRACKET = new RegExp(
  String.raw`^([a-zß-öø-ɏ][a-zß-öø-ɏ' ]{1,28}?),?\s+(${NUMBER}\s*(?:${UNIT_PATTERN}))\s*(\(.*half.*)$`,
  'i',
)

const halved = (amount: string): string | null => {
  const number = readNumber(amount.replace(/^(?:about|approx\.?|~)\s*/i, ''))
  if (!number) return null
  const rest = amount.replace(/^(?:about|approx\.?|~)\s*/i, '').slice(number.length)
  const half = (value: number) => String(Math.round((value / 2) * 1000) / 1000)
  return `${half(number.low)}${number.high > number.low ? `-${half(number.high)}` : ''}${rest}`
}

/** Fat for sheets is brushed on them. */
const FOR_SHEETS = /^for (?:the )?(?=(?:phyllo|filo|yufka|sheets|layers)\b)/i

/** "100 ml oil (2 tbsp for the leek, …)": how many of the sum's unit one of the share's is. */
function inUnit(own: string | undefined, of: string): number {
  const [share, sum] = [unitByName(own ?? ''), unitByName(of)]
  return share && sum && share.kind === sum.kind && share.kind !== 'count' ? share.factor / sum.factor : 1
}

/** "1 for the top, well half of it": said of a share, and none. */
const REMARK = /^\s*(?:well|or|maybe|about|roughly)\b/i
/** The shares that a bracket names, as texts of lines; null where they are no shares of the sum. */
function sharesOf(sum: number, unit: string, food: string, said: string): string[] | null {
  const pieces = said
    .replace(/\s*(?:\.{2,}|…)\s*/g, ' ')
    .split(/\s*(?:,\s*(?:and\s+)?|;\s*|\s\+\s*|\sand\s+|\s&\s*)/i)
  if (pieces.length < 2) return null
  let left = sum
  const lines: string[] = []
  for (const piece of pieces) {
    if (REMARK.test(piece)) continue
    const share = SHARE.exec(piece.trim())
    if (!share) return null
    const own = /^half/i.test(share[1]!)
      ? sum / 2
      : /^(?:the|rest)/i.test(share[1]!)
        ? left
        : /^another/i.test(share[1]!)
          ? 1
          : readNumber(share[1]!)!.low * inUnit(share[2], unit)
    if (!(own > 0) || own > left + 1e-9) return null
    left -= own
    const purpose = /\b(?:oil|butter|ghee)$/i.test(food)
      ? share[3]!.replace(FOR_SHEETS, 'to brush the ')
      : share[3]!
    lines.push(`${Math.round(own * 1000) / 1000} ${unit}${unit ? ' ' : ''}${food}, ${purpose}`)
  }
  return left > 1e-9 || lines.length < 2 ? null : lines
}

/**
 * The lines that a line stands for which shares one amount out: by purpose ("1 egg to bind and another to glaze"), or
 * in halves between two foods. Null where it shares nothing out.
 *
 * @param raw an ingredient line
 */
export function sharedOut(raw: string): string[] | null {
  // "Eggs: 2 (one for the filling, one for the glaze)".
  const text = raw
    .trim()
    .replace(NAME_AND_NUMBER, '$2 $1 ')
    // "100 g cheese, divided (80 g in the filling, 20 g on top)".
    .replace(/,? divided(?=\s*(?:[:–-]|,|\())/i, '')
  if (text.length > 160 || !/\band\b|\bplus\b|[+&,;(/]|\bmix|\bhalf\b/i.test(text)) return null
  const twice = TWICE.exec(text)
  if (twice) {
    const [, amount, food, purpose, more, other] = twice
    const again = /^(?:another|an extra|one more)$/i.test(more!) ? '1' : more!.trim()
    return [`${amount!.trim()} ${food!}, ${purpose!}`, `${again} ${food!}, ${other!}`]
  }
  // "Oil - 1 tbsp for the filling, 3 tbsp to brush".
  const front = NAME_THEN_SHARES.exec(text)
  if (front)
    return [`${front[2]!} ${front[1]!}, ${front[3]!}`, `${front[4]!.trim()} ${front[1]!}, ${front[5]!}`]
  // "Oil for frying + 1 tbsp for the masala".
  const first = PURPOSE_FIRST.exec(text)
  if (first) return [`${first[1]!}, ${first[2]!}`, `${first[3]!.trim()} ${first[1]!}, ${first[4]!}`]
  // "1 egg (beaten, half for glaze)": the other half stays where it is.
  const half = HALF_FOR.exec(text)
  if (half) {
    const one = halved(half[1]!)
    if (one) return [`${one} ${half[2]!}`, `${one} ${half[2]!}, ${half[3]!}`]
  }
  // "Olive oil 100 ml (half for the leeks, half for the sheets)": the name in front.
  const sum =
    SUM_AND_SHARES.exec(text) ?? SUM_AND_SHARES.exec(text.replace(AMOUNT_BEFORE_BRACKET, '$2 $1 $3'))
  const number = sum ? readNumber(sum[1]!) : null
  const shares = number ? sharesOf(number.low, sum![2] ?? '', sum![3]!.trim(), sum![4]!) : null
  if (shares) return shares
  const ratio = IN_RATIO.exec(text)
  if (ratio) {
    const [of, to] = [Number(ratio[3]), Number(ratio[4])]
    const { low, high } = readNumber(ratio[5]!)!
    const share = (parts: number) => Math.round((1000 * parts * (low + high)) / 2 / (of + to)) / 1000
    if (of > 0 && to > 0)
      return [`${share(of)} ${ratio[6]!} ${ratio[1]!}`, `${share(to)} ${ratio[6]!} ${ratio[2]!}`]
  }
  const parts = IN_PARTS.exec(text)
  const whole = parts && readNumber(parts[5]!)
  if (parts && whole) {
    const other = Math.round(((whole.low * Number(parts[3])) / Number(parts[1])) * 10) / 10
    return [`${parts[5]!} ${parts[2]!}`, `${other}${parts[6]!} ${parts[4]!}`]
  }
  const own = EACH_ITS_OWN.exec(text)
  if (own) return [`${own[4]!} ${own[1]!}${own[3] ?? ''}`, `${own[5]!} ${own[2]!}${own[3] ?? ''}`]
  // "Flour 3 cups (half …)" as "3 cups flour (half …)".
  const inFront = text.replace(AMOUNT_BEFORE_BRACKET, '$2 $1 $3')
  for (const pattern of OF_TWO_KINDS) {
    const found = pattern.exec(inFront)
    const half = found ? halved(found[1]!) : null
    if (half)
      return [`${half} ${ofKind(found![3]!, found![2]!)}`, `${half} ${ofKind(found![4]!, found![2]!)}`]
  }
  for (const pattern of HALF_AND_HALF) {
    const found = pattern.exec(text)
    const half = found ? halved(found[1]!) : null
    if (half) {
      const food = found![4] ? ` ${found![4]}` : ''
      return [`${half} ${found![2]!}${food}`, `${half} ${found![3]!}${food}`]
    }
  }
  const kind = HALF_OF_KIND.exec(inFront)
  const ofEach = kind ? halved(kind[1]!) : null
  if (ofEach) return [`${ofEach} ${kind![2]!}`, `${ofEach} ${ofKind(kind![3]!, kind![2]!)}`]
  return null
}

const BRUSHED = /^(?:for|to) (?:the )?brush/i
const ON_TOP =
  /^(?:for|to) (?:the )?(?:tops?|topping|sprinkl[a-zß-öø-ɏ]*|strew[a-zß-öø-ɏ]*|scatter[a-zß-öø-ɏ]*|finish[a-zß-öø-ɏ]*)(?: (?:over|on top|them|the tops?))?$/i
const COOKED_IN =
  /^(?:for|to) (?:the )?(?:pan[- ]?|shallow[- ]?|deep[- ]?)?(?:cook|cooking|fry|frying|griddle|tawa|pan|griddling)\b/i

/** "75 g butter + a knob for the pan": the line, and the same food again for something else. Null where there is none. */
export function andSomeFor(raw: string): { line: string; again: string; purpose: string } | null {
  // "Oil 1 tbsp + 1 tbsp for brushing" as "1 tbsp oil + …", "1 tbsp oil + for deep frying" as "+ more for …".
  const text = raw.trim().replace(NAME_IN_FRONT, '$2 $1').replace(BARE_FOR_FRYING, '$1 more ')
  const found = raw.length < 200 ? AND_SOME.exec(text) : null
  // "1 tbsp oil + more for cooking" is another line; flour "plus more for dusting" is not weighed by anybody.
  const isMore = found !== null && /^(?:some |a little )?(?:more|extra)$/i.test(found[2]!)
  const isMoreFat = isMore && BRUSHED.test(found[3]!) && /\b(?:oil|butter|ghee)\b/i.test(found[1]!)
  // "1 tbsp caster sugar + extra for the tops".
  const isMoreOnTop =
    isMore && ON_TOP.test(found[3]!) && /\b(?:sugar|seeds?|cheese|cheddar|parmesan)\b/i.test(found[1]!)
  if (isMore && !isMoreFat && !isMoreOnTop && (!COOKED_IN.test(found[3]!) || /\bsesame\b/i.test(found[1]!)))
    return null
  if (!found) return null
  const [, line, more, purpose] = found as unknown as [string, string, string, string]
  return { line, again: inUnitOf(line, more.replace(/\b(?:extra|another) /i, '')), purpose }
}

/** "2 tbsp oil + 1 for the pan": the spoon is named once. */
function inUnitOf(line: string, again: string): string {
  const unitId = /^[\d./½¼¾]+$/.test(again) ? readLine(line).measures[0]?.at(-1)?.unitId : null
  return unitId && unitById(unitId).kind === 'volume' ? `${again} ${unitId}` : again
}

/** "1 egg + milk to make 160 g": what is there, what fills it up, and the sum. */
export const FILLED_UP =
  /^(.*\S)\s*(?:\+|,|\band\b|\bplus\b|\btopped up with\b|\bmade up with\b)\s*(?:enough )?(milk|water|buttermilk|yogh?urt|cream|soy drink|plant milk)\s+(?:to (?:make|reach|come to|get)|up to|to)\s+(?:up )?(?:a total of )?(\d{2,4} ?(?:g|ml))\b.*$/i

const WEIGHED_BEHIND =
  /^[a-zß-öø-ɏ][a-zß-öø-ɏ ]+ (?:and|&|\+) [a-zß-öø-ɏ][a-zß-öø-ɏ ]+ \d[\d.]*\s?(?:g|gms?|kg|oz|ml)$/i
/**
 * "Khoya 200 g, almonds & cashews 40 g, raisins 2 tbsp": the amount behind the two is of both. The pieces of the list, or
 * null where no piece joins two foods before one weight, or one has no amount.
 */
export function listWeighedBehind(raw: string): string[] | null {
  if (raw.length > MOST_LISTED_CHARACTERS || raw.includes('(')) return null
  const pieces = raw.split(/,\s+/)
  return pieces.length > 1 &&
    pieces.some((one) => WEIGHED_BEHIND.test(one)) &&
    pieces.every((one) => /\d/.test(one))
    ? pieces
    : null
}
/** A longer row is taken apart into sentences first. */
const MOST_LISTED_CHARACTERS = 500
