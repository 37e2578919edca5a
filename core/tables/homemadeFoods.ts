import { AMINO_ACID_KEYS, type AminoAcid, type AminoAcids } from '../food/aminoAcids'
import { COMPOSITION_KEYS, zeroComposition, type Composition } from '../food/composition'
import { euEnergyKcal } from '../food/energy'
import { list, unitGramsFrom, type Food, type FoodRow, type Foods } from '../food/food'
import { MICRONUTRIENT_KEYS, type Micronutrients } from '../food/micronutrients'
import { PRECOOKING_WAYS, type PrecookingWay } from '../recipe/precookingWays'
import { retained, type CookingTables } from '../cooking/cookingTables'

export interface Ingredient {
  food: Food
  grams: number
}

/** An ingredient below this share of the weight that goes in may lack a mineral without making all unknown. */
const MIN_SHARE = 0.05

const union = <T>(lists: readonly (readonly T[])[]): T[] => [...new Set(lists.flat())]

function ingredientsOf(row: FoodRow, foods: Foods, where: string): Ingredient[] {
  return (row.made_of ?? '').split('|').map((text) => {
    const [id, amount] = text.split('=')
    const food = foods.get(id ?? '')
    const grams = Number(amount)
    if (!food || !(grams > 0)) throw new Error(`${where}: "${text}" is not food=grams of the food table`)
    return { food, grams }
  })
}

/** What 100 g holds: nothing is lost but water, which makes up the weight. */
function compositionOf(ingredients: readonly Ingredient[], makesGrams: number, where: string): Composition {
  const per100g = zeroComposition()
  let inGrams = 0
  for (const { food, grams } of ingredients) {
    inGrams += grams
    for (const key of COMPOSITION_KEYS) per100g[key] += (food.per100g[key] * grams) / makesGrams
  }
  per100g.waterG -= (100 * (inGrams - makesGrams)) / makesGrams
  if (per100g.waterG < 0)
    throw new Error(`${where}: it cannot weigh ${makesGrams} g, dry matter alone is more`)
  return per100g
}

function micronutrientsOf(
  ingredients: readonly Ingredient[],
  makesGrams: number,
  heat: PrecookingWay | null,
  tables: CookingTables,
): Micronutrients {
  const inGrams = ingredients.reduce((sum, one) => sum + one.grams, 0)
  const made = {} as Micronutrients
  for (const key of MICRONUTRIENT_KEYS) {
    const lacks = ingredients.some(
      ({ food, grams }) => food.micronutrients[key] === null && grams >= MIN_SHARE * inGrams,
    )
    const sum = ingredients.reduce(
      (total, { food, grams }) => total + (food.micronutrients[key] ?? 0) * grams,
      0,
    )
    made[key] = lacks ? null : (sum / makesGrams) * (heat ? retained(key, heat, tables) : 1)
  }
  return made
}

/** The protein's make-up as it is mixed; null when the make-up of a tenth of it or more is not known. */
function aminoAcidsOf(ingredients: readonly Ingredient[]): AminoAcids | null {
  const mgPerGProtein = {} as Record<AminoAcid, number>
  for (const key of AMINO_ACID_KEYS) mgPerGProtein[key] = 0
  let allG = 0
  let knownG = 0
  for (const { food, grams } of ingredients) {
    const proteinG = (food.per100g.proteinG * grams) / 100
    allG += proteinG
    if (!food.aminoAcids) continue
    knownG += proteinG
    for (const key of AMINO_ACID_KEYS) mgPerGProtein[key] += proteinG * food.aminoAcids.mgPerGProtein[key]
  }
  if (knownG === 0 || knownG < 0.9 * allG) return null
  for (const key of AMINO_ACID_KEYS) mgPerGProtein[key] /= knownG
  return { mgPerGProtein, source: 'reckoned from what it is made of' }
}

/** What is made in the kitchen, and what comes of it. */
export interface Made {
  id: string
  name: string
  ingredients: readonly Ingredient[]
  /** What they weigh when it is done. */
  makesGrams: number
  /** How it is cooked; null for not at all. */
  heat: PrecookingWay | null
  method: string
  group: string
  gramsPerMl: number
  /** Where amounts and yield come from. */
  source: string
}

/**
 * A food made of others: figures, allergens and origins follow from them and from the weight that comes out. What
 * is lost or taken up is water; vitamins are cut by the retention of the kind of heat.
 *
 * @throws Error when what comes out weighs less than what is dry in it, or nothing
 */
export function foodFromMade(made: Made, tables: CookingTables): Food {
  const where = `Home-made ${made.id}`
  const { ingredients, makesGrams } = made
  if (!(makesGrams > 0)) throw new Error(`${where}: it weighs ${makesGrams} g; grams above 0 were expected`)
  const of = ingredients.map(({ food }) => food)
  const per100g = compositionOf(ingredients, makesGrams, where)
  const origins = union(of.map((food) => food.origins))
  const allergens = union(of.map((food) => food.allergens))
  const energyKcal = euEnergyKcal(per100g)
  return {
    id: made.id,
    name: made.name,
    synonyms: [],
    group: made.group,
    kind: made.id,
    state: null,
    figuresOf: null,
    origins,
    possibleOrigins: union(of.map((food) => food.possibleOrigins)).filter((one) => !origins.includes(one)),
    originKnown: of.every((food) => food.originKnown),
    allergens,
    possibleAllergens: union(of.map((food) => food.possibleAllergens)).filter(
      (one) => !allergens.includes(one),
    ),
    per100g,
    unknown: union(of.map((food) => food.unknown)),
    micronutrients: micronutrientsOf(ingredients, makesGrams, made.heat, tables),
    aminoAcids: aminoAcidsOf(ingredients),
    energyKcal,
    statedEnergyKcal: energyKcal,
    gramsPerMl: made.gramsPerMl,
    unitGrams: {},
    waterDemand: null,
    scaldedDemand: null,
    grain: null,
    freeWater: 0,
    softeningFat: null,
    source: `reckoned from what it is made of; amounts and yield: ${made.source}`,
    homemade: {
      madeOf: ingredients.map(({ food, grams }) => ({ foodId: food.id, name: food.name, grams })),
      makesGrams,
      method: made.method,
    },
  }
}

function homemadeFromRow(row: FoodRow, foods: Foods, tables: CookingTables): Food {
  const where = `Home-made ${row.id}`
  if (!row.id || !row.name || !row.method || !row.source)
    throw new Error(`${where}: id, name, method or source is missing`)
  if (foods.has(row.id)) throw new Error(`${where}: a food has that id already`)
  if (!(Number(row.makes_g) > 0))
    throw new Error(`${where}: makes_g holds "${row.makes_g}"; grams were expected`)
  const heat = PRECOOKING_WAYS.find((way) => way === row.heat) ?? null
  if (heat === null && row.heat !== 'none')
    throw new Error(`${where}: heat "${row.heat}" is not none or one of ${PRECOOKING_WAYS.join(', ')}`)
  if (!(Number(row.g_per_ml) > 0)) throw new Error(`${where}: g_per_ml holds "${row.g_per_ml}"`)
  const food = foodFromMade(
    {
      id: row.id,
      name: row.name,
      ingredients: ingredientsOf(row, foods, where),
      makesGrams: Number(row.makes_g),
      heat,
      method: row.method,
      group: row.group!,
      gramsPerMl: Number(row.g_per_ml),
      source: row.source,
    },
    tables,
  )
  return { ...food, synonyms: list(row.synonyms), unitGrams: unitGramsFrom(row.unit_weights, where) }
}

/**
 * Foods that are made in the kitchen from others: figures, allergens and origins follow from the ingredients and
 * the weight that comes out, so that they cannot disagree. What is lost or taken up is water; vitamins are cut by
 * the retention of the kind of heat.
 *
 * @param rows of `data/homemade.csv`: id, name, made_of as "food=grams|…", makes_g, heat, method, source
 * @throws Error naming the row when an ingredient, a weight or the kind of heat is not understood
 */
export function homemadeFromRows(rows: readonly FoodRow[], foods: Foods, tables: CookingTables): Foods {
  const all = new Map(foods)
  for (const row of rows) all.set(row.id!, homemadeFromRow(row, all, tables))
  return all
}
