import { oilThrough, USUAL_BURNER_W } from '../cooking/oilHeat'
import type { Body } from '../piece/geometry'
import {
  MAX_PLACES,
  placesAbout,
  discsInCircle,
  discsOnRectangle,
  oblongsInCircle,
  oblongsOnRectangle,
  type Place,
} from '../piece/packing'
import { SHAPE_TABLE } from '../piece/shapes'
import { RecipeProblem } from '../recipe/problem'
import type { CookingWay } from '../recipe/vocabulary'

export const COOKWARE_KINDS = ['tray', 'steamer', 'pot', 'pan', 'fryer', 'griddle'] as const
export type CookwareKind = (typeof COOKWARE_KINDS)[number]

/** Something of the cook's own that pieces are cooked on or in. */
export interface Cookware {
  kind: CookwareKind
  widthMm?: number
  lengthMm?: number
  diameterMm?: number
  oilMl?: number
  heightMm?: number
  /** Trays in the oven at once, tiers of a steamer. */
  count?: number
  gapMm?: number
  burnerW?: number
}

/** Sensible ones to start with. Common practice, no source. */
export const USUAL_COOKWARE: Readonly<Record<CookwareKind, Omit<Cookware, 'kind'>>> = {
  tray: { widthMm: 400, lengthMm: 330, count: 1 },
  steamer: { diameterMm: 240, count: 2 },
  pot: { diameterMm: 240, heightMm: 140 },
  pan: { diameterMm: 280, heightMm: 50 },
  fryer: { diameterMm: 220, heightMm: 140, oilMl: 2000 },
  griddle: { diameterMm: 300 },
}

/** What a way of cooking is usually done in. */
export const COOKWARE_OF: Readonly<Record<CookingWay, CookwareKind>> = {
  bake: 'tray',
  'deep-fry': 'fryer',
  'shallow-fry': 'pan',
  griddle: 'griddle',
  steam: 'steamer',
  boil: 'pot',
  'brown-and-steam': 'pan',
}

/** Room between pieces, in mm; growth across while they cook. Common practice, no source. */
const GAP_MM: Readonly<Record<CookwareKind, number>> = {
  tray: 25,
  steamer: 28,
  // What floats may touch.
  pot: 2,
  pan: 8,
  fryer: 2,
  griddle: 10,
}
const YEAST_GAP_MM = 35
const YEAST_GROWS = 1.3
const GROWS: Readonly<Record<CookwareKind, number>> = {
  tray: 1.03,
  steamer: 1.08,
  pot: 1.12,
  pan: 1.03,
  fryer: 1.05,
  griddle: 1,
}

/** Minutes where the recipe gives none, and those between two batches. Common practice, no source. */
export const USUAL_MINUTES: Readonly<Record<CookingWay, number>> = {
  bake: 22,
  'deep-fry': 5,
  'shallow-fry': 8,
  griddle: 6,
  steam: 12,
  boil: 6,
  'brown-and-steam': 9,
}
const BETWEEN_MINUTES: Readonly<Record<CookwareKind, number>> = {
  tray: 2,
  steamer: 1,
  pot: 2,
  pan: 1,
  fryer: 1,
  griddle: 0.5,
}

/** A litre of boiling water takes this much, in g, without going off the boil for long. Common practice, no source. */
const GRAMS_PER_LITRE_WATER = 200
/** What was half cooked before is finished in about so much of its time. Common practice, no source. */
const PAR_COOKED_SHARE = 0.5
/** A pot is filled with water to this share of its height. */
const WATER_SHARE = 0.65
/** At most so many grams in a litre of oil, and so many degrees of fall. Common practice, no source. */
const GRAMS_PER_LITRE_OIL = 125
const MAX_DROP_C = 20
/** Oil stands no higher than half the pot. Common practice, no source. */
const MAX_OIL_SHARE = 0.5
/** Pieces of a recipe without figures are taken to be half water. */
const USUAL_WATER_SHARE = 0.5

export interface ToCook {
  pieces: number
  body: Body
  pieceGrams: number
  pieceMl: number
  waterShare: number | null
  yeast: boolean
  way: CookingWay
  minutes: number | null
  startC: number
  parCooked: boolean
}

export interface CookedBatch {
  kind: CookwareKind
  perBatch: number
  batches: number
  cookMinutes: number
  /** From the end of one batch to the beginning of the next. */
  betweenMinutes: number
  /** Both together. */
  minutesEach: number
  totalMinutes: number
  /** One tray or tier, from above: from its corner, or from the middle of what is round. */
  layout: Place[]
  /** What a piece takes up on it, without the gap. */
  pieceWidthMm: number
  pieceLengthMm: number
  round: boolean
  widthMm: number | null
  lengthMm: number | null
  diameterMm: number | null
  count: number
  /** Of water or oil in it. */
  litres?: number
  oilDepthMm?: number
  oilRiseMm?: number
  oilDropC?: number
  oilRecoverySeconds?: number
  warnings: string[]
}

/** What floats tilts and jostles, and lies closer than on a tray: so much of its mean width. Our own choice. */
const FLOATS_CLOSER = 0.92

/** What a piece takes up on a tray once it has grown, in mm. */
function footprint({ body, yeast }: ToCook, kind: CookwareKind) {
  const row = SHAPE_TABLE[body.shape]
  const grows = yeast && (kind === 'tray' || kind === 'steamer') ? YEAST_GROWS : GROWS[kind]
  const width = (body.widthMm * row.windings + body.lipMm) * grows
  if (kind === 'pot' && !row.round) {
    const across = FLOATS_CLOSER * Math.sqrt(width * body.lengthMm * grows)
    return { width: across, length: across, round: true }
  }
  return { width, length: row.round ? width : body.lengthMm * grows, round: row.round }
}

/** Where pieces lie on one tray, tier or in one pot. */
function layOut(ware: Cookware, width: number, length: number, round: boolean, gap: number) {
  const { widthMm, lengthMm, diameterMm } = ware
  // The gap is between pieces: half of it may hang over each edge.
  if (widthMm && lengthMm) {
    // In the middle of the tray, whatever is over on all sides.
    const moved = (places: Place[]) => {
      const middle = (of: (place: Place) => number) =>
        (Math.min(...places.map(of)) + Math.max(...places.map(of))) / 2
      const x = widthMm / 2 - middle(({ xMm }) => xMm)
      const y = lengthMm / 2 - middle(({ yMm }) => yMm)
      return places.map(({ xMm, yMm }) => ({ xMm: xMm + x, yMm: yMm + y }))
    }
    if (round)
      return {
        places: moved(discsOnRectangle(widthMm + gap, lengthMm + gap, width + gap).places),
        turned: false,
      }
    const laid = oblongsOnRectangle(widthMm + gap, lengthMm + gap, width + gap, length + gap)
    return { places: moved(laid.places), turned: laid.turned }
  }
  return round
    ? { places: discsInCircle(diameterMm! + gap, width + gap).places, turned: false }
    : oblongsInCircle(diameterMm! + gap, width + gap, length + gap)
}

/** How many go into the oil at once: by its litres, by how far it cools, by its surface; one at least. */
function intoOil(asked: ToCook, ware: Cookware, most: number) {
  const oil = (pieces: number) =>
    oilThrough({
      oilMl: ware.oilMl!,
      diameterMm: ware.diameterMm!,
      pieces,
      pieceGrams: asked.pieceGrams,
      pieceMl: asked.pieceMl,
      waterShare: asked.waterShare ?? USUAL_WATER_SHARE,
      startC: asked.startC,
      burnerW: ware.burnerW ?? USUAL_BURNER_W,
    })
  let pieces = Math.max(
    1,
    Math.min(most, Math.floor((GRAMS_PER_LITRE_OIL * ware.oilMl!) / 1000 / asked.pieceGrams)),
  )
  while (pieces > 1 && oil(pieces).dropC > MAX_DROP_C) pieces--
  return { pieces, oil: oil(pieces) }
}

const round1 = (value: number) => Math.round(value * 10) / 10

/**
 * How the pieces go through one cookware, batch by batch.
 *
 * @param at place in the list of cookware, for naming its field
 * @throws RecipeProblem where not one piece fits, or the oil stands too high
 */
export function batchesIn(asked: ToCook, given: Cookware, at: number): CookedBatch {
  const ware: Cookware = {
    ...(given.widthMm || given.diameterMm ? {} : USUAL_COOKWARE[given.kind]),
    ...given,
  }
  const usual = USUAL_COOKWARE[given.kind]
  if (given.kind === 'fryer') {
    ware.oilMl ??= usual.oilMl
    ware.heightMm ??= usual.heightMm
    ware.diameterMm ??= Math.sqrt((4 / Math.PI) * (ware.widthMm ?? 200) * (ware.lengthMm ?? 200))
  }
  if (given.kind === 'pot') ware.heightMm ??= usual.heightMm
  const field = (name: string) => `plan.cookware[${at}].${name}`
  if ((ware.widthMm === undefined) !== (ware.lengthMm === undefined))
    throw new RecipeProblem([
      {
        field: field(ware.widthMm === undefined ? 'widthMm' : 'lengthMm'),
        message: 'give width and length, or a diameter',
      },
    ])

  const { width, length, round } = footprint(asked, ware.kind)
  const gap = ware.gapMm ?? (asked.yeast && ware.kind === 'tray' ? YEAST_GAP_MM : GAP_MM[ware.kind])
  const room =
    ware.widthMm && ware.lengthMm ? ware.widthMm * ware.lengthMm : (Math.PI / 4) * ware.diameterMm! ** 2
  if (placesAbout(room, (width + gap) * (length + gap)) > MAX_PLACES)
    throw new RecipeProblem([
      {
        field: field(ware.widthMm ? 'widthMm' : 'diameterMm'),
        message: `more than ${MAX_PLACES} pieces of ${round1(width)} mm would lie in it; check the millimetres`,
      },
    ])
  const laid = layOut(ware, width, length, round, gap)
  if (!laid.places.length)
    throw new RecipeProblem([
      {
        field: field(ware.diameterMm && !ware.widthMm ? 'diameterMm' : 'widthMm'),
        message: `not one piece of ${Math.round(width)} × ${Math.round(length)} mm fits; use a larger ${ware.kind}, or smaller pieces`,
      },
    ])

  const warnings: string[] = []
  const tiers = Math.max(1, ware.count ?? 1)
  let perBatch = laid.places.length * tiers
  const surface = (Math.PI / 4) * (ware.diameterMm ?? 0) ** 2
  let extra: Partial<CookedBatch> = {}
  if (ware.kind === 'pot' && ware.diameterMm) {
    const litres = (surface * ware.heightMm! * WATER_SHARE) / 1e6
    perBatch = Math.max(
      1,
      Math.min(perBatch, Math.floor((GRAMS_PER_LITRE_WATER * litres) / asked.pieceGrams)),
    )
    extra = { litres: round1(litres) }
    warnings.push(`About ${round1(litres)} l of water; half a cup of cold water checks it when it boils up`)
    warnings.push('Done 2 to 3 min after they float; lift one out and cut it')
  }
  if (ware.kind === 'fryer') {
    const depth = (ware.oilMl! * 1000) / surface
    if (depth > MAX_OIL_SHARE * ware.heightMm!)
      throw new RecipeProblem([
        {
          field: field('oilMl'),
          message: `the oil would stand ${Math.round(depth)} mm high in a pot of ${Math.round(ware.heightMm!)} mm; half of it is the most, ${Math.round((MAX_OIL_SHARE * ware.heightMm! * surface) / 1000)} ml`,
        },
      ])
    const { pieces, oil } = intoOil(asked, ware, perBatch)
    perBatch = pieces
    extra = {
      litres: round1(ware.oilMl! / 1000),
      oilDepthMm: round1(oil.depthMm),
      oilRiseMm: round1(oil.riseMm),
      oilDropC: round1(oil.dropC),
      oilRecoverySeconds: oil.recoverySeconds,
    }
    const rim = ware.heightMm! - oil.depthMm - oil.riseMm
    warnings.push(
      `Hot oil: ${Math.round(rim)} mm of rim are left with the pieces in; lower them in dry, keep a lid by, never put water on an oil fire`,
    )
    if (oil.dropC > MAX_DROP_C)
      warnings.push(
        `Even one piece cools the oil by ${Math.round(oil.dropC)} °C: use more oil, or fry smaller ones`,
      )
    if (asked.startC < 0) warnings.push('Frozen: fry at 150 to 160 °C, and longer')
  }
  if (ware.kind === 'tray' && tiers > 1) warnings.push('Two levels: change them over and turn them half-way')
  if (ware.kind === 'griddle') warnings.push('Two sides; 4 to 5 g of fat a piece, all of it eaten')

  const whole = asked.minutes ?? USUAL_MINUTES[asked.way]
  const minutes = whole * (asked.parCooked ? PAR_COOKED_SHARE : 1) + frozenMinutes(asked)
  if (asked.parCooked)
    warnings.push(
      `Par-cooked: about ${Math.round(PAR_COOKED_SHARE * 100)} % of the time; hot through, 74 °C inside (US FSIS, leftovers)`,
    )
  const between = Math.max(BETWEEN_MINUTES[ware.kind], round1((extra.oilRecoverySeconds ?? 0) / 60 - minutes))
  const batches = Math.ceil(asked.pieces / perBatch)
  if (asked.minutes === null) warnings.push(`The recipe says no minutes; ${minutes} are usual`)
  if (batches > 1)
    warnings.push(
      ware.kind === 'steamer' || ware.kind === 'pot'
        ? 'Keep the first ones under a cloth, 15 min at most'
        : 'Keep the first ones on a rack at 95 to 100 °C, 30 min at most',
    )
  return {
    kind: ware.kind,
    perBatch,
    batches,
    cookMinutes: round1(minutes),
    betweenMinutes: round1(between),
    minutesEach: round1(minutes + between),
    totalMinutes: round1(batches * minutes + (batches - 1) * between),
    layout: laid.places.slice(0, Math.min(asked.pieces, Math.ceil(perBatch / tiers))),
    pieceWidthMm: round1(laid.turned ? length : width),
    pieceLengthMm: round1(laid.turned ? width : length),
    round,
    widthMm: ware.widthMm ?? null,
    lengthMm: ware.lengthMm ?? null,
    diameterMm: ware.widthMm ? null : (ware.diameterMm ?? null),
    count: tiers,
    ...extra,
    warnings,
  }
}

/** What frozen pieces take longer. Common practice, no source. */
function frozenMinutes({ startC, way }: ToCook): number {
  if (startC >= 0) return 0
  return way === 'bake' ? 11 : way === 'steam' ? 5 : 3
}
