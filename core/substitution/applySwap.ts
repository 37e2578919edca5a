import { EU_ALLERGENS, type Food, type Foods } from '../food/food'
import { SCALDED } from '../food/scalded'
import { printLine } from '../recipe/printLine'
import { newLine, type Line, type Recipe } from '../recipe/document'
import type { PartKind } from '../recipe/vocabulary'
import { amountOf, waterOf, type Role, type Swap } from './catalogue'
import { foodOf } from '../recipe/lines'

/** Kinds of change that put one food in another's place: a stand-in, or the whole dough made anew. */
export const SWAPPING = ['swap', 'formula'] as const
/**
 * The others. amount: more or less of what is there; water, fat: the dough put right; cooking: another way of
 * cooking; none: nothing can stand in; check: read the packet.
 */
export const NOT_SWAPPING = ['amount', 'water', 'fat', 'cooking', 'none', 'check'] as const
interface AnyChange {
  /** The line as it was written. */
  line: string
  lineId: string
  part: PartKind
  from: string
  to: string
  gramsBefore: number | null
  gramsAfter: number | null
  why: string
  roles: Role[]
  rolesLost: Role[]
  swapId: string
  source: string
}

/** A food, or the whole dough, that is something else now. */
export interface SwapChange extends AnyChange {
  kind: (typeof SWAPPING)[number]
  handling: string
  cooking: string
  allergensAdded: string[]
}

/** A change that puts nothing new in: nothing to handle, no allergen. */
export interface OtherChange extends AnyChange {
  kind: (typeof NOT_SWAPPING)[number]
  handling: ''
  cooking: ''
  allergensAdded: never[]
}

export type Change = SwapChange | OtherChange

/** What a change has that is no swap. */
export const NO_SWAP: Pick<OtherChange, 'roles' | 'rolesLost' | 'handling' | 'cooking' | 'allergensAdded'> = {
  roles: [],
  rolesLost: [],
  handling: '',
  cooking: '',
  allergensAdded: [],
}

export interface Swapped {
  lines: Line[]
  change: Change
}

/** The EU names of allergens that some foods bring and others had not. */
export function allergensAdded(from: readonly Food[], to: readonly Food[]): string[] {
  const had = new Set(from.flatMap((food) => food.allergens))
  const added = new Set(to.flatMap((food) => food.allergens).filter((allergen) => !had.has(allergen)))
  return Object.entries(EU_ALLERGENS)
    .filter(([key]) => added.has(key as keyof typeof EU_ALLERGENS))
    .map(([, name]) => name)
}

/**
 * Replaces a line by what a swap puts in its place: one line or several, each with its own weight, the first
 * keeping the line's id.
 *
 * @returns null when the swap's amount rule cannot hold for this food
 */
export function applySwap(line: Line, part: PartKind, swap: Swap, foods: Foods): Swapped | null {
  const from = foodOf(line, foods)
  if (!from) return null
  const grams = line.grams ?? 0
  const made: { food: Food; grams: number; waterChangeGrams: number; scalded: boolean }[] = []
  for (const target of swap.to) {
    const food = foods.get(target.foodId)!
    const amount = amountOf(target, from, grams, food)
    if (amount === null) return null
    made.push({
      food,
      grams: amount,
      scalded: target.scalded,
      waterChangeGrams: amount * waterOf(target, food),
    })
  }
  const share = (of: number | null) => (of === null || grams === 0 ? null : of / grams)
  const lines = made.map((one, at): Line => {
    const known = line.grams !== null
    const next = newLine({
      id: at === 0 ? line.id : `${line.id}-${at + 1}`,
      foodId: one.food.id,
      name: one.food.name,
      grams: known ? one.grams : null,
      gramsLow: known ? one.grams * (share(line.gramsLow) ?? 1) : null,
      gramsHigh: known ? one.grams * (share(line.gramsHigh) ?? 1) : null,
      waterChangeGrams: one.waterChangeGrams,
      optional: line.optional,
      prep: one.scalded ? [SCALDED] : [],
      // A swapped cup is as sure as the cup was.
      measuredBy: line.measuredBy,
      // A doubt about the amount passes to the substitute; what was said of the old food does not.
      notes: line.notes.filter((note) => /to-taste|as-required|no-amount|range/.test(note.code)),
      // What was written first stays known; why it is something else now is the last swap's.
      cameFrom: {
        ...(line.cameFrom ?? {
          raw: line.raw || printLine(line, from),
          foodId: line.foodId,
          name: from.name,
          grams: line.grams,
        }),
        why: swap.why,
        swapId: swap.id,
      },
    })
    if (one.waterChangeGrams > 0) {
      next.notes.push({
        code: 'soaked',
        level: 'note',
        text: `Dry weight; soaked it takes up about ${Math.round(one.waterChangeGrams)} g of water`,
      })
    }
    if (one.waterChangeGrams < 0) {
      next.notes.push({
        code: 'strained',
        level: 'note',
        text: `Weighed before straining; it loses about ${Math.round(-one.waterChangeGrams)} g of whey`,
      })
    }
    return { ...next, raw: printLine(next, one.food) }
  })
  const total = made.reduce((sum, one) => sum + one.grams + one.waterChangeGrams, 0)
  return {
    lines,
    change: {
      kind: 'swap',
      line: line.raw,
      lineId: line.id,
      part,
      from: from.name,
      to: made.map((one) => one.food.name).join(' + '),
      gramsBefore: line.grams,
      gramsAfter: line.grams === null ? null : total,
      why: swap.why,
      roles: swap.roles,
      rolesLost: swap.rolesLost,
      handling: swap.handling,
      cooking: swap.cooking,
      allergensAdded: allergensAdded(
        [from],
        made.map((one) => one.food),
      ),
      swapId: swap.id,
      source: swap.source,
    },
  }
}

/** The recipe with one line replaced by others. */
export function replaceLine(recipe: Recipe, lineId: string, lines: readonly Line[]): Recipe {
  return {
    ...recipe,
    parts: recipe.parts.map((part) => ({
      ...part,
      lines: part.lines.flatMap((line) => (line.id === lineId ? lines : [line])),
    })),
  }
}
