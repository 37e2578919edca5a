import { foodAgainstDiet, type Diet } from '../diet/diets'
import type { Allergen, Food, Foods } from '../food/food'
import type { Line, Recipe } from '../recipe/document'
import { allLines, foodOf } from '../recipe/lines'
import type { PartKind } from '../recipe/vocabulary'
import { applySwap, NO_SWAP, replaceLine, type Change, type Swapped } from './applySwap'
import { candidatesFor, madeAs, standingsOf, standsForAll, type Standing, type Swap } from './catalogue'
import { rebalanceDough } from './rebalance'
import { rebalanceSalt } from './rebalanceSalt'

export interface Substituted {
  recipe: Recipe
  changes: Change[]
  /** Lines that still break a diet because nothing stands in for them. */
  unmet: { lineId: string; reason: string }[]
}

const breaks = (food: Food, diets: readonly Diet[]) =>
  diets.some((diet) => foodAgainstDiet(food, diet).breaks.length > 0)
const mayBreak = (food: Food, diets: readonly Diet[]) =>
  diets.flatMap((diet) => foodAgainstDiet(food, diet).may)

/** A line as a swap looks at it. */
interface Place {
  food: Food
  part: PartKind
  standings: ReadonlySet<Standing>
}

/**
 * The swaps for a line whose every substitute keeps to the diets: those first that lose none of the diets the recipe
 * keeps besides, then those that bring no new allergen, then the same food made otherwise, then what comes of an animal as it
 * does, then in the order of the catalogue.
 *
 * @param kept diets that the recipe keeps and nobody asked for
 * @param had allergens that the recipe holds already; null where they are no matter
 */
export function fittingSwaps(
  { food, part, standings }: Place,
  recipe: Recipe,
  diets: readonly Diet[],
  swaps: readonly Swap[],
  foods: Foods,
  kept: readonly Diet[] = [],
  had: ReadonlySet<Allergen> | null = null,
): Swap[] {
  const loses = (swap: Swap) =>
    kept.filter((diet) => swap.to.some((target) => breaks(foods.get(target.foodId)!, [diet]))).length
  const brings = (swap: Swap) =>
    had === null
      ? 0
      : new Set(swap.to.flatMap(({ foodId }) => foods.get(foodId)!.allergens.filter((one) => !had.has(one))))
          .size
  // The same food made otherwise: beer cleared without fish, yogurt whose lactose is split.
  const isKin = ({ to }: Swap) => to.length === 1 && foods.get(to[0]!.foodId)!.figuresOf === food.id
  // Who leaves out pork eats meat: beef or fowl before what is made to be like it.
  const isAlike = ({ to }: Swap) =>
    diets.length > 0 &&
    food.origins.some((origin) => to.some(({ foodId }) => foods.get(foodId)!.origins.includes(origin)))
  return (
    candidatesFor(food, part, madeAs(recipe), swaps, standings)
      .filter(
        (swap) => standsForAll(swap) && swap.to.every((target) => !breaks(foods.get(target.foodId)!, diets)),
      )
      .map((swap) => ({ swap, lost: loses(swap), brought: brings(swap) }))
      // What the cook thought of comes before what the table knows.
      .sort(
        (a, b) =>
          Number(b.swap.rank < 0) - Number(a.swap.rank < 0) ||
          a.lost - b.lost ||
          a.brought - b.brought ||
          Number(isKin(b.swap)) - Number(isKin(a.swap)) ||
          Number(isAlike(b.swap)) - Number(isAlike(a.swap)),
      )
      .map(({ swap }) => swap)
  )
}

function bestSwap(
  line: Line,
  place: Place,
  recipe: Recipe,
  { diets, kept, had }: Asked,
  swaps: readonly Swap[],
  foods: Foods,
): Swapped | null {
  for (const swap of fittingSwaps(place, recipe, diets, swaps, foods, kept, kept.length ? had : null)) {
    const swapped = applySwap(line, place.part, swap, foods)
    if (swapped) return swapped
  }
  return null
}

const plainChange = (
  kind: 'none' | 'check',
  line: Line,
  part: PartKind,
  food: Food,
  why: string,
): Change => ({
  kind,
  line: line.raw,
  lineId: line.id,
  part,
  from: food.name,
  to: food.name,
  gramsBefore: line.grams,
  gramsAfter: line.grams,
  why,
  ...NO_SWAP,
  swapId: '',
  source: food.source,
})

/** Diets that are asked for, and those that the recipe keeps already. */
export interface Asked {
  diets: readonly Diet[]
  kept: readonly Diet[]
  /** Allergens that the recipe holds already. */
  had: ReadonlySet<Allergen>
}

interface Exchanged {
  recipe: Recipe
  changes: Change[]
  unmet: Substituted['unmet']
}

/** Swaps what breaks the diets on the lines that are asked for, by the catalogue; nothing is balanced. */
function exchange(
  recipe: Recipe,
  asks: Asked,
  swaps: readonly Swap[],
  foods: Foods,
  asked: (line: Line) => boolean,
): Exchanged {
  const usual = swaps.filter((swap) => swap.usual)
  const { diets } = asks
  let next = recipe
  const changes: Change[] = []
  const unmet: Substituted['unmet'] = []
  for (const { part, line } of allLines(recipe)) {
    // A line that stands for a part made elsewhere has its foods there.
    if (line.componentId !== null || !asked(line)) continue
    const food = foodOf(line, foods)
    if (!food) {
      if (line.raw || line.name)
        unmet.push({ lineId: line.id, reason: `It is not known what "${line.name || line.raw}" is` })
      continue
    }
    const may = mayBreak(food, diets)
    const broken = breaks(food, diets)
    if (!broken && !may.length) continue
    // What only a packet can tell is no reason to turn a recipe over: a usual stand-in that leaves nothing to read for,
    // or a word to check.
    const offered = broken
      ? swaps
      : usual.filter((swap) => swap.to.every((target) => !mayBreak(foods.get(target.foodId)!, diets).length))
    const swapped = bestSwap(
      line,
      { food, part: part.kind, standings: standingsOf(part, line, foods) },
      recipe,
      asks,
      offered,
      foods,
    )
    if (swapped) {
      next = replaceLine(next, line.id, swapped.lines)
      changes.push(swapped.change)
    } else if (broken) {
      const why = `Nothing in the catalogue stands in for ${food.name}. Leave it out, or choose another filling`
      unmet.push({ lineId: line.id, reason: why })
      changes.push(plainChange('none', line, part.kind, food, why))
    } else {
      changes.push(
        plainChange(
          'check',
          line,
          part.kind,
          food,
          `May hold ${may.join(' or ')}: buy one whose packet says it does not`,
        ),
      )
    }
  }
  return { recipe: next, changes, unmet }
}

/**
 * Swaps what breaks the diets on lines without a weight ("a little butter", "ham, as you like"): a search that
 * reckons in grams does not see them, and a diet is broken by what is not weighed as well.
 *
 * @param locked ids of lines that stay as they are
 */
export const swapUnweighed = (
  recipe: Recipe,
  asks: Asked,
  swaps: readonly Swap[],
  foods: Foods,
  locked: readonly string[],
): Exchanged =>
  exchange(recipe, asks, swaps, foods, (line) => !(line.grams! > 0) && !locked.includes(line.id))

const breaksIn = (recipe: Recipe, diet: Diet, foods: Foods) =>
  allLines(recipe).some(({ line }) => {
    const food = foodOf(line, foods)
    return food !== undefined && breaks(food, [diet])
  })

/** The allergens that the foods of a recipe hold for certain. */
export function allergensIn(recipe: Recipe, foods: Foods): Set<Allergen> {
  const found = new Set<Allergen>()
  for (const { line } of allLines(recipe)) {
    const food = foodOf(line, foods)
    for (const allergen of food?.allergens ?? []) found.add(allergen)
  }
  return found
}

/**
 * Swaps everything that breaks the diets for what the catalogue puts in its place, wherever it stands, then
 * brings the dough back to the fat and softness it had.
 *
 * A line with no substitute stays and is reported, and so does a line whose packet has to be read. Adapting a
 * recipe that already fits changes nothing.
 *
 * @param diets rules to keep; only what they exclude is swapped, their numeric targets are not sought here
 */
export function substitute(
  recipe: Recipe,
  diets: readonly Diet[],
  swaps: readonly Swap[],
  foods: Foods,
  kept: readonly Diet[] = [],
): Substituted {
  const had = allergensIn(recipe, foods)
  const first = exchange(recipe, { diets, kept, had }, swaps, foods, () => true)
  // A diet that cannot be kept on one line is no reason for a worse stand-in on another.
  const keeps = kept.filter((diet) => !breaksIn(first.recipe, diet, foods))
  const {
    recipe: next,
    changes,
    unmet,
  } = keeps.length === kept.length
    ? first
    : exchange(
        recipe,
        { diets, kept: keeps, had: new Set([...had, ...allergensIn(first.recipe, foods)]) },
        swaps,
        foods,
        () => true,
      )
  const swappedDough = changes.some((change) => change.kind === 'swap' && change.part === 'shell')
  const balanced = swappedDough ? rebalanceDough(recipe, next, foods) : { recipe: next, changes: [] }
  const salted = rebalanceSalt(recipe, balanced.recipe, foods)
  changes.push(...balanced.changes, ...salted.changes)
  return {
    recipe: salted.recipe,
    changes,
    unmet,
  }
}
