import { COOKING_WAYS, type CookingWay } from '../recipe/vocabulary'

/** How a way of cooking brings heat to the surface of a piece. */
export interface Surface {
  /** In W/(m²·K): the least, the usual and the most. */
  low: number
  usual: number
  high: number
  /** Of air, oil or water where the recipe states no temperature. */
  mediumC: number
  /** Water leaves the surface as steam, and a crust forms. */
  dries: boolean
  note: string
  source: string
}

export type SurfaceKey = CookingWay | 'bake-fan'
export type Surfaces = ReadonlyMap<SurfaceKey, Surface>

/**
 * The table of surface coefficients, from its rows.
 *
 * @throws Error naming a way that is missing or a row that makes no sense
 */
export function surfacesFromRows(rows: readonly Record<string, string>[]): Surfaces {
  const surfaces = new Map<SurfaceKey, Surface>()
  for (const row of rows) {
    const [low, usual, high, mediumC] = [row.low, row.usual, row.high, row.medium_c].map(Number)
    if (!(low! > 0 && usual! >= low! && high! >= usual! && mediumC! > 50))
      throw new Error(`surfaces: the row "${row.way}" has no range`)
    surfaces.set(row.way as SurfaceKey, {
      low: low!,
      usual: usual!,
      high: high!,
      mediumC: mediumC!,
      dries: row.dries === 'yes',
      note: row.note!,
      source: row.source!,
    })
  }
  const missing = [...COOKING_WAYS, 'bake-fan' as const].find((way) => !surfaces.has(way))
  if (missing) throw new Error(`surfaces: there is no row for "${missing}"`)
  return surfaces
}
