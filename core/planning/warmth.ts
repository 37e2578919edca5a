import { BURNER_SHARE } from '../cooking/oilHeat'

/**
 * How a filling cools, how a dough rises with the warmth of the room, and how long ovens, oil and water take to be hot.
 */

/** Heat that 1 ml of filling holds, in J/K: 1.05 g/ml and 3.5 J/(g K), from memory of handbook values for moist food. */
const FILLING_J_PER_ML_K = 3.7
/** What goes over from an open tray to still air, in W/(m² K): convection and radiation about 12, evaporation as much again; handbook orders, from memory. */
const TRAY_W_PER_M2K = 25
/** Conductivity of moist food, in W/(m K), from memory of handbook values. */
const FILLING_W_PER_MK = 0.5

/** A filling that is spread out to cool: depth, and the air it stands in. */
export interface Cooling {
  depthMm: number
  airC: number
}

const FRIDGE_C = 4
/** A usual oven tray, in mm², and how deep a filling lies on it at least. Common practice, no source. */
const TRAY_MM2 = 400 * 330
const LEAST_DEPTH_MM = 12
const FILLING_G_PER_ML = 1.05
/** A filling of so many grams, spread on a tray in the fridge. */
export const spreadInFridge = (grams: number): Cooling => ({
  airC: FRIDGE_C,
  depthMm: Math.max(LEAST_DEPTH_MM, (grams * 1000) / FILLING_G_PER_ML / TRAY_MM2),
})
/** A filling comes off the heat at about this. Common practice, no source. */
export const HOT_C = 85
/** Cold enough to be closed in raw dough. Common practice, no source. */
export const CLOSED_IN_C = 25

/** Time constant in minutes of a layer cooled from above: what it holds, times the resistance of air and of half the layer. */
export function coolingConstant({ depthMm }: Cooling): number {
  const depth = depthMm / 1000
  const resistance = 1 / TRAY_W_PER_M2K + depth / (3 * FILLING_W_PER_MK)
  return (FILLING_J_PER_ML_K * 1e6 * depth * resistance) / 60
}

/**
 * Minutes for a filling to cool from one temperature to another (Newton's law of cooling for a flat layer).
 *
 * @returns Infinity where the air is not cold enough
 */
export function coolingMinutes(fromC: number, toC: number, cooling: Cooling): number {
  if (toC >= fromC) return 0
  if (toC <= cooling.airC) return Infinity
  return coolingConstant(cooling) * Math.log((fromC - cooling.airC) / (toC - cooling.airC))
}

/** A dough that doubles at 26 °C in so many minutes takes twice as long for each 9 °C less. Common practice, no source. */
const RISE_C = 26
const RISE_DOUBLING_C = 9
/** Minutes of a rise in a room of so many °C, from those at 26 °C. */
export const riseMinutes = (at26C: number, roomC: number): number =>
  at26C * 2 ** ((RISE_C - roomC) / RISE_DOUBLING_C)

/** A home oven gains so many degrees a minute. Common practice, no source. */
const OVEN_C_PER_MINUTE = 11
export const ovenMinutes = (temperatureC: number, roomC: number): number =>
  (temperatureC - roomC) / OVEN_C_PER_MINUTE

/** Oil on the way up: 0.9 kg/l and 2.1 kJ/(kg K), from memory of handbook values for vegetable oils at 100 °C. */
const OIL_KJ_PER_LITRE_K = 0.9 * 2.1
/** Water: 4.19 kJ/(kg K), handbook value. */
const WATER_KJ_PER_LITRE_K = 4.19

/** Minutes for a burner to heat litres of oil or water. */
export function potMinutes(
  what: 'oil' | 'water',
  litres: number,
  toC: number,
  fromC: number,
  burnerW: number,
) {
  const perLitre = what === 'oil' ? OIL_KJ_PER_LITRE_K : WATER_KJ_PER_LITRE_K
  return (litres * perLitre * (toC - fromC) * 1000) / (burnerW * BURNER_SHARE) / 60
}
