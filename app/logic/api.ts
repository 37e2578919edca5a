import type { Recipe } from '~~/core/recipe/document'
import type { Summary } from '~~/core/summary'

export interface Stored {
  id: string
  revision: number
  parentId: string | null
  parentRevision: number | null
  recipe: Recipe
  savedAt: string
}

export interface StoredWithParent extends Stored {
  parent: Stored | null
}

export interface Listed {
  id: string
  revision: number
  parentId: string | null
  parentRevision: number | null
  title: string
  diets: string[]
  summary: Summary | null
  savedAt: string
}

export interface ProblemDocument {
  type: string
  title: string
  status: number
  detail: string
  errors?: { field: string; message: string }[]
  stored?: Stored
}

/** What went wrong with a call, in words for the cook. */
export class ApiProblem extends Error {
  constructor(
    readonly problem: ProblemDocument,
    readonly away: boolean,
  ) {
    super(problem.detail)
    this.name = 'ApiProblem'
  }
}

const AWAY: ProblemDocument = {
  type: '/problems/server-away',
  title: 'The server cannot be reached',
  status: 0,
  detail: 'Nothing was saved. Start it again with npm start, then try again',
}

/**
 * Calls the API.
 *
 * @throws ApiProblem with the problem document, also when the server does not answer at all
 */
export async function call<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<T> {
  let answer: Response
  try {
    answer = await fetch(path, {
      method,
      headers: body === undefined ? undefined : { 'content-type': 'application/json' },
      body: body === undefined ? undefined : JSON.stringify(body),
    })
  } catch {
    throw new ApiProblem(AWAY, true)
  }
  const value: unknown = await answer.json().catch(() => null)
  if (answer.ok && value !== null) return value as T
  const problem = (value ?? {
    ...AWAY,
    status: answer.status,
    title: 'The server gave no sense',
  }) as ProblemDocument
  throw new ApiProblem(problem, answer.status === 503 || answer.status === 502)
}
