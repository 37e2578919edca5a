import { foodIs, isFlour } from '../food/groups'
import type { Food, Foods } from '../food/food'
import { softnessTerms, sumSoftness } from '../dough/softness'
import type { FoodAmount } from '../food/amount'
import { newLine, type RecipeNote } from '../recipe/document'
import type { CookingWay, DoughFeel, Shape } from '../recipe/vocabulary'
import { isDoughBase, isLiquid, type Draft } from './drafts'
import type { Clause } from './method'
import { readIngredients } from './readIngredient'

/**
 * Water that doughs of a kind usually take, in g per 100 g of refined wheat flour, every liquid counted. Common
 * practice, no source; ranges, not limits. Other flours take it in proportion to what they drink.
 */
export interface WaterShare {
  kind: string
  low: number
  high: number
  feel: DoughFeel
}

const SHARES: Readonly<Record<string, WaterShare>> = {
  short: { kind: 'short crust', low: 18, high: 30, feel: 'short' },
  'oil-rich': { kind: 'oil-rich half-moon', low: 38, high: 42, feel: 'firm' },
  'fried-rubbed': { kind: 'fried, with fat rubbed in', low: 38, high: 45, feel: 'firm' },
  dumpling: { kind: 'boiled or steamed dumpling', low: 48, high: 52, feel: 'firm' },
  stretched: { kind: 'stretched thin or coiled', low: 50, high: 55, feel: 'medium' },
  griddle: { kind: 'soft griddle bread', low: 55, high: 62, feel: 'soft' },
  'steamed-bun': { kind: 'steamed bun', low: 52, high: 58, feel: 'medium' },
  roll: { kind: 'filled roll', low: 60, high: 66, feel: 'soft' },
  wholemeal: { kind: 'fine whole wheat', low: 62, high: 72, feel: 'medium' },
  plain: { kind: 'semi-soft', low: 50, high: 55, feel: 'medium' },
  layered: { kind: 'folded with its fat in layers', low: 45, high: 55, feel: 'medium' },
}
/** "Spread butter, fold in three": fat between the layers shortens no flour. */
const FAT_ON =
  /\b(?:spread|smear|dot|lay|place|put|encase|wrap|grate|enclose)\b[^.;]*\b(?:butter|fat|margarine|ghee|lard|shortening)\b/i
const FOLDS_IN_LAYERS =
  /\bfold(?:ed)?\b[^.;]{0,30}\b(?:three|thirds|3|four|4|book|letter)\b|\bthree[- ]fold\b|\b(?:book|letter|single|double) (?:fold|turn)s?\b|\blaminat/i
const RUBS_IN =
  /\brub(?:bed|bing|s)?\b|\b(?:cut|work|pulse|blitz)\w* (?:in (?:the |cold |half (?:of )?(?:the )?)*(?:butter|fat|margarine|lard|shortening)|(?:the |cold )*(?:butter|fat|margarine|lard|shortening) in(?:to)? (?:the )?(?:flour|maida|mix))/i
const isLayered = (clauses: readonly Clause[]): boolean => {
  const made = clauses.filter(({ closed }) => !closed)
  const says = (pattern: RegExp) => made.some(({ text }) => pattern.test(text))
  return says(FAT_ON) && says(FOLDS_IN_LAYERS) && !says(RUBS_IN)
}
/** What refined wheat flour drinks in the food table: the shares here are of it. A test holds the two together. */
export const REFINED_DEMAND = 0.66
/** Boiling water that scalded rice flour takes, in g per 100 g. Common practice, no source. */
const SCALDED_RICE = { kind: 'scalded rice flour', low: 120, high: 140, feel: 'soft' as const }
const SCALDED_GLUTINOUS = {
  kind: 'scalded glutinous rice with tapioca',
  low: 85,
  high: 95,
  feel: 'soft' as const,
}

/** Words of cooks for the feel of a dough. */
const FEEL_WORDS: readonly [DoughFeel, RegExp][] = [
  [
    'medium',
    /\b(?:semi[- ]?(?:soft|stiff|firm)|medium[- ](?:soft|firm|stiff)|not too (?:soft|stiff|hard)|neither)\b/i,
  ],
  ['firm', /\b(?:stiff|firm|tight|hard)\b/i],
  ['sticky', /\b(?:sticky|slack|very soft|wet)\b/i],
  ['short', /\b(?:(?:to |just )?bind|(?:bring|come|brings|comes) (?:it )?together|crumbly|short)\b/i],
  ['soft', /\bsoft\b/i],
  ['medium', /\b(?:smooth|pliable|elastic|supple|workable|medium)\b/i],
]

/** The feel that words ask for; null when they ask for none. */
export const feelIn = (text: string): DoughFeel | null =>
  FEEL_WORDS.find(([, pattern]) => pattern.test(text))?.[0] ?? null

/**
 * Water that a feel asks for, in g per 100 g of refined wheat flour without fat. Common practice, no source. What fat
 * the dough holds softens it too and is taken off.
 */
const FEEL_SHARES: Readonly<Record<Exclude<DoughFeel, 'short'>, readonly [number, number]>> = {
  firm: [45, 52],
  medium: [52, 56],
  soft: [58, 62],
  sticky: [65, 75],
}

export interface FeltWater {
  feel: DoughFeel
  lowGrams: number
  highGrams: number
  grams: number
  startGrams: number
  /** "boiled or steamed dumpling, 48 to 52 % of the flour". */
  why: string
}

function kindOf(amounts: readonly FoodAmount[], way: CookingWay, shape: Shape): WaterShare {
  const sum = (test: (food: Food) => boolean) =>
    amounts.filter(({ food }) => test(food)).reduce((total, { grams }) => total + grams, 0)
  const flour = sum(isFlour)
  const share = (test: (food: Food) => boolean) => (flour > 0 ? sum(test) / flour : 0)
  const fat = (kind: 'oil' | 'solid') =>
    flour > 0
      ? amounts
          .filter(({ food }) => food.softeningFat === kind)
          .reduce((total, { grams, food }) => total + (grams * food.per100g.fatG) / 100, 0) / flour
      : 0
  const yeast = amounts.some(({ food }) => /yeast|sourdough/.test(food.id))
  if (share((food) => food.id === 'glutinous-rice-flour') > 0.4) return SCALDED_GLUTINOUS
  if (share((food) => /rice-flour/.test(food.id)) > 0.5) return SCALDED_RICE
  if (fat('solid') >= 0.33 && !yeast) return SHARES.short!
  if (yeast) return way === 'steam' ? SHARES['steamed-bun']! : SHARES.roll!
  if (share((food) => isFlour(food) && food.grain === 'whole') > 0.6) return SHARES.wholemeal!
  if (way === 'deep-fry' && fat('solid') + fat('oil') >= 0.07) return SHARES['fried-rubbed']!
  if (fat('oil') >= 0.12 && (way === 'bake' || way === 'shallow-fry')) return SHARES['oil-rich']!
  if (shape === 'coil') return SHARES.stretched!
  if (way === 'boil' || way === 'steam' || way === 'brown-and-steam') return SHARES.dumpling!
  if (way === 'griddle') return SHARES.griddle!
  return SHARES.plain!
}

const nice = (grams: number) => (grams >= 20 ? Math.round(grams / 5) * 5 : Math.round(grams))

/**
 * How much of a liquid a dough takes that is left to feel: from what its flours drink, the kind of dough and the
 * feel asked for.
 *
 * @param amounts the dough's other lines, weighed
 * @param liquid the food that is added to feel
 * @param asked the words of the line and of the method that speak of the feel
 * @param layered the fat lies between the layers, and is not among the amounts
 * @returns null when nothing in the dough drinks water
 */
function waterToFeel(
  amounts: readonly FoodAmount[],
  liquid: Food,
  asked: string,
  way: CookingWay,
  shape: Shape,
  layered: boolean,
): FeltWater | null {
  const terms = sumSoftness(amounts)
  if (terms.waterDemandGrams <= 0) return null
  const flourGrams = amounts
    .filter(({ food }) => food.waterDemand !== null)
    .reduce((sum, { grams }) => sum + grams, 0)
  const usual = layered ? SHARES.layered! : kindOf(amounts, way, shape)
  const scalded = usual === SCALDED_RICE || usual === SCALDED_GLUTINOUS
  const otherWater = amounts.reduce((sum, amount) => sum + softnessTerms(amount).freeWaterGrams, 0)
  const scale = scalded
    ? flourGrams / 100
    : usual === SHARES.wholemeal
      ? flourGrams / 100
      : terms.waterDemandGrams / REFINED_DEMAND / 100
  let low = usual.low * scale - otherWater
  let high = usual.high * scale - otherWater
  // In a short crust "firm" speaks of the chilled paste, not of more water.
  const words = scalded || usual === SHARES.short ? null : feelIn(asked)
  let feel = usual.feel
  if (words && words !== 'short') {
    feel = words
    const asks = FEEL_SHARES[words].map((share) => share * scale - terms.fatShareGrams - otherWater)
    const both = [Math.max(low, asks[0]!), Math.min(high, asks[1]!)]
    // Where words and kind agree, what both allow; else what lies between them.
    ;[low, high] = both[0]! <= both[1]! ? [both[0]!, both[1]!] : [both[1]!, both[0]!]
  }
  // Of milk or yogurt only the free water counts.
  const free = freeShare(liquid)
  low = Math.max(0, low / free)
  high = Math.max(low, high / free)
  if (high <= 0) return null
  // No cook stops to the gram: a range is at least a tenth of its middle wide.
  const middle = (low + high) / 2
  low = Math.min(low, middle * 0.95)
  high = Math.max(high, middle * 1.05)
  const share = (grams: number) => Math.round((100 * (grams * free + otherWater)) / Math.max(flourGrams, 1))
  return {
    feel,
    lowGrams: nice(low),
    highGrams: Math.max(nice(high), nice(low)),
    grams: nice((low + high) / 2),
    startGrams: nice(low * 0.85),
    why: `${usual.kind}${words ? `, ${words}` : ''}: ${share(low)} to ${share(high)} % of the flour with every liquid; common practice, no source, and what these flours drink`,
  }
}

/** The share of a liquid that wets flour, 0.3 to 1. */
const freeShare = ({ per100g, freeWater }: Food): number =>
  Math.max(0.3, (per100g.waterG / 100) * (freeWater || 1))

/** Below this share of what a line states the table is further off than the cook. Our own choice. */
const STATED_STANDS = 0.75
/** "A bit of water if dry": a spoonful at most, whatever the flours could drink. */
const ONLY_IF = /\b(?:bit|little|splash|drops?|touch|spoonful|only|just)\b[^.]*\bif\b/i
/** "Don't add liquid": a dough of fat and flour is pressed together. */
const WITHOUT_LIQUID = /\b(?:do not|don't|without|no) (?:add(?:ing)? )?(?:any |extra )?(?:liquid|water)\b/i

const SYRUP = /syrup|honey|molasses|treacle/
/** So much syrup on the flour binds it without water. Common practice, no source. */
const SYRUP_SHARE = 0.3

/** Water that is left to feel is computed from what the flours drink. */
export function fillToFeel(
  drafts: readonly Draft[],
  clauses: readonly Clause[],
  way: CookingWay,
  shape: Shape,
  foods: Foods,
  notes: RecipeNote[],
): void {
  const shells = drafts.filter((draft) => draft.kind === 'shell')
  const lines = shells.flatMap((draft) => draft.lines)
  if (!lines.some(({ food, line }) => food?.waterDemand != null && line.grams)) return
  if (lines.some(({ food }) => foodIs(food, 'bought-dough'))) return
  const spoken = clauses
    .filter(({ about }) => about !== null && about !== 'pieces' && about.kind === 'shell')
    .map(({ text }) => text)
  let felt = lines.find(
    ({ food, read, line }) =>
      // A few drops of vinegar are no liquid that a dough is wetted with.
      !/vinegar$/.test(food?.id ?? '') &&
      (isLiquid(food) || food?.group === 'yogurt' || food?.group === 'plant-yogurt') &&
      ((!read.measures.length && !line.componentId) ||
        /^(?:splash|dash|dollop)$/.test(read.measures[0]?.[0]?.unitId ?? '') ||
        /\b(?:up to|added gradually|a little at a time)\b/i.test(line.raw)),
  )
  const flourGrams = lines.reduce(
    (sum, { food, line }) => sum + (food?.waterDemand != null ? (line.grams ?? 0) : 0),
    0,
  )
  const wet = lines.some(
    ({ food, line }) =>
      food &&
      (line.grams ?? 0) > 15 &&
      (isLiquid(food) ||
        // A dough may be bound by its syrup.
        (SYRUP.test(food.id) && (line.grams ?? 0) >= SYRUP_SHARE * flourGrams) ||
        /yogurt|egg|fresh-cheese|cream|vegetable|leafy|melting-cheese/.test(food.group) ||
        (food.freeWater > 0.4 && food.per100g.waterG > 50)),
  )
  const water = foods.get('water')
  if (!felt && !wet && water && shells[0]) {
    // A dough of flour alone: the method adds the water that the list forgot.
    if (clauses.some(({ text }) => WITHOUT_LIQUID.test(text))) return
    const says = spoken.find((text) => /\b(?:water|milk)\b/i.test(text))
    if (!says && !lines.some(({ food }) => food?.softeningFat == null && isDoughBase(food))) return
    if (!says) {
      notes.push({
        code: 'no-liquid',
        level: 'check',
        text: 'No liquid is given for the dough: water to feel was added',
      })
    }
    felt = readIngredients('water as required', foods)[0]!
    felt.line = newLine({
      ...felt.line,
      raw: says ? 'water, as the method says' : 'water, not in the text',
      notes: [],
    })
    shells[0].lines.push(felt)
  }
  if (!felt?.food || ONLY_IF.test(felt.line.raw)) return
  const layered = isLayered(clauses)
  const others = lines.filter(
    (item) =>
      item !== felt && item.food && item.line.grams && !(layered && item.food.softeningFat === 'solid'),
  )
  const amounts = others.map(({ food, line }) => ({
    food: food!,
    grams: line.grams!,
    waterChangeGrams: line.waterChangeGrams,
  }))
  const asked = [
    felt.read.wanted,
    felt.line.raw,
    ...shells.map((draft) => draft.name),
    ...spoken.filter((text) => /\b(?:dough|knead|together|bind)\b/i.test(text)),
  ].join(' ; ')
  const found = waterToFeel(amounts, felt.food, asked, way, shape, layered)
  if (!found) return
  const { line } = felt
  const cap =
    felt.read.measures.length && !/^(?:splash|dash|dollop)$/.test(felt.read.measures[0]![0]!.unitId ?? '')
      ? (line.gramsHigh ?? line.grams)
      : null
  const high = cap === null ? found.highGrams : Math.min(found.highGrams, cap)
  const low = Math.min(found.lowGrams, high)
  const grams = Math.min(found.grams, high)
  if (cap !== null && found.lowGrams >= cap) return
  // "330 ml boiling water (added gradually)": what is stated, and far above what the flours drink by the table, stands.
  if (cap !== null && !/\bup to\b/i.test(line.raw) && found.highGrams < STATED_STANDS * cap) return
  Object.assign(line, {
    grams,
    gramsLow: low,
    gramsHigh: high,
    toFeel: { feel: found.feel, startGrams: Math.min(found.startGrams, low), lowGrams: low, highGrams: high },
  })
  // "Milk/water to knead": either wets as much.
  const wets = freeShare(felt.food)
  line.choices = line.choices.map((choice) => {
    const other = foods.get(choice.foodId ?? '')
    if (!other || !isLiquid(other)) return choice
    const factor = wets / freeShare(other)
    return {
      ...choice,
      grams: nice(grams * factor),
      gramsLow: nice(low * factor),
      gramsHigh: nice(high * factor),
    }
  })
  line.notes = line.notes.filter((note) => !/^(?:to-taste|as-required|no-amount)$/.test(note.code))
  line.notes.push({
    code: 'to-feel',
    level: 'check',
    text: `Left to feel: start with ${Math.min(found.startGrams, low)} g, then a spoonful at a time, expect to stop between ${low} and ${high} g (${found.why}). Type what really went in`,
  })
}
