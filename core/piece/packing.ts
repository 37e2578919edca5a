/** Where a piece lies: its middle, from a corner of the sheet or from the middle of a round vessel, in mm. */
export interface Place {
  xMm: number
  yMm: number
}

export interface Packing {
  /** How the rows lie: what is said of it. */
  pattern: 'square' | 'hexagonal' | 'mixed' | 'rings'
  places: Place[]
}

/** More places than this are nobody's sheet or tray: a size was mistyped. Asked before anything is packed. */
export const MAX_PLACES = 3000

/** About how many of a size there is room for. */
export const placesAbout = (areaMm2: number, eachMm2: number): number => areaMm2 / Math.max(eachMm2, 1e-9)

/** A row of discs or oblongs is never short of its room by less than this, in mm: knives and boards are no finer. */
const SLACK_MM = 1e-6

/** Height of a hexagonal row in diameters. */
const HEXAGONAL_ROW = Math.sqrt(3) / 2

const fits = (room: number, each: number) => Math.max(0, Math.floor((room + SLACK_MM) / each))

/**
 * Rows of discs along the width. Neighbouring rows lie straight above one another, a diameter apart, or half a disc
 * aside, which takes less height: of the rows that fit, only as many lie aside as the height asks for, since a row
 * that lies aside may hold one disc less.
 */
function rows(widthMm: number, lengthMm: number, discMm: number): Packing {
  const across = fits(widthMm, discMm)
  if (across === 0 || lengthMm + SLACK_MM < discMm) return { pattern: 'square', places: [] }
  const asideHolds = fits(widthMm - discMm / 2, discMm)
  let best: Packing = { pattern: 'square', places: [] }
  const mostRows = 1 + fits(lengthMm - discMm, discMm * HEXAGONAL_ROW)
  for (let count = fits(lengthMm, discMm); count <= mostRows; count++) {
    // Steps between rows that have to be the low ones for so many rows to fit.
    const over = count * discMm - lengthMm
    const low = Math.max(0, Math.ceil((over - SLACK_MM) / (discMm * (1 - HEXAGONAL_ROW))))
    if (low > count - 1) continue
    // Where a row aside holds as many, low steps cost nothing and every step may be one.
    const steps = asideHolds === across ? count - 1 : low
    const places: Place[] = []
    let y = discMm / 2
    let aside = false
    for (let row = 0; row < count; row++) {
      const holds = aside ? asideHolds : across
      for (let n = 0; n < holds; n++)
        places.push({ xMm: discMm / 2 + n * discMm + (aside ? discMm / 2 : 0), yMm: y })
      // Low steps come last: a row that lies aside stays so until the next of them.
      const isLow = row >= count - 1 - steps
      if (isLow) aside = !aside
      y += isLow ? discMm * HEXAGONAL_ROW : discMm
    }
    if (places.length > best.places.length)
      best = { pattern: steps === 0 ? 'square' : steps === count - 1 ? 'hexagonal' : 'mixed', places }
  }
  return best
}

const turned = ({ pattern, places }: Packing): Packing => ({
  pattern,
  places: places.map(({ xMm, yMm }) => ({ xMm: yMm, yMm: xMm })),
})

const fuller = (one: Packing, other: Packing) => (other.places.length > one.places.length ? other : one)

/**
 * Discs on a rectangle: square, hexagonal or mixed rows, along the width or the length, whichever holds most.
 *
 * @param discMm diameter with the gap that each needs; above 0
 * @returns middles from the lower left corner; none where a disc is wider than the sheet
 */
export function discsOnRectangle(widthMm: number, lengthMm: number, discMm: number): Packing {
  return fuller(rows(widthMm, lengthMm, discMm), turned(rows(lengthMm, widthMm, discMm)))
}

/** A ring of discs round the middle, and what fits inside it. */
function ring(radiusMm: number, discMm: number): Place[] {
  const own = radiusMm - discMm / 2
  if (own < -SLACK_MM) return []
  if (own < discMm / 2 - SLACK_MM) return [{ xMm: 0, yMm: 0 }]
  const count = Math.floor(Math.PI / Math.asin(Math.min(1, discMm / 2 / own)) + 1e-9)
  const places = Array.from({ length: count }, (_, n): Place => {
    const angle = (2 * Math.PI * n) / count
    return { xMm: own * Math.cos(angle), yMm: own * Math.sin(angle) }
  })
  return [...places, ...ring(own - discMm / 2, discMm)]
}

/** A hexagonal lattice about a point, as far as its discs lie within the circle. */
function lattice(radiusMm: number, discMm: number, xMm: number, yMm: number): Place[] {
  const reach = Math.ceil(radiusMm / discMm) + 2
  const places: Place[] = []
  for (let row = -reach; row <= reach; row++)
    for (let n = -reach; n <= reach; n++) {
      const place = {
        xMm: xMm + (n + (row % 2 === 0 ? 0 : 0.5)) * discMm,
        yMm: yMm + row * discMm * HEXAGONAL_ROW,
      }
      if (Math.hypot(place.xMm, place.yMm) + discMm / 2 <= radiusMm + SLACK_MM) places.push(place)
    }
  return places
}

/** A ring along the rim with a lattice turned so that it nestles into it. */
function ringAndLattice(radiusMm: number, discMm: number): Place[] {
  const outer = ring(radiusMm, discMm).filter(
    ({ xMm, yMm }) => Math.hypot(xMm, yMm) > radiusMm - discMm / 2 - SLACK_MM,
  )
  if (outer.length < 2) return outer
  let best: Place[] = []
  for (let degrees = 0; degrees < 60; degrees += TURN_DEGREES) {
    const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
    const inner = lattice(radiusMm, discMm, 0, 0)
      .map(({ xMm, yMm }) => ({ xMm: xMm * cos - yMm * sin, yMm: xMm * sin + yMm * cos }))
      .filter((own) =>
        outer.every((one) => Math.hypot(one.xMm - own.xMm, one.yMm - own.yMm) >= discMm - SLACK_MM),
      )
    if (inner.length > best.length) best = inner
  }
  return [...outer, ...best]
}

/** A lattice is tried at every turn of so much. */
const TURN_DEGREES = 5

/**
 * Discs in a round vessel: rings, or a lattice about a disc, a gap or a pair, or one within a ring, whichever holds
 * most.
 *
 * @returns middles from the vessel's middle
 */
export function discsInCircle(diameterMm: number, discMm: number): Packing {
  const radius = diameterMm / 2
  const about: [number, number][] = [
    [0, 0],
    [discMm / 2, 0],
    [0, discMm / Math.sqrt(3)],
    [discMm / 4, (discMm * HEXAGONAL_ROW) / 2],
  ]
  return [
    ...about.map(([x, y]): Packing => ({ pattern: 'hexagonal', places: lattice(radius, discMm, x, y) })),
    { pattern: 'rings' as const, places: ringAndLattice(radius, discMm) },
  ].reduce(fuller, { pattern: 'rings', places: ring(radius, discMm) })
}

/**
 * Oblong pieces in straight rows on a rectangle, all one way round.
 *
 * @param pieceWidthMm with the gap that each needs
 */
export function oblongsOnRectangle(
  widthMm: number,
  lengthMm: number,
  pieceWidthMm: number,
  pieceLengthMm: number,
): Packing & { turned: boolean } {
  const grid = (w: number, l: number): Packing => {
    const across = fits(widthMm, w)
    const along = fits(lengthMm, l)
    return {
      pattern: 'square',
      places: Array.from({ length: across * along }, (_, n) => ({
        xMm: w * ((n % across) + 0.5),
        yMm: l * (Math.floor(n / across) + 0.5),
      })),
    }
  }
  const straight = grid(pieceWidthMm, pieceLengthMm)
  const crosswise = grid(pieceLengthMm, pieceWidthMm)
  const better = crosswise.places.length > straight.places.length
  return { ...(better ? crosswise : straight), turned: better }
}

/** Oblong pieces in a round vessel: straight rows, as far as their corners lie within it. */
export function oblongsInCircle(
  diameterMm: number,
  pieceWidthMm: number,
  pieceLengthMm: number,
): Packing & { turned: boolean } {
  const radius = diameterMm / 2
  const rowsFrom = (y0: number): Place[] => {
    const places: Place[] = []
    for (let y = y0; y + pieceLengthMm / 2 <= radius + SLACK_MM; y += pieceLengthMm) {
      const edge = Math.max(Math.abs(y - pieceLengthMm / 2), Math.abs(y + pieceLengthMm / 2))
      if (edge > radius + SLACK_MM) continue
      const half = Math.sqrt(Math.max(0, radius ** 2 - edge ** 2))
      const count = fits(2 * half, pieceWidthMm)
      for (let n = 0; n < count; n++) places.push({ xMm: (n - (count - 1) / 2) * pieceWidthMm, yMm: y })
    }
    return places
  }
  const first = -Math.ceil(radius / pieceLengthMm) * pieceLengthMm
  const candidates = [rowsFrom(first), rowsFrom(first - pieceLengthMm / 2)]
  const places = candidates.reduce((one, other) => (other.length > one.length ? other : one))
  return { pattern: 'square', places, turned: false }
}
