import type { Foods } from '../food/food'
import { endsInDish, namesDishIn } from './dishNames'
import { kindOf } from './headingKinds'
import { inlineList, matchedIngredient, wordsOf } from './rows'
import { startsLikeStep } from './stepWords'

// A recipe that is jotted down begins with its name, and goes on in the same row with a list, a part or the work.

/** So many words that name a dish lead no part. Our own choice. */
export const LEAST_NAME_WORDS = 5
/** Fewer words behind a name are a part of it. Our own choice. */
const LEAST_TOLD_WORDS = 8

/** "Curry puffs: fry an onion …", "samosas (makes 20) - boil 400 g potatoes", "burritos x 6: …", "pie... 1 kg spinach". */
const MARKED =
  /^([^:.,\d]{3,60}?(?: for (?:\d{1,2}|one|two)(?: people)?| x ?\d{1,2}| ?\((?:makes |serves |for )?(?:about )?\d{1,2}[^():]{0,20}\))?)\s*(?::|\s(?:[-–—]|[-=]>|→)|\.{2,}|…)\s+(?=\S)/
/** "Buckwheat parcels (GF) Batter: 200 g …". */
const BEFORE_PART = /^([^:.,\d]{3,60}?)\s+(?=(?:(?:for )?the )?([a-zß-öø-ɏ]+)\s*(?:[:=]|[-–—]\s))/i
/** "Steamed veg momos 2 cups maida, water, …". */
const BEFORE_AMOUNT =
  /^((?!(?:makes?|for|take|mix|use|you|i|we)\b)[a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ&]+){1,5}) (?=(?:\d|[¼½¾])[\d./]* ?(?:g|kg|ml|cups?|oz|lbs?|tbsp|tsp)\b)/i
/** What is said of a dish behind its name. */
const SAID_OF_IT =
  /(?:[- ]?ish| in a hurry| my way| the (?:lazy|easy|quick|simple) way| (?:with|using) [a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?| again|,? ?\([^()]*\)| for (?:\d{1,2}|one|two)(?: people)?| x ?\d{1,2})+$/i
/** "Melts in puff pastry": what they are made in is no part. */
const IN_PASTRY = /\b(?:in|with) (?:[a-zß-öø-ɏ]+ ){0,2}(?:pastry|filo|phyllo|dough|wrappers)$/i
const ENDS_OPEN = /\b(?:in|with|of)(?: [a-zß-öø-ɏ]+)?$/i
const PART_WORD =
  /\b(?:dough|pastry|crust|filling|stuffing|wrappers?|skins?|sauce|dip|topping|glaze|method|steps?)\b/i

const isPart = (label: string): boolean => {
  const kind = kindOf(label.toLowerCase())
  // What a batter is, its lines say.
  return kind === 'shell' || kind === 'filling' || /^batter$/i.test(label)
}
/** "Dough = 2 cups milk": the first part of the recipe. */
const leadsPart = (rest: string): boolean => {
  const label = /^(?:(?:for )?the )?([a-zß-öø-ɏ]+)\s*[:=]/i.exec(rest)?.[1]
  return label !== undefined && isPart(label)
}
const isDish = (name: string): boolean => endsInDish(name) && !PART_WORD.test(name)

/** A name, and what its row goes on with. */
export interface NameInFront {
  name: string
  rest: string
}

/**
 * The name of the dish at the head of a row, and the recipe behind it; null where the row is nothing but a name, or
 * begins with none.
 *
 * @param text the first row of a text
 */
export function nameInFront(text: string, foods: Foods): NameInFront | null {
  const behind = (found: RegExpExecArray): NameInFront => ({
    name: found[1]!,
    rest: text.slice(found[0].length),
  })
  const bare = wordsOf(text) > 2 * LEAST_TOLD_WORDS ? BEFORE_AMOUNT.exec(text) : null
  if (bare && isDish(bare[1]!)) {
    const told = behind(bare)
    if (matchedIngredient(told.rest.split(/[,.;]\s|\s\+\s/)[0]!.trim(), foods)) return told
  }
  const part = BEFORE_PART.exec(text)
  // "Bao buns - the whole family helps" is called so to its last word.
  if (part && isPart(part[2]!) && !isDish(part[2]!) && !ENDS_OPEN.test(part[1]!)) {
    // "Bolani (stuffed flatbreads) dough - …": the bracket may say it as well.
    const names = [part[1]!.replace(/\s*\([^)]*\)$/, ''), part[1]!.replace(/\)$/, '')]
    if (names.some(isDish)) return behind(part)
  }
  const marked = MARKED.exec(text)
  if (!marked) return null
  const { name, rest } = behind(marked)
  const own = name.replace(/["“”]/g, '').replace(SAID_OF_IT, '')
  const works = startsLikeStep(rest)
  const leads = leadsPart(rest)
  const isName =
    (IN_PASTRY.test(name) && wordsOf(name) >= LEAST_NAME_WORDS) ||
    // A name that is counted, or that work follows, may go on behind its dish.
    ((endsInDish(own) || leads || ((works || own !== name) && namesDishIn(own))) && !PART_WORD.test(own))
  const goesOn = works || leads || inlineList(rest, foods)
  return isName && goesOn && wordsOf(rest) >= LEAST_TOLD_WORDS ? { name, rest } : null
}
