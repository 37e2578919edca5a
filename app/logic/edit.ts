import type { Foods } from '~~/core/food/food'
import { splitLine } from '~~/core/reading/splitLine'
import { rebalanceDough } from '~~/core/swap/rebalance'
import { readIngredient } from '~~/core/reading/readIngredient'
import {
  newLine,
  newPart,
  PART_KINDS,
  type Line,
  type Part,
  type PartKind,
  type Recipe,
} from '~~/core/recipe/document'

/** The recipe with one part changed. */
export function editPart(recipe: Recipe, partId: string, edit: (part: Part) => Part): Recipe {
  return { ...recipe, parts: recipe.parts.map((part) => (part.id === partId ? edit(part) : part)) }
}

/** The recipe with one line changed. */
export function editLine(recipe: Recipe, lineId: string, edit: (line: Line) => Line): Recipe {
  return {
    ...recipe,
    parts: recipe.parts.map((part) => ({
      ...part,
      lines: part.lines.map((line) => (line.id === lineId ? edit(line) : line)),
    })),
  }
}

/** The recipe with a line's weight typed by the cook: doubts about its amount are settled. */
export function setGrams(recipe: Recipe, lineId: string, grams: number): Recipe {
  return editLine(recipe, lineId, (line) => ({
    ...line,
    grams,
    gramsLow: grams,
    gramsHigh: grams,
    waterChangeGrams: line.grams ? (line.waterChangeGrams * grams) / line.grams : 0,
    notes: line.notes.filter((note) => KEPT_NOTES.has(note.code)),
  }))
}

/** The recipe with what was really eaten of a pan line, or null to let the model estimate it. */
export function setEaten(recipe: Recipe, lineId: string, eatenGrams: number | null): Recipe {
  return editLine(recipe, lineId, (line) => ({ ...line, eatenGrams }))
}

/** Notes about what the food is stay when its weight is typed; notes about the amount go. */
const KEPT_NOTES = new Set([
  'stand-in',
  'optional',
  'alternative',
  'unknown-food',
  'dough-water',
  'dough-fat',
])

/** The recipe with a line's food chosen by the cook: doubts about what it is are settled. */
export function setFood(recipe: Recipe, lineId: string, foodId: string, foods: Foods): Recipe {
  return editLine(recipe, lineId, (line) => {
    const food = foods.get(foodId)!
    if (line.grams !== null) {
      return {
        ...line,
        foodId,
        name: food.name,
        notes: line.notes.filter((note) => !/unknown-food|spelling|part-match|stand-in/.test(note.code)),
      }
    }
    // The amount could not be weighed without a food; now it can.
    const { line: read } = readIngredient(line.raw.replace(line.name, food.synonyms[0] ?? food.name), foods)
    return { ...read, id: line.id, raw: line.raw, foodId, name: food.name, cameFrom: line.cameFrom }
  })
}

/** The recipe with a line written anew and read again. Two ingredients in one line become two lines. */
export function rewriteLine(recipe: Recipe, lineId: string, raw: string, foods: Foods): Recipe {
  return {
    ...recipe,
    parts: recipe.parts.map((part) => ({
      ...part,
      lines: part.lines.flatMap((line) =>
        line.id === lineId
          ? readLines(raw, foods, recipe, line.id).map((made) => ({ ...made, cameFrom: line.cameFrom }))
          : [line],
      ),
    })),
  }
}

/** The recipe with a line added to a part. */
export function addLine(recipe: Recipe, partId: string, raw: string, foods: Foods): Recipe {
  return editPart(recipe, partId, (part) => ({
    ...part,
    lines: [...part.lines, ...readLines(raw, foods, recipe, '')],
  }))
}

export function removeLine(recipe: Recipe, lineId: string): Recipe {
  return {
    ...recipe,
    parts: recipe.parts.map((part) => ({ ...part, lines: part.lines.filter((line) => line.id !== lineId) })),
  }
}

function readLines(raw: string, foods: Foods, recipe: Recipe, firstId: string): Line[] {
  const used = new Set(recipe.parts.flatMap((part) => [part.id, ...part.lines.map((line) => line.id)]))
  return splitLine(raw.trim()).map((text, at) => {
    let id = at === 0 ? firstId : ''
    for (let n = 1; !id || (used.has(id) && id !== firstId); n++) id = `added-${n}`
    used.add(id)
    return { ...newLine({}), ...readIngredient(text, foods).line, id }
  })
}

/**
 * The recipe with its two flours in another proportion, their sum as it was, and the dough's water put right so
 * that it stays as soft.
 *
 * @param share of the first, from 0 to 1
 */
export function moveFlour(
  recipe: Recipe,
  firstId: string,
  secondId: string,
  share: number,
  foods: Foods,
): Recipe {
  const grams = (id: string) =>
    recipe.parts.flatMap((part) => part.lines).find((line) => line.id === id)?.grams ?? 0
  const total = grams(firstId) + grams(secondId)
  const moved = setGrams(setGrams(recipe, firstId, total * share), secondId, total * (1 - share))
  return rebalanceDough(recipe, moved, foods).recipe
}

/** The recipe with an empty part added behind the last of its kind. */
export function addPart(recipe: Recipe, kind: PartKind, name: string): Recipe {
  const order = recipe.parts.findLastIndex(
    (part) => PART_KINDS.indexOf(part.kind) <= PART_KINDS.indexOf(kind),
  )
  const parts = [...recipe.parts]
  parts.splice(order + 1, 0, newPart({ id: newPartId(recipe), kind, name }))
  return { ...recipe, parts }
}

function newPartId(recipe: Recipe): string {
  const used = new Set(recipe.parts.map((part) => part.id))
  let n = recipe.parts.length + 1
  while (used.has(`p${n}`)) n++
  return `p${n}`
}
