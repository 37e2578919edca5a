import { DIGIT_NUMBER, readNumber, withDigits } from './readNumber'

import { remember } from './remember'

/** A span of time that a text states. */
export interface TimeRead {
  lowMinutes: number
  highMinutes: number
  /** "4 minutes a side": the time holds for each of two sides. */
  perSide: boolean
  /** Where in the text it stands. */
  index: number
}

const TIME = new RegExp(
  String.raw`(?:about |around |approx\.? |roughly |another |a further |~)?(${DIGIT_NUMBER}(?:\s*(?:-|–|to|or)\s*${DIGIT_NUMBER})?)\s*(?:more |further )?(min(?:ute)?s?|mins?|hours?|hrs?|hr|h|m|days?|sec(?:ond)?s?)\b\.?(?:\s*(?:and\s+)?(\d{1,2})\s*(?:min(?:ute)?s?|m)\b)?`,
  'gi',
)
const MINUTES_IN: Readonly<Record<string, number>> = { s: 1 / 60, m: 1, h: 60, d: 1440 }
const WORDS: readonly [RegExp, number, number][] = [
  [/\bhalf an hour\b/i, 30, 30],
  [/\b(?:a )?quarter of an hour\b/i, 15, 15],
  [/\bthree[- ]quarters of an hour\b/i, 45, 45],
  [/\b(?:an|one) hour and a half\b/i, 90, 90],
  [/\bovernight\b/i, 480, 720],
  [/\b(?:a )?couple of min(?:ute)?s\b/i, 2, 2],
  [/\ba few minutes\b|\b(?:for|cook|fry) a few mins?\b/i, 3, 5],
  [/\b(?:a|another) (?:minute|min)\b/i, 1, 1],
  [/\ban hour\b/i, 60, 60],
]
const SIDE =
  /\b(?:(?:on )?(?:a|each|per|either|both) sides?|the (?:other|second) side|each way|sides? each)\b|^\s*\/\s*sides?\b/i

/**
 * The times that a text states, in order: "12-15 minutes", "half an hour", "1½ hours", "2 min a side".
 *
 * @example timesIn('fry 4 minutes a side')[0] // { lowMinutes: 4, highMinutes: 4, perSide: true, index: 4 }
 */
export const timesIn: (text: string) => readonly TimeRead[] = remember(findTimes)

function findTimes(stated: string): TimeRead[] {
  const spoken = inFigures(stated).replace(BARE_MINUTES, '$& min')
  if (!/min|sec|h(?:ou)?rs?\b|[\d½¼¾]\s*[hm]\b|day|overnight/i.test(spoken)) return []
  const text = withDigits(spoken)
    .replace(ISH, '$1')
    .replace(TO_AN_HOUR, (_, low: string) => `${low}-60 min`)
  const found: TimeRead[] = []
  const taken: [number, number][] = []
  for (const [pattern, lowMinutes, highMinutes] of WORDS) {
    const match = pattern.exec(text)
    if (!match || taken.some(([from, to]) => match.index < to && match.index + match[0].length > from))
      continue
    taken.push([match.index, match.index + match[0].length])
    found.push({
      lowMinutes,
      highMinutes,
      perSide: perSide(text, match.index + match[0].length),
      index: match.index,
    })
  }
  for (const match of text.matchAll(TIME)) {
    const from = match.index
    const to = from + match[0].length
    if (taken.some(([start, end]) => from < end && to > start)) continue
    // A letter in front belongs to a word: "sesame 5 m" is a time, "form 5" none.
    if (/[\p{L}\d.]$/u.test(text.slice(Math.max(0, from - 1), from))) continue
    const number = readNumber(match[1]!)
    if (!number) continue
    const factor = MINUTES_IN[match[2]!.charAt(0).toLowerCase()]!
    const more = Number(match[3] ?? 0)
    const lowMinutes = number.low * factor + more
    const highMinutes = number.high * factor + more
    if (!(highMinutes > 0) || highMinutes > 7 * 1440) continue
    found.push({ lowMinutes, highMinutes, perSide: perSide(text, to), index: from })
  }
  return found.sort((a, b) => a.index - b.index)
}

const perSide = (text: string, end: number) => SIDE.test(text.slice(end, end + 24))

/** Minutes of one time, both sides counted, in the middle of its range: for sums, which are rounded once. */
export const exactMinutes = (time: TimeRead): number =>
  ((time.lowMinutes + time.highMinutes) / 2) * (time.perSide ? 2 : 1)
/** The same in whole minutes. */
export const middleMinutes = (time: TimeRead): number => Math.round(exactMinutes(time))

/** Times told in words that run over more than one number, as minutes. */
const TOLD: readonly [RegExp, (...groups: string[]) => number][] = [
  [/\b(?:three|3)[- ]quarters of (?:an|1) hour\b|[¾] ?(?:of an )?hour\b/gi, () => 45],
  [/\b(?:an|one|1) hour (?:and|&) a half\b/gi, () => 90],
  [/\b(?:an|one|1) hour (?:and|&) a quarter\b/gi, () => 75],
  [/\b(?:an|one|1) hour (?:and|&) three quarters\b|\b(?:an|1) hour (?:and|&) 3 quarters\b/gi, () => 105],
  [/\b(?:an|one) hour and (\d{1,2})(?: ?min\w*)?/gi, (minutes) => 60 + Number(minutes)],
  [
    /\b(\d) ?hr? ?(\d\d)(?: ?min\w*|(?![\da-zß-öø-ɏ°]| ?(?:balls|pieces|x\b)))/gi,
    (hours, minutes) => 60 * Number(hours) + Number(minutes),
  ],
  [/\b(?:a|one|1) min(?:ute)? and a half\b/gi, () => 1.5],
  [
    /\b(\d) ?(?:hrs?|hours?) (\d\d)(?=\W*(?:$|[.,;]))/gi,
    (hours, minutes) => 60 * Number(hours) + Number(minutes),
  ],
]
/** What is told in words stands where it stood: what is found behind it keeps its place. */
const inFigures = (text: string): string =>
  /hour|\d ?h|min(?:ute)? and/i.test(text)
    ? TOLD.reduce(
        (one, [pattern, minutes]) =>
          one.replace(pattern, (whole, ...groups: string[]) =>
            `${minutes(...groups)} min`.padEnd(whole.length),
          ),
        text,
      )
    : text

const FEW = String.raw`\d{1,2}(?:\s*(?:[-–]|or|to)\s*\d{1,2})?`
const STOP_BEHIND = String.raw`(?=\W*(?:$|[.,;)])`
/** Minutes that nobody calls minutes, each with the words round them. */
const BARE_MINUTES = new RegExp(
  [
    // "Bake 375° for 18-20 until brown", "fry for 3-4 or so"
    String.raw`\b(?:bake|baked|cook|steam|fry|boil|simmer|roast|oven)\b[^.;]{0,40}\bfor (?:about )?${FEW}(?=\s*(?:until|till|or so\b|[.,;]|$))(?!\s*[.,]\d)`,
    // "simmer 10.", "steam 13 from cold"
    String.raw`\b(?:simmer|bake|steam|boil|fry) ${FEW}(?=\s*[.;]|\s*$|\s+(?:until|till|or so|from cold|lid (?:on|off))\b)(?![.]\d)`,
    // "give them 20 more"
    String.raw`\bgive (?:it|them|these) (?:a |about |around |another |a further |some )*${FEW}(?: more| extra)?${STOP_BEHIND}| until| till| or so)`,
    // "bake another 25", "for the first 10"
    String.raw`\b(?:another(?! 1(?!\d))|a further|(?:the|for) (?:first|last|final|remaining)) ${FEW}${STOP_BEHIND}| at \d| until| till)`,
    // "bake 15-18 at 425", "30 more at 180"
    String.raw`\b(?:bake|cook|roast|oven) (?:for )?${FEW}(?= (?:at|@) \d{3})`,
    String.raw`^\W*(?:and )?(?:the |a )?(?:remaining|last|final|another|further)? ?\d{1,2}(?: more)?(?= (?:at|@) \d{3})`,
    // "lid off 5 more", "10 more", "flip, 4 more", "bake 5 more"
    String.raw`\blid (?:on|off) (?:for )?\d{1,2}(?: more)?${STOP_BEHIND})`,
    String.raw`^\W*(?:for )?\d{1,2} more(?=\W*$)`,
    String.raw`,\s+(?:and |then )?\d{1,2} more${STOP_BEHIND})`,
    String.raw`\b(?:then|flip\w*|turn\w*|side|over),?(?: and| then| for| give them)* \d{1,2} more${STOP_BEHIND}| at\b| until| till| on\b)`,
    String.raw`\b(?:bake|cook|fry|steam|griddle|knead|rest|rise|prove|chill) (?:for )?\d{1,2} more${STOP_BEHIND}| until| till?\b)`,
    String.raw`\b(?:un)?covered for (?:about |another |a further )?${FEW}${STOP_BEHIND}| until| till?\b)`,
    // "rest 20"
    String.raw`\b(?:rest|prove|proof|rise|chill|soak|marinate)(?: (?:it|them|dough|for|another))* ${FEW}(?=\s*[.,;]|\s*$|\s+(?:(?:un)?covered|in (?:a|the) (?:bag|bowl|fridge|freezer|box)|on the counter|under|lid (?:on|off))\b)(?![.,]\d)`,
    // "Knead 8, rise 1 h"
    String.raw`\bknead(?: by hand| it| well| for)* ${FEW}(?=\s*,?\s*(?:then |and )?(?:rest|rise|prove|proof|cover|chill|leave|let)\b)`,
    // "Add the salt and knead for 5"
    String.raw`\bknead for (?:about |another |a further )?${FEW}${STOP_BEHIND})`,
    // "180 for 12"
    String.raw`\b\d{3} ?(?:°|deg\w*)? ?[cf]?(?: fan)? for (?:about |around )?${FEW}(?: more)?(?=\W*(?:$|[,;)]|\.(?!\d)))`,
    // "3 the other", "20 covered"
    String.raw`\b\d{1,2}(?= (?:on )?the (?:other|second|next)\b)`,
    String.raw`(?<!\bkeep(?:ing)? )\b\d{1,2}(?= (?:(?:un)?covered|on the (?:top|bottom|other|second|middle|lower|upper))\b)`,
  ].join('|'),
  'gi',
)

/** "45 min - 1 hour", "50 minutes to an hour". */
const TO_AN_HOUR = /(\d{1,2}) ?min(?:ute)?s? ?(?:-|–|to) ?(?:1|an) ?(?:hours?|hrs?|h)\b/gi

/** "20ish min". */
const ISH = /(\d)\s?-?ish\b/gi

const HEAT = String.raw`\d{3}\s*(?:°|deg\w*)?\s*[cf]?(?![a-zß-öø-ɏ\d])(?:\s+fan\b)?`
const HEAT_LINE = new RegExp(
  String.raw`^\W*${HEAT}\s*(?:top\s*(?:\/|and|&|\+|-)\s*bottom(?: heat)?|convection|fan)\b(?:[^.;]|\b(?:approx|ca|abt)\.){0,24}?\d{1,3}\s*(?:m|min(?:ute)?s?)\b|^\W*gas(?: mark)?\s*\d{1,2}\W+(?:for )?\d{1,3}\b|^\W*(?:at\s+)?(?:gas(?: mark)?\s*\d{1,2}\b|\d{3}\s*(?:°|deg\w*)?\s*[cf]\b)(?:[^.;]{0,40}?\b\d{1,3}\s*(?:[-–]\s*\d{1,3}\s*)?(?:m|min(?:ute)?s?)\b|\s+for\s+\d{1,2}(?:\s*[-–]\s*\d{1,2})?(?=\W*(?:$|,|;|then\b|and\b)))|(?:^|[,;])\W*(?:(?:oven|fan|air fryer|gas)\W*(?:at )?)?${HEAT}\s*(?:[/,;–-]|for|\s)\s*\d{1,3}\s*(?:[-–]\s*\d{1,3}\s*)?(?:m|min(?:ute)?s?)\b|^\W*(?:oven\W*)?\d{3}\s*(?:°|deg\w*)?\s*[cf]?\s+(?:for )?\d{1,2}\s*[-–]\s*\d{1,2}\W*$|^(?:oven|air fryer)\W*\d{2,3}(?!\d)|^\W*\d{1,3}\s*(?:[-–]\s*\d{1,3}\s*)?(?:m|min(?:ute)?s?)\s+(?:at\b|@|in a\b).{0,12}\d{3}|(?:^|[,;])\W*\d{1,3}\s*(?:[-–]\s*\d{1,3}\s*)?(?:m|min(?:ute)?s?)\s+\d{3}\s*(?:°|c\b|f\b)|^\W*\d{3}\s+fan\b|^\W*(?:at )?\d{3}(?: ?°| ?deg\w*)? ?[cf]?(?: fan)? for \d{1,2}(?:\s*[-–]\s*\d{1,2})?\W*(?:$|(?:,? ?(?:then|and) )(?:at )?\d{3}\b[^.;]*\d\W*$)|^\W*(?:at )?\d{3}\s*(?:°|deg\w*)\s*[cf]?\s+(?:for )?\d{1,2}(?:\s*[-–]\s*\d{1,2})?\W*$`,
  'i',
)
const TIME_LINE =
  /^\W*(?:(?:about|around|roughly|another|for) )?(?:\d{1,3}\s*(?:[-–]\s*\d{1,3}\s*)?(?:min(?:ute)?s?|hours?|hrs?|h)|(?:half )?an hour)\b(?!\s+(?:steak|rice|noodles))/i

/** "Four hundred degrees, twenty minutes", "200 C, twenty five minutes". */
const SPOKEN_HEAT =
  /\bhundred\b[^.]{0,20}\bdegrees\b|\d{3}[^.]{0,12}\b(?:five|ten|twelve|fifteen|eighteen|twenty|thirty|forty|fifty)\b[^.]{0,8}\bmin/i

/** "180 / 25 mins", "200C 15 min", "air fryer 180, 12 mins": heat and time without a verb. */
export const isHeatLine = (text: string): boolean =>
  HEAT_LINE.test(
    (SPOKEN_HEAT.test(text) ? withDigits(text) : text)
      .replace(/(\d) to (?=\d{1,3} ?m)/gi, '$1-')
      .replace(/\bfor (?:about|around|roughly|approx\.?|a good|another|at least) (?=\d)/gi, 'for ')
      .replace(/(\d{3}) ?[x×] ?(?=\d{1,2} ?m)/gi, '$1 for ')
      .replace(/(min\w*) or so\b/gi, '$1')
      .replace(ISH, '$1'),
  )

/** A line that is nothing but heat or time. */
export const isHeatOrTime = (text: string): boolean =>
  isHeatLine(text) || TIME_LINE.test(text.replace(ISH, '$1'))
