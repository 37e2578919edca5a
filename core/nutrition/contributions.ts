import { SHAPE_TABLE } from '../piece/shapes'
import { foodIs } from '../food/groups'
import { inDough } from '../food/scalded'
import type { Foods } from '../food/food'
import { nutrientsPer100g, scaleNutrients, type Nutrients } from '../food/nutrients'
import { assessDough, type DoughFigures, type DoughLine } from '../dough/assess'
import type { Part, Recipe } from '../recipe/document'
import type { CookingWay, LinePrecooking, PartKind } from '../recipe/vocabulary'
import type { PrecookingWay } from '../recipe/precookingWays'
import type { CookingTables } from '../cooking/cookingTables'
import { oilUptake } from '../cooking/oilUptake'
import { cookedOffOf } from '../cooking/precooking'
import { foodOf } from '../recipe/lines'

/** What one line brings to the batch, as far as it is eaten. */
export interface Contribution {
  lineId: string
  partId: string
  part: PartKind
  name: string
  foodId: string
  source: string
  /** Grams that are eaten, water taken up or lost included. */
  grams: number
  /** Grams of the food itself that are eaten: what the nutrients are reckoned from. */
  foodGrams: number
  /** Why less is eaten than is listed; '' when all of it is. */
  eatenWhy: string
  /** How it was cooked before it went in; null when it went in raw. */
  cookedBy: PrecookingWay | null
  /** Water cooked out of the whole line before it went in; below zero when it took some up. */
  cookedOffGrams: number
  /** What is left of the line, and where; 0 and '' when all is eaten. */
  leftGrams: number
  leftWhere: string
  nutrients: Nutrients
}

export interface Uncounted {
  lineId: string
  name: string
  reason: string
}

export interface Batch {
  contributions: Contribution[]
  uncounted: Uncounted[]
  dough: DoughFigures
  /** The weighed lines of each part kind, with their foods. */
  shell: DoughLine[]
  filling: (DoughLine & { cookedOffGrams: number })[]
  /** Water cooked out of the fillings before they went in. */
  cookedOffGrams: number
  /** How the fillings' finished weight is known; '' when none is cooked before it goes in. */
  cookedOffWhy: string
}

interface Weighed extends DoughLine {
  part: Part
  /** Water cooked out of it before it goes in; reckoned once its part is known. */
  cookedOffGrams: number
}

function weighedLines(recipe: Recipe, foods: Foods) {
  const weighed: Weighed[] = []
  const uncounted: Uncounted[] = []
  for (const part of recipe.parts) {
    for (const line of part.lines) {
      // A line that stands for a component is weighed by the component's own lines.
      if (line.componentId !== null) continue
      const food = foodOf(line, foods)
      const name = food?.name ?? (line.name || line.raw)
      if (!food) uncounted.push({ lineId: line.id, name, reason: 'no food is chosen' })
      else if (line.grams === null) uncounted.push({ lineId: line.id, name, reason: 'no weight is known' })
      else
        weighed.push({
          part,
          line,
          food: part.kind === 'shell' ? inDough(food, line.prep) : food,
          grams: line.grams,
          waterChangeGrams: line.waterChangeGrams,
          cookedOffGrams: 0,
        })
    }
  }
  return { weighed, uncounted }
}

/** Half of a wash stays in the bowl and on the brush. Common practice, no source. */
const WASH_LEFT_SHARE = 0.5
/** Of a marinade or a brine this much clings to what lay in it. Common practice, no source. */
const MARINADE_EATEN_SHARE = 0.15
/** Dough that stays on hands, bowl and board when it is divided into balls. Common practice, no source. */
const BOARD_LEFT_SHARE = 0.01
/** What is thrown away of a sheet when its trimmings have been rolled again. Common practice, no source. */
const TRIMMINGS_LEFT_SHARE = 0.03

interface Left {
  /** Share of the line that is not eaten. */
  share: number
  where: string
  why: string
}
const NOTHING_LEFT: Left = { share: 0, where: '', why: '' }

const LEFT_WHERE: Readonly<Record<PartKind, string>> = {
  shell: 'dough left on board and bowl',
  filling: 'filling left over',
  marinade: 'marinade thrown away',
  finish: 'left in the bowl',
  pan: 'left in the pan',
  dip: 'dip left over',
}

/** What is usually left of a part, as far as it does not depend on the line. */
function usuallyLeft(recipe: Recipe, part: Part): Left {
  const where = LEFT_WHERE[part.kind]
  const percent = (share: number) => `${Math.round(share * 100)} %`
  if (part.kind === 'marinade') {
    return {
      share: 1 - MARINADE_EATEN_SHARE,
      where,
      why: `${percent(MARINADE_EATEN_SHARE)} clings to what lay in it; common practice, no source`,
    }
  }
  if (part.kind === 'shell') {
    const cut = SHAPE_TABLE[recipe.shape].cutFromSheet
    const share = cut ? TRIMMINGS_LEFT_SHARE : BOARD_LEFT_SHARE
    const what = cut ? 'last trimmings' : 'what sticks to hands and board'
    return { share, where, why: `${percent(share)} for ${what}; common practice, no source` }
  }
  return NOTHING_LEFT
}

/** What is left of a part when the cook has weighed it, or else as a rule. */
function leftOfPart(recipe: Recipe, part: Part, madeGrams: number): Left {
  const typed = part.leftGrams
  if (typed === null && part.usedGrams !== null && part.into !== null) {
    const share = madeGrams > 0 ? Math.max(0, 1 - part.usedGrams / madeGrams) : 0
    return {
      share,
      where: `${part.name || 'component'} not used`,
      why: `${Math.round(part.usedGrams)} g of it goes in`,
    }
  }
  if (typed === null) return usuallyLeft(recipe, part)
  const share = madeGrams > 0 ? Math.min(1, typed / madeGrams) : 0
  return { share, where: LEFT_WHERE[part.kind], why: 'weighed by the cook' }
}

function leftOfLine({ part, line, food, grams }: Weighed, ofPart: Left): Left {
  if (line.eatenGrams !== null) {
    const share = grams > 0 ? Math.max(0, 1 - line.eatenGrams / grams) : 0
    return { share, where: `${LEFT_WHERE[part.kind]}: ${food.name}`, why: 'weighed by the cook' }
  }
  if (
    part.kind === 'finish' &&
    part.leftGrams === null &&
    (foodIs(food, 'wash') || food.group === 'liquid')
  ) {
    return {
      share: WASH_LEFT_SHARE,
      where: `${LEFT_WHERE.finish}: ${food.name}`,
      why: 'half of a wash stays in the bowl; common practice, no source',
    }
  }
  return ofPart
}

/** How a line is cooked before it goes in: its own way, or its part's. */
function cookedByOf(part: Part, line: { cookedBy: LinePrecooking | null }): PrecookingWay | null {
  const way = line.cookedBy ?? part.cookedBy
  return way === 'raw' ? null : way
}

/** Of two cookings the one that leaves more fat on the piece. */
function fattiestWay({ cooking }: Recipe): CookingWay {
  const order: readonly CookingWay[] = ['deep-fry', 'shallow-fry', 'griddle', 'brown-and-steam']
  return order.find((way) => way === cooking.way || way === cooking.andThen?.way) ?? cooking.way
}

/** Cooks what is cooked before it goes in, writing on each line what it gave off, and says what is left of each part. */
function precook(recipe: Recipe, weighed: readonly Weighed[], tables: CookingTables) {
  const left = new Map<string, Left>()
  let cookedOffGrams = 0
  let cookedOffWhy = ''
  for (const part of recipe.parts) {
    const own = weighed.filter((one) => one.part === part)
    let madeGrams = 0
    for (const one of own) madeGrams += one.grams + one.waterChangeGrams
    if (part.kind === 'filling' || part.into !== null) {
      const precooked = cookedOffOf(part, own, tables)
      for (const one of own) one.cookedOffGrams = precooked.byLine.get(one.line.id) ?? 0
      madeGrams -= precooked.grams
      cookedOffGrams += precooked.grams
      cookedOffWhy ||= precooked.why
    }
    left.set(part.id, leftOfPart(recipe, part, madeGrams))
  }
  return { left, cookedOffGrams, cookedOffWhy }
}

/** Fat of the pan whose eaten part is not weighed, and how much of it the pieces take up. */
function takenUp(
  recipe: Recipe,
  weighed: readonly Weighed[],
  lefts: readonly Left[],
  doughFatPct: number | null,
) {
  let panFatGrams = 0
  let doughGrams = 0
  let fillingGrams = 0
  weighed.forEach(({ part, line, food, grams, waterChangeGrams, cookedOffGrams }, at) => {
    const made = (grams + waterChangeGrams - cookedOffGrams) * (1 - lefts[at]!.share)
    if (part.kind === 'shell') doughGrams += made
    else if (part.kind === 'filling') fillingGrams += made
    else if (part.kind === 'pan' && food.softeningFat !== null && line.eatenGrams === null)
      panFatGrams += grams
  })
  const uptake = oilUptake({
    way: fattiestWay(recipe),
    shape: recipe.shape,
    pieces: recipe.pieces,
    panFatGrams,
    doughGrams,
    fillingGrams,
    doughFatPct,
  })
  return { share: panFatGrams > 0 ? uptake.grams / panFatGrams : 0, why: uptake.why }
}

/** What a line brings to the batch, and what is left of it. */
function contributionOf(one: Weighed, ofLine: Left, fat: { share: number; why: string }): Contribution {
  const { part, line, food, grams, cookedOffGrams } = one
  // Water in a pot is no ingredient of the piece: it is listed and left.
  const water = part.kind === 'pan' ? 0 : one.waterChangeGrams - cookedOffGrams
  let { share, where, why } = ofLine
  if (part.kind === 'pan' && line.eatenGrams === null) {
    const isFatOfPan = food.softeningFat !== null
    share = isFatOfPan ? 1 - fat.share : 1
    where = `${LEFT_WHERE.pan}: ${food.name}`
    why = isFatOfPan ? fat.why : 'stays in the pot'
  }
  const eaten = 1 - share
  return {
    lineId: line.id,
    partId: part.id,
    part: part.kind,
    name: food.name,
    foodId: food.id,
    source: food.source,
    grams: (grams + water) * eaten,
    foodGrams: grams * eaten,
    eatenWhy: share > 0 || part.kind === 'pan' ? why : '',
    cookedBy: part.kind === 'filling' || part.into !== null ? cookedByOf(part, line) : null,
    cookedOffGrams,
    leftGrams: (grams + water) * share,
    leftWhere: where,
    nutrients: scaleNutrients(nutrientsPer100g(food), (grams * eaten) / 100),
  }
}

/**
 * Works out what every line brings to the batch: cooked before it goes in, less what is left. Pan lines count
 * only as far as they are taken up.
 *
 * @param recipe a checked recipe
 * @param foods the larder; every `foodId` must be in it
 */
export function computeBatch(recipe: Recipe, foods: Foods, tables: CookingTables): Batch {
  const { weighed, uncounted } = weighedLines(recipe, foods)
  const shell = weighed.filter((one) => one.part.kind === 'shell')
  const filling = weighed.filter((one) => one.part.kind === 'filling')
  const dough = assessDough(shell, recipe.pieces)
  const { left, cookedOffGrams, cookedOffWhy } = precook(recipe, weighed, tables)
  const lefts = weighed.map((one) => leftOfLine(one, left.get(one.part.id)!))
  const fat = takenUp(recipe, weighed, lefts, dough.fatPct)
  return {
    contributions: weighed.map((one, at) => contributionOf(one, lefts[at]!, fat)),
    uncounted,
    dough,
    shell,
    filling,
    cookedOffGrams,
    cookedOffWhy,
  }
}
