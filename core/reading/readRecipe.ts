import type { Food, Foods } from '../food/food'
import { readLine } from './readLine'
import { splitLine } from './splitLine'
import { readHeading, type Heading, type HeadingKind } from './headings'
import { readCooking, readPrecooking, readShape } from './readMethod'
import {
  allLines,
  newPart,
  PART_KINDS,
  RECIPE_VERSION,
  withIds,
  MAX_PIECES,
  type Line,
  type Part,
  type PartKind,
  type Recipe,
  type RecipeNote,
} from '../recipe/document'
import { moved, PART_NAMES, placeUnheaded, takeReadyShell, type Draft } from './placeLines'
import { limit, readIngredient } from './readIngredient'
import { readYields } from './yields'

export interface IntakeLine {
  lineId: string
  raw: string
  part: PartKind
  foodId: string | null
  foodName: string
  grams: number | null
  warnings: string[]
}

export interface Unresolved {
  lineId: string
  raw: string
  part: PartKind
  reason: string
}

export interface Intake {
  recipe: Recipe
  lines: IntakeLine[]
  /** Lines whose food or weight is not known. They stay in the recipe. */
  unresolved: Unresolved[]
}

const VERB =
  /^(?:\d+[.)]\s*)?(?:mix|knead|roll|bake|fry|deep|steam|boil|cook|divide|cut|fold|seal|crimp|heat|preheat|combine|stir|whisk|rub|add|make|place|put|let|leave|rest|cover|brush|fill|serve|shape|bring|meanwhile|when|once|while|in a|on a|working|sprinkle|pour|squeeze|drain|peel|chop|grate|take|turn|set|chill|press|dust|prick|flatten|spoon|season|wash|soak)\b/i

const isSentence = (text: string) => {
  const words = text.split(/\s+/).length
  return (
    words >= 14 || (words >= 5 && VERB.test(text) && !/^\W*\d+\s*(?:g|kg|ml|tsp|tbsp|cups?|oz)\b/i.test(text))
  )
}

const META =
  /^\W*(?:prep(?:aration)?|cook(?:ing)?|total|rest(?:ing)?|active|proving|chill(?:ing)?)\s*time\b|^\W*(?:difficulty|cuisine|course|author|source|rating|calories|category)\s*:/i

/**
 * Reads the text of a recipe, however it is laid out, into a recipe document.
 *
 * Title, yields, headings, lines, method, way of cooking and shape are found; every line is matched to a food
 * and weighed. Whatever is assumed is noted on the line or the recipe, and whatever cannot be used is kept as
 * a note: nothing that was typed is lost.
 *
 * @param text at most 200,000 characters, checked by the caller
 * @param foods the larder
 * @example readRecipe('Leek pies\nMakes 8\n\nDough\n250 g flour\n120 g butter', foods).recipe.pieces // 8
 */
export function readRecipe(text: string, foods: Foods): Intake {
  const rows = text
    .replace(/\r\n?/g, '\n')
    .replace(/^\ufeff/, '')
    .split('\n')
  const drafts: Draft[] = []
  const unheaded: Line[] = []
  const method: string[] = []
  const notes: RecipeNote[] = []
  const headings: string[] = []
  const foodOf = (line: Line) => (line.foodId ? foods.get(line.foodId) : undefined)
  let title = ''
  let pieces: number | null = null
  let servings: number | null = null
  let current: Draft | null = null
  let mode: HeadingKind | 'start' = 'start'

  const draftOf = (kind: PartKind, name: string): Draft => {
    const same = drafts.find((draft) => draft.kind === kind && (kind !== 'filling' || draft.name === name))
    if (same) return same
    const made = { kind, name: limit(name, 120), lines: [] }
    drafts.push(made)
    return made
  }

  const keep = (words: string) => notes.push({ code: 'kept-text', level: 'note', text: limit(words, 600) })

  const addLine = (raw: string, home: Draft | null) => {
    for (const piece of splitLine(raw)) {
      const { line, read, food } = readIngredient(piece, foods)
      const target = home && moved(home.kind, read.purpose, piece, food)
      if (home && target && target !== home.kind) {
        draftOf(target, PART_NAMES[target]).lines.push(line)
      } else if (home) home.lines.push(line)
      else if (read.purpose && read.purpose !== 'shell')
        draftOf(read.purpose, PART_NAMES[read.purpose]).lines.push(line)
      else unheaded.push(line)
    }
  }

  for (const row of rows) {
    const line = row.replace(/\u00a0/g, ' ').trim()
    if (!line || /^[-=_*~\s]{3,}$/.test(line)) continue

    const yields = mode === 'method' ? null : readYields(line)
    if (yields) {
      pieces ??= yields.pieces
      servings ??= yields.servings
      if (yields.whole) {
        if (/\p{L}{2}/u.test(yields.rest)) keep(line)
        continue
      }
    }
    const heading: Heading | null = title || mode !== 'start' || /:\s*$/.test(line) ? readHeading(line) : null
    const opens: Heading | null = heading ?? (title ? null : usualHeading(line))
    if (opens) {
      headings.push(opens.name)
      if (opens.kind === 'method' || opens.kind === 'ingredients' || opens.kind === 'remarks') {
        mode = opens.kind
        current = null
        if (opens.rest && opens.kind === 'method') method.push(limit(opens.rest, 2000))
        else if (opens.rest && opens.kind === 'remarks') keep(line)
        else if (opens.rest) addLine(opens.rest, null)
        continue
      }
      const draft = draftOf(opens.kind, opens.name)
      // A second heading of the same kind goes on with the first part; what else it says is kept.
      if (draft.name !== opens.name) keep(opens.name)
      if (opens.rest) {
        for (const piece of opens.rest.split(/\s*;\s*|,\s+(?=[\d¼½¾⅓⅔⅛~]|a pinch|half )/))
          addLine(piece, draft)
        if (mode === 'start' || mode === 'ingredients' || !current) current = draft
      } else {
        current = draft
        mode = opens.kind
      }
      if (mode === 'method') mode = opens.kind
      continue
    }
    if (!title && drafts.length === 0 && unheaded.length === 0 && looksLikeTitle(line)) {
      title = limit(line.replace(/^[\s#*_>]+|[\s*_:]+$/g, '').replace(/^(?:title|recipe)\s*:\s*/i, ''), 200)
      continue
    }
    if (mode === 'method') {
      method.push(limit(line.replace(/^(?:[-*•]|step \d+[:.)]?|\d+[.)])\s*/i, ''), 2000))
      continue
    }
    if (META.test(line) || mode === 'remarks' || (yields && !/\b(?:g|kg|cups?|tbsp|tsp)\b/i.test(line))) {
      keep(line)
      continue
    }
    if (isSentence(line)) {
      method.push(limit(line.replace(/^\d+[.)]\s*/, ''), 2000))
      continue
    }
    addLine(line, current)
  }

  // A heading with nothing under it may be a line that looked like one: its words stay.
  for (const draft of drafts)
    if (!draft.lines.length && draft.name !== PART_NAMES[draft.kind]) keep(draft.name)

  placeUnheaded(unheaded, drafts, notes, foodOf)
  takeReadyShell(drafts, notes, foodOf)

  const parts: Part[] = drafts
    .filter((draft) => draft.lines.length)
    .sort((a, b) => PART_KINDS.indexOf(a.kind) - PART_KINDS.indexOf(b.kind))
    .slice(0, 20)
    .map((draft) =>
      newPart({
        kind: draft.kind,
        name: draft.name,
        cookedBy: draft.kind === 'filling' ? readPrecooking(draft.lines, method) : null,
        lines: draft.lines.slice(0, 120),
      }),
    )

  const panFat = drafts
    .filter((draft) => draft.kind === 'pan')
    .flatMap((draft) => draft.lines)
    .reduce((sum, line) => sum + (foodOf(line)?.softeningFat ? (line.grams ?? 0) : 0), 0)
  const cooking = readCooking(
    [title, ...headings, ...method, ...parts.flatMap((part) => part.lines.map((line) => line.raw))].join(
      '\n',
    ),
    panFat > 0 && headings.some((name) => /\bfry/i.test(name)),
    panFat,
  )
  if (!cooking.way) {
    notes.push({
      code: 'way-assumed',
      level: 'check',
      text: 'The text does not say how the pieces are cooked: baking is assumed',
    })
  }
  const shape = readShape(title, method.join('\n'))
  const counted = countPieces(pieces, servings, parts, notes, foodOf)

  const recipe = withIds({
    version: RECIPE_VERSION,
    title: title || 'Untitled recipe',
    ...counted,
    shape: shape ?? 'half-moon',
    cooking: {
      way: cooking.way ?? 'bake',
      temperatureC: cooking.temperatureC,
      minutes: cooking.minutes,
      cookedGramsPerPiece: null,
    },
    diets: [],
    avoid: [],
    parts: parts.length ? parts : [newPart({ kind: 'shell', name: 'Dough' })],
    boughtPricePerPiece: null,
    method: method.slice(0, 80),
    notes: notes.slice(0, 60),
  })
  return { recipe, ...report(recipe, foods) }
}

/** What the intake answers about each line of a recipe. */
export function report(recipe: Recipe, foods: Foods): { lines: IntakeLine[]; unresolved: Unresolved[] } {
  const lines: IntakeLine[] = []
  const unresolved: Unresolved[] = []
  for (const { part, line } of allLines(recipe)) {
    const food = line.foodId ? foods.get(line.foodId) : undefined
    const warnings = line.notes.map((note) => note.text)
    lines.push({
      lineId: line.id,
      raw: line.raw,
      part: part.kind,
      foodId: line.foodId,
      foodName: food?.name ?? line.name,
      grams: line.grams,
      warnings,
    })
    if (food && line.grams !== null) continue
    const reason =
      line.notes.find((note) => note.level === 'check')?.text ?? 'No weight is known for this line'
    unresolved.push({ lineId: line.id, raw: line.raw, part: part.kind, reason })
  }
  return { lines, unresolved }
}

/** A first line such as "Dough" or "Ingredients" is a heading although no title has been seen. */
function usualHeading(line: string): Heading | null {
  if (/^\s*#\s/.test(line)) return null
  const heading = readHeading(line)
  return heading &&
    /^(?:for |the )*(?:dough|pastry|filling|ingredients)\b/i.test(heading.name) &&
    heading.name.split(' ').length <= 3
    ? heading
    : null
}

function looksLikeTitle(line: string): boolean {
  if (/^\s*#\s/.test(line) || /^(?:title|recipe)\s*:/i.test(line)) return true
  const read = readLine(line)
  const amount = read.measures.some((measure) => measure.some((term) => term.unitId))
  return (
    !amount &&
    line.length <= 120 &&
    !(/^\W*\d/.test(line) && read.measures.length > 0 && line.split(' ').length <= 4)
  )
}

/** Dough in one piece when nothing is said about the number: 45 g. Common practice, no source. */
const ASSUMED_BALL_GRAMS = 45

function countPieces(
  pieces: number | null,
  servings: number | null,
  parts: Part[],
  notes: RecipeNote[],
  foodOf: (line: Line) => Food | undefined,
): { pieces: number; servings: number } {
  const clamp = (value: number) => Math.min(MAX_PIECES, Math.max(1, Math.round(value)))
  if (pieces === null) {
    const shell = parts.filter((part) => part.kind === 'shell').flatMap((part) => part.lines)
    const grams = shell.reduce((sum, line) => sum + (line.grams ?? 0), 0)
    const ready = shell.find((line) => foodOf(line)?.group === 'wrapper')
    const wrapper = ready && foodOf(ready)?.unitGrams.piece
    pieces = wrapper ? clamp((ready.grams ?? wrapper) / wrapper) : clamp(grams / ASSUMED_BALL_GRAMS)
    notes.push({
      code: 'pieces-assumed',
      level: 'check',
      text: wrapper
        ? `The number of pieces is not stated: one for each wrapper, ${pieces}`
        : `The number of pieces is not stated: ${pieces}, from ${Math.round(grams)} g of dough at ${ASSUMED_BALL_GRAMS} g each`,
    })
  }
  if (servings === null) {
    servings = Math.max(1, Math.round(pieces / 2))
    notes.push({
      code: 'servings-assumed',
      level: 'check',
      text: `Servings are not stated: two pieces each, so ${servings}`,
    })
  }
  return { pieces: clamp(pieces), servings: Math.min(MAX_PIECES, Math.max(1, servings)) }
}
