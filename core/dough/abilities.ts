import type { CookingWay, Shape } from '../recipe/vocabulary'
import type { DoughFigures } from './assess'
import { familyOf, type DoughFamily } from './family'
import type { FoodAmount } from '../food/amount'
import { needsOf, strengthOf, type DoughTables, type Need } from './strength'

export const ABILITY_NAMES = [
  'roll thin',
  'stretch',
  'pleat',
  'crimp',
  'coil',
  'be boiled',
  'be fried',
  'hold a wet filling',
] as const
export type AbilityName = (typeof ABILITY_NAMES)[number]

export interface Ability {
  name: AbilityName
  can: boolean
  /** "strength 0.42, at least 0.55 is asked": the figure and the limit. */
  why: string
}

export const LACK_CODES = ['weak', 'soft', 'dry', 'rubber'] as const

export interface Lack {
  /** What it is about, whatever the figures. */
  code: (typeof LACK_CODES)[number]
  /** What the shape or the way of cooking asks that the dough has not. */
  text: string
  source: string
}

export interface DoughAbilities {
  /** How it holds together: 1 is plain wheat flour and water; null for bought dough and dough without flour. */
  strength: number | null
  /** How it springs back after rolling: 1 is plain wheat flour and water, above 2 is rubber; null as `strength`. */
  springs: number | null
  family: DoughFamily
  abilities: Ability[]
  /** Where the dough falls short of its shape and way of cooking; empty when it will do. */
  lacks: Lack[]
}

/**
 * Above this a dough springs back faster than it is rolled: wheat flour with three tenths of gluten, or a dough
 * without starch that is more than two fifths of it. Common practice, no source.
 */
export const RUBBER = 2.05
/** A short crust is pressed, rolled cold and folded at this strength, from this softness. Common practice, no source. */
const SHORT = { strength: 0.12, from: 0.4 } as const
const SHORT_CAN: ReadonlySet<AbilityName> = new Set(['roll thin', 'crimp'])

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

/** What a dough has to be rolled or pulled for: too much spring undoes it. */
const ROLLED: ReadonlySet<AbilityName> = new Set(['roll thin', 'stretch', 'pleat', 'coil'])
const show = (value: number) => value.toFixed(2)

/** The family whose needs a dough has: what is held together by its fat is asked what a short crust is asked. */
export const needsFamily = (
  family: DoughFamily,
  { consistency }: Pick<DoughFigures, 'consistency'>,
): DoughFamily => (consistency === 'short' || family === 'flaky' ? 'short' : family)

/** What a dough lacks for its shape and cooking that it did not lack before: by matter, whatever the figures. */
export function lacksAnew(
  { abilities: before }: { abilities: Pick<DoughAbilities, 'lacks'> },
  { abilities: after }: { abilities: Pick<DoughAbilities, 'lacks'> },
): Lack[] {
  const had = new Set(before.lacks.map((lack) => lack.code))
  return after.lacks.filter((lack) => !had.has(lack.code))
}

const LACKS: Readonly<
  Record<Need['ability'], { code: Lack['code']; says: (value: string, limit: string) => string }>
> = {
  strength: {
    code: 'weak',
    says: (value, limit) => `Too weak: strength ${value}, ${limit} is asked`,
  },
  softest: {
    code: 'soft',
    says: (value, limit) => `Too soft: softness ${value}, at most ${limit} is asked`,
  },
  firmest: {
    code: 'dry',
    says: (value, limit) => `Too dry: softness ${value}, at least ${limit} is asked`,
  },
}

/** What a dough can do, and what its shape and cooking ask that it cannot. */
export function abilitiesOf(
  dough: DoughFigures,
  amounts: readonly FoodAmount[],
  shape: Shape,
  way: CookingWay,
  tables: DoughTables,
): DoughAbilities {
  const { softness } = dough
  const fatPct = dough.fatPct ?? 0
  const family = familyOf(amounts, { ready: dough.ready, fatPct, way, shape })
  if (dough.ready || softness === null || dough.flourGrams <= 0)
    return { strength: null, springs: null, family, abilities: [], lacks: [] }
  const { holds: strength, springs } = strengthOf(amounts, dough.flourGrams, fatPct, tables)
  const isShort = dough.consistency === 'short'
  const abilities = ABILITIES.map((one): Ability => {
    const { name, to } = one
    const { strength: least, from } = isShort && SHORT_CAN.has(name) ? SHORT : one
    const rubber = springs > RUBBER && ROLLED.has(name)
    const why = rubber
      ? `springs back: ${show(springs)}, at most ${show(RUBBER)} is asked`
      : strength < least
        ? `strength ${show(strength)}, at least ${show(least)} is asked`
        : softness < from
          ? `too dry: softness ${show(softness)}, at least ${show(from)} is asked`
          : softness > to
            ? `too soft: softness ${show(softness)}, at most ${show(to)} is asked`
            : `strength ${show(strength)}, softness ${show(softness)}`
    return { name, can: !rubber && strength >= least && softness >= from && softness <= to, why }
  })
  const lacks = needsOf(shape, way, tables, needsFamily(family, dough)).flatMap((need): Lack[] => {
    const value = need.ability === 'strength' ? strength : softness
    const short = need.ability === 'softest' ? value > need.limit + UNFELT : value < need.limit - UNFELT
    if (!short) return []
    const { code, says } = LACKS[need.ability]
    return [{ code, text: `${says(show(value), show(need.limit))}, for ${need.why}`, source: need.source }]
  })
  if (springs > RUBBER)
    lacks.push({
      code: 'rubber',
      text: `Rubber: it springs back ${show(springs)}, at most ${show(RUBBER)} is rolled, for more gluten than a dough bears`,
      source: 'common practice, no source',
    })
  return { strength, springs, family, abilities, lacks }
}
