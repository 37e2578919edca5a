/** What keeps a recipe from being worked on, naming the field and what would be right. */
export interface FieldProblem {
  /** Where in the document: "recipe.parts[0].lines[2].grams". */
  field: string
  message: string
}

/** Thrown by the computation for a document that is well formed but cannot be reckoned. */
export class RecipeProblem extends Error {
  readonly problems: FieldProblem[]
  constructor(problems: FieldProblem[]) {
    super(problems.map((problem) => `${problem.field}: ${problem.message}`).join('; '))
    this.name = 'RecipeProblem'
    this.problems = problems
  }
}
