import type { ListedRecipe } from '~~/shared/api/answers'

/** A recipe and what grew from it. */
export interface Family {
  root: ListedRecipe
  variants: ListedRecipe[]
}

/**
 * Groups recipes into families under the oldest ancestor that is still on the shelf, in the order of the
 * latest save in each.
 */
export function familiesOf(recipes: readonly ListedRecipe[]): Family[] {
  const byId = new Map(recipes.map((recipe) => [recipe.id, recipe]))
  const rootOf = (recipe: ListedRecipe): ListedRecipe => {
    let current = recipe
    // A chain of parents cannot be longer than the shelf; the bound guards against a loop in the data.
    for (let n = 0; n < recipes.length; n++) {
      const parent = current.parentId ? byId.get(current.parentId) : undefined
      if (!parent) break
      current = parent
    }
    return current
  }
  const families = new Map<string, Family>()
  for (const recipe of recipes) {
    const root = rootOf(recipe)
    const family = families.get(root.id) ?? { root, variants: [] }
    if (recipe !== root) family.variants.push(recipe)
    families.set(root.id, family)
  }
  return [...families.values()]
}

/** Families in which any title or diet contains every word of the query. */
export function filterFamilies(families: readonly Family[], query: string): Family[] {
  const words = query.toLowerCase().split(/\s+/).filter(Boolean)
  return families.filter((family) => {
    const text = [family.root, ...family.variants]
      .flatMap((one) => [one.title, ...one.diets, ...(one.summary?.fits ?? [])])
      .join(' ')
      .toLowerCase()
    return words.every((word) => text.includes(word))
  })
}
