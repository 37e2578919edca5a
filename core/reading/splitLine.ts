import { NUMBER_PATTERN } from './readNumber'
import { readLine } from './readLine'

const JOIN = new RegExp(
  String.raw`,?\s+(?:(?:beaten|mixed|whisked|blended)\s+)?(?:\+|plus|and|with|&)\s+(?=(?:${NUMBER_PATTERN})(?:\s|[a-z]))`,
  'iu',
)
/** "1 onion, 2 carrots": a comma with an amount behind it. */
const COMMA = new RegExp(String.raw`,\s+(?=(?:${NUMBER_PATTERN})\s+(?!cm\b|inch|mm\b|or\b|to\b)\p{L})`, 'iu')
/** "1 tsp each of cumin and coriander": the amount holds for both. */
const EACH = /^(.*?\d.*?)\s+each(?:\s+of)?\s*:?\s+(.+?)\s+(?:and|&)\s+(.+)$/i
const SEASONING =
  /^(.*?\bsalt)\s*(?:and|&|\+)\s*((?:(?:freshly )?(?:ground )?(?:black |white )?)pepper)\b(.*)$/i

/**
 * Separates a line that names two ingredients: "1 egg beaten with 1 tbsp milk", "2 eggs plus 1 yolk",
 * "salt and pepper to taste". A compound amount ("1 cup plus 2 tbsp flour") stays one line.
 *
 * @param raw the line as written
 * @returns one line for each ingredient; together they hold every word of the original
 */
export function splitLine(raw: string): string[] {
  const seasoning = SEASONING.exec(raw)
  if (seasoning) {
    const tail = seasoning[3]!.trim()
    return [`${seasoning[1]!.trim()}${tail ? ` ${tail}` : ''}`, `${seasoning[2]!}${tail ? ` ${tail}` : ''}`]
  }
  const each = EACH.exec(raw)
  if (each && readLine(each[1]!).measures.length) {
    const names = [...each[2]!.split(/\s*,\s*/), each[3]!]
    return names.map((name) => `${each[1]} ${name}`)
  }
  const join = [COMMA.exec(raw), JOIN.exec(raw)]
    .filter((found) => found !== null)
    .sort((a, b) => a.index - b.index)[0]
  if (!join) return [raw]
  const left = raw.slice(0, join.index)
  const right = raw.slice(join.index + join[0].length)
  const open = (left.match(/[([]/g)?.length ?? 0) > (left.match(/[)\]]/g)?.length ?? 0)
  const leftRead = readLine(left)
  if (open || !leftRead.measures.length || !/\p{L}{2}/u.test(leftRead.name)) return [raw]
  if (!/\p{L}{2}/u.test(readLine(right).name)) return [raw]
  // What the line says it is for ("to glaze") holds for both halves.
  const purpose = /,?\s*((?:for|to) (?:brushing|glaz(?:e|ing)|brush)(?:\s.*)?)$/i.exec(right)
  return [purpose ? `${left}, ${purpose[1]}` : left, ...splitLine(right)]
}
