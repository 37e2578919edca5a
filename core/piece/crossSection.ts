import type { Shape } from '../recipe/vocabulary'
import { bodyOfPiece, type Body, DENSITY_G_PER_ML, superellipse } from './geometry'
import { SHAPE_TABLE } from './shapes'

export interface Point {
  x: number
  y: number
}

/** One piece cut through the middle, in millimetres; x to the right, y upwards, the board at y = 0. */
export interface CrossSection {
  shape: Shape
  widthMm: number
  heightMm: number
  /** Width of one outline without a rim that stands out: the whole piece, or a coil's rope. */
  outlineMm: number
  /** How far to the side each outline stands: one in the middle, or a coil's windings side by side. */
  shiftsMm: number[]
  /** Longest side of the whole piece, across or along the cut. */
  lengthMm: number
  doughMm: number
  /** Thickness of wash and topping over the outer surface. */
  coatMm: number
  /** Depth to which the fat taken up would reach if the dough's outside held it alone. */
  oilMm: number
  outer: Point[]
  filling: Point[]
  fillingMl: number
  doughMl: number
  working: string
}

export interface PieceGrams {
  doughGrams: number
  fillingGrams: number
  coatGrams: number
  oilGrams: number
}

const STEPS = 48

/** A closed outline between two curves over [-w/2, w/2]: the upper from the left, then the lower from the right. */
function outline(width: number, top: (t: number) => number, bottom: (t: number) => number): Point[] {
  const ts = Array.from({ length: STEPS + 1 }, (_, i) => -1 + (2 * i) / STEPS)
  return [
    ...ts.map((t) => ({ x: (t * width) / 2, y: top(t) })),
    ...ts.reverse().map((t) => ({ x: (t * width) / 2, y: bottom(t) })),
  ]
}

/** The outline with the pressed rim of its seam standing out to the right. */
function withLip(outer: readonly Point[], middleMm: number, { wallMm, lipMm, widthMm }: Body): Point[] {
  if (lipMm <= 0) return [...outer]
  const upper = middleMm + wallMm
  const lower = Math.max(0, middleMm - wallMm)
  // Where the body runs out into its seam it is never thinner than the rim.
  const thick = outer.map(({ x, y }, n): Point =>
    x <= 0 ? { x, y } : { x, y: n <= STEPS ? Math.max(y, upper) : Math.min(y, lower) },
  )
  const end = widthMm / 2 + lipMm
  return [...thick.slice(0, STEPS + 1), { x: end, y: upper }, { x: end, y: lower }, ...thick.slice(STEPS + 1)]
}

/**
 * Draws one raw piece, cut through the middle, from the weights of its parts.
 *
 * The volumes of dough and filling fix the size for the usual proportions of the shape; what dough is not in the
 * seam is a wall of even thickness round the filling. Air, layers and the rise of yeast are left out. A coil is drawn as its rope, once for each time the cut meets it.
 *
 * @param shape how the piece is closed
 * @param grams of one piece; dough above 0
 * @returns the section in millimetres; without filling the inner outline is empty
 */
export function crossSection(shape: Shape, grams: PieceGrams): CrossSection {
  const doughMl = grams.doughGrams / DENSITY_G_PER_ML.dough
  const fillingMl = grams.fillingGrams / DENSITY_G_PER_ML.filling
  const { power, base, windings } = SHAPE_TABLE[shape]
  const body = bodyOfPiece(shape, grams.doughGrams, grams.fillingGrams)
  const wall = body.wallMm
  const section = superellipse(power)
  // Flatter below than above, for it lies on a board; the area is the same as of an even one.
  const shapeOf = (width: number, height: number, floor: number) => {
    const low = height * base
    return outline(
      width,
      (t) => floor + low + (height - low) * section(t),
      (t) => floor + low - low * section(t),
    )
  }
  const outer = withLip(shapeOf(body.widthMm, body.heightMm, 0), body.heightMm * base, body)
  const innerWidth = body.widthMm - 2 * wall
  const innerHeight = body.heightMm - 2 * wall
  const filling =
    fillingMl > 0 && innerWidth > 0 && innerHeight > 0 ? shapeOf(innerWidth, innerHeight, wall) : []
  const depth = (mm3: number) => mm3 / body.surfaceMm2
  const widthMm = body.widthMm * windings + body.lipMm
  return {
    shape,
    widthMm,
    heightMm: body.heightMm,
    outlineMm: body.widthMm,
    shiftsMm: Array.from(
      { length: windings },
      (_, n) => (n - (windings - 1) / 2) * body.widthMm - body.lipMm / 2,
    ),
    lengthMm: windings > 1 ? widthMm : body.lengthMm,
    doughMm: wall,
    coatMm: depth((grams.coatGrams / DENSITY_G_PER_ML.coat) * 1000),
    oilMm: depth((grams.oilGrams / DENSITY_G_PER_ML.oil) * 1000),
    outer,
    filling,
    fillingMl,
    doughMl,
    working: `${doughMl.toFixed(1)} ml dough (${DENSITY_G_PER_ML.dough} g/ml) round ${fillingMl.toFixed(1)} ml filling (${DENSITY_G_PER_ML.filling} g/ml), in the usual proportions of a ${shape}; densities and proportions from memory of practice`,
  }
}
