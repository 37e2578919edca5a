import { foodIs } from '../food/groups'
import { kindOf } from './headingKinds'
import { MAX_PIECES, type Shape } from '../recipe/vocabulary'
import { BAKED, byDividing, CUTS, LAYS_IN_TRAY, PAIRS, type Found } from './dividing'
import { byBallsBought, byBread, byCountedDough, byCutDough } from './boughtDough'
import { isDoughBase, type Draft } from './drafts'
import { MOST_SHEET_GRAMS } from './eachPiece'
import { normaliseName } from './match'
import { recalled } from './matches'
import type { Clause } from './method'
import type { Outline } from './outlineState'
import type { ReadIngredient } from './readIngredient'
import { clausesOf, sentencesOfStep } from './sentences'
import { bySheets, countOf, onEachSheet, REPEATED } from './sheetCuts'
import { isInTray } from './shape'
import { sizesSaid } from './sizes'

// Whatever says how many pieces there are, each a witness of its own: what is promised, how the dough is divided, the
// balls that are weighed, the sheets that are bought.

/** A number of pieces with the witness that gives it. */
export interface Witnessed extends Found {
  by: WitnessName
}

/** What the witnesses look at. */
export interface Counting {
  outline: Outline
  clauses: readonly Clause[]
  drafts: readonly Draft[]
  shape: Shape | null
  /** Lines of all doughs. */
  shell: readonly ReadIngredient[]
  doughGrams: number
  /** What the rows and the steps say of numbers, rows first. */
  said: readonly Outline['counts'][number][]
  servings: number | null
  perServing: number | null
  /** How the dough is divided, where the method says so. */
  divided: Found | null
}

/** A whole number of pieces that a recipe may have. */
export const wholePieces = (value: number) => Math.min(MAX_PIECES, Math.max(1, Math.round(value)))

/** A joint or a side of fish that is baked whole in its dough. */
export const WRAPPED_WHOLE = recalled(
  /^(?!.*\b(?:mini|individual|little|bite[- ]?siz[a-zß-öø-ɏ]*|bites)\b).*(?:\ben cro[uû]te\b|\bpithivier\b|\bcoulibiac\b|\broly[- ]?poly\b|\b(?:plait|braid|[a-zß-öø-ɏ]*strudel|wreath|galette|crostata|stromboli|wellington)\b(?! rolls| parcels| puffs| pasties))/i,
)
/** Something goes into one tin or dish. */
export const ONE_DISH = recalled(
  /\b(?:line|in|into|over|to fit)\s+(?:a|an|the) (?:[^.;]|\.\d){0,24}?(?:dish|tin|plate|pan|tray|basin|springform)\b/i,
)
const SLICES = recalled(
  /\b(?:slices|wedges)\b|(?:^|[.;]\s+)\W*(?:it |this )?cuts? (?:in)?to (?:\d|two|three|four|five|six|seven|eight|nine|ten|twelve)/i,
)

const SQUARES_ALONE = /^\W*(?:makes |cuts? into |gives )?\d{1,2} (?:squares|diamonds|portions)\W*$/i
/** "For 8 slices": what one pie or strudel is cut into. */
export const isCutUp = (text: string, shape: Shape | null, title: string): boolean =>
  (SLICES.test(text) || (shape === 'lidded-pie' && SQUARES_ALONE.test(text))) &&
  (shape === 'lidded-pie' || WRAPPED_WHOLE.test(title))

/** A promise among the rows weighs more than a number among the steps, and the first more than the next. */
const PROMISED_WEIGHT = 100
const IN_STEPS_WEIGHT = 50
const MAKES_IN_STEPS_WEIGHT = 75

const OF_ROUNDS = /\b(?:circles|rounds|dis[ck]s|squares|rectangles)\b/i
/** "Makes 24", "for 12 buns". */
function promised({ outline, said, shape }: Counting): Found[] {
  return said.flatMap((count, at) => {
    // "Make 6 balls" among the steps is work; "Makes 24" is a promise wherever it stands.
    const isPromise =
      at < outline.counts.length &&
      (!outline.steps.some((step) => step.text.includes(count.text)) ||
        /\b(?:makes|yields?|gives|serves)\b/i.test(count.text))
    if (!count.pieces || isCutUp(count.text, shape, outline.title)) return []
    // "Makes 24 or so" at the end of what is told in one breath is surer than what was bought.
    const inSteps = /\bmakes\b|\bso\b.*\baltogether\b/i.test(count.text)
      ? MAKES_IN_STEPS_WEIGHT
      : IN_STEPS_WEIGHT
    const weight = (isPromise ? PROMISED_WEIGHT : inSteps) - at
    // "Cut circles (about 20). Fill half, top with the remaining circles": two rounds make one.
    const isPaired =
      !isPromise && OF_ROUNDS.test(count.text) && outline.steps.some(({ text }) => PAIRS.test(text))
    return [{ pieces: wholePieces(count.pieces / (isPaired ? 2 : 1)), weight, says: count.text }]
  })
}

/** "Serves 4, 3 each". */
const byServings = ({ servings, perServing }: Counting): Found[] =>
  perServing && servings
    ? [
        {
          pieces: wholePieces(perServing * servings),
          weight: 80,
          says: `${perServing} each for ${servings}`,
        },
      ]
    : []

/** "Pumpkin filling (for 8)", "Cheese filling – makes 4". */
function byFillings({ drafts }: Counting): Found[] {
  const fillings = drafts.filter((draft) => draft.kind === 'filling' && !draft.into)
  if (!fillings.length || fillings.some(({ pieces }) => pieces === null)) return []
  return [
    {
      pieces: fillings.reduce((total, { pieces }) => total + pieces!, 0),
      weight: fillings.length > 1 ? 70 : 55,
      says: fillings.map((draft) => draft.name).join(', '),
    },
  ]
}

/** "Apple strudel … cut into 6 slices" once it is baked: one was made. */
export const isSlicedWhole = ({ divided, outline, clauses, shape }: Counting): boolean =>
  divided !== null &&
  ((WRAPPED_WHOLE.test(outline.title) && /\bslices\b/i.test(divided.says)) ||
    ((shape === 'roll' || (shape === 'coil' && isInOneDish(clauses))) &&
      isCutWhenBaked(divided.says, clauses)))
/** "Roll up. Bake 30 minutes. Slice into 10": it was one, and no more was baked. */
function isCutWhenBaked(says: string, clauses: readonly Clause[]): boolean {
  const at = clauses.findIndex(({ text }) => text === says)
  const baked = clauses.findIndex(({ text }) => BAKED.test(text))
  return (
    at > baked &&
    baked >= 0 &&
    SLICED.test(says) &&
    !clauses.slice(0, baked).some(({ text }) => CUTS.test(text))
  )
}
const SLICED = /\b(?:slice|cut)\b[^.;]{0,16}\b(?:in(?:to)? )?\d/i

const dividing = (counting: Counting): Found[] =>
  counting.divided ? [isSlicedWhole(counting) ? { ...counting.divided, pieces: 1 } : counting.divided] : []

/** Balls that are named after things. Common practice, no source: a walnut of dough is 15 to 18 g. */
const BALL_WORDS: readonly [RegExp, number][] = [
  [/\bwalnut[- ]siz/i, 17],
  [/\bcherry[- ]siz|marble[- ]siz/i, 10],
  [/\b(?:lemon|lime|ping[- ]?pong(?: ball)?)[- ]siz/i, 40],
  [/\bgolf[- ]ball[- ]siz|golf ball\b/i, 45],
  [/\begg[- ]siz/i, 55],
  [/\b(?:tangerine|tennis[- ]ball|orange)[- ]siz/i, 90],
]
const LONGEST_SAID = 500
const LEAST_BALL_GRAMS = 3

/** Grams of a ball of dough that a text states by weight or by a word; null where it is none, or of the filling. */
function ballGramsIn(text: string): number | null {
  const weighed = sentencesOfStep(text)
    .flatMap((sentence) => clausesOf(sentence).flatMap((clause) => sizesSaid(clause, sentence)))
    .find(({ kind }) => kind === 'ball-grams')
  if (weighed) return weighed.low >= LEAST_BALL_GRAMS ? (weighed.low + weighed.high) / 2 : null
  return /\b(?:of|with) (?:the )?(?:filling|stuffing|mixture)\b/i.test(text)
    ? null
    : (BALL_WORDS.find(([pattern]) => pattern.test(text))?.[1] ?? null)
}

/** The ball of dough that the text weighs, or else the first that it weighs of anything. */
export function ballOf({ outline, said }: Pick<Counting, 'outline' | 'said'>) {
  const balls = [
    ...outline.steps.map(({ text, within }) => ({ text, within })),
    ...said.map(({ text }) => ({ text, within: '' })),
  ].flatMap(({ text, within }) => {
    const grams = text.length < LONGEST_SAID ? ballGramsIn(text) : null
    return grams === null ? [] : [{ grams, says: text, within }]
  })
  return (
    balls.find(({ says }) => /\bdough\b/i.test(says)) ??
    // Steps that stand among the lines of a filling weigh what goes in.
    balls.find(({ within }) => kindOf(within) !== 'filling') ??
    balls[0] ??
    null
  )
}

/** "Quarter of the mix in the middle", "put 1/8 of the filling on each": as many pieces as there are shares. */
const SHARE_OF_FILLING = recalled(
  /(?:\b(?:a |an |one |1 )?(?<word>quarter|fifth|sixth|eighth|tenth|twelfth)|(?<![\d.])(?:1\/(?<under>[4-9]|1[02])|(?<sign>[¼⅕⅙⅛]))) (?:of )?(?:the |your )?(?:filling|stuffing|mix(?:ture)?|meat|cheese|vegetables|veg)\b(?=[^.;]{0,20}\b(?:on(?:to)?|in(?:to)?|over|per) )/i,
)
const SHARES: Readonly<Record<string, number>> = {
  quarter: 4,
  fifth: 5,
  sixth: 6,
  eighth: 8,
  tenth: 10,
  twelfth: 12,
  '¼': 4,
  '⅕': 5,
  '⅙': 6,
  '⅛': 8,
}
function byShare({ clauses, shape }: Counting): Found[] {
  // A layer of a pie, or a length of a coil, is no piece.
  if (shape === 'lidded-pie' || shape === 'coil') return []
  return clauses.flatMap(({ text }) => {
    const share = SHARE_OF_FILLING.exec(text)?.groups
    const pieces = share && (SHARES[(share.word ?? share.sign ?? '').toLowerCase()] ?? Number(share.under))
    return pieces ? [{ pieces, weight: 45, says: text }] : []
  })
}

/** "Balls of 35 g", "walnut-sized". */
function byBall(counting: Counting): Found[] {
  const { shell, doughGrams } = counting
  const ball = ballOf(counting)
  return ball && doughGrams > ball.grams && shell.some(({ food }) => isDoughBase(food))
    ? [{ pieces: wholePieces(doughGrams / ball.grams), weight: 40, says: ball.says }]
    : []
}

const WHOLE_ONE = String.raw`(?:(?:whole|frozen|cold|boiled|cooked|small|raw|peeled|pitted) )*(?<NAME>[a-zß-öø-ɏ]+(?: [a-zß-öø-ɏ]+)?)`
const wholeOne = (name: string) => WHOLE_ONE.replace('NAME', name)
/** "Wrap the dough round a sausage", "roll each prawn up in a strip", "put a date on each": every piece holds one whole. */
const HOLDS_ONE = recalled(
  new RegExp(
    [
      String.raw`\b(?:wrap|roll|fold|mould|mold|shape|pinch|close)\w*\b[^.;]{0,40}\b(?:round|around|over) (?:an?|each|one|every) ${wholeOne('around')}`,
      String.raw`\b(?:wrap|roll|cover|encase|enclose)\w* (?:up )?(?:each|every) ${wholeOne('wrapped')}(?= (?:in|with|up|inside)\b)`,
      String.raw`\b(?:put|place|lay|set|press|push|tuck|hide) (?:an?|one|1) ${wholeOne('laid')}(?= (?:in|on|into|onto|inside|at|along|across|over)\b)`,
    ].join('|'),
    'i',
  ),
)
const CUT_UP =
  /\b(?:chopped|sliced|diced|grated|mashed|crumbled|halved|quartered|minced|shredded|flaked|cut)\b/i
/** Fewer may well be cut up for all. Our own choice. */
const LEAST_WHOLE = 4
/** "18 small sausages", and each piece holds one. */
function byWholeInside({ clauses, drafts }: Counting): Found[] {
  const names = clauses.flatMap(({ text }) => {
    const { around, wrapped, laid } = HOLDS_ONE.exec(text)?.groups ?? {}
    const said = around ?? wrapped ?? laid
    return said ? [new Set(normaliseName(said).split(' '))] : []
  })
  if (!names.length) return []
  return drafts
    .filter(({ kind, into }) => kind === 'filling' && !into)
    .flatMap(({ lines }) => lines)
    .flatMap(({ read, line }) => {
      const many = read.measures.find((measure) => measure.length === 1 && measure[0]!.unitId === null)?.[0]!
        .low
      const noun = normaliseName(read.name).split(' ').at(-1)!
      const isWhole = !read.prep.some((word) => CUT_UP.test(word)) && names.some((said) => said.has(noun))
      return many && many >= LEAST_WHOLE && isWhole
        ? [{ pieces: wholePieces(many), weight: WHOLE_INSIDE_WEIGHT, says: line.raw }]
        : []
    })
}
/** More than a ball by its size, less than how the dough is divided. */
const WHOLE_INSIDE_WEIGHT = 45

const TIN = recalled(/\b(?:oil|grease|butter|line)\b[^.;]{0,24}\b(?:tin|dish|tray|pan)\b/i)
const HALF_OF_SHEETS = recalled(
  /\bhalf (?:of )?(?:the |your )?(?:filo|phyllo|fillo|yufka|sheets|pastry)\b|\b(?:cover|top) with (?:the )?(?:rest|remaining|other (?:half|\d+))\b[^.;]{0,20}\b(?:filo|phyllo|fillo|yufka|sheets|pastry)\b/i,
)
const MANY_COILS = /\b(?:coils|snails|spirals|(?:coil|roll)\w* each)\b/i

/** Whether all of the sheets are one pie, one strudel or one coil. */
function isOneOfAll({ outline, clauses, shape }: Counting): boolean {
  const says = (pattern: { test: (text: string) => boolean }) =>
    clauses.some(({ text }) => pattern.test(text))
  if (WRAPPED_WHOLE.test(outline.title)) return true
  // "Filo pie", and a tin is lined.
  if (shape === 'lidded-pie' && /\bpie\b/i.test(outline.title) && says(ONE_DISH)) return true
  if (shape === 'lidded-pie' && isInTray(clauses.map(({ text }) => text).join('. '))) return true
  // Coils that lie in a tray side by side are as many as they are.
  const inOneDish = clauses.some(({ text }) => ONE_DISH.test(text) && !/\btray\b/i.test(text))
  if (shape === 'coil' && inOneDish && !says(MANY_COILS)) return true
  // "Oil a tin, lay half of the filo, cover with the rest".
  return says(TIN) && says(HALF_OF_SHEETS)
}

/** One for each wrapper, or for each small sheet. */
function byWrapper(counting: Counting): Found[] {
  const wrapper = counting.shell.find(
    ({ food }) => foodIs(food, 'bought-dough') && food!.unitGrams.piece !== undefined,
  )
  const grams = wrapper?.food?.unitGrams.piece
  if (!wrapper || !grams || !wrapper.line.grams || isOneOfAll(counting)) return []
  const { food, line, read } = wrapper
  if (!(food!.group === 'wrapper' || food!.unitGrams.disc || grams <= MOST_SHEET_GRAMS)) return []
  // "Wrap each in 2 sheets of buttered filo".
  const several = counting.clauses.map(({ text }) => IN_SEVERAL.exec(text)?.[1]).find(Boolean)
  const many = (countOf(read) ?? line.grams! / grams) / Number(several ?? 1)
  return [{ pieces: wholePieces(many), weight: 30, says: line.raw }]
}
const IN_SEVERAL = recalled(
  /\b(?:wrap|roll|enclose)\w* each (?:[a-zß-öø-ɏ]+ ){0,2}?in (\d) (?:[a-zß-öø-ɏ]+ )*?(?:sheets|layers|filo|phyllo)\b/i,
)

/** Whether sheets become pieces one after another, and not one pie, strudel or coil of all. */
const isInPieces = (counting: Counting): boolean =>
  counting.shape !== 'lidded-pie' &&
  (!isOneOfAll(counting) ||
    // "Salmon en croute … brush 2 sheets, wrap. Repeat": one for each.
    (counting.shape !== 'coil' && counting.clauses.some(({ text }) => REPEATED.test(text))))

/** "2 sheets shortcrust … cut 3 circles from each sheet", "Brush 2 sheets, … wrap. Repeat". */
const bySheet = (counting: Counting): Found[] =>
  isInPieces(counting) ? bySheets(counting.shell, counting.clauses) : []
const byOneSheet = (counting: Counting): Found[] =>
  isInPieces(counting) ? onEachSheet(counting.shell, counting.clauses) : []

/** The witnesses by name; of two that are equally sure the first is believed. */
const WITNESSES = {
  promised,
  byServings,
  byFillings,
  dividing,
  byShare,
  byBall,
  byCountedDough,
  byBread,
  byWholeInside,
  byWrapper,
  byBallsBought,
  bySheet,
  byOneSheet,
  byCutDough,
} satisfies Record<string, (counting: Counting) => Found[]>
export type WitnessName = keyof typeof WITNESSES

/** What is only bought so: nobody says that it is how many are made. */
export const BY_WHAT_IS_BOUGHT: ReadonlySet<WitnessName> = new Set([
  'byBread',
  'byWrapper',
  'byOneSheet',
  'byCutDough',
])

/** Every number of pieces that a text gives, the surest first. */
export function witnessesOf(counting: Counting): Witnessed[] {
  return (Object.keys(WITNESSES) as WitnessName[])
    .flatMap((by) => WITNESSES[by](counting).map((found) => ({ ...found, by })))
    .sort((a, b) => b.weight - a.weight)
}

/** How the dough is divided, where a sheet or round may have been bought. */
export function dividedBy(
  clauses: readonly Clause[],
  shape: Shape | null,
  shell: readonly ReadIngredient[],
): Found | null {
  const bought = shell.find(({ food }) => foodIs(food, 'bought-dough'))
  return byDividing(clauses, shape, bought ? countOf(bought.read) : null)
}

/** "Roll up and coil into a 28 cm tin", "lay one sheet in the tray": all of it goes into one. */
export const isInOneDish = (clauses: readonly Clause[]): boolean =>
  clauses.some(({ text }) => ONE_DISH.test(text) || LAYS_IN_TRAY.test(text))
