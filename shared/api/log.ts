import { z } from 'zod'
import { recordSchema } from '../../core/log/record'
import { COOKING_WAYS } from '../../core/recipe/vocabulary'

const minutes = z.number().nullable()

/** When the middle of a body or a piece has passed a temperature. */
export const heatAnswer = z.strictObject({
  minutesToTarget: minutes.describe('null where it is not passed within the time that is looked at'),
  centreC: z.array(z.tuple([z.number(), z.number()])).describe('minutes and °C of the middle'),
  energyKJ: z
    .number()
    .describe(
      'heat taken up until then: of a whole sphere or piece, of a metre of cylinder, of a square metre of slab heated from both sides',
    ),
  profileC: z.array(z.tuple([z.number(), z.number()])).describe('mm from the middle and °C, at the end'),
  band: z.strictObject({ low: minutes, high: minutes }).optional(),
  piece: z
    .strictObject({
      targetC: z.number(),
      limit: z.strictObject({ celsius: z.number(), text: z.string(), source: z.string() }).nullable(),
      startC: z.number(),
      stages: z.array(
        z.strictObject({
          way: z.enum(COOKING_WAYS),
          mediumC: z.number(),
          minutes,
          surfaceWm2K: z.tuple([z.number(), z.number(), z.number()]).describe('least, usual, most'),
        }),
      ),
      halfThicknessMm: z.number(),
      dimensions: z.number().describe('1 as a slab, 2 as a cylinder, 3 as a ball'),
      layers: z.array(z.strictObject({ name: z.enum(['filling', 'dough']), thicknessMm: z.number() })),
      working: z.array(z.string()),
    })
    .optional(),
})
export type HeatAnswer = z.output<typeof heatAnswer>

export const learnAnswer = z.strictObject({
  mean: z.number(),
  sd: z.number(),
  low: z.number().describe('nine times in ten it lies between low and high'),
  high: z.number(),
  n: z.number(),
  trust: z.array(z.number()).describe('of each observation, how likely it is no slip'),
})

/** A state of a record, as a device has it. */
export const recordRequest = z.object({
  record: recordSchema,
  /** Rises with every change on the device: what comes twice or late changes nothing. */
  sequence: z.number().int('a whole number is expected').min(1).max(2_000_000_000),
})

export const recordAnswer = z.strictObject({
  id: z.string(),
  record: recordSchema,
  sequence: z.number(),
  savedAt: z.union([z.string(), z.date()]),
  photos: z.array(z.string()).describe('ids of its pictures'),
})
export type StoredRecord = z.output<typeof recordAnswer>
export const recordsAnswer = z.strictObject({ records: z.array(recordAnswer) })
