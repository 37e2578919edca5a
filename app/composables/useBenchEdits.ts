import type { Line, Part, Recipe } from '~~/core/recipe/document'
import type { PartKind } from '~~/core/recipe/vocabulary'
import {
  addPart,
  addStep,
  editLine,
  editPart,
  leaveOut,
  movePartLine,
  nudgeLine,
  nudgePart,
  nudgeStep,
  putBack,
  removeLine,
  removePart,
  replaceComponent,
  setCooking,
  setCount,
  setEaten,
  setGrams,
  setPartInto,
  setPartKind,
  setStep,
  setWay,
  takeChoice,
} from '~~/core/recipe/edit'
import { addLine, rewriteLine, setFood } from '~~/core/reading/rewrite'
import { foodIs } from '~~/core/food/groups'
import { foodOf } from '~~/core/recipe/lines'
import { roundedBy, scalePart, scaleRecipe } from '~~/core/recipe/scale'
import type { Swap } from '~~/core/substitution/catalogue'
import { swapLine } from '~~/core/substitution/swapLine'

/** What the cook does to the recipe on the bench by hand, each one step that can be undone. */
export function useBenchEdits() {
  const bench = useBenchStore()
  const shelves = useLarderStore()
  const change = (edited: (recipe: Recipe) => Recipe) => {
    if (!bench.recipe) return
    const next = edited(bench.recipe)
    if (next !== bench.recipe) bench.change(next)
  }
  const eggGrams = (line: Line) => {
    const food = foodOf(line, shelves.reference.foods)
    return foodIs(food, 'whole-egg') ? food!.unitGrams.piece : undefined
  }
  return {
    grams: (lineId: string, grams: number) => change((recipe) => setGrams(recipe, lineId, grams)),
    eaten: (lineId: string, grams: number | null) => change((recipe) => setEaten(recipe, lineId, grams)),
    food: (lineId: string, foodId: string) =>
      change((recipe) => setFood(recipe, lineId, foodId, shelves.reference.foods)),
    rewrite: (lineId: string, raw: string) =>
      change((recipe) => rewriteLine(recipe, lineId, raw, shelves.reference.foods)),
    remove: (lineId: string) => change((recipe) => removeLine(recipe, lineId)),
    add: (partId: string, raw: string) =>
      change((recipe) => addLine(recipe, partId, raw, shelves.reference.foods)),
    move: (lineId: string, partId: string, at?: number) =>
      change((recipe) => movePartLine(recipe, lineId, partId, at)),
    nudge: (lineId: string, by: -1 | 1) => change((recipe) => nudgeLine(recipe, lineId, by)),
    cookLine: (lineId: string, cookedBy: Part['lines'][number]['cookedBy']) =>
      change((recipe) => editLine(recipe, lineId, (line) => ({ ...line, cookedBy }))),
    choose: (lineId: string, at: number) => change((recipe) => takeChoice(recipe, lineId, at)),
    leaveOut: (lineId: string) => change((recipe) => leaveOut(recipe, lineId)),
    putBack: (lineId: string) => change((recipe) => putBack(recipe, lineId)),

    /** More or less of a part, as a kitchen can weigh it; eggs stay whole. Says what was rounded. */
    scalePart(partId: string, factor: number): string[] {
      const before = bench.recipe
      change((recipe) => scalePart(recipe, partId, factor, eggGrams))
      return before && bench.recipe ? roundedBy(before, bench.recipe, partId, factor, eggGrams) : []
    },
    part: (partId: string, fields: Partial<Part>) =>
      change((recipe) => editPart(recipe, partId, (part) => ({ ...part, ...fields }))),
    addPart: (kind: PartKind, name: string) => change((recipe) => addPart(recipe, kind, name)),
    partKind: (partId: string, kind: PartKind) => change((recipe) => setPartKind(recipe, partId, kind)),
    partInto: (partId: string, into: string | null) => change((recipe) => setPartInto(recipe, partId, into)),
    nudgePart: (partId: string, by: -1 | 1) => change((recipe) => nudgePart(recipe, partId, by)),
    removePart: (partId: string) => change((recipe) => removePart(recipe, partId)),
    buyComponent: (partId: string, food: { id: string; name: string }, grams: number) =>
      change((recipe) => replaceComponent(recipe, partId, food, grams)),

    title: (title: string) => change((recipe) => ({ ...recipe, title })),
    count: (of: 'pieces' | 'servings', count: number) => change((recipe) => setCount(recipe, of, count)),
    way: (way: Recipe['cooking']['way']) => change((recipe) => setWay(recipe, way)),
    cooking: (fields: Parameters<typeof setCooking>[1]) => change((recipe) => setCooking(recipe, fields)),
    shape: (shape: Recipe['shape']) => change((recipe) => ({ ...recipe, shape })),
    scale: (factor: number) => change((recipe) => scaleRecipe(recipe, factor)),

    step: (at: number, text: string) => change((recipe) => setStep(recipe, at, text)),
    addStep: (text: string, at?: number) => change((recipe) => addStep(recipe, text, at)),
    nudgeStep: (at: number, by: -1 | 1) => change((recipe) => nudgeStep(recipe, at, by)),

    swap(lineId: string, chosen: Swap) {
      const swapped = bench.recipe && swapLine(bench.recipe, lineId, chosen, shelves.reference.foods)
      if (swapped) bench.swapTo(swapped.recipe)
    },
  }
}
