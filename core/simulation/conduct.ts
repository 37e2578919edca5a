import type { Material } from './material'

/** From the middle outwards. */
export interface Layer {
  thicknessMm: number
  material: Material
}

/** A medium round the body: for so long, or to the end. */
export interface Exposure {
  mediumC: number
  /** Of the surface, in W/(m²·K). */
  surfaceWm2K: number
  minutes: number | null
}

export interface HeatProblem {
  layers: readonly Layer[]
  /**
   * How the area grows with the distance r from the middle, as r to this power less one: 1 for a slab, 2 for a
   * cylinder, 3 for a sphere; a piece lies between them.
   */
  dimensions: number
  startC: number
  exposures: readonly Exposure[]
  /** Ends when the middle has passed it; null goes on to `mostMinutes`. */
  targetC: number | null
  mostMinutes: number
  /** Quicker, for what is not known so closely. */
  coarse?: boolean
}

export interface Heated {
  /** When the middle passed the target; null where it did not within `mostMinutes`. */
  minutesToTarget: number | null
  /** The middle: minutes and °C, from the start to the end. */
  centreC: [number, number][]
  /** From the middle to the surface, at the end: mm and °C. */
  profileC: [number, number][]
  /** Heat taken up until the end, in J, for a body whose area at r is r^(dimensions − 1) in metres. */
  heatJ: number
  /** The same, counted as what has come in through the surface: how far the two differ is the error. */
  heatInJ: number
}

/** Cells in all, and at least so many in a layer. Twice as many change a time by less than 0.2 %. */
const CELLS = 48
const MIN_CELLS_IN_LAYER = 8
/** For a piece, whose surface is known to a factor of two: within 1 % of the finer ones, in a fifth of the time. */
const COARSE = { cells: 24, layer: 6, share: 0.03, exact: 1e-3 } as const
/** A step takes this share of the time that has gone by, and begins with this share of what a cell takes. */
const STEP_SHARE = 0.01
const FIRST_SHARE = 0.02
const GROWTH = 1.15
const MAX_ITERATIONS = 30
const KELVIN_EXACT = 1e-6
/** So many points of the curve are answered. */
const POINTS = 80

interface Cells {
  width: Float64Array
  /** Distances of the walls between cells from the middle, in m. */
  wall: Float64Array
  /** Area of those walls, and volume between them, of a body whose area at r is r^(dimensions − 1). */
  area: Float64Array
  volume: Float64Array
  material: Material[]
}

function cellsOf(layers: readonly Layer[], dimensions: number, most: number, least: number): Cells {
  const thick = layers.filter((layer) => layer.thicknessMm > 0)
  const total = thick.reduce((sum, layer) => sum + layer.thicknessMm, 0)
  const width: number[] = []
  const material: Material[] = []
  for (const layer of thick) {
    const count = Math.max(least, Math.round((most * layer.thicknessMm) / total))
    for (let n = 0; n < count; n++) {
      width.push(layer.thicknessMm / 1000 / count)
      material.push(layer.material)
    }
  }
  const wall = new Float64Array(width.length + 1)
  width.forEach((one, n) => (wall[n + 1] = wall[n]! + one))
  const volume = Float64Array.from(
    width,
    (_, n) => (wall[n + 1]! ** dimensions - wall[n]! ** dimensions) / dimensions,
  )
  const area = wall.map((one) => one ** (dimensions - 1))
  return { width: Float64Array.from(width), wall, volume, area, material }
}

/** The temperature in the very middle: a parabola through the two innermost cells, flat at the middle. */
function middleC(cells: Cells, celsius: Float64Array): number {
  const near = cells.width[0]! / 2
  const far = cells.width[0]! + cells.width[1]! / 2
  const bend = (celsius[1]! - celsius[0]!) / (far * far - near * near)
  return celsius[0]! - bend * near * near
}

/**
 * Heat conduction in one dimension through layers, with convection at the surface: finite volumes, the heat content
 * as the unknown's measure so that thawing and boiling lose none, implicit steps of second order in time (BDF2), and
 * Newton's method in each step.
 *
 * @param problem thicknesses above 0, `dimensions` from 1 to 3, temperatures between −60 and 400 °C
 * @throws RangeError where there is nothing to heat
 */
export function conduct(problem: HeatProblem): Heated {
  const { layers, dimensions, exposures, targetC } = problem
  if (!layers.some((layer) => layer.thicknessMm > 0))
    throw new RangeError('a layer thicker than 0 mm is needed')
  const { coarse = false } = problem
  const cells = coarse
    ? cellsOf(layers, dimensions, COARSE.cells, COARSE.layer)
    : cellsOf(layers, dimensions, CELLS, MIN_CELLS_IN_LAYER)
  const share = coarse ? COARSE.share : STEP_SHARE
  const exact = coarse ? COARSE.exact : KELVIN_EXACT
  const count = cells.width.length
  const celsius = new Float64Array(count).fill(problem.startC)
  const heat = Float64Array.from(cells.material, (material) => material.heatAt(problem.startC))
  const before = Float64Array.from(heat)
  const atStart = Float64Array.from(heat)
  const scratch = {
    lower: new Float64Array(count),
    upper: new Float64Array(count),
    between: new Float64Array(count + 1),
  }
  const ends: number[] = []
  for (const { minutes } of exposures)
    ends.push(minutes === null ? Infinity : (ends.at(-1) ?? 0) + minutes * 60)
  const last = problem.mostMinutes * 60
  const curve: [number, number][] = [[0, problem.startC]]
  const first = cells.material[0]!
  const diffusivity = first.conductivityAt(problem.startC) / first.heatSlopeAt(problem.startC)
  const passed = (middle: number) =>
    targetC !== null && (targetC >= problem.startC ? middle >= targetC : middle <= targetC)
  if (passed(problem.startC) && targetC === problem.startC)
    return { minutesToTarget: 0, centreC: curve, profileC: profileOf(cells, celsius), heatJ: 0, heatInJ: 0 }

  let seconds = 0
  let step = (FIRST_SHARE * cells.width[count - 1]! ** 2) / diffusivity
  let stepBefore = 0
  let heatIn = 0
  let flowBefore: number | null = null
  let minutesToTarget: number | null = null
  while (seconds < last && minutesToTarget === null) {
    const stage = Math.max(
      ends.findIndex((end) => seconds < end - 1e-9),
      0,
    )
    const { mediumC, surfaceWm2K } = exposures[stage]!
    const now = Math.min(step, last - seconds, (ends[stage] ?? Infinity) - seconds)
    const atSurface = solveStep({
      cells,
      celsius,
      heat,
      before,
      now,
      stepBefore,
      mediumC,
      surfaceWm2K,
      exact,
      ...scratch,
    })
    // Through the surface, by the trapezoid between steps.
    heatIn += now * (flowBefore === null ? atSurface : (atSurface + flowBefore) / 2)
    flowBefore = atSurface
    seconds += now
    stepBefore = now
    const middle = middleC(cells, celsius)
    if (passed(middle)) {
      const [minutes, previous] = curve.at(-1)!
      const part = (targetC! - previous) / (middle - previous || 1)
      minutesToTarget = minutes + Math.min(Math.max(part, 0), 1) * (seconds / 60 - minutes)
    }
    curve.push([seconds / 60, middle])
    // A new medium begins like the first one: with small steps.
    if (seconds >= (ends[stage] ?? Infinity) - 1e-9) {
      step = (FIRST_SHARE * cells.width[count - 1]! ** 2) / diffusivity
      stepBefore = 0
      flowBefore = null
    } else step = Math.min(now * GROWTH, Math.max(step, share * seconds))
  }
  const heatJ = heat.reduce((sum, one, n) => sum + (one - atStart[n]!) * cells.volume[n]!, 0)
  return {
    minutesToTarget,
    centreC: thinned(curve),
    profileC: profileOf(cells, celsius),
    heatJ,
    heatInJ: heatIn,
  }
}

interface Step {
  cells: Cells
  celsius: Float64Array
  heat: Float64Array
  before: Float64Array
  now: number
  stepBefore: number
  mediumC: number
  surfaceWm2K: number
  exact: number
  lower: Float64Array
  upper: Float64Array
  between: Float64Array
}

/** One implicit step; temperatures and heat contents are written back. Returns the flow through the surface in W. */
function solveStep(step: Step): number {
  const {
    cells,
    celsius,
    heat,
    before,
    now,
    stepBefore,
    mediumC,
    surfaceWm2K,
    exact,
    lower,
    upper,
    between,
  } = step
  const count = celsius.length
  const ratio = stepBefore > 0 ? now / stepBefore : 0
  // BDF2 for steps of unlike length; the first step is Euler's.
  const [a0, a1, a2] =
    stepBefore > 0 ? [(1 + 2 * ratio) / (1 + ratio), -(1 + ratio), (ratio * ratio) / (1 + ratio)] : [1, -1, 0]
  const resistance = (n: number) => cells.width[n]! / 2 / cells.material[n]!.conductivityAt(celsius[n]!)
  let own = resistance(0)
  for (let n = 0; n < count; n++) {
    const next = n < count - 1 ? resistance(n + 1) : 1 / surfaceWm2K
    between[n + 1] = cells.area[n + 1]! / (own + next)
    own = next
  }
  between[0] = 0
  for (let iteration = 0; iteration < MAX_ITERATIONS; iteration++) {
    // Thomas's algorithm on the change of every temperature.
    let largest = 0
    for (let n = 0; n < count; n++) {
      const material = cells.material[n]!
      const share = cells.volume[n]! / now
      const inflow = between[n + 1]! * ((n < count - 1 ? celsius[n + 1]! : mediumC) - celsius[n]!)
      const outflow = n > 0 ? between[n]! * (celsius[n]! - celsius[n - 1]!) : 0
      const content = a0! * material.heatAt(celsius[n]!) + a1! * heat[n]! + a2! * before[n]!
      const residual = inflow - outflow - share * content
      const diagonal = share * a0! * material.heatSlopeAt(celsius[n]!) + between[n + 1]! + between[n]!
      const pivot = diagonal - (n > 0 ? between[n]! * upper[n - 1]! : 0)
      upper[n] = n < count - 1 ? between[n + 1]! / pivot : 0
      lower[n] = (residual + (n > 0 ? between[n]! * lower[n - 1]! : 0)) / pivot
    }
    for (let n = count - 2; n >= 0; n--) lower[n]! += upper[n]! * lower[n + 1]!
    for (let n = 0; n < count; n++) {
      // Where ice melts the slope changes a hundredfold: a long stride would jump over it and back.
      const stride = Math.min(Math.max(lower[n]!, -20), 20)
      celsius[n]! += stride
      largest = Math.max(largest, Math.abs(lower[n]!))
    }
    if (largest < exact) break
  }
  for (let n = 0; n < count; n++) {
    before[n] = heat[n]!
    heat[n] = cells.material[n]!.heatAt(celsius[n]!)
  }
  return between[count]! * (mediumC - celsius[count - 1]!)
}

const profileOf = (cells: Cells, celsius: Float64Array): [number, number][] =>
  Array.from(celsius, (one, n) => [1000 * (cells.wall[n]! + cells.width[n]! / 2), one])

/** As many points of a curve as an answer needs, evenly in time, the first and the last among them. */
function thinned(curve: [number, number][]): [number, number][] {
  const end = curve.at(-1)![0]
  if (curve.length <= POINTS || end <= 0) return curve
  const kept: [number, number][] = []
  let next = 0
  for (const point of curve)
    if (point[0] >= next || point === curve.at(-1)) {
      kept.push(point)
      next = point[0] + end / POINTS
    }
  return kept
}
