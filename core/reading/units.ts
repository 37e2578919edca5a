/**
 * The units cooks write, each with every spelling that is read.
 *
 * Mass factors are grams, volume factors are millilitres. Count units have no factor: what one clove or
 * one bunch weighs depends on the food and stands in the food table.
 *
 * Sources: avoirdupois ounce and pound, NIST Handbook 44; US fluid ounce and pint, NIST Handbook 44; cup of
 * 240 ml, 21 CFR 101.9(b)(5)(viii), which also gives 15 ml and 5 ml for the spoons. A metric cup of 250 ml is
 * common practice, no source, as are the dessertspoon, glass, mug and ladle. A stick is the US quarter pound of butter, common practice, no source.
 */
export type UnitKind = 'mass' | 'volume' | 'count'

export interface Unit {
  id: string
  kind: UnitKind
  /** grams or millilitres in one; 1 for counts */
  factor: number
  names: readonly string[]
}

export const UNITS: readonly Unit[] = [
  { id: 'mg', kind: 'mass', factor: 0.001, names: ['mg', 'milligram', 'milligrams'] },
  {
    id: 'g',
    kind: 'mass',
    factor: 1,
    names: ['g', 'gm', 'gms', 'gm.', 'gr', 'gr.', 'grm', 'grms', 'gram', 'grams', 'gramme', 'grammes', 'g.'],
  },
  {
    id: 'kg',
    kind: 'mass',
    factor: 1000,
    names: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms', 'kg.'],
  },
  { id: 'oz', kind: 'mass', factor: 28.349523, names: ['oz', 'oz.', 'ozs', 'ounce', 'ounces'] },
  { id: 'lb', kind: 'mass', factor: 453.59237, names: ['lb', 'lbs', 'lb.', 'lbs.', 'pound', 'pounds'] },
  {
    id: 'ml',
    kind: 'volume',
    factor: 1,
    names: [
      'ml',
      'mls',
      'mil',
      'mils',
      'millilitre',
      'millilitres',
      'milliliter',
      'milliliters',
      'cc',
      'ml.',
    ],
  },
  {
    id: 'cl',
    kind: 'volume',
    factor: 10,
    names: ['cl', 'centilitre', 'centilitres', 'centiliter', 'centiliters'],
  },
  {
    id: 'dl',
    kind: 'volume',
    factor: 100,
    names: ['dl', 'decilitre', 'decilitres', 'deciliter', 'deciliters'],
  },
  { id: 'l', kind: 'volume', factor: 1000, names: ['l', 'litre', 'litres', 'liter', 'liters', 'ltr'] },
  {
    id: 'tsp',
    kind: 'volume',
    factor: 5,
    names: [
      'tsp',
      'tsps',
      'tsp.',
      'ts',
      'tspn',
      'tspns',
      'tspoon',
      'teasp',
      'teasps',
      'teaspn',
      'teaspoon',
      'teaspoons',
      'teaspoonful',
      'teaspoonfuls',
      't',
    ],
  },
  {
    id: 'tbsp',
    kind: 'volume',
    factor: 15,
    names: [
      'tbsp',
      'tbsps',
      'tbsp.',
      'tbs',
      'tb',
      'tblsp',
      'tblsps',
      'tblspn',
      'tblspns',
      'tbspn',
      'tbspns',
      'tbsn',
      'tblespoon',
      'tablesp',
      'tablespn',
      'tbl',
      'tbls',
      'tablespoon',
      'tablespoons',
      'tablespoonful',
      'tablespoonfuls',
      'T',
    ],
  },
  {
    id: 'cup',
    kind: 'volume',
    factor: 240,
    names: ['cup', 'cups', 'cupful', 'cupfuls', 'us cup', 'us cups', 'c', 'c.'],
  },
  { id: 'metric-cup', kind: 'volume', factor: 250, names: ['metric cup', 'metric cups'] },
  {
    id: 'dessertspoon',
    kind: 'volume',
    factor: 10,
    names: ['dessertspoon', 'dessertspoons', 'dsp', 'dstspn'],
  },
  // A spoon without a name is one to eat with. Common practice, no source.
  {
    id: 'spoon',
    kind: 'volume',
    factor: 15,
    names: [
      'spoon',
      'spoons',
      'spoonful',
      'spoonfuls',
      'soup spoon',
      'soup spoons',
      'soupspoon',
      'soupspoons',
      'serving spoon',
    ],
  },
  // The small steel bowl of an Indian kitchen. Common practice, no source.
  { id: 'katori', kind: 'volume', factor: 150, names: ['katori', 'katoris', 'vati'] },
  { id: 'glass', kind: 'volume', factor: 200, names: ['glass', 'glasses', 'tumbler'] },
  { id: 'mug', kind: 'volume', factor: 300, names: ['mug', 'mugs', 'mugful'] },
  { id: 'ladle', kind: 'volume', factor: 100, names: ['ladle', 'ladles', 'ladleful'] },
  {
    id: 'fl-oz',
    kind: 'volume',
    factor: 29.57353,
    names: ['fl oz', 'fl. oz', 'fl. oz.', 'fluid ounce', 'fluid ounces', 'floz'],
  },
  { id: 'pint', kind: 'volume', factor: 473.17647, names: ['pint', 'pints', 'pt', 'us pint'] },
  { id: 'imperial-pint', kind: 'volume', factor: 568.26125, names: ['imperial pint', 'imperial pints'] },
  { id: 'quart', kind: 'volume', factor: 946.35295, names: ['quart', 'quarts', 'qt'] },
  {
    id: 'piece',
    kind: 'count',
    factor: 1,
    names: ['piece', 'pieces', 'pc', 'pcs', 'whole', 'no', 'no.', 'nos', 'pod', 'pods', 'strip', 'strips'],
  },
  { id: 'clove', kind: 'count', factor: 1, names: ['clove', 'cloves'] },
  { id: 'bunch', kind: 'count', factor: 1, names: ['bunch', 'bunches'] },
  { id: 'sprig', kind: 'count', factor: 1, names: ['sprig', 'sprigs'] },
  { id: 'handful', kind: 'count', factor: 1, names: ['handful', 'handfuls', 'mutthi', 'muthi', 'fistful'] },
  { id: 'slice', kind: 'count', factor: 1, names: ['slice', 'slices', 'rasher', 'rashers'] },
  { id: 'inch', kind: 'count', factor: 1, names: ['inch', 'inches', 'in', '"', 'inch piece', '-inch'] },
  { id: 'cm', kind: 'count', factor: 1, names: ['cm', 'centimetre', 'centimetres', 'cm piece'] },
  { id: 'thumb', kind: 'count', factor: 1, names: ['thumb', 'thumbs'] },
  {
    id: 'knob',
    kind: 'count',
    factor: 1,
    names: ['knob', 'knobs', 'nob', 'nobs', 'pat', 'pats', 'lump', 'lumps'],
  },
  { id: 'stick', kind: 'count', factor: 1, names: ['stick', 'sticks'] },
  { id: 'stalk', kind: 'count', factor: 1, names: ['stalk', 'stalks', 'rib', 'ribs'] },
  { id: 'can', kind: 'count', factor: 1, names: ['can', 'cans', 'tin', 'tins'] },
  { id: 'tube', kind: 'count', factor: 1, names: ['tube', 'tubes'] },
  { id: 'jar', kind: 'count', factor: 1, names: ['jar', 'jars'] },
  { id: 'bottle', kind: 'count', factor: 1, names: ['bottle', 'bottles'] },
  {
    id: 'packet',
    kind: 'count',
    factor: 1,
    names: ['packet', 'packets', 'pack', 'packs', 'package', 'packages', 'pkt', 'pkg', 'bag', 'bags'],
  },
  { id: 'tub', kind: 'count', factor: 1, names: ['tub', 'tubs', 'carton', 'cartons'] },
  {
    id: 'sachet',
    kind: 'count',
    factor: 1,
    names: ['sachet', 'sachets', 'envelope', 'envelopes'],
  },
  { id: 'sheet', kind: 'count', factor: 1, names: ['sheet', 'sheets'] },
  { id: 'square', kind: 'count', factor: 1, names: ['squares'] },
  { id: 'block', kind: 'count', factor: 1, names: ['block', 'blocks'] },
  { id: 'ball', kind: 'count', factor: 1, names: ['ball', 'balls'] },
  { id: 'cube', kind: 'count', factor: 1, names: ['cube', 'cubes'] },
  { id: 'head', kind: 'count', factor: 1, names: ['head', 'heads', 'bulb', 'bulbs'] },
  { id: 'leaf', kind: 'count', factor: 1, names: ['leaf', 'leaves'] },
  // A packet of two sheets; nobody calls it so.
  { id: 'pair', kind: 'count', factor: 1, names: [] },
  { id: 'fillet', kind: 'count', factor: 1, names: ['fillet', 'fillets'] },
  { id: 'scoop', kind: 'count', factor: 1, names: ['scoop', 'scoops'] },
  { id: 'punnet', kind: 'count', factor: 1, names: ['punnet', 'punnets'] },
  { id: 'pinch', kind: 'count', factor: 1, names: ['pinch', 'pinches'] },
  { id: 'dash', kind: 'count', factor: 1, names: ['dash', 'dashes', 'drop', 'drops'] },
  { id: 'splash', kind: 'count', factor: 1, names: ['splash', 'splashes', 'glug', 'glugs', 'drizzle'] },
  { id: 'squeeze', kind: 'count', factor: 1, names: ['squeeze', 'squeezes', 'good squeeze'] },
  { id: 'dollop', kind: 'count', factor: 1, names: ['dollop', 'dollops'] },
  { id: 'sprinkle', kind: 'count', factor: 1, names: ['sprinkle', 'sprinkling', 'scattering', 'dusting'] },
  { id: 'grating', kind: 'count', factor: 1, names: ['grating', 'gratings'] },
  { id: 'part', kind: 'count', factor: 1, names: ['part', 'parts'] },
  { id: 'grind', kind: 'count', factor: 1, names: ['grind', 'grinds', 'twist', 'twists'] },
]

/**
 * What a pinch, a dash or a handful weighs when the food table does not say. Common practice, no source.
 */
export const FALLBACK_UNIT_GRAMS: Readonly<Record<string, number>> = {
  pinch: 0.4,
  dash: 0.7,
  splash: 10,
  grind: 0.1,
  squeeze: 5,
  dollop: 25,
  sprinkle: 1,
  part: 15,
  grating: 0.3,
  sprig: 1,
  handful: 30,
  leaf: 0.5,
}

const byName = new Map<string, Unit>()
for (const unit of UNITS) for (const name of unit.names) byName.set(name, unit)

/** The unit an id stands for. Throws on an id that is not in the table: ids come from this file only. */
export function unitById(id: string): Unit {
  const unit = UNITS.find((candidate) => candidate.id === id)
  if (!unit) throw new Error(`No unit has the id "${id}"`)
  return unit
}

/** The unit a written name stands for ("tbsp", "Tablespoons"), or null. "T" is a tablespoon, "t" a teaspoon. */
export function unitByName(name: string): Unit | null {
  return byName.get(name) ?? byName.get(name.toLowerCase()) ?? null
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

/** Alternation of all unit spellings, longest first, for use inside a regular expression. */
export const UNIT_PATTERN = [...byName.keys()]
  .sort((a, b) => b.length - a.length)
  .map(escaped)
  .join('|')
