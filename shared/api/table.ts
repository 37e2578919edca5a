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
      wishes: z
        .array(
          z.strictObject({
            diet: z.string(),
            text: z.string(),
            kept: z.boolean().nullable(),
            missedBy: z.number(),
          }),
        )
        .describe("what the guest's diets ask of figures, over the whole plate"),
      liked: ids.describe('foods on it that the guest likes'),
      toCheck: z.array(z.string()).describe('packets to read first'),
      passedOver: z.array(z.string()).describe('what of a preference is not kept, for nothing suited'),
    }),
  ),
  order: ids.describe('kinds in the order in which they are worked and cooked'),
  apart: z.array(z.string()),
  dishes: z
    .array(z.strictObject({ recipe: recipeSchema, kinds: ids }))
    .describe('what is made in one go: kinds of one dough together, as one recipe with several fillings'),
  options: z.array(
    z.strictObject({
      kinds: z.number(),
      doughs: z.number(),
      fillings: z.number(),
      madeFor: z.array(ids),
      handsMinutes: z.number().describe("minutes of hands by the Clock's tasks"),
      extraMinutes: z.number().describe('beyond the option with the least work'),
      cost: z.number().nullable().describe("in the price book's currency; null without prices"),
      costUnknown: ids.describe('foods without a price: with any, the cost is "at least"'),
      distance: z.number().describe('from the recipe as it is, added up over all pieces'),
      givesUp: z.array(z.strictObject({ guestId: z.string(), foods: z.array(z.string()) })),
      isSet: z.boolean().describe('the table is set this way'),
    }),
  ),
  proven: z.boolean(),
  remarks: z.array(z.string()),
  conflict: z
    .strictObject({
      guestIds: ids,
      diets: ids,
      why: z.string(),
      fewer: z
        .array(z.strictObject({ guestId: z.string(), pieces: z.number() }))
        .describe('for whom fewer pieces could be made to fit'),
    })
    .nullable(),
})
export type TableAnswer = z.output<typeof tableAnswer>
