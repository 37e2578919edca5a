import type { Evaluation } from '../evaluate'
import type { Food, Foods } from '../food/food'
import { howToMake } from '../food/homemade'
import type { Larder } from '../larder'
import { allLines, type Line, type PartKind, type Recipe, type RecipeNote } from '../recipe/document'
import type { Swap } from '../swap/catalogue'
import { speaksOf } from '../reading/heat'
import { GIVEN_UP } from './cookOtherwise'
import { methodChanges } from './methodChanges'

/** A line of the recipe as it was written, and what stands in its place now. */
interface Replaced {
  from: Food
  to: { food: Food; line: Line }[]
  part: PartKind
  swapId: string
}

/** Lines that came of the same line are one replacement; a line whose food is what it was is none. */
function replacedIn(recipe: Recipe, foods: Foods): Replaced[] {
  const found = new Map<string, Replaced>()
  for (const { part, line } of allLines(recipe)) {
    const { cameFrom } = line
    const food = line.foodId === null ? undefined : foods.get(line.foodId)
    const from = cameFrom?.foodId ? foods.get(cameFrom.foodId) : undefined
    if (!cameFrom || !food || !from || from.id === food.id) continue
    const key = keyOf(part.kind, cameFrom)
    const known = found.get(key) ?? { from, to: [], part: part.kind, swapId: cameFrom.swapId }
    known.to.push({ food, line })
    found.set(key, known)
  }
  return [...found.values()]
}
const keyOf = (part: PartKind, cameFrom: NonNullable<Line['cameFrom']>) =>
  `${part}|${cameFrom.raw}|${cameFrom.swapId}`

/** Words by which a step may speak of a food: the last word of each of its names. */
const calledIn = (food: Food) => [...new Set(food.synonyms.map((name) => name.split(' ').at(-1)!))]

const WHERE: Readonly<Record<PartKind, string>> = {
  shell: 'in the dough',
  filling: 'in the filling',
  marinade: 'in the marinade',
  finish: 'to finish',
  pan: 'in the pan',
  dip: 'in the dip',
}

/** Steps that speak of what is not there any more; a word that stood for two things names both, each in its place. */
function stepNotes(recipe: Recipe, replaced: readonly Replaced[]): RecipeNote[] {
  return recipe.method.flatMap((step, at): RecipeNote[] => {
    const byWord = new Map<string, Map<string, string>>()
    for (const { from, to, part } of replaced) {
      const named = calledIn(from).find((name) =>
        new RegExp(`\\b${name.replace(/[^\p{L}\d ]/gu, '.')}\\b`, 'iu').test(step),
      )
      if (!named) continue
      const now = to.map(({ food }) => food.name).join(' + ')
      byWord.set(named, (byWord.get(named) ?? new Map<string, string>()).set(now, WHERE[part]))
    }
    return [...byWord].map(([named, nows]) => {
      const here = [...nows].map(([now, where]) => (nows.size > 1 ? `${now} ${where}` : now)).join(', ')
      return { code: 'method', level: 'note', text: `Step ${at + 1} says "${named}": here it is ${here}` }
    })
  })
}

/** Steps that still fry what is not fried any more. */
function cookingNotes(recipe: Recipe): RecipeNote[] {
  if (!allLines(recipe).some(({ line }) => line.cameFrom?.swapId === 'cooking')) return []
  const { way, temperatureC, minutes } = recipe.cooking
  const heat = temperatureC === null ? '' : ` at ${temperatureC} °C`
  return recipe.method.flatMap((step, at): RecipeNote[] => {
    const old = GIVEN_UP.find((one) => one !== way && speaksOf(one, step))
    if (!old) return []
    const text = `Step ${at + 1} says "${old}": ${way}${heat}${minutes === null ? '' : `, ${minutes} min`} instead`
    return [{ code: 'method', level: 'note', text }]
  })
}

function handlingNotes({ to, swapId }: Replaced, swaps: ReadonlyMap<string, Swap>): RecipeNote[] {
  const say = (name: string, text: string): RecipeNote => ({
    code: 'handling',
    level: 'note',
    text: `${name}: ${text}`,
  })
  // Where one of its foods was swapped again, what the swap says of handling holds no longer.
  const known = swaps.get(swapId)
  const swap = known?.to.every(({ foodId }) => to.some(({ food }) => food.id === foodId)) ? known : undefined
  const names = to.map(({ food }) => food.name).join(' + ')
  return [
    ...to.flatMap(({ food, line }) =>
      food.homemade && line.grams ? [say(food.name, howToMake(food, line.grams))] : [],
    ),
    ...[swap?.handling, swap?.cooking].flatMap((text) => (text ? [say(names, text)] : [])),
  ]
}

/** Notes that are reckoned from what was swapped, and are made anew whenever that changes. */
const RECKONED = new Set(['method', 'handling'])

/**
 * What the cook does otherwise in a recipe that grew from another: kneading, rest, oven and steamer with numbers,
 * steps that speak of what is no longer there, how each stand-in is handled, and how what is home-made is made.
 * Reckoned from the lines as they are now, so that it cannot go stale.
 *
 * @param figures of the recipe as it was and as it is; without them nothing is said of the dough
 */
export function adviceOn(
  recipe: Recipe,
  larder: Larder,
  figures: { before: Evaluation; after: Evaluation } | null,
): RecipeNote[] {
  const replaced = replacedIn(recipe, larder.foods)
  const swaps = new Map(larder.swaps.map((swap) => [swap.id, swap]))
  const notes = [
    ...(figures ? methodChanges(recipe, figures.before, figures.after) : []),
    ...cookingNotes(recipe),
    ...stepNotes(recipe, replaced),
    ...replaced.flatMap((one) => handlingNotes(one, swaps)),
  ]
  const seen = new Set<string>()
  return notes.filter((note) => !seen.has(note.text) && seen.add(note.text))
}

/** The recipe with the advice on it in place of what was advised before. */
export function withAdvice(recipe: Recipe, advice: readonly RecipeNote[]): Recipe {
  const others = recipe.notes.filter((note) => !RECKONED.has(note.code))
  return { ...recipe, notes: [...others, ...advice].slice(0, MOST_NOTES) }
}
const MOST_NOTES = 60
