import { remember } from './remember'

const everywhere = new WeakMap<RegExp, RegExp>()

/** The same pattern for all that it matches: made once, since a pattern that is made anew is compiled anew. */
export function forAllMatches(pattern: RegExp): RegExp {
  const known = everywhere.get(pattern)
  if (known) return known
  const made = new RegExp(pattern.source, pattern.flags.includes('g') ? pattern.flags : `${pattern.flags}g`)
  everywhere.set(pattern, made)
  return made
}

/** The last of what a pattern matches in a text; null where it matches nothing. */
export function lastMatch(pattern: RegExp, text: string): RegExpExecArray | null {
  let last: RegExpExecArray | null = null
  for (const match of text.matchAll(forAllMatches(pattern))) last = match
  return last
}

/** What is asked of a pattern. */
export interface Recalled {
  test: (text: string) => boolean
  exec: (text: string) => RegExpExecArray | null
}

/** A recipe has some sixty clauses; a pattern knows those of the last ones. */
const RECALLED_TEXTS = 1000

/**
 * A pattern that remembers what it found: at every key the same clauses are asked the same questions again. Its answer
 * must not be changed by whoever gets it.
 */
export function recalled(pattern: RegExp): Recalled {
  const exec = remember((text) => pattern.exec(text), RECALLED_TEXTS)
  return { exec, test: (text) => exec(text) !== null }
}
