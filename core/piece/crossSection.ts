import type { Shape } from '../recipe/document'

/** Densities in grams per millilitre, from memory of kitchen practice; no published source. */
export const DENSITY_G_PER_ML = { dough: 1.15, filling: 1.0, coat: 1.0, oil: 0.92 } as const

export interface Point {
  x: number
  y: number
}

/** One piece cut through the middle, in millimetres; x to the right, y upwards, the board at y = 0. */
export interface CrossSection {
  shape: Shape
  widthMm: number
  heightMm: number
  /** Width of one outline: the whole piece, or a coil's rope where the cut goes through it. */
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

/** A closed outline between two curves over [-w/2, w/2]. */
function outline(width: number, top: (t: number) => number, bottom: (t: number) => number): Point[] {
  const points: Point[] = []
  for (let i = 0; i <= STEPS; i++) {
    const t = -1 + (2 * i) / STEPS
    points.push({ x: (t * width) / 2, y: top(t) })
  }
  for (let i = STEPS; i >= 0; i--) {
    const t = -1 + (2 * i) / STEPS
    points.push({ x: (t * width) / 2, y: bottom(t) })
  }
  return points
}

const superellipse = (power: number) => (t: number) => Math.max(0, 1 - Math.abs(t) ** power) ** (1 / power)

/** Finds the root of a rising function between two ends by halving, to a thousandth of a millimetre. */
function solve(rising: (x: number) => number, low: number, high: number): number {
  for (let i = 0; i < 60 && high - low > 0.001; i++) {
    const middle = (low + high) / 2
    if (rising(middle) < 0) low = middle
    else high = middle
  }
  return (low + high) / 2
}

interface Body {
  width: number
  height: number
  length: number
  /** Outer surface in mm². */
  surface: number
  /** Volume in mm³ of the body shrunk by a wall on every side. */
  inside: (wall: number) => number
  power: number
  base: number
}

/** How often a cut through the middle of a coil meets its rope. Common practice, no source. */
const WINDINGS_CUT = 4

/**
 * Proportions of a piece as they are usually shaped: height and length in units of its width, how round its
 * section is, and which part of the height lies below its widest line. Common practice, no source. The volume then fixes the size.
 */
const PROPORTIONS: Readonly<Record<Shape, { height: number; length: number; power: number; base: number }>> =
  {
    'half-moon': { height: 0.46, length: 1.7, power: 1.75, base: 0.25 },
    pleated: { height: 0.64, length: 1, power: 1.9, base: 0.25 },
    bun: { height: 0.68, length: 1, power: 2.2, base: 0.3 },
    disc: { height: 0.16, length: 1, power: 4, base: 0.5 },
    parcel: { height: 0.4, length: 1.2, power: 2.6, base: 0.35 },
    cone: { height: 0.62, length: 1.25, power: 1.35, base: 0.25 },
    roll: { height: 0.8, length: 3, power: 2.2, base: 0.4 },
    // A rope wound until the cut meets it four times: π times four windings of its own width long.
    coil: { height: 0.85, length: Math.PI * WINDINGS_CUT, power: 2.2, base: 0.4 },
    'lidded-pie': { height: 0.4, length: 1, power: 6, base: 0.5 },
  }

/** Area of a superellipse with half-axes a and b, by the trapezium rule. */
function superArea(a: number, b: number, power: number): number {
  const curve = superellipse(power)
  let sum = 0
  for (let i = 0; i < STEPS; i++) sum += (curve(i / STEPS) + curve((i + 1) / STEPS)) / (2 * STEPS)
  return 4 * a * b * sum
}

/** How much of section area × length is filled: pieces taper to their ends. Common practice, no source. */
const FULLNESS: Readonly<Record<Shape, number>> = {
  'half-moon': 0.62,
  pleated: 0.65,
  bun: 0.67,
  disc: 0.78,
  parcel: 0.75,
  cone: 0.5,
  roll: 0.9,
  coil: 0.95,
  'lidded-pie': 0.785,
}

function bodyOf(shape: Shape, volumeMm3: number): Body {
  const p = PROPORTIONS[shape]
  const unit = superArea(0.5, p.height / 2, p.power) * p.length * FULLNESS[shape]
  const width = Math.cbrt(volumeMm3 / unit)
  const height = width * p.height
  const length = width * p.length
  const volume = (w: number, h: number, l: number) =>
    w <= 0 || h <= 0 || l <= 0 ? 0 : superArea(w / 2, h / 2, p.power) * l * FULLNESS[shape]
  return {
    width,
    height,
    length,
    surface: 2 * FULLNESS[shape] * (width * length + height * length + width * height),
    inside: (wall) => volume(width - 2 * wall, height - 2 * wall, length - 2 * wall),
    power: p.power,
    base: p.base,
  }
}

/**
 * Draws one raw piece, cut through the middle, from the weights of its parts.
 *
 * The volumes of dough and filling fix the size for the usual proportions of the shape; the dough is taken as
 * a wall of even thickness, found so that what is inside it has the volume of the filling. Air, layers and the
 * rise of yeast are left out. A coil is drawn as its rope, once for each time the cut meets it.
 *
 * @param shape how the piece is closed
 * @param grams of one piece; dough above 0
 * @returns the section in millimetres; without filling the inner outline is empty
 */
export function crossSection(shape: Shape, grams: PieceGrams): CrossSection {
  const doughMl = grams.doughGrams / DENSITY_G_PER_ML.dough
  const fillingMl = grams.fillingGrams / DENSITY_G_PER_ML.filling
  const body = bodyOf(shape, Math.max(doughMl + fillingMl, 0.5) * 1000)
  const wall =
    fillingMl > 0
      ? solve(
          (thickness) => fillingMl * 1000 - body.inside(thickness),
          0,
          Math.min(body.height, body.width) / 2,
        )
      : Math.min(body.height, body.width) / 2
  const section = superellipse(body.power)
  // Flatter below than above, for it lies on a board; the area is the same as of an even one.
  const shapeOf = (width: number, height: number, floor: number) => {
    const low = height * body.base
    return outline(
      width,
      (t) => floor + low + (height - low) * section(t),
      (t) => floor + low - low * section(t),
    )
  }
  const outer = shapeOf(body.width, body.height, 0)
  const innerWidth = body.width - 2 * wall
  const innerHeight = body.height - 2 * wall
  const filling =
    fillingMl > 0 && innerWidth > 0 && innerHeight > 0 ? shapeOf(innerWidth, innerHeight, wall) : []
  const depth = (mm3: number) => (body.surface > 0 ? mm3 / body.surface : 0)
  const windings = shape === 'coil' ? WINDINGS_CUT : 1
  const widthMm = body.width * windings
  return {
    shape,
    widthMm,
    heightMm: body.height,
    outlineMm: body.width,
    shiftsMm: Array.from({ length: windings }, (_, n) => (n - (windings - 1) / 2) * body.width),
    lengthMm: windings > 1 ? widthMm : body.length,
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
