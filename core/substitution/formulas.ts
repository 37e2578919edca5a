import { DOUGH_FAMILIES, type DoughFamily } from '../dough/family'
import type { FoodRow, Foods } from '../food/food'
import { COOKING_WAYS, SHAPES, type CookingWay, type Shape } from '../recipe/vocabulary'

/** What a formula or a swap is taken for; `leaving-out` only where a diet leaves its food out. */
export const PURPOSES = [
  'gluten-free',
  'keto',
  'high-protein',
  'whole-grain',
  'lighter',
  'vegan',
  'egg-free',
  'leaving-out',
] as const
export type Purpose = (typeof PURPOSES)[number]

/**
 * What stands for a food of the recipe: its own flour, its own fat (or solid fat, or oil), its own yogurt (or a
 * strained one). Where it has none, or that breaks a diet, a usual one is taken.
 */
export const OWN = ['flour:own', 'fat:own', 'fat:solid', 'fat:oil', 'yogurt:own', 'yogurt:strained'] as const
export type Own = (typeof OWN)[number]

/** A share of a formula, in % of its flours. */
export interface FormulaShare {
  /** A food's id, or what stands for one of the recipe's. */
  of: string
  pct: number
  low: number
  high: number
}

/** A whole dough in baker's percentages. */
export interface Formula {
  id: string
  name: string
  families: DoughFamily[]
  /** Null: any. */
  ways: CookingWay[] | null
  closings: Shape[] | null
  serves: Purpose[]
  /** How near it comes to the wheat dough of its family, 0 to 1: texture, taste, colour, handling. */
  likeness: number
  shares: FormulaShare[]
  /** The recipe's own yeast or baking powder stays. */
  leaven: boolean
  /** Ids of the flours on which boiling water is poured; null for all of them. */
  scald: string[] | null
  /** Water in % of the flours; null where the recipe's other lines stay and only its flours change. */
  water: FormulaShare | null
  /** What it can do and what not. */
  can: string
  method: string
  cooking: Partial<Record<CookingWay, string>>
  /** Where practice differs. */
  school: string
  source: string
}

const SHARE = /^(\d+(?:\.\d+)?)(?:\((\d+(?:\.\d+)?)-(\d+(?:\.\d+)?)\))?$/

function shareFrom(of: string, text: string, where: string): FormulaShare {
  const [, pct, low, high] = SHARE.exec(text) ?? []
  if (!pct) throw new Error(`${where}: "${of}=${text}" is not a percentage, with its range in brackets`)
  const share = { of, pct: Number(pct), low: Number(low ?? pct), high: Number(high ?? pct) }
  if (!(share.low <= share.pct && share.pct <= share.high))
    throw new Error(`${where}: ${of} is ${pct} %, which lies outside ${low} to ${high}`)
  return share
}

function oneOf<T extends string>(text: string | undefined, allowed: readonly T[], where: string): T[] {
  const items = (text ?? '').split('|').filter(Boolean)
  const odd = items.find((item) => !(allowed as readonly string[]).includes(item))
  if (odd !== undefined) throw new Error(`${where}: unknown "${odd}"`)
  return items as T[]
}

/** "bake: …; steam: …" by way of cooking. */
function cookingFrom(text: string | undefined, where: string): Formula['cooking'] {
  const cooking: Formula['cooking'] = {}
  for (const clause of (text ?? '').split(/; (?=[a-z-]+: )/).filter(Boolean)) {
    const colon = clause.indexOf(': ')
    const way = COOKING_WAYS.find((one) => one === clause.slice(0, colon))
    if (!way) {
      // Words that follow a colon of their own belong to the clause before.
      throw new Error(`${where}: "${clause}" does not begin with a way of cooking`)
    }
    cooking[way] = clause.slice(colon + 2)
  }
  return cooking
}

/**
 * Turns the rows of `data/formulas.csv` into formulas.
 *
 * @throws Error naming the row when a food, family, way, closing, purpose or percentage is not understood
 */
export function formulasFromRows(rows: readonly FoodRow[], foods: Foods): Formula[] {
  return rows.map((row): Formula => {
    const where = `Formula ${row.id}`
    const likeness = Number(row.likeness)
    if (!row.id || !row.name || !row.source || !(likeness > 0 && likeness < 1))
      throw new Error(`${where}: an id, a name, a likeness between 0 and 1 and a source are expected`)
    const pairs = (row.of ?? '').split('|').map((pair) => pair.split('=') as [string, string])
    const shares = pairs
      .filter(([of]) => of !== 'leaven')
      .map(([of, text]) => {
        if (!(OWN as readonly string[]).includes(of) && !foods.has(of))
          throw new Error(`${where}: "${of}" is not in the food table`)
        return shareFrom(of, text, where)
      })
    const ways = oneOf(row.ways, COOKING_WAYS, where)
    const closings = oneOf(row.closings, SHAPES, where)
    const scald = (row.scald ?? '').split('|').filter(Boolean)
    return {
      id: row.id,
      name: row.name,
      families: oneOf(row.families, DOUGH_FAMILIES, where),
      ways: ways.length ? ways : null,
      closings: closings.length ? closings : null,
      serves: oneOf(row.serves, PURPOSES, where),
      likeness,
      shares,
      leaven: pairs.some(([of]) => of === 'leaven'),
      scald: scald.includes('all') ? null : scald,
      water: row.rest === 'own' ? null : shareFrom('water', row.water ?? '', where),
      can: row.can ?? '',
      method: row.method ?? '',
      cooking: cookingFrom(row.cooking, where),
      school: row.school ?? '',
      source: row.source,
    }
  })
}

/** The mark in a line's `cameFrom` by which a dough made by a formula is known. */
export const formulaMark = (formula: Pick<Formula, 'id'>): string => `formula:${formula.id}`

/** The formula that a line came of; null for none. */
export const formulaIdOf = (swapId: string | undefined): string | null =>
  swapId?.startsWith('formula:') ? swapId.slice('formula:'.length) : null
