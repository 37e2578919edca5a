import { foodIs, isFat, isFlour } from '../food/groups'
import { softnessOf, softnessTerms, sumSoftness, waterToReach } from '../dough/softness'
import type { FoodAmount } from '../food/amount'
import type { Food, Foods } from '../food/food'
import { inDough, SCALDED } from '../food/scalded'
import { newLine, type Line, type Part, type Recipe } from '../recipe/document'
import { printLine } from '../recipe/printLine'
import { allergensAdded, NO_SWAP, type Change } from './applySwap'
import { formulaMark, type Formula, type FormulaShare } from './formulas'
import { foodOf } from '../recipe/lines'

/** A recipe whose dough was made anew by a formula. */
export interface Reformed {
  recipe: Recipe
  change: Change
  /** Foods that were not in the recipe. */
  fresh: Food[]
  /** Grams of flour in the dough that was replaced. */
  flourGrams: number
}

interface DoughLine {
  line: Line
  food: Food
  grams: number
}

/** What a part of a formula is taken from when the recipe has none of its own that fits. */
const USUAL: Readonly<Record<string, readonly string[]>> = {
  'fat:own': ['sunflower-oil'],
  'fat:solid': ['butter', 'plant-block', 'shortening', 'coconut-oil'],
  'fat:oil': ['sunflower-oil'],
  'yogurt:own': ['yogurt', 'soy-yogurt', 'oat-yogurt', 'coconut-yogurt'],
  'yogurt:strained': ['greek-yogurt', 'soy-yogurt'],
}
/** Salt of a dough that is made where one was bought, in % of its flours. Common practice, no source. */
const SALT_PCT = 1.5
const holdsGluten = (food: Food | undefined) => food?.allergens.includes('gluten') ?? false
const isOwn: Readonly<Record<string, (food: Food) => boolean>> = {
  'flour:own': isFlour,
  'fat:own': isFat,
  'fat:solid': (food) => isFat(food) && food.softeningFat === 'solid',
  'fat:oil': (food) => isFat(food) && food.softeningFat === 'oil',
  'yogurt:own': (food) => food.group === 'yogurt' || food.group === 'plant-yogurt',
  'yogurt:strained': (food) => food.id === 'greek-yogurt',
}

/** The share of a bought dough that is flour, for what is left unsaid. Our own choice. */
const READY_FLOUR = 0.55

/** From this share of its weight on something else than flour is what a dough is made of. Our own choice. */
const MAX_OTHER_BASE = 0.2

function otherBase(dough: readonly DoughLine[]): number {
  const total = dough.reduce((sum, { grams }) => sum + grams, 0)
  const base = dough.reduce((sum, { food, grams }) => sum + (foodIs(food, 'dough-base') ? grams : 0), 0)
  return total > 0 ? base / total : 0
}

/** Wet things that a formula has a range of, and how they are lessened where a dough comes out too soft. */
const TOO_WET_PCT = 3
const LESS_WET = 0.9

/** By what share egg may be more or less for the sake of whole ones: beyond it the dough would feel it. Our own choice. */
const MAX_OFF_FOR_EGGS = 0.12

/** A share of egg that comes to whole eggs, or else to halves, where the formula's range has room for that. */
function inWholeEggs({ food, pct, share }: Entry, scale: number): number {
  const egg = food.group === 'egg' ? food.unitGrams.piece : undefined
  if (!egg) return pct
  for (const part of [egg, egg / 2]) {
    const whole = (Math.round((pct * scale) / part) * part) / scale
    // The range, with what a scale that is set anew each turn may be off.
    const isNear = Math.abs(whole - pct) <= MAX_OFF_FOR_EGGS * pct
    if (whole > 0 && isNear && whole >= share.low * 0.99 && whole <= share.high * 1.01) return whole
  }
  return pct
}

/** Grams as a kitchen weighs them: whole ones, and tenths of what is little. */
const weighable = (grams: number) => (grams >= 15 ? Math.round(grams) : Math.round(grams * 10) / 10)
const clamp = (value: number, { low, high }: FormulaShare) => Math.min(high, Math.max(low, value))

/**
 * The recipe with its dough made by a formula: as heavy as it was, as soft as the formula's range of water allows it
 * to be like the old one, with the recipe's own salt, spices and milk and, where the formula asks for them, its own
 * flour, fat, yogurt and leavening. Where a formula only changes the flours, everything else stays and the water follows.
 *
 * @param fits whether a food may come in
 * @param target softness of the dough as it was; null leaves the formula's usual water
 * @param sweet false where sugar has no place: what sweetened the dough goes
 * @returns null where there is no dough to replace, or nothing that fits stands for one of its parts
 */
export function applyFormula(
  recipe: Recipe,
  formula: Formula,
  foods: Foods,
  { fits, target, sweet }: { fits: (food: Food) => boolean; target: number | null; sweet: boolean },
): Reformed | null {
  const had = new Set<string>()
  for (const part of recipe.parts) for (const { foodId } of part.lines) if (foodId) had.add(foodId)
  const fresh = new Map<string, Food>()
  const oldFoods: Food[] = []
  let flourGrams = 0
  let before = 0
  let after = 0
  let first: Line | null = null
  const amounts: string[] = []
  const parts: Part[] = []
  for (const part of recipe.parts) {
    const dough = part.kind === 'shell' ? doughOf(part, foods) : null
    const ready = dough?.some(({ food }) => foodIs(food, 'bought-dough')) ?? false
    // Bought dough counts as flour as far as dough usually is.
    if (ready && formula.water === null) return null
    const flours = dough?.filter(({ food }) => (ready ? foodIs(food, 'bought-dough') : isFlour(food))) ?? []
    if (!dough || !flours.length) {
      parts.push(part)
      continue
    }
    // A dough of potato, curd or cheese is not one of flour: there only the flours are changed.
    if (formula.water !== null && !ready && otherBase(dough) > MAX_OTHER_BASE) return null
    const made = reform(part, dough, flours, formula, foods, { fits, target: ready ? null : target, sweet })
    if (!made) return null
    first ??= flours[0]!.line
    oldFoods.push(...dough.map(({ food }) => food))
    flourGrams += (ready ? READY_FLOUR : 1) * flours.reduce((sum, { grams }) => sum + grams, 0)
    before += weightOf(dough.map(({ line }) => line))
    after += weightOf(made)
    for (const { foodId, grams } of made) {
      const food = foodId === null ? undefined : foods.get(foodId)
      if (!food || !grams) continue
      if (!had.has(food.id)) fresh.set(food.id, food)
      amounts.push(`${weighable(grams)} g ${food.name.toLowerCase()}`)
    }
    parts.push({ ...part, lines: made })
  }
  if (!first) return null
  return {
    recipe: { ...recipe, parts },
    fresh: [...fresh.values()],
    flourGrams,
    change: {
      kind: 'formula',
      line: first.raw,
      lineId: first.id,
      part: 'shell',
      from: 'The dough as written',
      to: formula.name,
      gramsBefore: before,
      gramsAfter: after,
      why: `${amounts.join(', ')}. It ${formula.can}`,
      ...NO_SWAP,
      handling: formula.method,
      cooking: formula.cooking[recipe.cooking.way] ?? '',
      allergensAdded: allergensAdded(oldFoods, [...fresh.values()]),
      swapId: formulaMark(formula),
      source: formula.source,
    },
  }
}

/** Bought doughs that yeast has raised. */
const YEASTED: ReadonlySet<string> = new Set(['pizza-dough'])
/** Instant yeast of a dough that is made in place of one, of its flour. Common practice, no source. */
const YEAST_PCT = 1.5

const weightOf = (lines: readonly Line[]) =>
  lines.reduce((sum, line) => sum + (line.grams ?? 0) + line.waterChangeGrams, 0)

function doughOf(part: Part, foods: Foods): DoughLine[] {
  return part.lines.flatMap((line): DoughLine[] => {
    const food = foodOf(line, foods)
    return food && line.grams ? [{ line, food, grams: line.grams }] : []
  })
}

/**
 * The milk or plant drink that a dough was made with: what wets the new one first, so that an enriched dough stays one.
 * Not where flour is scalded, which takes boiling water. Common practice, no source.
 */
function milkOf(dough: readonly DoughLine[], fits: (food: Food) => boolean) {
  const [line] = dough
    .filter(({ food }) => (food.group === 'milk' || food.group === 'plant-milk') && fits(food))
    .sort((a, b) => b.grams - a.grams)
  if (!line) return null
  const waterPerGram = softnessTerms({ food: line.food, grams: 1, waterChangeGrams: 0 }).freeWaterGrams
  // Condensed milk is no liquid to knead with.
  return waterPerGram > 0.75 ? { line, waterPerGram } : null
}

interface Entry {
  share: FormulaShare
  food: Food
  pct: number
  /** The line it takes the place of. */
  from: DoughLine | null
}

function reform(
  part: Part,
  dough: readonly DoughLine[],
  flours: readonly DoughLine[],
  formula: Formula,
  foods: Foods,
  { fits, target, sweet }: { fits: (food: Food) => boolean; target: number | null; sweet: boolean },
): Line[] | null {
  const flourGrams = flours.reduce((sum, { grams }) => sum + grams, 0)
  const mainFlour = [...flours].sort((a, b) => b.grams - a.grams)[0]!
  const entries: Entry[] = []
  // What makes a wheat dough stronger or more whole is no business of a dough of maize.
  const wheaten = formula.shares.some(({ of }) => holdsGluten(foods.get(of)))
  for (const share of formula.shares) {
    const own = dough.filter(
      ({ food }) =>
        isOwn[share.of]?.(food) && fits(food) && (!wheaten || share.of !== 'flour:own' || holdsGluten(food)),
    )
    const main = own.sort((a, b) => b.grams - a.grams)[0] ?? null
    const ids = share.of.includes(':') ? (main ? [main.food.id] : (USUAL[share.of] ?? [])) : [share.of]
    const food = ids.map((id) => foods.get(id)).find((one) => one && fits(one))
    // A little fat that nothing stands for is left out; a flour is not.
    if (!food && share.low === 0) continue
    if (!food) return null
    const pct =
      main && share.of.startsWith('fat')
        ? clamp((100 * own.reduce((sum, { grams }) => sum + grams, 0)) / flourGrams, share)
        : share.pct
    if (pct <= 0) continue
    entries.push({ share, food, pct, from: main })
  }
  const replaces = (line: DoughLine) => entries.some(({ from }) => from === line)
  const kept = dough.filter(
    (one) =>
      !flours.includes(one) &&
      one.food.id !== 'water' &&
      (formula.water === null ||
        (!replaces(one) &&
          (foodIs(one.food, 'seasons') ||
            (foodIs(one.food, 'sweetener') && sweet) ||
            (one.food.group === 'leavening' && formula.leaven && one.food.waterDemand === null)))),
  )
  const leavened = kept.some(({ food }) => food.group === 'leavening')
  const used = entries.filter(({ food }) => !(formula.leaven && leavened && food.group === 'leavening'))
  const prep = (food: Food) =>
    food.scaldedDemand !== null && (formula.scald === null || formula.scald.includes(food.id))
      ? [SCALDED]
      : []
  const amountsPer100 = (scale: number): FoodAmount[] => [
    ...used.map(({ food, pct }) => ({ food: inDough(food, prep(food)), grams: pct, waterChangeGrams: 0 })),
    ...kept.map(({ food, grams, line }) => ({
      food,
      grams: grams / scale,
      waterChangeGrams: line.waterChangeGrams / scale,
    })),
  ]
  const total = weightOf(dough.map(({ line }) => line))
  const water = foods.get('water')
  const waterLine = dough.find(({ food }) => food.id === 'water') ?? null
  const milk = formula.water && sweet && formula.scald?.length === 0 ? milkOf(dough, fits) : null
  const milkPctOf = (waterPct: number, scale: number) =>
    milk ? Math.min(milk.line.grams / scale, waterPct / milk.waterPerGram) : 0
  // What stays has its weight; what is made anew takes the rest. How much water that is hangs on how much flour.
  let scale = flourGrams / 100
  let waterPct = formula.water?.pct ?? 0
  for (let turn = 0; turn < 6; turn++) {
    const terms = sumSoftness(amountsPer100(scale))
    if (target !== null && softnessOf(terms) !== null) {
      const asked = waterToReach(target, terms)
      waterPct = formula.water ? clamp(asked, formula.water) : Math.max(0, asked)
      // Still too soft without water: less of what is wet, as far as its range goes.
      if (formula.water && asked < formula.water.low - TOO_WET_PCT)
        for (const one of used)
          if (foodIs(one.food, 'moist-dough')) one.pct = Math.max(one.share.low, one.pct * LESS_WET)
    }
    const solids = milk ? milkPctOf(waterPct, scale) * (1 - milk.waterPerGram) : 0
    const pct = used.reduce((sum, one) => sum + one.pct, 0) + waterPct + solids
    scale = (total - weightOf(kept.map(({ line }) => line))) / pct
    if (!(scale > 0)) return null
    for (const one of used) one.pct = inWholeEggs(one, scale)
  }
  const mark = formulaMark(formula)
  const taken = new Set(kept.map(({ line }) => line.id))
  const idFor = (wanted: string) => {
    let id = wanted
    for (let n = 2; taken.has(id); n++) id = `${wanted}-${n}`
    taken.add(id)
    return id
  }
  const lineFor = (food: Food, grams: number, from: DoughLine | null): Line => {
    const source = from ?? mainFlour
    const rounded = weighable(grams)
    const line = newLine({
      id: idFor(source.line.id),
      foodId: food.id,
      name: food.name,
      grams: rounded,
      gramsLow: rounded,
      gramsHigh: rounded,
      prep: prep(food),
      cameFrom: {
        ...(source.line.cameFrom ?? {
          raw: source.line.raw || printLine(source.line, source.food),
          foodId: source.line.foodId,
          name: source.food.name,
          grams: source.line.grams,
        }),
        why: formula.name,
        swapId: mark,
      },
    })
    line.raw = printLine(line, food)
    return line
  }
  const lines = used.map(({ food, pct, from }) => lineFor(food, pct * scale, from))
  const milkGrams = milkPctOf(waterPct, scale) * scale
  if (milk && milkGrams >= 0.5) lines.push(lineFor(milk.line.food, milkGrams, milk.line))
  const waterGrams = waterPct * scale - milkGrams * (milk?.waterPerGram ?? 0)
  if (water && waterGrams >= 0.5) lines.push(lineFor(water, waterGrams, waterLine))
  // What was bought had risen by yeast; so does what is made in its place.
  const rises = formula.leaven && flours.some(({ food }) => YEASTED.has(food.id))
  const yeast = foods.get('instant-yeast')
  if (rises && yeast && fits(yeast) && !used.some(({ food }) => food.group === 'leavening'))
    lines.push(lineFor(yeast, (YEAST_PCT / 100) * scale * 100, null))
  // What was bought was salted; what is made in its place is not, unless it is.
  const ready = flours.some(({ food }) => foodIs(food, 'bought-dough'))
  const salt = ready ? foods.get('salt') : undefined
  const salted = kept.some(({ food }) => food.group === 'salt')
  const saltGrams =
    (SALT_PCT / 100) * scale * used.reduce((sum, one) => sum + (isFlour(one.food) ? one.pct : 0), 0)
  if (salt && !salted && fits(salt) && saltGrams >= 0.5) lines.push(lineFor(salt, saltGrams, null))
  const unweighed = part.lines.filter((line) => !dough.some((one) => one.line === line))
  return [...lines, ...kept.map(({ line }) => line), ...unweighed]
}
