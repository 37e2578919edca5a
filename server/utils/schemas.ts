import { z } from 'zod'
import { AMINO_ACID_KEYS } from '../../core/food/aminoAcids'
import { EU_ALLERGENS, ORIGINS, type Allergen } from '../../core/food/food'
import { SHARES, TARGET_PER } from '../../core/diet/target'
import { NUTRIENTS } from '../../core/food/nutrients'
import { MICRONUTRIENT_KEYS } from '../../core/food/micronutrients'
import { PART_KINDS, PRECOOKING_WAYS } from '../../core/recipe/document'
import { recipeSchema } from '../../core/recipe/schema'

/** Longest recipe text that is read. */
export const MAX_TEXT_CHARACTERS = 200_000

// eslint-disable-next-line no-control-regex
const NUL = /\u0000/g

export const intakeRequest = z.object({
  text: z
    .string('the text of a recipe is expected')
    .max(MAX_TEXT_CHARACTERS, `a recipe of at most ${MAX_TEXT_CHARACTERS} characters is expected`)
    .transform((text) => text.replace(NUL, '').toWellFormed())
    .refine((text) => text.trim().length > 0, 'the text is empty; paste a recipe'),
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

const uuid = z.uuid('an id from /api/recipes is expected')
const revision = z.number().int('a revision is a whole number').min(1)

export const createRequest = z
  .object({
    recipe: recipeSchema,
    parentId: uuid.nullish(),
    parentRevision: revision.nullish(),
  })
  .refine((body) => (body.parentId == null) === (body.parentRevision == null), {
    path: ['parentRevision'],
    message: 'give parentId and parentRevision together, or neither',
  })

export const saveRequest = z.object({ recipe: recipeSchema, revision })
export const variantRequest = z.object({ recipe: recipeSchema, revision })

const nutrients = {
  energyKcal: z.number(),
  proteinG: z.number(),
  fatG: z.number(),
  saturatedFatG: z.number(),
  carbohydrateG: z.number().describe('total, by difference'),
  fibreG: z.number(),
  sugarsG: z.number(),
  polyolsG: z.number(),
  netCarbohydrateG: z.number(),
  sodiumMg: z.number(),
  saltG: z.number(),
}
const nutrientsAnswer = z.object(nutrients)
export const figuresAnswer = z.object({ grams: z.number(), ...nutrients })

const unresolved = z.object({ lineId: z.string(), raw: z.string(), part: z.string(), reason: z.string() })

export const intakeAnswer = z.object({
  recipe: recipeSchema,
  lines: z.array(
    z.object({
      lineId: z.string(),
      raw: z.string(),
      part: z.string(),
      foodId: z.string().nullable(),
      foodName: z.string(),
      grams: z.number().nullable(),
      warnings: z.array(z.string()),
    }),
  ),
  unresolved: z.array(unresolved),
})

const percentage = z.number().nullable()

const balanceRows = z.array(z.object({ what: z.string(), grams: z.number(), why: z.string() }))

export const evaluationAnswer = z.object({
  title: z.string(),
  pieces: z.number(),
  servings: z.number(),
  perPiece: figuresAnswer,
  perServing: figuresAnswer,
  per100g: figuresAnswer,
  parts: z.array(
    z.object({
      partId: z.string(),
      kind: z.string(),
      name: z.string(),
      grams: z.number(),
      pieces: z.number(),
      perPiece: figuresAnswer,
    }),
  ),
  fillings: z.array(
    z.object({ partId: z.string(), name: z.string(), pieces: z.number(), perPiece: figuresAnswer }),
  ),
  complete: z.boolean(),
  missing: z.array(z.string()),
  asEaten: z.object({
    gramsPerPiece: z.number(),
    per100g: figuresAnswer,
    balance: z.object({
      madeGrams: z.number(),
      gained: balanceRows,
      eatenGrams: z.number(),
      left: balanceRows,
      lost: balanceRows,
    }),
  }),
  spread: z.object({
    perPiece: z.record(z.string(), z.object({ low: z.number(), high: z.number() })),
    narrow: z
      .object({ lineId: z.string(), name: z.string(), sharePct: z.number(), advice: z.string() })
      .nullable(),
  }),
  micronutrients: z.record(
    z.enum(MICRONUTRIENT_KEYS as [string, ...string[]]),
    z.object({
      perPiece: z.number(),
      perServing: z.number(),
      per100g: z.number(),
      servingPct: z.number().nullable(),
      unknown: z.array(z.string()),
    }),
  ),
  unknown: z.record(z.string(), z.array(z.string())).describe('by figure, the foods that do not give it'),
  protein: z.object({
    scorePct: percentage,
    limiting: z.enum(AMINO_ACID_KEYS as [string, ...string[]]).nullable(),
    mgPerGProtein: z.record(z.string(), z.number()),
    knownPct: z.number(),
    lacking: z.array(z.string()),
  }),
  dough: z.object({
    grams: z.number(),
    gramsPerPiece: z.number(),
    flourGrams: z.number(),
    ready: z.boolean(),
    hydrationPct: percentage,
    fatPct: percentage,
    saltPct: percentage,
    sugarPct: percentage,
    wholeGrainPct: percentage,
    softness: percentage,
    consistency: z.enum(['crumbly', 'firm', 'medium', 'soft', 'sticky', 'batter']).nullable(),
    shares: z.array(
      z.object({
        lineId: z.string(),
        name: z.string(),
        grams: z.number(),
        bakersPct: percentage,
        freeWaterGrams: z.number(),
        fatShareGrams: z.number(),
        waterDemandGrams: z.number(),
      }),
    ),
    remarks: z.array(z.string()),
  }),
  abilities: z.object({
    strength: percentage,
    abilities: z.array(z.object({ name: z.string(), can: z.boolean(), why: z.string() })),
    lacks: z.array(z.object({ text: z.string(), source: z.string() })),
  }),
  filling: z.object({
    grams: z.number(),
    gramsPerPiece: z.number(),
    sharePct: z.number(),
    waterPct: z.number(),
    cookedOffGrams: z.number(),
    moisture: z.object({
      looseGrams: z.number(),
      loosePct: z.number(),
      boundGrams: z.number(),
      class: z.enum(['dry', 'moist', 'wet']),
      from: z.array(z.object({ lineId: z.string(), name: z.string(), grams: z.number() })),
      toCookOffGrams: z.number(),
      holdsRolled: z.boolean(),
      suggestions: z.array(z.string()),
    }),
  }),
  diets: z.array(
    z.object({
      diet: z.string(),
      name: z.string(),
      fits: z.boolean(),
      verdict: z.enum(['fits', 'does not fit', 'cannot tell']),
      reasons: z.array(z.string()),
      toCheck: z.array(z.string()),
      lineIds: z.array(z.string()),
      source: z.string(),
    }),
  ),
  measures: z
    .object({
      wholeGrainPct: percentage,
      proteinEnergyPct: percentage,
      piece: figuresAnswer,
      serving: figuresAnswer,
      '100g': figuresAnswer,
    })
    .describe('the figures that diets are held against'),
  allergens: z.array(z.string()).describe('by their names in Annex II of Regulation (EU) No 1169/2011'),
  mayContain: z.array(z.string()),
  cautions: z.array(z.object({ code: z.string(), text: z.string(), source: z.string() })),
  working: z.object({
    basis: z.string(),
    pieces: z.number(),
    servings: z.number(),
    lines: z.array(
      z.object({
        lineId: z.string(),
        partId: z.string(),
        part: z.string(),
        name: z.string(),
        foodId: z.string(),
        source: z.string(),
        grams: z.number(),
        foodGrams: z.number(),
        eatenWhy: z.string(),
        cookedBy: z.enum(PRECOOKING_WAYS).nullable(),
        cookedOffGrams: z.number(),
        leftGrams: z.number(),
        leftWhere: z.string(),
        nutrients: nutrientsAnswer,
      }),
    ),
    uncounted: z.array(z.object({ lineId: z.string(), name: z.string(), reason: z.string() })),
    figures: z.record(z.string(), z.object({ formula: z.string(), source: z.string(), batch: z.number() })),
    dough: z.object({
      formula: z.string(),
      source: z.string(),
      freeWaterGrams: z.number(),
      fatShareGrams: z.number(),
      waterDemandGrams: z.number(),
      softness: percentage,
      classes: z.string(),
      feel: z.string(),
    }),
  }),
})

const changesAnswer = z.array(
  z.object({
    kind: z.enum(['swap', 'amount', 'water', 'fat', 'cooking', 'none', 'check']),
    line: z.string(),
    lineId: z.string(),
    part: z.string(),
    from: z.string(),
    to: z.string(),
    gramsBefore: z.number().nullable(),
    gramsAfter: z.number().nullable(),
    why: z.string(),
    roles: z.array(z.string()),
    rolesLost: z.array(z.string()),
    handling: z.string(),
    cooking: z.string(),
    allergensAdded: z.array(z.string()),
    swapId: z.string(),
    source: z.string(),
  }),
)

export const adaptAnswer = z.object({
  recipe: recipeSchema,
  changes: changesAnswer,
  unmet: z.array(z.object({ lineId: z.string(), reason: z.string() })),
  losses: z.array(z.object({ nutrient: z.string(), text: z.string(), unknown: z.array(z.string()) })),
  evaluation: evaluationAnswer,
  before: evaluationAnswer,
  distance: z.number().nullable().describe('from the recipe as written; null where nothing was searched'),
  alternatives: z.array(
    z.object({
      recipe: recipeSchema,
      changes: changesAnswer,
      evaluation: evaluationAnswer,
      distance: z.number(),
    }),
  ),
  binding: z
    .array(z.object({ name: z.string(), text: z.string(), saves: z.number() }))
    .describe('limits that stand in the way, and what a tenth more room would save'),
  conflict: z.array(z.string()).describe('wishes that contradict one another when nothing reaches them all'),
  compromise: z.string(),
})

export const storedAnswer = z.object({
  id: uuid,
  revision: z.number(),
  parentId: uuid.nullable(),
  parentRevision: z.number().nullable(),
  recipe: recipeSchema,
  savedAt: z.string(),
  deletedAt: z.string().nullable(),
})

export const listAnswer = z.object({
  recipes: z.array(
    z.object({
      id: uuid,
      revision: z.number(),
      parentId: uuid.nullable(),
      parentRevision: z.number().nullable(),
      title: z.string(),
      diets: z.array(z.string()),
      summary: z.looseObject({}).nullable(),
      savedAt: z.string(),
    }),
  ),
})

export const problemAnswer = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  errors: z.array(z.object({ field: z.string(), message: z.string() })).optional(),
})

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

export const foodAnswer = z.looseObject({ id: z.string(), name: z.string(), shelf: z.string() })

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
export const priceAnswer = priceRequest.extend({ foodId: z.string() })

export const currencyRequest = z.object({
  currency: z.string().regex(/^[A-Z]{3}$/, 'three capital letters are expected, for example EUR'),
})
export const pricesAnswer = z.object({ currency: z.string(), prices: z.array(priceAnswer) })

export const importRequest = z.object({
  source: z.string().trim().min(2, 'name the table, for the source of its foods').max(120),
  who,
})
export const finishRequest = z.object({ withoutBadRows: z.boolean().default(false) })

const importFields = {
  id: uuid,
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
export const importAnswer = z.object({
  ...importFields,
  files: z.array(z.object({ file: z.string(), ...fileFields })),
  badRows: z.array(z.object({ file: z.string(), rowNumber: z.number(), reason: z.string() })),
})
export const importsAnswer = z.object({ imports: z.array(z.object(importFields)) })
export const chunkAnswer = z.object(fileFields)

const foodIdOf = z.string('the id of a food is expected').min(1).max(80)
export const ownSwapRequest = z
  .object({
    fromFoodId: foodIdOf,
    toFoodId: foodIdOf,
    ratio: z
      .number('grams for a gram are expected, for example 1')
      .min(0.001, 'at least 0.001 g for a gram')
      .max(100, 'at most 100 g for a gram'),
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
export const ownSwapAnswer = z.object({
  id: uuid,
  fromFoodId: z.string(),
  toFoodId: z.string(),
  ratio: z.number(),
  part: z.string().nullable(),
  why: z.string(),
})
