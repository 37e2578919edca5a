import type { Recipe } from '../core/recipe/document'
import type { CookingWay, PartKind } from '../core/recipe/vocabulary'
import { newLine, withIds } from '../core/recipe/document'
import { recipeSchema } from '../core/recipe/schema'
import { SCALDED, scaldedOf } from '../core/food/scalded'
import { reference } from '../data/reference'

export { reference }
export const { foods } = reference

/** The food with an id; throws when a test names one that is not there. */
export function food(id: string) {
  const found = foods.get(id)
  if (!found) throw new Error(`No food ${id}`)
  return found
}

type PartLines = Partial<Record<PartKind, readonly (readonly [foodId: string, grams: number])[]>>

/** A recipe of weighed lines, of which nothing is left over unless a test asks for what is usual. */
export function recipeOf(
  parts: PartLines,
  more: { pieces?: number; servings?: number; way?: CookingWay; usualLeft?: boolean } = {},
): Recipe {
  return withIds(
    recipeSchema.parse({
      title: 'Test pockets',
      pieces: more.pieces ?? 10,
      servings: more.servings ?? 5,
      cooking: { way: more.way ?? 'bake' },
      parts: Object.entries(parts).map(([kind, lines]) => ({
        kind,
        name: kind,
        leftGrams: more.usualLeft || kind === 'pan' || kind === 'marinade' ? null : 0,
        // "rice-flour~scalded": boiling water is poured on it.
        lines: lines.map(([name, grams]) => {
          const [foodId, state] = name.split('~')
          return newLine({ foodId, grams, raw: `${grams} g ${name}`, name, prep: state ? [state] : [] })
        }),
      })),
    }),
  )
}

/** A dough as amounts, for the softness model. */
export function doughOf(...lines: (readonly [foodId: string, grams: number])[]) {
  return lines.map(([id, grams]) => {
    const [name, state] = id.split('~')
    const own = food(name!)
    return { food: state === SCALDED ? scaldedOf(own) : own, grams, waterChangeGrams: 0 }
  })
}
