import { foodIs, isFat } from '../food/groups'
import type { Food, Foods } from '../food/food'
import type { Part } from '../recipe/document'
import { foodOf } from '../recipe/lines'
import type { CookingWay } from '../recipe/vocabulary'
import { isSweet, MAIN_SHARE, shareOf } from '../substitution/catalogue'
import { formulaIdOf } from '../substitution/formulas'
import {
  leverFactor,
  leverOfLess,
  leverOfMore,
  netCarbohydrateG,
  STARCHY_G,
  type LeverName,
} from '../substitution/levers'
import { LIKE_ENOUGH, optionsFor, type Candidate } from './options'
import type { ProgramBuilder } from './program'
import { breaks, CRAFT, type AskedLine, type Question } from './question'

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

/**
 * The same by craft: what a filling is made of stays recognisable, what seasons it keeps its share, a dip and a
 * sauce are what they are, a splash that is cooked off does not grow, and the fat between stretched sheets keeps them
 * apart. Common practice, no source.
 */
export const CRAFT_RANGE = {
  main: [0.6, 1.6],
  vegetable: [0.6, 2.2],
  seasoning: [0.75, 1.3],
  sauce: [0.8, 1.15],
  splash: [0.7, 1],
  fillingFat: [0.4, 1.2],
  sweet: [0.6, 1.2],
  thickener: [0.8, 1.2],
  doughFat: [0.5, 1.25],
  doughSweet: [0.4, 1.2],
  doughRest: [0.6, 1.2],
  // Melted cheese, nut flour and egg hold each other: with half of one it is no dough.
  cheeseDough: [0.75, 1.25],
  // Brushed on thinly with a soft brush, sheets still come apart.
  between: [0.75, 1.2],
  top: [0.35, 1.1],
  grease: [0.4, 1],
  wash: [1, 1],
  binder: [1, 1],
  // Where less carbohydrate is asked, starch and sugar go out.
  starchOut: [0, 1.2],
  dip: [1, 1],
  // A bought wrapper is as large and thick as it is; a bought pastry can be rolled thinner.
  wrapper: [1, 1],
  pastry: [0.72, 1.1],
  // Thin sheets are stretched already: there can be a layer less, and no thinner ones.
  sheets: [0.7, 1.05],
} as const satisfies Record<string, readonly [number, number]>

/** What holds even where a cook would go further than most: a filling without its onion is another filling. */
const ALWAYS: ReadonlySet<readonly [number, number]> = new Set([
  CRAFT_RANGE.seasoning,
  CRAFT_RANGE.sauce,
  CRAFT_RANGE.splash,
  CRAFT_RANGE.between,
  CRAFT_RANGE.wash,
  CRAFT_RANGE.binder,
  CRAFT_RANGE.dip,
  CRAFT_RANGE.grease,
  CRAFT_RANGE.top,
  CRAFT_RANGE.wrapper,
  CRAFT_RANGE.sheets,
  CRAFT_RANGE.sweet,
  CRAFT_RANGE.cheeseDough,
])

/** A shell may be made this much lighter, and the filling heavier by as much. Common practice, no source. */
export const MIN_SHELL = 0.72
/** The same where a cook goes further than most. */
export const THINNEST_SHELL = 0.6
/** A bought pastry where a cook goes further than most: below that nothing can be lined and covered with it. */
const THINNEST_PASTRY = [THINNEST_SHELL, 1.1] as const

const SEASONING_FOODS = new Set(
  'onion red-onion shallot spring-onion garlic ginger ginger-garlic-paste green-chilli celery chives lemon-juice lime-juice vinegar black-vinegar mustard tomato-puree tomato-paste'.split(
    ' ',
  ),
)
/** Sharp and salty bites: few of them season a filling. */
const SEASONING_BITES = /olive(?!-oil)|caper|gherkin|pickle|sauerkraut|kimchi|sun-dried|anchov/
/** Oils that season rather than fry. */
const SEASONING_OILS = /sesame-oil|chilli-oil|truffle|walnut-oil/
/** Ways whose fat is what the pan is greased with, all of it eaten. */
const GREASED: ReadonlySet<CookingWay> = new Set(['griddle', 'brown-and-steam', 'shallow-fry'])

/** A starch thickens what is at least so many times its weight of liquid. Common practice, no source. */
const LIQUID_PER_STARCH = 4

/** Whether a starch or flour of a filling is there to thicken its liquid. */
function thickens(food: Food, grams: number, { lines }: Part, foods: Foods): boolean {
  if (!/^(?:starch|flour)$/.test(food.group)) return false
  const liquid = lines.reduce((sum, line) => {
    const own = foodOf(line, foods)
    return sum + (own && (foodIs(own, 'pours') || own.group === 'cream') ? (line.grams ?? 0) : 0)
  }, 0)
  return liquid >= LIQUID_PER_STARCH * grams
}

/** Sugar that is this much of what finishes a piece is a glaze. Our own choice. */
const GLAZE_SHARE = 0.3

/** Cheese of at least this much of the weight of its flours makes a dough one of cheese. Our own choice. */
const CHEESE_DOUGH_SHARE = 0.8

/** A dough that melted cheese holds together. */
function isCheeseDough({ lines }: Part, foods: Foods): boolean {
  let cheese = 0
  let flour = 0
  for (const line of lines) {
    const food = foodOf(line, foods)
    if (food?.group === 'melting-cheese') cheese += line.grams ?? 0
    else if (food && foodIs(food, 'flour')) flour += line.grams ?? 0
  }
  return cheese > 0 && cheese >= CHEESE_DOUGH_SHARE * flour
}

function craftRange(
  { part, line, food, grams }: AskedLine,
  { purposes, family, reference }: Question,
): readonly [number, number] | null {
  const id = food.figuresOf ?? food.id
  const keto = purposes.has('keto')
  switch (part.kind) {
    case 'dip':
      // Butter melted over the pieces is no dip.
      return isFat(food) ? CRAFT_RANGE.top : CRAFT_RANGE.dip
    case 'pan':
      return CRAFT_RANGE.grease
    case 'finish':
      if (food.softeningFat) return family === 'stretched' ? CRAFT_RANGE.between : CRAFT_RANGE.top
      // A glaze without its sugar is a puddle of milk; what is strewn on goes.
      if (keto && foodIs(food, 'sugar'))
        return (shareOf(part, line) ?? 0) > GLAZE_SHARE ? CRAFT_RANGE.sweet : CRAFT_RANGE.starchOut
      return foodIs(food, 'wash') ? CRAFT_RANGE.wash : CRAFT_RANGE.top
    case 'marinade':
      return CRAFT_RANGE.sauce
    case 'shell':
      if (food.id !== 'water' && isCheeseDough(part, reference.foods)) return CRAFT_RANGE.cheeseDough
      if (food.id === 'water' || foodIs(food, 'flour')) return null
      if (foodIs(food, 'bought-dough'))
        return food.group === 'wrapper'
          ? CRAFT_RANGE.wrapper
          : family === 'stretched'
            ? CRAFT_RANGE.sheets
            : CRAFT_RANGE.pastry
      if (isFat(food)) return CRAFT_RANGE.doughFat
      if (foodIs(food, 'sugar')) return keto ? CRAFT_RANGE.starchOut : CRAFT_RANGE.doughSweet
      return foodIs(food, 'egg') ? CRAFT_RANGE.binder : CRAFT_RANGE.doughRest
    case 'filling':
      if (SEASONING_FOODS.has(id) || SEASONING_BITES.test(id) || SEASONING_OILS.test(id))
        return CRAFT_RANGE.seasoning
      if (isFat(food)) return CRAFT_RANGE.fillingFat
      if (foodIs(food, 'egg') && (shareOf(part, line) ?? 0) < MAIN_SHARE) return CRAFT_RANGE.binder
      if (food.group === 'sauce') return CRAFT_RANGE.sauce
      if (foodIs(food, 'splash')) return CRAFT_RANGE.splash
      // What is sweet stays sweet, and what is thick stays thick, by what stands in for sugar and starch.
      if (keto && foodIs(food, 'sugar') && foodIs(food, 'sweetener') && isSweet(part, reference.foods))
        return CRAFT_RANGE.sweet
      if (keto && thickens(food, grams, part, reference.foods)) return CRAFT_RANGE.thickener
      if (keto && (foodIs(food, 'starchy') || foodIs(food, 'sugar'))) return CRAFT_RANGE.starchOut
      if (foodIs(food, 'sugar')) return CRAFT_RANGE.sweet
      return foodIs(food, 'vegetable') ? CRAFT_RANGE.vegetable : CRAFT_RANGE.main
    default:
      return null
  }
}

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
const ITSELF_SHARE = { usual: 0.5, further: 0.35 } as const

/** A swap below this share of its line is not worth a purchase. */
const MIN_SHARE = 0.1
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

function rangeOf(part: Part, food: Food, lessSalt: boolean): [number, number] {
  if (lessSalt && food.group === 'salt') return RANGE.salt!
  if (part.kind === 'pan' || foodIs(food, 'fixed')) return RANGE.fixed!
  if (part.kind === 'shell') {
    if (food.id === 'water') return RANGE.water!
    if (foodIs(food, 'flour')) return RANGE.flour!
    return food.softeningFat ? RANGE.fat! : RANGE.rest!
  }
  if (part.kind === 'filling') return food.softeningFat ? RANGE.fat! : RANGE.filling!
  return RANGE.rest!
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
  const further = question.without.has(CRAFT)
  const byCraft =
    craft && (!further || ALWAYS.has(craft)) ? craft : craft === CRAFT_RANGE.pastry ? THINNEST_PASTRY : null
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
    const term = `${name.toLowerCase()} changed to ${parts[0]?.food.name.toLowerCase() ?? 'something else'}`
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
    builder.constrain(`enough ${line.id} ${own.swap.id}`, between(MIN_SHARE), { min: 0 })
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
