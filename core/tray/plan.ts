import { doughDensity } from '../dough/density'
import type { Evaluation } from '../evaluation/evaluate'
import { bodyOfPiece, DENSITY_G_PER_ML } from '../piece/geometry'
import { MAX_PLACES, placesAbout } from '../piece/packing'
import { CLOSING_OF, fitOf, FULL, volumeInside, type Closing, type Fit } from '../piece/closures'
import { SHAPE_TABLE } from '../piece/shapes'
import type { Recipe } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'
import { RecipeProblem } from '../recipe/problem'
import type { FactKind, Shape } from '../recipe/vocabulary'
import type { ReferenceData } from '../tables/referenceData'
import { MARKS, orderApart, type Mark } from './apart'
import { batchesIn, COOKWARE_OF, type CookedBatch, type Cookware, type ToCook } from './batches'
import { acrossOf, blankAreaMm2, cutSheet, type Cut, type MakingMethod } from './making'

/** What a cook says of the pieces: of weight, thickness and width any two give the third. */
export interface PiecePlan {
  method: MakingMethod
  pieces?: number
  /** Of the dough of one ball; a round that is halved makes two pieces. */
  ballGrams?: number
  thicknessMm?: number
  /** Of a disc or a dish, side of a square, width of a strip. */
  diameterMm?: number
  sheetWidthMm?: number
  sheetLengthMm?: number
  /** How often trimmings are rolled again; twice where nothing is said. */
  rerolls?: number
  fillingGramsPerPiece?: number
  cookware?: Cookware[]
  closing?: Closing
  /** Share of a ball's disc that is rolled to half of its thickness, as for pleats: 0 to 0.6. */
  rimShare?: number
  /** Height of a lined dish, in mm. */
  dishHeightMm?: number
  /** Of the pieces as they go into the heat: 20 from the board, 5 from the fridge, −18 frozen. */
  startC?: number
}

export interface PlannedFilling {
  partId: string
  name: string
  /** Finished: as it goes in. */
  grams: number
  /** Pieces that it makes, and those that are planned of it. */
  pieces: number
  planned: number
  leftGrams: number
  /** How its pieces are told from the others; null where there is but one filling. */
  mark: Mark | null
  /** 1 is filled and cooked first. */
  turn: number
}

export interface PlannedPieces {
  pieces: number
  shape: Shape
  closing: Closing
  doughGramsPerPiece: number
  thicknessMm: number
  diameterMm: number
  /** Of a lined dish; null for anything else. */
  dishHeightMm: number | null
  fillingGramsPerPiece: number
  /** As much as closes well, in g, and what it is in level tablespoons. */
  fillingCapacityGrams: number
  fillingCapacityTablespoons: number
  fit: Fit
  dough: { grams: number; pieces: number; leftGrams: number; wasteGrams: number }
  fillings: PlannedFilling[]
  /** 'dough' or the part that is short; null where all comes out even. */
  runsOutFirst: string | null
  /** What has to be made of a part, in all its lines, so that it lasts for the pieces of the other. */
  makeMore: { partId: string; factor: number; lines: { lineId: string; grams: number }[] }[]
  cuts: Cut[]
  batches: CookedBatch[]
  warnings: string[]
  working: string[]
}

/** Dough that stays on hands and board where it is divided. Common practice, no source. */
const BOARD_SHARE = 0.01
const USUAL_REROLLS = 2
/** A sheet that no one has measured is rolled so wide at most. Common practice, no source. */
const USUAL_SHEET_MM = 400
/** Weight, width and thickness that are all given may disagree by so much. Our own choice. */
const AGREE = 0.12
const ML_PER_TABLESPOON = 15
const USUAL_DISH_MM = 40
/** A coil's strip is this wide where nothing is said. Common practice, no source. */
const USUAL_STRIP_MM = 110
/** Waste of a sheet that cooks know: 3 to 8 %. Common practice, no source. */
const MUCH_WASTE = 0.08
/** Dough rolled more often than this grows thick and tough. Common practice, no source. */
const TOUGH_AFTER = 2

/** Ways whose pieces are cut out of a sheet. */
const CUT: ReadonlySet<MakingMethod> = new Set(['cut-sheet', 'stamped-pair', 'squares'])

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

const round = (value: number, digits = 1) => Math.round(value * 10 ** digits) / 10 ** digits
const show = (value: number) => String(round(value))

function closingOf(method: MakingMethod, shape: Shape, given: Closing | undefined): Closing {
  if (given) return given
  if (method === 'stamped-pair') return 'double disc'
  if (method === 'halved-rounds') return 'cone'
  if (method === 'squares' && shape !== 'roll') return shape === 'half-moon' ? 'triangle parcel' : 'envelope'
  return CLOSING_OF[shape]
}

/** A number that the text of the recipe gave, in mm or g. */
function factOf(recipe: Recipe | null, kind: FactKind, times: number): number | undefined {
  const found = recipe?.facts.find((fact) => fact.kind === kind)
  return found ? ((found.low + found.high) / 2) * times : undefined
}

/** What is to be divided: the dough, and each filling as it goes in. */
interface Stock {
  doughGrams: number
  density: number
  fillings: { partId: string; name: string; grams: number; share: number }[]
}

function stockOf(
  recipe: Recipe | null,
  evaluation: Evaluation | null,
  reference: ReferenceData,
): Stock | null {
  if (!recipe || !evaluation) return null
  const shell = allLines(recipe).flatMap(({ part, line }) => {
    const food = foodOf(line, reference.foods)
    return part.kind === 'shell' && food && line.grams !== null
      ? [{ line, food, grams: line.grams, waterChangeGrams: line.waterChangeGrams }]
      : []
  })
  const parts = evaluation.parts.filter(
    (part) => part.kind === 'filling' && part.into === null && part.grams > 0,
  )
  const all = parts.reduce((sum, part) => sum + part.pieces, 0)
  return {
    doughGrams: evaluation.dough.grams,
    density: doughDensity(shell) ?? DENSITY_G_PER_ML.dough,
    fillings: parts.map((part) => ({
      partId: part.partId,
      name: part.name,
      // What is made for it goes in with it.
      grams: evaluation.parts
        .filter((own) => own.partId === part.partId || own.into === part.partId)
        .reduce((sum, own) => sum + own.grams, 0),
      share: part.pieces / all,
    })),
  }
}

interface Blank {
  grams: number
  thicknessMm: number
  acrossMm: number
  alongMm: number
}

/** Weight, thickness and width of a piece's dough: two of them give the third. */
function blankOf(
  plan: PiecePlan,
  shape: Shape,
  recipe: Recipe | null,
  stock: Stock | null,
  density: number,
): Blank {
  const { method } = plan
  const perBall = method === 'halved-rounds' ? 2 : 1
  const dish = method === 'lined-dish' ? dishFor(plan, stock, plan.pieces ?? recipe?.pieces) : null
  const alongMm = dish?.highMm ?? 0
  // A rim rolled to half its thickness makes the disc lighter by half of that share.
  const gramsPerMm3 = (density / 1000) * (1 - (CUT.has(method) ? 0 : (plan.rimShare ?? 0) / 2))
  const usable = stock ? stock.doughGrams * (1 - BOARD_SHARE) : 0
  let grams = plan.ballGrams === undefined ? undefined : plan.ballGrams / perBall
  let thickness = plan.thicknessMm
  let across = plan.diameterMm
  if (dish && across === undefined && (grams === undefined || thickness === undefined)) across = dish.acrossMm
  // What the text says counts where the cook says nothing, and fits with what the cook says.
  if (grams === undefined && (thickness === undefined || across === undefined))
    across ??= factOf(recipe, 'cutter-cm', 10) ?? factOf(recipe, 'disc-cm', 10)
  if (thickness === undefined && (grams === undefined || across === undefined))
    thickness = factOf(recipe, 'thickness-mm', 1)
  const wanted = plan.pieces ?? recipe?.pieces
  if (grams === undefined && (thickness === undefined || across === undefined)) {
    const ball = factOf(recipe, 'ball-grams', 1)
    if (ball !== undefined) grams = ball / perBall
    else if (usable > 0 && wanted && CUT.has(method) && across === undefined)
      across = cutterFor(plan, wanted, thickness ?? SHAPE_TABLE[shape].rolledMm, stock!.doughGrams, density)
    else if (usable > 0 && wanted && across === undefined) grams = usable / wanted
  }
  if (method === 'rope') {
    across ??= USUAL_STRIP_MM
    thickness ??= SHAPE_TABLE.coil.rolledMm
    if (grams === undefined)
      throw new RecipeProblem([{ field: 'plan.ballGrams', message: 'say what the dough of one rope weighs' }])
    return {
      grams,
      thicknessMm: thickness,
      acrossMm: across,
      alongMm: grams / (gramsPerMm3 * across * thickness),
    }
  }
  if (thickness === undefined && (grams === undefined || across === undefined))
    thickness = SHAPE_TABLE[shape].rolledMm
  if (grams === undefined) {
    if (across === undefined)
      throw new RecipeProblem([
        { field: 'plan.diameterMm', message: 'say how wide a piece is cut, or what its dough weighs' },
      ])
    grams = gramsPerMm3 * thickness! * blankAreaMm2(method, across, alongMm)
  } else if (across === undefined) {
    across = acrossOf(method, grams / (gramsPerMm3 * thickness!), alongMm)
  } else if (thickness === undefined) {
    thickness = grams / (gramsPerMm3 * blankAreaMm2(method, across, alongMm))
  } else {
    const by = gramsPerMm3 * thickness * blankAreaMm2(method, across, alongMm)
    if (Math.abs(by - grams) > AGREE * grams)
      throw new RecipeProblem([
        {
          field: 'plan.thicknessMm',
          message: `${show(across)} mm across and ${show(thickness)} mm thick is ${show(by * perBall)} g, not ${show(grams * perBall)}; give two of the three`,
        },
      ])
  }
  return { grams, thicknessMm: thickness!, acrossMm: across!, alongMm }
}

/** A dish is about so high for its width; the rest of its volume is dough and a little room. Common practice, no source. */
const DISH_HIGH = 0.4
const DISH_FULL = 0.55
/** No dish is smaller. */
const MIN_DISH_MM = { across: 20, high: 8 } as const
/** Less than this is no filling. */
const MIN_FILLING_GRAMS = 0.01

/** The dish that a piece's filling asks for, where the cook names none. */
function dishFor(plan: PiecePlan, stock: Stock | null, pieces: number | undefined) {
  const filling = stock?.fillings.reduce((sum, one) => sum + one.grams, 0) ?? 0
  const each = plan.fillingGramsPerPiece ?? (pieces ? filling / pieces : 0)
  const volumeMm3 = (1000 * each) / DENSITY_G_PER_ML.filling / DISH_FULL
  if (each < MIN_FILLING_GRAMS) return { acrossMm: undefined, highMm: plan.dishHeightMm ?? USUAL_DISH_MM }
  const acrossMm = plan.dishHeightMm
    ? Math.sqrt((4 * volumeMm3) / (Math.PI * plan.dishHeightMm))
    : Math.cbrt((4 * volumeMm3) / (Math.PI * DISH_HIGH))
  const across = plan.diameterMm ?? Math.max(MIN_DISH_MM.across, Math.round(acrossMm))
  return {
    acrossMm: across,
    highMm:
      plan.dishHeightMm ?? Math.max(MIN_DISH_MM.high, Math.round((4 * volumeMm3) / (Math.PI * across ** 2))),
  }
}

interface Divided {
  pieces: number
  cuts: Cut[]
  wasteGrams: number
  leftGrams: number
}

/** Pieces from the dough there is. */
function divide(
  plan: PiecePlan,
  blank: Blank,
  doughGrams: number,
  density: number,
  wanted: number | null,
): Divided {
  if (!CUT.has(plan.method)) {
    const usable = doughGrams * (1 - (plan.method === 'wrappers' ? 0 : BOARD_SHARE))
    const most = Math.floor(usable / blank.grams + 1e-6)
    const pieces = wanted === null ? most : Math.min(most, wanted)
    return { pieces, cuts: [], wasteGrams: doughGrams - usable, leftGrams: usable - pieces * blank.grams }
  }
  const perPiece = plan.method === 'stamped-pair' ? 2 : 1
  const gramsPerMm2 = (density / 1000) * blank.thicknessMm
  const area = doughGrams / gramsPerMm2
  // A sheet that nobody has measured lies with its long side before the cook.
  const deep = Math.min(USUAL_SHEET_MM, Math.sqrt(area))
  const wished = plan.sheetLengthMm ?? (plan.sheetWidthMm ? area / plan.sheetWidthMm : deep)
  const widthMm = plan.sheetWidthMm ?? area / wished
  // The dough goes no further than it goes.
  const lengthMm = Math.min(wished, area / widthMm)
  if (placesAbout(widthMm * lengthMm, blank.acrossMm ** 2) > MAX_PLACES)
    throw new RecipeProblem([
      {
        field: plan.diameterMm === undefined ? 'plan.ballGrams' : 'plan.diameterMm',
        message: `more than ${MAX_PLACES} pieces would be cut of this dough; check grams and millimetres`,
      },
    ])
  const made = cutSheet({
    doughGrams,
    gramsPerMm2,
    blankMm: blank.acrossMm,
    square: plan.method === 'squares',
    widthMm,
    lengthMm,
    rerolls: plan.rerolls ?? USUAL_REROLLS,
    wanted: wanted === null ? null : wanted * perPiece,
  })
  const blanks = made.cuts.reduce((sum, cut) => sum + cut.pieces, 0)
  if (!blanks)
    throw new RecipeProblem([
      {
        field: plan.sheetWidthMm || plan.sheetLengthMm ? 'plan.sheetWidthMm' : 'plan.diameterMm',
        message: `a blank of ${show(blank.acrossMm)} mm is wider than the sheet of ${show(widthMm)} × ${show(lengthMm)} mm; use a smaller cutter, or a larger sheet`,
      },
    ])
  const pieces = Math.floor(blanks / perPiece)
  const odd = (blanks - pieces * perPiece) * (blank.grams / perPiece)
  return { pieces, cuts: made.cuts, wasteGrams: made.wasteGrams + odd, leftGrams: made.leftGrams }
}

/** A cutter is looked for in steps of a millimetre, from the largest that the dough could be. */
const MIN_CUTTER_MM = 15

/** The widest cutter that gives as many pieces as are wanted. */
function cutterFor(
  plan: PiecePlan,
  wanted: number,
  thicknessMm: number,
  doughGrams: number,
  density: number,
): number {
  const areaEach = doughGrams / wanted / ((density / 1000) * thicknessMm)
  for (let mm = Math.floor(acrossOf(plan.method, areaEach, 0)); mm > MIN_CUTTER_MM; mm--) {
    const grams = (density / 1000) * thicknessMm * blankAreaMm2(plan.method, mm, 0)
    const blank = { grams, thicknessMm, acrossMm: mm, alongMm: 0 }
    const made = piecesOrNone(() => divide({ ...plan, thicknessMm }, blank, doughGrams, density, null).pieces)
    if (made >= wanted) return mm
  }
  return MIN_CUTTER_MM
}

/** None where a blank is wider than the sheet. */
function piecesOrNone(cut: () => number): number {
  try {
    return cut()
  } catch (error) {
    if (error instanceof RecipeProblem) return 0
    throw error
  }
}

/** Whole pieces for each filling, by its share, that add up to all of them. */
function shareOut(pieces: number, fillings: Stock['fillings']): number[] {
  const exact = fillings.map(({ share }) => share * pieces)
  const whole = exact.map(Math.floor)
  const open = pieces - whole.reduce((sum, one) => sum + one, 0)
  const byRest = exact.map((one, at) => ({ at, rest: one - Math.floor(one) })).sort((a, b) => b.rest - a.rest)
  for (const { at } of byRest.slice(0, open)) whole[at]!++
  return whole
}

/** The lines of a part made so many times as much. */
const linesTimes = (recipe: Recipe, partId: string, factor: number) =>
  recipe.parts
    .filter((part) => part.id === partId || part.into === partId)
    .flatMap((part) => part.lines)
    .flatMap((line) => (line.grams === null ? [] : [{ lineId: line.id, grams: round(line.grams * factor) }]))

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
  const fillings = stocked.map(({ partId, name, grams }, at): PlannedFilling => ({
    partId,
    name,
    grams: round(grams),
    pieces: byFilling[at] ?? 0,
    planned: planned[at]!,
    leftGrams: round(Math.max(0, grams - planned[at]! * perPiece)),
    mark: stocked.length > 1 ? MARKS[at % MARKS.length]! : null,
    turn: 1 + apart.findIndex((one) => one.partId === partId),
  }))
  const short = shortOf(all.pieces, fillings, pieces, perPiece)
  const goal = Math.max(pieces, all.pieces, ofFilling)
  const cooked = toCook(recipe, evaluation, plan, shape, pieces, blank.grams, perPiece)
  const { batches, unfit } =
    pieces < 1
      ? { batches: [], unfit: [] }
      : plan.cookware
        ? { batches: plan.cookware.map((ware, at) => batchesIn(cooked, ware, at)), unfit: [] }
        : usualBatches(recipe, cooked)
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

/** In what the way of cooking is usually done in. Where the cook has named nothing, what does not fit is only said. */
function usualBatches(recipe: Recipe | null, cooked: ToCook): { batches: CookedBatch[]; unfit: string[] } {
  if (!recipe) return { batches: [], unfit: [] }
  const kind = COOKWARE_OF[recipe.cooking.way]
  try {
    return { batches: [batchesIn(cooked, { kind }, 0)], unfit: [] }
  } catch (error) {
    if (!(error instanceof RecipeProblem)) throw error
    return { batches: [], unfit: error.problems.map(({ message }) => `In a usual ${kind} ${message}`) }
  }
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

/** What to keep apart where one filling holds what another does not. */
function apartWarnings(fillings: readonly PlannedFilling[], apart: ReturnType<typeof orderApart>): string[] {
  const first = apart[0]
  const later = apart.find(({ brings }) => brings.length > 0)
  if (fillings.length < 2 || !first || !later) return []
  const name = (id: string) => (fillings.find(({ partId }) => partId === id)?.name ?? 'filling').toLowerCase()
  return [
    `Fill and cook the ${name(first.partId)} first: the ${name(later.partId)} brings ${later.brings.join(', ')}. Board, oil, water, steamer and spoon are changed or washed between; a home kitchen cannot promise that no trace travels`,
  ]
}

const saysNothingOfSize = ({ ballGrams, thicknessMm, diameterMm, fillingGramsPerPiece }: PiecePlan) =>
  [ballGrams, thicknessMm, diameterMm, fillingGramsPerPiece].every((one) => one === undefined)

/** What goes into a piece where the cook says nothing: what the recipe says, else all that there is, shared out. */
function fillingPerPiece(pieces: number, fillingGrams: number, recipe: Recipe | null): number {
  return factOf(recipe, 'filling-grams-per-piece', 1) ?? (pieces > 0 ? fillingGrams / pieces : 0)
}

/** A rest for fewer pieces than this share of them, or for one, is even enough. Our own choice. */
const SURPLUS = 0.08
/** A rest smaller than this share of a piece is no rest. Our own choice. */
const EVEN = 0.15

function shortOf(
  doughPieces: number,
  fillings: readonly PlannedFilling[],
  pieces: number,
  perPiece: number,
): string | null {
  const lacking = fillings
    .map((one) => ({ partId: one.partId, lacks: one.planned - one.grams / Math.max(perPiece, 1e-9) }))
    .filter(({ lacks }) => lacks > EVEN)
    .sort((a, b) => b.lacks - a.lacks)[0]
  if (doughPieces < pieces) return lacking && lacking.lacks > pieces - doughPieces ? lacking.partId : 'dough'
  if (lacking) return lacking.partId
  // As planned all comes out; what would be short if the rest were made too.
  const possible = fillings.reduce((sum, one) => sum + one.pieces, 0)
  if (!fillings.length || perPiece <= 0) return null
  if (Math.abs(possible - doughPieces) <= Math.max(1, SURPLUS * pieces)) return null
  if (possible > doughPieces) return 'dough'
  return possible < doughPieces
    ? fillings.reduce((one, other) => (other.pieces < one.pieces ? other : one)).partId
    : null
}

function moreOf(
  recipe: Recipe,
  doughPieces: number,
  fillings: readonly PlannedFilling[],
  goal: number,
  perPiece: number,
): PlannedPieces['makeMore'] {
  const all = fillings.reduce((sum, one) => sum + one.planned, 0)
  const wanted = [
    ...recipe.parts
      .filter((part) => part.kind === 'shell' && part.into === null && doughPieces > 0)
      .map((part) => ({ partId: part.id, factor: goal / doughPieces })),
    ...fillings.map((one) => ({
      partId: one.partId,
      factor: one.grams > 0 && all > 0 ? (goal * (one.planned / all) * perPiece) / one.grams : 1,
    })),
  ]
  return wanted
    .filter(({ factor }) => factor > 1.005)
    .map(({ partId, factor }) => ({
      partId,
      factor: round(factor, 3),
      lines: linesTimes(recipe, partId, factor),
    }))
}

function toCook(
  recipe: Recipe | null,
  evaluation: Evaluation | null,
  plan: PiecePlan,
  shape: Shape,
  pieces: number,
  doughGrams: number,
  fillingGrams: number,
): ToCook {
  const body = bodyOfPiece(shape, doughGrams, fillingGrams)
  const cooking = recipe?.cooking
  return {
    pieces,
    body,
    pieceGrams: doughGrams + fillingGrams,
    pieceMl: doughGrams / DENSITY_G_PER_ML.dough + fillingGrams / DENSITY_G_PER_ML.filling,
    waterShare: evaluation ? waterShareOf(evaluation) : null,
    yeast: evaluation?.abilities.family === 'yeast',
    way: cooking?.way ?? 'bake',
    minutes: cooking?.minutes == null ? null : cooking.minutes + (cooking.andThen?.minutes ?? 0),
    temperatureC: cooking?.temperatureC ?? null,
    startC: plan.startC ?? 20,
  }
}

/** Water of a raw piece as a share of its weight, by what is not water in it. */
function waterShareOf({ perPiece }: Evaluation): number | null {
  if (perPiece.grams <= 0) return null
  const dry = perPiece.proteinG + perPiece.fatG + perPiece.carbohydrateG + perPiece.saltG
  return Math.min(0.95, Math.max(0.05, 1 - dry / perPiece.grams))
}

function warningsOf(
  plan: PiecePlan,
  made: Divided,
  doughGrams: number,
  perPiece: number,
  insideMl: number,
): string[] {
  const warnings: string[] = []
  const rolled = made.cuts.length - 1
  if (made.cuts.length && doughGrams > 0 && made.wasteGrams / doughGrams > MUCH_WASTE)
    warnings.push(
      `${Math.round((100 * made.wasteGrams) / doughGrams)} % of the dough is trimmings; 3 to 8 % are usual. Another width of sheet, or squares, wastes less`,
    )
  if (rolled > 0) warnings.push('Rest gathered trimmings 10 to 15 min before they are rolled again')
  if (rolled > TOUGH_AFTER)
    warnings.push('Rolled more than twice, dough grows thicker and tougher: keep those pieces for yourself')
  if (perPiece > 0 && fitOf(perPiece, insideMl) === 'overfull')
    warnings.push(`${show(perPiece)} g of filling is too much: ${show(FULL.most * insideMl)} g closes well`)
  if (made.leftGrams > 0 && made.leftGrams > 0.02 * doughGrams)
    warnings.push(
      `${Math.round(made.leftGrams)} g of dough are over: two or three days cold under cover, or frozen`,
    )
  if (plan.method === 'lined-dish') warnings.push('The lid is cut 2.5 cm wider than the dish')
  return warnings
}
