import { recalled } from './matches'
import { NOT_PIECES, type Mention } from './mentions'

// Where a clause cuts things in half, in three or in four, without a number.

const HALVES = recalled(
  /\b(?:cut|halve|divide|slice|split)\b(?:(?!\b(?:cut|halve|slice|split)\b)[^.;]){0,30}\b(?:in|into) (?:half|halves|two|2)\b(?!\s?(?:cm|mm|inch|-|["”]|\.\d)| to serve| for serving)|\bhalve(?=\W*(?:$|[,.;]))|\bhalve (?:each|them|it|the (?:rounds|ovals|balls|dis[ck]s|dough|pastry|pitt?as?|breads|naans|rotis|tortillas|wraps|flat ?breads|baguettes|bagels))\b|\bcut (?:(?:each|them) )?(?:in )?(?:half|two)\b(?=\W*(?:$|[-–,.;]))/i,
)

const PARTS = recalled(/quarter|half|halve|thirds|fourths|halves|two|\b2\b/i)
/** Where a clause cuts things in half or in four, without a number. */
export function partings(text: string, seen: readonly Mention[]): Mention[] {
  if (!PARTS.test(text)) return []
  const found: Mention[] = []
  const quarters =
    /\bquarter (?:the dough|the pastry|(each|it|them|(?:the |all |both )?(?:the )?(?:[a-zß-öø-ɏ]+ )?sheets))\b/i.exec(
      text,
    )
  if (quarters)
    found.push({
      at: quarters.index,
      count: 4,
      each: /each|them|sheets/i.test(quarters[1] ?? ''),
      result: false,
    })
  const parted =
    /\b(?:divide|split|cut|separate)\b[^.;]{0,30}\binto (thirds|quarters|fourths|halves)\b/i.exec(text)
  if (parted)
    found.push({
      at: parted.index,
      count: /third/i.test(parted[1]!) ? 3 : /hal/i.test(parted[1]!) ? 2 : 4,
      each: /\b(?:each|them)\b/i.test(parted[0]),
      result: false,
    })
  const halves = parted ? null : HALVES.exec(text)
  const end = halves ? halves.index + halves[0].length : 0
  if (
    halves &&
    !NOT_PIECES.test(halves[0]) &&
    // "Cut into 2 strips" has been read as a number.
    !seen.some(({ at }) => at >= halves.index && at <= end)
  )
    found.push({
      at: halves.index,
      count: 2,
      each: !/\b(?:dough|pastry)\b|\bhalve it\b/i.test(halves[0]),
      result: false,
    })
  return found
}

/** "Divide into 5, roll to ovals and cut in 2": the two are of each, where nothing is named behind them. */
export function halvedEach(text: string, seen: readonly Mention[]): Mention[] {
  const halves = HALVES.exec(text)
  if (!halves || /\b(?:dough|pastry)\b/i.test(halves[0])) return [...seen]
  const end = halves.index + halves[0].length
  if (!/^\W*(?:$|[,.;]|and\b)/.test(text.slice(end))) return [...seen]
  return seen.map((one) =>
    one.count === 2 && one.at >= halves.index && one.at <= end ? { ...one, each: true } : one,
  )
}
