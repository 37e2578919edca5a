import type { Larder } from '../core/larder'
import { formulasFromRows } from '../core/swap/formulas'
import { leversFromRows } from '../core/swap/levers'
import { likenessFromRows } from '../core/swap/likeness'
import { swapsFromRows } from '../core/swap/catalogue'
import formulas from './formulas.csv'
import levers from './levers.csv'
import likeness from './likeness.csv'
import swaps from './swaps.csv'
import { table } from './table'

/**
 * What a recipe is adapted with: swaps, whole doughs and what is like what. It comes apart from the foods: a page
 * shows figures before it offers swaps.
 */
export const swapTable: Pick<Larder, 'swaps' | 'formulas' | 'likeness' | 'levers'> = {
  swaps: swapsFromRows(swaps, table.foods),
  formulas: formulasFromRows(formulas, table.foods),
  likeness: likenessFromRows(likeness, table.foods),
  levers: leversFromRows(levers),
}
