import type { H3Event } from 'h3'
import { checkRecipe } from '../../core/recipe/check'
import { withIds, type Recipe } from '../../core/recipe/document'
import { summaryOf } from '../../core/summary'
import { getRecipe, type createRecipe, type Parent } from '../db/recipes'

/**
 * A recipe as it is stored: ids given, foods known, text that the database can hold. A recipe without a dough yet is kept all the same, so that
 * nobody loses one that is half typed.
 */
export async function storable(recipe: Recipe): Promise<Recipe> {
  const ready = withIds(recipe)
  const { foods } = await larderFor(ready)
  const problems = [
    ...unstorableText(recipe, 'recipe'),
    ...checkRecipe(ready, foods).filter((one) => one.field !== 'recipe.parts'),
  ]
  if (problems.length) throw invalid(problems)
  return ready
}

/** What the shelf shows of a recipe, held against the revision it grew from. */
export async function summaryFor(recipe: Recipe, parent: Parent | null) {
  const original = parent ? ((await getRecipe(parent.id, parent.revision))?.recipe ?? null) : null
  const larder = await larderFor(recipe)
  return summaryOf(recipe, larder, original)
}

/** Stores a new recipe or variant and answers 201; 404 when the parent's revision does not exist. */
export async function storeNew(
  event: H3Event,
  recipe: Recipe,
  parent: Parent | null,
  create: typeof createRecipe,
) {
  const ready = await storable(recipe)
  const stored = await create(ready, await summaryFor(ready, parent), parent)
  if (!stored) throw notFound(parent?.id ?? '')
  setResponseStatus(event, 201)
  return stored
}
