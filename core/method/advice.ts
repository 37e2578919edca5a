import type { Evaluation } from '../evaluation/evaluate'
import type { Food, Foods } from '../food/food'
import { howToMake } from '../food/homemade'
import type { ReferenceData } from '../tables/referenceData'
import type { Line, Recipe, RecipeNote } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'
import type { CookingWay, PartKind } from '../recipe/vocabulary'
import type { Swap } from '../substitution/catalogue'
import { speaksOf } from '../reading/heatWays'
import type { Diet } from '../diet/diets'
import { formulaIdOf } from '../substitution/formulas'
import { GIVEN_UP } from './cookOtherwise'
import { fittingAdvice, mattersIn } from './fitsTheWay'
import { methodChanges } from './methodChanges'

/** A line of the recipe as it was written, and what stands in its place now. */
interface Replaced {
  from: Food
  to: { food: Food; line: Line }[]
  part: PartKind
  swapId: string
  /** Grams of the food that stay beside it: a stand-in for a part of the line. */
  staysGrams: number
}

/** Lines that came of the same line are one replacement; a line whose food is what it was is none. */
function replacedIn(recipe: Recipe, foods: Foods): Replaced[] {
  const found = new Map<string, Replaced>()
  for (const { part, line } of allLines(recipe)) {
    const { cameFrom } = line
    const food = foodOf(line, foods)
    const from = cameFrom?.foodId ? foods.get(cameFrom.foodId) : undefined
    if (!cameFrom || !food || !from || from.id === food.id) continue
    const key = keyOf(part.kind, cameFrom)
    const known = found.get(key) ?? {
      from,
      to: [],
      part: part.kind,
      swapId: cameFrom.swapId,
      staysGrams: part.lines
        .filter((other) => other.foodId === from.id)
        .reduce((sum, other) => sum + (other.grams ?? 0), 0),
    }
    known.to.push({ food, line })
    found.set(key, known)
  }
  return [...found.values()]
}
const keyOf = (part: PartKind, cameFrom: NonNullable<Line['cameFrom']>) =>
  `${part}|${cameFrom.raw}|${cameFrom.swapId}`

/** What a step may call any food of a group. */
const GROUP_WORDS: Readonly<Record<string, readonly string[]>> = {
  'minced-meat': ['mince', 'minced meat', 'meat'],
  meat: ['meat'],
  poultry: ['chicken', 'turkey', 'bird', 'meat'],
  'cured-meat': ['meat'],
  fish: ['fish'],
  'cured-fish': ['fish'],
  shellfish: ['prawns', 'shrimp', 'seafood'],
  egg: ['eggs', 'egg', 'egg wash'],
  'egg-yolk': ['yolks', 'yolk', 'egg'],
  'egg-white': ['whites', 'egg white'],
  'melting-cheese': ['cheese'],
  'brined-cheese': ['cheese'],
  'hard-cheese': ['cheese'],
  'fresh-cheese': ['curd', 'cheese'],
  'firm-fresh-cheese': ['cheese'],
  milk: ['milk'],
  cream: ['cream'],
  yogurt: ['yogurt', 'curd'],
  'solid-fat': ['fat'],
  flour: ['flour'],
}

/** Words by which a step may speak of a food: the last word of each of its names, then what its kind is called. */
const calledIn = (food: Food) => [
  ...new Set([...food.synonyms.map((name) => name.split(' ').at(-1)!), ...(GROUP_WORDS[food.group] ?? [])]),
]

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
    for (const { from, to, part, swapId, staysGrams } of replaced) {
      // The method of a dough that was made anew speaks for itself.
      if (formulaIdOf(swapId) !== null || to.every(({ food }) => food.id === 'water')) continue
      const named = calledIn(from).find((name) =>
        new RegExp(`\\b${name.replace(/[^\p{L}\d ]/gu, '.')}\\b`, 'iu').test(step),
      )
      if (!named) continue
      const comes = to.map(({ food }) => food.name).join(' + ')
      const grams = to.reduce((sum, { line }) => sum + (line.grams ?? 0), 0)
      const now =
        staysGrams > 0 && part === 'shell'
          ? `${Math.round(staysGrams)} g of it as before and ${Math.round(grams)} g ${comes}`
          : comes
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

/** The way of cooking, the dough and what has been said of it, for what an advice has to fit. */
type Here = Parameters<typeof fittingAdvice>[1]

function handlingNotes(
  { to, swapId, part }: Replaced,
  swaps: ReadonlyMap<string, Swap>,
  here: Here | null,
): RecipeNote[] {
  const say = (name: string, text: string): RecipeNote => ({
    code: 'handling',
    level: 'note',
    text: `${name}: ${text}`,
  })
  // Where one of its foods was swapped again, what the swap says of handling holds no longer.
  const known = swaps.get(swapId)
  const swap = known?.to.every(({ foodId }) => to.some(({ food }) => food.id === foodId)) ? known : undefined
  const names = to.map(({ food }) => food.name).join(' + ')
  // Of a dough and its wash only what holds for how it is made and cooked; a filling is cooked by itself.
  const fitting = (text: string) =>
    here && (part === 'shell' || part === 'finish') ? fittingAdvice(text, here) : text
  return [
    ...to.flatMap(({ food, line }) =>
      food.homemade && line.grams ? [say(food.name, howToMake(food, line.grams))] : [],
    ),
    ...[swap?.handling, swap?.cooking].flatMap((text) => {
      const own = text ? fitting(text) : ''
      return own ? [say(names, own)] : []
    }),
  ]
}

/** How a dough made by a formula is made and cooked, and where practice differs. */
function formulaNotes(recipe: Recipe, { formulas }: ReferenceData): RecipeNote[] {
  const ids = new Set(allLines(recipe).map(({ line }) => formulaIdOf(line.cameFrom?.swapId)))
  return formulas
    .filter(({ id }) => ids.has(id))
    .flatMap(({ name, method, cooking, school, can }) =>
      [
        [method, cooking[recipe.cooking.way]],
        [can && `It ${can}`, school],
      ]
        .map((texts) => texts.filter(Boolean).join('. '))
        .filter(Boolean)
        .map((text): RecipeNote => ({ code: 'handling', level: 'note', text: `${name}: ${text}` })),
    )
}

const POTS: Partial<Record<CookingWay, string>> = {
  'deep-fry': 'oil of its own',
  'shallow-fry': 'a pan and oil of its own',
  boil: 'a pot and water of its own',
  steam: 'a steamer lined with fresh paper',
  'brown-and-steam': 'a pan of its own',
  griddle: 'a griddle that is wiped clean',
  bake: 'a tray lined with fresh paper',
}

/** What keeps wheat out of a piece that is made without it: the board is where it comes back in. */
function apartNotes(recipe: Recipe, diets: readonly Diet[]): RecipeNote[] {
  const glutenFree = diets.some(
    (diet) => recipe.diets.includes(diet.id) && diet.excludesAllergens.includes('gluten'),
  )
  if (!glutenFree) return []
  const text = `Dust board and hands with rice flour, not with wheat; ${POTS[recipe.cooking.way] ?? 'tools of its own'}, and make it before anything with wheat (common practice, no source)`
  return [{ code: 'handling', level: 'note', text }]
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
  reference: ReferenceData,
  figures: { before: Evaluation; after: Evaluation } | null,
): RecipeNote[] {
  const replaced = replacedIn(recipe, reference.foods)
  const swaps = new Map(reference.swaps.map((swap) => [swap.id, swap]))
  const formed = formulaNotes(recipe, reference)
  const changes = figures ? methodChanges(recipe, figures.before, figures.after, formed.length > 0) : []
  const here: Here | null = figures && {
    way: recipe.cooking.way,
    family: figures.after.abilities.family,
    springs: (figures.after.abilities.springs ?? 0) > (figures.before.abilities.springs ?? 0),
    melted: MELTED.test([...recipe.method, ...allLines(recipe).map(({ line }) => line.raw)].join(' ')),
    said: new Set(changes.flatMap(({ text }) => mattersIn(text))),
  }
  const notes = [
    ...formed,
    ...changes,
    ...cookingNotes(recipe),
    ...stepNotes(recipe, replaced),
    ...replaced.flatMap((one) => handlingNotes(one, swaps, here)),
    ...apartNotes(recipe, reference.diets),
  ]
  const seen = new Set<string>()
  return notes.filter((note) => !seen.has(note.text) && seen.add(note.text))
}

/** Fat that is melted need not be kept cold. */
const MELTED =
  /\bmelt(?:ed|s)? (?:the )?(?:butter|fat|lard|margarine|block)|\b(?:butter|fat|lard|margarine),? melted\b/i

/** The recipe with the advice on it in place of what was advised before. */
export function withAdvice(recipe: Recipe, advice: readonly RecipeNote[]): Recipe {
  const others = recipe.notes.filter((note) => !RECKONED.has(note.code))
  return { ...recipe, notes: [...others, ...advice].slice(0, MAX_NOTES) }
}
const MAX_NOTES = 60
