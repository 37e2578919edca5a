import { z } from 'zod'
import { isTimeZone, readMoment } from '../../core/planning/localTime'
import { EQUIPMENT, STAGES } from '../../core/planning/tasks'
import { WORK_OF } from '../../core/planning/dinner'
import { recipeSchema } from '../../core/recipe/schema'
import type { StockedFood } from '../../core/shopping/stock'
import { planSchema } from './requests'

/** A time by the kitchen's clock: "2026-11-26T19:30". */
const wall = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'a day and a time are expected, such as "2026-11-26T19:30"')
  .refine((text) => readMoment(text) !== null, 'there is no such day')
const instant = z
  .string()
  .max(40)
  .refine(
    (text) => readMoment(text) !== null && /Z$/.test(text),
    'a time in UTC is expected, such as "2026-11-26T18:30:00Z"',
  )
const name = z.string().max(200)
const minutes = z.number().int('whole minutes').min(0).max(1440)
const taskId = z.string().max(80)

/** What was planned, as it was shown: this is what a calendar is made of. */
const plannedTask = z.object({
  id: taskId,
  name,
  startAt: instant,
  endAt: instant,
  hands: z.boolean(),
  person: z.number().int().min(0).max(12).nullable(),
  kind: z.string().max(20),
  why: z.string().max(600),
  dish: z.number().int().min(0).max(20),
  step: z.number().int().min(0).max(100).nullable(),
})

/** A dinner: what is cooked, by whom, for when. */
export const dinnerSchema = z.object({
  version: z.literal(1).default(1),
  serveAt: wall,
  timeZone: z.string().max(60).refine(isTimeZone, 'use the name of a time zone, such as "Etc/UTC"'),
  /** Nothing begins earlier; null for any time. */
  from: wall.nullable().default(null),
  /** The evening before, and when somebody is back. */
  night: z.object({ from: wall, until: wall, backAt: wall }).nullable().default(null),
  people: z
    .array(z.object({ name: z.string().max(60), from: wall.nullable(), does: z.enum(WORK_OF) }))
    .min(1, 'somebody has to cook')
    .max(8, 'at most 8 people'),
  equipment: z.object(
    Object.fromEntries(EQUIPMENT.map((one) => [one, z.number().int('whole ones').min(0).max(30)])) as Record<
      (typeof EQUIPMENT)[number],
      z.ZodNumber
    >,
  ),
  roomC: z.number().min(5, 'at least 5 °C').max(45, 'at most 45 °C'),
  burnerW: z.number().min(200).max(10_000),
  keepApart: z.boolean().default(false),
  dishes: z
    .array(
      z.object({
        recipeId: z.uuid().nullable(),
        recipe: recipeSchema,
        stage: z.enum(STAGES),
        plan: planSchema.nullable(),
        /** The recipe whose table sent it, by its id or title: it follows that table. */
        fromTable: z.string().max(200).nullable().default(null),
      }),
    )
    .max(8, 'at most 8 dishes'),
  edits: z.record(taskId, z.object({ minutes: minutes.optional(), startAt: instant.optional() })).default({}),
  begun: z.record(taskId, z.object({ startAt: instant, endAt: instant.nullable() })).default({}),
  givenUp: z.array(z.string().max(200)).max(200).default([]),
  plan: z.array(plannedTask).max(400).nullable().default(null),
})
export type DinnerDocument = z.output<typeof dinnerSchema>

export const dinnerRequest = z.object({ dinner: dinnerSchema })

export const dinnerAnswer = z.strictObject({ id: z.uuid(), dinner: dinnerSchema, savedAt: z.string() })
export type StoredDinner = z.output<typeof dinnerAnswer>

export const listedDinner = z.strictObject({
  id: z.uuid(),
  serveAt: z.string(),
  titles: z.array(z.string()),
  savedAt: z.string(),
})
export type ListedDinner = z.output<typeof listedDinner>

const day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'a day is expected, such as "2026-11-26"')
  .refine((text) => readMoment(`${text}T00:00`) !== null, 'there is no such day')
const stockGrams = z.number('grams are expected').min(0, 'not below 0 g').max(1_000_000, 'at most a ton')

export const stockRequest = z.object({
  grams: stockGrams,
  keepsUntil: day.nullable().default(null),
  note: z.string().trim().max(200).default(''),
})
export const stockChangeRequest = z.object({
  changes: z
    .array(
      z.object({
        foodId: z.string().min(1).max(80),
        grams: z.number('grams are expected: below 0 for what was used').min(-1_000_000).max(1_000_000),
      }),
    )
    .max(500, 'at most 500 foods at once'),
})
export const stockedAnswer = z.strictObject({
  foodId: z.string(),
  grams: z.number(),
  keepsUntil: z.string().nullable(),
  note: z.string(),
}) satisfies z.ZodType<StockedFood>
