import { conductivityOf, densityOf, normalised, specificHeatOf, type Mixture, type Parts } from './properties'

/** What conducts: heat content and conductivity at every temperature it may have. */
export interface Material {
  /** Heat content in J/m³ above that at −60 °C. Rises with the temperature everywhere. */
  heatAt: (celsius: number) => number
  /** Rise of the heat content, in J/(m³·K). */
  heatSlopeAt: (celsius: number) => number
  conductivityAt: (celsius: number) => number
}

/** A material whose properties are the same at every temperature. */
export function constantMaterial(constants: {
  conductivityWmK: number
  densityKgM3: number
  specificHeatJkgK: number
}): Material {
  const slope = constants.densityKgM3 * constants.specificHeatJkgK
  return {
    heatAt: (celsius) => slope * (celsius - LEAST_C),
    heatSlopeAt: () => slope,
    conductivityAt: () => constants.conductivityWmK,
  }
}

const LEAST_C = -60
const MOST_C = 400
const STEP_C = 0.5
const POINTS = Math.round((MOST_C - LEAST_C) / STEP_C) + 1

/** Latent heats of water in J/kg. Source: CRC Handbook of Chemistry and Physics, from memory. */
const MELTING_J_KG = 333_600
const BOILING_J_KG = 2_257_000
/**
 * Doughs and fillings begin to freeze a little below 0 °C for what is dissolved in them: −1 to −3 °C as handbooks
 * of freezing list foods, from memory.
 */
const FREEZES_C = -2
/** Water that never freezes, per gram of protein: 0.4 g. Source: Schwartzberg 1976, from memory. */
const BOUND_PER_PROTEIN = 0.4
/** Water leaves between these, so that the front where it boils has a width to be reckoned with. Our own choice. */
const BOILS_FROM_C = 99
const BOILS_TO_C = 102
/** A dry crust is full of air: 0.06 to 0.13 W/(m·K) as bread crust is measured, from memory. */
const CRUST_WMK = 0.1

export interface FoodMaterialOptions {
  /** Share of the volume that is air: risen dough. */
  porosity?: number
  /** Water may leave as steam: in an oven, in oil, on a griddle; not under steam or water. */
  dries?: boolean
}

/** Water at each temperature: how much of it is ice, by weight of the food. Raoult's law with bound water. */
export function iceAt(mixture: Mixture, celsius: number): number {
  if (celsius >= FREEZES_C) return 0
  const free = Math.max(mixture.water - BOUND_PER_PROTEIN * mixture.protein, 0)
  return free * (1 - FREEZES_C / celsius)
}

/**
 * A food by its composition: it freezes and thaws over a range of temperatures, and where it may dry its water boils
 * off at 100 °C before it gets hotter. Density is that at 20 °C and does not change.
 */
export function foodMaterial(raw: Mixture, options: FoodMaterialOptions = {}): Material {
  const mixture = normalised(raw)
  const { porosity = 0, dries = false } = options
  const parts = (ice: number, water: number): Parts => ({ ...mixture, water, ice })
  const density = densityOf(parts(0, mixture.water), 20) * (1 - porosity)
  const heat = new Float64Array(POINTS)
  const conductivity = new Float64Array(POINTS)
  let sensible = 0
  for (let n = 0; n < POINTS; n++) {
    const celsius = LEAST_C + n * STEP_C
    const ice = iceAt(mixture, celsius)
    const gone = dries ? Math.min(Math.max((celsius - BOILS_FROM_C) / (BOILS_TO_C - BOILS_FROM_C), 0), 1) : 0
    const now = parts(ice, (mixture.water - ice) * (1 - gone))
    if (n > 0) sensible += specificHeatOf(now, celsius - STEP_C / 2) * sumOf(now) * STEP_C
    heat[n] =
      density *
      (sensible + MELTING_J_KG * (mixture.water - ice) + BOILING_J_KG * (mixture.water - ice) * gone)
    const wet =
      conductivityOf(parts(ice, mixture.water - ice), celsius) * throughPores(porosity) +
      porosity * vapourWmK(celsius)
    conductivity[n] = wet * (1 - gone) + CRUST_WMK * gone
  }
  const first = heat[0]!
  for (let n = 0; n < POINTS; n++) heat[n]! -= first
  const place = (celsius: number) => Math.min(Math.max((celsius - LEAST_C) / STEP_C, 0), POINTS - 1 - 1e-9)
  const between = (table: Float64Array, celsius: number) => {
    const at = place(celsius)
    const n = Math.floor(at)
    return table[n]! + (table[n + 1]! - table[n]!) * (at - n)
  }
  return {
    heatAt: (celsius) => between(heat, celsius),
    heatSlopeAt: (celsius) => {
      const n = Math.floor(place(celsius))
      return (heat[n + 1]! - heat[n]!) / STEP_C
    },
    conductivityAt: (celsius) => between(conductivity, celsius),
  }
}

// What has boiled off carries its heat away and is warmed no further.
const sumOf = (parts: Parts) => Object.values(parts).reduce((sum, one) => sum + one, 0)

/** Pressure of steam over water in Pa, 0 to 100 °C. Source: Magnus's formula with the constants of WMO 2008, from memory. */
const steamPa = (celsius: number) => 611.2 * Math.exp((17.62 * celsius) / (243.12 + celsius))
const AIR_PA = 101_325
const GAS_J_KGK = 461.5
/** Diffusion of steam in air at 0 °C, in m²/s, and how it grows with the temperature. Source: from memory of CRC tables. */
const DIFFUSION_M2S = 2.2e-5
const DIFFUSION_POWER = 1.81
/** Near 100 °C the formula has no end; the bubbles then open into each other. Our own choice. */
const MOST_STEAM_SHARE = 0.8

/**
 * What bubbles add to a dough's conductivity in W/(m·K): water evaporates on their warm side and condenses on the
 * cold one. Diffusion with the flow it drives (Stefan); the effect in bread is described by de Vries, Sluimer and
 * Bloksma 1989, from memory.
 */
export function vapourWmK(celsius: number): number {
  if (celsius <= 0 || celsius >= BOILS_TO_C) return 0
  const t = Math.min(celsius, BOILS_FROM_C)
  const density = (one: number) => steamPa(one) / (GAS_J_KGK * (one + 273.15))
  const rise = (density(t + 0.5) - density(t - 0.5)) / 1
  const share = Math.min(steamPa(t) / AIR_PA, MOST_STEAM_SHARE)
  const diffusion = DIFFUSION_M2S * ((t + 273.15) / 273.15) ** DIFFUSION_POWER
  return (diffusion * BOILING_J_KG * rise) / (1 - share)
}

/** Air bubbles in a dough: what they leave of its conductivity. Source: Maxwell 1873 for spheres of no conductivity. */
const throughPores = (porosity: number) => (2 * (1 - porosity)) / (2 + porosity)
