import { foodAgainstDiet } from '../diet/diets'
import { limitOf } from '../diet/target'
import { foodIs, isFlour } from '../food/groups'
import type { Food, Foods } from '../food/food'
import { scaldedOf } from '../food/scalded'
import {
  amountOf,
  candidatesFor,
  madeAs,
  standingsOf,
  standsForAll,
  waterOf,
  type Swap,
} from '../substitution/catalogue'
import { formulaIdOf } from '../substitution/formulas'
import { leverOfSwap, type LeverName } from '../substitution/levers'
import { likenessOfMix } from '../substitution/likeness'
import { batchLimit, targetPerGram, type PerGram } from './figures'
import { breaks, CRAFT, HAVE, type AskedLine, type Question } from './question'

/** What the parts of the distance weigh beside one percent of the recipe's weight moved. Our own choice. */
export const SWAP_COST = 4
const ROLE_COST = 3
export const NEW_THING_COST = 2
/** A diet that the recipe kept and keeps no longer, and an allergen that it did not hold. Our own choice. */
export const LOST_COST = 60
export const BROUGHT_COST = 6

/** Stand-ins of a flour that has to go. */
const MAX_FLOURS = 6
/** Lines lighter than this share of the recipe are not turned over for a figure's sake. */
const MIN_LINE_SHARE = 0.012
/** A gram that helps less than this share of a limit does not help. */
const MIN_GAIN = 1e-7
/** Options of a line that are looked at for a figure's sake; the most helpful ones. */
const MAX_OPTIONS = 3
/** A swap that may stand for a line, with what one gram of the line's food turns into. */
export interface Candidate {
  swap: Swap
  parts: { food: Food; perGram: number; waterPerGram: number }[]
  /** How much a gram helps the targets, in shares of their limits. */
  gain: number
  /** Distance that choosing it adds, however little of it comes in. */
  fixedCost: number
  /** How like it is to what it stands in for, in its place, 0 to 1. */
  likeness: number
  /** What a cook would call it; null for nothing that cooks do for a figure. */
  lever: LeverName | null
  /** Diets that the recipe keeps and would no longer keep with it, and allergens that it brings. */
  loses: readonly string[]
  brings: readonly string[]
}

function optionParts(swap: Swap, food: Food, foods: Foods): Candidate['parts'] | null {
  const parts: Candidate['parts'] = []
  for (const target of swap.to) {
    const plain = foods.get(target.foodId)!
    const own = target.scalded ? scaldedOf(plain) : plain
    const perGram = amountOf(target, food, 1, own)
    if (perGram === null || !Number.isFinite(perGram)) return null
    parts.push({
      food: own,
      perGram,
      waterPerGram: perGram * waterOf(target, own),
    })
  }
  return parts
}

/** A stand-in less like what it replaces than this takes only a part of its line. Our own choice. */
export const LIKE_ENOUGH = 0.65

/** Only for choosing which stand-ins to look at: what an unlike one, and one that loses a diet, counts for. */
const FAR_PER_UNLIKE = 25
const lost = (one: Candidate) => LOST_COST * one.loses.length + BROUGHT_COST * one.brings.length

/**
 * The swaps worth looking at. For a line that has to go: the nearest, those that lose nothing the recipe
 * keeps, the most helpful, and the first of the catalogue.
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
    const far = (one: Candidate) => one.fixedCost + FAR_PER_UNLIKE * (1 - one.likeness) + lost(one)
    const nearest = [...made].sort((a, b) => far(a) - far(b))
    const keeping = nearest.filter((one) => !one.loses.length)
    const wanted = [
      nearest[0],
      ...keeping.slice(0, 2),
      ...(hasTargets ? byGain.slice(0, 1) : []),
      ...nearest,
      made[0],
    ]
    return [...new Set(wanted.filter((one) => one !== undefined))].slice(0, most)
  }
  const helpful = byGain.filter((one) => one.gain > MIN_GAIN)
  const costs = (one: Candidate) => 1 + one.fixedCost + lost(one) + FAR_PER_UNLIKE * (1 - one.likeness)
  const worth = [...helpful].sort((a, b) => b.gain / costs(b) - a.gain / costs(a))
  // The strongest that is enough like it to take the place of the whole line, beside the strongest of all.
  const whole = helpful.filter((one) => one.likeness >= LIKE_ENOUGH).slice(0, 1)
  return [...new Set([...helpful.slice(0, 1), ...whole, ...worth])].slice(0, MAX_OPTIONS)
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

/** What foods would bring that nobody asked for: diets that are kept no longer, allergens that were not there. */
function unasked(foods: readonly Food[], { kept, had }: Question): Pick<Candidate, 'loses' | 'brings'> {
  return {
    loses: kept
      .filter((diet) => foods.some((food) => foodAgainstDiet(food, diet).breaks.length > 0))
      .map((diet) => diet.id),
    brings: [...new Set(foods.flatMap((food) => food.allergens))].filter((allergen) => !had.has(allergen)),
  }
}

/** What stands in for meat, milk and egg where these are left out. */
const IMITATIONS = new Set(
  'plant-meat plant-cheese plant-milk plant-cream plant-yogurt plant-egg soy-food textured-protein'.split(
    ' ',
  ),
)

/** The swaps that are tried for a line: none for one that may stay and cannot help. */
export function optionsFor({ part, line, food, grams }: AskedLine, question: Question): Candidate[] {
  const { recipe, reference, wishes, without, present, locked, targets, totalGrams, family, purposes } =
    question
  const { weights, locks } = wishes
  const broken = breaks(food, question)
  // A spoon of sugar is little by weight, and all of a strict limit of carbohydrate.
  const counts = purposes.has('keto') && foodIs(food, 'sugar')
  const canHelp =
    targets.length > 0 && (counts || grams >= MIN_LINE_SHARE * totalGrams) && part.kind !== 'pan'
  // What a formula made is one dough: it changes as a whole.
  const formed = part.kind === 'shell' && formulaIdOf(line.cameFrom?.swapId) !== null
  if (locked.has(line.id) || (!broken && (!canHelp || formed))) return []
  const anything = locks.have === null || without.has(HAVE)
  const made = candidatesFor(
    food,
    part.kind,
    madeAs(recipe),
    reference.swaps,
    standingsOf(part, line, reference.foods),
  ).flatMap((swap): Candidate[] => {
    if (locks.refused.includes(swap.id)) return []
    // Cauliflower for rice is for fewer carbohydrates, not for whatever else it happens to do.
    if (!broken && swap.ends.length && !swap.ends.some((end) => purposes.has(end))) return []
    if (broken && !standsForAll(swap, purposes)) return []
    const parts = optionParts(swap, food, reference.foods)
    if (!parts?.every((own) => (anything || !toBuy(own.food, present).length) && !breaks(own.food, question)))
      return []
    // Nobody puts tofu for ricotta or plant strips for bacon where the animal food may stay.
    const imitates = food.origins.length > 0 && parts.some((own) => IMITATIONS.has(own.food.group))
    if (!broken && imitates && !without.has(CRAFT)) return []
    // What may stay is turned over only in ways that cooks take for what is asked.
    const lever = leverOfSwap(
      part.kind,
      food,
      parts.map((own) => own.food),
    )
    if (!broken && (lever === null || (lever === 'vegetable-swap' && !swap.ends.length))) return []
    const weight = parts.reduce((sum, own) => sum + own.perGram + own.waterPerGram, 0)
    const gain =
      help(question, (of) => parts.reduce((sum, own) => sum + own.perGram * of(own.food, 0), 0)) -
      help(question, (of) => of(food, 0) * weight)
    const fresh = new Set(parts.flatMap((own) => toBuy(own.food, present))).size
    const fixedCost =
      weights.swaps * SWAP_COST +
      weights.roles * ROLE_COST * swap.rolesLost.length +
      weights.newThings * NEW_THING_COST * fresh
    const likeness = likenessOfMix(
      food,
      parts.map((own) => ({ food: own.food, grams: own.perGram + own.waterPerGram })),
      { part: part.kind, family },
      reference.likeness,
    )
    const { loses, brings } = unasked(
      parts.map((own) => own.food),
      question,
    )
    return [{ swap, parts, gain, fixedCost, likeness, lever, loses, brings }]
  })
  // What a dough is made of decides whether it holds: there every stand-in is tried.
  const most = part.kind === 'shell' && isFlour(food) ? MAX_FLOURS : MAX_OPTIONS + 1
  return chooseOptions(made, broken, targets.length > 0, most)
}
