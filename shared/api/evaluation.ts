import { z } from 'zod'
import { ABILITY_NAMES, LACK_CODES } from '../../core/dough/abilities'
import { DOUGH_FAMILIES } from '../../core/dough/family'
import type { Evaluation } from '../../core/evaluation/evaluate'
import { AMINO_ACID_KEYS } from '../../core/food/aminoAcids'
import { MICRONUTRIENT_KEYS } from '../../core/food/micronutrients'
import { NUTRIENTS, type Nutrient } from '../../core/food/nutrients'
import { PART_KINDS } from '../../core/recipe/vocabulary'
import { PRECOOKING_WAYS } from '../../core/recipe/precookingWays'

/** Every figure of the table, in its order. */
const nutrients = Object.fromEntries(NUTRIENTS.map((key) => [key, z.number()])) as Record<
  Nutrient,
  z.ZodNumber
>

const nutrientsAnswer = z.strictObject(nutrients)

export const figuresAnswer = z.strictObject({ grams: z.number(), ...nutrients })

export const kind = z.enum(PART_KINDS)

const percentage = z.number().nullable()

const balanceRows = z.array(z.strictObject({ what: z.string(), grams: z.number(), why: z.string() }))

/** An evaluation as it is answered. */
export type EvaluationAnswer = Omit<Evaluation, 'working'>

export const evaluationAnswer = z.strictObject({
  title: z.string(),
  pieces: z.number(),
  servings: z.number(),
  perPiece: figuresAnswer,
  perServing: figuresAnswer,
  per100g: figuresAnswer,
  parts: z.array(
    z.strictObject({
      partId: z.string(),
      kind,
      name: z.string(),
      into: z.string().nullable().describe('the part that it is made for'),
      grams: z.number(),
      pieces: z.number(),
      perPiece: figuresAnswer,
    }),
  ),
  fillings: z.array(
    z.strictObject({ partId: z.string(), name: z.string(), pieces: z.number(), perPiece: figuresAnswer }),
  ),
  complete: z.boolean(),
  missing: z.array(z.string()),
  asEaten: z.strictObject({
    gramsPerPiece: z.number(),
    per100g: figuresAnswer,
    balance: z.strictObject({
      madeGrams: z.number(),
      gained: balanceRows,
      eatenGrams: z.number(),
      left: balanceRows,
      lost: balanceRows,
    }),
  }),
  spread: z.strictObject({
    perPiece: z.record(z.enum(NUTRIENTS), z.strictObject({ low: z.number(), high: z.number() })),
    narrow: z
      .object({ lineId: z.string(), name: z.string(), sharePct: z.number(), advice: z.string() })
      .nullable(),
  }),
  micronutrients: z.record(
    z.enum(MICRONUTRIENT_KEYS),
    z.strictObject({
      perPiece: z.number(),
      perServing: z.number(),
      per100g: z.number(),
      servingPct: z.number().nullable(),
      unknown: z.array(z.string()),
    }),
  ),
  unknown: z
    .partialRecord(z.enum(NUTRIENTS), z.array(z.string()))
    .describe('by figure, the foods that do not give it'),
  protein: z.strictObject({
    scorePct: percentage,
    limiting: z.enum(AMINO_ACID_KEYS).nullable(),
    mgPerGProtein: z.record(z.enum(AMINO_ACID_KEYS), z.number()),
    knownPct: z.number(),
    lacking: z.array(z.string()),
  }),
  dough: z.strictObject({
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
      z.strictObject({
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
  abilities: z.strictObject({
    strength: percentage,
    springs: percentage,
    family: z.enum(DOUGH_FAMILIES),
    abilities: z.array(z.strictObject({ name: z.enum(ABILITY_NAMES), can: z.boolean(), why: z.string() })),
    lacks: z.array(
      z.strictObject({
        code: z.enum(LACK_CODES).describe('what it is about, whatever the figures'),
        text: z.string(),
        source: z.string(),
      }),
    ),
  }),
  filling: z.strictObject({
    grams: z.number(),
    gramsPerPiece: z.number(),
    sharePct: z.number(),
    waterPct: z.number(),
    cookedOffGrams: z.number(),
    moisture: z.strictObject({
      looseGrams: z.number(),
      loosePct: z.number(),
      boundGrams: z.number(),
      class: z.enum(['dry', 'moist', 'wet']),
      from: z.array(z.strictObject({ lineId: z.string(), name: z.string(), grams: z.number() })),
      toCookOffGrams: z.number(),
      holdsRolled: z.boolean(),
      suggestions: z.array(z.string()),
    }),
  }),
  diets: z.array(
    z.strictObject({
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
  cautions: z.array(z.strictObject({ code: z.string(), text: z.string(), source: z.string() })),
}) satisfies z.ZodType<EvaluationAnswer>

/** How every figure came about, where it is asked for: `?include=working`. */
export const workingAnswer = z.strictObject({
  basis: z.string(),
  pieces: z.number(),
  servings: z.number(),
  lines: z.array(
    z.strictObject({
      lineId: z.string(),
      partId: z.string(),
      part: kind,
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
  uncounted: z.array(z.strictObject({ lineId: z.string(), name: z.string(), reason: z.string() })),
  figures: z.record(
    z.enum(NUTRIENTS),
    z.strictObject({ formula: z.string(), source: z.string(), batch: z.number() }),
  ),
  dough: z.strictObject({
    formula: z.string(),
    source: z.string(),
    freeWaterGrams: z.number(),
    fatShareGrams: z.number(),
    waterDemandGrams: z.number(),
    softness: percentage,
    classes: z.string(),
    feel: z.string(),
  }),
})

/** With the working, it is what the core evaluates to, field by field. */
export const evaluationWithWorkingAnswer = evaluationAnswer.extend({
  working: workingAnswer,
}) satisfies z.ZodType<Evaluation>
