import { hazardsOf, list, unitGramsFrom, type FoodRow, type Foods } from '../food/food'

/**
 * Foods that bear the figures of another for want of figures of their own. Origin and allergens are never borrowed:
 * each row states its own, because what differs least in grams can differ most for who eats it.
 *
 * @param rows of `data/stand-ins.csv`: id, name, synonyms, figures_of, group, kind, origin, allergens,
 *   unit_weights, free_water, why; group, kind, unit weights and free water are the other food's where the row is
 *   silent
 * @returns the foods with those of the rows beside them
 * @throws Error naming the row when a food, a reason, an origin or an allergen is missing or not understood
 */
export function withStandIns(foods: Foods, rows: readonly FoodRow[]): Foods {
  const all = new Map(foods)
  for (const row of rows) {
    const where = `Stand-in ${row.id}`
    const of = foods.get(row.figures_of ?? '')
    if (!row.id || !row.name || !row.why) throw new Error(`${where}: id, name or why is missing`)
    if (!of) throw new Error(`${where}: "${row.figures_of}" is not in the food table`)
    if (all.has(row.id)) throw new Error(`${where}: a food has that id already`)
    all.set(row.id, {
      ...of,
      id: row.id,
      name: row.name,
      synonyms: list(row.synonyms),
      group: row.group || of.group,
      kind: row.kind || row.id,
      figuresOf: of.id,
      ...hazardsOf(row, where),
      unitGrams: { ...of.unitGrams, ...unitGramsFrom(row.unit_weights, where) },
      freeWater: row.free_water ? freeWaterFrom(row.free_water, where) : of.freeWater,
      source: `figures of ${of.name} (${of.source}): ${row.why}`,
    })
  }
  return all
}

/** The share of a food's water that is free to wet flour, 0 to 1. */
function freeWaterFrom(text: string, where: string): number {
  const share = Number(text)
  if (!(share >= 0 && share <= 1)) throw new Error(`${where}: free_water "${text}" is no share from 0 to 1`)
  return share
}
