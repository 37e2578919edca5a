import { z } from 'zod'
import type { Price } from '../../core/cost/costOf'
import { TABLE_FILE_KEYS } from '../../core/exchange/openTable'
import { AMINO_ACID_KEYS } from '../../core/food/aminoAcids'
import { COMPOSITION_KEYS } from '../../core/food/composition'
import { EU_ALLERGENS, ORIGINS, STATES, type Allergen, type Food } from '../../core/food/food'
import { MICRONUTRIENT_KEYS } from '../../core/food/micronutrients'
import type { PacketLabel } from '../../core/food/packet'
import type { OwnSwap } from '../../core/substitution/catalogue'
import type { TaughtName } from '../../core/tables/taughtNames'
import { labelSchema, priceRequest, storedId } from './requests'
import { kind } from './evaluation'

export const SHELVES = ['table', 'measured', 'own', 'import'] as const
export type FoodShelf = (typeof SHELVES)[number]

const origins = z.array(z.enum(ORIGINS))
const allergens = z.array(z.enum(Object.keys(EU_ALLERGENS) as [Allergen, ...Allergen[]]))

/** A food with the shelf it stands on. */
export const foodAnswer = z.strictObject({
  id: z.string(),
  name: z.string(),
  synonyms: z.array(z.string()),
  group: z.string(),
  kind: z.string(),
  state: z.enum(STATES).nullable(),
  figuresOf: z.string().nullable(),
  origins,
  possibleOrigins: origins,
  originKnown: z.boolean(),
  allergens,
  possibleAllergens: allergens,
  per100g: z.record(z.enum(COMPOSITION_KEYS), z.number()),
  unknown: z.array(z.enum(COMPOSITION_KEYS)),
  micronutrients: z.record(z.enum(MICRONUTRIENT_KEYS), z.number().nullable()),
  aminoAcids: z
    .strictObject({ mgPerGProtein: z.record(z.enum(AMINO_ACID_KEYS), z.number()), source: z.string() })
    .nullable(),
  energyKcal: z.number(),
  statedEnergyKcal: z.number(),
  gramsPerMl: z.number(),
  unitGrams: z.record(z.string(), z.number()),
  waterDemand: z.number().nullable(),
  scaldedDemand: z.number().nullable(),
  scalded: z.boolean().optional(),
  grain: z.enum(['whole', 'refined']).nullable(),
  freeWater: z.number(),
  softeningFat: z.enum(['oil', 'solid']).nullable(),
  source: z.string(),
  homemade: z
    .strictObject({
      madeOf: z.array(z.strictObject({ foodId: z.string(), name: z.string(), grams: z.number() })),
      makesGrams: z.number(),
      method: z.string(),
    })
    .optional(),
  taughtNames: z.array(z.string()).optional(),
  shelf: z.enum(SHELVES),
}) satisfies z.ZodType<Food>
export type ShelvedFood = Food & { shelf: FoodShelf }

export const foodEntryAnswer = z.strictObject({
  entry: z.number(),
  who: z.string(),
  label: labelSchema,
  typedAt: z.string(),
})
export type FoodEntry = Omit<z.output<typeof foodEntryAnswer>, 'label'> & { label: PacketLabel }

export const ownFoodAnswer = z.strictObject({ food: foodAnswer, entries: z.array(foodEntryAnswer) })
export interface OwnFood {
  food: ShelvedFood
  entries: FoodEntry[]
}

export const priceAnswer = priceRequest.extend({ foodId: z.string() }).strict() satisfies z.ZodType<Price>

export const pricesAnswer = z.strictObject({
  currency: z.string().describe("ISO 4217 code of the book's one currency"),
  prices: z.array(priceAnswer),
})
export type StoredPrices = z.output<typeof pricesAnswer>

const importFields = {
  id: storedId,
  source: z.string(),
  who: z.string(),
  state: z.enum(['open', 'merging', 'done', 'dropped']),
  message: z.string(),
  foods: z.number().describe('foods made of it so far'),
  startedAt: z.string(),
  endedAt: z.string().nullable(),
}

const fileFields = {
  nextByte: z.number().describe('go on from here'),
  rows: z.number(),
  badRows: z.number(),
  ended: z.boolean(),
}
const file = z.enum(TABLE_FILE_KEYS)

export const importAnswer = z.strictObject({
  ...importFields,
  files: z.array(z.strictObject({ file, ...fileFields })),
  badRows: z.array(z.strictObject({ file, rowNumber: z.number(), reason: z.string() })),
})
export type StoredImport = z.output<typeof importAnswer>

export const importsAnswer = z.strictObject({ imports: z.array(z.strictObject(importFields)) })

export const chunkAnswer = z.strictObject(fileFields)

export const ownSwapAnswer = z.strictObject({
  id: storedId,
  fromFoodId: z.string(),
  toFoodId: z.string(),
  ratio: z.number(),
  more: z.array(z.strictObject({ foodId: z.string(), ratio: z.number() })),
  part: kind.nullable(),
  why: z.string(),
}) satisfies z.ZodType<OwnSwap>

export const taughtNameAnswer = z.strictObject({
  name: z.string(),
  foodId: z.string(),
}) satisfies z.ZodType<TaughtName>
