import { ORIGIN_WORDS } from '../diet/diets'
import { EU_ALLERGENS, type Foods } from '../food/food'
import type { Line, Recipe } from '../recipe/document'
import { foodOf } from '../recipe/lines'

/** Marks by which pieces of one dough are told apart, cooked or not. Common practice, no source. */
export const MARKS = ['crimped rim', 'fork pressed', 'seeds on top', 'one cut'] as const
export type Mark = (typeof MARKS)[number]

/** The mark of each of several fillings, in their order; none where there is but one. */
export const marksOf = <T>(fillings: readonly T[]): (T & { mark: Mark })[] =>
  fillings.length > 1 ? fillings.map((one, at) => ({ ...one, mark: MARKS[at % MARKS.length]! })) : []

/** What lines hold that somebody may have to keep away from, in words: animal foods and allergens. */
export function heldBy(lines: readonly Line[], foods: Foods): Set<string> {
  const held = new Set<string>()
  for (const line of lines) {
    const food = foodOf(line, foods)
    for (const one of food?.origins ?? []) held.add(ORIGIN_WORDS[one])
    for (const one of food?.allergens ?? []) held.add(EU_ALLERGENS[one].toLowerCase())
    // Of what is not known nothing can be ruled out.
    if (!food || !food.originKnown) held.add('something not known')
  }
  return held
}

/**
 * The order in which fillings of one dough are filled and cooked, so that what holds least comes first and board,
 * oil, water and steamer carry nothing over to it.
 *
 * @returns the parts in that order, and what each later one holds that the ones before it do not
 */
export function orderApart(
  recipe: Recipe,
  partIds: readonly string[],
  foods: Foods,
): { partId: string; brings: string[] }[] {
  const held = partIds.map((partId) => {
    const own = recipe.parts.filter((part) => part.id === partId || part.into === partId)
    return {
      partId,
      holds: heldBy(
        own.flatMap((part) => part.lines),
        foods,
      ),
    }
  })
  held.sort((a, b) => a.holds.size - b.holds.size)
  const had = new Set<string>()
  return held.map(({ partId, holds }, at) => {
    const brings = at === 0 ? [] : [...holds].filter((one) => !had.has(one))
    for (const one of holds) had.add(one)
    return { partId, brings }
  })
}
