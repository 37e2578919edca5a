import pg from 'pg'

/** Thrown when the database cannot be reached, is frozen, or has no connection left. */
export class DatabaseDown extends Error {
  /**
   * @param reason what the driver threw; not as `cause`, of which the framework takes the innermost for the error itself
   */
  constructor(
    message: string,
    readonly reason: unknown = null,
  ) {
    super(message)
    this.name = 'DatabaseDown'
  }
}

/** Thrown when a database cannot be brought to the program's schema; more of the same will not help. */
export class SchemaProblem extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'SchemaProblem'
  }
}

/**
 * SQLSTATE codes by which the server itself says that it is away or too busy (PostgreSQL manual, Appendix A): class 08
 * connection exception, 53 insufficient resources, 57P01 to 57P05 shut down, crashed, starting, dropped or idle too
 * long, 57014 cancelled by a timeout, 55P03 lock not available in time, 25P03 idle in a transaction, 58 of the
 * operating system.
 */
const AWAY = /^(?:08...|53...|57P0[1-5]|57014|55P03|25P03|58...)$/

/** SQLSTATE of what succeeds when it is tried again: a serialisation failure and a deadlock. */
const AGAIN = new Set(['40001', '40P01'])

/** Whether a transaction failed only because another was in its way. */
export const isWorthAnotherTry = (error: unknown): boolean =>
  error instanceof pg.DatabaseError && AGAIN.has(error.code ?? '')

/** SQLSTATE of text that the database cannot hold: a NUL, half a letter. */
const NOT_TEXT = new Set(['22021', '22P05'])

/** A value that is none of its kind, or a row that contradicts another (SQLSTATE classes 22 and 23): what was given is at fault. */
export const isContradiction = (error: unknown): boolean =>
  error instanceof pg.DatabaseError && /^2[23]/.test(error.code ?? '')

/** Whether a query failed for a character that cannot be stored. */
export const isUnstorableText = (error: unknown): boolean =>
  error instanceof pg.DatabaseError && NOT_TEXT.has(error.code ?? '')

/** Errors of our own making: values that cannot be sent, a name that is undefined. */
const ours = (error: unknown) =>
  error instanceof TypeError ||
  error instanceof RangeError ||
  error instanceof ReferenceError ||
  error instanceof SyntaxError

/**
 * What an error of a query or a connection is, by its class and code and never by its words: an answer of the server is
 * a `DatabaseError` with a code; whatever else the driver throws, it throws because there was no answer.
 */
export function asDatabaseError(error: unknown): unknown {
  if (error instanceof DatabaseDown || error instanceof SchemaProblem || ours(error)) return error
  if (error instanceof pg.DatabaseError)
    return AWAY.test(error.code ?? '')
      ? new DatabaseDown(`The database answered ${error.code}`, error)
      : error
  return new DatabaseDown('The database did not answer', error)
}

/** Says whether an error means that the database is away rather than that a query was wrong. */
export const isDatabaseDown = (error: unknown): boolean => error instanceof DatabaseDown
