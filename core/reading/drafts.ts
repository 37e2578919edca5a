import type { Food, Foods } from '../food/food'
import type { PartKind, RecipeNote } from '../recipe/document'
import type { HeadingKind } from './headings'
import { normaliseName } from './match'
import { limit, readIngredients, type ReadIngredient } from './readIngredient'
import type { Outline, Section } from './outline'

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
}

/** What a part is called when the text gives it no heading. */
export const PART_NAMES: Record<PartKind, string> = {
  shell: 'Dough',
  filling: 'Filling',
  marinade: 'Marinade',
  finish: 'To finish',
  pan: 'Pan',
  dip: 'Dip',
}

const FLOUR = new Set(['flour', 'starch', 'gluten', 'protein-powder', 'fibre'])
export const READY = new Set(['wrapper', 'pastry'])
const LIQUID = new Set(['liquid', 'milk', 'plant-milk'])
/** Foods that make a dough besides its flour. */
export const DOUGH = new Set(
  'flour starch fibre gluten gum leavening protein-powder liquid milk plant-milk milk-powder yogurt plant-yogurt oil solid-fat egg egg-yolk egg-white plant-egg salt sweetener polyol wrapper pastry'.split(
    ' ',
  ),
)
/** Foods that may stand in a dough's list, and go on to the filling when nothing of the dough follows. */
export const PASSED = new Set(['spice', 'seed', 'herb', 'seasoning'])
/** Words for a bought dough. */
export const READY_WORDS =
  /\b(?:wrappers?|skins?|dis[ck]s|tapas|tortillas?|(?:pastry|filo|phyllo|pasta|lasagne) sheets?|puff pastry|shortcrust)\b/i
const isWash = (food: Food | null) =>
  !!food &&
  /^(?:egg|egg-yolk|egg-white|plant-egg|milk|plant-milk|cream|plant-cream|seed|salt|liquid)$/.test(food.group)

export const isFlour = (food: Food | null): boolean =>
  !!food && (FLOUR.has(food.group) || READY.has(food.group))
/** Thickeners and protein powders go into fillings too; a flour or a wrapper says "dough". */
const leadsDough = ({ food, line }: ReadIngredient) =>
  // Bought rounds that the larder lacks are the dough all the same.
  (!food && READY_WORDS.test(line.raw)) ||
  (!!food &&
    (READY.has(food.group) ||
      (food.group === 'flour' && food.id !== 'rolled-oats') ||
      (FLOUR.has(food.group) && (line.grams ?? 0) >= 80)))
export const isLiquid = (food: Food | null): boolean => !!food && LIQUID.has(food.group)
export const isFat = (food: Food | null): boolean => !!food && food.softeningFat !== null

/** A part as it is read, with nothing in it yet. */
export const newDraft = (kind: PartKind, name: string, fields: Partial<Draft> = {}): Draft => ({
  kind,
  name: limit(name, 120),
  lines: [],
  pieces: null,
  into: null,
  unsure: false,
  usedGrams: null,
  ...fields,
})

/** The drafts of a recipe, and the notes that placing its lines gave rise to. */
export interface Placed {
  drafts: Draft[]
  notes: RecipeNote[]
  /** Lines that stand for a component ("the gravy"), with what they stand for. */
  references: Map<ReadIngredient, Draft>
  /** Lines that say what they are for and so left the part they stood in. */
  moved: Map<ReadIngredient, Draft>
}

const GENERIC =
  /^(?:for |to make |make )?(?:the )?(?:dough|pastry|filling|stuffing|crust|wrappers?|shell|outer|inside|dip|sauce|to serve|to finish)$/i

/** Where a line belongs that says what it is for. Oil "for frying the onions" stays with its onions. */
function movedTo(kind: PartKind, { read, line }: ReadIngredient, food: Food | null): PartKind {
  // "Icing sugar, to dust" is no flour for the board.
  const purpose = read.purpose === 'shell' && food && !FLOUR.has(food.group) ? 'finish' : read.purpose
  if (!purpose || purpose === kind) return kind
  if (purpose === 'pan') {
    // Water is the pan's only where the line says so: "for steaming".
    if (!isFat(food)) return /spray|\b(?:for|to) (?:the )?(?:steam|boil)/i.test(line.raw) ? 'pan' : kind
    const named =
      /\bfor (?:frying|cooking|saut[eé]ing|browning)\s+(?:the\s+)?(\p{L}+)/iu.exec(line.raw)?.[1] ?? ''
    return /^(?:onions?|filling|vegetables|veg|meat|mushrooms?|leeks?|spices|garlic)$/i.test(named)
      ? kind
      : 'pan'
  }
  if (purpose === 'finish') return kind === 'dip' || kind === 'pan' ? kind : 'finish'
  if (purpose === 'dip') return kind === 'finish' || kind === 'pan' ? kind : 'dip'
  return kind
}

const partKind = (kind: HeadingKind): PartKind | null =>
  kind === 'shell' ||
  kind === 'filling' ||
  kind === 'marinade' ||
  kind === 'finish' ||
  kind === 'pan' ||
  kind === 'dip'
    ? kind
    : null

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
    const made = newDraft(kind, name)
    drafts.push(made)
    return made
  }
  const place = (item: ReadIngredient, home: Draft | null): boolean => {
    if (/\b(?:cooking|oil|non-?stick) spray\b/i.test(item.line.raw))
      item.read = { ...item.read, purpose: item.read.purpose ?? 'pan' }
    const wash = /\begg ?wash\b/i.test(item.line.raw) ? 'finish' : null
    if (wash && (!home || home.kind !== 'finish') && !item.read.measures.length)
      item.read = { ...item.read, purpose: item.read.purpose ?? wash }
    const target = home
      ? movedTo(home.kind, item, item.food)
      : item.read.purpose === 'shell'
        ? item.food && !FLOUR.has(item.food.group)
          ? 'finish'
          : null
        : item.read.purpose
    if (home && (!target || target === home.kind)) {
      home.lines.push(item)
      return true
    }
    if (home) moved.set(item, home)
    if (target && target !== 'pan') draftOf(target, PART_NAMES[target]).lines.push(item)
    else if (target === 'pan' && (isFat(item.food) || /spray/i.test(item.line.raw)))
      draftOf('pan', PART_NAMES.pan).lines.push(item)
    else return false
    return true
  }
  const readSection = (section: Section, home: Draft | null) => {
    for (const { text, blankBefore } of section.items) {
      if (!home && (blankBefore || !blocks.length)) blocks.push([])
      for (const item of readIngredients(text, foods)) if (!place(item, home)) blocks.at(-1)!.push(item)
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
      if (current.name !== heading.name && section.items.length && !GENERIC.test(heading.name))
        notes.push({ code: 'kept-text', level: 'note', text: limit(heading.name, 600) })
    } else {
      current = newDraft('filling', heading.name, { unsure: heading.kind === 'unknown' })
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
  takeReadyShell(drafts, notes)
  const references = settleComponents(drafts.filter((draft) => draft.lines.length))
  return { drafts: drafts.filter((draft) => draft.lines.length), notes, references, moved }
}

const grams = (items: readonly ReadIngredient[]) =>
  items.reduce((sum, { line }) => sum + (line.grams ?? 0), 0)

/** Lines under no heading, block by block as blank lines part them. */
function placeBlocks(blocks: ReadIngredient[][], drafts: Draft[], notes: RecipeNote[]): void {
  if (!blocks.length) return
  const home = (kind: PartKind): Draft => {
    const known = drafts.find((draft) => draft.kind === kind && !draft.into)
    if (known) return known
    const made = newDraft(kind, PART_NAMES[kind])
    drafts.push(made)
    return made
  }
  const has = (kind: PartKind) =>
    drafts.some((draft) => draft.kind === kind && !draft.into && draft.lines.length)
  const hadShell = has('shell')
  const hadFilling = has('filling')
  let from = 0
  if (!hadShell) {
    const flourShare = (block: readonly ReadIngredient[]) =>
      block.filter(leadsDough).reduce((sum, { line }) => sum + (line.grams ?? 1), 0)
    const best = blocks.reduce(
      (found, block) => (flourShare(block) > flourShare(found) + 0.5 ? block : found),
      blocks[0]!,
    )
    if (best.some(leadsDough)) {
      const fillingLike = ({ food }: ReadIngredient) =>
        !food || !(DOUGH.has(food.group) || PASSED.has(food.group))
      // A blank line parts dough and filling: what stands with the flour is the dough, potato and cheese too.
      const elsewhere = blocks.some(
        (block) =>
          block !== best &&
          (block.filter(fillingLike).length >= 2 || grams(block.filter(fillingLike)) >= 100),
      )
      const run =
        elsewhere ||
        (hadFilling &&
          best.every(
            ({ food }) => !food || DOUGH.has(food.group) || PASSED.has(food.group) || isLiquid(food),
          ))
          ? best
          : doughRun(best, blocks.length === 1 && !hadFilling)
      home('shell').lines.push(...run)
      const rest = best.filter((item) => !run.includes(item))
      const at = blocks.indexOf(best)
      if (rest.length) blocks[at] = rest
      else blocks.splice(at, 1)
      if (!hadFilling && (blocks.length > 0 || rest.length))
        notes.push({
          code: 'no-headings',
          level: 'check',
          text: 'There were no headings: the dough was taken to be the lines round the flour',
        })
      if (rest.length && !hadFilling) borrowLiquid(home('shell'), blocks, notes)
    } else if (hadFilling) {
      home('shell').lines.push(...blocks[0]!)
      from = 1
    }
  } else if (!hadFilling) from = 0
  for (const block of blocks.slice(from)) {
    // Half a litre of fat among the lines is a pot to fry in.
    const pot = block.find((item) => isFat(item.food) && (item.line.grams ?? 0) >= 400)
    if (pot) {
      home('pan').lines.push(pot)
      block.splice(block.indexOf(pot), 1)
      if (!block.length) continue
    }
    // After the filling a block of wash or of fat alone belongs to the end of the work.
    const filled = has('filling')
    if (
      filled &&
      block.length <= 3 &&
      block.every(({ food }) => isWash(food)) &&
      block.some(({ food }) => food?.group.startsWith('egg') || food?.group.includes('milk'))
    )
      home('finish').lines.push(...block)
    else if (filled && block.length === 1 && isFat(block[0]!.food)) home('pan').lines.push(...block)
    else if (
      filled &&
      hadShell &&
      !hadFilling &&
      block.every(({ food }) => !!food && /^(?:sauce|liquid|seasoning|spice|yogurt|oil)$/.test(food.group))
    )
      home('dip').lines.push(...block)
    else if (
      filled &&
      block.length >= 2 &&
      block.every(({ food }) => !!food && /^(?:sauce|liquid|seasoning|sweetener|spice)$/.test(food.group)) &&
      block.some(({ food }) => food?.group === 'sauce')
    )
      home('dip').lines.push(...block)
    else home('filling').lines.push(...block)
  }
}

/**
 * The dough in a block of lines: from the flour outwards over everything a dough is made of. Spices and seeds are
 * passed over where the dough goes on behind them, and start the filling where it does not.
 */
function doughRun(block: readonly ReadIngredient[], alone: boolean): ReadIngredient[] {
  const flourAt = block.findIndex(leadsDough)
  const ready = ({ food, line }: ReadIngredient) =>
    food ? READY.has(food.group) : READY_WORDS.test(line.raw)
  if (ready(block[flourAt]!) && !block.some(({ food }) => food?.group === 'flour')) return block.filter(ready)
  const kindAt = (at: number) => {
    const food = block[at]?.food
    if (!food) return block[at] ? 'other' : 'end'
    return DOUGH.has(food.group) ? 'dough' : PASSED.has(food.group) ? 'passed' : 'other'
  }
  let from = flourAt
  while (kindAt(from - 1) === 'dough' || (kindAt(from - 1) === 'passed' && kindAt(from - 2) === 'dough'))
    from--
  let to = flourAt
  for (let at = flourAt + 1; at < block.length; at++) {
    const kind = kindAt(at)
    if (kind === 'dough') to = at
    else if (kind === 'other') break
  }
  // A block that is all dough but for its spices is dough altogether.
  if (!alone && block.every((_, at) => kindAt(at) !== 'other')) return [...block]
  return block.slice(from, to + 1)
}

/** A liquid behind the filling that the flour cannot do without. */
function borrowLiquid(shell: Draft, blocks: ReadIngredient[][], notes: RecipeNote[]): void {
  const wet = ({ food, line }: ReadIngredient) =>
    !!food && (isLiquid(food) || /yogurt|egg|cheese|purée/.test(food.group)) && (line.grams ?? 1) > 0
  if (shell.lines.some(wet) || shell.lines.some(({ food }) => food && READY.has(food.group))) return
  for (const block of blocks) {
    const at = block.findIndex(({ food }) => isLiquid(food))
    if (at < 0) continue
    const [liquid] = block.splice(at, 1)
    shell.lines.push(liquid!)
    notes.push({
      code: 'liquid-borrowed',
      level: 'check',
      text: `"${limit(liquid!.line.raw, 200)}" stands with the filling, but the flour has no other liquid: it was taken for the dough`,
    })
    return
  }
}

/** Bought wrappers listed with the filling are the dough of the piece. */
function takeReadyShell(drafts: Draft[], notes: RecipeNote[]): void {
  if (drafts.some((draft) => draft.kind === 'shell' && draft.lines.length)) return
  for (const draft of drafts) {
    const ready = draft.lines.filter(({ food }) => food && READY.has(food.group))
    if (!ready.length) continue
    draft.lines = draft.lines.filter((item) => !ready.includes(item))
    drafts.push(newDraft('shell', 'Wrappers', { lines: ready }))
    notes.push({ code: 'ready-shell', level: 'note', text: 'The bought wrappers were taken as the dough' })
    return
  }
}

/** Words of a component's name that say what it is: "the slow-cooked seitan" is "seitan". */
const coreName = (name: string) =>
  normaliseName(name.replace(/\([^)]*\)/g, ''))
    .split(' ')
    .filter(
      (word) =>
        !/^(?:for|the|to|make|my|our|home|made|homemade|quick|easy|basic|slow|cooked|spiced|simple|of|a|all|from|above|below|recipe|batch|rest|prepared|cooled|finished|remaining)$/.test(
          word,
        ),
    )
    .join(' ')

const STARTERS = /\b(?:starter|sponge|tangzhong|roux|poolish|levain|preferment|pre-ferment|biga|flax egg)\b/i

/** Whether a line means the component of that name: "the gravy", "200 g seitan, diced", "masala from above". */
function refersTo(item: ReadIngredient, name: string): boolean {
  const own = coreName(item.read.name)
  return own !== '' && (own === name || own.endsWith(` ${name}`) || name.endsWith(` ${own}`))
}

/** Finds for every component the part that uses it, and the line that stands for it there. */
function settleComponents(drafts: Draft[]): Map<ReadIngredient, Draft> {
  const references = new Map<ReadIngredient, Draft>()
  const waiting = drafts.filter(
    (draft) => draft.into === draft || (draft.kind === 'dip' && draft.lines.length > 0),
  )
  for (const component of waiting) {
    const isDip = component.into !== component
    const name = coreName(component.name)
    for (const host of drafts) {
      if (host === component || !name) continue
      const reference = host.lines.find((item) => refersTo(item, name))
      if (!reference) continue
      if (isDip && (!/\bthe\b|above|below/i.test(reference.line.raw) || host.kind !== 'filling')) continue
      component.into = host
      component.kind = host.kind
      component.unsure = false
      const mass = reference.read.measures.find((measure) =>
        measure.every((term) => /^(?:g|kg|oz|lb)$/.test(term.unitId ?? '')),
      )
      component.usedGrams = mass && !/\bball\b/.test(reference.line.raw) ? reference.line.grams : null
      Object.assign(reference.line, {
        foodId: null,
        grams: null,
        gramsLow: null,
        gramsHigh: null,
        waterChangeGrams: 0,
        notes: [],
        choices: [],
      })
      reference.food = null
      references.set(reference, component)
      break
    }
  }
  const fillings = () =>
    drafts.filter((draft) => draft.kind === 'filling' && draft.into === null && draft.lines.length)
  const orphans = drafts.filter((draft) => draft.into === draft)
  for (const component of orphans) {
    const shell = drafts.find((draft) => draft.kind === 'shell' && !draft.into)
    // "Pâte brisée": a name that is not known over flour and fat, where no other dough is.
    const host =
      !shell && component.lines.some(leadsDough)
        ? undefined
        : STARTERS.test(component.name) && shell
          ? shell
          : fillings()[0]
    if (host) {
      component.into = host
      component.kind = host.kind
    } else {
      // No part calls itself a filling: this is what goes inside.
      component.into = null
      component.kind = !shell && component.lines.some(leadsDough) ? 'shell' : 'filling'
    }
  }
  return references
}

/** The words of a draft's own foods, for finding which part a sentence speaks of. */
export function wordsOfDraft(draft: Draft): Set<string> {
  const words = new Set<string>()
  const add = (text: string) => {
    const own = normaliseName(text).split(' ')
    // "Greens" alone names a food; "green pepper" is named by its last word.
    for (const word of own)
      if (word.length > 2 && !COMMON.has(word) && (own.length === 1 || !DESCRIBES.has(word))) words.add(word)
  }
  for (const { food, read } of draft.lines) {
    add(read.name)
    if (food) add(food.name.split(',')[0]!)
  }
  return words
}

const COMMON = new Set(
  'water oil butter ghee lard margarine salt pepper flour the for and with can fat'.split(' '),
)
/** Words that describe a food and name none in company. */
const DESCRIBES = new Set(
  'vegan fresh dried dry large small medium plain white red green black brown ground powder cold warm hot seed raw whole cooked boiled chopped'.split(
    ' ',
  ),
)
