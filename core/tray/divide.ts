import { MAX_PLACES, placesAbout } from '../piece/packing'
import { RecipeProblem } from '../recipe/problem'
import { acrossOf, blankAreaMm2, cutSheet, type Cut, type MakingMethod } from './making'
import { show, type PiecePlan } from './pieces'

/** Dough that stays on hands and board where it is divided. Common practice, no source. */
export const BOARD_SHARE = 0.01
const USUAL_REROLLS = 2
/** A sheet that no one has measured is rolled so wide at most. Common practice, no source. */
const USUAL_SHEET_MM = 400

/** Ways whose pieces are cut out of a sheet. */
export const CUT: ReadonlySet<MakingMethod> = new Set(['cut-sheet', 'stamped-pair', 'squares'])

/** The dough of one piece, as it is rolled. */
export interface Blank {
  grams: number
  thicknessMm: number
  acrossMm: number
  alongMm: number
}

export interface Divided {
  pieces: number
  cuts: Cut[]
  wasteGrams: number
  leftGrams: number
}

/** Pieces from the dough there is. */
export function divide(
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
export function cutterFor(
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
