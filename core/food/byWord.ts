/**
 * A table that is asked for words as somebody writes them. It knows its own words and no others: a plain object also
 * answers to "constructor" and "valueOf", which nobody put in.
 */
export const byWord = <T>(table: Readonly<Record<string, T>>): Readonly<Record<string, T>> =>
  Object.assign(Object.create(null) as Record<string, T>, table)
