import { readLine } from './readLine'
import type { PartKind } from '../recipe/document'

export type HeadingKind = PartKind | 'method' | 'ingredients' | 'remarks'

export interface Heading {
  kind: HeadingKind
  /** As written, without marks: "For the cabbage filling". */
  name: string
  /** What follows on the same line ("Dough: 500 g flour, 200 g water"), or ''. */
  rest: string
}

// The order matters: "egg wash for the pastry" finishes, it is no shell; "dipping sauce" is no filling.
const KINDS: readonly [HeadingKind, RegExp][] = [
  [
    'method',
    /^(?:method|instructions?|directions?|steps?|preparation|procedure|how to make(?: it)?|making (?:it|them))$/,
  ],
  ['remarks', /^(?:notes?|tips?|cook'?s notes?|storage|variations?|equipment)$/],
  ['ingredients', /^(?:ingredients?|you (?:will )?need|what you need)$/],
  [
    'dip',
    /\b(?:dip|dips|dipping|chutney|relish|sauce to serve|to serve|serving|for serving|raita)\b|^(?:the )?sauce$/,
  ],
  [
    'finish',
    /\b(?:finish|finishing|glaze|glazing|wash|egg ?wash|topping|toppings|brush|brushing|garnish|sealing|to seal|on top|to coat|coating)\b/,
  ],
  ['marinade', /\b(?:marinade|marinating|to marinate|brine|brining|soaking liquid)\b/],
  ['filling', /\b(?:filling|fillings|stuffing|inside|masala mix|to fill|farce)\b/],
  [
    'pan',
    /\b(?:fry|frying|deep[- ]?fry(?:ing)?|griddling|to griddle|for the (?:pan|griddle|tray|steamer|tin|pot)|to (?:steam|boil|cook|bake)|for (?:steaming|boiling|cooking|baking|greasing)|greasing)\b/,
  ],
  [
    'shell',
    /\b(?:dough|pastry|wrappers?|skins?|crust|shells?|casings?|covering|outer|base|breads?|buns?|lid)\b/,
  ],
]

const strip = (line: string) =>
  line
    .replace(/^[\s>]*#{1,6}\s*/, '')
    .replace(/^\s*[*_]{1,3}(.+?)[*_]{1,3}(:?)\s*$/, '$1$2')
    .replace(/^\s*[-=~]{2,}\s*|\s*[-=~]{2,}\s*$/g, '')
    .replace(/[*_]{2}/g, '')
    .trim()

function kindOf(name: string): HeadingKind | null {
  const plain = name
    .toLowerCase()
    .replace(/[’‘]/g, "'")
    .replace(/\([^)]*\)/g, '')
    .replace(/[:.\-–—]+\s*$/, '')
    .replace(/^(?:for|to make|make)\s+(?:the\s+)?/, (lead) => (/^for/.test(lead) ? 'for the ' : ''))
    .trim()
  const bare = plain.replace(/^for the /, '')
  for (const [kind, pattern] of KINDS) if (pattern.test(plain) || pattern.test(bare)) return kind
  return null
}

/**
 * Says whether a line is a heading, and of which part.
 *
 * A heading has no amount of its own, is short, and either is one of the usual words, ends in a colon, or is
 * marked as a heading. An unknown heading with a colon or a mark counts as a filling of that name.
 */
export function readHeading(line: string): Heading | null {
  const marked = /^\s*#{1,6}\s|^\s*[*_]{2}[^*_]+[*_]{2}:?\s*$/.test(line)
  const text = strip(line)
  if (!text || /^[-*•·▢☐□]/.test(text)) return null

  const inline = /^([^:\d]{3,48}):\s*(\S.*)$/.exec(text)
  if (inline) {
    const kind = kindOf(inline[1]!)
    // "Bread flour: 300 g" is a line; "Dough: 300 g flour, 3 g salt" is a heading with its lines.
    if (kind && kind !== 'remarks' && /\p{L}{3}/u.test(readLine(inline[2]!).name.replace(UNITLESS, '')))
      return { kind, name: inline[1]!.trim(), rest: inline[2]! }
    return null
  }
  const words = text.split(/\s+/).length
  const colon = /:\s*$/.test(text)
  if (words > (colon || marked ? 9 : 6)) return null
  const read = readLine(
    text.replace(/^(?:filling|dough|stuffing)\s*(?:no\.?\s*)?\d+/i, '').replace(/\([^)]*\)/g, ''),
  )
  if (read.measures.some((measure) => measure.some((term) => term.unitId)) && !marked) return null
  const name = text.replace(/[:\s]+$/, '')
  if (/,|\bto taste\b|\bas (?:required|needed)\b/i.test(name) && !colon && !marked) return null
  if (/[.!?]$/.test(name) && !colon) return null
  const kind = kindOf(name)
  const usual =
    /^(?:for |to |the )|^(?:\p{L}+ ){0,3}(?:dough|pastry|filling|stuffing|wrappers?|crust|shell|glaze|egg ?wash|topping|marinade|brine|dip|sauce|finish|frying|method|instructions|directions|steps|ingredients|preparation|notes?|tips?|serve)(?: \d+| [a-c])?(?:\s*[-–—:(].*)?$|^(?:filling|dough|stuffing)\b/iu
  if (kind && (colon || marked || usual.test(name))) {
    // "Bread flour", "pastry flour", "oil for frying", "egg wash" inside a list are ingredients.
    if (!colon && !marked && /\b(?:flour|oil|ghee|butter|water|salt)\b/i.test(name)) return null
    if (!colon && !marked && /^(?:dumpling|gyoza|wonton|spring roll|rice paper)\b/i.test(name)) return null
    return { kind, name, rest: '' }
  }
  if (colon || marked) return { kind: 'filling', name, rest: '' }
  return null
}

const UNITLESS = /^(?:to taste|as required|as needed)$/i
