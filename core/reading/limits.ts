/** Longer texts are no recipe: they are refused with a word, not read. */
export const MAX_TEXT_CHARACTERS = 200_000

/** A recipe has at most 20 parts of 120 lines; with its steps and its talk, a text of more filled lines is none. */
export const MAX_TEXT_LINES = 4_000

/** What makes a text too long to be a recipe, as a clause ("4,100 lines are more than …"), or null. */
export function tooLong(text: string): string | null {
  const count = (of: number) => of.toLocaleString('en')
  if (text.length > MAX_TEXT_CHARACTERS)
    return `${count(text.length)} characters are more than a recipe; at most ${count(MAX_TEXT_CHARACTERS)} are read`
  const lines = text.match(/\S[^\n\r]*/g)?.length ?? 0
  return lines > MAX_TEXT_LINES
    ? `${count(lines)} lines are more than a recipe; at most ${count(MAX_TEXT_LINES)} are read`
    : null
}
