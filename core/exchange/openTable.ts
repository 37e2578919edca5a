import { AMINO_ACID_KEYS, type AminoAcid, type AminoAcids } from '../food/aminoAcids'
import { zeroComposition, type Composition } from '../food/composition'
import { euEnergyKcal, KJ_PER_KCAL } from '../food/energy'
import type { Food } from '../food/food'
import { micronutrientsWith, type Micronutrient } from '../food/micronutrients'

/**
 * The files of an open food table in the column layout that USDA FoodData Central publishes (from memory), in
 * the order in which they are read. More columns than these may stand in a file and are passed over.
 */
export const TABLE_FILES = {
  nutrient: { columns: ['id', 'name', 'unit_name'] },
  food: { columns: ['fdc_id', 'description'] },
  food_nutrient: { columns: ['fdc_id', 'nutrient_id', 'amount'] },
  food_portion: { columns: ['fdc_id', 'gram_weight'] },
} as const
export type TableFile = keyof typeof TABLE_FILES
export const TABLE_FILE_KEYS = Object.keys(TABLE_FILES) as TableFile[]

export interface TableRow {
  nutrient: { id: number; unit: string }
  food: { id: number; name: string }
  food_nutrient: { foodId: number; nutrientId: number; amount: number }
  food_portion: { foodId: number; unit: string; grams: number }
}

/** Where the columns of a file stand in its rows. */
export type Header = Readonly<Record<string, number>>

/**
 * Finds the columns of a file in its first row.
 *
 * @returns the columns' places, or what is missing in words
 */
export function readHeader(
  file: TableFile,
  cells: readonly string[],
): { header: Header } | { problem: string } {
  const header: Record<string, number> = {}
  cells.forEach(
    (cell, at) =>
      (header[
        cell
          .replace(/^\uFEFF/, '')
          .trim()
          .toLowerCase()
      ] ??= at),
  )
  const missing = TABLE_FILES[file].columns.filter((column) => header[column] === undefined)
  if (!missing.length) return { header }
  return {
    problem: `the first row of ${file}.csv must name the columns ${TABLE_FILES[file].columns.join(', ')}; ${missing.join(', ')} ${missing.length === 1 ? 'is' : 'are'} missing`,
  }
}

/** Units in which amounts may stand, in grams of it. */
const GRAMS_IN: Readonly<Record<string, number>> = { G: 1, MG: 1e-3, UG: 1e-6 }

const MAX_ID = 2_147_483_647
const MAX_NAME = 200
/** Nothing in 100 g of a food is more than this in any unit: 100 g are 100 million µg. */
const MAX_AMOUNT = 1e9

const whole = (cell: string | undefined): number | null => {
  const value = Number(cell)
  return cell?.trim() && Number.isInteger(value) && value > 0 && value <= MAX_ID ? value : null
}
const amountOf = (cell: string | undefined): number | null => {
  const value = Number(cell)
  return cell?.trim() && Number.isFinite(value) && value >= 0 && value <= MAX_AMOUNT ? value : null
}

/**
 * Reads one row of a file.
 *
 * @returns the row; why it cannot be used, naming the column; or null for a row that says nothing (an amount
 *   that is empty)
 */
export function readRow<F extends TableFile>(
  file: F,
  header: Header,
  cells: readonly string[],
): { row: TableRow[F] } | { problem: string } | null {
  const cell = (column: string) => (header[column] === undefined ? undefined : cells[header[column]])
  const bad = (column: string, expected: string) => ({
    problem: `${column} holds "${(cell(column) ?? '').slice(0, 40)}"; ${expected} is expected`,
  })
  const made = (row: TableRow[TableFile]) => ({ row: row as TableRow[F] })
  if (file === 'nutrient') {
    const id = whole(cell('id'))
    return id === null
      ? bad('id', 'a whole number')
      : made({ id, unit: (cell('unit_name') ?? '').toUpperCase() })
  }
  const foodId = whole(cell('fdc_id'))
  if (foodId === null) return bad('fdc_id', 'a whole number')
  if (file === 'food') {
    const name = (cell('description') ?? '').split(String.fromCharCode(0)).join('').trim()
    return name ? made({ id: foodId, name: name.slice(0, MAX_NAME) }) : bad('description', 'a name')
  }
  if (file === 'food_nutrient') {
    const nutrientId = whole(cell('nutrient_id'))
    if (nutrientId === null) return bad('nutrient_id', 'a whole number')
    if (!cell('amount')?.trim()) return null
    const amount = amountOf(cell('amount'))
    return amount === null ? bad('amount', 'a number of 0 or more') : made({ foodId, nutrientId, amount })
  }
  const grams = amountOf(cell('gram_weight'))
  if (grams === null || grams === 0) return bad('gram_weight', 'a number above 0')
  const unit = [cell('amount'), cell('portion_description'), cell('modifier')]
    .filter((one) => one?.trim())
    .join(' ')
  return made({ foodId, unit: unit.slice(0, 60), grams })
}

// Nutrient numbers of the published layout, from memory.
const MACROS: Readonly<Record<number, keyof Composition>> = {
  1051: 'waterG',
  1003: 'proteinG',
  1004: 'fatG',
  1258: 'saturatedFatG',
  1005: 'carbohydrateG',
  1079: 'fibreG',
  2000: 'sugarsG',
  1063: 'sugarsG',
  1086: 'polyolsG',
  1018: 'alcoholG',
  1093: 'sodiumMg',
}
const MICROS: Readonly<Record<number, Micronutrient>> = {
  1087: 'calciumMg',
  1089: 'ironMg',
  1095: 'zincMg',
  1092: 'potassiumMg',
  1106: 'vitaminAUg',
  1162: 'vitaminCMg',
  1178: 'vitaminB12Ug',
  1177: 'folateUg',
  1253: 'cholesterolMg',
  1257: 'transFatG',
}
const AMINO: Readonly<Record<number, AminoAcid>> = {
  1221: 'histidine',
  1212: 'isoleucine',
  1213: 'leucine',
  1214: 'lysine',
  1215: 'sulphur',
  1216: 'sulphur',
  1217: 'aromatic',
  1218: 'aromatic',
  1211: 'threonine',
  1210: 'tryptophan',
  1219: 'valine',
}
/** Energy in kcal, and in kJ. */
const ENERGY_KCAL = 1008
const ENERGY_KJ = 1062

/** The numbers of the nutrients that are used; rows of others need not be kept. */
export const USED_NUTRIENTS: ReadonlySet<number> = new Set(
  [...Object.keys(MACROS), ...Object.keys(MICROS), ...Object.keys(AMINO), ENERGY_KCAL, ENERGY_KJ].map(Number),
)

/** The unit each figure is kept in, in grams. */
const unitOf = (key: string) => (key.endsWith('Mg') ? 1e-3 : key.endsWith('Ug') ? 1e-6 : 1)

/** What the layout's figures that a packet need not state leave unknown; water and alcohol are then 0 or by difference. */
const MAY_BE_UNKNOWN: readonly (keyof Composition)[] = [
  'proteinG',
  'fatG',
  'saturatedFatG',
  'carbohydrateG',
  'fibreG',
  'sugarsG',
  'sodiumMg',
]

export interface TableFood {
  id: number
  name: string
  /** Amounts in 100 g by nutrient number. */
  amounts: ReadonlyMap<number, number>
  portions: readonly { unit: string; grams: number }[]
}

/**
 * A food from an open table. Its origin and allergens are not in such a table: no diet can be told of it until
 * the cook says where it comes from.
 *
 * @param units unit name by nutrient number; a unit that is not a weight leaves the figure out
 * @param source the table's name, for the food's source
 */
export function foodFromTable(food: TableFood, units: ReadonlyMap<number, string>, source: string): Food {
  const per100g = zeroComposition()
  const known = new Set<keyof Composition>()
  const micros: Partial<Record<Micronutrient, number>> = {}
  const amino: Partial<Record<AminoAcid, number>> = {}
  const inUnit = (number: number, key: string): number | null => {
    const grams = GRAMS_IN[units.get(number) ?? '']
    const amount = food.amounts.get(number)
    return grams === undefined || amount === undefined ? null : (amount * grams) / unitOf(key)
  }
  for (const number of food.amounts.keys()) {
    const macro = MACROS[number]
    const micro = MICROS[number]
    const acid = AMINO[number]
    if (macro) {
      const value = inUnit(number, macro)
      if (value !== null && !known.has(macro)) {
        per100g[macro] = value
        known.add(macro)
      }
    } else if (micro) {
      const value = inUnit(number, micro)
      if (value !== null) micros[micro] = value
    } else if (acid) {
      const value = inUnit(number, acid)
      if (value !== null) amino[acid] = (amino[acid] ?? 0) + value
    }
  }
  // Analyses differ by rounding; a part is never more than its whole.
  if (known.has('fatG')) per100g.saturatedFatG = Math.min(per100g.saturatedFatG, per100g.fatG)
  if (known.has('carbohydrateG')) {
    per100g.fibreG = Math.min(per100g.fibreG, per100g.carbohydrateG)
    per100g.sugarsG = Math.min(per100g.sugarsG, per100g.carbohydrateG - per100g.fibreG)
  }
  const solids = per100g.proteinG + per100g.fatG + per100g.carbohydrateG + per100g.alcoholG
  if (!known.has('waterG')) per100g.waterG = Math.max(0, 100 - solids)
  const reckoned = euEnergyKcal(per100g)
  const kcal = food.amounts.get(ENERGY_KCAL)
  const kJ = food.amounts.get(ENERGY_KJ)
  const stated = kcal ?? (kJ === undefined ? reckoned : kJ / KJ_PER_KCAL)
  const unknown = MAY_BE_UNKNOWN.filter((key) => !known.has(key))
  const partial = unknown.some((key) => key === 'proteinG' || key === 'fatG' || key === 'carbohydrateG')
  return {
    id: `table-${food.id}`,
    name: food.name,
    synonyms: [],
    kind: `table-${food.id}`,
    state: null,
    figuresOf: null,
    group: 'imported',
    origins: [],
    possibleOrigins: [],
    originKnown: false,
    allergens: [],
    possibleAllergens: [],
    per100g,
    unknown,
    micronutrients: micronutrientsWith(micros),
    aminoAcids: aminoAcidsFrom(amino, per100g.proteinG, source),
    energyKcal: partial ? Math.max(reckoned, stated) : reckoned,
    statedEnergyKcal: stated,
    gramsPerMl: 1,
    unitGrams: unitGramsOf(food.portions),
    waterDemand: null,
    scaldedDemand: null,
    grain: null,
    freeWater: 0,
    softeningFat: null,
    source: `${source}, ${food.id}`,
  }
}

function aminoAcidsFrom(
  grams: Partial<Record<AminoAcid, number>>,
  proteinG: number,
  source: string,
): AminoAcids | null {
  if (proteinG <= 0 || AMINO_ACID_KEYS.some((key) => grams[key] === undefined)) return null
  const mgPerGProtein = {} as Record<AminoAcid, number>
  for (const key of AMINO_ACID_KEYS) mgPerGProtein[key] = (1000 * grams[key]!) / proteinG
  return { mgPerGProtein, source }
}

/** Spoons, cups and pieces among the portions: "1 cup, chopped" becomes the weight of a cup. */
function unitGramsOf(portions: TableFood['portions']): Record<string, number> {
  const made: Record<string, number> = {}
  for (const { unit, grams } of portions) {
    const found =
      /^\s*([\d.]+)?\s*(cup|tbsp|tablespoon|tsp|teaspoon|slice|clove|piece|small|medium|large)\b/i.exec(unit)
    if (!found) continue
    const key = found[2]!.toLowerCase().replace('tablespoon', 'tbsp').replace('teaspoon', 'tsp')
    const count = Number(found[1] ?? 1)
    if (count > 0) made[key] ??= Math.round((grams / count) * 10) / 10
  }
  return made
}
