import { setResponseHeader, setResponseStatus, send, type H3Error, type H3Event } from 'h3'
import { RecipeProblem } from '../core/recipe/problem'
import { isDatabaseDown, isUnstorableText } from './db/errors'
import { invalid, problem, type Problem } from './http/problem'

/** What an error is to the caller. Anything not foreseen is a 500 without its inside. */
function asProblem(error: H3Error, event: H3Event): Problem {
  const cause: unknown = error.cause ?? error
  if (cause instanceof RecipeProblem) return invalid(cause.problems).data as Problem
  if (isUnstorableText(cause))
    return invalid([{ field: 'request', message: 'holds a character that cannot be stored; remove it' }])
      .data as Problem
  if (isDatabaseDown(cause)) {
    return problem(
      503,
      'database-away',
      'The database cannot be reached',
      event.method === 'GET' || event.method === 'HEAD'
        ? 'Reading a text, evaluating and adapting still work; try again when it is back'
        : 'Whether this was kept is not known until it is back. Send it again then: with the same Idempotency-Key, or the same revision, it is kept once',
    ).data as Problem
  }
  const data = error.data as Problem | undefined
  if (data?.type && data.status) return data
  const status = error.statusCode >= 400 && error.statusCode < 500 ? error.statusCode : 500
  if (status === 404)
    return problem(404, 'not-found', 'There is nothing here', 'See /api/openapi.json for the routes')
      .data as Problem
  if (status === 405)
    return problem(405, 'method', 'This route does not take that method', 'See /api/openapi.json')
      .data as Problem
  if (status < 500)
    return problem(status, 'bad-request', error.statusMessage || 'Bad request', error.message).data as Problem
  return problem(
    500,
    'unforeseen',
    'Something went wrong here',
    'The fault is ours; it has been written to the log',
  ).data as Problem
}

/** Answers every error as an RFC 9457 problem document. */
export default function errorHandler(error: H3Error, event: H3Event) {
  const answer = asProblem(error, event)
  if (answer.status >= 500 && answer.status !== 503) console.error(error)
  setResponseStatus(event, answer.status, answer.title)
  setResponseHeader(event, 'content-type', 'application/problem+json; charset=utf-8')
  setResponseHeader(event, 'cache-control', 'no-store')
  if (answer.status === 503 || answer.status === 429) setResponseHeader(event, 'retry-after', 2)
  return send(event, JSON.stringify(answer))
}
