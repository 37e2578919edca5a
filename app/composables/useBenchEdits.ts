import type { Part } from '~~/core/recipe/document'
import { swapLine } from '~~/core/swap/swapLine'
import type { Swap } from '~~/core/swap/catalogue'
import { addLine, editPart, removeLine, rewriteLine, setEaten, setFood, setGrams } from '~/logic/edit'

/** What the cook does to lines and parts of the recipe on the bench, each one step that can be undone. */
export function useBenchEdits() {
  const bench = useBenchStore()
  const shelves = useLarderStore()
  const change = (edited: (recipe: NonNullable<typeof bench.recipe>) => typeof bench.recipe) => {
    const next = bench.recipe && edited(bench.recipe)
    if (next) bench.change(next)
  }
  return {
    grams: (lineId: string, grams: number) => change((recipe) => setGrams(recipe, lineId, grams)),
    eaten: (lineId: string, grams: number | null) => change((recipe) => setEaten(recipe, lineId, grams)),
    food: (lineId: string, foodId: string) =>
      change((recipe) => setFood(recipe, lineId, foodId, shelves.larder.foods)),
    rewrite: (lineId: string, raw: string) =>
      change((recipe) => rewriteLine(recipe, lineId, raw, shelves.larder.foods)),
    remove: (lineId: string) => change((recipe) => removeLine(recipe, lineId)),
    add: (partId: string, raw: string) =>
      change((recipe) => addLine(recipe, partId, raw, shelves.larder.foods)),
    part: (partId: string, fields: Partial<Part>) =>
      change((recipe) => editPart(recipe, partId, (part) => ({ ...part, ...fields }))),
    swap(lineId: string, chosen: Swap) {
      const swapped = bench.recipe && swapLine(bench.recipe, lineId, chosen, shelves.larder.foods)
      if (swapped) bench.swapTo(swapped.recipe)
    },
  }
}
