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
    measuredBy: 'scale',
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
