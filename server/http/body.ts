import type { H3Event } from 'h3'
import type { z } from 'zod'
import type { FieldProblem } from '../../core/recipe/problem'
import { invalid, problem } from './problem'

/** A recipe of 2,000 lines stays below it; more is a mistake. */
export const MAX_BODY_BYTES = 1_000_000
/** What is still read, and thrown away, of a body that is too large, so that the client sees the answer. */
const MAX_DRAINED_BYTES = 256_000_000

const tooLarge = (max: number) =>
  problem(413, 'too-large', 'The request is too large', `The body may hold at most ${max / 1000} kB`, {
    errors: [{ field: 'body', message: `send at most ${max / 1000} kB` }],
  })

/** The bytes of a request's body. Answers 413 above `max`. */
export function readBytes(event: H3Event, max = MAX_BODY_BYTES): Promise<Buffer> {
  const request = event.node.req
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    let size = 0
    request.on('data', (chunk: Buffer) => {
      size += chunk.length
      if (size <= max) chunks.push(chunk)
      else if (size > MAX_DRAINED_BYTES) request.destroy()
    })
    request.on('end', () => (size > max ? reject(tooLarge(max)) : resolve(Buffer.concat(chunks))))
    request.on('error', () =>
      reject(problem(400, 'broken-off', 'The request broke off', 'The body did not arrive whole')),
    )
  })
}

const UTF8 = new TextDecoder('utf-8', { fatal: true })

/** "parts[0].lines[2].grams" out of the path of a validation issue. */
export function fieldName(path: readonly PropertyKey[]): string {
  if (!path.length) return 'body'
  return path.reduce<string>(
    (name, key) =>
      typeof key === 'number' ? `${name}[${key}]` : name ? `${name}.${String(key)}` : String(key),
    '',
  )
}

/** The problems in a value by a schema; empty when it passes. */
export function fieldProblems(error: z.ZodError): FieldProblem[] {
  return error.issues.map((issue) => ({ field: fieldName(issue.path), message: issue.message }))
}

/**
 * Reads the JSON body of a request by a schema.
 *
 * Answers 415 for another content type, 413 above `max`, 1 MB where nothing is said, 400 for bytes that are not UTF-8 or text that is not JSON, 422 with the fields named
 * for everything else.
 */
export async function readJson<T extends z.ZodType>(
  event: H3Event,
  schema: T,
  max = MAX_BODY_BYTES,
): Promise<z.output<T>> {
  if (!/^application\/json\s*(?:;|$)/i.test(getHeader(event, 'content-type') ?? ''))
    throw problem(
      415,
      'content-type',
      'JSON is expected',
      'Send the body with the content type application/json',
      {
        errors: [{ field: 'Content-Type', message: 'application/json is expected' }],
      },
    )
  const bytes = await readBytes(event, max)
  let text: string
  try {
    text = UTF8.decode(bytes)
  } catch {
    throw problem(400, 'not-utf-8', 'The body is not UTF-8', 'Send the text encoded as UTF-8', {
      errors: [{ field: 'body', message: 'these bytes are not UTF-8 text' }],
    })
  }
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch (error) {
    throw problem(
      400,
      'not-json',
      'The body is not JSON',
      `Send a JSON object: ${(error as Error).message}`,
      {
        errors: [{ field: 'body', message: 'a JSON object is expected' }],
      },
    )
  }
  return checked(schema, value)
}

/** A value by a schema. Answers 422 with the fields named where it does not pass. */
export function checked<T extends z.ZodType>(schema: T, value: unknown): z.output<T> {
  const parsed = schema.safeParse(value)
  if (!parsed.success) throw invalid(fieldProblems(parsed.error))
  return parsed.data
}
