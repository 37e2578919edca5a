import { excludes, foodAgainstDiet } from '../diet/diets'
import { limitOf, sayTarget, type Target } from '../diet/target'
import { FLOUR_GROUPS } from '../dough/assess'
import { softnessTerms } from '../dough/softness'
import { needsOf, shortening, strengthGrams } from '../dough/strength'
import type { Evaluation } from '../evaluate'
import type { Food, Foods } from '../food/food'
import { nutrientsPer100g } from '../food/nutrients'
import type { Larder } from '../larder'
import { allLines, type Line, type Part, type Recipe } from '../recipe/document'
import { amountOf, candidatesFor, madeAs, type Swap } from '../swap/catalogue'
import { ProgramBuilder, type Program } from './program'
import type { Wishes } from './wishes'

/** A swap that may stand for a line, with what one gram of the line's food turns into. */
export interface Option {
  swap: Swap
  parts: { food: Food; perGram: number; waterPerGram: number }[]
  /** Variables: grams of the line's food that are replaced, and whether any is. */
  grams: number
  chosen: number
}

export interface LineModel {
  part: Part
  line: Line
  food: Food
  grams: number
  /** Variables: grams that stay, grams above and below what was written. */
  keep: number
  above: number
  below: number
  options: Option[]
  /** It breaks a diet and nothing stands in for it. */
  unmet: boolean
}

/** Something the cook wished or the dough needs, that may be in another's way. */
export interface Wish {
  name: string
  kind: 'diet' | 'target' | 'lock' | 'dough'
  text: string
}

export interface TargetModel {
  program: Program
  lines: LineModel[]
  /** Variable: water added to the dough where it had none; null when it has a line of its own. */
  addedWater: number | null
  /** Constraints by the wish they come from. */
  wishes: Wish[]
}

/** How far each kind of line may shrink and grow, as a share of what was written. Our own choice, no source. */
const RANGE: Readonly<Record<string, [number, number]>> = {
  flour: [0.3, 1.7],
  fat: [0.15, 1.4],
  water: [0, 4],
  fixed: [1, 1],
  filling: [0.25, 2],
  rest: [0.2, 1.2],
  // Only where less salt is what is asked.
  salt: [0.3, 1],
}

/** What seasons or raises keeps its amount: halving the salt or the yeast is no way to a target. */
const FIXED_GROUPS = new Set([
  'salt',
  'leavening',
  'spice',
  'seasoning',
  'herb',
  'gum',
  'stock-cube',
  'gelatine',
])
/** Lines that carry the taste of the piece count for more. Our own choice, no source. */
const TASTE_GROUPS = new Set([
  'melting-cheese',
  'hard-cheese',
  'brined-cheese',
  'meat',
  'minced-meat',
  'poultry',
  'cured-meat',
  'fish',
  'shellfish',
  'mushroom',
  'herb',
  'spice',
  'sauce',
  'fruit',
])
const TASTE_FACTOR = 1.6
/**
 * A line counts as at least this share of the recipe's weight: a sixth of the sesame oil is felt, however little
 * it weighs. Our own choice.
 */
const LEAST_COUNTED_SHARE = 0.03
/** Water is moved at hardly any cost: it is there to make the dough right. */
const WATER_FACTOR = 0.1

/** What the parts of the distance weigh beside one percent of the recipe's weight moved. Our own choice. */
const SWAP_COST = 4
const ROLE_COST = 3
const NEW_THING_COST = 2
/** One unit of money for the batch beside one percent of weight moved. */
const PRICE_COST = 4

/** The wish that a dough be strong enough, which may be given up with a word. */
export const STRENGTH = 'how strong the dough is'

/** From this much fat in % of flour a dough is rich, and keeps most of it. Common practice, no source. */
const RICH_PCT = 12
const LEAST_FAT_SHARE = 0.6
const MOST_FAT_SHARE = 1.25

/** A swap below this share of its line is not worth a purchase. */
const LEAST_SHARE = 0.1
/** Stand-ins of a flour that has to go. */
const MOST_FLOURS = 6
/** Replacing more of a line than this makes a different filling. */
const MOST_SHARE = 1.3
/** Lines lighter than this share of the recipe are not turned over for a figure's sake. */
const LEAST_LINE_SHARE = 0.012
/** A gram that helps less than this share of a limit does not help. */
const LEAST_GAIN = 1e-7
/** Options of a line that are looked at for a figure's sake; the most helpful ones. */
const MOST_OPTIONS = 3
/** Dough and filling keep their weight within this share, so that pieces stay as heavy and as many. */
const WEIGHT_SLACK = 0.003
/** The dough keeps its softness within this, so that it feels as it did. */
const SOFTNESS_SLACK = 0.04

function rangeOf(part: Part, food: Food, lessSalt: boolean): [number, number] {
  if (lessSalt && food.group === 'salt') return RANGE.salt!
  if (part.kind === 'pan' || FIXED_GROUPS.has(food.group)) return RANGE.fixed!
  if (part.kind === 'shell') {
    if (food.id === 'water') return RANGE.water!
    if (FLOUR_GROUPS.has(food.group)) return RANGE.flour!
    return food.softeningFat ? RANGE.fat! : RANGE.rest!
  }
  if (part.kind === 'filling') return food.softeningFat ? RANGE.fat! : RANGE.filling!
  return RANGE.rest!
}

const breaks = (food: Food, wishes: Wishes) =>
  wishes.diets.some((diet) => foodAgainstDiet(food, diet).breaks.length > 0)

function optionParts(swap: Swap, food: Food, foods: Foods): Option['parts'] | null {
  const parts: Option['parts'] = []
  for (const target of swap.to) {
    const own = foods.get(target.foodId)!
    const perGram = amountOf(target, food, 1, own)
    if (perGram === null || !Number.isFinite(perGram)) return null
    parts.push({
      food: own,
      perGram,
      waterPerGram: target.soaked ? perGram * ((own.unitGrams.soaked ?? 1) - 1) : 0,
    })
  }
  return parts
}

/** A linear figure of the dough or the batch: what a gram of a food, plus water it took up, adds to it. */
type PerGram = (food: Food, waterPerGram: number) => number

/** What a target asks of a gram of food: at least (or at most) a sum of these, per the whole batch. */
export function targetPerGram(target: Target, limit: number): { perGram: PerGram; ofFlour: boolean } {
  const at = (food: Food) => nutrientsPer100g(food)
  if (target.figure === 'wholeGrainPct') {
    return {
      ofFlour: true,
      perGram: (food) => (isFlourFood(food) ? (food.grain === 'whole' ? 100 : 0) - limit : 0),
    }
  }
  if (target.figure === 'proteinEnergyPct') {
    // Share of energy from protein, by 4 kcal a gram (Annex XIV): 400 × protein − limit × energy ≥ 0.
    return {
      ofFlour: false,
      perGram: (food) => (400 * at(food).proteinG - limit * at(food).energyKcal) / 100,
    }
  }
  const key = target.figure
  return { ofFlour: false, perGram: (food) => at(food)[key] / 100 }
}

interface Candidate {
  swap: Swap
  parts: Option['parts']
  /** How much a gram helps the targets, in shares of their limits. */
  gain: number
  fixedCost: number
}

/**
 * The swaps worth looking at. For a line that has to go: the first by role, the gentlest, and the most helpful.
 * For one that may stay: the most helpful, and those that help most for what they cost.
 */
function chooseOptions(
  made: readonly Candidate[],
  broken: boolean,
  hasTargets: boolean,
  most: number,
): Candidate[] {
  const byGain = [...made].sort((a, b) => b.gain - a.gain)
  if (broken) {
    const gentlest = [...made].sort((a, b) => a.fixedCost - b.fixedCost)[0]
    const wanted = [made[0], gentlest, ...(hasTargets ? byGain.slice(0, 2) : []), ...made]
    return [...new Set(wanted.filter((one) => one !== undefined))].slice(0, most)
  }
  const helpful = byGain.filter((one) => one.gain > LEAST_GAIN)
  const worth = [...helpful].sort((a, b) => b.gain / (1 + b.fixedCost) - a.gain / (1 + a.fixedCost))
  return [...new Set([...helpful.slice(0, 1), ...worth])].slice(0, MOST_OPTIONS)
}

/** How many things have to be bought for a food: what goes into it, if it is made at home. */
function newThings(food: Food, present: ReadonlySet<string>): number {
  if (present.has(food.id)) return 0
  return food.homemade ? food.homemade.madeOf.filter((one) => !present.has(one.foodId)).length : 1
}

const isFlourFood = (food: Food) => FLOUR_GROUPS.has(food.group) && food.waterDemand !== null

/**
 * What the sum over the batch has to come to for a target to hold; 0 for shares, which are differences already.
 *
 * @param eatenGrams of the batch, which stays as it is because dough and filling keep their weight
 */
function batchLimit(target: Target, limit: number, recipe: Recipe, eatenGrams: number): number {
  if (target.per === null) return 0
  if (target.per === 'piece') return limit * recipe.pieces
  return target.per === 'serving' ? limit * recipe.servings : (limit * eatenGrams) / 100
}

/** What a share that is written as a difference is a share of, times its limit. */
function scaleOfShare(target: Target, limit: number, base: Evaluation): number {
  return target.figure === 'wholeGrainPct'
    ? limit * base.dough.flourGrams
    : limit * base.perPiece.energyKcal * base.pieces
}

/** All figures that have to come out: those of the diets and those asked for by themselves. */
export function targetsOf(wishes: Wishes): { target: Target; name: string }[] {
  return [
    ...wishes.diets.flatMap((diet) => diet.targets.map((target) => ({ target, name: diet.name }))),
    ...wishes.targets.map((target, at) => ({ target, name: at ? `Your target ${at + 1}` : 'Your target' })),
  ]
}

/** The name of the figure that is driven. */
export const DRIVEN = 'driven'

export interface ModelInput {
  recipe: Recipe
  /** Of `recipe`. */
  base: Evaluation
  /** Of the recipe as written, which shares of the original are held against; the same as `base`, but where it is cooked otherwise. */
  before: Evaluation
  larder: Larder
  wishes: Wishes
  /** By place in `targetsOf`: how much stricter than asked a figure has to be, to come out after losses. */
  margins: readonly number[]
  /** A figure that is driven as far as it goes: written as a constraint of the name `DRIVEN`, for its terms. */
  driven?: Target
  /** Names of wishes to leave out, when it is asked which ones are in each other's way. */
  without: ReadonlySet<string>
}

/**
 * Writes the search for the nearest recipe as a mixed-integer linear programme.
 *
 * For every line: grams that stay, and for each swap that may stand for it grams that are replaced and whether any
 * are. Exclusions take variables away; figures, softness, strength and weight are linear in grams, shares too,
 * because they are written as differences. The distance is weight moved, swaps made, roles lost, new things to
 * buy and price, each with the cook's weight.
 */
export function buildModel(input: ModelInput): TargetModel {
  const { recipe, base, before, larder, wishes, without } = input
  const builder = new ProgramBuilder()
  const eaten = new Map(base.working.lines.map((one) => [one.lineId, one.foodGrams]))
  const listed = allLines(recipe).flatMap(({ part, line }) => {
    const food = line.foodId === null ? undefined : larder.foods.get(line.foodId)
    return food && line.grams !== null && line.grams > 0 ? [{ part, line, food, grams: line.grams }] : []
  })
  const totalGrams = listed.reduce((sum, one) => sum + (one.part.kind === 'pan' ? 0 : one.grams), 0)
  const present = new Set([...listed.map((one) => one.food.id), 'water', ...(wishes.locks.have ?? [])])
  const locked = new Set(without.has('locked lines') ? [] : wishes.locks.lineIds)
  const { weights } = wishes
  const wished: Wish[] = []
  const targets = targetsOf(wishes).filter(({ name }) => !without.has(name))
  if (input.driven) targets.push({ target: input.driven, name: DRIVEN })
  const marginOf = new Map(targetsOf(wishes).map(({ target }, at) => [target, input.margins[at] ?? 0]))
  const excluding = { ...wishes, diets: wishes.diets.filter((diet) => !without.has(diet.name)) }

  /** How much one gram of a food helps the targets, in shares of their limits: for choosing options. */
  const help = (perGram: (of: PerGram) => number) =>
    targets.reduce((sum, { target }) => {
      const limit = limitOf(target, before.measures)
      if (limit === null) return sum
      const { perGram: of } = targetPerGram(target, limit)
      const batch = Math.abs(batchLimit(target, limit, recipe, base.asEaten.balance.eatenGrams)) || totalGrams
      return sum + ((target.comparison === 'at-least' ? 1 : -1) * perGram(of)) / batch
    }, 0)

  const lessSalt = targets.some(({ target }) => target.figure === 'saltG' || target.figure === 'sodiumMg')
  const lines = listed.map((one): LineModel => {
    const { part, line, food, grams } = one
    const broken = breaks(food, excluding)
    const isLocked = locked.has(line.id)
    const canHelp = targets.length > 0 && grams >= LEAST_LINE_SHARE * totalGrams && part.kind !== 'pan'
    const offered =
      isLocked || (!broken && !canHelp)
        ? []
        : candidatesFor(food, part.kind, madeAs(recipe), larder.swaps).filter(
            (swap) =>
              !wishes.locks.refused.includes(swap.id) &&
              swap.to.every((target) => {
                const own = larder.foods.get(target.foodId)!
                const atHand =
                  wishes.locks.have === null || without.has('what you have') || !newThings(own, present)
                return atHand && !breaks(own, excluding)
              }),
          )
    const made = offered.flatMap((swap) => {
      const parts = optionParts(swap, food, larder.foods)
      if (!parts) return []
      const weight = parts.reduce((sum, own) => sum + own.perGram + own.waterPerGram, 0)
      const gain =
        help((of) => parts.reduce((sum, own) => sum + own.perGram * of(own.food, 0), 0)) -
        help((of) => of(food, 0) * weight)
      const fresh = parts.reduce((sum, own) => sum + newThings(own.food, present), 0)
      const fixedCost =
        weights.swaps * SWAP_COST +
        weights.roles * ROLE_COST * swap.rolesLost.length +
        weights.newThings * NEW_THING_COST * fresh
      return [{ swap, parts, gain, fixedCost }]
    })
    const useful = chooseOptions(
      made,
      broken,
      targets.length > 0,
      // What a dough is made of decides whether it holds: there every stand-in is tried.
      part.kind === 'shell' && isFlourFood(food) ? MOST_FLOURS : MOST_OPTIONS + 1,
    )
    const taste = TASTE_GROUPS.has(food.group) ? 1 + (TASTE_FACTOR - 1) * weights.taste : 1
    const factor = food.id === 'water' ? WATER_FACTOR : taste
    // What is taken out and what comes in are each half of what is moved.
    const percent = (weights.moved * 50) / totalGrams
    const movedCost =
      percent * factor * (food.id === 'water' ? 1 : Math.max(1, (LEAST_COUNTED_SHARE * totalGrams) / grams))
    const unmet = broken && !useful.length && !isLocked
    const stays = isLocked || unmet || (!broken && part.kind === 'pan')
    const [low, high] = stays ? [1, 1] : rangeOf(part, food, lessSalt)
    const priceOf = (id: string) => {
      const price = wishes.prices.get(id)
      return price ? (PRICE_COST * weights.price * price.price) / price.packGrams : 0
    }
    const keep = builder.variable(`keep ${line.id}`, {
      // A line that has to go and is locked leaves no way, which is then said.
      upper: broken && !unmet ? 0 : null,
      cost: priceOf(food.id),
    })
    const above = builder.variable(`above ${line.id}`, { cost: movedCost })
    const below = builder.variable(`below ${line.id}`, { cost: movedCost })
    const mustGo = broken && !unmet && !isLocked
    const options = useful.map(({ swap, parts, fixedCost }): Option => {
      const price = parts.reduce((sum, own) => sum + own.perGram * priceOf(own.food.id), 0)
      const weight = parts.reduce((sum, own) => sum + own.perGram + own.waterPerGram, 0)
      const swapped = percent * (factor + weight)
      return {
        swap,
        parts,
        // A line that has to go is moved as a whole, however little comes in its place: there less is not nearer.
        grams: builder.variable(`swap ${line.id} ${swap.id}`, { cost: price + (mustGo ? 0 : swapped) }),
        chosen: builder.variable(`chosen ${line.id} ${swap.id}`, {
          binary: true,
          cost: fixedCost + (mustGo ? grams * swapped : 0),
        }),
      }
    })
    const all: [number, number][] = [[keep, 1], ...options.map((own): [number, number] => [own.grams, 1])]
    // Against the weight as written, what stands in for a line counted as the line.
    builder.constrain(`moved ${line.id}`, [...all, [above, -1], [below, 1]], { min: grams, max: grams })
    builder.constrain(`amount ${line.id}`, all, { min: low * grams, max: high * grams })
    for (const own of options) {
      builder.constrain(
        `chosen ${line.id} ${own.swap.id}`,
        [
          [own.grams, 1],
          [own.chosen, -Math.min(high, MOST_SHARE) * grams],
        ],
        { max: 0 },
      )
      builder.constrain(
        `enough ${line.id} ${own.swap.id}`,
        [
          [own.grams, 1],
          [own.chosen, -LEAST_SHARE * grams],
        ],
        { min: 0 },
      )
    }
    // A line that has to go needs one of them, which spares the search the halves of two.
    if (mustGo || options.length > 1)
      builder.constrain(
        `one swap ${line.id}`,
        options.map((own): [number, number] => [own.chosen, 1]),
        mustGo ? { min: 1, max: 1 } : { max: 1 },
      )
    return { part, line, food, grams, keep, above, below, options, unmet }
  })

  const shell = lines.filter((one) => one.part.kind === 'shell')
  const hasWater = shell.some((one) => one.food.id === 'water')
  const water = larder.foods.get('water')!
  const addedWater =
    hasWater || !shell.length || base.dough.ready
      ? null
      : builder.variable('added water', { cost: ((weights.moved * 50) / totalGrams) * WATER_FACTOR })

  /** The terms of a sum over some lines: what a gram of each food adds, for what stays and for what comes. */
  const sumOver = (
    of: readonly LineModel[],
    perGram: PerGram,
    share: (line: LineModel) => number = () => 1,
  ) => {
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
  const withWater = (terms: [number, number][], perGram: PerGram): [number, number][] =>
    addedWater === null ? terms : [...terms, [addedWater, perGram(water, 0)]]

  const weighs: PerGram = (_, waterPerGram) => 1 + waterPerGram
  for (const part of recipe.parts) {
    if (part.kind !== 'shell' && part.kind !== 'filling') continue
    const own = lines.filter((one) => one.part === part)
    const grams = own.reduce((sum, one) => sum + one.grams + one.line.waterChangeGrams, 0)
    if (grams <= 0) continue
    const first = recipe.parts.find((other) => other.kind === 'shell') === part
    const terms = sumOver(own, weighs)
    builder.constrain(`weight ${part.id}`, first ? withWater(terms, weighs) : terms, {
      min: grams * (1 - WEIGHT_SLACK),
      max: grams * (1 + WEIGHT_SLACK),
    })
  }

  const flourFood: PerGram = (food) => (isFlourFood(food) ? 1 : 0)
  if (!base.dough.ready && base.dough.softness !== null) {
    const soft = base.dough.softness
    const against =
      (limit: number): PerGram =>
      (food, waterPerGram) => {
        const terms = softnessTerms({ food, grams: 1, waterChangeGrams: waterPerGram })
        return terms.freeWaterGrams + terms.fatShareGrams - limit * terms.waterDemandGrams
      }
    const softest = against(soft + SOFTNESS_SLACK)
    const firmest = against(soft - SOFTNESS_SLACK)
    builder.constrain('not softer', withWater(sumOver(shell, softest), softest), { max: 0 })
    builder.constrain('not firmer', withWater(sumOver(shell, firmest), firmest), { min: 0 })
    const fatPct = base.dough.fatPct ?? 0
    if (fatPct >= RICH_PCT) {
      // A short crust without its fat is bread.
      const rich =
        (share: number): PerGram =>
        (food, waterPerGram) =>
          (isFlourFood(food) ? 0 : food.per100g.fatG / 100) -
          ((share * fatPct) / 100) * flourFood(food, waterPerGram)
      builder.constrain('fat kept', sumOver(shell, rich(LEAST_FAT_SHARE)), { min: 0 })
      builder.constrain('fat not more', sumOver(shell, rich(MOST_FAT_SHARE)), { max: 0 })
    }
    const need = needsOf(recipe.shape, recipe.cooking.way, larder.dough).find(
      (one) => one.ability === 'strength',
    )
    const strength = base.abilities.strength
    if (need && strength !== null && !without.has(STRENGTH)) {
      // A dough that is weaker than its shape asks already need not become stronger.
      const limit = Math.min(need.limit, strength) / shortening(base.dough.fatPct ?? 0)
      const strong: PerGram = (food) => strengthGrams(food, 1, larder.dough) - (isFlourFood(food) ? limit : 0)
      builder.constrain('strong enough', sumOver(shell, strong), { min: 0 })
    }
    wished.push({
      name: STRENGTH,
      kind: 'dough',
      text: 'a dough strong enough for its shape and cooking',
    })
  }

  for (const { target, name } of targets) {
    const limit = limitOf(target, before.measures)
    if (limit === null) continue
    const margin = marginOf.get(target) ?? 0
    const { perGram, ofFlour } = targetPerGram(target, limit)
    const own = ofFlour ? shell : lines
    const terms = sumOver(own, perGram, (one) => {
      if (ofFlour) return 1
      return (eaten.get(one.line.id) ?? one.grams) / one.grams
    })
    const bound = batchLimit(target, limit, recipe, base.asEaten.balance.eatenGrams)
    const scale = Math.abs(bound) || scaleOfShare(target, limit, base)
    builder.constrain(
      `target ${name}`,
      terms,
      target.comparison === 'at-least' ? { min: bound + margin * scale } : { max: bound - margin * scale },
    )
    wished.push({ name, kind: 'target', text: `${name}: ${sayTarget(target, before.measures)}` })
  }
  for (const diet of excluding.diets)
    if (excludes(diet)) wished.push({ name: diet.name, kind: 'diet', text: diet.name })

  if (wishes.locks.maxSwaps !== null && !without.has('how many swaps')) {
    const chosen = lines.flatMap((one) => one.options.map((own): [number, number] => [own.chosen, 1]))
    builder.constrain('how many swaps', chosen, { max: wishes.locks.maxSwaps })
    wished.push({ name: 'how many swaps', kind: 'lock', text: `at most ${wishes.locks.maxSwaps} swaps` })
  }
  if (locked.size) wished.push({ name: 'locked lines', kind: 'lock', text: keptWords(lines, locked) })
  if (wishes.locks.have !== null && !without.has('what you have'))
    wished.push({ name: 'what you have', kind: 'lock', text: 'only what you have' })

  const names = new Set<string>()
  return {
    program: builder,
    lines,
    addedWater,
    wishes: wished.filter((wish) => !names.has(wish.name) && names.add(wish.name)),
  }
}

function keptWords(lines: readonly LineModel[], locked: ReadonlySet<string>): string {
  const names = lines.filter((one) => locked.has(one.line.id)).map((one) => one.food.name.toLowerCase())
  return `keeping the ${names.join(', the ')}`
}
