import type { Shape } from '../recipe/vocabulary'

/** A sheet of dough as it is closed: a disc, half a disc, a square, a strip or a dish. */
export interface Blank {
  /** Diameter of a disc, side of a square, width of a strip, diameter of a dish. */
  acrossMm: number
  thicknessMm: number
  doughGrams: number
  /** Only of a strip: its length; of a dish: its height. */
  alongMm?: number
}

/** How a blank becomes a piece. */
export const CLOSINGS = [
  'half-moon',
  'pleated pouch',
  'purse bun',
  'cone',
  'triangle parcel',
  'envelope',
  'roll',
  'coil',
  'double disc',
  'stuffed flat bread',
  'lid',
] as const
export type Closing = (typeof CLOSINGS)[number]

/** Usual closing of a shape, from a round blank. */
export const CLOSING_OF: Readonly<Record<Shape, Closing>> = {
  'half-moon': 'half-moon',
  pleated: 'pleated pouch',
  bun: 'purse bun',
  disc: 'stuffed flat bread',
  parcel: 'envelope',
  cone: 'cone',
  roll: 'roll',
  coil: 'coil',
  'lidded-pie': 'lid',
}

/** The rim that is pressed together: a twelfth of the blank, from 6 to 12 mm. Common practice, no source. */
export const seamMm = (acrossMm: number): number => Math.min(12, Math.max(6, acrossMm / 12))

/**
 * Volume of two flat faces sealed along their edge and filled until they are taut, in units of the cube of the
 * radius of a disc of their area: W. H. Paulsen, What is the shape of a mylar balloon?, Amer. Math. Monthly 101
 * (1994), from memory. Exact for discs; for half discs and squares an estimate.
 */
const PILLOW = 1.2185

const pillowMl = (faceMm2: number) => (PILLOW * Math.sqrt(faceMm2 / Math.PI) ** 3) / 1000
const ballMl = (surfaceMm2: number, wallMm: number) => {
  const middle = Math.sqrt(Math.max(0, surfaceMm2) / (4 * Math.PI))
  return ((4 / 3) * Math.PI * Math.max(0, middle - wallMm / 2) ** 3) / 1000
}

/** Share of a disc that becomes the wall of a pouch; the rest is pleats and knot. Common practice, no source. */
const POUCH_WALL = 0.57
/** Of a bun's disc: bread dough stretches while it is gathered, and hardly any is lost in the knot. */
const BUN_WALL = 0.92
/** A flat bread closed over its filling and rolled again holds about its dough's weight. */
const FLAT_BREAD = 1.15
/** The open end of a cone that is folded shut, and the edge that laps over, in mm. Common practice, no source. */
const CONE_FLAP_MM = 15
const LAP_MM = 10
/** A roll goes round its filling this often, and both its ends are tucked in by a fifth. Common practice, no source. */
const ROLL_TURNS = 2.7
const ROLL_TUCK = 0.2
/** A pie's filling stands so much below its dish's rim, of its height. */
const PIE_FULL = 0.95

/**
 * What a closed piece holds when it is taut, in ml: nothing more goes in. Seams and walls are taken off.
 *
 * @param blank with sizes above 0
 */
export function volumeInside(closing: Closing, blank: Blank): number {
  const { acrossMm, thicknessMm, alongMm = 0 } = blank
  const inner = Math.max(0, acrossMm - 2 * seamMm(acrossMm))
  switch (closing) {
    case 'half-moon':
      return pillowMl((Math.PI * inner ** 2) / 8)
    case 'double disc':
      return pillowMl((Math.PI * inner ** 2) / 4)
    case 'triangle parcel':
      return pillowMl(inner ** 2 / 2)
    case 'envelope':
      // Four corners meet in the middle: a square of half the area, with a seam all round.
      return pillowMl(Math.max(0, acrossMm / Math.SQRT2 - seamMm(acrossMm)) ** 2)
    case 'pleated pouch':
      return ballMl((POUCH_WALL * Math.PI * acrossMm ** 2) / 4, thicknessMm)
    case 'purse bun':
      return ballMl((BUN_WALL * Math.PI * acrossMm ** 2) / 4, thicknessMm)
    case 'cone': {
      // Half a disc rolled up: its radius is the slant, its arc less the lap goes round the mouth.
      const slant = acrossMm / 2
      const lapped = Math.max(0, 1 - LAP_MM / (Math.PI * slant))
      const filled = Math.max(0, slant - CONE_FLAP_MM)
      const radius = (filled / 2) * lapped
      return ((Math.PI / 3) * radius ** 2 * Math.sqrt(Math.max(0, filled ** 2 - radius ** 2))) / 1000
    }
    case 'roll': {
      const radius = acrossMm / (2 * Math.PI * ROLL_TURNS)
      return (Math.PI * radius ** 2 * acrossMm * (1 - 2 * ROLL_TUCK)) / 1000
    }
    case 'coil': {
      const radius = Math.max(0, acrossMm - LAP_MM) / (2 * Math.PI)
      return (Math.PI * Math.max(0, radius - thicknessMm / 2) ** 2 * alongMm) / 1000
    }
    case 'stuffed flat bread':
      return FLAT_BREAD * blank.doughGrams
    case 'lid':
      return (
        (PIE_FULL *
          (Math.PI / 4) *
          Math.max(0, acrossMm - 2 * thicknessMm) ** 2 *
          Math.max(0, alongMm - thicknessMm)) /
        1000
      )
  }
}

/** From these shares of what a taut piece holds on, it is well filled, and too full. Common practice, no source. */
export const FULL = { good: 0.6, most: 0.85 } as const

export type Fit = 'mean' | 'good' | 'overfull'

/** How full a piece is: a mean one, right, or one that bursts or does not close. */
export function fitOf(fillingMl: number, insideMl: number): Fit {
  if (fillingMl > FULL.most * insideMl) return 'overfull'
  return fillingMl < FULL.good * insideMl ? 'mean' : 'good'
}
