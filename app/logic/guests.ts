import { STRENGTHS, type Strength } from '~~/core/table/guest'
import type { KnownGuest } from '~/stores/table'

const ids = (value: unknown): string[] =>
  Array.isArray(value) ? value.filter((one): one is string => typeof one === 'string') : []

/**
 * The guests as a browser kept them. What an earlier version wrote is taken over; what cannot be read is nobody, never
 * an error: a guest list must not keep the page from opening.
 */
export function guestsFrom(text: string): KnownGuest[] {
  let kept: unknown
  try {
    kept = JSON.parse(text)
  } catch {
    return []
  }
  if (!Array.isArray(kept)) return []
  return kept.flatMap((one: Record<string, unknown> | null): KnownGuest[] => {
    if (typeof one?.id !== 'string') return []
    const known = STRENGTHS.find((strength) => strength === one.strength)
    const earlier: Strength = one.allergy === true ? 'allergy' : 'intolerance'
    const pieces = Number(one.pieces)
    return [
      {
        id: one.id,
        name: typeof one.name === 'string' ? one.name : 'Guest',
        diets: ids(one.diets),
        avoid: ids(one.avoid),
        strength: known ?? earlier,
        likes: ids(one.likes),
        pieces: Number.isInteger(pieces) && pieces > 0 ? pieces : 2,
        comes: one.comes !== false,
      },
    ]
  })
}
