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

/** "10 large cabbage leaves": leaves are counted, and no heads. */
export function inLeaves(read: ReadLine, food: Food): ReadLine {
  if (food.group === 'herb' || !food.unitGrams.leaf || !LEAVES.test(read.name)) return read
  const measures = read.measures.map((measure) =>
    measure.map((term) => (term.unitId === null ? { ...term, unitId: 'leaf' as const } : term)),
  )
  return { ...read, measures }
}
const LEAVES = /\bleaf$|\bleaves$/i
