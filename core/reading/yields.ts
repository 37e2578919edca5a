import { NUMBER_PATTERN, readNumber } from './readNumber'

export interface Yields {
  pieces: number | null
  servings: number | null
  /** True when the line says nothing but how many it makes. */
  whole: boolean
  /** What the line says besides. */
  rest: string
}

const N = String.raw`(?:about |approx(?:imately|\.)? |around |roughly |~)?((?:${NUMBER_PATTERN})(?:\s*(?:-|–|to)\s*\d+)?(?:\s+dozen)?)`
const PEOPLE = String.raw`(?:servings?|portions?|people|persons?|guests)`
const PIECES = String.raw`(?:pieces?|buns?|dumplings?|pies?|hand pies|turnovers?|pockets?|parcels?|rolls?|breads?|pasties|pastries|patties|wrappers?|discs?|cones?|triangles?|half[- ]moons?|coils?|balls?|samosas?|empanadas?|pierogi|gyoza|momos?|parathas?|bao)`
const makes = new RegExp(
  String.raw`\b(?:makes?|yields?|gives|quantity)\s*:?\s*(?:enough for )?${N}\s*(${PEOPLE})?`,
  'iu',
)
const serves = new RegExp(String.raw`\b(?:serves|servings?|portions?)\s*:?\s*${N}`, 'iu')
const forPeople = new RegExp(String.raw`\b(?:for\s+)?${N}\s+${PEOPLE}\b`, 'iu')
const anyPieces = new RegExp(
  String.raw`[(,;]\s*(?:makes )?${N}\s+(?:(?:small|medium|large|mini|little)\s+)?${PIECES}\b`,
  'iu',
)
const ofPieces = new RegExp(
  String.raw`^\W*${N}\s+(?:(?:small|medium|large|mini|little)\s+)?${PIECES}\b`,
  'iu',
)

// "Makes 16–18": the smaller number is the promise one can keep.
const count = (text: string) => Math.floor(readNumber(text)?.low ?? 0) || null

/**
 * Reads how many pieces and servings a line promises: "Makes 16, serves 8", "Yield: 2 dozen", "For 6 people".
 * A range gives its lower end.
 *
 * @returns null when the line says nothing of the kind
 */
export function readYields(line: string): Yields | null {
  const text = line.replace(/[*_#]/g, '').trim()
  const made = makes.exec(text)
  const served = serves.exec(text) ?? forPeople.exec(text)
  const inPassing = made && !made[2] ? null : served && anyPieces.exec(text)
  const pieces = made && !made[2] ? count(made[1]!) : inPassing ? count(inPassing[1]!) : null
  const servings = made?.[2] ? count(made[1]!) : served ? count(served[1]!) : null
  // "12 dumpling wrappers" are bought, not made.
  const bare =
    pieces === null && servings === null && !/\bwrappers?\b/i.test(text) ? ofPieces.exec(text) : null
  if (bare && text.split(/\s+/).length <= 6)
    return { pieces: count(bare[1]!), servings: null, whole: true, rest: text.replace(ofPieces, '').trim() }
  if (pieces === null && servings === null) return null
  const rest = [makes, serves, forPeople, anyPieces]
    .reduce((left, pattern) => left.replace(pattern, ' '), text)
    .replace(new RegExp(String.raw`\b(?:and|about|${PIECES})\b`, 'giu'), ' ')
    .trim()
  const whole =
    /^\W*(?:makes?|yields?|gives|serves|servings?|portions?|quantity|for\b)/i.test(text) ||
    /^\W*\d+\s+(?:servings?|portions?|people|persons?)/i.test(text)
  return { pieces, servings, whole: whole && text.split(/\s+/).length <= 18, rest }
}
