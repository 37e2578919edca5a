import { foodIs } from '../food/groups'
import type { RecipeNote } from '../recipe/document'
import { PART_NAMES, type PartKind } from '../recipe/vocabulary'
import { isFat, isLiquid, isWash, leadsDough, newDraft, isPassed, READY_WORDS, type Draft } from './drafts'
import { limit, type ReadIngredient } from './readIngredient'

const grams = (items: readonly ReadIngredient[]) =>
  items.reduce((sum, { line }) => sum + (line.grams ?? 0), 0)

/** Lines under no heading, block by block as blank lines part them. */
export function placeBlocks(blocks: ReadIngredient[][], drafts: Draft[], notes: RecipeNote[]): void {
  if (!blocks.length) return
  const home = (kind: PartKind): Draft => {
    const known = drafts.find((draft) => draft.kind === kind && !draft.into)
    if (known) return known
    const made = newDraft(kind)
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
    // A spoon of flour thickens what goes in, and is no dough.
    const isBought = best.some(({ food, line }) =>
      food ? foodIs(food, 'bought-dough') : READY_WORDS.test(line.raw),
    )
    const flourGrams = best.reduce(
      (sum, { food, line }) => sum + (foodIs(food, 'flour') ? (line.grams ?? LEAST_DOUGH_GRAMS) : 0),
      0,
    )
    const isDough = isBought || flourGrams >= LEAST_DOUGH_GRAMS || best.some(isLean)
    if (best.some(leadsDough) && isDough) {
      const fillingLike = ({ food }: ReadIngredient) => !food || !(foodIs(food, 'of-dough') || isPassed(food))
      // A blank line parts dough and filling: what stands with the flour is the dough, potato and cheese too.
      const elsewhere = blocks.some(
        (block) =>
          block !== best &&
          (block.filter(fillingLike).length >= 2 ||
            grams(block.filter(fillingLike)) >= 100 ||
            // Ground nuts with sugar and fat, where the dough has its liquid: small sweet fillings.
            (block.length >= 2 && block.some(fillingLike) && best.some(({ food }) => isLiquid(food)))),
      )
      const run =
        elsewhere ||
        // Under no heading, above one for the filling: all of it is the dough, melted cheese too.
        hadFilling
          ? best
          : doughRun(best, blocks.length === 1 && !hadFilling)
      const brushed = fatForSheets(best)
      home('shell').lines.push(...run.filter((item) => item !== brushed))
      if (brushed) home('finish').lines.push(brushed)
      const rest = best.filter((item) => !run.includes(item) && item !== brushed)
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
      // Above the heading of the filling stands the dough, of whatever it is: mashed cassava, plantain.
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
    // "Others: nigella, coriander leaves": a few seeds and leaves, listed last.
    else if (
      filled &&
      hadFilling &&
      block.length <= 3 &&
      block.every(({ food }) => /^(?:seed|herb)$/.test(food?.group ?? '') || food?.id === 'nigella')
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
    else {
      const filling = home('filling')
      if (filling.lines.length) filling.apart = [...(filling.apart ?? []), block]
      filling.lines.push(...block)
    }
  }
}

/** Less flour than this makes no dough. Our own choice. */
const THICKENING_GRAMS = 60
/** Of less flour nobody makes a dough for a batch. Our own choice. */
const LEAST_DOUGH_GRAMS = 30

/** Sweet things of the dough's groups that fill it where there is much of them. Our own choice. */
const SWEET_INSIDE =
  /^(?:jam|.*chocolate.*|marzipan|dulce-de-leche|plum-butter|guava-paste|lemon-curd|red-bean-paste|lotus-paste|halva)/
const SWEET_INSIDE_GRAMS = 80
/** … and of the flour's weight, where it is listed last. Our own choice. */
const SWEET_INSIDE_SHARE = 0.1

/** Of the groups of fruit, and in doughs a flavour. */
const ZEST = /-zest$/

/** Sheets so thin that the fat named right behind them is brushed on between. */
const THIN_SHEETS = /^(?:filo|yufka)$/

/** The fat for brushing thin sheets: named right behind them, or said to be melted. */
function fatForSheets(block: readonly ReadIngredient[]): ReadIngredient | undefined {
  const at = block.findIndex(({ food }) => THIN_SHEETS.test(food?.id ?? ''))
  if (at < 0) return undefined
  const melted = ({ line }: ReadIngredient) => /\bmelted\b/i.test(line.raw)
  return [...block.slice(at + 1, at + 2), ...block.filter(melted)].find(({ food }) => isFat(food))
}

/**
 * The dough in a block of lines: from the flour outwards over everything a dough is made of. Spices and seeds are
 * passed over where the dough goes on behind them, and start the filling where it does not.
 */
function doughRun(block: readonly ReadIngredient[], alone: boolean): ReadIngredient[] {
  const flourAt = block.findIndex(leadsDough)
  const ready = ({ food, line }: ReadIngredient) =>
    food ? foodIs(food, 'bought-dough') : READY_WORDS.test(line.raw)
  // A spoon of flour beside a sheet of pastry thickens what goes in.
  const flourGrams = block.reduce(
    (sum, { food, line }) => sum + (food?.group === 'flour' ? (line.grams ?? 0) : 0),
    0,
  )
  if (block.some(ready) && flourGrams < THICKENING_GRAMS) return block.filter(ready)
  const kindAt = (at: number) => {
    const food = block[at]?.food
    if (!food) return block[at] ? 'other' : 'end'
    // Half a pot of jam is what is inside; a spoon of it sweetens.
    // At the end of a list eight spoons of it go in; one sweetens a dough wherever it stands.
    const sweetGrams = block[at]!.line.grams ?? 0
    const isLast = at === block.length - 1 && at > flourAt && alone
    const goesIn =
      sweetGrams >= SWEET_INSIDE_GRAMS || (isLast && sweetGrams >= SWEET_INSIDE_SHARE * flourGrams)
    if (SWEET_INSIDE.test(food.id) && goesIn) return 'other'
    // Cream cheese behind flour of nuts melts into it as the cheese above does.
    if (isLean(block[flourAt]!) && melts(block[at])) return 'dough'
    return foodIs(food, 'of-dough') ? 'dough' : isPassed(food) || ZEST.test(food.id) ? 'passed' : 'other'
  }
  let from = flourAt
  while (kindAt(from - 1) === 'dough' || (kindAt(from - 1) === 'passed' && kindAt(from - 2) === 'dough'))
    from--
  // Melted cheese above flour of nuts is what holds such a dough together.
  if (isLean(block[flourAt]!)) while (melts(block[from - 1])) from--
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

/** Flour with less starch than this holds no dough together, in g of carbohydrate without fibre in 100 g. Our own choice. */
const LEAN_CARBOHYDRATE_G = 30
const isLean = ({ food }: ReadIngredient): boolean =>
  food?.group !== undefined &&
  foodIs(food, 'flour') &&
  food.per100g.carbohydrateG - food.per100g.fibreG < LEAN_CARBOHYDRATE_G
const melts = (item: ReadIngredient | undefined): boolean =>
  item?.food?.group === 'melting-cheese' || /cream-cheese$/.test(item?.food?.kind ?? '')

/** With less liquid than this share of its flour nothing becomes a dough. Our own choice. */
const BORROWED_SHARE = 0.1

/** A liquid behind the filling that the flour cannot do without. */
function borrowLiquid(shell: Draft, blocks: ReadIngredient[][], notes: RecipeNote[]): void {
  const wet = ({ food, line }: ReadIngredient) =>
    !!food && (isLiquid(food) || /yogurt|egg|cheese|purée/.test(food.group)) && (line.grams ?? 1) > 0
  if (shell.lines.some(wet) || shell.lines.some(({ food }) => foodIs(food, 'bought-dough'))) return
  // Half a spoon of vinegar makes no dough.
  const flour = shell.lines.reduce(
    (sum, { food, line }) => sum + (foodIs(food, 'flour') ? (line.grams ?? 0) : 0),
    0,
  )
  const enough = ({ line }: ReadIngredient) => line.grams === null || line.grams >= BORROWED_SHARE * flour
  for (const block of blocks) {
    const at = block.findIndex((item) => isLiquid(item.food) && enough(item))
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

/** "4 pita breads": so many of a bread that is opened or folded. */
const isWholeBread = ({ name, measures }: ReadIngredient['read']): boolean =>
  /\b(?:pitt?as?|naans?|rotis?|chapatis?|tortillas?|wraps?|flat ?breads?|lavash|buns?|rolls?|baguettes?)\b/i.test(
    name,
  ) && measures.some((measure) => measure[0]?.unitId === null)

/** Bought wrappers listed with the filling are the dough of the piece. */
export function takeReadyShell(drafts: Draft[], notes: RecipeNote[]): void {
  if (drafts.some((draft) => draft.kind === 'shell' && draft.lines.length)) return
  for (const draft of drafts) {
    const ready = draft.lines.filter(({ food }) => foodIs(food, 'bought-dough'))
    if (!ready.length) continue
    draft.lines = draft.lines.filter((item) => !ready.includes(item))
    drafts.push(
      newDraft('shell', {
        name: ready.some(({ food }) => food?.group === 'wrapper') ? 'Wrappers' : PART_NAMES.shell,
        lines: ready,
      }),
    )
    notes.push({ code: 'ready-shell', level: 'note', text: 'The bought wrappers were taken as the dough' })
    return
  }
  // "8 slices sandwich bread": where there is no other dough, slices are filled and closed.
  for (const draft of drafts) {
    const slices = draft.lines.filter(
      ({ food, line, read }) =>
        food?.group === 'bread' &&
        (/\bslices?\b/i.test(line.raw) || isWholeBread(read)) &&
        // Soaked bread binds what goes in.
        !/crumb|\bsoak|\bsqueez|\bstale\b/i.test(line.raw),
    )
    if (draft.kind !== 'filling' || slices.length !== 1 || draft.lines.length < 2) continue
    draft.lines = draft.lines.filter((item) => !slices.includes(item))
    drafts.push(newDraft('shell', { name: 'Bread', lines: slices }))
    notes.push({ code: 'ready-shell', level: 'note', text: 'The bread was taken as the dough' })
    return
  }
}

/** "Marinade: 400 g chicken, 100 g yogurt" lists what goes in with what it lies in. */
export function fillWithMarinated(drafts: readonly Draft[]): void {
  const isFlesh = ({ food }: ReadIngredient) => foodIs(food, 'flesh') || foodIs(food, 'plant-protein')
  if (drafts.some(({ kind, lines }) => kind === 'filling' && lines.some(isFlesh))) return
  const marinade = drafts.find(({ kind, lines }) => kind === 'marinade' && lines.some(isFlesh))
  if (marinade) marinade.kind = 'filling'
}

/** Part of the dough's weight from which a topping is what the piece is filled with. Our own choice. */
const FILLS_SHARE = 0.3

/** What is called a topping, where there is nothing else to fill with and too much of it to be sprinkled on. */
export function fillWithTopping(drafts: Draft[], notes: RecipeNote[]): void {
  if (drafts.some((draft) => draft.kind === 'filling' && draft.lines.length)) return
  const dough = grams(drafts.filter((draft) => draft.kind === 'shell').flatMap((draft) => draft.lines))
  const topping = drafts.find(
    (draft) =>
      draft.kind === 'finish' &&
      draft.lines.length >= 2 &&
      grams(draft.lines) >= FILLS_SHARE * dough &&
      dough > 0,
  )
  if (!topping) return
  topping.kind = 'filling'
  // "Egg yolk for the edges" is brushed on all the same.
  const brushed = topping.lines.filter(({ read }) => read.purpose === 'finish')
  if (brushed.length && brushed.length < topping.lines.length) {
    topping.lines = topping.lines.filter((item) => !brushed.includes(item))
    drafts.push(newDraft('finish', { lines: brushed }))
  }
  notes.push({
    code: 'topping-fills',
    level: 'check',
    text: `"${limit(topping.name, 80)}" was taken for the filling: there is no other, and much of it`,
  })
}
