/** Longer texts are no recipe: they are refused with a word, not read. */
export const MAX_TEXT_CHARACTERS = 200_000
