import { cautionsFor, type Caution } from './cautions'
import { abilitiesOf, type DoughAbilities } from '../dough/abilities'
import type { DoughFigures } from '../dough/assess'
import { avoidDiet } from '../diet/diets'
import type { Measures } from '../diet/target'
import { judge, type JudgedLine, type Verdict } from '../diet/verdict'
import { assessFilling, type FillingFigures } from '../filling/assess'
import { EU_ALLERGENS, type Allergen, type Food } from '../food/food'
import { EU_FACTORS_KCAL_PER_G } from '../food/energy'
import { NUTRIENTS } from '../food/nutrients'
import type { ReferenceData } from '../tables/referenceData'
import { asEatenOf, type AsEaten } from '../nutrition/asEaten'
import { computeBatch, type Batch } from '../nutrition/contributions'
import { micronutrientsOf, type MicronutrientFigures } from '../nutrition/micronutrients'
import { proteinQualityOf, type ProteinQuality } from '../nutrition/proteinQuality'
import { unknownFigures, type UnknownFigures } from '../nutrition/unknownFigures'
import { addFigures, scaleFigures, zeroFigures, type Figures } from '../nutrition/figures'
import { uncertaintyOf, type Uncertainty } from '../nutrition/uncertainty'
import { checkRecipe } from '../recipe/check'
import { RecipeProblem } from '../recipe/problem'
import type { Recipe } from '../recipe/document'
import type { PartKind } from '../recipe/vocabulary'
import { workingOf, type Working } from './working'
import { foodOf } from '../recipe/lines'

export interface PartFigures {
  partId: string
  kind: PartKind
  name: string
  /** The part that it is made for; null for a part of the piece. */
  into: string | null
  grams: number
  /** The pieces that hold it: all of them, or a filling's own share. */
  pieces: number
  perPiece: Figures
}

/** One piece of a batch with several fillings. */
export interface FillingPiece {
  partId: string
  name: string
  pieces: number
  perPiece: Figures
}

export interface Evaluation {
  title: string
  pieces: number
  servings: number
  perPiece: Figures
  perServing: Figures
  /** Of the piece as eaten: what cooking drives off or lets in is taken into account. */
  per100g: Figures
  parts: PartFigures[]
  /** Empty with one filling; else the piece of each filling, of which `perPiece` is the average. */
  fillings: FillingPiece[]
  /** False when a line is not counted: then every figure is "at least". */
  complete: boolean
  missing: string[]
  /** The cooked piece, and where everything that was listed went. */
  asEaten: AsEaten
  /** How far the figures may be off, and what would narrow them. */
  spread: Uncertainty
  /** Figures that a food of the recipe does not give: "at least", with the foods that lack them. */
  unknown: UnknownFigures
  /** Minerals and vitamins, with the foods whose figure is not known. */
  micronutrients: MicronutrientFigures
  protein: ProteinQuality
  dough: DoughFigures
  /** What the dough can do, and what its shape and cooking ask that it cannot. */
  abilities: DoughAbilities
  filling: FillingFigures
  diets: Verdict[]
  /** The figures that diets are held against. */
  measures: Measures
  allergens: string[]
  mayContain: string[]
  cautions: Caution[]
  working: Working
}

/** How many pieces each part goes into: fillings share the pieces, everything else goes into all. */
function piecesOfParts(recipe: Recipe): Map<string, number> {
  const fillings = recipe.parts.filter(
    (part) => part.kind === 'filling' && part.into === null && part.lines.length > 0,
  )
  const stated = fillings.reduce((sum, part) => sum + (part.pieces ?? 0), 0)
  const open = fillings.filter((part) => part.pieces === null).length
  // Stated numbers that leave nothing for the others are shared out in proportion instead.
  const rest = Math.max(recipe.pieces - stated, 0)
  const wanted = fillings.map(
    (part) => part.pieces ?? (rest > 0 ? rest / open : recipe.pieces / fillings.length),
  )
  const total = wanted.reduce((sum, pieces) => sum + pieces, 0)
  const shares = new Map(recipe.parts.map((part) => [part.id, recipe.pieces]))
  if (fillings.length > 1) {
    fillings.forEach((part, at) => shares.set(part.id, (wanted[at]! * recipe.pieces) / total))
  }
  // A component goes where its host goes.
  for (const part of recipe.parts)
    if (part.into !== null) shares.set(part.id, shares.get(part.into) ?? recipe.pieces)
  return shares
}

function allergensOf(foods: readonly Food[]) {
  const certain = new Set<Allergen>()
  const possible = new Set<Allergen>()
  const untold = foods.filter((food) => !food.originKnown).map((food) => `not known for ${food.name}`)
  for (const food of foods) {
    for (const allergen of food.allergens) certain.add(allergen)
    for (const allergen of food.possibleAllergens) possible.add(allergen)
  }
  const keys = Object.keys(EU_ALLERGENS) as Allergen[]
  return {
    allergens: keys.filter((key) => certain.has(key)).map((key) => EU_ALLERGENS[key]),
    mayContain: [
      ...keys.filter((key) => possible.has(key) && !certain.has(key)).map((key) => EU_ALLERGENS[key]),
      ...untold,
    ],
  }
}

function partFigures(recipe: Recipe, batch: Batch): { parts: PartFigures[]; totals: Figures } {
  const shares = piecesOfParts(recipe)
  const sums = new Map(recipe.parts.map((part) => [part.id, zeroFigures()]))
  for (const one of batch.contributions) addFigures(sums.get(one.partId)!, one)
  const totals = zeroFigures()
  const parts = recipe.parts.map((part): PartFigures => {
    const sum = sums.get(part.id)!
    const pieces = shares.get(part.id)!
    addFigures(totals, sum)
    return {
      partId: part.id,
      kind: part.kind,
      name: part.name,
      into: part.into,
      grams: sum.grams,
      pieces,
      perPiece: scaleFigures(sum, 1 / pieces),
    }
  })
  return { parts, totals }
}

function fillingPieces(parts: readonly PartFigures[]): FillingPiece[] {
  const made = parts.filter((part) => part.kind === 'filling' && part.into !== null)
  const fillings = parts.filter(
    (part) =>
      part.kind === 'filling' &&
      part.into === null &&
      (part.grams > 0 || made.some((one) => one.into === part.partId)),
  )
  if (fillings.length < 2) return []
  const common = parts.filter((part) => part.kind !== 'filling')
  return fillings.map((filling) => {
    const perPiece = { ...filling.perPiece }
    for (const part of common) addFigures(perPiece, part.perPiece)
    for (const part of made) if (part.into === filling.partId) addFigures(perPiece, part.perPiece)
    return { partId: filling.partId, name: filling.name, pieces: filling.pieces, perPiece }
  })
}

/**
 * Evaluates a recipe: figures per piece, serving and 100 g, dough, filling, diets, allergens, cautions, and
 * the working of every figure. The one entry point for browser, server and worker.
 *
 * @param recipe a document that has passed `recipeSchema`, ids given
 * @param original the evaluation of the recipe it grew from, for diets that ask for less than that has
 * @throws RecipeProblem naming the field when a food is unknown or there is no dough
 */
export function evaluate(
  recipe: Recipe,
  reference: ReferenceData,
  original: Evaluation | null = null,
): Evaluation {
  const problems = checkRecipe(recipe, reference.foods)
  if (problems.length) throw new RecipeProblem(problems)

  const batch = computeBatch(recipe, reference.foods, reference.cooking)
  const { parts, totals } = partFigures(recipe, batch)
  const perPiece = scaleFigures(totals, 1 / recipe.pieces)
  const perServing = scaleFigures(totals, 1 / recipe.servings)
  const asEaten = asEatenOf(recipe, batch, totals)
  const { per100g } = asEaten
  const missing = batch.uncounted.map((one) => one.name)
  const lines = resolveLines(recipe, reference)
  const distinct = new Set<Food>()
  const byId = new Map<string, JudgedLine['line']>()
  for (const { line, food } of lines) {
    byId.set(line.id, line)
    if (food) distinct.add(food)
  }
  const foods = [...distinct]

  const proteinKcal = totals.proteinG * EU_FACTORS_KCAL_PER_G.protein
  const measures: Measures = {
    wholeGrainPct: batch.dough.wholeGrainPct,
    proteinEnergyPct: totals.energyKcal > 0 ? (100 * proteinKcal) / totals.energyKcal : null,
    piece: perPiece,
    serving: perServing,
    '100g': per100g,
  }
  const avoided = recipe.avoid
  const judged = avoided.length ? [...reference.diets, avoidDiet(avoided)] : reference.diets
  const diets = judged.map((diet) =>
    judge(lines, diet, measures, original?.measures ?? null, missing, recipe.servingsStated),
  )
  return {
    title: recipe.title,
    pieces: recipe.pieces,
    servings: recipe.servings,
    perPiece,
    perServing,
    per100g,
    parts,
    fillings: fillingPieces(parts),
    complete: missing.length === 0,
    missing,
    asEaten,
    spread: uncertaintyOf(batch, byId, recipe.pieces),
    micronutrients: micronutrientsOf(
      batch.contributions,
      batch.uncounted,
      reference.foods,
      reference.cooking,
      {
        grams: asEaten.balance.eatenGrams,
        pieces: recipe.pieces,
        servings: recipe.servings,
        way: recipe.cooking.way,
        andThen: recipe.cooking.andThen?.way ?? null,
      },
    ),
    unknown: unknownFigures(batch.contributions, reference.foods),
    protein: proteinQualityOf(batch.contributions, reference.foods),
    dough: batch.dough,
    abilities: abilitiesOf(batch.dough, batch.shell, recipe.shape, recipe.cooking.way, reference.dough),
    filling: assessFilling(batch.filling, batch.cookedOffGrams, recipe.pieces, batch.dough.grams),
    diets,
    measures,
    ...allergensOf(foods),
    cautions: cautionsFor({
      recipe,
      foods,
      verdicts: diets,
      diets: reference.diets,
      polyolsPct: per100g.polyolsG,
    }),
    working: workingOf(batch, totals, recipe.pieces, recipe.servings),
  }
}

/**
 * The evaluation of a recipe of which only notes and the diets it is made for have changed: its figures are the
 * same, and what it has to be warned of may not be.
 */
export function evaluationWith(recipe: Recipe, evaluation: Evaluation, reference: ReferenceData): Evaluation {
  const foods = new Set<Food>()
  for (const { food } of resolveLines(recipe, reference)) if (food) foods.add(food)
  const cautions = cautionsFor({
    recipe,
    foods: [...foods],
    verdicts: evaluation.diets,
    diets: reference.diets,
    polyolsPct: evaluation.per100g.polyolsG,
  })
  return { ...evaluation, cautions }
}

/** Every line with its part and food, looked up once for all diets. */
function resolveLines(recipe: Recipe, reference: ReferenceData): JudgedLine[] {
  const lines: JudgedLine[] = []
  for (const part of recipe.parts) {
    for (const line of part.lines) {
      if (line.componentId === null) lines.push({ part, line, food: foodOf(line, reference.foods) })
    }
  }
  return lines
}

/** The change of every figure from one recipe to another, as the later less the earlier. */
export function difference(after: Figures, before: Figures): Figures {
  const change = zeroFigures()
  change.grams = after.grams - before.grams
  for (const key of NUTRIENTS) change[key] = after[key] - before[key]
  return change
}
