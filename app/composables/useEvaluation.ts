import { evaluate, type Evaluation } from '~~/core/evaluation/evaluate'
import { RecipeProblem, type FieldProblem } from '~~/core/recipe/problem'
import type { Recipe } from '~~/core/recipe/document'

/**
 * The evaluation of a recipe, following every change, or what keeps it from being evaluated.
 *
 * @param original of the recipe it grew from, for diets that ask for less than that has
 */
export function useEvaluation(recipe: () => Recipe | null, original: () => Evaluation | null = () => null) {
  const shelves = useLarderStore()
  const result = computed<{ evaluation: Evaluation | null; problems: FieldProblem[] }>(() => {
    const document = recipe()
    if (!document) return { evaluation: null, problems: [] }
    try {
      return { evaluation: evaluate(document, shelves.reference, original()), problems: [] }
    } catch (error) {
      if (error instanceof RecipeProblem) return { evaluation: null, problems: error.problems }
      throw error
    }
  })
  return {
    evaluation: computed(() => result.value.evaluation),
    problems: computed(() => result.value.problems),
  }
}
