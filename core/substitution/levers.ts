import { foodIs, isFat } from '../food/groups'
import type { Food, FoodRow } from '../food/food'
import type { PartKind } from '../recipe/vocabulary'
import { PURPOSES, type Purpose } from './formulas'

/** What a cook reaches for, by kind: what there is less of, more of, or what stands in. */
export const LEVERS = [
  'fat-less',
  'dough-fat-less',
  'leaner',
  'vegetable-more',
  'protein-more',
  'protein-swap',
  'shell-less',
  'sweet-less',
  'starch-out',
  'starch-less',
  'vegetable-swap',
  'main-less',
  'flour',
  'isolate',
] as const
export type LeverName = (typeof LEVERS)[number]

/** How readily a cook pulls a lever for a purpose: below 1 sooner than others, above 1 later. */
export interface Lever {
  purpose: Purpose
  lever: LeverName
  factor: number
  why: string
  source: string
}

/**
 * Turns the rows of `data/levers.csv` into levers.
 *
 * @throws Error naming the row when a purpose, lever or factor is not understood
 */
export function leversFromRows(rows: readonly FoodRow[]): Lever[] {
  return rows.map((row): Lever => {
    const purpose = PURPOSES.find((one) => one === row.purpose)
    const lever = LEVERS.find((one) => one === row.lever)
    const factor = Number(row.factor)
    if (!purpose || !lever || !(factor > 0) || !row.why || !row.source)
      throw new Error(`Lever "${row.purpose} ${row.lever}" is not understood`)
    return { purpose, lever, factor, why: row.why, source: row.source }
  })
}

/** Grams of protein in 100 g from which a filling's food is there for its protein. Our own choice. */
const PROTEIN_G = 7

/** Grams of net carbohydrate in 100 g from which a food of a filling is starchy. Our own choice. */
export const STARCHY_G = 12

export const netCarbohydrateG = ({ per100g }: Food) =>
  per100g.carbohydrateG - per100g.fibreG - per100g.polyolsG

/** The lever that taking less of a line is; null for none. */
export function leverOfLess(part: PartKind, food: Food): LeverName | null {
  if (isFat(food)) return part === 'shell' ? 'dough-fat-less' : 'fat-less'
  if (part === 'shell') return 'shell-less'
  if (foodIs(food, 'sugar')) return 'sweet-less'
  if (part !== 'filling') return null
  return netCarbohydrateG(food) >= STARCHY_G ? 'starch-less' : 'main-less'
}

/** The lever that taking more of a line is; null for none. */
export function leverOfMore(part: PartKind, food: Food): LeverName | null {
  if (part !== 'filling') return null
  if (foodIs(food, 'vegetable') && netCarbohydrateG(food) <= 10) return 'vegetable-more'
  return food.per100g.proteinG >= PROTEIN_G ? 'protein-more' : null
}

/** The lever that a stand-in is; null for none. */
export function leverOfSwap(part: PartKind, from: Food, to: readonly Food[]): LeverName | null {
  if (part === 'shell' && to.some((food) => foodIs(food, 'isolate'))) return 'isolate'
  if (part === 'shell' && (from.waterDemand !== null || foodIs(from, 'bought-dough'))) return 'flour'
  const main = to[0]
  if (!main) return null
  if ((foodIs(from, 'flesh') && foodIs(main, 'flesh')) || (foodIs(from, 'dairy') && foodIs(main, 'dairy')))
    return 'leaner'
  if (foodIs(from, 'sugar')) return 'sweet-less'
  if (isFat(from)) return part === 'shell' ? 'dough-fat-less' : 'fat-less'
  if (part !== 'filling') return null
  if (foodIs(main, 'vegetable') && !foodIs(from, 'vegetable')) return 'vegetable-swap'
  if (from.group === 'fruit' || netCarbohydrateG(from) >= STARCHY_G) return 'starch-out'
  return main.per100g.proteinG >= PROTEIN_G ? 'protein-swap' : null
}

/** How readily a lever is pulled for what is asked: of several purposes the readiest counts. */
export function leverFactor(
  lever: LeverName | null,
  purposes: ReadonlySet<Purpose>,
  levers: readonly Lever[],
): number {
  if (lever === null) return 1
  const found = levers.filter((one) => one.lever === lever && purposes.has(one.purpose))
  return found.length ? Math.min(...found.map((one) => one.factor)) : 1
}
