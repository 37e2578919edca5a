import { readdirSync, readFileSync } from 'node:fs'
import { dietsByIds } from '../core/adaptation/adapt'
import { evaluate } from '../core/evaluation/evaluate'
import { buildModel, type TargetModel } from '../core/optimisation/model'
import { wishesFor, type Wishes } from '../core/optimisation/wishes'
import type { Recipe } from '../core/recipe/document'
import { readRecipe } from '../core/reading/readRecipe'
import { foods, reference } from './helpers'

const folder = new URL('../data/demo/', import.meta.url)

/** The demo recipes, read from their texts. */
export const demo = readdirSync(folder).map((name) => ({
  name,
  recipe: readRecipe(readFileSync(new URL(name, folder), 'utf8'), foods).recipe,
}))

/** The demo recipe whose file name holds a word. */
export function demoRecipe(word: string): Recipe {
  const found = demo.find((one) => one.name.includes(word))
  if (!found) throw new Error(`No demo recipe ${word}`)
  return found.recipe
}

export const diets = (...ids: string[]) => dietsByIds(ids, reference)

/**
 * The programme of the search for a recipe and wishes.
 *
 * @param without names of what does not hold
 */
export function modelOf(
  recipe: Recipe,
  wishes: Wishes | string[],
  without: readonly string[] = [],
): TargetModel {
  const base = evaluate(recipe, reference)
  return buildModel({
    recipe,
    base,
    before: base,
    reference,
    wishes: Array.isArray(wishes) ? wishesFor(diets(...wishes)) : wishes,
    margins: [],
    without: new Set(without),
  })
}
