import { z } from 'zod'
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

export const adaptRequest = z.object({
  recipe: recipeSchema,
  diets: z.array(z.string().max(40)).min(1, 'name at least one diet, for example "vegan"').max(12),
})

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
    z.enum(['calciumMg', 'ironMg', 'vitaminB12Ug']),
    z.object({
      perPiece: z.number(),
      perServing: z.number(),
      per100g: z.number(),
      servingPct: z.number(),
      unknown: z.array(z.string()),
    }),
  ),
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
  filling: z.object({
    grams: z.number(),
    gramsPerPiece: z.number(),
    sharePct: z.number(),
    waterPct: z.number(),
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

export const adaptAnswer = z.object({
  recipe: recipeSchema,
  changes: z.array(
    z.object({
      kind: z.enum(['swap', 'water', 'fat', 'none', 'check']),
      line: z.string(),
      lineId: z.string(),
      part: z.string(),
      from: z.string(),
      to: z.string(),
      gramsBefore: z.number().nullable(),
      gramsAfter: z.number().nullable(),
      why: z.string(),
      roles: z.array(z.string()),
      handling: z.string(),
      cooking: z.string(),
      allergensAdded: z.array(z.string()),
      swapId: z.string(),
      source: z.string(),
    }),
  ),
  unmet: z.array(z.object({ lineId: z.string(), reason: z.string() })),
  losses: z.array(z.object({ nutrient: z.string(), text: z.string(), unknown: z.array(z.string()) })),
  evaluation: evaluationAnswer,
  before: evaluationAnswer,
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
