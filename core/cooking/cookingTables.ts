import { saidOf, type Food, type Foods, type FoodRow } from '../food/food'
import { MICRONUTRIENT_KEYS, type Micronutrient } from '../food/micronutrients'
import { PRECOOKING_TABLE, PRECOOKING_WAYS, type Heat, type PrecookingWay } from '../recipe/precookingWays'
import type { CookingWay } from '../recipe/vocabulary'

export interface Yield {
  /** Cooked weight ÷ raw weight. */
  factor: number
  source: string
}

const HEATS: readonly Heat[] = ['oven', 'fat', 'steam', 'water']

const HEAT_OF: Readonly<Record<CookingWay, Heat>> = {
  bake: 'oven',
  'deep-fry': 'fat',
  'shallow-fry': 'fat',
  griddle: 'fat',
  'brown-and-steam': 'steam',
  steam: 'steam',
  boil: 'water',
}

const heatOf = (way: CookingWay | PrecookingWay): Heat =>
  way in HEAT_OF ? HEAT_OF[way as CookingWay] : PRECOOKING_TABLE[way as PrecookingWay].heat

/** A food with less water than this, in %, is dry. */
const DRY_PCT = 20

/** What cooking leaves of a food's weight and of its vitamins. */
export interface CookingTables {
  /** By food id, else by group as "group:leafy". */
  yields: ReadonlyMap<string, Readonly<Record<PrecookingWay, Yield>>>
  retention: ReadonlyMap<Micronutrient, Readonly<Record<Heat, number>>>
}

const share = (row: FoodRow, column: string, table: string): number => {
  const value = Number(row[column])
  if (!row[column] || !(value > 0 && value <= 1)) {
    throw new Error(
      `${table}: column ${column} holds "${row[column]}"; a share above 0 and up to 1 was expected`,
    )
  }
  return value
}

/**
 * Turns the rows of `data/yields.csv` and `data/retention.csv` into tables.
 *
 * @throws Error naming the row when a food, group, nutrient or share is not understood
 */
export function cookingTablesFromRows(
  yieldRows: readonly FoodRow[],
  retentionRows: readonly FoodRow[],
  foods: Foods,
): CookingTables {
  const groups = new Set([...foods.values()].map((food) => `group:${food.group}`))
  const yields = new Map<string, Record<PrecookingWay, Yield>>()
  for (const row of yieldRows) {
    const key = (row.applies ?? '').replace(/^food:/, '')
    if (!groups.has(key) && !foods.has(key)) throw new Error(`Yields: no food or group "${row.applies}"`)
    const made = {} as Record<PrecookingWay, Yield>
    for (const way of PRECOOKING_WAYS)
      made[way] = { factor: share(row, way, `Yields of ${row.applies}`), source: row.source! }
    yields.set(key, made)
  }
  const retention = new Map<Micronutrient, Record<Heat, number>>()
  for (const row of retentionRows) {
    const key = MICRONUTRIENT_KEYS.find((one) => one === row.nutrient)
    if (!key) throw new Error(`Retention: no nutrient "${row.nutrient}"`)
    const made = {} as Record<Heat, number>
    for (const heat of HEATS) made[heat] = share(row, heat, `Retention of ${key}`)
    retention.set(key, made)
  }
  return { yields, retention }
}

/** The yield of a food that is cooked before it goes in; null for what no row speaks of: it keeps its weight. */
export function yieldOf(food: Food, way: PrecookingWay, { yields }: CookingTables): Yield | null {
  // What is dry has nothing to give off: dry pulses drink water that is listed as a line of its own.
  if (food.per100g.waterG < DRY_PCT) return null
  const own = yields.get(food.id)
  if (own) return own[way]
  // What is cooked already has given off its water: it dries a little more, no more than that.
  if (food.state === 'cooked' || food.state === 'canned')
    return { factor: PRECOOKING_TABLE[way].cookedAlready, source: 'common practice, no source' }
  return (saidOf(yields, food) ?? yields.get(`group:${food.group}`))?.[way] ?? null
}

/** The share of a nutrient that is left after cooking, 1 where no row speaks of it. */
export function retained(
  key: Micronutrient,
  way: CookingWay | PrecookingWay,
  { retention }: CookingTables,
): number {
  return retention.get(key)?.[heatOf(way)] ?? 1
}
