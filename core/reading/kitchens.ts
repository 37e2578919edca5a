import type { Foods } from '../food/food'
import type { RecipeNote } from '../recipe/document'
import { limit, readIngredients, type ReadIngredient } from './readIngredient'

/** A word that means another thing in a kitchen that is known by its other words. From memory of practice. */
interface Kitchen {
  /** Words by which it is known. */
  of: RegExp
  word: RegExp
  means: string
  /** Only where this food comes of it; null for any. */
  foodId: string | null
  note: RecipeNote
}

const KITCHENS: readonly Kitchen[] = [
  {
    // White flour has a name of its own there.
    of: /\b(?:maida|besan|ajwain|ajowan|hing|jeera|zeera|ghee|garam masala|jaggery|gur|dal|daal|amchur|paneer|methi|kasuri|curry leaves|haldi|rava|sooji|suji|poha)\b/i,
    word: /(?<!(?:whole|white|plain|refined|strong)[- ])\bwheat flour\b(?! \(?(?:maida|plain|white|refined))/i,
    means: 'whole wheat flour (atta)',
    foodId: 'atta',
    note: {
      code: 'wheat-flour',
      level: 'check',
      text: 'Wheat flour is taken as atta, as kitchens use the word that say maida for white flour',
    },
  },
  {
    // What is served beside a flatbread there is of mango or lime, in oil and salt.
    of: /\b(?:paratha|parantha|atta|maida|besan|ajwain|jeera|garam masala|amchur|paneer|methi|haldi|daal)\b/i,
    word: /(?<!\b(?:lime|mango|mixed|dill|mustard|sweet|brown|garlic|chilli|lemon)\s)\bpickles?\b(?! (?:juice|brine))/i,
    means: 'indian lime pickle',
    foodId: null,
    note: {
      code: 'kitchen',
      level: 'note',
      text: 'Pickle is taken as Indian pickle of lime, as kitchens use the word that say atta or maida',
    },
  },
  {
    // Weights and Measures Act 1985, Schedule 1: a pint is 0.568 261 25 dm³, 20 fluid ounces.
    of: /\bgas(?: mark)? ?\d|\b(?:caster sugar|plain flour|self[- ]raising|tomato pur[eé]e|courgettes?|swede|aubergine|cling ?film|shortcrust|rapeseed oil|streaky|stock cube|mince\b|spring onions?|double cream|wholemeal|braising steak|stewing steak|dripping)/i,
    word: /(?<!\b(?:imperial|us|american)\s)\b(?:pints?|pts?)\b/i,
    means: 'imperial pint',
    foodId: null,
    note: {
      code: 'imperial',
      level: 'note',
      text: 'A pint of 568 ml, as kitchens measure that speak like this recipe',
    },
  },
]

/**
 * How the lines of a recipe are read: by what its words mean in its own kitchen, which is said on the line.
 *
 * @param texts the lines and steps of the recipe
 */
export function readerFor(
  texts: readonly string[],
  foods: Foods,
): (text: string) => readonly ReadIngredient[] {
  const own = KITCHENS.filter(({ of }) => texts.some((text) => of.test(text)))
  return (text) => {
    const spoken = own.filter(({ word }) => word.test(text))
    if (!spoken.length) return readIngredients(text, foods)
    const items = readIngredients(
      spoken.reduce((said, { word, means }) => said.replace(word, means), text),
      foods,
    )
    for (const { line, food } of items)
      for (const { foodId, note, word, means } of spoken) {
        if (foodId !== null && food?.id !== foodId) continue
        // The line stays as it was written.
        line.raw = items.length > 1 ? line.raw.replace(means, word.exec(text)![0]) : limit(text.trim(), 500)
        line.prep = line.prep.filter((word) => word !== foodId)
        line.notes.push({ ...note })
      }
    return items
  }
}
