import { z } from 'zod'
import { AMINO_ACID_KEYS } from '../../core/food/aminoAcids'
import { MICRONUTRIENT_KEYS } from '../../core/food/micronutrients'
import { PRECOOKING_WAYS } from '../../core/recipe/vocabulary'
import { recipeSchema } from '../../core/recipe/schema'
import { priceRequest, storedId } from './requests'

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
  rows: z.array(
    z.object({
      row: z.number().int().describe('number of the line in the text, from 0'),
      became: z.enum(['title', 'heading', 'ingredient', 'step', 'remark', 'count', 'left-out']),
      lineIds: z.array(z.string()),
    }),
  ),
  questions: z
    .array(
      z.object({
        code: z.string(),
        about: z.string().nullable().describe('the line or part it is about'),
        text: z.string(),
        options: z.array(z.object({ label: z.string(), answer: z.looseObject({ do: z.string() }) })),
        asks: z.enum(['pieces', 'servings', 'grams']).nullable(),
      }),
    )
    .describe('what the cook had better say, most consequential first'),
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
      into: z.string().nullable().describe('the part that it is made for'),
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
    consistency: z.enum(['short', 'crumbly', 'firm', 'medium', 'soft', 'sticky', 'batter']).nullable(),
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
    springs: percentage,
    family: z.string(),
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
    kind: z.enum(['swap', 'formula', 'amount', 'water', 'fat', 'cooking', 'none', 'check']),
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

const termsAnswer = z
  .array(z.object({ text: z.string(), distance: z.number() }))
  .describe('what the distance is made of, the largest first')

export const adaptAnswer = z.object({
  recipe: recipeSchema,
  changes: changesAnswer,
  unmet: z.array(z.object({ lineId: z.string(), reason: z.string() })),
  losses: z.array(z.object({ nutrient: z.string(), text: z.string(), unknown: z.array(z.string()) })),
  evaluation: evaluationAnswer,
  before: evaluationAnswer,
  distance: z.number().nullable().describe('from the recipe as written; null where nothing was searched'),
  terms: termsAnswer,
  proven: z.boolean().describe('false when the time was up before it was sure that none is nearer'),
  alternatives: z.array(
    z.object({
      recipe: recipeSchema,
      changes: changesAnswer,
      evaluation: evaluationAnswer,
      distance: z.number(),
      terms: termsAnswer,
    }),
  ),
  binding: z
    .array(z.object({ name: z.string(), text: z.string(), saves: z.number() }))
    .describe('limits that stand in the way, and what a tenth more room would save'),
  conflict: z.array(z.string()).describe('wishes that contradict one another when nothing reaches them all'),
  compromise: z.string(),
})

export const storedAnswer = z.object({
  id: storedId,
  revision: z.number(),
  parentId: storedId.nullable(),
  parentRevision: z.number().nullable(),
  recipe: recipeSchema,
  savedAt: z.string(),
  deletedAt: z.string().nullable(),
})

export const listAnswer = z.object({
  next: z.string().nullable().describe('what the next page is asked for with; null at the end'),
  recipes: z.array(
    z.object({
      id: storedId,
      revision: z.number(),
      parentId: storedId.nullable(),
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

export const foodAnswer = z.looseObject({ id: z.string(), name: z.string(), shelf: z.string() })

export const priceAnswer = priceRequest.extend({ foodId: z.string() })

export const pricesAnswer = z.object({ currency: z.string(), prices: z.array(priceAnswer) })

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

export const importAnswer = z.object({
  ...importFields,
  files: z.array(z.object({ file: z.string(), ...fileFields })),
  badRows: z.array(z.object({ file: z.string(), rowNumber: z.number(), reason: z.string() })),
})

export const importsAnswer = z.object({ imports: z.array(z.object(importFields)) })

export const chunkAnswer = z.object(fileFields)

export const ownSwapAnswer = z.object({
  id: storedId,
  fromFoodId: z.string(),
  toFoodId: z.string(),
  ratio: z.number(),
  more: z.array(z.object({ foodId: z.string(), ratio: z.number() })),
  part: z.string().nullable(),
  why: z.string(),
})

export const taughtNameAnswer = z.object({ name: z.string(), foodId: z.string() })
