import { swapsFromRows, type Swap } from '../core/swap/catalogue'
import swaps from './swaps.csv'
import { table } from './table'

/** The swaps that ship with the product. They come apart from the foods: a page shows figures before it offers swaps. */
export const tableSwaps: Swap[] = swapsFromRows(swaps, table.foods)
