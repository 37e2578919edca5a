import { z } from 'zod'

/** The version of the recipe document. A change that old readers cannot take raises it. */
export const RECIPE_VERSION = 1

export const PART_KINDS = ['shell', 'filling', 'finish', 'pan', 'dip'] as const
export type PartKind = (typeof PART_KINDS)[number]

export const COOKING_WAYS = [
  'bake',
  'deep-fry',
  'shallow-fry',
  'griddle',
  'steam',
  'boil',
  'brown-and-steam',
] as const
export type CookingWay = (typeof COOKING_WAYS)[number]

export const SHAPES = ['half-moon', 'bun', 'disc', 'parcel', 'cone', 'roll', 'lidded-pie'] as const
export type Shape = (typeof SHAPES)[number]

/** No line of a home batch weighs more than this; above it a unit was mistyped. */
export const MAX_LINE_GRAMS = 50_000
export const MAX_PIECES = 1000

// The database keeps documents as JSON text, which can hold neither a NUL nor half a surrogate pair.
// eslint-disable-next-line no-control-regex
const UNSTORABLE = /\u0000|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/
const text = (max: number) =>
  z
    .string()
    .max(max, `use at most ${max} characters`)
    .refine((value) => !UNSTORABLE.test(value), 'holds a character that cannot be stored; remove it')

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

export const lineSchema = z.object({
  id: text(60).default(''),
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
  /** Grams of a pan line that are really eaten, when the cook has weighed the oil before and after. */
  eatenGrams: grams.nullable().default(null),
  prep: z.array(text(200)).max(20).default([]),
  optional: z.boolean().default(false),
  notes: z.array(noteSchema).max(30).default([]),
  cameFrom: cameFromSchema.nullable().default(null),
})

export const partSchema = z.object({
  id: text(60).default(''),
  kind: z.enum(PART_KINDS, `use one of ${PART_KINDS.join(', ')}`),
  name: text(120).default(''),
  /** How many of the pieces hold this filling, when there are several; null shares them out equally. */
  pieces: z.number().int().min(1).max(MAX_PIECES).nullable().default(null),
  lines: z.array(lineSchema).max(120, 'a part holds at most 120 lines').default([]),
})

export const cookingSchema = z.object({
  way: z.enum(COOKING_WAYS, `use one of ${COOKING_WAYS.join(', ')}`),
  temperatureC: z.number().min(30).max(350, 'an oven temperature in °C is expected').nullable().default(null),
  minutes: z.number().min(0).max(1440).nullable().default(null),
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
  shape: z.enum(SHAPES, `use one of ${SHAPES.join(', ')}`).default('half-moon'),
  cooking: cookingSchema.default({ way: 'bake', temperatureC: null, minutes: null }),
  diets: z.array(text(40)).max(12).default([]),
  parts: z.array(partSchema).min(1, 'at least one part is needed').max(20, 'at most 20 parts'),
  method: z.array(text(2000)).max(80).default([]),
  notes: z.array(noteSchema).max(60).default([]),
})

export type Recipe = z.infer<typeof recipeSchema>
export type Part = z.infer<typeof partSchema>
export type Line = z.infer<typeof lineSchema>
export type RecipeNote = z.infer<typeof noteSchema>

/** An empty line with the given fields set. */
export function newLine(fields: Partial<Line>): Line {
  return {
    id: '',
    raw: '',
    foodId: null,
    name: '',
    grams: null,
    gramsLow: null,
    gramsHigh: null,
    waterChangeGrams: 0,
    eatenGrams: null,
    prep: [],
    optional: false,
    notes: [],
    cameFrom: null,
    ...fields,
  }
}

/**
 * Gives every part and line an id of its own, keeping those that are unique already, so that a document
 * written by hand can be worked on like one that was read.
 */
export function withIds(recipe: Recipe): Recipe {
  const seen = new Set<string>()
  const unique = (wanted: string, fallback: string) => {
    let id = wanted && !seen.has(wanted) ? wanted : fallback
    for (let n = 2; seen.has(id); n++) id = `${fallback}-${n}`
    seen.add(id)
    return id
  }
  return {
    ...recipe,
    parts: recipe.parts.map((part, p) => ({
      ...part,
      id: unique(part.id, `p${p + 1}`),
      lines: part.lines.map((line, l) => ({ ...line, id: unique(line.id, `p${p + 1}l${l + 1}`) })),
    })),
  }
}

/** All lines of a recipe with the part each stands in. */
export function allLines(recipe: Recipe): { part: Part; line: Line }[] {
  return recipe.parts.flatMap((part) => part.lines.map((line) => ({ part, line })))
}
