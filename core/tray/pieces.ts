import type { Closing, Fit } from '../piece/closures'
import type { Shape } from '../recipe/vocabulary'
import type { Mark } from './apart'
import type { CookedBatch, Cookware } from './batches'
import type { Cut, MakingMethod } from './making'

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
  /** Cooked in part before, and finished now. */
  parCooked?: boolean
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

/** A figure as it is answered: to a tenth, or as many digits as are asked. */
export const round = (value: number, digits = 1) => Math.round(value * 10 ** digits) / 10 ** digits
export const show = (value: number) => String(round(value))
