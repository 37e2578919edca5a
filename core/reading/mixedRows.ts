import type { Foods } from '../food/food'
import { both, type LinePart, type Split } from './lineParts'
import { matchFood } from './match'
import { readLine } from './readLine'
import { NUMBER_PATTERN } from './readNumber'
import { ROLLED_IN } from './rowWords'
import { UNIT_PATTERN } from './units'

// Rows that name several foods with their amounts: mixed in a bracket, or each name with its amount behind it.

/** "Cinnamon sugar (4 tbsp sugar + 1 tsp cinnamon) to roll in": what stands in the brackets is mixed for it. */
const MIXED_IN_BRACKETS = new RegExp(
  String.raw`^(?!.*\b(?:or|each)\b)([a-zß-öø-ɏ][a-zß-öø-ɏ ]{2,30}?)\s*\(((?:${NUMBER_PATTERN})[^()]*(?:\+|,|&|\band\b|\bwith\b)[^()]*)\)(?:,?\s*((?:to|for) [^()\d]{3,30}))?$`,
  'i',
)
/** The foods that a bracket mixes, each with what the line says it is for; null where a line is no such mixture. */
export function mixedInBrackets(raw: string, foods: Foods, split: Split): LinePart[] | null {
  const [, name, inside, what] = MIXED_IN_BRACKETS.exec(raw.trim()) ?? []
  if (!inside || readLine(name!).measures.length) return null
  const parts = split(inside, foods)
  const isMixed =
    parts.length > 1 &&
    parts.every(({ text }) => {
      const read = readLine(text)
      return read.measures.length > 0 && matchFood(read.name, foods)?.how === 'exact'
    })
  const purpose = what && FOR_ROLLING.test(what) ? 'to finish' : (what ?? FOR_AT_END.exec(name!)?.[0])
  return isMixed ? both(parts.map(({ text }) => (purpose ? `${text}, ${purpose}` : text))) : null
}
const FOR_AT_END = /(?:for|to) (?:serv|top|finish|garnish|dip|brush|glaz)\w*$/i
const FOR_ROLLING = new RegExp(String.raw`^(?:to|for) (?:${ROLLED_IN})\w*\b`, 'i')

const SALTED = new RegExp(
  String.raw`^([^a-zß-öø-ɏ]*[a-zß-öø-ɏ].*?\bsalted)\s*\((?:with )?((?:about |~)?(?:${NUMBER_PATTERN})\s*(?:${UNIT_PATTERN}))(?: (?:of )?salt)?\)(.*)$`,
  'i',
)
/** "150 g cabbage (salted with 1/2 tsp salt & squeezed)". */
const SALTED_WITH = new RegExp(
  String.raw`^([^a-zß-öø-ɏ]*[a-zß-öø-ɏ][^()]*?[\s,]*\(?salted) with ((?:about |~)?(?:${NUMBER_PATTERN})\s*(?:${UNIT_PATTERN})) (?:of )?salt\b(.*)$`,
  'i',
)
/** "250 g cabbage, salted (1 tsp) and squeezed": the salt is a line of its own. */
export function saltedWith(raw: string): { line: string; salt: string } | null {
  const [, front, amount, behind] = SALTED.exec(raw.trim()) ?? SALTED_WITH.exec(raw.trim()) ?? []
  return front ? { line: `${front}${behind!}`, salt: `${amount!} salt` } : null
}

const MEASURED = String.raw`(?:${NUMBER_PATTERN}) ?(?:${UNIT_PATTERN})`
/** Where the first amount of a row ends. */
const ENDS_IN_AMOUNT = new RegExp(String.raw`(?<=[a-zß-öø-ɏ] ${MEASURED})(?= )`, 'i')
/** "Atta 1 cup maida 1 cup": every name with its amount behind it. */
const NAMES_AND_AMOUNTS = new RegExp(
  String.raw`^([a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+){0,2} ${MEASURED})((?: (?!or |of |plus |and |to |more |extra |from |for )[a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+){0,2} ${MEASURED})+)$`,
  'i',
)

/** The foods of such a row; null for any other. */
export function namesAndAmounts(raw: string, foods: Foods, split: Split): LinePart[] | null {
  const pairs = raw.length < 120 ? NAMES_AND_AMOUNTS.exec(raw) : null
  if (!pairs) return null
  const isFood = (text: string) => matchFood(readLine(text).name, foods)?.how === 'exact'
  const rest = pairs[2]!.trim()
  return isFood(pairs[1]!) && isFood(rest.split(ENDS_IN_AMOUNT)[0]!)
    ? [...both([pairs[1]!]), ...split(rest, foods)]
    : null
}
