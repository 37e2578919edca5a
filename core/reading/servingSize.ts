import { readNumber } from './readNumber'

// What one serving is, where a text says it so: "per serving (2 pockets)", "serving size: 3", "1 serving = 2 buns".

const MANY = String.raw`(\d{1,2}|one|two|three|four|five|six)(?!\s*(?:(?:g|gm|kg|ml|oz|k?cals?|calories|kj|net|carbs?|protein|fat|fib[a-zß-öø-ɏ]+|sugars?|salt|people|persons?|eaters|guests|adults|kids|children)\b|%)|[.,/]?\d)`
/** What is counted may be called anything: "2 crispy pockets". */
const THINGS = String.raw`(?:\s+(?!servings?\b|portions?\b|people\b|persons?\b|eaters\b)[a-zß-öø-ɏ]+){0,3}`
const SERVING = '(?:servings?|portions?)'

const SIZES: readonly RegExp[] = [
  String.raw`\b(?:per|each|an?|1|one|every) ${SERVING}(?: size)?\s*(?:\(|:|=|is|of|contains|[-–—])\s*(?:of |about |~)?${MANY}${THINGS}\s*\)?`,
  String.raw`\b${SERVING} size\s*(?:\(|[:=]|is|of|[-–—])?\s*(?:of |about |~)?${MANY}${THINGS}\s*\)?`,
  String.raw`(?<!\bfor |\bbefore |\bwhen )\b(?:serving|portion)\s*[:=]\s*(?:about |~)?${MANY}${THINGS}`,
  String.raw`\b${MANY}${THINGS} (?:=|is|are|makes?|per|counts? as) (?:1|one|a) ${SERVING}\b`,
  String.raw`^\W*(?:about )?${MANY}(?: of (?:them|these)| pieces)? (?:each|apiece|a head|per (?:head|person))(?: for (?:an? )?[a-zß-öø-ɏ]+)?\W*$`,
].map((size) => new RegExp(size, 'i'))

/** "Serving: 4 bowls": who eats, and not how much of it. */
export const SERVING_LABEL =
  /^\W*serving\s*[:=–-]\s*(\d{1,2})(?=\s*(?:$|(?:bowls?|plates?|people|persons?|adults)\b))/i

/** Pieces that one serving has, with the words that say so; null where a text does not say it. */
export function servingSizeIn(text: string): { pieces: number; says: string } | null {
  if (SERVING_LABEL.test(text)) return null
  for (const size of SIZES) {
    const found = size.exec(text)
    const pieces = found && (readNumber(found[1]!)?.low ?? null)
    if (found && pieces) return { pieces, says: found[0] }
  }
  return null
}
