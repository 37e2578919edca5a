import { boughtFamily, type DoughFamily } from '../dough/family'
import { excludes, foodAgainstDiet, type Diet } from '../diet/diets'
import { READ_PACKET } from '../diet/verdict'
import type { Target } from '../diet/target'
import type { Evaluation } from '../evaluation/evaluate'
import type { Allergen, Food, Foods } from '../food/food'
import { inDough } from '../food/scalded'
import type { ReferenceData } from '../tables/referenceData'
import type { Line, Part, Recipe } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'
import { allergensIn } from '../substitution/substitute'
import type { Purpose } from '../substitution/formulas'
import { purposesOf } from './purposes'
import type { Wishes } from './wishes'

/** The wish that a dough be strong enough, which may be given up with a word. */
export const STRENGTH = 'how strong the dough is'
/** What an experienced cook would not do: rubber doughs, fillings cut to a quarter. Let go before the dough's strength. */
export const CRAFT = 'what cooks would do'

/** The key of the figure that is driven. */
export const DRIVEN = 'driven'

/** What the nearest recipe is searched for. */
export interface ModelInput {
  recipe: Recipe
  /** Of `recipe`. */
  base: Evaluation
  /** Of the recipe as written, which shares of the original are held against; the same as `base`, but where it is cooked otherwise. */
  before: Evaluation
  reference: ReferenceData
  wishes: Wishes
  /** By place in `targetsOf`: how much stricter than asked a figure has to be, to come out after losses. */
  margins: readonly number[]
  /** A figure that is driven as far as it goes: written as a constraint of the wish `DRIVEN`, for its terms. */
  driven?: Target
  /** Keys of wishes to leave out, when it is asked which ones are in each other's way. */
  without: ReadonlySet<string>
}

/** A figure that has to come out. */
export interface AskedTarget {
  /** Tells it from every other wish: two figures of one diet are two wishes. */
  key: string
  target: Target
  /** In words: the diet's, or "Your target". */
  name: string
}

/** All figures that have to come out: those of the diets and those asked for by themselves. */
export function targetsOf(wishes: Wishes): AskedTarget[] {
  return [
    ...wishes.diets.flatMap((diet) =>
      diet.targets.map((target, at) => ({ key: `target:${diet.id}:${at}`, target, name: diet.name })),
    ),
    ...wishes.targets.map((target, at) => ({
      key: `target:${at}`,
      target,
      name: at ? `Your target ${at + 1}` : 'Your target',
    })),
  ]
}

/** The key of the wish that a diet's foods stay out. */
export const dietKey = (diet: Diet): string => `diet:${diet.id}`

/** A weighed line, looked up. */
export interface AskedLine {
  part: Part
  line: Line
  food: Food
  grams: number
}

/** The name of the wish that diets which the recipe keeps be kept. */
export const KEPT = 'what the recipe keeps'

/** A search, with what its parts have to look up again and again. */
export interface Question extends ModelInput {
  lines: AskedLine[]
  /** Of all lines but the pan's. */
  totalGrams: number
  /** Food ids that need not be bought. */
  present: ReadonlySet<string>
  /** Line ids that stay as they are. */
  locked: ReadonlySet<string>
  /** Diets that are held to. */
  diets: Diet[]
  /** Diets that leave foods out, which the recipe keeps now and nobody asked for. */
  kept: Diet[]
  /** Allergens that the recipe holds already. */
  had: ReadonlySet<Allergen>
  purposes: ReadonlySet<Purpose>
  /** A diet of few carbohydrates is asked for, and the recipe as it stands does not keep it. */
  starchGoes: boolean
  family: DoughFamily
  /** Figures that have to come out, with the room that each is given for losses. */
  targets: (AskedTarget & { margin: number })[]
}

/** Looks up what a search is about, less what is left out of it. */
export function questionOf(input: ModelInput): Question {
  const { recipe, reference, wishes, without, margins } = input
  const lines = allLines(recipe).flatMap(({ part, line }): AskedLine[] => {
    const food = foodOf(line, reference.foods)
    if (!food || line.grams === null || line.grams <= 0) return []
    return [{ part, line, food: part.kind === 'shell' ? inDough(food, line.prep) : food, grams: line.grams }]
  })
  const targets = targetsOf(wishes)
    .map((one, at) => ({ ...one, margin: margins[at] ?? 0 }))
    .filter(({ key }) => !without.has(key))
  if (input.driven) targets.push({ key: DRIVEN, target: input.driven, name: DRIVEN, margin: 0 })
  const diets = wishes.diets.filter((diet) => !without.has(dietKey(diet)))
  return {
    ...input,
    lines,
    totalGrams: lines.reduce((sum, one) => sum + (one.part.kind === 'pan' ? 0 : one.grams), 0),
    present: new Set([...lines.map((one) => one.food.id), 'water', ...(wishes.locks.have ?? [])]),
    locked: new Set(without.has(LOCKED) ? [] : wishes.locks.lineIds),
    diets,
    // What another dough has lost already is not lost again by a line.
    kept: keptDiets(input).filter((diet) =>
      input.base.diets.some((verdict) => verdict.diet === diet.id && verdict.fits),
    ),
    had: allergensIn(recipe, reference.foods),
    purposes: purposesOf(wishes),
    starchGoes: diets.some(
      (diet) =>
        purposesOf({ diets: [diet], targets: [] }).has('keto') &&
        input.before.diets.some((verdict) => verdict.diet === diet.id && !verdict.fits),
    ),
    family: familyOfShell(input.base, input.recipe, input.reference.foods),
    targets,
  }
}

/** The family of a recipe's dough; of a bought one the family it would be of, were it made. */
export function familyOfShell(base: Evaluation, recipe: Recipe, foods: Foods): DoughFamily {
  if (!base.dough.ready) return base.abilities.family
  return boughtFamily(
    allLines(recipe).flatMap(({ part, line }) => {
      const food = part.kind === 'shell' ? foodOf(line, foods) : null
      return food ? [food] : []
    }),
  )
}

/**
 * Diets that leave foods out, which a recipe keeps as it was written, besides those that are asked for; none where
 * the cook gives them no weight.
 */
export const keptDiets = ({
  before,
  reference,
  wishes,
}: Pick<ModelInput, 'reference' | 'wishes'> & { before: Pick<Evaluation, 'diets'> }): Diet[] =>
  reference.diets.filter(
    (diet) =>
      wishes.weights.kept > 0 &&
      excludes(diet) &&
      !wishes.diets.some((asked) => asked.id === diet.id) &&
      before.diets.some(
        (verdict) =>
          verdict.diet === diet.id &&
          verdict.fits &&
          // What only a packet can tell is not known to be kept.
          !verdict.toCheck.some((text) => text.includes(READ_PACKET)),
      ),
  )

/** Wishes that are locks, by name. */
export const LOCKED = 'locked lines'
export const HAVE = 'what you have'
export const MAX_SWAPS = 'how many swaps'

/** Whether a food breaks one of the diets that are held to. */
export const breaks = (food: Food, { diets }: Question): boolean =>
  diets.some((diet) => foodAgainstDiet(food, diet).breaks.length > 0)
