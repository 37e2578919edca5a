import { z } from 'zod'

/** The version of the record document. */
export const RECORD_VERSION = 1

const text = (most: number) => z.string().max(most, `use at most ${most} characters`)
/** When, in milliseconds since 1970 as the device's clock had it. */
const moment = z.number('a moment in milliseconds is expected').min(0).max(4e12)
const grams = z
  .number('a weight in grams is expected')
  .min(0, 'a weight cannot be below 0 g')
  .max(50_000, 'a weight is at most 50 kg')
const minutes = z.number('minutes are expected').min(0, 'not below 0 min').max(2880, 'at most two days')
const step = (words: string) => z.number().int().min(1, words).max(5, words)

/** What is measured by a probe, with what it can be in °C: a pot of oil is never at 400. */
export const MEASURED = {
  oil: { name: 'Oil', least: 10, most: 260 },
  oven: { name: 'Oven', least: 10, most: 320 },
  middle: { name: 'Middle of a piece', least: -30, most: 125 },
  filling: { name: 'Filling at closing', least: -30, most: 125 },
  room: { name: 'Room', least: -10, most: 50 },
  liquid: { name: 'Liquid for the yeast', least: 0, most: 100 },
} as const
export type Measured = keyof typeof MEASURED
export const MEASURED_KEYS = Object.keys(MEASURED) as [Measured, ...Measured[]]

const reading = z
  .object({ what: z.enum(MEASURED_KEYS), celsius: z.number('°C are expected'), at: moment })
  .superRefine(({ what, celsius }, context) => {
    const { least, most, name } = MEASURED[what]
    if (celsius < least || celsius > most)
      context.addIssue({
        code: 'custom',
        path: ['celsius'],
        message: `${name}: between ${least} and ${most} °C is expected`,
      })
  })

/** How a cook judges, from 1 to 5, in words. */
export const SCALES = {
  feel: ['dry', 'firm', 'as wanted', 'soft', 'slack'],
  closed: ['would not close', 'with trouble', 'well enough', 'well', 'by itself'],
  colour: ['raw', 'pale', 'as wanted', 'dark', 'burnt'],
  crust: ['soft', 'a little soft', 'good', 'hard', 'too hard'],
  inside: ['raw or wet', 'a little wet', 'good', 'a little dry', 'dry'],
  taste: ['not again', 'so so', 'good', 'very good', 'the best so far'],
} as const
export type JudgedBy = keyof typeof SCALES

const judgementSchema = z.object({
  feel: step('one of five').nullable().default(null),
  closed: step('one of five').nullable().default(null),
  colour: step('one of five').nullable().default(null),
  crust: step('one of five').nullable().default(null),
  inside: step('one of five').nullable().default(null),
  taste: step('one of five').nullable().default(null),
  burst: z.number().int('whole pieces').min(0).max(1000).nullable().default(null),
  leaked: z.number().int('whole pieces').min(0).max(1000).nullable().default(null),
  likedBy: text(200).default(''),
  note: text(2000).default(''),
})

const timerSchema = z.object({
  id: text(60),
  name: text(200),
  minutes,
  startedAt: moment,
  /** Rung and put out; null while it runs or rings. */
  doneAt: moment.nullable().default(null),
})

/** What was expected when the session began: predictions are held against what happened, never made afterwards. */
const expectedSchema = z.object({
  pieces: z.number().min(1).max(1000),
  /** The dough's main liquid, which is added by feel: water or milk. */
  liquidGrams: grams.nullable().default(null),
  liquidLineId: text(60).nullable().default(null),
  /** All the free water of the dough, of which the added water is a part. */
  freeWaterGrams: grams.nullable().default(null),
  flourId: text(80).nullable().default(null),
  flourName: text(200).default(''),
  way: text(40),
  closing: text(40),
  oilGramsPerPiece: grams.nullable().default(null),
  fillingGrams: grams.nullable().default(null),
  closeMinutesPerPiece: minutes.nullable().default(null),
  cookMinutes: minutes.nullable().default(null),
  mediumC: z.number().min(-60).max(400).nullable().default(null),
  findings: z.record(text(40), z.union([z.number(), text(80)])).default({}),
})

export const recordSchema = z.object({
  version: z.literal(RECORD_VERSION).default(RECORD_VERSION),
  recipeId: text(60).nullable().default(null),
  /** The exact revision that was cooked; null for what was never saved. */
  revision: z.number().int().min(1).nullable().default(null),
  title: text(200),
  startedAt: moment,
  finishedAt: moment.nullable().default(null),
  expected: expectedSchema,
  /** By line: what was planned and what went in. */
  weights: z
    .array(z.object({ lineId: text(60), name: text(200), plannedGrams: grams, grams, at: moment }))
    .max(400)
    .default([]),
  /** What really went in of the dough's main liquid, the spoons at the end with it. */
  liquidGrams: grams.nullable().default(null),
  stepAt: z.number().int().min(0).max(500).default(0),
  stepTimes: z.record(text(20), moment).default({}),
  timers: z.array(timerSchema).max(60).default([]),
  readings: z.array(reading).max(500, 'at most 500 readings').default([]),
  batches: z
    .array(
      z.object({
        pieces: z.number().int('whole pieces').min(0).max(1000),
        minutes: minutes.nullable(),
        at: moment,
      }),
    )
    .max(60)
    .default([]),
  made: z.number().int('whole pieces').min(0).max(1000).nullable().default(null),
  /** Weighed at the end; null for what was not. */
  left: z
    .object({
      doughGrams: grams.nullable().default(null),
      trimmingsGrams: grams.nullable().default(null),
      fillingGrams: grams.nullable().default(null),
      washGrams: grams.nullable().default(null),
    })
    .prefault({}),
  finishedFillingGrams: grams.nullable().default(null),
  oilBeforeGrams: grams.nullable().default(null),
  oilAfterGrams: grams.nullable().default(null),
  closeMinutes: minutes.nullable().default(null),
  rolls: z.number().int().min(1).max(9).nullable().default(null),
  judgement: judgementSchema.prefault({}),
  symptoms: z
    .array(z.object({ id: text(40), answers: z.record(text(40), z.boolean()).default({}) }))
    .max(12)
    .default([]),
  /** Of a pair that differ in one thing: the other record and what differs. */
  experiment: z
    .object({
      otherId: text(60),
      differs: text(300),
      preferThis: z.number().int().min(0).max(200),
      preferOther: z.number().int().min(0).max(200),
    })
    .nullable()
    .default(null),
})
export type CookRecord = z.output<typeof recordSchema>
export type Expected = CookRecord['expected']
