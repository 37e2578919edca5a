import { excludes } from '~~/core/diet/diets'
import { larder } from '~~/data/larder'

/** Diets that leave foods out, and those that ask for a figure. */
export const LEAVING_OUT = larder.diets.filter(excludes)
export const REACHING = larder.diets.filter((diet) => diet.targets.length > 0)

export const dietNames = (ids: readonly string[]): string[] =>
  larder.diets.filter((diet) => ids.includes(diet.id)).map((diet) => diet.name.toLowerCase())
