import type { Evaluation } from '../evaluation/evaluate'
import { KJ_PER_KCAL } from '../food/energy'
import { ingredientsFor } from '../food/homemade'
import { EU_ALLERGENS, type Food, type Foods } from '../food/food'
import { roundEu, roundUs, type Written } from './rounding'
import type { Figures } from '../nutrition/figures'
import type { Recipe } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'

export const CONVENTIONS = ['eu', 'us'] as const
export type Convention = (typeof CONVENTIONS)[number]

export interface LabelRow {
  key: string
  name: string
  /** Belongs under the row above it. */
  sub: boolean
  perPiece: Written
  perServing: Written
  per100g: Written
  /** Share of an adult's day in one serving, in whole %; null where there is no reference. */
  servingPct: number | null
}

export interface LabelIngredient {
  name: string
  /** At the mixing bowl, in the whole batch. */
  grams: number
  /** EU allergens in it, to be emphasised. */
  allergens: string[]
  /** What something home-made is made of, the most first; empty for what is bought. */
  of: LabelIngredient[]
}

export interface Label {
  convention: Convention
  rows: LabelRow[]
  ingredients: LabelIngredient[]
  mayContain: string[]
  basis: string
  source: string
}

/** kJ per gram: Regulation (EU) No 1169/2011, Annex XIV. Erythritol, at 0, is told apart by its energy in kcal. */
const KJ_PER_G = { carbohydrate: 17, polyols: 10, protein: 17, fat: 37, fibre: 8 } as const

/** An adult's reference intakes: Regulation (EU) No 1169/2011, Annex XIII, part B. */
const EU_REFERENCE: Record<string, number> = {
  energyKcal: 2000,
  fatG: 70,
  saturatedFatG: 20,
  carbohydrateG: 260,
  sugarsG: 90,
  proteinG: 50,
  saltG: 6,
}

/** Daily Values: 21 CFR 101.9(c)(8)(iv) and (c)(9). */
const US_DAILY_VALUE: Record<string, number> = {
  fatG: 78,
  saturatedFatG: 20,
  sodiumMg: 2300,
  carbohydrateG: 275,
  fibreG: 28,
  proteinG: 50,
}

/** Carbohydrate as the EU declares it: without fibre, polyols included. */
const availableCarbohydrateG = (f: Figures) => Math.max(0, f.carbohydrateG - f.fibreG)

/** Energy in kJ by the EU's own kJ factors, not from the rounded kcal. */
export function euEnergyKj(f: Figures): number {
  const digestible = Math.max(0, f.carbohydrateG - f.fibreG - f.polyolsG)
  const explainedKcal = digestible * 4 + f.fibreG * 2 + f.polyolsG * 2.4 + f.proteinG * 4 + f.fatG * 9
  const explainedKj =
    digestible * KJ_PER_G.carbohydrate +
    f.fibreG * KJ_PER_G.fibre +
    f.polyolsG * KJ_PER_G.polyols +
    f.proteinG * KJ_PER_G.protein +
    f.fatG * KJ_PER_G.fat
  // Alcohol and erythritol are in the kcal only: what the macronutrients leave unexplained is turned over.
  return Math.max(0, explainedKj + (f.energyKcal - explainedKcal) * KJ_PER_KCAL)
}

/** Calories by the general factors 4, 4 and 9 on protein, total carbohydrate and fat: 21 CFR 101.9(c)(1)(i)(B). */
export function usCalories(f: Figures): number {
  return 4 * f.proteinG + 4 * f.carbohydrateG + 9 * f.fatG
}

interface RowRule {
  key: string
  name: string
  sub?: boolean
  value: (f: Figures) => number
  write: (value: number) => Written
  reference?: number
  shown?: (f: Figures) => boolean
}

const EU_ROWS: readonly RowRule[] = [
  { key: 'energyKj', name: 'Energy', value: euEnergyKj, write: (value) => roundEu('energy', value, 'kJ') },
  {
    key: 'energyKcal',
    name: 'Energy',
    value: (f) => f.energyKcal,
    write: (value) => roundEu('energy', value, 'kcal'),
  },
  { key: 'fatG', name: 'Fat', value: (f) => f.fatG, write: (value) => roundEu('macro', value, 'g') },
  {
    key: 'saturatedFatG',
    name: 'of which saturates',
    sub: true,
    value: (f) => f.saturatedFatG,
    write: (value) => roundEu('saturates', value, 'g'),
  },
  {
    key: 'carbohydrateG',
    name: 'Carbohydrate',
    value: availableCarbohydrateG,
    write: (value) => roundEu('macro', value, 'g'),
  },
  {
    key: 'sugarsG',
    name: 'of which sugars',
    sub: true,
    value: (f) => f.sugarsG,
    write: (value) => roundEu('macro', value, 'g'),
  },
  {
    key: 'polyolsG',
    name: 'of which polyols',
    sub: true,
    value: (f) => f.polyolsG,
    write: (value) => roundEu('macro', value, 'g'),
    shown: (f) => f.polyolsG > 0.05,
  },
  { key: 'fibreG', name: 'Fibre', value: (f) => f.fibreG, write: (value) => roundEu('macro', value, 'g') },
  {
    key: 'proteinG',
    name: 'Protein',
    value: (f) => f.proteinG,
    write: (value) => roundEu('macro', value, 'g'),
  },
  { key: 'saltG', name: 'Salt', value: (f) => f.saltG, write: (value) => roundEu('salt', value, 'g') },
]

const US_ROWS: readonly RowRule[] = [
  { key: 'calories', name: 'Calories', value: usCalories, write: (value) => roundUs('calories', value) },
  { key: 'fatG', name: 'Total fat', value: (f) => f.fatG, write: (value) => roundUs('fat', value) },
  {
    key: 'saturatedFatG',
    name: 'Saturated fat',
    sub: true,
    value: (f) => f.saturatedFatG,
    write: (value) => roundUs('fat', value),
  },
  { key: 'sodiumMg', name: 'Sodium', value: (f) => f.sodiumMg, write: (value) => roundUs('sodium', value) },
  {
    key: 'carbohydrateG',
    name: 'Total carbohydrate',
    value: (f) => f.carbohydrateG,
    write: (value) => roundUs('carbohydrate', value),
  },
  {
    key: 'fibreG',
    name: 'Dietary fiber',
    sub: true,
    value: (f) => f.fibreG,
    write: (value) => roundUs('carbohydrate', value),
  },
  {
    key: 'sugarsG',
    name: 'Total sugars',
    sub: true,
    value: (f) => f.sugarsG,
    write: (value) => roundUs('carbohydrate', value),
  },
  {
    key: 'polyolsG',
    name: 'Sugar alcohol',
    sub: true,
    value: (f) => f.polyolsG,
    write: (value) => roundUs('carbohydrate', value),
    shown: (f) => f.polyolsG > 0.05,
  },
  {
    key: 'proteinG',
    name: 'Protein',
    value: (f) => f.proteinG,
    write: (value) => roundUs('carbohydrate', value),
  },
]

const RULES = {
  eu: {
    rows: EU_ROWS,
    reference: EU_REFERENCE,
    source:
      'Regulation (EU) No 1169/2011, Annexes XIII to XV; rounding by the Commission’s guidance of December 2012, from memory',
  },
  us: {
    rows: US_ROWS,
    reference: US_DAILY_VALUE,
    source: '21 CFR 101.9(c), from memory',
  },
} as const

function row(rule: RowRule, evaluation: Evaluation, reference: Record<string, number>): LabelRow {
  const { perPiece, perServing, per100g } = evaluation
  const daily = reference[rule.key]
  return {
    key: rule.key,
    name: rule.name,
    sub: rule.sub ?? false,
    perPiece: rule.write(rule.value(perPiece)),
    perServing: rule.write(rule.value(perServing)),
    per100g: rule.write(rule.value(per100g)),
    // From the figure before rounding, which both rules allow.
    servingPct: daily === undefined ? null : Math.round((100 * rule.value(perServing)) / daily),
  }
}

/** Ingredients by weight at the mixing bowl, the heaviest first; frying fat counts as far as it is taken up. */
function ingredientsOf(recipe: Recipe, evaluation: Evaluation, foods: Foods): LabelIngredient[] {
  const eaten = new Map(evaluation.working.lines.map((line) => [line.lineId, line.foodGrams]))
  const sums = new Map<Food, number>()
  for (const { part, line } of allLines(recipe)) {
    const food = foodOf(line, foods)
    if (!food || line.grams === null) continue
    const grams = part.kind === 'pan' ? (eaten.get(line.id) ?? 0) : line.grams
    if (grams > 0) sums.set(food, (sums.get(food) ?? 0) + grams)
  }
  return [...sums].sort(([, a], [, b]) => b - a).map(([food, grams]) => labelIngredient(food, grams, foods))
}

function labelIngredient(food: Food, grams: number, foods: Foods): LabelIngredient {
  const of = ingredientsFor(food, grams).sort((a, b) => b.grams - a.grams)
  return {
    name: food.name,
    grams,
    // Emphasised where it stands: in what it is made of, not once more at the whole.
    allergens: of.length ? [] : food.allergens.map((key) => EU_ALLERGENS[key]),
    of: of.map((one) => labelIngredient(foods.get(one.foodId)!, one.grams, foods)),
  }
}

/**
 * The card of a recipe by one convention: figures rounded as its rules say, ingredients in descending weight,
 * allergens to be emphasised.
 */
export function labelOf(recipe: Recipe, evaluation: Evaluation, foods: Foods, convention: Convention): Label {
  const rules = RULES[convention]
  const notCounted = [...new Set([...evaluation.missing, ...Object.values(evaluation.unknown).flat()])]
  return {
    convention,
    rows: rules.rows
      .filter((rule) => rule.shown?.(evaluation.per100g) ?? true)
      .map((rule) => row(rule, evaluation, rules.reference)),
    ingredients: ingredientsOf(recipe, evaluation, foods),
    mayContain: evaluation.mayContain,
    basis: !notCounted.length
      ? 'An estimate for a home kitchen, from raw weights and the usual losses. Not a declaration'
      : `An estimate for a home kitchen, from raw weights and the usual losses, and at least: ${notCounted.join(', ')} not counted or not fully known. Not a declaration`,
    source: rules.source,
  }
}
