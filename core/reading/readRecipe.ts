import type { Foods } from '../food/food'
import { newPart, withIds, type Part, type Recipe, type RecipeNote } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'
import { PRECOOKING_TABLE, PRECOOKING_WAYS } from '../recipe/precookingWays'
import { PART_KINDS, RECIPE_VERSION, type LinePrecooking, type PartKind } from '../recipe/vocabulary'
import { questionsAbout, type Question } from './questions'
import { amountsByMethod } from './amountsByMethod'
import { brushByMethod, leaveInFilling } from './byMethod'
import { pasteBesideBread, washBesideSheet } from './sheetWash'
import { isCookedMince } from './foodOfLine'
import { areScrambled, fillWithScrambled } from './scrambled'
import { goesInside, pourBlocksOver, standsBeside } from './servedWith'
import { tellUnlisted } from './seasonedByMethod'
import { addUnlisted } from './unlisted'
import { addWrappersNamed } from './wrappersNamed'
import { tossedIn } from './components'
import { countPieces } from './counts'
import { isFat, type Draft, type Placed } from './drafts'
import { askAboutSheets, timesPieces } from './eachPiece'
import { coatFromDip, oneEggOnTop } from './eggOnTop'
import { shareOutDivided } from './dividedFat'
import { readFacts } from './facts'
import { readCooking } from './heat'
import { clausesOfMethod, type Clause } from './method'
import { outlineOf } from './outline'
import type { Became, Outline } from './outlineState'
import { assumePanFat } from './pan'
import { brothByMethod, panFatByMethod, steamWaterByMethod } from './panByMethod'
import { placeLines } from './placeLines'
import { readPrecooking } from './precooking'
import { limit, type ReadIngredient } from './readIngredient'
import { seasonToTaste } from './seasoning'
import { handleChoices, squeezeByMethod } from './saidOfLines'
import { sentencesOf } from './sentenceEnds'
import { readShape } from './shape'
import { takeUpWater } from './takesUp'
import { tellProse } from './tellProse'
import { tidy, type Row } from './tidy'
import { markScalded } from './scalding'
import { pourOver, restOver, tossOver } from './tossed'
import { fillToFeel } from './toFeel'
import { fillWithWhole } from './wrappedWhole'

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

/** What one line of the text became. */
export interface IntakeRow {
  /** Number of the line in the text, from 0. */
  row: number
  became: Became
  lineIds: string[]
}

export interface Intake {
  recipe: Recipe
  lines: IntakeLine[]
  /** Lines whose food or weight is not known. They stay in the recipe. */
  unresolved: Unresolved[]
  /** Every line of the text that holds words, and what it became. */
  rows: IntakeRow[]
  /** What the cook had better say, most consequential first. */
  questions: Question[]
}

/**
 * Reads the text of a recipe, however it is laid out, into a recipe document.
 *
 * Title, counts, headings, lines, components, method, ways of cooking and shape are found; every line is matched to
 * a food and weighed. Whatever is assumed is noted on the line or the recipe, and whatever cannot be used is kept as
 * a note: nothing that was typed is lost.
 *
 * @param text at most 200,000 characters, checked by the caller
 * @param foods the larder
 * @example readRecipe('Leek pies\nMakes 8\n\nDough\n250 g flour\n120 g butter', foods).recipe.pieces // 8
 */
export function readRecipe(text: string, foods: Foods): Intake {
  const rows = tidy(text)
  const outline = outlineOf(rows, foods)
  const placed = placeLines(outline, foods)
  const { drafts, notes } = placed
  tellProse(outline, placed, foods)
  for (const { text: remark } of outline.remarks)
    notes.push({ code: 'kept-text', level: 'note', text: limit(remark, 600) })

  tossedIn(drafts, outline.steps, outline.title)
  fillWithScrambled(drafts, outline.steps)
  const clauses = clausesOfMethod(outline.steps, drafts)
  const method = outline.steps.map((step) =>
    step.under && !step.text.includes(step.under) ? `${step.under}: ${step.text}` : step.text,
  )
  // "Makes 12 stuffed breads" names the piece as a title does.
  const said = outline.counts.map(({ text: count }) => count).filter((count) => count.length < 80)
  const shape = readShape(
    outline.title || said.join(', '),
    method.filter((step) => step.length < 2000).join('\n'),
    said.join(', '),
  )
  fillWithWhole(drafts, clauses)
  panFatByMethod(drafts, clauses)
  const cooking = cookingOf(outline, drafts, clauses, notes)
  const shell = drafts.find(({ kind, into }) => kind === 'shell' && !into) ?? null
  const facts = readFacts(outline, clauses, shell)
  const counted = countPieces(outline, clauses, drafts, shape, cooking.way, facts, notes)
  timesPieces(drafts, counted, notes)
  askAboutSheets(drafts, counted.pieces)
  shareOutDivided(
    drafts,
    clauses,
    [cooking.way, cooking.andThen?.way].flatMap((way) => way ?? []),
  )
  if (cooking.way === 'brown-and-steam') steamWaterByMethod(drafts, clauses)
  brothByMethod(drafts, clauses)
  assumePanFat(drafts, cooking, clauses, counted.pieces, foods)
  leaveInFilling(placed, cooking)
  washBesideSheet(drafts, clauses)
  pasteBesideBread(drafts, clauses)
  oneEggOnTop(drafts, clauses)
  coatFromDip(drafts)
  brushByMethod(drafts, clauses)
  pourBlocksOver(drafts, clauses)
  tossOver(drafts, clauses)
  restOver(drafts, clauses)
  pourOver(drafts, clauses)
  standsBeside(drafts, clauses)
  goesInside(drafts, clauses)
  addWrappersNamed(drafts, text, counted.pieces, foods, notes)
  addUnlisted(drafts, clauses, counted.pieces, foods)
  tellUnlisted(drafts, clauses, foods, notes)
  fillToFeel(drafts, clauses, cooking.way, shape ?? 'half-moon', foods, notes)
  markScalded(drafts, clauses)
  amountsByMethod(drafts, clauses, foods)
  for (const draft of drafts) {
    squeezeByMethod(draft, clauses)
    takeUpWater(draft, clauses, foods)
    seasonToTaste(draft)
    handleChoices(draft, outline)
  }

  const made = partsOf(drafts, placed, clauses)
  const recipe = withIds({
    version: RECIPE_VERSION,
    title: limit(outline.title, 200) || 'Untitled recipe',
    ...counted,
    shape: shape ?? 'half-moon',
    cooking: {
      way: cooking.way,
      temperatureC: cooking.temperatureC,
      minutes: cooking.minutes,
      heat: cooking.heat,
      fan: cooking.fan,
      andThen: cooking.andThen,
      cookedGramsPerPiece: null,
    },
    diets: [],
    avoid: [],
    parts: made.length ? made.map(({ part }) => part) : [newPart({ kind: 'shell', name: 'Dough' })],
    boughtPricePerPiece: null,
    method: asSaid(method, rows)
      .map((step) => limit(step, 2000))
      .slice(0, 80),
    facts: [
      ...facts.map(({ part, ...fact }) => ({
        ...fact,
        partId: made.find((one) => one.draft === part)?.part.id ?? null,
      })),
      ...(cooking.airFryer
        ? [{ kind: 'air-fryer' as const, low: 1, high: 1, partId: null, text: 'air fryer' }]
        : []),
    ].slice(0, 80),
    notes: notes.slice(0, 60).map((note) => ({ ...note, text: limit(note.text, 600) })),
  })
  if (outline.steps.length > 80) {
    const rest = outline.steps
      .slice(80)
      .map((step) => step.text)
      .join(' ')
    recipe.notes = [
      ...recipe.notes.slice(0, 59),
      { code: 'kept-text', level: 'note', text: limit(rest, 600) },
    ]
  }
  return {
    recipe,
    ...report(recipe, foods),
    rows: rowsOf(text, outline, recipe),
    questions: questionsAbout(recipe, foods),
  }
}

/** Steps that were read as work to be done, in the words in which they were told afterwards. */
function asSaid(method: readonly string[], rows: readonly Row[]): string[] {
  const said = new Map<string, string>()
  for (const row of rows) {
    if (!row.said) continue
    // A row may be a step, or each of its sentences one.
    const [told, typed] = [sentencesOf(row.text), sentencesOf(row.said)]
    if (told.length === typed.length) told.forEach((sentence, at) => said.set(sentence, typed[at]!))
    said.set(row.text, row.said)
  }
  return method.map((step) => said.get(step) ?? step)
}

interface CookingFound {
  way: Recipe['cooking']['way']
  temperatureC: number | null
  minutes: number | null
  heat: Recipe['cooking']['heat']
  fan: boolean
  andThen: Recipe['cooking']['andThen']
  airFryer: boolean
  fryUnclear: boolean
}

const SAYS_HOW_FRIED = /^\W*(?:for |to )?(?:deep|shallow|pan)[- ]?fr(?:y|ying)\W*$/i

function cookingOf(
  outline: Outline,
  drafts: readonly Draft[],
  clauses: readonly Clause[],
  notes: RecipeNote[],
): CookingFound {
  const panLines = drafts.filter((draft) => draft.kind === 'pan').flatMap((draft) => draft.lines)
  const read = readCooking({
    title: outline.title,
    // "For deep frying" with nothing below it says how all the same.
    headings: [
      ...drafts.filter((draft) => draft.kind === 'pan').map((draft) => draft.name),
      ...outline.remarks.map(({ text }) => text).filter((text) => SAYS_HOW_FRIED.test(text)),
    ],
    panFatGrams: panLines.reduce(
      (sum, { line, food, read: own }) => sum + (isFat(food) && own.measures.length ? (line.grams ?? 0) : 0),
      0,
    ),
    panText: panLines.map(({ line }) => line.raw).join('; '),
    clauses,
    cookMinutes: outline.times.find((time) => time.kind === 'cook')?.minutes ?? null,
  })
  if (!read.way)
    notes.push({
      code: 'way-assumed',
      level: 'check',
      text: 'The text does not say how the pieces are cooked: baking is assumed',
    })
  if (read.fryUnclear)
    notes.push({
      code: 'fry-unclear',
      level: 'check',
      text: 'The text says "fry" and not in how much fat: look whether it is deep or shallow',
    })
  if (read.otherWay)
    notes.push({
      code: 'other-way',
      level: 'note',
      text: limit(`The text also allows another way: ${read.otherWay.trim()}`, 600),
    })
  if (read.airFryer)
    notes.push({
      code: 'air-fryer',
      level: 'note',
      text: 'An air fryer bakes in hot air: it is counted as baking',
    })
  return { ...read, way: read.way ?? 'bake' }
}

function partsOf(
  drafts: readonly Draft[],
  placed: Placed,
  clauses: readonly Clause[],
): { draft: Draft; part: Part }[] {
  const ordered = drafts
    .filter((draft) => draft.lines.length)
    .sort(
      (a, b) =>
        PART_KINDS.indexOf(a.kind) - PART_KINDS.indexOf(b.kind) ||
        Number(a.into !== null) - Number(b.into !== null),
    )
    .slice(0, 20)
  const ids = new Map(ordered.map((draft, at) => [draft, `p${at + 1}`]))
  return ordered.map((draft) => {
    const cooked = draft.kind === 'filling' || draft.into ? readPrecooking(draft, clauses) : null
    const lineOf = (item: ReadIngredient) => {
      const component = placed.references.get(item)
      const componentId = component ? (ids.get(component) ?? null) : null
      // What the line says of it holds where the method says nothing: "1 onion, fried".
      const told = cooked?.byLine.get(item) ?? null
      const said =
        cooked && (!cooked.cookedBy || told === 'raw')
          ? (preparedBy(item) ?? (told === null && areScrambled(item, clauses) ? 'fry' : null))
          : null
      return { ...item.line, componentId, cookedBy: said ?? told }
    }
    const part = newPart({
      id: ids.get(draft)!,
      kind: draft.kind,
      name: draft.name,
      pieces: draft.kind === 'filling' && !draft.into ? draft.pieces : null,
      into: draft.into ? (ids.get(draft.into) ?? null) : null,
      unsure: draft.unsure,
      usedGrams: draft.usedGrams,
      cookedBy: cooked?.cookedBy ?? null,
      cookedMinutes: cooked?.minutes ?? null,
      untilDry: cooked?.untilDry ?? false,
      lines: draft.lines.slice(0, 120).map(lineOf),
    })
    return { draft, part }
  })
}

const COOKED_FIRST =
  /^(?:(?:lightly|gently|well|deep|stir)[- ])?(?:fried|saut[eé]ed|browned|softened|roasted|charred|grilled|steamed|boiled|blanched|scrambled)\b/i

/** Bacon that is "cooked until crisp". */
const COOKED_CRISP = /^cooked (?:until |till )?(?:crisp|golden|brown)/i

/** How a raw food is cooked before it goes in, by what its line says behind its name; null where it says nothing. */
function preparedBy({ read, food, line }: ReadIngredient): LinePrecooking | null {
  if (food?.state !== 'raw' || line.waterChangeGrams !== 0) return null
  if (isCookedMince(read, food) || read.prep.some((one) => COOKED_CRISP.test(one))) return 'fry'
  const word = read.prep.find((one) => COOKED_FIRST.test(one.replace(/^.*?,\s*/, '')))
  return word ? (PRECOOKING_WAYS.find((way) => PRECOOKING_TABLE[way].said.test(word)) ?? null) : null
}

function rowsOf(text: string, outline: Outline, recipe: Recipe): IntakeRow[] {
  const byText = new Map<string, string[]>()
  for (const { line } of allLines(recipe)) byText.set(line.raw, [...(byText.get(line.raw) ?? []), line.id])
  const ids = new Map<number, string[]>()
  // A line that is a row by itself came out of no other.
  const whole = new Set(outline.sections.flatMap(({ items }) => items.map(({ text: row }) => row)))
  for (const section of outline.sections) {
    for (const item of section.items) {
      const own =
        byText.get(item.text) ??
        [...byText]
          .filter(
            ([raw]) =>
              raw.length > 2 && !whole.has(raw) && (item.text.includes(raw) || partOf(raw, item.text)),
          )
          .flatMap(([, found]) => found)
      ids.set(item.at, [...(ids.get(item.at) ?? []), ...own])
    }
  }
  // A line of which nothing came (a table's head) is left out, and said to be.
  text.split(/\r\n?|\n|\u2028|\u2029/).forEach((line, at) => {
    if (!outline.became.has(at) && /[\p{L}\d]/u.test(line)) outline.became.set(at, 'left-out')
  })
  return [...outline.became]
    .filter(([row]) => row >= 0)
    .sort((a, b) => a[0] - b[0])
    .map(([row, became]) => ({ row, became, lineIds: [...new Set(ids.get(row) ?? [])] }))
}

/** Whether a line came out of a text that named several: its words stand there. */
const partOf = (raw: string, text: string) => {
  const words = raw.toLowerCase().match(/\p{L}{3,}/gu) ?? []
  const there = text.toLowerCase()
  return words.length > 0 && words.every((word) => there.includes(word)) && raw.length <= text.length
}

/** What the intake answers about each line of a recipe. */
export function report(recipe: Recipe, foods: Foods): { lines: IntakeLine[]; unresolved: Unresolved[] } {
  const lines: IntakeLine[] = []
  const unresolved: Unresolved[] = []
  for (const { part, line } of allLines(recipe)) {
    const food = foodOf(line, foods)
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
    if ((food && line.grams !== null) || line.componentId) continue
    const reason =
      line.notes.find((note) => note.level === 'check')?.text ?? 'No weight is known for this line'
    unresolved.push({ lineId: line.id, raw: line.raw, part: part.kind, reason })
  }
  return { lines, unresolved }
}
