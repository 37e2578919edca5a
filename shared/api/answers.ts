import { z } from 'zod'
import type { Adaptation } from '../../core/adaptation/adapt'
import type { Price } from '../../core/cost/costOf'
import { ABILITY_NAMES, LACK_CODES } from '../../core/dough/abilities'
import { DOUGH_FAMILIES } from '../../core/dough/family'
import type { Evaluation } from '../../core/evaluation/evaluate'
import type { Summary } from '../../core/evaluation/summary'
import { TABLE_FILE_KEYS } from '../../core/exchange/openTable'
import { AMINO_ACID_KEYS } from '../../core/food/aminoAcids'
import { COMPOSITION_KEYS } from '../../core/food/composition'
import { EU_ALLERGENS, ORIGINS, STATES, type Allergen, type Food } from '../../core/food/food'
import { MICRONUTRIENT_KEYS } from '../../core/food/micronutrients'
import { NUTRIENTS, type Nutrient } from '../../core/food/nutrients'
import type { PacketLabel } from '../../core/food/packet'
import type { Intake } from '../../core/reading/readRecipe'
import { CLOSINGS } from '../../core/piece/closures'
import { recipeSchema } from '../../core/recipe/schema'
import { COOKING_WAYS, PART_KINDS, SHAPES } from '../../core/recipe/vocabulary'
import { PRECOOKING_WAYS } from '../../core/recipe/precookingWays'
import { NOT_SWAPPING, SWAPPING } from '../../core/substitution/applySwap'
import { ROLES, type OwnSwap } from '../../core/substitution/catalogue'
import { MARKS } from '../../core/tray/apart'
import { COOKWARE_KINDS } from '../../core/tray/batches'
import type { PlannedPieces } from '../../core/tray/pieces'
import type { TaughtName } from '../../core/tables/taughtNames'
import { labelSchema, priceRequest, storedId } from './requests'

// What the API answers. A schema that computes nothing itself is held to the type that the core answers with, so
// that neither can change alone; tests read answers strictly, so that a new field is seen.

/** Every figure of the table, in its order. */
const nutrients = Object.fromEntries(NUTRIENTS.map((key) => [key, z.number()])) as Record<
  Nutrient,
  z.ZodNumber
>

const nutrientsAnswer = z.strictObject(nutrients)

export const figuresAnswer = z.strictObject({ grams: z.number(), ...nutrients })

const kind = z.enum(PART_KINDS)

const unresolved = z.strictObject({ lineId: z.string(), raw: z.string(), part: kind, reason: z.string() })

const answer = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('way'), way: z.enum(COOKING_WAYS) }),
  z.strictObject({ do: z.literal('part-kind'), partId: z.string(), kind }),
  z.strictObject({ do: z.literal('part-into'), partId: z.string(), into: z.string() }),
  z.strictObject({ do: z.literal('count'), of: z.enum(['pieces', 'servings']), count: z.number() }),
  z.strictObject({ do: z.literal('move-line'), lineId: z.string(), partId: z.string() }),
  z.strictObject({ do: z.literal('food'), lineId: z.string(), foodId: z.string() }),
  z.strictObject({ do: z.literal('keep') }),
])

export const intakeAnswer = z.strictObject({
  recipe: recipeSchema,
  lines: z.array(
    z.strictObject({
      lineId: z.string(),
      raw: z.string(),
      part: kind,
      foodId: z.string().nullable(),
      foodName: z.string(),
      grams: z.number().nullable(),
      warnings: z.array(z.string()),
    }),
  ),
  unresolved: z.array(unresolved),
  rows: z.array(
    z.strictObject({
      row: z.number().int().describe('number of the line in the text, from 0'),
      became: z.enum(['title', 'heading', 'ingredient', 'step', 'remark', 'count', 'left-out']),
      lineIds: z.array(z.string()),
    }),
  ),
  questions: z
    .array(
      z.strictObject({
        code: z.string(),
        about: z.string().nullable().describe('the line or part it is about'),
        text: z.string(),
        options: z.array(z.strictObject({ label: z.string(), answer })),
        asks: z.enum(['pieces', 'servings', 'grams']).nullable(),
      }),
    )
    .describe('what the cook had better say, most consequential first'),
}) satisfies z.ZodType<Intake>

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

const roles = z.array(z.enum(ROLES))

const anyChange = {
  line: z.string(),
  lineId: z.string(),
  part: kind,
  from: z.string(),
  to: z.string(),
  gramsBefore: z.number().nullable(),
  gramsAfter: z.number().nullable(),
  why: z.string(),
  roles,
  rolesLost: roles,
  swapId: z.string(),
  source: z.string(),
}

const changesAnswer = z.array(
  z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.enum(SWAPPING),
      ...anyChange,
      handling: z.string(),
      cooking: z.string(),
      allergensAdded: z.array(z.string()),
    }),
    z.strictObject({
      kind: z.enum(NOT_SWAPPING),
      ...anyChange,
      handling: z.literal(''),
      cooking: z.literal(''),
      allergensAdded: z.array(z.never()),
    }),
  ]),
)

const termsAnswer = z
  .array(z.strictObject({ text: z.string(), distance: z.number() }))
  .describe('what the distance is made of, the largest first')

/** An adaptation whose evaluations are of one kind: with their working, or without. */
const adaptWith = <E extends z.ZodType>(evaluationOf: E) =>
  z.strictObject({
    recipe: recipeSchema,
    changes: changesAnswer,
    unmet: z.array(z.strictObject({ lineId: z.string(), reason: z.string() })),
    losses: z.array(
      z.strictObject({
        nutrient: z.enum(MICRONUTRIENT_KEYS),
        text: z.string(),
        unknown: z.array(z.string()),
      }),
    ),
    evaluation: evaluationOf,
    before: evaluationOf,
    distance: z.number().nullable().describe('from the recipe as written; null where nothing was searched'),
    terms: termsAnswer,
    proven: z.boolean().describe('false when the time was up before it was sure that none is nearer'),
    alternatives: z.array(
      z.strictObject({
        recipe: recipeSchema,
        changes: changesAnswer,
        evaluation: evaluationOf,
        distance: z.number(),
        terms: termsAnswer,
      }),
    ),
    binding: z
      .array(z.strictObject({ name: z.string(), text: z.string(), saves: z.number() }))
      .describe('limits that stand in the way, and what a tenth more room would save'),
    conflict: z
      .array(z.string())
      .describe('wishes that contradict one another when nothing reaches them all'),
    compromise: z.string(),
  })

export const adaptAnswer = adaptWith(evaluationAnswer.extend({ working: workingAnswer.optional() }))
export const adaptWithWorkingAnswer = adaptWith(evaluationWithWorkingAnswer) satisfies z.ZodType<Adaptation>

export const storedAnswer = z.strictObject({
  id: storedId,
  revision: z.number(),
  parentId: storedId.nullable(),
  parentRevision: z.number().nullable(),
  recipe: recipeSchema,
  savedAt: z.string(),
  deletedAt: z.string().nullable(),
})
export type StoredRecipe = z.output<typeof storedAnswer>

export const storedWithParentAnswer = storedAnswer.extend({ parent: storedAnswer.nullable() })
export type StoredWithParent = z.output<typeof storedWithParentAnswer>

/** What the shelf shows of a recipe. */
const summaryAnswer = z.strictObject({
  shape: z.enum(SHAPES),
  pieces: z.number(),
  servings: z.number(),
  piece: z.strictObject({
    doughGrams: z.number(),
    fillingGrams: z.number(),
    coatGrams: z.number(),
    oilGrams: z.number(),
  }),
  energyKcal: z.number(),
  proteinG: z.number(),
  consistency: z.string().nullable(),
  fits: z.array(z.string()),
  complete: z.boolean(),
}) satisfies z.ZodType<Summary>

export const listedAnswer = z.strictObject({
  id: storedId,
  revision: z.number(),
  parentId: storedId.nullable(),
  parentRevision: z.number().nullable(),
  title: z.string(),
  diets: z.array(z.string()),
  summary: summaryAnswer.nullable(),
  savedAt: z.string(),
})
export type ListedRecipe = z.output<typeof listedAnswer>

export const listAnswer = z.strictObject({
  next: z.string().nullable().describe('what the next page is asked for with; null at the end'),
  recipes: z.array(listedAnswer),
})
export type RecipePage = z.output<typeof listAnswer>

export const revisionAnswer = z.strictObject({ revision: z.number(), title: z.string(), savedAt: z.string() })
export type Revision = z.output<typeof revisionAnswer>

const problemFields = z.strictObject({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  errors: z.array(z.strictObject({ field: z.string(), message: z.string() })).optional(),
})

/** RFC 9457. Some problems say more, under names of their own: the document that was stored meanwhile. */
export const problemAnswer = problemFields.loose()
export type ProblemDocument = z.output<typeof problemFields> & { stored?: StoredRecipe }

export const SHELVES = ['table', 'measured', 'own', 'import'] as const
export type FoodShelf = (typeof SHELVES)[number]

const origins = z.array(z.enum(ORIGINS))
const allergens = z.array(z.enum(Object.keys(EU_ALLERGENS) as [Allergen, ...Allergen[]]))

/** A food with the shelf it stands on. */
export const foodAnswer = z.strictObject({
  id: z.string(),
  name: z.string(),
  synonyms: z.array(z.string()),
  group: z.string(),
  kind: z.string(),
  state: z.enum(STATES).nullable(),
  figuresOf: z.string().nullable(),
  origins,
  possibleOrigins: origins,
  originKnown: z.boolean(),
  allergens,
  possibleAllergens: allergens,
  per100g: z.record(z.enum(COMPOSITION_KEYS), z.number()),
  unknown: z.array(z.enum(COMPOSITION_KEYS)),
  micronutrients: z.record(z.enum(MICRONUTRIENT_KEYS), z.number().nullable()),
  aminoAcids: z
    .strictObject({ mgPerGProtein: z.record(z.enum(AMINO_ACID_KEYS), z.number()), source: z.string() })
    .nullable(),
  energyKcal: z.number(),
  statedEnergyKcal: z.number(),
  gramsPerMl: z.number(),
  unitGrams: z.record(z.string(), z.number()),
  waterDemand: z.number().nullable(),
  scaldedDemand: z.number().nullable(),
  scalded: z.boolean().optional(),
  grain: z.enum(['whole', 'refined']).nullable(),
  freeWater: z.number(),
  softeningFat: z.enum(['oil', 'solid']).nullable(),
  source: z.string(),
  homemade: z
    .strictObject({
      madeOf: z.array(z.strictObject({ foodId: z.string(), name: z.string(), grams: z.number() })),
      makesGrams: z.number(),
      method: z.string(),
    })
    .optional(),
  taughtNames: z.array(z.string()).optional(),
  shelf: z.enum(SHELVES),
}) satisfies z.ZodType<Food>
export type ShelvedFood = Food & { shelf: FoodShelf }

export const foodEntryAnswer = z.strictObject({
  entry: z.number(),
  who: z.string(),
  label: labelSchema,
  typedAt: z.string(),
})
export type FoodEntry = Omit<z.output<typeof foodEntryAnswer>, 'label'> & { label: PacketLabel }

export const ownFoodAnswer = z.strictObject({ food: foodAnswer, entries: z.array(foodEntryAnswer) })
export interface OwnFood {
  food: ShelvedFood
  entries: FoodEntry[]
}

export const priceAnswer = priceRequest.extend({ foodId: z.string() }).strict() satisfies z.ZodType<Price>

export const pricesAnswer = z.strictObject({
  currency: z.string().describe("ISO 4217 code of the book's one currency"),
  prices: z.array(priceAnswer),
})
export type StoredPrices = z.output<typeof pricesAnswer>

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
const file = z.enum(TABLE_FILE_KEYS)

export const importAnswer = z.strictObject({
  ...importFields,
  files: z.array(z.strictObject({ file, ...fileFields })),
  badRows: z.array(z.strictObject({ file, rowNumber: z.number(), reason: z.string() })),
})
export type StoredImport = z.output<typeof importAnswer>

export const importsAnswer = z.strictObject({ imports: z.array(z.strictObject(importFields)) })

export const chunkAnswer = z.strictObject(fileFields)

export const ownSwapAnswer = z.strictObject({
  id: storedId,
  fromFoodId: z.string(),
  toFoodId: z.string(),
  ratio: z.number(),
  more: z.array(z.strictObject({ foodId: z.string(), ratio: z.number() })),
  part: kind.nullable(),
  why: z.string(),
}) satisfies z.ZodType<OwnSwap>

export const taughtNameAnswer = z.strictObject({
  name: z.string(),
  foodId: z.string(),
}) satisfies z.ZodType<TaughtName>

const place = z.strictObject({ xMm: z.number(), yMm: z.number() })

/** How many, how large, how full, in how many batches. */
export const piecesAnswer = z.strictObject({
  pieces: z.number(),
  shape: z.enum(SHAPES),
  closing: z.enum(CLOSINGS),
  doughGramsPerPiece: z.number(),
  thicknessMm: z.number(),
  diameterMm: z.number(),
  dishHeightMm: z.number().nullable(),
  fillingGramsPerPiece: z.number(),
  fillingCapacityGrams: z.number().describe('as much as closes well'),
  fillingCapacityTablespoons: z.number(),
  fit: z.enum(['mean', 'good', 'overfull']),
  dough: z.strictObject({
    grams: z.number(),
    pieces: z.number(),
    leftGrams: z.number(),
    wasteGrams: z.number(),
  }),
  fillings: z.array(
    z.strictObject({
      partId: z.string(),
      name: z.string(),
      grams: z.number().describe('finished, as it goes in'),
      pieces: z.number(),
      planned: z.number(),
      leftGrams: z.number(),
      mark: z.enum(MARKS).nullable().describe('how its pieces are told from the others'),
      turn: z.number().describe('1 is filled and cooked first, so that nothing travels to what holds least'),
    }),
  ),
  runsOutFirst: z
    .string()
    .nullable()
    .describe('"dough", the id of a filling, or null where all comes out even'),
  makeMore: z.array(
    z.strictObject({
      partId: z.string(),
      factor: z.number(),
      lines: z.array(z.strictObject({ lineId: z.string(), grams: z.number() })),
    }),
  ),
  cuts: z.array(
    z.strictObject({
      pass: z.number(),
      pieces: z.number(),
      grams: z.number(),
      widthMm: z.number(),
      lengthMm: z.number(),
      pattern: z.string(),
      layout: z.array(place),
    }),
  ),
  batches: z.array(
    z.strictObject({
      kind: z.enum(COOKWARE_KINDS),
      perBatch: z.number(),
      batches: z.number(),
      minutesEach: z.number(),
      totalMinutes: z.number(),
      layout: z.array(place),
      pieceWidthMm: z.number(),
      pieceLengthMm: z.number(),
      round: z.boolean(),
      widthMm: z.number().nullable(),
      lengthMm: z.number().nullable(),
      diameterMm: z.number().nullable(),
      count: z.number(),
      oilDepthMm: z.number().optional(),
      oilRiseMm: z.number().optional(),
      oilDropC: z.number().optional(),
      oilRecoverySeconds: z.number().optional(),
      warnings: z.array(z.string()),
    }),
  ),
  warnings: z.array(z.string()),
  working: z.array(z.string()),
}) satisfies z.ZodType<PlannedPieces>
