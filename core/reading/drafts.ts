import { foodIs } from '../food/groups'
import type { Food } from '../food/food'
import { newLine, type RecipeNote } from '../recipe/document'
import { timesWeights } from '../recipe/scale'
import { PART_NAMES, type PartKind } from '../recipe/vocabulary'
import { normaliseName } from './match'
import { remember } from './remember'
import { limit, type ReadIngredient } from './readIngredient'

/** A part while its lines are gathered. */
export interface Draft {
  kind: PartKind
  name: string
  lines: ReadIngredient[]
  /** Stated in its heading: "Pumpkin filling (for 8)". */
  pieces: number | null
  /** The part it is made for; null for a part of the piece. */
  into: Draft | null
  /** The heading was not understood: the cook is asked. */
  unsure: boolean
  usedGrams: number | null
  /** Lines that a blank line parts from those that were there, block by block. */
  apart?: readonly (readonly ReadIngredient[])[]
}

/** What may stand in a dough's list, and goes on to the filling when nothing of the dough follows. */
export const isPassed = (food: Food | null | undefined) => foodIs(food, 'seasons') && food!.group !== 'salt'
/** Words for a bought dough. */
export const READY_WORDS =
  /\b(?:wrappers?|wraps|skins?|dis[ck]s|tapas|tortillas?|(?:pastry|filo|phyllo|pasta|lasagne) sheets?|puff pastry|shortcrust)\b/i
/** Foods of which a wash or a sprinkling is made. */
export const isWash = (food: Food | null) =>
  foodIs(food, 'wash') || /^(?:seed|salt|liquid)$/.test(food?.group ?? '')

/** Flour, or what is bought instead of it: of these a dough is made. */
export const isDoughBase = (food: Food | null): boolean =>
  foodIs(food, 'flour') || foodIs(food, 'bought-dough')
/** Thickeners and protein powders go into fillings too; a flour or a wrapper says "dough". */
export const leadsDough = ({ food, line }: ReadIngredient) =>
  // Bought rounds that the larder lacks are the dough all the same.
  (!food && READY_WORDS.test(line.raw)) ||
  (!!food &&
    (foodIs(food, 'bought-dough') ||
      (food.group === 'flour' && food.id !== 'rolled-oats') ||
      (foodIs(food, 'flour') && (line.grams ?? 0) >= 80)))
export const isLiquid = (food: Food | null): boolean => foodIs(food, 'wets-dough')
export const isFat = (food: Food | null): boolean => !!food && food.softeningFat !== null

/** A part as it is read, with nothing in it yet, called as parts of its kind are unless the text names it. */
export const newDraft = (kind: PartKind, fields: Partial<Draft> = {}): Draft => ({
  kind,
  lines: [],
  pieces: null,
  into: null,
  unsure: false,
  usedGrams: null,
  ...fields,
  name: limit(fields.name ?? PART_NAMES[kind], 120),
})

/** The part that finishes the pieces: the one there is, or a new one beside the others. */
export function finishOf(drafts: Draft[]): Draft {
  const own = drafts.find((draft) => draft.kind === 'finish' && !draft.into)
  if (own) return own
  const made = newDraft('finish')
  drafts.push(made)
  return made
}

/**
 * Puts a share of a line on top of the pieces and leaves the rest where it is, each with what is said of it.
 *
 * @param share of the line that goes on top, from 0 to 1
 */
export function shareOnTop(
  drafts: Draft[],
  item: ReadIngredient,
  share: number,
  says: { onTop: RecipeNote; left: RecipeNote },
): void {
  const { notes } = item.line
  finishOf(drafts).lines.push({
    ...item,
    line: newLine({ ...timesWeights(item.line, share), notes: [...notes, says.onTop] }),
  })
  Object.assign(item.line, timesWeights(item.line, 1 - share), { notes: [...notes, says.left] })
}

/** Seeds up to two spoons, listed behind what is brushed on, go on top of it. Common practice, no source. */
export const MOST_SEEDS_ON_TOP_GRAMS = 20

/** Water or milk of at most this weight thins a wash. Common practice, no source. */
export const THINS_GRAMS = 30

/** The drafts of a recipe, and the notes that placing its lines gave rise to. */
export interface Placed {
  drafts: Draft[]
  notes: RecipeNote[]
  /** Lines that stand for a component ("the gravy"), with what they stand for. */
  references: Map<ReadIngredient, Draft>
  /** Lines that say what they are for and so left the part they stood in. */
  moved: Map<ReadIngredient, Draft>
}

/** What a step may call any food of a kind. */
export const CALLED = [
  ['cheese', 'cheese'],
  ['cheeses', 'cheese'],
  ['meat', 'flesh'],
  ['egg', 'egg'],
  ['eggs', 'egg'],
  ['veg', 'vegetable'],
  ['veggy', 'vegetable'],
  ['veggie', 'vegetable'],
  ['veggies', 'vegetable'],
  ['vegetable', 'vegetable'],
] as const

/** The words of a draft's own foods, for finding which part a sentence speaks of. */
export function wordsOfDraft(draft: Draft): Set<string> {
  const words = new Set<string>()
  for (const { food, read } of draft.lines) {
    for (const word of wordsOfName(read.name)) words.add(word)
    // "1 pepper" that is a vegetable is named so; the spice never is.
    if (foodIs(food, 'vegetable') && /\bpeppers?$/i.test(read.name)) words.add('pepper')
    // "Brown the mince", whatever it was minced of.
    if (food?.group === 'minced-meat') words.add('mince')
    for (const word of food ? wordsOfFood(food) : []) words.add(word)
  }
  return words
}

const wordsOfName: (name: string) => readonly string[] = remember((name) => {
  const own = normaliseName(name).split(' ')
  // "Onion powder" is named whole: the onion is another food.
  if (own.length > 1 && own.at(-1) === 'powder' && own.some((word) => ROOTS.test(word))) return []
  // "Sauté the veg" means no vegetable stock.
  if (MADE_OF_VEG.test(own.at(-1)!))
    return own.filter((word) => !/^veg(?:etable)?$/.test(word) && isWord(own, word))
  // "Greens" alone names a food; "green pepper" is named by its last word.
  return own.filter((word) => isWord(own, word))
})
const isWord = (own: readonly string[], word: string) =>
  word.length > 2 && !COMMON.has(word) && (own.length === 1 || !DESCRIBES.has(word))
const MADE_OF_VEG = /^(?:stock|broth|bouillon|cube|oil|fat|shortening|suet|spread)$/

/** What a food is called, also by cooks: "spuds", "keema". */
function wordsOfFood(food: Food): readonly string[] {
  const known = foodWords.get(food)
  if (known) return known
  const names = [food.name.split(',')[0]!, ...food.synonyms.filter((other) => !other.includes(' '))]
  const made = names.flatMap(wordsOfName)
  foodWords.set(food, made)
  return made
}
const foodWords = new WeakMap<Food, readonly string[]>()

const ROOTS = /^(?:onion|garlic|ginger|tomato|mushroom)$/
const COMMON = new Set(
  'water oil butter ghee lard margarine salt pepper flour the for and with can fat'.split(' '),
)
/** Words that describe a food and name none in company. */
const DESCRIBES = new Set(
  'vegan fresh dried dry large small medium plain white red green black brown ground powder cold warm hot seed raw whole cooked boiled chopped all purpose self raising rising strong extra virgin light'.split(
    ' ',
  ),
)
