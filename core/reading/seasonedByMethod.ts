import type { Foods } from '../food/food'
import type { RecipeNote } from '../recipe/document'
import type { Draft } from './drafts'
import { matchFood } from './match'
import type { Clause } from './method'
import { NUMBER_PATTERN } from './readNumber'
import { UNIT_PATTERN } from './units'

/** "½ tsp of turmeric" in a sentence. */
const MENTION = new RegExp(
  String.raw`(?<![\p{L}\d.,/])((?:about )?(?:${NUMBER_PATTERN})\s*(?:${UNIT_PATTERN})(?![\p{L}\d])\s*(?:of\s+)?)((?:\p{L}[\p{L}'-]*\s?){1,3})`,
  'giu',
)
const SEASONS =
  /\bseason(?:ed)?\b(?! (?:salt|it with the|with the))|\b(?:add|with|some|and) salt\b|\bsalt (?:and pepper )?to taste\b/i
/** What a cook adds by the spoon while cooking. */
const BY_THE_SPOON = /^(?:spice|herb|salt|seasoning|sauce|sweetener)$/

/**
 * Says what the method seasons with though no line lists it: no line is made of a step, and what is not counted is not
 * passed over in silence.
 */
export function tellUnlistedSeasoning(
  drafts: readonly Draft[],
  clauses: readonly Clause[],
  foods: Foods,
  notes: RecipeNote[],
): void {
  const listed = drafts.flatMap(({ lines }) => lines)
  const missing = new Set<string>()
  for (const { text } of clauses) {
    if (text.length > 400) continue
    for (const [, amount, words] of text.matchAll(MENTION)) {
      // "1 tbsp stuffing" is none to serve beside a roast.
      if (/^(?:stuffing|filling|mixture|dough|batter|paste)\b/i.test(words!)) continue
      const parts = words!.trim().split(/\s+/)
      for (let length = parts.length; length > 0; length--) {
        const name = parts.slice(0, length).join(' ')
        const match = name.length > 2 ? matchFood(name, foods) : null
        if (match?.how !== 'exact') continue
        const { food } = match
        const isThere = listed.some((one) => one.food?.id === food.id || one.food?.kind === food.kind)
        if (BY_THE_SPOON.test(food.group) && !isThere)
          missing.add(`${amount!.trim()} ${food.name.toLowerCase()}`)
        break
      }
    }
  }
  const isSalted = listed.some(({ food }) => food?.group === 'salt')
  if (!isSalted && clauses.some(({ text, about }) => about !== 'pieces' && SEASONS.test(text)))
    missing.add('salt')
  if (missing.size)
    notes.push({
      code: 'unlisted',
      level: 'check',
      text: `The method uses ${[...missing].slice(0, 6).join(', ')}, which no line lists: it is not counted. Add it to the lines of its part`,
    })
}
