import type { Evaluation } from '../evaluation/evaluate'
import { CLOSING_OF, fitOf, FULL, volumeInside, type Closing } from '../piece/closures'
import { bodyOfPiece, DENSITY_G_PER_ML } from '../piece/geometry'
import type { Recipe } from '../recipe/document'
import { RecipeProblem } from '../recipe/problem'
import type { CookingWay, Shape } from '../recipe/vocabulary'
import type { ReferenceData } from '../tables/referenceData'
import { marksOf, orderApart } from './apart'
import { batchesIn, COOKWARE_OF, type CookedBatch, type Cookware, type ToCook } from './batches'
import { blankOf, MIN_FILLING_GRAMS } from './blank'
import { BOARD_SHARE, divide, type Blank } from './divide'
import { moreOf, shortOf } from './evenness'
import type { MakingMethod } from './making'
import { round, show, type PiecePlan, type PlannedFilling, type PlannedPieces } from './pieces'
import { apartWarnings, warningsOf } from './remarks'
import { factOf, shareOut, stockOf } from './stock'

const ML_PER_TABLESPOON = 15

/** What a method makes where there is no recipe. */
const SHAPE_OF: Readonly<Record<MakingMethod, Shape>> = {
  balls: 'bun',
  'cut-sheet': 'half-moon',
  'halved-rounds': 'cone',
  'stamped-pair': 'disc',
  squares: 'parcel',
  rope: 'coil',
  'lined-dish': 'lidded-pie',
  wrappers: 'half-moon',
}

function closingOf(method: MakingMethod, shape: Shape, given: Closing | undefined): Closing {
  if (given) return given
  if (method === 'stamped-pair') return 'double disc'
  if (method === 'halved-rounds') return 'cone'
  if (method === 'squares' && shape !== 'roll') return shape === 'half-moon' ? 'triangle parcel' : 'envelope'
  return CLOSING_OF[shape]
}

/**
 * How many pieces, how large, how full and in how many batches.
 *
 * Without a recipe it answers what sheet and cutter give.
 *
 * @param evaluation of the recipe; null without one
 * @throws RecipeProblem naming the field of the plan that cannot be
 */
export function planPieces(
  recipe: Recipe | null,
  evaluation: Evaluation | null,
  plan: PiecePlan,
  reference: ReferenceData,
): PlannedPieces {
  const shape = recipe?.shape ?? SHAPE_OF[plan.method]
  const stock = stockOf(recipe, evaluation, reference)
  const density = stock?.density ?? DENSITY_G_PER_ML.dough
  const blank = blankOf(plan, shape, recipe, stock, density)
  const closing = closingOf(plan.method, shape, plan.closing)
  const doughGrams = stock?.doughGrams ?? sheetGrams(plan, blank, density)
  const insideMl = volumeInside(closing, { ...blank, doughGrams: blank.grams, alongMm: blank.alongMm })
  const capacity = FULL.most * insideMl * DENSITY_G_PER_ML.filling

  const all = divide(plan, blank, doughGrams, density, null)
  const fillingGrams = stock?.fillings.reduce((sum, one) => sum + one.grams, 0) ?? 0
  // Where nothing is said of the size, it is the recipe's own number that is made.
  const asked =
    plan.pieces ?? (recipe && saysNothingOfSize(plan) ? Math.min(recipe.pieces, all.pieces) : undefined)
  const wished = plan.fillingGramsPerPiece ?? fillingPerPiece(asked ?? all.pieces, fillingGrams, recipe)
  const perPiece = wished < MIN_FILLING_GRAMS ? 0 : wished
  const byFilling =
    perPiece > 0 ? (stock?.fillings.map(({ grams }) => Math.floor(grams / perPiece + 1e-6)) ?? []) : []
  const ofFilling = byFilling.reduce((sum, one) => sum + one, 0)
  const limit = fillingGrams > 0 && perPiece > 0 ? Math.min(all.pieces, ofFilling) : all.pieces
  const pieces = asked ?? (plan.fillingGramsPerPiece === undefined ? all.pieces : limit)
  const made = pieces < all.pieces ? divide(plan, blank, doughGrams, density, pieces) : all
  const stocked = stock?.fillings ?? []
  const planned = shareOut(pieces, stocked)
  const apart = recipe
    ? orderApart(
        recipe,
        stocked.map((one) => one.partId),
        reference.foods,
      )
    : []
  const marks = marksOf(stocked)
  const fillings = stocked.map(({ partId, name, grams }, at): PlannedFilling => ({
    partId,
    name,
    grams: round(grams),
    pieces: byFilling[at] ?? 0,
    planned: planned[at]!,
    leftGrams: round(Math.max(0, grams - planned[at]! * perPiece)),
    mark: marks[at]?.mark ?? null,
    turn: 1 + apart.findIndex((one) => one.partId === partId),
  }))
  const short = shortOf(all.pieces, fillings, pieces, perPiece)
  const goal = Math.max(pieces, all.pieces, ofFilling)
  const stages = stagesOf(recipe).map((stage) =>
    toCook(stage, evaluation, plan, shape, pieces, blank.grams, perPiece),
  )
  const { batches, unfit } =
    pieces < 1 ? { batches: [], unfit: [] } : batchesOf(recipe, stages, plan.cookware)
  return {
    pieces,
    shape,
    closing,
    doughGramsPerPiece: round(blank.grams),
    thicknessMm: round(blank.thicknessMm),
    diameterMm: round(blank.acrossMm),
    dishHeightMm: plan.method === 'lined-dish' ? round(blank.alongMm) : null,
    fillingGramsPerPiece: round(perPiece),
    fillingCapacityGrams: round(capacity),
    fillingCapacityTablespoons: round(capacity / DENSITY_G_PER_ML.filling / ML_PER_TABLESPOON),
    fit: fitOf(perPiece / DENSITY_G_PER_ML.filling, insideMl),
    dough: {
      grams: round(doughGrams),
      pieces: all.pieces,
      leftGrams: round(made.leftGrams),
      wasteGrams: round(made.wasteGrams),
    },
    fillings,
    runsOutFirst: short,
    makeMore: recipe && short ? moreOf(recipe, all.pieces, fillings, asked ?? goal, perPiece) : [],
    cuts: made.cuts,
    batches,
    warnings: [
      ...warningsOf(plan, made, doughGrams, perPiece, insideMl),
      ...apartWarnings(fillings, apart),
      ...unfit,
    ],
    working: [
      `Dough ${density.toFixed(2)} g/ml by its formula (from memory of handbook densities, 8 % of kneaded air)`,
      `${show(blank.grams)} g of dough is ${show(blank.acrossMm)} mm across at ${show(blank.thicknessMm)} mm: area × thickness × density`,
      `As a ${closing} it holds ${show(insideMl)} ml when it is taut; 60 to 85 % of that is well filled (common practice, no source)`,
      ...(made.cuts.length
        ? [
            `Cut in ${made.cuts.length} ${made.cuts.length === 1 ? 'pass' : 'passes'}: ${made.cuts.map((cut) => `${cut.pieces} in ${cut.pattern} rows of ${Math.round(cut.widthMm)} × ${Math.round(cut.lengthMm)} mm`).join(', ')}`,
          ]
        : []),
      ...batches.flatMap((batch) =>
        batch.oilDropC === undefined
          ? []
          : [
              `${batch.perBatch} pieces raise the oil by ${show(batch.oilRiseMm!)} mm (their volume over the pot's section) and cool it by ${show(batch.oilDropC)} °C (heat of warming and steam against oil and burner; common practice: 10 to 20)`,
            ],
      ),
    ],
  }
}

/**
 * Every cooking in its order: in the cook's own cookware, or else in what is usually used. Of what is usual only said
 * is what does not fit.
 */
function batchesOf(
  recipe: Recipe | null,
  stages: readonly ToCook[],
  own: readonly Cookware[] = [],
): { batches: CookedBatch[]; unfit: string[] } {
  const found: { stage: number; batch: CookedBatch }[] = []
  const unfit: string[] = []
  own.forEach((ware, at) => {
    const fits = stages.findIndex(({ way }) => COOKWARE_OF[way] === ware.kind)
    const stage = Math.max(0, fits)
    found.push({ stage, batch: batchesIn(stages[stage]!, ware, at) })
  })
  if (recipe)
    stages.forEach((asked, stage) => {
      if (found.some((one) => one.stage === stage)) return
      const kind = COOKWARE_OF[asked.way]
      try {
        found.push({ stage, batch: batchesIn(asked, { kind }, 0) })
      } catch (error) {
        if (!(error instanceof RecipeProblem)) throw error
        unfit.push(...error.problems.map(({ message }) => `In a usual ${kind} ${message}`))
      }
    })
  return { batches: found.sort((a, b) => a.stage - b.stage).map(({ batch }) => batch), unfit }
}

/** The cookings of a piece: hotter first and cooler after is one, boiled and then fried are two. */
function stagesOf(recipe: Recipe | null): { way: CookingWay; minutes: number | null }[] {
  if (!recipe) return [{ way: 'bake', minutes: null }]
  const { way, minutes, andThen } = recipe.cooking
  if (!andThen) return [{ way, minutes }]
  if (andThen.way === way)
    return [{ way, minutes: minutes === null ? null : minutes + (andThen.minutes ?? 0) }]
  return [
    { way, minutes },
    { way: andThen.way, minutes: andThen.minutes },
  ]
}

/** Dough that a sheet of given size is, where there is no recipe. */
function sheetGrams(plan: PiecePlan, blank: Blank, density: number): number {
  const { sheetWidthMm, sheetLengthMm } = plan
  if (sheetWidthMm && sheetLengthMm)
    return (sheetWidthMm * sheetLengthMm * blank.thicknessMm * density) / 1000
  if (plan.pieces) return (plan.pieces * blank.grams) / (1 - BOARD_SHARE)
  throw new RecipeProblem([
    {
      field: 'plan.sheetWidthMm',
      message: 'give the width and length of the sheet, or how many pieces are wanted',
    },
  ])
}

const saysNothingOfSize = ({ ballGrams, thicknessMm, diameterMm, fillingGramsPerPiece }: PiecePlan) =>
  [ballGrams, thicknessMm, diameterMm, fillingGramsPerPiece].every((one) => one === undefined)

/** What goes into a piece where the cook says nothing: what the recipe says, else all that there is, shared out. */
function fillingPerPiece(pieces: number, fillingGrams: number, recipe: Recipe | null): number {
  return factOf(recipe, 'filling-grams-per-piece', 1) ?? (pieces > 0 ? fillingGrams / pieces : 0)
}

function toCook(
  stage: { way: CookingWay; minutes: number | null },
  evaluation: Evaluation | null,
  plan: PiecePlan,
  shape: Shape,
  pieces: number,
  doughGrams: number,
  fillingGrams: number,
): ToCook {
  const body = bodyOfPiece(shape, doughGrams, fillingGrams)
  return {
    pieces,
    body,
    pieceGrams: doughGrams + fillingGrams,
    pieceMl: doughGrams / DENSITY_G_PER_ML.dough + fillingGrams / DENSITY_G_PER_ML.filling,
    waterShare: evaluation ? waterShareOf(evaluation) : null,
    yeast: evaluation?.abilities.family === 'yeast',
    ...stage,
    startC: plan.startC ?? 20,
    parCooked: plan.parCooked ?? false,
  }
}

/** Water of a raw piece as a share of its weight, by what is not water in it. */
function waterShareOf({ perPiece }: Evaluation): number | null {
  if (perPiece.grams <= 0) return null
  const dry = perPiece.proteinG + perPiece.fatG + perPiece.carbohydrateG + perPiece.saltG
  return Math.min(0.95, Math.max(0.05, 1 - dry / perPiece.grams))
}
