import type { Part, Recipe } from '../recipe/document'
import { withIds } from '../recipe/document'
import { hostOf } from '../recipe/lines'
import { scaleRecipe } from '../recipe/scale'

/** One kind as it comes to be made. */
export interface KindToMake {
  id: string
  recipe: Recipe
  pieces: number
  /** What tells its filling from the others: "vegan". */
  name: string
}

/** What is made in one go: one dough with one filling, or with several. */
export interface TableDish {
  recipe: Recipe
  kinds: string[]
}

const isFilling = (recipe: Recipe, part: Part): boolean => hostOf(recipe, part).kind === 'filling'

/** Weights for a piece, as near as they are the same dough. */
const perPiece = (grams: number | null, pieces: number) =>
  grams === null ? null : Number((grams / pieces).toPrecision(3))

/** All that is not filling, for a piece: what two kinds of one dough have to have alike. */
const around = ({ recipe, pieces }: KindToMake) =>
  JSON.stringify([
    recipe.shape,
    recipe.cooking,
    recipe.parts
      .filter((part) => !isFilling(recipe, part))
      .map((part) => [
        part.kind,
        part.cookedBy,
        part.lines.map((line) => [line.foodId ?? line.raw, perPiece(line.grams, pieces)]),
      ]),
  ])

const MAX_NAME = 120

/** The fillings of a kind with the pieces they go into, under names and ids of their own. */
function fillingsOf({ recipe, pieces, name, id }: KindToMake): Part[] {
  const own = recipe.parts.filter((part) => isFilling(recipe, part))
  const fillings = own.filter(({ into }) => into === null || !own.some((part) => part.id === into))
  const stated = fillings.every((part) => part.pieces !== null)
  const idOf = (one: string) => `${one}-${id}`
  return own.map((part) => ({
    ...part,
    id: idOf(part.id),
    into: part.into === null ? null : idOf(part.into),
    name: `${part.name || 'Filling'}, ${name}`.slice(0, MAX_NAME),
    pieces: !fillings.includes(part)
      ? part.pieces
      : fillings.length === 1
        ? pieces
        : stated
          ? part.pieces
          : Math.max(1, Math.round(pieces / fillings.length)),
    lines: part.lines.map((line) => ({
      ...line,
      id: idOf(line.id),
      componentId: line.componentId === null ? null : idOf(line.componentId),
    })),
    setAside: part.setAside.map((line) => ({ ...line, id: idOf(line.id) })),
  }))
}

/**
 * The kinds of a table as they are cooked: kinds that differ in nothing but their filling are one dish, of one dough
 * with several fillings, so that the tray, the clock and the list know of one dough.
 *
 * @param kinds each with at least one piece, its recipe made for as many
 */
export function dishesOf(kinds: readonly KindToMake[], title: string): TableDish[] {
  const groups = new Map<string, KindToMake[]>()
  for (const kind of kinds) groups.set(around(kind), [...(groups.get(around(kind)) ?? []), kind])
  return [...groups.values()].map((group): TableDish => {
    const [first] = group as [KindToMake]
    if (group.length === 1) return { recipe: first.recipe, kinds: [first.id] }
    const pieces = group.reduce((sum, one) => sum + one.pieces, 0)
    const steps = group.map(({ recipe }) => recipe)
    const whole = scaleRecipe(first.recipe, pieces / first.pieces)
    const common = whole.parts.filter((part) => !isFilling(whole, part))
    const recipe: Recipe = {
      ...whole,
      title: `${title}, ${group.map(({ name }) => name).join(' and ')}`.slice(0, 200),
      pieces,
      servings: group.reduce((sum, one) => sum + one.recipe.servings, 0),
      diets: first.recipe.diets.filter((diet) => steps.every((one) => one.diets.includes(diet))),
      avoid: first.recipe.avoid.filter((food) => steps.every((one) => one.avoid.includes(food))),
      facts: whole.facts.filter(({ partId }) => partId === null || common.some(({ id }) => id === partId)),
      parts: [...common, ...group.flatMap(fillingsOf)],
    }
    return { recipe: withIds(recipe), kinds: group.map(({ id }) => id) }
  })
}
