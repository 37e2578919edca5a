import { DOUGH_FAMILIES, type DoughFamily } from '../dough/family'
import type { Food, FoodRow, Foods } from '../food/food'
import { PART_KINDS, type PartKind } from '../recipe/vocabulary'

/** How like one food is to another in a place, 0 to 1: texture, taste, colour, handling. */
export interface Likeness {
  from: { group?: string; foodId?: string }
  to: { group?: string; foodId?: string }
  part: PartKind | null
  family: DoughFamily | null
  likeness: number
  why: string
  source: string
}

/** Where a food stands. */
export interface LikenessPlace {
  part: PartKind
  family: DoughFamily
}

/** Of foods of a kind, of a group, and of any two, where the table has no row. Our own choice. */
const SAME_KIND = 0.93
const SAME_GROUP = 0.82
const STRANGERS = 0.35

function sideFrom(text: string | undefined, foods: Foods, groups: ReadonlySet<string>, where: string) {
  const [kind, name = ''] = (text ?? '').split(':')
  if (kind === 'group' && groups.has(name)) return { group: name }
  if (kind === 'food' && foods.has(name)) return { foodId: name }
  throw new Error(`${where}: "${text}" is not a group or a food`)
}

/**
 * Turns the rows of `data/likeness.csv` into a table.
 *
 * @throws Error naming the row when a food, group, part, family or number is not understood
 */
export function likenessFromRows(rows: readonly FoodRow[], foods: Foods): Likeness[] {
  const groups = new Set([...foods.values()].map((food) => food.group))
  return rows.map((row): Likeness => {
    const where = `Likeness ${row.from} ${row.to}`
    const part = row.part === 'any' ? null : PART_KINDS.find((one) => one === row.part)
    const family = row.family === 'any' ? null : DOUGH_FAMILIES.find((one) => one === row.family)
    const likeness = Number(row.likeness)
    if (part === undefined || family === undefined) throw new Error(`${where}: unknown part or family`)
    if (!(likeness >= 0 && likeness < 1) || !row.why || !row.source)
      throw new Error(`${where}: a number from 0 to below 1, a reason and a source are expected`)
    return {
      from: sideFrom(row.from, foods, groups, where),
      to: sideFrom(row.to, foods, groups, where),
      part,
      family,
      likeness,
      why: row.why,
      source: row.source,
    }
  })
}

const isIt = (side: Likeness['from'], food: Food) =>
  side.foodId === undefined
    ? side.group === food.group
    : side.foodId === food.id || side.foodId === food.figuresOf
const exactness = (row: Likeness) =>
  (row.from.foodId === undefined ? 0 : 4) +
  (row.to.foodId === undefined ? 0 : 4) +
  (row.part === null ? 0 : 1) +
  (row.family === null ? 0 : 2)

/**
 * How like a food is to the one it stands in for, in its place, 0 to 1: the most exact row that holds; without one
 * what foods of a kind and of a group usually are to one another.
 */
export function likenessOf(
  from: Food,
  to: Food,
  { part, family }: LikenessPlace,
  table: readonly Likeness[],
): number {
  if (from.id === to.id) return 1
  let best: Likeness | null = null
  for (const row of table) {
    if (row.part !== null && row.part !== part) continue
    if (row.family !== null && (row.family !== family || part !== 'shell')) continue
    if (!isIt(row.from, from) || !isIt(row.to, to)) continue
    if (!best || exactness(row) > exactness(best)) best = row
  }
  if (best) return best.likeness
  if (from.kind === to.kind) return SAME_KIND
  return from.group === to.group ? SAME_GROUP : STRANGERS
}

/** What wets or carries a stand-in without being what it is made of. */
const CARRIERS = new Set(['water', 'salt', 'stock'])

/**
 * The likeness of a stand-in made of several foods: by the weight of each as it is used, water and salt apart.
 */
export function likenessOfMix(
  from: Food,
  to: readonly { food: Food; grams: number }[],
  place: LikenessPlace,
  table: readonly Likeness[],
): number {
  const own = to.filter(({ food }) => food.id !== 'water' && (to.length === 1 || !CARRIERS.has(food.group)))
  const counted = own.length ? own : to
  const grams = counted.reduce((sum, one) => sum + one.grams, 0)
  if (grams <= 0) return STRANGERS
  return counted.reduce((sum, one) => sum + (one.grams / grams) * likenessOf(from, one.food, place, table), 0)
}
