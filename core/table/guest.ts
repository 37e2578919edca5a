/** How much hangs on it: a wish, something that is not borne, or an allergy. */
export const STRENGTHS = ['preference', 'intolerance', 'allergy'] as const
export type Strength = (typeof STRENGTHS)[number]

/** Somebody who eats. */
export interface Guest {
  id: string
  diets: readonly string[]
  /** Foods by their ids that this guest leaves out. */
  avoid: readonly string[]
  /** Foods by their ids that this guest is glad of; any of them will do. */
  likes: readonly string[]
  pieces: number
  /** Only a preference may be passed over, and only where nothing suits. */
  strength: Strength
}
