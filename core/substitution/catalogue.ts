import { foodIs } from '../food/groups'
import type { Food, Foods } from '../food/food'
import { PURPOSES, type Purpose } from './formulas'
import type { Line, Part } from '../recipe/document'
import {
  COOKING_WAYS,
  PART_KINDS,
  SHAPES,
  type CookingWay,
  type PartKind,
  type Shape,
} from '../recipe/vocabulary'
import { foodOf } from '../recipe/lines'

/** What an ingredient does in a piece. */
export const ROLES = [
  'structure',
  'binding',
  'tenderness',
  'richness',
  'moisture',
  'browning',
  'leavening',
  'umami',
] as const
export type Role = (typeof ROLES)[number]

/** Yogurt hung in a cloth for some hours loses three eighths of its weight. Common practice, no source. */
export const STRAINED_OFF = 0.375

/** Water that a gram of a substitute takes up or loses before it is used. */
export const waterOf = (target: SwapTarget, food: Food): number =>
  target.soaked ? (food.unitGrams.soaked ?? 1) - 1 : target.strained ? -STRAINED_OFF : 0

/** What a food is in its part: what it is made of, a little that binds or seasons, or part of something sweet. */
export const STANDINGS = ['main', 'minor', 'sweet'] as const
export type Standing = (typeof STANDINGS)[number]
/** From this share of its part's weight on a food is what the part is made of. Our own choice. */
export const MAIN_SHARE = 0.25
/** From this share of sugar, honey and dried fruit on a part is sweet; a braise seasoned with sugar is not. Our own choice. */
const SWEET_SHARE = 0.08

/** The share of its part's weight that a line is, 0 to 1; null where that is not known. */
export function shareOf(part: Pick<Part, 'lines'>, line: Pick<Line, 'grams'>): number | null {
  if (!line.grams) return null
  const total = part.lines.reduce((sum, own) => sum + (own.grams ?? 0), 0)
  return total > 0 ? line.grams / total : null
}

/** Whether a part is sweet: by its sugar, or by fruit that any sugar is stirred into. */
export function isSweet(part: Pick<Part, 'lines'>, foods: Foods): boolean {
  let sugar = 0
  let fruit = 0
  for (const line of part.lines) {
    const food = foodOf(line, foods)
    const share = shareOf(part, line) ?? 0
    if (foodIs(food, 'sugar') || foodIs(food, 'sweetener')) sugar += share
    if (food && FRUITS.test(food.group)) fruit += share
  }
  return sugar >= SWEET_SHARE || (sugar > 0 && fruit >= FRUIT_SHARE)
}
const FRUITS = /^(?:fruit|berries|dried-fruit)$/
/** Fruit that is this much of a filling makes it one of fruit. Our own choice. */
const FRUIT_SHARE = 0.5

/**
 * What a line is by its part.
 *
 * @param share of its part's weight, 0 to 1; null where that is not known
 */
export function standingsBy(kind: PartKind, share: number | null, sweet: boolean): Set<Standing> {
  // A marinade is made of what a filling is made of.
  const filling = kind === 'filling' || kind === 'marinade'
  const isMain = filling && (share ?? 0) >= MAIN_SHARE
  return new Set<Standing>([isMain ? 'main' : 'minor', ...(sweet ? (['sweet'] as const) : [])])
}

/** What a line is in its part. */
export const standingsOf = (
  part: Pick<Part, 'kind' | 'lines'>,
  line: Pick<Line, 'grams'>,
  foods: Foods,
): Set<Standing> => standingsBy(part.kind, shareOf(part, line), isSweet(part, foods))

/** How much of a substitute stands for what is taken out. */
export type AmountRule =
  | { by: 'weight'; ratio: number }
  /** The same grams of this, so that fat, protein or salt stays what it was. */
  | { by: 'fat' | 'protein' | 'sodium' }

export interface SwapTarget {
  foodId: string
  rule: AmountRule
  /** Bought dry and soaked before use: water is taken up by the food's own ratio. */
  soaked: boolean
  /** Hung in a cloth until it is thick: it loses `STRAINED_OFF` of its weight as whey, which is mostly water. */
  strained: boolean
  /** Boiling water is poured on it. */
  scalded: boolean
}

export interface Swap {
  id: string
  /** Food ids this row stands for; empty when it stands for a group. */
  foodIds: string[]
  group: string | null
  part: PartKind | null
  way: CookingWay | null
  /** How a piece is closed, where it holds; null for any. */
  closings: readonly Shape[] | null
  /** Whether it stands for what a part is made of, for a little of it, or in something sweet only; null for any. */
  as: Standing | null
  /** What it is for, where nobody would take it for anything else; empty for any end. */
  ends: Purpose[]
  /** The usual stand-in, or one for a special end: an allergy, fewer carbohydrates, less fat, more protein. */
  usual: boolean
  to: SwapTarget[]
  /** What the substitute still does. */
  roles: Role[]
  /** What it does no longer. */
  rolesLost: Role[]
  why: string
  handling: string
  cooking: string
  source: string
  /** Place in the table: of equally exact rows the first is preferred. */
  rank: number
}

function targetFrom(text: string, foods: Foods, where: string): SwapTarget {
  const match = /^([a-z0-9-]+)(?:\*(\d+(?:\.\d+)?)|@(fat|protein|sodium))(~soaked|~scalded|~strained)?$/.exec(
    text,
  )
  if (!match) throw new Error(`${where}: "${text}" is not food*ratio, food@fat, food@protein or food@sodium`)
  if (!foods.has(match[1]!)) throw new Error(`${where}: "${match[1]}" is not in the food table`)
  const rule: AmountRule = match[2]
    ? { by: 'weight', ratio: Number(match[2]) }
    : { by: match[3] as 'fat' | 'protein' | 'sodium' }
  return {
    foodId: match[1]!,
    rule,
    soaked: match[4] === '~soaked',
    scalded: match[4] === '~scalded',
    strained: match[4] === '~strained',
  }
}

/**
 * Turns the rows of `data/swaps.csv` into the catalogue.
 *
 * @throws Error naming the row when a food, part, way, role or amount rule is not understood
 */
export function swapsFromRows(rows: readonly Readonly<Record<string, string>>[], foods: Foods): Swap[] {
  return rows.map((row, rank) => {
    const where = `Swap ${row.id}`
    const from = row.from ?? ''
    const group = from.startsWith('group:') ? from.slice(6) : null
    const foodIds = group ? [] : from.split('|')
    const unknown = foodIds.find((id) => !foods.has(id))
    if (unknown !== undefined) throw new Error(`${where}: "${unknown}" is not in the food table`)
    if (group && ![...foods.values()].some((food) => food.group === group))
      throw new Error(`${where}: no food is in group "${group}"`)
    const part = row.part === 'any' ? null : PART_KINDS.find((kind) => kind === row.part)
    const way = row.way === 'any' ? null : COOKING_WAYS.find((kind) => kind === row.way)
    if (part === undefined || way === undefined)
      throw new Error(`${where}: part "${row.part}" or way "${row.way}" is unknown`)
    const closings = row.closing === 'any' ? null : (row.closing ?? '').split('|')
    const oddClosing = closings?.find((one) => !(SHAPES as readonly string[]).includes(one))
    if (oddClosing !== undefined) throw new Error(`${where}: closing "${oddClosing}" is unknown`)
    const standing = row.as ? STANDINGS.find((one) => one === row.as) : null
    if (standing === undefined) throw new Error(`${where}: "${row.as}" is not main, minor or sweet`)
    const ends = (row.ends ?? '').split('|').filter(Boolean)
    const oddEnd = ends.find((one) => !(PURPOSES as readonly string[]).includes(one))
    if (oddEnd) throw new Error(`${where}: "${oddEnd}" is no end that a swap can be for`)
    const roles = (row.roles ?? '').split('|').filter(Boolean)
    const rolesLost = (row.lost ?? '').split('|').filter(Boolean)
    const oddRole = [...roles, ...rolesLost].find((role) => !(ROLES as readonly string[]).includes(role))
    if (oddRole) throw new Error(`${where}: role "${oddRole}" is unknown`)
    if (!row.why || !row.source) throw new Error(`${where}: why or source is missing`)
    return {
      id: row.id!,
      foodIds,
      group,
      part,
      way,
      closings: closings as Shape[] | null,
      as: standing ?? null,
      ends: ends as Purpose[],
      to: (row.to ?? '').split('+').map((text) => targetFrom(text, foods, where)),
      usual: row.use !== 'special',
      roles: roles as Role[],
      rolesLost: rolesLost as Role[],
      why: row.why,
      handling: row.handling ?? '',
      cooking: row.cooking ?? '',
      source: row.source,
      rank,
    }
  })
}

/** A swap the cook thought of: one food or several for another, gram for gram times a ratio. */
export interface OwnSwap {
  id: string
  fromFoodId: string
  toFoodId: string
  /** Grams of the substitute for a gram. */
  ratio: number
  /** What stands in beside it. */
  more: { foodId: string; ratio: number }[]
  /** Null: wherever the food stands. */
  part: PartKind | null
  why: string
}

/** The cook's own swaps as rows of the catalogue, before all others. What they do is the cook's to know. */
export function ownSwaps(own: readonly OwnSwap[]): Swap[] {
  return own.map((one, at) => ({
    id: `own-${one.id}`,
    foodIds: [one.fromFoodId],
    group: null,
    part: one.part,
    way: null,
    closings: null,
    as: null,
    ends: [],
    usual: true,
    to: [{ foodId: one.toFoodId, ratio: one.ratio }, ...one.more].map(({ foodId, ratio }): SwapTarget => ({
      foodId,
      rule: { by: 'weight', ratio },
      soaked: false,
      scalded: false,
      strained: false,
    })),
    roles: [],
    rolesLost: [],
    why: one.why,
    handling: '',
    cooking: '',
    source: 'your own',
    rank: at - own.length,
  }))
}

/** How a piece is cooked and closed: what decides whether a swap holds. */
export interface Made {
  way: CookingWay
  shape: Shape
}
export const madeAs = (recipe: { cooking: { way: CookingWay }; shape: Shape }): Made => ({
  way: recipe.cooking.way,
  shape: recipe.shape,
})

/** Ends for which a part of a line is turned over, never the whole of what has to go. */
const FOR_A_PART: ReadonlySet<Purpose> = new Set(['lighter', 'high-protein', 'keto'])

/**
 * Whether a swap can stand for the whole of a line that has to go: spinach for a part of the curd makes a piece
 * lighter, and is no curd.
 *
 * @param purposes what is asked; a row for fewer carbohydrates holds where they are asked for
 */
export const standsForAll = (swap: Swap, purposes?: ReadonlySet<Purpose>): boolean =>
  !swap.ends.length ||
  swap.ends.some((end) => !FOR_A_PART.has(end) || (end === 'keto' && purposes?.has('keto')))

const exactness = (swap: Swap) =>
  (swap.group ? 0 : 8) +
  (swap.part ? 4 : 0) +
  (swap.way ? 2 : 0) +
  (swap.closings ? 1 : 0) +
  (swap.as ? 1 : 0)

/** Animal fats and plant fats share a group; a group row never turns one plant food into another. */
function standsFor(swap: Swap, food: Food): boolean {
  if (swap.group === null)
    return (
      swap.foodIds.includes(food.id) || (food.figuresOf !== null && swap.foodIds.includes(food.figuresOf))
    )
  return swap.group === food.group && food.origins.length > 0
}

/** A line whose part is not known is taken for a little of it. */
const UNKNOWN_STANDING: ReadonlySet<Standing> = new Set(['minor'])

/**
 * The swaps that hold for a food in a part, a way of cooking and a way of closing: usual ones before those for a special end, then
 * the most exact, then those that lose the fewest roles, then the order of the table.
 */
export function candidatesFor(
  food: Food,
  part: PartKind,
  { way, shape }: Made,
  swaps: readonly Swap[],
  standings: ReadonlySet<Standing> = UNKNOWN_STANDING,
): Swap[] {
  const where = part === 'marinade' ? 'filling' : part
  const found = swaps.filter(
    (swap) =>
      standsFor(swap, food) &&
      (swap.part === null || swap.part === where) &&
      (swap.as === null || standings.has(swap.as)) &&
      (swap.way === null || swap.way === way) &&
      (swap.closings === null || swap.closings.includes(shape)),
  )
  // Garlic butter is swapped as garlic butter, and not as the butter that it has its figures of.
  const isOwn = (swap: Swap) => swap.foodIds.includes(food.id)
  const forAnyEnd = (swap: Swap) => swap.usual && !swap.ends.length && swap.part === where
  const hasOwn = food.figuresOf !== null && found.some((swap) => isOwn(swap) && forAnyEnd(swap))
  return found
    .filter((swap) => !hasOwn || isOwn(swap) || !forAnyEnd(swap) || swap.group !== null)
    .sort(
      (a, b) =>
        Number(b.usual) - Number(a.usual) ||
        exactness(b) - exactness(a) ||
        a.rolesLost.length - b.rolesLost.length ||
        a.rank - b.rank,
    )
}

/**
 * Grams of a substitute for `grams` of a food.
 *
 * @returns null when the rule cannot hold: the substitute has none of the nutrient to be matched
 */
export function amountOf(target: SwapTarget, from: Food, grams: number, to: Food): number | null {
  if (target.rule.by === 'weight') return grams * target.rule.ratio
  const key = ({ fat: 'fatG', protein: 'proteinG', sodium: 'sodiumMg' } as const)[target.rule.by]
  const per = to.per100g[key]
  return per > 0 ? (grams * from.per100g[key]) / per : null
}
