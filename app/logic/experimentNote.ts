import type { RecipeNote } from '~~/core/recipe/document'

/** The note that marks a revision as an experiment: what is done otherwise, and against what. */
export const newNote = (remedy: string, cause: string): RecipeNote => ({
  code: 'experiment',
  level: 'check',
  text: `Experiment: ${remedy}. Against: ${cause}`,
})
