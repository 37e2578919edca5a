import { MAX_KINDS } from '../../core/table/cover'
import { STRENGTHS } from '../../core/table/guest'
import { z } from 'zod'
import { EU_ALLERGENS, ORIGINS, type Allergen } from '../../core/food/food'
import { SHARES, TARGET_PER } from '../../core/diet/target'
import { NUTRIENTS } from '../../core/food/nutrients'
import { MICRONUTRIENT_KEYS, type Micronutrient } from '../../core/food/micronutrients'
import { isTimeZone } from '../../core/planning/localTime'
import { STAGES } from '../../core/planning/tasks'
import { WORK_OF } from '../../core/planning/dinner'
import { MAX_JOBS } from '../../core/schedule/problem'
import { CLOSINGS } from '../../core/piece/closures'
import { COOKWARE_KINDS } from '../../core/tray/batches'
import { MAKING_METHODS } from '../../core/tray/making'
import { MAX_PIECES, PART_KINDS } from '../../core/recipe/vocabulary'
import { PRECOOKING_WAYS } from '../../core/recipe/precookingWays'
import { tooLong } from '../../core/reading/limits'
import { recipeSchema } from '../../core/recipe/schema'

// eslint-disable-next-line no-control-regex
const NUL = /\u0000/g

function notTooLong(text: string, path: string[], context: z.core.$RefinementCtx): void {
  const message = tooLong(text)
  if (message) context.addIssue({ code: 'custom', path, message })
}

export const intakeRequest = z.object({
  text: z
    .string('the text of a recipe is expected')
    .transform((text) => text.replace(NUL, '').toWellFormed())
    .refine((text) => text.trim().length > 0, 'the text is empty; paste a recipe')
    .superRefine((text, context) => notTooLong(text, [], context)),
})

export const evaluateRequest = z.object({ recipe: recipeSchema })

const weight = z
  .number('a number is expected: 1 is usual, 0 does not count')
  .min(0, 'a weight cannot be below 0')
  .max(20, 'use at most 20')

export const targetSchema = z
  .object({
    figure: z.enum([...SHARES, ...NUTRIENTS], `use one of ${[...SHARES, ...NUTRIENTS].join(', ')}`),
    per: z
      .enum(TARGET_PER, `use one of ${TARGET_PER.join(', ')}`)
      .nullable()
      .default(null),
    comparison: z.enum(['at-least', 'at-most'], 'use at-least or at-most'),
    limit: z.number('the limit is expected as a number').min(0, 'a limit cannot be below 0').max(100_000),
    ofOriginal: z.boolean().default(false),
  })
  .refine((target) => SHARES.some((share) => share === target.figure) === (target.per === null), {
    path: ['per'],
    message: 'name what it is per (piece, serving, 100g); a share has none',
  })

const lockIds = z.array(z.string().max(80)).max(200)

export const adaptRequest = z
  .object({
    recipe: recipeSchema,
    diets: z.array(z.string().max(40)).max(20).default([]),
    locks: z
      .object({
        lineIds: lockIds.optional(),
        maxSwaps: z.number().int('swaps are whole').min(0, 'at least 0').max(200).nullable().optional(),
        have: lockIds.nullable().optional(),
        refused: lockIds.optional(),
      })
      .optional(),
    weights: z
      .object({
        moved: weight.optional(),
        swaps: weight.optional(),
        roles: weight.optional(),
        taste: weight.optional(),
        newThings: weight.optional(),
        price: weight.optional(),
        cooking: weight.optional(),
        kept: weight.optional(),
        figures: weight.optional(),
      })
      .optional(),
    targets: z.array(targetSchema).max(12, 'ask for at most 12 figures').optional(),
  })
  .refine(
    (body) => body.diets.length > 0 || (body.targets?.length ?? 0) > 0 || body.recipe.avoid.length > 0,
    {
      path: ['diets'],
      message: 'name at least one diet, for example "vegan", or a target',
    },
  )

export const storedId = z.uuid('an id from /api/recipes is expected')

const revision = z.number().int('a revision is a whole number').min(1)

export const createRequest = z
  .object({
    recipe: recipeSchema,
    parentId: storedId.nullish(),
    parentRevision: revision.nullish(),
  })
  .refine((body) => (body.parentId == null) === (body.parentRevision == null), {
    path: ['parentRevision'],
    message: 'give parentId and parentRevision together, or neither',
  })

export const saveRequest = z.object({ recipe: recipeSchema, revision })

export const variantRequest = z.object({ recipe: recipeSchema, revision })

const amount = z.number('a number is expected, or null where the packet does not say').max(100_000).nullable()

const who = z
  .string('who typed it is expected')
  .trim()
  .min(1, 'say who typed it, so that it can be asked about')
  .max(80, 'use at most 80 characters')

export const labelSchema = z.object({
  name: z.string().max(200, 'use at most 200 characters'),
  perGrams: z.number('the grams that the figures are for are expected, for example 100').max(100_000),
  energy: amount.default(null),
  energyUnit: z.enum(['kcal', 'kJ'], 'use kcal or kJ'),
  fatG: amount.default(null),
  saturatedFatG: amount.default(null),
  carbohydrateG: amount.default(null),
  carbohydrateIncludesFibre: z.boolean().default(false),
  sugarsG: amount.default(null),
  polyolsG: amount.default(null),
  fibreG: amount.default(null),
  proteinG: amount.default(null),
  salt: amount.default(null),
  saltUnit: z.enum(['salt g', 'sodium mg'], 'use "salt g" or "sodium mg"'),
  micronutrients: z
    .partialRecord(z.enum(MICRONUTRIENT_KEYS as [Micronutrient, ...Micronutrient[]]), amount)
    .default({}),
  gramsPerMl: z
    .number()
    .min(0.02, 'no food is lighter than 0.02 g/ml')
    .max(3, 'no food is heavier than 3 g/ml')
    .nullable()
    .default(null),
  origins: z.array(z.enum(ORIGINS)).default([]),
  allergens: z.array(z.enum(Object.keys(EU_ALLERGENS) as [Allergen, ...Allergen[]])).default([]),
})

export const ownFoodRequest = z.object({
  label: labelSchema,
  who,
  likeId: z.string().max(80).nullable().default(null),
})

export const priceRequest = z.object({
  price: z
    .number('what the pack costs is expected, for example 1.99')
    .min(0, 'a price cannot be below 0')
    .max(1e6),
  packGrams: z
    .number('the grams in the pack are expected, for example 500')
    .min(0.1, 'a pack holds at least 0.1 g')
    .max(1e6, 'a pack holds at most 1,000 kg'),
  note: z.string().max(200, 'use at most 200 characters').default(''),
  date: z.iso.date('a day such as 2026-11-24 is expected'),
})

export const currencyRequest = z.object({
  currency: z.string().regex(/^[A-Z]{3}$/, 'three capital letters are expected, for example EUR'),
})

export const importRequest = z.object({
  source: z.string().trim().min(2, 'name the table, for the source of its foods').max(120),
  who,
})

export const finishRequest = z.object({ withoutBadRows: z.boolean().default(false) })

const foodIdOf = z.string('the id of a food is expected').min(1).max(80)

const gramsForAGram = z
  .number('grams for a gram are expected, for example 1')
  .min(0.001, 'at least 0.001 g for a gram')
  .max(100, 'at most 100 g for a gram')

export const ownSwapRequest = z
  .object({
    fromFoodId: foodIdOf,
    toFoodId: foodIdOf,
    ratio: gramsForAGram,
    more: z
      .array(z.object({ foodId: foodIdOf, ratio: gramsForAGram }))
      .max(7, 'at most eight foods stand in for one')
      .default([])
      .describe('what stands in beside the first food'),
    part: z
      .enum(PART_KINDS, `use one of ${PART_KINDS.join(', ')}, or null`)
      .nullable()
      .default(null),
    why: z.string().trim().max(300, 'use at most 300 characters').default('Your own choice'),
  })
  .refine((body) => body.fromFoodId !== body.toFoodId, {
    path: ['toFoodId'],
    message: 'a food cannot stand in for itself',
  })

export const taughtNameRequest = z.object({
  name: z.string('a name is expected, for example "cream"').trim().min(1).max(200),
  foodId: foodIdOf,
})

export const madeFoodRequest = z.object({
  name: z.string('a name is expected').trim().min(2, 'use at least 2 letters').max(120),
  madeOf: z
    .array(
      z.object({
        foodId: foodIdOf,
        grams: z.number('grams are expected').gt(0, 'above 0 g').max(100000, 'at most 100 kg'),
      }),
    )
    .min(1, 'name at least one food')
    .max(60, 'at most 60 foods'),
  makesGrams: z
    .number('what it weighs when it is done, in grams, is expected')
    .gt(0, 'above 0 g')
    .max(100000, 'at most 100 kg'),
  heat: z
    .enum(PRECOOKING_WAYS, `use one of ${PRECOOKING_WAYS.join(', ')}, or null`)
    .nullable()
    .default(null),
  method: z.string().trim().max(2000, 'use at most 2000 characters').default(''),
})

const mm = (most: number) =>
  z
    .number('millimetres are expected, for example 120')
    .gt(0, 'more than 0 mm is expected')
    .max(most, `at most ${most} mm`)
    .optional()

const piecesWanted = z
  .number()
  .int('pieces are whole')
  .min(1, 'at least 1 piece')
  .max(MAX_PIECES, `at most ${MAX_PIECES} pieces`)
  .optional()

const cookwareSchema = z
  .object({
    kind: z.enum(COOKWARE_KINDS, `use one of ${COOKWARE_KINDS.join(', ')}`),
    widthMm: mm(2000),
    lengthMm: mm(2000),
    diameterMm: mm(2000),
    oilMl: z.number().gt(0, 'more than 0 ml of oil').max(50_000, 'at most 50 l of oil').optional(),
    heightMm: mm(1000),
    count: z.number().int('trays and tiers are whole').min(1).max(12).optional(),
    gapMm: z.number().min(0, 'a gap cannot be below 0').max(200).optional(),
    burnerW: z.number().min(0, 'a burner cannot give less than 0 W').max(20_000).optional(),
  })
  .refine((ware) => (ware.widthMm === undefined) === (ware.lengthMm === undefined), {
    path: ['lengthMm'],
    message: 'give width and length together, or a diameter',
  })

export const planSchema = z.object({
  method: z.enum(MAKING_METHODS, `use one of ${MAKING_METHODS.join(', ')}`),
  pieces: piecesWanted,
  ballGrams: z.number().gt(0, 'more than 0 g is expected').max(50_000).optional(),
  thicknessMm: mm(100),
  diameterMm: mm(1000),
  sheetWidthMm: mm(5000),
  sheetLengthMm: mm(5000),
  rerolls: z.number().int('whole times').min(0, 'not below 0').max(6, 'at most 6 times').optional(),
  fillingGramsPerPiece: z.number().min(0, 'not below 0 g').max(50_000).optional(),
  cookware: z.array(cookwareSchema).max(6, 'at most 6 kinds of cookware').optional(),
  closing: z.enum(CLOSINGS, `use one of ${CLOSINGS.join(', ')}`).optional(),
  rimShare: z.number().min(0, 'not below 0').max(0.6, 'at most 0.6').optional(),
  dishHeightMm: mm(300),
  startC: z.number().min(-40, 'not below −40 °C').max(60, 'at most 60 °C').optional(),
  parCooked: z.boolean().optional(),
})

/** A day at the most, for a task; three for a wait. */
const wholeMinutes = (most: number, what: string) =>
  z
    .number(`${what} in minutes is expected`)
    .min(0, `${what} cannot be below 0 min`)
    .max(most, `${what} is at most ${most} min`)
    .transform((minutes) => Math.ceil(minutes))

const timeOfDay = z.union([z.string().max(40), z.number()], {
  error: 'a time is expected, such as "2026-11-26T19:30", "19:30", or minutes as a number',
})

const resourceName = z.string().min(1).max(40)
const units = z.number().int('whole units are expected').min(0, 'not below 0').max(1000)

const taskSchema = z.object({
  id: z.string('an id is expected').min(1, 'an id is expected').max(80),
  name: z.string().max(200).optional(),
  minutes: wholeMinutes(100_000, 'the time of a task'),
  uses: z.record(resourceName, units).default({}),
  after: z
    .array(
      z.object({
        id: z.string().max(80),
        minMinutes: wholeMinutes(100_000, 'a wait').default(0),
        maxMinutes: wholeMinutes(100_000, 'a wait').nullable().default(null),
      }),
    )
    .max(400, 'a task waits for at most 400 others')
    .default([]),
})

export const scheduleRequest = z
  .object({
    serveAt: timeOfDay,
    from: timeOfDay.nullable().default(null),
    timeZone: z
      .string()
      .max(60)
      .refine(isTimeZone, 'use the name of a time zone, such as "Etc/UTC"')
      .optional(),
    hands: units.min(1, 'at least one pair of hands is needed').max(12).optional(),
    capacity: z.record(resourceName, units).default({}),
    people: z
      .array(
        z.object({
          name: z.string().max(60).default(''),
          from: timeOfDay.nullable().default(null),
          does: z.enum(WORK_OF, `use one of ${WORK_OF.join(', ')}`).default('everything'),
        }),
      )
      .max(12)
      .optional(),
    recipes: z
      .array(
        z.object({
          recipe: recipeSchema,
          plan: planSchema.optional(),
          stage: z.enum(STAGES, `use one of ${STAGES.join(', ')}`).default('fresh'),
        }),
      )
      .max(8, 'at most 8 recipes at once')
      .default([]),
    tasks: z.array(taskSchema).max(MAX_JOBS, `at most ${MAX_JOBS} tasks`).default([]),
    night: z.object({ from: timeOfDay, until: timeOfDay, backAt: timeOfDay }).nullable().default(null),
    roomC: z.number().min(5).max(45).default(22),
    burnerW: z.number().min(200).max(10_000).default(2000),
    keepApart: z.boolean().default(false),
    minutes: z.record(z.string().max(80), wholeMinutes(1440, 'the time of a task')).default({}),
  })
  .refine((asked) => asked.recipes.length + asked.tasks.length > 0, {
    path: ['recipes'],
    message: 'there is nothing to plan: give recipes, or tasks',
  })
  .refine((asked) => !asked.recipes.length || !asked.tasks.length, {
    path: ['tasks'],
    message: 'give recipes or tasks, not both',
  })
export type ScheduleAsked = z.output<typeof scheduleRequest>

export const piecesRequest = z.object({ recipe: recipeSchema.optional(), plan: planSchema })

const celsius = (what: string) =>
  z
    .number(`${what} in °C is expected`)
    .min(-60, `${what} is not below −60 °C`)
    .max(400, `${what} is at most 400 °C`)
const positive = (what: string, unit: string, least: number, most: number) =>
  z
    .number(`${what} in ${unit} is expected`)
    .min(least, `${what} is at least ${least} ${unit}`)
    .max(most, `${what} is at most ${most} ${unit}`)
const halfMm = positive('half of the thickness', 'mm', 0.1, 500)

/** A body of constant properties. */
export const bodyToHeat = z
  .object({
    geometry: z.enum(['slab', 'cylinder', 'sphere'], 'use one of slab, cylinder, sphere'),
    halfThicknessMm: halfMm.optional(),
    radiusMm: halfMm.optional(),
    conductivityWmK: positive('the conductivity', 'W/(m·K)', 0.01, 500),
    densityKgM3: positive('the density', 'kg/m³', 10, 25_000),
    specificHeatJkgK: positive('the specific heat', 'J/(kg·K)', 50, 20_000),
    surfaceWm2K: positive('the surface coefficient', 'W/(m²·K)', 0.1, 1_000_000),
    startC: celsius('the start'),
    mediumC: celsius('what is round it'),
    targetC: celsius('the target'),
  })
  .refine((body) => (body.halfThicknessMm ?? body.radiusMm) !== undefined, {
    path: ['halfThicknessMm'],
    message: 'halfThicknessMm of a slab, or radiusMm of a cylinder or sphere, is expected',
  })

/** One piece of a recipe, as the Tray has it. */
export const pieceToHeat = z.object({
  recipe: recipeSchema,
  plan: planSchema.optional(),
  startC: celsius('the start').optional(),
  targetC: celsius('the target').optional(),
  thickness: positive('the thickness', 'times', 0.2, 5).default(1),
  warmerC: z.number('degrees are expected').min(-150).max(150).default(0),
})

export const heatRequest = z.union([bodyToHeat, pieceToHeat])

const finite = (what: string) => z.number(`${what} is expected`).min(-1e9).max(1e9)
const deviation = z
  .number('a standard deviation is expected')
  .gt(0, 'a standard deviation is above 0')
  .max(1e9)

export const learnRequest = z.object({
  prior: z.object({ mean: finite('the mean'), sd: deviation }),
  observations: z
    .array(
      z.object({
        value: finite('a value'),
        sd: deviation,
        bakesAgo: z.number().min(0, 'not below 0').max(10_000).optional(),
      }),
    )
    .max(1000, 'at most 1,000 observations'),
})

/** A page, a JSON-LD document or a text, one of the three. */
export const MAX_PAGE_CHARACTERS = 2_000_000
const page = z
  .string('text is expected')
  .max(MAX_PAGE_CHARACTERS, `at most ${MAX_PAGE_CHARACTERS} characters are read`)
  .transform((text) => text.replace(NUL, '').toWellFormed())
export const pageImportRequest = z
  .object({ html: page.optional(), jsonld: page.optional(), text: page.optional() })
  .refine(
    (given) => [given.html, given.jsonld, given.text].some((one) => one !== undefined && one.trim() !== ''),
    { path: ['html'], message: 'html, jsonld or text is expected, and something in it' },
  )
  .superRefine(({ text = '' }, context) => notTooLong(text, ['text'], context))

const some = (what: string) =>
  z
    .number()
    .int(`whole ${what}`)
    .min(1)
    .max(MAX_KINDS, `at most ${MAX_KINDS} ${what}`)
    .nullable()
    .default(null)
export const tableRequest = z.object({
  recipe: recipeSchema,
  guests: z
    .array(
      z.object({
        id: z.string().min(1, 'a guest needs an id').max(60),
        diets: z.array(z.string().max(40)).max(8, 'at most 8 diets a guest').default([]),
        avoid: z.array(z.string().max(80)).max(30, 'at most 30 foods a guest').default([]),
        likes: z.array(z.string().max(80)).max(30, 'at most 30 foods a guest').default([]),
        strength: z.enum(STRENGTHS, `use one of ${STRENGTHS.join(', ')}`).default('intolerance'),
        pieces: z
          .number('a number of pieces is expected')
          .int('whole pieces')
          .min(1, 'at least 1 piece')
          .max(60, 'at most 60 pieces a guest'),
      }),
    )
    .min(1, 'at least one guest is expected')
    .max(40, 'at most 40 guests')
    .refine(
      (guests) => new Set(guests.map(({ id }) => id)).size === guests.length,
      'every guest has an id of their own',
    ),
  options: z
    .object({
      kinds: some('kinds'),
      doughs: some('doughs'),
      fillings: some('fillings'),
      /** Each guest has of every kind that suits. */
      mixed: z.boolean().default(false),
    })
    .prefault({}),
})
export type TableAsked = z.output<typeof tableRequest>
