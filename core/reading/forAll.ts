import type { FoodGroup } from '../food/groups'
import type { FoodMatch } from './match'
import { readLine } from './readLine'

// "Egg yolk + splash of milk for brushing": what a line says at its end that it is for, and for how much of it.

/** What a line says at its end that all of it may be for. */
export const FOR_ALL =
  /,?\s*((?:for|to) (?:brush(?:ing)?|glaz(?:e|ing)|sprinkl(?:e|ing)|seal(?:ing)?|finish(?:ing)?|top(?:ping)?|serv(?:e|ing)|dip(?:ping)?|garnish|decorat(?:e|ing))(?:\s.*)?|for (?:the )?(?:tops?|edges?)|(?:scattered |sprinkled )?on top)$/i

const SERVES = /\b(?:serv|dip)/i
/** What is brushed or strewn on a piece. Common practice, no source. */
const ON_A_PIECE = new Set<FoodGroup>([
  'egg',
  'egg-yolk',
  'egg-white',
  'plant-egg',
  'milk',
  'plant-milk',
  'cream',
  'plant-cream',
  'yogurt',
  'plant-yogurt',
  'oil',
  'solid-fat',
  'sweetener',
  'seed',
  'nut',
  'liquid',
  'salt',
])

/** A food of a list, with what joins it to the one before. */
export interface Listed {
  text: string
  /** ", " or " and "; '' for the first. */
  joint: string
  match: FoodMatch | null
}

/**
 * Whether what is said behind `next` holds for `one` before it as well: joined by "and" it does; behind a comma only
 * what is brushed or strewn on ("1 egg, 1 tbsp milk to glaze"), and not a filling's thyme in front of "milk to brush".
 */
export function holdsBefore(one: Listed, next: Listed, purpose: string): boolean {
  // "2 eggs, for brushing": behind its own comma the purpose is the whole line's.
  if (!/^\s*[,;/]/.test(next.joint)) return true
  if (SERVES.test(purpose))
    return !readLine(one.text).measures.length || readLine(next.text).measures.length > 0
  return one.match !== null && ON_A_PIECE.has(one.match.food.group as FoodGroup)
}

/** The texts of a list with what its last says it is for on each that it holds for; the same list without it. */
export function withPurpose(list: readonly Listed[], purpose: string): string[] {
  const said = list.map(({ text }) => text)
  for (let at = list.length - 2; at >= 0 && holdsBefore(list[at]!, list[at + 1]!, purpose); at--)
    said[at] = `${list[at]!.text}, ${purpose}`
  return said
}
