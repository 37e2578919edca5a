import { z } from 'zod'

import {
  COOKING_WAYS,
  DOUGH_FEELS,
  FACT_KINDS,
  HEATS,
  LINE_PRECOOKING,
  MAX_LINE_GRAMS,
  MAX_MINUTES,
  MAX_PIECES,
  MEASURED_BY,
  PART_KINDS,
  PLAIN_COOKING,
  RECIPE_VERSION,
  SHAPES,
} from './vocabulary'
import { PRECOOKING_WAYS } from './precookingWays'

const text = (max: number) => z.string().max(max, `use at most ${max} characters`)

const grams = z
  .number('a weight in grams is expected, for example 250')
  .min(0, 'a weight cannot be below 0 g')
  .max(MAX_LINE_GRAMS, `a line can weigh at most ${MAX_LINE_GRAMS / 1000} kg; check the unit`)

export const noteSchema = z.object({
  code: text(40),
  level: z.enum(['note', 'check']).default('note'),
  text: text(600),
})

const cameFromSchema = z.object({
  raw: text(500),
  foodId: text(80).nullable().default(null),
  name: text(200),
  grams: grams.nullable().default(null),
  why: text(800),
  swapId: text(80).default(''),
})

/** What a line and each of its alternatives say of a food. */
const ofAFood = {
  raw: text(500).default(''),
  foodId: text(80).nullable().default(null),
  name: text(200).default(''),
  grams: grams.nullable().default(null),
  gramsLow: grams.nullable().default(null),
  gramsHigh: grams.nullable().default(null),
  waterChangeGrams: z
    .number()
    .min(-MAX_LINE_GRAMS, 'water lost cannot be more than a line can weigh')
    .max(MAX_LINE_GRAMS)
    .default(0),
  prep: z.array(text(200)).max(20).default([]),
  /** How the amount was come by: it decides how far it may be off. */
  measuredBy: z.enum(MEASURED_BY, `use one of ${MEASURED_BY.join(', ')}`).default('scale'),
}

/** An alternative that the text allows: another food, with the handling that hangs on it. */
export const choiceSchema = z.object({
  ...ofAFood,
  /** What the method says of it: "if using frozen spinach, cook 5 minutes longer". */
  handling: text(600).default(''),
})

export const lineSchema = z.object({
  id: text(60).default(''),
  ...ofAFood,
  /** Grams of a line that are really eaten, when the cook has weighed what stayed in the pan or the bowl. */
  eatenGrams: grams.nullable().default(null),
  optional: z.boolean().default(false),
  notes: z.array(noteSchema).max(30).default([]),
  cameFrom: cameFromSchema.nullable().default(null),
  /** How this line is cooked before it goes in, where that is not how its filling is; null for the same. */
  cookedBy: z
    .enum(LINE_PRECOOKING, `use one of ${LINE_PRECOOKING.join(', ')}, or null`)
    .nullable()
    .default(null),
  /** Set while the amount is left to feel: computed from the flours, not stated. */
  toFeel: z
    .object({
      feel: z.enum(DOUGH_FEELS, `use one of ${DOUGH_FEELS.join(', ')}`),
      startGrams: grams,
      lowGrams: grams,
      highGrams: grams,
    })
    .nullable()
    .default(null),
  /** What may be taken instead. */
  choices: z.array(choiceSchema).max(8, 'a line allows at most 8 alternatives').default([]),
  /** The part that this line stands for ("the gravy"); its own lines carry the figures. */
  componentId: text(60).nullable().default(null),
})

export const partSchema = z.object({
  id: text(60).default(''),
  kind: z.enum(PART_KINDS, `use one of ${PART_KINDS.join(', ')}`),
  name: text(120).default(''),
  /** How many of the pieces hold this filling, when there are several; null shares them out equally. */
  pieces: z.number().int().min(1).max(MAX_PIECES).nullable().default(null),
  /** How this filling is cooked before it goes in; null when it goes in raw. */
  cookedBy: z
    .enum(PRECOOKING_WAYS, `use one of ${PRECOOKING_WAYS.join(', ')}, or null`)
    .nullable()
    .default(null),
  /** What the finished filling weighed, when the cook has weighed it; comes before any estimate. */
  finishedGrams: grams.min(1, 'a finished filling weighs at least 1 g').nullable().default(null),
  /** What was left of this part and not eaten; null for the usual. */
  leftGrams: grams.nullable().default(null),
  /** The part that this one is made for: a gravy's filling, a sponge's dough. Null for a part of the piece. */
  into: text(60).nullable().default(null),
  /** Its heading was not understood; the cook is asked what it is. */
  unsure: z.boolean().default(false),
  /** Grams of a finished component that are used; null for all of it. */
  usedGrams: grams.nullable().default(null),
  /** Minutes it is cooked before it goes in, all told; null when not known. */
  cookedMinutes: z.number().min(0).max(MAX_MINUTES, 'at most a day').nullable().default(null),
  /** "Cook until the water is gone": no loose water is left. */
  untilDry: z.boolean().default(false),
  lines: z.array(lineSchema).max(120, 'a part holds at most 120 lines').default([]),
  /** Lines that the text calls optional and the cook leaves out. */
  setAside: z.array(lineSchema).max(400, 'at most 400 lines can be left out of a part').default([]),
})

/** A temperature in °C of an oven, a pan or a pot of oil. */
const temperatureC = z
  .number()
  .min(30)
  .max(350, 'an oven temperature in °C is expected')
  .nullable()
  .default(null)
const minutes = z.number().min(0).max(MAX_MINUTES).nullable().default(null)

/** A second cooking, or the second temperature of one. */
export const stageSchema = z.object({
  way: z.enum(COOKING_WAYS, `use one of ${COOKING_WAYS.join(', ')}`),
  temperatureC,
  minutes,
})

/** A fact of the text that later steps use, with the words it was read from. */
export const factSchema = z.object({
  kind: z.enum(FACT_KINDS, `use one of ${FACT_KINDS.join(', ')}`),
  low: z.number().min(0).max(100_000),
  high: z.number().min(0).max(100_000),
  /** The part it belongs to; null for the piece. */
  partId: text(60).nullable().default(null),
  text: text(300).default(''),
})

export const cookingSchema = z.object({
  way: z.enum(COOKING_WAYS, `use one of ${COOKING_WAYS.join(', ')}`),
  temperatureC,
  minutes,
  /** Stated in words only: "on a low flame". */
  heat: z
    .enum(HEATS, `use one of ${HEATS.join(', ')}`)
    .nullable()
    .default(null),
  /** The temperature is stated for a fan oven. */
  fan: z.boolean().default(false),
  /** What follows: a second way, or a second temperature. */
  andThen: stageSchema.nullable().default(null),
  /** What one cooked piece weighs, when the cook has weighed it. */
  cookedGramsPerPiece: grams.min(1, 'a cooked piece weighs at least 1 g').nullable().default(null),
})

export const recipeSchema = z.object({
  version: z.literal(RECIPE_VERSION).default(RECIPE_VERSION),
  title: text(200).default('Untitled recipe'),
  pieces: z
    .number('the number of pieces is expected, for example 12')
    .int('pieces are whole')
    .min(1, 'at least 1 piece is needed')
    .max(MAX_PIECES, `at most ${MAX_PIECES} pieces`),
  servings: z
    .number('the number of servings is expected, for example 4')
    .min(0.25, 'at least a quarter of a serving is needed')
    .max(MAX_PIECES, `at most ${MAX_PIECES} servings`)
    .default(1),
  /** False while the number is only assumed. */
  piecesStated: z.boolean().default(true),
  servingsStated: z.boolean().default(true),
  shape: z.enum(SHAPES, `use one of ${SHAPES.join(', ')}`).default('half-moon'),
  cooking: cookingSchema.default({ way: 'bake', ...PLAIN_COOKING }),
  /** What one bought piece costs, in the price book's currency, to hold this one against. */
  boughtPricePerPiece: z
    .number('a price is expected, for example 1.80')
    .min(0, 'a price cannot be below 0')
    .max(100_000)
    .nullable()
    .default(null),
  diets: z.array(text(40)).max(20).default([]),
  /** Foods this cook leaves out, by their ids. */
  avoid: z.array(text(80)).max(60, 'avoid at most 60 foods').default([]),
  parts: z.array(partSchema).min(1, 'at least one part is needed').max(20, 'at most 20 parts'),
  method: z.array(text(2000)).max(80).default([]),
  facts: z.array(factSchema).max(80, 'at most 80 facts').default([]),
  notes: z.array(noteSchema).max(60).default([]),
})
