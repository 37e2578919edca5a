import { foodIs } from '../food/groups'
import type { CookingWay } from '../recipe/vocabulary'
import { MAIN_SHARE, shareOf } from '../substitution/catalogue'
import { formulaIdOf } from '../substitution/formulas'
import {
  leverFactor,
  leverOfLess,
  leverOfMore,
  netCarbohydrateG,
  STARCHY_G,
  type LeverName,
} from '../substitution/levers'
import { CRAFT_RANGE, craftRange, heldByCraft, RANGE, rangeOf, THINNEST_SHELL } from './craft'
import { LIKE_ENOUGH, optionsFor, type Candidate } from './options'
import type { ProgramBuilder } from './program'
import { breaks, CRAFT, type AskedLine, type Question } from './question'

/** Ways whose fat is what the pan is greased with, all of it eaten. */
const GREASED: ReadonlySet<CookingWay> = new Set(['griddle', 'brown-and-steam', 'shallow-fry'])

/** Lines that carry the taste of the piece count for more. Our own choice, no source. */
const TASTE_FACTOR = 1.6
/**
 * A line counts as at least this share of the recipe's weight: a sixth of the sesame oil is felt, however little
 * it weighs. Our own choice.
 */
const MIN_COUNTED_SHARE = 0.03
/** Water is moved at hardly any cost: it is there to make the dough right. */
export const WATER_FACTOR = 0.1

/** One unit of money for the batch beside one percent of weight moved. Our own choice. */
const PRICE_COST = 4

/** A stand-in less than `LIKE_ENOUGH` takes at most that share of its line. Our own choice. */
const MAX_UNLIKE_SHARE = { usual: 0.4, further: 0.6 } as const

/** So much of a filling's main food stays, or is something much like it. Our own choice. */
const ITSELF_SHARE = { usual: 0.5, further: 0.45 } as const

/**
 * A swap below this share of its line is not worth a purchase; in a filling nobody stirs in a spoon of something else
 * for less than a quarter of what it is of. Our own choice.
 */
const MIN_SHARE = { dough: 0.1, filling: 0.25 } as const
/** Replacing more of a line than this makes a different filling. */
const MAX_SHARE = 1.3
/** A swap that may stand for a line, as variables. */
export interface Option extends Pick<Candidate, 'swap' | 'parts'> {
  /** Variables: grams of the line's food that are replaced, and whether any is. */
  grams: number
  chosen: number
  likeness: number
}

/** A line as variables. */
export interface LineModel extends AskedLine {
  /** Variable: grams that stay. */
  keep: number
  options: Option[]
  /** It breaks a diet and nothing stands in for it. */
  unmet: boolean
}

/** What a gram of weight that is moved in or out counts for. */
export const percentMoved = ({ wishes, totalGrams }: Question): number =>
  (wishes.weights.moved * 50) / totalGrams

/** How much more than its weight a line counts when it is swapped, and when there is less or more of it. */
function countsOf({ food, grams }: AskedLine, { wishes, totalGrams }: Question) {
  if (food.id === 'water') return { swapped: WATER_FACTOR, amount: WATER_FACTOR }
  const taste = foodIs(food, 'taste') ? 1 + (TASTE_FACTOR - 1) * wishes.weights.taste : 1
  return { swapped: taste, amount: taste * Math.max(1, (MIN_COUNTED_SHARE * totalGrams) / grams) }
}

/** What the lines of a search have in common. */
export interface Shared {
  /** Variable: the share of its weight that the shell keeps; null where it stays as it is. */
  shell: number | null
  /** Notes that a choice loses a diet the recipe keeps, or brings an allergen it does not hold. */
  lose: (kind: 'diet' | 'allergen', id: string, chosen: number) => void
}

/** What a gram of starch or sugar that stays in a filling counts for beside a gram that is moved. Our own choice. */
const STARCH_STAYS = 2.5

/**
 * Where few carbohydrates are asked, starchy filling and sugar go out and are not only cut to the limit: a cook who eats
 * so does not leave half of the potatoes in.
 */
function starchCost({ part, food }: AskedLine, question: Question, canGo: boolean): number {
  const counts = canGo && question.starchGoes && (part.kind === 'filling' || part.kind === 'finish')
  return counts && netCarbohydrateG(food) >= STARCHY_G ? STARCH_STAYS * percentMoved(question) : 0
}

const greasesPan = ({ recipe: { cooking } }: Question): boolean =>
  GREASED.has(cooking.way) ||
  (cooking.way === 'boil' && cooking.andThen !== null && GREASED.has(cooking.andThen.way))

/** Writes a line: grams that stay, and for each swap that may stand for it grams replaced and whether any are. */
export function writeLine(
  one: AskedLine,
  question: Question,
  builder: ProgramBuilder,
  shared: Shared,
): LineModel {
  const { part, line, food, grams } = one
  const { wishes, locked, targets, purposes, reference } = question
  const useful = optionsFor(one, question)
  const broken = breaks(food, question)
  const isLocked = locked.has(line.id)
  const unmet = broken && !useful.length && !isLocked
  const mustGo = broken && !unmet && !isLocked
  const greases = part.kind === 'pan' && purposes.has('lighter') && greasesPan(question)
  const stays = isLocked || unmet || (!broken && part.kind === 'pan' && !greases)
  const lessSalt = targets.some(({ target }) => target.figure === 'saltG' || target.figure === 'sodiumMg')
  // Where no figure is asked for, what keeps the diets keeps its amount; the dough alone is put right.
  const still = !targets.length && part.kind !== 'shell' && !question.without.has(CRAFT)
  const craft = foodIs(food, 'fixed') ? null : craftRange(one, question)
  const byCraft = heldByCraft(craft, question.without.has(CRAFT))
  const formed = part.kind === 'shell' && formulaIdOf(line.cameFrom?.swapId) !== null
  const usual = formed || still ? RANGE.fixed! : (byCraft ?? rangeOf(part, food, lessSalt))
  // What does not change by itself follows the shell when that is made thinner.
  const follows = shared.shell !== null && part.kind === 'shell' && !stays && usual[0] === 1 && usual[1] === 1
  const [low, high] = stays ? [1, 1] : follows ? [THINNEST_SHELL, 1] : usual
  const starchStays = starchCost(one, question, low === 0 || useful.length > 0)
  const counts = countsOf(one, question)
  const percent = percentMoved(question)
  const priceOf = (id: string) => {
    const price = wishes.prices.get(id)
    return price ? (PRICE_COST * wishes.weights.price * price.price) / price.packGrams : 0
  }
  const keep = builder.variable(`keep ${line.id}`, {
    keeps: true,
    // A line that has to go and is locked leaves no way, which is then said.
    upper: broken && !unmet ? 0 : null,
    cost: priceOf(food.id) + starchStays,
    term: starchStays > 0 ? `${food.name.toLowerCase()} that stays` : '',
  })
  const lever = (name: LeverName | null) => leverFactor(name, purposes, reference.levers)
  const name = food.name
  const above = builder.variable(`above ${line.id}`, {
    cost: percent * counts.amount * lever(leverOfMore(part.kind, food)),
    term: `more ${name.toLowerCase()}`,
  })
  const below = builder.variable(`below ${line.id}`, {
    cost: percent * counts.amount * lever(leverOfLess(part.kind, food)),
    term: `less ${name.toLowerCase()}`,
  })
  const options = useful.map(({ swap, parts, fixedCost, likeness, lever: own, loses, brings }): Option => {
    const price = parts.reduce((sum, own) => sum + own.perGram * priceOf(own.food.id), 0)
    // What is taken out and what comes in are each half of what is moved: as far as the one is unlike the other.
    const swapped = 2 * percent * counts.swapped * (1 - likeness) * lever(own)
    const other = parts.find((own) => own.food.id !== food.id)
    const term = `${name.toLowerCase()} changed to ${other?.food.name.toLowerCase() ?? 'something else'}`
    const chosen = builder.variable(`chosen ${line.id} ${swap.id}`, {
      binary: true,
      cost: fixedCost + (mustGo ? grams * swapped : 0),
      term,
    })
    for (const id of loses) shared.lose('diet', id, chosen)
    for (const allergen of brings) shared.lose('allergen', allergen, chosen)
    return {
      swap,
      parts,
      // A line that has to go is moved as a whole, however little comes in its place: there less is not nearer.
      grams: builder.variable(`swap ${line.id} ${swap.id}`, {
        cost: price + (mustGo ? 0 : swapped),
        term,
      }),
      chosen,
      likeness,
    }
  })
  const all: [number, number][] = [[keep, 1], ...options.map((own): [number, number] => [own.grams, 1])]
  // Against the weight as written, what stands in for a line counted as the line.
  builder.constrain(`moved ${line.id}`, [...all, [above, -1], [below, 1]], { min: grams, max: grams })
  if (follows) builder.constrain(`share ${line.id}`, [...all, [shared.shell!, -grams]], { min: 0, max: 0 })
  builder.constrain(`amount ${line.id}`, all, { min: low * grams, max: high * grams })
  // Pieces are not closed in two kinds of bought sheets.
  if (part.kind === 'shell' && foodIs(food, 'bought-dough'))
    builder.constrain(
      `one sheet ${line.id}`,
      [[keep, 1], ...options.map((own): [number, number] => [own.chosen, high * grams])],
      { max: high * grams },
    )
  // What a filling is made of is there as itself: vegetables beside it make it lighter, and in its place another dish.
  const share = shareOf(part, line) ?? 0
  const main =
    (craft === CRAFT_RANGE.main || (craft === CRAFT_RANGE.vegetable && share >= MAIN_SHARE)) &&
    !mustGo &&
    !purposes.has('keto')
  const countsAsItself = (own: Option): number => {
    const same = own.parts.filter((one) => one.food.kind === food.kind && own.parts.length > 1)
    if (same.length) return same.reduce((sum, one) => sum + one.perGram, 0)
    return own.likeness >= LIKE_ENOUGH ? 1 : 0
  }
  const itself = options.map((own) => [own.grams, countsAsItself(own)] as const)
  if (main && low > 0 && itself.some(([, counted]) => counted < 1)) {
    const least = ITSELF_SHARE[question.without.has(CRAFT) ? 'further' : 'usual']
    const terms = itself.filter(([, counted]) => counted > 0).map((one): [number, number] => [...one])
    builder.constrain(`itself ${line.id}`, [[keep, 1], ...terms], { min: least * grams })
  }
  // Nobody buys two minces: a leaner one takes the whole line, of whatever animal.
  const twin = (own: Option) =>
    own.parts.length === 1 &&
    (own.parts[0]!.food.kind === food.kind ||
      (food.group === 'minced-meat' && own.parts[0]!.food.group === 'minced-meat'))
  for (const own of options)
    if (twin(own))
      builder.constrain(
        `whole ${line.id} ${own.swap.id}`,
        [
          [keep, 1],
          [own.chosen, high * grams],
        ],
        { max: high * grams },
      )
  for (const own of options) {
    const between = (share: number): [number, number][] => [
      [own.grams, 1],
      [own.chosen, -share * grams],
    ]
    // What a filling is made of stays so by itself, unless something much like it stands in.
    const partly = !mustGo && part.kind === 'filling' && !purposes.has('keto') && own.likeness < LIKE_ENOUGH
    const most = twin(own)
      ? high
      : partly
        ? MAX_UNLIKE_SHARE[question.without.has(CRAFT) ? 'further' : 'usual']
        : Math.min(high, MAX_SHARE)
    builder.constrain(`chosen ${line.id} ${own.swap.id}`, between(most), { max: 0 })
    builder.constrain(
      `enough ${line.id} ${own.swap.id}`,
      between(MIN_SHARE[part.kind === 'filling' ? 'filling' : 'dough']),
      {
        min: 0,
      },
    )
  }
  // A line that has to go needs one of them, which spares the search the halves of two.
  if (mustGo || options.length > 1)
    builder.constrain(
      `one swap ${line.id}`,
      options.map((own): [number, number] => [own.chosen, 1]),
      mustGo ? { min: 1, max: 1 } : { max: 1 },
    )
  return { ...one, keep, options, unmet }
}
