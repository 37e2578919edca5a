import { newPart, type Choice, type Line, type Part, type Recipe } from './document'
import { type CookingWay, MAX_PIECES, PART_KINDS, type PartKind } from './vocabulary'

// Every change a cook makes to a document by hand. Each takes a recipe and gives a new one; the old stays as it is.

/** The recipe with one part changed. */
export function editPart(recipe: Recipe, partId: string, edit: (part: Part) => Part): Recipe {
  return { ...recipe, parts: recipe.parts.map((part) => (part.id === partId ? edit(part) : part)) }
}

/** The recipe with one line changed. */
export function editLine(recipe: Recipe, lineId: string, edit: (line: Line) => Line): Recipe {
  return {
    ...recipe,
    parts: recipe.parts.map((part) => ({
      ...part,
      lines: part.lines.map((line) => (line.id === lineId ? edit(line) : line)),
    })),
  }
}

/** Notes about what the food is stay when its weight is typed; notes about the amount go. */
const KEPT_NOTES = new Set([
  'stand-in',
  'optional',
  'alternative',
  'unknown-food',
  'dough-water',
  'dough-fat',
  'squeezed',
])

/** The recipe with a line's weight typed by the cook: doubts about its amount are settled. */
export function setGrams(recipe: Recipe, lineId: string, grams: number): Recipe {
  return editLine(recipe, lineId, (line) => ({
    ...line,
    grams,
    gramsLow: grams,
    gramsHigh: grams,
    measuredBy: 'scale',
    toFeel: null,
    waterChangeGrams: line.grams ? (line.waterChangeGrams * grams) / line.grams : 0,
    notes: line.notes.filter((note) => KEPT_NOTES.has(note.code)),
  }))
}

/** The recipe with what was really eaten of a pan line, or null to let the model estimate it. */
export function setEaten(recipe: Recipe, lineId: string, eatenGrams: number | null): Recipe {
  return editLine(recipe, lineId, (line) => ({ ...line, eatenGrams }))
}

export function removeLine(recipe: Recipe, lineId: string): Recipe {
  return {
    ...recipe,
    parts: recipe.parts.map((part) => ({
      ...part,
      lines: part.lines.filter((line) => line.id !== lineId),
      setAside: part.setAside.filter((line) => line.id !== lineId),
    })),
  }
}

/**
 * The recipe with a line moved to a part, or to another place in its own.
 *
 * @param at place among the part's lines, from 0; the end without it
 */
export function movePartLine(recipe: Recipe, lineId: string, partId: string, at?: number): Recipe {
  const line = recipe.parts.flatMap((part) => part.lines).find((one) => one.id === lineId)
  if (!line || !recipe.parts.some((part) => part.id === partId)) return recipe
  // A part cannot stand for itself.
  if (line.componentId === partId) return recipe
  return {
    ...recipe,
    parts: recipe.parts.map((part) => {
      const rest = part.lines.filter((one) => one.id !== lineId)
      if (part.id !== partId) return rest.length === part.lines.length ? part : { ...part, lines: rest }
      const lines = [...rest]
      lines.splice(at ?? lines.length, 0, line)
      return { ...part, lines }
    }),
  }
}

/** The recipe with a line one place up (-1) or down (1); past the end of its part it goes to the next. */
export function nudgeLine(recipe: Recipe, lineId: string, by: -1 | 1): Recipe {
  const p = recipe.parts.findIndex((part) => part.lines.some((line) => line.id === lineId))
  if (p < 0) return recipe
  const part = recipe.parts[p]!
  const at = part.lines.findIndex((line) => line.id === lineId)
  if (at + by >= 0 && at + by < part.lines.length) return movePartLine(recipe, lineId, part.id, at + by)
  const next = recipe.parts[p + by]
  return next ? movePartLine(recipe, lineId, next.id, by > 0 ? 0 : next.lines.length) : recipe
}

/** The recipe with an empty part added behind the last of its kind. */
export function addPart(recipe: Recipe, kind: PartKind, name: string): Recipe {
  const order = recipe.parts.findLastIndex(
    (part) => PART_KINDS.indexOf(part.kind) <= PART_KINDS.indexOf(kind),
  )
  const parts = [...recipe.parts]
  parts.splice(order + 1, 0, newPart({ id: newPartId(recipe), kind, name }))
  return { ...recipe, parts }
}

/** The recipe without a part and its lines. The last part stays. */
export function removePart(recipe: Recipe, partId: string): Recipe {
  const parts = recipe.parts
    .filter((part) => part.id !== partId)
    .map((part) => ({
      ...part,
      into: part.into === partId ? null : part.into,
      lines: part.lines.filter((line) => line.componentId !== partId),
    }))
  return parts.length ? { ...recipe, parts } : recipe
}

/** The recipe with a part one place up (-1) or down (1). */
export function nudgePart(recipe: Recipe, partId: string, by: -1 | 1): Recipe {
  const at = recipe.parts.findIndex((part) => part.id === partId)
  const to = at + by
  if (at < 0 || to < 0 || to >= recipe.parts.length) return recipe
  const parts = [...recipe.parts]
  const [part] = parts.splice(at, 1)
  parts.splice(to, 0, part!)
  return { ...recipe, parts }
}

/** The recipe with a part of another kind; a component keeps its host only while the kinds agree. */
export function setPartKind(recipe: Recipe, partId: string, kind: PartKind): Recipe {
  const next = editPart(recipe, partId, (part) => ({
    ...part,
    kind,
    unsure: false,
    into: null,
    pieces: kind === 'filling' ? part.pieces : null,
  }))
  // What is made for it goes where it goes.
  return { ...next, parts: next.parts.map((part) => (part.into === partId ? { ...part, kind } : part)) }
}

/** The recipe with a part made for another ("the gravy, for the filling"), or for none with null. */
export function setPartInto(recipe: Recipe, partId: string, into: string | null): Recipe {
  const host = recipe.parts.find((part) => part.id === into)
  if (into !== null && (!host || host.id === partId || host.into !== null)) return recipe
  const next = editPart(recipe, partId, (part) => ({
    ...part,
    into,
    unsure: false,
    kind: host?.kind ?? part.kind,
    pieces: null,
  }))
  if (into !== null) return next
  return {
    ...next,
    parts: next.parts.map((part) => ({
      ...part,
      lines: part.lines.filter((line) => line.componentId !== partId),
    })),
  }
}

/**
 * The recipe with a component replaced by something bought: its line in the host carries the food, its own lines go.
 *
 * @param grams what goes in of it
 */
export function replaceComponent(
  recipe: Recipe,
  partId: string,
  food: { id: string; name: string },
  grams: number,
): Recipe {
  const component = recipe.parts.find((part) => part.id === partId)
  if (!component?.into) return recipe
  const bought = (line: Line): Line => ({
    ...line,
    componentId: null,
    foodId: food.id,
    name: food.name,
    grams,
    gramsLow: grams,
    gramsHigh: grams,
    notes: [{ code: 'bought', level: 'note', text: `Bought instead of made: ${component.name}` }],
  })
  let stood = false
  const parts = recipe.parts
    .filter((part) => part.id !== partId)
    .map((part) => ({
      ...part,
      lines: part.lines.map((line) => {
        if (line.componentId !== partId) return line
        stood = true
        return bought(line)
      }),
    }))
  if (stood) return { ...recipe, parts }
  const used = new Set(parts.flatMap((part) => part.lines.map((line) => line.id)))
  let id = 'bought-1'
  for (let n = 2; used.has(id); n++) id = `bought-${n}`
  const blank = component.lines[0]
  return {
    ...recipe,
    parts: parts.map((part) =>
      part.id === component.into && blank
        ? {
            ...part,
            lines: [
              ...part.lines,
              {
                ...bought({ ...blank, choices: [], prep: [], cameFrom: null, waterChangeGrams: 0 }),
                id,
                raw: component.name,
              },
            ],
          }
        : part,
    ),
  }
}

/** The recipe with an alternative taken; what stood there becomes an alternative in turn. */
export function takeChoice(recipe: Recipe, lineId: string, at: number): Recipe {
  return editLine(recipe, lineId, (line) => {
    const choice = line.choices[at]
    if (!choice) return line
    const now: Choice = {
      raw: line.raw,
      foodId: line.foodId,
      name: line.name,
      grams: line.grams,
      gramsLow: line.gramsLow,
      gramsHigh: line.gramsHigh,
      waterChangeGrams: line.waterChangeGrams,
      prep: line.prep,
      measuredBy: line.measuredBy,
      handling: '',
    }
    const { handling, raw: _, ...taken } = choice
    const notes = line.notes.filter(
      (note) => KEPT_NOTES.has(note.code) && note.code !== 'stand-in' && note.code !== 'unknown-food',
    )
    return {
      ...line,
      ...taken,
      notes: handling ? [...notes, { code: 'handling', level: 'note', text: handling }] : notes,
      choices: line.choices.map((one, index) => (index === at ? now : one)),
    }
  })
}

/** The recipe with an optional line left out; it is kept beside its part and can be put back. */
export function leaveOut(recipe: Recipe, lineId: string): Recipe {
  return {
    ...recipe,
    parts: recipe.parts.map((part) => {
      const line = part.lines.find((one) => one.id === lineId)
      return line
        ? { ...part, lines: part.lines.filter((one) => one !== line), setAside: [...part.setAside, line] }
        : part
    }),
  }
}

/** The recipe with a line that was left out put back. */
export function putBack(recipe: Recipe, lineId: string): Recipe {
  return {
    ...recipe,
    parts: recipe.parts.map((part) => {
      const line = part.setAside.find((one) => one.id === lineId)
      return line
        ? { ...part, lines: [...part.lines, line], setAside: part.setAside.filter((one) => one !== line) }
        : part
    }),
  }
}

/** The recipe cooked another way: what was said of the way before holds no longer. */
export function setWay(recipe: Recipe, way: CookingWay): Recipe {
  return {
    ...recipe,
    cooking: { ...recipe.cooking, way },
    notes: recipe.notes.filter((note) => !/^(?:way-assumed|fry-unclear|cooking|air-fryer)$/.test(note.code)),
  }
}

/** The recipe with its temperature, minutes or second cooking typed. */
export function setCooking(recipe: Recipe, fields: Partial<Omit<Recipe['cooking'], 'way'>>): Recipe {
  return { ...recipe, cooking: { ...recipe.cooking, ...fields } }
}

/** The recipe with the number of pieces or servings said by the cook. */
export function setCount(recipe: Recipe, of: 'pieces' | 'servings', count: number): Recipe {
  const value = Math.min(
    MAX_PIECES,
    Math.max(of === 'pieces' ? 1 : 0.25, of === 'pieces' ? Math.round(count) : count),
  )
  return {
    ...recipe,
    [of]: value,
    [`${of}Stated`]: true,
    notes: recipe.notes.filter(
      (note) => note.code !== `${of}-assumed` && (of !== 'pieces' || note.code !== 'pieces-differ'),
    ),
  }
}

/** The recipe with a step of the method changed; an empty text takes it out. */
export function setStep(recipe: Recipe, at: number, text: string): Recipe {
  const own = text.trim().slice(0, 2000)
  const method = recipe.method.flatMap((step, index) => (index === at ? (own ? [own] : []) : [step]))
  return { ...recipe, method }
}

/** The recipe with a step put in before the one at a place, or at the end. */
export function addStep(recipe: Recipe, text: string, at = recipe.method.length): Recipe {
  const own = text.trim().slice(0, 2000)
  if (!own || recipe.method.length >= 80) return recipe
  const method = [...recipe.method]
  method.splice(at, 0, own)
  return { ...recipe, method }
}

/** The recipe with a step one place up (-1) or down (1). */
export function nudgeStep(recipe: Recipe, at: number, by: -1 | 1): Recipe {
  const to = at + by
  if (to < 0 || to >= recipe.method.length) return recipe
  const method = [...recipe.method]
  const [step] = method.splice(at, 1)
  method.splice(to, 0, step!)
  return { ...recipe, method }
}

function newPartId(recipe: Recipe): string {
  const used = new Set(recipe.parts.map((part) => part.id))
  let n = recipe.parts.length + 1
  while (used.has(`p${n}`)) n++
  return `p${n}`
}
