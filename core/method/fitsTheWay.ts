import type { DoughFamily } from '../dough/family'
import type { CookingWay } from '../recipe/vocabulary'

/** Words that only make sense for some ways of cooking. */
const OF_A_WAY: readonly [RegExp, ReadonlySet<CookingWay>][] = [
  [/\b(?:bake|baked|baking|oven|crust|tin|sounds? hollow|°C inside)\b/i, new Set(['bake'])],
  [/\bsteam(?:ed|er|ing)?\b/i, new Set(['steam', 'brown-and-steam'])],
  // How much longer the bran takes is known of the steamer; under a lid the water and the skin decide.
  [/\b(?:steamer|steam about)\b/i, new Set(['steam'])],
  [/\b(?:boil(?:ing|ed)? it|rolling boil|simmer)\b/i, new Set(['boil'])],
  [/\b(?:deep[- ]?fry|blisters|fry at)\b/i, new Set(['deep-fry', 'shallow-fry'])],
  [/\b(?:griddle|a side)\b/i, new Set(['griddle', 'shallow-fry'])],
  [/\b(?:brown(?:s|er|ing)?|colours?|paler?)\b/i, new Set(['bake', 'griddle', 'shallow-fry', 'deep-fry'])],
  [/\bpan-fry\b/i, new Set(['shallow-fry', 'brown-and-steam', 'boil'])],
]
/** What is said of one matter: one instruction each is enough. */
const MATTERS: readonly [string, RegExp][] = [
  ['knead', /\bknead\b/i],
  ['rest', /\brest(?:s|ed|ing)?\b/i],
  ['steam', /\bsteam\b/i],
  ['oven', /\boven\b/i],
  ['brown', /\bbrown(?:s|er|ing)?\b/i],
]

/** The matters of dough and heat that a text speaks of. */
export const mattersIn = (text: string): string[] =>
  MATTERS.filter(([, pattern]) => pattern.test(text)).map(([matter]) => matter)

const NOT_KNEADED: ReadonlySet<DoughFamily> = new Set(['short', 'flaky'])

/**
 * What of an advice on a dough holds here: clauses on another way of cooking, on kneading what is not kneaded, on
 * spring where none is, on keeping cold what is melted, and on what has been said already are left out.
 *
 * @param text clauses divided by semicolons or full stops
 */
export function fittingAdvice(
  text: string,
  here: {
    way: CookingWay
    family: DoughFamily
    springs: boolean
    melted: boolean
    said: ReadonlySet<string>
  },
): string {
  const clauses = text.split(/(?<=[^\d])[;.]\s+/).filter(Boolean)
  const kept = clauses.filter((clause) => {
    if (OF_A_WAY.some(([pattern, ways]) => pattern.test(clause) && !ways.has(here.way))) return false
    if (
      NOT_KNEADED.has(here.family) &&
      /\bknead\b/i.test(clause) &&
      !/\b(?:no|not|without|never)\b/i.test(clause)
    )
      return false
    if (!here.springs && /\bsprings? back\b/i.test(clause)) return false
    if ((here.melted || !NOT_KNEADED.has(here.family)) && /\bcold\b|below 20 °C/i.test(clause)) return false
    return !mattersIn(clause).some((matter) => here.said.has(matter))
  })
  return kept.join('; ')
}
