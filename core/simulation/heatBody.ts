import { conduct } from './conduct'
import { constantMaterial } from './material'

/** A body whose properties do not change with its temperature. */
export interface BodyToHeat {
  geometry: 'slab' | 'cylinder' | 'sphere'
  /** Half of a slab's thickness, else the radius. */
  halfMm: number
  conductivityWmK: number
  densityKgM3: number
  specificHeatJkgK: number
  surfaceWm2K: number
  startC: number
  mediumC: number
  targetC: number
}

const DIMENSIONS = { slab: 1, cylinder: 2, sphere: 3 } as const
/** Of the solver's body to a whole one: two faces of a square metre, a metre of cylinder, a whole sphere. */
const WHOLE = { slab: 2, cylinder: 2 * Math.PI, sphere: 4 * Math.PI } as const
/** Looked at for so many times R² / α, with the surface's own time beside it, and at most for a year. */
const TIMES = 12
const MOST_MINUTES = 365 * 1440

/**
 * When the middle of a slab, a cylinder or a sphere passes a temperature.
 *
 * @returns `minutesToTarget` null for a target that what is round it never brings about
 */
export function heatBody(body: BodyToHeat) {
  const radius = body.halfMm / 1000
  const slope = body.densityKgM3 * body.specificHeatJkgK
  const dimensions = DIMENSIONS[body.geometry]
  // What conducts slowly inside or is hardly heated at its surface takes as long as the two together.
  const seconds =
    TIMES *
    ((slope * radius * radius) / body.conductivityWmK + (slope * radius) / (dimensions * body.surfaceWm2K))
  const within = (body.targetC - body.startC) * (body.targetC - body.mediumC) <= 0
  const { minutesToTarget, centreC, profileC, heatJ } = conduct({
    layers: [{ thicknessMm: body.halfMm, material: constantMaterial(body) }],
    dimensions,
    startC: body.startC,
    exposures: [{ mediumC: body.mediumC, surfaceWm2K: body.surfaceWm2K, minutes: null }],
    targetC: within ? body.targetC : null,
    mostMinutes: Math.min(seconds / 60, MOST_MINUTES),
  })
  return { minutesToTarget, centreC, profileC, energyKJ: (heatJ * WHOLE[body.geometry]) / 1000 }
}
