import { createHash } from 'node:crypto'
import type { H3Event } from 'h3'
import { checkRecipe } from '../../core/recipe/check'
import { withIds, type Recipe } from '../../core/recipe/document'
import { summaryOf } from '../../core/evaluation/summary'
import { createRecipe, getRecipe, type KeptRequest, type Parent } from '../db/recipes'
import { referenceFor } from './referenceFor'
import { unstorableText } from '../http/storableText'
import { invalid } from '../http/problem'
import { recipeNotFound } from '../http/params'

/**
 * A recipe as it is stored: ids given, foods known, text that the database can hold. A recipe without a dough yet is kept all the same, so that
 * nobody loses one that is half typed.
 */
export async function storable(recipe: Recipe): Promise<Recipe> {
  const ready = withIds(recipe)
  const { foods } = await referenceFor(ready)
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
  const reference = await referenceFor(recipe)
  return summaryOf(recipe, reference, original)
}

/** A key that a client may give a request, so that it can be sent again when its answer was lost. */
const KEY = /^[\x21-\x7e]{8,200}$/

function keptRequest(event: H3Event, asked: unknown): KeptRequest | null {
  const key = getHeader(event, 'idempotency-key')
  if (key === undefined) return null
  if (!KEY.test(key))
    throw invalid([
      { field: 'Idempotency-Key', message: '8 to 200 letters, digits or signs without a blank are expected' },
    ])
  return { key, digest: createHash('sha256').update(JSON.stringify(asked)).digest('hex') }
}

/**
 * Stores a new recipe or variant and answers 201; 404 when the parent's revision does not exist. With an
 * `Idempotency-Key` the same request sent again is answered with what the first one stored.
 */
export async function storeNew(event: H3Event, recipe: Recipe, parent: Parent | null) {
  const kept = keptRequest(event, { recipe, parent })
  const ready = await storable(recipe)
  const created = await createRecipe(ready, await summaryFor(ready, parent), parent, kept)
  if (created.state === 'no parent') throw recipeNotFound(parent?.id ?? '')
  if (created.state === 'key taken')
    throw invalid([
      { field: 'Idempotency-Key', message: 'this key stands for another request; use a new one' },
    ])
  setResponseStatus(event, 201)
  return created.stored
}
