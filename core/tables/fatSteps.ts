import { COMPOSITION_KEYS, zeroComposition, type Composition } from '../food/composition'
import { euEnergyKcal } from '../food/energy'
import { list, type Food, type FoodRow, type Foods } from '../food/food'
import { MICRONUTRIENT_KEYS, type Micronutrients } from '../food/micronutrients'

/** A row whose fat is this near, in g per 100 g, is the row that was asked for. */
export const SAME_FAT_G = 0.6

const between = (low: number, high: number, share: number) => low + (high - low) * share

/** A food between two rows of the same kind, `share` of the way to the second. */
function blended(low: Food, high: Food, share: number, id: string, name: string): Food {
  const per100g: Composition = zeroComposition()
  for (const key of COMPOSITION_KEYS) per100g[key] = between(low.per100g[key], high.per100g[key], share)
  const micronutrients = {} as Micronutrients
  for (const key of MICRONUTRIENT_KEYS) {
    const [a, b] = [low.micronutrients[key], high.micronutrients[key]]
    micronutrients[key] = a === null || b === null ? null : between(a, b, share)
  }
  const near = share < 0.5 ? low : high
  return {
    ...near,
    id,
    name,
    synonyms: [],
    figuresOf: near.id,
    per100g,
    micronutrients,
    energyKcal: euEnergyKcal(per100g),
    statedEnergyKcal: between(low.statedEnergyKcal, high.statedEnergyKcal, share),
    source: `reckoned between ${low.name} and ${high.name} by their fat: protein and water follow`,
  }
}

/**
 * Foods with the shares of fat that packets are sold in, each between two rows of the same kind and state:
 * "minced beef, 10 % fat" lies half-way from 5 to 15 %. A share that a row has already is left to that row.
 *
 * @param rows of `data/fat-steps.csv`: kind, state, name with "{fat}", fats_g as "5|10|15" per 100 g
 * @throws Error naming the row when fewer than two foods are of that kind, or a share lies outside theirs
 */
export function withFatSteps(foods: Foods, rows: readonly FoodRow[]): Foods {
  const all = new Map(foods)
  for (const row of rows) {
    const where = `Fat steps of ${row.kind}`
    const known = [...foods.values()]
      .filter((food) => food.kind === row.kind && (food.state ?? '') === (row.state ?? ''))
      .sort((a, b) => a.per100g.fatG - b.per100g.fatG)
    if (known.length < 2) throw new Error(`${where}: two foods or more of that kind and state are expected`)
    if (!row.name?.includes('{fat}')) throw new Error(`${where}: the name says nothing of {fat}`)
    for (const text of list(row.fats_g)) {
      const fatG = Number(text)
      if (known.some((food) => Math.abs(food.per100g.fatG - fatG) <= SAME_FAT_G)) continue
      const at = known.findIndex((food) => food.per100g.fatG > fatG)
      if (!(fatG >= 0) || at <= 0) throw new Error(`${where}: ${text} g does not lie between two rows`)
      const [low, high] = [known[at - 1]!, known[at]!]
      const share = (fatG - low.per100g.fatG) / (high.per100g.fatG - low.per100g.fatG)
      const id = `${row.kind}-${text.replace('.', '-')}-fat`
      all.set(id, blended(low, high, share, id, row.name.replace('{fat}', text)))
    }
  }
  return all
}
