import { excludes } from '../diet/diets'
import { limitOf, sayTarget } from '../diet/target'
import { softnessTerms } from '../dough/softness'
import { needsOf, shortening, strengthGrams } from '../dough/strength'
import type { Food } from '../food/food'
import { batchLimit, isFlourFood, scaleOfShare, targetPerGram, type PerGram } from './figures'
import type { LineModel } from './lineModel'
import type { ProgramBuilder } from './program'
import { CRAFT, HAVE, LOCKED, MAX_SWAPS, STRENGTH, type Question } from './question'

/** From this much fat in % of flour a dough is rich, and keeps most of it. Common practice, no source. */
const RICH_PCT = 12
const LEAST_FAT_SHARE = 0.6
const MOST_FAT_SHARE = 1.25

/** Dough and filling keep their weight within this share, so that pieces stay as heavy and as many. */
const WEIGHT_SLACK = 0.003
/** The dough keeps its softness within this, so that it feels as it did. */
const SOFTNESS_SLACK = 0.04

/**
 * The most of a dough's flours that may be gluten, and protein powders and fibre together: above a fifth gluten is
 * rubber that springs back; with fat, fibre and a long rest a low-carbohydrate dough bears two fifths. Common
 * practice, no source.
 */
const MOST_CONCENTRATE = {
  usual: { gluten: 0.2, isolates: 0.2 },
  lowCarbohydrate: { gluten: 0.4, isolates: 0.45 },
} as const

/** Something the cook wished or the dough needs, that may be in another's way. */
export interface Wish {
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

/** Dough and fillings keep their weight, so that pieces stay as heavy and as many. */
export function limitWeights(written: Written): void {
  const { question, builder, lines } = written
  const weighs: PerGram = (_, waterPerGram) => 1 + waterPerGram
  const firstShell = question.recipe.parts.find((part) => part.kind === 'shell')
  for (const part of question.recipe.parts) {
    if (part.kind !== 'shell' && part.kind !== 'filling') continue
    const own = lines.filter((one) => one.part === part)
    const grams = own.reduce((sum, one) => sum + one.grams + one.line.waterChangeGrams, 0)
    if (grams <= 0) continue
    const terms = sumOver(own, weighs)
    const water = part === firstShell ? written.addedWater : null
    if (water) terms.push([water.variable, weighs(water.food, 0)])
    builder.constrain(`weight ${part.id}`, terms, {
      min: grams * (1 - WEIGHT_SLACK),
      max: grams * (1 + WEIGHT_SLACK),
    })
  }
}

/** The dough stays as soft as it was, as rich where it is rich, and strong enough for its shape and cooking. */
export function limitDough(written: Written): Wish[] {
  const { question, builder } = written
  const { base, recipe, larder, without } = question
  const { softness, fatPct, ready } = base.dough
  if (ready || softness === null) return []
  const against =
    (limit: number): PerGram =>
    (food, waterPerGram) => {
      const terms = softnessTerms({ food, grams: 1, waterChangeGrams: waterPerGram })
      return terms.freeWaterGrams + terms.fatShareGrams - limit * terms.waterDemandGrams
    }
  builder.constrain('not softer', sumOverDough(written, against(softness + SOFTNESS_SLACK)), { max: 0 })
  builder.constrain('not firmer', sumOverDough(written, against(softness - SOFTNESS_SLACK)), { min: 0 })
  const shell = shellOf(written)
  if ((fatPct ?? 0) >= RICH_PCT) {
    // A short crust without its fat is bread.
    const rich =
      (share: number): PerGram =>
      (food) =>
        isFlourFood(food) ? -(share * fatPct!) / 100 : food.per100g.fatG / 100
    builder.constrain('fat kept', sumOver(shell, rich(LEAST_FAT_SHARE)), { min: 0 })
    builder.constrain('fat not more', sumOver(shell, rich(MOST_FAT_SHARE)), { max: 0 })
  }
  const need = needsOf(recipe.shape, recipe.cooking.way, larder.dough).find(
    (one) => one.ability === 'strength',
  )
  const { strength } = base.abilities
  if (need && strength !== null && !without.has(STRENGTH)) {
    // A dough that is weaker than its shape asks already need not become stronger.
    const limit = Math.min(need.limit, strength) / shortening(fatPct ?? 0)
    const strong: PerGram = (food) => strengthGrams(food, 1, larder.dough) - (isFlourFood(food) ? limit : 0)
    builder.constrain('strong enough', sumOver(shell, strong), { min: 0 })
  }
  return [{ name: STRENGTH, kind: 'dough', text: 'a dough strong enough for its shape and cooking' }]
}

/** No more gluten, protein powder and fibre in the dough than bakes well, unless it had more already. */
export function limitConcentrates(written: Written): void {
  const { question, builder } = written
  if (question.without.has(CRAFT) || question.base.dough.ready) return
  const lowCarbohydrate = question.targets.some(
    ({ target }) => /arbohydrate/.test(target.figure) && target.comparison === 'at-most',
  )
  const most = lowCarbohydrate ? MOST_CONCENTRATE.lowCarbohydrate : MOST_CONCENTRATE.usual
  const shell = shellOf(written)
  const flourGrams = shell.reduce((sum, one) => sum + (isFlourFood(one.food) ? one.grams : 0), 0)
  if (flourGrams <= 0) return
  const limits: [string, (food: Food) => boolean, number][] = [
    ['gluten', (food) => food.group === 'gluten', most.gluten],
    ['isolates', (food) => food.group === 'protein-powder' || food.group === 'fibre', most.isolates],
  ]
  for (const [name, counts, share] of limits) {
    const had = shell.reduce((sum, one) => sum + (counts(one.food) ? one.grams : 0), 0) / flourGrams
    const limit = Math.max(share, had)
    const perGram: PerGram = (food) => (counts(food) ? 1 : 0) - (isFlourFood(food) ? limit : 0)
    builder.constrain(`most ${name}`, sumOver(shell, perGram), { max: 0 })
  }
}

/** Every figure that is asked for comes out. */
export function limitFigures(written: Written): Wish[] {
  const { question, builder, lines } = written
  const { base, before, recipe, targets } = question
  const eaten = new Map(base.working.lines.map((one) => [one.lineId, one.foodGrams]))
  return targets.flatMap(({ target, name, margin }): Wish[] => {
    const limit = limitOf(target, before.measures)
    if (limit === null) return []
    const { perGram, ofFlour } = targetPerGram(target, limit)
    const terms = ofFlour
      ? sumOver(shellOf(written), perGram)
      : sumOver(lines, perGram, (one) => (eaten.get(one.line.id) ?? one.grams) / one.grams)
    const bound = batchLimit(target, limit, recipe, base.asEaten.balance.eatenGrams)
    const room = margin * (Math.abs(bound) || scaleOfShare(target, limit, base))
    const bounds = target.comparison === 'at-least' ? { min: bound + room } : { max: bound - room }
    builder.constrain(`target ${name}`, terms, bounds)
    return [{ name, kind: 'target', text: `${name}: ${sayTarget(target, before.measures)}` }]
  })
}

/** Locks that are limits of their own, and all wishes that only take variables away. */
export function limitChoices({ question, builder, lines }: Written): Wish[] {
  const { wishes, without, diets, locked } = question
  const wished: Wish[] = diets
    .filter(excludes)
    .map((diet) => ({ name: diet.name, kind: 'diet', text: diet.name }))
  const { maxSwaps, have } = wishes.locks
  if (maxSwaps !== null && !without.has(MAX_SWAPS)) {
    const chosen = lines.flatMap((one) => one.options.map((own): [number, number] => [own.chosen, 1]))
    builder.constrain(MAX_SWAPS, chosen, { max: maxSwaps })
    wished.push({ name: MAX_SWAPS, kind: 'lock', text: `at most ${maxSwaps} swaps` })
  }
  if (locked.size) {
    const names = lines.filter((one) => locked.has(one.line.id)).map((one) => one.food.name.toLowerCase())
    wished.push({ name: LOCKED, kind: 'lock', text: `keeping the ${names.join(', the ')}` })
  }
  if (have !== null && !without.has(HAVE))
    wished.push({ name: HAVE, kind: 'lock', text: 'only what you have' })
  return wished
}
