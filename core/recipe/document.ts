import type { z } from 'zod'
import type {
  choiceSchema,
  factSchema,
  lineSchema,
  noteSchema,
  partSchema,
  recipeSchema,
  stageSchema,
} from './schema'

// The document itself, without its validation: the browser works on documents and never has to check one, so
// it need not load the library that does.
export type Recipe = z.infer<typeof recipeSchema>
export type Part = z.infer<typeof partSchema>
export type Line = z.infer<typeof lineSchema>
export type RecipeNote = z.infer<typeof noteSchema>
/** What may be taken instead of a line, or the line left out. */
export type Choice = z.infer<typeof choiceSchema>
/** Something the text says that later steps need: a cutter, a thickness, a rest. */
export type Fact = z.infer<typeof factSchema>
/** A cooking that follows the first: boiled, then fried; hot, then cooler. */
export type Stage = z.infer<typeof stageSchema>

/** The version of the recipe document. A change that old readers cannot take raises it. */
export const RECIPE_VERSION = 1

export const PART_KINDS = ['shell', 'filling', 'marinade', 'finish', 'pan', 'dip'] as const
export type PartKind = (typeof PART_KINDS)[number]

/** What a part is called when nobody has named it. */
export const PART_NAMES: Readonly<Record<PartKind, string>> = {
  shell: 'Dough',
  filling: 'Filling',
  marinade: 'Marinade',
  finish: 'To finish',
  pan: 'Pan',
  dip: 'Dip',
}

export const COOKING_WAYS = [
  'bake',
  'deep-fry',
  'shallow-fry',
  'griddle',
  'steam',
  'boil',
  'brown-and-steam',
] as const
export type CookingWay = (typeof COOKING_WAYS)[number]

/** How a filling may be cooked before it goes in. */
export const PRECOOKING_WAYS = ['fry', 'simmer', 'roast', 'steam'] as const
export type PrecookingWay = (typeof PRECOOKING_WAYS)[number]

/** How one line may differ from its filling: cooked otherwise, or raw. */
export const LINE_PRECOOKING = [...PRECOOKING_WAYS, 'raw'] as const
export type LinePrecooking = (typeof LINE_PRECOOKING)[number]

export const HEATS = ['low', 'medium', 'high'] as const
export type Heat = (typeof HEATS)[number]

/** How a cook asks a dough to feel, from driest to wettest. */
export const DOUGH_FEELS = ['short', 'firm', 'medium', 'soft', 'sticky'] as const
export type DoughFeel = (typeof DOUGH_FEELS)[number]

/** What a fact is about; the unit stands in its name. */
export const FACT_KINDS = [
  'cutter-cm',
  'disc-cm',
  'thickness-mm',
  'ball-grams',
  'filling-tbsp-per-piece',
  'filling-grams-per-piece',
  'oil-depth-cm',
  'batch-pieces',
  'knead-minutes',
  'rest-minutes',
  'rise-minutes',
  'chill-minutes',
  'soak-minutes',
  'cool-minutes',
  'rest-before-eating-minutes',
  'freezes',
  'air-fryer',
  'prep-minutes',
  'total-minutes',
] as const
export type FactKind = (typeof FACT_KINDS)[number]

export const SHAPES = [
  'half-moon',
  'pleated',
  'bun',
  'disc',
  'parcel',
  'cone',
  'roll',
  'coil',
  'lidded-pie',
] as const
export type Shape = (typeof SHAPES)[number]

/** No line of a home batch weighs more than this; above it a unit was mistyped. */
export const MAX_LINE_GRAMS = 50_000
export const MAX_PIECES = 1000
/** Nothing of a piece cooks for more than a day. */
export const MAX_MINUTES = 1440

/** A cooking of which nothing is known but its way. */
export const PLAIN_COOKING = {
  temperatureC: null,
  minutes: null,
  heat: null,
  fan: false,
  andThen: null,
  cookedGramsPerPiece: null,
} as const

/** An empty line with the given fields set. */
export function newLine(fields: Partial<Line>): Line {
  return {
    id: '',
    raw: '',
    foodId: null,
    name: '',
    grams: null,
    gramsLow: null,
    gramsHigh: null,
    waterChangeGrams: 0,
    eatenGrams: null,
    prep: [],
    optional: false,
    notes: [],
    cameFrom: null,
    cookedBy: null,
    toFeel: null,
    choices: [],
    componentId: null,
    ...fields,
  }
}

/** An empty part with the given fields set. */
export function newPart(fields: Partial<Part> & Pick<Part, 'kind'>): Part {
  return {
    id: '',
    name: '',
    pieces: null,
    cookedBy: null,
    finishedGrams: null,
    leftGrams: null,
    into: null,
    unsure: false,
    usedGrams: null,
    cookedMinutes: null,
    untilDry: false,
    lines: [],
    setAside: [],
    ...fields,
  }
}

function hasOwnIds(recipe: Recipe): boolean {
  const seen = new Set<string>()
  const fresh = ({ id }: { id: string }) => id !== '' && !seen.has(id) && Boolean(seen.add(id))
  return recipe.parts.every((part) => fresh(part) && part.lines.every(fresh) && part.setAside.every(fresh))
}

/**
 * Gives every part and line an id of its own, keeping those that are unique already, so that a document
 * written by hand can be worked on like one that was read.
 */
export function withIds(recipe: Recipe): Recipe {
  if (hasOwnIds(recipe)) return recipe
  const seen = new Set<string>()
  const unique = (wanted: string, fallback: string) => {
    let id = wanted && !seen.has(wanted) ? wanted : fallback
    for (let n = 2; seen.has(id); n++) id = `${fallback}-${n}`
    seen.add(id)
    return id
  }
  return {
    ...recipe,
    parts: recipe.parts.map((part, p) => ({
      ...part,
      id: unique(part.id, `p${p + 1}`),
      lines: part.lines.map((line, l) => ({ ...line, id: unique(line.id, `p${p + 1}l${l + 1}`) })),
      setAside: part.setAside.map((line, l) => ({ ...line, id: unique(line.id, `p${p + 1}a${l + 1}`) })),
    })),
  }
}

/** All lines of a recipe with the part each stands in. */
export function allLines(recipe: Recipe): { part: Part; line: Line }[] {
  return recipe.parts.flatMap((part) => part.lines.map((line) => ({ part, line })))
}
