import { groupIs } from './groups'
import { AMINO_ACID_KEYS, type AminoAcid, type AminoAcids } from './aminoAcids'
import { COMPOSITION_COLUMNS, compositionOf, type Composition } from './composition'
import { euEnergyKcal, SWEETENER_KCAL_PER_G } from './energy'
import { MICRONUTRIENT_KEYS, MICRONUTRIENTS, type Micronutrients } from './micronutrients'

/** Where a food comes from, as far as a diet asks. */
export const ORIGINS = ['meat', 'fish', 'egg', 'dairy', 'honey', 'other'] as const
export type Origin = (typeof ORIGINS)[number]

/** Annex II of Regulation (EU) No 1169/2011, in its order, with the short keys of the food table. */
export const EU_ALLERGENS = {
  gluten: 'Cereals containing gluten',
  crustaceans: 'Crustaceans',
  egg: 'Eggs',
  fish: 'Fish',
  peanut: 'Peanuts',
  soy: 'Soybeans',
  milk: 'Milk',
  nuts: 'Nuts',
  celery: 'Celery',
  mustard: 'Mustard',
  sesame: 'Sesame seeds',
  sulphites: 'Sulphur dioxide and sulphites',
  lupin: 'Lupin',
  molluscs: 'Molluscs',
} as const
export type Allergen = keyof typeof EU_ALLERGENS

/** In what state a food's figures were taken, where a food is sold or kept in several. */
export const STATES = ['raw', 'dry', 'cooked', 'canned', 'dried', 'frozen', 'smoked', 'pickled'] as const
export type State = (typeof STATES)[number]

/** How a food is made in the kitchen from others. */
export interface Homemade {
  madeOf: readonly { foodId: string; name: string; grams: number }[]
  /** What the amounts of `madeOf` give. */
  makesGrams: number
  method: string
}

export interface Food {
  id: string
  name: string
  synonyms: string[]
  group: string
  /** What is the same food in another state or with another share of fat; the food's own id where nothing is. */
  kind: string
  /** Null for what has no states a cook would tell apart. */
  state: State | null
  /** The food whose figures these are, by a stated reason or conversion; null for figures of its own. */
  figuresOf: string | null
  origins: Origin[]
  /** Animal origins that only the packet can rule out (egg in a wrapper, whey in a margarine). */
  possibleOrigins: Origin[]
  /** False for a food of an imported table that says nothing of it: no diet can then be told. */
  originKnown: boolean
  allergens: Allergen[]
  possibleAllergens: Allergen[]
  per100g: Composition
  /** Figures of `per100g` that the source does not give: 0 stands there, and sums of them are "at least". */
  unknown: (keyof Composition)[]
  micronutrients: Micronutrients
  /** Null where the source gives none. */
  aminoAcids: AminoAcids | null
  /** By the factors of Regulation (EU) No 1169/2011, Annex XIV, from `per100g`. */
  energyKcal: number
  /** The energy that the row's source states; used to check the row, not to compute with. */
  statedEnergyKcal: number
  gramsPerMl: number
  /**
   * Grams of one: cup, tbsp, clove, medium. Besides them the ratios edible, drained, squeezed, soaked, packed, and
   * `across`, the width in cm of the one that `piece` weighs.
   */
  unitGrams: Readonly<Record<string, number>>
  /** Grams of water that bring 1 g of it to a medium dough; null for what is no flour. */
  waterDemand: number | null
  /** The same when boiling water is poured on it, which swells its starch; null for what is not scalded. */
  scaldedDemand: number | null
  /** It is scalded, and `waterDemand` is that of its scalded state. */
  scalded?: boolean
  grain: 'whole' | 'refined' | null
  /** The part of its water that is free to wet flour, 0 to 1. */
  freeWater: number
  /** How its fat softens a dough; null for foods whose fat is not counted as a shortening. */
  softeningFat: 'oil' | 'solid' | null
  source: string
  /** Only for what is made at home. */
  homemade?: Homemade
  /** Names by which a cook has taught that this food is meant. */
  taughtNames?: readonly string[]
}

export type Foods = ReadonlyMap<string, Food>
export type FoodRow = Readonly<Record<string, string>>

/** What a table says of a food, or else of the one whose figures it bears. */
export const saidOf = <T>(table: ReadonlyMap<string, T>, food: Food): T | undefined =>
  table.get(food.id) ?? (food.figuresOf === null ? undefined : table.get(food.figuresOf))

/** The parts of a cell that are divided by bars. */
export const list = (text: string | undefined) => (text ?? '').split('|').filter(Boolean)

/**
 * Origin and allergens as two columns of a row say: "?" marks what only the packet can tell.
 *
 * @throws Error naming the row when a word is not known
 */
export function hazardsOf(row: FoodRow, where: string) {
  const origins = certainAndPossible<Origin>(row.origin, ORIGINS, where)
  const allergens = certainAndPossible<Allergen>(row.allergens, Object.keys(EU_ALLERGENS), where)
  return {
    origins: origins.certain,
    possibleOrigins: origins.possible,
    allergens: allergens.certain,
    possibleAllergens: allergens.possible,
  }
}

/**
 * Weights of spoons, cups and pieces as "unit=grams|…".
 *
 * @throws Error naming the row when a pair is not a unit and a number above 0
 */
export function unitGramsFrom(text: string | undefined, where: string): Record<string, number> {
  const unitGrams: Record<string, number> = {}
  for (const pair of list(text)) {
    const [unit, grams] = pair.split('=')
    if (!unit || !(Number(grams) > 0)) throw new Error(`${where}: unit weight "${pair}" is not unit=grams`)
    unitGrams[unit] = Number(grams)
  }
  return unitGrams
}

/**
 * A state as a column names it; null for none.
 *
 * @throws Error naming the row when the word is not known
 */
export function stateFrom(text: string | undefined, where: string): State | null {
  const state = STATES.find((one) => one === text)
  if (text && !state) throw new Error(`${where}: state "${text}" is not one of ${STATES.join(', ')}`)
  return state ?? null
}

function certainAndPossible<T extends string>(
  text: string | undefined,
  allowed: readonly string[],
  where: string,
) {
  const certain: T[] = []
  const possible: T[] = []
  for (const item of list(text)) {
    const key = item.replace(/^\?/, '')
    if (!allowed.includes(key)) throw new Error(`${where}: "${key}" is not one of ${allowed.join(', ')}`)
    ;(item.startsWith('?') ? possible : certain).push(key as T)
  }
  return { certain, possible }
}

function number(row: FoodRow, column: string): number {
  const text = row[column] ?? ''
  const value = Number(text)
  if (text === '' || !Number.isFinite(value) || value < 0) {
    throw new Error(`Food ${row.id}: column ${column} holds "${text}"; a number of 0 or more was expected`)
  }
  return value
}

/** A column that may be empty: unknown is null, never zero. */
function numberOrUnknown(row: FoodRow, column: string): number | null {
  return row[column] ? number(row, column) : null
}

/**
 * The fraction of a food's water that counts as free when its row does not say: all of a liquid's, none of a
 * solid's. A piece of onion in a dough keeps its water. Common practice, no source.
 */
const freeWaterOf = (group: string) => (groupIs(group, 'pours') ? 1 : 0)

function aminoAcidsFromRow(row: FoodRow): AminoAcids {
  const mgPerGProtein = {} as Record<AminoAcid, number>
  for (const key of AMINO_ACID_KEYS) mgPerGProtein[key] = number({ ...row, id: row.food! }, `${key}_mg`)
  return { mgPerGProtein, source: row.source! }
}

function foodFromRow(row: FoodRow, aminoAcids: AminoAcids | null): Food {
  const where = `Food ${row.id}`
  const per100g = compositionOf((key) => number(row, COMPOSITION_COLUMNS[key]))
  const micronutrients = {} as Micronutrients
  for (const key of MICRONUTRIENT_KEYS) micronutrients[key] = numberOrUnknown(row, MICRONUTRIENTS[key].column)
  return {
    id: row.id!,
    name: row.name!,
    synonyms: list(row.synonyms),
    group: row.group!,
    kind: row.kind || row.id!,
    state: stateFrom(row.state, where),
    figuresOf: null,
    ...hazardsOf(row, where),
    originKnown: true,
    per100g,
    unknown: [],
    micronutrients,
    aminoAcids,
    energyKcal: euEnergyKcal(per100g, SWEETENER_KCAL_PER_G[row.id!]),
    statedEnergyKcal: number(row, 'energy_kcal'),
    gramsPerMl: number(row, 'g_per_ml'),
    unitGrams: unitGramsFrom(row.unit_weights, where),
    waterDemand: row.water_demand ? number(row, 'water_demand') : null,
    scaldedDemand: row.scalded_demand ? number(row, 'scalded_demand') : null,
    grain: row.grain === 'whole' || row.grain === 'refined' ? row.grain : null,
    freeWater: row.free_water ? number(row, 'free_water') : freeWaterOf(row.group!),
    softeningFat: row.softening_fat === 'oil' || row.softening_fat === 'solid' ? row.softening_fat : null,
    source: row.source!,
  }
}

/**
 * Turns the rows of `data/foods.csv` into foods by id.
 *
 * @param rows one record a row, column name to text
 * @param aminoAcidRows the rows of `data/amino-acids.csv`
 * @throws Error naming the row and the column when a value is missing, negative, unknown or twice there
 */
export function foodsFromRows(rows: readonly FoodRow[], aminoAcidRows: readonly FoodRow[] = []): Foods {
  const foods = new Map<string, Food>()
  const aminoAcids = new Map(aminoAcidRows.map((row) => [row.food!, aminoAcidsFromRow(row)]))
  for (const row of rows) {
    if (!row.id || !row.name || !row.source) throw new Error(`Food row without id, name or source: ${row.id}`)
    if (foods.has(row.id)) throw new Error(`Food ${row.id} stands in the table twice`)
    foods.set(row.id, foodFromRow(row, aminoAcids.get(row.id) ?? null))
  }
  for (const id of aminoAcids.keys()) {
    if (!foods.has(id)) throw new Error(`Amino acids are given for ${id}, which is not in the food table`)
  }
  return foods
}
