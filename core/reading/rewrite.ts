import type { Foods } from '../food/food'
import { newLine, type Line, type Recipe } from '../recipe/document'
import { editLine, editPart } from '../recipe/edit'
import { readIngredient, readIngredients } from './readIngredient'

// Changes to a document for which text has to be read.

/** The recipe with a line's food chosen by the cook: doubts about what it is are settled. */
export function setFood(recipe: Recipe, lineId: string, foodId: string, foods: Foods): Recipe {
  return editLine(recipe, lineId, (line) => {
    const food = foods.get(foodId)
    if (!food) return line
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
          ? linesFrom(raw, foods, recipe, line.id).map((made) => ({ ...made, cameFrom: line.cameFrom }))
          : [line],
      ),
    })),
  }
}

/** The recipe with a line added to a part. */
export function addLine(recipe: Recipe, partId: string, raw: string, foods: Foods): Recipe {
  return editPart(recipe, partId, (part) => ({
    ...part,
    lines: [...part.lines, ...linesFrom(raw, foods, recipe, '')],
  }))
}

function linesFrom(raw: string, foods: Foods, recipe: Recipe, firstId: string): Line[] {
  const used = new Set(
    recipe.parts.flatMap((part) => [part.id, ...[...part.lines, ...part.setAside].map((line) => line.id)]),
  )
  return readIngredients(raw.trim(), foods).map(({ line }, at) => {
    let id = at === 0 ? firstId : ''
    for (let n = 1; !id || (used.has(id) && id !== firstId); n++) id = `added-${n}`
    used.add(id)
    return { ...newLine({}), ...line, id }
  })
}
