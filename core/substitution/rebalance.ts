import { foodIs, isFlour } from '../food/groups'
import { softnessOf, sumSoftness, waterToReach } from '../dough/softness'
import type { FoodAmount } from '../food/amount'
import type { Food, Foods } from '../food/food'
import { inDough } from '../food/scalded'
import { printLine } from '../recipe/printLine'
import { newLine, type Line, type Recipe } from '../recipe/document'
import type { Change } from './applySwap'
import { foodOf } from '../recipe/lines'

/** Changes smaller than this are not worth weighing. */
const MIN_GRAMS = 1
/** Fat lost below this share of the flour is not felt. Common practice, no source. */
const MIN_FAT_PCT = 0.5

interface ShellLine extends FoodAmount {
  line: Line
}

function shellOf(recipe: Recipe, foods: Foods): ShellLine[] {
  return recipe.parts
    .filter((part) => part.kind === 'shell')
    .flatMap((part) => part.lines)
    .flatMap((line) => {
      const food = foodOf(line, foods)
      return food && line.grams !== null
        ? [
            {
              line,
              food: inDough(food, line.prep),
              grams: line.grams,
              waterChangeGrams: line.waterChangeGrams,
            },
          ]
        : []
    })
}

const fatOf = (lines: readonly ShellLine[]) =>
  lines.reduce((sum, one) => sum + (one.grams * one.food.per100g.fatG) / 100, 0)
const flourOf = (lines: readonly ShellLine[]) =>
  lines.reduce((sum, one) => sum + (isFlour(one.food) ? one.grams : 0), 0)

/** The recipe with a line at another weight, and why. */
export function withGrams(
  recipe: Recipe,
  target: Line,
  grams: number,
  food: Food,
  why: string,
  code: string,
): Recipe {
  const next: Line = {
    ...target,
    grams,
    waterChangeGrams: target.grams ? target.waterChangeGrams * (grams / target.grams) : 0,
    gramsLow: grams,
    gramsHigh: grams,
    // What was doubtful about the amount as written is settled by the amount reckoned.
    notes: [...target.notes.filter((note) => note.code === 'stand-in'), { code, level: 'note', text: why }],
    cameFrom: target.cameFrom ?? {
      raw: target.raw || printLine(target, food),
      foodId: target.foodId,
      name: food.name,
      grams: target.grams,
      why,
      swapId: code,
    },
  }
  next.raw = printLine(next, food)
  return {
    ...recipe,
    parts: recipe.parts.map((part) => ({
      ...part,
      lines: part.lines.map((line) => (line.id === target.id ? next : line)),
    })),
  }
}

const withoutLine = (recipe: Recipe, lineId: string): Recipe => ({
  ...recipe,
  parts: recipe.parts.map((part) => ({ ...part, lines: part.lines.filter(({ id }) => id !== lineId) })),
})

function withNewLine(recipe: Recipe, food: Food, grams: number, why: string, code: string): Recipe {
  const used = new Set(recipe.parts.flatMap((part) => part.lines.map((line) => line.id)))
  let id = code
  for (let n = 2; used.has(id); n++) id = `${code}-${n}`
  const line = newLine({
    id,
    foodId: food.id,
    name: food.name,
    grams,
    gramsLow: grams,
    gramsHigh: grams,
    notes: [{ code, level: 'note', text: why }],
  })
  line.raw = printLine(line, food)
  line.cameFrom = { raw: '', foodId: null, name: '', grams: 0, why, swapId: code }
  const shellAt = recipe.parts.findIndex((part) => part.kind === 'shell')
  return {
    ...recipe,
    parts: recipe.parts.map((part, at) =>
      at === shellAt ? { ...part, lines: [...part.lines, line] } : part,
    ),
  }
}

function change(
  kind: 'water' | 'fat',
  line: Line | null,
  food: Food,
  before: number,
  after: number,
  why: string,
): Change {
  return {
    kind,
    line: line?.raw ?? '',
    lineId: line?.id ?? '',
    part: 'shell',
    from: food.name,
    to: food.name,
    gramsBefore: before,
    gramsAfter: after,
    why,
    roles: [kind === 'water' ? 'moisture' : 'tenderness'],
    rolesLost: [],
    handling: '',
    cooking: '',
    allergensAdded: [],
    swapId: kind === 'water' ? 'dough-water' : 'dough-fat',
    source: 'reckoned from the softness model, common practice',
  }
}

const g = (grams: number) => `${Math.round(Math.abs(grams))} g`

/** A recipe put right, with what was changed for it. */
export interface Balanced {
  recipe: Recipe
  changes: Change[]
}

function restoreFat(before: readonly ShellLine[], recipe: Recipe, foods: Foods): Balanced {
  const after = shellOf(recipe, foods)
  const flour = flourOf(after)
  const lost = fatOf(before) - fatOf(after)
  if (flour <= 0 || Math.abs(lost) < Math.max(MIN_GRAMS, (MIN_FAT_PCT * flour) / 100))
    return { recipe, changes: [] }
  // The fat already in the dough takes the difference; a dough without any gets oil.
  const own = after
    .filter((one) => one.food.softeningFat && !one.food.origins.length && one.food.per100g.fatG > 50)
    .sort((a, b) => b.grams - a.grams)[0]
  const food = own?.food ?? foods.get('sunflower-oil')
  if (!food) return { recipe, changes: [] }
  const grams = lost / (food.per100g.fatG / 100)
  const next = (own?.grams ?? 0) + grams
  if (next < 0 || (!own && grams < 0)) return { recipe, changes: [] }
  const why =
    lost > 0
      ? `The swaps took ${g(lost)} of fat out of the dough; ${g(grams)} of ${food.name} puts it back`
      : `The swaps brought ${g(lost)} of fat more; ${g(grams)} of ${food.name} less evens it out`
  return {
    recipe: own
      ? withGrams(recipe, own.line, next, food, why, 'dough-fat')
      : withNewLine(recipe, food, next, why, 'dough-fat'),
    changes: [change('fat', own?.line ?? null, food, own?.grams ?? 0, next, why)],
  }
}

function restoreWater(target: number, recipe: Recipe, foods: Foods): Balanced {
  const after = shellOf(recipe, foods)
  const terms = sumSoftness(after)
  const now = softnessOf(terms)
  const waterFood = foods.get('water')
  if (now === null || !waterFood) return { recipe, changes: [] }
  const delta = waterToReach(target, terms)
  if (Math.abs(delta) < MIN_GRAMS) return { recipe, changes: [] }
  const words = `Needs ${g(delta)} ${delta > 0 ? 'more' : 'less'} water to stay as soft as it was (softness ${target.toFixed(2)}; without it ${now.toFixed(2)})`
  if (delta > 0) {
    const own = after.find((one) => one.food.id === 'water')
    const grams = (own?.grams ?? 0) + delta
    return {
      recipe: own
        ? withGrams(recipe, own.line, grams, waterFood, words, 'dough-water')
        : withNewLine(recipe, waterFood, grams, words, 'dough-water'),
      changes: [change('water', own?.line ?? null, waterFood, own?.grams ?? 0, grams, words)],
    }
  }
  // Taken from plain water first, then from the wettest liquid the dough has.
  const changes: Change[] = []
  let left = -delta
  let next = recipe
  const liquids = after
    .filter((one) => one.food.freeWater > 0 && one.food.waterDemand === null && one.food.per100g.waterG >= 60)
    .sort((a, b) => Number(b.food.id === 'water') - Number(a.food.id === 'water') || b.grams - a.grams)
  for (const liquid of liquids) {
    if (left < MIN_GRAMS) break
    const perGram = (liquid.food.per100g.waterG / 100) * liquid.food.freeWater
    const take = Math.min(liquid.grams, left / perGram)
    left -= take * perGram
    const grams = liquid.grams - take
    const swapId = liquid.line.cameFrom?.swapId
    const others = next.parts
      .flatMap(({ lines }) => lines)
      .filter(({ cameFrom }) => cameFrom?.swapId === swapId)
    // Of a stand-in of several foods the water goes whole: nobody reads a line of 0 g.
    next =
      grams < MIN_GRAMS / 10 && swapId && others.length > 1
        ? withoutLine(next, liquid.line.id)
        : withGrams(next, liquid.line, grams, liquid.food, words, 'dough-water')
    changes.push(change('water', liquid.line, liquid.food, liquid.grams, grams, words))
  }
  return { recipe: next, changes }
}

/**
 * Brings the dough of an adapted recipe back to the fat and then to the softness it had.
 *
 * Bought dough, and dough without flour, is left alone.
 *
 * @param before the recipe as it was
 * @param adapted the recipe after its swaps
 * @returns the corrected recipe and the changes in grams
 */
export function rebalanceDough(before: Recipe, adapted: Recipe, foods: Foods): Balanced {
  const original = shellOf(before, foods)
  const target = softnessOf(sumSoftness(original))
  const ready = original.some((one) => foodIs(one.food, 'bought-dough'))
  if (target === null || ready) return { recipe: adapted, changes: [] }
  const fat = restoreFat(original, adapted, foods)
  const water = restoreWater(target, fat.recipe, foods)
  return { recipe: water.recipe, changes: [...fat.changes, ...water.changes] }
}
