import { z } from 'zod'
import type { Adaptation } from '../../core/adaptation/adapt'
import { MICRONUTRIENT_KEYS } from '../../core/food/micronutrients'
import { recipeSchema } from '../../core/recipe/schema'
import { NOT_SWAPPING, SWAPPING } from '../../core/substitution/applySwap'
import { ROLES } from '../../core/substitution/catalogue'
import { evaluationAnswer, evaluationWithWorkingAnswer, kind, workingAnswer } from './evaluation'

const roles = z.array(z.enum(ROLES))

const anyChange = {
  line: z.string(),
  lineId: z.string(),
  part: kind,
  from: z.string(),
  to: z.string(),
  gramsBefore: z.number().nullable(),
  gramsAfter: z.number().nullable(),
  why: z.string(),
  roles,
  rolesLost: roles,
  swapId: z.string(),
  source: z.string(),
}

const changesAnswer = z.array(
  z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.enum(SWAPPING),
      ...anyChange,
      handling: z.string(),
      cooking: z.string(),
      allergensAdded: z.array(z.string()),
    }),
    z.strictObject({
      kind: z.enum(NOT_SWAPPING),
      ...anyChange,
      handling: z.literal(''),
      cooking: z.literal(''),
      allergensAdded: z.array(z.never()),
    }),
  ]),
)

const termsAnswer = z
  .array(z.strictObject({ text: z.string(), distance: z.number() }))
  .describe('what the distance is made of, the largest first')

/** An adaptation whose evaluations are of one kind: with their working, or without. */
const adaptWith = <E extends z.ZodType>(evaluationOf: E) =>
  z.strictObject({
    recipe: recipeSchema,
    changes: changesAnswer,
    unmet: z.array(z.strictObject({ lineId: z.string(), reason: z.string() })),
    losses: z.array(
      z.strictObject({
        nutrient: z.enum(MICRONUTRIENT_KEYS),
        text: z.string(),
        unknown: z.array(z.string()),
      }),
    ),
    evaluation: evaluationOf,
    before: evaluationOf,
    distance: z.number().nullable().describe('from the recipe as written; null where nothing was searched'),
    terms: termsAnswer,
    proven: z.boolean().describe('false when the time was up before it was sure that none is nearer'),
    alternatives: z.array(
      z.strictObject({
        recipe: recipeSchema,
        changes: changesAnswer,
        evaluation: evaluationOf,
        distance: z.number(),
        terms: termsAnswer,
      }),
    ),
    binding: z
      .array(z.strictObject({ name: z.string(), text: z.string(), saves: z.number() }))
      .describe('limits that stand in the way, and what a tenth more room would save'),
    conflict: z
      .array(z.string())
      .describe('wishes that contradict one another when nothing reaches them all'),
    compromise: z.string(),
  })

export const adaptAnswer = adaptWith(evaluationAnswer.extend({ working: workingAnswer.optional() }))
export const adaptWithWorkingAnswer = adaptWith(evaluationWithWorkingAnswer) satisfies z.ZodType<Adaptation>
