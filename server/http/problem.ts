import { createError } from 'h3'
import type { FieldProblem } from '../../core/recipe/problem'

/** An RFC 9457 problem document. `errors` names the fields and what would be right. */
export interface Problem {
  type: string
  title: string
  status: number
  detail: string
  errors?: FieldProblem[]
  [extension: string]: unknown
}

/** An error that is answered as a problem document. */
export function problem(
  status: number,
  type: string,
  title: string,
  detail: string,
  more: Record<string, unknown> = {},
) {
  const data: Problem = { type: `/problems/${type}`, title, status, detail, ...more }
  return createError({ statusCode: status, statusMessage: title, message: detail, data })
}

export function invalid(errors: FieldProblem[]) {
  const detail = errors.map((error) => `${error.field}: ${error.message}`).join('; ')
  return problem(422, 'invalid', 'The request cannot be used as it is', detail.slice(0, 2000), {
    errors: errors.slice(0, 50),
  })
}
