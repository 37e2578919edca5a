import { readIngredients } from '../core/reading/readIngredient'
import { readRecipe } from '../core/reading/readRecipe'
import type { Recipe } from '../core/recipe/document'
import { foods } from './helpers'

/** A text as it is read. */
export const recipe = (text: string): Recipe => readRecipe(text, foods).recipe

/** The parts of a text, each as "filling: minced-pork onion". */
export const parts = (text: string): string[] =>
  recipe(text).parts.map(({ kind, lines }) => `${kind}: ${lines.map(({ foodId }) => foodId).join(' ')}`)

export const DOUGH = '300 g plain flour\n160 ml water'

/** A text with that dough, a filling and a method, under headings. */
export const read = (filling: string, steps: string, head = 'Cheese buns\nMakes 12'): Recipe =>
  recipe(`${head}\n\nDough\n${DOUGH}\n\nFilling\n${filling}\n\nMethod\n${steps}`)

/** The first line of a food. */
export const lineOf = (of: Recipe, id: string) =>
  of.parts.flatMap(({ lines }) => lines).find(({ foodId }) => foodId === id)

/** The foods of a line, each with its grams in whole numbers. */
export const eachOf = (text: string) =>
  readIngredients(text, foods).map(({ food, line }) => [food?.id, line.grams && Math.round(line.grams)])

/** The foods of a part of some kind, each with its grams in whole numbers: "feta 200". */
export const inPart = (text: string, kind: string): string[] =>
  recipe(text)
    .parts.filter((part) => part.kind === kind)
    .flatMap(({ lines }) => lines.map(({ foodId, grams }) => `${foodId} ${Math.round(grams ?? 0)}`))
