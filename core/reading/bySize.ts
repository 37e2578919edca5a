import { recalled } from './matches'
import { MOST_PIECES } from './mentions'

// Pieces by the size of what they are cut from: a rope in lengths, a sheet in squares.

const cm = (value: string, unit: string) => Number(value) * (/cm/i.test(unit) ? 1 : 2.54)

/** "Roll into a rope 30 cm long … cut into 3 cm pieces": the one goes so often into the other. */
const ROPE = recalled(
  /\b(\d{1,2}(?:\.\d)?)\s*-?\s*(cm|inch(?:es)?|in|["”″])[- ]?(?:long )?(?:log|rope|sausage|roll|cylinder|snake)\b|\b(?:log|rope|sausage|roll|cylinder|snake)\b[^.;,\d]{0,14}(\d{1,2}(?:\.\d)?)\s*-?\s*(cm|inch(?:es)?|in|["”″])\s*(?:long\b|in length)/i,
)
const LENGTHS = recalled(
  /\b(?:cut|slice)\b[^.;\d]{0,24}(\d{1,2}(?:\.\d)?)\s*-?\s*(cm|inch(?:es)?|in|["”″])[- ]*(?:long |thick |wide )?(?:pieces|lengths|slices|rounds|chunks|bits)/i,
)
/** "Roll to 40 x 30 cm, cut into 10 cm squares": as many as lie side by side. */
const SHEET_AREA = recalled(
  /\b(\d{2})\s*(?:cm|inch(?:es)?|in\b|["”″])?\s*(?:x|×|by)\s*(\d{2})\s*(cm|inch(?:es)?|in\b|["”″])(?!\s*(?:tin|tray|dish|pan)\b)/i,
)
const SQUARES_OF = recalled(
  /\bcut\b[^.;\d]{0,24}(\d{1,2}(?:\.\d)?)\s*-?\s*(?:cm|inch(?:es)?|in|["”″])?(?:\s*(?:x|×|by)\s*\1)?\s*-?\s*(cm|inch(?:es)?|in\b|["”″])[- ]*squares\b|\bcut\b[^.;\d]{0,16}squares (?:of |about |measuring )*(\d{1,2}(?:\.\d)?)\s*(cm|inch(?:es)?|in\b|["”″])/i,
)
/** How often the length of a piece goes into the rope that it is cut from. */
export function fromRope(
  text: string,
  ropeCm: number | null,
): { ropeCm: number | null; pieces: number | null } {
  const rope = ROPE.exec(text)
  const own = rope ? cm((rope[1] ?? rope[3])!, (rope[2] ?? rope[4])!) : ropeCm
  const lengths = own === null ? null : LENGTHS.exec(text)
  const pieces = lengths && own !== null ? Math.round(own / cm(lengths[1]!, lengths[2]!)) : null
  return { ropeCm: own, pieces: pieces !== null && pieces >= 2 && pieces <= MOST_PIECES ? pieces : null }
}

/** How many squares of a size lie side by side in the sheet that was rolled; null where a clause says none. */
export function fromArea(
  text: string,
  sheetCm: readonly [number, number] | null,
): { sheetCm: readonly [number, number] | null; pieces: number | null } {
  const area = SHEET_AREA.exec(text)
  const own = area ? ([cm(area[1]!, area[3]!), cm(area[2]!, area[3]!)] as const) : sheetCm
  const squares = own === null ? null : SQUARES_OF.exec(text)
  if (!squares || own === null) return { sheetCm: own, pieces: null }
  const side = cm((squares[1] ?? squares[3])!, (squares[2] ?? squares[4])!)
  // A sheet that is a hair too small is cut all the same.
  const along = (length: number) => Math.floor(length / side + 0.05)
  const pieces = along(own[0]) * along(own[1])
  return { sheetCm: own, pieces: pieces >= 2 && pieces <= MOST_PIECES ? pieces : null }
}
