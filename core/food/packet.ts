import { zeroComposition, type Composition } from './composition'
import { euEnergyKcal, KJ_PER_KCAL } from './energy'
import type { Allergen, Food, Origin } from './food'
import {
  MICRONUTRIENT_KEYS,
  MICRONUTRIENTS,
  micronutrientsWith,
  type Micronutrient,
  type Micronutrients,
} from './micronutrients'

/** Nutrition as a packet states it, in the units of the packet. Null: the packet does not say. */
export interface PacketLabel {
  name: string
  /** What the figures are for, in grams: 100, or a portion. */
  perGrams: number
  energy: number | null
  energyUnit: 'kcal' | 'kJ'
  fatG: number | null
  saturatedFatG: number | null
  carbohydrateG: number | null
  /** European labels leave fibre out of carbohydrate; American ones count it in. */
  carbohydrateIncludesFibre: boolean
  sugarsG: number | null
  polyolsG: number | null
  fibreG: number | null
  proteinG: number | null
  /** Grams of salt or milligrams of sodium, as `saltUnit` says. */
  salt: number | null
  saltUnit: 'salt g' | 'sodium mg'
  /** Minerals and vitamins, in the units of `MICRONUTRIENTS`; what a fortified food states. Entries typed before they could be lack it. */
  micronutrients?: Partial<Micronutrients>
  gramsPerMl: number | null
  origins: Origin[]
  allergens: Allergen[]
}

/** A doubt about a label: an error cannot be stored, a check asks to look again. */
export interface LabelDoubt {
  field: string
  message: string
  level: 'error' | 'check'
}

const MG_SODIUM_PER_G_SALT = 400
/** What parts may come to above 100 g by rounding: half a gram for each of six lines. */
const ROUNDING_G = 3
/** Stated and reckoned energy may differ by this share (label tolerance of December 2012, from memory). */
const ENERGY_TOLERANCE = 0.2
/** Below this, in kcal in 100 g, rounding alone can be a fifth. */
const ENERGY_SLACK_KCAL = 12
/** Salt that is no seasoning, cheese or cured food is rarely above this, in g per 100 g. Common practice. */
const MUCH_SALT_G = 10

/**
 * More than any food has in 100 g, from memory of food tables: dried herbs and yeast, liver, egg yolk. Above it a
 * unit was mistaken, mg for µg or the other way round.
 */
const MAX_PER_100G: Record<Micronutrient, number> = {
  calciumMg: 3000,
  ironMg: 130,
  zincMg: 100,
  potassiumMg: 5000,
  vitaminAUg: 30_000,
  vitaminCMg: 2000,
  vitaminB12Ug: 120,
  folateUg: 4000,
  cholesterolMg: 3200,
  transFatG: 60,
}

const round = (value: number) => Math.round(value * 10) / 10

interface Per100g {
  composition: Composition
  unknown: (keyof Composition)[]
  energyKcal: number | null
}

/** The label's figures turned into 100 g, with what it does not say. */
function per100g(label: PacketLabel): Per100g {
  const factor = label.perGrams > 0 ? 100 / label.perGrams : 0
  const unknown: (keyof Composition)[] = []
  const take = (key: keyof Composition, value: number | null) => {
    if (value === null) unknown.push(key)
    return (value ?? 0) * factor
  }
  const fibreG = take('fibreG', label.fibreG)
  const stated = take('carbohydrateG', label.carbohydrateG)
  const sodium =
    label.salt === null ? null : label.saltUnit === 'salt g' ? label.salt * MG_SODIUM_PER_G_SALT : label.salt
  const composition: Composition = {
    ...zeroComposition(),
    proteinG: take('proteinG', label.proteinG),
    fatG: take('fatG', label.fatG),
    saturatedFatG: take('saturatedFatG', label.saturatedFatG),
    carbohydrateG: label.carbohydrateIncludesFibre ? stated : stated + fibreG,
    fibreG,
    sugarsG: take('sugarsG', label.sugarsG),
    // A packet that holds polyols has to say so where it claims anything; silence is taken as none.
    polyolsG: (label.polyolsG ?? 0) * factor,
    sodiumMg: take('sodiumMg', sodium),
  }
  const solids =
    composition.proteinG + composition.fatG + composition.carbohydrateG + (composition.sodiumMg * 2.5) / 1000
  // By difference; the little ash that is not salt goes with it.
  composition.waterG = Math.max(0, 100 - solids)
  const energy = label.energy === null ? null : label.energy * factor
  return {
    composition,
    unknown,
    energyKcal: energy === null ? null : label.energyUnit === 'kJ' ? energy / KJ_PER_KCAL : energy,
  }
}

/** What the packet states of minerals and vitamins, in 100 g. */
function microPer100g({ micronutrients = {}, perGrams }: PacketLabel): Micronutrients {
  const made = micronutrientsWith({})
  for (const key of MICRONUTRIENT_KEYS) {
    const value = micronutrients[key] ?? null
    if (value !== null && perGrams > 0) made[key] = (value * 100) / perGrams
  }
  return made
}

/**
 * Checks a label while it is typed: what cannot be, what parts cannot exceed, energy against its macronutrients,
 * kJ typed as kcal, a slipped decimal point.
 *
 * @returns doubts, errors first; empty when all is plausible
 */
export function checkLabel(label: PacketLabel): LabelDoubt[] {
  const doubts: LabelDoubt[] = []
  const error = (field: string, message: string) => doubts.push({ level: 'error', field, message })
  const check = (field: string, message: string) => doubts.push({ level: 'check', field, message })
  if (!label.name.trim()) error('name', 'type what it is called, as on the packet')
  if (!(label.perGrams > 0))
    error('perGrams', 'a portion weighs more than 0 g; type 100, or the grams of the portion on the packet')
  const amounts = [
    'energy',
    'fatG',
    'saturatedFatG',
    'carbohydrateG',
    'sugarsG',
    'polyolsG',
    'fibreG',
    'proteinG',
    'salt',
  ] as const
  for (const field of amounts) {
    const value = label[field]
    if (value !== null && !(Number.isFinite(value) && value >= 0))
      error(field, 'a number of 0 or more is expected, or nothing where the packet does not say')
  }
  for (const key of MICRONUTRIENT_KEYS) {
    const value = label.micronutrients?.[key] ?? null
    if (value !== null && !(Number.isFinite(value) && value >= 0))
      error(key, 'a number of 0 or more is expected, or nothing where the packet does not say')
  }
  if (label.fatG === null && label.proteinG === null && label.carbohydrateG === null && label.energy === null)
    error('energy', 'type at least the energy, fat, carbohydrate or protein')
  if (doubts.length) return doubts

  const { composition: c, energyKcal } = per100g(label)
  const basis = label.perGrams === 100 ? '' : ` in ${label.perGrams} g`
  const within = (part: 'saturatedFatG' | 'sugarsG' | 'polyolsG', whole: 'fatG' | 'carbohydrateG') => {
    const own = label[part]
    const of = label[whole]
    if (own === null || of === null || own <= of + 0.05) return
    const name = { saturatedFatG: 'saturates', sugarsG: 'sugars', polyolsG: 'polyols' }[part]
    const wholeName = whole === 'fatG' ? 'fat' : 'carbohydrate'
    error(part, `${own} g of ${name} cannot be more than the ${of} g of ${wholeName} they are part of`)
  }
  within('saturatedFatG', 'fatG')
  within('sugarsG', 'carbohydrateG')
  within('polyolsG', 'carbohydrateG')

  const parts = c.proteinG + c.fatG + c.carbohydrateG + (c.sodiumMg * 2.5) / 1000
  if (parts > 100 + ROUNDING_G) {
    const factor = label.perGrams / 100
    error(
      'perGrams',
      `fat, carbohydrate, fibre, protein and salt come to ${round(parts * factor)} g${basis || ' in 100 g'}; they cannot weigh more than the food. Look for a slipped decimal point, or figures for another portion`,
    )
  }
  if (energyKcal !== null && energyKcal > 905)
    error(
      'energy',
      `${round(energyKcal)} kcal in 100 g is more than pure fat has (900)${label.energyUnit === 'kcal' ? '; is it kJ?' : ''}`,
    )
  const complete = label.fatG !== null && label.carbohydrateG !== null && label.proteinG !== null
  if (energyKcal !== null && complete) checkEnergy(label, c, energyKcal, check)
  const transFatG = label.micronutrients?.transFatG ?? null
  if (transFatG !== null && label.fatG !== null && transFatG > label.fatG + 0.05)
    error('transFatG', `${transFatG} g of trans fat cannot be more than the ${label.fatG} g of fat`)
  for (const [key, value] of Object.entries(microPer100g(label))) {
    const { name, unit } = MICRONUTRIENTS[key as Micronutrient]
    if (value !== null && value > MAX_PER_100G[key as Micronutrient])
      check(key, `${round(value)} ${unit} of ${name} in 100 g is more than foods have; is the unit right?`)
  }
  if (c.sodiumMg > MUCH_SALT_G * MG_SODIUM_PER_G_SALT)
    check(
      'salt',
      `${round(c.sodiumMg / MG_SODIUM_PER_G_SALT)} g of salt in 100 g is as much as a stock cube has; is it sodium in mg, or a slipped decimal point?`,
    )
  return doubts.sort((a, b) => Number(b.level === 'error') - Number(a.level === 'error'))
}

/** The figure that, ten times larger or smaller, would make the energy come out, and how nearly it would. */
function slipped(label: PacketLabel, stated: number) {
  let best: { field: 'fatG' | 'carbohydrateG' | 'proteinG'; to: number; offBy: number } | null = null
  for (const field of ['fatG', 'carbohydrateG', 'proteinG'] as const) {
    for (const factor of [10, 0.1]) {
      const to = label[field]! * factor
      const { composition } = per100g({ ...label, [field]: to })
      const offBy = Math.abs(euEnergyKcal(composition) - stated) / Math.max(stated, 1)
      if (to > 0.2 && composition.waterG > 0 && offBy <= 0.05 && offBy < (best?.offBy ?? Infinity))
        best = { field, to, offBy }
    }
  }
  return best
}

function checkEnergy(
  label: PacketLabel,
  composition: Composition,
  stated: number,
  check: (field: string, message: string) => void,
): void {
  const reckoned = euEnergyKcal(composition)
  const near = (value: number) =>
    Math.abs(value - reckoned) <= Math.max(ENERGY_SLACK_KCAL, ENERGY_TOLERANCE * reckoned)
  if (near(stated)) return
  const words = `fat, carbohydrate and protein make ${Math.round(reckoned)} kcal in 100 g, the label says ${Math.round(stated)}`
  // Of two explanations the one that comes out nearer.
  const other = label.energyUnit === 'kcal' ? stated / KJ_PER_KCAL : stated * KJ_PER_KCAL
  const slip = slipped(label, stated)
  const slipOff = slip ? slip.offBy : Infinity
  if (near(other) && Math.abs(other - reckoned) / reckoned < slipOff) {
    const [is, typed] = label.energyUnit === 'kcal' ? ['kJ', 'kcal'] : ['kcal', 'kJ']
    check('energy', `${words}: this looks like ${is} typed as ${typed}`)
  } else if (slip)
    check(slip.field, `${words}; with ${round(slip.to)} g here they would agree. A slipped decimal point?`)
  else check('energy', `${words}. Alcohol, polyols or organic acids may explain it`)
}

/**
 * A food from a packet's label. Unknown figures stay unknown; water is what is left to 100 g.
 *
 * @param id the food's id in the larder
 * @param like a food of the tables that it behaves like in dough and spoon; null when none does
 * @throws Error when `checkLabel` finds an error: the caller has to ask first
 */
export function foodFromLabel(label: PacketLabel, id: string, source: string, like: Food | null): Food {
  const wrong = checkLabel(label).find((doubt) => doubt.level === 'error')
  if (wrong) throw new Error(`${wrong.field}: ${wrong.message}`)
  const { composition, unknown, energyKcal } = per100g(label)
  const reckoned = euEnergyKcal(composition)
  // Without all macronutrients only the packet knows the energy; with them ours is by one convention.
  const partial = unknown.some((key) => key === 'fatG' || key === 'carbohydrateG' || key === 'proteinG')
  return {
    id,
    name: label.name.trim(),
    synonyms: [],
    kind: id,
    state: like?.state ?? null,
    figuresOf: null,
    group: like?.group ?? 'own',
    origins: label.origins,
    possibleOrigins: [],
    allergens: label.allergens,
    possibleAllergens: [],
    originKnown: true,
    per100g: composition,
    unknown,
    micronutrients: microPer100g(label),
    aminoAcids: null,
    energyKcal: partial && energyKcal !== null ? Math.max(reckoned, energyKcal) : reckoned,
    statedEnergyKcal: energyKcal ?? reckoned,
    gramsPerMl: label.gramsPerMl ?? like?.gramsPerMl ?? 1,
    unitGrams: like?.unitGrams ?? {},
    waterDemand: like?.waterDemand ?? null,
    scaldedDemand: like?.scaldedDemand ?? null,
    grain: like?.grain ?? null,
    freeWater: like?.freeWater ?? 0,
    softeningFat: like?.softeningFat ?? null,
    source,
  }
}
