import type { ProblemDocument } from '~~/shared/api/answers'

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
  detail: 'It is not known whether it was saved. Start it again with npm start',
}

async function answered<T>(path: string, request: RequestInit): Promise<T> {
  let answer: Response
  try {
    answer = await fetch(path, request)
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

/**
 * Calls the API.
 *
 * @throws ApiProblem with the problem document, also when the server does not answer at all
 */
export function call<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<T> {
  return answered<T>(path, {
    method,
    headers: { ...headers, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
    body: body === undefined ? undefined : JSON.stringify(body),
  })
}

/** Sends bytes as they are, such as a piece of a file. Errors as `call`. */
export function sendBytes<T>(path: string, bytes: Blob, method: 'POST' | 'PUT' = 'POST'): Promise<T> {
  return answered<T>(path, {
    method,
    headers: { 'content-type': 'application/octet-stream' },
    body: bytes,
  })
}
