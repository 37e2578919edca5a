import { PIECES } from './servings'
import { startsLikeStep } from './stepWords'

const BESIDE =
  'dip|dipping sauce|sauce|(?:garlic |mint |herb |chilli )?(?:yog(?:h?urt)?|mayo)|chutney|raita|salsa|dressing|drizzle|glaze|icing|to serve|for serving|for (?:the )?(?:dip|dipping|dipping sauce|sauce)'
const AMOUNT = String.raw`(?:[\d¼½¾⅓⅔⅛~]|(?:an?|half|one|two|three) (?:[a-zß-öø-ɏ]+ )?(?:tsp|tbsp|teaspoon|tablespoon|cup|pinch|splash|dash|squeeze))`
/** Behind a sentence of work a name, a colon and amounts. */
const LIST_BEHIND = new RegExp(
  String.raw`(?=(?:${BESIDE})(?:\s*\((?:optional|if [^()]{3,20})\)|,? (?:optional|if (?:you (?:like|want|wish|fancy)(?: (?:it|one|some))?|liked|wanted|using)))?\s*:\s*${AMOUNT}[^.;]*(?:,|\+| and ))(?<=[a-zß-öø-ɏ][^.;!]{0,80}[.;!)] {1,3})`,
  'i',
)
/** … or a name, a colon and no more than foods: "Dip: black vinegar." */
const FOODS_BEHIND =
  /(?=(?:dip|dipping sauce|top(?:ping)?|to serve|serve with)\s*:\s*[a-zß-öø-ɏ'’-]+(?: [a-zß-öø-ɏ'’-]+){0,2}(?:\s*(?:,|\+|&|and)\s*[a-zß-öø-ɏ'’-]+(?: [a-zß-öø-ɏ'’-]+){0,2}){0,3}\.?\s*$)(?<=[a-zß-öø-ɏ\d][^.;!]{0,80}[.;!)] {1,3})/i
/** No sentence goes on behind a number with a point in it. */
const SENTENCE_ENDS = /[.!](?= +[a-zß-öø-ɏ])(?<!\b(?:tsp|tbsp|tbs|oz|lb|approx|c)\.)/i
const COUNTED =
  /^\W*for (?:about )?(\d{1,3}(?:\s?[-–]\s?\d{1,3})?) ((?:[a-zß-öø-ɏ]+ )?[a-zß-öø-ɏ]+)\s*:\s*([^:]+)$/i
const HAS_FLOUR = /\b(?:flours?|maida|atta|masa)\b/i
const LEAST_LISTED = 3
/** "For 12 blini: 3 eggs, 500 ml milk, 250 g flour": so many, and the dough that they are of; else the row as it is. */
export function countBeforeDough(row: string): string[] {
  if (row.length > LONGEST || !/^\W*for /i.test(row)) return [row]
  const [, many, what, list] = COUNTED.exec(row) ?? []
  const isDough = list && HAS_FLOUR.test(list) && list.split(',').length >= LEAST_LISTED
  return isDough ? [`Makes ${many!} ${what!}`, `Dough: ${list}`] : [row]
}

/** A list, an arrow or an equals sign, and so many of a dish. */
const COMES_OUT = new RegExp(
  String.raw`^(?<list>.*\d.*[,+].*\S)\s+(?:=>?|→|->)\s*(?:about |~)?(?<made>\d{1,3} (?!pieces|pcs|balls|rounds)(?:[a-zß-öø-ɏ]+ ){0,2}?${PIECES})\s*(?:[.;]\s*(?<rest>\S.*)?)?$`,
  'i',
)
/** "400 g dough + 200 g pork = 4 pockets. 220 °C 15 min": what comes out of it is a row of its own. */
export function countBehindList(row: string): string[] {
  const found = row.length > LONGEST || !/[=→>]/.test(row) ? null : COMES_OUT.exec(row)?.groups
  return found ? [found.list!, `Makes ${found.made!}`, ...(found.rest ? [found.rest] : [])] : [row]
}

/** A row that is longer is a text, and read sentence by sentence. */
const LONGEST = 1200

/**
 * "Fry 3 min, lid on. Dip: 2 tbsp soy, 1 tbsp vinegar": what is eaten with the pieces, listed behind the work, is a row
 * of its own.
 *
 * @returns the row, or what stands before the list, the list, and what stands behind it
 */
export function dipInRow(row: string): string[] {
  if (row.length > LONGEST || !row.includes(':')) return [row]
  const listed = row.search(LIST_BEHIND)
  const named = listed < 0 ? row.search(FOODS_BEHIND) : -1
  // "To serve: warm them through" is done.
  const at =
    named > 0 && startsLikeStep(row.slice(named).replace(/^[^:]*:\s*/, '')) ? -1 : Math.max(listed, named)
  if (at <= 0) return [row]
  const list = row.slice(at)
  const end = list.search(SENTENCE_ENDS)
  return [
    row.slice(0, at).trim(),
    ...(end < 0 ? [list.trim()] : [list.slice(0, end).trim(), list.slice(end + 1).trim()]),
  ].filter(Boolean)
}
