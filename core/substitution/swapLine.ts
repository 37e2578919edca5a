import type { Foods } from '../food/food'
import type { Recipe } from '../recipe/document'
import { allLines } from '../recipe/lines'
import { applySwap, replaceLine, type Change } from './applySwap'
import type { Swap } from './catalogue'
import { rebalanceDough } from './rebalance'
import { rebalanceSalt } from './rebalanceSalt'

/**
 * Applies one swap to one line and puts right what hangs on it: the dough's fat and water, a filling's salt.
 *
 * @returns null when the line is not there or the swap's amount rule cannot hold
 */
export function swapLine(
  recipe: Recipe,
  lineId: string,
  swap: Swap,
  foods: Foods,
): { recipe: Recipe; changes: Change[] } | null {
  const found = allLines(recipe).find(({ line }) => line.id === lineId)
  const swapped = found && applySwap(found.line, found.part.kind, swap, foods)
  if (!found || !swapped) return null
  const next = replaceLine(recipe, lineId, swapped.lines)
  const balanced =
    found.part.kind === 'shell' ? rebalanceDough(recipe, next, foods) : rebalanceSalt(recipe, next, foods)
  return { recipe: balanced.recipe, changes: [swapped.change, ...balanced.changes] }
}
