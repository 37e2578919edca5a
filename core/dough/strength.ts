import { DOUGH_FAMILIES, type DoughFamily } from './family'
import { saidOf, type Food, type FoodRow, type Foods } from '../food/food'
import { COOKING_WAYS, SHAPES, type CookingWay, type Shape } from '../recipe/vocabulary'
import type { FoodAmount } from '../food/amount'

/** What an ingredient does for a dough, 1 being plain wheat flour, gram for gram. */
export interface Strength {
  /** Holds it together and lets it stretch: gluten, psyllium, melted cheese, egg, scalded starch. */
  holds: number
  /** Pulls it back after rolling: gluten alone. */
  springs: number
  /** As `holds` when boiling water was poured on it; the same where that makes no difference. */
  scaldedHolds: number
  source: string
}

/** What a shape or a way of cooking asks of the dough. */
export interface Need {
  /** strength: at least; softest: softness at most; firmest: softness at least. */
  ability: 'strength' | 'softest' | 'firmest'
  shape: Shape | null
  way: CookingWay | null
  /** Only for doughs of this family, for which it comes before what holds for any; null for any. */
  family: DoughFamily | null
  limit: number
  why: string
  source: string
}

export interface DoughTables {
  strengths: ReadonlyMap<string, Strength>
  needs: readonly Need[]
}

const ABILITIES = ['strength', 'softest', 'firmest'] as const

/**
 * Turns the rows of `data/strength.csv` and `data/needs.csv` into tables.
 *
 * @throws Error naming the row when a food, shape, way or number is not understood
 */
export function doughTablesFromRows(
  strengthRows: readonly FoodRow[],
  needRows: readonly FoodRow[],
  foods: Foods,
): DoughTables {
  const strengths = new Map<string, Strength>()
  for (const row of strengthRows) {
    const id = (row.applies ?? '').replace(/^food:/, '')
    const holds = Number(row.holds)
    const springs = Number(row.springs)
    const scaldedHolds = row.scalded ? Number(row.scalded) : holds
    if (!foods.has(id) || !row.holds || !(holds >= 0 && springs >= 0 && scaldedHolds >= 0) || !row.source)
      throw new Error(`Strength of "${row.applies}": a food, numbers of 0 or more and a source are expected`)
    strengths.set(id, { holds, springs, scaldedHolds, source: row.source })
  }
  const needs = needRows.map((row): Need => {
    const ability = ABILITIES.find((one) => one === row.ability)
    const [kind, name] = (row.needs ?? '').split(':')
    const shape = kind === 'shape' ? SHAPES.find((one) => one === name) : undefined
    const way = kind === 'way' ? COOKING_WAYS.find((one) => one === name) : undefined
    const limit = Number(row.limit)
    const family = row.family ? DOUGH_FAMILIES.find((one) => one === row.family) : null
    if (!ability || family === undefined || (!shape && !way) || !(limit > 0) || !row.source)
      throw new Error(`Needs: row "${row.ability} ${row.needs}" is not understood`)
    return {
      ability,
      shape: shape ?? null,
      way: way ?? null,
      family,
      limit,
      why: row.why ?? '',
      source: row.source,
    }
  })
  return { strengths, needs }
}

/** Fat beyond this share of the flour shortens: each percent above takes a hundredth of the strength. */
const SHORTENS_FROM_PCT = 10
const SHORTENING_PER_PCT = 0.01
const MAX_SHORTENED = 0.6

/** What the ingredients bring to the dough's strength, before fat shortens it, in grams of plain flour. */
export const strengthGrams = (food: Food, grams: number, { strengths }: DoughTables): number => {
  const own = saidOf(strengths, food)
  return own ? grams * (food.scalded ? own.scaldedHolds : own.holds) : 0
}

/** What the ingredients bring to the dough's springing back, in grams of plain flour. */
export const springGrams = (food: Food, grams: number, { strengths }: DoughTables): number =>
  grams * (saidOf(strengths, food)?.springs ?? 0)

/** What holds a dough together, and what of it pulls back. */
export interface DoughStrength {
  /** 1 is plain wheat flour and water: it holds together and stretches. */
  holds: number
  /** 1 is plain wheat flour and water: it springs back after rolling. Above 2 it is rubber. */
  springs: number
}

/**
 * Strength of a dough, 1 being plain wheat flour and water: gluten and what stands in for it, gram for gram of
 * flour, less what fat shortens; and, apart from it, how much of it springs back, which gluten alone does. A model,
 * common practice, no source: it sorts doughs into those that stretch and those that are pressed.
 *
 * @param flourGrams of the dough, above 0
 * @param fatPct fat in % of flour
 */
export function strengthOf(
  amounts: readonly FoodAmount[],
  flourGrams: number,
  fatPct: number,
  tables: DoughTables,
): DoughStrength {
  let holds = 0
  let springs = 0
  for (const { food, grams } of amounts) {
    holds += strengthGrams(food, grams, tables)
    springs += springGrams(food, grams, tables)
  }
  const kept = shortening(fatPct) / flourGrams
  return { holds: holds * kept, springs: springs * kept }
}

/** The share of its strength that a dough keeps with this much fat in % of flour. */
export const shortening = (fatPct: number): number =>
  1 - Math.min(MAX_SHORTENED, Math.max(0, fatPct - SHORTENS_FROM_PCT) * SHORTENING_PER_PCT)

/**
 * The needs of a shape and a way of cooking; for each ability only the strictest counts. What is asked of a family
 * takes the place of what is asked of any dough of that shape.
 */
export function needsOf(
  shape: Shape,
  way: CookingWay,
  { needs }: DoughTables,
  family: DoughFamily | null = null,
): Need[] {
  const strictest = new Map<Need['ability'], Need>()
  const own = (need: Need) =>
    needs.some(
      (other) =>
        other.family !== null &&
        other.family === family &&
        other.ability === need.ability &&
        other.shape === need.shape &&
        other.way === need.way,
    )
  for (const need of needs) {
    if (need.family === null ? own(need) : need.family !== family) continue
    if ((need.shape !== null && need.shape !== shape) || (need.way !== null && need.way !== way)) continue
    const known = strictest.get(need.ability)
    const stricter =
      !known || (need.ability === 'softest' ? need.limit < known.limit : need.limit > known.limit)
    if (stricter) strictest.set(need.ability, need)
  }
  return [...strictest.values()]
}
