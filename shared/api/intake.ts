import { z } from 'zod'
import type { Intake } from '../../core/reading/readRecipe'
import { recipeSchema } from '../../core/recipe/schema'
import { COOKING_WAYS } from '../../core/recipe/vocabulary'
import { kind } from './evaluation'

const unresolved = z.strictObject({ lineId: z.string(), raw: z.string(), part: kind, reason: z.string() })

const answer = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('way'), way: z.enum(COOKING_WAYS) }),
  z.strictObject({ do: z.literal('part-kind'), partId: z.string(), kind }),
  z.strictObject({ do: z.literal('part-into'), partId: z.string(), into: z.string() }),
  z.strictObject({ do: z.literal('count'), of: z.enum(['pieces', 'servings']), count: z.number() }),
  z.strictObject({ do: z.literal('move-line'), lineId: z.string(), partId: z.string() }),
  z.strictObject({ do: z.literal('food'), lineId: z.string(), foodId: z.string() }),
  z.strictObject({ do: z.literal('keep') }),
])

export const intakeAnswer = z.strictObject({
  recipe: recipeSchema,
  lines: z.array(
    z.strictObject({
      lineId: z.string(),
      raw: z.string(),
      part: kind,
      foodId: z.string().nullable(),
      foodName: z.string(),
      grams: z.number().nullable(),
      warnings: z.array(z.string()),
    }),
  ),
  unresolved: z.array(unresolved),
  rows: z.array(
    z.strictObject({
      row: z.number().int().describe('number of the line in the text, from 0'),
      became: z.enum(['title', 'heading', 'ingredient', 'step', 'remark', 'count', 'left-out']),
      lineIds: z.array(z.string()),
    }),
  ),
  questions: z
    .array(
      z.strictObject({
        code: z.string(),
        about: z.string().nullable().describe('the line or part it is about'),
        text: z.string(),
        options: z.array(z.strictObject({ label: z.string(), answer })),
        asks: z.enum(['pieces', 'servings', 'grams']).nullable(),
      }),
    )
    .describe('what the cook had better say, most consequential first'),
}) satisfies z.ZodType<Intake>

export const importedAnswer = z.strictObject({
  recipes: z.array(
    z.strictObject({
      recipe: recipeSchema,
      lines: intakeAnswer.shape.lines,
      unresolved: intakeAnswer.shape.unresolved,
      warnings: z.array(z.string()),
    }),
  ),
  report: z.array(z.string()),
})
