import type { Diet } from '../diet/diets'
import type { Target } from '../diet/target'
import type { Evaluation } from '../evaluation/evaluate'
import { EU_FACTORS_KCAL_PER_G } from '../food/energy'
import { NUTRIENT_TABLE, type Nutrient } from '../food/nutrients'
import { addFigures, scaleFigures, zeroFigures, type Figures } from '../nutrition/figures'

/** A figure that a guest's diet asks for, held against the whole plate. */
export interface PlateWish {
  diet: string
  /** "8.2 g net carbohydrate on the plate, at most 10.0 is asked". */
  text: string
  /** Null where it cannot be told. */
  kept: boolean | null
  /** How far it is missed, as a share of what is asked, at most 1; 0 where it is kept. */
  missedBy: number
}

/** Some pieces of one kind on a plate. */
export interface OnPlate {
  evaluation: Evaluation
  pieces: number
}

/** Rounding of what is shown is not a wish that is missed. */
const HELD_TO = 1e-6

/** Everything on a plate with what is dipped into: each piece carries its share of every part. */
export function plateFigures(plate: readonly OnPlate[]): Figures {
  const sum = zeroFigures()
  for (const { evaluation, pieces } of plate) addFigures(sum, scaleFigures(evaluation.perPiece, pieces))
  return sum
}

/** The figure of a target over a whole plate; null when it cannot be told. Of whole grain, that of the poorest piece. */
function onPlate(target: Target, plate: readonly OnPlate[]): number | null {
  const sum = plateFigures(plate)
  if (target.figure === 'proteinEnergyPct')
    return sum.energyKcal > 0 ? (100 * EU_FACTORS_KCAL_PER_G.protein * sum.proteinG) / sum.energyKcal : null
  if (target.figure === 'wholeGrainPct') {
    const shares = plate.map(({ evaluation }) => evaluation.measures.wholeGrainPct)
    return shares.some((share) => share === null) ? null : Math.min(...(shares as number[]))
  }
  const figure: Nutrient = target.figure
  if (target.per === 'serving') return sum[figure]
  if (target.per === 'piece') return Math.max(...plate.map(({ evaluation }) => evaluation.perPiece[figure]))
  // In 100 g: pieces of several kinds weigh as they are eaten.
  let held = 0
  let grams = 0
  for (const { evaluation, pieces } of plate) {
    const eaten = (pieces * evaluation.asEaten.balance.eatenGrams) / evaluation.pieces
    grams += eaten
    held += (eaten * evaluation.per100g[figure]) / 100
  }
  return grams > 0 ? (100 * held) / grams : null
}

const UNIT_OF_SHARE = {
  wholeGrainPct: '% of the dry flours is whole grain',
  proteinEnergyPct: '% of the energy from protein',
} as const
function unitOn({ figure, per }: Target): string {
  if (figure === 'wholeGrainPct' || figure === 'proteinEnergyPct') return UNIT_OF_SHARE[figure]
  const where = per === 'serving' ? 'on the plate' : per === '100g' ? 'in 100 g' : 'a piece'
  return `${NUTRIENT_TABLE[figure].asked} ${where}`
}

/**
 * The figures that diets ask for, over one guest's whole plate.
 *
 * @param asItIs the recipe nobody has changed, for what is asked as a share of it; on a plate of as many pieces
 */
export function wishesOn(plate: readonly OnPlate[], diets: readonly Diet[], asItIs: Evaluation): PlateWish[] {
  const pieces = plate.reduce((sum, one) => sum + one.pieces, 0)
  return diets.flatMap((diet) =>
    diet.targets.map((target): PlateWish => {
      const value = onPlate(target, plate)
      const original = onPlate(target, [{ evaluation: asItIs, pieces }])
      const limit = !target.ofOriginal
        ? target.limit
        : original === null
          ? null
          : (original * target.limit) / 100
      if (value === null || limit === null)
        return { diet: diet.id, text: `${unitOn(target)}: cannot be reckoned here`, kept: null, missedBy: 1 }
      const off = target.comparison === 'at-least' ? limit - value : value - limit
      const kept = off <= HELD_TO
      // Digits enough that a figure just past its limit is not shown as the limit.
      const digits = !kept && value.toFixed(1) === limit.toFixed(1) ? 3 : 1
      return {
        diet: diet.id,
        text: `${value.toFixed(digits)} ${unitOn(target)}, ${target.comparison.replace('-', ' ')} ${limit.toFixed(1)} is asked`,
        kept,
        missedBy: kept ? 0 : Math.min(1, off / Math.max(limit, off)),
      }
    }),
  )
}
