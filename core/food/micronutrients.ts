/**
 * Minerals and vitamins that a swap away from animal foods can cost, with an adult's reference intake:
 * Regulation (EU) No 1169/2011, Annex XIII, part A.
 */
export const MICRONUTRIENTS = {
  calciumMg: { name: 'Calcium', unit: 'mg', referenceIntake: 800 },
  ironMg: { name: 'Iron', unit: 'mg', referenceIntake: 14 },
  vitaminB12Ug: { name: 'Vitamin B12', unit: 'µg', referenceIntake: 2.5 },
} as const

export type Micronutrient = keyof typeof MICRONUTRIENTS
export const MICRONUTRIENT_KEYS = Object.keys(MICRONUTRIENTS) as Micronutrient[]

/** Amounts in 100 g; null where the source gives none. Unknown is not zero. */
export type Micronutrients = Record<Micronutrient, number | null>
