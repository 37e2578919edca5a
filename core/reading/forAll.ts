import type { FoodGroup } from '../food/groups'
import type { FoodMatch } from './match'
import { readLine } from './readLine'

// "Egg yolk + splash of milk for brushing": what a line says at its end that it is for, and for how much of it.

/** What a line says at its end that all of it may be for. */
export const FOR_ALL =
  /,?\s*((?:for|to) (?:brush(?:ing)?|glaz(?:e|ing)|sprinkl(?:e|ing)|seal(?:ing)?|(?:egg ?)?wash(?:ing)?|finish(?:ing)?|top(?:ping)?|serv(?:e|ing)|dip(?:ping)?|garnish|decorat(?:e|ing))(?:\s.*)?|for (?:the )?(?:tops?|edges?|(?:egg ?)?wash|glaze|topping)|on the side|(?:scattered |sprinkled )?on top)$/i

const SERVES = /\b(?:serv|dip|side)/i
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
  /** ", " or " and "; '' for the first, null where it is not known. */
  joint: string | null
  match: FoodMatch | null
}

/** Whether it is a food that is brushed or strewn on. */
export const isOnAPiece = (match: FoodMatch | null | undefined): boolean =>
  Boolean(match && ON_A_PIECE.has(match.food.group as FoodGroup))
const isStrewn = (match: FoodMatch | null): boolean => /^(?:seed|herb)$/.test(match?.food.group ?? '')
const isEgg = ({ match }: Listed): boolean => /^(?:egg|egg-yolk|egg-white)$/.test(match?.food.group ?? '')

/**
 * Whether what is said behind `next` holds for `one` before it as well: joined by "and" it does; behind a comma only
 * where all of the list is brushed or strewn on, and for an egg in front of its milk ("1 egg, 1 tbsp milk to glaze").
 */
function holdsBefore(one: Listed, next: Listed, purpose: string, isAllOn: boolean): boolean {
  // "Nigella, coriander leaves for the top": both are strewn.
  const areStrewn = [one, next].every(({ match, text }) => isStrewn(match) && !readLine(text).measures.length)
  // "1 tbsp oil + extra for brushing": the rest of the line is not; of seeds without a number it is.
  if (next.joint === null || (/\b(?:extra|more)\b/i.test(next.text) && !areStrewn)) return false
  // Spoken without a mark: what is said of the last is of the last.
  if (!next.joint.trim()) return isAllOn || areStrewn
  if (!/^\s*[,;/]/.test(next.joint)) {
    // "100 ml of cream, thyme and an egg for the glaze": nobody glazes with thyme, or with so much cream.
    return isAllOn || !GLAZES.test(purpose) || (isOnAPiece(one.match) && !isPoured(one))
  }
  if (SERVES.test(purpose))
    return !readLine(one.text).measures.length || readLine(next.text).measures.length > 0
  if (!isAllOn) return areStrewn || (isEgg(one) && /milk|cream/.test(next.match?.food.group ?? ''))
  // A spoonful of water thins a wash; 100 ml of it went into the pot.
  return one.match!.food.group !== 'liquid' || !isPoured(one)
}
const GLAZES = /\b(?:brush|glaz|wash)/i
const isPoured = ({ text }: Listed): boolean =>
  readLine(text).measures.some((sum) => sum.some(({ unitId }) => POURED.test(unitId ?? '')))
const POURED = /^(?:ml|cl|dl|l|cup|metric-cup|fl-oz|pint|g|oz)$/

/** The texts of a list, with what one of them says it is for on each before it that it holds for. */
export function withPurposes(list: readonly Listed[]): string[] {
  const said = list.map(({ text }) => text)
  const isAllOn = list.every(({ match }) => isOnAPiece(match))
  for (let at = list.length - 1; at > 0; at--) {
    const purpose = FOR_ALL.exec(list[at]!.text)?.[1]
    if (!purpose) continue
    const isLast = at === list.length - 1
    for (let before = at - 1; before >= 0; before--) {
      const next = list[before + 1]!
      const holds = isLast
        ? holdsBefore(list[before]!, next, purpose, isAllOn)
        : next.joint !== null && !/^\s*[,;/]/.test(next.joint) && !/\b(?:extra|more)\b/i.test(next.text)
      if (!holds) break
      if (!FOR_ALL.test(said[before]!)) said[before] = `${list[before]!.text}, ${purpose}`
    }
  }
  return said
}
