import type { CookingWay, Shape } from '../recipe/document'
import type { DoughFigures } from './assess'
import type { DoughAmount } from './softness'
import { needsOf, strengthOf, type DoughTables } from './strength'

export type AbilityName =
  'roll thin' | 'stretch' | 'pleat' | 'crimp' | 'coil' | 'be boiled' | 'be fried' | 'hold a wet filling'

export interface Ability {
  name: AbilityName
  can: boolean
  /** "strength 0.42, at least 0.55 is asked": the figure and the limit. */
  why: string
}

export interface Lack {
  /** What the shape or the way of cooking asks that the dough has not. */
  text: string
  source: string
}

export interface DoughAbilities {
  /** 1 is plain wheat flour and water; null for bought dough and dough without flour. */
  strength: number | null
  abilities: Ability[]
  /** Where the dough falls short of its shape and way of cooking; empty when it will do. */
  lacks: Lack[]
}

/** From which strength and in which softness a dough can do a thing. Common practice, no source. */
const ABILITIES: readonly { name: AbilityName; strength: number; from: number; to: number }[] = [
  { name: 'roll thin', strength: 0.45, from: 0.68, to: 1.15 },
  { name: 'stretch', strength: 0.75, from: 0.8, to: 1.35 },
  { name: 'pleat', strength: 0.45, from: 0.7, to: 1.25 },
  { name: 'crimp', strength: 0.15, from: 0.45, to: 1.15 },
  { name: 'coil', strength: 0.55, from: 0.7, to: 1.2 },
  { name: 'be boiled', strength: 0.55, from: 0.6, to: 1.05 },
  { name: 'be fried', strength: 0.35, from: 0.5, to: 1.05 },
  { name: 'hold a wet filling', strength: 0.4, from: 0.6, to: 1.2 },
]

/** The model knows no finer than two decimals: what is less short of a limit is not short. */
const UNFELT = 0.005

const NONE: DoughAbilities = { strength: null, abilities: [], lacks: [] }
const show = (value: number) => value.toFixed(2)

/** What a dough can do, and what its shape and cooking ask that it cannot. */
export function abilitiesOf(
  dough: DoughFigures,
  amounts: readonly DoughAmount[],
  shape: Shape,
  way: CookingWay,
  tables: DoughTables,
): DoughAbilities {
  const { softness } = dough
  if (dough.ready || softness === null || dough.flourGrams <= 0) return NONE
  const strength = strengthOf(amounts, dough.flourGrams, dough.fatPct ?? 0, tables)
  const abilities = ABILITIES.map(({ name, strength: least, from, to }): Ability => {
    const why =
      strength < least
        ? `strength ${show(strength)}, at least ${show(least)} is asked`
        : softness < from
          ? `too dry: softness ${show(softness)}, at least ${show(from)} is asked`
          : softness > to
            ? `too soft: softness ${show(softness)}, at most ${show(to)} is asked`
            : `strength ${show(strength)}, softness ${show(softness)}`
    return { name, can: strength >= least && softness >= from && softness <= to, why }
  })
  const lacks = needsOf(shape, way, tables).flatMap((need): Lack[] => {
    const value = need.ability === 'strength' ? strength : softness
    const short = need.ability === 'softest' ? value > need.limit + UNFELT : value < need.limit - UNFELT
    if (!short) return []
    const what =
      need.ability === 'strength'
        ? `Too weak: strength ${show(value)}, ${show(need.limit)} is asked`
        : need.ability === 'softest'
          ? `Too soft: softness ${show(value)}, at most ${show(need.limit)} is asked`
          : `Too dry: softness ${show(value)}, at least ${show(need.limit)} is asked`
    return [{ text: `${what}, for ${need.why}`, source: need.source }]
  })
  return { strength, abilities, lacks }
}
