import { foodIs, isFlour } from '../food/groups'
import { excludes } from '../diet/diets'
import { limitOf, sayTarget } from '../diet/target'
import { softnessTerms } from '../dough/softness'
import { needsFamily, RUBBER } from '../dough/abilities'
import { needsOf, shortening, springGrams, strengthGrams } from '../dough/strength'
import { nutrientsPer100g } from '../food/nutrients'
import { formulaIdOf } from '../substitution/formulas'
import type { Food } from '../food/food'
import { batchLimit, scaleOfShare, targetPerGram, type PerGram } from './figures'
import type { LineModel } from './lineModel'
import type { ProgramBuilder } from './program'
import { CRAFT, HAVE, LOCKED, MAX_SWAPS, STRENGTH, type Question, dietKey } from './question'

/** From this much fat in % of flour a dough is rich, and keeps most of it. Common practice, no source. */
const RICH_PCT = 12
const MIN_FAT_SHARE = 0.6
const MAX_FAT_SHARE = 1.25

/** Dough and filling keep their weight within this share, so that pieces stay as heavy and as many. */
const WEIGHT_SLACK = 0.003
/** The dough keeps its softness within this, so that it feels as it did. */
const SOFTNESS_SLACK = 0.025
/** How much lighter or heavier a bought sheet may become, and a filling where only foods are left out. Our own choice. */
const READY_WEIGHT = [0.4, 1.1] as const
const FREE_WEIGHT = [0.75, 1.2] as const
/** A bought wrapper is closed over a little less or more filling. Common practice, no source. */
const READY_FILLING = [0.9, 1.15] as const
/** A dough softer or firmer by that much counts as one percent of the weight moved. Our own choice. */
const SOFTNESS_FELT = 0.03

/**
 * The most of a dough's flours that may be gluten, and protein powders and fibre together: above a fifth gluten is
 * rubber that springs back; with fat, fibre and a long rest a low-carbohydrate dough bears two fifths. Where neither
 * protein nor fewer carbohydrates are asked for they have no business in a dough. Common practice, no source.
 */
export const MAX_CONCENTRATE = {
  usual: { gluten: 0.06, isolates: 0.06 },
  protein: { gluten: 0.2, isolates: 0.15 },
  lowCarbohydrate: { gluten: 0.4, isolates: 0.45 },
  // Even where a cook goes further than most it is to stay a dough.
  further: { gluten: 0.25, isolates: 0.25 },
} as const

/** What a percent of the energy counts that comes of something else than before. Our own choice. */
const FIGURE_COST = 0.12
/** What a tenth of the salt counts that is more or less than before. Our own choice. */
const SALT_COST = 0.5
/** Figures that stay unless they are asked for, with the factors of Regulation (EU) No 1169/2011, Annex XIV. */
const KEPT_FIGURES = [
  ['netCarbohydrateG', 4, 'carbohydrate'],
  ['proteinG', 4, 'protein'],
  ['fatG', 9, 'fat'],
] as const

/** Something the cook wished or the dough needs, that may be in another's way. */
export interface Wish {
  /** Tells it from every other; what is left out of a search is named by it. */
  key: string
  /** In words, as a limit that stands in the way is called. */
  name: string
  kind: 'diet' | 'target' | 'lock' | 'dough'
  text: string
}

/** What the limits are written over: the lines, and water that may come to a dough that has none. */
export interface Written {
  question: Question
  builder: ProgramBuilder
  lines: LineModel[]
  addedWater: { variable: number; food: Food } | null
  /** Variable: the share of its weight that the shell keeps; null where it stays as it is. */
  shell: number | null
}

/** The terms of a sum over some lines: what a gram of each food adds, for what stays and for what comes. */
function sumOver(of: readonly LineModel[], perGram: PerGram, share: (line: LineModel) => number = () => 1) {
  const terms: [number, number][] = []
  for (const one of of) {
    const factor = share(one)
    terms.push([one.keep, factor * perGram(one.food, one.line.waterChangeGrams / one.grams)])
    for (const own of one.options) {
      let value = 0
      for (const part of own.parts)
        value += part.perGram * perGram(part.food, part.perGram > 0 ? part.waterPerGram / part.perGram : 0)
      terms.push([own.grams, factor * value])
    }
  }
  return terms
}

const shellOf = ({ lines }: Written) => lines.filter((one) => one.part.kind === 'shell')

/** As `sumOver` for the dough, with the water that may come to it. */
function sumOverDough(written: Written, perGram: PerGram): [number, number][] {
  const { addedWater } = written
  const terms = sumOver(shellOf(written), perGram)
  return addedWater ? [...terms, [addedWater.variable, perGram(addedWater.food, 0)]] : terms
}

/**
 * Dough and fillings keep their weight, so that pieces stay as heavy and as many. Where the shell may be thinner, the
 * filling takes what it loses.
 */
export function limitWeights(written: Written): void {
  const { question, builder, lines, shell } = written
  const weighs: PerGram = (_, waterPerGram) => 1 + waterPerGram
  const firstShell = question.recipe.parts.find((part) => part.kind === 'shell')
  const whole: [number, number][] = []
  let total = 0
  for (const part of question.recipe.parts) {
    if (part.kind !== 'shell' && part.kind !== 'filling') continue
    const own = lines.filter((one) => one.part === part)
    const grams = own.reduce((sum, one) => sum + one.grams + one.line.waterChangeGrams, 0)
    if (grams <= 0) continue
    const terms = sumOver(own, weighs)
    const water = part === firstShell ? written.addedWater : null
    if (water) terms.push([water.variable, weighs(water.food, 0)])
    whole.push(...terms)
    total += grams
    if (shell === null) {
      // A bought sheet of another kind has a weight of its own; so has what stands in where no figure is asked for.
      const ready = part.kind === 'shell' && question.base.dough.ready
      const free = part.kind === 'filling' && !question.targets.length
      const filled = part.kind === 'filling' && question.base.dough.ready
      const [low, high] = ready
        ? READY_WEIGHT
        : free
          ? FREE_WEIGHT
          : filled
            ? READY_FILLING
            : [1 - WEIGHT_SLACK, 1 + WEIGHT_SLACK]
      builder.constrain(`weight ${part.id}`, terms, { min: grams * low, max: grams * high })
    } else if (part.kind === 'shell') {
      const follows = (share: number): [number, number][] => [...terms, [shell, -grams * share]]
      builder.constrain(`weight ${part.id}`, follows(1 - WEIGHT_SLACK), { min: 0 })
      builder.constrain(`weight ${part.id}`, follows(1 + WEIGHT_SLACK), { max: 0 })
    } else builder.constrain(`weight ${part.id}`, terms, { min: grams * (1 - WEIGHT_SLACK) })
  }
  if (shell !== null)
    builder.constrain('weight', whole, { min: total * (1 - WEIGHT_SLACK), max: total * (1 + WEIGHT_SLACK) })
}

/**
 * Figures nobody asked to change: what carbohydrate, protein and fat bring to the energy stays near what it was, each
 * percent of the energy that shifts counting a little, and so does the salt.
 */
export function keepFigures(written: Written): void {
  const { question, builder, lines } = written
  const { before, purposes, wishes, recipe } = question
  const batchKcal = before.perPiece.energyKcal * recipe.pieces
  if (!(batchKcal > 0) || wishes.weights.figures <= 0) return
  const eaten = new Map(question.base.working.lines.map((one) => [one.lineId, one.foodGrams]))
  const asked: Record<(typeof KEPT_FIGURES)[number][0], boolean> = {
    netCarbohydrateG: purposes.has('keto'),
    proteinG: purposes.has('high-protein') || purposes.has('keto'),
    fatG: purposes.has('lighter') || purposes.has('keto'),
  }
  for (const [figure, kcalPerG, words] of KEPT_FIGURES) {
    if (asked[figure]) continue
    const perGram: PerGram = (food) => (nutrientsPer100g(food)[figure] / 100) * kcalPerG
    const terms = sumOver(lines, perGram, (one) => (eaten.get(one.line.id) ?? one.grams) / one.grams)
    const had = before.perPiece[figure] * recipe.pieces * kcalPerG
    const cost = (FIGURE_COST * wishes.weights.figures * 100) / batchKcal
    keepNear(builder, figure, terms, had, cost, `${words} that nobody asked to change`)
  }
  const salt = before.perPiece.saltG * recipe.pieces
  const asksSalt = question.targets.some(({ target }) => /^(?:saltG|sodiumMg)$/.test(target.figure))
  if (salt > 0 && !asksSalt) {
    const perGram: PerGram = (food) => nutrientsPer100g(food).saltG / 100
    const terms = sumOver(lines, perGram, (one) => (eaten.get(one.line.id) ?? one.grams) / one.grams)
    const cost = (10 * SALT_COST * wishes.weights.figures) / salt
    keepNear(builder, 'saltG', terms, salt, cost, 'salt that nobody asked to change')
  }
}

/** A figure that may move, each unit of it at a cost. */
function keepNear(
  builder: ProgramBuilder,
  figure: string,
  terms: [number, number][],
  had: number,
  cost: number,
  term: string,
): void {
  const off = builder.variable(`off ${figure}`, { cost, term })
  builder.constrain(`off ${figure}`, [...terms, [off, -1]], { max: had })
  builder.constrain(`off ${figure}`, [...terms, [off, 1]], { min: had })
}

/** The dough stays as soft as it was, as rich where it is rich, and strong enough for its shape and cooking. */
export function limitDough(written: Written): Wish[] {
  const { question, builder } = written
  const { base, recipe, reference, without } = question
  const { softness, fatPct, ready } = base.dough
  if (ready || softness === null) return []
  const against =
    (limit: number): PerGram =>
    (food, waterPerGram) => {
      const terms = softnessTerms({ food, grams: 1, waterChangeGrams: waterPerGram })
      return terms.freeWaterGrams + terms.fatShareGrams - limit * terms.waterDemandGrams
    }
  // A dough made by a formula is as soft as its range of water allows; it is not kneaded anew here.
  if (formed(written)) return []
  const felt = written.question.base.working.dough.waterDemandGrams * SOFTNESS_FELT
  if (felt > 0) {
    const off = builder.variable('off softness', { cost: 1 / felt, term: 'a dough softer or firmer' })
    const own = sumOverDough(written, against(softness))
    builder.constrain('off softness', [...own, [off, -1]], { max: 0 })
    builder.constrain('off softness', [...own, [off, 1]], { min: 0 })
  }
  builder.constrain(
    'not softer',
    sumOverDough(written, against(softness + SOFTNESS_SLACK)),
    { max: 0 },
    { kind: 'softer' },
  )
  builder.constrain(
    'not firmer',
    sumOverDough(written, against(softness - SOFTNESS_SLACK)),
    { min: 0 },
    { kind: 'firmer' },
  )
  const shell = shellOf(written)
  if ((fatPct ?? 0) >= RICH_PCT) {
    // A short crust without its fat is bread.
    const rich =
      (share: number): PerGram =>
      (food) =>
        isFlour(food) ? -(share * fatPct!) / 100 : food.per100g.fatG / 100
    builder.constrain('fat kept', sumOver(shell, rich(MIN_FAT_SHARE)), { min: 0 })
    builder.constrain('fat not more', sumOver(shell, rich(MAX_FAT_SHARE)), { max: 0 })
  }
  const need = needsOf(
    recipe.shape,
    recipe.cooking.way,
    reference.dough,
    needsFamily(question.family, base.dough),
  ).find((one) => one.ability === 'strength')
  const { strength } = base.abilities
  if (need && strength !== null && !without.has(STRENGTH)) {
    // A dough that is weaker than its shape asks already need not become stronger.
    const limit = Math.min(need.limit, strength) / shortening(fatPct ?? 0)
    const strong: PerGram = (food) => strengthGrams(food, 1, reference.dough) - (isFlour(food) ? limit : 0)
    builder.constrain(
      'strong enough',
      sumOver(shell, strong),
      { min: 0 },
      { kind: 'strength', wish: STRENGTH },
    )
  }
  const { springs } = base.abilities
  if (springs !== null) {
    const limit = Math.max(springs, RUBBER) / shortening(fatPct ?? 0)
    const rubber: PerGram = (food) => springGrams(food, 1, reference.dough) - (isFlour(food) ? limit : 0)
    builder.constrain('no rubber', sumOver(shell, rubber), { max: 0 })
  }
  return [
    { key: STRENGTH, name: STRENGTH, kind: 'dough', text: 'a dough strong enough for its shape and cooking' },
  ]
}

/** Whether the dough was made anew by a formula. */
const formed = (written: Written) =>
  shellOf(written).some((one) => formulaIdOf(one.line.cameFrom?.swapId) !== null)

/** No more gluten, protein powder and fibre in the dough than bakes well, unless it had more already. */
export function limitConcentrates(written: Written): void {
  const { question, builder } = written
  if (question.base.dough.ready || formed(written)) return
  const lowCarbohydrate = question.purposes.has('keto')
  const most = lowCarbohydrate
    ? MAX_CONCENTRATE.lowCarbohydrate
    : question.without.has(CRAFT)
      ? MAX_CONCENTRATE.further
      : question.purposes.has('high-protein')
        ? MAX_CONCENTRATE.protein
        : MAX_CONCENTRATE.usual
  // Gluten toughens what is meant to be short.
  const short = question.family === 'short' || question.family === 'flaky'
  const shell = shellOf(written)
  const flourGrams = shell.reduce((sum, one) => sum + (isFlour(one.food) ? one.grams : 0), 0)
  if (flourGrams <= 0) return
  const limits: [string, (food: Food) => boolean, number][] = [
    ['gluten', (food) => food.group === 'gluten', short && !lowCarbohydrate ? 0 : most.gluten],
    ['isolates', (food) => foodIs(food, 'isolate') && food.group !== 'gluten', most.isolates],
  ]
  for (const [name, counts, share] of limits) {
    const had = shell.reduce((sum, one) => sum + (counts(one.food) ? one.grams : 0), 0) / flourGrams
    const limit = Math.max(share, had)
    const perGram: PerGram = (food) => (counts(food) ? 1 : 0) - (isFlour(food) ? limit : 0)
    builder.constrain(`most ${name}`, sumOver(shell, perGram), { max: 0 })
  }
}

/** Every figure that is asked for comes out. */
export function limitFigures(written: Written): Wish[] {
  const { question, builder, lines } = written
  const { base, before, recipe, targets } = question
  const eaten = new Map(base.working.lines.map((one) => [one.lineId, one.foodGrams]))
  return targets.flatMap(({ key, target, name, margin }): Wish[] => {
    const limit = limitOf(target, before.measures)
    if (limit === null) return []
    const { perGram, ofFlour } = targetPerGram(target, limit)
    const terms = ofFlour
      ? sumOver(shellOf(written), perGram)
      : sumOver(lines, perGram, (one) => (eaten.get(one.line.id) ?? one.grams) / one.grams)
    const bound = batchLimit(target, limit, recipe, base.asEaten.balance.eatenGrams)
    const room = margin * (Math.abs(bound) || scaleOfShare(target, limit, base))
    const bounds = target.comparison === 'at-least' ? { min: bound + room } : { max: bound - room }
    builder.constrain(`target ${name}`, terms, bounds, { kind: 'target', wish: key })
    return [{ key, name, kind: 'target', text: `${name}: ${sayTarget(target, before.measures)}` }]
  })
}

/** Locks that are limits of their own, and all wishes that only take variables away. */
export function limitChoices({ question, builder, lines }: Written): Wish[] {
  const { wishes, without, diets, locked } = question
  const wished: Wish[] = diets
    .filter(excludes)
    .map((diet) => ({ key: dietKey(diet), name: diet.name, kind: 'diet', text: diet.name }))
  const { maxSwaps, have } = wishes.locks
  if (maxSwaps !== null && !without.has(MAX_SWAPS)) {
    const chosen = lines.flatMap((one) => one.options.map((own): [number, number] => [own.chosen, 1]))
    builder.constrain(MAX_SWAPS, chosen, { max: maxSwaps }, { kind: 'swaps', wish: MAX_SWAPS })
    wished.push({ key: MAX_SWAPS, name: MAX_SWAPS, kind: 'lock', text: `at most ${maxSwaps} swaps` })
  }
  if (locked.size) {
    const names = lines.filter((one) => locked.has(one.line.id)).map((one) => one.food.name.toLowerCase())
    wished.push({ key: LOCKED, name: LOCKED, kind: 'lock', text: `keeping the ${names.join(', the ')}` })
  }
  if (have !== null && !without.has(HAVE))
    wished.push({ key: HAVE, name: HAVE, kind: 'lock', text: 'only what you have' })
  return wished
}
