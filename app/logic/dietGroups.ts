import { excludes } from '~~/core/diet/diets'
import { table } from '~~/data/table'

/** Diets that leave foods out, and those that ask for a figure. */
export const LEAVING_OUT = table.diets.filter(excludes)
export const REACHING = table.diets.filter((diet) => diet.targets.length > 0)

export const dietNames = (ids: readonly string[]): string[] =>
  table.diets.filter((diet) => ids.includes(diet.id)).map((diet) => diet.name.toLowerCase())
