import type { FactKind } from '../recipe/vocabulary'
import { heapFactor } from './measures'
import { DIGIT_NUMBER, readNumber } from './readNumber'
import { remember } from './remember'
import { SIZES } from './sizeTable'
import { after, MOST_SPOONS, words, type MeasureKind, type Size } from './sizeWords'

// The lengths, weights and spoonfuls of a clause, and what each is of: a round, a cutter, a thickness, the oil, a ball
// of dough, the filling of one piece. What stands before and behind a measure tells; of the rows that fit the first
// decides, and some say that it is of no piece at all ("in 5 cm lengths", "a 23 cm tin").

/** A measure as a clause states it: cm, grams or tablespoons. */
interface Measure {
  of: MeasureKind
  low: number
  high: number
  /** "A spoonful" is no spoon of a size. */
  exact: boolean
  /** The clause before it without "about", and behind it. */
  before: string
  after: string
}

/** A size that a clause says. */
export interface SizeSaid {
  kind: FactKind
  low: number
  high: number
  /** It counts only where it is known what the clause speaks of. */
  needsAbout: boolean
}

export type SizeName = keyof typeof SIZES
const ROWS = Object.entries(SIZES) as [SizeName, Size][]

const NUMBER = String.raw`${DIGIT_NUMBER}(?:\s*(?:-|–|to|or)\s*${DIGIT_NUMBER})?`
const LENGTH_UNIT = String.raw`(?:cm|mm|inch(?:es)?|in(?!\s+(?:the|a|an|half|two|your|each|\d)\b)\.?|["”″])`
const HEAPED = String.raw`(?:(?<heaped>heaped|heaping|level|rounded|scant|big|generous|good|small|large) )?`
const MEASURES: readonly [MeasureKind, RegExp][] = [
  [
    'square',
    new RegExp(
      String.raw`(${DIGIT_NUMBER})[ -]?(${LENGTH_UNIT})?\s*(?:[x×]|by)\s*(${DIGIT_NUMBER})[ -]?(${LENGTH_UNIT})(?![a-zß-öø-ɏ])`,
      'gi',
    ),
  ],
  ['length', new RegExp(String.raw`(?<![\d./])(${NUMBER})\s*-?\s*(${LENGTH_UNIT})(?![a-zß-öø-ɏ])`, 'gi')],
  [
    'weight',
    new RegExp(String.raw`(?<![\d./])(${NUMBER})\s*-?\s*(g|gms?|grams?|oz|ounces?)(?![a-zß-öø-ɏ])`, 'gi'),
  ],
  [
    'spoon',
    new RegExp(
      String.raw`(?<![\d./a-zß-öø-ɏ])(an?(?=\s)|${NUMBER})\s*${HEAPED}(?<spoon>tbsp|tablespoon(?:ful)?s?|tbs|tsp|teaspoon(?:ful)?s?|dessertspoon(?:ful)?s?|spoons?|spoonfuls?|cups?)(?![a-zß-öø-ɏ])\.?`,
      'gi',
    ),
  ],
]
const TBSP_PER_CUP = 16
const GRAMS_PER_OUNCE = 28.35
const factorOf = (of: MeasureKind, unit: string): number => {
  if (of === 'weight') return /^o/i.test(unit) ? GRAMS_PER_OUNCE : 1
  if (of === 'spoon')
    return /^(?:tsp|tea)/i.test(unit) ? 1 / 3 : /^d/i.test(unit) ? 2 / 3 : /^c/i.test(unit) ? TBSP_PER_CUP : 1
  return /^mm/i.test(unit) ? 0.1 : /^cm/i.test(unit) ? 1 : 2.54
}
const ABOUT =
  /(?:\b(?:about|around|roughly|approx(?:imately|\.)?|circa|c\.|some|just|nearly|almost|at least|up to|maybe|say)|~)\s*$/i

const TO = /^\s*(?:-|–|to|or)\s*$/
const SO_MANY_OF = after(String.raw`${words(2)}squares`)
const ROUNDS_BEHIND = after(
  String.raw`${words(2)}(?:rounds?|circles?|dis[ck]s?|ovals?|wrappers?|bases?|lids?)\b`,
)

/** The measures of a clause, in order. */
function measuresIn(text: string): Measure[] {
  const found: (Measure & { from: number; to: number })[] = []
  for (const [of, pattern] of MEASURES)
    for (const match of text.matchAll(pattern)) {
      const [from, to] = [match.index, match.index + match[0].length]
      if (found.some((one) => from < one.to && to > one.from)) continue
      const isSquare = of === 'square'
      const number = readNumber(match[1]!)
      const second = isSquare ? readNumber(match[3]!) : number
      if (!number || !second || !(number.high > 0)) continue
      // "12 x 9 cm circles": so many, and no area.
      if (isSquare && !match[2] && SO_MANY_OF.test(text.slice(to)) && number.low !== second.low) continue
      if (isSquare && !match[2] && ROUNDS_BEHIND.test(text.slice(to))) continue
      if (of === 'spoon' && number.high > MOST_SPOONS) continue
      const unit = (isSquare ? match[4] : (match.groups?.spoon ?? match[2]))!
      const factor = factorOf(of, unit) * heapFactor(match.groups?.heaped)
      // A rectangle has two sides and is no round; its place is taken all the same.
      const oblong = isSquare && number.low !== second.low
      let lead = text.slice(0, from)
      while (ABOUT.test(lead)) lead = lead.replace(ABOUT, '')
      found.push({
        of,
        low: number.low * factor,
        high: number.high * factor,
        exact: !/^spoon/i.test(unit),
        before: oblong ? '' : lead,
        after: oblong ? '' : text.slice(to),
        from,
        to,
      })
    }
  found.sort((a, b) => a.from - b.from)
  // "1 tsp - 1 tbsp filling" is one spoon, from so much to so much.
  return found.filter((one, at) => {
    const next = found[at + 1]
    if (!next || one.of !== 'spoon' || next.of !== 'spoon' || !TO.test(text.slice(one.to, next.from)))
      return true
    Object.assign(next, { low: Math.min(one.low, next.low), before: one.before })
    return false
  })
}

const fits = (size: Size, measure: Measure, text: string): boolean =>
  size.of === measure.of &&
  measure.low >= (size.least ?? 0) &&
  measure.high <= (size.most ?? Infinity) &&
  (!size.exact || measure.exact) &&
  (!size.before || size.before.test(measure.before)) &&
  (!size.after || size.after.test(measure.after)) &&
  (!size.clause || size.clause.test(text))

/** "Teaspoon of filling": one. */
const BARE_SPOON =
  /(^\W*|[,;]\s*|\b(?:put|add|with|place|pipe|dot|drop|spoon|use) )(?=(?:(?:heaped|heaping|level|good|generous) )?(?:tbsp|tsp|tablespoon|teaspoon)(?:ful)?s? (?:(?:of )?(?:the )?(?:filling|stuffing|jam|mix|mixture)\b|each\b(?! side)|[^.;,]{0,30}\b(?:in|on|at|into|onto) [^.;,]{0,12}\b(?:each|every|middle|cent(?:re|er))\b))/gi
const WEIGHED = /^\s*\((?:(?:about|around|roughly|approx\.?|~)\s*)?\d/i
const isSpoonOf = (spoon: Measure, next: Measure): boolean =>
  spoon.of === 'spoon' &&
  next.of === 'spoon' &&
  !spoon.exact &&
  next.exact &&
  /^[^.;()]{0,24}\((?:(?:about|around|roughly|approx\.?|~)\s*)?\d/i.test(spoon.after)
/** What each measure of a clause is of, by the row that decides. */
export function sizesNamed(said: string): { name: SizeName; measure: Measure }[] {
  const text = said.replace(BARE_SPOON, '$11 ')
  const measures = measuresIn(text)
  const rowOf = (measure: Measure) => ROWS.find(([, size]) => fits(size, measure, text))
  return measures.flatMap((measure, at) => {
    const next = measures[at + 1]
    const before = measures[at - 1]
    // "A spoonful of the filling (about 2 tbsp)": the bracket says how large a spoon it is.
    if (before && isSpoonOf(before, measure)) return []
    if (next && isSpoonOf(measure, next)) {
      const row = rowOf(measure) ?? rowOf(next)
      return row ? [{ name: row[0], measure: { ...next, before: measure.before } }] : []
    }
    // "A heaped teaspoon (about 15 g)": the scale says it better.
    const isWeighed = measure.of === 'spoon' && next?.of === 'weight' && WEIGHED.test(measure.after)
    if (isWeighed && rowOf(next)) return []
    const row = rowOf(measure)
    return row ? [{ name: row[0], measure }] : []
  })
}

/** "As thick as a pound coin". From memory of the coin: 2.8 mm. */
const COIN = /\bthick[^.;]*(?:\bpound|£\s?1|\bone pound|\b1 pound)[- ]coin\b|(?:\bpound|£\s?1)[- ]coin thick/i
const COIN_MM = 2.8
const AMONG_OTHERS =
  /^[^.;]*(?:,|\band\b|\+)\s*(?:\d[\d./]*|[¼½¾]|one|two)\s*(?:slices?|tbsp|tsp|g\b|grams|pieces?|cubes?|tablespoons?|teaspoons?|spoons?|strips?|sticks?)/i
/** Where a spoon is of what goes in, and of nothing else. */
const SPOONED =
  /\b(?:fill(?:ing|ed)?|put|place|spread|keep|spoon|each|per|every|stuff(?:ing|ed)?|with|drop|heap|mound|lay)\b/i
const EACH_OF =
  /^\s*each(?: of)? ((?:[a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?, )*[a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?,? (?:and|&) [a-zß-öø-ɏ]+)/i
/** "In butter (2 tbsp per dozen)". */
const FAT_AHEAD = /\b(?:oil|butter|ghee|lard)(?:\W*\(\W*|\s+)$/i
const OF_THE_PAN =
  /^\W*(?:of )?(?:(?:sea|fine|kosher|black|white|ground) )?(?:[a-zß-öø-ɏ]+ )?(?:oil|water|butter|ghee|salt|pepper|baking (?:powder|soda))\b/i

/**
 * The sizes that a clause says: discs, cutters and oil in cm, thickness in mm, balls and fillings in grams, spoonfuls in
 * tablespoons.
 *
 * @param text the clause, its lengths in one form (`withPlainSizes`)
 * @param sentence the sentence that it is of, which says whether a spoon fills something
 */
export function sizesSaid(text: string, sentence: string): SizeSaid[] {
  const said: SizeSaid[] = []
  let amongOthers = false
  for (const { name, measure } of sizesKnown(text)) {
    const { fact, needsAbout } = SIZES[name] as Size
    if (fact === null) continue
    // "1 tbsp ricotta and 2 tsp curd": the second spoon is of one food among others.
    if (measure.of === 'spoon' && said.some(({ kind }) => kind === fact)) continue
    // "1 tbsp sauce, 5 slices and 2 tbsp cheese on each": the spoon is of one food among others.
    amongOthers ||= name === 'spoonPut' && AMONG_OTHERS.test(measure.after)
    if (amongOthers && measure.of === 'spoon') continue
    if (
      measure.of === 'spoon' &&
      ((name !== 'spoonClosed' && !SPOONED.test(sentence)) ||
        OF_THE_PAN.test(measure.after) ||
        FAT_AHEAD.test(measure.before))
    )
      continue
    // "A tsp each of pork, beans and cheese": three of them.
    const foods =
      measure.of === 'spoon' ? EACH_OF.exec(measure.after)?.[1]!.split(/,\s*(?:and )?|\s+(?:and|&)\s+/) : null
    const factor = fact === 'thickness-mm' ? 10 : (foods?.length ?? 1)
    said.push({
      kind: fact,
      low: measure.low * factor,
      high: measure.high * factor,
      needsAbout: needsAbout ?? false,
    })
  }
  if (COIN.test(text)) said.push({ kind: 'thickness-mm', low: COIN_MM, high: COIN_MM, needsAbout: false })
  return said
}
/** The same, remembered. */
export const sizesKnown = remember(sizesNamed)
