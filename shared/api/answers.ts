// What the API answers. A schema that computes nothing itself is held to the type that the core answers with, so
// that neither can change alone; tests read answers strictly, so that a new field is seen.

import { z } from 'zod'
import type { Summary } from '../../core/evaluation/summary'
import { recipeSchema } from '../../core/recipe/schema'
import { SHAPES } from '../../core/recipe/vocabulary'
import { storedId } from './requests'

export const storedAnswer = z.strictObject({
  id: storedId,
  revision: z.number(),
  parentId: storedId.nullable(),
  parentRevision: z.number().nullable(),
  recipe: recipeSchema,
  savedAt: z.string(),
  deletedAt: z.string().nullable(),
})
export type StoredRecipe = z.output<typeof storedAnswer>

export const storedWithParentAnswer = storedAnswer.extend({ parent: storedAnswer.nullable() })
export type StoredWithParent = z.output<typeof storedWithParentAnswer>

/** What the shelf shows of a recipe. */
const summaryAnswer = z.strictObject({
  shape: z.enum(SHAPES),
  pieces: z.number(),
  servings: z.number(),
  piece: z.strictObject({
    doughGrams: z.number(),
    fillingGrams: z.number(),
    coatGrams: z.number(),
    oilGrams: z.number(),
  }),
  energyKcal: z.number(),
  proteinG: z.number(),
  consistency: z.string().nullable(),
  fits: z.array(z.string()),
  complete: z.boolean(),
}) satisfies z.ZodType<Summary>

export const listedAnswer = z.strictObject({
  id: storedId,
  revision: z.number(),
  parentId: storedId.nullable(),
  parentRevision: z.number().nullable(),
  title: z.string(),
  diets: z.array(z.string()),
  summary: summaryAnswer.nullable(),
  savedAt: z.string(),
})
export type ListedRecipe = z.output<typeof listedAnswer>

export const listAnswer = z.strictObject({
  next: z.string().nullable().describe('what the next page is asked for with; null at the end'),
  recipes: z.array(listedAnswer),
})
export type RecipePage = z.output<typeof listAnswer>

export const revisionAnswer = z.strictObject({ revision: z.number(), title: z.string(), savedAt: z.string() })
export type Revision = z.output<typeof revisionAnswer>

const problemFields = z.strictObject({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  errors: z.array(z.strictObject({ field: z.string(), message: z.string() })).optional(),
})

/** RFC 9457. Some problems say more, under names of their own: the document that was stored meanwhile. */
export const problemAnswer = problemFields.loose()
export type ProblemDocument = z.output<typeof problemFields> & { stored?: StoredRecipe }
