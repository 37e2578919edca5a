import type { Shape } from '../recipe/vocabulary'
import type { Draft } from './drafts'

/**
 * What a serving of filled dough as a main dish weighs before it is cooked, where nobody says: ten small dumplings, two
 * or three buns, one pasty. Common practice, no source. (The reference amount for a mixed dish that is not measured
 * with a cup, 140 g in 21 CFR 101.12(b), from memory, is a label's serving and less than a cook's.)
 */
const SERVING_GRAMS = 200
const SLICES_OF_A_PIE = 6

/** How many a batch serves, guessed by its weight in whole pieces, and in words what was taken for a serving. */
export function guessServings(shape: Shape | null, pieces: number, drafts: readonly Draft[]) {
  if (shape === 'lidded-pie' && pieces === 1)
    return { servings: SLICES_OF_A_PIE, says: 'six slices of the pie' }
  const eaten = drafts
    .filter(({ kind }) => kind === 'shell' || kind === 'filling')
    .flatMap(({ lines }) => lines)
    .reduce((sum, { line }) => sum + (line.grams ?? 0), 0)
  if (!(eaten > 0)) return { servings: Math.max(1, Math.round(pieces / 2)), says: 'two pieces each' }
  const pieceGrams = eaten / pieces
  // What is held in the hand is nobody's to share, a large pasty neither.
  const cut = shape === 'coil' || shape === 'roll' || shape === 'lidded-pie' || pieceGrams > 4 * SERVING_GRAMS
  if (pieceGrams > 2 * SERVING_GRAMS && cut) {
    const slices = Math.round(pieceGrams / SERVING_GRAMS)
    return {
      servings: pieces * slices,
      says: `a piece of about ${Math.round(pieceGrams)} g is cut for ${slices}`,
    }
  }
  const each = Math.max(1, Math.round(SERVING_GRAMS / pieceGrams))
  const many = each === 1 ? 'one piece' : `${each} pieces`
  return {
    servings: Math.max(1, Math.round(pieces / each)),
    says: `${many} of about ${Math.round(pieceGrams)} g each`,
  }
}
