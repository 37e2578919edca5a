/**
 * Minerals, vitamins and two kinds of fat that a swap can cost or save, with an adult's reference intake where
 * Regulation (EU) No 1169/2011, Annex XIII, part A has one.
 *
 * `tellsLoss`: a variant that gives less of it says so; those that animal foods are the usual source of.
 */
export const MICRONUTRIENTS = {
  calciumMg: { name: 'Calcium', unit: 'mg', column: 'calcium_mg', referenceIntake: 800, tellsLoss: true },
  ironMg: { name: 'Iron', unit: 'mg', column: 'iron_mg', referenceIntake: 14, tellsLoss: true },
  zincMg: { name: 'Zinc', unit: 'mg', column: 'zinc_mg', referenceIntake: 10, tellsLoss: true },
  potassiumMg: {
    name: 'Potassium',
    unit: 'mg',
    column: 'potassium_mg',
    referenceIntake: 2000,
    tellsLoss: false,
  },
  vitaminAUg: {
    name: 'Vitamin A',
    unit: 'µg',
    column: 'vitamin_a_ug',
    referenceIntake: 800,
    tellsLoss: false,
  },
  vitaminCMg: {
    name: 'Vitamin C',
    unit: 'mg',
    column: 'vitamin_c_mg',
    referenceIntake: 80,
    tellsLoss: false,
  },
  vitaminB12Ug: {
    name: 'Vitamin B12',
    unit: 'µg',
    column: 'vitamin_b12_ug',
    referenceIntake: 2.5,
    tellsLoss: true,
  },
  folateUg: { name: 'Folate', unit: 'µg', column: 'folate_ug', referenceIntake: 200, tellsLoss: false },
  cholesterolMg: {
    name: 'Cholesterol',
    unit: 'mg',
    column: 'cholesterol_mg',
    referenceIntake: null,
    tellsLoss: false,
  },
  transFatG: { name: 'Trans fat', unit: 'g', column: 'trans_fat_g', referenceIntake: null, tellsLoss: false },
} as const

export type Micronutrient = keyof typeof MICRONUTRIENTS
export const MICRONUTRIENT_KEYS = Object.keys(MICRONUTRIENTS) as Micronutrient[]

/** Amounts in 100 g; null where the source gives none. Unknown is not zero. */
export type Micronutrients = Record<Micronutrient, number | null>

/** Micronutrients of which nothing is known, but what is given. */
export function micronutrientsWith(known: Partial<Micronutrients>): Micronutrients {
  const made = {} as Micronutrients
  for (const key of MICRONUTRIENT_KEYS) made[key] = known[key] ?? null
  return made
}
