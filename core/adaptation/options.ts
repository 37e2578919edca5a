import { limitOf } from '../diet/target'
import type { Food, Foods } from '../food/food'
import { amountOf, candidatesFor, madeAs, type Swap } from '../swap/catalogue'
import { batchLimit, isFlourFood, targetPerGram, type PerGram } from './figures'
import { breaks, HAVE, type AskedLine, type Question } from './question'

/** What the parts of the distance weigh beside one percent of the recipe's weight moved. Our own choice. */
const SWAP_COST = 4
const ROLE_COST = 3
const NEW_THING_COST = 2

/** Stand-ins of a flour that has to go. */
const MOST_FLOURS = 6
/** Lines lighter than this share of the recipe are not turned over for a figure's sake. */
const LEAST_LINE_SHARE = 0.012
/** A gram that helps less than this share of a limit does not help. */
const LEAST_GAIN = 1e-7
/** Options of a line that are looked at for a figure's sake; the most helpful ones. */
const MOST_OPTIONS = 3
/** A swap that may stand for a line, with what one gram of the line's food turns into. */
export interface Candidate {
  swap: Swap
  parts: { food: Food; perGram: number; waterPerGram: number }[]
  /** How much a gram helps the targets, in shares of their limits. */
  gain: number
  /** Distance that choosing it adds, however little of it comes in. */
  fixedCost: number
}

function optionParts(swap: Swap, food: Food, foods: Foods): Candidate['parts'] | null {
  const parts: Candidate['parts'] = []
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

/** What has to be bought for a food, by id: the food, or what goes into it if it is made at home. */
function toBuy(food: Food, present: ReadonlySet<string>): string[] {
  if (present.has(food.id)) return []
  const ids = food.homemade ? food.homemade.madeOf.map((one) => one.foodId) : [food.id]
  return ids.filter((id) => !present.has(id))
}

/** How much one gram of a food helps the targets, in shares of their limits. */
function help(question: Question, perGram: (of: PerGram) => number): number {
  const { before, base, recipe, targets, totalGrams } = question
  return targets.reduce((sum, { target }) => {
    const limit = limitOf(target, before.measures)
    if (limit === null) return sum
    const { perGram: of } = targetPerGram(target, limit)
    const batch = Math.abs(batchLimit(target, limit, recipe, base.asEaten.balance.eatenGrams)) || totalGrams
    return sum + ((target.comparison === 'at-least' ? 1 : -1) * perGram(of)) / batch
  }, 0)
}

/** The swaps that are tried for a line: none for one that may stay and cannot help. */
export function optionsFor({ part, line, food, grams }: AskedLine, question: Question): Candidate[] {
  const { recipe, larder, wishes, without, present, locked, targets, totalGrams } = question
  const { weights, locks } = wishes
  const broken = breaks(food, question)
  const canHelp = targets.length > 0 && grams >= LEAST_LINE_SHARE * totalGrams && part.kind !== 'pan'
  if (locked.has(line.id) || (!broken && !canHelp)) return []
  const anything = locks.have === null || without.has(HAVE)
  const made = candidatesFor(food, part.kind, madeAs(recipe), larder.swaps).flatMap((swap): Candidate[] => {
    if (locks.refused.includes(swap.id)) return []
    const parts = optionParts(swap, food, larder.foods)
    if (!parts?.every((own) => (anything || !toBuy(own.food, present).length) && !breaks(own.food, question)))
      return []
    const weight = parts.reduce((sum, own) => sum + own.perGram + own.waterPerGram, 0)
    const gain =
      help(question, (of) => parts.reduce((sum, own) => sum + own.perGram * of(own.food, 0), 0)) -
      help(question, (of) => of(food, 0) * weight)
    const fresh = new Set(parts.flatMap((own) => toBuy(own.food, present))).size
    const fixedCost =
      weights.swaps * SWAP_COST +
      weights.roles * ROLE_COST * swap.rolesLost.length +
      weights.newThings * NEW_THING_COST * fresh
    return [{ swap, parts, gain, fixedCost }]
  })
  // What a dough is made of decides whether it holds: there every stand-in is tried.
  const most = part.kind === 'shell' && isFlourFood(food) ? MOST_FLOURS : MOST_OPTIONS + 1
  return chooseOptions(made, broken, targets.length > 0, most)
}
