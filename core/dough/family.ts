import { SHAPE_TABLE } from '../piece/shapes'
import { foodIs, isFlour } from '../food/groups'
import type { CookingWay, Shape } from '../recipe/vocabulary'
import type { FoodAmount } from '../food/amount'

/** Kinds of dough as cooks tell them apart: by what makes them hold, and by what they are for. */
export const DOUGH_FAMILIES = [
  'short',
  'flaky',
  'yeast',
  'firm',
  'fried',
  'griddle',
  'stretched',
  'scalded',
  'yogurt',
  'bought',
] as const
export type DoughFamily = (typeof DOUGH_FAMILIES)[number]

/** From this much fat in % of the flour a dough without yeast is short. Common practice, no source. */
const SHORT_FAT_PCT = 33
/** A dough with this share of its flour scalded is a scalded one. Our own choice. */
const SCALDED_SHARE = 0.5
/** Yogurt or curd beyond this share of the flour makes the dough one of yogurt. Common practice, no source. */
const YOGURT_SHARE = 0.35
/** Fat between the layers, beside the dough's own, in % of the flour. Our own choice. */
const LAYERED_FAT_PCT = 55

/**
 * The family of a dough, from what is in it and how the piece is closed and cooked. Common practice, no source.
 *
 * @param ready bought dough
 * @param fatPct fat in % of the flour
 */
export function familyOf(
  amounts: readonly FoodAmount[],
  { ready, fatPct, way, shape }: { ready: boolean; fatPct: number; way: CookingWay; shape: Shape },
): DoughFamily {
  if (ready) return 'bought'
  let flour = 0
  let scalded = 0
  let curd = 0
  let yeast = false
  let solidFat = 0
  for (const { food, grams } of amounts) {
    if (isFlour(food)) {
      flour += grams
      if (food.scalded) scalded += grams
    }
    if (foodIs(food, 'curd')) curd += grams
    if (/yeast|sourdough/.test(food.id)) yeast = true
    if (food.softeningFat === 'solid') solidFat += (grams * food.per100g.fatG) / 100
  }
  if (flour > 0 && scalded / flour >= SCALDED_SHARE) return 'scalded'
  if (yeast) return 'yeast'
  if (fatPct >= LAYERED_FAT_PCT && solidFat > 0) return 'flaky'
  if (fatPct >= SHORT_FAT_PCT) return 'short'
  if (flour > 0 && curd / flour >= YOGURT_SHARE) return 'yogurt'
  if (SHAPE_TABLE[shape].stretched) return 'stretched'
  if (way === 'deep-fry' || way === 'shallow-fry') return 'fried'
  if (way === 'griddle') return 'griddle'
  return way === 'bake' && fatPct >= 12 ? 'short' : 'firm'
}

/** Sheets that are stretched as thin as paper: what is brushed between them keeps them apart. */
const THIN_SHEETS = /^(?:filo|yufka)$/

/** Bought doughs that are not layered. */
const BOUGHT_FAMILY: Readonly<Record<string, DoughFamily>> = {
  'pizza-dough': 'yeast',
  'shortcrust-pastry': 'short',
  'pie-crust': 'short',
  'shortcrust-pastry-butter': 'short',
  'lard-pastry': 'short',
  'gf-shortcrust': 'short',
  'empanada-disc': 'short',
}

/** The family that a bought dough would be of, were it made: of the foods of its part. Common practice, no source. */
export function boughtFamily(foods: readonly { id: string; group: string }[]): DoughFamily {
  if (foods.some(({ id }) => THIN_SHEETS.test(id))) return 'stretched'
  const own = foods.map(({ id }) => BOUGHT_FAMILY[id]).find(Boolean)
  return own ?? (foods.some(({ group }) => group === 'pastry') ? 'flaky' : 'firm')
}
