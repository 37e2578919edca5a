import type { Food } from '../food/food'
import type { ReadLine } from './readLine'

// What a line counts by another name than its unit: leaves, and packets by what they hold.

/** "1 box puff pastry (2 sheets)": a packet that holds two sheets is a larger one than that of one. */
export function inPairs(read: ReadLine, food: Food): ReadLine {
  const [packs, sheets] = read.measures
  const isPair =
    food.unitGrams.pair !== undefined &&
    read.measures.length === 2 &&
    packs!.every(({ unitId }) => unitId === 'packet') &&
    sheets!.every(({ unitId }) => unitId === 'sheet' || unitId === null) &&
    sheets![0]!.low === 2 &&
    packs![0]!.low === 1
  return isPair ? { ...read, measures: [[{ ...packs![0]!, unitId: 'pair' }]] } : read
}

/** "10 large cabbage leaves", "6 dill pickle slices": leaves and slices are counted, and no heads. */
export function inPortions(read: ReadLine, food: Food): ReadLine {
  const unitId = PORTIONS.find(([called]) => called.test(read.name))?.[1]
  if (!unitId || food.group === 'herb' || !food.unitGrams[unitId]) return read
  const measures = read.measures.map((measure) =>
    measure.map((term) => (term.unitId === null ? { ...term, unitId } : term)),
  )
  return { ...read, measures }
}
const PORTIONS = [
  [/\b(?:leaf|leaves)$/i, 'leaf'],
  [/\b(?:slices?|chips|rashers?)$/i, 'slice'],
] as const
