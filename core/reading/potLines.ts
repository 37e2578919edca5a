import type { Food } from '../food/food'
import { foodIs } from '../food/groups'
import { isFat, type Draft } from './drafts'
import { namesOfPot } from './namesOfPot'
import { isJuicy } from './potWords'

/** What following a pot needs to know of the lines of its part; a line goes by its number from 0. */
export interface PotLines {
  every: readonly number[]
  /** Numbers of the water's lines. */
  water: readonly number[]
  hasFat: boolean
  hasFlesh: boolean
  hasMince: boolean
  /** Shares of the part's grams, 0 to 1: what is poured, and what simmers in its own juice. */
  pouredShare: number
  juicyShare: number
  foodOf: (at: number) => Food | null
  /** The lines that a text names. */
  namedIn: (text: string) => number[]
}

/** The lines of a part, as its pot sees them. */
export function potLinesOf(draft: Draft): PotLines {
  const shareOf = (holds: (food: Food | null) => boolean) => {
    const grams = (items: Draft['lines']) => items.reduce((sum, { line }) => sum + (line.grams ?? 0), 0)
    return grams(draft.lines.filter(({ food }) => holds(food))) / (grams(draft.lines) || 1)
  }
  const has = (holds: (food: Food | null) => boolean) => draft.lines.some(({ food }) => holds(food))
  const every = draft.lines.map((_, at) => at)
  return {
    every,
    water: every.filter((at) => draft.lines[at]!.food?.id === 'water'),
    hasFat: has(isFat),
    hasFlesh: has((food) => foodIs(food, 'flesh')),
    hasMince: has((food) => food?.group === 'minced-meat'),
    pouredShare: shareOf((food) => foodIs(food, 'pours')),
    juicyShare: shareOf(isJuicy),
    foodOf: (at) => draft.lines[at]!.food,
    namedIn: namesOfPot(draft),
  }
}
