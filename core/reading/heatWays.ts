import type { CookingWay } from '../recipe/vocabulary'
import type { HeatEvent } from './heatEvents'
import type { Clause } from './method'

/** What is known besides the method. */
export interface HeatContext {
  title: string
  headings: readonly string[]
  /** Grams of fat in a part to fry in, and what its lines say. */
  panFatGrams: number
  panText: string
  clauses: readonly Clause[]
  /** Minutes stated at the head: "Cook 40 min". */
  cookMinutes: number | null
}

/** Oil of this weight and more is a pot to deep-fry in. Common practice, no source. */
export const DEEP_POT_GRAMS = 400

/** Three spoons of oil are a film that fries; a spoon greases a griddle. Our own choice. */
const FRIES_FROM_GRAMS = 40

const SHALLOW_DEPTH =
  /(?<![\d./])(?:1\/2|1\/4|½|¼|0\.5|half(?: an?)?|a quarter|1|one)[- ]?(?:inch|in\b|")(?: deep| of)?|(?<![\d./])[12](?:\.\d)? ?cm\b/i

/** Dishes that are fried afloat wherever they are fried. Common practice, no source. */
const DEEP_DISH =
  /\b(?:samosas?|sambusas?|kachoris?|ghughras?|gujiyas?|karanjis?|chebureki|curry puffs?|karipap|egg rolls?|lumpias?|coxinhas?|fritters?|doughnuts?|donuts?|beignets?|stuffed puris?)\b/i

/**
 * The way that an event means: in how much fat something is fried the event alone does not say.
 *
 * @param before the way of the stage before it
 */
export function wayOf(
  event: HeatEvent,
  context: HeatContext,
  before: CookingWay | null,
): { way: CookingWay; unclear: boolean } {
  const { text } = event
  const shallowWords = /\b(?:shallow|pan[- ]?fr)/i.test(`${context.panText} ${context.headings.join(' ')}`)
  // "Oil for shallow frying … fry both sides on the tawa".
  if (event.way === 'griddle' && shallowWords && /\bfr(?:y|ied|ying)\b/i.test(text))
    return { way: 'shallow-fry', unclear: false }
  if (event.way !== 'fry' && event.way !== 'cook') {
    // A skillet with oil in it fries; a dry one griddles.
    if (
      event.way === 'griddle' &&
      /\bfr(?:y|ied)\b/i.test(text) &&
      /\boil\b/i.test(text) &&
      !/\b(?:tawa|tava|griddle|dry)\b/i.test(text)
    )
      return { way: 'shallow-fry', unclear: false }
    return { way: event.way, unclear: false }
  }
  // "Oil for frying, 4 tbsp … cook 2 minutes, flip": the list says what it is cooked in.
  if (event.way === 'cook')
    return {
      way:
        context.panFatGrams >= FRIES_FROM_GRAMS && /\bfr(?:y|ying)\b/i.test(context.panText)
          ? 'shallow-fry'
          : 'griddle',
      unclear: false,
    }
  // "Oil for frying (1/2 inch deep)".
  if (SHALLOW_DEPTH.test(context.panText)) return { way: 'shallow-fry', unclear: false }
  const deepWords = /\bdeep\b/i.test(`${context.panText} ${context.headings.join(' ')} ${context.title}`)
  if (before === 'boil' || before === 'steam') return { way: 'shallow-fry', unclear: false }
  // "Heat 2 inches of oil. Fry 2 minutes a side" is done in that oil.
  if (before === 'deep-fry') return { way: 'deep-fry', unclear: false }
  if (deepWords) return { way: 'deep-fry', unclear: false }
  if (shallowWords) return { way: 'shallow-fry', unclear: false }
  if (context.panFatGrams >= DEEP_POT_GRAMS) return { way: 'deep-fry', unclear: false }
  const inPan = /\b(?:skillet|frying pan|little oil|butter)\b/i.test(text)
  // Nobody says of these how deep the oil is.
  if (context.panFatGrams === 0 && !inPan && !event.perSide && DEEP_DISH.test(context.title))
    return { way: 'deep-fry', unclear: false }
  // "1 tbsp oil for frying" is a film; without its amount "for frying" may be a pot.
  const film = /\bfor frying\b/i.test(context.panText) ? 100 : 250
  if (context.panFatGrams > 0 && context.panFatGrams < film) return { way: 'shallow-fry', unclear: false }
  // "Oil for frying (about 1/2 cup) … 2 minutes per side": turned, in what no pot is filled with.
  if (event.perSide && context.panFatGrams > 0 && context.panFatGrams < 250)
    return { way: 'shallow-fry', unclear: false }
  if (!inPan && /\b(?:in (?:medium |very )?hot oil|turning often|float|drop|slide|kadai|wok)\b/i.test(text))
    return { way: 'deep-fry', unclear: false }
  // Whoever takes the oil's temperature has a pot of it.
  if (event.temperatureC !== null && !inPan) return { way: 'deep-fry', unclear: false }
  if (event.perSide || inPan) return { way: 'shallow-fry', unclear: false }
  if (/\b(?:hot oil|drain|batch|batches|lower)\b/i.test(text)) return { way: 'deep-fry', unclear: false }
  return {
    way: context.panFatGrams > 0 || /\bin oil\b/i.test(text) ? 'deep-fry' : 'shallow-fry',
    unclear: true,
  }
}

/** Dishes that are boiled where nobody says in what they are cooked. Common practice, no source. */
const BOILED_DISH =
  /\b(?:ravioli|tortellini|cappelletti|agnolotti|mezzelune|pelmeni|pierogi(?:es)?|vareniki|varenyky|manti|maultaschen|kreplach|khinkali)\b/i

/** The way that title, headings and the pan's lines name; null where none does. */
export function wayByWords({ title, headings, panFatGrams, panText }: HeatContext): CookingWay | null {
  const text = `${title} ${headings.join(' ')} ${panText}`
  if (/\bdeep[- ]?fr/i.test(text)) return 'deep-fry'
  if (/\bair[- ]?fr/i.test(text)) return 'bake'
  if (/\bsteam(?:ed|er|ing)?\b/i.test(text)) return 'steam'
  if (/\bboil(?:ed|ing)?\b/i.test(text)) return 'boil'
  if (/\b(?:griddled?|tawa|skillet)\b/i.test(text)) return 'griddle'
  if (/\bfr(?:y|ied|ying)\b/i.test(text)) return panFatGrams >= DEEP_POT_GRAMS ? 'deep-fry' : 'shallow-fry'
  if (/\bbak(?:e|ed|ing)\b|\boven\b/i.test(text)) return 'bake'
  if (BOILED_DISH.test(title)) return 'boil'
  return null
}

const SPEAKS: Readonly<Record<CookingWay, RegExp>> = {
  'deep-fry': /\bdeep[- ]?fr(?:y|ied|ying)\b/i,
  'brown-and-steam': /\bpot ?stickers?\b|\b(?:fry|brown)\b[^.]*\bwater\b[^.]*\b(?:lid|cover)/i,
  steam: /\bsteam(?:er|ed|ing)?\b(?! (?:escape|out))/i,
  bake: /\b(?:bake|baked|baking (?:sheet|tray)|oven)\b/i,
  'shallow-fry':
    /\b(?:shallow[- ]?fr(?:y|ied|ying)|fry (?:the )?(?:pieces|turnovers|pies|pockets|them|in batches))\b/i,
  griddle: /\b(?:griddle|tawa|skillet|dry (?:frying )?pan|heavy pan|both sides)\b/i,
  boil: /\b(?:boil(?:ed)? (?:the )?(?:dumplings?|pieces|parcels|them)|until they float|they float|salted boiling water)\b/i,
}

/** Whether a sentence speaks of a way of cooking the pieces. */
export const speaksOf = (way: CookingWay, text: string): boolean => SPEAKS[way].test(text)
