import type { Foods } from '~~/core/food/food'
import type { Recipe } from '~~/core/recipe/document'
import { allLines, foodOf } from '~~/core/recipe/lines'

export interface ComparedLine {
  part: string
  name: string
  /** Grams in each recipe; null where it is not in it. */
  grams: (number | null)[]
}

/** The lines in which recipes differ: by part and food, with the grams in each. */
export function differingLines(recipes: readonly Recipe[], foods: Foods): ComparedLine[] {
  const rows = new Map<string, ComparedLine>()
  recipes.forEach((recipe, at) => {
    for (const { part, line } of allLines(recipe)) {
      const food = foodOf(line, foods)
      const name = food?.name ?? (line.name || line.raw)
      const key = `${part.kind} ${line.foodId ?? name}`
      const row = rows.get(key) ?? { part: part.kind, name, grams: recipes.map(() => null) }
      row.grams[at] = (row.grams[at] ?? 0) + (line.grams ?? 0)
      rows.set(key, row)
    }
  })
  // Half a gram is no difference anybody weighs.
  return [...rows.values()].filter(({ grams }) =>
    grams.some((own) => own === null || Math.abs(own - (grams[0] ?? -1)) > 0.5),
  )
}

/** What has to be done otherwise in each recipe: of the advice on each, what not all of them have. */
export function differingAdvice(advice: readonly (readonly string[])[]): string[][] {
  const common = new Set(advice[0]?.filter((text) => advice.every((own) => own.includes(text))))
  return advice.map((own) => own.filter((text) => !common.has(text)))
}
