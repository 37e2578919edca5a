import { COMPOSITION_KEYS, zeroComposition, type Composition } from '../food/composition'
import { euEnergyKcal } from '../food/energy'
import { stateFrom, unitGramsFrom, type Food, type FoodRow, type Foods, type State } from '../food/food'
import { MICRONUTRIENT_KEYS, type Micronutrients } from '../food/micronutrients'
import { retained, type CookingTables } from '../cooking/cookingTables'

/** How a food gets from one state to another. */
interface Conversion {
  /** A food's id, its kind, or "group:" and its group. */
  applies: string
  from: State
  to: State
  /** Grams that come of one gram; null where it is dried down to a share of water. */
  factor: number | null
  /** Water in 100 g of what comes, where that is what is known. */
  toWaterG: number
  /** The share of its fat that stays: the rest runs out and is poured off. */
  fatKept: number
  /** Sodium that the brine leaves in 100 g of what comes. */
  addedSodiumMg: number
  gramsPerMl: number | null
  unitGrams: Record<string, number>
  source: string
}

function conversionFrom(row: FoodRow): Conversion {
  const where = `States: ${row.applies} from ${row.from} to ${row.to}`
  const [from, to] = [stateFrom(row.from, where), stateFrom(row.to, where)]
  const factor = row.factor ? Number(row.factor) : null
  const toWaterG = Number(row.to_water_g || 0)
  const fatKept = Number(row.fat_kept || 1)
  if (!row.applies || !from || !to || !row.source)
    throw new Error(`${where}: a food, two states and a source are expected`)
  if (factor === null ? !(toWaterG > 0 && toWaterG < 100) : !(factor > 0 && factor < 12))
    throw new Error(
      `${where}: factor "${row.factor}" is not grams for a gram, and to_water_g no share of water`,
    )
  if (!(fatKept > 0 && fatKept <= 1)) throw new Error(`${where}: fat_kept "${row.fat_kept}" is not a share`)
  return {
    applies: row.applies,
    from,
    to,
    factor,
    toWaterG,
    fatKept,
    addedSodiumMg: Number(row.sodium_mg || 0),
    gramsPerMl: row.g_per_ml ? Number(row.g_per_ml) : null,
    unitGrams: unitGramsFrom(row.unit_weights, where),
    source: row.source,
  }
}

/** Grams that come of one gram: as the table says, or what is left when water has gone down to its share. */
const factorOf = (food: Food, by: Conversion) =>
  by.factor ?? (100 - food.per100g.waterG) / (100 - by.toWaterG)

/** Nothing goes but water and the fat that runs out; salt comes with the brine. */
function converted(food: Food, by: Conversion, factor: number): Composition {
  const per100g = zeroComposition()
  for (const key of COMPOSITION_KEYS) per100g[key] = food.per100g[key] / factor
  for (const key of ['fatG', 'saturatedFatG'] as const) per100g[key] *= by.fatKept
  const outG = (food.per100g.fatG * (1 - by.fatKept)) / factor
  per100g.waterG += 100 - 100 / factor + outG
  per100g.sodiumMg += by.addedSodiumMg
  if (per100g.waterG < 0)
    throw new Error(`States: ${food.id} cannot become ${by.to} at ${factor} g a gram: too little water`)
  return per100g
}

function inState(food: Food, by: Conversion, tables: CookingTables): Food {
  const factor = factorOf(food, by)
  const per100g = converted(food, by, factor)
  const micronutrients = {} as Micronutrients
  for (const key of MICRONUTRIENT_KEYS) {
    const value = food.micronutrients[key]
    const kept = by.to === 'cooked' || by.to === 'canned' ? retained(key, 'boil', tables) : 1
    micronutrients[key] = value === null ? null : (value / factor) * kept
  }
  const energyKcal = euEnergyKcal(per100g)
  const base = food.name.replace(/, (?:raw|fresh|dry|grated|cooked)$/, '')
  return {
    ...food,
    id: `${food.id.replace(new RegExp(`-${by.from}$`), '')}-${by.to}`,
    name: `${base}, ${by.to}`,
    synonyms: [],
    state: by.to,
    figuresOf: food.id,
    per100g,
    micronutrients,
    energyKcal,
    statedEnergyKcal: energyKcal,
    gramsPerMl: by.gramsPerMl ?? food.gramsPerMl,
    unitGrams: { ...piecesOf(food, factor), ...by.unitGrams },
    // What is cooked drinks no more and keeps its water.
    waterDemand: by.to === 'cooked' || by.to === 'canned' ? null : food.waterDemand,
    source: `reckoned from ${food.name}: ${Math.round(100 * factor) / 100} g come of 1 g${by.fatKept < 1 ? `, ${Math.round(100 * by.fatKept)} % of the fat stays` : ''}${by.addedSodiumMg ? `, ${by.addedSodiumMg} mg of sodium in 100 g from the brine` : ''} (${by.source})`,
  }
}

const RATIOS = new Set(['edible', 'drained', 'squeezed', 'soaked', 'packed', 'across', 'cup', 'tbsp', 'tsp'])

/** A piece changes its weight as the food does; how spoons and cups fill is another matter and is left out. */
const piecesOf = (food: Food, factor: number) =>
  Object.fromEntries(
    Object.entries(food.unitGrams)
      .filter(([unit]) => !RATIOS.has(unit))
      .map(([unit, grams]) => [unit, grams * factor]),
  )

/**
 * Foods in the states that the table has no row for, each reckoned from the row it has by a stated conversion:
 * cooked from raw, canned from dry. The row for the exact food comes before that for its kind, that before its
 * group's.
 *
 * @param rows of `data/states.csv`: applies, from, to, factor or to_water_g, fat_kept, sodium_mg, g_per_ml, unit_weights, source
 * @throws Error naming the row when a state, a factor or a source is not understood
 */
export function withStates(foods: Foods, rows: readonly FoodRow[], tables: CookingTables): Foods {
  const conversions = rows.map(conversionFrom)
  const used = new Set<Conversion>()
  const all = new Map(foods)
  const taken = new Set([...foods.values()].map((food) => `${food.kind} ${food.state}`))
  const steps = new Set(conversions.map(({ from, to }) => `${from} ${to}`))
  for (const food of foods.values()) {
    // Of one kind with several shares of fat, the plainest is converted: the one that bears the kind's name.
    if (food.state === null || (food.kind !== food.id && foods.get(food.kind)?.state === food.state)) continue
    for (const step of steps) {
      const [from, to] = step.split(' ')
      if (from !== food.state || taken.has(`${food.kind} ${to}`)) continue
      const of = (key: string) =>
        conversions.find((one) => one.applies === key && one.from === from && one.to === to)
      const by = of(food.id) ?? of(food.kind) ?? of(`group:${food.group}`)
      if (!by) continue
      used.add(by)
      const made = inState(food, by, tables)
      if (all.has(made.id)) throw new Error(`States: a food is called ${made.id} already`)
      all.set(made.id, made)
      taken.add(`${food.kind} ${to}`)
    }
  }
  const idle = conversions.find((one) => !used.has(one))
  if (idle) throw new Error(`States: no food is turned from ${idle.from} to ${idle.to} by "${idle.applies}"`)
  return all
}
