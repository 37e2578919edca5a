import type { Food, Foods } from '../food/food'
import type { Line, Part, Recipe } from '../recipe/document'
import { NO_SWAP, type Change } from './applySwap'
import { withGrams, type Balanced } from './rebalance'
import { foodOf } from '../recipe/lines'

/** Salt that is less than this off, in grams, is not tasted in a batch. Common practice, no source. */
const MIN_GRAMS = 0.4

/** Parts that are salted to taste; a dough's salt is for its gluten and stays. */
const SALTED: ReadonlySet<Part['kind']> = new Set(['filling', 'dip', 'marinade'])

interface Salted {
  line: Line
  food: Food
  sodiumMg: number
}

function saltedLines(part: Part, foods: Foods): Salted[] {
  return part.lines.flatMap((line) => {
    const food = foodOf(line, foods)
    return food && line.grams !== null
      ? [{ line, food, sodiumMg: (line.grams * food.per100g.sodiumMg) / 100 }]
      : []
  })
}
const sodiumOf = (lines: readonly Salted[]) => lines.reduce((sum, one) => sum + one.sodiumMg, 0)
const show = (grams: number) => String(Math.round(grams * 10) / 10)

/**
 * Takes out of each part as much of its own salt as the stand-ins brought: a seasoned sauce, a stock or a plant
 * cheese carries salt already. Sodium stays what it was as far as there is salt to take; none is added.
 *
 * @param before the recipe as it was
 * @param adapted the recipe after its swaps
 */
export function rebalanceSalt(before: Recipe, adapted: Recipe, foods: Foods): Balanced {
  let recipe = adapted
  const changes: Change[] = []
  for (const part of adapted.parts) {
    const was = before.parts.find((one) => one.id === part.id)
    if (!SALTED.has(part.kind) || !was) continue
    const now = saltedLines(part, foods)
    const salt = now.find((one) => one.food.group === 'salt' && (one.line.grams ?? 0) > 0)
    if (!salt) continue
    const excessMg = sodiumOf(now) - sodiumOf(saltedLines(was, foods))
    const grams = Math.min(salt.line.grams!, (100 * excessMg) / salt.food.per100g.sodiumMg)
    if (grams < MIN_GRAMS) continue
    const left = Math.round((salt.line.grams! - grams) * 10) / 10
    const why = `What was swapped in carries salt: ${show(grams)} g less ${salt.food.name.toLowerCase()} keeps the part as salty as it was`
    recipe = withGrams(recipe, salt.line, left, salt.food, why, 'salt')
    changes.push({
      kind: 'amount',
      line: salt.line.raw,
      lineId: salt.line.id,
      part: part.kind,
      from: salt.food.name,
      to: salt.food.name,
      gramsBefore: salt.line.grams,
      gramsAfter: left,
      why,
      ...NO_SWAP,
      swapId: 'salt',
      source: 'reckoned from the sodium of the food table',
    })
  }
  return { recipe, changes }
}
