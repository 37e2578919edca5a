import type { CookingWay } from '../recipe/document'

/**
 * The share of a piece's raw weight that it takes up as fat, by way of cooking. Starting values from memory of
 * kitchen practice, no published source; weighing the oil before and after beats them.
 *
 * A firm dough with fat of its own takes up least, a lean soft one most.
 */
const UPTAKE_SHARE: Readonly<Record<CookingWay, number>> = {
  'deep-fry': 0.08,
  'shallow-fry': 0.06,
  'brown-and-steam': 0.03,
  griddle: 0.04,
  bake: 1,
  steam: 1,
  boil: 0,
}

export interface Uptake {
  /** Grams of fat taken up by the whole batch, never more than is in the pan. */
  grams: number
  why: string
}

/**
 * Fat taken up from the pan by a batch.
 *
 * @param way baking and steaming: what greases the tray is eaten whole; boiling: none
 * @param panFatGrams fat in the pan
 * @param pieceGrams raw weight of dough and filling of the whole batch
 * @param doughFatPct fat in % of flour: from 15 % on a deep-fried piece takes up a quarter less
 */
export function fatUptake(
  way: CookingWay,
  panFatGrams: number,
  pieceGrams: number,
  doughFatPct: number | null,
): Uptake {
  const share = UPTAKE_SHARE[way]
  if (share === 1) return { grams: panFatGrams, why: 'greasing fat is eaten whole' }
  if (share === 0) return { grams: 0, why: 'boiling water is poured away' }
  const rich = (doughFatPct ?? 0) >= 15 && way === 'deep-fry'
  const used = rich ? share * 0.75 : share
  const taken = Math.min(panFatGrams, used * pieceGrams)
  return {
    grams: taken,
    why: `${Math.round(used * 1000) / 10} % of the raw weight is taken up${rich ? ', less because the dough holds fat of its own' : ''}${taken === panFatGrams ? ', and no more than the pan holds' : ''}; from memory of practice, weigh the oil to know`,
  }
}
