import type { Foods } from '../food/food'
import { isFat } from './drafts'
import { matchFood, normaliseName } from './match'
import { readLine } from './readLine'

/** "Flour, rice", "soy sauce (reduced salt)": what it is by name, and of which kind. */
const NAME_AND_KIND = /^([^,()]{3,60}?)\s*(?:,\s*|\()(\p{L}[\p{L}' -]{2,24}?)\s*\)?$/u
/** What is done with it here names no kind: "onions, fried" are bought raw. */
const DONE_HERE =
  /^(?:[a-zß-öø-ɏ]+ly )?(?:fried|stewed|browned|wilted|blanched|saut[eé]ed|roast(?:ed)?|grilled|braised|baked|boiled|mashed|poached|steamed|cooked|crushed|creamed|melted|toasted|caramelised|caramelized|softened|chopped|diced|sliced|cubed|shredded|crumbled|grated|raw|ripe|peeled|pressed|squeezed|cut|torn|soaked|drained|beaten|whisked|warm(?:ed)?|cold)\b/i

/**
 * A line whose kind stands behind its name, turned round: "2 tbsp oil, sesame" is sesame oil. Null where the two
 * together are no food of their own.
 */
export function turnedRound(raw: string, foods: Foods): string | null {
  const [, front, kind] = NAME_AND_KIND.exec(raw.trim()) ?? []
  if (!front && !/[,()]/.test(raw)) return nounInFront(raw, foods)
  if (!front || !kind || DONE_HERE.test(kind) || /\b(?:and|or)\b/i.test(kind)) return null
  if (kind.split(' ').length > 3) return null
  const { name, alternative } = readLine(front)
  if (!name || alternative || !front.includes(name)) return null
  // "Mushrooms, dried" may be a name of its own as it stands.
  const asWritten = matchFood(`${name} ${kind}`, foods)
  if (asWritten?.how === 'exact' && asWritten.found === normaliseName(`${name} ${kind}`)) return null
  const plain = matchFood(name, foods)
  const whole = matchFood(`${kind} ${name}`, foods)
  // "2 tbsp oil, garlic": both go into the pan; "oil, olive" is one.
  const isOther =
    !raw.includes('(') &&
    isFat(plain?.food ?? null) &&
    matchFood(kind, foods)?.how === 'exact' &&
    !normaliseName(whole?.food.name ?? '').includes(normaliseName(kind))
  if (isOther) return null
  if (whole?.how !== 'exact' || whole.lacking) return null
  // "1 stock cube, beef" is one thing, though beef is another.
  const isOneName =
    whole.found === normaliseName(`${kind} ${name}`) && matchFood(kind, foods)?.how === 'exact'
  if (whole.food.id === plain?.food.id && !isOneName) return null
  return front.replace(name, `${kind} ${name}`)
}

/** So many words a name has whose noun stands in front: "flour strong white". */
const MOST_WORDS = 3

/** "Flour strong white 300 g", "oil olive 2 tbsp", "onion red 1": the noun in front, and which it is behind. */
function nounInFront(raw: string, foods: Foods): string | null {
  const { name, alternative } = readLine(raw)
  const [noun, ...kind] = name.split(' ')
  if (
    alternative ||
    !kind.length ||
    kind.length >= MOST_WORDS ||
    /^salt$/i.test(noun!) ||
    /[&+]/.test(name) ||
    !raw.includes(name)
  )
    return null
  // "Onion fried" is an onion that somebody fries.
  if ([noun!, ...kind].some((word) => DONE_HERE.test(word) || /[a-zß-öø-ɏ]{3}(?:ed|en)$/i.test(word)))
    return null
  const asWritten = matchFood(name, foods)
  if (asWritten?.how === 'exact' && asWritten.found === normaliseName(name)) return null
  const turned = `${kind.join(' ')} ${noun!.toLowerCase()}`
  const whole = matchFood(turned, foods)
  return whole?.how === 'exact' && !whole.lacking && whole.found === normaliseName(turned)
    ? raw.replace(name, turned)
    : null
}
