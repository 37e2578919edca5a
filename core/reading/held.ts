// What must not be cut, taken out of a text while it is cut and put back afterwards.

/** A text with what was held taken out, and what puts it back into any piece of that text. */
export interface Held {
  open: string
  restore: (piece: string) => string
}

/**
 * Takes out of a text what must stay whole: brackets, and numbers told in words.
 *
 * @param patterns each global; what the first holds the next does not see
 */
export function holdBack(text: string, patterns: readonly RegExp[]): Held {
  const held: string[] = []
  const open = patterns.reduce(
    (left, pattern) => left.replace(pattern, (whole) => `\uE000${held.push(whole) - 1}\uE001`),
    text,
  )
  return {
    open,
    restore: (piece) => piece.replace(/\uE000(\d+)\uE001/g, (_, at: string) => held[Number(at)]!),
  }
}

/** What stands in one bracket. */
export const IN_BRACKETS = /\([^()]*\)/g
