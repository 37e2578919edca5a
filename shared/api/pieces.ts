import { z } from 'zod'
import { CLOSINGS } from '../../core/piece/closures'
import { SHAPES } from '../../core/recipe/vocabulary'
import { MARKS } from '../../core/tray/apart'
import { COOKWARE_KINDS } from '../../core/tray/batches'
import type { PlannedPieces } from '../../core/tray/pieces'

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
      cookMinutes: z.number(),
      betweenMinutes: z.number().describe('from the end of one batch to the beginning of the next'),
      minutesEach: z.number().describe('both together'),
      totalMinutes: z.number(),
      layout: z.array(place),
      pieceWidthMm: z.number(),
      pieceLengthMm: z.number(),
      round: z.boolean(),
      widthMm: z.number().nullable(),
      lengthMm: z.number().nullable(),
      diameterMm: z.number().nullable(),
      count: z.number(),
      litres: z.number().optional().describe('of water or oil in it'),
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
