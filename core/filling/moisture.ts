import { waterIn } from '../food/amount'
import type { FoodAmount } from '../food/amount'

/** Water that a gram of a binder holds in a filling, in grams. From memory of practice, no published source. */
const BINDS: Readonly<Record<string, number>> = {
  'plain-flour': 5,
  cornstarch: 8,
  'potato-starch': 8,
  'tapioca-starch': 7,
  'potato-flakes': 5,
  breadcrumbs: 2.2,
  'rolled-oats': 2,
  'psyllium-husk': 20,
  'xanthan-gum': 40,
  'ground-flax': 4,
  chia: 8,
  'vital-wheat-gluten': 1.4,
  'chickpea-flour': 2,
  'ground-almonds': 0.6,
  'soya-mince': 2,
  egg: 0.6,
  'egg-white': 0.6,
  agar: 60,
  gelatine: 30,
}

/**
 * Share of its water that a food lets go in a filling, by group. Meat and cheese hold theirs, leaves and
 * mushrooms weep, liquids are free. From memory of practice, no published source.
 */
const WEEPS: Readonly<Record<string, number>> = {
  liquid: 1,
  stock: 1,
  alcohol: 1,
  milk: 1,
  'plant-milk': 1,
  sauce: 0.5,
  cream: 0.4,
  'plant-cream': 0.4,
  yogurt: 0.35,
  'plant-yogurt': 0.35,
  'fresh-cheese': 0.15,
  'soy-food': 0.12,
  leafy: 0.3,
  mushroom: 0.3,
  vegetable: 0.18,
  fruit: 0.25,
  'minced-meat': 0.12,
  meat: 0.08,
  poultry: 0.08,
  fish: 0.12,
  shellfish: 0.15,
  pulse: 0.05,
  herb: 0.1,
  egg: 0.3,
}

/** Foods that weep more or less than their group. */
const WEEPS_OF: Readonly<Record<string, number>> = {
  tomato: 0.5,
  'tomato-can': 0.55,
  courgette: 0.4,
  cucumber: 0.5,
  pumpkin: 0.25,
  onion: 0.25,
  potato: 0.02,
  'boiled-potato': 0.05,
  'frozen-spinach': 0.5,
  rhubarb: 0.45,
  berries: 0.4,
  water: 1,
}

/** Loose water in % of the filling: above it pieces go soggy; far above they burst. Common practice, no source. */
const DRY_PCT = 8
const WET_PCT = 15

/** A binder for suggestions, and what it is used for. */
const SUGGESTED = [
  { id: 'breadcrumbs', name: 'breadcrumbs' },
  { id: 'cornstarch', name: 'cornflour, stirred in and boiled up' },
  { id: 'psyllium-husk', name: 'psyllium husk' },
] as const

export type FillingClass = 'dry' | 'moist' | 'wet'

export interface FillingMoisture {
  /** Water that is loose in the filling when it goes in, less what binders hold, in grams. */
  looseGrams: number
  loosePct: number
  boundGrams: number
  class: FillingClass
  /** Lines that weep most, with the grams of loose water each brings. */
  from: { lineId: string; name: string; grams: number }[]
  /** What has to be cooked off or squeezed out before it goes in, in grams. */
  toCookOffGrams: number
  /** Will it hold when the dough is rolled out over it: needs to be dry and bound. */
  holdsRolled: boolean
  suggestions: string[]
}

/** Water that a food lets go in a filling, in grams, of its own and of what it has taken up. */
export function looseWaterOf({ food, grams, waterChangeGrams }: FoodAmount): number {
  const share = WEEPS_OF[food.id] ?? WEEPS[food.group] ?? 0
  return Math.max(0, waterIn(food, grams) * share + Math.min(0, waterChangeGrams))
}

/** A weighed line of a filling. */
export interface FillingAmount extends FoodAmount {
  line: { id: string }
  /** Water cooked out of the line before it goes in. */
  cookedOffGrams: number
}

/**
 * Loose water in a filling against what binds it, and what to do about it. A model, common practice, no source.
 *
 * @param grams weight of the filling as it goes in
 */
export function fillingMoisture(amounts: readonly FillingAmount[], grams: number): FillingMoisture {
  let weeping = 0
  let boundGrams = 0
  const from: FillingMoisture['from'] = []
  for (const amount of amounts) {
    const { food, grams: own, cookedOffGrams, line } = amount
    // What was squeezed or cooked out was the loose part.
    const loose = Math.max(0, looseWaterOf(amount) - Math.max(0, cookedOffGrams))
    weeping += loose
    boundGrams += own * (BINDS[food.id] ?? 0)
    if (loose > 0.5) from.push({ lineId: line.id, name: food.name, grams: loose })
  }
  const looseGrams = Math.max(0, weeping - boundGrams)
  const loosePct = grams > 0 ? (100 * looseGrams) / grams : 0
  const toCookOffGrams = Math.max(0, looseGrams - (DRY_PCT / 100) * grams) / (1 - DRY_PCT / 100)
  const found: FillingClass = loosePct > WET_PCT ? 'wet' : loosePct > DRY_PCT ? 'moist' : 'dry'
  from.sort((a, b) => b.grams - a.grams)
  return {
    looseGrams,
    loosePct,
    boundGrams,
    class: found,
    from: from.slice(0, 4),
    toCookOffGrams,
    holdsRolled: found === 'dry',
    suggestions: suggest(toCookOffGrams, from),
  }
}

function suggest(toCookOffGrams: number, from: FillingMoisture['from']): string[] {
  if (toCookOffGrams < 3) return []
  const grams = Math.round(toCookOffGrams)
  const worst = from[0]
  return [
    `Cook off or squeeze out about ${grams} g of water${worst ? `, most of it from the ${worst.name.toLowerCase()}` : ''}`,
    `Or bind it with ${SUGGESTED.map(({ id, name }) => `${Math.max(1, Math.round(toCookOffGrams / BINDS[id]!))} g ${name}`).join(', or ')}`,
  ]
}
