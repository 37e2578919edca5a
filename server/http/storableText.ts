import type { FieldProblem } from '../../core/recipe/problem'

// The database keeps documents as JSON text, which can hold neither a NUL nor half a surrogate pair.
// eslint-disable-next-line no-control-regex
const UNSTORABLE = /\u0000|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/

/** The fields of a document whose text the database cannot keep. */
export function unstorableText(value: unknown, field: string): FieldProblem[] {
  if (typeof value === 'string') {
    return UNSTORABLE.test(value)
      ? [{ field, message: 'holds a character that cannot be stored; remove it' }]
      : []
  }
  if (Array.isArray(value)) return value.flatMap((item, at) => unstorableText(item, `${field}[${at}]`))
  if (value === null || typeof value !== 'object') return []
  return Object.entries(value).flatMap(([key, item]) => unstorableText(item, `${field}.${key}`))
}
