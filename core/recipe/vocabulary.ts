import { PRECOOKING_WAYS, type PrecookingWay } from './precookingWays'

// The words of a recipe document: what a part, a shape, a way of cooking may be. Everything else is built on them.

/** The version of the recipe document. A change that old readers cannot take raises it. */
export const RECIPE_VERSION = 1

export const PART_KINDS = ['shell', 'filling', 'marinade', 'finish', 'pan', 'dip'] as const
export type PartKind = (typeof PART_KINDS)[number]

/** What a part is called when nobody has named it. */
export const PART_NAMES: Readonly<Record<PartKind, string>> = {
  shell: 'Dough',
  filling: 'Filling',
  marinade: 'Marinade',
  finish: 'To finish',
  pan: 'Pan',
  dip: 'Dip',
}

export const COOKING_WAYS = [
  'bake',
  'deep-fry',
  'shallow-fry',
  'griddle',
  'steam',
  'boil',
  'brown-and-steam',
] as const
export type CookingWay = (typeof COOKING_WAYS)[number]

/** How one line may differ from its filling: cooked otherwise, or raw. */
export const LINE_PRECOOKING: readonly [PrecookingWay, ...PrecookingWay[], 'raw'] = [
  ...PRECOOKING_WAYS,
  'raw',
]
export type LinePrecooking = PrecookingWay | 'raw'

/** How an amount was come by, from the surest: what a scale said, about so much, by spoon or cup, by count. */
export const MEASURED_BY = ['scale', 'about', 'volume', 'count'] as const
export type MeasuredBy = (typeof MEASURED_BY)[number]

/** Of two ways of measuring the less sure one. */
export const lessSure = (one: MeasuredBy, other: MeasuredBy): MeasuredBy =>
  MEASURED_BY[Math.max(MEASURED_BY.indexOf(one), MEASURED_BY.indexOf(other))]!

export const HEATS = ['low', 'medium', 'high'] as const
export type Heat = (typeof HEATS)[number]

/** How a cook asks a dough to feel, from driest to wettest. */
export const DOUGH_FEELS = ['short', 'firm', 'medium', 'soft', 'sticky'] as const
export type DoughFeel = (typeof DOUGH_FEELS)[number]

/** What a fact is about; the unit stands in its name. */
export const FACT_KINDS = [
  'cutter-cm',
  'disc-cm',
  'thickness-mm',
  'ball-grams',
  'filling-tbsp-per-piece',
  'filling-grams-per-piece',
  'oil-depth-cm',
  'batch-pieces',
  'knead-minutes',
  'rest-minutes',
  'rise-minutes',
  'chill-minutes',
  'soak-minutes',
  'cool-minutes',
  'rest-before-eating-minutes',
  'freezes',
  'air-fryer',
  'prep-minutes',
  'total-minutes',
] as const
export type FactKind = (typeof FACT_KINDS)[number]

export const SHAPES = [
  'half-moon',
  'pleated',
  'bun',
  'disc',
  'parcel',
  'cone',
  'roll',
  'coil',
  'lidded-pie',
] as const
export type Shape = (typeof SHAPES)[number]

/** No line of a home batch weighs more than this; above it a unit was mistyped. */
export const MAX_LINE_GRAMS = 50_000
export const MAX_PIECES = 1000
/** Nothing of a piece cooks for more than a day. */
export const MAX_MINUTES = 1440

/** A cooking of which nothing is known but its way. */
export const PLAIN_COOKING = {
  temperatureC: null,
  minutes: null,
  heat: null,
  fan: false,
  andThen: null,
  cookedGramsPerPiece: null,
} as const
