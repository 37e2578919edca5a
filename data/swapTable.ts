import type { ReferenceData } from '../core/tables/referenceData'
import { formulasFromRows } from '../core/substitution/formulas'
import { leversFromRows } from '../core/substitution/levers'
import { likenessFromRows } from '../core/substitution/likeness'
import { swapsFromRows } from '../core/substitution/catalogue'
import formulas from './formulas.csv'
import levers from './levers.csv'
import likeness from './likeness.csv'
import swaps from './swaps.csv'
import { table } from './table'

/**
 * What a recipe is adapted with: swaps, whole doughs and what is like what. It comes apart from the foods: a page
 * shows figures before it offers swaps.
 */
export const swapTable: Pick<ReferenceData, 'swaps' | 'formulas' | 'likeness' | 'levers'> = {
  swaps: swapsFromRows(swaps, table.foods),
  formulas: formulasFromRows(formulas, table.foods),
  likeness: likenessFromRows(likeness, table.foods),
  levers: leversFromRows(levers),
}
