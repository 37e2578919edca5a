import { NUTRIENT_TABLE, NUTRIENTS, type Nutrient } from '../food/nutrients'

export const TARGET_PER = ['piece', 'serving', '100g'] as const
export type TargetPer = (typeof TARGET_PER)[number]

/** Shares that are a figure of their own: of the dry flours, of the energy. */
export const SHARES = ['wholeGrainPct', 'proteinEnergyPct'] as const
export type Share = (typeof SHARES)[number]

export interface Target {
  /** A share in %, or a nutrient of a piece, a serving or 100 g as eaten. */
  figure: Share | Nutrient
  /** Null for a share. */
  per: TargetPer | null
  comparison: 'at-least' | 'at-most'
  /** In the figure's unit, or in % of the original's figure. */
  limit: number
  ofOriginal: boolean
}

const SYNTAX = /^\s*(\w+)(?:\/(piece|serving|100g))?\s*(>=|<=)\s*([\d.]+)\s*(% of original)?\s*$/

/**
 * Reads a target such as "proteinEnergyPct >= 20", "netCarbohydrateG/serving <= 10" or
 * "energyKcal/100g <= 70 % of original".
 *
 * @throws Error naming the row when it is not understood
 */
export function parseTarget(text: string, where: string): Target {
  const [, name, per, sign, limit, original] = SYNTAX.exec(text) ?? []
  const share = SHARES.find((one) => one === name)
  const nutrient = NUTRIENTS.find((one) => one === name)
  if (!sign || (!share && !nutrient) || Boolean(nutrient) !== Boolean(per) || !Number.isFinite(Number(limit)))
    throw new Error(`${where}: target "${text}" is not understood`)
  return {
    figure: (share ?? nutrient)!,
    per: (per as TargetPer | undefined) ?? null,
    comparison: sign === '>=' ? 'at-least' : 'at-most',
    limit: Number(limit),
    ofOriginal: Boolean(original),
  }
}

/** What a target is held against: figures of the recipe, and of the recipe it grew from. */
export interface Measures {
  wholeGrainPct: number | null
  proteinEnergyPct: number | null
  piece: Record<Nutrient, number>
  serving: Record<Nutrient, number>
  '100g': Record<Nutrient, number>
}

/** The figure a target is about; null when it cannot be told. */
export function measured(target: Target, measures: Measures): number | null {
  if (target.figure === 'wholeGrainPct' || target.figure === 'proteinEnergyPct')
    return measures[target.figure]
  return measures[target.per ?? 'piece'][target.figure]
}

/** The limit in the figure's own unit; null when it hangs on an original that is not there. */
export function limitOf(target: Target, original: Measures | null): number | null {
  if (!target.ofOriginal) return target.limit
  const was = original && measured(target, original)
  return was === null ? null : (was * target.limit) / 100
}

const UNITS: Readonly<Record<Share, string>> = {
  wholeGrainPct: '% of the dry flours is whole grain',
  proteinEnergyPct: '% of energy from protein',
}
/** The unit of a target in words: "g net carbohydrate a serving". */
export function unitOf(target: Target): string {
  if (target.figure === 'wholeGrainPct' || target.figure === 'proteinEnergyPct') return UNITS[target.figure]
  const per = target.per === '100g' ? 'in 100 g' : `a ${target.per}`
  return `${NUTRIENT_TABLE[target.figure].asked} ${per}`
}

/** A target in words: "at most 10 g net carbohydrate a serving". */
export function sayTarget(target: Target, original: Measures | null): string {
  const limit = limitOf(target, original)
  const asked = limit === null ? `${target.limit} % of the original` : String(Math.round(limit * 10) / 10)
  return `${target.comparison.replace('-', ' ')} ${asked} ${unitOf(target)}`
}
