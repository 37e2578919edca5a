import { foodIs } from '../food/groups'
import type { Food, Foods } from '../food/food'
import { printLine } from '../recipe/printLine'
import { newLine, type Line, type Recipe } from '../recipe/document'
import { applySwap, NO_SWAP, type Change } from '../substitution/applySwap'
import { rebalanceSalt } from '../substitution/rebalanceSalt'
import type { LineModel } from './lineModel'
import type { TargetModel } from './model'
import type { Solution } from './program'

/** Grams to a tenth: what a kitchen scale can show. */
export const tenth = (grams: number) => Math.round(grams * 10) / 10
/** How finely a weight is taken: to a tenth, to what a spoon holds, to an egg. */
export type Weigh = (grams: number, food?: Food) => number

const stepped =
  (steps: readonly (readonly [from: number, step: number])[]): Weigh =>
  (grams) => {
    const step = steps.find(([from]) => grams >= from)?.[1] ?? 0.1
    return tenth(Math.round(grams / step) * step)
  }
/** What an egg weighs, for foods that are counted in eggs. */
export const eggGrams = (food: Food | undefined): number | undefined =>
  food && foodIs(food, 'whole-egg') ? food.unitGrams.piece : undefined

/** Eggs are counted and not weighed, everything else is weighed. */
const byEggs =
  (part: number, weigh: Weigh): Weigh =>
  (grams, food) => {
    const egg = eggGrams(food)
    const many = egg ? Math.round(grams / (egg * part)) : 0
    return egg && many > 0 ? tenth(many * egg * part) : weigh(grams)
  }
const COARSE = stepped([
  [100, 5],
  [40, 5],
  [8, 1],
  [2, 0.5],
])
/** As cooks weigh, the coarsest first. Common practice, no source. */
export const KITCHEN: readonly Weigh[] = [
  byEggs(1, COARSE),
  byEggs(0.5, COARSE),
  COARSE,
  stepped([
    [200, 5],
    [8, 1],
    [2, 0.5],
  ]),
  stepped([
    [20, 1],
    [4, 0.5],
  ]),
]

/** Less than this of a line is none of it. */
const MIN_KEPT = 0.05

/** A change below this share of a line, or below half a gram, is none. */
const MIN_CHANGE = 0.004
const MIN_CHANGE_OF_LITTLE = 0.06

export interface Built {
  recipe: Recipe
  changes: Change[]
}

function scaled(line: Line, grams: number, why: string, from: string): Line {
  const factor = line.grams ? grams / line.grams : 1
  const next: Line = {
    ...line,
    grams,
    gramsLow: grams,
    gramsHigh: grams,
    waterChangeGrams: line.waterChangeGrams * factor,
    eatenGrams: line.eatenGrams === null ? null : Math.min(line.eatenGrams * factor, grams),
    notes: line.notes.filter((note) => note.code === 'stand-in'),
    cameFrom: line.cameFrom ?? {
      raw: line.raw,
      foodId: line.foodId,
      name: from,
      grams: line.grams,
      why,
      swapId: 'amount',
    },
  }
  return next
}

const amountChange = (one: LineModel, grams: number, why: string): Change => ({
  kind: one.food.id === 'water' ? 'water' : 'amount',
  line: one.line.raw,
  lineId: one.line.id,
  part: one.part.kind,
  from: one.food.name,
  to: one.food.name,
  gramsBefore: one.grams,
  gramsAfter: grams,
  why,
  ...NO_SWAP,
  swapId: 'amount',
  source: 'reckoned: the nearest recipe that reaches what was asked',
})

/** What became of one line: what stays of it, and what stands in for the rest. */
function linesOf(
  one: LineModel,
  values: readonly number[],
  foods: Foods,
  weighs: Weigh,
): { lines: Line[]; leftOut: Line[]; changes: Change[] } {
  const changes: Change[] = []
  const lines: Line[] = []
  const leftOut: Line[] = []
  // A dip comes as it was, whatever it is made of.
  const weigh = one.part.kind === 'dip' ? tenth : weighs
  const exact = values[one.keep]!
  const kept = weigh(exact, one.food)
  // Half a gram of salt is nothing, half a gram of a gum is a third of it.
  const least = Math.max(Math.min(0.5, MIN_CHANGE_OF_LITTLE * one.grams), MIN_CHANGE * one.grams)
  const chosen = one.options.filter((own) => values[own.grams]! > least && values[own.chosen]! > 0.5)
  if (kept <= MIN_KEPT && !chosen.length && one.grams > MIN_KEPT) {
    leftOut.push(one.line)
    changes.push(amountChange(one, 0, 'left out, to reach what was asked'))
  } else if (kept > MIN_KEPT || !chosen.length) {
    // What stays as it was is not weighed anew.
    if (Math.abs(exact - one.grams) < least && !chosen.length) lines.push(one.line)
    else {
      const less = kept < one.grams
      const why =
        one.food.id === 'water'
          ? `${Math.round(Math.abs(kept - one.grams))} g ${less ? 'less' : 'more'} water, for what the dough now drinks`
          : `${tenth(Math.abs(kept - one.grams))} g ${less ? 'less' : 'more'}, to reach what was asked`
      const next = scaled(one.line, kept, why, one.food.name)
      const changed = Math.abs(kept - one.grams) >= least
      lines.push(changed ? { ...next, raw: printLine(next, one.food) } : one.line)
      if (changed) changes.push(amountChange(one, kept, why))
    }
  }
  const left = kept + chosen.reduce((sum, own) => sum + values[own.grams]!, 0)
  chosen.forEach((own, at) => {
    const grams = values[own.grams]!
    const share = grams / one.grams
    const part: Line = { ...one.line, grams, waterChangeGrams: one.line.waterChangeGrams * share }
    const swapped = applySwap(part, one.part.kind, own.swap, foods)
    if (!swapped) return
    const firstId = lines.length || at ? `${one.line.id}-s${at + 1}` : one.line.id
    const made = swapped.lines.map((line, n) => {
      const rounded = weigh(line.grams ?? 0, foods.get(line.foodId!))
      const next: Line = {
        ...line,
        id: n === 0 ? firstId : `${firstId}-${n + 1}`,
        grams: rounded,
        gramsLow: rounded,
        gramsHigh: rounded,
        cameFrom: {
          ...line.cameFrom!,
          raw: one.line.cameFrom?.raw ?? one.line.raw,
          grams: one.line.cameFrom?.grams ?? one.grams,
        },
      }
      return { ...next, raw: printLine(next, foods.get(next.foodId!)!) }
    })
    lines.push(...made)
    const gramsAfter = made.reduce((sum, line) => sum + (line.grams ?? 0) + line.waterChangeGrams, 0)
    // Of the line as it was: a flour that drinks more stands in for more than its own weight.
    changes.push({
      ...swapped.change,
      line: one.line.raw,
      gramsBefore: tenth((one.grams * grams) / left),
      gramsAfter,
    })
  })
  return { ...asOneLine(one, lines, changes, foods), leftOut }
}

/** "Three fifths stays plain flour": what a stand-in holds of the old food is weighed together with what stays. */
function asOneLine(one: LineModel, lines: readonly Line[], changes: readonly Change[], foods: Foods) {
  const [kept, ...come] = lines
  const again = come.filter((line) => kept?.foodId === one.food.id && line.foodId === kept.foodId)
  if (!kept || !again.length) return { lines: [...lines], changes: [...changes] }
  const grams = tenth(again.reduce((sum, line) => sum + (line.grams ?? 0), kept.grams ?? 0))
  const why = `${tenth(Math.abs(grams - one.grams))} g ${grams < one.grams ? 'less' : 'more'}, to reach what was asked`
  const next = scaled(one.line, grams, why, one.food.name)
  return {
    lines: [
      { ...next, raw: printLine(next, foods.get(one.food.id) ?? one.food) },
      ...come.filter((line) => !again.includes(line)),
    ],
    changes: changes.map((change) =>
      change.kind === 'amount' && change.lineId === one.line.id
        ? { ...change, gramsAfter: grams, why }
        : change,
    ),
  }
}

/**
 * The recipe that a solution stands for, with what was changed.
 *
 * @param weigh how finely what changes is weighed
 */
export function buildRecipe(
  recipe: Recipe,
  model: TargetModel,
  solution: Solution,
  foods: Foods,
  weigh: Weigh = tenth,
): Built {
  const made = new Map(
    model.lines.map((one) => [one.line.id, linesOf(one, solution.values, foods, weigh)] as const),
  )
  const changes = model.lines.flatMap((one) => made.get(one.line.id)!.changes)
  const water = model.addedWater === null ? 0 : weigh(solution.values[model.addedWater]!)
  const shell = recipe.parts.find((part) => part.kind === 'shell')
  const food = foods.get('water')
  const built: Recipe = {
    ...recipe,
    parts: recipe.parts.map((part) => {
      const lines = part.lines.flatMap((line) => made.get(line.id)?.lines ?? [line])
      const setAside = [...part.setAside, ...part.lines.flatMap((line) => made.get(line.id)?.leftOut ?? [])]
      if (part !== shell || water < 1 || !food) return { ...part, lines, setAside }
      const why = `${Math.round(water)} g of water, for what the dough now drinks`
      const line = newLine({
        id: 'target-water',
        foodId: food.id,
        name: food.name,
        grams: water,
        gramsLow: water,
        gramsHigh: water,
      })
      line.raw = printLine(line, food)
      line.cameFrom = { raw: '', foodId: null, name: '', grams: 0, why, swapId: 'amount' }
      changes.push({
        ...amountChange({ part, line, food, grams: 0 } as LineModel, water, why),
        line: '',
      })
      return { ...part, lines: [...lines, line], setAside }
    }),
  }
  const salted = rebalanceSalt(recipe, built, foods)
  return { recipe: salted.recipe, changes: [...changes, ...salted.changes] }
}
