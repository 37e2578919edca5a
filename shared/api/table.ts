import { z } from 'zod'
import { NUTRIENTS, type Nutrient } from '../../core/food/nutrients'
import { recipeSchema } from '../../core/recipe/schema'
import { MARKS } from '../../core/tray/apart'

const figures = z.strictObject({
  grams: z.number(),
  ...(Object.fromEntries(NUTRIENTS.map((key) => [key, z.number()])) as Record<Nutrient, z.ZodNumber>),
})
const ids = z.array(z.string())

/** A table: what is made, which piece is whose, and what each has on the plate. */
export const tableAnswer = z.strictObject({
  kinds: z.array(
    z.strictObject({
      id: z.string(),
      recipe: recipeSchema,
      pieces: z.number(),
      mark: z.enum(MARKS).nullable().describe('how its pieces are told from the others'),
      suits: ids.describe('guests who may eat it'),
      madeFor: ids.describe('diets it was made for; none for the recipe as it is'),
      allergens: ids,
      mayContain: ids,
    }),
  ),
  plates: z.array(
    z.strictObject({
      guestId: z.string(),
      kinds: z.array(z.strictObject({ id: z.string(), pieces: z.number() })),
      perPlate: figures,
    }),
  ),
  order: ids.describe('kinds in the order in which they are worked and cooked'),
  apart: z.array(z.string()),
  options: z.array(
    z.strictObject({
      kinds: z.number(),
      madeFor: z.array(ids),
      extraMinutes: z.number(),
      distance: z.number(),
      givesUp: ids,
    }),
  ),
  proven: z.boolean(),
  conflict: z.strictObject({ guestIds: ids, diets: ids, why: z.string() }).nullable(),
})
export type TableAnswer = z.output<typeof tableAnswer>
