import type { Shape } from '../recipe/vocabulary'
import { SHAPE_TABLE, type ShapeRow } from './shapes'

/** Densities in grams per millilitre, from memory of kitchen practice; no published source. */
export const DENSITY_G_PER_ML = { dough: 1.15, filling: 1.0, coat: 1.0, oil: 0.92 } as const

/** The height of a superellipse over its middle, as a share of its half-axis, for t from -1 to 1. */
export const superellipse = (power: number) => (t: number) =>
  Math.max(0, 1 - Math.abs(t) ** power) ** (1 / power)

/** Half-turns into which outlines are cut when a surface is added up; twice as many change it by less than 0.1 %. */
const STEPS = 60

/** What of a shape's row gives its volume and surface. */
type Proportions = Pick<ShapeRow, 'height' | 'length' | 'power' | 'taper' | 'flat'>

/** Volume and surface of a shape whose width is 1. */
interface UnitBody {
  volume: number
  surface: number
}

/** A quarter of a superellipse as points from (1, 0) to (0, 1), close together where it bends. */
function quarter(power: number): { x: number; y: number }[] {
  return Array.from({ length: STEPS + 1 }, (_, n) => {
    const angle = (n / STEPS) * (Math.PI / 2)
    // The last cosine is not quite 0, and a small power would make it large.
    const x = n === STEPS ? 0 : Math.cos(angle)
    return { x: x ** (2 / power), y: Math.sin(angle) ** (2 / power) }
  })
}

const area = (points: readonly { x: number; y: number }[]) => {
  let sum = 0
  for (let n = 0; n < points.length - 1; n++)
    sum += ((points[n]!.x - points[n + 1]!.x) * (points[n]!.y + points[n + 1]!.y)) / 2
  return sum
}

/** Area of a triangle in space. */
function triangle(a: readonly number[], b: readonly number[], c: readonly number[]): number {
  const u = [b[0]! - a[0]!, b[1]! - a[1]!, b[2]! - a[2]!]
  const v = [c[0]! - a[0]!, c[1]! - a[1]!, c[2]! - a[2]!]
  return (
    Math.hypot(u[1]! * v[2]! - u[2]! * v[1]!, u[2]! * v[0]! - u[0]! * v[2]!, u[0]! * v[1]! - u[1]! * v[0]!) /
    2
  )
}

/**
 * A body whose cut is a superellipse and whose outline along its length is another. Its volume is that of its
 * slices; its surface is added up over a net of triangles on one eighth of it.
 */
export function unitBody({ height, length, power, taper, flat }: Proportions): UnitBody {
  const section = quarter(power)
  const along = quarter(taper)
  const halfHeight = height / 2
  const halfLength = length / 2
  let volume = 0
  for (let n = 0; n < STEPS; n++) {
    const thick = (along[n + 1]!.y - along[n]!.y) * halfLength
    const slice = (size: number) => (flat ? size : size * size)
    volume += ((slice(along[n]!.x) + slice(along[n + 1]!.x)) / 2) * thick
  }
  volume *= 8 * area(section) * 0.5 * halfHeight
  const at = (s: number, l: number) => {
    const size = along[l]!.x
    return [
      0.5 * section[s]!.x * size,
      halfHeight * section[s]!.y * (flat ? 1 : size),
      along[l]!.y * halfLength,
    ]
  }
  let surface = 0
  for (let s = 0; s < STEPS; s++)
    for (let l = 0; l < STEPS; l++) {
      const corners = [at(s, l), at(s + 1, l), at(s + 1, l + 1), at(s, l + 1)] as const
      surface += triangle(corners[0], corners[1], corners[2]) + triangle(corners[0], corners[2], corners[3])
    }
  return { volume, surface: 8 * surface }
}

const unitBodies = new Map<Shape, UnitBody>()
function unitBodyOf(shape: Shape): UnitBody {
  let body = unitBodies.get(shape)
  if (!body) unitBodies.set(shape, (body = unitBody(SHAPE_TABLE[shape])))
  return body
}

/** One raw piece as a body: what draws it, cooks it or counts its fat reads it from here. */
export interface Body {
  shape: Shape
  /** Of one outline, without the lip: a coil is measured as its rope. */
  widthMm: number
  heightMm: number
  lengthMm: number
  /** Filling and the dough round it, without the seam. */
  volumeMm3: number
  /** Even thickness of the dough round the filling; without filling half of the smallest side. */
  wallMm: number
  /** The rim that stands out at one side, as wide as the dough of the seam makes it; 0 for shapes without. */
  lipMm: number
  /** Outer surface that fat and heat can reach, the rim's two sides with it. */
  surfaceMm2: number
}

/** Volume in mm³ inside a wall of even thickness. */
function inside(size: Pick<Body, 'widthMm' | 'heightMm' | 'lengthMm' | 'volumeMm3'>, wallMm: number): number {
  const shrunk = (mm: number) => Math.max(0, mm - 2 * wallMm) / mm
  return size.volumeMm3 * shrunk(size.widthMm) * shrunk(size.heightMm) * shrunk(size.lengthMm)
}

/** The thickness of wall that leaves a volume inside, by halving, to a thousandth of a millimetre. */
function wallRound(size: Parameters<typeof inside>[0], fillingMm3: number): number {
  let low = 0
  let high = Math.min(size.heightMm, size.widthMm) / 2
  if (fillingMm3 <= 0) return high
  while (high - low > 0.001) {
    const middle = (low + high) / 2
    if (inside(size, middle) > fillingMm3) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/** The edge along which the lip runs, in widths: half of an ellipse with the piece's length and width. */
const lipEdge = (width: number, length: number) =>
  (Math.PI / 4) * (3 * (width + length) - Math.sqrt((3 * width + length) * (width + 3 * length)))

/**
 * The body of one raw piece in the usual proportions of its shape. Volumes of dough and filling fix the size; a
 * share of the dough goes into the seam, the rest is a wall of even thickness with the filling inside. A rim that
 * stands out is twice as thick as the wall.
 *
 * @param doughGrams above 0
 */
export function bodyOfPiece(shape: Shape, doughGrams: number, fillingGrams: number): Body {
  const row = SHAPE_TABLE[shape]
  const unit = unitBodyOf(shape)
  const doughMm3 = (1000 * Math.max(doughGrams, 0.01)) / DENSITY_G_PER_ML.dough
  const fillingMm3 = (1000 * fillingGrams) / DENSITY_G_PER_ML.filling
  // A ball of dough with nothing in it has no seam.
  const seamMm3 = fillingGrams > 0 ? doughMm3 * row.seam : 0
  const volumeMm3 = doughMm3 - seamMm3 + fillingMm3
  const widthMm = Math.cbrt(volumeMm3 / unit.volume)
  const size = { widthMm, heightMm: widthMm * row.height, lengthMm: widthMm * row.length, volumeMm3 }
  const wallMm = wallRound(size, fillingMm3)
  const edgeMm = lipEdge(size.widthMm, size.lengthMm)
  const lipMm = row.lip && wallMm > 0 ? seamMm3 / (2 * wallMm * edgeMm) : 0
  return {
    shape,
    ...size,
    wallMm,
    lipMm,
    surfaceMm2: widthMm ** 2 * unit.surface * (1 - row.touching) + 2 * lipMm * edgeMm,
  }
}

/** Outer surface in cm². */
export const surfaceCm2 = (body: Body): number => body.surfaceMm2 / 100
