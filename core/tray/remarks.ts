import { fitOf, FULL } from '../piece/closures'
import type { orderApart } from './apart'
import type { Divided } from './divide'
import { show, type PiecePlan, type PlannedFilling } from './pieces'

/** Waste of a sheet that cooks know: 3 to 8 %. Common practice, no source. */
const MUCH_WASTE = 0.08
/** Dough rolled more often than this grows thick and tough. Common practice, no source. */
const TOUGH_AFTER = 2

/** What to keep apart where one filling holds what another does not. */
export function apartWarnings(
  fillings: readonly PlannedFilling[],
  apart: ReturnType<typeof orderApart>,
): string[] {
  const first = apart[0]
  const later = apart.find(({ brings }) => brings.length > 0)
  if (fillings.length < 2 || !first || !later) return []
  const name = (id: string) => (fillings.find(({ partId }) => partId === id)?.name ?? 'filling').toLowerCase()
  return [
    `Fill and cook the ${name(first.partId)} first: the ${name(later.partId)} brings ${later.brings.join(', ')}. Board, oil, water, steamer and spoon are changed or washed between; a home kitchen cannot promise that no trace travels`,
  ]
}

export function warningsOf(
  plan: PiecePlan,
  made: Divided,
  doughGrams: number,
  perPiece: number,
  insideMl: number,
): string[] {
  const warnings: string[] = []
  const rolled = made.cuts.length - 1
  if (made.cuts.length && doughGrams > 0 && made.wasteGrams / doughGrams > MUCH_WASTE)
    warnings.push(
      `${Math.round((100 * made.wasteGrams) / doughGrams)} % of the dough is trimmings; 3 to 8 % are usual. Another width of sheet, or squares, wastes less`,
    )
  if (rolled > 0) warnings.push('Rest gathered trimmings 10 to 15 min before they are rolled again')
  if (rolled > TOUGH_AFTER)
    warnings.push('Rolled more than twice, dough grows thicker and tougher: keep those pieces for yourself')
  if (perPiece > 0 && fitOf(perPiece, insideMl) === 'overfull')
    warnings.push(`${show(perPiece)} g of filling is too much: ${show(FULL.most * insideMl)} g closes well`)
  if (made.leftGrams > 0 && made.leftGrams > 0.02 * doughGrams)
    warnings.push(
      `${Math.round(made.leftGrams)} g of dough are over: two or three days cold under cover, or frozen`,
    )
  if (plan.method === 'lined-dish') warnings.push('The lid is cut 2.5 cm wider than the dish')
  return warnings
}
