import type { Foods } from '../food/food'
import {
  MAX_LINE_GRAMS,
  allLines,
  newLine,
  newPart,
  PART_KINDS,
  RECIPE_VERSION,
  withIds,
  type Part,
  type PartKind,
  type Recipe,
  type RecipeNote,
} from '../recipe/document'
import { questionsAbout, type Question } from './questions'
import { countPieces } from './counts'
import { isFat, isFlour, isLiquid, PART_NAMES, placeLines, READY, type Draft, type Placed } from './drafts'
import { normaliseName } from './match'
import { readFacts } from './facts'
import { readCooking } from './heat'
import { clausesOfMethod, type Clause } from './method'
import { outlineOf, type Became, type Outline } from './outline'
import { assumePanFat, shareOutDivided } from './pan'
import { readPrecooking } from './precooking'
import { linesFromProse } from './prose'
import { limit, readIngredients, type ReadIngredient } from './readIngredient'
import { seasonToTaste } from './seasoning'
import { readShape } from './shape'
import { tidy } from './tidy'
import { waterToFeel } from './toFeel'
import { PIECES } from './yields'

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

/** The longest text that is read. */
export const MAX_TEXT_CHARACTERS = 200_000

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
  const outline = outlineOf(tidy(text), foods)
  const placed = placeLines(outline, foods)
  const { drafts, notes } = placed
  tellProse(outline, placed, foods)
  for (const { text: remark } of outline.remarks)
    notes.push({ code: 'kept-text', level: 'note', text: limit(remark, 600) })

  const clauses = clausesOfMethod(outline.steps, drafts)
  const method = outline.steps.map((step) =>
    step.under && !step.text.includes(step.under) ? `${step.under}: ${step.text}` : step.text,
  )
  // "Makes 12 stuffed breads" names the piece as a title does.
  const said = outline.counts.map(({ text: count }) => count).filter((count) => count.length < 80)
  const shape = readShape(
    outline.title || said.join(', '),
    method.filter((step) => step.length < 2000).join('\n'),
  )
  panFatByMethod(drafts, clauses)
  const cooking = cookingOf(outline, drafts, clauses, notes)
  const counted = countPieces(outline, clauses, drafts, shape, notes)
  timesPieces(drafts, counted.pieces, notes)
  shareOutDivided(drafts, clauses, cooking.way)
  assumePanFat(drafts, cooking, clauses, counted.pieces, foods)
  leaveInFilling(placed, cooking)
  brushByMethod(drafts, clauses)
  fillToFeel(drafts, clauses, cooking.way, shape ?? 'half-moon', foods, notes)
  for (const draft of drafts) {
    squeezeByMethod(draft, clauses)
    seasonToTaste(draft)
    handleChoices(draft, outline)
  }

  const made = partsOf(drafts, placed, clauses)
  const shell = drafts.find((draft) => draft.kind === 'shell') ?? null
  const facts = readFacts(outline, clauses, shell)
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
    method: method.map((step) => limit(step, 2000)).slice(0, 80),
    facts: [
      ...facts.map(({ part, ...fact }) => ({
        ...fact,
        partId: made.find((one) => one.draft === part)?.part.id ?? null,
      })),
      ...(cooking.airFryer
        ? [{ kind: 'air-fryer' as const, low: 1, high: 1, partId: null, text: 'air fryer' }]
        : []),
    ].slice(0, 80),
    notes: notes.slice(0, 60),
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

/** A recipe told in sentences has its ingredients in them. */
function tellProse(outline: Outline, placed: Placed, foods: Foods): void {
  const hasShell = placed.drafts.some(
    (draft) => draft.kind === 'shell' && draft.lines.some(({ food }) => isFlour(food)),
  )
  if (hasShell || !outline.steps.length) return
  const bare = !placed.drafts.some((draft) => draft.lines.length)
  const told = linesFromProse(outline.steps, foods, bare ? null : 'shell')
  if (!told.some((section) => section.items.length)) return
  const more = placeLines({ ...outline, sections: told }, foods)
  if (!bare && !more.drafts.some((draft) => draft.lines.some(({ food }) => isFlour(food)))) return
  // Bought dough that is no flour of ours is still the dough: only an empty shell is filled.
  const own = placed.drafts.find((draft) => draft.kind === 'shell')
  if (own) return
  placed.drafts.push(...more.drafts)
  placed.notes.push({
    code: 'from-prose',
    level: 'check',
    text: 'The amounts were read out of the sentences of the method: look them over',
  })
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

function cookingOf(
  outline: Outline,
  drafts: readonly Draft[],
  clauses: readonly Clause[],
  notes: RecipeNote[],
): CookingFound {
  const panLines = drafts.filter((draft) => draft.kind === 'pan').flatMap((draft) => draft.lines)
  const read = readCooking({
    title: outline.title,
    headings: drafts.filter((draft) => draft.kind === 'pan').map((draft) => draft.name),
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
  if (read.airFryer)
    notes.push({
      code: 'air-fryer',
      level: 'note',
      text: 'An air fryer bakes in hot air: it is counted as baking',
    })
  return { ...read, way: read.way ?? 'bake' }
}

/** Oil of at most this weight may be what a filling is fried in. Common practice, no source. */
const SPOONS_GRAMS = 60

/** Oil "for frying" in a recipe that fries no pieces is for what goes in. */
function leaveInFilling({ drafts, moved }: Placed, { way, andThen }: CookingFound): void {
  const pan = drafts.find((draft) => draft.kind === 'pan')
  // Two spoons among the filling's lines are the filling's where the pieces have a pot of their own.
  for (const item of pan && pan.lines.filter(({ food }) => isFat(food)).length > 1 ? [...pan.lines] : []) {
    const from = moved.get(item)
    if (from?.kind !== 'filling' || !item.read.measures.length || (item.line.grams ?? 0) > SPOONS_GRAMS)
      continue
    pan!.lines = pan!.lines.filter((one) => one !== item)
    from.lines.push(item)
    from.lines.sort((a, b) => Number(b === item) - Number(a === item))
  }
  const fries = [way, andThen?.way].some(
    (one) => one === 'deep-fry' || one === 'shallow-fry' || one === 'griddle' || one === 'brown-and-steam',
  )
  if (fries) return
  const filling = drafts.find((draft) => draft.kind === 'filling' && !draft.into)
  if (!filling || !pan) return
  const back = pan.lines.filter(
    ({ read, line }) =>
      read.purpose === 'pan' && /\bfor (?:shallow |pan[- ]?)?(?:frying|cooking|saut)/i.test(line.raw),
  )
  if (!back.length || back.length < pan.lines.length) return
  filling.lines.push(...back)
  pan.lines = []
}

/**
 * Fat, egg or milk that the method only brushes on finishes the pieces, wherever the list has it.
 */
function brushByMethod(drafts: Draft[], clauses: readonly Clause[]): void {
  const sheets = drafts.some(
    (draft) => draft.kind === 'shell' && draft.lines.some(({ food }) => food?.group === 'pastry'),
  )
  // Inside a dough that is rolled up, oil is part of the layers; on thin sheets it is brushed as one goes.
  const brushing = clauses.filter(({ text, closed }) => BRUSHES.test(text) && (closed || sheets))
  if (!brushing.length) return
  for (const draft of [...drafts]) {
    if (draft.kind !== 'filling' || draft.into || draft.lines.length < 2) continue
    for (const item of [...draft.lines]) {
      const { food, read } = item
      const fat = isFat(food)
      if (
        !food ||
        !(fat || /^(?:egg|egg-yolk|milk|plant-milk|seed|sweetener)$/.test(food.group)) ||
        draft.lines.length < 2
      )
        continue
      const word = new RegExp(
        `\\b${food.group.startsWith('egg') ? 'eggs?|yolk' : /^(?:seed|sweetener)$/.test(food.group) ? normaliseName(read.name).split(' ')[0] : normaliseName(read.name).split(' ').at(-1)}\\b`,
        'i',
      )
      const named = brushing.some(({ text }) => {
        const at = BRUSHES.exec(text)!.index
        return word.test(text.slice(at, at + 60))
      })
      if (!named) continue
      const used = clauses.some(
        ({ about, text }) => about === draft && word.test(text) && !BRUSHES.test(text),
      )
      const there = drafts.some(
        (one) => one.kind === 'finish' && one.lines.some((other) => other.food?.group === food.group),
      )
      if (used || there || /\bplus (?:some )?(?:extra|more)\b/i.test(item.line.raw)) continue
      draft.lines = draft.lines.filter((one) => one !== item)
      const finish = drafts.find((one) => one.kind === 'finish' && !one.into)
      if (finish) finish.lines.push(item)
      else
        drafts.push({
          kind: 'finish',
          name: PART_NAMES.finish,
          lines: [item],
          pieces: null,
          into: null,
          unsure: false,
          usedGrams: null,
        })
    }
  }
}

/** Fat that the method only fries the closed pieces in is the pan's, wherever the list has it. */
function panFatByMethod(drafts: Draft[], clauses: readonly Clause[]): void {
  if (drafts.some((draft) => draft.kind === 'pan')) return
  for (const draft of [...drafts]) {
    if (draft.kind !== 'filling' || draft.into) continue
    // Listed last, behind everything that is mixed.
    const item = draft.lines.slice(-1).find(({ food, read }) => {
      if (!isFat(food) || !read.measures.length) return false
      const word = new RegExp(`\\b${normaliseName(read.name)}\\b`, 'i')
      const atPieces = clauses.some(
        ({ about, text }) =>
          about === 'pieces' &&
          word.test(text) &&
          /\bheat (?:the |\d|a )|\bin the \p{L}*\s?(?:oil|butter|ghee)\b/iu.test(text),
      )
      return atPieces && !clauses.some(({ about, text }) => about === draft && word.test(text))
    })
    if (!item) continue
    draft.lines = draft.lines.filter((one) => one !== item)
    drafts.push({
      kind: 'pan',
      name: PART_NAMES.pan,
      lines: [item],
      pieces: null,
      into: null,
      unsure: false,
      usedGrams: null,
    })
    return
  }
}

const BRUSHES =
  /\b(?:brush(?:ed|ing)?|glaz(?:e|ed|ing)|egg ?wash|sprinkle|scatter|layer (?:\d+ |the )?sheets? with|(?<=,\s)(?:beaten )?(?:egg|milk)(?=\s*[.,]|\s*$)|oil (?:the |\d+ |each |every |a )?(?:sheets?|filo))\b/i

/** Water that is left to feel is computed from what the flours drink. */
function fillToFeel(
  drafts: readonly Draft[],
  clauses: readonly Clause[],
  way: Recipe['cooking']['way'],
  shape: Recipe['shape'],
  foods: Foods,
  notes: RecipeNote[],
): void {
  const shells = drafts.filter((draft) => draft.kind === 'shell')
  const lines = shells.flatMap((draft) => draft.lines)
  if (!lines.some(({ food, line }) => food?.waterDemand != null && line.grams)) return
  if (lines.some(({ food }) => food && READY.has(food.group))) return
  const spoken = clauses
    .filter(({ about }) => about !== null && about !== 'pieces' && about.kind === 'shell')
    .map(({ text }) => text)
  let felt = lines.find(
    ({ food, read, line }) =>
      (isLiquid(food) || /^(?:yogurt|plant-yogurt)$/.test(food?.group ?? '')) &&
      ((!read.measures.length && !line.componentId) ||
        /^(?:splash|dash|dollop)$/.test(read.measures[0]?.[0]?.unitId ?? '') ||
        /\b(?:up to|added gradually|a little at a time)\b/i.test(line.raw)),
  )
  const wet = lines.some(
    ({ food, line }) =>
      food &&
      (line.grams ?? 0) > 15 &&
      (isLiquid(food) ||
        /yogurt|egg|fresh-cheese|cream|vegetable|melting-cheese/.test(food.group) ||
        (food.freeWater > 0.4 && food.per100g.waterG > 50)),
  )
  const water = foods.get('water')
  if (!felt && !wet && water && shells[0]) {
    // A dough of flour alone: the method adds the water that the list forgot.
    const says = spoken.find((text) => /\b(?:water|milk)\b/i.test(text))
    if (!says && !lines.some(({ food }) => food?.softeningFat == null && isFlour(food))) return
    if (!says) {
      notes.push({
        code: 'no-liquid',
        level: 'check',
        text: 'No liquid is given for the dough: water to feel was added',
      })
    }
    felt = readIngredients('water as required', foods)[0]!
    felt.line = newLine({
      ...felt.line,
      raw: says ? 'water, as the method says' : 'water, not in the text',
      notes: [],
    })
    shells[0].lines.push(felt)
  }
  if (!felt?.food) return
  const others = lines.filter((item) => item !== felt && item.food && item.line.grams)
  const amounts = others.map(({ food, line }) => ({
    food: food!,
    grams: line.grams!,
    waterChangeGrams: line.waterChangeGrams,
  }))
  const asked = [
    felt.read.wanted,
    felt.line.raw,
    ...shells.map((draft) => draft.name),
    ...spoken.filter((text) => /\b(?:dough|knead|together|bind)\b/i.test(text)),
  ].join(' ; ')
  const found = waterToFeel(amounts, felt.food, asked, way, shape)
  if (!found) return
  const { line } = felt
  const cap =
    felt.read.measures.length && !/^(?:splash|dash|dollop)$/.test(felt.read.measures[0]![0]!.unitId ?? '')
      ? (line.gramsHigh ?? line.grams)
      : null
  const high = cap === null ? found.highGrams : Math.min(found.highGrams, cap)
  const low = Math.min(found.lowGrams, high)
  const grams = Math.min(found.grams, high)
  if (cap !== null && found.lowGrams >= cap) return
  Object.assign(line, {
    grams,
    gramsLow: low,
    gramsHigh: high,
    toFeel: { feel: found.feel, startGrams: Math.min(found.startGrams, low), lowGrams: low, highGrams: high },
  })
  line.notes = line.notes.filter((note) => !/^(?:to-taste|as-required|no-amount)$/.test(note.code))
  line.notes.push({
    code: 'to-feel',
    level: 'check',
    text: `Left to feel: start with ${Math.min(found.startGrams, low)} g, then a spoonful at a time, expect to stop between ${low} and ${high} g (${found.why}). Type what really went in`,
  })
}

/** "Salt the cabbage and squeeze it": what the method presses out. */
function squeezeByMethod(draft: Draft, clauses: readonly Clause[]): void {
  for (const clause of clauses) {
    if (clause.about !== draft || !/\b(?:squeeze|wring|press out)\b/i.test(clause.text)) continue
    for (const { line, food, read } of draft.lines) {
      const share = food?.unitGrams.squeezed
      if (!share || !line.grams || line.waterChangeGrams !== 0) continue
      const word = read.name.toLowerCase().split(' ').at(-1)!.replace(/s$/, '')
      const named = clause.sentence.toLowerCase().includes(word)
      if (!named && draft.lines.filter((other) => other.food?.unitGrams.squeezed).length > 1) continue
      line.waterChangeGrams = -line.grams * (1 - share)
      line.notes.push({
        code: 'squeezed',
        level: 'note',
        text: `The method has it squeezed: that is taken to press out ${Math.round(-line.waterChangeGrams)} g of water`,
      })
    }
  }
}

/** What the method says of an alternative hangs on it. */
function handleChoices(draft: Draft, outline: Outline): void {
  for (const { line } of draft.lines) {
    for (const choice of line.choices) {
      const word = choice.name.toLowerCase()
      const step = outline.steps.find(
        ({ text }) =>
          text.length < 500 && /\b(?:if|when|for)\b/i.test(text) && text.toLowerCase().includes(word),
      )
      if (step) choice.handling = limit(step.text, 600)
    }
  }
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
      return { ...item.line, componentId, cookedBy: cooked?.byLine.get(item) ?? null }
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

/** "Filling per bun: 30 g cheese" is for one piece: the batch takes as many times that. */
function timesPieces(drafts: readonly Draft[], pieces: number, notes: RecipeNote[]): void {
  for (const draft of drafts) {
    if (draft.kind === 'shell' || draft.kind === 'pan' || !PER_PIECE.test(draft.name) || pieces < 2) continue
    for (const { line } of draft.lines) {
      const times = (grams: number | null) =>
        grams === null ? null : Math.min(Math.round(grams * pieces * 10) / 10, MAX_LINE_GRAMS)
      Object.assign(line, {
        grams: times(line.grams),
        gramsLow: times(line.gramsLow),
        gramsHigh: times(line.gramsHigh),
        waterChangeGrams: line.waterChangeGrams * pieces,
      })
    }
    notes.push({
      code: 'per-piece',
      level: 'check',
      text: `${draft.name}: the amounts were taken for one piece, and ${pieces} times that for all`,
    })
  }
}
const PER_PIECE = new RegExp(
  String.raw`\b(?:per|for each|for one|in each) (?:one|piece|${PIECES})\b|\beach\W*$`,
  'iu',
)

function rowsOf(text: string, outline: Outline, recipe: Recipe): IntakeRow[] {
  const byText = new Map<string, string[]>()
  for (const { line } of allLines(recipe)) byText.set(line.raw, [...(byText.get(line.raw) ?? []), line.id])
  const ids = new Map<number, string[]>()
  for (const section of outline.sections) {
    for (const item of section.items) {
      const own =
        byText.get(item.text) ??
        [...byText]
          .filter(([raw]) => raw.length > 2 && (item.text.includes(raw) || partOf(raw, item.text)))
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
    if ((food && line.grams !== null) || line.componentId) continue
    const reason =
      line.notes.find((note) => note.level === 'check')?.text ?? 'No weight is known for this line'
    unresolved.push({ lineId: line.id, raw: line.raw, part: part.kind, reason })
  }
  return { lines, unresolved }
}
