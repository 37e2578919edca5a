import { dietsFromRows, type Diet } from '../diet/diets'
import { withFatSteps } from './fatSteps'
import { foodsFromRows, type Food, type FoodRow, type Foods } from '../food/food'
import { withStandIns } from './standIns'
import { withTaughtNames, type TaughtName } from './taughtNames'
import { doughTablesFromRows, type DoughTables } from '../dough/strength'
import { homemadeFromRows } from './homemadeFoods'
import { cookingTablesFromRows, type CookingTables } from '../cooking/cookingTables'
import { withStates } from './states'
import { formulasFromRows, type Formula } from '../substitution/formulas'
import { leversFromRows, type Lever } from '../substitution/levers'
import { likenessFromRows, type Likeness } from '../substitution/likeness'
import { ownSwaps, swapsFromRows, type OwnSwap, type Swap } from '../substitution/catalogue'

/** The reference tables the computation works with. */
export interface ReferenceData {
  foods: Foods
  diets: Diet[]
  swaps: Swap[]
  /** Whole doughs in baker's percentages. */
  formulas: Formula[]
  /** What is like what, in which place. */
  likeness: Likeness[]
  /** What cooks change first for which end. */
  levers: Lever[]
  cooking: CookingTables
  dough: DoughTables
}

/**
 * Builds the larder from the rows of the tables in `data/`, each named after its table.
 *
 * @throws Error naming the table row that is not understood
 */
export function referenceFromRows(rows: {
  foods: readonly FoodRow[]
  standIns: readonly FoodRow[]
  fatSteps: readonly FoodRow[]
  states: readonly FoodRow[]
  homemade: readonly FoodRow[]
  diets: readonly FoodRow[]
  swaps: readonly FoodRow[]
  formulas: readonly FoodRow[]
  likeness: readonly FoodRow[]
  levers: readonly FoodRow[]
  aminoAcids: readonly FoodRow[]
  yields: readonly FoodRow[]
  retention: readonly FoodRow[]
  strength: readonly FoodRow[]
  needs: readonly FoodRow[]
}): ReferenceData {
  const own = withStandIns(foodsFromRows(rows.foods, rows.aminoAcids), rows.standIns)
  const cooking = cookingTablesFromRows(rows.yields, rows.retention, own)
  const bought = withStates(withFatSteps(own, rows.fatSteps), rows.states, cooking)
  const foods = homemadeFromRows(rows.homemade, bought, cooking)
  return {
    foods,
    diets: dietsFromRows(rows.diets),
    swaps: swapsFromRows(rows.swaps, foods),
    formulas: formulasFromRows(rows.formulas, foods),
    likeness: likenessFromRows(rows.likeness, foods),
    levers: leversFromRows(rows.levers),
    cooking,
    dough: doughTablesFromRows(rows.strength, rows.needs, foods),
  }
}

/** The larder with the cook's own swaps before those of the table; those of foods it does not hold are left out. */
export function withSwaps(reference: ReferenceData, own: readonly OwnSwap[]): ReferenceData {
  const usable = own.filter((one) =>
    [one.fromFoodId, one.toFoodId, ...one.more.map(({ foodId }) => foodId)].every((id) =>
      reference.foods.has(id),
    ),
  )
  return usable.length ? { ...reference, swaps: [...ownSwaps(usable), ...reference.swaps] } : reference
}

/** The larder with foods beside those of the tables: the cook's own, measured ones, imported ones. */
export function withFoods(reference: ReferenceData, more: readonly Food[]): ReferenceData {
  if (!more.length) return reference
  const foods = new Map(reference.foods)
  for (const food of more) foods.set(food.id, food)
  return { ...reference, foods }
}

/** The larder that understands the names a cook has taught. */
export function withNames(reference: ReferenceData, taught: readonly TaughtName[]): ReferenceData {
  const foods = withTaughtNames(reference.foods, taught)
  return foods === reference.foods ? reference : { ...reference, foods }
}
