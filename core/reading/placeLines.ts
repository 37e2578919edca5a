import { foodIs } from '../food/groups'
import type { Food, Foods } from '../food/food'
import type { RecipeNote } from '../recipe/document'
import { PART_KINDS, PART_NAMES, type PartKind } from '../recipe/vocabulary'
import { fillWithMarinated, fillWithTopping, placeBlocks, takeReadyShell } from './blocks'
import { settleComponents } from './components'
import {
  isDoughBase,
  isFat,
  isLiquid,
  leadsDough,
  MOST_SEEDS_ON_TOP_GRAMS,
  newDraft,
  THINS_GRAMS,
  type Draft,
  type Placed,
} from './drafts'
import { DEEP_POT_GRAMS } from './heatWays'
import { mashIntoDough } from './mashedDough'
import type { HeadingKind } from './headingKinds'
import type { Outline, Section } from './outlineState'
import { readerFor } from './kitchens'
import { toldFilling } from './prose'
import { limit, type ReadIngredient } from './readIngredient'
import { moveSaidFor } from './saidForPart'
import { startsLikeStep } from './stepWords'

/** Flour for dusting is no filling's: where the dough is bought it is the board's all the same. */
function dustTheBoard(drafts: readonly Draft[]): void {
  const shell = drafts.find(({ kind }) => kind === 'shell')
  for (const draft of shell ? drafts : []) {
    if (draft.kind !== 'filling') continue
    const dust = draft.lines.filter(({ read, food }) => read.purpose === 'shell' && foodIs(food, 'flour'))
    draft.lines = draft.lines.filter((item) => !dust.includes(item))
    shell!.lines.push(...dust)
  }
}

/** "Place in machine:" over the flour and the milk is work, and no name: the words are kept beside it. */
function nameByKind(drafts: readonly Draft[], notes: RecipeNote[]): void {
  for (const draft of drafts) {
    if (draft.into || !draft.name.includes(' ') || !startsLikeStep(draft.name)) continue
    notes.push({ code: 'kept-text', level: 'note', text: draft.name })
    draft.name = PART_NAMES[draft.kind]
  }
}

/** "1 l oil" behind the filling, without a word of frying, is the pot's. */
function pourIntoPot(drafts: Draft[]): void {
  for (const draft of [...drafts]) {
    if (draft.kind !== 'filling' && draft.kind !== 'shell') continue
    const rest = draft.lines.reduce(
      (sum, { food, line }) => sum + (food?.group === 'oil' ? 0 : (line.grams ?? 0)),
      0,
    )
    const oil = draft.lines.filter(
      ({ food, line, read }) =>
        food?.group === 'oil' &&
        (line.grams ?? 0) >= DEEP_POT_GRAMS &&
        (line.grams ?? 0) > rest / 2 &&
        // Who weighs oil into a bowl writes grams.
        /^(?:l|ml|cup|pint|quart)$/.test(read.measures[0]?.[0]?.unitId ?? ''),
    )
    if (!oil.length) continue
    draft.lines = draft.lines.filter((item) => !oil.includes(item))
    const pan = drafts.find(({ kind }) => kind === 'pan')
    if (pan) pan.lines.push(...oil)
    else drafts.push(newDraft('pan', { lines: oil }))
  }
}

const GENERIC =
  /^(?:for |to make |make )?(?:the )?(?:dough|pastry|filling|stuffing|crust|wrappers?|shell|outer|inside|dip|sauce|to serve|to finish)$/i

/** Wedges of lemon stand beside the dish. */
const WEDGES = /\b(?:lemon|lime)s?\b.*\bwedges?\b/i

const LAMINATES = /\bfor (?:the )?(?:layering|laminat(?:ion|ing)|folding in|folds)\b|\bto laminate\b/i
/** Butter for layering a dough that is made here is that dough's; between bought sheets it is brushed. */
function layerTheDough(drafts: readonly Draft[]): void {
  const shell = drafts.find(
    ({ kind, lines, into }) => kind === 'shell' && !into && lines.some(({ food }) => food?.group === 'flour'),
  )
  for (const draft of shell ? drafts : []) {
    if (draft === shell || draft.into) continue
    const layers = draft.lines.filter(({ food, line }) => isFat(food) && LAMINATES.test(line.raw))
    draft.lines = draft.lines.filter((item) => !layers.includes(item))
    shell!.lines.push(...layers)
  }
}

/** Fat and spray are the pan's; water only where the line says so: "for steaming". */
const isOfPan = ({ food, line }: Pick<ReadIngredient, 'food' | 'line'>) =>
  isFat(food) || /spray|\b(?:for|to) (?:the )?(?:steam|boil)/i.test(line.raw)

/** Where a line belongs that says what it is for. Oil "for frying the onions" stays with its onions. */
function movedTo(kind: PartKind, { read, line }: ReadIngredient, food: Food | null): PartKind {
  // "Icing sugar, to dust" is no flour for the board.
  // "1 tsp ghee per paratha" is what each is cooked with.
  const each = isFat(food) && PER_BREAD.test(line.raw)
  const wedges = WEDGES.test(line.raw)
  const purpose = each
    ? 'pan'
    : wedges
      ? 'dip'
      : read.purpose === 'shell' && food && !foodIs(food, 'flour')
        ? 'finish'
        : read.purpose
  if (!purpose || purpose === kind) return kind
  // "Cornmeal for the tray" dusts.
  if (purpose === 'pan' && foodIs(food, 'flour')) return 'shell'
  if (purpose === 'pan') {
    if (!isOfPan({ food, line })) return kind
    const named =
      /\bfor (?:frying|cooking|saut[eé]ing|browning)\s+(?:the\s+)?([a-zß-öø-ɏ]+)/i.exec(line.raw)?.[1] ?? ''
    return /^(?:onions?|filling|vegetables|veg|meat|mushrooms?|leeks?|spices|garlic)$/i.test(named)
      ? kind
      : 'pan'
  }
  if (purpose === 'finish') return kind === 'dip' || kind === 'pan' ? kind : 'finish'
  // "To cook: oil; lemon wedges to serve": nothing is fried in the wedges.
  if (purpose === 'dip')
    return !wedges && (kind === 'finish' || (kind === 'pan' && isOfPan({ food, line }))) ? kind : 'dip'
  return kind
}

/** "Wrappers (about 40)" over flour and water heads what is made here, and buys none. */
function headMadeHere(drafts: Draft[]): void {
  for (const draft of drafts) {
    const [first] = draft.lines
    if (draft.kind !== 'shell' || !first || draft.lines.length < 3) continue
    const isHead =
      foodIs(first.food, 'bought-dough') &&
      /^\W*(?:the )?(?:[a-zß-öø-ɏ]+ )?(?:wrappers?|skins?|dis[ck]s|rounds)\s*\((?:about |around |approx\.? |makes |for |~ ?)*\d{1,3}(?: pieces)?\)\W*$/i.test(
        first.line.raw,
      )
    const flourGrams = draft.lines.reduce(
      (sum, { food, line }) => sum + (food?.group === 'flour' ? (line.grams ?? 0) : 0),
      0,
    )
    if (!isHead || flourGrams < MADE_HERE_GRAMS) continue
    draft.name = first.line.raw.trim()
    draft.lines = draft.lines.slice(1)
  }
}
/** "1 egg yolk + 1 tbsp milk": an egg and what thins it, on one row. */
const isThinWash = (items: readonly ReadIngredient[]): boolean =>
  items.length === 2 &&
  items[0]!.food?.group.startsWith('egg') === true &&
  /^(?:liquid|milk|plant-milk|cream)$/.test(items[1]!.food?.group ?? '') &&
  (items[1]!.line.grams ?? 0) <= THINS_GRAMS
/** So much flour is no dusting. Our own choice. */
const MADE_HERE_GRAMS = 80

/** "Wrappers – about 35, bought", and the list goes on below: nothing goes into a dough that is bought. */
function leaveBoughtAlone(drafts: Draft[]): void {
  for (const draft of drafts) {
    if (draft.kind !== 'shell' || !foodIs(draft.lines[0]?.food ?? null, 'bought-dough')) continue
    if (draft.lines.some(({ food }) => foodIs(food, 'flour'))) continue
    if (!draft.lines.some(({ food }, at) => at > 0 && FILLS.some((trait) => foodIs(food, trait)))) continue
    // Starch to dust with and water to seal with may stand with what is bought.
    const from = draft.lines.findIndex(({ food }, at) => at > 0 && !foodIs(food, 'of-dough'))
    if (from < 1) continue
    const inside = draft.lines.splice(from)
    const filling = drafts.find(({ kind, into }) => kind === 'filling' && !into)
    if (filling) filling.lines.unshift(...inside)
    else drafts.push(newDraft('filling', { lines: inside }))
  }
}

/**
 * A list under "Dough" that goes on with what no dough holds, where no other part holds it: the filling, whose heading
 * or empty line was lost.
 */
function fillBehindDough(drafts: Draft[], notes: RecipeNote[], isToldElsewhere: () => boolean): void {
  if (drafts.some(({ kind, into, lines }) => kind === 'filling' && !into && lines.length)) return
  const shell = drafts.find(({ kind, lines }) => kind === 'shell' && lines.some(leadsDough))
  if (!shell) return
  const flour = shell.lines.findLastIndex(({ food }) => isDoughBase(food) && foodIs(food, 'flour'))
  const from = shell.lines.findIndex(
    ({ food }, at) =>
      at > flour &&
      food !== null &&
      !(['of-dough', 'seasons', 'moist-dough'] as const).some((trait) => foodIs(food, trait)) &&
      food.group !== 'nut',
  )
  if (flour < 0 || from < 0) return
  const inside = shell.lines.slice(from)
  const grams = inside.reduce((sum, { line }) => sum + (line.grams ?? 0), 0)
  // "For the filling boil 2 lbs of potatoes …": the method tells it, and the sour cream is the dough's.
  if (grams < LEAST_FILLING_GRAMS || isToldElsewhere()) return
  shell.lines = shell.lines.slice(0, from)
  drafts.push(newDraft('filling', { lines: inside }))
  notes.push({
    code: 'no-headings',
    level: 'check',
    text: 'The list of the dough goes on with what no dough holds: that was taken for the filling',
  })
}
/** Less of it may be in a dough: a grated carrot, a spoon of cheese. Our own choice. */
const LEAST_FILLING_GRAMS = 120

/** What goes in and into no dough: a row with any of it lists more than the dough. */
const FILLS = ['flesh', 'plant-protein'] as const

const PER_BREAD =
  /\b(?:per|for each|for every) (?:paratha|roti|naan|flat ?bread|bread|kulcha|pancake|cr[eê]pe|ch(?:il|ee)la|chilla|dosa|uttapam|cake|pupusa|arepa|tortilla|piece|side)s?\b/i

const partKind = (kind: HeadingKind): PartKind | null => PART_KINDS.find((one) => one === kind) ?? null

/** More soda than any dough takes. Our own choice. */
const BATH_SODA_GRAMS = 25

const WASH = /\b(?:egg|milk|yolk) ?wash\b/i
/** Named without an amount these are brushed on: nobody leaves the egg of a filling open. */
const BARE_WASH = /^(?:a (?:little )?|some )?(?:beaten egg|egg,? beaten|egg and milk|milk)\.?$/i

/**
 * Gives every ingredient line of an outline its part. Headings decide where there are any; without them blank
 * lines and the foods do: dough is the run of dough-like lines round the flour.
 */
export function placeLines(outline: Outline, foods: Foods): Placed {
  const drafts: Draft[] = []
  const notes: RecipeNote[] = []
  const blocks: ReadIngredient[][] = []
  const moved = new Map<ReadIngredient, Draft>()
  let current: Draft | null = null

  const draftOf = (kind: PartKind, name: string): Draft => {
    const same = drafts.find(
      (draft) =>
        draft.kind === kind &&
        draft.into === null &&
        (draft.name.toLowerCase() === name.toLowerCase() ||
          (kind !== 'filling' && kind !== 'shell' && kind !== 'dip') ||
          (kind !== 'filling' &&
            (GENERIC.test(name) || GENERIC.test(draft.name)) &&
            name === PART_NAMES[kind])),
    )
    if (same) return same
    const made = newDraft(kind, { name })
    drafts.push(made)
    return made
  }
  const place = (item: ReadIngredient, home: Draft | null): boolean => {
    if (/\b(?:cooking|oil|non-?stick) spray\b/i.test(item.line.raw))
      item.read = { ...item.read, purpose: item.read.purpose ?? 'pan' }
    // In a dough's list an egg is the dough's, unless it has one already.
    const ownEgg =
      home?.kind === 'shell' && !home.lines.some(({ food }) => food !== null && foodIs(food, 'whole-egg'))
    const said = WASH.test(item.line.raw) || (BARE_WASH.test(item.line.raw) && !ownEgg)
    const wash = said ? 'finish' : null
    if (wash && (!home || home.kind !== 'finish') && !item.read.measures.length)
      item.read = { ...item.read, purpose: item.read.purpose ?? wash }
    // "2 sheets puff pastry for the tops": of a pie, and nothing that finishes it.
    if (item.read.purpose === 'finish' && foodIs(item.food, 'bought-dough'))
      item.read = { ...item.read, purpose: null }
    const wedges = !home && WEDGES.test(item.line.raw) ? 'dip' : null
    // "1 tsp oil per paratha".
    if (!home && !item.read.purpose && isFat(item.food) && PER_BREAD.test(item.line.raw))
      item.read = { ...item.read, purpose: 'pan' }
    const target = home
      ? movedTo(home.kind, item, item.food)
      : wedges
        ? wedges
        : item.read.purpose === 'shell'
          ? item.food && !foodIs(item.food, 'flour')
            ? 'finish'
            : null
          : item.read.purpose
    if (home && (!target || target === home.kind)) {
      home.lines.push(item)
      return true
    }
    if (home) moved.set(item, home)
    if (target && target !== 'pan') draftOf(target, PART_NAMES[target]).lines.push(item)
    else if (target === 'pan' && isOfPan(item)) draftOf('pan', PART_NAMES.pan).lines.push(item)
    else return false
    return true
  }
  const readLines = readerFor(
    [...outline.sections.flatMap(({ items }) => items), ...outline.steps].map(({ text }) => text),
    foods,
  )
  const readSection = (section: Section, under: Draft | null) => {
    let home = under
    let onTop = false
    // "Others" over more of the list: what stands below it is a block of its own.
    if (!home && !section.heading && blocks.length) blocks.push([])
    for (const { text, blankBefore } of section.items) {
      if (!home && (blankBefore || !blocks.length)) blocks.push([])
      const items = readLines(text)
      // "1 egg yolk + 1 tbsp water" behind a blank line below what is boiled or fried in: it is brushed on.
      const isBehindPan = home?.kind === 'pan' && items.some(({ food }) => food?.group.startsWith('egg'))
      const isWashHere =
        home &&
        home.kind !== 'shell' &&
        isThinWash(items) &&
        (blankBefore || home.into || home.kind === 'dip')
      // "Bath: 2 l water + bicarb / pretzel salt / 1 yolk": what is strewn and brushed on goes into none.
      const isStrewn =
        home?.kind === 'pan' && items.every(({ read }) => /\b(?:pretzel|coarse|flaky) salt\b/i.test(read.raw))
      if (isWashHere || ((isBehindPan || isStrewn) && (blankBefore || home!.lines.length > 0)))
        home = draftOf('finish', PART_NAMES.finish)
      // "500 g flour, 7 g yeast, 2 yolks, zest, 250 ml milk" on one row is a dough, and all of it.
      const wholeDough =
        !home &&
        section.items.length > 1 &&
        items.length >= 4 &&
        items.some(leadsDough) &&
        items.some(({ food }) => isLiquid(food)) &&
        items.every(({ food }) => !food || !FILLS.some((trait) => foodIs(food, trait))) &&
        !drafts.some(({ kind, lines }) => kind === 'shell' && lines.length)
      if (wholeDough) {
        draftOf('shell', PART_NAMES.shell).lines.push(...items)
        continue
      }
      // "8 cups water + 1/2 cup baking soda": a bath that is poured away.
      const isBath =
        items.length === 2 &&
        items.some(({ food }) => food?.id === 'water') &&
        items.some(({ food, line }) => food?.id === 'baking-soda' && (line.grams ?? 0) >= BATH_SODA_GRAMS)
      if (isBath) {
        draftOf('pan', PART_NAMES.pan).lines.push(...items)
        continue
      }
      for (const item of items) {
        // "Egg wash one egg / sesame": seeds without an amount go on top of what is brushed on.
        if (
          onTop &&
          !blankBefore &&
          // "4 tbsp passata for the top / olive oil": it is drizzled on that.
          ((item.food?.group === 'seed' && (item.line.grams ?? 0) <= MOST_SEEDS_ON_TOP_GRAMS) ||
            // "Egg wash / demerara sugar".
            (item.food?.group === 'sweetener' && !item.read.measures.length) ||
            (isFat(item.food) &&
              !item.read.measures.length &&
              item.food?.id !== 'oil-spray' &&
              home?.kind !== 'pan'))
        )
          item.read = { ...item.read, purpose: item.read.purpose ?? 'finish' }
        if (!place(item, home)) blocks.at(-1)!.push(item)
        onTop = item.read.purpose === 'finish'
      }
    }
  }

  for (const section of outline.sections) {
    const { heading } = section
    if (!heading) {
      readSection(section, null)
      current = null
      continue
    }
    if (heading.kind === 'same') {
      // "Dry", "Spices" inside a part go on with it; before any part they say nothing.
      readSection(section, current)
      continue
    }
    const kind = partKind(heading.kind)
    if (kind) {
      current = draftOf(kind, heading.name)
      current.pieces ??= kind === 'filling' ? heading.pieces : null
      // "Dough (enough for 48)" counts what the whole recipe makes.
      if (kind === 'shell' && heading.pieces && !outline.counts.some((count) => count.pieces))
        outline.counts.push({
          pieces: heading.pieces,
          servings: null,
          perServing: null,
          text: `${heading.name}: makes ${heading.pieces}`,
        })
      if (current.name !== heading.name && section.items.length && !GENERIC.test(heading.name))
        notes.push({ code: 'kept-text', level: 'note', text: limit(heading.name, 600) })
    } else {
      current = newDraft('filling', { name: heading.name, unsure: heading.kind === 'unknown' })
      // The host is found when all parts are known; until then it stands apart.
      current.into = current
      drafts.push(current)
    }
    readSection(section, current)
  }
  placeBlocks(
    blocks.filter((block) => block.length),
    drafts,
    notes,
  )
  moveSaidFor(drafts)
  headMadeHere(drafts)
  leaveBoughtAlone(drafts)
  fillBehindDough(drafts, notes, () => toldFilling(outline, foods) !== null)
  takeReadyShell(drafts, notes)
  mashIntoDough(drafts, notes, outline.steps)
  fillWithMarinated(drafts)
  fillWithTopping(drafts, notes)
  dustTheBoard(drafts)
  layerTheDough(drafts)
  pourIntoPot(drafts)
  const unplaced = drafts.filter((draft) => draft.into === draft)
  const references = settleComponents(drafts.filter((draft) => draft.lines.length))
  nameByKind(unplaced, notes)
  return { drafts: drafts.filter((draft) => draft.lines.length), notes, references, moved }
}
