/** Mass fractions of a food, 0 to 1; they are made to add up to 1. */
export interface Mixture {
  water: number
  protein: number
  fat: number
  carbohydrate: number
  fibre: number
  ash: number
}

type Component = keyof Mixture | 'ice'
/** Coefficients of a polynomial in °C, the constant first. */
type Polynomial = readonly [number, number, number]

/**
 * Thermal properties of the components of foods between −40 and 150 °C: conductivity in W/(m·K), density in kg/m³,
 * specific heat in kJ/(kg·K). Source: Y. Choi and M. R. Okos, "Effects of temperature and composition on the thermal
 * properties of foods", 1986, as handbooks of refrigeration print it; written down from memory.
 */
const CONDUCTIVITY: Readonly<Record<Component, Polynomial>> = {
  water: [0.57109, 1.7625e-3, -6.7036e-6],
  ice: [2.2196, -6.2489e-3, 1.0154e-4],
  protein: [0.17881, 1.1958e-3, -2.7178e-6],
  fat: [0.18071, -2.7604e-4, -1.7749e-7],
  carbohydrate: [0.20141, 1.3874e-3, -4.3312e-6],
  fibre: [0.18331, 1.2497e-3, -3.1683e-6],
  ash: [0.32962, 1.4011e-3, -2.9069e-6],
}
const DENSITY: Readonly<Record<Component, Polynomial>> = {
  water: [997.18, 3.1439e-3, -3.7574e-3],
  ice: [916.89, -0.13071, 0],
  protein: [1329.9, -0.5184, 0],
  fat: [925.59, -0.41757, 0],
  carbohydrate: [1599.1, -0.31046, 0],
  fibre: [1311.5, -0.36589, 0],
  ash: [2423.8, -0.28063, 0],
}
const SPECIFIC_HEAT: Readonly<Record<Component, Polynomial>> = {
  water: [4.1762, -9.0864e-5, 5.4731e-6],
  ice: [2.0623, 6.0769e-3, 0],
  protein: [2.0082, 1.2089e-3, -1.3129e-6],
  fat: [1.9842, 1.4733e-3, -4.8008e-6],
  carbohydrate: [1.5488, 1.9625e-3, -5.9399e-6],
  fibre: [1.8459, 1.8306e-3, -4.6509e-6],
  ash: [1.0926, 1.8896e-3, -3.6817e-6],
}

const COMPONENTS = Object.keys(CONDUCTIVITY) as readonly Component[]
/** The formulas are stated up to here, in °C; a drier and hotter crust takes the values at the end. */
const MOST_C = 150

const at = (polynomial: Polynomial, celsius: number) => {
  const t = Math.min(celsius, MOST_C)
  return polynomial[0] + polynomial[1] * t + polynomial[2] * t * t
}

/** The parts of a mixture by weight, with ice beside the water that is liquid. */
export type Parts = Readonly<Record<Component, number>>

/** A mixture whose fractions add up to 1. @throws RangeError when nothing is in it. */
export function normalised(mixture: Mixture): Mixture {
  const sum = Object.values(mixture).reduce((total, one) => total + Math.max(one, 0), 0)
  if (!(sum > 0)) throw new RangeError('a mixture of nothing has no properties')
  const share = (one: number) => Math.max(one, 0) / sum
  return {
    water: share(mixture.water),
    protein: share(mixture.protein),
    fat: share(mixture.fat),
    carbohydrate: share(mixture.carbohydrate),
    fibre: share(mixture.fibre),
    ash: share(mixture.ash),
  }
}

const sumOver = (parts: Parts, value: (component: Component) => number) => {
  let sum = 0
  for (const component of COMPONENTS) if (parts[component] !== 0) sum += parts[component] * value(component)
  return sum
}

/** Density in kg/m³ of parts without pores: their volumes add up. */
export const densityOf = (parts: Parts, celsius: number): number =>
  1 / sumOver(parts, (component) => 1 / at(DENSITY[component], celsius))

/** Specific heat in J/(kg·K): the components' add up by weight. */
export const specificHeatOf = (parts: Parts, celsius: number): number =>
  1000 * sumOver(parts, (component) => at(SPECIFIC_HEAT[component], celsius))

/** Conductivity in W/(m·K): the components' add up by volume, as if they lay side by side along the heat. */
export function conductivityOf(parts: Parts, celsius: number): number {
  const density = densityOf(parts, celsius)
  return sumOver(
    parts,
    (component) => (at(CONDUCTIVITY[component], celsius) * density) / at(DENSITY[component], celsius),
  )
}
