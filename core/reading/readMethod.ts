import { normaliseName } from './match'
import type { CookingWay, Line, PrecookingWay, Shape } from '../recipe/document'

export interface CookingRead {
  way: CookingWay | null
  temperatureC: number | null
  minutes: number | null
}

const WAYS: readonly [CookingWay, RegExp][] = [
  ['deep-fry', /\bdeep[- ]?fr(?:y|ied|ying)\b/i],
  ['brown-and-steam', /\bpot ?stickers?\b|\bgyoza\b|\b(?:fry|brown)\b[^.]*\bwater\b[^.]*\b(?:lid|cover)/i],
  ['steam', /\bsteam(?:er|ed|ing)?\b(?! (?:escape|out))/i],
  ['bake', /\b(?:bake|baked|baking (?:sheet|tray)|oven)\b/i],
  [
    'shallow-fry',
    /\b(?:shallow[- ]?fr(?:y|ied|ying)|fry (?:the )?(?:pieces|turnovers|pies|pockets|them|in batches))\b/i,
  ],
  [
    'griddle',
    /\b(?:griddle|tawa|skillet|dry (?:frying )?pan|heavy pan|cook (?:each|them)? ?.*\beach side|both sides)\b/i,
  ],
  [
    'boil',
    /\b(?:boil(?:ed)? (?:the )?(?:dumplings?|pieces|pierogi|parcels|them)|until they float|they float|salted boiling water)\b/i,
  ],
]

/**
 * Finds how the pieces are cooked, and the temperature and time, in the title, the headings and the method.
 * Where several ways are named, the one that leaves the strongest mark on the piece wins: frying first.
 *
 * @param text everything there is to go by
 * @param fryingHeading the recipe has a part headed "to fry"
 * @param panFatGrams fat in that part: half a litre and more means deep-frying
 */
export function readCooking(text: string, fryingHeading: boolean, panFatGrams: number): CookingRead {
  let way = WAYS.find(([, pattern]) => pattern.test(text))?.[0] ?? null
  if (fryingHeading && way !== 'deep-fry' && way !== 'brown-and-steam') {
    way = panFatGrams >= 400 ? 'deep-fry' : way === 'griddle' ? 'griddle' : 'shallow-fry'
  }
  const celsius = /(\d{2,3})\s*(?:°|º|degrees?|deg\.?)?\s*C\b/.exec(text)
  const fahrenheit = /(\d{3})\s*(?:°|º|degrees?|deg\.?)?\s*F\b/.exec(text)
  const temperature = celsius
    ? Number(celsius[1])
    : fahrenheit
      ? Math.round((Number(fahrenheit[1]) - 32) / 1.8 / 5) * 5
      : null
  const sentence =
    way &&
    text
      .split(/[.\n]/)
      .find(
        (piece) =>
          WAYS.find(([w]) => w === way)![1].test(piece) && /\d+\s*(?:-|–|to)?\s*\d*\s*min/i.test(piece),
      )
  const minutes = sentence ? /(\d+)(?:\s*(?:-|–|to)\s*(\d+))?\s*min/i.exec(sentence) : null
  return {
    way,
    temperatureC: temperature !== null && temperature >= 30 && temperature <= 350 ? temperature : null,
    minutes: minutes ? Math.round((Number(minutes[1]) + Number(minutes[2] ?? minutes[1])) / 2) : null,
  }
}

/** Whether a sentence speaks of a way of cooking the pieces. */
export const speaksOf = (way: CookingWay, text: string): boolean =>
  WAYS.some(([own, pattern]) => own === way && pattern.test(text))

const SHAPE_WORDS: readonly [Shape, RegExp][] = [
  [
    'lidded-pie',
    /\b(?:lidded|pie dish|pot pie|double[- ]crust|lid of (?:dough|pastry)|roll out (?:the|a) lid)\b/i,
  ],
  ['cone', /\b(?:cones?|samosas?|triangles?)\b/i],
  ['coil', /\b(?:coils?|coiled|snail|spirals?)\b/i],
  ['pleated', /\b(?:momos?|pleated|pleats? (?:round|around|at)|twist(?:ed)? (?:shut|closed|the top))\b/i],
  [
    'half-moon',
    /\b(?:turnovers?|half[- ]moons?|past(?:y|ies)|hand pies?|empanadas?|dumplings?|pierogi|vareniki|gyoza|pockets?|calzone)\b/i,
  ],
  ['disc', /\b(?:stuffed (?:flat)?breads?|griddle breads?|parathas?|flatbreads?|patt(?:y|ies)|kulchas?)\b/i],
  ['bun', /\b(?:buns?|bao|rolls? \(round\)|rounds?|balls?)\b/i],
  ['roll', /\b(?:rolls?|strudel|roulade|egg rolls?|spring rolls?)\b/i],
  ['parcel', /\b(?:parcels?|wontons?|envelopes?|squares?|packets?)\b/i],
]

/** The shape that the title, else the method, speaks of; null when neither does. */
export function readShape(title: string, method: string): Shape | null {
  for (const text of [title, method]) {
    const found = SHAPE_WORDS.find(([, pattern]) => pattern.test(text))
    if (found) return found[0]
  }
  return null
}

const PRECOOKING: readonly [PrecookingWay, RegExp][] = [
  [
    'fry',
    /\b(?:fry|saut[eé]|soften|sweat|brown|stir[- ]fry|wilt|cook (?:gently )?in (?:the |a little )?(?:oil|butter|ghee))\b/i,
  ],
  ['simmer', /\b(?:simmer|boil|poach|stew|braise|blanch)\b/i],
  ['roast', /\b(?:roast|char)\b/i],
  ['steam', /\bsteam\b/i],
]

/** Words of a method's sentence that speak of the filled piece, not of its filling. */
const OF_PIECES =
  /\b(?:turnovers?|buns?|pies|pockets?|parcels?|dumplings?|pieces|they float|each side|batches)\b/i

/**
 * How a filling is cooked before it goes in: the first sentence of the method that names one of its foods, or
 * "the filling", beside a word for cooking. Null when none does.
 *
 * @param lines the filling's lines
 */
export function readPrecooking(lines: readonly Line[], method: readonly string[]): PrecookingWay | null {
  const words = new Set(
    lines.flatMap((line) =>
      normaliseName(line.name)
        .split(' ')
        .filter((word) => word.length > 3),
    ),
  )
  for (const sentence of method.flatMap((step) => step.split(/[.;]\s*/))) {
    if (OF_PIECES.test(sentence)) continue
    const plain = normaliseName(sentence).split(' ')
    if (!plain.some((word) => words.has(word) || word === 'filling' || word === 'vegetable')) continue
    const found = PRECOOKING.find(([, pattern]) => pattern.test(sentence))
    if (found) return found[0]
  }
  return null
}
